"""Sizes that were entered wrong, put right after something was read with them: what stood there stays in the record."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import UTC, datetime
from typing import Any
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ...core.set.line import LaidLine
from ...core.set.proof import Proof
from ...core.set.station import Station, line_of
from ...store.tables import BlockRow, CorrectionRow, StationRow
from ..desk.desk import Desk
from ..lesson.lessons import BlockSheet, blocks_where
from ..values import KeptCorrection, Laid, value_of, values_of
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
    with desk.taken_back() as tried, tried.transaction() as session:
        row = tried.get(session, StationRow, station_id, "station", lock=True)
        stood, before = entry_of(row).station(), _sheets_on(tried, session, station_id)
        _lay_anew(tried, session, row, sizes, datetime.now(UTC))
        session.flush()
        again = zip(before, _sheets_on(tried, session, station_id), strict=True)
        return stood, entry_of(row).station(), [Again(*it) for it in again if it[0].readings]


def put_right(desk: Desk, id: UUID, station_id: UUID, sizes: Sizes, why: str, at: datetime) -> KeptCorrection:
    """Put the sizes of a plan right, with everything that was read on it; what stood there is kept in the record.

    Told again under the same id nothing more happens.
    """
    with desk.transaction() as session:
        row = desk.get(session, StationRow, station_id, "station", lock=True)
        known = session.get(CorrectionRow, (desk.studio_id, id))
        if known is not None:
            return value_of(KeptCorrection, known)
        before = _sizes_of(row)
        _lay_anew(desk, session, row, sizes, at)
        if _sizes_of(row) == before:
            raise OutOfLimits("rig_sizes_m", "nothing_put_right")
        told = {"lesson_id": row.lesson_id, "station_id": station_id, "before": before, "after": _sizes_of(row)}
        made, _ = desk.add(session, CorrectionRow, id, **told, why=why, made_at=at)
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


def _sheets_on(desk: Desk, session: Session, station_id: UUID) -> list[BlockSheet]:
    """The blocks on a plan with all that was read in them, voided or not, oldest first."""
    return blocks_where(desk, session, BlockRow.station_id == station_id)


def _lay_anew(desk: Desk, session: Session, row: StationRow, sizes: Sizes, at: datetime) -> None:
    """A plan with these sizes, and every block on it, with its readings read anew."""
    _lay(row, sizes)
    on_it = select(BlockRow).where(BlockRow.studio_id == desk.studio_id, BlockRow.station_id == row.id)
    for block in session.scalars(on_it.order_by(BlockRow.id).with_for_update()).all():
        _lay(block, sizes)
        read_anew(desk, session, block, at)


def _lay(row: StationRow | BlockRow, sizes: Sizes) -> None:
    entry = sizes.put_right(entry_of(row))
    row.rig_sizes_m = dict(entry.rig_sizes_m)
    row.aids = [AID.keep(it) for it in entry.aids]
    row.proof = PROOF.keep(entry.proof)


def _sizes_of(row: StationRow) -> dict[str, Any]:
    return {"rig_sizes_m": dict(row.rig_sizes_m), "aids": list(row.aids)}
