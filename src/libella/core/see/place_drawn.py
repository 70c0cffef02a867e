"""Where the head is for a test, as one picture: head, feet and ball from above, the line and the hole; what a lever
moves can be taken hold of there and says how far it goes."""

from dataclasses import dataclass
from typing import Final, Literal

from ..drawing.scene import Area, Circle, Curve, Line, Scene, Shape, box, mirrored
from ..golfer.hand import Hand
from .position import Lever

_EYES_APART: Final = 62.0
_TOES: Final = -250.0
_SHOE: Final = 280.0
_LARGE: Final = 1.9
"""So many mm on the picture for one of a lever: true in proportion, too small to take hold of otherwise."""


@dataclass(frozen=True, slots=True)
class Pull:
    """A lever of a part: where one unit of it moves the part, mm to the right and down, or turns it, degrees."""

    lever: Lever
    x: float = 0.0
    y: float = 0.0
    turn: float = 0.0


@dataclass(frozen=True, slots=True)
class Part:
    """Something that can be moved: how it is drawn about its own middle, where that stands, what moving it does."""

    name: Literal["head", "feet", "ball", "tilt", "chin"]
    at: tuple[float, float]
    pulls: tuple[Pull, ...]
    shapes: tuple[Shape, ...]


@dataclass(frozen=True, slots=True)
class PlaceDrawn:
    """The ground with what stays on it, the parts that can be moved, and where each eye is on the head."""

    scene: Scene
    parts: tuple[Part, ...]
    eyes: tuple[tuple[float, float], tuple[float, float]]
    """The golfer's left and right eye, about the head's middle."""


def place_drawn(hand: Hand) -> PlaceDrawn:
    """For a golfer of that hand: a right-handed one stands above the line, which runs to the right."""
    ground: tuple[Shape, ...] = (
        Line(-260, 0, 560, 0, "line"),
        box(30, -5, 420, 5, "board"),
        Circle(520, 0, 40, "hole"),
        Circle(0, 0, 21, "ghost"),
        *_face_beside(),
    )
    above = _right_handed()
    if hand == "left":
        ground = tuple(mirrored(it) for it in ground)
        above = tuple(_mirrored_part(it) for it in above)
    top, bottom = (-560.0, 156.0) if hand == "right" else (-156.0, 560.0)
    half = _EYES_APART / 2
    # The left eye of a right-handed golfer is the one nearer the hole; of a left-handed one the right eye.
    towards = half if hand == "right" else -half
    side = "left" if hand == "right" else "right"
    words = (
        f"Head, feet, ball, rod and hole from above, the golfer {side} of the line; beside them the head from in front "
        "and from the side."
    )
    return PlaceDrawn(Scene(-280, top, 580, bottom, words, ground), above, ((towards, 0.0), (-towards, 0.0)))


def _right_handed() -> tuple[Part, ...]:
    feet = tuple(box(x - 50, _TOES - _SHOE + 60, x + 50, _TOES, "stance") for x in (-150, 150))
    nose = Curve(((-14, 80), (0, 94), (14, 80)), "path")
    head: tuple[Shape, ...] = (Circle(0, 0, 84, "board"), nose)
    return (
        Part("feet", (0, 0), (Pull("distance", y=-_LARGE),), feet),
        Part("head", (0, 0), (Pull("inside", y=-_LARGE), Pull("behind", x=-_LARGE)), head),
        # The head may hide it: it is taken hold of by what sticks out beyond.
        Part("ball", (0, 0), (Pull("ball", x=_LARGE),), (Circle(0, 0, 21, "ball"), *_grip())),
        Part("tilt", (400, -440), (Pull("tilt", turn=-1.0),), _front()),
        Part("chin", (400, -230), (Pull("chin", turn=-1.0),), _profile()),
    )


def _grip() -> tuple[Shape, ...]:
    arrows = (Curve(((x * 16, 120), (x * 24, 127), (x * 16, 134)), "path") for x in (-1, 1))
    return (Line(0, 100, 0, 112, "limit"), box(-34, 112, 34, 142, "board"), *arrows)


def _face_beside() -> tuple[Shape, ...]:
    """Level lines, so that a tilt shows."""
    return (Line(310, -452, 490, -452, "line"), Line(400, -210, 505, -150, "line"))


def _front() -> tuple[Shape, ...]:
    return (
        Circle(0, 0, 66, "board"),
        Line(-46, -12, 46, -12, "limit"),
        Curve(((-6, 10), (0, 24), (8, 22)), "path"),
        Curve(((-22, 42), (0, 48), (22, 42)), "path"),
    )


def _profile() -> tuple[Shape, ...]:
    """Bent over the ball: the face looks down and to the hole's side of the page."""
    return (
        Area(((-20, -66), (30, -54), (60, -18), (78, 22), (54, 26), (46, 56), (0, 58), (-50, 30), (-58, -24)), "board"),
        Circle(44, -10, 6, "post"),
        Line(-50, 40, -78, 74, "limit"),
    )


def _mirrored_part(it: Part) -> Part:
    """The same for a left-handed golfer; what is seen from in front or the side stays upright, but the trail side is
    the other one."""
    if it.name in ("tilt", "chin"):
        sign = -1 if it.name == "tilt" else 1
        pulls = tuple(Pull(one.lever, turn=sign * one.turn) for one in it.pulls)
        return Part(it.name, (it.at[0], -it.at[1]), pulls, it.shapes)
    pulls = tuple(Pull(one.lever, one.x, -one.y, one.turn) for one in it.pulls)
    return Part(it.name, it.at, pulls, tuple(mirrored(shape) for shape in it.shapes))
