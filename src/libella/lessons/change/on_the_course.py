"""A golfer's putts by length, in practice and on the course: what is holed, what is left, how far back for what."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from ...core.change.made import Carried, MadeAt, Tried, carried, length_of, made_at
from ...core.change.pace_table import LeaveAt, PaceTable, Stroke, leave_at, pace_table
from ...core.change.run import share_of, steps_of
from ...core.change.week import TEN_WITHOUT_HELP
from ...core.estimate.shares import Share
from ...core.golfer.golf_round import RoundTold, told_together
from ...core.set.floor import Surface
from ..desk.desk import Desk
from ..golfer.rounds import Played, rounds_of
from ..lesson.lessons import BlockSheet, every_lesson_of
from ..start.blocks import station_of
from .drills import Known, Run, drills_known, told_runs


@dataclass(frozen=True, slots=True)
class OnSurface:
    """A table of backstroke and roll, of one surface."""

    surface: Surface
    green_speed_ft: float
    table: PaceTable


@dataclass(frozen=True, slots=True)
class OnTheCourse:
    """A golfer's putts by length.

    rounds : newest first; played : what they come to together
    made, carried : what is holed, in practice and on the course; leaves : what is left after a miss
    tables : backstroke and roll by surface
    helpless : runs of ten without help, oldest first, each as a share
    """

    rounds: Sequence[Played]
    played: RoundTold
    made: tuple[MadeAt, ...]
    carried: Carried | None
    leaves: tuple[LeaveAt, ...]
    tables: tuple[OnSurface, ...]
    helpless: tuple[tuple[datetime, Share], ...]


def on_the_course(desk: Desk, golfer_id: UUID) -> OnTheCourse:
    """Everything that was noted of a golfer's putts at the hole."""
    rounds = rounds_of(desk, golfer_id)
    known = drills_known(desk)
    runs = told_runs(desk, golfer_id)
    lessons = every_lesson_of(desk, golfer_id)
    blocks = [it for _, sheets in lessons for it in sheets if it.block.hole]
    holed = [one for it in blocks for one in _holed(it)] + _told_holed(runs, known)
    made = made_at(holed, [Tried(it.first_m, it.holed) for one in rounds for it in one.holes])
    on: dict[tuple[Surface, float], list[BlockSheet]] = {}
    for lesson, sheets in lessons:
        on.setdefault((lesson.surface, lesson.green_speed_ft), []).extend(sheets)
    tables = [OnSurface(*where, table) for where, sheets in on.items() if (table := _table(sheets))]
    return OnTheCourse(
        rounds,
        told_together([it.holes for it in rounds]),
        made,
        carried(made),
        _leaves(blocks),
        tuple(tables),
        tuple((it.done_at, share_of(it.told)) for it in runs if it.drill == TEN_WITHOUT_HELP),
    )


def _valid(it: BlockSheet) -> list[dict[str, str | float]]:
    return [dict(one.notes) for one in it.readings if not one.voided]


def _holed(it: BlockSheet) -> list[Tried]:
    """Of putts with nothing to help: what is holed through a gate in view tells of the gate. Where the line is straight
    nothing had to be read."""
    finishes = [] if it.block.guided else [one["finish"] for one in _valid(it) if "finish" in one]
    if not finishes:
        return []
    read = not station_of(it.block).putt.is_straight
    return [Tried(it.block.distance_m, one == "holed", read) for one in finishes]


def _told_holed(runs: Sequence[Run], known: dict[str, Known]) -> list[Tried]:
    """Of runs that count what is holed: their lengths come in turns, as their station is laid. Once it was made harder,
    or easier, nobody knows from where."""
    found: list[Tried] = []
    for code in dict.fromkeys(it.drill for it in runs if it.drill in known):
        of = known[code].drill
        own = [it.told for it in runs if it.drill == code] if of.scored.of_holed else []
        lengths = of.layout.lengths_m
        for told, step in zip(own, steps_of(of, own), strict=True):
            if step == 0 or code == TEN_WITHOUT_HELP:
                found += [Tried(lengths[at % len(lengths)], one == 1, read=None) for at, one in enumerate(told)]
    return found


def _leaves(blocks: Sequence[BlockSheet]) -> tuple[LeaveAt, ...]:
    found: dict[float, list[float]] = {}
    for it in blocks:
        # Where nobody noted how far, only the holed ones would tell: they say nothing of what is left.
        for one in _valid(it) if "ran_past_m" in it.block.asks else []:
            left = 0.0 if one.get("finish") == "holed" else one.get("ran_past_m")
            if isinstance(left, float | int):
                found.setdefault(length_of(it.block.distance_m), []).append(abs(float(left)))
    return tuple(leave_at(length, found[length]) for length in sorted(found))


def _table(blocks: Sequence[BlockSheet]) -> PaceTable | None:
    """How far a ball rolled is told where how far it was short or past was noted, and so is one that was holed."""
    strokes: list[Stroke] = []
    for it in blocks:
        for one in _valid(it):
            back, past = one.get("back_m"), one.get("ran_past_m")
            if isinstance(back, float | int) and isinstance(past, float | int):
                strokes.append(Stroke(float(back), it.block.distance_m + float(past)))
    return pace_table(strokes)
