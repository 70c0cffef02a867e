"""A set-up drawn to scale, from above and from behind the ball; the one before as a thin broken line."""

import math
from collections.abc import Sequence
from typing import Final

from ..drawing.scene import Area, Circle, Curve, Label, Line, Role, Scene, Shape, Tape, flipped, mirrored
from ..golfer.hand import Hand
from ..measure.constants import BALL_M
from ..measure.units import Units, tape
from .set_up import SetUp

_BALL: Final = BALL_M * 1000
_USUAL: Final = {"ball_toes_m": 0.24, "stance_m": 0.3, "ball_middle_m": 0.03, "handle_m": 0.78, "eye_height_m": 1.4}
"""Where it is drawn when it was not noted."""
_LINES: Final = {  # how far behind the toes each body line is drawn, mm
    "feet_deg": 0.0,
    "knees_deg": 60.0,
    "forearms_deg": 110.0,
    "hips_deg": 230.0,
    "shoulders_deg": 165.0,
    "chest_deg": 290.0,
}
_ONLY_SIDE_DEG: Final = 6.0
_SHOE_MM: Final = 280.0


def set_up_above(now: SetUp, before: SetUp | None, hand: Hand, units: Units) -> Scene:
    """From above, the hole at the right; mm, the ball at the origin."""
    shapes: list[Shape] = [Line(-420, 0, 460, 0, "line"), *(_above(before, "ghost") if before else [])]
    shapes += [Circle(0, 0, _BALL / 2, "ball"), *_above(now, "path"), *_above_tapes(now, units)]
    if hand == "left":
        shapes = [mirrored(it) for it in shapes]
    top, bottom = (-680.0, 150.0) if hand == "right" else (-150.0, 680.0)
    words = "The set-up from above, the hole at the right" + (", the one before in broken lines." if before else ".")
    return Scene(-470, top, 520, bottom, words, tuple(shapes))


def _number(it: SetUp, name: str) -> float | None:
    value = it.get(name)
    return float(value) if isinstance(value, float | int) else None


def _mm(it: SetUp, name: str) -> float:
    value = _number(it, name)
    return (_USUAL.get(name, 0.0) if value is None else value) * 1000


def _above(it: SetUp, role: Role) -> list[Shape]:
    toes, half, middle = _mm(it, "ball_toes_m"), _mm(it, "stance_m") / 2, -_mm(it, "ball_middle_m")
    shapes: list[Shape] = [
        Area(((x - 45, -toes - _SHOE_MM), (x + 45, -toes - _SHOE_MM), (x + 45, -toes), (x - 45, -toes)),
             "board" if role == "path" else role)
        for x in (middle - half, middle + half)
    ]  # fmt: skip
    names = [name for name in _LINES if name in it]
    for name in names:
        turned = _turned(it[name])
        y, wide = -toes - _LINES[name], half + 110
        dx, dy = wide * math.cos(math.radians(turned)), wide * math.sin(math.radians(turned))
        shapes.append(Line(middle - dx, y - dy, middle + dx, y + dy, "limit" if role == "path" else role))
        if role == "path":
            shapes.append(Label(middle + wide + 8, y + dy + 5, name.removesuffix("_deg"), "start"))
    if "ball_breast_m" in it:
        x = -_mm(it, "ball_breast_m")
        shapes.append(Line(x, -toes - 330, x, -30, "mark" if role == "path" else role))
        if role == "path":
            shapes.append(Label(x - 10, -70, "breastbone", "end"))
    if "hands_m" in it:
        x = _mm(it, "hands_m")
        shapes.append(Circle(x, -130, 22, "board" if role == "path" else role))
        if role == "path":
            shapes.append(Label(x + 30, -125, "hands", "start"))
    return shapes


def _turned(value: float | str) -> float:
    """Where only the side is known, it is drawn a little turned."""
    if isinstance(value, str):
        return {"left": -_ONLY_SIDE_DEG, "right": _ONLY_SIDE_DEG}.get(value, 0.0)
    return value


def _above_tapes(it: SetUp, units: Units) -> list[Shape]:
    toes, half, middle = _mm(it, "ball_toes_m"), _mm(it, "stance_m") / 2, -_mm(it, "ball_middle_m")
    shapes: list[Shape] = []
    if "ball_toes_m" in it:
        shapes.append(Tape(middle - half, 0, middle - half, -toes, tape(toes / 1000, units), -1))
    if "stance_m" in it:
        y = -toes - _SHOE_MM
        shapes.append(Tape(middle - half, y, middle + half, y, tape(half / 500, units), -1))
    if "ball_breast_m" in it and (x := -_mm(it, "ball_breast_m")):
        shapes.append(Tape(x, 0, 0, 0, tape(abs(x) / 1000, units), 1))
    return shapes


def set_up_behind(now: SetUp, before: SetUp | None, eyes_inside_m: float | None, hand: Hand, units: Units) -> Scene:
    """From behind the ball, looking to the hole: feet, putter, eyes; mm, x right of the line, y minus the height."""
    shapes: list[Shape] = [Line(-560, 0, 260, 0, "ground"), Line(0, -1750, 0, 0, "line")]
    if before:
        shapes += _behind(before, None, "ghost")
    shapes += [Circle(0, -_BALL / 2, _BALL / 2, "ball"), *_behind(now, eyes_inside_m, "path")]
    eye = -_mm(now, "eye_height_m")
    if "eye_height_m" in now:
        shapes.append(Tape(150, 0, 150, eye, tape(-eye / 1000, units), 1))
    if "handle_m" in now:
        shapes.append(Tape(-30, 0, -30, -_mm(now, "handle_m"), tape(_mm(now, "handle_m") / 1000, units), 1))
    if hand == "left":
        shapes = [flipped(it) for it in shapes]
    left, right = (-620.0, 420.0) if hand == "right" else (-420.0, 620.0)
    words = "The set-up from behind the ball: feet, handle and eyes against the line, to scale."
    return Scene(left, eye - 160, right, 60, words, tuple(shapes))


def _behind(it: SetUp, eyes_inside_m: float | None, role: Role) -> list[Shape]:
    toes, handle, eye = -_mm(it, "ball_toes_m"), -_mm(it, "handle_m"), -_mm(it, "eye_height_m")
    eye_x = 0.0 if eyes_inside_m is None else -eyes_inside_m * 1000
    heel, hands = toes - _SHOE_MM, (toes * 0.62, handle)
    knee, hip = (toes - 60, -480.0), (heel - 110, eye * 0.62)
    shoulder = (toes - 20, eye * 0.93)
    body: Sequence[tuple[float, float]] = ((heel + 60, -60), knee, hip, shoulder)
    shapes: list[Shape] = [
        Area(((heel, 0), (toes, 0), (toes, -45), (heel, -80)), "board" if role == "path" else role),
        Curve(tuple(body), role),
        Curve((shoulder, (hands[0], hands[1] + 20)), role),
        Line(-12, 0, *hands, role),
        Circle(eye_x, eye, 14, "post" if role == "path" else role),
        Circle(eye_x - 55, eye - 45, 95, "ghost"),
    ]
    if role == "path" and eyes_inside_m is not None:
        shapes.append(Line(eye_x, eye, eye_x, 0, "mark"))
    return shapes
