"""Two sides of a golfer's putting set beside each other: whole lessons, or single blocks of them."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Literal
from uuid import UUID

from ...core.golfer.hand import Hand
from ...core.green.putt import Putt
from ...core.judge.claims.difference import Difference, Group, difference
from ...core.judge.explained.pair import PairExplained, pair_explained
from ...core.judge.findings.case import Case, levels_in
from ...core.judge.findings.chain_picture import Chain, chain_of
from ...core.judge.ledger.entry import Batch, Ledger
from ...core.judge.ledger.factors import Levels, is_guided
from ...core.stand.set_up import Noted, beside
from ..desk.desk import Desk
from ..desk.problem import Conflict, NotFound
from ..golfer.changes import changes_of
from ..lesson.lessons import LessonSheet, lesson_sheet
from ..stand.set_ups import newest_values
from .ledger import Gathered, ledger_of

Changed = Literal["length", "green", "place", "guide", "proof", "disturbances", "set_up", "ways", "hand"]


@dataclass(frozen=True, slots=True)
class Side:
    """What is set on one side: a lesson, or one block of it."""

    lesson_id: UUID
    block_id: UUID | None = None


@dataclass(frozen=True, slots=True)
class SideRead:
    """One side as it is named: when, its blocks' levels and lengths, its putts; `whole` is a lesson, not a block."""

    at: datetime
    levels: Levels
    lengths_m: tuple[float, ...]
    putts: int
    whole: bool


@dataclass(frozen=True, slots=True)
class ComparedSides:
    """Both sides compared in everything read on both; what else changed between them, and what was noted."""

    differences: tuple[Difference, ...]
    chains: tuple[Chain, Chain]
    sides: tuple[SideRead, SideRead]
    changed: tuple[Changed, ...]
    noted: tuple[str, ...]
    stood: tuple[Noted, ...]
    putt: Putt
    hand: Hand


def compare_sides(desk: Desk, first: Side, second: Side) -> ComparedSides:
    """Set two sides of one golfer beside each other.

    Raises
    ------
    Conflict
        where they are not one golfer's, or are the same.
    """
    read = _read(desk, first, second)
    sheets, (one, other), cases = read.sheets, read.ledgers, read.cases
    sides = _side(sheets[0], first, one), _side(sheets[1], second, other)
    between = sorted(it.at for it in sides)
    noted = tuple(it.words for it in changes_of(desk, sheets[0].golfer.id) if between[0] < it.made_at <= between[1])
    stood = _stood(desk, sheets) if first.block_id is None and second.block_id is None else ()
    differences = tuple(found for found, _ in _differences(cases))
    return ComparedSides(
        differences=differences,
        chains=(chain_of(cases[0]), chain_of(cases[1])),
        sides=sides,
        changed=_changed(one, other, sheets, stood, differences),
        noted=noted,
        stood=stood,
        putt=read.putt,
        hand=one.hand,
    )


def explain_sides(desk: Desk, first: Side, second: Side, quantity: str) -> tuple[PairExplained, Hand]:
    """Open what both sides differ in, by its quantity; raises as `compare_sides` does, and `NotFound` where that was
    not read on both."""
    read = _read(desk, first, second)
    for found, (before, after) in _differences(read.cases):
        if found.quantity.name == quantity:
            named = replace(before, name="before"), replace(after, name="after")
            return pair_explained(*named, found, read.cases[1].weighing), read.ledgers[0].hand
    raise NotFound("claim")


@dataclass(frozen=True, slots=True)
class _Read:
    """Both sides as they are judged; the putt of the second."""

    sheets: tuple[LessonSheet, LessonSheet]
    ledgers: tuple[Ledger, Ledger]
    cases: tuple[Case, Case]
    putt: Putt


def _read(desk: Desk, first: Side, second: Side) -> _Read:
    sheets = lesson_sheet(desk, first.lesson_id), lesson_sheet(desk, second.lesson_id)
    if sheets[0].golfer.id != sheets[1].golfer.id:
        raise Conflict("sides_of_others")
    if first == second:
        raise Conflict("sides_the_same")
    # Two blocks of one lesson are read from it once.
    told: dict[UUID, Gathered] = {
        it.lesson.id: ledger_of(desk, it, earlier=False) for it in {it.lesson.id: it for it in sheets}.values()
    }
    one, other = (_of(told[it.lesson_id].ledger, it) for it in (first, second))
    return _Read(sheets, (one, other), (Case(one), Case(other)), told[second.lesson_id].putt)


def _of(it: Ledger, side: Side) -> Ledger:
    """A block's own readings; what was read at set-downs and of the eyes is the lesson's, not the block's."""
    if side.block_id is None:
        return it
    return replace(it, batches=tuple(one for one in it.batches if one.id == str(side.block_id)))


def _differences(cases: tuple[Case, Case]) -> Iterable[tuple[Difference, tuple[Group, Group]]]:
    """Every quantity read on both sides and what it was read in, each in a pair that is alike but for what is asked: as
    usual on both where it was read so, else read the same way on both, else as each side tells the golfer."""
    ledgers = cases[0].ledger, cases[1].ledger
    both = [it for it in ledgers[0].quantities if it in ledgers[1].quantities]
    for name in both:
        groups = _group(name, 0, ledgers), _group(name, 1, ledgers)
        if not all(it.batches for it in groups):
            continue
        found = difference(*groups, name, cases[1].weighing)
        if found is not None:
            yield found, groups


def _group(name: str, side: int, ledgers: tuple[Ledger, Ledger]) -> Group:
    own, other = ledgers[side].groups(name), ledgers[1 - side].groups(name)
    shared = [levels for levels in own if levels in other]
    main = ledgers[side].main(name)
    if main and (levels_in(main, name) in other or not shared):
        return Group("", tuple(main), levels_in(main, name))
    if shared:
        best = max(shared, key=lambda it: sum(one.counts[name] for one in own[it]))
        return Group("", tuple(own[best]), best)
    return Group("", ())


def _side(sheet: LessonSheet, side: Side, ledger: Ledger) -> SideRead:
    blocks = [it for it in ledger.batches if it.putted]
    block = next((it.block for it in sheet.blocks if it.block.id == side.block_id), None)
    lengths = tuple(sorted({round(it.putted.distance_m, 1) for it in blocks if it.putted}))
    return SideRead(
        at=block.started_at if block else sheet.lesson.started_at,
        levels=blocks[0].levels if block and blocks else (),
        lengths_m=lengths,
        putts=sum(len(it.events) for it in blocks),
        whole=block is None,
    )


def _stood(desk: Desk, sheets: tuple[LessonSheet, LessonSheet]) -> tuple[Noted, ...]:
    """What of the set-up is not the same on both sides."""
    values = [newest_values(desk, it.lesson.id) for it in sheets]
    if not values[0] or not values[1]:
        return ()
    return tuple(it for it in beside(values[1], values[0]) if it.is_changed)


def _changed(
    one: Ledger,
    other: Ledger,
    sheets: tuple[LessonSheet, LessonSheet],
    stood: tuple[Noted, ...],
    differences: Sequence[Difference],
) -> tuple[Changed, ...]:
    """What else is not the same on both sides."""
    found: list[Changed] = []
    if one.hand != other.hand:
        found.append("hand")
    blocks = [_putted(it) for it in (one, other)]
    lengths = [{round(it.putted.distance_m, 1) for it in side if it.putted} for side in blocks]
    if lengths[0] and lengths[1] and lengths[0] != lengths[1]:
        found.append("length")
    lessons = [it.lesson for it in sheets]
    if lessons[0].green_speed_ft != lessons[1].green_speed_ft:
        found.append("green")
    if (lessons[0].place, lessons[0].surface) != (lessons[1].place, lessons[1].surface):
        found.append("place")
    pairs = [(it.first.levels, it.second.levels) for it in differences if it.first and it.second]
    if any(is_guided(before) != is_guided(after) for before, after in pairs):
        found.append("guide")
    if one.proved != other.proved:
        found.append("proof")
    told = [{name for it in side if it.putted for name in it.putted.disturbances} for side in blocks]
    if told[0] != told[1]:
        found.append("disturbances")
    if stood:
        found.append("set_up")
    return tuple(found)


def _putted(it: Ledger) -> list[Batch]:
    return it.main("start") or [one for one in it.batches if one.putted]
