"""The tables behind a block's judgement: its notes, every link of its chain, its side by distance."""

from collections.abc import Mapping, Sequence
from typing import Final
from uuid import UUID

from ...core.estimate import START, posterior
from ...core.judge.chain import Aimed, Declared, Delivered, RigDoubt, chain
from ...core.judge.compensation import UNZEROED_DEG
from ...core.judge.distance import AtDistance, by_distance
from ...core.judge.noted import tables
from ...core.judge.table import TableFacts
from ...core.judge.watched import path_tables, watched_tables
from ...core.measure.interval import Interval
from ...core.start.notes import Notes
from ...core.start.watched import PREFIX, kind_of
from ...store.tables import BlockRow, GolferRow, LessonRow
from ..aim.aims import aim_table
from ..desk.desk import Desk
from ..lesson.lessons import BlockSheet, blocks_where
from ..start.blocks import path_of, shared_of, station_of, valid_intervals
from ..start.strokes import StrokeSheet, strokes_of
from ..values import KeptBlock, KeptReading


def block_tables(desk: Desk, id: UUID) -> tuple[TableFacts, ...]:
    """Every table that what was noted and told allows, the chain first."""
    with desk.transaction() as session:
        lesson_id = desk.get(session, BlockRow, id, "block").lesson_id
        lesson = desk.get(session, LessonRow, lesson_id, "lesson")
        hand = desk.get(session, GolferRow, lesson.golfer_id, "golfer").hand
        sheets = blocks_where(desk, session, BlockRow.lesson_id == lesson_id)
    [own] = [it for it in sheets if it.block.id == id]
    told = strokes_by_putt(strokes_of(desk, lesson_id))
    block = own.block
    valid = [it for it in own.readings if not it.voided]
    station = station_of(block)
    aim = aim_table(desk, lesson_id).sum
    links = chain(
        [delivered(it, told.get(it.id, ())) for it in valid],
        Aimed(aim.mark, aim.to_mark, aim.face),
        station.putt.window,
        hand,
        Declared(block.k, path_of(block)),
        RigDoubt(station.noise_deg, shared_of(block)),
    )
    noted = [(_start(it), notes_of(it, told.get(it.id, ()))) for it in valid]
    distances = by_distance([_at_distance(it) for it in sheets if _alike(it.block, block)])
    asked = [it for it in block.asks if kind_of(it)]
    beside = (*watched_tables(noted, asked), *path_tables(noted, path_of(block), hand))
    if not station.rig.reads_start:
        # No start, nothing of it: what was noted stands for itself.
        return (*(it for it in tables(noted, station.putt.window) if it.of not in _OF_STARTS), *beside)
    return (*links, *tables(noted, station.putt.window), *beside, *([distances] if distances else []))


_OF_STARTS: Final = ("felt", "holed", "strike", "halves")
"""Tables of notes against the start."""


def _alike(one: KeptBlock, other: KeptBlock) -> bool:
    """Blocks that differ in their length alone: of one condition, or of one comparison of lengths. Guided and blind
    are never one."""
    if one.guided != other.guided or not station_of(one).rig.reads_start:
        return False
    if one.condition == other.condition:
        return True
    # The lengths of one comparison are named by themselves; where one station has two names, they are other conditions.
    return one.comparison_id == other.comparison_id is not None and one.distance_m != other.distance_m


def strokes_by_putt(strokes: Sequence[StrokeSheet]) -> dict[UUID, list[StrokeSheet]]:
    """What sensors told of each putt."""
    found: dict[UUID, list[StrokeSheet]] = {}
    for it in strokes:
        if it.reading_id is not None:
            found.setdefault(it.reading_id, []).append(it)
    return found


def measures_of(reading: KeptReading, strokes: Sequence[StrokeSheet]) -> Mapping[str, float]:
    """A putt's links as sensors told them, and where none did, as they were noted or came with a file."""
    noted = {name: value for name, value in reading.notes.items() if isinstance(value, float | int)}
    told = {name: value for it in strokes for name, value in it.measures.items()}
    return noted | told


def delivered(reading: KeptReading, strokes: Sequence[StrokeSheet]) -> Delivered:
    """A putt's place in the chain."""
    it = measures_of(reading, strokes)
    readers = {name: sheet.sensor.id for sheet in strokes for name in sheet.measures if name.startswith("face_")}
    return Delivered(
        _start(reading),
        it.get("face_address_deg"),
        it.get("face_impact_deg"),
        it.get("path_deg"),
        u_deg=max((sheet.noise_deg for sheet in strokes), default=it.get("u_deg", 0.0)),
        checks=min((sheet.checks for sheet in strokes), default=0),
        zero_deg=max((sheet.zero_doubt_deg for sheet in strokes), default=UNZEROED_DEG),
        one_device=len(set(readers.values())) <= 1,
    )


def notes_of(reading: KeptReading, strokes: Sequence[StrokeSheet]) -> Notes:
    """What was noted of a putt; where a sensor or the putter's gate told the strike and nobody noted it, the place on
    the face."""
    notes: Notes = reading.notes
    if "strike" in notes:
        return notes
    toe = measures_of(reading, strokes).get("strike_toe_mm")
    if toe is not None:
        return dict(notes) | {"strike": "middle" if abs(toe) < _MIDDLE_MM else "toe" if toe > 0 else "heel"}
    touched = _STRUCK.get(str(notes.get(f"{PREFIX}putter_gate", "")))
    return dict(notes) | {"strike": touched} if touched else notes


_MIDDLE_MM = 5.0
_STRUCK = {"near_peg": "toe", "clean": "middle", "far_peg": "heel"}
"""Where the ball was struck, by the peg that the head touched: with the head nearer the golfer, nearer its toe."""


def _start(reading: KeptReading) -> Interval:
    return Interval.of(reading.low_deg, reading.high_deg)


def _at_distance(sheet: BlockSheet) -> AtDistance:
    station = station_of(sheet.block)
    valid = valid_intervals(sheet)
    post = posterior(valid, START, noise=station.noise_deg).blurred(shared_of(sheet.block))
    return AtDistance(sheet.block.distance_m, post, len(valid), station.putt.window)
