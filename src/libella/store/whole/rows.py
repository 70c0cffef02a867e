"""Rows of a golfer, or of the whole studio, out of the tables: as JSON and as CSV, written by the database itself."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Final
from uuid import UUID

from sqlalchemy import text
from sqlalchemy.orm import Session

from .kinds import FILES, IN_COMMON, WITH_A_GOLFER, Column, Kind, kinds

_FETCH: Final = 2000


def subject_of(session: Session, scope: "Scope") -> tuple[str, bool]:
    """The name of the golfer or studio an archive is of, and whether it is invented."""
    where = f"golfer where studio_id = '{scope.studio_id}' and id = '{scope.golfer_id}'"
    if scope.golfer_id is None:
        where = f"studio where id = '{scope.studio_id}'"
    name, invented = session.execute(text(f"select name, invented from {where}")).one()
    return name, invented


@dataclass(frozen=True, slots=True)
class Scope:
    """Whose rows: a golfer's, or the whole studio's."""

    studio_id: UUID
    golfer_id: UUID | None

    def query(self, kind: Kind) -> str | None:
        """The rows of a table that belong to it, oldest key first; None where it has none by its nature."""
        columns = ", ".join(self._column(kind, it) for it in kind.columns)
        order = ", ".join(kind.key)
        if kind.name == IN_COMMON:
            return f"select {columns} from studio where id = '{self.studio_id}'" if self.golfer_id is None else None
        mine = f"studio_id = '{self.studio_id}'"
        if self.golfer_id is not None:
            reached = "true" if kind.name in WITH_A_GOLFER else self._reached(kind)
            if reached is None:
                return None
            mine += f" and {reached}"
        return f"select {columns} from {kind.name} where {mine} order by {order}"

    def _column(self, kind: Kind, it: Column) -> str:
        if file := FILES.get((kind.name, it.name)):
            return f"'{file[0]}/' || id || '.{file[1]}' as {it.name}"
        if (kind.name, it.name) == ("sensor", "lesson_id") and self.golfer_id is not None:
            # A sensor goes from golfer to golfer: of this one's archive it belongs to this one's lesson.
            newest = f"(select s.lesson_id from stroke s where s.studio_id = sensor.studio_id and s.sensor_id = sensor.id and s.lesson_id in ({self.lessons}) order by s.at desc limit 1)"  # noqa: E501
            return f"case when lesson_id in ({self.lessons}) then lesson_id else {newest} end as lesson_id"
        return f'"{it.name}"'

    @property
    def own(self) -> str:
        """The condition under which a row names this golfer."""
        return f"studio_id = '{self.studio_id}' and golfer_id = '{self.golfer_id}'"

    def reached(self, table: str) -> str | None:
        """The condition under which a row of a table is this golfer's; None where none is, by its nature."""
        reached = self._reached(next(it for it in kinds() if it.name == table))
        return None if reached is None else f"studio_id = '{self.studio_id}' and {reached}"

    @property
    def lessons(self) -> str:
        """The ids of this golfer's lessons, as a query."""
        return f"select l.id from lesson l where l.studio_id = '{self.studio_id}' and l.golfer_id = '{self.golfer_id}'"

    def _reached(self, kind: Kind) -> str | None:
        """The condition under which a row is this golfer's: by its own column, or by what it refers to."""
        if kind.name == "golfer":
            return f"id = '{self.golfer_id}'"
        if kind.name == "sensor":
            used = f"select s.sensor_id from stroke s where s.studio_id = '{self.studio_id}' and s.lesson_id in ({self.lessons})"  # noqa: E501
            return f"(lesson_id in ({self.lessons}) or id in ({used}))"
        refers = dict(kind.refers)
        if "golfer_id" in refers:
            return f"golfer_id = '{self.golfer_id}'"
        ways = [it for it in ("lesson_id", *sorted(refers)) if it in refers]
        for column in ways:
            parent = next(it for it in kinds() if it.name == refers[column])
            if parent.name != kind.name and (reached := self._reached(parent)) is not None:
                held = f"select id from {parent.name} where studio_id = '{self.studio_id}' and {reached}"
                return f"{column} in ({held})"
        return None


def counted(session: Session, scope: Scope) -> dict[str, int]:
    """How many rows of each table there are."""
    queries = [(it.name, query) for it in kinds() if (query := scope.query(it)) is not None]
    parts = " union all ".join(
        f"select '{name}' as name, count(*) as count_ from ({query}) it" for name, query in queries
    )
    return {it.name: it.count_ for it in session.execute(text(parts))}


def rows_of(session: Session, scope: Scope, kind: Kind) -> Iterator[Sequence[str]]:
    """The rows of a table as JSON objects, some thousands at a time, as the database itself writes them: no number
    loses a digit on its way."""
    query = scope.query(kind)
    if query is None:
        return
    told = session.execute(
        text(f"select row_to_json(it)::text from ({query}) it"), execution_options={"yield_per": _FETCH}
    )
    yield from told.scalars().partitions(_FETCH)


# Whatever a spreadsheet would take for the beginning of a formula, as `exchange.spreadsheet` writes it.
_FORMULA: Final = r"""regexp_replace({}::text, E'(^|[\\t\\r\\n;,|])(\\s*)(\'*[=+\\-@])', E'\\1\\2\'\\3', 'g')"""
_PLAIN: Final = (UUID, int, float, bool)


def table_of(session: Session, scope: Scope, kind: Kind) -> Iterator[bytes]:
    """The same rows as a CSV table with its headings."""
    query = scope.query(kind)
    if query is None:
        return
    columns = ", ".join(_for_spreadsheet(one) for one in kind.columns)
    raw = session.connection().connection.driver_connection
    assert raw is not None
    with raw.cursor() as cursor, cursor.copy(f"copy (select {columns} from ({query}) it) to stdout csv header") as out:
        for piece in out:
            yield bytes(piece)


def _for_spreadsheet(it: Column) -> str:
    name = f'it."{it.name}"'
    return name if it.kind in _PLAIN else f'{_FORMULA.format(name)} as "{it.name}"'


def files_of(session: Session, scope: Scope) -> Iterator[tuple[str, bytes]]:
    """Every file that is kept in a column: its name in the archive, and what is in it."""
    for kind in kinds():
        for column in (one for (table, one) in FILES if table == kind.name):
            query = scope.query(kind)
            if query is None:
                continue
            folder, ending = FILES[kind.name, column]
            found = text(
                f"select id, {column} from {kind.name} where studio_id = '{scope.studio_id}' "
                f"and id in (select id from ({query}) it) order by id"
            )
            for id, content in session.execute(found, execution_options={"yield_per": 10}):
                yield f"{folder}/{id}.{ending}", bytes(content)
