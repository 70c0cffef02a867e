"""The findings of a lesson: every cause judged, those that are one and the same error put together, ranked."""

from dataclasses import dataclass, replace
from typing import Final

from ...certainty.estimate import Estimate, told_by
from ...certainty.verdict import Verdict, is_likely
from ...estimate.cost import costs
from ...estimate.kind import Sized, Within
from ..claims.level import Level
from ..ledger.entry import Ledger
from .case import Case
from .finding import Cause, Finding
from .rule import Rule
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

RULES: Final[dict[Cause, Rule]] = {
    it.cause: it
    for it in (
        rig.RULE,
        perception.RULE,
        ball_mark.RULE,
        face_aim.RULE,
        compensation.RULE,
        face_at_impact.RULE,
        path.RULE,
        strike.RULE,
        movement.RULE,
        guide.RULE,
        distance.RULE,
        read_and_pace.RULE,
    )
}
"""Every cause, in the order in which like ones are told."""
FIRST: Final = 5
"""So many findings are shown before one asks for more."""
_STROKE: Final[tuple[Cause, ...]] = ("face_at_impact", "path", "strike")
_OFFSETS: Final[tuple[Cause, ...]] = ("face_aim", "compensation", "face_at_impact")
_AIM: Final[tuple[Cause, ...]] = ("face_aim", "perception", "ball_mark")


@dataclass(frozen=True, slots=True)
class Starts:
    """The starts as usual: where they lie, whether the spread is likely wider than is usual at this level, whether the
    bias likely costs more than the golfer's band allows it to."""

    level: Level
    wide: bool
    costly: bool = False

    @property
    def bias(self) -> Estimate:
        return self.level.bias

    @property
    def spread(self) -> Estimate:
        assert self.level.spread is not None
        return self.level.spread

    @property
    def call(self) -> Verdict:
        assert self.level.call is not None
        return self.level.call

    @property
    def putts(self) -> int:
        return self.level.count


@dataclass(frozen=True, slots=True)
class Findings:
    """What a lesson comes to.

    Attributes
    ----------
    ranked : every cause, those that can be named first, by what they bring; then questions; then what is ruled out
    starts : None from too few putts, or where they were putted in several ways and none of them is as usual
    by_stroke : the face aims true, as far as matters, and the starts lie off: what lies between is the stroke's
    grows : the starts go with the length, at least likely: there is no one start, whether a cause of it is named or not
    """

    ranked: tuple[Finding, ...]
    starts: Starts | None
    by_stroke: bool = False
    grows: bool = False

    @property
    def named(self) -> tuple[Finding, ...]:
        return tuple(it for it in self.ranked if it.is_named and it.explained_by is None)

    @property
    def nothing(self) -> bool:
        """The starts are nothing to mend, and nothing is named: that is a finding."""
        if any(it.cause != "rig" for it in self.named) or self.starts is None or self.grows:
            return False
        # A spread that the readings can't show is none that is as it should be.
        shown = isinstance(self.starts.level.kind, Sized | Within)
        return self.starts.call.word == "none" and not self.starts.wide and shown

    @property
    def unexplained(self) -> bool:
        """The starts lie off, likely at least, and no cause of it can be named."""
        others = [it for it in self.named if it.cause != "rig"]
        off = self.starts is not None and self.starts.call.names_direction
        return off and not others and not self.grows


def findings(ledger: Ledger) -> Findings:
    """Judge every cause, put together what is one error, rank."""
    return judged(Case(ledger))


def judged(case: Case) -> Findings:
    """The same of a case already worked out."""
    found: dict[Cause, Finding] = {cause: rule.find(case) for cause, rule in RULES.items()}
    aim = found["face_aim"]
    if not any(found[cause].is_named for cause in _AIM):
        # That the face aims off is known before it is known whether by the picture, the mark, or of its own.
        whole = case.by_sum(
            "face_aim",
            case.aimed,
            None,
            aim.facts,
            aim.missing,
            leans=("face", "address", "to_mark", "looks_straight", "mark"),
        )
        if whole.is_named:
            size = case.as_read("face", "address") or told_by(case.joint.aim)
            found["face_aim"] = replace(whole, kind="whole", size=size)
    starts = _starts(case)
    if starts is not None and _may_stay(case, starts):
        for cause in _OFFSETS:
            if found[cause].is_named:
                left = replace(
                    found[cause].call, word="none", probability=starts.call.probability, cost=0.0, grounds=None
                )
                found[cause] = replace(found[cause], call=left, kind="stays")
    for cause, by in _explained(found, case).items():
        found[cause] = replace(found[cause], explained_by=by)
    ranked = sorted(found.values(), key=lambda it: _place(it, case))
    grows = found["distance"].is_named or (case.growth is not None and case.growth.is_named)
    return Findings(tuple(ranked), starts, _by_stroke(case), grows)


def _by_stroke(case: Case) -> bool:
    """Only an aim that was read, and read to be true, leaves the stroke."""
    aim = case.level("face") or case.level("address")
    return bool(case.starts) and aim is not None and aim.enough and aim.call is not None and aim.call.word == "none"


def _place(it: Finding, case: Case) -> tuple[int, float, int]:
    group = 0 if it.is_named and it.explained_by is None else 1 if it.is_named else 3 if it.call.word == "none" else 2
    if it.cause == "rig" and case.line_first:
        # What all links share is the line's to answer first.
        group = -1
    # Of questions the likelier first, and what something speaks for before what nobody looked at.
    size = -it.importance if group < 2 else -(it.hinted + it.call.probability + 0.01 * min(it.importance, 20.0))
    first = case.ledger.schools.settings.causes
    if group == 2 and not it.hinted and it.cause in first:
        # Where nothing read speaks for any of them, the school says what is looked at first.
        size -= 1 - first.index(it.cause) / len(first)
    return group, size, list(RULES).index(it.cause)


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
    if found["read_and_pace"].kind == "read_off" and found["read_and_pace"].is_named:
        through("read_and_pace", (*_AIM, *_STROKE))
    return said


def _starts(case: Case) -> Starts | None:
    level = case.level("start")
    if case.start is None or level is None or level.call is None or level.spread is None:
        return None
    wide = is_likely(case.start.spread_above(case.wide_deg)) and isinstance(level.kind, Sized | Within)
    dear = costs(case.start, case.ledger.mix) > case.ledger.band.cost
    return Starts(level, wide, is_likely(case.start.mean(dear.astype(float))))


def _may_stay(case: Case, starts: Starts | None) -> bool:
    """The school's: the aim's offset repeats as well as is fine at this level, and the starts have nothing to mend."""
    it = case.ledger
    level = case.level("face") or case.level("address")
    aimed = level.spread if level else None
    if "face_offset" not in it.schools.stays or aimed is None or starts is None:
        return False
    return starts.call.word == "none" and aimed.value <= it.band.spread_deg["face_aim"]
