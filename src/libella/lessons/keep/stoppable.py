"""Work that goes on beside the requests, as its row tells it: every process can say how far it is, and stop it."""

from uuid import UUID

from sqlalchemy import update
from sqlalchemy.orm import InstrumentedAttribute

from ...store.tables import ArchiveWorkRow, FileWorkRow
from ..desk.desk import Desk


class Cancelled(Exception):
    """The coach stopped it; nothing of it is kept."""


def say(
    desk: Desk, table: type[FileWorkRow | ArchiveWorkRow], key: InstrumentedAttribute[UUID], id: UUID, **values: object
) -> bool:
    """Say how the work on `id` stands; tells whether it was asked to stop."""
    statement = (
        update(table).where(table.studio_id == desk.studio_id, key == id).values(**values).returning(table.stop_asked)
    )
    with desk.transaction() as session:
        return bool(session.scalar(statement))
