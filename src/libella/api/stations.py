"""Stations: a putt with its rig; and what it would be, before it is laid."""

from dataclasses import fields
from typing import Any

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ..core.drawing.scene import Scene
from ..core.golfer import LEVELS, Hand, Level
from ..core.green.capture import Capture
from ..core.instruments import Sight
from ..core.limits import OutOfLimits
from ..core.proof import NOT_PROVED, WAYS, Proof, Repeatability, Way, repeatability
from ..lessons import stations
from ..lessons.stations import StationEntry, entry_of
from ..store.tables import Station
from .green import PuttIn
from .instruments import EntryPicture, entry_picture
from .shapes import UUID, UUID7, AtDesk, AwareDatetime, Entry, InUnits, words

router = APIRouter(prefix="/stations", tags=["stations"])


class ProofIn(Entry):
    """How the line was proved, and what is known of the rig's own aim."""

    way: Way = "none"
    offset_m: float = Field(default=0, description="where the rig's zero was found, right of the line positive")
    doubt_m: float = Field(
        default=NOT_PROVED.doubt_m, description="standard uncertainty of the rig's zero across the line"
    )
    zero_deg: float = Field(default=0, description="mean of a repeatability check")
    noise_deg: float = Field(default=0, description="standard deviation of that check")
    checks: int = Field(default=0, ge=0, le=500, description="readings in that check")

    def proof(self) -> Proof:
        try:
            return Proof(**self.model_dump())
        except OutOfLimits as fault:
            raise OutOfLimits(f"proof.{fault.field}", fault.message, limit=fault.limit, unit=fault.unit) from None


class LaidIn(PuttIn):
    """A putt and a rig. Lengths in m."""

    rig_kind: words(40) = Field(examples=["peg_gate"])
    rig_sizes_m: dict[words(40), float] = Field(
        default_factory=dict, max_length=20, examples=[{"distance_m": 0.5, "inside_width_m": 0.06, "post_m": 0.005}]
    )

    proof: ProofIn = Field(default_factory=lambda: ProofIn())

    def entry(self) -> StationEntry:
        names = {it.name for it in fields(StationEntry)}
        values = {name: getattr(self, name) for name in names - {"proof", "rig_sizes_m"}}
        return StationEntry(**values, rig_sizes_m=dict(self.rig_sizes_m), proof=self.proof.proof())


class PreviewIn(LaidIn):
    hand: Hand = "right"
    level: Level = "club"


class CheckIn(LaidIn):
    """A rig read again and again with nothing changing, or against a known angle."""

    raws: list[dict[words(40), float | words(40)]] = Field(max_length=100, examples=[[{"offset_m": 0.005}] * 3])
    known_deg: float = Field(default=0, description="the angle it was read against, right positive")


class TuneIn(LaidIn):
    """A rig to be made as strict as wanted, where it stands."""

    limit_deg: float = Field(gt=0, le=10, description="the start error it should just let through", examples=[1.0])


class WayOut(BaseModel):
    way: Way
    name: str
    doubt_m: float = Field(description="how well it usually places the rig's zero: an opinion")


class StationIn(LaidIn):
    lesson_id: UUID
    laid_at: AwareDatetime


class LaidOut(BaseModel):
    """A putt and a rig as they stand."""

    distance_m: float
    past_m: float
    stimp_ft: float
    capture: Capture
    rig_kind: str
    rig_sizes_m: dict[str, float]
    falls_forward_percent: float
    falls_right_percent: float
    proof: Proof
    words: str

    @staticmethod
    def of(entry: StationEntry, units: InUnits) -> dict[str, Any]:
        """The fields, from an entry."""
        return {it.name: getattr(entry, it.name) for it in fields(entry)} | {"words": entry.station().words(units)}


class StationOut(LaidOut):
    id: UUID
    lesson_id: UUID


def station_out(row: Station, units: InUnits) -> StationOut:
    return StationOut(id=row.id, lesson_id=row.lesson_id, **LaidOut.of(entry_of(row), units))


class Preview(BaseModel):
    """A station drawn and judged before it is laid."""

    words: str
    allows: str
    breaks: tuple[str, ...]
    trust: tuple[str, ...]
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
        breaks=station.breaks(units),
        trust=station.trust(units),
        window_left_deg=window.left_deg,
        window_right_deg=window.right_deg,
        sight=station.rig.sight(station.putt, LEVELS[plan.level].spread_deg, units),
        stage=station.from_above(plan.hand, units),
        entry=entry_picture(station, units),
        rig_sizes_m=station.rig.sizes(),
    )


@router.get("/ways")
def ways() -> list[WayOut]:
    """The ways of proving a line."""
    return [WayOut(way=way, name=it.name, doubt_m=it.doubt_m) for way, it in WAYS.items()]


@router.post("/check")
def check(entry: CheckIn) -> Repeatability:
    """Zero offset and reading noise of a rig from repeated readings; keeps nothing."""
    rig = entry.entry().station().rig
    return repeatability([rig.interval(raw).anchor for raw in entry.raws], entry.known_deg)


@router.post("/tune")
def tune(entry: TuneIn) -> dict[str, float]:
    """The rig's dimensions, m, for a wanted strictness; keeps nothing."""
    rig = entry.entry().station().rig
    try:
        return rig.tuned(entry.limit_deg).sizes()
    except OutOfLimits as fault:
        said = f"± {entry.limit_deg:g}° can't be had here. {fault.message}"
        raise OutOfLimits("limit_deg", said, limit=fault.limit, unit="deg") from None


@router.put("/{id}")
def keep(desk: AtDesk, id: UUID7, entry: StationIn, units: InUnits = "metric") -> StationOut:
    """Lay a station, or change one on which no putt was read."""
    row = stations.keep_station(desk, id, entry.lesson_id, entry.entry(), entry.laid_at)
    return station_out(row, units)
