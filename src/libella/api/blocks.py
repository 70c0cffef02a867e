"""Blocks and readings: record, void, restore, judge."""

from datetime import datetime

from fastapi import APIRouter, Response
from pydantic import BaseModel, Field

from ..core.drawing.scene import Scene
from ..core.drawing.vial import Vial
from ..core.judge import Judgement
from ..core.judge.tables import Table
from ..core.notes import NOTES, When
from ..core.wording import side_of
from ..lessons import blocks
from ..lessons.lessons import BlockSheet
from ..store.tables import Golfer, Reading
from .instruments import EntryPicture, entry_picture
from .shapes import UUID, UUID7, AtDesk, AwareDatetime, Entry, InUnits, Kept, ShortWords, words

router = APIRouter(tags=["blocks"])


class BlockIn(Entry):
    station_id: UUID
    condition: ShortWords = Field(description="what is the same through the block", examples=["as usual"])
    guided: bool = Field(description="true when a guide stands in the golfer's view", examples=[False])
    planned: int = Field(description="putts after which the verdict is given, 3 to 200", examples=[10])
    started_at: AwareDatetime
    asks: tuple[words(20), ...] = Field(default=(), description="what else is noted of every putt", examples=[["felt"]])


class PlanIn(Entry):
    planned: int = Field(description="the new planned end, not under the old one", examples=[20])


class ReadingIn(Entry):
    """One putt, raw: what was tapped."""

    block_id: UUID
    raw: dict[words(40), float | words(40)] = Field(max_length=4, examples=[{"crossing": "clean"}, {"offset_m": 0.015}])
    taken_at: AwareDatetime = Field(description="when it was tapped, by the client's clock")
    notes: dict[words(20), words(20)] = Field(default_factory=dict, max_length=10, examples=[{"felt": "left"}])


class VoidIn(Entry):
    reason: ShortWords = Field(examples=["talked through"])


class ReadingOut(Kept):
    """A reading with the start error it stands for (degrees, right positive, None where open)."""

    id: UUID
    block_id: UUID
    raw: dict[str, float | str]
    low_deg: float | None
    high_deg: float | None
    notes: dict[str, str]
    taken_at: datetime
    recorded_at: datetime
    voided: bool
    void_reason: str | None


class ReadingLine(ReadingOut):
    words: str
    side: str


class BlockKept(Kept):
    id: UUID
    lesson_id: UUID
    station_id: UUID
    condition: str
    guided: bool
    planned: int
    first_planned: int
    asks: list[str]
    started_at: datetime


class BlockLine(BlockKept):
    """A block in one line, with its vial."""

    station: str
    putts: int
    final: bool
    proved: bool = Field(description="false when the line was not proved: marked so wherever its numbers appear")
    headline: str
    size: str
    vial: Vial


class BlockOut(BlockLine):
    """A block with its readings, oldest first."""

    readings: list[ReadingLine]


class JudgedOut(BaseModel):
    """A block judged, with the picture of its putts from above."""

    block: BlockOut
    judgement: Judgement
    rays: Scene
    tables: tuple[Table, ...] = Field(description="what the notes say beside the start lines")


class NoteOut(BaseModel):
    """Something that can be noted of a putt by one tap."""

    note: str
    label: str
    question: str
    options: tuple[str, ...]
    when: When
    columns: int


class FurtherOut(BaseModel):
    words: str


@router.get("/notes")
def notes() -> list[NoteOut]:
    """What can be noted of a putt, in the order in which it happens."""
    return [
        NoteOut(note=key, label=it.label, question=it.question, options=it.options, when=it.when, columns=it.columns)
        for key, it in NOTES.items()
    ]


@router.put("/blocks/{id}")
def start(desk: AtDesk, id: UUID7, entry: BlockIn) -> BlockKept:
    """Start a block with the rig as it stands."""
    return BlockKept.model_validate(blocks.start_block(desk, id, blocks.BlockEntry(**entry.model_dump())))


@router.put("/blocks/{id}/plan")
def extend(desk: AtDesk, id: UUID, entry: PlanIn) -> BlockKept:
    """Move the planned end further out; the verdict waits for it."""
    return BlockKept.model_validate(blocks.extend_block(desk, id, entry.planned))


@router.get("/blocks/{id}/entry")
def entry(desk: AtDesk, id: UUID, units: InUnits = "metric") -> EntryPicture:
    """The picture readings are taken on."""
    station = blocks.station_of(blocks.block_sheet(desk, id).block)
    return entry_picture(station.rig, station.zones(units), units)


@router.get("/blocks/{id}/judgement")
def judged(desk: AtDesk, id: UUID, units: InUnits = "metric") -> JudgedOut:
    """The judgement of a block as it stands."""
    it = blocks.judge_block(desk, id, units)
    return JudgedOut(block=_out(it.sheet, it.judgement, units), judgement=it.judgement, rays=it.rays, tables=it.tables)


@router.get("/blocks/{id}/further")
def further(desk: AtDesk, id: UUID) -> FurtherOut:
    """How many more putts would settle it."""
    return FurtherOut(words=blocks.further_putts_words(desk, id))


@router.put("/readings/{id}", responses={201: {"model": ReadingOut}})
def record(desk: AtDesk, id: UUID7, entry: ReadingIn, response: Response) -> ReadingOut:
    """Record one putt. Sent again it changes nothing; the same id with another body is a conflict."""
    kept = blocks.record(desk, id, entry.block_id, entry.raw, entry.taken_at, entry.notes)
    response.status_code = 201 if kept.new else 200
    return ReadingOut.model_validate(kept.reading)


@router.put("/readings/{id}/void")
def void(desk: AtDesk, id: UUID, entry: VoidIn) -> ReadingOut:
    """Void a reading; it stays in the record with the reason."""
    return ReadingOut.model_validate(blocks.void_reading(desk, id, entry.reason))


@router.delete("/readings/{id}/void")
def restore(desk: AtDesk, id: UUID) -> ReadingOut:
    """Restore a voided reading."""
    return ReadingOut.model_validate(blocks.void_reading(desk, id, None))


def block_line(sheet: BlockSheet, golfer: Golfer, units: InUnits) -> BlockLine:
    """A block in one line."""
    return BlockLine(**_line(sheet, blocks.judge_sheet(sheet, blocks.hand_of(golfer), units), units))


def block_out(sheet: BlockSheet, golfer: Golfer, units: InUnits) -> BlockOut:
    """A block with its readings."""
    return _out(sheet, blocks.judge_sheet(sheet, blocks.hand_of(golfer), units), units)


def _out(sheet: BlockSheet, judgement: Judgement, units: InUnits) -> BlockOut:
    station = blocks.station_of(sheet.block)

    def line(it: Reading) -> ReadingLine:
        interval = station.interval(it.raw)
        side = "neither" if 0 in interval else side_of(interval.anchor)
        return ReadingLine(
            **ReadingOut.model_validate(it).model_dump(), words=station.rig.words(it.raw, units), side=side
        )

    return BlockOut(**_line(sheet, judgement, units), readings=[line(it) for it in sheet.readings])


def _line(sheet: BlockSheet, judgement: Judgement, units: InUnits) -> dict[str, object]:
    station = blocks.station_of(sheet.block)
    return BlockKept.model_validate(sheet.block).model_dump() | {
        "station": station.words(units),
        "proved": station.proof.is_proved,
        "putts": judgement.putts,
        "final": judgement.final,
        "headline": judgement.headline,
        "size": judgement.size,
        "vial": judgement.vial,
    }
