"""Why a claim says what it says, in words: from the claim's own numbers, so that the two can't drift."""

from typing import Final

from ...core.certainty.verdict import CLEAR, LIKELY, NONE
from ...core.golfer.hand import Hand
from ...core.judge.claims.level import Level
from ...core.judge.explained import Explained, LeftOut, Moves, Rests, Sums
from ...core.judge.ledger.quantity import Quantity
from ...core.measure.units import Units
from ...core.measure.units import about as length_about
from ..shared.certainty import WORDS
from ..shared.counts import counted
from .claims import category_name, claim_name, levels_said, side_name, sized

WHY: Final = "Why: {name}"
_LAPSE: Final = "One reading in fifty may be a slip, and counts as hardly more than that."


def title_said(it: Explained) -> str:
    """What is opened."""
    return WHY.format(name=claim_name(it.claim))


def rests_said(it: Explained) -> str:
    """How many readings it rests on."""
    lighter = sum(one.weight < 1 for one in it.rests)
    said = f"It rests on {counted(len(it.rests), 'reading')}"
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


_FINE: Final = 0.05
"""A single reading is told to its own last place."""


def _plain(size: float, unit: str, units: Units) -> str:
    """A size without a side."""
    if unit == "deg":
        return f"{size:.2f}°"
    if unit == "mm":
        return length_about(size / 1000, 0.0, units) if units == "feet" else f"{size:.1f} mm"
    return length_about(size, 0.0, units) if unit == "m" else f"{size:.2f} {unit}"


def left_said(it: LeftOut, units: Units) -> str:
    """Readings that it does not rest on, and why."""
    if it.why == "voided":
        return f"Left out: {counted(it.count, 'voided')}."
    return f"Told by itself, not here: {counted(it.count, 'reading')}, {levels_said(it.levels, units)}."


def sums_said(it: Explained, hand: Hand, units: Units) -> list[str]:
    """What was believed before, how sure it is, what it costs, and how the word follows."""
    if it.sums is None or not isinstance(it.claim, Level) or it.call is None:
        return []
    unit, sums = it.claim.quantity.unit, it.sums
    before = f"{_plain(sums.prior.bias_sd, unit, units)} either side of {_plain(sums.prior.bias_mean, unit, units)}"
    said = [f"Before any reading its middle is believed within {before}, one standard deviation. {_LAPSE}"]
    parts = (_plain(one, unit, units) for one in (sums.single, sums.shared, sums.together))
    said.append(
        "Not known of the middle: {} by single readings, {} by what they all share, together {}.".format(*parts)
    )
    if sums.without is not None and sums.with_it is not None and sums.chances.cost is not None:
        said.append(
            f"Of a hundred usual putts {sums.without:.1f} would start inside without it, {sums.with_it:.1f} do: "
            f"it costs {sums.chances.cost:.1f}."
        )
    return [*said, _word_said(sums, it, hand, units)]


def _word_said(sums: Sums, it: Explained, hand: Hand, units: Units) -> str:
    assert it.call is not None and isinstance(it.claim, Level)
    one, unit = sums.chances, it.claim.quantity.unit
    by_putts = one.cost is not None
    far, near = ((f"{n:g} putts" if by_putts else _plain(n, unit, units)) for n in (one.far, one.near))
    side = side_name(it.claim.quantity, 1.0 if one.right >= one.left else -1.0, hand) or "beyond"
    matters = 100 * one.own * max(one.right, one.left)
    said = f"That it lies {side} by {far} or more: {matters:.0f} in a hundred; under {near}: {100 * one.small:.0f}."
    share = f"{100 * (1 - one.own):.0f} in a hundred of it"
    own = "" if one.own == 1 else f" The line is not proved: {share} may be the line’s."
    rule = f"Clear from {100 * CLEAR:.0f} on a proved line, likely from {100 * LIKELY:.0f}"
    return f"{said}{own} {rule}, nothing to mend from {100 * NONE:.0f}: {WORDS[it.call.word]}."


def moves_said(it: Moves, about: Quantity, hand: Hand, units: Units) -> str:
    """One thing that would change it."""
    by = _plain(it.by, about.unit, units)
    if it.what == "prove_line":
        return f"Prove the line a second way: {by} less left unknown."
    if it.what == "twice_as_many":
        return f"Twice as many readings: {by} less left unknown."
    assert it.reading is not None
    return f"Without the one at {reading_said(it.reading, about, hand, units)} its middle would lie {by} elsewhere."
