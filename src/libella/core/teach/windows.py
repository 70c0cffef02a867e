"""What the hole allows: a gate against the window, face and path, pace, and what a bias costs at each length."""

import math
from functools import lru_cache
from typing import Final

import numpy as np

from ..drawing.rays import across, ray, wedge
from ..drawing.scene import Circle, Curve, Label, Line, Role, Scene, Shape, box
from ..estimate.cost import Mix, share_within
from ..green.capture import Capture, capture_offset, speed_past
from ..instruments.gate import clearance_limit_deg
from ..measure.constants import BALL_M, HOLE_M
from ..measure.window import Window
from .taught import Known, Lever, Say, Shown, Teaching, Told, Values

_ENLARGED: Final = 6.0
_WIDER: Final = 4.0
_HOLE_R, _BALL_R = 1000 * HOLE_M / 2, 1000 * BALL_M / 2
_RAY: Final = 1000.0


def window_deg(distance_m: float, past_m: float, green_speed_ft: float, capture: Capture) -> float:
    """Half the window of a level putt, degrees: as far off as the hole still takes it at that pace (handbook 4)."""
    return math.degrees(math.atan2(capture_offset(speed_past(past_m, green_speed_ft), capture), distance_m))


def _of_putt(known: Known, distance_m: float) -> float:
    return window_deg(distance_m, known.putt.past_m, known.putt.green_speed_ft, known.putt.capture)


@lru_cache(maxsize=16384)
def _inside(half_deg: float, bias: float, spread: float) -> float:
    """Putts of a hundred that start within."""
    one = Mix.one(Window(half_deg, half_deg))
    return float(100 * share_within(one, np.array([bias]), np.array([spread]))[0])


def _gate(values: Values, known: Known, say: Say) -> Shown:
    """From above: what passes the gate clean beside what the hole takes."""
    width, at, far = values["width"], values["at"] * 1000, values["distance"] * 1000
    clean = clearance_limit_deg(width / 1000, values["at"])
    window = _of_putt(known, values["distance"])
    post = width / 2 * _ENLARGED
    shapes: list[Shape] = [
        wedge(far, -window, window, _ENLARGED, "window"),
        Line(0.0, 0.0, far, 0.0, "line"),
        *(ray(far, side * clean, _ENLARGED, "limit") for side in (-1.0, 1.0)),
        *(box(at - 12.0, side * post, at + 12.0, side * (post + 130.0), "post") for side in (-1.0, 1.0)),
        Circle(far, 0.0, _HOLE_R, "hole"),
        Circle(0.0, 0.0, _BALL_R, "ball"),
        Label(at, -post - 170.0, say("gate", clean), "middle"),
        Label(far, max(across(far, window, _ENLARGED), 60.0) + 110.0, say("window", window), "end"),
    ]
    told = [
        Told("gate", {"clean_deg": clean, "window_deg": window, "distance_m": values["distance"]}),
        Told("gate_wider" if clean > 1.1 * window else "gate_tighter" if clean < 0.9 * window else "gate_same"),
        Told(
            "gate_putts",
            {
                "clean_of_100": _inside(clean, known.bias_deg, known.spread_deg),
                "window_of_100": _inside(window, known.bias_deg, known.spread_deg),
            },
        ),
    ]
    half = max(0.16 * far, post + 220.0, across(far, max(window, clean), _ENLARGED) + 60.0)
    return Shown(Scene(-60.0, -half, far + 120.0, half, "", tuple(shapes)), tuple(told), _ENLARGED)


def _face_path(values: Values, known: Known, say: Say) -> Shown:
    """From above: the start lies between face and path, nearer the face by its share."""
    face, path, k = values["face"], values["path"], values["k"]
    start = k * face + (1 - k) * path
    window = _of_putt(known, known.putt.distance_m)
    side: Role = "right" if start > 0 else "left"
    start_line = ((0.0, 0.0), (_RAY, across(_RAY, start, _WIDER)))
    shapes: list[Shape] = [
        wedge(_RAY, -window, window, _WIDER, "window"),
        Line(-300.0, 0.0, _RAY, 0.0, "line"),
        Line(-300.0, -across(300.0, path, _WIDER), _RAY, across(_RAY, path, _WIDER), "path"),
        ray(_RAY, face, _WIDER, "limit"),
        Curve(start_line, side),
        Circle(0.0, 0.0, _BALL_R, "ball"),
        *_ends(_RAY + 30.0, {"face": face, "path": path, "start": start}, say),
    ]
    told = (
        Told("face_path", {"start_deg": start, "k_x": k, "face_part_deg": k * face, "path_part_deg": (1 - k) * path}),
        Told("start_inside" if abs(start) <= window else "start_outside", {"window_deg": window,
             "distance_m": known.putt.distance_m}),
        Told("path_made_good", {"path_deg": path, "face_deg": -(1 - k) * path / k}),
    )  # fmt: skip
    return Shown(Scene(-340.0, -580.0, _RAY + 460.0, 580.0, "", tuple(shapes)), told, _WIDER)


def _ends(at: float, some: dict[str, float], say: Say) -> list[Label]:
    """Each direction's name at its end, so far apart that none lies on another."""
    placed: list[Label] = []
    last = -math.inf
    for code, deg in sorted(some.items(), key=lambda it: it[1]):
        last = max(across(_RAY, deg, _WIDER), last + 90.0)
        placed.append(Label(at, last + 14.0, say(code, deg), "start"))
    return placed


def _capture(values: Values, known: Known, say: Say) -> Shown:
    """The hole from above: how much of it is left at a pace."""
    past, green, far = values["past"], values["green"], values["distance"]
    speed = speed_past(past, green)
    off = 1000 * capture_offset(speed, known.putt.capture)
    slow = 1000 * capture_offset(0.0, known.putt.capture)
    half = window_deg(far, past, green, known.putt.capture)
    ghosts = [Circle(0.0, side * off, _BALL_R, "ghost") for side in (-1.0, 1.0)] if off else []
    shapes: list[Shape] = [
        *([box(-230.0, -off, 0.0, off, "window")] if off else []),
        Line(-230.0, 0.0, 230.0, 0.0, "line"),
        Circle(0.0, 0.0, _HOLE_R, "hole"),
        *ghosts,
        Label(-225.0, -off - 12.0, say("lane", 2 * off), "start"),
    ]
    told = (
        Told("capture", {"lane_mm": 2 * off, "past_m": past, "left_of_100": 100 * off / slow}),
        Told("capture_window", {"window_deg": half, "distance_m": far})
        if off
        else Told("capture_none", {"past_m": past}),
        Told("capture_putts", {"inside_of_100": _inside(half, known.bias_deg, known.spread_deg) if off else 0.0}),
    )
    return Shown(Scene(-250.0, -120.0, 250.0, 120.0, "", tuple(shapes)), told)


_METRE: Final = 130.0
_WHOLE: Final = 420.0


def _cost(values: Values, known: Known, say: Say) -> Shown:
    """Putts inside the window by length, with the bias and without it."""
    bias, spread, here = values["bias"], values["spread"], values["distance"]
    lengths = np.arange(0.4, 6.01, 0.2)
    kept = {at: [(float(it), _inside(_of_putt(known, float(it)), at, spread)) for it in lengths] for at in (0.0, bias)}

    def page(rows: list[tuple[float, float]]) -> tuple[tuple[float, float], ...]:
        return tuple((far * _METRE, -share / 100 * _WHOLE) for far, share in rows)

    without, with_it = (_inside(_of_putt(known, here), at, spread) for at in (0.0, bias))
    x = here * _METRE
    shapes: list[Shape] = [
        Line(0.0, 0.0, 6.1 * _METRE, 0.0, "ground"),
        *(Line(n * _METRE, 0.0, n * _METRE, 12.0, "ground") for n in range(1, 7)),
        *(Line(0.0, -part * _WHOLE, 6.1 * _METRE, -part * _WHOLE, "stance") for part in (0.5, 1.0)),
        Curve(page(kept[0.0]), "line"),
        Curve(page(kept[bias]), "path"),
        Curve(((x, -without / 100 * _WHOLE), (x, -with_it / 100 * _WHOLE)), "right" if bias > 0 else "left"),
        *(Circle(x, -share / 100 * _WHOLE, 8.0, "mark") for share in (without, with_it)),
        *(Label(n * _METRE, 50.0, say("length", float(n)), "middle") for n in (1, 2, 4, 6)),
        *(Label(-14.0, -part * _WHOLE + 8.0, say("share", 100 * part), "end") for part in (0.5, 1.0)),
    ]
    most, worst = max((lost, at) for lost, at in zip(_losses(kept, bias), lengths, strict=True))
    if most < 0.5:
        where = Told("cost_nothing", {})
    elif round(most) <= round(without - with_it):
        where = Told("cost_most_here", {})
    else:
        where = Told("cost_most", {"worst_m": worst, "worst_of_100": most})
    told = (
        Told("cost", {"distance_m": here, "without_of_100": without, "with_of_100": with_it,
                      "cost_of_100": without - with_it}),
        where,
    )  # fmt: skip
    return Shown(Scene(-110.0, -_WHOLE - 40.0, 6.3 * _METRE, 80.0, "", tuple(shapes)), told, chart=True)


def _losses(kept: dict[float, list[tuple[float, float]]], bias: float) -> list[float]:
    return [straight - off for (_, straight), (_, off) in zip(kept[0.0], kept[bias], strict=True)]


GATE: Final = Teaching(
    "gate",
    (
        Lever("width", "mm", 44.0, 160.0, 2.0, 64.0),
        Lever("at", "m", 0.2, 2.0, 0.05, 0.6),
        Lever("distance", "m", 0.6, 6.0, 0.1, knows="distance_m"),
    ),
    _gate,
)
FACE_PATH: Final = Teaching(
    "face_path",
    (
        Lever("face", "deg", -4.0, 4.0, 0.1, knows="face_deg"),
        Lever("path", "deg", -8.0, 8.0, 0.2, knows="path_deg"),
        Lever("k", "", 0.6, 1.0, 0.01, knows="k"),
    ),
    _face_path,
)
CAPTURE: Final = Teaching(
    "capture",
    (
        Lever("past", "m", 0.0, 2.0, 0.05, knows="past_m"),
        Lever("green", "ft", 6.0, 14.0, 0.5, knows="green_speed_ft"),
        Lever("distance", "m", 0.6, 6.0, 0.1, knows="distance_m"),
    ),
    _capture,
)
COST: Final = Teaching(
    "cost",
    (
        Lever("bias", "deg", -3.0, 3.0, 0.1, knows="bias_deg"),
        Lever("spread", "deg", 0.2, 3.0, 0.05, knows="spread_deg"),
        Lever("distance", "m", 0.6, 6.0, 0.1, knows="distance_m"),
    ),
    _cost,
)
