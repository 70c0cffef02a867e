"""What a test of looking straight says to a coach, and its drawings."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..certainty.estimate import Estimate
from ..certainty.verdict import CLEAR, LIKELY, NONE, sure_of
from ..certainty.vial import Bubble, Vial, vial
from ..drawing.scene import Circle, Curve, Label, Line, Scene, Shape, Tape
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.side import Side, side_of
from ..measure.units import Units, degrees, fine_degrees, percent, tape
from ..measure.window import Window
from .fit import perceive
from .method import LooksStraight
from .trial import Trial

FEWEST = 6
"""Answers before anything is said of them."""
_WIDE_MM, _TALL_MM = 300.0, 100.0


@dataclass(frozen=True, slots=True)
class SightWords:
    """The sentences of a test: what was found, what it means for a true line, and what is not known."""

    headline: str
    meaning: str
    doubt: str


def sight_words(found: LooksStraight) -> SightWords:
    """A finding is a finding about the eyes; whether this golfer then aims that way is asked later, never assumed."""
    n = found.trials
    if n == 0:
        return SightWords("Nothing asked yet.", "", "")
    if found.too_noisy:
        return SightWords(
            "Too noisy to name an angle.",
            "The answers contradict each other more than guesses would; ask again, slower, the rod held still.",
            f"{n} answers.",
        )
    if found.open_side is not None:
        bound = found.angle.low if found.open_side == "right" else found.angle.high
        far = "more than" if side_of(bound) == found.open_side else "about"
        return SightWords(
            f"All answers alike: {far} {fine_degrees(bound)} {found.open_side}, how far is open.",
            f"Turn the rod further {found.open_side} until an answer changes.",
            f"{n} answers.",
        )
    if n < FEWEST:
        return SightWords(f"{n} of at least {FEWEST} answers.", "Too few to say anything of them.", "")
    angle, doubt = found.angle, (found.angle.high - found.angle.low) / 2
    side = side_of(angle.value)
    said = degrees(angle.value, doubt)
    word = _word(found)
    headline = (
        "A true line looks straight." if word == "nothing to mend" else f"Straight is {said} {side} of true, {word}."
    )
    other = "left" if side == "right" else "right"
    meaning = (
        "Nothing there to mend."
        if word == "nothing to mend"
        else f"A rod must truly point {said} {side} to look straight; one on the true line looks {other}."
    )
    zone = "" if found.zone is None else f" Anything within ± {fine_degrees(found.zone.value)} is called straight."
    return SightWords(
        headline,
        meaning,
        f"Between {_said(angle.low)} and {_said(angle.high)}, nine in ten, from {n} answers. "
        f"One answer scatters by {fine_degrees(found.noise.value)}.{zone}",
    )


def _said(value: float) -> str:
    return f"{fine_degrees(value)} {side_of(value)}"


def _word(found: LooksStraight) -> str:
    strongest = max(found.right, found.left)
    if strongest >= CLEAR:
        return "clear"
    if strongest >= LIKELY:
        return "likely"
    return "nothing to mend" if 1 - found.right - found.left >= NONE else "can't tell yet"


def less(one: LooksStraight, other: LooksStraight, names: tuple[str, str]) -> str:
    """Which of two tests is nearer to straight, in words; by draws from normal approximations of both."""
    rng = np.random.default_rng(0)

    def draws(it: Estimate) -> np.ndarray:
        return rng.normal(it.value, (it.high - it.low) / 3.29, 20_000)

    chance = float((np.abs(draws(one.angle)) < np.abs(draws(other.angle))).mean())
    better, worse = names if chance >= 0.5 else names[::-1]
    sure = max(chance, 1 - chance)
    word = sure_of(sure)
    return f"Straight is seen truer {better} than {worse}: {word} ({percent(sure)})."


def sight_vial(found: LooksStraight, seen: Sequence[Interval], window: Window, *, settled: bool) -> Vial:
    """The looks-straight angle on the vial all angles are shown on, against what the hole allows."""
    shown = found.trials >= FEWEST and not found.too_noisy and found.open_side is None
    return vial(seen, Bubble(found.angle, found.noise) if shown else None, window, settled=settled)


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


def laid_rod(true_deg: float, spot_m: float, away_m: float, units: Units) -> Scene:
    """Where the rod is to lie for the next answer, from above: the line, the rod, and its far end's place by tape."""
    far, beside = away_m * 1000, spot_m * 1000
    shapes: list[Shape] = [
        Line(-150, 0, far + 150, 0, "line"),
        Circle(0, 0, BALL_M * 500, "ball"),
        Line(0, 0, far, beside, "limit"),
        Tape(0, 0, far, 0, tape(away_m, units), 1 if beside <= 0 else -1),
    ]
    if beside:
        shapes.append(Tape(far, 0, far, beside, tape(round(abs(spot_m), 3), units), 1))
    words = f"The rod truly {rod_words(true_deg, spot_m, away_m, units)}"
    return Scene(-200, -min(400.0, far / 4), far + 420, min(400.0, far / 4), words, tuple(shapes))


def rod_words(true_deg: float, spot_m: float, away_m: float, units: Units) -> str:
    """How to lay it: "0.75° right: its far end 26 mm right of the line, 2.00 m away."."""
    if true_deg == 0:
        return f"on the line, its far end {tape(away_m, units)} away."
    side = side_of(true_deg)
    beside = tape(round(abs(spot_m), 3), units)
    return f"{fine_degrees(true_deg)} {side}: its far end {beside} {side} of the line, {tape(away_m, units)} away."
