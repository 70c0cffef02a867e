"""The perception map as a coach reads it: sentences, both beliefs beside what was measured, and the drawing."""

from dataclasses import dataclass
from itertools import pairwise
from typing import Final

import numpy as np

from ..constants import BALL_M
from ..drawing.scene import Area, Circle, Label, Line, Scene, Shape, box, mirrored
from ..estimate.posterior import Floats
from ..golfer import Hand
from ..judge.verdict import sure_of
from ..wording import Units, about, degrees, fine_degrees, percent, side_of
from .map import Effect, PerceptionMap
from .position import LEVERS, Lever, Position, position_words

ROADS: Final = (
    "Keep the true line and train: the rod on a proved line, looked at from this set-up, until it looks right.",
    "Aim at a spot a short way ahead instead: it lies near, so the eyes have little to be wrong about.",
    "Drop the line on the ball, or use it only to see the roll: no line that looks wrong, nothing to fight.",
)
"""What else is held to help where no playable change does: opinions (handbook 7)."""
_REACH_MM: Final = 75.0
_ROWS: Final = 76


@dataclass(frozen=True, slots=True)
class EffectWords:
    """One lever: what coaches believe of it, and what this golfer's answers say."""

    lever: Lever
    name: str
    one_belief: str
    other_belief: str
    measured: str


@dataclass(frozen=True, slots=True)
class MapWords:
    """The sentences of a map."""

    headline: str
    sure: str
    roads: tuple[str, ...]
    next: str
    effects: tuple[EffectWords, ...]


def map_words(found: PerceptionMap, units: Units) -> MapWords:
    """What it says, and what to do next."""
    headline, sure, roads = _headline(found, units)
    return MapWords(headline, sure, roads, _next(found, units), tuple(_effect(it, units) for it in found.effects))


def _headline(found: PerceptionMap, units: Units) -> tuple[str, str, tuple[str, ...]]:
    told = [it for it in found.tried if it.tells]
    if not told:
        return "Nothing to draw yet.", "Ask once as usual, then with one thing moved.", ()
    change = found.change
    if change is None:
        return (
            f"As usual {_said(found.at({}).value)}; not known yet what moves it.",
            "One thing moved at a time, asked again each time, tells which way it goes for these eyes.",
            (),
        )
    if not change.position:
        return "Straight looks straight as this golfer stands: nothing to move.", f"{percent(change.enough)} sure.", ()
    left = change.after
    span = f"between {_said(left.low)} and {_said(left.high)}, nine in ten"
    if not change.reaches:
        return (
            f"No playable change does it: {position_words(change.position, units)} still leaves {_said(left.value)}.",
            f"There, straight lies {span}.",
            ROADS,
        )
    sure = sure_of(change.nearer)
    return (
        f"Smallest playable change: {position_words(change.position, units)}.",
        f"Straight is seen truer there than now: {sure} ({percent(change.nearer)}). There it lies {span}; "
        f"within ± {fine_degrees(found.limit_deg)}, what matters here, with {percent(change.enough)}.",
        () if change.enough >= 0.5 else ROADS,
    )


def _next(found: PerceptionMap, units: Units) -> str:
    position = found.next
    if position is None:
        return "Every place worth trying was tried."
    if not position:
        return "Ask as usual first: everything else is moved from there."
    change = found.change
    if change is not None and position == change.position:
        return f"Ask again with the change made: {position_words(position, units)}."
    return f"Worth trying next: {position_words(position, units)}. It tells most about what is not known."


def _effect(it: Effect, units: Units) -> EffectWords:
    lever = LEVERS[it.lever]
    move = lever.plus
    # Coaches contradict each other on the eyes; on the other levers none holds a belief as loudly.
    believed = it.lever in ("inside", "behind")
    swing = tuple(f"Held by some: {move}, the line swings {it}." if believed else "" for it in ("left", "right"))
    if not it.tried:
        return EffectWords(it.lever, lever.name, swing[0], swing[1], "Not tried with this golfer.")
    per = 10 if lever.unit == "mm" else 1
    size = about(0.01, 0.0, units) if lever.unit == "mm" else "1°"
    low, high = sorted((abs(it.slope.low * per), abs(it.slope.high * per)))
    if it.slope.low * it.slope.high < 0:
        low = 0.0
    # A rod that must point further right to look straight: the line itself looks further left.
    side = "left" if it.slope.value > 0 else "right"
    return EffectWords(
        it.lever,
        lever.name,
        swing[0],
        swing[1],
        f"{size} {move} it seems to swing {fine_degrees(it.slope.value * per)} {side} "
        f"({fine_degrees(low)} to {fine_degrees(high)}): {it.sure} ({percent(max(it.right, 1 - it.right))}).",
    )


def _said(value: float) -> str:
    side = side_of(value, 0.05)
    return "straight is true" if side == "neither" else f"{degrees(value, 0.1)} {side}"


def map_scene(found: PerceptionMap, hand: Hand, usual_mm: tuple[float, float] | None) -> Scene:
    """The map from above, the hole at the right, mm about the usual head: level lines of the looks-straight angle.

    `usual_mm`: where the eyes usually are, inside the line and behind the ball; with it the line itself is drawn.
    Shaded is where straight may well look straight (inside the 90 % interval).
    """
    reach = _REACH_MM
    shapes: list[Shape] = [*_shade(found, reach), *_frame(reach)]
    if usual_mm is not None and abs(usual_mm[0]) < reach:
        shapes.append(Line(-reach, usual_mm[0], reach, usual_mm[0], "line"))
        shapes.append(Label(reach + 3, usual_mm[0] + 2, "the line", "start"))
        if abs(usual_mm[1]) < reach:
            shapes.append(Circle(usual_mm[1], usual_mm[0], BALL_M * 500, "ghost"))
    shapes += _levels(found, reach)
    for it in found.tried:
        if set(it.position) <= {"inside", "behind"}:
            shapes += _place(it.position, it.playable, _label(it.found.angle.value) if it.tells else "?")
    change = found.change
    if change and change.position and set(change.position) <= {"inside", "behind"}:
        x, y = _at(change.position)
        shapes += [Circle(x, y, 9, "ring"), Label(x - 11, y + 2, "the change", "end")]
    shapes += [
        Label(reach + 3, -reach + 4, "further in", "start"),
        Label(reach + 3, reach, "further out", "start"),
        Label(reach, reach + 8, "towards the hole ▸", "end"),
    ]
    if hand == "left":
        shapes = [mirrored(it) for it in shapes]
    words = "The map from above: the looks-straight angle over where the head is; the thick line is where it is 0."
    return Scene(-reach - 22, -reach - 12, reach + 36, reach + 12, words, tuple(shapes))


def _frame(reach: float) -> list[Shape]:
    edges = ((-reach, -reach), (reach, -reach), (reach, reach), (-reach, reach), (-reach, -reach))
    return [
        *(Line(*one, *other, "mark") for one, other in pairwise(edges)),
        Line(-reach, 0, reach, 0, "stance"),
        Line(0, -reach, 0, reach, "stance"),
    ]


def _at(position: Position) -> tuple[float, float]:
    return -position.get("behind", 0.0), -position.get("inside", 0.0)


def _place(position: Position, playable: bool, said: str) -> list[Shape]:
    x, y = _at(position)
    cross: list[Shape] = [Line(x - 5, y - 5, x + 5, y + 5, "limit"), Line(x - 5, y + 5, x + 5, y - 5, "limit")]
    return [*([Circle(x, y, 3.5, "post")] if playable else cross), Label(x + 6, y - 4, said, "start")]


def _label(angle: float) -> str:
    side = side_of(angle, 0.05)
    return "0°" if side == "neither" else f"{abs(angle):.1f}° {side[0].upper()}"


def _levels(found: PerceptionMap, reach: float) -> list[Shape]:
    """Level lines: where the looks-straight angle is the same; none along a lever that nobody knows the effect of."""
    start, inside, behind = (float(found.mean[n]) for n in (0, 1, 2))
    steep = (abs(inside) + abs(behind)) * reach
    if not any(it.tried for it in found.effects[:2]) or steep < 0.1:
        return []
    shapes: list[Shape] = []
    step = 0.5 if steep < 2.5 else 1.0
    for n in range(-12, 13):
        ends = _crossing(start - n * step, inside, behind, reach)
        if ends is None:
            continue
        (x1, y1), (x2, y2) = ends
        shapes.append(Line(x1, y1, x2, y2, "limit" if n == 0 else "mark"))
        # Named outside the frame, where the line meets its left edge, or else its top.
        x, y = min(ends)
        if x <= -reach + 1e-6:
            shapes.append(Label(-reach - 3, y + 2, _label(n * step), "end"))
        elif (top := min(ends, key=lambda it: it[1]))[1] <= -reach + 1e-6:
            shapes.append(Label(top[0], -reach - 3, _label(n * step)))
    return shapes


def _crossing(
    start: float, inside: float, behind: float, reach: float
) -> tuple[tuple[float, float], tuple[float, float]] | None:
    """Where start + inside·i + behind·b = 0 enters and leaves the square; on the page x = −b, y = −i."""
    points: list[tuple[float, float]] = []
    for edge in (-reach, reach):
        if abs(inside) > 1e-6 and abs(i := -(start + behind * edge) / inside) <= reach:
            points.append((-edge, -i))
        if abs(behind) > 1e-6 and abs(b := -(start + inside * edge) / behind) <= reach:
            points.append((-b, -edge))
    return (points[0], points[-1]) if len(points) >= 2 else None


def _shade(found: PerceptionMap, reach: float) -> list[Shape]:
    """Where 0 lies inside the 90 % interval: along each row of the page the ends of a quadratic inequality."""
    mean, cov = found.mean[[0, 2, 1]], found.cov[np.ix_([0, 2, 1], [0, 2, 1])]  # start, behind, inside
    rows = [(float(y), _ends(mean, cov, float(y), reach)) for y in np.linspace(-reach, reach, _ROWS)]
    if all(ends == [(-reach, reach)] for _, ends in rows):
        return []
    shapes: list[Shape] = []
    for (y1, one), (y2, other) in pairwise(rows):
        if len(one) == len(other):
            shapes += [
                Area(((a1, y1), (b1, y1), (b2, y2), (a2, y2)), "shade")
                for (a1, b1), (a2, b2) in zip(one, other, strict=True)
            ]
        else:  # the region opens, closes or joins between the rows
            half = (y1 + y2) / 2
            shapes += [box(a, y1, b, half, "shade") for a, b in one] + [box(a, half, b, y2, "shade") for a, b in other]
    return shapes


def _ends(mean: Floats, cov: Floats, y: float, reach: float) -> list[tuple[float, float]]:
    """Where m(x)² < 1.645²·s(x)² on the row, from left to right; the page's x is −behind, its y −inside."""
    start, slope = mean[0] - mean[2] * y, -mean[1]
    fixed = np.array([1.0, 0.0, -y])
    moved = np.array([0.0, -1.0, 0.0])
    wide = 1.645**2
    a = slope**2 - wide * moved @ cov @ moved
    b = 2 * (start * slope - wide * fixed @ cov @ moved)
    c = start**2 - wide * fixed @ cov @ fixed
    roots = sorted(float(it.real) for it in np.roots([a, b, c]) if abs(it.imag) < 1e-9)
    edges = [-reach, *(it for it in roots if -reach < it < reach), reach]
    spans = [(one, other) for one, other in pairwise(edges) if a * (x := (one + other) / 2) ** 2 + b * x + c < 0]
    return spans
