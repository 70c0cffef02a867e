"""Blocks judged: in one line, with their readings, with the tables behind the verdict, on the second screen."""

from collections.abc import Mapping
from typing import Literal

from pydantic import BaseModel, Field

from ...core.certainty.estimate import Estimate
from ...core.certainty.verdict import Verdict
from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.estimate import Summary
from ...core.estimate.table import LikelihoodTable
from ...core.golfer.kit import NO_KIT
from ...core.golfer.wording import wording_for
from ...core.judge.judgement import Judgement
from ...core.measure.flag import FLAGS
from ...core.measure.interval import Interval
from ...core.measure.side import Side
from ...core.schools.held import Schools
from ...core.set.station import Station
from ...core.start.ladder import Rung, Step
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.golfer.kits import kit_at, kits_of
from ...lessons.golfer.schools import schools_of
from ...lessons.judge import blocks as judged_blocks
from ...lessons.lesson.lessons import BlockSheet, is_invented
from ...lessons.start import blocks
from ...lessons.values import KeptGolfer, KeptReading
from ...words.change.kit import kit_said
from ...words.judge.judgement import JudgementWords, further_words, judgement_words
from ...words.judge.putts import ended_said, pace_said
from ...words.set.station import station_words
from ...words.shared.plain import put
from ...words.start.ladder import rung_words
from ..base.notes import NoteOut
from ..base.read import ClaimOut, KindName, kind_name
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits, as_kept
from ..start.blocks import BlockKept, ReadingOut


class ReadingLine(ReadingOut):
    words: str
    side: Side


class BlockLine(BlockKept):
    """A block in one line, with its vial."""

    station: str
    rig_kind: str
    putts: int
    final: bool
    proved: bool = Field(description="false when the line was not proved: marked so wherever its numbers appear")
    headline: str
    size: str
    vial: Vial

    def put_to(self, golfer: KeptGolfer, units: InUnits) -> "BlockLine":
        """The same as things are put to this golfer, on a screen of theirs."""
        wording = wording_for(golfer.level, golfer.wording)
        said = {"headline": put(self.headline, wording, units), "size": put(self.size, wording, units)}
        return self.model_copy(update=said)


class BlockOut(BlockLine):
    """A block with its readings, oldest first."""

    watched: list[NoteOut] = Field(description="what lies beside it can be noted of a putt, too")
    noted: list[NoteOut] = Field(description="what is noted of every putt of it, with the bounds its putt gives")
    readings: list[ReadingLine]


class GainOut(BaseModel):
    """What one change would bring, in putts of a hundred that start inside the window."""

    change: Literal["bias", "spread"]
    name: str
    putts: Estimate
    words: str


class JudgementOut(BaseModel):
    """A block judged: its facts and its sentences.

    `final` is false until the block's planned end: then there is a verdict; `gains` are given only then.
    """

    putts: int
    planned: int
    final: bool
    summary: Summary | None
    verdict: Verdict | None
    kind: KindName = Field(description="what its readings can show")
    counts: str
    headline: str
    size: str
    meaning: str
    allows: str
    chance: str
    doubt: str
    gains: list[GainOut]
    prior: str
    read: str = Field(description="the bias against the read, and against the computed line")
    watched: bool = Field(description="a rig watched the start")
    vial: Vial


class LikelihoodOut(BaseModel):
    """A block's readings as tables; none where no rig reads its start."""

    table: LikelihoodTable | None
    flags: Mapping[str, float] = Field(description="as much of a whole reading one counts of which that was said")


class RungOut(BaseModel):
    """What the ladder says of the rig; `dimension` and `value_m` are the width to lay."""

    step: Step
    passed: int
    of: int
    words: str
    dimension: str
    value_m: float


class JudgedOut(BaseModel):
    """A block judged, with the picture of its putts from above."""

    block: BlockOut
    judgement: JudgementOut
    rays: Scene
    rung: RungOut = Field(description="what the ladder says of the rig")
    in_hand: str = Field(description="putter and ball as they were noted by then; empty while nobody had")


class BlockReadOut(BaseModel):
    """Everything that was read of a block's putts."""

    pace: str = Field(description="where the putts finished: counts and sizes, before any word on line")
    read: list[ClaimOut]
    tells_k: bool = Field(description="face and path were read: how far the start follows the face can be set")


class LastOut(BaseModel):
    """A putt in one look: how it started, or where nothing watched that, where it ended."""

    words: str
    side: Side = Field(description="of the line it started; neither where nothing watched it")
    ended: str = Field(description="where it ended, beside how it started; empty where that was not noted")


class WallOut(BaseModel):
    """What a second screen shows of the lesson's block: the last putt large and the vial; None before any block."""

    block: BlockLine | None
    last: LastOut | None
    watched: bool = Field(description="a rig watches the start: there is a vial to show")
    invented: bool = Field(description="true when this is the invented demo")


class FurtherOut(BaseModel):
    words: str


router = Router(tags=["judge"])


@router.get("/blocks/{id}/judgement")
def judged(desk: AtDesk, id: UUID, units: InUnits = "metric") -> JudgedOut:
    """The judgement of a block as it stands."""

    def make(whole: Desk, _: int) -> str:
        it = judged_blocks.judge_block(whole, id, units)
        said = _said(it.sheet, it.golfer, schools_of(whole, it.golfer), it.judgement, units)
        kit = kit_at(kits_of(whole, it.golfer.id), it.sheet.block.started_at)
        return JudgedOut(
            block=_out(it.sheet, it.judgement, said, units),
            judgement=_judgement(it.judgement, said),
            rays=it.rays,
            rung=_rung(it.rung, blocks.station_of(it.sheet.block), units),
            in_hand="" if kit == NO_KIT else kit_said(kit, units),
        ).model_dump_json()

    return as_kept(kept.of_block(desk, id, f"judged, {units}", make))


@router.get("/blocks/{id}/read")
def read(desk: AtDesk, id: UUID, units: InUnits = "metric") -> BlockReadOut:
    """Everything that was read of a block's putts: the claims its lesson makes of the same putts."""

    def make(whole: Desk, _: int) -> str:
        it = judged_blocks.read_of_block(whole, id)
        return BlockReadOut(
            pace=pace_said(it.pace, units),
            read=ClaimOut.every(it.reads, it.unused, it.hand, units),
            tells_k=it.tells_k,
        ).model_dump_json()

    return as_kept(kept.of_block(desk, id, f"read, {units}", make))


@router.get("/lessons/{id}/wall")
def wall(desk: AtDesk, id: UUID, units: InUnits = "metric") -> WallOut:
    """The block putted now, for a second screen. A putt is there when it is kept: after what was felt was called."""
    block_id, invented = blocks.block_now(desk, id), is_invented(desk, id)
    if block_id is None:
        return WallOut(block=None, last=None, watched=False, invented=invented)
    sheet, golfer = blocks.block_and_golfer(desk, block_id)
    last = next((reading for reading in reversed(sheet.readings) if not reading.voided), None)
    station = blocks.station_of(sheet.block)
    return WallOut(
        block=block_line(sheet, golfer, schools_of(desk, golfer), units).put_to(golfer, units),
        last=_last(last, station, units) if last else None,
        watched=station.rig.reads_start,
        invented=invented,
    )


@router.get("/blocks/{id}/further")
def further(desk: AtDesk, id: UUID) -> FurtherOut:
    """How many more putts would settle it."""
    return FurtherOut(words=further_words(judged_blocks.further_putts(desk, id)))


@router.get("/blocks/{id}/likelihood")
def likelihood(desk: AtDesk, id: UUID, units: InUnits = "metric") -> LikelihoodOut:
    """What a device needs to weigh its putts without a network: tables to be summed, no rule of the job."""
    return LikelihoodOut(
        table=judged_blocks.table_of_block(desk, id, units), flags={name: it.weight for name, it in FLAGS.items()}
    )


def block_line(sheet: BlockSheet, golfer: KeptGolfer, schools: Schools, units: InUnits) -> BlockLine:
    """A block in one line."""
    judgement = judged_blocks.judge_sheet(sheet, golfer, schools)
    return _line(sheet, judgement, _said(sheet, golfer, schools, judgement, units), units)


def block_out(sheet: BlockSheet, golfer: KeptGolfer, schools: Schools, units: InUnits) -> BlockOut:
    """A block with its readings."""
    judgement = judged_blocks.judge_sheet(sheet, golfer, schools)
    return _out(sheet, judgement, _said(sheet, golfer, schools, judgement, units), units)


def _said(
    sheet: BlockSheet, golfer: KeptGolfer, schools: Schools, judgement: Judgement, units: InUnits
) -> JudgementWords:
    station = blocks.station_of(sheet.block)
    return judgement_words(judgement, station, judged_blocks.occasion_of(sheet, golfer, schools), units)


def _judgement(it: Judgement, said: JudgementWords) -> JudgementOut:
    gains = [
        GainOut(change=gain.change, name=name, putts=gain.putts, words=words)
        for gain, (name, words) in zip(it.gains, said.gains, strict=True)
    ]
    return JudgementOut(
        putts=it.putts,
        planned=it.planned,
        final=it.final,
        summary=it.summary,
        verdict=it.verdict,
        kind=kind_name(it.kind),
        counts=said.counts,
        headline=said.headline,
        size=said.size,
        meaning=said.meaning,
        allows=said.allows,
        chance=said.chance,
        doubt=said.doubt,
        gains=gains,
        prior=said.prior,
        read=said.read,
        watched=it.watched,
        vial=it.vial,
    )


def _rung(it: Rung, station: Station, units: InUnits) -> RungOut:
    return RungOut(
        step=it.step,
        passed=it.passed,
        of=it.of,
        words=rung_words(it, station, units),
        dimension=it.dimension,
        value_m=it.value_m,
    )


def _out(sheet: BlockSheet, judgement: Judgement, said: JudgementWords, units: InUnits) -> BlockOut:
    station = blocks.station_of(sheet.block)
    readings = [_reading(it, station, units) for it in sheet.readings]
    noted = blocks.notes_there(station)
    return BlockOut(
        **dict(_line(sheet, judgement, said, units)),
        readings=readings,
        watched=NoteOut.every(blocks.notes_laid(station), units),
        noted=[NoteOut.of(name, noted[name], units) for name in sheet.block.asks],
    )


def _last(it: KeptReading, station: Station, units: InUnits) -> LastOut:
    shown, ended = _reading(it, station, units), ended_said(it.notes, units)
    if station.rig.reads_start:
        return LastOut(words=shown.words, side=shown.side, ended=ended)
    return LastOut(words=ended or shown.words, side="neither", ended="")


def _reading(it: KeptReading, station: Station, units: InUnits) -> ReadingLine:
    side = Interval.of(it.low_deg, it.high_deg).side
    return ReadingLine(**dict(ReadingOut.model_validate(it)), words=station.rig.words(it.raw, units), side=side)


def _line(sheet: BlockSheet, judgement: Judgement, said: JudgementWords, units: InUnits) -> BlockLine:
    station = blocks.station_of(sheet.block)
    return BlockLine(
        **dict(BlockKept.model_validate(sheet.block)),
        station=station_words(station, units),
        rig_kind=sheet.block.rig_kind,
        proved=station.proof.proves_line,
        putts=judgement.putts,
        final=judgement.final,
        headline=said.headline,
        size=said.size,
        vial=judgement.vial,
    )
