"""What the instruments of a lesson are known to be off by themselves, as each was checked last."""

from dataclasses import dataclass
from typing import Final
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.set.tool_check import UNCHECKED, ToolCheck, ToolZero, tool_zero
from ...store.tables import LessonRow, ToolCheckRow
from ..desk.desk import Desk
from ..desk.stored import Stored
from ..values import KeptToolCheck, values_of

CHECK: Final[Stored[ToolCheck]] = Stored(ToolCheck)


@dataclass(frozen=True, slots=True)
class CheckedTool:
    """A tool as it was checked last in a lesson."""

    kept: KeptToolCheck
    check: ToolCheck
    zero: ToolZero


def checked_tools(desk: Desk, lesson_id: UUID) -> list[CheckedTool]:
    """The tools checked in a lesson, each as it was checked last."""
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        return checked_here(desk, session, lesson_id)


def zero_here(desk: Desk, session: Session, lesson_id: UUID, kind: str | None) -> ToolZero:
    """The own error of a kind of tool as it was checked last in a lesson."""
    return next((it.zero for it in checked_here(desk, session, lesson_id) if it.kept.kind == kind), UNCHECKED)


def checked_here(desk: Desk, session: Session, lesson_id: UUID) -> list[CheckedTool]:
    """The same, within a transaction."""
    query = select(ToolCheckRow).where(
        ToolCheckRow.studio_id == desk.studio_id, ToolCheckRow.lesson_id == lesson_id, ToolCheckRow.voided.is_(False)
    )
    newest = {
        it.kind: it
        for it in values_of(KeptToolCheck, session.scalars(query.order_by(ToolCheckRow.taken_at, ToolCheckRow.id)))
    }
    found: list[CheckedTool] = []
    for it in newest.values():
        check = CHECK.read(it.raw)
        found.append(CheckedTool(it, check, tool_zero(check, dict(it.sizes))))
    return found
