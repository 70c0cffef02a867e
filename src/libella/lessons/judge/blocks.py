"""Blocks judged: the verdict, the picture of the putts, everything else that was read of them, how many more would
settle it."""

from dataclasses import dataclass, replace
from uuid import UUID

from ...core.drawing.scene import Scene
from ...core.estimate.table import LikelihoodTable
from ...core.golfer.hand import Hand
from ...core.judge.claims.pace import Pace
from ...core.judge.claims.reads import Claim, reads
from ...core.judge.findings.case import Case
from ...core.judge.judgement import Further, Judgement, Occasion, further, judge, table_of
from ...core.judge.ledger.entry import Ledger
from ...core.measure.units import Units
from ...core.schools.held import Schools
from ...core.set.layout import rays
from ...core.set.station import Station
from ...core.start.ladder import Rung
from ..desk.desk import Desk
from ..golfer.golfers import usual_of
from ..golfer.schools import schools_of
from ..lesson.lessons import BlockSheet, lesson_sheet
from ..start.blocks import block_and_golfer, rung_of, station_of, valid_intervals
from ..values import KeptGolfer
from .ledger import ledger_of


@dataclass(frozen=True, slots=True)
class Judged:
    """A block with its judgement, the picture of its putts, and what the ladder says of its rig."""

    sheet: BlockSheet
    golfer: KeptGolfer
    judgement: Judgement
    rays: Scene
    rung: Rung


def judge_block(desk: Desk, id: UUID, units: Units) -> Judged:
    """Judge one block as it stands."""
    sheet, golfer = block_and_golfer(desk, id)
    station = station_of(sheet.block)
    picture = rays(station, tuple(valid_intervals(sheet)), units, hole=sheet.block.hole)
    return Judged(sheet, golfer, judge_sheet(sheet, golfer, schools_of(desk, golfer)), picture, rung_of(sheet))


def judge_sheet(sheet: BlockSheet, golfer: KeptGolfer, schools: Schools) -> Judgement:
    """The judgement of a block already read from the store."""
    station = station_of(sheet.block)
    return judge(valid_intervals(sheet), station, occasion_of(sheet, golfer, schools), planned=sheet.block.planned)


def occasion_of(sheet: BlockSheet, golfer: KeptGolfer, schools: Schools) -> Occasion:
    """What a block is judged for."""
    return Occasion(golfer.hand, usual_of(golfer, schools), sheet.block.hole, tuple(sheet.block.disturbances))


@dataclass(frozen=True, slots=True)
class BlockRead:
    """Everything that was read of a block's putts: the claims, where they finished, whether its own putts tell the
    face's share."""

    claims: tuple[Claim, ...]
    ledger: Ledger
    case: Case
    shares_face: bool

    @property
    def pace(self) -> Pace | None:
        return self.case.pace

    @property
    def hand(self) -> Hand:
        return self.ledger.hand


def read_of_block(desk: Desk, id: UUID) -> BlockRead:
    """The claims of one block: the same as its lesson makes of the same putts."""
    sheet, _ = block_and_golfer(desk, id)
    ledger = ledger_of(desk, lesson_sheet(desk, sheet.block.lesson_id), earlier=False).ledger
    own = replace(ledger, batches=tuple(it for it in ledger.batches if it.id == str(id)))
    case = Case(own)
    told = "impact" in own.quantities and "path" in own.quantities
    return BlockRead(reads(own, case.weighing), own, case, told)


def table_of_block(desk: Desk, id: UUID, units: Units) -> LikelihoodTable | None:
    """What a device needs to weigh a block's readings without a server; None where no rig reads its start."""
    sheet, golfer = block_and_golfer(desk, id)
    return table_of(station_of(sheet.block), occasion_of(sheet, golfer, schools_of(desk, golfer)), units)


def further_putts(desk: Desk, id: UUID) -> Further | None:
    """How many more putts would settle a block (takes a moment: it plays the block on)."""
    sheet, golfer = block_and_golfer(desk, id)
    station: Station = station_of(sheet.block)
    occasion = occasion_of(sheet, golfer, schools_of(desk, golfer))
    return further(valid_intervals(sheet), station, occasion, planned=sheet.block.planned)
