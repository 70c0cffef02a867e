"""Stations: a putt with its rig, as entered, as kept, and saved under a name."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields, replace
from datetime import datetime
from typing import Any, Final
from uuid import UUID

from sqlalchemy import func, select, tuple_
from sqlalchemy.orm import Session

from ...core.green.capture import Capture
from ...core.green.putt import Putt, Target
from ...core.green.read import SAYS_NOTHING, GolferSays, Read
from ...core.instruments import Aid, Rig, lay
from ...core.measure.limits import OutOfLimits
from ...core.set.proof import NOT_PROVED, Proof
from ...core.set.station import Station, cannot_watch, line_of
from ...store.tables import LaidColumns, SavedStationRow
from ..desk.desk import Desk
from ..desk.problem import Conflict
from ..desk.stored import Stored
from ..values import KeptSavedStation, Laid, value_of, values_of

PAGE = 20


@dataclass(frozen=True, slots=True)
class AidEntry:
    """An instrument laid beside the rig; names of sizes end in their unit."""

    kind: str
    sizes: Mapping[str, float]


PROOF: Final[Stored[Proof]] = Stored(Proof)
READ: Final[Stored[Read]] = Stored(Read)
SAYS: Final[Stored[GolferSays]] = Stored(GolferSays)
AID: Final[Stored[AidEntry]] = Stored(AidEntry)


@dataclass(frozen=True, slots=True)
class StationEntry:
    """A putt, the dimensions of the rig that watches it (m), and what else is laid."""

    distance_m: float
    past_m: float
    green_speed_ft: float
    capture: Capture
    rig_kind: str
    rig_sizes_m: Mapping[str, float]
    falls_forward_percent: float = 0.0
    falls_right_percent: float = 0.0
    falls_doubt_percent: float = 0.0
    read: Read | None = None
    target: Target = "computed"
    proof: Proof = NOT_PROVED
    across_m: float = 0.0
    backstroke_m: float | None = None
    aids: tuple[AidEntry, ...] = ()
    golfer_says: GolferSays = SAYS_NOTHING

    def putt(self) -> Putt:
        """The putt in terms of core."""
        return Putt(
            self.distance_m,
            self.past_m,
            self.green_speed_ft,
            self.capture,
            self.falls_forward_percent,
            self.falls_right_percent,
            self.falls_doubt_percent,
            self.read,
            self.target,
        )

    def station(self) -> Station:
        """The station in terms of core; raises `OutOfLimits` where it can't be laid."""
        putt = self.putt()
        # A rig, an aid and a putt all have a distance: say whose it is.
        rig = _lay(self.rig_kind, self.rig_sizes_m, "rig_kind", "rig_sizes_m")
        if not isinstance(rig, Rig):
            raise cannot_watch(rig)
        aids = (_lay(it.kind, it.sizes, f"aids.{n}.kind", f"aids.{n}") for n, it in enumerate(self.aids))
        # A proof belongs to the line it was made on: it stands again when that does.
        proof = self.proof.on(line_of(putt, rig, self.across_m))
        return Station(putt, rig, proof, tuple(aids), self.across_m, self.backstroke_m, self.golfer_says)


def _lay(kind: str, sizes: Mapping[str, float], kind_field: str, sizes_field: str) -> Aid:
    try:
        return lay(kind, sizes)
    except OutOfLimits as fault:
        field = kind_field if fault.field == "kind" else f"{sizes_field}.{fault.field}"
        raise fault.at(field) from None


def entry_of(laid: Laid | LaidColumns) -> StationEntry:
    """The entry a kept station or block stands for."""
    return StationEntry(
        distance_m=laid.distance_m,
        past_m=laid.past_m,
        green_speed_ft=laid.green_speed_ft,
        capture=laid.capture,
        rig_kind=laid.rig_kind,
        rig_sizes_m=laid.rig_sizes_m,
        falls_forward_percent=laid.falls_forward_percent,
        falls_right_percent=laid.falls_right_percent,
        falls_doubt_percent=laid.falls_doubt_percent,
        read=None if laid.read is None else READ.read(laid.read),
        target=laid.target,
        proof=PROOF.read(laid.proof),
        across_m=laid.across_m,
        backstroke_m=laid.backstroke_m,
        aids=tuple(AID.read(it) for it in laid.aids),
        golfer_says=SAYS.read(laid.golfer_says),
    )


def laid_values(entry: StationEntry) -> dict[str, Any]:
    """The entry as the columns of a station and a block keep it."""
    told = {it.name: getattr(entry, it.name) for it in fields(entry)}
    station = entry.station()
    # With every dimension, so that a default changed later does not change what was laid.
    return told | {
        "rig_sizes_m": station.rig.sizes(),
        "proof": PROOF.keep(entry.proof),
        "read": None if entry.read is None else READ.keep(entry.read),
        "golfer_says": SAYS.keep(entry.golfer_says),
        "aids": [AID.keep(AidEntry(it.about.kind, it.sizes())) for it in station.aids],
    }


def save_station(desk: Desk, id: UUID, name: str, entry: StationEntry) -> KeptSavedStation:
    """Keep a station under a name, or take over the changed one.

    A proof belongs to the line it was made on: the saved station is to be proved again where it is laid.
    """
    told = laid_values(replace(entry, proof=NOT_PROVED)) | {"name": name}
    with desk.transaction() as session:
        _name_is_free(desk, session, id, name)
        row, new = desk.add(session, SavedStationRow, id, **told)
        if not new:
            for key, said in told.items():
                setattr(row, key, said)
        session.flush()
        session.refresh(row)
        return value_of(KeptSavedStation, row)


def _name_is_free(desk: Desk, session: Session, id: UUID, name: str) -> None:
    """Raises `Conflict` where another station in the list has that name: nobody could tell them apart."""
    another = select(SavedStationRow.name).where(
        SavedStationRow.studio_id == desk.studio_id,
        SavedStationRow.id != id,
        SavedStationRow.put_away_at.is_(None),
        func.lower(SavedStationRow.name) == name.lower(),
    )
    if (taken := session.scalar(another)) is not None:
        raise Conflict("station_name_taken", name=taken)


def saved_station(desk: Desk, id: UUID) -> KeptSavedStation:
    with desk.transaction() as session:
        return value_of(KeptSavedStation, desk.get(session, SavedStationRow, id, "saved_station"))


def find_saved(desk: Desk, search: str = "", after: tuple[str, UUID] | None = None) -> Sequence[KeptSavedStation]:
    """A page of saved stations by name, those whose name holds `search`, behind `after` (name, id)."""
    query = select(SavedStationRow).where(
        SavedStationRow.studio_id == desk.studio_id, SavedStationRow.put_away_at.is_(None)
    )
    if search.strip():
        query = query.where(SavedStationRow.name.icontains(search.strip(), autoescape=True))
    if after:
        query = query.where(tuple_(SavedStationRow.name, SavedStationRow.id) > after)
    with desk.transaction() as session:
        query = query.order_by(SavedStationRow.name, SavedStationRow.id).limit(PAGE)
        return values_of(KeptSavedStation, session.scalars(query))


def put_away(desk: Desk, id: UUID, at: datetime | None) -> KeptSavedStation:
    """Take a saved station out of the list, or bring it back (None)."""
    with desk.transaction() as session:
        row = desk.get(session, SavedStationRow, id, "saved_station", lock=True)
        if at is None:
            _name_is_free(desk, session, id, row.name)
        row.put_away_at = at
        return value_of(KeptSavedStation, row)
