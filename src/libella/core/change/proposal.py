"""What is usually changed, by topic, and the one change chosen (practice 2).

Names, feels and schools stand here, in the registry entries; every one of them is an opinion.
"""

from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..judge.ledger.factors import LONGEST, Factor, Levels
from ..measure.limits import OutOfLimits
from ..start.turns import Outcome
from .proposed.aim import AIM
from .proposed.entry import Kind, Proposal
from .proposed.stroke import STROKE
from .topic import TOPICS, Topic

KINDS: Final[tuple[Kind, ...]] = get_args(Kind)
FACTOR_OF: Final[dict[Kind, Factor]] = {
    "set_up": "set_up",
    "cue": "cue",
    "routine": "routine",
    "stroke": "trial",
    "kit": "kit",
    "practice": "trial",
    "train_the_eye": "trial",
    "trust": "trial",
}
"""In which factor the changed way differs from as usual, where both are putted in turns."""
PROPOSALS: Final[dict[str, Proposal]] = {it.code: it for it in (*AIM, *STROKE)}


def proposals_for(topic: Topic) -> tuple[Proposal, ...]:
    """What is usually changed for a topic, what is for it most of all first."""
    found = [it for it in PROPOSALS.values() if topic in it.topics]
    return tuple(sorted(found, key=lambda it: it.topics.index(topic)))


@dataclass(frozen=True, slots=True)
class Chosen:
    """The one change of a lesson: a proposal as it stands or worded otherwise, or one of the coach's own.

    proposal : its code, empty for an own one
    cause : the topic it is for; empty for none
    way : the factors in which it is not the golfer's usual way, where a comparison tried it; empty: by its own name
    """

    what: str
    feel: str
    kind: Kind
    asks: Outcome
    cause: Topic | Literal[""] = ""
    proposal: str = ""
    way: Levels = ()

    def __post_init__(self) -> None:
        if not self.what.strip():
            raise OutOfLimits("what", "change_wanted")
        if len(self.what) > LONGEST:
            raise OutOfLimits("what", "level_too_long", most=LONGEST)
        if self.kind not in KINDS:
            raise OutOfLimits("kind", "no_such_choice", named=self.kind, known=KINDS)
        if self.cause and self.cause not in TOPICS:
            raise OutOfLimits("cause", "no_such_choice", named=self.cause, known=tuple(TOPICS))
        if self.proposal and self.proposal not in PROPOSALS:
            raise OutOfLimits("proposal", "no_such_choice", named=self.proposal, known=tuple(PROPOSALS))

    @property
    def factors(self) -> dict[str, str]:
        """What the changed way differs in from as usual."""
        return dict[str, str](self.way) or {FACTOR_OF[self.kind]: self.what}
