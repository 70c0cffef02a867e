"""Everything that can be chosen or entered, in words: the names of codes, and each size with its limits and unit.

The front end types none of this again: it asks for it once.
"""

from dataclasses import dataclass
from functools import cache
from typing import Final

from ..core.aim.links import ANGLE, PLANNED
from ..core.aim.links import SEEN as AIM_SEEN
from ..core.golfer.golf_round import LENGTH as FIRST_PUTT
from ..core.golfer.kit import HEAD as KIT_HEAD
from ..core.golfer.kit import LENGTH as KIT_LENGTH
from ..core.golfer.kit import LIE as KIT_LIE
from ..core.golfer.kit import LOFT as KIT_LOFT
from ..core.golfer.level import LEVELS
from ..core.golfer.step import STEP
from ..core.green.capture import DISTANCE, GREEN_SPEED, PAST
from ..core.green.read import OUTSIDE
from ..core.green.slope import DRIFTED, FALLS, ROLLED, SLOPE_DOUBT
from ..core.green.usual import WEIGHT
from ..core.instruments.light_strip import TURNS
from ..core.instruments.string_sight import EYES, STRING_HEIGHT
from ..core.judge.chain import K
from ..core.judge.disturbed import DISTURBANCES
from ..core.keep.convert import LENGTH as CONVERT_LENGTH
from ..core.measure.limits import Bounds
from ..core.see.eyes import PLACE
from ..core.see.method import AWAY, BESIDE
from ..core.see.method import SEEN as BESIDE_SEEN
from ..core.see.one_way import AWAY as EYES_AWAY
from ..core.see.one_way import FALLS as MIRROR_FALLS
from ..core.see.one_way import HEIGHT, LEVEL_DOUBT, SEEN
from ..core.see.position import MOVED
from ..core.set.objections import BACKSTROKE
from ..core.set.proof import AT, DOUBT, OFFSET
from ..core.set.station import ACROSS
from ..core.set.tool_check import GAP as TOOL_GAP
from ..core.set.tool_check import MARK as TOOL_MARK
from ..core.set.tool_check import MOVED as TOOL_MOVED
from ..core.set.tool_check import OVER as TOOL_OVER
from ..core.start.path import BALL_AHEAD
from ..core.start.pauses import MINUTES, SPOT_PUTTS
from ..core.start.turns import EACH, RUN
from .aim.links import CUES, LINKS
from .change.about import ABOUT_NAMES, ABOUT_TELLS
from .change.change import KIND_NAMES
from .change.complaint import FELT_NAMES, GLASSES_NAMES, LIMIT_NAMES, MISS_NAMES, WANT_NAMES
from .change.kit import MARK_NAMES
from .judge.claims import FACTOR_NAMES
from .judge.comparison import QUESTIONS
from .judge.judgement import DISTURBED
from .keep.converter import WAY_NAMES
from .keep.logbook import SORT_NAMES
from .shared.flags import flag_choices
from .start.run import ORDERS, PATHS


@dataclass(frozen=True, slots=True)
class EntryWords:
    """A size to enter: its name, a hint, its unit, its limits, and one step of the thumb.

    `fine`: a length that is read in the small unit, though it may be long.
    """

    label: str
    hint: str
    unit: str
    low: float
    high: float
    step: float
    fine: bool = False


def _entry(label: str, bounds: Bounds, step: float, hint: str = "", *, fine: bool = False) -> EntryWords:
    return EntryWords(label, hint, bounds.unit, bounds.low, bounds.high, step, fine)


ENTRIES: Final[dict[str, EntryWords]] = {
    "distance_m": _entry("Ball to hole", DISTANCE, 0.1, "To the hole’s centre."),
    "past_m": _entry("Pace past the hole", PAST, 0.05, "Where it would stop if it missed: an opinion."),
    "green_speed_ft": _entry("Green speed", GREEN_SPEED, 0.5, "Feet on the ramp."),
    "outside_m": _entry("Outside the edge by", OUTSIDE, 0.01, fine=True),
    "falls_percent": _entry("Slope", FALLS, 0.1),
    "falls_doubt_percent": _entry("Known to ±", SLOPE_DOUBT, 0.1),
    "rolled_m": _entry("Rolled", ROLLED, 0.05),
    "drifted_m": _entry("Drifted right", DRIFTED, 0.01, "As rolled; left −.", fine=True),
    "across_m": _entry("Right of the start line", ACROSS, 0.001, "On a break; left of it −."),
    "backstroke_m": _entry("The head goes back", BACKSTROKE, 0.01),
    "measured_at": _entry("Measured this far from the ball", AT, 0.05),
    "moved_m": _entry("Lies to the right by", TOOL_MOVED, 0.001, "Left −."),
    "checked_over": _entry("Near end to the mark", TOOL_OVER, 0.05),
    "checked_to_end": _entry("Rail to the square’s right end", TOOL_OVER, 0.01, fine=True),
    "moved_nearer": _entry("Nearer the hole by", TOOL_MOVED, 0.001, "Further from it −."),
    "checked_bar": _entry("Length of the bar", TOOL_OVER, 0.01, fine=True),
    "right_longer": _entry("To the right end it is longer by", TOOL_MOVED, 0.001, "Left end longer −."),
    "gap_near": _entry("On the golfer’s side", TOOL_GAP, 0.001),
    "gap_far": _entry("On the other side", TOOL_GAP, 0.001),
    "marked_inside": _entry("Eye inside", TOOL_MARK, 0.001, "Outside −."),
    "marked_behind": _entry("Eye behind", TOOL_MARK, 0.001, "Ahead of the ball −."),
    "marked_inside_turned": _entry("Turned: eye inside", TOOL_MARK, 0.001, "Outside −."),
    "marked_behind_turned": _entry("Turned: eye behind", TOOL_MARK, 0.001, "Ahead of the ball −."),
    "found_beside": _entry("Line found to the right by", OFFSET, 0.001, "Left of true −."),
    "step_m": _entry("Step length", STEP, 0.01, "Heel to heel, as the golfer paces off a putt.", fine=True),
    "usual_length_m": _entry("Length", DISTANCE, 0.5),
    "usual_weight": _entry("How often", WEIGHT, 1.0),
    "eye_inside_m": _entry("Eye inside", PLACE, 0.001, "Outside −."),
    "eye_behind_m": _entry("Eye behind", PLACE, 0.001, "Ahead of the ball −."),
    "first_moved_m": _entry("Moved by", Bounds(0.0, 0.15, "m"), 0.005, "Where it was measured."),
    "eyes_away": _entry("How far", EYES_AWAY, 0.005, "Left empty: the side alone was told."),
    "eye_seen_m": _entry("Smallest mark", SEEN, 0.001, "The spacing you really read to."),
    "eye_height_m": _entry("Eyes above the mirror", HEIGHT, 0.01),
    "mirror_falls_percent": _entry("Mirror falls", MIRROR_FALLS, 0.1),
    "level_doubt_percent": _entry("Level read to ±", LEVEL_DOUBT, 0.1, "What it leaves unknown is drawn as a patch."),
    "string_height_m": _entry("String’s height", STRING_HEIGHT, 0.01, "Over the ground; posts upright on the line."),
    "string_eye_m": _entry("Sighting eye inside", EYES, 0.005, "Outside the line is minus."),
    "string_covers_m": _entry("It covers, outside the line", EYES, 0.001, "On the golfer’s side −."),
    "string_seen_m": _entry("Seen to ±", DOUBT, 0.001, "How finely you can tell."),
    "turns_m": _entry("Strip turns dark at", TURNS, 0.001, "How far the eye may be beside the line."),
    "away_m": _entry("Rod’s far end", AWAY, 0.1, "From the ball, where it is laid and read."),
    "beside_m": _entry("Beside the line", BESIDE, 0.005, "Right +, left −.", fine=True),
    "beside_seen_m": _entry("Read to ±", BESIDE_SEEN, 0.001),
    "moved_mm": _entry("Moved", MOVED["mm"], 5.0),
    "moved_deg": _entry("Turned", MOVED["deg"], 1.0),
    "square_m": _entry("Gap", Bounds(-0.01, 0.01, "m"), 0.001, "At the right end +, at the left end −."),
    "ball_ahead_m": _entry("Ball ahead of the arc’s middle", BALL_AHEAD, 0.01),
    "aim_deg": _entry("Angle", ANGLE, 0.5, "Right +, left −."),
    "aim_seen_deg": _entry("Read to ±", AIM_SEEN, 0.1),
    "set_downs": _entry("Set-downs", PLANNED, 1.0),
    "each": _entry("Putts under each", EACH, 1.0),
    "run": _entry("Putts in a run", RUN, 1.0),
    "spot_putts": _entry("Putts from one spot", SPOT_PUTTS, 1.0),
    "pause_min": _entry("Minutes", MINUTES, 1.0),
    "k": _entry("Share of the face", K, 0.01),
    "convert_length": _entry("At a length of", CONVERT_LENGTH, 0.5),
    "first_putt": _entry("First putt", FIRST_PUTT, 0.5, "To the hole’s centre."),
    "kit_length_m": _entry("Length in hand", KIT_LENGTH, 0.01, "From the ground to the upper hand’s end."),
    "kit_lie_deg": _entry("Lie", KIT_LIE, 0.5),
    "kit_loft_deg": _entry("Loft", KIT_LOFT, 0.5),
    "kit_head_g": _entry("Head", KIT_HEAD, 5.0, "With its weights."),
    "file_distance_m": _entry("Length of the putts", DISTANCE, 0.5),
    "file_rig_m": _entry("Offsets are read at", Bounds(0.05, 3.0, "m"), 0.05),
}
"""Every size that is not a dimension of an instrument or an entry of a set-up: those come with their own."""

ROUTINES: Final = ("one look", "two looks", "no practice stroke", "practice stroke first", "quicker", "slower")
"""How else a putt is often gone about; a coach may type any other."""
_CHOICES: Final[dict[str, dict[str, str]]] = {
    "hand": {"right": "Right-handed", "left": "Left-handed"},
    "hand_from": {
        "next": "From the next lesson on",
        "now": "From the lesson under way on",
        "always": "Always: it was noted wrongly",
    },
    "surface": {"indoor_mat": "indoor mat", "carpet": "carpet", "green": "green"},
    "units": {"metric": "metres", "feet": "feet and inches"},
    "place": {
        "none": "No read",
        "centre": "Centre",
        "inside_edge": "Inside edge",
        "edge": "Edge",
        "outside": "Outside",
    },
    "target": {"computed": "The computed aim point", "read": "My read"},
    "capture": {"rim_assisted": "Rim helps", "free_fall": "Free fall only"},
    "covers": {"off": "off it", "edge": "edge", "quarter": "quarter", "splits": "splits it"},
    "strip": {"dark_near": "Dark at the near edge", "light": "Light", "dark_far": "Dark at the far edge"},
    "strip_device": {"bar": "Under a bar", "slot": "Through a slot"},
    "trace": {"as_usual": "As usual", "ball_to_hole": "Ball to hole", "hole_to_ball": "Hole to ball"},
    "eyes": {"both": "Both", "left": "Left alone", "right": "Right alone"},
    "glasses": {"none": "Wears none", "on": "On", "off": "Off"},
    "ball_mark": {code: f"{name[0].upper()}{name[1:]}" for code, name in MARK_NAMES.items()},
    "seen_from": {
        "behind": "From behind the ball",
        "front": "Facing the golfer",
        "above": "From above",
        "far_side": "From beyond the hole",
    },
    "convert": {way: f"{name[0].upper()}{name[1:]}" for way, name in WAY_NAMES.items()},
    "round_side": {"left": "◂ Left", "right": "Right ▸"},
    "round_pace": {"short": "Short", "past": "Past"},
    "toward": {"hole": "The hole", "start": "The start target"},
    "wording": {"": "By level", "plain": "Plain", "dense": "With numbers"},
    "sighting_eye": {"": "Not known", "left": "Left", "right": "Right"},
    "string_against": {"ball_line": "The line on the ball", "putter_line": "The line on the putter"},
    "eyes_told": {
        "inside": "Inside",
        "over": "Over the line",
        "outside": "Outside",
        "behind": "Behind the ball",
        "level": "Level with it",
        "ahead": "Ahead of it",
    },
    "eye_way": {"mirror": "In the mirror", "plumb": "By plumb", "string": "By a string", "strip": "By a strip"},
    "looks": {"left": "◂ Left", "straight": "Straight", "right": "Right ▸"},
    "turned_from": {"left": "◂ From the left", "right": "From the right ▸"},
    "looker": {"": "Not said", "golfer": "The golfer, over the ball", "coach": "You, behind the line"},
    "aid_seen": {"natural": "No aid in view", "aided": "Aid in view"},
    "rig_seen": {"blind": "Out of view", "guided": "In view"},
    "putted": {"hole": "To a hole", "none": "No hole, to an aim point"},
    "aim_comparing": {"cue": "The cue", "set_up": "How it is set down", "aided": "The aid in view"},
    "comparing": {
        "set_up": "Set-up",
        "cue": "Cue",
        "kit": "Putter or ball",
        "routine": "Routine",
        "guide": "With the aid, without, other side",
        "length": "Several distances",
        "hole_side": "Side of the hole",
        "trial": "A try of your own",
    },
    "see_part": {
        "first": "First look",
        "straight": "What looks straight",
        "eyes": "Where the eyes are",
        "map": "What moves it",
        "check": "Quick check",
    },
    "routine": {it: it for it in ROUTINES},
    "flag": flag_choices(),
    "disturbance": {it: DISTURBED[it] for it in DISTURBANCES},
    "score": {"1": "1", "2": "2", "3": "3", "4": "4", "5": "5"},
    "measures": {
        "start": "Where the ball starts",
        "face": "Where the face aims",
        "eyes": "Where the eyes are",
        "body": "Body lines",
        "handle": "How the handle leans",
        "path": "The head’s path",
        "strike": "Where it is struck",
        "pace": "Pace",
    },
    "fit": {
        "good": "This rig will do",
        "unsure": "Its aim is not known well enough",
        "coarse": "Too coarse",
        "short": "Too short",
        "strict": "Too strict",
        "loose": "Too wide",
        "cannot": "Not with this rig here",
    },
    "outside": {"left": "◂ Left", "right": "Right ▸"},
    "paper": {"a4": "A4", "letter": "US Letter"},
    "file_state": {"given": "not taken in yet", "taken": "taken in", "undone": "undone"},
    "decimal": {".": "point", ",": "comma"},
    "first_in_date": {"day": "day", "month": "month"},
    "sensor_to_pair": {
        "face_and_path": "Pair a face-and-path sensor",
        "start_board": "Pair a start-line board",
        "level": "Pair a wireless level",
    },
    "sensor_tells": {
        "face_and_path": "Face at address and at impact, path, strike, tempo.",
        "start_board": "Where each ball starts; with a start reader as the rig it records by itself.",
        "level": "How the floor falls, both ways, as it lies.",
    },
    "told": {
        "face_address_deg": "Address",
        "face_impact_deg": "Impact",
        "path_deg": "Path",
        "start_deg": "Start",
    },
    "side": {
        "right": "right",
        "left": "left",
        "open": "open",
        "closed": "closed",
        "in_to_out": "in to out",
        "out_to_in": "out to in",
        "toe": "toe",
        "heel": "heel",
        "high": "high",
        "low": "low",
    },
}


@cache
def choices() -> dict[str, dict[str, str]]:
    """What can be chosen: for each kind of choice its codes, each with its name, in the order they are shown."""
    named = {
        "level": {code: it.name for code, it in LEVELS.items()},
        "link": {code: it.name for code, it in LINKS.items()},
        "cue": dict(CUES),
        "path": dict(PATHS),
        "order": dict(ORDERS),
        "factor": dict(FACTOR_NAMES),
        "question": dict(QUESTIONS["start"]),
        "aim_question": dict(QUESTIONS["aim"]),
        "miss": dict(MISS_NAMES),
        "about": dict(ABOUT_NAMES),
        "about_tells": dict(ABOUT_TELLS),
        "felt": dict(FELT_NAMES),
        "want": dict(WANT_NAMES),
        "limit": dict(LIMIT_NAMES),
        "worn": dict(GLASSES_NAMES),
        "change_kind": dict(KIND_NAMES),
        "log": dict(SORT_NAMES),
    }
    return _CHOICES | {kind: {str(code): name for code, name in told.items()} for kind, told in named.items()}
