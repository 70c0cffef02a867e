"""Whatever a lesson says, opened, in words: one function for every kind."""

import re
from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Final

from ....core.golfer.hand import Hand
from ....core.judge.claims.level import Level
from ....core.judge.claims.reads import Claim
from ....core.judge.explained.claim import Explained, Moves
from ....core.judge.explained.every import Opened
from ....core.judge.explained.finding import FindingExplained
from ....core.judge.explained.finishes import FinishesExplained
from ....core.judge.explained.growth import GrowthExplained
from ....core.judge.explained.pair import PairExplained
from ....core.judge.explained.readings import Rests
from ....core.judge.findings.ranked import RULES
from ....core.judge.ledger.place import Place
from ....core.judge.ledger.quantity import Quantity, quantity
from ....core.measure.side import side_of
from ....core.measure.units import Units, degrees, tape
from ...shared.counts import counted
from ..claims import claim_name, level_said, quantity_name, share_said
from ..comparison import group_name
from ..differences import difference_said
from ..findings import cause_said, fact_said, missing_said
from ..putts import growth_said, pace_said
from . import claim as claims
from .claim import left_said, moves_said, plain, reading_said, rests_said
from .finding import finding_moves_said, finding_sums_said
from .others import finishes_sums_said, growth_sums_said, pair_sums_said

_BELOW: Final = re.compile(r"(?<![\w])-(?=\d)")


@dataclass(frozen=True, slots=True)
class ReadingWords:
    """A reading it rests on, or a fact: what it says, how much of a whole one it counts, where it was tapped."""

    words: str
    weight: float
    at: Place | None
    id: str
    lesson: str = ""
    """In which lesson, where that is not the one that is open."""


@dataclass(frozen=True, slots=True)
class OpenedWords:
    """What was opened: its name, itself, its readings, what it does not rest on, sums, what would change it most."""

    name: str
    says: str
    rests: str
    readings: tuple[ReadingWords, ...]
    left_out: tuple[str, ...]
    sums: tuple[str, ...]
    moves: tuple[str, ...]


def opened_said(it: Opened, hand: Hand, units: Units) -> OpenedWords:
    """Whatever was opened."""
    return signed(_said(it, hand, units))


def signed(it: OpenedWords) -> OpenedWords:
    """The same, with a number below nothing by its own sign, no hyphen."""
    return replace(it, sums=tuple(_BELOW.sub("−", one) for one in it.sums))


def _said(it: Opened, hand: Hand, units: Units) -> OpenedWords:
    match it:
        case Explained():
            return _claim(it, hand, units)
        case FindingExplained():
            return _finding(it, hand, units)
        case PairExplained():
            return _pair(it, hand, units)
        case GrowthExplained():
            return _growth(it, hand, units)
        case FinishesExplained():
            return _finishes(it, hand, units)


def _claim(it: Explained, hand: Hand, units: Units) -> OpenedWords:
    about = it.claim.quantity
    return OpenedWords(
        name=claim_name(it.claim),
        says=level_said(it.claim, hand, units) if isinstance(it.claim, Level) else share_said(it.claim),
        rests=rests_said(it.rests) if it.rests else f"It rests on {_of_step(it.claim)}.",
        readings=_readings(it.rests, about, hand, units) or (ReadingWords(_of_step(it.claim), 1.0, it.claim.at, ""),),
        left_out=tuple(left_said(one, units) for one in it.left_out),
        sums=tuple(claims.sums_said(it, hand, units)),
        moves=tuple(moves_said(one, about, hand, units) for one in it.moves if _shows(one, about, units)),
    )


def _shows(it: Moves, about: Quantity, units: Units) -> bool:
    """Whether what it would change is left of it in the last place told."""
    return plain(it.by, about.unit, units) != plain(0.0, about.unit, units)


def _of_step(it: Claim) -> str:
    """What a step worked out itself is opened there, all its readings together."""
    return counted(it.count if isinstance(it, Level) else it.of, "reading")


def _readings(
    rests: tuple[Rests, ...], about: Quantity, hand: Hand, units: Units, to: str = ""
) -> tuple[ReadingWords, ...]:
    return tuple(ReadingWords(to + reading_said(one, about, hand, units), one.weight, one.at, one.id) for one in rests)


def _each_in_its_lesson(rests: Sequence[Rests], told: Sequence[ReadingWords]) -> tuple[ReadingWords, ...]:
    """The same, each saying in which lesson it was read where they are of several."""
    if len({one.lesson for one in rests}) < 2:
        return tuple(told)
    return tuple(replace(said, lesson=one.lesson) for one, said in zip(rests, told, strict=True))


def _finding(it: FindingExplained, hand: Hand, units: Units) -> OpenedWords:
    one = it.finding
    facts = tuple(
        ReadingWords(
            f"{'For' if fact.speaks == 'for' else 'Against'} it: {fact_said(fact, units)}", 1.0, fact.at, f"{n}"
        )
        for n, fact in enumerate(one.facts)
    )
    missing = missing_said(one.missing)
    return OpenedWords(
        name=RULES[one.cause].name,
        says=cause_said(one, hand, units),
        rests=f"It rests on {counted(len(facts), 'fact')}." if facts else "Nothing was read of it.",
        readings=facts,
        left_out=(*([missing] if missing else []), *(left_said(one, units) for one in it.left_out)),
        sums=tuple(finding_sums_said(it)),
        moves=tuple(finding_moves_said(it)),
    )


def _pair(it: PairExplained, hand: Hand, units: Units) -> OpenedWords:
    about = it.difference.quantity
    names = group_name(it.first) or "as usual", group_name(it.second)
    first, second = (
        _readings(rests, about, hand, units, f"{name}: ") for rests, name in zip(it.rests, names, strict=True)
    )
    more = "Twice as many of each: what single readings leave unknown falls by three tenths."
    return OpenedWords(
        name=f"{quantity_name(about.name)}: {names[1]} against {names[0]}",
        says=_sentence(difference_said(it.difference, hand, units)),
        rests=f"It rests on {counted(len(first), 'reading')} {names[0]}, {counted(len(second), 'reading')} {names[1]}.",
        readings=_each_in_its_lesson((*it.rests[0], *it.rests[1]), (*first, *second)),
        left_out=(),
        sums=tuple(pair_sums_said(it, hand, units)),
        moves=(more,),
    )


def _sentence(clause: str) -> str:
    return f"{clause[:1].upper()}{clause[1:]}."


def _growth(it: GrowthExplained, hand: Hand, units: Units) -> OpenedWords:
    about = quantity("start")
    lengths = tuple(
        ReadingWords(
            f"{tape(one.distance_m, units)}: {counted(one.putts, 'putt')}, "
            f"{degrees(one.bias.value, one.bias.doubt)} {side_of(one.bias.value)}",
            1.0,
            one.at,
            f"{n}",
        )
        for n, one in enumerate(it.growth.lengths)
    )
    return OpenedWords(
        name=f"{quantity_name(about.name)} by length",
        says=growth_said(it.growth, hand, units),
        rests=f"It rests on {counted(sum(one.putts for one in it.growth.lengths), 'putt')} at {len(lengths)} lengths.",
        readings=lengths,
        left_out=tuple(left_said(one, units) for one in it.left_out),
        sums=tuple(growth_sums_said(it, units)),
        moves=("Another length between or beyond them tells most.",),
    )


def _finishes(it: FinishesExplained, hand: Hand, units: Units) -> OpenedWords:
    about = quantity("holed")
    moves = ["How far past or short each stopped: sizes tell the pace, counts hardly."] if it.level is None else []
    if it.level is not None:
        moves = [moves_said(one, it.level.claim.quantity, hand, units) for one in it.level.moves]
    return OpenedWords(
        name="Where the putts finished",
        says=pace_said(it.pace, units),
        rests=rests_said(it.rests),
        readings=_readings(it.rests, about, hand, units),
        left_out=(),
        sums=tuple(finishes_sums_said(it, hand, units)),
        moves=tuple(moves),
    )
