"""Blocks and readings: record, void, restore."""

from datetime import datetime
from typing import Literal

from fastapi import Request, Response
from pydantic import BaseModel, Field

from ...core.see.misled import Looker
from ...core.start.notes import NOTES
from ...core.start.path import PathModel, PathName
from ...lessons.change.drills import checked_drill
from ...lessons.start import blocks
from ...lessons.start.next_golfer import next_golfer
from ..base.notes import NoteOut
from ..base.router import Router
from ..base.shapes import (
    UUID,
    UUID7,
    AtDesk,
    Entry,
    FlagsIn,
    InUnits,
    Kept,
    Moment,
    ShortWords,
    VoidForReasonIn,
    Words20,
    Words40,
    Words80,
)
from ..set.instruments import EntryPicture, entry_picture

router = Router(tags=["blocks"])


class BlockIn(Entry):
    station_id: UUID
    condition: ShortWords = Field(
        default="as usual", description="what the coach calls it; decides nothing", examples=["as usual"]
    )
    guided: bool = Field(description="true when a guide stands in the golfer's view", examples=[False])
    planned: int = Field(description="putts after which the verdict is given, 3 to 200", examples=[10])
    started_at: Moment
    asks: tuple[Words20, ...] = Field(default=(), description="what else is noted of every putt", examples=[["felt"]])
    hole: bool = Field(default=True, description="false: putted to an aim point, with no hole there")
    path_model: PathName = Field(default="", description="the path as declared")
    ball_ahead_m: float = Field(default=0.0, description="ball ahead of the arc's middle, m")
    factors: dict[Words20, ShortWords] = Field(
        default_factory=dict, description="in what it is not as usual", max_length=8, examples=[{"set_up": "wide base"}]
    )
    drill: Words40 = Field("", description="the drill it is a run of, by its code; empty: none")


class HowIn(Entry):
    """In what a block was not as usual, and what it is called."""

    condition: ShortWords = ""
    factors: dict[Words20, ShortWords] = Field(default_factory=dict, max_length=8)


class SortIn(Entry):
    """What a name meant that was typed before factors were known."""

    golfer_id: UUID
    name: ShortWords
    factor: Literal["set_up", "cue", "routine", "kit", "trial", "hole_side"] | None = Field(
        description="null: it was as usual"
    )


class SortedOut(BaseModel):
    blocks: int = Field(description="so many blocks were called that")


class RungIn(Entry):
    from_block_id: UUID
    started_at: Moment


class NextIn(Entry):
    """Whose turn it is at a station, and the block that was putted there."""

    from_block_id: UUID
    golfer_id: UUID
    started_at: Moment


class ShareIn(Entry):
    k: float | None = Field(description="share of the face in the start, 0.5 to 1; null lets the putts tell it")


class CircumstancesIn(Entry):
    """What lay on a whole block alike."""

    disturbances: list[Words40] = Field(default_factory=list[str], max_length=20, examples=[["wind"]])
    comfort: int | None = Field(default=None, description="how comfortable it was, 1 to 5; null: not said")
    trust: int | None = Field(default=None, description="how far the golfer trusts it, 1 to 5; null: not said")
    looker: Looker = Field(default="", description="who told sides against the string over the line; empty: not said")


class PlanIn(Entry):
    planned: int = Field(description="the new planned end, not under the old one", examples=[20])


class ReadingIn(Entry):
    """One putt, raw: what was tapped."""

    block_id: UUID
    raw: dict[Words40, float | Words40] = Field(max_length=4, examples=[{"crossing": "clean"}, {"offset_m": 0.015}])
    taken_at: Moment = Field(description="when it was tapped, by the client's clock")
    notes: dict[Words20, float | Words80] = Field(default_factory=dict, max_length=80, examples=[{"felt": "left"}])


class ReadingOut(Kept):
    """A reading with the start error it stands for (degrees, right positive, None where open)."""

    id: UUID
    block_id: UUID
    raw: dict[str, float | str]
    low_deg: float | None
    high_deg: float | None
    notes: dict[str, str | float]
    taken_at: datetime
    recorded_at: datetime
    voided: bool
    void_reason: str | None
    flags: list[str] = Field(description="what lowers its weight")


class BlockKept(Kept):
    id: UUID
    lesson_id: UUID
    station_id: UUID
    condition: str
    guided: bool
    planned: int
    first_planned: int
    asks: list[str]
    hole: bool
    path_model: PathName
    ball_ahead_m: float
    k: float | None
    comparison_id: UUID | None
    turn: int | None
    disturbances: list[str]
    comfort: int | None
    trust: int | None
    looker: Looker
    factors: dict[str, str] = Field(description="in what it was not as usual")
    drill: str = Field(description="the drill it is a run of, by its code; empty: none")
    judged_again_at: datetime | None = Field(description="when a proof given after its putts had them judged again")
    started_at: datetime


@router.get("/notes")
def notes(units: InUnits = "metric") -> list[NoteOut]:
    """What can be noted of any putt, in the order in which it happens; what is laid there allows more."""
    return NoteOut.every({name: it for name, it in NOTES.items() if not it.needs_string}, units)


@router.put("/blocks/{id}")
def start(desk: AtDesk, request: Request, id: UUID7, entry: BlockIn) -> BlockKept:
    """Start a block with the rig as it stands."""
    told = entry.model_dump(exclude={"path_model", "ball_ahead_m"})
    path = PathModel(entry.path_model, entry.ball_ahead_m)
    checked_drill(desk, entry.drill)
    row = blocks.begin_block(desk, id, blocks.BlockEntry(**told, path=path))
    request.app.state.live.tell(row.lesson_id, "block")
    return BlockKept.model_validate(row)


@router.put("/rungs/{id}")
def step(desk: AtDesk, request: Request, id: UUID7, entry: RungIn) -> BlockKept:
    """Lay the ladder's next rung: the same rig at the new width, and a block of this id on it."""
    row = blocks.begin_rung(desk, id, entry.from_block_id, entry.started_at)
    request.app.state.live.tell(row.lesson_id, "block")
    return BlockKept.model_validate(row)


@router.put("/turns/{id}")
def next_one(desk: AtDesk, request: Request, id: UUID7, entry: NextIn) -> BlockKept:
    """The next golfer at the same station: a block of this id in a lesson of theirs, as the one before was."""
    row = next_golfer(desk, id, entry.from_block_id, entry.golfer_id, entry.started_at)
    request.app.state.live.tell(row.lesson_id, "block")
    return BlockKept.model_validate(row)


@router.put("/blocks/{id}/share-of-face")
def set_k(desk: AtDesk, id: UUID, entry: ShareIn) -> BlockKept:
    """Set the share of the face in the start, or let the putts tell it."""
    return BlockKept.model_validate(blocks.set_k(desk, id, entry.k))


@router.put("/blocks/{id}/circumstances")
def note_circumstances(desk: AtDesk, request: Request, id: UUID, entry: CircumstancesIn) -> BlockKept:
    """Note what disturbed a block, and how it felt: what disturbed it is judged with."""
    told = blocks.Circumstances(tuple(entry.disturbances), entry.comfort, entry.trust, entry.looker)
    row = blocks.note_circumstances(desk, id, told)
    request.app.state.live.tell(row.lesson_id, "block")
    return BlockKept.model_validate(row)


@router.put("/blocks/{id}/how")
def say_how(desk: AtDesk, request: Request, id: UUID, entry: HowIn) -> BlockKept:
    """Say otherwise in what a block was not as usual."""
    row = blocks.say_how(desk, id, entry.condition or "as usual", entry.factors)
    request.app.state.live.tell(row.lesson_id, "block")
    return BlockKept.model_validate(row)


@router.put("/unsorted")
def sort_out(desk: AtDesk, entry: SortIn) -> SortedOut:
    """Say once what a name meant that was typed before factors were known."""
    return SortedOut(blocks=blocks.sort_out(desk, entry.golfer_id, entry.name, entry.factor))


@router.put("/blocks/{id}/plan")
def extend(desk: AtDesk, id: UUID, entry: PlanIn) -> BlockKept:
    """Move the planned end further out; the verdict waits for it."""
    return BlockKept.model_validate(blocks.extend_block(desk, id, entry.planned))


@router.get("/blocks/{id}/entry")
def entry(desk: AtDesk, id: UUID, units: InUnits = "metric") -> EntryPicture:
    """The picture readings are taken on."""
    station = blocks.station_of(blocks.block_sheet(desk, id).block)
    return entry_picture(station.rig, station.zones(units), station.picture(units), units)


@router.put("/readings/{id}", responses={201: {"model": ReadingOut}})
def record(desk: AtDesk, request: Request, id: UUID7, entry: ReadingIn, response: Response) -> ReadingOut:
    """Record one putt. Sent again it changes nothing; the same id with another body is a conflict."""
    kept = blocks.keep_reading(desk, id, entry.block_id, entry.raw, entry.taken_at, entry.notes)
    response.status_code = 201 if kept.new else 200
    request.app.state.live.tell(kept.lesson_id, "putt", block_id=str(entry.block_id), reading_id=str(id))
    return ReadingOut.model_validate(kept.reading)


@router.put("/readings/{id}/voided")
def void(desk: AtDesk, request: Request, id: UUID, entry: VoidForReasonIn) -> ReadingOut:
    """Void a reading, or restore it; it stays in the record with the reason."""
    row = blocks.void_reading(desk, id, entry.why)
    request.app.state.live.tell(blocks.lesson_of_block(desk, row.block_id), "putt", block_id=str(row.block_id))
    return ReadingOut.model_validate(row)


@router.put("/readings/{id}/flags")
def flag(desk: AtDesk, request: Request, id: UUID, entry: FlagsIn) -> ReadingOut:
    """Say what lowers the weight of a putt."""
    row = blocks.flag_reading(desk, id, entry.flags)
    request.app.state.live.tell(blocks.lesson_of_block(desk, row.block_id), "putt", block_id=str(row.block_id))
    return ReadingOut.model_validate(row)
