"""What a golfer's own data say where coaches contradict each other; who holds what; in words."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.change.drills import drills
from ...core.change.proposal import PROPOSALS
from ...core.change.school_told import SchoolTold
from ...core.golfer.hand import Hand
from ...core.green.capture import Capture
from ...core.instruments import instruments
from ...core.judge.findings.ranked import RULES
from ...core.measure.side import side_of
from ...core.measure.units import Units, degrees, tape
from ...core.schools.held import HeldSchool, Whose
from ...core.schools.school import First, School, Settings, Stays, Told
from ...core.start.path import PathName
from ..judge.claims import open_or_closed
from ..shared.certainty import WORDS
from ..shared.counts import counted, listed

STEP_NAMES: Final[dict[Told, str]] = {
    "set": "What is laid",
    "stand": "Set-up",
    "see": "Eyes",
    "aim": "Aim",
    "start": "Stroke",
    "judge": "Judging",
    "change": "Change",
    "keep": "Practice",
}
NOTHING_TOLD: Final = "Nothing read of this golfer tells yet."
NO_GOLFER: Final = "What a golfer’s own readings say of it stands on that golfer’s page."
_BY: Final[dict[Whose, str]] = {"golfer": "Held for this golfer", "coach": "Held by the coach"}
_CAPTURES: Final[dict[Capture, str]] = {"rim_assisted": "the rim helps", "free_fall": "free fall only"}
_TRACES: Final = {"ball_to_hole": "from ball to hole", "hole_to_ball": "from hole to ball"}
_CUES: Final = {
    "line": "a line on the ball",
    "stripe": "a wide stripe on the ball",
    "blank": "no mark",
    "near_spot": "a spot ahead",
}
_PATHS: Final[dict[PathName, str]] = {
    "straight": "straight back and through",
    "arc": "an arc",
    "arc_then_straight": "an arc back, straight through",
}
_FIRSTS: Final[dict[First, str]] = {
    "picture": "the picture",
    "numbers": "the numbers",
    "touch": "what was counted",
    "feel": "what was felt",
}
_STAYS: Final[dict[Stays, str]] = {
    "face_offset": "Where the starts are fine, a face that repeats off square may stay.",
    "body_lines": "Body lines that repeat may stay as they are.",
}
_ALONE: Final[dict[str, str]] = {
    "leans_on_guide": "With the guide the starts are good, without it they are not",
    "grows": "The miss grows with the length",
}


def told_said(it: SchoolTold, hand: Hand) -> str:
    """What the readings say, with how sure that is."""
    return f"{_found(it, hand)}: {WORDS[it.sure]}."


def _found(it: SchoolTold, hand: Hand) -> str:
    if it.what in _ALONE:
        return _ALONE[it.what]
    if it.what == "mostly_short":
        return f"{it.number} of {counted(it.of, 'putt')} stopped short: none of these could fall"
    if it.what == "holed_from_outside":
        return f"{it.number} of {counted(it.of, 'holed_putt')} started outside the window"
    if it.change and it.what == "cause_named":
        return f"{RULES[it.change].name} is what costs this golfer most"
    if it.change:
        better = "better" if it.what == "retest_better" else "worse"
        return f"“{PROPOSALS[it.change].what}” was retested, and is {better}"
    assert it.size is not None
    return _sized(it.what, it.size, hand)


def _sized(what: str, size: Estimate, hand: Hand) -> str:
    at = f"{degrees(size.value, size.doubt)} {side_of(size.value)}"
    turned = open_or_closed("face", size.value > 0, hand)
    match what:
        case "picture_true":
            return "From where the eyes are now, straight looks straight"
        case "picture_off":
            return f"From where the eyes are now a line must point {at} to look straight"
        case "aim_with_picture":
            return f"The face aims {at}, to where straight looks straight"
        case "aim_against_picture":
            return f"The face aims {at}, away from where straight looks straight"
        case "swings_left":
            return "As the eyes go in, a true line seems to this golfer to swing left"
        case "swings_right":
            return "As the eyes go in, a true line seems to this golfer to swing right"
        case "off_and_fine":
            return f"The face aims {at}{turned}, and the starts have nothing to mend"
        case "off_and_costs":
            return f"The face aims {at}{turned}, and it costs putts"
        case "share_of_face":
            low, high = round(100 * size.low), round(100 * size.high)
            return f"Of this golfer’s starts the face makes {round(100 * size.value)} in a hundred ({low} to {high})"
        case "stroke_turns":
            return f"The stroke turns the face {at}{turned}"
        case _:
            return f"What feels straight starts {at}"


def stands_said(it: SchoolTold | None, held: HeldSchool) -> str:
    """How the readings stand to the school that is held; empty while they say nothing."""
    if it is None:
        return ""
    if not it.school:
        return "That stands above every school: none of them is proved by it."
    if it.school == held.school.code:
        return "That speaks for it."
    return f"That stands above it, and speaks for “{held.of.schools[it.school].name}”."


def held_said(it: HeldSchool) -> str:
    """A school that is held, with what it says."""
    return f"{it.school.name}. {it.school.words}"


def by_said(it: Whose | None) -> str:
    """Who holds it."""
    return "Nobody said: nothing is taken for granted" if it is None else _BY[it]


def changes_said(it: School, units: Units) -> list[str]:
    """What declaring it changes, one thing a sentence; empty where it is words alone."""
    return [*_settings_said(it.settings, units), *_offers_said(it)]


def _settings_said(it: Settings, units: Units) -> list[str]:
    said: list[str] = []
    if it.past_m is not None:
        said.append(f"A new plan’s pace: {tape(it.past_m, units)} past the hole.")
    if it.capture is not None:
        said.append(f"A new plan’s hole: {_CAPTURES[it.capture]}.")
    if it.hole is not None:
        said.append(f"A new block is putted {'to a hole' if it.hole else 'to an aim point, with no hole'}.")
    if it.gate_at_m is not None:
        said.append(f"A gate is proposed {tape(it.gate_at_m, units)} ahead of the ball.")
    if it.line_by:
        names = listed([instruments()[kind].about.name.lower() for kind in it.line_by])
        said.append(f"Proposed first: {names}.")
    if it.eyes_mm is not None:
        low, high = (tape(edge / 1000, units) for edge in it.eyes_mm)
        said.append(f"Eyes are wanted from {low} to {high} inside the line.")
    if it.trace is not None:
        said.append(f"What looks straight is asked {_TRACES[it.trace]} first.")
    if it.cue is not None:
        said.append(f"Set-downs begin with: {_CUES[it.cue]}.")
    if it.path is not None:
        said.append(f"A new block declares its path: {_PATHS[it.path]}.")
    if it.k is not None:
        share = f"The face makes {round(100 * it.k.value)} in a hundred of the start"
        said.append(f"{share}, where the golfer’s own putts do not tell.")
    if it.lengths:
        said.append(f"Weighed at {listed([tape(one.distance_m, units) for one in it.lengths])}, where none were noted.")
    if it.one_level:
        said.append("Every golfer is held to the bands of those who play for a living.")
    if it.causes:
        names = listed([RULES[cause].name.lower() for cause in it.causes])
        said.append(f"Among questions nothing speaks for, these come first: {names}.")
    if it.first is not None:
        said.append(f"On Judge, first: {_FIRSTS[it.first]}.")
    if it.days_a_week is not None:
        said.append(f"A new plan: {counted(it.days_a_week, 'day')} a week, {it.minutes_a_day} minutes each.")
    return said


def _offers_said(it: School) -> list[str]:
    said: list[str] = []
    for codes, how in ((it.offers, "Offered first"), (it.leaves, "Offered last")):
        if codes:
            said.append(f"{how}: {listed([f'“{_offered(code)}”' for code in codes])}.")
    said += [_STAYS[it] for it in it.stays]
    return said


def _offered(code: str) -> str:
    return PROPOSALS[code].what if code in PROPOSALS else drills()[code].name
