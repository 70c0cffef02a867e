"""Checks of the instruments themselves: kept with the lesson they were made in, counted for all that is read there."""

from collections.abc import Mapping
from datetime import datetime
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.set.tool_check import ToolCheck, ToolZero, tool_zero
from ...store.tables import StationRow, ToolCheckRow
from ..desk.desk import Desk
from ..desk.problem import KeptOtherwise
from ..lesson.lessons import open_lesson
from ..values import KeptToolCheck, value_of
from .plans import zero_of_rig
from .tool_zeros import CHECK, zero_here


def keep_tool_check(
    desk: Desk, id: UUID, lesson_id: UUID, check: ToolCheck, sizes: Mapping[str, float], at: datetime
) -> KeptToolCheck:
    """Keep a check of a tool; what is read with that tool in this lesson is judged with it from now on.

    Raises
    ------
    OutOfLimits
        where it tells nothing.
    """
    zero = tool_zero(check, dict(sizes))
    told = {"lesson_id": lesson_id, "kind": check.kind, "sizes": dict(sizes), "taken_at": at}
    with desk.transaction() as session:
        open_lesson(desk, session, lesson_id, at)
        row, new = desk.add(session, ToolCheckRow, id, **told, raw=CHECK.keep(check))
        if not new and (CHECK.read(row.raw) != check or any(getattr(row, name) != it for name, it in told.items())):
            raise KeptOtherwise("tool_check")
        if new:
            _judge_by(desk, session, lesson_id, check.kind, zero, at)
        return value_of(KeptToolCheck, row)


def void_tool_check(desk: Desk, id: UUID, voided: bool, at: datetime) -> KeptToolCheck:
    """Void a check of a tool, or restore it: the one before it counts again, or none."""
    with desk.transaction() as session:
        row = desk.get(session, ToolCheckRow, id, "tool_check", lock=True)
        row.voided = voided
        session.flush()
        _judge_by(desk, session, row.lesson_id, row.kind, zero_here(desk, session, row.lesson_id, row.kind), at)
        return value_of(KeptToolCheck, row)


def _judge_by(desk: Desk, session: Session, lesson_id: UUID, kind: str, zero: ToolZero, at: datetime) -> None:
    """Give the plans that such a tool watches its own error: their putts are judged again."""
    plans = session.scalars(
        select(StationRow).where(
            StationRow.studio_id == desk.studio_id, StationRow.lesson_id == lesson_id, StationRow.rig_kind == kind
        )
    )
    for row in plans:
        zero_of_rig(desk, session, row, zero, at)
