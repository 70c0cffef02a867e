"""Findings in words: what is wrong, how sure, what speaks for and against it, what would settle it."""

from collections.abc import Sequence
from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.golfer.hand import Hand
from ...core.judge.findings.answer import ToldThen
from ...core.judge.findings.finding import Fact, FactCode, Finding, Missing, Need
from ...core.judge.findings.ranked import RULES
from ...core.measure.side import side_of
from ...core.measure.units import Units, about, degrees, tape
from ..shared.certainty import WORDS, with_doubt
from ..shared.counts import counted, listed
from .claims import open_or_closed

_GROUND: Final = "Prove the line and roll balls both ways before anything is changed: leave the stroke as it is."


def change_said(it: Finding) -> str:
    """What usually helps; empty of what is not named."""
    if not it.is_named:
        return ""
    return _GROUND if it.kind == "ground" else RULES[it.cause].change


def cause_said(it: Finding, hand: Hand, units: Units) -> str:
    """What a finding says, with how sure that is."""
    name = RULES[it.cause].name
    if it.explained_by is not None and not it.is_named:
        return f"{name}: told with {RULES[it.explained_by].name.lower()}."
    if it.kind == "stays":
        return f"{name}: an offset that repeats, and the starts are fine. It may stay, by the school that is held."
    if it.call.word == "none":
        return f"{name}: nothing to mend."
    if it.call.word == "open" and it.kind == "grows":
        return f"{name}: it does; what that costs is told from three lengths on."
    if it.call.word == "open" and it.kind in ("shorter", "longer"):
        return f"{name}: the pace is {it.kind} than planned; the read, can't tell yet."
    if it.call.word == "open":
        asked = f"{name}: whether {_ASKED[it.cause]}," if it.cause in _ASKED else f"{name}:"
        return f"{asked} can't tell yet."
    return f"{_found(it, hand, units)}: {WORDS[it.call.word]}."


_ASKED: Final = {
    "perception": "the face aims with what looks straight",
    "compensation": "the stroke brings the aim back",
    "path": "the ball follows the head’s path",
    "strike": "the ball starts to a side with where it is struck",
    "movement": "putts in which something moves scatter more",
    "guide": "it is good only with the guide in view",
    "distance": "the error grows with the length",
}
"""What is asked of a cause that is more than its own link: where that is open, the link itself may be clear."""
_AIMED: Final = {
    "whole": ", of itself or with what looks straight or the mark",
    "own": ", beside what looks straight or the mark",
}
"""Whether it is all of the face's aim, or what is left of it."""


def _found(it: Finding, hand: Hand, units: Units) -> str:
    at = "" if it.size is None else f"{degrees(it.size.value, it.size.doubt)} {side_of(it.size.value)}"
    match it.cause:
        case "rig":
            return f"The line lay {at} of the true one"
        case "perception":
            return f"A line must point {at} to look straight, and the face aims with it"
        case "ball_mark":
            return f"The mark on the ball lies {at} of the line"
        case "face_aim":
            also = _AIMED.get(it.kind, "")
            if it.size is None:
                stands = open_or_closed("face", it.call.side == "right", hand)
                return f"The face points {it.call.side}{stands} at address{also}"
            return f"The face aims {at}{_open_or_closed(it.size, hand)} at address{also}"
        case "compensation":
            return f"The face aims {it.call.side}, and the stroke brings it back"
        case "face_at_impact":
            return f"The stroke turns the face {at}{_open_or_closed(it.size, hand)}"
        case "path":
            return f"The head travels {at} across the line, and the ball follows"
        case "strike":
            struck = "" if it.size is None else _strike(it.size, units)
            return f"Struck {struck}, and the ball starts {it.call.side}"
        case "movement":
            return "Putts in which something moves scatter more"
        case "guide":
            return "Good with the guide in view, worse without it"
        case "distance":
            return f"The error grows with the length, to the {it.call.side}"
        case "read_and_pace":
            return _read_or_pace(it)
        case _:
            return " ".join(filter(None, (RULES[it.cause].name, at)))


def _read_or_pace(it: Finding) -> str:
    if it.kind == "read_off" and it.size is not None:
        side = it.call.side
        size = degrees(it.size.value, it.size.doubt)
        return (
            f"The read lies {size} too far {side} of the line that holes the putt; the ball is started where it is read"
        )
    why = {
        "read": "with the read, to a side",
        "pace": "by their pace",
        "ground": "at good pace on the level: the line or the ground is not as thought",
    }.get(it.kind, "by read or pace")
    return f"Putts start inside the window and miss all the same, {why}"


def _open_or_closed(size: Estimate | None, hand: Hand) -> str:
    if size is None or abs(size.value) < 0.05:
        return ""
    return open_or_closed("face", size.value > 0, hand)


def _strike(size: Estimate, units: Units) -> str:
    far = about(abs(size.value) / 1000, 0.0, units) if units == "feet" else f"{abs(size.value):.0f} mm"
    return f"{far} towards the {'toe' if size.value > 0 else 'heel'}"


def weight_said(it: Finding) -> str:
    """What a cause weighs, in putts of a hundred; empty where it can't be told."""
    if it.call.word == "open" and it.missing:
        return ""
    if it.halves:
        return halves_said(it)
    value, low, high = (round(n) for n in (it.weight.value, it.weight.low, it.weight.high))
    between = _between(low, high)
    if it.cause == "rig":
        return f"Starting along it would cost about {_putts(value)} in a hundred {between}."
    if it.cause == "read_and_pace" and it.kind == "read_off":
        return f"Starting it where it must start brings about {_putts(value)} in a hundred {between}."
    if it.call.word == "none":
        # Nothing to mend has no size worth a promise.
        return ""
    if it.cause == "read_and_pace":
        if value < 0:
            lost = _between(-high, -low)
            return f"That is about {_putts(-value)} in a hundred {lost} fewer than is usual at this level."
        return f"That is about {_putts(value)} in a hundred {between} beyond what is usual at this level."
    if value < 0:
        return f"Mending it alone would cost about {_putts(-value)} in a hundred {_between(-high, -low)}."
    return f"Mending it brings about {_putts(value)} in a hundred {between}."


def _between(low: int, high: int) -> str:
    return f"({low} to {high})".replace("-", "−")


def halves_said(it: Finding) -> str:
    """What mending only one half of a compensation would do."""
    aim, stroke = (_half(half) for half in it.halves)
    return f"Mending the aim alone: {aim} in a hundred. Mending the stroke alone: {stroke}."


def _half(half: Estimate) -> str:
    value = round(half.value)
    low, high = sorted((abs(round(half.low)), abs(round(half.high)))) if half.is_one_side else (0, 0)
    between = f" ({low} to {high})" if high else ""
    if value == 0:
        return "nothing gained"
    return f"about {_putts(abs(value))} {'more' if value > 0 else 'fewer'}{between}"


def _putts(n: int) -> str:
    return "1 putt" if n == 1 else f"{n} putts"


NEEDS: Final[dict[Need, str]] = {
    "second_proof": "a second check of the line",
    "answers": "answers on what looks straight",
    "set_downs": "set-downs of the face",
    "aims_deg": "set-downs of the face read in degrees",
    "answers_that_agree": "answers that agree with each other",
    "marks": "ball marks read",
    "starts": "starts read",
    "impacts": "putts with the face read at impact",
    "impacts_deg": "putts with the face at impact read in degrees",
    "paths": "putts with the path read",
    "paths_deg": "putts with the path read in degrees",
    "paths_used": "putts with the path read where it can be used",
    "inside": "putts that surely start inside the window",
    "strikes": "putts with the strike noted",
    "strikes_a_side": "strikes to either side",
    "stillness": "putts with stillness noted",
    "moved": "putts in which something moved",
    "still": "putts in which nothing moved",
    "guided": "putts with the guide in view",
    "blind": "putts without it",
    "lengths": "lengths of six putts each",
    "finishes": "putts with the finish noted",
}


def missing_said(missing: Sequence[Missing]) -> str:
    """What a cause needs before it can be more than a question; empty where it has that."""
    if not missing:
        return ""
    wanted = [f"{it.need} {NEEDS[it.what]} ({it.have or 'none'} so far)" for it in missing if it.what != "second_proof"]
    if any(it.what == "second_proof" for it in missing):
        wanted.insert(0, NEEDS["second_proof"])
    return f"To be more than a question it needs {listed(wanted)}."


FACTS: Final[dict[FactCode, str]] = {
    "read": "{name} {size}, {times} read",
    "second_proof": "A second check found the line {size}",
    "body_turned": "{name} turned {where}",
    "body_stays": "{name} turned {side} each of {times}: it repeats, and may stay by the school that is held",
    "path_in_to_out": "In to out {number} of {of}, in words or by rails: a side, and no size",
    "path_out_to_in": "Out to in {number} of {of}, in words or by rails: a side, and no size",
    "struck_heel": "Struck towards the heel {number} of {of}",
    "struck_toe": "Struck towards the toe {number} of {of}",
    "holed": "{number} of {of} holed",
    "missed_by_ground": "{number} of {of} at good pace on level ground",
    "on_the_read": "The ball is started where it is read: {size}, {putts}",
    "off_the_read": "Against the read the ball starts {size}, {putts}",
    "read_off": "The read lies {size} of the line that holes it",
    "links_share": "What was read against the line all lies on one side of it",
    "links_differ": "What was read against the line lies on both sides of it",
    "looks_straight": "A rod looks straight when it points {size}, from {count}",
    "aim_with_picture": "The face aims to that side too: {size}",
    "aim_against_picture": "The face does not aim to that side: {size}",
    "mark_off": "The mark lies {size}, {times} read",
    "putter_on_mark": "The putter stands square to the mark: {size}",
    "putter_off_mark": "The putter itself stands off the mark: {size}",
    "aim_off": "At set-downs the face aims {size}, {times} read",
    "aim_side": "At address the face points {side} {number} of {of}: a side, and no size",
    "start_is": "The ball starts {size}, {putts}",
    "aim_sensed": "The sensor reads the face at address at {size}, {times}",
    "picture_explains": "What looks straight explains part of it: {size}",
    "picture_the_other_way": "What looks straight lies the other way: {size}",
    "mark_explains": "The ball mark explains part of it: {size}",
    "aim_adds": "The aim adds {size} to the start",
    "stroke_adds": "The stroke adds {size} to the start",
    "makes_up": "Putt by putt the stroke makes up for about {share} of what the aim is off",
    "may_make_up": "Putt by putt the stroke may make up for {share} of what the aim is off: check the sensor to know",
    "impact_side": "At impact the face points {side} {number} of {of}: a side, and no size",
    "impact_off": "At impact the face points {size}, {times} read",
    "square_at_address": "At address it is square: {size}",
    "off_at_address": "It is off at address already: {size}",
    "start_off": "The ball starts {size}, though the face aims square",
    "path_off": "The path is {size}, {times} read",
    "strike_off": "The strike lies {size}, {times} noted",
    "start_goes_with_strike": "Starts go with the strike: {slope}",
    "moved": "Something moved in {number} of {of} putts",
    "spread": "The starts scatter by {plain}",
    "with_guide": "With the guide in view: {size}, from {putts}",
    "without_guide": "Without it: {size}, from {putts}",
    "at_length": "At {length}: {size}, from {putts}",
    "inside_and_missed": "{number} of {of} that surely started inside the window missed",
    "missed_by_pace": "{number} of those {of} stopped short, or ran far past",
    "missed_by_unpaced": "{number} of {of}: the read or the pace, how far past was not noted",
    "missed_by_read": "{number} of {of} missed to a side, by the read",
}


def _slope(a_mm: float, units: Units) -> str:
    """How the start goes with the strike: degrees for each step of a ruler in those units."""
    if units == "feet":
        return f"{a_mm * _EIGHTH_MM:+.2f}° for every ⅛ in towards the toe".replace("-", "−")
    return f"{a_mm:+.2f}° a millimetre towards the toe".replace("-", "−")


_EIGHTH_MM: Final = 25.4 / 8


def fact_said(it: Fact, units: Units) -> str:
    """One piece of evidence."""
    size = "" if it.size is None else with_doubt(it.size)
    plain = "" if it.size is None else f"{it.size.value:.1f}° ({it.size.low:.1f}° to {it.size.high:.1f}°)"
    if it.unit == "mm" and it.size is not None:
        doubt = about(it.size.doubt / 1000, 0.0, units) if units == "feet" else f"{it.size.doubt:.0f} mm"
        size = f"{_strike(it.size, units)} (± {doubt})"
    slope = "" if it.size is None else _slope(it.size.value, units)
    form = FACTS[it.what]
    said = form.format(
        size=size,
        plain=plain,
        slope=slope,
        name=it.name.capitalize(),
        where=f"{it.side}, noted by eye" if it.size is None else f"{degrees(it.size.value, it.size.doubt)} {it.side}",
        share="" if it.size is None else f"{100 * min(it.size.value, 1.5):.0f} in a hundred",
        side=it.side,
        number=it.number,
        of=it.of,
        count=counted(it.number, "answer"),
        times=counted(it.number, "time"),
        putts=counted(it.number, "putt"),
        length=tape(it.length_m, units),
    )
    return f"{said}."


def rules_changed_said(before: str) -> str:
    """What was said of the same data before the rules changed."""
    return f"Judged anew by newer rules, with nothing read since. Before it said: {before}"


def then_said(it: ToldThen) -> str:
    """What the tool said of a finding when the coach answered."""
    if not it.weight.value and not it.weight.low:
        return f"The tool said then: {WORDS[it.word]}."
    value, low, high = (round(n) for n in (it.weight.value, it.weight.low, it.weight.high))
    return f"The tool said then: {WORDS[it.word]}, {value} in a hundred ({low} to {high})."


def through_said(it: Finding) -> str:
    """Which finding above a cause that is named too is seen through."""
    if it.explained_by is None or not it.is_named:
        return ""
    return f"Seen through {RULES[it.explained_by].name.lower()}: not a second error."
