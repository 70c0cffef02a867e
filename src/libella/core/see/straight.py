"""A test of looking straight: when it tells, how surely, against another; its vial and its drawings."""

from collections.abc import Sequence

import numpy as np

from ..certainty.estimate import Estimate
from ..certainty.verdict import Verdict, weigh
from ..certainty.vial import Bubble, Vial, vial
from ..drawing.scene import Circle, Curve, Label, Line, Scene, Shape, Tape
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.side import Side, side_of
from ..measure.units import Units, tape
from ..measure.window import Window
from ..opinions.held import remembered
from .fit import perceive
from .method import LooksStraight
from .trial import Trial

_WIDE_MM, _TALL_MM = 300.0, 100.0


def verdict_of(found: LooksStraight) -> Verdict:
    """Whether a true line looks straight to this golfer: none where it likely does, by enough that matters."""
    return weigh(found.right, found.left, found.small, can_be_clear=found.proved)


def nearer(one: LooksStraight, other: LooksStraight) -> float:
    """Chance that the first of two tests is nearer to straight; by draws from normal approximations of both."""
    rng = np.random.default_rng(0)

    def draws(it: Estimate) -> np.ndarray:
        return rng.normal(it.value, it.sd, 20_000)

    return float((np.abs(draws(one.angle)) < np.abs(draws(other.angle))).mean())


def sight_vial(found: LooksStraight, seen: Sequence[Interval], window: Window, *, settled: bool) -> Vial:
    """The looks-straight angle on the vial all angles are shown on, against what the hole allows."""
    return vial(seen, Bubble(found.angle, found.noise) if found.tells else None, window, settled=settled)


@remembered(128)
def curve(trials: tuple[Trial, ...]) -> Scene:
    """How often the rod looks left and right at each true angle, with the answers given; a picture, not to scale."""
    found = perceive(trials)
    it = found.looks_straight
    far = max(3.0, abs(it.low) + 1, abs(it.high) + 1, *(abs(trial.true_deg) for trial in trials))
    angles = np.linspace(-far, far, 61)
    said = found.answers(angles)

    def x(angle: float) -> float:
        return angle / far * _WIDE_MM / 2

    shapes: list[Shape] = [Line(-_WIDE_MM / 2, 0, _WIDE_MM / 2, 0, "ground"), Line(0, -_TALL_MM, 0, 0, "line")]
    for column, role in ((0, "left"), (2, "right")):
        points = tuple((x(float(a)), -_TALL_MM * float(p)) for a, p in zip(angles, said[:, column], strict=True))
        shapes.append(Curve(points, "left" if role == "left" else "right"))
    shapes.append(Line(x(it.low), 5, x(it.high), 5, "limit"))
    rows = {"left": 22.0, "straight": 30.0, "right": 38.0}
    shapes += [Circle(x(trial.true_deg), rows[trial.looks], 2.2, "post") for trial in trials]
    shapes += [Label(-_WIDE_MM / 2 - 4, at + 3, name, "end") for name, at in rows.items()]
    for angle in range(-int(far), int(far) + 1):
        if angle % (2 if far > 4 else 1) == 0:
            shapes.append(Line(x(angle), 0, x(angle), 4, "mark"))
            side: Side = side_of(angle)
            shapes.append(Label(x(angle), 16, "0" if angle == 0 else f"{abs(angle)}° {side[0].upper()}"))
    words = "How often a rod looks left, falling, and right, rising, over where it truly points; dots are the answers."
    return Scene(-_WIDE_MM / 2 - 40, -_TALL_MM - 6, _WIDE_MM / 2 + 16, 46, words, tuple(shapes))


def laid_rod(spot_m: float, away_m: float, units: Units, words: str) -> Scene:
    """Where the rod is to lie for the next answer, from above: the line, the rod, and its far end's place by tape;
    `words` says the same."""
    far, beside = away_m * 1000, spot_m * 1000
    shapes: list[Shape] = [
        Line(-150, 0, far + 150, 0, "line"),
        Circle(0, 0, BALL_M * 500, "ball"),
        Line(0, 0, far, beside, "limit"),
        Tape(0, 0, far, 0, tape(away_m, units), 1 if beside <= 0 else -1),
    ]
    if beside:
        shapes.append(Tape(far, 0, far, beside, tape(round(abs(spot_m), 3), units), 1))
    return Scene(-200, -min(400.0, far / 4), far + 420, min(400.0, far / 4), words, tuple(shapes))
