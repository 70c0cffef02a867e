"""What a stand-in measures and how it goes wrong. Two stand-ins of one golfer see the same strokes."""

import time
from collections.abc import Iterator
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Literal

import numpy as np

from ..core.simulated.golfer import SimulatedGolfer, SimulatedStroke, sensed
from .link import Link, until

Kind = Literal["face_and_path", "start_board", "level"]
FAULTS = ("drop", "twice", "late", "noise", "zero", "nonsense")
_STILL_EVERY_S = 0.4
_LATE_S = 10.0
_OFTEN = 0.25
GOLFER = SimulatedGolfer(0.2, 0.9, looks_straight_deg=0.8, makes_up=0.4, path_deg=-1.0)


@dataclass(frozen=True, slots=True)
class Habit:
    """How a stand-in goes on: seconds between strokes, strokes until it stops (0: never), what goes wrong."""

    every_s: float = 12.0
    strokes: int = 0
    faults: frozenset[str] = frozenset()
    seed: int = 1
    distance_m: float = 2.5
    tilt_percent: tuple[float, float] = (0.8, -0.3)


def run(link: Link, kind: Kind, habit: Habit, golfer: SimulatedGolfer = GOLFER) -> None:
    """Tell strokes, and between them what is read with nothing moving, until the strokes are told."""
    late: list[tuple[float, dict[str, object]]] = []
    for slot in _slots(habit):
        _rest(link, kind, habit, slot * habit.every_s, late)
        if kind == "level":
            continue
        # Drawn from the moment alone: whoever watches this stroke sees the same.
        rng = np.random.default_rng([habit.seed, slot])
        stroke = golfer.stroke(rng, habit.distance_m)
        message = _message(link, kind, habit, slot, stroke, np.random.default_rng([habit.seed, slot, len(kind)]))
        chance = np.random.default_rng([habit.seed, slot, 7]).random(4)
        if "drop" in habit.faults and chance[0] < _OFTEN:
            link.drop()
        if "nonsense" in habit.faults and chance[1] < _OFTEN:
            link.send(link.message("stroke", {"face_impact_deg": 400.0}, stroke_id=f"nonsense-{slot}"))
        if "late" in habit.faults and chance[2] < _OFTEN:
            late.append((time.time() + _LATE_S, message))
        else:
            link.send(message)
        if "twice" in habit.faults and chance[3] < 2 * _OFTEN:
            link.send(message)
    for due, message in late:
        until(due)
        link.send(message)
    link.flush()


def _slots(habit: Habit) -> Iterator[int]:
    first = int(time.time() / habit.every_s) + 1
    n = 0
    while not habit.strokes or n < habit.strokes:
        yield first + n
        n += 1


def _rest(link: Link, kind: Kind, habit: Habit, end: float, late: list[tuple[float, dict[str, object]]]) -> None:
    """Between strokes: still readings, what is due late, and whatever waits for the connection."""
    rng = np.random.default_rng([habit.seed, int(end)])
    while True:
        for it in [it for it in late if it[0] <= time.time()]:
            late.remove(it)
            link.send(it[1])
        if time.time() + _STILL_EVERY_S >= end:
            until(end)
            return
        link.flush()
        noise = 0.3 if "noise" in habit.faults else 0.1
        if kind == "face_and_path":
            link.send(link.message("still", {"face_deg": _zero(habit) + float(rng.normal(0, noise))}), lasting=False)
        elif kind == "level":
            along, across = (it + float(rng.normal(0, noise / 3)) for it in habit.tilt_percent)
            link.send(link.message("level", {"along_percent": along, "across_percent": across}), lasting=False)
        time.sleep(_STILL_EVERY_S)


def _zero(habit: Habit) -> float:
    return 2.0 if "zero" in habit.faults else 0.3


def _message(
    link: Link, kind: Kind, habit: Habit, slot: int, stroke: SimulatedStroke, rng: np.random.Generator
) -> dict[str, object]:
    u = 0.6 if "noise" in habit.faults else 0.2
    measures = sensed(stroke, rng, u_deg=u, zero_deg=_zero(habit), start=kind == "start_board")
    at = datetime.fromtimestamp(slot * habit.every_s, UTC)
    return link.message("stroke", measures, at, f"{kind}-{slot}")
