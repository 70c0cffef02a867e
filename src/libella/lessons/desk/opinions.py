"""Opinions as the studio holds them, of a level, of a golfer: every version is kept, the newest of each counts, and a
golfer's goes before the level's before the studio's."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Final
from uuid import UUID

from sqlalchemy import Table, select
from sqlalchemy.orm import Session

from ...core.golfer.level import LEVELS, Level
from ...core.measure.limits import OutOfLimits
from ...core.opinions.every import every_opinion
from ...core.opinions.held import NOTHING_HELD, Held, Numbers, held_of
from ...store.tables import GolferRow, OpinionVersionRow, Stored
from ..values import KeptOpinion, values_of
from .desk import Desk


@dataclass(frozen=True, slots=True)
class Whose:
    """Of whom something is held: of one golfer, of a level, or, with neither, of everybody here."""

    level: Level | None = None
    golfer_id: UUID | None = None

    def is_of(self, golfer: "Whose") -> bool:
        """It counts for a golfer, who is told with his level."""
        return self.golfer_id in (None, golfer.golfer_id) and self.level in (None, golfer.level)


EVERYBODY: Final = Whose()


@dataclass(frozen=True, slots=True)
class Told:
    """One opinion, as it is held or might be."""

    opinion: str
    whose: Whose
    numbers: Numbers


def whose(desk: Desk, golfer_id: UUID) -> Whose:
    """A golfer with his level."""
    with desk.transaction() as session:
        return Whose(_level(desk.get(session, GolferRow, golfer_id, "golfer").level), golfer_id)


def held_for(desk: Desk, golfer: Whose, besides: Told | None = None) -> Held:
    """What is held of a golfer, of a level or of everybody; `besides`: as if that were held, too."""
    told = [it for it in newest(desk) if it.whose.is_of(golfer)]
    if besides is not None and besides.whose.is_of(golfer):
        told = [it for it in told if (it.opinion, it.whose) != (besides.opinion, besides.whose)] + [besides]
    if not told:
        return NOTHING_HELD
    told.sort(key=lambda it: (it.whose.golfer_id is not None, it.whose.level is not None))
    return held_of(every_opinion(), [(it.opinion, it.numbers) for it in told])


_HELD: Final = "opinions held"
"""What was asked once in what is done together is asked no more in it: many answers lean on it."""


def versions(desk: Desk) -> tuple[KeptOpinion, ...]:
    """Everything that was ever held here, the newest first."""
    with desk.transaction() as session:
        kept: tuple[KeptOpinion, ...] | None = session.info.get(_HELD)
        if kept is not None:
            return kept
        query = select(OpinionVersionRow).where(OpinionVersionRow.studio_id == desk.studio_id)
        rows = session.scalars(query.order_by(OpinionVersionRow.kept_at.desc(), OpinionVersionRow.id.desc()))
        session.info[_HELD] = tuple(values_of(KeptOpinion, rows))
        return session.info[_HELD]


def whose_held(it: KeptOpinion) -> Whose:
    """Of whom a version is."""
    return Whose(_level(it.level), it.golfer_id)


def hold_opinion(desk: Desk, id: UUID, told: Told) -> None:
    """Hold it so from now on; without numbers it is as it stands again. Said twice it is one; otherwise a conflict."""
    checked(told)
    with desk.transaction() as session:
        if told.whose.golfer_id is not None:
            desk.get(session, GolferRow, told.whose.golfer_id, "golfer")
        values = {
            "opinion": told.opinion,
            "level": told.whose.level or "",
            "golfer_id": told.whose.golfer_id,
            "numbers": dict(told.numbers),
        }
        desk.keep(session, OpinionVersionRow, id, "opinion_version", values)
        session.info.pop(_HELD, None)


def checked(told: Told) -> Told:
    """What may be held; `OutOfLimits` names what may not."""
    known = every_opinion()
    if told.opinion not in known:
        raise OutOfLimits("opinion", "no_such_choice", named=told.opinion, known=tuple(known))
    if told.whose.level is not None and told.whose.golfer_id is not None:
        raise OutOfLimits("level", "golfer_or_level")
    known[told.opinion].checked(told.numbers)
    return told


def golfer_behind(desk: Desk, named: Iterable[tuple[str, UUID]]) -> Whose | None:
    """The golfer to whom the first of some rows belongs, each told by its table and id; None where none does."""
    with desk.transaction() as session:
        for name, id in named:
            if name in Stored.metadata.tables:
                golfer = _up(session, desk.studio_id, Stored.metadata.tables[name], id)
                if golfer is not None:
                    return golfer
    return None


def any_held(desk: Desk) -> bool:
    """Something was held here at some time."""
    query = select(OpinionVersionRow.id).where(OpinionVersionRow.studio_id == desk.studio_id).limit(1)
    with desk.transaction() as session:
        return session.scalar(query) is not None


def _up(session: Session, studio_id: UUID, table: Table, id: UUID) -> Whose | None:
    """Along what a row refers to, up to a golfer."""
    if "id" not in table.c or "studio_id" not in table.c:
        return None
    one = (table.c.studio_id == studio_id) & (table.c.id == id)
    if table.name == "golfer":
        row = session.execute(select(table.c.level).where(one)).first()
        return None if row is None else Whose(_level(row[0]), id)
    ways = {
        column.name: key.column.table
        for column in table.columns
        for key in column.foreign_keys
        if column.name != "studio_id" and key.column.name == "id"
    }
    for name in sorted(ways, key=lambda it: it != "golfer_id"):
        above = session.execute(select(table.c[name]).where(one)).scalar()
        if above is not None and (found := _up(session, studio_id, ways[name], above)) is not None:
            return found
    return None


def _level(name: str) -> Level | None:
    return next((it for it in LEVELS if it == name), None)


def newest(desk: Desk) -> Sequence[Told]:
    """Of each opinion what is held by now, of everybody, of each level, of each golfer."""
    found: dict[tuple[str, Whose], Told] = {}
    for it in reversed(versions(desk)):
        found[it.opinion, whose_held(it)] = Told(it.opinion, whose_held(it), it.numbers)
    return list(found.values())
