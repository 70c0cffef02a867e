"""The perception map drawn from above: level lines of the looks-straight angle over where the head is."""

import math
from itertools import pairwise
from typing import Final

import numpy as np

from ..certainty.verdict import CLEAR
from ..drawing.scene import Area, Circle, Curve, Label, Line, Scene, Shape, box, mirrored
from ..estimate.posterior import Floats
from ..golfer.hand import Hand
from ..measure.constants import BALL_M
from ..measure.side import side_of
from .map import PerceptionMap, rows_at
from .position import Position, same_place

_REACH_MM: Final = 75.0
_ROWS: Final = 61
_COLUMNS: Final = 61


def map_scene(found: PerceptionMap, hand: Hand, usual_mm: tuple[float, float] | None) -> Scene:
    """The map from above, the hole at the right, mm about the usual head: level lines of the looks-straight angle.

    `usual_mm`: where the eyes usually are, inside the line and behind the ball; with it the line itself is drawn.
    Shaded is where straight may well look straight (inside the 90 % interval).
    """
    reach = _REACH_MM
    shapes: list[Shape] = [*_shade(found, reach), *_frame(reach)]
    if usual_mm is not None and abs(usual_mm[0]) < reach:
        shapes.append(Line(-reach, usual_mm[0], reach, usual_mm[0], "line"))
        shapes.append(Label(reach + 3, usual_mm[0] + 2, "the line", "start"))
        if abs(usual_mm[1]) < reach:
            shapes.append(Circle(usual_mm[1], usual_mm[0], BALL_M * 500, "ghost"))
    shapes += _levels(found, reach)
    for n, it in enumerate(found.tried):
        # Asked again at a place, the newest answer stands there.
        again = any(same_place(it.position, later.position) for later in found.tried[n + 1 :])
        if set(it.position) <= {"inside", "behind"} and not again:
            shapes += _place(it.position, it.playable, _label(it.found.angle.value) if it.tells else "?")
    for it, said in ((found.change, "the change"), (found.ask_again, "ask again")):
        if it and set(it.position) <= {"inside", "behind"}:
            x, y = _at(it.position)
            shapes += [Circle(x, y, 9, "ring"), Label(x - 11, y + 2, said, "end")]
    shapes += [
        Label(reach + 3, -reach + 4, "further in", "start"),
        Label(reach + 3, reach, "further out", "start"),
        Label(reach, reach + 8, "towards the hole ▸", "end"),
    ]
    if hand == "left":
        shapes = [mirrored(it) for it in shapes]
    words = "The map from above: the looks-straight angle over where the head is; the thick line is where it is 0."
    return Scene(-reach - 22, -reach - 12, reach + 36, reach + 12, words, tuple(shapes))


def _frame(reach: float) -> list[Shape]:
    edges = ((-reach, -reach), (reach, -reach), (reach, reach), (-reach, reach), (-reach, -reach))
    return [
        *(Line(*one, *other, "mark") for one, other in pairwise(edges)),
        Line(-reach, 0, reach, 0, "stance"),
        Line(0, -reach, 0, reach, "stance"),
    ]


def _at(position: Position) -> tuple[float, float]:
    return -position.get("behind", 0.0), -position.get("inside", 0.0)


def _place(position: Position, playable: bool, said: str) -> list[Shape]:
    x, y = _at(position)
    cross: list[Shape] = [Line(x - 5, y - 5, x + 5, y + 5, "limit"), Line(x - 5, y + 5, x + 5, y - 5, "limit")]
    return [*([Circle(x, y, 3.5, "post")] if playable else cross), Label(x + 6, y - 4, said, "start")]


def _label(angle: float) -> str:
    side = side_of(angle, 0.05)
    return "0°" if side == "neither" else f"{abs(angle):.1f}° {side[0].upper()}"


def _levels(found: PerceptionMap, reach: float) -> list[Shape]:
    """Level lines: where the looks-straight angle is the same; none along a lever that nobody knows the effect of."""
    across = np.linspace(-reach, reach, _COLUMNS)
    grid = rows_at(np.repeat(across, _COLUMNS), np.tile(across, _COLUMNS)) @ found.mean
    steep = float(grid.max() - grid.min())
    if not any(it.tried for it in found.effects[:2]) or steep < 0.2:
        return []
    step = 0.5 if steep < 5 else 1.0
    levels = range(math.ceil(float(grid.min()) / step), math.floor(float(grid.max()) / step) + 1)
    return [shape for n in levels for shape in _level(found, n * step, reach)]


def _level(found: PerceptionMap, level: float, reach: float) -> list[Shape]:
    """One level line, named where it leaves the frame; the page's x is −behind, its y −inside."""
    terms = rows_at(np.array([0.0, 1.0, -1.0, 0.0, 0.0]), np.array([0.0, 0.0, 0.0, 1.0, -1.0])) @ found.mean
    start, inside, behind = terms[0], terms[1:3], terms[3:5]
    (a1, q1), (a2, q2) = (((it[0] - it[1]) / 2, (it[0] + it[1]) / 2 - start) for it in (inside, behind))
    steps = np.linspace(-reach, reach, _COLUMNS)
    # Along the lever that does less there is one crossing, or two, of the other.
    solve_inside = abs(a1) + abs(q1) * reach >= abs(a2) + abs(q2) * reach
    a, q, other_a, other_q = (a1, q1, a2, q2) if solve_inside else (a2, q2, a1, q1)
    branches: tuple[list[tuple[float, float]], list[tuple[float, float]]] = ([], [])
    for other in steps:
        rest = start - level + other_a * other + other_q * other**2
        for branch, root in zip(branches, _roots(q, a, rest), strict=True):
            if root is not None and abs(root) <= reach:
                branch.append((-float(other), -root) if solve_inside else (-root, -float(other)))
    shapes: list[Shape] = []
    for branch in branches:
        if len(branch) < 2:
            continue
        shapes.append(Curve(tuple(branch), "limit" if level == 0 else "mark"))
        x, y = min(branch)
        if x <= -reach + 1e-6:
            shapes.append(Label(-reach - 3, y + 2, _label(level), "end"))
        elif (top := min(branch, key=lambda it: it[1]))[1] <= -reach + 4:
            shapes.append(Label(top[0], -reach - 3, _label(level)))
    return shapes


def _roots(q: float, a: float, c: float) -> tuple[float | None, float | None]:
    """Roots of q·x² + a·x + c, the one nearer 0 first."""
    if abs(q) * _REACH_MM < 1e-3 * max(abs(a), 1e-9):
        return (-c / a if abs(a) > 1e-9 else None), None
    inner = a * a - 4 * q * c
    if inner < 0:
        return None, None
    both = sorted(((-a + sign * math.sqrt(inner)) / (2 * q) for sign in (-1, 1)), key=abs)
    return both[0], both[1]


def _shade(found: PerceptionMap, reach: float) -> list[Shape]:
    """Where straight may well look straight: where neither side is surer than nineteen in twenty."""
    if not any(it.tried for it in found.effects[:2]):
        return []
    ys, xs = np.linspace(-reach, reach, _ROWS), np.linspace(-reach, reach, _COLUMNS)
    left = found.below_zero(rows_at(np.repeat(-ys, xs.size), np.tile(-xs, ys.size))).reshape(ys.size, xs.size)
    open_ = np.minimum(left, 1 - left) - (1 - CLEAR())
    rows = [(float(y), _spans(xs, row)) for y, row in zip(ys, open_, strict=True)]
    if all(ends == [(-reach, reach)] for _, ends in rows):
        return []
    shapes: list[Shape] = []
    for (y1, one), (y2, other) in pairwise(rows):
        if len(one) == len(other):
            shapes += [
                Area(((a1, y1), (b1, y1), (b2, y2), (a2, y2)), "shade")
                for (a1, b1), (a2, b2) in zip(one, other, strict=True)
            ]
        else:  # the region opens, closes or joins between the rows
            half = (y1 + y2) / 2
            shapes += [box(a, y1, b, half, "shade") for a, b in one] + [box(a, half, b, y2, "shade") for a, b in other]
    return shapes


def _spans(xs: Floats, value: Floats) -> list[tuple[float, float]]:
    """Where a value known at xs is positive, from left to right, straight between them."""
    spans: list[tuple[float, float]] = []
    began: float | None = float(xs[0]) if value[0] > 0 else None
    for (x1, x2), (v1, v2) in zip(pairwise(xs.tolist()), pairwise(value.tolist()), strict=True):
        if (v1 > 0) == (v2 > 0):
            continue
        crossing = x1 + (x2 - x1) * v1 / (v1 - v2)
        if began is None:
            began = crossing
        else:
            spans.append((began, crossing))
            began = None
    if began is not None:
        spans.append((began, float(xs[-1])))
    return spans
