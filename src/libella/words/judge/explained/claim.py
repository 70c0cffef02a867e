"""Why a claim says what it says, in words."""

from collections.abc import Sequence
from typing import Final

from ....core.certainty.verdict import CLEAR, LIKELY, NONE, Verdict
from ....core.estimate.kind import Sided, Split
from ....core.golfer.hand import Hand
from ....core.judge.claims.level import Level
from ....core.judge.claims.share import ShareOf
from ....core.judge.explained.claim import Explained, Moves, Sums
from ....core.judge.explained.readings import LeftOut, Rests
from ....core.judge.ledger.quantity import Quantity
from ....core.measure.units import Units
from ....core.measure.units import about as length_about
from ...shared.certainty import WORDS
from ...shared.counts import counted
from ..claims import category_name, levels_said, side_name, sized

_LAPSE: Final = "One reading in fifty may be a slip, and counts as hardly more than that."
_FINE: Final = 0.05
_INCH_MM: Final = 25.4
"""A single reading is told to its own last place."""


def rests_said(rests: Sequence[Rests]) -> str:
    """How many readings it rests on."""
    lighter = sum(one.weight < 1 for one in rests)
    said = f"It rests on {counted(len(rests), 'reading')}"
    return f"{said}; {counted(lighter, 'doubted_one')}." if lighter else f"{said}."


def reading_said(it: Rests, about: Quantity, hand: Hand, units: Units) -> str:
    """One reading, as what it stands for."""
    if isinstance(it.value, str):
        return category_name(about.name, it.value)
    low, high = it.value.low_or_none, it.value.high_or_none
    ends = [sized(about, end, _FINE, hand, units) for end in (low, high) if end is not None]
    if low is None or high is None:
        return f"{ends[0]} or beyond" if ends else "anywhere"
    return ends[0] if low == high else f"{ends[0]} to {ends[1]}"


def plain(size: float, unit: str, units: Units) -> str:
    """A size without a side."""
    if unit == "deg":
        return f"{size:.2f}°"
    if unit == "mm" and units == "feet":
        # Finer than a tape's eighth: what is not known of a middle often is.
        return f"{size / _INCH_MM:.2f} in" if size < _INCH_MM else length_about(size / 1000, 0.0, units)
    if unit == "mm":
        return f"{size:.1f} mm"
    return length_about(size, 0.0, units) if unit == "m" else f"{size:.2f} {unit}"


def left_said(it: LeftOut, units: Units) -> str:
    """Readings that it does not rest on, and why."""
    if it.why == "voided":
        return f"Left out: {counted(it.count, 'voided')}."
    return f"Told by itself, not here: {counted(it.count, 'reading')}, {levels_said(it.levels, units)}."


def rule_said(call: Verdict) -> str:
    """How the word follows from its chances."""
    clear = CLEAR() if call.grounds is None else call.grounds.clear
    proved = " on a proved line" if call.grounds is not None and not call.grounds.can_be_clear else ""
    from_ = f"Clear from {100 * clear:.0f}{proved}, likely from {100 * LIKELY():.0f}"
    return f"{from_}, nothing to mend from {100 * NONE():.0f}: {WORDS[call.word]}."


def sums_said(it: Explained, hand: Hand, units: Units) -> list[str]:
    """What was believed before, how sure it is, what it costs, and how the word follows."""
    if isinstance(it.claim, ShareOf):
        return share_sums_said(it.claim)
    if isinstance(it.claim.kind, Sided | Split):
        return _open_said(it.claim, it.claim.kind, hand)
    if it.sums is None or it.call is None:
        return [_untold(it.claim, units), *([] if it.call is None else [rule_said(it.call)])]
    unit, sums = it.claim.quantity.unit, it.sums
    before = f"{plain(sums.prior.bias_sd, unit, units)} either side of {plain(sums.prior.bias_mean, unit, units)}"
    said = [f"Before any reading its middle is believed within {before}, one standard deviation. {_LAPSE}"]
    parts = (plain(one, unit, units) for one in (sums.single, sums.shared, sums.together))
    said.append(
        "Not known of the middle: {} by single readings, {} by what they all share, together {}.".format(*parts)
    )
    if fell := len(it.claim.implied):
        said.append(f"{counted(fell, 'putt')} fell: each is weighed as run no further past than its hole takes it.")
    if sums.without is not None and sums.with_it is not None and sums.chances.cost is not None:
        said.append(
            f"Of a hundred usual putts {sums.without:.1f} would start inside without it, {sums.with_it:.1f} do: "
            f"it costs {sums.chances.cost:.1f}."
        )
    return [*said, _word_said(sums, it.claim, it.call, hand, units)]


def _word_said(sums: Sums, level: Level, call: Verdict, hand: Hand, units: Units) -> str:
    one, unit = sums.chances, level.quantity.unit
    by_putts = one.cost is not None
    far, near = ((f"{n:g} putts" if by_putts else plain(n, unit, units)) for n in (one.far, one.near))
    side = side_name(level.quantity, 1.0 if one.right >= one.left else -1.0, hand) or "beyond"
    matters = 100 * one.own * max(one.right, one.left)
    wanted = f" beyond the {plain(level.against, unit, units)} planned" if abs(level.against) > 0.005 else ""
    chances = f"{matters:.0f} in a hundred; under {near}: {100 * one.small:.0f}"
    said = f"That it lies {side} by {far} or more{wanted}: {chances}."
    share = f"{100 * (1 - one.own):.0f} in a hundred of it"
    own = "" if one.own == 1 else f" The line is not proved: {share} may be the line’s."
    return f"{said}{own} {rule_said(call)}"


def _open_said(it: Level, kind: Sided | Split, hand: Hand) -> list[str]:
    """Sides and no size: what that more than half of all lie there hangs on."""
    left, right = (side_name(it.quantity, way, hand) for way in (-1.0, 1.0))
    if isinstance(kind, Split):
        return [f"Open to both sides, {left} {kind.left} and {right} {kind.right}: no middle is worked out of them."]
    chances = f"{left} {100 * kind.more[1]:.0f} in a hundred, {right} {100 * kind.more[0]:.0f}"
    said = [f"Words tell a side and no size. That more than half of all lie {chances}."]
    call = it.call or it.side
    return said if call.grounds is None else [*said, rule_said(call)]


def _untold(level: Level, units: Units) -> str:
    """A level that its own step worked out, or that nobody judges."""
    unit = level.quantity.unit
    low, high = (plain(one, unit, units) for one in (level.bias.low, level.bias.high))
    if level.raw is None:
        return (
            f"Its own step works it out of {counted(level.count, 'reading')}: nine times in ten from {low} to {high}."
        )
    return f"Its middle lies nine times in ten from {low} to {high}; nobody judges it."


def share_sums_said(it: ShareOf) -> list[str]:
    """Counts, and the share they come to."""
    counts = ", ".join(f"{category_name(it.quantity.name, name)} {times}" for name, times in it.counts)
    low, middle, high = (f"{one:.0f}" for one in (it.share.low, it.share.value, it.share.high))
    said = [
        f"Of {it.of}: {counts}.",
        "Before any reading every share is believed alike; "
        f"{category_name(it.quantity.name, it.told)}: {middle} of a hundred ({low} to {high}).",
    ]
    if it.call is not None and it.call.grounds is not None:
        first, second = (f"{100 * one:.0f}" for one in (it.call.grounds.left, it.call.grounds.right))
        said.append(f"That left is the commoner: {first} in a hundred; right: {second}. {rule_said(it.call)}")
    return said


def moves_said(it: Moves, about: Quantity, hand: Hand, units: Units) -> str:
    """One thing that would change it."""
    by = plain(it.by, about.unit, units)
    if it.what == "prove_line":
        return f"Prove the line a second way: {by} less left unknown."
    if it.what == "twice_as_many":
        return f"Twice as many readings: {by} less left unknown."
    assert it.reading is not None
    return f"Without the one at {reading_said(it.reading, about, hand, units)} its middle would lie {by} elsewhere."
