"""What follows from a lesson's account: each thing it says at least likely, with what can be worked on (account 3)."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Final

from ..certainty.estimate import Estimate
from ..certainty.verdict import Word, is_likely, sure_of
from ..estimate.shares import falls_short
from ..golfer.hand import Hand
from ..judge.claims.level import Level
from ..judge.claims.share import ShareOf
from ..judge.findings.finding import Finding
from ..judge.findings.judged import LessonJudged
from ..judge.findings.said import (
    Cause_,
    Chosen,
    Differs,
    FarOff,
    GroundOff,
    Grows,
    Joined,
    LineFirst,
    Misled,
    MissedSide,
    Nothing,
    Off,
    Open,
    PaceOff,
    PutRight,
    Wide,
)
from ..judge.ledger.factors import AS_USUAL
from ..measure.side import Side
from .better import Better, better_way
from .topic import TOPIC_OF, Topic, Way

_CLEAN: Final = 0.8
"""A share of clean rolls that leaves nothing to work on: what the drill of the roll asks for."""
_ROLLS: Final = 5
_READ_KINDS: Final = {"read": "read", "read_off": "read", "pace": "pace", "longer": "pace", "shorter": "pace"}
_UNKNOWN: Final = frozenset[Topic](("start", "spread"))
"""Topics whose cause is not known: what is practised for them is general."""
_BETWEEN: Final = frozenset[Topic](("face_at_impact", "path"))
"""What lies between aim and start: off by itself it may come from either, until a cause is named."""


@dataclass(frozen=True, slots=True)
class Follow:
    """One thing to work on.

    Attributes
    ----------
    said : what of the account it follows from; a claim that the account lists and does not say outright
    way : to which side it is off
    weight : what fixing it brings, in putts of 100; 1 where nobody can say
    size : how far off it is, in `unit`; None where the readings give no size
    finding : the cause it belongs to, where one is named
    better : the way of a comparison that did better: it is kept, and nothing else is changed for it
    """

    topic: Topic
    said: Chosen | ShareOf
    word: Word
    way: Way = ""
    weight: float = 1.0
    size: Estimate | None = None
    unit: str = ""
    finding: Finding | None = None
    better: Better | None = None

    @property
    def general(self) -> bool:
        """The cause is not known: what is practised is general."""
        if self.better is not None:
            return False
        return self.topic in _UNKNOWN or (self.topic in _BETWEEN and self.finding is None)


def follows(it: LessonJudged) -> tuple[Follow, ...]:
    """What can be worked on, the first first; empty where nothing is at least likely. Better ways of a comparison come
    before what it takes longer to change."""
    found = [one for said in it.chosen for one in _from(said, it)]
    found += _counted(it)
    if not found and it.findings.nothing and isinstance(it.chosen[0], Nothing):
        found = [Follow("hold", it.chosen[0], "none")]
    once: dict[tuple[Topic, bool], Follow] = {}
    for one in found:
        once.setdefault((one.topic, one.better is not None), one)
    told = [one for one in once.values() if not _covered(one, once.values())]
    return tuple(sorted(told, key=lambda one: one.better is None))


def _from(said: Chosen, it: LessonJudged) -> Iterable[Follow]:
    """What one sentence of the account leads to."""
    match said:
        case Cause_():
            yield from _of_cause(said, it)
        case PutRight():
            yield Follow("rig", said, "clear", finding=said.finding)
        case Differs():
            kept = better_way(said)
            if kept is not None:
                yield Follow(kept.topic, said, kept.word, better=kept)
        case Grows():
            yield Follow("distance", said, said.word, _side(said.growth.call.side), size=said.growth.slope)
        case Off():
            yield from _of_level(said, it)
        case Joined():
            yield from _of_pair(said)
        case PaceOff():
            yield from _of_pace(said, it)
        case Misled():
            yield Follow("string", said, "likely")
        case Wide():
            way = {"left": "heel", "right": "toe"}.get(said.toe, "")
            yield Follow("strike" if way else "spread", said, "likely", size=said.starts.spread, unit="deg")
        case LineFirst() | GroundOff() | MissedSide() | FarOff() | Nothing() | Open():
            return


def _of_cause(said: Cause_, it: LessonJudged) -> Iterable[Follow]:
    finding = said.finding
    topic: Topic = finding.cause
    if topic == "read_and_pace":
        if finding.kind == "ground":
            # Nothing of the golfer's is off: the ground is checked first.
            return
        topic = _READ_KINDS.get(finding.kind, topic)
    if topic == "pace":
        yield from _of_pace(said, it)
        return
    way = _way(topic, finding.call.side, it.case.ledger.hand)
    if topic == "strike":
        level = it.case.level("strike")
        way = "" if level is None else _way("strike", level.sure.side, it.case.ledger.hand)
    yield Follow(topic, said, finding.call.word, way, max(1.0, finding.importance), finding.size, finding.unit, finding)


def _of_level(said: Off, it: LessonJudged) -> Iterable[Follow]:
    level = said.level
    topic = TOPIC_OF.get(level.quantity.name)
    if topic is None or (level.levels != AS_USUAL and it.case.level(level.quantity.name) != level):
        return
    if topic == "face_aim" and _brought_back(level, it.case.level("start")):
        # To change the aim alone would send the ball the other way.
        topic = "compensation"
    weight = max(1.0, level.call.cost or 0.0) if level.call is not None else 1.0
    way = _way(topic, level.sure.side, it.case.ledger.hand)
    size = level.bias if level.is_sized else None
    yield Follow(topic, said, said.word, way, weight, size, level.quantity.unit)


def _brought_back(aim: Level, start: Level | None) -> bool:
    """The starts lie surely nearer the line than such an aim would send them: under half of it. Of an aim that is read
    as a side: they are told to no side, and lie within what it reaches at least."""
    if start is None or not start.enough or not start.is_sized or aim.sure.side not in ("left", "right"):
        return False
    if aim.beyond is not None and not aim.is_sized:
        return not start.is_named and abs(start.bias.value) < abs(aim.beyond.edge)
    half = aim.bias.value / 2
    return start.bias.high < half if half > 0 else start.bias.low > half


def _of_pace(said: Cause_ | PaceOff, it: LessonJudged) -> Iterable[Follow]:
    pace = it.pace
    level = None if pace is None else pace.level
    way: Way = ""
    if pace is not None and level is not None and level.call is not None and level.call.names_direction:
        way = "past" if level.call.side == "right" else "short"
    elif pace is not None and pace.short != pace.past:
        way = "past" if pace.past > pace.short else "short"
    weight = max(1.0, said.finding.importance) if isinstance(said, Cause_) else 1.0
    sized = level if level is not None and level.is_sized else None
    # How far it is from the pace that was planned: a shot that ends where it was meant to is off by nothing.
    size = None
    if sized is not None:
        by = sized.bias
        size = Estimate(by.value - sized.against, by.low - sized.against, by.high - sized.against)
    finding = said.finding if isinstance(said, Cause_) else None
    yield Follow("pace", said, said.word, way, weight, size, "m", finding)


def _of_pair(said: Joined) -> Iterable[Follow]:
    """Of a pair what comes first is changed: the strike, what moves, the path."""
    match said.together.given:
        case "heel" | "toe" as end:
            yield Follow("strike", said, said.word, end)
        case "moved":
            yield Follow("movement", said, said.word)
        case "path_left":
            yield Follow("path", said, said.word, "left")
        case "path_right":
            yield Follow("path", said, said.word, "right")
        case _:
            return


def _counted(it: LessonJudged) -> Iterable[Follow]:
    """Counts that fall short of what is wanted, likely at least: the account lists them without a word of their own."""
    rolls = noted_as_usual(it, "roll")
    if rolls is None or rolls.of < _ROLLS:
        return
    clean = rolls.times(rolls.quantity.good)
    short = falls_short(_CLEAN, clean, rolls.of - clean)
    if is_likely(short):
        yield Follow("roll", rolls, sure_of(short))


def noted_as_usual(it: LessonJudged, name: str) -> ShareOf | None:
    """What was noted of a quantity in the golfer's usual way; None where nothing was."""
    noted = (one for one in it.reads if isinstance(one, ShareOf) and one.quantity.name == name)
    return next((one for one in noted if one.levels == AS_USUAL), None)


def _covered(it: Follow, among: Iterable[Follow]) -> bool:
    """Whether something else that is worked on changes the same, and says more: the aim or the strike that a start
    follows, the cause behind a spread."""
    topics = {one.topic for one in among if one.better is None}
    if it.better is not None:
        return False
    if it.topic == "start":
        at_address = isinstance(it.said, Off) and it.said.at_address and "face_aim" in topics
        return at_address or _explains_start(among)
    if it.topic in ("perception", "ball_mark") and it.finding is None and "compensation" in topics:
        # What the face is set down by is changed with the stroke that brings it back, not alone.
        return True
    if it.topic == "face_aim":
        # The face is set down by the mark, or by what looks straight: that is changed first.
        return any(one.topic in ("ball_mark", "perception") and _same_side(it, one) for one in among)
    return it.topic == "roll" and "strike" in topics


def _same_side(one: Follow, other: Follow) -> bool:
    return _lies(one) == _lies(other) != "neither"


def _lies(it: Follow) -> Side:
    """To which side it is off."""
    match it.said:
        case Off():
            return it.said.level.sure.side
        case Cause_():
            return it.said.finding.call.side
        case _:
            return "neither"


def _explains_start(among: Iterable[Follow]) -> bool:
    return any(isinstance(one.said, Joined) and one.topic == "strike" for one in among)


def _side(side: Side) -> Way:
    return side if side in ("left", "right") else ""


def _way(topic: Topic, side: Side, hand: Hand) -> Way:
    """A side by the words of its topic."""
    if side not in ("left", "right"):
        return ""
    if topic == "strike":
        return "toe" if side == "right" else "heel"
    if topic in ("face_aim", "face_at_impact"):
        return "open" if (side == "right") == (hand == "right") else "closed"
    return side
