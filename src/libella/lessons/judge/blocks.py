"""Blocks judged: the verdict, the picture of the putts, how many more would settle it."""

from dataclasses import dataclass
from uuid import UUID

from ...core.drawing.scene import Scene
from ...core.judge.holed import holed
from ...core.judge.judgement import Further, Judgement, Occasion, further, judge
from ...core.judge.pace import pace
from ...core.measure.interval import Interval
from ...core.measure.units import Units
from ...core.set.layout import rays
from ...core.set.station import Station
from ...core.start.ladder import Rung
from ..desk.desk import Desk
from ..golfer.golfers import usual_of
from ..lesson.lessons import BlockSheet
from ..start.blocks import block_and_golfer, rung_of, station_of, valid_intervals
from ..values import KeptGolfer


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
    return Judged(sheet, golfer, judge_sheet(sheet, golfer), picture, rung_of(sheet))


def judge_sheet(sheet: BlockSheet, golfer: KeptGolfer) -> Judgement:
    """The judgement of a block already read from the store."""
    station = station_of(sheet.block)
    return judge(valid_intervals(sheet), station, occasion_of(sheet, station, golfer), planned=sheet.block.planned)


def occasion_of(sheet: BlockSheet, station: Station, golfer: KeptGolfer) -> Occasion:
    """What a block is judged for."""
    noted = [(Interval.of(it.low_deg, it.high_deg), it.notes) for it in sheet.readings if not it.voided]
    ended = holed(noted, station.putt.window) if sheet.block.hole else None
    ran = pace([notes for _, notes in noted], station.aids, station.putt.past_m) if sheet.block.hole else None
    return Occasion(golfer.hand, usual_of(golfer), sheet.block.hole, ended, ran, tuple(sheet.block.disturbances))


def further_putts(desk: Desk, id: UUID) -> Further | None:
    """How many more putts would settle a block (takes a moment: it plays the block on)."""
    sheet, golfer = block_and_golfer(desk, id)
    station = station_of(sheet.block)
    occasion = occasion_of(sheet, station, golfer)
    return further(valid_intervals(sheet), station, occasion, planned=sheet.block.planned)
