"""Stations: a putt with its rig, laid for a lesson."""

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, fields, replace
from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import exists, select, tuple_

from ..core.green.capture import Capture
from ..core.green.putt import Putt
from ..core.instruments import lay
from ..core.limits import OutOfLimits
from ..core.proof import NOT_PROVED, Proof
from ..core.station import Station as CoreStation
from ..store.tables import Block, Laid, Lesson, SavedStation, Station
from .desk import Desk
from .problem import Conflict

PAGE = 20


@dataclass(frozen=True, slots=True)
class StationEntry:
    """A putt and the dimensions of the rig that watches it (m)."""

    distance_m: float
    past_m: float
    stimp_ft: float
    capture: Capture
    rig_kind: str
    rig_sizes_m: Mapping[str, float]
    falls_forward_percent: float = 0.0
    falls_right_percent: float = 0.0
    proof: Proof = NOT_PROVED

    def station(self) -> CoreStation:
        """The station in terms of core; raises `OutOfLimits` where it can't be laid."""
        putt = Putt(
            self.distance_m,
            self.past_m,
            self.stimp_ft,
            self.capture,
            self.falls_forward_percent,
            self.falls_right_percent,
        )
        try:
            rig = lay(self.rig_kind, self.rig_sizes_m)
        except OutOfLimits as fault:
            # A rig and a putt both have a distance: say whose it is.
            field = "rig_kind" if fault.field == "kind" else f"rig_sizes_m.{fault.field}"
            raise OutOfLimits(field, fault.message, limit=fault.limit, unit=fault.unit) from None
        return CoreStation(putt, rig, self.proof)


def entry_of(laid: Laid) -> StationEntry:
    """The entry a kept station or block stands for."""
    return StationEntry(
        laid.distance_m,
        laid.past_m,
        laid.stimp_ft,
        "free_fall" if laid.capture == "free_fall" else "rim_assisted",
        laid.rig_kind,
        laid.rig_sizes_m,
        laid.falls_forward_percent,
        laid.falls_right_percent,
        Proof(**laid.proof),
    )


def laid_values(entry: StationEntry) -> dict[str, Any]:
    """The entry as the columns of a station and a block keep it."""
    values = {it.name: getattr(entry, it.name) for it in fields(entry)}
    # With every dimension, so that a default changed later does not change what was laid.
    return values | {"rig_sizes_m": entry.station().rig.sizes(), "proof": asdict(entry.proof)}


def save_station(desk: Desk, id: UUID, name: str, entry: StationEntry) -> SavedStation:
    """Keep a station under a name, or take over the changed one.

    A proof belongs to the line it was made on: the saved station is to be proved again where it is laid.
    """
    values = laid_values(replace(entry, proof=NOT_PROVED)) | {"name": name}
    with desk.transaction() as session:
        row, new = desk.add(session, SavedStation, id, **values)
        if not new:
            for key, value in values.items():
                setattr(row, key, value)
        session.flush()
        session.refresh(row)
        return row


def saved_station(desk: Desk, id: UUID) -> SavedStation:
    with desk.transaction() as session:
        return desk.get(session, SavedStation, id, "saved station")


def find_saved(desk: Desk, search: str = "", after: tuple[str, UUID] | None = None) -> Sequence[SavedStation]:
    """A page of saved stations by name, those whose name holds `search`, behind `after` (name, id)."""
    query = select(SavedStation).where(SavedStation.studio_id == desk.studio_id, SavedStation.put_away_at.is_(None))
    if search.strip():
        query = query.where(SavedStation.name.icontains(search.strip(), autoescape=True))
    if after:
        query = query.where(tuple_(SavedStation.name, SavedStation.id) > after)
    with desk.transaction() as session:
        return session.scalars(query.order_by(SavedStation.name, SavedStation.id).limit(PAGE)).all()


def put_away(desk: Desk, id: UUID, at: datetime | None) -> SavedStation:
    """Take a saved station out of the list, or bring it back (None)."""
    with desk.transaction() as session:
        row = desk.get(session, SavedStation, id, "saved station", lock=True)
        row.put_away_at = at
        return row


def keep_station(desk: Desk, id: UUID, lesson_id: UUID, entry: StationEntry, laid_at: datetime) -> Station:
    """Lay a station, or change one that no block has used yet; after that it stands as it was read with."""
    values = laid_values(entry)
    with desk.transaction() as session:
        desk.get(session, Lesson, lesson_id, "lesson")
        row, new = desk.add(session, Station, id, lesson_id=lesson_id, laid_at=laid_at, **values)
        changed = {name: value for name, value in values.items() if getattr(row, name) != value}
        if new or (not changed and row.lesson_id == lesson_id):
            return row
        used = session.scalar(select(exists().where(Block.studio_id == desk.studio_id, Block.station_id == id)))
        if used or row.lesson_id != lesson_id:
            raise Conflict("Putts were read on this station, so it stays as it was laid.", "Keep it as a new station.")
        for name, value in changed.items():
            setattr(row, name, value)
        return row
