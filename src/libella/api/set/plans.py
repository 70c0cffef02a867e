"""The plans of a lesson: laid as they are edited, one of them current, each line proved by what was measured."""

from datetime import UTC, datetime

from pydantic import BaseModel, Field

from ...core.green.slope import TrialRoll
from ...core.set.proof import Evidence, Measured, Proof, Way
from ...lessons.set import plans
from ...lessons.set.plans import Laying, Plan, RigCheck
from ...lessons.set.stations import entry_of
from ...words.set.proof import proof_words
from ...words.set.station import replaced_words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment, Words40
from .green import RollIn
from .stations import LaidIn, LaidOut

router = Router(tags=["plans"])


class StationIn(LaidIn):
    lesson_id: UUID
    laid_at: Moment
    replaces_id: UUID | None = Field(default=None, description="the plan of this lesson that it takes the place of")
    current: bool = Field(default=True, description="it is the lesson's plan from now on")
    seen: list[LaidIn] = Field(
        default_factory=list[LaidIn],
        max_length=12,
        description="as it was when the editing began, and as it was told since without an answer: what others changed "
        "of it meanwhile stands",
    )


class StationOut(LaidOut):
    """A plan of a lesson."""

    id: UUID
    lesson_id: UUID
    laid_at: datetime
    replaces_id: UUID | None
    current: bool = Field(description="the lesson's plan now")
    used: bool = Field(description="something was read on it: it stands as it was read with")
    proof: Proof
    proved: bool = Field(description="its line is proved, as it is now")
    proof_words: str
    replaced: tuple[str, ...] = Field(description="what is other than in the plan it took the place of, in words")


class PickIn(Entry):
    station_id: UUID


class MeasuredIn(Entry):
    """The line measured a second way."""

    at_m: float = Field(description="how far from the ball it was measured", examples=[2.5])
    beside_m: float = Field(description="how far right of true the laid line was found", examples=[0.002])


class ProofIn(Entry):
    """What was measured to prove a line."""

    way: Way
    measured: list[MeasuredIn] = Field(default_factory=list[MeasuredIn], max_length=40)
    rolls: list[RollIn] = Field(default_factory=list[RollIn], max_length=40)
    raws: list[dict[Words40, float | Words40]] | None = Field(
        default=None, max_length=100, description="the rig read again and again; null leaves that as it is, [] drops it"
    )
    known_deg: float = Field(default=0, description="the angle the rig was read against, right positive")

    def evidence(self) -> Evidence:
        return Evidence(
            tuple(Measured(it.at_m, it.beside_m) for it in self.measured),
            tuple(TrialRoll(it.way, it.length_m, it.drift_m) for it in self.rolls),
        )


class PlanPicked(BaseModel):
    station_id: UUID


def plan_out(it: Plan, units: InUnits) -> StationOut:
    """A plan, with what it is worth now."""
    entry = entry_of(it.station)
    station = entry.station()
    before = entry_of(it.replaced).station() if it.replaced else None
    return StationOut(
        id=it.station.id,
        lesson_id=it.station.lesson_id,
        laid_at=it.station.laid_at,
        replaces_id=it.station.replaces_id,
        current=it.current,
        used=it.used,
        proved=station.proof.proves_line,
        proof_words=proof_words(station.proof, units),
        replaced=replaced_words(station, before, units) if before else (),
        **LaidOut.of(entry, units),
    )


@router.put("/stations/{id}")
def keep(desk: AtDesk, id: UUID7, entry: StationIn, units: InUnits = "metric") -> StationOut:
    """Keep a plan as it is edited; one on which something was read stands as it is."""
    laying = Laying(entry.lesson_id, entry.laid_at, entry.replaces_id, entry.current)
    plans.keep_station(desk, id, entry.entry(units), laying, [it.entry(units) for it in entry.seen])
    return plan_out(plans.plan(desk, id), units)


@router.put("/stations/{id}/proof")
def prove(desk: AtDesk, id: UUID, entry: ProofIn, units: InUnits = "metric") -> StationOut:
    """Prove a line, or correct its proof: what was read on it is judged again."""
    check = None if entry.raws is None else RigCheck(entry.raws, entry.known_deg)
    plans.prove_station(desk, id, entry.way, entry.evidence(), datetime.now(UTC), check)
    return plan_out(plans.plan(desk, id), units)


@router.put("/lessons/{id}/plan")
def pick(desk: AtDesk, id: UUID, entry: PickIn) -> PlanPicked:
    """Make another of a lesson's plans its current one."""
    return PlanPicked(station_id=plans.pick_plan(desk, id, entry.station_id).id)
