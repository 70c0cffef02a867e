"""What eyes see: a mirror on a slope, a string over the ball, and what looks straight from where."""

import math
from typing import Final

from ..certainty.verdict import sure_of
from ..drawing.rays import ray, wedge
from ..drawing.scene import Circle, Label, Line, Scene, Shape, flipped, mirrored
from ..golfer.hand import Hand
from ..instruments.string_sight import StringSight
from ..measure.constants import BALL_M
from ..see.map import perception_map
from ..see.position import Lever as Moved
from .taught import Known, Lever, Say, Shown, Teaching, Told, Values

_SHRUNK: Final = 6.0
_TILTED: Final = 10.0
_HALF_MIRROR: Final = 110.0
_BALL_R: Final = 1000 * BALL_M / 2
_ROD: Final = 900.0
_ENLARGED: Final = 6.0
_MATTERS_DEG: Final = 1.0
"""Weighs nothing where nobody was asked."""


def _mirror(values: Values, known: Known, say: Say) -> Shown:
    """From behind the ball: an eye sees itself where it looks at right angles into the glass."""
    eyes, falls, height = values["eyes"], values["falls"] / 100, values["height"] * 1000
    shift = height * falls
    # Inside is to the golfer, who stands left of the line for a right hand.
    eye, shown = (-eyes, -height / _SHRUNK), -(eyes - shift)
    tilt = falls * _TILTED
    shapes: list[Shape] = [
        Line(-260.0, 0.0, 260.0, 0.0, "ground"),
        Line(-_HALF_MIRROR, _HALF_MIRROR * tilt, _HALF_MIRROR, -_HALF_MIRROR * tilt, "board"),
        Line(0.0, 40.0, 0.0, -60.0, "line"),
        Line(*eye, eye[0], 0.0, "mark"),
        Line(*eye, shown, -shown * tilt, "path"),
        Circle(*eye, 9.0, "ball"),
        Circle(shown, -shown * tilt, 7.0, "mark"),
        Label(eye[0] - 16.0, eye[1], say("eye", eyes), "end"),
        Label(shown, 62.0, say("shown", -shown), "middle"),
    ]
    way = "mirror_in" if shift < 0 else "mirror_out"
    told = Told(way, {"falls_x": abs(values["falls"]), "height_m": values["height"], "shift_mm": abs(shift)})
    truly = Told("mirror_truly", {"shown_inside": eyes - shift, "eyes_inside": eyes})
    level = Told("mirror_level", {"level_mm": height / 100 * 0.1})
    return Shown(_behind(shapes, known.hand), (told, truly, level), _TILTED, _SHRUNK)


def _behind(shapes: list[Shape], hand: Hand) -> Scene:
    turned = [flipped(it) for it in shapes] if hand == "left" else shapes
    return Scene(-300.0, -350.0, 300.0, 110.0, "", tuple(turned))


def _string(values: Values, known: Known, say: Say) -> Shown:
    """From behind the ball: what a string on leaning posts hides at the height of the ball's centre."""
    eyes, string, eye_m = values["eyes"], values["string"], known.eye_height_m
    hung = 1000 * string * math.tan(math.radians(values["lean"]))
    sight = StringSight((eyes - hung) / 1000, eye_m, string)
    covers = 1000 * sight.covers_outside_m(BALL_M / 2) - hung
    over = (-hung, -1000 * string / _SHRUNK)
    eye = (-eyes, -1000 * eye_m / _SHRUNK)
    shapes: list[Shape] = [
        Line(-260.0, _BALL_R, 260.0, _BALL_R, "ground"),
        Circle(0.0, 0.0, _BALL_R, "ball"),
        Line(0.0, 40.0, 0.0, -70.0, "line"),
        Line(0.0, _BALL_R, *over, "post"),
        Line(*eye, covers, 0.0, "path"),
        Circle(*over, 5.0, "mark"),
        Circle(*eye, 9.0, "ghost"),
        Label(eye[0] - 16.0, eye[1], say("eye", eyes), "end"),
        Label(covers, 70.0, say("covers", covers), "middle"),
    ]
    radii = covers / _BALL_R
    place = "splits" if abs(radii) < 0.25 else "quarter" if abs(radii) < 0.75 else "edge" if abs(radii) < 1 else "off"
    told = Told("string", {"covers_mm": abs(covers), "eyes_inside": eyes, "string_m": string})
    side = Told(f"string_{place}", {"outside_n": float(covers > 0)})
    lean = Told("string_lean", {"hung_inside": hung})
    return Shown(_behind(shapes, known.hand), (told, side, lean) if hung else (told, side), 1.0, _SHRUNK)


def _straight(values: Values, known: Known, say: Say) -> Shown:
    """From above: where a rod must point to look straight, the eyes being moved."""
    picture = known.picture or perception_map([], _MATTERS_DEG)
    moved: dict[Moved, float] = {"inside": values["inside"], "behind": values["behind"]}
    found = picture.at({name: value for name, value in moved.items() if value})
    head = (-values["behind"] * 2.0, -values["inside"] * 2.0)
    shapes: list[Shape] = [
        Line(-200.0, 0.0, _ROD + 160.0, 0.0, "line"),
        wedge(_ROD, found.low, found.high, _ENLARGED, "shade"),
        ray(_ROD, found.value, _ENLARGED, "board"),
        Circle(_ROD + 120.0, 0.0, 54.0, "hole"),
        Circle(0.0, 0.0, _BALL_R, "ball"),
        *(Circle(head[0] + at, head[1] - 60.0, 11.0, "ghost") for at in (-31.0, 31.0)),
    ]
    turned = [mirrored(it) for it in shapes] if known.hand == "left" else shapes
    label = Label(_ROD * 0.75, -330.0, say("straight", found.value), "middle")
    right = sure_of(max(_side(found.low, found.high), 0.0))
    told = Told("straight", {"angle_deg": found.value, "low_deg": found.low, "high_deg": found.high})
    moved_by = Told("straight_at", {"inside_mm": values["inside"], "behind_mm": values["behind"]})
    read = Told("straight_unread" if not known.asked else f"straight_{right}")
    scene = Scene(-240.0, -420.0, _ROD + 200.0, 420.0, "", (*turned, label))
    return Shown(scene, (moved_by, told, read), _ENLARGED)


def _side(low: float, high: float) -> float:
    """Whether all of nine tenths lie to one side."""
    return 0.95 if low * high > 0 else 0.0


_EYES: Final = Lever("eyes", "mm", -80.0, 80.0, 2.0, knows="eyes_mm")
MIRROR: Final = Teaching(
    "mirror",
    (
        Lever("falls", "%", -3.0, 3.0, 0.1, 1.0),
        _EYES,
        Lever("height", "m", 1.1, 1.8, 0.05, knows="eye_height_m"),
    ),
    _mirror,
)
STRING: Final = Teaching(
    "string",
    (_EYES, Lever("string", "m", 0.06, 0.6, 0.02, 0.3), Lever("lean", "deg", -8.0, 8.0, 0.5, 0.0)),
    _string,
)
STRAIGHT: Final = Teaching(
    "straight",
    (Lever("inside", "mm", -60.0, 60.0, 5.0), Lever("behind", "mm", -60.0, 60.0, 5.0)),
    _straight,
)
