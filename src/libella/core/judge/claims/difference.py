"""Whether a quantity lies, or scatters, otherwise in one group of readings than in another: the claim about a pair."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Final

import numpy as np
from numpy.typing import NDArray

from ...certainty.estimate import INTERVAL, Estimate
from ...certainty.matter import MATTERS, Matter
from ...certainty.verdict import CLEAR, NINETY, NOT_WEIGHED, Verdict, clear_among, weigh
from ...estimate.cost import Mix, difference_limits, share_within
from ...estimate.kind import Bounded, Kind, Sided, Split
from ...estimate.posterior import Floats, Posterior
from ...estimate.shares import Share, apart
from ...measure.side import Side
from ..ledger.entry import Batch
from ..ledger.factors import Levels
from ..ledger.quantity import Quantity, quantity
from .level import FEWEST, Level, Weighing, level_of, path_limits, shares_of
from .share import ShareOf, share_of

_DRAWN: Final = 4000
_ALIKE, _ALIKE_SD, _OTHER_SD = 0.97, 0.35, 1.0
"""ln(σ₁/σ₂) before data: two spreads of one golfer are alike (handbook 5), seldom quite others: decision 0034."""
_SAME, _SAME_DEG, _APART_DEG = 0.5, 0.2, 1.2
"""How far two levels of one golfer lie apart before data, where what start and spread come to together is asked: half
of all ways are the same. Equal ways of twelve are then told apart in 11 of a hundred, without it in 15 (0067)."""
_BY_SIZE: Final = {"eyes": "eyes_outside_zone", "strike": "strike", "pace": "roll_past"}


@dataclass(frozen=True, slots=True)
class SidesApart:
    """How often readings lay to a side in the first group and in the second, where they tell no size."""

    side: Side
    first: Share
    second: Share


@dataclass(frozen=True)
class Difference:
    """What a quantity is in the second group against the first.

    Attributes
    ----------
    first, second : its level in each; None of shares
    by : how much more right (further in, further past…) the second lies; of shares, how much oftener the category
        wanted is there, in a hundred
    call : whether by enough to matter; `side` is where to
    ratio : the second's spread over the first's
    steadier : whether the second scatters less ("left") or more ("right"); None where that was not weighed
    inside : of the start: how many more of a hundred start inside the window, and how sure that matters
    sides : where one of them tells sides alone, or both lie beyond the same edge: how often each lay there; `by` is
        then how much oftener, in a hundred
    least : where one is open to a side and the other nearer: by at least so much, in the quantity's unit
    """

    quantity: Quantity
    first: Level | None
    second: Level | None
    by: Estimate
    call: Verdict
    ratio: Estimate | None = None
    steadier: Verdict | None = None
    inside: tuple[Estimate, Verdict] | None = None
    shares: tuple[ShareOf, ShareOf] | None = None
    sides: SidesApart | None = None
    least: float | None = None

    @property
    def is_sized(self) -> bool:
        """It says by how much."""
        return self.shares is None and self.sides is None and self.least is None

    @property
    def strongest(self) -> float:
        """How sure the surest thing it says is."""
        calls = [it for it in (self.call, self.steadier) if it is not None and it.names_direction]
        return max((it.probability for it in calls), default=0.0)

    @property
    def is_named(self) -> bool:
        return self.strongest > 0


@dataclass(frozen=True)
class Group:
    """Readings set against others: the batches, the levels they were taken at, and what a person calls them."""

    name: str
    batches: tuple[Batch, ...]
    levels: Levels = ()

    @property
    def unplayable(self) -> bool:
        """The golfer can't putt so."""
        return any(it.playable is False for it in self.batches)


def differences(first: Group, second: Group, by: Weighing, *, among: int = 1) -> tuple[Difference, ...]:
    """Every quantity found out in both groups, in the order of the first.

    `among`: so many groups are set against the first; one of several must be the surer to be clear.
    """
    names = [name for it in first.batches for name in it.counts if quantity(name).outcome]
    found: list[Difference] = []
    for name in dict.fromkeys(names):
        one = difference(first, second, name, by, among=among)
        if one is not None:
            found.append(one)
    return tuple(found)


def difference(first: Group, second: Group, name: str, by: Weighing, *, among: int = 1) -> Difference | None:
    """One quantity of both groups; None where it was read too seldom on either side."""
    about, clear = quantity(name), CLEAR() if among <= 1 else clear_among(among)
    if about.kind == "share":
        pair = share_of(first.batches, name, first.levels), share_of(second.batches, name, second.levels)
        fewest = 1 if about.event == "look" else FEWEST
        if pair[0] is None or pair[1] is None or min(pair[0].of, pair[1].of) < fewest:
            return None
        if name == "stopped" and not any(it is not None and it.times("short") for it in pair):
            return None
        return _of_shares(about, pair, clear)
    levels = level_of(first.batches, name, first.levels, by), level_of(second.batches, name, second.levels, by)
    one, other = levels
    fewest = 1 if about.event == "look" else FEWEST
    if one is None or other is None or min(one.count, other.count) < fewest:
        return None
    if one.raw is None and not (one.vial.bubble_at is not None and other.vial.bubble_at is not None):
        return None
    return _of_kinds(about, (one, other), (first, second), by, clear)


def _of_kinds(
    about: Quantity, pair: tuple[Level, Level], groups: tuple[Group, Group], by: Weighing, clear: float
) -> Difference | None:
    """A difference is of the weaker kind of its two sides (account 1)."""
    kinds = pair[0].kind, pair[1].kind
    told = [it for it in kinds if isinstance(it, Sided | Split | Bounded)]
    if not told or pair[0].raw is None or pair[1].raw is None:
        return _of_levels(about, pair, groups, by, clear)
    if any(isinstance(it, Sided | Split) for it in kinds) or len(told) == 2:
        return _of_sides(about, pair, clear)
    found = _of_levels(about, pair, groups, by, clear)
    least = _least(kinds, pair)
    call = (
        found.call if least is not None and found.call.names_direction else replace(NOT_WEIGHED, side=found.call.side)
    )
    return Difference(about, *pair, found.by, call, least=least)


def _least(kinds: tuple[Kind, Kind], pair: tuple[Level, Level]) -> float | None:
    """By how much at least the second lies further than the first, where one of them is open to a side and the other
    lies nearer, or on the other side: from its near edge to as far as the other may reach; None where they overlap."""
    for kind, other, sign in ((kinds[1], pair[0], 1.0), (kinds[0], pair[1], -1.0)):
        if isinstance(kind, Bounded):
            way = 1.0 if kind.beyond.side == "right" else -1.0
            reach = other.bias.high if way > 0 else other.bias.low
            apart_by = way * (kind.beyond.edge - reach)
            return sign * way * apart_by if apart_by > 0 else None
    return None


def _of_sides(about: Quantity, pair: tuple[Level, Level], clear: float) -> Difference | None:
    """By how often each lies to a side: the side in which they differ most. None where what they lie beyond differs:
    of two gates of other widths how often each was touched tells nothing."""
    edges = {round(abs(it.kind.beyond.edge), 3) for it in pair if isinstance(it.kind, Bounded)}
    if len(edges) > 1:
        return None
    shares = {side: tuple(_to(side, it) for it in pair) for side in ("right", "left")}
    side: Side = max(("right", "left"), key=lambda it: abs(_part(shares[it][1]) - _part(shares[it][0])))
    one, other = shares[side]
    matter = MATTERS()["share"]
    found = apart(one, other, matter.matters_from, matter.nothing_under)
    right, left = (found.more, found.less) if side == "right" else (found.less, found.more)
    call = weigh(right, left, found.small, clear=clear)
    return Difference(about, *pair, found.gain, call, sides=SidesApart(side, one, other))


def _to(side: str, it: Level) -> Share:
    assert it.counted is not None
    return Share(it.counted.right if side == "right" else it.counted.left, it.count)


def _part(it: Share) -> float:
    return it.times / it.of


def _of_shares(about: Quantity, pair: tuple[ShareOf | None, ShareOf | None], clear: float) -> Difference:
    one, other = pair
    assert one is not None and other is not None
    wanted = wanted_of(about, one)
    matter = MATTERS()["share"]
    found = apart(
        Share(one.times(wanted), one.of),
        Share(other.times(wanted), other.of),
        matter.matters_from,
        matter.nothing_under,
    )
    call = weigh(found.more, found.less, found.small, clear=clear)
    return Difference(about, None, None, found.gain, call, shares=(one, other))


def wanted_of(about: Quantity, first: ShareOf) -> str:
    """The category that two shares are compared in."""
    return "short" if about.name == "stopped" else about.good or first.told


def _of_levels(
    about: Quantity, levels: tuple[Level, Level], groups: tuple[Group, Group], by: Weighing, clear: float
) -> Difference:
    rng = np.random.default_rng(61)
    (mu_a, sigma_a), (mu_b, sigma_b) = (_drawn(it, rng) for it in levels)
    apart_by = apart_sd(groups, about.name)
    shift = mu_b - mu_a + rng.normal(0.0, 1.0, _DRAWN) * apart_by
    far, near = limits_between(about, levels, by)
    right, left = float((shift >= far).mean()), float((shift <= -far).mean())
    small = float((np.abs(shift) < near).mean())
    proved = all(it.proved for it in levels) or apart_by == 0.0
    call = weigh(right, left, small, clear=clear, can_be_clear=proved)
    shifted = estimate_of(shift, np.ones(_DRAWN))
    if sigma_a is None or sigma_b is None:
        return Difference(about, *levels, shifted, call)
    # Both spreads were drawn with a prior each; together they are believed to be alike.
    log = np.log(sigma_b / sigma_a)
    prior_sd = 0.9 if about.prior is None else about.prior.spread_log_sd
    weight: Floats = alike(log) * np.exp(0.25 * (log / prior_sd) ** 2)
    ratio = estimate_of(np.exp(log), weight)
    if about.sides != "line":
        return Difference(about, *levels, shifted, call, ratio)
    calm = 100 * (_alone(by.mix, sigma_b) - _alone(by.mix, sigma_a))
    steadier = gained(-calm, MATTERS()["difference"], weight, clear=clear)
    inside = None
    if about.name == "start":
        gain = 100 * (share_within(by.mix, mu_b, sigma_b) - share_within(by.mix, mu_a, sigma_a))
        both = same(shift) * weight
        inside = estimate_of(gain, both), gained(gain, MATTERS()["difference"], both, clear=clear)
    return Difference(about, *levels, shifted, call, ratio, steadier, inside)


def alike(log: Floats) -> Floats:
    """Density before data of the logarithm by which two spreads of one golfer differ."""
    return _of_normals(log, _ALIKE, _ALIKE_SD, _OTHER_SD)


def same(shift: Floats) -> Floats:
    """Density before data of how far two ways lie apart, degrees, where line and spread are asked for together."""
    return _of_normals(shift, _SAME, _SAME_DEG, _APART_DEG)


def _of_normals(values: Floats, share: float, sd: float, other_sd: float) -> Floats:
    """Density of a mixture of two zero-mean normals; `share` is the weight of the first."""
    both = ((share, sd), (1 - share, other_sd))
    return np.sum([part / wide * np.exp(-0.5 * (values / wide) ** 2) for part, wide in both], axis=0)


def _alone(mix: Mix, spread: Floats) -> Floats:
    return share_within(mix, np.zeros(1), spread)


def gained(gain: Floats, matter: Matter, weight: Floats, *, clear: float | None = None) -> Verdict:
    """Putts of a hundred won ("right") or lost ("left"), drawn with weights."""
    whole = float(weight.sum())
    more = float(weight[gain >= matter.matters_from].sum()) / whole
    less = float(weight[gain <= -matter.matters_from].sum()) / whole
    return weigh(more, less, float(weight[np.abs(gain) < matter.nothing_under].sum()) / whole, clear=clear)


def _drawn(it: Level, rng: np.random.Generator) -> tuple[Floats, Floats | None]:
    """(N,) levels and spreads, without what all readings of a group share."""
    if it.raw is None:
        spread = None
        if it.spread is not None and it.spread.low > 0:
            sd = math.log(it.spread.high / it.spread.low) / (2 * NINETY)
            spread = it.spread.value * np.exp(rng.normal(0.0, sd, _DRAWN))
        return rng.normal(it.bias.value, max(it.bias.sd, 1e-6), _DRAWN), spread
    return drawn(it.raw, _DRAWN, rng)


def drawn(post: Posterior, n: int, rng: np.random.Generator) -> tuple[Floats, Floats]:
    """Bias and spread drawn together from a posterior, spread within their cells."""
    cells = rng.choice(post.weight.size, size=n, p=post.weight.ravel())
    row, column = np.unravel_index(cells, post.weight.shape)
    wide = float(post.bias[1] - post.bias[0]), float(post.log_spread[1] - post.log_spread[0])
    bias = post.bias[row] + rng.uniform(-0.5, 0.5, n) * wide[0]
    return bias, np.exp(post.log_spread[column] + rng.uniform(-0.5, 0.5, n) * wide[1])


def apart_sd(groups: tuple[Group, Group], name: str) -> float:
    """What the difference is not known by beyond the readings: what both share falls out of it."""
    one, other = (shares_of([it for it in group.batches if it.counts.get(name)], name) for group in groups)
    parts: list[float] = []
    for key in {**one, **other}:
        source, here = one.get(key, (None, 0.0))
        there_source, there = other.get(key, (None, 0.0))
        told = source or there_source
        assert told is not None
        parts.append((there - here) * told.sd)
    return math.hypot(*parts)


def limits_between(about: Quantity, levels: tuple[Level, Level], by: Weighing) -> tuple[float, float]:
    """The same of two levels, at the spread both show."""
    spreads = [it.spread.value for it in levels if it.spread]
    if about.sides == "line":
        return limits_of(about, math.exp(float(np.mean(np.log(spreads)))) if spreads else by.spread_deg, by)
    return limits_of(about, float(np.mean(spreads)) if spreads else 1.0, by)


def limits_of(about: Quantity, spread: float, by: Weighing) -> tuple[float, float]:
    """From which difference of two levels on it matters, and under which it does not, in the quantity's unit.

    `spread`: of single readings about these levels.
    """
    by_size = _BY_SIZE.get(about.sides, about.matter)
    if by_size and not MATTERS()[by_size].by_cost:
        return MATTERS()[by_size].matters_from, MATTERS()[by_size].nothing_under
    if about.sides == "path":
        return path_limits(by)
    if about.sides == "line":
        return difference_limits(spread, by.mix)
    return 0.5 * spread, 0.5 * spread


def estimate_of(values: Floats, weight: Floats) -> Estimate:
    order: NDArray[np.intp] = np.argsort(values)
    mass: Floats = np.cumsum(weight[order])
    sorted_: Floats = values[order]

    def quantile(share: float) -> float:
        below = int((mass < share * float(mass[-1])).sum())
        return float(sorted_[min(below, values.size - 1)])

    return Estimate(quantile(0.5), quantile(INTERVAL[0]), quantile(INTERVAL[1]))


def named(found: Sequence[Difference]) -> list[Difference]:
    """Those that say something, the surest and of those the weightiest first."""
    return sorted((it for it in found if it.is_named), key=lambda it: -it.strongest)
