"""Stations: a putt with its rig; and what it would be, before it is laid."""

from typing import Self

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ..core.drawing.scene import Scene
from ..core.golfer import LEVELS, Hand, Level
from ..core.green.capture import Capture
from ..core.instruments import Sight
from ..lessons import stations
from ..lessons.stations import StationEntry, entry_of
from ..store.tables import Station
from .instruments import EntryPicture, entry_picture
from .shapes import UUID, UUID7, AtDesk, AwareDatetime, Entry, InUnits, words

router = APIRouter(prefix="/stations", tags=["stations"])


class LaidIn(Entry):
    """A putt and a rig. Lengths in m."""

    distance_m: float = Field(description="ball to the hole's centre, 0.3 to 15 m", examples=[2.5])
    past_m: float = Field(description="how far past the hole it would run, m", examples=[0.3])
    stimp_ft: float = Field(description="green speed, ft, 4 to 16", examples=[10.0])
    capture: Capture = "rim_assisted"
    rig_kind: words(40) = Field(examples=["peg_gate"])
    rig_sizes_m: dict[words(40), float] = Field(
        default_factory=dict, max_length=20, examples=[{"distance_m": 0.5, "inside_width_m": 0.06, "post_m": 0.005}]
    )

    def entry(self) -> StationEntry:
        return StationEntry(
            self.distance_m, self.past_m, self.stimp_ft, self.capture, self.rig_kind, dict(self.rig_sizes_m)
        )


class PreviewIn(LaidIn):
    hand: Hand = "right"
    level: Level = "club"


class StationIn(LaidIn):
    lesson_id: UUID
    laid_at: AwareDatetime


class StationOut(BaseModel):
    id: UUID
    lesson_id: UUID
    distance_m: float
    past_m: float
    stimp_ft: float
    capture: Capture
    rig_kind: str
    rig_sizes_m: dict[str, float]
    words: str

    @classmethod
    def of(cls, row: Station, units: InUnits) -> Self:
        it = entry_of(row)
        return cls(
            id=row.id,
            lesson_id=row.lesson_id,
            distance_m=it.distance_m,
            past_m=it.past_m,
            stimp_ft=it.stimp_ft,
            capture=it.capture,
            rig_kind=it.rig_kind,
            rig_sizes_m=dict(it.rig_sizes_m),
            words=it.station().words(units),
        )


class Preview(BaseModel):
    """A station drawn and judged before it is laid."""

    words: str
    allows: str
    window_left_deg: float
    window_right_deg: float
    sight: Sight
    stage: Scene
    entry: EntryPicture
    rig_sizes_m: dict[str, float]


@router.post("/preview")
def preview(plan: PreviewIn, units: InUnits = "metric") -> Preview:
    """What this station would show and see; keeps nothing."""
    station = plan.entry().station()
    window = station.putt.window
    return Preview(
        words=station.words(units),
        allows=station.allows(units),
        window_left_deg=window.left_deg,
        window_right_deg=window.right_deg,
        sight=station.rig.sight(station.putt, LEVELS[plan.level].spread_deg, units),
        stage=station.from_above(plan.hand, units),
        entry=entry_picture(station.rig, units),
        rig_sizes_m=station.rig.sizes(),
    )


@router.put("/{id}")
def keep(desk: AtDesk, id: UUID7, entry: StationIn, units: InUnits = "metric") -> StationOut:
    """Lay a station, or change one on which no putt was read."""
    row = stations.keep_station(desk, id, entry.lesson_id, entry.entry(), entry.laid_at)
    return StationOut.of(row, units)
