"""Templates to print in true size and lay on the ground or hold to the face: scenes in which 1 mm is 1 mm.

On a template's page x runs to the right and y down, as on paper; the hole is towards the top.
"""

import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Final

from ..drawing.scene import Circle, Curve, Label, Line, Scene, Shape, Tape, box
from ..golfer.hand import Hand
from ..instruments.board import Board
from ..instruments.gate import Gate
from ..instruments.path_template import PathTemplate
from ..instruments.peg_gate import PegGate
from ..instruments.square_reference import SquareReference
from ..measure.angle import angle_deg, offset_m
from ..measure.constants import BALL_M
from ..measure.limits import OutOfLimits
from ..measure.units import Units, fine_degrees, tape
from ..schools.held import DISAGREEMENTS
from ..set.station import Station
from .card import mirror_overlay

_BALL_MM: Final = BALL_M * 1000
_FAN_DEG: Final = 10
_FAN_MM: Final = 150.0


@dataclass(frozen=True, slots=True)
class Template:
    """Something to print: what it is called, what it is for, and how it is drawn for a station."""

    name: str
    words: str
    draw: Callable[[Station, Hand, Units], Scene]


def square_reference(station: Station, hand: Hand, units: Units) -> Scene:
    """An edge to set the face against, the line square to it, and a fan of degrees about the ball."""
    reference = next((it for it in station.aids if isinstance(it, SquareReference)), None) or SquareReference()
    half = max(reference.face_length_m * 500, 60.0) + 15
    shapes: list[Shape] = [
        Line(-half, 0, half, 0, "limit"),
        Line(0, -_FAN_MM - 12, 0, 30, "line"),
        Circle(0, -_BALL_MM / 2, _BALL_MM / 2, "ball"),
    ]
    for n in range(-2 * _FAN_DEG, 2 * _FAN_DEG + 1):
        turn = math.radians(n / 2)
        whole, five = n % 2 == 0, n % 10 == 0
        inner = _FAN_MM - (14 if five else 9 if whole else 5)
        shapes.append(
            Line(
                inner * math.sin(turn),
                -inner * math.cos(turn),
                _FAN_MM * math.sin(turn),
                -_FAN_MM * math.cos(turn),
                "mark",
            )
        )
        if five:
            at = _FAN_MM + 4
            said = f"{abs(n) // 2}°" + ("" if n == 0 else " L" if n < 0 else " R")
            shapes.append(Label(at * math.sin(turn), -at * math.cos(turn), said))
    shapes.append(Tape(-half, 0, half, 0, tape(half / 500, units), 1))
    shapes.append(Label(0, 24, "Face against this edge; the line runs up the page."))
    return Scene(-half - 8, -_FAN_MM - 14, half + 8, 34, "Square reference with a fan of degrees.", tuple(shapes))


def gate(station: Station, hand: Hand, units: Units) -> Scene:
    """Ball spot, line and gate: push the posts through the circles."""
    rig = station.rig if isinstance(station.rig, Gate) else PegGate()
    away, half, post = rig.distance_m * 1000, rig.inside_width_m * 500, rig.post_width_m * 1000
    wide = half + post + 40
    x = station.across_m * 1000 if rig is station.rig else 0.0
    shapes: list[Shape] = [
        Line(0, -away - 20, 0, 25, "line"),
        Circle(0, 0, _BALL_MM / 2, "ball"),
        Line(-8, 0, 8, 0, "mark"),
        *(Circle(x + side * (half + post / 2), -away, post / 2, "post") for side in (-1, 1)),
        Line(x - wide, -away, x + wide, -away, "mark"),
        Tape(x - half, -away, x + half, -away, tape(rig.inside_width_m, units), -1),
        Tape(wide - 25, 0, wide - 25, -away, tape(rig.distance_m, units), 1),
        Label(0, 32, f"Lets ± {fine_degrees(rig.limit_deg)} through clean"),
    ]
    words = f"Gate, {tape(rig.inside_width_m, units)} inside, {tape(rig.distance_m, units)} from the ball."
    return Scene(-wide - abs(x), -away - 32, wide + abs(x), 38, words, tuple(shapes))


def ruler_board(station: Station, hand: Hand, units: Units) -> Scene:
    """A ruler across the line, marked in degrees for the distance it is laid at."""
    board = station.rig if isinstance(station.rig, Board) else Board()
    away, reach = board.distance_m, board.half_width_m
    fine = next(it for it in (0.1, 0.2, 0.5, 1.0, 2.0) if offset_m(it, away) >= 0.0025)
    shapes: list[Shape] = [box(-reach * 1000, 0, reach * 1000, 30, "board"), Line(0, -12, 0, 30, "line")]
    every = next(it for it in (1, 2, 5, 10) if offset_m(it * fine, away) >= 0.012)
    for n in range(-math.floor(angle_deg(reach, away) / fine), math.floor(angle_deg(reach, away) / fine) + 1):
        at = offset_m(n * fine, away) * 1000
        told = n % every == 0
        shapes.append(Line(at, 0, at, 14 if told else 8, "mark"))
        if told:
            shapes.append(Label(at, 20, f"{abs(n) * fine:g}°"))
    shapes.append(Label(-reach * 500, 27, "left"))
    shapes.append(Label(reach * 500, 27, "right"))
    shapes.append(Label(0, -14, f"Lay its upper edge {tape(away, units)} from the ball's centre"))
    words = f"Ruler board in degrees, to lie {tape(away, units)} from the ball."
    return Scene(-reach * 1000 - 5, -20, reach * 1000 + 5, 40, words, tuple(shapes))


def eye_mirror(station: Station, hand: Hand, units: Units) -> Scene:
    """An overlay for the ground mirror: a grid of 10 mm about the line, and the zone a little inside it."""
    return mirror_overlay(hand, DISAGREEMENTS["eyes"].schools["inside"].settings.eyes_mm, None)


def laser_card(station: Station, hand: Hand, units: Units) -> Scene:
    """A card to stand behind the ball's spot: a laser that splits the ball lies on its middle line."""
    r = _BALL_MM / 2
    shapes: list[Shape] = [
        Line(-60, 0, 60, 0, "limit"),
        Line(-60, 30, 60, 30, "mark"),
        Circle(0, -r, r, "ball"),
        Line(0, -85, 0, 30, "line"),
        Label(0, 24, "Fold here; this edge on the ground, middle line on the spot."),
    ]
    for n in range(-30, 31):
        long = n % 10 == 0
        shapes.append(Line(n, -60, n, -60 - (10 if long else 6 if n % 5 == 0 else 3), "mark"))
        if long:
            shapes.append(Label(n, -73, f"{abs(n)}"))
    for share, said in ((0.25, "centre"), (0.75, "quarter"), (1.0, "edge")):
        shapes += [Line(side * share * r, -56, side * share * r, 0, "mark") for side in (-1, 1)]
        shapes.append(Label((share - 0.11) * r, -51 + (4 if share == 0.75 else 0), said))
    return Scene(-66, -90, 66, 36, "Card that shows where a laser splits the ball, in mm.", tuple(shapes))


def path(station: Station, hand: Hand, units: Units) -> Scene:
    """The lane the head is to go along, with the ball's spot and the line; the golfer stands beside it."""
    lane = next((it for it in station.aids if isinstance(it, PathTemplate)), None) or PathTemplate()
    side = 1 if hand == "right" else -1
    back, through = lane.back_m * 1000, lane.through_m * 1000

    def turned(off_m: float) -> tuple[tuple[float, float], ...]:
        return tuple((side * y, -x) for x, y in lane.arc_mm(off_m))

    edge = lane.lane_m / 2
    reach = max(abs(x) for off in (edge, -edge) for x, _ in turned(off)) + 10
    shapes: tuple[Shape, ...] = (
        Line(0, -through, 0, back, "line"),
        *(Curve(turned(off), "path") for off in (edge, -edge)),
        Circle(0, -_BALL_MM / 2, _BALL_MM / 2, "ball"),
        Line(-8, 0, 8, 0, "mark"),
        Tape(-edge * 1000, back, edge * 1000, back, tape(lane.lane_m, units), 1),
    )
    words = f"Path for the head, an arc of {tape(lane.radius_m, units)}, the lane {tape(lane.lane_m, units)} wide."
    return Scene(-reach, -through - 12, reach, back + 30, words, shapes)


TEMPLATES: Final[Mapping[str, Template]] = {
    "square-reference": Template(
        "Square reference with degrees",
        "An edge for the face, and a fan to read the face or a rod by.",
        square_reference,
    ),
    "gate": Template("Gate for this station", "Ball spot and both posts where the plan has them.", gate),
    "ruler-board": Template("Ruler board in degrees", "Marked for the distance the plan has it at.", ruler_board),
    "eye-mirror": Template("Overlay for the eye mirror", "A fine grid about the line.", eye_mirror),
    "path": Template("Path for the head", "The lane the head goes along, as the plan has it; fade it soon.", path),
    "laser-card": Template(
        "Laser split card", "Stands at the ball's spot; shows where the laser lies on the ball.", laser_card
    ),
}


def template(name: str) -> Template:
    """The template of that name, or `OutOfLimits`."""
    if name not in TEMPLATES:
        raise OutOfLimits("name", "no_template", named=name, known=tuple(TEMPLATES))
    return TEMPLATES[name]
