"""How each number is worked out: the formula, where it comes from, and one example worked out by the very code that
judges lessons. A test holds every example to its result."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Final

import numpy as np

from ...core.change.goal import CountGoal
from ...core.change.made import interval
from ...core.estimate import posterior
from ...core.estimate.cost import Mix, share_within
from ...core.estimate.shares import Share, more_often
from ...core.golfer.golf_round import Hole, told_together
from ...core.green.capture import capture_offset, deceleration, speed_past
from ...core.green.putt import Putt
from ...core.green.usual import level_window
from ...core.instruments import lay
from ...core.instruments.string_sight import eyes_from_cover
from ...core.keep.convert import converted
from ...core.keep.due import ChangeStands, change_due
from ...core.measure.angle import angle_deg, offset_m
from ...core.measure.flag import weight_of
from ...core.measure.interval import Interval
from ...core.see.eyes import EyeMark, EyeTake


@dataclass(frozen=True, slots=True)
class Worked:
    """A number and where it comes from.

    formula, source : as it is written, and where it stands in the code
    example : one case in words, its result included
    works_out : the result, worked out now; it stands in `example` as it is
    """

    name: str
    says: str
    formula: str
    source: str
    example: str
    works_out: Callable[[], str]


_PEGS: Final[dict[str, float]] = {"distance_m": 0.5, "inside_width_m": 0.06, "post_m": 0.005}


def _interval_of(kind: str, sizes: dict[str, float], raw: dict[str, float | str]) -> Interval:
    return lay(kind, sizes).interval(raw)


def _middle(it: Interval) -> float:
    return (it.low + it.high) / 2


def _eye(inside_m: float, falls_in: float) -> float:
    marks = EyeMark(inside_m, -0.03), EyeMark(inside_m, 0.03)
    return EyeTake(*marks, eye_height_m=1.5, falls_in_percent=falls_in).inside_m * 1000


def _posterior_bias() -> str:
    read = [Interval(it - 0.1, it + 0.1) for it in (0.9, 1.2, 0.4, 1.6, 1.1, 0.7, 1.3, 0.8, 1.0, 1.4)]
    post = posterior(read)
    weight = post.weight.sum(axis=1)
    return f"{float((post.bias * weight).sum() / weight.sum()):.1f}°"


def _within(bias: float) -> str:
    mix = Mix((level_window(Putt(2.5, 0.35, 10.0), 2.5),), (1.0,))
    return f"{100 * float(share_within(mix, np.array([bias]), np.array([1.0]))[0]):.0f} in a hundred"


def _made() -> str:
    it = interval(Share(8, 10))
    return f"{it.low:.0f} to {it.high:.0f} in a hundred"


def _due() -> str:
    due = change_due(ChangeStands("untested", 100.0, None, of_line=True, looked_at=False))
    return "" if due is None else f"day {due[1]:.0f}"


NUMBERS: Final[tuple[Worked, ...]] = (
    Worked(
        "A start on the ruler",
        "The mark where the ball crossed, seen from the ball’s spot. Half a mark to either side is not known.",
        "start = arctan(offset ÷ distance)",
        "core/measure/angle.py",
        "26 mm right at 2.5 m: arctan(0.026 ÷ 2.5) = 0.60° right.",
        lambda: f"{angle_deg(0.026, 2.5):.2f}°",
    ),
    Worked(
        "A gate in degrees",
        "The ball has a width of its own: it passes a gate clean only while its edge misses the post.",
        "limit = arctan(across ÷ distance) − arcsin((ball + post) ÷ 2 ÷ far): across and far to a post’s middle",
        "core/instruments/gate.py",
        "60 mm at 50 cm with posts of 5 mm: passed clean, the start lies within 0.99° to either side.",
        lambda: f"{_interval_of('peg_gate', _PEGS, {'crossing': 'clean'}).high:.2f}°",
    ),
    Worked(
        "A mirror on the face",
        "A mirror doubles: the beam turns by twice what the face turns.",
        "face = ½ · arctan(spot ÷ distance)",
        "core/instruments/face_mirror.py",
        "The spot 50 mm right at 2 m: ½ · arctan(0.05 ÷ 2) = 0.72° right.",
        lambda: f"{_middle(_interval_of('face_mirror', {}, {'offset_m': 0.05})):.2f}°",
    ),
    Worked(
        "Where eyes are over a mirror",
        "A mirror that falls to the golfer shows the eyes too little inside: by its fall, at their height.",
        "inside = seen + height · fall",
        "core/see/eyes.py",
        "Seen 20 mm inside, eyes 1.5 m up, the mirror falling in by 0.5 %: 27.5 mm inside.",
        lambda: f"{_eye(0.020, 0.5):.1f} mm",
    ),
    Worked(
        "A string over the line",
        "A string above the ball splits it only for eyes above the line; from what it covers, the eyes follow.",
        "eyes inside = covers · (eye height − string height) ÷ string height",
        "core/instruments/string_sight.py",
        "A string 15 cm up covers 5 mm outside the mark, eyes 1.5 m up: the eyes are 45 mm inside.",
        lambda: f"{eyes_from_cover(0.005, 0.0, 1.5, 0.15) * 1000:.0f} mm",
    ),
    Worked(
        "Green speed as a brake",
        "The ramp lets the ball go at 1.83 m/s; how far it runs on the level tells how it slows.",
        "brake = 1.83² ÷ (2 · green speed in metres)",
        "core/green/capture.py",
        "10 ft: 1.83² ÷ (2 · 3.048) = 0.55 m/s².",
        lambda: f"{deceleration(10.0):.2f} m/s²",
    ),
    Worked(
        "How wide the hole is at a pace",
        "The faster the ball arrives, the nearer to the middle it has to: helped by the rim up to 1.63 m/s.",
        "half width = 54 mm · √(1 − speed ÷ 1.63 m/s), with speed = √(2 · brake · how far past)",
        "core/green/capture.py",
        "30 cm past on 10 ft: the speed is 0.57 m/s, and the ball drops up to 43 mm beside the middle.",
        lambda: f"{capture_offset(speed_past(0.3, 10.0), 'rim_assisted') * 1000:.0f} mm",
    ),
    Worked(
        "The window",
        "The starts that still hole the putt: the half width of the hole seen from the ball.",
        "window = arctan(half width ÷ length); on a slope by rolling the ball, start by start",
        "core/green/usual.py, core/green/target.py",
        "3 m, 30 cm past on 10 ft, level: arctan(0.0435 ÷ 3) = 0.83° to either side.",
        lambda: f"{level_window(Putt(3.0, 0.3, 10.0), 3.0).right_deg:.2f}°",
    ),
    Worked(
        "Degrees in other words",
        "One angle at one length, as coaches say it.",
        "across = length · tan(angle); edges are half hole widths, minutes are six degrees each",
        "core/keep/convert.py",
        "1° at 3 m is 52 mm across.",
        lambda: f"{converted(1.0, 'deg', 3.0).amounts['mm']:.0f} mm",
    ),
    Worked(
        "Tendency or chance",
        "How sure it is that one side is the commoner, where nothing was known before.",
        "chance = share of Beta(lefts + 1, rights + 1) above one half",
        "core/estimate/shares.py",
        "Three lefts in seven putts: 36 in a hundred that left is the commoner. That is no tendency.",
        lambda: f"{100 * more_often(3, 4)[0]:.0f} in a hundred",
    ),
    Worked(
        "Bias with its doubt",
        "Bias and spread are worked out together, each reading as wide as it was read, starting from what such "
        "golfers usually do.",
        "posterior ∝ prior · Π (share of the normal curve between the ends of each reading)",
        "core/estimate/posterior.py",
        "Ten starts from 0.4° to 1.6° right, 1.04° on average: the bias is 1.0° right.",
        _posterior_bias,
    ),
    Worked(
        "What a bias costs",
        "Putts of a hundred that start inside the window, from bias and spread; the difference is the cost.",
        "share = Φ((window − bias) ÷ spread) − Φ((−window − bias) ÷ spread)",
        "core/estimate/cost.py",
        "2.5 m, 35 cm past, spread 1°: with no bias 67 in a hundred start inside the window.",
        lambda: _within(0.0),
    ),
    Worked(
        "Weight of a doubted reading",
        "A reading taken roughly or talked through counts a half, each again; its interval is as wide as it was.",
        "weight = product of what each flag leaves",
        "core/measure/flag.py",
        "Rough and talked through: it counts 0.25 of a reading.",
        lambda: f"{weight_of(['rough', 'talked_through']):.2f}",
    ),
    Worked(
        "A share with its doubt",
        "How often of how many, with the 90 % interval that so few allow.",
        "quantiles of Beta(times + 1, others + 1)",
        "core/change/made.py",
        "8 of 10: in the long run 54 to 92 in a hundred.",
        _made,
    ),
    Worked(
        "A drill’s goal as a count",
        "A count is done, not shown: one who manages nine of ten gets 14 of 15 in every other run.",
        "chance = P(at least 14 of 15) at 0.9 each",
        "core/change/goal.py",
        "14 of 15 in one run: passed.",
        lambda: CountGoal(14, 15).standing([Share(14, 15)]),
    ),
    Worked(
        "When a retest is due",
        "A change is tested after a week and again three weeks later; what is left of it a week after it was kept.",
        "due = day of the change + 7; day of the last retest + 21",
        "core/keep/due.py",
        "Chosen on day 100 and not tested: due on day 107.",
        _due,
    ),
    Worked(
        "A round",
        "Putts hole by hole, as they were noted.",
        "sum over the holes",
        "core/golfer/golf_round.py",
        "Nine holes, five in one putt and four in two: 13 putts.",
        lambda: f"{told_together([[Hole(2.0, 1)] * 5 + [Hole(2.0, 2)] * 4]).putts} putts",
    ),
    Worked(
        "What a degree is at a length",
        "The reverse of a start: where a line ends.",
        "across = length · tan(start)",
        "core/measure/angle.py",
        "A start 0.6° right over 2.5 m ends 26 mm beside the middle.",
        lambda: f"{offset_m(0.6, 2.5) * 1000:.0f} mm",
    ),
)
"""The numbers of the guide, in the order of a lesson."""
