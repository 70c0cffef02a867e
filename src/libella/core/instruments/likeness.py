"""What instruments look like in use, for whoever chooses one: known by its shape before its name is read.

Most are known by the picture they are read on. Those that are all read on a ruler or a scale are drawn here as the
coach sees them standing there: the putter's head at the left, the hole to the right.
"""

from typing import Final

from ..drawing.scene import Area, Circle, Curve, Line, Scene, Shape, box
from ..measure.units import Units
from .aid import Aid

_HEAD: Final[tuple[Shape, ...]] = (box(-86, -26, -70, 26, "board"), Line(-70, -26, -70, 26, "limit"))
_BALL: Final = Circle(-50, 0, 15, "ball")

_DRAWN: Final[dict[str, tuple[Shape, ...]]] = {
    # A laser on the putter, its beam to a board.
    "putter_laser": (
        *_HEAD,
        box(-86, -7, -74, 7, "post"),
        Line(-74, 0, 78, -12, "path"),
        box(78, -38, 88, 38, "board"),
    ),
    # A mirror on the face, the beam coming back beside the laser it left.
    "face_mirror": (
        *_HEAD,
        box(-70, -14, -64, 14, "window"),
        box(72, -9, 96, 9, "post"),
        Line(72, 0, -64, 0, "path"),
        Line(-64, 0, 84, -24, "line"),
        Line(84, -34, 84, -10, "mark"),
    ),
    # A rod along the line, beside the ball.
    "rod_beside": (*_HEAD, _BALL, box(-62, 32, 92, 40, "board")),
    # A square held to the face.
    "square_reference": (*_HEAD, Area(((-64, -34), (-50, -34), (-50, 20), (86, 20), (86, 34), (-64, 34)), "board")),
    # A rail along the line with a square fast to it.
    "rail_square": (
        *_HEAD,
        box(-62, 24, 92, 36, "board"),
        box(-62, -30, -52, 24, "board"),
        *(Line(x, 24, x, 30, "mark") for x in range(-40, 90, 16)),
    ),
    # A sensor on the shaft, and what it sends.
    "stroke_sensor": (
        Line(-20, -44, 20, 34, "path"),
        box(8, 34, 44, 46, "board"),
        box(-16, -18, 10, 8, "post"),
        *(Curve(((26 + r, -16 - r), (34 + r, -5), (26 + r, 6 + r)), "path") for r in (0, 10, 20)),
    ),
    # A reader beside the ball, looking across where it starts.
    "start_reader": (
        Circle(-70, -10, 15, "ball"),
        Line(-54, -10, 92, -10, "line"),
        box(-24, 24, 28, 44, "post"),
        Line(-16, 24, -30, -34, "path"),
        Line(20, 24, 34, -34, "path"),
    ),
    # A mirror under the eyes, a ball at its end.
    "ground_mirror": (
        box(-60, -30, 80, 30, "window"),
        Line(-60, 0, 80, 0, "line"),
        Circle(-76, 0, 15, "ball"),
        Circle(-8, 0, 8, "board"),
        Circle(34, 0, 8, "board"),
    ),
    # A weight on a line from the eye to the ball.
    "plumb": (Circle(0, -36, 8, "board"), Line(0, -28, 0, 22, "path"), Area(((-5, 20), (5, 20), (0, 32)), "post"),
              Circle(12, 38, 9, "ball"), Line(-50, 47, 50, 47, "ground")),
}  # fmt: skip


def likeness(aid: Aid, units: Units) -> Scene:
    """It as it stands there; the picture it is read on, where that shows it as well."""
    drawn = _DRAWN.get(aid.about.kind)
    return Scene(-100, -50, 100, 50, aid.about.name, drawn) if drawn else aid.picture(units)
