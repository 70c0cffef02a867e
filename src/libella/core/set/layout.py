"""A station drawn to scale: from above, from the side, and with the putts as rays."""

import math
from dataclasses import replace

from ..drawing.scene import Area, Circle, Curve, Line, Ray, Scene, Shape, Tape, box, mirrored, moved, reach
from ..golfer.hand import Hand
from ..measure.angle import offset_m
from ..measure.constants import BALL_M, HOLE_M
from ..measure.interval import Interval
from ..measure.side import side_of
from ..measure.units import Units, tape
from .station import Station

# Half a shoe's outline from heel to toe: (half width, along), mm.
_HALF_SHOE_MM = (
    (0, -145), (22, -140), (34, -122), (38, -90), (36, -40), (42, 15),
    (49, 62), (48, 95), (38, 122), (22, 139), (0, 145),
)  # fmt: skip
_OPEN_END_DEG = 12.0
_ACROSS_MM = 430.0
_SET_OFF_MM = 330.0


def from_above(station: Station, hand: Hand, units: Units) -> Scene:
    """The station to scale, with its taped dimensions."""
    length = station.putt.distance_m * 1000
    laid = _laid(station, hand, units)
    ground = [*_shoes(hand), *_ground(station)]
    to_hole = Tape(0, 0, length, 0, tape(station.putt.distance_m, units), 2, "putt")
    shapes: list[Shape] = [*ground, *laid, mirrored(to_hole) if hand == "left" else to_hole]
    beside = "".join(f", {it.about.said}" for it in station.aids)
    words = (
        f"From above: ball at left, hole {tape(station.putt.distance_m, units)} away at right, "
        f"{station.rig.about.said} at {tape(station.rig.station_m, units)}{beside}. "
        f"The golfer stands {'left' if hand == 'right' else 'right'} of the line."
    )
    left, right = _along(station, shapes)
    _, top, _, bottom = reach(laid)
    return Scene(left, min(-_ACROSS_MM, top - 40), right, max(_ACROSS_MM, bottom + 40), words, tuple(shapes))


def from_side(station: Station, units: Units) -> Scene | None:
    """The side elevation, as long as the view from above; None where no height matters."""
    if not any(it.has_heights for it in (station.rig, *station.aids)):
        return None
    length, deep = station.hole_m[0] * 1000, 60.0
    half = HOLE_M * 500
    shapes: list[Shape] = [
        box(length - half, 0, length + half, deep, "hole"),
        Circle(0, -BALL_M * 500, BALL_M * 500, "ball"),
    ]
    tall = BALL_M * 1000
    for n, aid in enumerate((station.rig, *station.aids)):
        seen = [_whose(it, n) for it in aid.from_side(units)]
        shapes += [moved(it, length, 0) for it in seen] if aid.about.at == "hole" else seen
        tall = max(tall, *(it.top * 1000 for it in aid.solids()), 0)
    above = from_above(station, "right", units)
    left, right = above.left, above.right
    shapes.insert(0, Line(left, 0, right, 0, "ground"))
    words = "From the side: the ground, the ball at left, the hole at right, and how high things stand."
    return Scene(left, -tall - 60, right, deep, words, tuple(shapes))


def _laid(station: Station, hand: Hand, units: Units) -> list[Shape]:
    """The rig and what lies beside it, as drawn for that hand; every tape knows whose it is."""
    rig = [moved(it, 0, station.across_m * 1000) for it in station.rig.from_above(units)]
    if hand == "left":
        # The feet are to the right of the line then: tapes along it run on the free side.
        rig = [replace(it, lane=-it.lane) if isinstance(it, Tape) and it.y1 == it.y2 else it for it in rig]
    x, y = (it * 1000 for it in station.hole_m)
    for n, aid in enumerate(station.aids, start=1):
        shapes: list[Shape] = [_whose(it, n) for it in aid.from_above(units)]
        shapes = [mirrored(it) for it in shapes] if hand == "left" else shapes
        rig += [moved(it, x, y) for it in shapes] if aid.about.at == "hole" else shapes
    return rig


def _along(station: Station, shapes: list[Shape]) -> tuple[float, float]:
    """How far the page runs along the line, so that all is on it."""
    left, _, right, _ = reach(shapes)
    # Tapes across the line are set off from what they measure, and so is what they say.
    upright = [it for it in shapes if isinstance(it, Tape) and it.x1 == it.x2]
    left = min([left - 60, -260, *(it.x1 - _SET_OFF_MM for it in upright if it.lane < 0)])
    right = max([right + 100, *(it.x1 + _SET_OFF_MM for it in upright if it.lane > 0)])
    return left, max(right, station.putt.distance_m * 1000 + 160)


def rays(station: Station, readings: tuple[Interval, ...], units: Units, *, hole: bool = True) -> Scene:
    """The putts as rays from the ball to the hole, oldest first in `readings`; the newest has age 0.

    `hole` is false where there is none: putted to an aim point.
    """
    length = station.putt.distance_m * 1000
    ground = [it for it in _ground(station) if hole or not (isinstance(it, Circle) and it.role == "hole")]
    shapes: list[Shape] = [*ground, *(it for it in station.rig.from_above(units) if not isinstance(it, Tape))]
    for n, it in enumerate(readings):
        at = it.anchor
        shapes.append(
            Ray(
                0,
                0,
                length,
                _page_y(at, length),
                None if it.low_or_none is None else _page_y(it.low, length),
                None if it.high_or_none is None else _page_y(it.high, length),
                "neither" if it.low <= 0 <= it.high else side_of(at),
                len(readings) - 1 - n,
            )
        )
    words = f"{len(readings)} putts as rays from the ball towards the hole."
    return Scene(-120, -300, length + 160, 300, words, tuple(shapes))


def _ground(station: Station) -> list[Shape]:
    putt = station.putt
    length = putt.distance_m * 1000
    window = putt.window
    x, y = (it * 1000 for it in station.hole_m)
    ends = (length, _page_y(window.low_deg, length)), (length, _page_y(window.high_deg, length))
    shapes: list[Shape] = [
        Area(((0.0, 0.0), *ends), "window"),
        Circle(x, y, HOLE_M * 500, "hole"),
        Line(0, 0, length, 0, "line"),
    ]
    if not putt.is_level:
        # The page lies along the start line, so the hole lies off it and the path curves to it.
        turn = math.radians(putt.start_deg)
        along, across = math.cos(turn), math.sin(turn)
        path = putt.started.path
        points = (
            ((px * along + py * across) * 1000, (py * along - px * across) * 1000)
            for px, py in zip(path.x, path.y, strict=True)
        )
        shapes.append(Curve(tuple(points), "path"))
    return [*shapes, Circle(0, 0, BALL_M * 500, "ball")]


def _whose(shape: Shape, n: int) -> Shape:
    return replace(shape, whose=n) if isinstance(shape, Tape) else shape


def _page_y(angle_deg: float, length_mm: float) -> float:
    return offset_m(max(-_OPEN_END_DEG, min(_OPEN_END_DEG, angle_deg)), length_mm)


def _shoes(hand: Hand) -> list[Shape]:
    """Where the golfer stands: a right-handed golfer on the left of the line (up the page), toes to the line."""
    towards = 1 if hand == "right" else -1
    outline = [*_HALF_SHOE_MM, *((-wide, along) for wide, along in reversed(_HALF_SHOE_MM[1:-1]))]
    return [Area(tuple((x + dx, towards * (dy - 260)) for dx, dy in outline), "stance") for x in (-190.0, 130.0)]
