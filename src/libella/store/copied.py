"""Many rows at once: by COPY, several times as fast as inserting them."""

from collections.abc import Sequence

from sqlalchemy import text
from sqlalchemy.orm import Session


def copy_in(session: Session, table: str, columns: Sequence[str], rows: Sequence[tuple[object, ...]]) -> int:
    """Write rows into a table; gives how many.

    They are copied beside it first: a table whose rows are fenced by studio (`store.server.fence`) takes in no copy, of
    whose rows nobody would ask whose they are.
    """
    if not rows:
        return 0
    session.flush()
    these, beside = ", ".join(columns), f"copied_{table}"
    session.execute(
        text(
            f"create temporary table if not exists {beside} on commit drop as select {these} from {table} with no data"
        )
    )
    raw = session.connection().connection.driver_connection
    assert raw is not None
    with raw.cursor() as cursor, cursor.copy(f"copy {beside} ({these}) from stdin") as to:
        for row in rows:
            to.write_row(row)
    session.execute(text(f"insert into {table} ({these}) select {these} from {beside}"))
    session.execute(text(f"truncate {beside}"))
    return len(rows)
