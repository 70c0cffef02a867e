"""Two readers, the same things, neither knowing what the other read: how far a single reading is off (handbook 3).

Of numbers the readings' differences tell it. Of zones it is the width that makes two readers fall into different ones
as often as they did. What was read before one reader saw nothing of the other is what counts from then on.
"""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from statistics import mean
from typing import Final, Literal, get_args

import numpy as np
from scipy.optimize import brentq
from scipy.special import betaincinv, gammaincinv, ndtr

from ..certainty.estimate import INTERVAL, Estimate, normal
from ..instruments import lay
from ..instruments.gate import Gate
from ..instruments.rig import Rig
from ..measure.constants import BALL_M
from ..measure.limits import Bounds, OutOfLimits
from ..opinions.held import Opinion
from .side_look import StringLook

Thing = Literal["mirror", "gate", "laser", "strike", "body_lines", "string", "golfer"]
THINGS: Final[tuple[Thing, ...]] = get_args(Thing)
FEWEST: Final = 5
MOST: Final = 40
_SCATTER_DEG: Final = Opinion("readers_starts", 1.0, "deg")
_EYES_MM: Final = Opinion("readers_eyes", 40.0, "mm")
"""How far starts scatter, and how far eyes lie from the line, of those who are read: opinions."""
_BALL_R: Final = BALL_M / 2
_WIDEST: Final = 5.0


@dataclass(frozen=True, slots=True)
class ReadThing:
    """What two readers read.

    Attributes
    ----------
    unit : of its error: mm, deg, or "" where a reading is right or wrong
    bounds : of a number; None of zones
    zones : their codes in order; `edges` between them, in `unit`; empty where no order
        is
    far : how far the truth scatters, in `unit`
    """

    unit: Literal["mm", "deg", ""]
    bounds: Bounds | None = None
    zones: tuple[str, ...] = ()
    edges: tuple[float, ...] = ()
    far: Callable[[], float] = lambda: 0.0

    @property
    def scatter(self) -> float:
        return self.far()


def _gate() -> ReadThing:
    it = lay("peg_gate", {})
    assert isinstance(it, Gate)
    edge = math.tan(math.radians(it.limit_deg)) * it.station_m * 1000
    return ReadThing("mm", None, ("left", "clean", "right"), (-edge, edge), lambda: _scatter_mm(it.station_m))


def _laser() -> ReadThing:
    it = lay("ground_laser", {})
    assert isinstance(it, Rig)
    radii = (-1.0, -0.75, -0.25, 0.25, 0.75, 1.0)
    zones = ("off_left", "left_edge", "left_quarter", "centre", "right_quarter", "right_edge", "off_right")
    edges = tuple(1000 * _BALL_R * one for one in radii)
    return ReadThing("mm", None, zones, edges, lambda: _scatter_mm(it.station_m))


def _scatter_mm(at_m: float) -> float:
    return math.tan(math.radians(_SCATTER_DEG())) * at_m * 1000


def _string() -> ReadThing:
    far, half, quarter = (StringLook(it).inside_mm for it in ("edge", "quarter", "splits"))
    edges = (-far.high, -far.low, -half.low, quarter.high, far.low, far.high)
    zones = ("off_inside", "edge_inside", "quarter_inside", "splits", "quarter_outside", "edge_outside", "off_outside")
    return ReadThing("mm", None, zones, tuple(sorted(edges)), _EYES_MM)


READ: Final[dict[Thing, ReadThing]] = {
    "mirror": ReadThing("mm", Bounds(-200.0, 200.0, "mm")),
    "gate": _gate(),
    "laser": _laser(),
    "strike": ReadThing("mm", Bounds(-40.0, 40.0, "mm")),
    "body_lines": ReadThing("deg", Bounds(-45.0, 45.0, "deg")),
    "string": _string(),
    "golfer": ReadThing("", None, ("still", "moved")),
}
"""What can be read by two: eyes in a mirror, gate, laser on the ball, strike, a body line, a string over the ball,
whether the golfer kept still."""
Value = float | str


def checked_readings(thing: str, values: Sequence[Value]) -> tuple[Value, ...]:
    """The readings as they may be kept, or `OutOfLimits`."""
    if thing not in READ:
        raise OutOfLimits("thing", "no_such_choice", named=thing, known=THINGS)
    it = READ[thing]
    if not FEWEST <= len(values) <= MOST:
        raise OutOfLimits("values", "readings_count", fewest=FEWEST, most=MOST, told=len(values))
    for n, one in enumerate(values):
        if it.bounds is not None:
            if isinstance(one, str):
                raise OutOfLimits(f"values.{n}", "number_wanted", it.unit)
            it.bounds.check(f"values.{n}", f"read_{thing}", one)
        elif one not in it.zones:
            raise OutOfLimits(f"values.{n}", "no_such_choice", named=str(one), known=it.zones)
    return tuple(values)


@dataclass(frozen=True, slots=True)
class Agreement:
    """What two readers came to.

    Attributes
    ----------
    same, of : so many of so many were read alike
    error : how far a single reading is off, one standard deviation in the thing's unit; of right or wrong, the share of
        readings that are wrong
    apart : of numbers, by how much more the second read than the first; None of zones
    """

    same: int
    of: int
    error: Estimate
    apart: Estimate | None


def agreement(thing: Thing, first: Sequence[Value], second: Sequence[Value]) -> Agreement:
    """How far single readings are off, by what two readers made of the same; equally many of both."""
    if len(first) != len(second):
        raise OutOfLimits("values", "readings_unlike", first=len(first), second=len(second))
    it, n = READ[thing], len(first)
    same = sum(one == other for one, other in zip(first, second, strict=True))
    if it.bounds is not None:
        apart = [float(other) - float(one) for one, other in zip(first, second, strict=True)]
        squares = sum(one**2 for one in apart) / 2
        # A reading is no finer than its last place: readings that agree are not exact.
        least = _FINEST[it.unit]
        low, middle, high = (max(least, math.sqrt(squares / _chi_squared(1 - q, n))) for q in (0.05, 0.5, 0.95))
        sd = math.sqrt(sum((one - mean(apart)) ** 2 for one in apart) / (n - 1)) / math.sqrt(n)
        return Agreement(same, n, Estimate(middle, low, high), normal(mean(apart), max(sd, least / math.sqrt(n))))
    shares = [float(betaincinv(n - same + 1, same + 1, q)) for q in (0.5, *INTERVAL)]
    told = [_width(it, one) if it.edges else _wrong(one) for one in shares]
    return Agreement(same, n, Estimate(*told), None)


def _chi_squared(share: float, n: int) -> float:
    """The value below which that share of chi-squared with n degrees of freedom lies."""
    return 2 * float(gammaincinv(n / 2, share))


_FINEST: Final = {"mm": 0.3, "deg": 0.3}


def _wrong(differ: float) -> float:
    """The share of readings that are wrong where two are unlike so often: 2e(1 − e)."""
    return (1 - math.sqrt(max(0.0, 1 - 2 * min(differ, 0.5)))) / 2


def _width(it: ReadThing, differ: float) -> float:
    """The error of a reading, one standard deviation, that puts two readers into unlike zones so often, over things
    that lie about the middle as they usually scatter."""
    at = np.linspace(-4 * it.scatter, 4 * it.scatter, 801)
    weight = np.exp(-0.5 * (at / it.scatter) ** 2)
    weight = weight / weight.sum()
    edges = np.array([-np.inf, *it.edges, np.inf])

    def unlike(width: float) -> float:
        below = ndtr((edges[None, :] - at[:, None]) / width)
        return float(weight @ (1 - (np.diff(below, axis=1) ** 2).sum(axis=1))) - differ

    narrow, wide = 1e-3 * it.scatter, _WIDEST * it.scatter
    if unlike(narrow) >= 0:
        return narrow
    if unlike(wide) <= 0:
        return wide
    return float(brentq(unlike, narrow, wide))
