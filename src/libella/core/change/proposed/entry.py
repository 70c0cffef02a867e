"""What one entry of the usual changes says."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Final, Literal

from ...golfer.limits import Limit
from ...see.position import Lever
from ...start.turns import Outcome
from ..topic import Topic, Way

Kind = Literal["set_up", "cue", "routine", "stroke", "kit", "practice", "train_the_eye", "trust"]

Premise = Literal["", "looks_off", "moves", "starts_fine"]
"""What a change is built on: a true line does not look straight; something moves while the golfer putts; the ball
starts well all the same."""


@dataclass(frozen=True, slots=True)
class Proposal:
    """One thing that may be changed.

    Attributes
    ----------
    what, feel : what to do, and how it should feel
    topics : what it is for, what it is for most of all first
    asks : the question of its retest, as usual against changed
    school : whose way it is, where coaches contradict each other; empty where they hardly do
    rival : what the others say instead
    caution : what to watch out for
    steps, ends : of what takes more than one time: what is done, in order, and when it has done its work
    ways : of a topic, to which sides it helps; every side where the topic is not named here
    premise : what has to be so for it to help; a surer reading of the contrary rules it out
    unfit : what limits a golfer too much for it
    drills : those that practise it, the best first
    sized : what to do where the readings say by how much, {by} in its place; empty where no size helps
    lever, plus : the place of the head or the ball it moves, and which way; None where it moves neither
    """

    code: str
    kind: Kind
    what: str
    feel: str
    topics: tuple[Topic, ...]
    asks: Outcome = "line"
    school: str = ""
    rival: str = ""
    caution: str = ""
    steps: tuple[str, ...] = ()
    ends: str = ""
    ways: Mapping[Topic, tuple[Way, ...]] = field(default_factory=dict[Topic, tuple[Way, ...]])
    premise: Premise = ""
    unfit: tuple[Limit, ...] = ()
    drills: tuple[str, ...] = ()
    sized: str = ""
    lever: Lever | None = None
    plus: bool = True

    def helps(self, topic: Topic, way: Way) -> bool:
        """Whether it is for a topic that is off to that side; a side that is not known rules nothing out."""
        return topic in self.topics and (not way or way in self.ways.get(topic, (way,)))


BACK: Final = "Bent over long it goes to the back: straighten up every eight minutes, stop at pain."
