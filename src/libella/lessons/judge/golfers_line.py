"""The golfer's line of every quantity: the batches of all lessons, pooled; the levels of a factor that may move it are
lines of their own unless the coach joins them."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from functools import partial
from typing import Final
from uuid import UUID

from ...core.golfer.hand import Hand
from ...core.green.putt import USUAL_PAST_M, Putt
from ...core.green.usual import level_window, usual_mix
from ...core.judge.chain import K_USUAL
from ...core.judge.claims.growth import growth
from ...core.judge.claims.level import Weighing
from ...core.judge.explained.beside import BesideExplained, beside_explained
from ...core.judge.golfers_line import LINES, Change, GolfersLine, LineKey, LineTold
from ...core.judge.judgement import NO_HOLE_M
from ...core.judge.ledger.entry import Batch, grouped, main_of
from ...core.judge.ledger.factors import joined as joined_levels
from ...core.judge.ledger.factors import moving
from ...core.judge.ledger.lengths import length_among, length_level, lengths_of
from ...core.judge.ledger.quantity import REACHES, quantity
from ...core.judge.line_block import LineBlock, line_block
from ...core.judge.lines_beside import LinesBeside, lines_beside
from ...core.judge.share_line import SHARES, ShareLine, share_line
from ...core.measure.window import Window
from ...core.see.eyes import zone_marks
from ...store.tables import GolferRow
from ..desk.desk import Desk
from ..desk.in_hand import InHand
from ..desk.kept import mark_of_golfer
from ..desk.problem import Conflict, NotFound
from ..golfer.changes import changes_of
from ..golfer.golfers import usual_of
from ..golfer.schools import schools_of
from ..lesson.lessons import lessons_alone
from ..see.eyes import zone_of
from ..values import KeptChange, KeptGolfer, value_of
from .bands import band_for, bands_are_tried
from .ledger import InLesson, by_lesson
from .line_joins import joined

_FIRST: Final = ("start", "face")


@dataclass(frozen=True, slots=True)
class GolfersLines:
    """The lines of a golfer, the main one of every quantity first; what was noted in words; the changes noted; when the
    first day was."""

    lines: tuple[GolfersLine, ...]
    shares: tuple[ShareLine, ...]
    changes: Sequence[KeptChange]
    since: datetime | None
    hand: Hand
    other_hand: int = 0
    """Lessons putted from the other side: none of them is in the lines."""
    told: Sequence[LineTold] = ()
    """What each line was pooled of, in no order of theirs."""

    def told_of(self, line: GolfersLine) -> LineTold:
        """What a line was pooled of."""
        return next(it for it in self.told if set(it.keys) == set(line.keys))


_MOST_BLOCKS: Final = 400
"""The lines of a golfer of many years take much memory, and are not asked for page after page."""
_IN_HAND: Final = InHand[GolfersLines](4, lambda it: sum(len(one.blocks) for one in it.lines) <= _MOST_BLOCKS)


def golfers_lines(desk: Desk, golfer_id: UUID, *, starts_only: bool = False) -> GolfersLines:
    """Pool everything that was read of a golfer, or of the starts alone, which is soon done."""
    if bands_are_tried():
        return _pooled(desk, golfer_id, starts_only=starts_only)
    about = (golfer_id, starts_only)
    mark = mark_of_golfer(desk, golfer_id)
    return _IN_HAND.of(desk, mark, about, lambda: _pooled(desk, golfer_id, starts_only=starts_only))


def _pooled(desk: Desk, golfer_id: UUID, *, starts_only: bool) -> GolfersLines:
    every = lessons_alone(desk, golfer_id)
    changes = changes_of(desk, golfer_id)
    with desk.transaction() as session:
        golfer = value_of(KeptGolfer, desk.get(session, GolferRow, golfer_id, "golfer"))
    # What was putted from the other side is another stroke: its lefts are no lefts of this one.
    lessons = [it for it in every if it.hand == golfer.hand]
    aside = len(every) - len(lessons)
    if not lessons:
        return GolfersLines((), (), changes, None, golfer.hand, aside)
    since = lessons[0].started_at
    first_day = since.timestamp() / 86400.0
    putt = Putt(NO_HOLE_M, USUAL_PAST_M(), lessons[-1].green_speed_ft)
    schools = schools_of(desk, golfer)
    mix = usual_mix(putt, usual_of(golfer, schools))
    spread = band_for(desk, golfer.level, schools).spread_deg["start"]
    by = Weighing(mix, K_USUAL.value, spread)
    told: dict[LineKey, list[LineBlock]] = {}
    read = list(by_lesson(desk, golfer, lessons, spread, starts_only=starts_only))
    batches = [batch for it in read for batch in it.batches]
    grows, lengths = _grow(batches, by), lengths_of(batches)
    for it in read:
        told_by = _BLOCKS_IN_HAND.of(
            desk, it.mark, (it.lesson.id, starts_only, by), partial(_blocks, it, by, starts_only)
        )
        for batch, name, one in told_by:
            levels = moving(batch.levels, quantity(name).movers)
            length = length_among(batch, lengths)
            if name == "start" and grows and length is not None:
                levels = joined_levels(levels, [("length", length_level(length))])
            told.setdefault(LineKey(name, levels), []).append(one)
    noted = [Change(it.made_at.timestamp() / 86400.0 - first_day, it.words) for it in changes]
    gathered: list[LineTold] = []
    for keys in joined(desk, golfer_id, list(told)):
        blocks = sorted((one for it in keys for one in told[it]), key=lambda one: one.day)
        moved = [_since(one, first_day) for one in blocks]
        gathered.append(LineTold(keys, moved, noted, _window(keys[0].name, zone_of(golfer, schools), putt), mix))
    pooled = (it.pooled() for it in gathered)
    lines = sorted((it for it in pooled if it is not None), key=lambda it: -len(it.blocks))
    # The line of most blocks of every quantity first, link by link down the chain; what else there is comes behind.
    main = {it.quantity.name: it for it in reversed(lines)}
    order = (*_FIRST, *(it for it in LINES if it not in _FIRST))
    first = sorted(main.values(), key=lambda it: order.index(it.quantity.name))
    shares = () if starts_only else tuple(_shares(batches))
    told_of = (*first, *(it for it in lines if it not in first))
    return GolfersLines(told_of, shares, changes, since, golfer.hand, aside, gathered)


_BLOCKS_IN_HAND: Final = InHand[tuple[tuple[Batch, str, LineBlock], ...]](400)


def _blocks(it: InLesson, by: Weighing, starts_only: bool) -> tuple[tuple[Batch, str, LineBlock], ...]:
    """What one lesson tells of every line."""
    asked = ("start",) if starts_only else LINES
    told = (
        (batch, name, line_block(batch, name, by)) for batch in it.batches for name in batch.counts if name in asked
    )
    return tuple((batch, name, one) for batch, name, one in told if one is not None and one.bias is not None)


def _shares(batches: Sequence[Batch]) -> Iterable[ShareLine]:
    """What was noted in words, each way of it by itself, as usual first."""
    for name in SHARES:
        groups = grouped((it for it in batches if it.counts.get(name)), name)
        for levels in sorted(groups, key=len):
            found = share_line(groups[levels], name, levels)
            if found is not None:
                yield found


def _grow(batches: Sequence[Batch], by: Weighing) -> bool:
    """Whether this golfer's starts go with the length: then each length is a line of its own."""
    main = main_of(grouped((it for it in batches if it.counts.get("start")), "start"), "start")
    grown = growth(main, by) if main else None
    return grown is not None and grown.call.names_direction


def _since(it: LineBlock, first_day: float) -> LineBlock:
    return replace(it, day=it.day - first_day)


def _window(name: str, zone_mm: tuple[float, float] | None, putt: Putt) -> Window:
    """Where the marks of a line stand that is of no single putt; of eyes at the edges of the zone wanted."""
    if name == "eyes_inside":
        return zone_marks(zone_mm)
    reach = REACHES.get(quantity(name).unit)
    return level_window(putt, NO_HOLE_M) if reach is None else Window(reach, reach)


def compare_lines(desk: Desk, golfer_id: UUID, first: LineKey, second: LineKey) -> tuple[LinesBeside, Hand]:
    """Set two of a golfer's lines beside each other, each by one of the keys pooled in it.

    Raises
    ------
    Conflict
        where they are one line, or of two quantities.
    NotFound
        where nothing was read on one.
    """
    found = golfers_lines(desk, golfer_id)
    return _beside(desk, golfer_id, found, (first, second)), found.hand


def explain_beside(desk: Desk, golfer_id: UUID, first: LineKey, second: LineKey) -> tuple[BesideExplained, datetime]:
    """The same, opened, with the golfer's first day; refuses as `compare_lines`."""
    found = golfers_lines(desk, golfer_id)
    both = _beside(desk, golfer_id, found, (first, second))
    if found.since is None:
        raise NotFound("line")
    return beside_explained(both, (found.told_of(both.first), found.told_of(both.second))), found.since


def _beside(desk: Desk, golfer_id: UUID, found: GolfersLines, keys: tuple[LineKey, LineKey]) -> LinesBeside:
    one, other = (next((it for it in found.lines if key in it.keys), None) for key in keys)
    if one is None or other is None:
        raise NotFound("line")
    if one == other or one.quantity != other.quantity:
        raise Conflict("lines_not_of_one_link")
    with desk.transaction() as session:
        golfer = value_of(KeptGolfer, desk.get(session, GolferRow, golfer_id, "golfer"))
    newest = [it for it in lessons_alone(desk, golfer_id) if it.hand == found.hand][-1]
    putt = Putt(NO_HOLE_M, USUAL_PAST_M(), newest.green_speed_ft)
    return lines_beside(one, other, usual_mix(putt, usual_of(golfer, schools_of(desk, golfer))))
