"""How sure, in words; and where a bias lies, no finer than it is known."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.certainty.verdict import Verdict, Word, sure_of
from ...core.estimate import Prior, Summary
from ...core.estimate.kind import Bounded, Kind, Sided, Sized, Split, Within
from ...core.measure.side import side_of
from ...core.measure.units import decimals_for, degrees, sided

WORDS: Final[dict[Word, str]] = {
    "clear": "clear",
    "likely": "likely",
    "none": "nothing to mend",
    "open": "can't tell yet",
}


def nameless(bias: Estimate) -> bool:
    """True when, rounded to what is known of it, nothing is left of a bias to name."""
    return round(bias.value, decimals_for(bias.doubt)) == 0


def headline(summary: Summary | None, call: Verdict | None, nothing: str) -> str:
    """ "0.6° right, clear."; "So far …" before there is a verdict; `nothing` while nothing was read."""
    if summary is None:
        return nothing
    bias = summary.bias
    if nameless(bias):
        within = degrees(bias.doubt, bias.doubt)
        if call is None:
            return f"So far within {within} of the line."
        return (
            "Nothing to mend in the bias."
            if call.word == "none"
            else f"Within {within} of the line, {WORDS[call.word]}."
        )
    size, side = degrees(bias.value, bias.doubt), side_of(bias.value)
    if call is None:
        return f"So far {size} {side}."
    if call.word == "none":
        if sure_of(summary.prob_side) != "clear":
            return "Nothing to mend in the bias."
        return f"{size} {side} for sure; nothing to mend, too small to matter here."
    return f"{size} {side}, {WORDS[call.word]}."


def open_said(kind: Kind, of: int) -> str:
    """Readings in degrees that say no size: how many each way, each by at least so much; or their one zone."""
    match kind:
        case Split():
            edge = f", each by at least {degrees(kind.edge, 0.01)}" if kind.edge else ""
            return f"{kind.left} left, {kind.right} right{edge}"
        case Within():
            return f"{kind.times} of {of} within ± {degrees(kind.reach, 0.01)}"
        case Sided():
            told = (
                (kind.left, f"{kind.left} left"),
                (kind.right, f"{kind.right} right"),
                (kind.neither, f"{kind.neither} straight"),
            )
            return ", ".join(said for times, said in told if times)
        case Bounded(beyond):
            return f"at least {degrees(beyond.edge, 0.01)} {beyond.side} in {beyond.times} of {of}"
        case Sized():
            return ""


def with_doubt(it: Estimate) -> str:
    """ "0.6° right (± 0.3°)"."""
    return f"{sided(it.value)} (± {it.doubt:.1f}°)"


def prior_words(prior: Prior) -> str:
    """What is believed before anything is read."""
    low, high = prior.spread_range
    mark = "°" if prior.unit == "deg" else f" {prior.unit}"
    return (
        f"Before any putt: bias {prior.bias_mean:g} ± {prior.bias_sd:g}{mark} (one standard deviation), "
        f"spread around {prior.spread_median:g}{mark} ({low:.1f} to {high:.1f}{mark}, nine in ten)."
    )
