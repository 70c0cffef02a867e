"""What a golfer's own readings say where coaches contradict each other: at least likely, or nothing.

Every reader tells of one disagreement: for which school the readings speak, or that they speak for none of them.
"""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from scipy.special import ndtr

from ..certainty.estimate import Estimate
from ..certainty.matter import MATTERS
from ..certainty.verdict import Verdict, clear_among, likely_among, sure_of
from ..estimate.shares import falls_short
from ..judge.chain import K_USUAL, fit_k
from ..judge.claims.fell import fell_outside
from ..judge.claims.level import Level
from ..judge.explained.every import FINISHES, cause_key, claim_key
from ..judge.findings.judged import LessonJudged
from ..schools.held import DISAGREEMENTS
from ..see.map import Effect
from .proposal import PROPOSALS
from .retest import Standing

Sure = Literal["clear", "likely"]
_FACE_SHARE: Final = 0.825
"""Between the shares that the two schools of face and path hold."""
_FEWEST: Final = 5


@dataclass(frozen=True, slots=True)
class Retested:
    """A change a golfer tried: which proposal, and where it stands after its retests."""

    proposal: str
    standing: Standing
    key: str = ""
    """What opens it."""


@dataclass(frozen=True, slots=True)
class GolferTold:
    """What was read and tried of a golfer: the lesson judged, the changes retested, what the levers of the head do."""

    judged: LessonJudged
    tried: Sequence[Retested] = ()
    levers: Sequence[Effect] = ()
    lesson: str = ""
    """Which lesson it was."""

    def level(self, *names: str) -> Level | None:
        """The first of these that was read well enough to judge."""
        found = (self.judged.case.level(name) for name in names)
        return next((it for it in found if it is not None and it.enough and it.call is not None), None)


@dataclass(frozen=True, slots=True)
class SchoolTold:
    """What the readings say of a disagreement.

    Attributes
    ----------
    what : a code, said in `words.schools.told`
    school : the side they speak for; empty: for none of them
    sure : how sure that is
    size : what it was read to be; `number` of `of` putts; `change` retested
    why : what opens what it is told by: of the lesson, or of the golfer where it was retested; empty: nothing does
    """

    what: str
    school: str
    sure: Sure
    size: Estimate | None = None
    number: int = 0
    of: int = 0
    change: str = ""
    why: str = ""

    @property
    def of_lesson(self) -> bool:
        """Whether a lesson opens it; what was retested the golfer's own lessons together do."""
        return self.what not in ("retest_better", "retest_worse")


Reader = Callable[[GolferTold], SchoolTold | None]


def _sure(it: Verdict) -> Sure:
    return "clear" if it.word == "clear" else "likely"


def _eyes(it: GolferTold) -> SchoolTold | None:
    """Tells only by eyes that were read: over the line it looks off, or beside the line it looks true."""
    picture, eyes = it.level("looks_straight"), it.judged.case.level("eyes_inside")
    if picture is None or eyes is None or picture.call is None or picture.call.word == "open":
        return None
    beyond = MATTERS()["eyes_outside_zone"].matters_from
    beside = eyes.side if abs(eyes.bias.value) > beyond else None
    true = picture.call.word == "none"
    if (true and (beside is None or not beside.names_direction)) or (not true and beside is not None):
        return None
    weaker = picture.call if beside is None else min((picture.call, beside), key=lambda one: one.probability)
    return SchoolTold(
        "picture_true" if true else "picture_off", "own", _sure(weaker), picture.bias, why=claim_key(picture)
    )


def _wrong_picture(it: GolferTold) -> SchoolTold | None:
    picture, aim = it.level("looks_straight"), it.level("face", "address")
    if picture is None or aim is None or picture.call is None or aim.call is None:
        return None
    if not picture.call.names_direction or not aim.side.names_direction:
        return None
    weaker = min((picture.call, aim.side), key=lambda one: one.probability)
    follows = (picture.bias.value > 0) == (aim.bias.value > 0)
    what, school = ("aim_with_picture", "follows") if follows else ("aim_against_picture", "against")
    return SchoolTold(what, school, _sure(weaker), aim.bias, why=claim_key(aim))


def _swing(it: GolferTold) -> SchoolTold | None:
    effect = next((one for one in it.levers if one.lever == "inside" and one.tried), None)
    if effect is None or effect.sure == "open":
        return None
    # A rod that has to point further right to look straight is a true line that seems to point further left.
    seems_left = effect.right > effect.left
    right_handed = it.judged.case.ledger.hand == "right"
    school = "in_left" if seems_left == right_handed else "in_right"
    return SchoolTold("swings_left" if seems_left else "swings_right", school, effect.sure, effect.slope)


def _face_at_address(it: GolferTold) -> SchoolTold | None:
    aim, starts = it.level("face", "address"), it.judged.findings.starts
    if aim is None or aim.call is None or starts is None or not aim.call.names_direction:
        return None
    if starts.call.word == "none":
        return SchoolTold("off_and_fine", "may_stay", _sure(aim.call), aim.bias, why=claim_key(aim))
    named = next((one for one in it.judged.findings.named if one.cause in ("face_aim", "compensation")), None)
    if named is None:
        return None
    return SchoolTold("off_and_costs", "square", _sure(named.call), aim.bias, why=cause_key(named.cause))


def _face_or_path(it: GolferTold) -> SchoolTold | None:
    k = fit_k(it.judged.case.own)
    if k is None:
        return None
    # What is believed of it before any putt lies nearer to one school: asked which of them it is, neither starts ahead.
    ahead = (K_USUAL.value - _FACE_SHARE) * (k.sd / K_USUAL.sd) ** 2
    face = float(ndtr((k.value - ahead - _FACE_SHARE) / max(k.sd, 1e-6)))
    chance = max(face, 1 - face)
    sure = sure_of(chance)
    return None if sure == "open" else SchoolTold("share_of_face", "face" if face >= 0.5 else "path", sure, k)


_SETS: Final[Mapping[str, str]] = {
    "perception": "face",
    "ball_mark": "face",
    "face_aim": "face",
    "compensation": "face",
    "face_at_impact": "face",
    "strike": "face_and_strike",
    "path": "face_and_path",
    "movement": "stillness",
}


def _first(it: GolferTold) -> SchoolTold | None:
    found = next((one for one in it.judged.findings.named if one.cause in _SETS), None)
    if found is None:
        return None
    school = "body" if found.cause == "path" and found.kind == "body" else _SETS[found.cause]
    why = cause_key(found.cause)
    return SchoolTold("cause_named", school, _sure(found.call), found.weight, change=found.cause, why=why)


def _steering(it: GolferTold) -> SchoolTold | None:
    turned = it.level("turned")
    if turned is None or turned.call is None or not turned.call.names_direction:
        return None
    opened = (turned.bias.value > 0) == (it.judged.case.ledger.hand == "right")
    school = "open" if opened else "closed"
    return SchoolTold("stroke_turns", school, _sure(turned.call), turned.bias, why=claim_key(turned))


def _guides(it: GolferTold) -> SchoolTold | None:
    found = next((one for one in it.judged.findings.named if one.cause == "guide"), None)
    if found is None:
        return None
    return SchoolTold("leans_on_guide", "none", _sure(found.call), found.weight, why=cause_key(found.cause))


def _pace(it: GolferTold) -> SchoolTold | None:
    told = it.judged.pace
    if told is None or told.short + told.past < _FEWEST:
        return None
    chance = 1 - falls_short(0.5, told.short, told.past + told.holed)
    sure = sure_of(chance)
    if sure == "open":
        return None
    return SchoolTold("mostly_short", "past", sure, number=told.short, of=told.putts, why=FINISHES)


def _lengths(it: GolferTold) -> SchoolTold | None:
    found = next((one for one in it.judged.findings.named if one.cause == "distance"), None)
    if found is None:
        return None
    return SchoolTold("grows", "mixed", _sure(found.call), found.weight, why=cause_key(found.cause))


def _holed(it: GolferTold) -> SchoolTold | None:
    """Holed putts that surely started outside the window. Every holed putt is one more chance to be wrong."""
    beyond = fell_outside(it.judged.case.ledger.batches)
    if not beyond or max(beyond) < likely_among(len(beyond)):
        return None
    is_clear = max(beyond) >= clear_among(len(beyond))
    least = clear_among(len(beyond)) if is_clear else likely_among(len(beyond))
    outside = sum(one >= least for one in beyond)
    why = FINISHES if it.judged.pace is not None else ""
    sure: Sure = "clear" if is_clear else "likely"
    return SchoolTold("holed_from_outside", "no_proof", sure, number=outside, of=len(beyond), why=why)


def _evidence(it: GolferTold) -> SchoolTold | None:
    felt = it.level("feels_straight")
    if felt is None or felt.call is None or not felt.call.names_direction:
        return None
    return SchoolTold("feels_otherwise", "numbers", _sure(felt.call), felt.bias, why=claim_key(felt))


READERS: Final[Mapping[str, Reader]] = {
    "eyes": _eyes,
    "wrong_picture": _wrong_picture,
    "swing": _swing,
    "face_at_address": _face_at_address,
    "face_or_path": _face_or_path,
    "first": _first,
    "steering": _steering,
    "guides": _guides,
    "pace": _pace,
    "lengths": _lengths,
    "holed": _holed,
    "evidence": _evidence,
}
"""What is read of a golfer beyond the retests of what was tried."""
_BETTER: Final[Mapping[Standing, Sure]] = {"kept": "clear", "better_so_far": "likely"}


def _retested(it: GolferTold, disagreement: str) -> SchoolTold | None:
    """What a retest of a change that only one side stands for says."""
    for school in DISAGREEMENTS[disagreement].schools.values():
        for tried in it.tried:
            sides = [one for one in DISAGREEMENTS[disagreement].schools.values() if tried.proposal in one.offers]
            if sides != [school]:
                continue
            if tried.standing in _BETTER:
                sure = _BETTER[tried.standing]
                return SchoolTold("retest_better", school.code, sure, change=tried.proposal, why=tried.key)
            if tried.standing == "worse":
                return SchoolTold("retest_worse", "", "likely", change=tried.proposal, why=tried.key)
    return None


def told_of(it: GolferTold, disagreement: str) -> SchoolTold | None:
    """What this golfer's own data say of a disagreement; None while nothing is at least likely. What was tried and
    retested goes before what was only read."""
    retested = _retested(it, disagreement)
    if retested is not None:
        return retested
    reader = READERS.get(disagreement)
    return reader(it) if reader else None


def proved_place(tried: Sequence[Retested], proposal: str) -> int:
    """Where its retests bring a change: before every school's (-1), after them (1), or nowhere (0)."""
    assert proposal in PROPOSALS
    standing = next((it.standing for it in tried if it.proposal == proposal), "untested")
    return -1 if standing in _BETTER else 1 if standing == "worse" else 0
