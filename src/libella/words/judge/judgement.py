"""A block judged, in words: where the bias lies, what it is worth, what to work on."""

import math
from dataclasses import dataclass
from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.certainty.matter import MATTERS
from ...core.certainty.verdict import Verdict
from ...core.estimate import LAPSE_SHARE, START, Summary
from ...core.estimate.beyond import is_wide
from ...core.estimate.continuation import MOST_FURTHER
from ...core.golfer.hand import Hand, push_or_pull
from ...core.green.putt import Putt
from ...core.judge.disturbed import disturbed_deg
from ...core.judge.judgement import NO_HOLE_M, Counts, Dear, Further, Gain, Judgement, Occasion, marks_of
from ...core.measure.angle import hole_widths, offset_m
from ...core.measure.interval import Interval
from ...core.measure.units import Units, about, percent, rounds_to_nothing, sided, tape
from ...core.measure.window import Window
from ...core.set.station import Station
from ..set.briefing import allows
from ..shared.certainty import WORDS, headline, nameless, open_said, prior_words, with_doubt
from ..shared.counts import counted, listed
from ..shared.flags import lessened_words


@dataclass(frozen=True, slots=True)
class JudgementWords:
    """The sentences of a judgement.

    `headline` says where the bias lies and how sure that is ("0.6° right, clear."), `size` what that is at the hole,
    `meaning` what the verdict means, `chance` the share inside the window, `doubt` what the numbers are worth; `gains`
    go with the judgement's gains.
    """

    counts: str
    headline: str
    size: str
    meaning: str
    allows: str
    chance: str
    doubt: str
    gains: tuple[tuple[str, str], ...]
    """What each change is called, and what it may bring."""
    prior: str
    read: str


def judgement_words(it: Judgement, station: Station, occasion: Occasion, units: Units) -> JudgementWords:
    """Everything said of a judged block; `station` and `occasion` are those it was judged with."""
    unproved = "" if it.proved or it.summary is None else " The line is not proved."
    if not it.watched:
        return _not_watched(it, station, occasion, units)
    return JudgementWords(
        counts=_counts(it.counts, marks_of(station.putt, occasion)),
        headline=_headline(it),
        size=_size(it.summary, station, occasion, units) if it.is_sized else "",
        meaning=_meaning(it, station, occasion, units) + (_FAR if _is_short(it) else "") + unproved,
        allows=allows(station, units) if occasion.hole else _no_hole(station, occasion, units),
        chance=_chance(it.summary, occasion) if it.is_sized else "",
        doubt=((_doubt(it.summary, occasion) if it.is_sized else "") + lessened_words(it.lessened)).strip(),
        gains=tuple(_gain(one, station.putt) for one in it.gains),
        prior=f"{prior_words(START())} {LAPSE_SHARE * 100:g} % of putts are taken for mishits.",
        read=_against_the_read(it.summary, station),
    )


def _headline(it: Judgement) -> str:
    """Where the bias lies and how sure that is; of readings that are open to one side at least where."""
    beyond = it.beyond
    if it.summary is None or (beyond is None and it.is_sized):
        return _here(headline(it.summary, it.verdict, "No putts yet."), it)
    if beyond is None:
        so_far = "" if it.verdict else "So far "
        return _here(f"{so_far}{open_said(it.kind, it.putts)}{_word(it)}.", it)
    least = f"at least {abs(beyond.edge):.1f}° {beyond.side}" if beyond.edge else f"to the {beyond.side}"
    of = "" if beyond.times == it.putts else f" in {beyond.times} of {it.putts}"
    if it.verdict is None:
        return f"So far {least}{of}."
    return _here(f"{least[0].upper()}{least[1:]}{of}, {WORDS[it.verdict.word]}.", it)


def _is_short(it: Judgement) -> bool:
    """Its rig can't say what would be worth knowing."""
    settled = it.verdict is not None and it.verdict.word == "none"
    return it.summary is not None and not it.is_sized and not settled


def _word(it: Judgement) -> str:
    """The word where it is one: of what is open to both sides none is told but that nobody can tell."""
    return "" if it.verdict is None else f": {WORDS[it.verdict.word]}"


def _here(said: str, it: Judgement) -> str:
    """A word that holds at this length only says so, with the one the lesson tells, which weighs the usual lengths."""
    if it.verdict is None or it.usual is None or it.usual.word == it.verdict.word:
        return said
    here = said.removesuffix(".").removesuffix(" here")
    return f"{here} here; {WORDS[it.usual.word]} at the usual lengths."


_FAR: Final = " This rig can't say how far: lay a ruler board, or a wider gate."


def _against_the_read(summary: Summary | None, station: Station) -> str:
    """A bias against the read told apart from one against the computed line; empty where both are one, or no read."""
    lines = station.putt.lines_deg
    if summary is None or lines is None or abs(lines[0] - lines[1]) < _SAME_LINE_DEG:
        return ""
    read, computed = (
        Estimate(it.value + turn, it.low + turn, it.high + turn)
        for it, turn in ((summary.bias, station.putt.start_deg - line) for line in lines)
    )
    said = f"Against the read {with_doubt(read)}; against the computed line {with_doubt(computed)}."
    if not read.is_one_side and computed.is_one_side:
        apart = lines[0] - lines[1]
        return f"{said} The golfer starts on the read: it is the read that lies {sided(apart)} of the computed line."
    if read.is_one_side and not computed.is_one_side:
        return f"{said} The golfer starts on the computed line, not on the read."
    return said


_SAME_LINE_DEG: Final = 0.1


def _not_watched(it: Judgement, station: Station, occasion: Occasion, units: Units) -> JudgementWords:
    """Of a block in which no rig watched the start: what became of its putts is all there is."""
    planned = counted(it.planned, "putt")
    return JudgementWords(
        counts="",
        headline="The start was not watched.",
        size="",
        meaning=f"{it.putts} of {planned}; what was noted of them stands below.",
        allows=allows(station, units) if occasion.hole else _no_hole(station, occasion, units),
        chance="",
        doubt="",
        gains=(),
        prior="No start, no prior: counts alone.",
        read="",
    )


DISTURBED: Final = {
    "rough": "rough surface",
    "wind": "wind",
    "wet": "wet or grainy",
    "light": "low or glaring light",
    "noise": "noise or talk",
    "watched": "onlookers",
    "tired": "tired or stiff",
    "hurry": "in a hurry",
}
"""What disturbs a block: the names of `core.judge.disturbed.DISTURBANCES`."""
_GAINS: Final = {"bias": "Bias mended", "spread": "A quarter less spread"}


def _holes(putt: Putt) -> bool:
    """Whether a true putt on the line that starts are counted against falls."""
    return putt.window.low_deg <= 0 <= putt.window.high_deg


def _counts(it: Counts | None, window: Window) -> str:
    """Sides and range as read: "7 of 10 right, 1 left, 2 on neither side; from 0.4° left to 2.1° right."

    The range is that of the zones tapped, to their outer edges; zones too wide to say how far tell the sides alone.
    """
    if it is None:
        return ""
    sides = f"{it.right} of {it.putts} right, {it.left} left"
    if it.neither:
        sides = f"{it.right} of {it.putts} right, {it.left} left, {it.neither} on neither side"
    if any(is_wide(one, window) and not math.isinf(one.high - one.low) for one in (it.lowest, it.highest)):
        return f"{sides}."
    low, high = _end(it.lowest, it.lowest.low), _end(it.highest, it.highest.high)
    return f"{sides}; from {low} to {high}." if low != high else f"{sides}."


def _end(it: Interval, edge: float) -> str:
    return f"beyond {sided(it.anchor)}" if math.isinf(it.high - it.low) else sided(edge)


def _size(summary: Summary | None, station: Station, occasion: Occasion, units: Units) -> str:
    if summary is None:
        return ""
    bias = summary.bias
    length = station.putt.distance_m if occasion.hole else NO_HOLE_M
    doubt_m = offset_m(bias.doubt, length)
    offset = offset_m(bias.value, length)
    here = about(offset, doubt_m, units)
    there = tape(NO_HOLE_M, units)
    if rounds_to_nothing(offset, doubt_m, units):
        return f"At the hole: {here}." if occasion.hole else f"On {there}: {here}."
    if nameless(bias):
        within = about(doubt_m, doubt_m, units)
        return f"At the hole: within {within}." if occasion.hole else f"On {there}: within {within}."
    if not occasion.hole:
        return f"About {here} on {there}."
    holes = abs(hole_widths(bias.value, length))
    return f"About {here} at the hole, {holes:.1f} hole widths." if holes >= 0.45 else f"About {here} at the hole."


def _meaning(it: Judgement, station: Station, occasion: Occasion, units: Units) -> str:
    if it.summary is None:
        return f"The verdict comes after {counted(it.planned, 'putt')}."
    if it.verdict is None:
        planned = counted(it.planned, "putt")
        return f"{it.putts} of {planned}. The verdict comes at {it.planned}; until then this is only so far."
    call, cost = it.verdict, it.summary.cost.mean
    matter = MATTERS()["start"]
    sure = percent(call.probability)
    dear = _dear(it.dear, call, units)
    if call.word == "none":
        under = f"{matter.nothing_under:g} putts in a hundred"
        if occasion.hole:
            return f"It is {sure} sure that the bias costs under {under} here: nothing there to mend.{dear}"
        return f"It is {sure} sure that the bias costs under {under} at the usual lengths: nothing there to mend.{dear}"
    if call.word == "open" or call.side == "neither":
        return f"A tendency and chance both still fit these putts.{dear}"
    least = f"{counted(round(matter.matters_from), 'putt')} in a hundred"
    about_ = f" (about {round(cost)})" if it.is_sized else ""
    if occasion.hole and not _holes(station.putt):
        # A bias is weighed as if what it is counted against holed the putt.
        about_ += ", were the read right"
    said = _TENDENCY[call.word, occasion.hole].format(sure=sure, side=call.side, least=least, about=about_)
    return f"{said} {_by_hand(push_or_pull(call.side, occasion.hand), occasion.hand)}{dear}"


_TENDENCY: Final = {
    ("clear", True): (
        "A tendency, not chance: {sure} sure of a bias to the {side} that costs at least {least} here{about}."
    ),
    ("clear", False): (
        "A tendency, not chance: {sure} sure of a bias to the {side} that costs at least {least} at the usual "
        "lengths{about}."
    ),
    ("likely", True): (
        "More likely a tendency than chance: {sure} sure of a bias to the {side} that costs at least {least} here"
        "{about}."
    ),
    ("likely", False): (
        "More likely a tendency than chance: {sure} sure of a bias to the {side} that costs at least {least} at the "
        "usual lengths{about}."
    ),
}


def _by_hand(what: str, hand: Hand) -> str:
    return {
        ("push", "right"): "For a right-handed golfer that is a push.",
        ("pull", "right"): "For a right-handed golfer that is a pull.",
        ("push", "left"): "For a left-handed golfer that is a push.",
        ("pull", "left"): "For a left-handed golfer that is a pull.",
    }[what, hand]


def _dear(it: Dear | None, call: Verdict, units: Units) -> str:
    if it is None:
        return ""
    length, putts = tape(it.distance_m, units), round(it.putts)
    if call.word == "open":
        return (
            f" Can't tell here; on {length} putts the same bias costs about {putts} in a hundred "
            f"({it.call.side}, {it.call.word})."
        )
    return (
        f" Small here; on {length} putts the same bias costs about {putts} in a hundred "
        f"({it.call.side}, {it.call.word})."
    )


def _no_hole(station: Station, occasion: Occasion, units: Units) -> str:
    lengths = ", ".join(tape(it.distance_m, units) for it in occasion.usual)
    green = f"{station.putt.green_speed_ft:g} ft green"
    return f"No hole here: weighed at the usual lengths ({lengths}), level, on a {green}."


def _chance(summary: Summary | None, occasion: Occasion) -> str:
    if summary is None:
        return ""
    inside = summary.inside
    about_, low, high = (round(it * 100) for it in (inside.value, inside.low, inside.high))
    putts, start = counted(about_, "putt"), "starts" if about_ == 1 else "start"
    if occasion.hole:
        return f"About {putts} in a hundred {start} inside the window ({low} to {high})."
    return f"About {putts} in a hundred {start} inside the windows of the usual lengths ({low} to {high})."


def _doubt(summary: Summary | None, occasion: Occasion) -> str:
    if summary is None:
        return ""
    bias, spread = summary.bias, summary.spread
    return (
        f"Bias between {sided(bias.low)} and {sided(bias.high)}; spread {spread.value:.1f}° "
        f"({spread.low:.1f}° to {spread.high:.1f}°): nine times in ten.{_disturbed(occasion)}"
    )


def _disturbed(occasion: Occasion) -> str:
    if not occasion.disturbances:
        return ""
    what = listed([DISTURBED[it] for it in occasion.disturbances])
    added = disturbed_deg(occasion.disturbances)
    return f" Disturbed by {what}: ± {added:.2f}° of doubt is added to the bias for it, an opinion."


def _gain(it: Gain, putt: Putt) -> tuple[str, str]:
    name = _GAINS[it.change] if _holes(putt) else f"{_GAINS[it.change]}, the read as it is"
    low, high = sorted((round(it.putts.low), round(it.putts.high)))
    more = "+" if round(it.putts.value) > 0 else ""
    said = f"{more}{counted(round(it.putts.value), 'putt')} in a hundred ({low} to {high})".replace("-", "−")
    return name, said


def further_words(it: Further | None) -> str:
    """How many more putts would settle a block; empty before its planned end."""
    if it is None:
        return ""
    if it.needs_proof:
        return "Prove the line first: until then no number of putts makes it clear."
    likely = it.call.word == "likely"
    if it.putts == 0:
        return "Settled: more putts would only sharpen the number."
    if it.putts is None:
        if likely:
            return (
                f"More than {MOST_FURTHER} further putts on this rig to make it clear, or clear it away: change the "
                "rig or the question."
            )
        return f"More than {MOST_FURTHER} further putts on this rig to settle it: change the rig or the question."
    putts = counted(it.putts, "further_putt")
    if likely:
        return f"About {putts} on this rig should make it clear, or clear it away, four times in five."
    return f"About {putts} on this rig should settle it, four times in five."
