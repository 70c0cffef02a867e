"""Two sides of a golfer's putting set beside each other: whole lessons, or single blocks of them."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Literal
from uuid import UUID

from ...core.golfer.hand import Hand
from ...core.green.putt import Putt
from ...core.judge.account import Account, apart
from ...core.judge.claims.difference import Difference
from ...core.judge.explained.pair import PairExplained, pair_explained
from ...core.judge.findings.chain_picture import Chain, chain_of
from ...core.judge.ledger.entry import Batch, Ledger
from ...core.judge.ledger.factors import Levels, is_guided
from ...core.judge.ledger.lengths import length_among, lengths_of
from ...core.stand.set_up import Noted, beside
from ..desk.desk import Desk
from ..desk.problem import Conflict, NotFound
from ..golfer.changes import changes_of
from ..lesson.lessons import LessonSheet, lesson_sheet
from ..stand.set_ups import newest_values
from .account import account_of

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
    sheets, halves = _read(desk, first, second)
    one, other = (it.ledger for it in halves)
    sides = _side(sheets[0], first, one), _side(sheets[1], second, other)
    between = sorted(it.at for it in sides)
    noted = tuple(it.words for it in changes_of(desk, sheets[0].golfer.id) if between[0] < it.made_at <= between[1])
    stood = _stood(desk, sheets) if first.block_id is None and second.block_id is None else ()
    differences = tuple(found for found, _ in apart(*halves))
    return ComparedSides(
        differences=differences,
        chains=(chain_of(halves[0].case), chain_of(halves[1].case)),
        sides=sides,
        changed=_changed(one, other, sheets, stood, differences),
        noted=noted,
        stood=stood,
        putt=halves[1].putt,
        hand=one.hand,
    )


def explain_sides(desk: Desk, first: Side, second: Side, quantity: str) -> tuple[PairExplained, Hand]:
    """Open what both sides differ in, by its quantity; raises as `compare_sides` does, and `NotFound` where that was
    not read on both."""
    _, halves = _read(desk, first, second)
    for found, (before, after) in apart(*halves):
        if found.quantity.name == quantity:
            named = replace(before, name="before"), replace(after, name="after")
            return pair_explained(*named, found, halves[1].case.weighing), halves[0].hand
    raise NotFound("claim")


def _read(desk: Desk, first: Side, second: Side) -> tuple[tuple[LessonSheet, LessonSheet], tuple[Account, Account]]:
    """Both lessons, and the accounts over what is set on either side."""
    sheets = lesson_sheet(desk, first.lesson_id), lesson_sheet(desk, second.lesson_id)
    if sheets[0].golfer.id != sheets[1].golfer.id:
        raise Conflict("sides_of_others")
    if first == second:
        raise Conflict("sides_the_same")
    return sheets, (_half(desk, first), _half(desk, second))


def _half(desk: Desk, side: Side) -> Account:
    whole = account_of(desk, side.lesson_id)
    return whole if side.block_id is None else whole.of_block(str(side.block_id))


def _side(sheet: LessonSheet, side: Side, ledger: Ledger) -> SideRead:
    blocks = [it for it in ledger.batches if it.putted]
    block = next((it.block for it in sheet.blocks if it.block.id == side.block_id), None)
    return SideRead(
        at=block.started_at if block else sheet.lesson.started_at,
        levels=blocks[0].levels if block and blocks else (),
        lengths_m=lengths_of(blocks),
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
    every = lengths_of((*blocks[0], *blocks[1]))
    lengths = [{length_among(it, every) for it in side} - {None} for side in blocks]
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
