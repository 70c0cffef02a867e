"""What a golfer may expect on the course: chance of holing by length, putts in a round, what a change is worth there,
and where what was recorded parts from it for sure."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Final, Literal

import numpy as np

from ..certainty.estimate import Estimate, told_by
from ..certainty.verdict import NINETY, clear_among
from ..change.made import From, MadeAt
from ..change.retest import Retest
from ..estimate.posterior import Floats
from ..estimate.shares import Share
from .chance import LENGTHS_M, READ_DEG, Green, Starter, chances
from .golf_round import Left, Played, Round
from .roller import Roller

DRAWN: Final = 256
_ROUNDS: Final = 96
LEFT_M: Final = (2.0, 4.5, 9.0)
_FEWEST_READS: Final = 3
_READS_BEFORE: Final = 4.0
"""So many reads are worth what is believed of a read before any was seen."""
Where = Literal["practice", "course"]


@dataclass(frozen=True, slots=True)
class Parts:
    """Where what was recorded parts from what is predicted for those very putts, for sure: at about one length, their
    mean, in practice or on the course."""

    length_m: float
    where: Where
    recorded: Share
    predicted: Estimate
    fewer: bool


@dataclass(frozen=True)
class Outlook:
    """What may be expected.

    Attributes
    ----------
    lengths_m, chance : the curve, in a hundred, with its 90 % band; changed : the same with the change, None without
    round : putts in one; worth : how many fewer with the change
    left : how far off a miss ends
    parts : where the record parts from it for sure
    finishes, finishes_at_m : from how many finishes the roll is known, and the one length they all had
    read_deg : how far a read is taken to lie off; reads : from how many, 0 where it is the opinion alone
    """

    lengths_m: tuple[float, ...]
    chance: tuple[Estimate, ...]
    changed: tuple[Estimate, ...] | None
    round: Round
    worth: Estimate | None
    left: tuple[Left, ...]
    parts: tuple[Parts, ...]
    finishes: int
    read_deg: float
    reads: int
    finishes_at_m: float | None = None


def starter_of(bias: Estimate, spread: Estimate, read_deg: float | None = None, seed: int = 17) -> Starter:
    """Draws of a golfer's line as it was pooled: the posterior, not its middle; of the spread by its logarithm."""
    rng = np.random.default_rng(seed)
    log_sd = math.log(max(spread.high, spread.value) / max(spread.low, 1e-3)) / (2 * NINETY)
    spreads = np.exp(rng.normal(math.log(max(spread.value, 1e-3)), log_sd, DRAWN))
    return Starter(rng.normal(bias.value, bias.sd, DRAWN), spreads, READ_DEG() if read_deg is None else read_deg)


def changed_by(it: Starter, retest: Retest, seed: int = 19) -> Starter | None:
    """The same golfer with what the retest of a change showed; None where it showed nothing of the starts."""
    if retest.ways is None:
        return None
    rng = np.random.default_rng(seed)
    before, after = retest.ways

    def moved(one: tuple[float, float], other: tuple[float, float]) -> Floats:
        return rng.normal(other[0] - one[0], math.hypot(one[1], other[1]), it.bias_deg.size)

    bias, spread = moved(before.bias, after.bias), moved(before.log_spread, after.log_spread)
    # A change asked about the line is not blamed for the spread, and the other way round.
    bias = np.zeros_like(bias) if retest.question == "spread" else bias
    spread = np.zeros_like(spread) if retest.question == "line" else spread
    return Starter(it.bias_deg + bias, it.spread_deg * np.exp(spread), it.read_deg)


def read_error(off_deg: Sequence[float]) -> float:
    """How far a golfer's reads lie off, one standard deviation: what was seen of them, with the opinion before it."""
    if len(off_deg) < _FEWEST_READS:
        return READ_DEG()
    squares = sum(it**2 for it in off_deg)
    return math.sqrt((_READS_BEFORE * READ_DEG() ** 2 + squares) / (_READS_BEFORE + len(off_deg)))


def outlook(
    starter: Starter, changed: Starter | None, roller: Roller, green: Green, made: Sequence[MadeAt], reads: int = 0
) -> Outlook:
    """All of it; `made`: what was recorded, length by length; `reads`: from how many the read error was seen."""
    lengths = np.array(LENGTHS_M)
    drawn = chances(lengths, starter, roller, green)
    with_change = chances(lengths, changed, roller, green) if changed is not None else None
    few = roller.only(_ROUNDS)
    played = Played(starter.only(_ROUNDS), few, green)
    now = played.round()
    then = Played(changed.only(_ROUNDS), few, green).round() if changed is not None else None
    return Outlook(
        LENGTHS_M,
        _told(drawn),
        _told(with_change) if with_change is not None else None,
        now,
        told_by(now.draws - then.draws) if then is not None else None,
        played.left(LEFT_M),
        _parts(made, starter, roller, green),
        roller.told,
        starter.read_deg,
        reads,
        roller.at_m,
    )


def _told(drawn: Floats) -> tuple[Estimate, ...]:
    """In a hundred, length by length; the middle is the mean, for it is a chance."""
    return tuple(
        Estimate(float(100 * it.mean()), *(float(100 * np.quantile(it, q)) for q in (0.05, 0.95))) for it in drawn.T
    )


def _parts(made: Sequence[MadeAt], starter: Starter, roller: Roller, green: Green) -> tuple[Parts, ...]:
    looked: list[tuple[Where, Share, tuple[From, ...]]] = []
    for it in made:
        looked.append(("practice", it.practice, it.practice_from))
        looked.append(("course", it.course, it.course_from))
    looked = [it for it in looked if it[1].of]
    if not looked:
        return ()
    drawn: dict[tuple[float, bool], Floats] = {}
    for read in (True, False):
        own = starter if read else replace(starter, read_deg=0.0)
        at = sorted({it.length_m for _, _, lengths in looked for it in lengths if it.read in (read, None)})
        if at:
            drawn |= {
                (length, read): it for length, it in zip(at, chances(np.array(at), own, roller, green).T, strict=True)
            }
    rng = np.random.default_rng(23)
    # Every length that is looked at is one more chance to be wrong.
    sure = clear_among(len(looked))
    found: list[Parts] = []
    for where, told, lengths in looked:
        # Where nobody said whether a putt had to be read, the record parts only if it does either way.
        unsaid = (True, False) if any(it.read is None for it in lengths) else (True,)
        ways = [_mean(lengths, drawn, either) for either in unsaid]
        behind: Floats = rng.beta(told.times + 1, told.of - told.times + 1, ways[0].size)
        fewer = [float(np.mean(behind < it)) for it in ways]
        if all(it >= sure for it in fewer) or all(1 - it >= sure for it in fewer):
            length = sum(it.length_m * it.of for it in lengths) / told.of
            found.append(Parts(length, where, told, _told(ways[0][:, None])[0], fewer[0] > 0.5))
    return tuple(found)


def _mean(lengths: Sequence[From], drawn: Mapping[tuple[float, bool], Floats], unsaid: bool) -> Floats:
    """(N,) what is expected of all these putts together, each from its own length; `unsaid`: whether those of which
    nobody said it are taken to be read."""
    of = sum(it.of for it in lengths)
    parts = [it.of / of * drawn[it.length_m, unsaid if it.read is None else it.read] for it in lengths]
    return np.sum(parts, axis=0)
