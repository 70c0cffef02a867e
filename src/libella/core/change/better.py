"""Which way of a comparison did better in what was asked: the first change a lesson can make is to keep it."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, get_args

from ..certainty.verdict import Verdict, Word
from ..judge.claims.difference import Difference, Group
from ..judge.findings.said import Differs
from ..judge.ledger.factors import AS_USUAL, Factor, Levels
from ..start.turns import Outcome
from .proposed.entry import Kind
from .topic import TOPIC_OF, Topic

KIND_OF: Final[Mapping[Factor, Kind]] = {
    "set_up": "set_up",
    "cue": "cue",
    "routine": "routine",
    "kit": "kit",
    "trial": "practice",
}
"""Which kind of change a factor is; the side of the hole and what is laid are nothing a golfer changes."""
_UNPLANNED: Final = ("start", "first_look", "looks_straight")
"""What two ways that nobody planned as a comparison are compared in: what they were tried for."""
_NEARER: Final = 0.05
"""So much of a unit nearer is nearer: less is the same place, told twice."""


@dataclass(frozen=True, slots=True)
class Better:
    """The way that did better.

    Attributes
    ----------
    name : what the coach called it
    levels : the factors in which it is not the golfer's usual way
    kind, asks : of the change that keeps it, and of its retest
    several : it differs in several factors, and nobody can say which of them did it
    """

    name: str
    levels: Levels
    topic: Topic
    word: Word
    kind: Kind
    asks: Outcome

    @property
    def several(self) -> bool:
        return len(self.levels) > 1


def better_way(said: Differs) -> Better | None:
    """None where neither did better in what was asked, where the better one is the usual way already, where the golfer
    can't putt so, or where what differs is laid and not done."""
    it = said.difference
    planned = bool(said.compared.id)
    if planned and not said.is_asked:
        return None
    if not planned and (it.quantity.name not in _UNPLANNED or (it.quantity.name == "start" and said.word != "clear")):
        return None
    call = _gained(it, said.compared.question)
    if call is None:
        return None
    group = said.group if call.side == "right" else said.compared.first
    return _kept(group, said, call.word)


def _kept(group: Group, said: Differs, word: Word) -> Better | None:
    levels = group.levels
    # What is laid, and the side of the hole, is nothing a golfer keeps.
    kinds: list[Kind] = [KIND_OF[name] for name, _ in levels if name in KIND_OF]
    if group.unplayable or levels == AS_USUAL or len(kinds) < len(levels):
        return None
    asked = said.compared.question
    asks: Outcome = next((one for one in get_args(Outcome) if one == asked), "line")
    name = said.difference.quantity.name
    topic = "spread" if (name, asked) == ("start", "spread") else TOPIC_OF.get(name, "start")
    return Better(group.name or levels[0][1], levels, topic, word, kinds[0], asks)


def _gained(it: Difference, question: str) -> Verdict | None:
    """How sure it is that one did better, "right" for the second; None where nobody can say."""
    if it.shares is not None:
        # Of where putts stopped the share compared is of those left short.
        return _turned(it.call) if it.quantity.name == "stopped" else _named(it.call)
    if question == "spread":
        return None if it.steadier is None else _turned(it.steadier)
    if question == "window":
        return None if it.inside is None else _named(it.inside[1])
    if not it.call.names_direction or it.first is None or it.second is None:
        return None
    if not (it.first.is_sized and it.second.is_sized):
        return None
    first, second = (abs(one.bias.value - one.against) for one in (it.first, it.second))
    if abs(first - second) < _NEARER:
        return None
    return Verdict(it.call.word, "right" if second < first else "left", it.call.probability, it.call.cost)


def _named(it: Verdict) -> Verdict | None:
    return it if it.names_direction else None


def _turned(it: Verdict) -> Verdict | None:
    if not it.names_direction:
        return None
    return Verdict(it.word, "left" if it.side == "right" else "right", it.probability, it.cost)
