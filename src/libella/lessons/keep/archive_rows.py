"""Everything that is kept of a golfer, or of the whole studio, as rows: out of the tables, and into them.

Which tables these are, and which rows of them are a golfer's, follows from the tables themselves: a new one is in every
archive from its first day, or is named here with the reason why not.
"""

import ast
import inspect
import types
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import cache
from typing import Annotated, Any, Final, Union, get_args, get_origin, get_type_hints
from uuid import UUID

from sqlalchemy import Table, text
from sqlalchemy.exc import DataError, IntegrityError
from sqlalchemy.orm import Mapper, Session

from ...core.measure.limits import OutOfLimits
from ...store.tables import Stored
from ..desk.desk import Desk

LEFT_OUT: Final[Mapping[str, str]] = {
    "golfer_revision": "a mark of what changed, raised anew where it is read in",
    "kept_answer": "an answer that is worked out anew from the rows",
    "file_work": "how far the work on a file of putts is",
    "archive_work": "how far the work on an archive is",
    "archive_part": "pieces of archives on their way",
    "pairing_try": "codes that strange devices tried, of nobody who is coached here",
}
"""Tables that are in no archive, each with the reason."""
SECRETS: Final[frozenset[tuple[str, str]]] = frozenset([("sensor", "code"), ("sensor", "token_hash")])
"""What lets a device in at this installation; at another it is paired anew."""
FILES: Final[Mapping[tuple[str, str], tuple[str, str]]] = {
    ("set_up_photo", "picture"): ("photographs", "jpg"),
    ("file_import", "content"): ("given", "gz"),
}
"""Columns that are files of their own: the folder they lie in, and how their names end."""
_WITH_A_GOLFER: Final = frozenset(["drill"])
"""Of the studio, and needed to read a golfer's rows: plans and runs name drills by their ids."""
_IN_COMMON: Final = "studio"
_FETCH: Final = 2000


@dataclass(frozen=True, slots=True)
class Column:
    """A column of a table: its name, its Python type, whether it may be empty, what it says."""

    name: str
    kind: Any
    optional: bool
    defaults: bool
    says: str


@dataclass(frozen=True)
class Kind:
    """A table as it stands in an archive, in the order in which tables refer to each other."""

    name: str
    table: Table
    key: tuple[str, ...]
    columns: tuple[Column, ...]
    says: str

    @property
    def names(self) -> tuple[str, ...]:
        return tuple(it.name for it in self.columns)

    @property
    def refers(self) -> tuple[tuple[str, str], ...]:
        """Columns that refer to rows of other tables, and to which."""
        return tuple(
            (it.name, next(iter(it.foreign_keys)).target_fullname.partition(".")[0])
            for it in sorted(self.table.columns, key=lambda one: one.name)
            if it.name != "studio_id" and it.foreign_keys
        )


@cache
def kinds() -> tuple[Kind, ...]:
    """Every table that is in an archive, those that others refer to first."""
    mapped = {str(it.class_.__tablename__): it for it in Stored.registry.mappers if hasattr(it.class_, "__tablename__")}
    tables = [it for it in Stored.metadata.sorted_tables if it.name not in LEFT_OUT]
    return tuple(_kind(it, mapped[it.name]) for it in tables)


def _kind(table: Table, mapper: Mapper[Any]) -> Kind:
    row = mapper.class_
    hints, said = get_type_hints(row, include_extras=True), _docstrings(row)
    own = [it for it in table.columns if it.name != "studio_id" and (table.name, it.name) not in SECRETS]
    columns = tuple(
        Column(
            name=it.name,
            kind=_plain(get_args(hints[mapper.get_property_by_column(it).key])[0]),
            optional=bool(it.nullable),
            defaults=bool(it.nullable or it.server_default is not None),
            says=said.get(mapper.get_property_by_column(it).key, ""),
        )
        for it in own
    )
    key = tuple(it.name for it in table.primary_key if it.name != "studio_id")
    return Kind(table.name, table, key, columns, inspect.getdoc(row) or "")


def _plain(kind: Any) -> Any:
    """The type without None."""
    if get_origin(kind) in (Union, types.UnionType):
        inner = [it for it in get_args(kind) if it is not type(None)]
        return inner[0] if len(inner) == 1 else Union[tuple(inner)]  # noqa: UP007
    return get_args(kind)[0] if get_origin(kind) is Annotated else kind


def _docstrings(row: type) -> dict[str, str]:
    """What stands under each column in the code, its own or a base's."""
    said: dict[str, str] = {}
    for it in row.__mro__:
        if it.__module__.startswith(Stored.__module__.rpartition(".")[0]):
            body = ast.parse(inspect.cleandoc("\n" + inspect.getsource(it))).body[0]
            assert isinstance(body, ast.ClassDef)
            for one, below in zip(body.body, body.body[1:], strict=False):
                match one, below:
                    case ast.AnnAssign(target=ast.Name(name)), ast.Expr(value=ast.Constant(str(words))):
                        said.setdefault(name, " ".join(words.split()))
                    case _:
                        pass
    return said


def subject_of(session: Session, desk: Desk, golfer_id: UUID | None) -> tuple[str, bool]:
    """The name of the golfer or studio an archive is of, and whether it is invented."""
    where = f"golfer where studio_id = '{desk.studio_id}' and id = '{golfer_id}'"
    if golfer_id is None:
        where = f"studio where id = '{desk.studio_id}'"
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
        if kind.name == _IN_COMMON:
            return f"select {columns} from studio where id = '{self.studio_id}'" if self.golfer_id is None else None
        mine = f"studio_id = '{self.studio_id}'"
        if self.golfer_id is not None:
            reached = "true" if kind.name in _WITH_A_GOLFER else self._reached(kind)
            if reached is None:
                return None
            mine += f" and {reached}"
        return f"select {columns} from {kind.name} where {mine} order by {order}"

    def _column(self, kind: Kind, it: Column) -> str:
        if file := FILES.get((kind.name, it.name)):
            return f"'{file[0]}/' || id || '.{file[1]}' as {it.name}"
        if (kind.name, it.name) == ("sensor", "lesson_id") and self.golfer_id is not None:
            # A sensor goes from golfer to golfer: of this one's archive it belongs to this one's lesson.
            newest = f"(select s.lesson_id from stroke s where s.studio_id = sensor.studio_id and s.sensor_id = sensor.id and s.lesson_id in ({self._lessons}) order by s.at desc limit 1)"  # noqa: E501
            return f"case when lesson_id in ({self._lessons}) then lesson_id else {newest} end as lesson_id"
        return f'"{it.name}"'

    @property
    def _lessons(self) -> str:
        return f"select l.id from lesson l where l.studio_id = '{self.studio_id}' and l.golfer_id = '{self.golfer_id}'"

    def _reached(self, kind: Kind) -> str | None:
        """The condition under which a row is this golfer's: by its own column, or by what it refers to."""
        if kind.name == "golfer":
            return f"id = '{self.golfer_id}'"
        if kind.name == "sensor":
            used = f"select s.sensor_id from stroke s where s.studio_id = '{self.studio_id}' and s.lesson_id in ({self._lessons})"  # noqa: E501
            return f"(lesson_id in ({self._lessons}) or id in ({used}))"
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


@dataclass(frozen=True, slots=True)
class Taken:
    """What came of taking an archive in."""

    new: Mapping[str, int]
    here: Mapping[str, int]
    """Rows that stood here already, and say the same."""
    otherwise: tuple[tuple[str, str], ...]
    """Rows that stand here and say something else: the table and the id; what stands here stays."""
    others: int
    """How many those are."""
    golfers: tuple[UUID, ...]


_MOST_TOLD: Final = 20


class TakeIn:
    """An archive on its way into the tables, in one transaction: set down beside them first, then in all at once."""

    def __init__(self, desk: Desk, session: Session) -> None:
        self._desk, self._session = desk, session
        self._given: dict[str, tuple[str, ...]] = {}

    def begin(self, kind: Kind, names: Sequence[str]) -> None:
        """Make room for a table's rows; `names`: the columns the archive has of it."""
        self._given[kind.name] = tuple(it for it in kind.names if it in names)
        columns = ", ".join(f'"{it}"' for it in self._given[kind.name])
        self._session.execute(
            text(f"create temp table in_{kind.name} as select {columns} from {kind.name} with no data")
        )
        self._session.execute(text(f"alter table in_{kind.name} add primary key ({', '.join(kind.key)})"))
        self._session.execute(text(f"alter table in_{kind.name} set (autovacuum_enabled = off)"))

    def set_down(self, kind: Kind, rows: str) -> None:
        """Some of a table's rows, a JSON list of objects.

        Raises
        ------
        OutOfLimits
            where one has the id of another.
        """
        try:
            self._session.execute(
                text(f"insert into in_{kind.name} select * from json_populate_recordset(null::in_{kind.name}, :rows)"),
                {"rows": rows},
            )
        except IntegrityError as why:
            raise OutOfLimits("archive", "archive_twice", table=kind.name) from why
        except DataError as why:
            raise OutOfLimits("archive", "archive_rows", table=kind.name) from why

    def take(self, *, whole: bool) -> Taken:
        """Take in what was set down; `whole`: it is of a studio, whose own settings an empty one takes over.

        Raises
        ------
        OutOfLimits
            where a row refers to one that is not in the archive, or stands here under its id and belongs to another.
        """
        session = self._session
        empty = not session.scalar(text("select exists (select from golfer where studio_id = :id)"), self._studio)
        session.execute(text("set local libella.quiet = 'on'"))
        new, here, otherwise = dict[str, int](), dict[str, int](), list[tuple[str, str]]()
        for kind in kinds():
            if kind.name not in self._given:
                continue
            session.execute(text(f"analyze in_{kind.name}"))
            self._closed(kind)
            if kind.name == _IN_COMMON:
                new[kind.name] = self._settings(kind) if whole and empty else 0
                continue
            all_ = session.scalar(text(f"select count(*) from in_{kind.name}")) or 0
            others = self._otherwise(kind)
            new[kind.name] = self._insert(kind)
            here[kind.name] = all_ - new[kind.name] - len(others)
            otherwise += others
        session.execute(text("set local libella.quiet = 'off'"))
        golfers = self._raised()
        return Taken(new, here, tuple(otherwise[:_MOST_TOLD]), len(otherwise), golfers)

    def end(self) -> None:
        """Take what was set down beside the tables away."""
        for it in self._given:
            self._session.execute(text(f"drop table in_{it}"))

    @property
    def _studio(self) -> dict[str, UUID]:
        return {"id": self._desk.studio_id}

    def _closed(self, kind: Kind) -> None:
        """Whatever a row refers to is in the archive, too: nothing is hung on what somebody else keeps here."""
        for column, parent in kind.refers:
            if parent == _IN_COMMON or column not in self._given[kind.name]:
                continue
            found = f"exists (select from in_{parent} p where p.id = c.{column})" if parent in self._given else "false"
            query = f"select exists (select from in_{kind.name} c where c.{column} is not null and not {found})"
            if self._session.scalar(text(query)):
                raise OutOfLimits("archive", "archive_refers", table=kind.name, to=parent)

    def _otherwise(self, kind: Kind) -> list[tuple[str, str]]:
        """Rows that stand here and say something else."""
        on = " and ".join(f"i.{it} = t.{it}" for it in kind.key)
        refers = [column for column, _ in kind.refers if column in self._given[kind.name]]
        if kind.name == "sensor":
            # It goes from lesson to lesson.
            refers.remove("lesson_id")
        said = [it for it in self._given[kind.name] if it not in kind.key]
        if not said:
            return []
        ours, theirs = (", ".join(f"{side}.{_q(it)}" for it in said) for side in "ti")
        # What refers to nothing yet may come to refer to something; to another thing it may not.
        moved = " or ".join(f"i.{it} <> t.{it}" for it in refers)
        query = (
            f"select i.{kind.key[0]}::text, coalesce({moved or 'false'}, false) from in_{kind.name} i "
            f"join {kind.name} t on t.studio_id = :id and {on} where ({ours}) is distinct from ({theirs}) order by 1"
        )
        found = self._session.execute(text(query), self._studio).all()
        if any(elsewhere for _, elsewhere in found):
            raise OutOfLimits("archive", "archive_elsewhere", table=kind.name)
        return [(kind.name, id) for id, _ in found]

    def _insert(self, kind: Kind) -> int:
        columns = ", ".join(_q(it) for it in self._given[kind.name])
        key = ", ".join(kind.key)
        statement = (
            f"with new as (insert into {kind.name} (studio_id, {columns}) select :id, {columns} from in_{kind.name} "
            f"order by {key} on conflict do nothing returning 1) select count(*) from new"
        )
        try:
            return self._session.scalar(text(statement), self._studio) or 0
        except (IntegrityError, DataError) as why:
            raise OutOfLimits("archive", "archive_rows", table=kind.name) from why

    def _settings(self, kind: Kind) -> int:
        columns = [it for it in self._given[kind.name] if it != "id"]
        statement = (
            f"update studio set ({', '.join(map(_q, columns))}) = row({', '.join(f'i.{_q(it)}' for it in columns)}) "
            "from in_studio i where studio.id = :id"
        )
        self._session.execute(text(statement), self._studio)
        return 1

    def _raised(self) -> tuple[UUID, ...]:
        """Raise the mark of everybody in it: what was said of them is worked out anew."""
        if "golfer" not in self._given:
            return ()
        found = self._session.execute(
            text(
                "insert into golfer_revision (studio_id, golfer_id, revision) "
                "select :id, it.id, nextval('revision') from in_golfer it order by 2 "
                "on conflict (studio_id, golfer_id) do update set revision = excluded.revision returning golfer_id"
            ),
            self._studio,
        )
        return tuple(found.scalars())


def _q(name: str) -> str:
    return f'"{name}"'
