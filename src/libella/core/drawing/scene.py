"""Scene primitives in millimetres on a flat page.

A page has x to the right and y down. From above, page x runs along the line from the ball to the hole and page y to
the right of the line, so that what is right of the line lies lower on the page. In a picture from behind the ball,
page x is right of the line and page y is minus the height. Roles name what a shape is; whoever draws decides its ink.
"""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, field, replace
from typing import Final, Literal

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
    "label",
]


Anchor = Literal["start", "middle", "end"]
Point = tuple[float, float]
Move = Callable[[float, float], Point]
"""Where a point of the page goes."""


@dataclass(frozen=True, slots=True)
class Line:
    x1: float
    y1: float
    x2: float
    y2: float
    role: Role
    shape: Literal["line"] = "line"

    def through(self, to: Move) -> "Line":
        """The same with every point moved."""
        return replace(self, **_ends(self.x1, self.y1, self.x2, self.y2, to))

    @property
    def corners(self) -> tuple[Point, ...]:
        """Points between which it lies."""
        return (self.x1, self.y1), (self.x2, self.y2)


@dataclass(frozen=True, slots=True)
class Circle:
    x: float
    y: float
    r: float
    role: Role
    shape: Literal["circle"] = "circle"

    def through(self, to: Move) -> "Circle":
        x, y = to(self.x, self.y)
        return replace(self, x=x, y=y)

    @property
    def corners(self) -> tuple[Point, ...]:
        return (self.x - self.r, self.y - self.r), (self.x + self.r, self.y + self.r)


@dataclass(frozen=True, slots=True)
class Area:
    """A closed polygon through `points`, in order."""

    points: tuple[tuple[float, float], ...]
    role: Role
    shape: Literal["area"] = "area"

    def through(self, to: Move) -> "Area":
        return replace(self, points=tuple(to(x, y) for x, y in self.points))

    @property
    def corners(self) -> tuple[Point, ...]:
        return self.points


@dataclass(frozen=True, slots=True)
class Curve:
    """An open line through `points`, in order."""

    points: tuple[tuple[float, float], ...]
    role: Role
    shape: Literal["curve"] = "curve"

    def through(self, to: Move) -> "Curve":
        return replace(self, points=tuple(to(x, y) for x, y in self.points))

    @property
    def corners(self) -> tuple[Point, ...]:
        return self.points


@dataclass(frozen=True, slots=True)
class Label:
    """Text at a point; `anchor` says which side of the point it stands."""

    x: float
    y: float
    text: str
    anchor: Anchor = "middle"
    role: Role = "label"
    shape: Literal["label"] = "label"

    def through(self, to: Move) -> "Label":
        """Its text stands on the other side of the point where left and right change places."""
        x, y = to(self.x, self.y)
        turned = to(1.0, 0.0)[0] < to(0.0, 0.0)[0]
        return replace(self, x=x, y=y, anchor=_OTHER_SIDE[self.anchor] if turned else self.anchor)

    @property
    def corners(self) -> tuple[Point, ...]:
        """None: what a text covers is not known here."""
        return ()


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

    def through(self, to: Move) -> "Tape":
        """Its lane goes to the other side with it: a tape along the line runs on the free side, away from the feet."""
        (x0, y0), (x1, _), (_, y1) = to(0.0, 0.0), to(1.0, 0.0), to(0.0, 1.0)
        turned = (self.y1 == self.y2 and y1 < y0) or (self.x1 == self.x2 and x1 < x0)
        ends = _ends(self.x1, self.y1, self.x2, self.y2, to)
        return replace(self, **ends, lane=-self.lane if turned else self.lane)

    @property
    def corners(self) -> tuple[Point, ...]:
        return (self.x1, self.y1), (self.x2, self.y2)


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

    def through(self, to: Move) -> "Ray":
        raise TypeError("a ray is not laid out, it is read")

    @property
    def corners(self) -> tuple[Point, ...]:
        return ()


_OTHER_SIDE: Final[dict[Anchor, Anchor]] = {"start": "end", "end": "start", "middle": "middle"}


def _ends(x1: float, y1: float, x2: float, y2: float, to: Move) -> dict[str, float]:
    (a, b), (c, d) = to(x1, y1), to(x2, y2)
    return {"x1": a, "y1": b, "x2": c, "y2": d}


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
    return shape.through(lambda x, y: (x, -y))


def flipped(shape: Shape) -> Shape:
    """The same picture from behind for a left-handed golfer: what stood left of the line stands right of it."""
    return shape.through(lambda x, y: (-x, y))


def moved(shape: Shape, x: float, y: float) -> Shape:
    """The same shape elsewhere on the page."""
    return shape.through(lambda at_x, at_y: (at_x + x, at_y + y))


def reach(shapes: Iterable[Shape]) -> tuple[float, float, float, float]:
    """The page that shapes cover, mm: left, top, right, bottom; all 0 for none."""
    corners = [corner for it in shapes for corner in it.corners]
    if not corners:
        return 0.0, 0.0, 0.0, 0.0
    xs, ys = [x for x, _ in corners], [y for _, y in corners]
    return min(xs), min(ys), max(xs), max(ys)
