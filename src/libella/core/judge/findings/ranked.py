"""The findings of a lesson: every cause judged, those that are one and the same error put together, ranked."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import Final

from ...certainty.estimate import Estimate, estimated
from ...certainty.matter import MATTERS
from ...certainty.verdict import Verdict, Word, is_likely
from ...estimate.cost import cost, costs
from ...estimate.verdict import weighed
from .case import Case
from .evidence import Evidence
from .finding import CAUSES, Cause, Finding
from .rules import (
    ball_mark,
    compensation,
    distance,
    face_aim,
    face_at_impact,
    guide,
    movement,
    path,
    perception,
    read_and_pace,
    rig,
    strike,
)

RULES: Final[dict[Cause, Callable[[Case], Finding]]] = {
    "rig": rig.find,
    "perception": perception.find,
    "ball_mark": ball_mark.find,
    "face_aim": face_aim.find,
    "compensation": compensation.find,
    "face_at_impact": face_at_impact.find,
    "path": path.find,
    "strike": strike.find,
    "movement": movement.find,
    "guide": guide.find,
    "distance": distance.find,
    "read_and_pace": read_and_pace.find,
}
FIRST: Final = 5
"""So many findings are shown before one asks for more."""
_STROKE: Final[tuple[Cause, ...]] = ("face_at_impact", "path", "strike")
_OFFSETS: Final[tuple[Cause, ...]] = ("face_aim", "compensation", "face_at_impact")
_AIM: Final[tuple[Cause, ...]] = ("face_aim", "perception", "ball_mark")


@dataclass(frozen=True, slots=True)
class Starts:
    """The starts as usual: bias and spread, the word for the bias at the golfer's usual putts, how many; whether the
    spread is likely wider than is usual at this level; whether the bias likely costs more than the golfer's band allows
    it to."""

    bias: Estimate
    spread: Estimate
    call: Verdict
    putts: int
    wide: bool
    costly: bool = False


@dataclass(frozen=True, slots=True)
class Findings:
    """What a lesson comes to.

    Attributes
    ----------
    ranked : every cause, those that can be named first, by what they bring; then questions; then what is ruled out
    starts : None from too few putts
    by_stroke : the stroke takes the starts off, likely at least, whichever link of it does
    nothing : the starts are nothing to mend, and nothing is named: that is a finding
    """

    ranked: tuple[Finding, ...]
    starts: Starts | None
    by_stroke: bool = False

    @property
    def named(self) -> tuple[Finding, ...]:
        return tuple(it for it in self.ranked if it.is_named and it.explained_by is None)

    @property
    def nothing(self) -> bool:
        if self.named or self.starts is None:
            return False
        return self.starts.call.word == "none" and not self.starts.wide

    @property
    def word(self) -> Word:
        """How sure the lesson is of what it comes to."""
        if self.named:
            return self.named[0].call.word
        if self.nothing:
            return "none"
        return self.starts.call.word if self.starts is not None and self.unexplained else "open"

    @property
    def unexplained(self) -> bool:
        """The starts lie off, likely at least, and no cause of it can be named."""
        return not self.named and self.starts is not None and self.starts.call.names_direction


def findings(evidence: Evidence) -> Findings:
    """Judge every cause, put together what is one error, rank."""
    return judged(Case(evidence))


def judged(case: Case) -> Findings:
    """The same of a case already worked out."""
    found: dict[Cause, Finding] = {cause: RULES[cause](case) for cause in CAUSES}
    aim = found["face_aim"]
    if not any(found[cause].is_named for cause in _AIM):
        # That the face aims off is known before it is known whether by the picture, the mark, or of its own.
        whole = case.by_sum("face_aim", case.aimed, aim.size, aim.facts, aim.missing)
        if whole.is_named:
            found["face_aim"] = replace(whole, kind="whole")
    starts = _starts(case)
    if starts is not None and _may_stay(case, starts):
        for cause in _OFFSETS:
            if found[cause].is_named:
                left = Verdict("none", found[cause].call.side, starts.call.probability, 0.0)
                found[cause] = replace(found[cause], call=left, kind="stays")
    for cause, by in _explained(found, case).items():
        found[cause] = replace(found[cause], explained_by=by)
    ranked = sorted(found.values(), key=_place)
    stroke = case.by_sum("face_at_impact", case.stroked, None, (), ())
    return Findings(tuple(ranked), starts, stroke.is_named and bool(case.starts))


def _place(it: Finding) -> tuple[int, float, int]:
    group = 0 if it.is_named and it.explained_by is None else 1 if it.is_named else 3 if it.call.word == "none" else 2
    # Of questions the likelier first, and what something speaks for before what nobody looked at.
    size = -it.importance if group < 2 else -(it.hinted + it.call.probability + 0.01 * min(it.importance, 20.0))
    return group, size, CAUSES.index(it.cause)


def _explained(found: dict[Cause, Finding], case: Case) -> dict[Cause, Cause]:
    """Causes that are seen through another one that is named: the same error further on."""
    said: dict[Cause, Cause] = {}

    def through(by: Cause, causes: tuple[Cause, ...]) -> None:
        for cause in causes:
            if found[cause].is_named and cause not in said and found[by].explained_by is None:
                said[cause] = by

    if found["compensation"].is_named or found["compensation"].kind == "stays":
        # Its halves are told with it; the one that comes first in the order of causes stays a finding where mending it
        # alone would bring putts.
        for cause in (*_AIM, *_STROKE):
            if found[cause].weight.value < 0:
                said[cause] = "compensation"
    if found["distance"].is_named and distance.grows_from_nothing(case):
        through("distance", _STROKE)
    if found["guide"].is_named and guide.guided_well(case):
        through("guide", _STROKE)
    if found["rig"].is_named and case.evidence.proof is None:
        through("rig", (*_AIM, *_STROKE))
    return said


def _starts(case: Case) -> Starts | None:
    post = case.start
    if post is None:
        return None
    call = weighed(cost(post, case.evidence.mix, MATTERS["start"]), proved=case.proved)
    wide = is_likely(post.spread_above(case.wide_deg))
    dear = costs(post, case.evidence.mix) > case.evidence.band.cost
    costly = is_likely(post.mean(dear.astype(float)))
    bias, spread = estimated(post.bias_quantile), estimated(post.spread_quantile)
    return Starts(bias, spread, call, len(case.starts), wide, costly)


def _may_stay(case: Case, starts: Starts | None) -> bool:
    """The school's: the aim's offset repeats as well as is fine at this level, and the starts have nothing to mend."""
    it = case.evidence
    aimed = it.face.spread if it.face else None
    if aimed is None and "address" in case.sensed:
        aimed = estimated(case.sensed["address"].spread_quantile)
    if not it.band.offset_may_stay or aimed is None or starts is None:
        return False
    return starts.call.word == "none" and aimed.value <= it.band.spread_deg["face_aim"]
