"""The perception map as a coach reads it: sentences, both beliefs beside what was measured, and the drawing."""

from dataclasses import dataclass
from typing import Final

import numpy as np

from ..constants import BALL_M
from ..drawing.scene import Area, Circle, Label, Line, Scene, Shape, mirrored
from ..golfer import Hand
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
_COLUMNS: Final = 50


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
    sure = "clear" if change.nearer >= 0.95 else "likely" if change.nearer >= 0.8 else "can't tell yet"
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
    shapes: list[Shape] = [*_shade(found, reach)]
    shapes += [Line(-reach, 0, reach, 0, "mark"), Line(0, -reach, 0, reach, "mark")]
    if usual_mm is not None and abs(usual_mm[0]) < reach:
        shapes.append(Line(-reach, usual_mm[0], reach, usual_mm[0], "line"))
        shapes.append(Label(reach - 2, usual_mm[0] - 3, "the line", "end"))
        if abs(usual_mm[1]) < reach:
            shapes.append(Circle(usual_mm[1], usual_mm[0], BALL_M * 500, "ghost"))
    shapes += _levels(found, reach)
    for it in found.tried:
        if set(it.position) <= {"inside", "behind"}:
            shapes += _place(it.position, it.playable, _label(it.found.angle.value) if it.tells else "?")
    change = found.change
    if change and change.position and set(change.position) <= {"inside", "behind"}:
        x, y = _at(change.position)
        shapes += [Circle(x, y, 9, "ring"), Label(x + 12, y + 16, "the change", "start")]
    shapes += [
        Label(-reach + 2, -reach + 8, "further in", "start"),
        Label(-reach + 2, reach - 4, "further out", "start"),
        Label(reach - 2, reach - 4, "towards the hole", "end"),
    ]
    if hand == "left":
        shapes = [mirrored(it) for it in shapes]
    words = "The map from above: the looks-straight angle over where the head is; the thick line is where it is 0."
    return Scene(-reach - 4, -reach - 4, reach + 4, reach + 4, words, tuple(shapes))


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
        shapes.append(Line(x1, y1, x2, y2, "limit" if n == 0 else "path" if n % 2 == 0 else "stance"))
        if n:
            top = (x1, y1) if y1 < y2 or (y1 == y2 and x1 > x2) else (x2, y2)
            shapes.append(Label(top[0] * 0.9, top[1] * 0.9, _label(n * step)))
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
    """Where 0 lies inside the 90 % interval, as strips along the line."""
    step = 2 * reach / _COLUMNS
    centres = -reach + step * (np.arange(_COLUMNS) + 0.5)
    behind, inside = np.meshgrid(-centres, -centres)
    rows = np.stack([np.ones_like(inside), inside, behind], axis=-1)
    middle = rows @ found.mean[:3]
    sd = np.sqrt(np.einsum("rci,ij,rcj->rc", rows, found.cov[:3, :3], rows))
    near = np.abs(middle) < 1.645 * sd
    if near.all():
        return []
    shapes: list[Shape] = []
    for n, row in enumerate(near):
        edges = np.flatnonzero(np.diff(np.concatenate(([0], row.astype(np.int8), [0]))))
        for first, last in zip(edges[::2], edges[1::2], strict=True):
            left, right = -reach + step * first, -reach + step * last
            top, bottom = -reach + step * n, -reach + step * (n + 1)
            shapes.append(Area(((left, top), (right, top), (right, bottom), (left, bottom)), "shade"))
    return shapes
