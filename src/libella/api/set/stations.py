"""Stations: a putt with its rig; and what it would be, before it is laid."""

from dataclasses import fields
from typing import Any

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.golfer.level import Level
from ...core.green.capture import Capture
from ...core.green.putt import Target
from ...core.green.read import Read
from ...core.instruments import Measures, Rig, Sight, usual_sizes
from ...core.instruments.rig import Fit
from ...core.measure.limits import OutOfLimits
from ...core.measure.units import Units
from ...core.set.kit import KitItem, Needed, kit_check, needed
from ...core.set.layout import from_above, from_side
from ...core.set.proof import NOT_PROVED, USUAL_DOUBT_M, Proof, Repeatability, Way, repeatability
from ...core.set.proposal import propose
from ...lessons.set import bag, stations
from ...lessons.set.stations import AidEntry, StationEntry, entry_of
from ...lessons.values import KeptStation
from ...words.set.briefing import allows, breaks, trust
from ...words.set.objections import Objection, objection_words
from ...words.set.proof import WAYS
from ...words.set.sight import RemedyWords, remedy_words, sight_words
from ...words.set.station import change_words, proposal_words, station_words
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment, Words40
from .green import PuttIn
from .instruments import EntryPicture, entry_picture

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
            raise fault.at(f"proof.{fault.field}") from None


class AidIn(Entry):
    """An instrument laid beside the rig."""

    kind: Words40 = Field(examples=["elevated_string"])
    sizes: dict[Words40, float] = Field(
        default_factory=dict, max_length=20, description="names end in their unit", examples=[{"lean_deg": 2.0}]
    )


class LaidIn(PuttIn):
    """A putt, a rig, and what else is laid. Lengths in m."""

    rig_kind: Words40 = Field(examples=["peg_gate"])
    rig_sizes_m: dict[Words40, float] = Field(
        default_factory=dict, max_length=20, examples=[{"distance_m": 0.5, "inside_width_m": 0.06, "post_m": 0.005}]
    )

    across_m: float = Field(default=0, description="the rig's middle right of the start line, on purpose")
    backstroke_m: float | None = Field(default=None, description="how far the head goes back; null: as usual")
    proof: ProofIn = Field(default_factory=lambda: ProofIn())
    aids: list[AidIn] = Field(default_factory=list[AidIn], max_length=20)

    def entry(self, units: Units = "metric") -> StationEntry:
        """As told; in feet a ruler of which nothing was said has marks in inches."""
        taken = {
            "rig_sizes_m": usual_sizes(self.rig_kind, self.rig_sizes_m, units),
            "proof": self.proof.proof(),
            "read": self.read and self.read.read(),
            "aids": tuple(AidEntry(it.kind, usual_sizes(it.kind, it.sizes, units)) for it in self.aids),
        }
        plain = {it.name: getattr(self, it.name) for it in fields(StationEntry) if it.name not in taken}
        return StationEntry(**plain, **taken)


class PreviewIn(LaidIn):
    hand: Hand = "right"
    level: Level = "club"


class CheckIn(LaidIn):
    """A rig read again and again with nothing changing, or against a known angle."""

    raws: list[dict[Words40, float | Words40]] = Field(max_length=100, examples=[[{"offset_m": 0.005}] * 3])
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
    laid_at: Moment


class LaidOut(BaseModel):
    """A putt and a rig as they stand."""

    distance_m: float
    past_m: float
    green_speed_ft: float
    capture: Capture
    rig_kind: str
    rig_sizes_m: dict[str, float]
    falls_forward_percent: float
    falls_right_percent: float
    falls_doubt_percent: float
    read: Read | None
    target: Target
    proof: Proof
    across_m: float
    backstroke_m: float | None
    aids: tuple[AidEntry, ...]
    words: str

    @staticmethod
    def of(entry: StationEntry, units: InUnits) -> dict[str, Any]:
        """The fields, from an entry."""
        said = station_words(entry.station(), units)
        return {it.name: getattr(entry, it.name) for it in fields(entry)} | {"words": said}


class StationOut(LaidOut):
    id: UUID
    lesson_id: UUID


def station_out(row: KeptStation, units: InUnits) -> StationOut:
    return StationOut(id=row.id, lesson_id=row.lesson_id, **LaidOut.of(entry_of(row), units))


class RigSightOut(BaseModel):
    """What a rig can see against the window, and what would see better."""

    narrowest_deg: float
    share: float
    fit: Fit
    words: str
    remedies: tuple[RemedyWords, ...]

    @staticmethod
    def of(it: Sight, units: Units) -> "RigSightOut":
        remedies = tuple(remedy_words(one, units) for one in it.remedies)
        return RigSightOut(
            narrowest_deg=it.narrowest_deg, share=it.share, fit=it.fit, words=sight_words(it), remedies=remedies
        )


class Preview(BaseModel):
    """A station drawn and judged before it is laid."""

    words: str
    allows: str
    breaks: tuple[str, ...]
    trust: tuple[str, ...]
    window_left_deg: float
    window_right_deg: float
    sight: RigSightOut
    remedies: tuple[RemedyWords, ...] = Field(description="on a break: where the rig punishes no good putt")
    objections: tuple[Objection, ...]
    stage: Scene
    side: Scene | None = Field(description="the side elevation, where heights matter")
    entry: EntryPicture
    rig_sizes_m: dict[str, float]
    aids: tuple[AidEntry, ...] = Field(description="with every size")
    backstroke_m: float
    parts: tuple[Needed, ...]
    kit_check: tuple[KitItem, ...]
    cautions: tuple[str, ...]
    laser: bool


@router.post("/preview")
def preview(desk: AtDesk, plan: PreviewIn, units: InUnits = "metric") -> Preview:
    """What this station would show and see; keeps nothing."""
    station = plan.entry(units).station()
    window = station.putt.window
    abouts = [it.about for it in (station.rig, *station.aids)]
    return Preview(
        words=station_words(station, units),
        allows=allows(station, units),
        breaks=breaks(station, units),
        trust=trust(station, units),
        window_left_deg=window.left_deg,
        window_right_deg=window.right_deg,
        sight=RigSightOut.of(station.rig.sight(station.putt, bag.spreads(desk)[plan.level], units), units),
        remedies=tuple(change_words(it, units) for it in station.remedies),
        objections=tuple(objection_words(it, units) for it in station.objections(plan.hand)),
        stage=from_above(station, plan.hand, units),
        side=from_side(station, units),
        entry=entry_picture(station.rig, station.zones(units), units),
        rig_sizes_m=station.rig.sizes(),
        aids=tuple(AidEntry(it.about.kind, it.sizes()) for it in station.aids),
        backstroke_m=station.backstroke_or_usual_m,
        parts=needed(abouts, bag.bag(desk)),
        kit_check=kit_check(abouts),
        cautions=station.cautions,
        laser=station.has_laser,
    )


class WantedIn(PuttIn):
    """What a coach wants to know, on which putt."""

    measures: Measures = "start"
    level: Level = "club"
    wanted_deg: float | None = Field(
        default=None, ge=0.2, le=6, description="strictness wanted; null: the level's spread"
    )
    only_bag: bool = Field(default=False, description="leave out what is not in the bag")


class ProposalOut(BaseModel):
    """An instrument laid to suit, and why."""

    kind: str
    name: str
    sizes: dict[str, float]
    sight: RigSightOut | None
    words: str
    guides: bool
    watches: bool = Field(description="it watches the ball's start, so it can be the rig")
    missing: tuple[Needed, ...] = Field(description="parts that are not in the bag")


@router.post("/propose")
def proposals(desk: AtDesk, wanted: WantedIn, units: InUnits = "metric") -> list[ProposalOut]:
    """Instruments that tell what is wanted, laid to suit putt and level, the best first; keeps nothing."""
    spread = wanted.wanted_deg or bag.spreads(desk)[wanted.level]
    found = propose(wanted.measures, wanted.putt(), spread, bag.bag(desk), units)
    return [
        ProposalOut(
            kind=it.aid.about.kind,
            name=it.aid.about.name,
            sizes=it.aid.sizes(),
            sight=None if it.sight is None else RigSightOut.of(it.sight, units),
            words=proposal_words(it, units),
            guides=it.aid.about.guides,
            watches=isinstance(it.aid, Rig) and it.aid.about.measures == "start",
            missing=it.missing,
        )
        for it in found
        if not (wanted.only_bag and it.missing)
    ]


@router.get("/ways")
def ways() -> list[WayOut]:
    """The ways of proving a line."""
    return [WayOut(way=way, name=name, doubt_m=USUAL_DOUBT_M[way]) for way, name in WAYS.items()]


@router.post("/check")
def check(entry: CheckIn, units: InUnits = "metric") -> Repeatability:
    """Zero offset and reading noise of a rig from repeated readings; keeps nothing."""
    rig = entry.entry(units).station().rig
    return repeatability([rig.interval(raw).anchor for raw in entry.raws], entry.known_deg)


@router.post("/tune")
def tune(entry: TuneIn) -> dict[str, float]:
    """The rig's dimensions, m, for a wanted strictness; keeps nothing."""
    rig = entry.entry().station().rig
    try:
        return rig.tuned(entry.limit_deg).sizes()
    except OutOfLimits as fault:
        raise OutOfLimits("limit_deg", "limit_not_here", "deg", limit=entry.limit_deg, why=fault) from None


@router.put("/{id}")
def keep(desk: AtDesk, id: UUID7, entry: StationIn, units: InUnits = "metric") -> StationOut:
    """Lay a station, or change one on which no putt was read."""
    row = stations.keep_station(desk, id, entry.lesson_id, entry.entry(), entry.laid_at)
    return station_out(row, units)
