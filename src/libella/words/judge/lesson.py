"""What else is said of a lesson judged whole: what to check next, cautions, why putts missed, the chain's links."""

from collections.abc import Sequence
from typing import Final

from ...core.judge.findings.answer import Answer
from ...core.judge.findings.chain_picture import Chain, Largest, LinkName, LinkShown
from ...core.judge.findings.guards import Guard
from ...core.judge.findings.misses import Miss, Reason
from ...core.judge.findings.misses import counted as counted_misses
from ...core.judge.findings.next_check import Check, CheckName
from ...core.measure.interval import Interval
from ...core.measure.side import Side
from ...core.measure.units import sided
from ...core.set.kit import PARTS
from ..shared.certainty import with_doubt
from ..shared.counts import counted, listed
from ..shared.inside import inside
from .claims import levels_said, quantity_name
from .judgement import DISTURBED

CHECK_NAMES: Final[dict[CheckName, str]] = {
    "second_proof": "Lay the line a second way",
    "what_looks_straight": "Ask what looks straight, eight answers",
    "marks": "Read the ball mark against the line, five times",
    "set_downs": "Set the putter down against a square reference, five times",
    "sensor": "Ten putts with the face and path read at impact",
    "strike": "Ten putts with the strike noted: spray or tape on the face",
    "stillness": "Ten putts with stillness noted: as usual, and with a wide base",
    "without_guide": "The same block without the guide",
    "three_lengths": "Six putts each from three lengths",
    "finish": "Ten putts with the finish noted, the read said before",
    "start_read": "Ten putts with the start read: a gate, a board or a line",
    "finer_start": "Ten putts on a ruler board or a wider gate: how far, not only which side",
    "ground": "Roll balls both ways, or level it: does the ground run as planned",
    "lean_string": "Lean the string’s posts until it covers the line to these eyes, then read against it again",
    "more_putts": "Ten more putts as they are",
    "perception_map": "Ask what looks straight with the head moved",
}
CHECK_STEPS: Final[dict[CheckName, str]] = {
    "second_proof": "set",
    "what_looks_straight": "see",
    "perception_map": "see",
    "marks": "aim",
    "set_downs": "aim",
    "start_read": "set",
    "finer_start": "set",
    "ground": "set",
    "lean_string": "set",
    "sensor": "sensors",
}
"""The step a check is done in; every other one is putted."""
LINK_NAMES: Final[dict[LinkName, str]] = {
    "looks_straight": "What looks straight",
    "ball_mark": "Ball mark",
    "face_aim": "Face at address",
    "delivery": "What the stroke turns",
    "face_impact": "Face at impact",
    "path": "Path",
    "strike": "What the strike adds",
    "start": "Start",
}
REASONS: Final[dict[Reason, tuple[str, str]]] = {
    "read": ("the read", "started where it was read, or inside the window: the read"),
    "pace": ("the pace", "started inside the window: the pace"),
    "short": ("stopped short", "it stopped short"),
    "ground": ("neither start nor pace", "started inside the window, at good pace, on the level"),
    "unpaced": ("the read or the pace", "started inside the window: the read or the pace"),
    "aim": ("the face aim", "the face aimed there at address"),
    "face": ("the face at impact", "the stroke turned the face"),
    "path": ("the path", "the path took it there"),
    "strike": ("the strike", "struck off the middle"),
    "start": ("the start", "started there"),
    "coarse": ("can't be told: read too coarsely", "the reading reaches over the window’s edge"),
    "unread": ("can't be told: the start was not read", "its start was not read"),
}
"""Why a putt missed: in a count of them, and of one."""
_BY_ITSELF: Final[tuple[Reason, ...]] = ("short", "coarse", "unread")
"""What became of a putt, and not what by."""
_COARSE_DEG: Final = 0.5
"""A zone about the line as wide as this is told as one."""
NOTHING_MORE: Final = "Nothing more to check here: go on to a drill."


def check_said(it: Check) -> str:
    """A check, how long it takes, and with what."""
    parts = [PARTS[one].name for one in it.parts]
    takes = f", with {listed([_a(one) for one in parts])}" if parts else ""
    lacking = (
        f" Not at hand, as far as is known: {listed([PARTS[one].name for one in it.lacking])}." if it.lacking else ""
    )
    return f"{CHECK_NAMES[it.name]}: about {it.minutes} minutes{takes}.{lacking}"


def _a(name: str) -> str:
    return f"{'an' if name[0] in 'aeiou' else 'a'} {name}"


def guard_said(it: Guard) -> str:
    """A caution."""
    match it.name:
        case "unproved":
            leans = listed([inside(quantity_name(one)) for one in it.told])
            return f"The line is not proved: until it is, {leans} can't be clear; they share what the line is off."
        case "coarse":
            return f"In {it.count} of {counted(it.of, 'block')} the rig is too coarse for this window."
        case "few":
            return f"Only {counted(it.count, 'putt')} so far: a verdict needs {it.of} or so to hold."
        case "voids":
            return f"{it.count} of {counted(it.of, 'putt')} were voided: look at why before trusting the rest."
        case "mixed":
            return "Putts with the guide in view and without are told apart: what is said first is of one of them."
        case "several_ways":
            none = "" if it.of else " and none of them as usual"
            return f"Putted in {counted(it.count, 'way')}{none}: each is told by itself."
        case "conditions":
            of = f"{it.count} of {counted(it.of, 'block')}"
            return f"Otherwise than as usual: {of}, told by themselves."
        case "unsorted":
            names = listed([f"“{one}”" for one in it.told])
            return f"{names}: typed before, told by itself until you say what it meant."
        case "warm_up":
            first, last = (with_doubt(one) for one in it.values)
            return f"The first {it.count} putts started {first}, the last {it.count} {last}: that may be warming up."
        case "tiring":
            first, last = (f"{one.value:.1f}°" for one in it.values)
            return (
                f"The spread grew from {first} in the first {it.count} putts to {last} in the last: rest, then again."
            )
        case "outliers":
            with_, without = (with_doubt(one) for one in it.values)
            level = it.level
            name = "" if level is None else f"{quantity_name(level.quantity.name)}, {levels_said(level.levels)}: "
            return f"{name}{it.count} of {it.of} far off the others, kept: with {with_}, without {without}."
        case "disturbed":
            return f"Disturbed by {listed([DISTURBED[one] for one in it.told])}: less sure for it, by a stated amount."
        case "sensor_and_hand":
            hand, sensed = (with_doubt(one) for one in it.values)
            return f"Sensor and hand disagree on the aim: by hand {hand}, by sensor {sensed}. Check the sensor's zero."
        case "felt":
            start = with_doubt(it.values[0])
            return f"What felt straight started {start}, in {counted(it.count, 'call')}: feel and real differ."
        case "one_sided":
            return f"{it.count} of {it.of} misses to a side went {it.told[0]}."
        case "read_off":
            return f"{it.count} of {it.of} that started inside the window went {it.told[0]}: the read, not the start."
        case "costly":
            return f"The starts' bias costs more than the {it.count} in a hundred that are fine for this level."
        case "one_change":
            return "More than one thing is named: change one, measure again, then the next."


def misses_said(told: Sequence[Miss]) -> str:
    """All misses in one breath, their sides first."""
    if not told:
        return "No miss was recorded."
    sides = [f"{n} {side}" for side in ("left", "right") if (n := sum(it.side == side for it in told))]
    parts = [
        f"{n} {REASONS[reason][0]}" if reason in _BY_ITSELF else f"{n} by {REASONS[reason][0]}"
        for reason, n in counted_misses(told)
    ]
    off = [f"{n} of them off the {end}" for end in ("heel", "toe") if (n := sum(it.off == end for it in told))]
    where = f", {' and '.join(sides)}" if sides else ""
    return f"{len(told)} missed{where}: {', '.join(parts)}{'; ' if off else ''}{', '.join(off)}."


def miss_said(it: Miss) -> str:
    """Why one putt missed."""
    start = "" if it.start is None else f", {_started(it.start, it.open_side)}"
    adds = "" if it.adds_deg is None else f" ({sided(it.adds_deg)} of it)"
    off = f", off the {it.off}" if it.off else ""
    where = " and ".join(one for one in (it.length, it.side if it.side != "neither" else "") if one)
    return f"Putt {it.nth}{f', {where}' if where else ''}{start}{off}: {REASONS[it.reason][1]}{adds}."


def _started(it: Interval, open_side: Side) -> str:
    """Where one putt started, no finer than it was read."""
    if open_side != "neither":
        return f"started at least {min(abs(it.low), abs(it.high)):.1f}° {open_side}"
    if it.high - it.low > _COARSE_DEG and 0 in it:
        return f"started within ± {max(-it.low, it.high):.1f}°"
    return f"start {sided(it.anchor)}"


def link_said(it: LinkShown) -> str:
    """One link, with what it adds."""
    spread = "" if it.spread is None else f", spread {it.spread.value:.1f}°"
    # What the strike adds is told in what it adds: once is enough.
    adds = "" if it.adds is None or it.adds == it.bias else f"; adds {with_doubt(it.adds)} to the start"
    return f"{with_doubt(it.bias)}{spread}{adds}."


def ray_said(it: LinkShown) -> str:
    """The label of a ray of the fan."""
    return f"{LINK_NAMES[it.name]} {sided(it.bias.value)}"


def chain_said(it: Chain) -> str:
    """The largest link in bias and in spread, with its share."""
    said: list[str] = []
    if it.bias is not None:
        said.append(f"Largest in the bias: {_largest(it.bias)}.")
    if it.spread is not None:
        said.append(f"Largest in the spread: {_largest(it.spread)}.")
    return " ".join(said)


def _largest(it: Largest) -> str:
    value, low, high = (round(100 * n) for n in (it.share.value, it.share.low, it.share.high))
    return f"{LINK_NAMES[it.name].lower()}, {value} % of it ({low} to {high} %)"


def fan_said(times: int) -> str:
    """How the fan is drawn."""
    across = "" if times == 1 else f", across the line × {times}"
    return f"From above{across}; ball and face enlarged."


ANSWERS: Final[dict[Answer, str]] = {"accepted": "Accepted", "rejected": "Rejected", "overridden": "Said otherwise"}


def answer_said(answer: Answer, words: str) -> str:
    """What the coach said of a finding."""
    return f"{ANSWERS[answer]}: {words}" if words else f"{ANSWERS[answer]}."
