"""Two readers of the same: kept blind, judged once both have read; the error of a reading that counts from then on."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from datetime import datetime
from uuid import UUID

from sqlalchemy import select

from ...core.measure.limits import OutOfLimits
from ...core.opinions.held import remembered
from ...core.see.second_reader import Agreement, Thing, Value, agreement, checked_readings
from ...store.tables import SecondReadingRow
from ..desk.desk import Desk
from ..desk.problem import KeptOtherwise
from ..values import KeptSecondReading, value_of, values_of


@dataclass(frozen=True, slots=True)
class SecondReading:
    """A thing read twice; no agreement while the second reader has not read."""

    kept: KeptSecondReading
    agreement: Agreement | None


def read_first(desk: Desk, id: UUID, thing: str, by: str, values: Sequence[Value], at: datetime) -> SecondReading:
    """Keep what the first reader read. Said twice it is one; said otherwise, a conflict."""
    told = {"thing": thing, "first_by": by, "first": list(checked_readings(thing, values)), "taken_at": at}
    with desk.transaction() as session:
        return _told(value_of(KeptSecondReading, desk.keep(session, SecondReadingRow, id, "second_reading", told)))


def read_second(desk: Desk, id: UUID, by: str, values: Sequence[Value], at: datetime) -> SecondReading:
    """Keep what the second reader read of the same: as many, in the same order."""
    with desk.transaction() as session:
        row = desk.get(session, SecondReadingRow, id, "second_reading", lock=True)
        told = list(checked_readings(row.thing, values))
        if len(told) != len(row.first):
            raise OutOfLimits("values", "readings_unlike", first=len(row.first), second=len(told))
        if row.second is not None and (row.second, row.second_by) != (told, by):
            raise KeptOtherwise("second_reading")
        if row.second is None:
            row.second, row.second_by, row.answered_at = told, by, at
        return _told(value_of(KeptSecondReading, row))


def void_reading(desk: Desk, id: UUID, voided: bool) -> SecondReading:
    """Take it out of what counts, or bring it back."""
    return _told(desk.void(KeptSecondReading, SecondReadingRow, id, "second_reading", voided))


def second_readings(desk: Desk) -> list[SecondReading]:
    """Everything read by two, newest first."""
    query = select(SecondReadingRow).where(SecondReadingRow.studio_id == desk.studio_id)
    with desk.transaction() as session:
        rows = session.scalars(query.order_by(SecondReadingRow.taken_at.desc(), SecondReadingRow.id.desc()))
        return [_told(it) for it in values_of(KeptSecondReading, rows)]


@dataclass(frozen=True, slots=True)
class ReadingErrors:
    """How far single readings are off, by what was read, in its unit; what was not read by two is not there."""

    of: Mapping[Thing, float] = field(default_factory=dict[Thing, float])

    def mm(self, thing: Thing) -> float:
        return self.of.get(thing, 0.0)


@dataclass(frozen=True, slots=True)
class ErrorsAt:
    """The errors by when they were found: what was read before stands as it was read."""

    read: Sequence[SecondReading]

    @classmethod
    def of(cls, desk: Desk) -> "ErrorsAt":
        """Everything both readers have read, newest first."""
        return cls([it for it in second_readings(desk) if it.agreement is not None and not it.kept.voided])

    def at(self, at: datetime) -> ReadingErrors:
        """The errors that count for what is read at a time: of each thing the newest that both had read by then."""
        found: dict[Thing, float] = {}
        for it in self.read:
            if it.agreement is not None and it.kept.answered_at is not None and it.kept.answered_at <= at:
                found.setdefault(it.kept.thing, it.agreement.error.value)
        return ReadingErrors(found)


def reading_errors(desk: Desk, at: datetime) -> ReadingErrors:
    """The errors that count for what is read at a time."""
    return ErrorsAt.of(desk).at(at)


def _told(it: KeptSecondReading) -> SecondReading:
    if it.second is None:
        return SecondReading(it, None)
    return SecondReading(it, _agreement(it.thing, tuple(it.first), tuple(it.second)))


@remembered(512)
def _agreement(thing: Thing, first: tuple[Value, ...], second: tuple[Value, ...]) -> Agreement:
    """Two readings never change once both are kept, and every ledger asks for them."""
    return agreement(thing, first, second)
