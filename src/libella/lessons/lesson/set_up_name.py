"""How a golfer's set-ups are told apart in a lesson: by name, as the coach calls them, the same in every step; without
a name it is as usual."""

from typing import Final
from uuid import UUID

from sqlalchemy import func, literal, select, union_all

from ...store.tables import AimSeriesRow, BlockRow, EyeTakeRow, SightTestRow
from ..desk.desk import Desk

AS_USUAL: Final = ""
"""The set-up of a golfer of whom nothing else was said: the absence of a name."""


def set_up_names(desk: Desk, lesson_id: UUID) -> list[str]:
    """The set-ups of a lesson by name, in the order of their first use, whichever step used them first."""
    named = [
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
