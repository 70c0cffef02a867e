"""The ladder: a gate or a rail tightens and widens to the width that three putts in four should pass (handbook 5)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from scipy.optimize import brentq

from ..estimate import START, Posterior, posterior
from ..instruments.aid import Raw
from ..instruments.rig import Rig
from ..measure.limits import OutOfLimits
from ..set.station import Station

WANTED: Final = 0.75
LAST: Final = 10
_TIGHTEN_FROM, _WIDEN_TO = 8, 5
_FINEST_M: Final = 0.001
Step = Literal["wait", "stay", "tighten", "widen", "none"]


@dataclass(frozen=True, slots=True)
class Rung:
    """What the ladder says now.

    Attributes
    ----------
    step : "none" for an instrument that has no strictness, "wait" before the last ten are in
    why : of "stay": the last ten say so, all putts together do, or the rig goes no further, for the `fault` told
    dimension, value_m, limit_deg : of "tighten" and "widen": the size to lay, and the half-width it is for
    """

    step: Step
    passed: int = 0
    of: int = 0
    why: Literal["", "last", "all", "end"] = ""
    dimension: str = ""
    value_m: float = 0.0
    limit_deg: float = 0.0
    fault: OutOfLimits | None = None


def three_in_four_deg(post: Posterior) -> float:
    """Half-width, degrees, that a putt passes with posterior mean probability 0.75, gate centred on the line."""

    def short(limit: float) -> float:
        return post.mean(post.inside(limit, limit)) - WANTED

    high = 1.0
    while short(high) < 0 and high < 90:
        high *= 2
    return float(brentq(short, 1e-6, high, xtol=1e-6))


def rung(raws: Sequence[Raw], station: Station) -> Rung:
    """Whether to tighten or widen, from the last ten putts on this rig; the width comes from all of them.

    Parameters
    ----------
    raws : valid readings on the rig as it stands, oldest first
    """
    rig = station.rig
    if not rig.about.strict:
        return Rung("none")
    last = raws[-LAST:]
    passed = sum(0 in rig.interval(it) for it in last)
    if len(last) < LAST:
        return Rung("wait", passed, len(last))
    post = posterior([station.interval(it) for it in raws], START(), noise=station.noise_deg)
    wanted = three_in_four_deg(post)
    tighter = passed >= _TIGHTEN_FROM
    if not tighter and passed > _WIDEN_TO:
        return Rung("stay", passed, LAST, "last")
    try:
        laid = rig.tuned(wanted)
    except OutOfLimits as fault:
        return Rung("stay", passed, LAST, "end", fault=fault)
    name, now, new = _changed(rig, laid)
    if (new < now) != tighter or abs(new - now) < _FINEST_M:
        return Rung("stay", passed, LAST, "all")
    return Rung("tighten" if tighter else "widen", passed, LAST, "", name, round(new, 3), wanted)


def _changed(rig: Rig, laid: Rig) -> tuple[str, float, float]:
    """The dimension that sets the strictness, as it stands and as it would be."""
    now, new = rig.sizes(), laid.sizes()
    changed = [name for name in now if now[name] != new[name]]
    name = changed[0] if changed else next(it for it in now if "width" in it)
    return name, now[name], new[name]
