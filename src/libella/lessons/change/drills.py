"""Drills of the product and of the coach, and the runs of a golfer."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.change.drill import Drill
from ...core.change.drills import drills
from ...core.change.run import Progress, Told, checked_run, progress
from ...core.change.scored import Putted, scored
from ...core.measure.interval import Interval
from ...core.measure.limits import OutOfLimits
from ...store.tables import BlockRow, DrillRow, DrillRunRow, GolferRow, LessonRow, PracticePlanRow
from ..desk.desk import Desk
from ..desk.problem import Conflict
from ..desk.stored import Stored
from ..lesson.lessons import with_readings
from ..values import KeptBlock, KeptDrill, KeptDrillRun, KeptReading, value_of, values_of

_DRILL: Final[Stored[Drill]] = Stored(Drill)


@dataclass(frozen=True, slots=True)
class Known:
    """A drill as the coach has it: of the product, or an own one; retired ones are still told of."""

    drill: Drill
    own: UUID | None = None
    copied_from: str = ""
    retired: bool = False


def drills_known(desk: Desk) -> dict[str, Known]:
    """Every drill by its code; an own one's code is its id."""
    with desk.transaction() as session:
        rows = values_of(
            KeptDrill,
            session.scalars(select(DrillRow).where(DrillRow.studio_id == desk.studio_id).order_by(DrillRow.id)),
        )
    own = {str(it.id): Known(_DRILL.read(it.told), it.id, it.copied_from, it.voided) for it in rows}
    return {code: Known(it) for code, it in drills().items()} | own


def checked_copy(known: Mapping[str, Known], code: str) -> None:
    """`OutOfLimits` for a drill that there is none of to copy."""
    if code not in known:
        raise OutOfLimits("copied_from", "no_such_choice", named=code, known=tuple(drills()))


def keep_drill(desk: Desk, id: UUID, told: Drill, copied_from: str = "") -> Known:
    """Keep a drill of the coach's own; said again it takes the place of what was said before."""
    with desk.transaction() as session:
        document = _DRILL.keep(replace(told, code=str(id)))
        row, new = desk.add(session, DrillRow, id, told=document, copied_from=copied_from)
        if not new:
            row = desk.get(session, DrillRow, id, "drill", lock=True)
            row.told = document
        return _known(value_of(KeptDrill, row))


def retire_drill(desk: Desk, id: UUID, retired: bool) -> Known:
    """Retire a drill of one's own, or bring it back: what was run of it stays."""
    return _known(desk.void(KeptDrill, DrillRow, id, "drill", retired))


def _known(it: KeptDrill) -> Known:
    return Known(_DRILL.read(it.told), it.id, it.copied_from, it.voided)


@dataclass(frozen=True, slots=True)
class RunEntry:
    """A run as it was told: of which drill, of which session of a plan, with its aid or bare, event by event."""

    golfer_id: UUID
    drill: str
    told: Told
    done_at: datetime
    bare: bool = True
    plan_id: UUID | None = None
    number: int | None = None


def keep_run(desk: Desk, id: UUID, entry: RunEntry) -> KeptDrillRun:
    """Keep a run. Said twice it is one; said otherwise, a conflict."""
    known = drills_known(desk)
    if entry.drill not in known:
        raise OutOfLimits("drill", "no_such_choice", named=entry.drill, known=tuple(drills()))
    told = checked_run(known[entry.drill].drill, entry.told)
    with desk.transaction() as session:
        desk.get(session, GolferRow, entry.golfer_id, "golfer")
        if entry.plan_id is not None:
            of = desk.get(session, PracticePlanRow, entry.plan_id, "practice_plan")
            if of.golfer_id != entry.golfer_id:
                raise Conflict("plan_of_another")
        values = {
            "golfer_id": entry.golfer_id,
            "drill": entry.drill,
            "plan_id": entry.plan_id,
            "number": entry.number,
            "bare": entry.bare,
            "told": [it if isinstance(it, int) else list(it) for it in told],
            "done_at": entry.done_at,
        }
        return value_of(KeptDrillRun, desk.keep(session, DrillRunRow, id, "drill_run", values))


def void_run(desk: Desk, id: UUID, voided: bool) -> KeptDrillRun:
    """Take a run out of what counts, or bring it back."""
    return desk.void(KeptDrillRun, DrillRunRow, id, "drill_run", voided)


@dataclass(frozen=True, slots=True)
class Run:
    """A run that counts: told event by event, or a block of a lesson that was putted as one and scored by what was read
    of it."""

    id: UUID
    drill: str
    told: Told
    done_at: datetime
    bare: bool = True
    plan_id: UUID | None = None
    number: int | None = None
    block_id: UUID | None = None


def runs_of(desk: Desk, golfer_id: UUID, known: Mapping[str, Known]) -> Sequence[Run]:
    """The runs of a golfer that count, oldest first, with those putted in lessons."""
    runs = [*told_runs(desk, golfer_id), *_putted(desk, golfer_id, known)]
    return sorted(runs, key=lambda it: (it.done_at, it.id))


def told_runs(desk: Desk, golfer_id: UUID) -> Sequence[Run]:
    """The runs of a golfer that count and were told event by event, oldest first."""
    query = select(DrillRunRow).where(
        DrillRunRow.studio_id == desk.studio_id, DrillRunRow.golfer_id == golfer_id, DrillRunRow.voided.is_(False)
    )
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        told = values_of(KeptDrillRun, session.scalars(query.order_by(DrillRunRow.done_at, DrillRunRow.id)))
    return [Run(it.id, it.drill, _told(it), it.done_at, it.bare, it.plan_id, it.number) for it in told]


def _putted(desk: Desk, golfer_id: UUID, known: Mapping[str, Known]) -> list[Run]:
    """The blocks of lessons that were putted as a run, once they are full or their lesson has ended."""
    query = (
        select(BlockRow, LessonRow.ended_at)
        .join(LessonRow, (LessonRow.studio_id == BlockRow.studio_id) & (LessonRow.id == BlockRow.lesson_id))
        .where(BlockRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id, LessonRow.voided_at.is_(None))
        .where(BlockRow.drill != "")
    )
    with desk.transaction() as session:
        rows = session.execute(query).all()
        over = {block.id for block, ended_at in rows if ended_at is not None}
        sheets = with_readings(desk, session, values_of(KeptBlock, [block for block, _ in rows]))
    found: list[Run] = []
    for it in sheets:
        valid = [one for one in it.readings if not one.voided]
        if it.block.drill in known and valid and (len(valid) >= it.block.planned or it.block.id in over):
            told = scored(known[it.block.drill].drill, [_putt(one) for one in valid])
            if told:
                at, bare = valid[-1].taken_at, not it.block.guided
                found.append(Run(it.block.id, it.block.drill, told, at, bare, block_id=it.block.id))
    return found


def _putt(it: KeptReading) -> Putted:
    crossing = it.raw.get("crossing")
    start = None if it.low_deg is None and it.high_deg is None else Interval.of(it.low_deg, it.high_deg)
    return Putted(start, None if crossing is None else crossing == "clean", it.notes)


def progress_of(desk: Desk, golfer_id: UUID, known: Mapping[str, Known]) -> dict[str, Progress]:
    """Where a golfer stands in every drill that was run, by its code."""
    runs = runs_of(desk, golfer_id, known)
    codes = dict.fromkeys(it.drill for it in runs if it.drill in known)
    return {code: progress(known[code].drill, [it.told for it in runs if it.drill == code]) for code in codes}


def checked_drill(desk: Desk, code: str) -> str:
    """The code of a drill that is known, or `OutOfLimits`; empty for none."""
    if code and code not in (known := drills_known(desk)):
        raise OutOfLimits("drill", "no_such_choice", named=code, known=tuple(known))
    return code


def _told(it: KeptDrillRun) -> Told:
    return tuple(one if isinstance(one, int) else (one[0], one[1]) for one in it.told)
