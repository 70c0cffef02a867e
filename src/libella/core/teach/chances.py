"""What chance does: why ten putts and not three, and how noise looks like compensation."""

import math
from functools import lru_cache
from typing import Final

import numpy as np

from ..certainty.estimate import Estimate, estimated
from ..certainty.matter import MATTERS
from ..certainty.verdict import Verdict, weigh
from ..drawing.scene import Circle, Curve, Label, Line, Role, Scene, Shape
from ..estimate import START, posterior
from ..estimate.cost import Mix, cost
from ..estimate.posterior import Floats
from ..measure.interval import Interval
from ..opinions.held import remembered
from .taught import Known, Lever, Say, Shown, Teaching, Told, Values

_DEGREE: Final = 120.0
_ROWS: Final = 7
_ROW: Final = 46.0
_MOST_PUTTS: Final = 40


@remembered(4096)
def _read(bias: float, spread: float, putts: int, draw: int, mix: Mix) -> tuple[tuple[float, ...], Estimate, Verdict]:
    """Putts of a golfer who is known, and what is found of them; more putts of a draw go on from the fewer."""
    z = np.random.default_rng(7000 + draw).normal(0.0, 1.0, _MOST_PUTTS)[:putts]
    starts = tuple(round(float(it), 1) for it in bias + spread * z)
    post = posterior([Interval(it - 0.05, it + 0.05) for it in starts], START())
    found = cost(post, mix, MATTERS()["start"])
    return starts, estimated(post.bias_quantile), weigh(found.right, found.left, found.small, cost=found.mean)


def _ten(values: Values, known: Known, say: Say) -> Shown:
    """Draw after draw of the same golfer: each row's putts, and what they seem to show."""
    bias, spread, putts, draw = values["bias"], values["spread"], int(values["putts"]), int(values["draw"])
    shapes: list[Shape] = [
        Line(0.0, -_ROW, 0.0, _ROWS * _ROW, "line"),
        Line(bias * _DEGREE, -_ROW, bias * _DEGREE, _ROWS * _ROW, "path"),
        Label(bias * _DEGREE, -_ROW - 10.0, say("truth", bias), "middle"),
    ]
    first = max(1, draw - _ROWS + 1)
    for row, n in enumerate(range(draw, first - 1, -1)):
        starts, found, call = _read(bias, spread, putts, n, known.mix)
        y = row * _ROW
        role: Role = call.side if call.names_direction and call.side != "neither" else "path"
        shapes += [Circle(it * _DEGREE, y, 5.0, "mark" if row == 0 else "ghost") for it in starts]
        shapes += [Curve(((found.low * _DEGREE, y + 14.0), (found.high * _DEGREE, y + 14.0)), role)]
    _, found, call = _read(bias, spread, putts, draw, known.mix)
    calls = [_read(bias, spread, putts, n, known.mix)[2] for n in range(1, draw + 1)]
    named = [it.side for it in calls if it.names_direction]
    truth = "right" if bias > 0 else "left"
    rightly = sum(it == truth for it in named) if bias else 0
    told = (
        Told(f"ten_{call.word}", {"putts_n": putts, "middle_deg": found.value, "low_deg": found.low,
             "high_deg": found.high, "right_n": float(call.side == "right")}),
        Told("ten_truth", {"truth_deg": bias, "spread_deg": spread}),
        Told("ten_draws", {"draws_n": draw, "rightly_n": rightly, "wrongly_n": len(named) - rightly}),
    )  # fmt: skip
    reach = 4.2 * _DEGREE
    return Shown(Scene(-reach, -_ROW - 40.0, reach, _ROWS * _ROW, "", tuple(shapes)), told, chart=True)


@lru_cache(maxsize=4096)
def _putted(noise: float, scatter: float, putts: int, draw: int) -> tuple[Floats, Floats]:
    """(N,) aim and stroke as read, of a golfer whose stroke knows nothing of the aim: read with an error at address."""
    a, d, e = np.random.default_rng(9000 + draw).normal(0.0, 1.0, (3, 120))[:, :putts]
    aim, stroke, error = scatter * a, 0.6 * d, noise * e
    return aim + error, stroke - error


def _noise(values: Values, known: Known, say: Say) -> Shown:
    """The stroke's part against the aim, as read: the shared reading error draws a slope that is not there."""
    noise, scatter, putts = values["noise"], values["scatter"], int(values["putts"])
    aim, stroke = _putted(noise, scatter, putts, int(values["draw"]))
    middle = float(aim.mean()), float(stroke.mean())
    var = float(((aim - middle[0]) ** 2).mean())
    cov = float(((aim - middle[0]) * (stroke - middle[1])).mean())
    seen = -cov / var
    alone = noise**2 / (scatter**2 + noise**2)
    left = -(cov + noise**2) / max(var - noise**2, 0.2 * var)
    reach = 2.6 * _DEGREE
    at = [_line_at(middle, -seen, x) for x in (-2.4, 2.4)]
    shapes: list[Shape] = [
        Line(-reach, 0.0, reach, 0.0, "ground"),
        Line(0.0, -1.7 * _DEGREE, 0.0, 1.7 * _DEGREE, "ground"),
        *(
            Circle(float(x) * _DEGREE, -float(y) * _DEGREE, 6.0, "mark")
            for x, y in zip(aim, stroke, strict=True)
            if abs(x) < 2.5 and abs(y) < 1.7
        ),
        Line(at[0][0] * _DEGREE, -at[0][1] * _DEGREE, at[1][0] * _DEGREE, -at[1][1] * _DEGREE, "path"),
        Label(reach - 10.0, -14.0, say("aim", 0.0), "end"),
        Label(14.0, -1.6 * _DEGREE, say("stroke", 0.0), "start"),
    ]
    told = (
        Told("noise_seen", {"seen_of_100": 100 * seen, "putts_n": putts}),
        Told("noise_alone", {"noise_deg": noise, "alone_of_100": 100 * alone}),
        Told("noise_left", {"left_of_100": 100 * left}),
    )
    return Shown(
        Scene(-reach - 20.0, -1.75 * _DEGREE, reach + 20.0, 1.75 * _DEGREE, "", tuple(shapes)), told, chart=True
    )


def _line_at(middle: tuple[float, float], slope: float, x: float) -> tuple[float, float]:
    """A point of the line through the middle, kept on the page."""
    y = middle[1] + slope * (x - middle[0])
    if abs(y) > 1.7 and slope:
        y = math.copysign(1.7, y)
        x = middle[0] + (y - middle[1]) / slope
    return x, y


_DRAW: Final = Lever("draw", "draw", 1.0, 60.0, 1.0, 1.0)
TEN: Final = Teaching(
    "ten",
    (
        Lever("putts", "putts", 3.0, float(_MOST_PUTTS), 1.0, 3.0),
        _DRAW,
        Lever("bias", "deg", -2.0, 2.0, 0.1, knows="bias_deg"),
        Lever("spread", "deg", 0.2, 2.5, 0.1, knows="spread_deg"),
    ),
    _ten,
)
NOISE: Final = Teaching(
    "noise",
    (
        Lever("noise", "deg", 0.0, 1.5, 0.05, 0.5),
        _DRAW,
        Lever("scatter", "deg", 0.1, 1.5, 0.05, 0.5),
        Lever("putts", "putts", 10.0, 80.0, 2.0, 20.0),
    ),
    _noise,
)
