"""Why a comparison says what it says: both groups' readings, what lies between, from where it matters."""

from dataclasses import dataclass

from ..claims.difference import Difference, Group, apart_sd, limits_between
from ..claims.level import Level, Weighing
from .readings import Rests, rests_on


@dataclass(frozen=True, slots=True)
class PairExplained:
    """A difference opened.

    Attributes
    ----------
    rests : what was read of the first group, and of the second
    middles : where the readings of each lie, without what all of one group share; None of shares
    apart : what is not known of the difference beyond the readings, one standard deviation, in the quantity's unit
    far, near : from which difference on it matters, and under which it does not; None of shares
    """

    first: Group
    second: Group
    difference: Difference
    rests: tuple[tuple[Rests, ...], tuple[Rests, ...]]
    middles: tuple[float, float] | None
    apart: float
    far: float | None
    near: float | None


def pair_explained(first: Group, second: Group, difference: Difference, by: Weighing) -> PairExplained:
    """Open what two groups differ in."""
    it, about = difference, difference.quantity
    rests = rests_on(first.batches, about.name), rests_on(second.batches, about.name)
    if it.first is None or it.second is None:
        return PairExplained(first, second, it, rests, None, 0.0, None, None)
    far, near = limits_between(about, (it.first, it.second), by)
    apart = apart_sd((first, second), about.name)
    return PairExplained(first, second, it, rests, (_middle(it.first), _middle(it.second)), apart, far, near)


def _middle(it: Level) -> float:
    return it.bias.value if it.raw is None else it.raw.bias_quantile(0.5)
