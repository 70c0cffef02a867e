"""How a golfer's set-ups are told apart in a lesson: by name, as the coach calls them, the same in every step; without
a name it is as usual."""

from typing import Final
from uuid import UUID

from sqlalchemy import func, literal, select, union_all

from ...store.tables import AimSeriesRow, BlockRow, EyeTakeRow, LessonRow, SetUpRow, SightTestRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, NotFound

AS_USUAL: Final = ""
"""The set-up of a golfer of whom nothing else was said: the absence of a name."""


def set_up_names(desk: Desk, lesson_id: UUID) -> list[str]:
    """The set-ups of a lesson by name, in the order of their first use, whichever step used them first."""
    named = [
        (SetUpRow, SetUpRow.name, SetUpRow.taken_at),
        (EyeTakeRow, EyeTakeRow.set_up, EyeTakeRow.taken_at),
        (SightTestRow, SightTestRow.condition, SightTestRow.started_at),
        (AimSeriesRow, AimSeriesRow.set_up, AimSeriesRow.started_at),
        (BlockRow, func.coalesce(BlockRow.factors["set_up"].astext, AS_USUAL), BlockRow.started_at),
    ]
    every = union_all(
        *(
            select(name.label("name"), at.label("at"), literal(n).label("step")).where(
                table.studio_id == desk.studio_id, table.lesson_id == lesson_id
            )
            for n, (table, name, at) in enumerate(named)
        )
    ).subquery()
    with desk.transaction() as session:
        found = session.execute(select(every.c.name).order_by(every.c.at, every.c.step, every.c.name)).scalars()
        return [it for it in dict.fromkeys(found) if it != AS_USUAL]


def call_set_up(desk: Desk, lesson_id: UUID, name: str, called: str) -> list[str]:
    """Call a set-up of a lesson otherwise, in every step that names it; gives the names there are then.

    Raises
    ------
    NotFound
        where no step of the lesson names it.
    Conflict
        where another set-up of the lesson is called so already: the two would be one.
    """
    names = set_up_names(desk, lesson_id)
    if name not in names:
        raise NotFound("set_up")
    if called != name and called in names:
        raise Conflict("set_up_name_taken", name=called)
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson", lock=True)
        for table, column in (
            (SetUpRow, "name"), (EyeTakeRow, "set_up"), (SightTestRow, "condition"), (AimSeriesRow, "set_up"),
        ):  # fmt: skip
            told = select(table).where(table.studio_id == desk.studio_id, table.lesson_id == lesson_id)
            for row in session.scalars(told.where(getattr(table, column) == name)):
                setattr(row, column, called)
        blocks = select(BlockRow).where(BlockRow.studio_id == desk.studio_id, BlockRow.lesson_id == lesson_id)
        for block in session.scalars(blocks.where(BlockRow.factors["set_up"].astext == name)):
            block.factors = dict(block.factors) | {"set_up": called}
            # A block that was called by it alone goes on being called by it.
            block.condition = called if block.condition == name else block.condition
    return set_up_names(desk, lesson_id)
