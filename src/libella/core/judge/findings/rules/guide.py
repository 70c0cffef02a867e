"""Too tight a guide: good with it, bad without it."""

from dataclasses import replace
from typing import Final

from ....certainty.estimate import Estimate
from ....certainty.verdict import Verdict
from ....opinions.held import Opinion
from ...claims.difference import Difference, Group, difference
from ...ledger.factors import GUIDED, Levels, moving
from ...ledger.quantity import quantity
from ..case import Case
from ..finding import Fact, Finding, called, needs, unread
from ..pictures.drawn import starts_of, two_ways
from ..pictures.picture import Picture, Say
from ..rule import Rule

WITH, WITHOUT = 6, 6
_LEANS: Final = Opinion("leans_on_guide", 0.4, "share")
"""How many golfers lean on a guide: an opinion of the handbook's, as for every cause."""


def groups(case: Case) -> tuple[Group, Group]:
    """The starts with the guide in view and those without, alike in everything else that may move them."""
    told = case.ledger.of("start")
    others: dict[Levels, list[list[int]]] = {}
    for n, it in enumerate(told):
        rest = tuple(one for one in moving(it.levels, quantity("start").movers) if one[0] != "guide")
        others.setdefault(rest, [[], []])[0 if it.guided else 1].append(n)
    both = [it for it in others.values() if all(it)]
    ways = both or list(others.values())
    best: list[list[int]] = max(ways, key=lambda it: sum(map(len, it))) if ways else [[], []]
    with_, without = (tuple(told[n] for n in side) for side in best)
    return Group("with", with_, (("guide", GUIDED),)), Group("without", without)


def find(case: Case) -> Finding:
    """What the guide brings while it lies there: the putts lost when it is lifted."""
    pair = groups(case)
    counts = [sum(it.counts["start"] for it in group.batches) for group in pair]
    missing = needs(("guided", counts[0], WITH), ("blind", counts[1], WITHOUT))
    found = difference(*pair, "start", case.weighing) if not missing else None
    if found is None or found.inside is None or found.first is None or found.second is None:
        return unread("guide", missing)
    gain, call = found.inside
    weight = Estimate(-gain.value, -gain.high, -gain.low)
    chance = _believed(call.probability) if call.names_direction and call.side == "left" else 0.0
    small = call.probability if call.word == "none" else 0.0
    word = called(0.0, chance, small, missing, cost=weight.value)
    word = replace(word, side=(found.second.bias.value > 0 and "right") or "left") if word.names_direction else word
    speaks = "for" if call.side == "left" and call.names_direction else "against"
    one, other = found.first, found.second
    facts = (
        Fact("with_guide", speaks, one.bias, number=one.count, at=one.at),
        Fact("without_guide", speaks, other.bias, number=other.count, at=other.at),
    )
    return Finding("guide", weight, word, found.second.bias, "deg", facts, missing)


def _believed(chance: float) -> float:
    """A chance with the odds that anybody leans on a guide at all: most do not."""
    odds = _LEANS() / (1 - _LEANS()) * chance / max(1 - chance, 1e-9)
    return odds / (1 + odds)


def guided_well(case: Case) -> bool:
    """Whether nothing is said of the guided putts' bias: what the blind ones show is then not in the stroke itself."""
    found: Difference | None = difference(*groups(case), "start", case.weighing)
    if found is None or found.first is None:
        return False
    call: Verdict | None = found.first.call
    return call is None or not call.names_direction


def draw(case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """With the guide in view and without it, as two fans."""
    with_, without = groups(case)
    return two_ways(case, {"with": starts_of(with_.batches), "without": starts_of(without.batches)}, say, words)


RULE = Rule(
    "guide",
    "Leaning on the guide",
    "Fade the guide: one side first, then every second putt, then none.",
    find,
    draw,
    "guide",
)
