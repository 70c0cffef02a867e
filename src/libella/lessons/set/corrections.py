"""Sizes that were entered wrong, put right after something was read with them: what stood there stays in the record."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import Select, select
from sqlalchemy.orm import Session

from ...core.instruments.aid import Raw
from ...core.measure.limits import OutOfLimits
from ...core.set.line import LaidLine
from ...core.set.proof import Proof
from ...core.set.station import Station, line_of
from ...store.tables import BlockRow, CorrectionRow, ReadingRow, StationRow
from ..desk.desk import Desk
from ..lesson.lessons import BlockSheet
from ..values import KeptBlock, KeptCorrection, KeptReading, Laid, value_of, values_of
from .plans import read_anew
from .stations import AID, PROOF, AidEntry, StationEntry, entry_of


@dataclass(frozen=True, slots=True)
class Sizes:
    """What lies there as it is in truth: sizes of the rig, and of each aid in the order they were laid."""

    rig: Mapping[str, float]
    aids: Sequence[Mapping[str, float]] = ()

    def put_right(self, entry: StationEntry) -> StationEntry:
        """The entry with these sizes. Nothing was moved: what was proved of the line stays proved.

        Raises
        ------
        OutOfLimits
            for a size that can't be, naming its field as a plan does.
        """
        before = entry.station()
        rig = {**before.rig.sizes(), **self.rig}
        if len(self.aids) > len(entry.aids):
            raise OutOfLimits("aid_sizes", "aids_count", most=len(entry.aids))
        told = dict(enumerate(self.aids))
        aids = tuple(AidEntry(it.about.kind, {**it.sizes(), **told.get(n, {})}) for n, it in enumerate(before.aids))
        found = replace(entry, rig_sizes_m=rig, aids=aids)
        after = found.station()
        line = line_of(after.putt, after.rig, after.across_m)
        return replace(found, proof=_as_it_lay(entry.proof, before.line, line))


def _as_it_lay(proof: Proof, before: LaidLine, line: LaidLine) -> Proof:
    """The proof on the same line, whose rig stands elsewhere than was written down."""
    return replace(proof, line=line) if proof.line is not None and not proof.line.changes(before) else proof


@dataclass(frozen=True, slots=True)
class Again:
    """A block as it was read, and as it is read with the sizes put right."""

    before: BlockSheet
    after: BlockSheet


def would(desk: Desk, station_id: UUID, sizes: Sizes) -> tuple[Station, Station, list[Again]]:
    """The station before and after, and every block on it that has readings, as each would be read."""
    with desk.transaction() as session:
        row = desk.get(session, StationRow, station_id, "station")
        found: list[Again] = []
        for block in session.scalars(_blocks_on(desk, station_id)).all():
            before = BlockSheet(value_of(KeptBlock, block), _readings_of(desk, session, block.id))
            entry = sizes.put_right(entry_of(block))
            anew = _columns(entry)
            laid = replace(before.block, **anew)
            station = entry.station()
            read = [replace(it, **_limits(station, it.raw)) for it in before.readings]
            found.append(Again(before, BlockSheet(laid, read)))
        entry = entry_of(row)
        return entry.station(), sizes.put_right(entry).station(), [it for it in found if it.before.readings]


def put_right(desk: Desk, id: UUID, station_id: UUID, sizes: Sizes, why: str, at: datetime) -> KeptCorrection:
    """Put the sizes of a plan right, with everything that was read on it; what stood there is kept in the record.

    Told again under the same id nothing more happens.
    """
    with desk.transaction() as session:
        row = desk.get(session, StationRow, station_id, "station", lock=True)
        known = session.get(CorrectionRow, (desk.studio_id, id))
        if known is not None:
            return value_of(KeptCorrection, known)
        before, entry = _sizes_of(row), sizes.put_right(entry_of(row))
        _lay(row, entry)
        if _sizes_of(row) == before:
            raise OutOfLimits("rig_sizes_m", "nothing_put_right")
        for block in session.scalars(_blocks_on(desk, station_id).with_for_update()).all():
            _lay(block, sizes.put_right(entry_of(block)))
            read_anew(desk, session, block, at)
        made = CorrectionRow(
            studio_id=desk.studio_id,
            id=id,
            lesson_id=row.lesson_id,
            station_id=station_id,
            before=before,
            after=_sizes_of(row),
            why=why,
            made_at=at,
        )
        session.add(made)
        session.flush()
        return value_of(KeptCorrection, made)


def corrections_in(desk: Desk, lesson_id: UUID) -> Sequence[KeptCorrection]:
    """What was put right in a lesson, oldest first."""
    query = select(CorrectionRow).where(CorrectionRow.studio_id == desk.studio_id, CorrectionRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        rows = session.scalars(query.order_by(CorrectionRow.made_at, CorrectionRow.id))
        return values_of(KeptCorrection, rows)


def laid_as(laid: Laid, sizes: Mapping[str, Any]) -> Station:
    """What lies there, with the sizes that a correction knows of it."""
    rig, aids = sizes["rig_sizes_m"], [AID.read(it) for it in sizes["aids"]]
    return replace(entry_of(laid), rig_sizes_m=rig, aids=tuple(aids)).station()


def _blocks_on(desk: Desk, station_id: UUID) -> Select[BlockRow]:
    """The blocks on a plan, oldest first."""
    on_it = select(BlockRow).where(BlockRow.studio_id == desk.studio_id, BlockRow.station_id == station_id)
    return on_it.order_by(BlockRow.started_at, BlockRow.id)


def _readings_of(desk: Desk, session: Session, block_id: UUID) -> Sequence[KeptReading]:
    """All that was read in a block, voided or not, oldest first."""
    query = select(ReadingRow).where(ReadingRow.studio_id == desk.studio_id, ReadingRow.block_id == block_id)
    rows = session.scalars(query.order_by(ReadingRow.taken_at, ReadingRow.id))
    return values_of(KeptReading, rows)


def _limits(station: Station, raw: Raw) -> dict[str, float | None]:
    interval = station.interval(raw)
    return {"low_deg": interval.low_or_none, "high_deg": interval.high_or_none}


def _columns(entry: StationEntry) -> dict[str, Any]:
    return {
        "rig_sizes_m": dict(entry.rig_sizes_m),
        "aids": [AID.keep(it) for it in entry.aids],
        "proof": PROOF.keep(entry.proof),
    }


def _lay(row: StationRow | BlockRow, entry: StationEntry) -> None:
    for name, said in _columns(entry).items():
        setattr(row, name, said)


def _sizes_of(row: StationRow) -> dict[str, Any]:
    return {"rig_sizes_m": dict(row.rig_sizes_m), "aids": list(row.aids)}
