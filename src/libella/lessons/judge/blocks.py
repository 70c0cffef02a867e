"""Blocks judged: the verdict, the picture of the putts, everything else that was read of them, how many more would
settle it."""

from dataclasses import dataclass
from uuid import UUID

from ...core.drawing.scene import Scene
from ...core.estimate.table import LikelihoodTable
from ...core.judge.account import Account
from ...core.judge.judgement import Further, Judgement, Occasion, further, judge, table_of
from ...core.measure.units import Units
from ...core.schools.held import Schools
from ...core.set.layout import rays
from ...core.set.station import Station
from ...core.start.ladder import Rung
from ..desk.desk import Desk
from ..golfer.golfers import usual_of
from ..golfer.schools import schools_of
from ..lesson.lessons import BlockSheet
from ..start.blocks import block_and_golfer, rung_of, station_of, valid_intervals
from ..values import KeptGolfer
from .account import account_of


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


def read_of_block(desk: Desk, id: UUID) -> Account:
    """The account over one block's readings: it says what its lesson says of the same putts."""
    sheet, _ = block_and_golfer(desk, id)
    return account_of(desk, sheet.block.lesson_id).of_block(str(id))


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
