"""The first words of a judgement: where the bias lies and how sure that is, no finer than it is known."""

from ..certainty.estimate import Estimate
from ..certainty.verdict import CLEAR, WORDS, Verdict
from ..estimate import Summary
from ..measure.side import side_of
from ..measure.units import degrees


def headline(summary: Summary | None, call: Verdict | None, nothing: str) -> str:
    """ "0.6° right, clear."; "So far …" before there is a verdict; `nothing` while nothing was read."""
    if summary is None:
        return nothing
    where = _where(summary.bias)
    if call is None:
        return f"So far {where}."
    if call.word == "none":
        if nameless(summary.bias) or summary.prob_side < CLEAR:
            return "Nothing to mend in the bias."
        return f"{where[0].upper()}{where[1:]} for sure; nothing to mend, too small to matter here."
    return f"{where[0].upper()}{where[1:]}, {WORDS[call.word]}."


def nameless(bias: Estimate) -> bool:
    """True when, rounded to what is known of it, nothing is left of a bias to name."""
    return float(degrees(bias.value, bias.doubt).removesuffix("°")) == 0


def _where(bias: Estimate) -> str:
    if nameless(bias):
        return f"within {degrees(bias.doubt, bias.doubt)} of the line"
    return f"{degrees(bias.value, bias.doubt)} {side_of(bias.value)}"
