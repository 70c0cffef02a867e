"""Scene primitives in millimetres on a flat page.

A page has x to the right and y down. From above, page x runs along the line from the ball to the hole and page y to
the right of the line, so that what is right of the line lies lower on the page. In a picture from behind the ball,
page x is right of the line and page y is minus the height. Roles name what a shape is; whoever draws decides its ink.
"""

from collections.abc import Iterable
from dataclasses import dataclass, field, replace
from typing import Literal

Role = Literal[
    "ball",
    "ghost",
    "hole",
    "ring",
    "line",
    "ground",
    "post",
    "board",
    "mark",
    "window",
    "shade",
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
    right and left (along y). `of` names the dimension it shows, which grows by `per` for each mm its second end is
    pulled away from the first; empty where it can't be pulled. `whose` is 0 for the rig, n for the n-th aid beside it.
    """

    x1: float
    y1: float
    x2: float
    y2: float
    text: str
    lane: int
    of: str = ""
    per: float = 1.0
    whose: int = 0
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


def mirrored(shape: Shape) -> Shape:
    """The same shape for a left-handed golfer: what lay left of the line lies right of it."""
    if isinstance(shape, Line):
        return replace(shape, y1=-shape.y1, y2=-shape.y2)
    if isinstance(shape, Circle | Label):
        return replace(shape, y=-shape.y)
    if isinstance(shape, Area | Curve):
        return replace(shape, points=tuple((x, -y) for x, y in shape.points))
    if isinstance(shape, Tape):
        # Tapes along the line run on the free side, away from the feet.
        return replace(shape, y1=-shape.y1, y2=-shape.y2, lane=-shape.lane if shape.y1 == shape.y2 else shape.lane)
    raise TypeError(f"a {shape.shape} is not laid out, it is read")


def flipped(shape: Shape) -> Shape:
    """The same picture from behind for a left-handed golfer: what stood left of the line stands right of it."""
    if isinstance(shape, Line):
        return replace(shape, x1=-shape.x1, x2=-shape.x2)
    if isinstance(shape, Tape):
        return replace(shape, x1=-shape.x1, x2=-shape.x2, lane=-shape.lane if shape.x1 == shape.x2 else shape.lane)
    if isinstance(shape, Circle):
        return replace(shape, x=-shape.x)
    if isinstance(shape, Label):
        other = {"start": "end", "end": "start", "middle": "middle"}
        return replace(shape, x=-shape.x, anchor=other[shape.anchor])
    if isinstance(shape, Area | Curve):
        return replace(shape, points=tuple((-x, y) for x, y in shape.points))
    raise TypeError(f"a {shape.shape} is not laid out, it is read")


def moved(shape: Shape, x: float, y: float) -> Shape:
    """The same shape elsewhere on the page."""
    if isinstance(shape, Line | Tape):
        return replace(shape, x1=shape.x1 + x, y1=shape.y1 + y, x2=shape.x2 + x, y2=shape.y2 + y)
    if isinstance(shape, Circle | Label):
        return replace(shape, x=shape.x + x, y=shape.y + y)
    if isinstance(shape, Area | Curve):
        return replace(shape, points=tuple((px + x, py + y) for px, py in shape.points))
    raise TypeError(f"a {shape.shape} is not laid out, it is read")


def reach(shapes: Iterable[Shape]) -> tuple[float, float, float, float]:
    """The page that shapes cover, mm: left, top, right, bottom; all 0 for none."""
    corners: list[tuple[float, float]] = []
    for it in shapes:
        if isinstance(it, Line | Tape):
            corners += [(it.x1, it.y1), (it.x2, it.y2)]
        elif isinstance(it, Circle):
            corners += [(it.x - it.r, it.y - it.r), (it.x + it.r, it.y + it.r)]
        elif isinstance(it, Area | Curve):
            corners += it.points
    if not corners:
        return 0.0, 0.0, 0.0, 0.0
    xs, ys = [x for x, _ in corners], [y for _, y in corners]
    return min(xs), min(ys), max(xs), max(ys)
