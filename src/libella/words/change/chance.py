"""What may be expected on the course, in words: chance of holing, putts in a round, what a change is worth there."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.course.chance import Green
from ...core.course.golf_round import Left
from ...core.course.outlook import Outlook, Parts, Where
from ...core.green.capture import Capture
from ...core.measure.constants import FOOT_M
from ...core.measure.units import Units, roughly
from ..shared.certainty import WORDS
from ..shared.counts import counted

_CAPTURES: Final[dict[Capture, str]] = {
    "rim_assisted": "the rim helps",
    "free_fall": "a ball has to fall in free",
}
_WHERE: Final[dict[Where, str]] = {"practice": "in practice", "course": "on the course"}
_SAID_M: Final[dict[Units, tuple[float, ...]]] = {
    "metric": (1.0, 2.0, 3.0, 6.0),
    "feet": tuple(it * FOOT_M for it in (3, 6, 10, 20)),
}
TOO_FEW: Final = "Five putts with the start read tell what to expect on the course."
CURVE: Final = "How many of a hundred are holed, by length"


def chances_said(it: Outlook, units: Units) -> str:
    """The chance of holing from a few lengths."""
    told = [f"from {_length(length, units)} {_at(it.chance, it.lengths_m, length)}" for length in _SAID_M[units]]
    return f"Of a hundred are holed {', '.join(told)}."


def _length(length_m: float, units: Units) -> str:
    return f"{round(length_m, 1):g} m" if units == "metric" else f"{round(length_m / FOOT_M)} ft"


def _at(curve: tuple[Estimate, ...], lengths_m: tuple[float, ...], length_m: float) -> str:
    """The curve at a length, no finer than a putt in a hundred."""
    n = max(1, next((at for at, it in enumerate(lengths_m) if it >= length_m), len(lengths_m) - 1))
    share = (length_m - lengths_m[n - 1]) / (lengths_m[n] - lengths_m[n - 1])
    value, low, high = (
        (1 - share) * one + share * other
        for one, other in zip(
            (curve[n - 1].value, curve[n - 1].low, curve[n - 1].high),
            (curve[n].value, curve[n].low, curve[n].high),
            strict=True,
        )
    )
    return f"about {round(value)} ({round(low)} to {round(high)})"


def round_said(it: Outlook) -> str:
    """Putts in a round."""
    average = it.round.average
    return (
        f"About {average.value:.1f} putts a round ({average.low:.1f} to {average.high:.1f}); "
        f"a single round lies within about {round(it.round.single)} of it."
    )


def worth_said(it: Outlook, change: str) -> str:
    """What a change is worth in a round; empty without one."""
    worth = it.worth
    if worth is None:
        return ""
    by, low, high = worth.value, worth.low, worth.high
    about = f"about {abs(by):.1f} {'fewer' if by >= 0 else 'more'} a round"
    if low >= 0:
        ends = f"{low:.1f} to {high:.1f} fewer"
    elif high <= 0:
        ends = f"{-high:.1f} to {-low:.1f} more"
    else:
        ends = f"{-low:.1f} more to {high:.1f} fewer"
    return f"With “{change}”, as it was retested: {about} ({ends})."


def left_said(it: Left, units: Units) -> str:
    """How far off a miss ends."""
    near, far = roughly(it.near_m, units), roughly(it.far_m, units)
    return f"A miss from {_length(it.length_m, units)} ends {roughly(it.median_m, units)} off ({near} to {far})."


def parts_said(it: Parts, units: Units) -> str:
    """Where the record parts from what is predicted."""
    length = _length(it.length_m, units)
    told = f"{it.recorded.times} of {it.recorded.of}"
    expected = f"{round(it.predicted.value)} ({round(it.predicted.low)} to {round(it.predicted.high)}) of a hundred"
    if it.fewer:
        why = "Start and pace do not explain it: look at the read, the ground, or what is different there"
    else:
        why = "More than start and pace make likely: the starts or the finishes were noted too far off"
    more = "fewer" if it.fewer else "more"
    said = f"From about {length} {_WHERE[it.where]} {told} were holed"
    return f"{said}, {more} than the {expected} expected: {WORDS['clear']}. {why}."


def basis_said(it: Outlook, starts: int, green: Green, units: Units) -> str:
    """From what it is told, and which of it is opinion."""
    roll = f"how far putts run past from {counted(it.finishes, 'putt')} with the finish noted"
    if not it.finishes:
        roll = "how far putts run past is what is usual, until five finishes are noted"
    elif it.finishes_at_m is not None:
        roll += f", all from about {_length(it.finishes_at_m, units)}: how it changes with length is an opinion"
    read = (
        f"a read lies {it.read_deg:.1f}° off, from {counted(it.reads, 'read')}"
        if it.reads >= 3
        else f"a read lies {it.read_deg:.1f}° off, an opinion"
    )
    return (
        f"From {counted(starts, 'putt')} with the start read; {roll}; {read}; level, a {green.speed_ft:g} ft green, "
        f"{_CAPTURES[green.capture]}. The lengths of a round’s first putts are an opinion, too."
    )
