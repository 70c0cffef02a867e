"""How a refusal is told: templates for what is wrong and for what it may be (or what to do), filled with facts."""

import math
from collections.abc import Callable, Mapping
from typing import Final

from ...core.measure.constants import INCH_M
from ...core.measure.limits import Bounds, Fact, OutOfLimits, Size
from ...core.measure.units import Units, about, parts_said, tape
from .counts import counted

Template = tuple[str, str]

_COUNTED: Final = {"putts": "putt", "set-downs": "set_down", "answers": "answer"}
"""Units that are counted: one of them is not many."""
KNOWN: Final = "one of {known}"
OPTIONS: Final = "one of {options}"

REFUSALS: Final[dict[str, Template]] = {
    "void_reason_wanted": ("What is taken out of what counts needs a reason.", "a few words"),
    "time_end_of_time": ("That time lies at the end of all time.", "{since} to now, with {grace} s of grace"),
    "time_too_far_back": ("{told} lies too far back.", "{since} to now, with {grace} s of grace"),
    "time_in_future": ("{told} UTC lies in the future.", "{since} to now, with {grace} s of grace"),
    "hand_from_when": (
        "This golfer has lessons with the other hand: say from when this one is in use.",
        "from the next lesson, from the one under way, or always (it was noted wrongly)",
    ),
    "page_mark": ("This page mark is not one of ours.", "as given by the page before"),
}
LABELS: Final[dict[str, str]] = {
    "usual_weight": "How often",
    "planned": "Planned putts",
    "read_mirror": "Eyes inside",
    "read_strike": "Struck towards the toe",
    "read_body_lines": "A body line",
    "teaching_lever": "The lever",
}
EDITED: Final[dict[str, str]] = {
    "name": "Name", "hand": "Hand", "level": "Level", "notes": "Notes", "step_m": "Step",
    "usual_lengths": "Usual lengths", "usual_misses": "Usual miss", "glasses": "Glasses", "limits": "What limits",
    "wording": "How it is put",
    "place": "Place", "surface": "Surface", "green_speed_ft": "Green speed", "units": "Its papers",
    "started_at": "Begun", "conditions": "Conditions",
}  # fmt: skip
"""What is edited of golfers and lessons, by its field."""
PLANNED: Final[dict[str, str]] = {
    "distance_m": "Ball to hole", "past_m": "The pace", "green_speed_ft": "The green speed", "capture": "The hole",
    "falls_forward_percent": "The slope along the line", "falls_right_percent": "The slope across the line",
    "falls_doubt_percent": "How well the slope is known", "read": "The read", "target": "The start target",
    "rig_kind": "The rig", "rig_sizes_m": "The rig’s sizes", "across_m": "Where the rig stands across",
    "backstroke_m": "The backstroke", "aids": "What lies beside it", "golfer_says": "What the golfer said",
}  # fmt: skip
"""What is edited of a plan, by its field."""
CHANGED: Final[dict[str, dict[str, str]]] = {"field_changed": EDITED, "plan_changed": PLANNED}
"""What fields are called, by the sentence that says they were changed elsewhere."""
CONFLICTS: Final[dict[str, Template]] = {
    "changed_elsewhere": (
        "What you changed was changed elsewhere since you opened it; nothing was written over.",
        "Look at what it says now, and say yours again.",
    ),
    "plan_changed": ("{label} was changed elsewhere, too: as the plan shows it now.", ""),
    "field_changed": ("{label}: it says “{now}” by now; you saw “{seen}”.", ""),
    "lesson_of_another": ("This lesson belongs to another golfer.", "Start a new lesson for this golfer."),
    "lesson_voided": ("This lesson is voided.", "Restore the lesson, then go on."),
    "lesson_ended": ("This lesson has ended.", "Open the lesson again, then go on."),
    "end_before_start": ("A lesson can't end before it started.", "Check the clock of this device."),
}


def filled(template: str, facts: Mapping[str, Fact], units: Units) -> str:
    """A template with its facts, lengths and angles as the coach reads them."""
    return template.format_map({name: _told(name, it, units) for name, it in facts.items()})


def _told(name: str, it: Fact, units: Units) -> str:
    match it:
        case Size(metres):
            return about(metres, 0.0, units)
        case Bounds():
            return range_words(it, units)
        case tuple():
            return ", ".join(it) or "nothing"
        case OutOfLimits():
            raise TypeError("a refusal inside a refusal is told by words.refusals")
        case float() if name.endswith("_m"):
            return tape(it, units)
        case float() if name.endswith("_deg"):
            return f"{it:.1f}°"
        case float():
            return f"{it:g}"
        case _:
            return str(it)


def range_words(it: Bounds, units: Units) -> str:
    """From where to where an entry may lie."""
    if it.unit in _COUNTED:
        return f"{it.low:g} to {counted(round(it.high), _COUNTED[it.unit])}"
    low, high = it.low, it.high
    if it.unit == "m" and units == "feet":
        low, high = _inward(low, math.ceil), _inward(high, math.floor)
    return f"{value_words(low, it.unit, units)} to {value_words(high, it.unit, units)}"


def _inward(limit_m: float, to_whole: Callable[[float], int]) -> float:
    """A limit in parts of an inch as they are said, on its own side: what is said to be within is."""
    step = INCH_M / parts_said(limit_m)
    # What is round already stays, whatever its double is off.
    return to_whole(round(limit_m / step, 6)) * step


def value_words(value: float, unit: str, units: Units) -> str:
    """A value as it was entered, with its unit."""
    if unit in _COUNTED and value == round(value):
        return counted(round(value), _COUNTED[unit])
    if unit == "m" and units == "feet":
        return f"{'−' if value < 0 else ''}{tape(abs(value), units)}"
    if unit == "share":
        return f"{100 * value:g} of a hundred"
    # Small lengths are laid out and read in millimetres.
    if unit == "m" and abs(value) < 1:
        return f"{value * 1000:.4g} mm"
    return f"{value:g} {unit}".strip()
