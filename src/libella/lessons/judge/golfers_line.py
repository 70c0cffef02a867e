"""The golfer's line of every link: the blocks and series of all lessons, pooled; guided and blind, and each condition,
are lines of their own."""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import datetime
from typing import Final
from uuid import UUID

from ...core.estimate import PATH, START, Prior, posterior
from ...core.green.putt import Putt
from ...core.green.usual import level_window
from ...core.judge.golfers_line import Change, GolfersLine, LineBlock, Link, golfers_line
from ...core.judge.judgement import NO_HOLE_M
from ...core.measure.interval import Interval
from ...core.measure.window import Window
from ..aim.aims import aim_table
from ..desk.desk import Desk
from ..golfer.changes import changes_of
from ..lesson.lessons import BlockSheet, every_lesson_of
from ..see.sights import sights_of
from ..start.blocks import shared_of, station_of, valid_intervals
from ..start.strokes import StrokeSheet, strokes_of_all
from ..values import KeptChange
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


@dataclass
class _Told:
    blocks: list[LineBlock] = field(default_factory=list[LineBlock])
    window: Window | None = None


def golfers_lines(desk: Desk, golfer_id: UUID) -> GolfersLines:
    """Pool everything that was read of a golfer's links."""
    lessons = every_lesson_of(desk, golfer_id)
    changes = changes_of(desk, golfer_id)
    if not lessons:
        return GolfersLines((), changes, None)
    since = lessons[0][0].started_at
    told: dict[tuple[Link, bool, str], _Told] = {}

    def day(at: datetime) -> float:
        return (at - since).total_seconds() / _DAY_S

    strokes = strokes_of_all(desk, [lesson.id for lesson, _ in lessons])
    for lesson, sheets in lessons:
        for sheet in sheets:
            block, reads = sheet.block, valid_intervals(sheet)
            station = station_of(block)
            if not station.rig.reads_start or len(reads) < _FEWEST:
                continue
            post = posterior(reads, START, noise=station.noise_deg)
            one = told.setdefault(("start", block.guided, block.condition), _Told())
            # One laying of a plan is one place of its rig, for all that is read on it.
            laying = (block.station_id, shared_of(block))
            one.blocks.append(LineBlock.read(day(block.started_at), post, START, laying, lesson.id))
            one.window = _window(station.putt)
        for key, found, window in _sensed(strokes.get(lesson.id, ()), lesson.id, sheets, day):
            one = told.setdefault(key, _Told(window=window))
            one.blocks.append(found)
        for key, found, window in _pictured(desk, lesson.id, day):
            one = told.setdefault(key, _Told(window=window))
            one.blocks.append(found)
        for series in aim_table(desk, lesson.id).sheets:
            link = _AIMED.get(series.series.link)
            if link is None or len(series.reads) < _FEWEST:
                continue
            one = told.setdefault((link, series.series.aided, series.series.set_up), _Told())
            laying = (series.series.station_id or lesson.id, series.shared_deg)
            post = posterior(series.reads, START)
            one.blocks.append(LineBlock.read(day(series.series.started_at), post, START, laying, lesson.id))
            one.window = series.window
    noted = [Change(day(it.made_at), it.words) for it in changes]
    found = [
        golfers_line(link, name, sorted(it.blocks, key=lambda one: one.day), noted, it.window, guided=guided)
        for (link, guided, name), it in told.items()
        if it.window is not None
    ]
    lines = sorted((it for it in found if it is not None), key=lambda it: -len(it.blocks))
    # The line of most blocks of every link first, link by link down the chain; what else there is comes behind.
    main = {it.link: it for it in reversed(lines)}
    first = sorted(main.values(), key=lambda it: _ORDER.index(it.link))
    return GolfersLines((*first, *(it for it in lines if it not in first)), changes, since)


_ORDER: Final[tuple[Link, ...]] = ("start", "face", "looks_straight", "ball_mark", "to_mark", "face_impact", "path")


_Key = tuple[Link, bool, str]


def _sensed(
    told: Sequence[StrokeSheet], lesson_id: UUID, sheets: Sequence[BlockSheet], day: Callable[[datetime], float]
) -> Iterator[tuple[_Key, LineBlock, Window]]:
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
            yield (link, block.guided, block.condition), it, _window(station_of(block).putt)


def _pictured(
    desk: Desk, lesson_id: UUID, day: Callable[[datetime], float]
) -> Iterator[tuple[_Key, LineBlock, Window]]:
    """What looks straight, from every shown test with the head as usual."""
    for sheet in sights_of(desk, lesson_id):
        angle = sheet.found.angle
        if sheet.test.ended_at is None or sheet.test.position or not sheet.found.tells:
            continue
        precision = 1 / max(angle.sd, _LEAST_SD) ** 2 - 1 / START.bias_sd**2
        if precision <= 0:
            continue
        mean = angle.value / max(angle.sd, _LEAST_SD) ** 2 / precision
        laying = sheet.test.station_id or lesson_id
        # What is not known of its line is in the angle already.
        it = LineBlock(day(sheet.test.started_at), (mean, precision**-0.5), None, laying, 0.0, lesson_id)
        yield ("looks_straight", False, sheet.test.condition), it, _window(sheet.putt)


def _window(putt: Putt) -> Window:
    """Where the marks of a line stand that is of no single putt."""
    return level_window(putt, NO_HOLE_M)
