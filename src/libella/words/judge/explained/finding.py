"""Why a finding says what it says, in words."""

from typing import Final

from ....core.certainty.verdict import Verdict
from ....core.judge.explained.finding import FindingExplained
from ....core.judge.findings.ranked import RULES
from ....core.measure.side import side_of
from ..findings import halves_said
from ..lesson import check_said
from .claim import rule_said

_LINE_FIRST: Final = (
    "All that was read lies to one side of a line nobody measured a second way: till then it stays a question."
)
_STAYS: Final = "The starts have nothing to mend, and the aim repeats: by the school that is held it may stay."


def finding_sums_said(it: FindingExplained) -> list[str]:
    """What it adds to the start, what taking it away brings, and how the word follows."""
    one, said = it.finding, list[str]()
    if one.adds is not None:
        low, high = sorted((one.adds.low, one.adds.high), key=abs)
        between = f"{low:.2f}° to {high:.2f}°, right positive"
        said.append(f"It adds {abs(one.adds.value):.2f}° {side_of(one.adds.value)} to the start ({between}).")
        said.append(f"The face’s share of the start: {it.k.value:.2f} ({it.k.low:.2f} to {it.k.high:.2f}).")
    weight = f"{one.weight.value:.1f} ({one.weight.low:.1f} to {one.weight.high:.1f})"
    if one.inside is not None:
        as_is, without = (f"{n:.1f}" for n in one.inside)
        said.append(
            f"Of a hundred usual putts {as_is} start inside with it, {without} would with it taken away: {weight}."
        )
    elif one.halves:
        said.append(halves_said(one))
    else:
        said.append(f"Putts of a hundred that taking it away brings: {weight}.")
    return [*said, *_word_said(it, one.call)]


def _word_said(it: FindingExplained, call: Verdict) -> list[str]:
    if it.finding.kind == "stays" or call.grounds is None:
        return [_STAYS]
    by = call.grounds
    brings = "taking it away brings 2 putts or more"
    worth, size = f"that {brings}", f"{it.from_deg or 0.0:.2f}°"
    if it.finding.cause == "compensation":
        worth = f"that aim and stroke lie opposite, each by {size} or more"
    elif it.finding.cause == "rig":
        worth = f"that it lies off by {size} or more"
    elif it.from_deg is not None:
        worth = f"that it adds {size} or more, and {brings}"
    chance, small = 100 * max(by.right, by.left), 100 * by.small
    under = "" if it.under_deg is None else f" (under {it.under_deg:.2f}°)"
    said = f"Chance {worth}: {chance:.0f} in a hundred; that there is nothing to mend{under}: {small:.0f}."
    if it.line_first:
        return [said, _LINE_FIRST]
    if it.finding.missing:
        return [said, "However it looks, too little was read to name it: it stays a question."]
    return [f"{said} {rule_said(call)}"]


def finding_moves_said(it: FindingExplained) -> list[str]:
    """What would change it most."""
    said = [] if it.check is None else [f"{check_said(it.check)} It tells it best from the others."]
    if not it.proved:
        said.append("Prove the line a second way: before that nothing read against it can be clear.")
    if it.finding.explained_by is not None:
        said.append(f"Mend what stands above it first: {RULES[it.finding.explained_by].name.lower()}.")
    return said
