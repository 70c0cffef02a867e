"""Whether a change helps: as usual against changed, in turns; once, and twice together (practice 2)."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from ..certainty.estimate import Estimate, estimated, told_by
from ..certainty.matter import MATTERS
from ..certainty.verdict import NINETY, Verdict
from ..estimate.cost import Mix, share_within
from ..estimate.posterior import Floats
from ..judge.claims.difference import Difference, alike, estimate_of, gained, same
from ..judge.claims.level import Level
from ..judge.claims.reads import Compared

EACH: Final = 15
"""Putts each way that a retest is planned for: see the rates in `tests/bench/change.py`."""
Standing = Literal["untested", "open", "better_so_far", "kept", "worse", "dropped"]
_TOGETHER: Final = 2
_DRAWN: Final = 4000
_SURE, _SURE_LINE = 0.9, 0.94
"""How sure a change is to be kept after two retests, or told worse. Of line and spread, where two ways are believed to
be alike before data, nine in ten: of changes that do nothing 0 to 3 of a hundred are kept and 1 to 3 told worse, where
it was 2 and 16. Of the line, where nothing is believed, more: 3 to 5 are kept and 1 to 3 told worse, and one that takes
0.8° away is kept in 81 (`tests/bench/change.py`)."""
_WANTED: Final = {"finish": "stopped"}
_SHORT: Final = "stopped"


@dataclass(frozen=True, slots=True)
class Retest:
    """What one retest came to, or several together.

    gain : how many more of a hundred putts are as wanted with the change, with its 90 % interval
    call : "right" where that is more, by enough to matter; "left" where it is fewer
    final : all of it was putted
    mix : the windows a start was weighed by
    ways : of a start: its bias and the logarithm of its spread, as usual and changed, each with its deviation
    """

    id: str
    question: str
    gain: Estimate
    call: Verdict
    final: bool
    mix: Mix
    ways: tuple["Way", "Way"] | None = None


@dataclass(frozen=True, slots=True)
class Way:
    """Starts in one way of a comparison, without what both ways share: mean and standard deviation of the bias,
    degrees, and of the logarithm of the spread."""

    bias: tuple[float, float]
    log_spread: tuple[float, float]


@dataclass(frozen=True, slots=True)
class Tested:
    """Where a change stands: by its retests, oldest first, and what two or more of them say together."""

    standing: Standing
    retests: tuple[Retest, ...]
    together: Retest | None


def retest_of(it: Compared, mix: Mix) -> Retest | None:
    """What a comparison of as usual against one change tells; None where too little of both was read.

    A bias, a spread or both are told in one currency, the putts of a hundred that start inside the window: of a
    question about the line the bias alone, of one about the spread the spread alone, for what a change is not meant to
    move only blurs what it does.
    """
    if not it.others:
        return None
    found = {one.quantity.name: one for one in it.others[0][1]}
    noted = found.get(_WANTED.get(it.question, it.question))
    if noted is not None and noted.shares is not None:
        return _of_shares(it, noted, mix)
    start = found.get("start")
    ways = _ways(start) if start is not None else None
    return None if ways is None else _of_ways(it.id, it.question, ways, mix, final=it.final)


def standing_of(retests: Sequence[Retest], *, dropped: bool = False) -> Tested:
    """Where a change stands. Only finished retests speak: what was looked at on the way decides nothing."""
    told = [it for it in retests if it.final]
    together = _together(told) if len(told) >= _TOGETHER else None
    return Tested(_standing(told, together, dropped), tuple(retests), together)


def _standing(told: Sequence[Retest], together: Retest | None, dropped: bool) -> Standing:
    if dropped:
        return "dropped"
    if not told:
        return "untested"
    last = together or told[-1]
    better = last.call.names_direction and last.call.side == "right"
    if last.call.names_direction and last.call.probability >= _sure_from(last.question):
        if not better:
            return "worse"
        if together is not None:
            return "kept"
    return "better_so_far" if better else "open"


def _sure_from(question: str) -> float:
    return _SURE_LINE if question == "line" else _SURE


def _of_shares(it: Compared, noted: Difference, mix: Mix) -> Retest:
    """Fewer short is better; of everything else that is noted, more of what is wanted."""
    if noted.quantity.name != _SHORT:
        return Retest(it.id, it.question, noted.by, noted.call, it.final, mix)
    gain, call = Estimate(-noted.by.value, -noted.by.high, -noted.by.low), noted.call
    if call.names_direction:
        call = Verdict(call.word, "left" if call.side == "right" else "right", call.probability, call.cost)
    return Retest(it.id, it.question, gain, call, it.final, mix)


def _ways(it: Difference) -> tuple[Way, Way] | None:
    if it.first is None or it.second is None:
        return None
    first, second = _way(it.first), _way(it.second)
    if first is None or second is None:
        return None
    # What the two are apart by beyond their readings, such as two lines, is booked to the second.
    apart = math.sqrt(max(it.by.sd**2 - first.bias[1] ** 2, second.bias[1] ** 2))
    return first, Way((second.bias[0], apart), second.log_spread)


def _way(it: Level) -> Way | None:
    if it.raw is None or it.spread is None or it.spread.low <= 0:
        return None
    bias = estimated(it.raw.bias_quantile)
    log_sd = math.log(it.spread.high / it.spread.low) / (2 * NINETY)
    return Way((bias.value, bias.sd), (math.log(it.spread.value), log_sd))


def _of_ways(id: str, question: str, ways: tuple[Way, Way], mix: Mix, *, final: bool) -> Retest:
    rng = np.random.default_rng(83)
    biases = [rng.normal(*it.bias, _DRAWN) for it in ways]
    spreads = [np.exp(rng.normal(*it.log_spread, _DRAWN)) for it in ways]
    if question == "line":
        common = np.full(_DRAWN, math.exp(sum(it.log_spread[0] for it in ways) / 2))
        spreads = [common, common]
    elif question == "spread":
        biases = [np.zeros(_DRAWN), np.zeros(_DRAWN)]
    before, after = (share_within(mix, bias, spread) for bias, spread in zip(biases, spreads, strict=True))
    gain: Floats = 100 * (after - before)
    # What is believed of any two ways of one golfer is believed of these (0034, 0067).
    weight: Floats = np.ones(_DRAWN)
    if question != "line":
        weight = alike(np.log(spreads[1] / spreads[0]))
    if question not in ("line", "spread"):
        weight = weight * same(biases[1] - biases[0])
    call = gained(gain, MATTERS()["difference"], weight)
    return Retest(id, question, estimate_of(gain, weight), call, final, mix, ways)


def _together(told: Sequence[Retest]) -> Retest | None:
    """Each retest weighs by how well it is known; what both ways of one share falls out of it by itself. Retests that
    asked different things say nothing together."""
    if len({it.question for it in told}) > 1:
        return None
    ways = [it.ways for it in told if it.ways is not None]
    if len(ways) == len(told):
        first, second = (
            Way(_weighed([one[n].bias for one in ways]), _weighed([one[n].log_spread for one in ways])) for n in (0, 1)
        )
        return _of_ways("", told[0].question, (first, second), told[-1].mix, final=True)
    mean, sd = _weighed([(it.gain.value, it.gain.sd) for it in told])
    drawn = np.random.default_rng(89).normal(mean, sd, _DRAWN)
    call = gained(drawn, MATTERS()["share"], np.ones(_DRAWN))
    return Retest("", told[0].question, told_by(drawn), call, final=True, mix=told[-1].mix)


def _weighed(told: Sequence[tuple[float, float]]) -> tuple[float, float]:
    """Mean and deviation of several means, each with its own deviation."""
    weights = [1 / max(sd, 1e-6) ** 2 for _, sd in told]
    mean = sum(weight * value for weight, (value, _) in zip(weights, told, strict=True)) / sum(weights)
    return mean, 1 / math.sqrt(sum(weights))
