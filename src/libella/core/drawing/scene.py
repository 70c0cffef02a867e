"""Scene primitives in millimetres on a flat page.

A page has x to the right and y down. From above, page x runs along the line from the ball to the hole and page y to
the right of the line, so that what is right of the line lies lower on the page. In a picture from behind the ball,
page x is right of the line and page y is minus the height. Roles name what a shape is; whoever draws decides its ink.
"""

from dataclasses import dataclass, field
from typing import Literal

Role = Literal[
    "ball",
    "ghost",
    "hole",
    "line",
    "ground",
    "post",
    "board",
    "mark",
    "window",
    "stance",
    "path",
    "limit",
    "left",
    "right",
    "on_line",
    "label",
]


@dataclass(frozen=True, slots=True)
class Line:
    x1: float
    y1: float
    x2: float
    y2: float
    role: Role
    shape: Literal["line"] = "line"


@dataclass(frozen=True, slots=True)
class Circle:
    x: float
    y: float
    r: float
    role: Role
    shape: Literal["circle"] = "circle"


@dataclass(frozen=True, slots=True)
class Area:
    """A closed polygon through `points`, in order."""

    points: tuple[tuple[float, float], ...]
    role: Role
    shape: Literal["area"] = "area"


@dataclass(frozen=True, slots=True)
class Curve:
    """An open line through `points`, in order."""

    points: tuple[tuple[float, float], ...]
    role: Role
    shape: Literal["curve"] = "curve"


@dataclass(frozen=True, slots=True)
class Label:
    """Text at a point; `anchor` says which side of the point it stands."""

    x: float
    y: float
    text: str
    anchor: Literal["start", "middle", "end"] = "middle"
    role: Role = "label"
    shape: Literal["label"] = "label"


@dataclass(frozen=True, slots=True)
class Tape:
    """A taped dimension between two points on the page, to be drawn between witness lines.

    `lane` sets it off from the drawing: lanes 1, 2, … lie below, -1, -2, … above (for a dimension along x), or to the
    right and left (along y).
    """

    x1: float
    y1: float
    x2: float
    y2: float
    text: str
    lane: int
    shape: Literal["tape"] = "tape"


@dataclass(frozen=True, slots=True)
class Ray:
    """One putt's start line from (x, y), as where it lies on the page at `x_end`.

    `y_at` is the reading's middle; `y_low`/`y_high` its limits, None where open. `age` is 0 for the newest putt.
    """

    x: float
    y: float
    x_end: float
    y_at: float
    y_low: float | None
    y_high: float | None
    side: Literal["left", "right", "neither"]
    age: int
    shape: Literal["ray"] = "ray"


Shape = Line | Circle | Area | Curve | Label | Tape | Ray


@dataclass(frozen=True, slots=True)
class Scene:
    """Shapes with the extent they should be shown in (mm) and the words that stand for them."""

    left: float
    top: float
    right: float
    bottom: float
    words: str
    shapes: tuple[Shape, ...] = field(default=())


def box(x1: float, y1: float, x2: float, y2: float, role: Role) -> Area:
    """An upright rectangle between two corners."""
    return Area(((x1, y1), (x2, y1), (x2, y2), (x1, y2)), role)
