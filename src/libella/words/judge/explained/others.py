"""Why a comparison, the side by distance and the finishes say what they say, in words."""

from ....core.golfer.hand import Hand
from ....core.judge.claims.difference import Difference, SidesApart, wanted_of
from ....core.judge.explained.finishes import FinishesExplained
from ....core.judge.explained.growth import GrowthExplained
from ....core.judge.explained.pair import PairExplained
from ....core.measure.units import Units, tape
from ...shared.counts import counted
from ..claims import category_name, side_name, sized
from ..differences import further
from .claim import plain, rule_said, sums_said

_FINE = 0.05


def pair_sums_said(it: PairExplained, hand: Hand, units: Units) -> list[str]:
    """Both groups, what lies between, and how the words follow."""
    one = it.difference
    if one.shares is not None:
        return _shares_said(it)
    if one.sides is not None:
        return _sides_said(one, one.sides, hand)
    assert it.middles is not None and it.far is not None and it.near is not None
    about, unit = one.quantity, one.quantity.unit
    at = [sized(about, middle, _FINE, hand, units) for middle in it.middles]
    way = further(about, one.by.value, hand)
    size = plain(abs(one.by.value), unit, units)
    said = [f"The readings’ middles: {at[0]} first, {at[1]} second: {size} {way}."]
    if it.apart > 0:
        said.append(f"Not shared by both: {plain(it.apart, unit, units)}, one standard deviation.")
    by = one.call.grounds
    if by is not None:
        far, near = plain(it.far, unit, units), plain(it.near, unit, units)
        chance = f"{100 * max(by.right, by.left):.0f} in a hundred; under {near}: {100 * by.small:.0f}"
        said.append(f"That they differ that way by {far} or more: {chance}. {rule_said(one.call)}")
    if one.ratio is not None and one.steadier is not None and (by := one.steadier.grounds) is not None:
        wider, calmer, alike = (f"{100 * n:.0f}" for n in (by.right, by.left, by.small))
        ratio = f"{one.ratio.value:.2f} ({one.ratio.low:.2f} to {one.ratio.high:.2f})"
        said.append(
            f"Spread of the second over the first: {ratio}. By 2 putts of a hundred or more steadier: {calmer}; wider: "
            f"{wider}; of no weight: {alike}. {rule_said(one.steadier)}"
        )
    if one.inside is not None and (by := one.inside[1].grounds) is not None:
        gain, call = one.inside
        won = f"{gain.value:.1f} ({gain.low:.1f} to {gain.high:.1f})"
        more, fewer = (f"{100 * n:.0f}" for n in (by.right, by.left))
        said.append(
            f"Putts of a hundred more inside with the second: {won}. By 2 or more: {more}; fewer by as many: {fewer}. "
            f"{rule_said(call)}"
        )
    return said


def _sides_said(it: Difference, told: SidesApart, hand: Hand) -> list[str]:
    side = side_name(it.quantity, 1.0 if told.side == "right" else -1.0, hand)
    by = f"{it.by.value:.0f} ({it.by.low:.0f} to {it.by.high:.0f})"
    first, second = told.first, told.second
    said = [
        f"{side}: {first.times} of {first.of} first, {second.times} of {second.of} second; a side has no size.",
        f"Before any reading every share is believed alike: with the second {by} of a hundred more.",
    ]
    return said if it.call.grounds is None else [*said, rule_said(it.call)]


def _shares_said(it: PairExplained) -> list[str]:
    one = it.difference
    assert one.shares is not None
    wanted = wanted_of(one.quantity, one.shares[0])
    name = category_name(one.quantity.name, wanted)
    (a, n), (b, m) = ((share.times(wanted), share.of) for share in one.shares)
    by = f"{one.by.value:.0f} ({one.by.low:.0f} to {one.by.high:.0f})"
    said = [
        f"{name}: {a} of {n} first, {b} of {m} second.",
        f"Before any reading every share is believed alike: with the second {by} of a hundred more.",
    ]
    if (grounds := one.call.grounds) is not None:
        more, fewer, small = (f"{100 * it:.0f}" for it in (grounds.right, grounds.left, grounds.small))
        said.append(f"By 10 or more: {more}; fewer by as many: {fewer}; less than that: {small}. {rule_said(one.call)}")
    return said


def growth_sums_said(it: GrowthExplained, units: Units) -> list[str]:
    """Each length, the line through them, and how the word follows."""
    one, near, far = it.growth, it.growth.lengths[0], it.growth.lengths[-1]
    said = [
        f"At {tape(each.distance_m, units)}: {each.bias.value:.2f}° ({each.bias.low:.2f}° to {each.bias.high:.2f}°), "
        f"{counted(each.putts, 'putt')}."
        for each in one.lengths
    ]
    ends = [it.a + it.b * each.distance_m for each in (near, far)]
    at = [f"{end:.2f}° at {tape(each.distance_m, units)}" for end, each in zip(ends, (near, far), strict=True)]
    said.append(f"The line through them, right positive: {at[0]}, {at[1]}: {ends[1] - ends[0]:.2f}° between.")
    if (by := one.call.grounds) is not None:
        chance = f"{100 * max(by.right, by.left):.0f} in a hundred; under {it.near_deg:.2f}°: {100 * by.small:.0f}"
        said.append(f"That it grows by {it.far_deg:.2f}° or more: {chance}. {rule_said(one.call)}")
    return said


def finishes_sums_said(it: FinishesExplained, hand: Hand, units: Units) -> list[str]:
    """The finishes counted; the pace against the one planned."""
    one = it.pace
    beside = sum(one.beside)
    rest = one.putts - one.holed - one.short - one.past - beside
    counts = [("holed", one.holed), ("short", one.short), ("past", one.past), ("beside the hole", beside)]
    told = ", ".join(f"{times} {name}" for name, times in [*counts, ("missed, no more said", rest)] if times)
    said = [f"{told}: {counted(one.putts, 'putt')}."]
    if one.of_goal:
        said.append(f"Holed or past by up to {tape(one.zone_m, units)}: {one.goal} of {one.of_goal} that can be told.")
    if it.level is not None:
        said += ["How far past the hole they stopped, holed ones apart:", *sums_said(it.level, hand, units)]
    return said
