"""Stations: a putt with its rig, and what it would be before it is laid."""

from dataclasses import fields, replace
from typing import Any

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.golfer.level import Level
from ...core.green.capture import Capture
from ...core.green.putt import Target
from ...core.green.read import GolferSays, Read
from ...core.instruments import Measures, Rig, Sight, usual_sizes
from ...core.instruments.elevated_string import ElevatedString
from ...core.instruments.rig import Fit
from ...core.keep.caution import laid
from ...core.measure.limits import OutOfLimits
from ...core.measure.units import Units
from ...core.set.kit import KitItem, Needed, kit_check, needed
from ...core.set.layout import from_above, from_side
from ...core.set.proof import FEWEST_MEASURED, NOT_PROVED, Proof, Way
from ...core.set.proposal import Wanted, laid_by_itself, propose
from ...core.set.station import Station
from ...core.set.string_fit import string_fit
from ...core.start.watched import watched
from ...lessons.desk.desk import Desk
from ...lessons.golfer import golfers
from ...lessons.golfer.schools import schools_of
from ...lessons.see.eyes import eyes_now
from ...lessons.set import bag
from ...lessons.set.plans import proof_of
from ...lessons.set.stations import AidEntry, StationEntry
from ...words.keep.caution import cautions_said
from ...words.set.briefing import allows, breaks, trust
from ...words.set.objections import Objection, objection_words
from ...words.set.proof import HOW, WAYS
from ...words.set.sight import RemedyWords, remedy_words, sight_words
from ...words.set.station import change_words, proposal_words, station_words
from ...words.set.string import fit_words, lean_words
from ..base.notes import NoteOut
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, Entry, InUnits, Words40
from .green import GolferSaysIn, PuttIn
from .instruments import EntryPicture, entry_picture

router = Router(prefix="/stations", tags=["stations"])


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
    aids: list[AidIn] = Field(default_factory=list[AidIn], max_length=20)
    golfer_says: GolferSaysIn = Field(default_factory=GolferSaysIn)

    def entry(self, units: Units = "metric") -> StationEntry:
        """As told; in feet a ruler of which nothing was said has marks in inches."""
        taken = {
            "rig_sizes_m": usual_sizes(self.rig_kind, self.rig_sizes_m, units),
            "proof": NOT_PROVED,
            "read": self.read and self.read.read(),
            "golfer_says": self.golfer_says.says(),
            "aids": tuple(AidEntry(it.kind, usual_sizes(it.kind, it.sizes, units)) for it in self.aids),
        }
        plain = {it.name: getattr(self, it.name) for it in fields(StationEntry) if it.name not in taken}
        return StationEntry(**plain, **taken)


class PlannedIn(LaidIn):
    """A station as a lesson's plan would have it."""

    hand: Hand = "right"
    proof_of: UUID | None = Field(default=None, description="the plan of a lesson that this is, or takes the place of")


class PreviewIn(PlannedIn):
    lesson_id: UUID | None = Field(default=None, description="whose eyes, as measured in it, a string is held against")
    level: Level = "club"
    expected_deg: float | None = Field(
        default=None, ge=0.2, le=6, description="spread expected of this golfer; null: the level's"
    )


class TuneIn(LaidIn):
    """A rig to be made as strict as wanted, where it stands."""

    limit_deg: float = Field(gt=0, le=10, description="the start error it should just let through", examples=[1.0])


class WayOut(BaseModel):
    way: Way
    name: str
    how: str = Field(description="what to do, and what is asked")
    fewest: int = Field(description="measurements it takes at least")


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
    golfer_says: GolferSays
    words: str

    @staticmethod
    def of(entry: StationEntry, units: InUnits) -> dict[str, Any]:
        """The fields, from an entry."""
        said = station_words(entry.station(), units)
        return {it.name: getattr(entry, it.name) for it in fields(entry)} | {"words": said}


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


class StringOffer(BaseModel):
    """A string that shows the eyes measured in the lesson a wrong picture, and what would make it true."""

    words: str
    offer: str
    lean_deg: float


class Preview(BaseModel):
    """A station drawn and judged before it is laid."""

    words: str
    allows: str
    breaks: tuple[str, ...]
    trust: tuple[str, ...]
    proved: bool
    window_left_deg: float
    window_right_deg: float
    sight: RigSightOut
    remedies: tuple[RemedyWords, ...] = Field(description="on a break: where the rig punishes no good putt")
    objections: tuple[Objection, ...]
    string: StringOffer | None
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
    watched: list[NoteOut] = Field(description="what is laid can be noted of a putt, too")
    reads_start: bool = Field(description="a rig watches the start")


@router.post("/preview")
def preview(desk: AtDesk, plan: PreviewIn, units: InUnits = "metric") -> Preview:
    """What this station would show and see; keeps nothing. It is as proved as the plan it is, or replaces."""
    station = replace(plan.entry(units), proof=proof_of(desk, plan.proof_of)).station()
    window = station.putt.window
    abouts = [it.about for it in (station.rig, *station.aids)]
    return Preview(
        words=station_words(station, units),
        allows=allows(station, units),
        breaks=breaks(station, units),
        trust=trust(station, units),
        proved=station.proof.proves_line,
        window_left_deg=window.left_deg,
        window_right_deg=window.right_deg,
        sight=RigSightOut.of(station.sight(plan.expected_deg or bag.spreads(desk)[plan.level], units), units),
        remedies=tuple(change_words(it, units) for it in station.remedies),
        objections=tuple(objection_words(it, units) for it in station.objections(plan.hand)),
        string=_string(desk, station, plan.lesson_id, units),
        stage=from_above(station, plan.hand, units),
        side=from_side(station, units),
        entry=entry_picture(station.rig, station.zones(units), station.picture(units), units),
        rig_sizes_m=station.rig.sizes(),
        aids=tuple(AidEntry(it.about.kind, it.sizes()) for it in station.aids),
        backstroke_m=station.backstroke_or_usual_m,
        parts=needed(abouts, bag.bag(desk)),
        kit_check=kit_check(abouts),
        cautions=tuple(cautions_said(laid(station))),
        laser=station.has_laser,
        watched=NoteOut.every(watched(station.rig, station.aids), units),
        reads_start=station.rig.reads_start,
    )


def _string(desk: Desk, station: Station, lesson_id: UUID | None, units: Units) -> StringOffer | None:
    string = next((it for it in station.aids if isinstance(it, ElevatedString)), None)
    if string is None or lesson_id is None:
        return None
    found = eyes_now(desk, lesson_id)
    fit = string_fit(string, found.inside) if found and found.inside and found.behind else None
    if fit is None or not fit.wrong:
        return None
    return StringOffer(words=fit_words(fit, units), offer=lean_words(fit), lean_deg=fit.lean_deg)


class WantedIn(PuttIn):
    """What a coach wants to know, on which putt."""

    measures: Measures = "start"
    level: Level = "club"
    hand: Hand = "right"
    wanted_deg: float | None = Field(
        default=None, ge=0.2, le=6, description="strictness wanted; null: the level's spread"
    )
    only_bag: bool = Field(default=False, description="leave out what is not in the bag")
    proof_of: UUID | None = Field(default=None, description="the plan whose line it is laid on")
    golfer: UUID | None = Field(default=None, description="whose schools say what comes first; null: the coach's alone")


class ProposalOut(BaseModel):
    """An instrument laid to suit, and why."""

    kind: str
    name: str
    sizes: dict[str, float]
    sight: RigSightOut | None
    words: str
    stage: Scene = Field(description="the putt with it laid, from above and to scale")
    guides: bool
    watches: bool = Field(description="it watches the ball's start, so it can be the rig")
    missing: tuple[Needed, ...] = Field(description="parts that are not in the bag")


@router.post("/propose")
def proposals(desk: AtDesk, wanted: WantedIn, units: InUnits = "metric") -> list[ProposalOut]:
    """Instruments that tell what is wanted, laid to suit putt and level, the best first; keeps nothing."""
    spread = wanted.wanted_deg or bag.spreads(desk)[wanted.level]
    proof = proof_of(desk, wanted.proof_of)
    held = schools_of(desk, golfers.golfer(desk, wanted.golfer) if wanted.golfer else None).settings
    asked = Wanted(wanted.measures, wanted.putt(), spread, proof, held.line_by, held.gate_at_m)
    found = propose(asked, bag.bag(desk), units)
    return [
        ProposalOut(
            kind=it.aid.about.kind,
            name=it.aid.about.name,
            sizes=it.aid.sizes(),
            sight=None if it.sight is None else RigSightOut.of(it.sight, units),
            words=proposal_words(it, units),
            stage=from_above(laid_by_itself(it.aid, wanted.putt()), wanted.hand, units),
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
    return [WayOut(way=way, name=name, how=HOW[way], fewest=FEWEST_MEASURED) for way, name in WAYS.items()]


@router.post("/tune")
def tune(entry: TuneIn) -> dict[str, float]:
    """The rig's dimensions, m, for a wanted strictness; keeps nothing."""
    rig = entry.entry().station().rig
    try:
        return rig.tuned(entry.limit_deg).sizes()
    except OutOfLimits as fault:
        raise OutOfLimits("limit_deg", "limit_not_here", "deg", limit=entry.limit_deg, why=fault) from None
