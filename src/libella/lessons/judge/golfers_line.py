"""The golfer's line of every link: the blocks and series of all lessons, pooled; guided and blind, and each condition,
are lines of their own unless the coach joins them."""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from itertools import chain
from typing import Final
from uuid import UUID

from ...core.certainty.estimate import Estimate
from ...core.estimate import PATH, START, Prior, posterior
from ...core.estimate.level import normal_likelihood
from ...core.green.putt import USUAL_PAST_M, Putt
from ...core.green.usual import level_window
from ...core.judge.golfers_line import LINKS, Change, GolfersLine, LineBlock, LineKey, Link, golfers_line
from ...core.judge.judgement import NO_HOLE_M, usual_mix
from ...core.judge.lines_beside import LinesBeside, lines_beside
from ...core.judge.noted import feels_straight
from ...core.measure.interval import Interval
from ...core.measure.window import Window
from ...core.see.eyes import INSIDE, zone_marks
from ...store.tables import GolferRow
from ..aim.aims import aim_table
from ..desk.desk import Desk
from ..desk.problem import Conflict, NotFound
from ..golfer.changes import changes_of
from ..golfer.golfers import usual_of
from ..lesson.lessons import BlockSheet, every_lesson_of
from ..see.eyes import eye_sheet
from ..see.sights import sights_of
from ..start.blocks import shared_of, station_of, valid_intervals
from ..start.strokes import StrokeSheet, strokes_of_all
from ..values import KeptChange, KeptGolfer, value_of
from .line_joins import joined
from .tables import strokes_by_putt

_DAY_S: Final = 86400.0
_FEWEST: Final = 3
"""Readings below which a block says nothing here."""
_LEAST_SD: Final = 0.01
_MEASURES: Final[tuple[tuple[Link, str, Prior], ...]] = (
    ("face_impact", "face_impact_deg", START),
    ("path", "path_deg", PATH),
)
_AIMED: Final[Mapping[str, Link]] = {"face": "face", "mark": "ball_mark", "to_mark": "to_mark"}


@dataclass(frozen=True, slots=True)
class GolfersLines:
    """The lines of a golfer, the main one of every link first; the changes noted; when the first day was."""

    lines: tuple[GolfersLine, ...]
    changes: Sequence[KeptChange]
    since: datetime | None


def golfers_lines(desk: Desk, golfer_id: UUID, *, starts_only: bool = False) -> GolfersLines:
    """Pool everything that was read of a golfer's links, or of the starts alone, which is soon done."""
    lessons = every_lesson_of(desk, golfer_id)
    changes = changes_of(desk, golfer_id)
    if not lessons:
        return GolfersLines((), changes, None)
    since = lessons[0][0].started_at
    told: dict[LineKey, list[LineBlock]] = {}
    windows: dict[LineKey, Window] = {}

    def day(at: datetime) -> float:
        return (at - since).total_seconds() / _DAY_S

    strokes = {} if starts_only else strokes_of_all(desk, [lesson.id for lesson, _ in lessons])
    for lesson, sheets in lessons:
        read = _started(sheets, day)
        if not starts_only:
            sensed = _sensed(strokes.get(lesson.id, ()), lesson.id, sheets, day)
            others = (_pictured, _eyes, _aimed)
            read = chain(read, sensed, *(find(desk, lesson.id, day) for find in others))
        for key, block, window in read:
            told.setdefault(key, []).append(block)
            windows[key] = window
    noted = [Change(day(it.made_at), it.words) for it in changes]
    pooled: list[GolfersLine | None] = []
    for keys in joined(desk, golfer_id, list(told)):
        blocks = sorted((one for it in keys for one in told[it]), key=lambda one: one.day)
        pooled.append(golfers_line(keys, blocks, noted, windows[keys[0]]))
    lines = sorted((it for it in pooled if it is not None), key=lambda it: -len(it.blocks))
    # The line of most blocks of every link first, link by link down the chain; what else there is comes behind.
    main = {it.link: it for it in reversed(lines)}
    first = sorted(main.values(), key=lambda it: _ORDER.index(it.link))
    return GolfersLines((*first, *(it for it in lines if it not in first)), changes, since)


def compare_lines(desk: Desk, golfer_id: UUID, first: LineKey, second: LineKey) -> LinesBeside:
    """Set two of a golfer's lines beside each other, each by one of the keys pooled in it.

    Raises
    ------
    Conflict
        where they are one line, or of two links.
    NotFound
        where nothing was read on one.
    """
    lessons = every_lesson_of(desk, golfer_id)
    lines = golfers_lines(desk, golfer_id).lines
    one, other = (next((it for it in lines if key in it.keys), None) for key in (first, second))
    if one is None or other is None:
        raise NotFound("line")
    if one == other or one.link != other.link:
        raise Conflict("lines_not_of_one_link")
    with desk.transaction() as session:
        golfer = value_of(KeptGolfer, desk.get(session, GolferRow, golfer_id, "golfer"))
    putt = Putt(NO_HOLE_M, USUAL_PAST_M, lessons[-1][0].green_speed_ft)
    return lines_beside(one, other, usual_mix(putt, usual_of(golfer)))


_ORDER: Final[tuple[Link, ...]] = ("start", "face", *(it for it in LINKS if it not in ("start", "face")))


_Read = tuple[LineKey, LineBlock, Window]


def _started(sheets: Sequence[BlockSheet], day: Callable[[datetime], float]) -> Iterator[_Read]:
    """The starts of each block, and which start felt straight in its calls."""
    for sheet in sheets:
        block, reads = sheet.block, valid_intervals(sheet)
        station = station_of(block)
        if not station.rig.reads_start or len(reads) < _FEWEST:
            continue
        post, window = posterior(reads, START, noise=station.noise_deg), _window(station.putt)
        # One laying of a plan is one place of its rig, for all that is read on it.
        laying = (block.station_id, shared_of(block))
        found = LineBlock.read(day(block.started_at), post, START, laying, block.lesson_id)
        yield LineKey("start", block.guided, block.condition), found, window
        if felt := _felt(sheet, day):
            yield *felt, window


def _aimed(desk: Desk, lesson_id: UUID, day: Callable[[datetime], float]) -> Iterator[_Read]:
    """Face, mark and putter against it, from every series of set-downs."""
    for sheet in aim_table(desk, lesson_id).sheets:
        series, link = sheet.series, _AIMED.get(sheet.series.link)
        if link is None or len(sheet.reads) < _FEWEST:
            continue
        laying = (series.station_id or lesson_id, sheet.shared_deg)
        found = LineBlock.read(day(series.started_at), posterior(sheet.reads, START), START, laying, lesson_id)
        yield LineKey(link, series.aided, series.set_up), found, sheet.window


def _sensed(
    told: Sequence[StrokeSheet], lesson_id: UUID, sheets: Sequence[BlockSheet], day: Callable[[datetime], float]
) -> Iterator[_Read]:
    """The face at impact and the path of each block, as sensors told them; a sensor's zero is shared while it is that
    sensor's."""
    strokes = strokes_by_putt(told)
    for sheet in sheets:
        block = sheet.block
        mine = [it for one in sheet.readings if not one.voided for it in strokes.get(one.id, ())]
        for link, measure, prior in _MEASURES:
            seen = [it for it in mine if measure in it.measures]
            if len(seen) < _FEWEST:
                continue
            noise = max(it.noise_deg for it in seen)
            values = [round(it.measures[measure], 2) for it in seen]
            post = posterior([Interval(it, it) for it in values], prior, noise=noise)
            it = LineBlock.read(day(block.started_at), post, prior, (block.station_id, shared_of(block)), lesson_id)
            zero = max(it.zero_doubt_deg for it in seen)
            it = replace(it, device=seen[0].sensor.id, device_sd=zero)
            yield LineKey(link, block.guided, block.condition), it, _window(station_of(block).putt)


def _pictured(desk: Desk, lesson_id: UUID, day: Callable[[datetime], float]) -> Iterator[_Read]:
    """What looks straight, from every shown test with the head as usual."""
    for sheet in sights_of(desk, lesson_id):
        if sheet.test.ended_at is None or sheet.test.position or not sheet.found.tells:
            continue
        told = _likelihood(sheet.found.angle, START)
        laying = sheet.test.station_id or lesson_id
        # What is not known of its line is in the angle already.
        it = LineBlock(day(sheet.test.started_at), told, None, laying, 0.0, lesson_id)
        yield LineKey("looks_straight", False, sheet.test.condition), it, _window(sheet.putt)


def _felt(sheet: BlockSheet, day: Callable[[datetime], float]) -> tuple[LineKey, LineBlock] | None:
    """Which start felt straight in a block's calls."""
    block = sheet.block
    putts = [(Interval.of(it.low_deg, it.high_deg), it.notes) for it in sheet.readings if not it.voided]
    found = feels_straight(putts)
    if found is None:
        return None
    told = _likelihood(found.looks_straight, START)
    laying = (block.station_id, shared_of(block))
    return LineKey("felt", block.guided, block.condition), LineBlock(
        day(block.started_at), told, None, *laying, block.lesson_id
    )


def _eyes(desk: Desk, lesson_id: UUID, day: Callable[[datetime], float]) -> Iterator[_Read]:
    """Where the eyes were, mm inside, set-up by set-up; the marks stand at the edges of the zone wanted."""
    sheet = eye_sheet(desk, lesson_id)
    for it in sheet.set_ups:
        if it.found is None:
            continue
        likelihood = _likelihood(it.found.inside, INSIDE)
        at = next(one.taken_at for one in sheet.takes if one.set_up == it.name and not one.voided)
        # The mirror's level is in what was found already.
        block = LineBlock(day(at), likelihood, None, lesson_id, 0.0, lesson_id)
        yield LineKey("eyes", False, it.name), block, zone_marks(sheet.zone_mm)


def _likelihood(found: Estimate, prior: Prior) -> tuple[float, float] | None:
    return normal_likelihood(found.value, max(found.sd, _LEAST_SD), prior.bias_mean, prior.bias_sd)


def _window(putt: Putt) -> Window:
    """Where the marks of a line stand that is of no single putt."""
    return level_window(putt, NO_HOLE_M)
