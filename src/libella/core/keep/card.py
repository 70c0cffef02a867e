"""A set-up kept as what the golfer goes by: what to move, where the eyes come to be, what looks straight from there."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ..certainty.estimate import Estimate
from ..drawing.scene import Circle, Label, Line, Scene, Shape, box
from ..golfer.hand import Hand
from ..measure.constants import BALL_M
from ..see.eyes import EyePlace, EyeTake
from ..see.position import Position
from ..see.trial import Looks
from ..stand.set_up import SetUp
from .quick_check import Kept

_GRID: Final = (80.0, 100.0)
Marks = tuple[tuple[float, float], tuple[float, float]]
"""Lead and trail eye, mm: inside the line, behind the ball."""


@dataclass(frozen=True, slots=True)
class Card:
    """What is kept, in the terms it was found in.

    Attributes
    ----------
    position : levers moved from the set-up that was usual then
    values : the set-up as noted
    kept : where the eyes are with the change made, how far they wander, what looks straight there
    marks : both eyes with the change made, for the mirror; None where they were not marked
    zone_mm : where this golfer's eyes were wanted, mm inside
    nose : where the nose is with the change made, mm inside and behind; None where it was not marked
    set_up : the set-up it was marked in, by its name; empty as usual
    first : how a true line looked there in first looks, and how often; None where nobody asked
    """

    position: Position
    values: SetUp
    kept: Kept
    marks: Marks | None
    zone_mm: tuple[float, float] | None
    nose: tuple[float, float] | None = None
    set_up: str = ""
    first: tuple[Looks, int] | None = None


def moved_card(
    position: Position,
    values: SetUp,
    found: EyePlace | None,
    looks: Sequence[EyeTake],
    angle: Estimate | None,
    zone_mm: tuple[float, float] | None,
) -> Card:
    """The card of a change from the usual set-up, as measured: the eyes go where the change takes them.

    Head tilt, chin, ball and distance are set, not where the eyes come to be: mark them again once they are.
    """
    by_inside, by_behind = position.get("inside", 0.0), position.get("behind", 0.0)
    inside = behind = None
    marks: Marks | None = None
    if found:
        inside = _shifted(found.inside, by_inside) if found.inside else None
        behind = _shifted(found.behind, by_behind) if found.behind else None
    if looks and inside and behind:
        # The newest look has the eyes' own distance and line; their middle comes from all looks.
        last = looks[-1]
        half = tuple(
            (a - b) * 500
            for a, b in (
                (last.lead.inside_m, last.trail.inside_m),
                (last.lead.behind_m, last.trail.behind_m),
            )
        )
        middle = inside.value, behind.value
        marks = (middle[0] + half[0], middle[1] + half[1]), (middle[0] - half[0], middle[1] - half[1])
    wander = found.wander.value if found and found.wander else 8.0
    seen = found.nose_mm if found else None
    nose = (seen[0] + by_inside, seen[1] + by_behind) if seen else None
    return Card(position, values, Kept(inside, behind, wander, angle), marks, zone_mm, nose)


def mirror_overlay(
    hand: Hand, zone_mm: tuple[float, float] | None, marks: Marks | None, nose: tuple[float, float] | None = None
) -> Scene:
    """An overlay for the ground mirror in true size, the hole at the top: a grid of 10 mm, the zone, eyes and nose."""
    towards = -1 if hand == "right" else 1
    wide, tall = _GRID
    shapes: list[Shape] = []
    if zone_mm:
        low, high = (towards * max(-wide, min(wide, it)) for it in zone_mm)
        shapes.append(box(min(low, high), -tall, max(low, high), tall, "window"))
    for n in range(-8, 9):
        shapes.append(Line(n * 10, -tall, n * 10, tall, "limit" if n == 0 else "mark"))
        if n % 2 == 0:
            shapes.append(Label(n * 10, tall + 6, f"{abs(n) * 10}"))
    shapes += [Line(-wide, n * 10, wide, n * 10, "limit" if n == 0 else "mark") for n in range(-10, 11)]
    for name, (inside, behind) in zip(("lead", "trail"), marks or (), strict=False):
        x, y = towards * inside, behind
        shapes += [Circle(x, y, 12, "ring"), Circle(x, y, 2, "post"), Label(x, y - 15, name)]
    if nose:
        x, y = towards * nose[0], nose[1]
        shapes += [Circle(x, y, 8, "ring"), Label(x, y + 12, "nose")]
    if marks:
        shapes.append(Circle(0, 0, BALL_M * 500, "ghost"))
    shapes.append(Label(towards * 60, -tall - 4, "inside, mm"))
    shapes.append(Label(-towards * 60, -tall - 4, "outside, mm"))
    said = "" if not zone_mm else f" Shaded: {_edge(zone_mm[0])} to {_edge(zone_mm[1])} (a school)."
    shapes.append(Label(0, tall + 13, f"Thick lines: the line, and level with the ball.{said}"))
    if marks:
        shapes.append(Label(0, tall + 20, "Rings: where each eye shows itself, the other shut. Mirror level."))
    return Scene(-wide - 6, -tall - 12, wide + 6, tall + 25, "Overlay for the mirror on the ground.", tuple(shapes))


def _edge(mm: float) -> str:
    return f"{abs(mm):g} mm {'outside' if mm < 0 else 'inside'}"


def _shifted(it: Estimate, by: float) -> Estimate:
    return Estimate(it.value + by, it.low + by, it.high + by)
