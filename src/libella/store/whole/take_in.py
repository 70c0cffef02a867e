"""Rows of an archive into the tables: set down beside them, checked, and taken in all at once."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final
from uuid import UUID

from sqlalchemy import text
from sqlalchemy.exc import DataError, IntegrityError
from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ..marks import raise_marks
from .kinds import IN_COMMON, Kind, kinds


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

    def __init__(self, session: Session, studio_id: UUID) -> None:
        self._session, self._studio_id = session, studio_id
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
            if kind.name == IN_COMMON:
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
        return {"id": self._studio_id}

    def _closed(self, kind: Kind) -> None:
        """Whatever a row refers to is in the archive, too: nothing is hung on what somebody else keeps here."""
        for column, parent in kind.refers:
            if parent == IN_COMMON or column not in self._given[kind.name]:
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
        golfers = tuple(self._session.execute(text("select id from in_golfer order by 1")).scalars())
        raise_marks(self._session, self._studio["id"], golfers)
        return golfers


def _q(name: str) -> str:
    return f'"{name}"'
