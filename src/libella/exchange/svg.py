"""A scene as SVG in millimetres, in black on white, for paper. The screen draws the same scene in its own ink."""

from collections.abc import Callable, Iterable
from html import escape
from typing import Any, Final

from ..core.drawing.scene import Area, Circle, Curve, Label, Line, Point, Ray, Role, Scene, Shape, Tape

_LANE_MM: Final = 8.0
_FIRST_MM: Final = 4.0
_TEXT_MM: Final = 3.4
INK: Final = "#1B1E1A"
# Role to fill, stroke, stroke width in mm, dashes.
_INKS: Final[dict[Role, tuple[str, str, float, str]]] = {
    "ball": ("#ffffff", INK, 0.35, ""),
    "ghost": ("none", "#6B6A62", 0.2, "1.2 1.2"),
    "hole": (INK, INK, 0.2, ""),
    "ring": ("none", INK, 0.3, "2 1"),
    "line": ("none", INK, 0.25, "3 1.2 0.6 1.2"),
    "ground": ("none", INK, 0.4, ""),
    "post": (INK, INK, 0.2, ""),
    "board": ("#ffffff", INK, 0.3, ""),
    "limit": ("none", INK, 0.7, ""),
    "mark": ("none", INK, 0.2, ""),
    "window": ("#E6E3D8", "none", 0.0, ""),
    "shade": ("#E6E3D8", "none", 0.0, ""),
    "path": ("none", INK, 0.5, ""),
    "stance": ("none", "#8B897F", 0.3, ""),
    "left": ("none", INK, 0.35, "2 1"),
    "right": ("none", INK, 0.35, ""),
    "label": ("none", INK, 0.2, ""),
}


def svg_page(width_mm: float, height_mm: float, body: str) -> str:
    """A whole SVG of that size on paper."""
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width_mm:g}mm" height="{height_mm:g}mm" '
        f'viewBox="0 0 {width_mm:g} {height_mm:g}">{body}</svg>'
    )


def drawn(scene: Scene, x: float, y: float, scale: float = 1.0) -> str:
    """The scene's shapes with its top left corner at (x, y) mm on the page, `scale` times true size."""
    return "".join(_shape(it, x - scene.left * scale, y - scene.top * scale, scale) for it in scene.shapes)


def scene_svg(scene: Scene) -> str:
    """A scene as a file of its own, in true size."""
    width, height = scene.right - scene.left, scene.bottom - scene.top
    return svg_page(width, height, drawn(scene, -scene.left, -scene.top))


def text(x: float, y: float, said: str, *, size: float = _TEXT_MM, anchor: str = "start", weight: int = 400) -> str:
    """A line of text, its baseline at y mm."""
    return (
        f'<text x="{x:.3f}" y="{y:.3f}" font-size="{size:g}" text-anchor="{anchor}" font-weight="{weight}" '
        f'font-family="Libella Text, sans-serif" fill="{INK}">{escape(said)}</text>'
    )


def line(
    x1: float, y1: float, x2: float, y2: float, *, name: str = "mark", width: float = 0.2, dashes: str = ""
) -> str:
    """A line; `name` is its class."""
    dashed = f' stroke-dasharray="{dashes}"' if dashes else ""
    return (
        f'<line class="{name}" x1="{x1:.3f}" y1="{y1:.3f}" x2="{x2:.3f}" y2="{y2:.3f}" stroke="{INK}" '
        f'stroke-width="{width:g}"{dashed}/>'
    )


Page = tuple[float, float, float]
"""Where a scene's origin lies on the page, mm, and how many times true size it is."""


def _shape(it: Shape, x: float, y: float, scale: float) -> str:
    return _DRAWN[type(it)](it, (x, y, scale))


def _ink(role: Role, *, filled: bool = True) -> str:
    fill, stroke, width, dashes = _INKS[role]
    dashed = f' stroke-dasharray="{dashes}"' if dashes else ""
    return f'class="{role}" fill="{fill if filled else "none"}" stroke="{stroke}" stroke-width="{width:g}"{dashed}'


def _line(it: Line, page: Page) -> str:
    (x1, y1), (x2, y2) = (_at(corner, page) for corner in it.corners)
    return f'<line {_ink(it.role)} x1="{x1:.3f}" y1="{y1:.3f}" x2="{x2:.3f}" y2="{y2:.3f}"/>'


def _circle(it: Circle, page: Page) -> str:
    x, y = _at((it.x, it.y), page)
    return f'<circle {_ink(it.role)} cx="{x:.3f}" cy="{y:.3f}" r="{it.r * page[2]:.3f}"/>'


def _curve(it: Curve, page: Page) -> str:
    return f'<polyline {_ink(it.role, filled=False)} points="{_points(it.points, page)}"/>'


def _area(it: Area, page: Page) -> str:
    return f'<polygon {_ink(it.role)} points="{_points(it.points, page)}"/>'


def _label(it: Label, page: Page) -> str:
    x, y = _at((it.x, it.y), page)
    return _paper_text(x, y, it.text, anchor=it.anchor)


def _at(point: Point, page: Page) -> Point:
    x, y, scale = page
    return x + point[0] * scale, y + point[1] * scale


def _points(points: Iterable[Point], page: Page) -> str:
    return " ".join(f"{x:.3f},{y:.3f}" for x, y in (_at(it, page) for it in points))


def _tape(it: Tape, page: Page) -> str:
    """A dimension between its witness lines, set off by its lane."""
    (x1, y1), (x2, y2) = (_at(corner, page) for corner in it.corners)
    off = it.lane * _LANE_MM + (_FIRST_MM if it.lane > 0 else -_FIRST_MM)
    beyond = 1.5 if off > 0 else -1.5
    if it.y1 == it.y2:
        at = y1 + off
        return (
            line(x1, y1, x1, at + beyond, name="witness", width=0.15, dashes="0.6 0.9")
            + line(x2, y2, x2, at + beyond, name="witness", width=0.15, dashes="0.6 0.9")
            + line(x1, at, x2, at, name="tape")
            + "".join(line(end - 1, at + 1, end + 1, at - 1) for end in (x1, x2))
            + _paper_text((x1 + x2) / 2, at + 1.2, it.text)
        )
    at = x1 + off
    return (
        line(x1, y1, at + beyond, y1, name="witness", width=0.15, dashes="0.6 0.9")
        + line(x2, y2, at + beyond, y2, name="witness", width=0.15, dashes="0.6 0.9")
        + line(at, y1, at, y2, name="tape")
        + "".join(line(at - 1, end + 1, at + 1, end - 1) for end in (y1, y2))
        + _paper_text(at, y2 - 2 if y2 < y1 else y2 + _TEXT_MM + 1, it.text)
    )


def _paper_text(x: float, y: float, said: str, *, anchor: str = "middle") -> str:
    """Text with white behind it, so that a line under it does not cross it."""
    wide = len(said) * _TEXT_MM * 0.56
    left = x - {"start": 0.0, "middle": wide / 2, "end": wide}[anchor]
    box = f'x="{left:.3f}" y="{y - _TEXT_MM:.3f}" width="{wide:.3f}" height="{_TEXT_MM * 1.3:.3f}"'
    return f'<rect {box} fill="#ffffff"/>' + text(x, y, said, anchor=anchor, weight=600)


_DRAWN: Final[dict[type, Callable[[Any, Page], str]]] = {
    Line: _line,
    Circle: _circle,
    Area: _area,
    Curve: _curve,
    Label: _label,
    Tape: _tape,
    # Rays are putts: they are not laid out on paper.
    Ray: lambda it, page: "",
}
"""How each kind of shape is drawn."""
