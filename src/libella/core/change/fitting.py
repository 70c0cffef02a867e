"""Which of the usual changes fit what was read, and why the others don't (account 3)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, get_args

from ..certainty.verdict import is_likely, sure_of
from ..estimate.shares import falls_short
from ..golfer.limits import Limit
from ..judge.claims.reads import Claim
from ..judge.findings.judged import LessonJudged
from ..see.position import LEVERS, Grade
from .follows import Follow, noted_as_usual
from .proposal import proposals_for
from .proposed.entry import Premise, Proposal

_RANK: Final = {"none": 0, "open": 0, "likely": 1, "clear": 2}
_MOVES: Final = 0.2
"""A share of putts in which something moves: with less, stillness is nothing to work on."""
_BESIDE: Final[frozenset[Premise]] = frozenset(("starts_fine",))
"""Premises that a school does without: what contradicts them stands beside the change, and rules nothing out."""


@dataclass(frozen=True, slots=True)
class Fit:
    """A change that fits. `against`: what was read that speaks against it, less surely than what speaks for it."""

    proposal: Proposal
    against: tuple[Claim, ...] = ()


@dataclass(frozen=True, slots=True)
class Ruled:
    """A change that is out: by a reading of the golfer's usual way, by the body, or by a place the golfer can't putt
    from."""

    proposal: Proposal
    claim: Claim | None = None
    limits: tuple[Limit, ...] = ()


@dataclass(frozen=True, slots=True)
class Fitting:
    """What may be changed for one thing that follows from a lesson."""

    follow: Follow
    fits: tuple[Fit, ...] = ()
    out: tuple[Ruled, ...] = ()


def fitting(it: Follow, judged: LessonJudged, limits: Sequence[Limit] = ()) -> Fitting:
    """Every usual change of a topic, sorted into what fits and what is ruled out."""
    if it.better is not None:
        return Fitting(it)
    fits: list[Fit] = []
    out: list[Ruled] = []
    unplayable = _unplayable(judged)
    for one in proposals_for(it.topic):
        if not one.helps(it.topic, it.way):
            continue
        contrary = _contrary(one.premise, judged)
        unfit: tuple[Limit, ...] = tuple(limit for limit in one.unfit if limit in limits)
        if unfit:
            out.append(Ruled(one, limits=unfit))
        elif unplayable & _places(one):
            out.append(Ruled(one))
        elif contrary is not None and one.premise not in _BESIDE and _RANK[contrary[1]] >= _RANK[it.word]:
            out.append(Ruled(one, contrary[0]))
        else:
            fits.append(Fit(one, () if contrary is None else (contrary[0],)))
    return Fitting(it, tuple(fits), tuple(out))


def _contrary(premise: Premise, judged: LessonJudged) -> tuple[Claim, str] | None:
    """The claim of the usual way that says the premise is not so, with how sure it is; None where none does."""
    match premise:
        case "looks_off":
            return _looks_straight(judged)
        case "moves":
            return _stands_still(judged)
        case "starts_fine":
            return _starts_off(judged)
        case "":
            return None


def _looks_straight(judged: LessonJudged) -> tuple[Claim, str] | None:
    level = judged.case.level("looks_straight")
    if level is not None and level.call is not None and level.call.word == "none":
        return level, sure_of(level.call.probability)
    seen = noted_as_usual(judged, "first_look")
    if seen is None:
        return None
    straight = seen.times("straight")
    chance = 1 - falls_short(0.5, straight, seen.of - straight)
    return (seen, sure_of(chance)) if is_likely(chance) else None


def _starts_off(judged: LessonJudged) -> tuple[Claim, str] | None:
    level = judged.case.level("start")
    if level is None or not (level.is_named or level.tells_side):
        return None
    return level, level.sure.word


def _stands_still(judged: LessonJudged) -> tuple[Claim, str] | None:
    noted = noted_as_usual(judged, "still")
    if noted is None:
        return None
    still = noted.times(noted.quantity.good)
    chance = falls_short(_MOVES, noted.of - still, still)
    return (noted, sure_of(chance)) if is_likely(chance) else None


def _unplayable(judged: LessonJudged) -> frozenset[str]:
    """The places of head and ball that the golfer can't putt from, as the registry of levers words them."""
    return frozenset(level for it in judged.case.ledger.batches if it.playable is False for _, level in it.levels)


def _places(it: Proposal) -> frozenset[str]:
    if it.lever is None:
        return frozenset()
    return frozenset(LEVERS[it.lever].way(plus=it.plus, grade=grade) for grade in get_args(Grade))
