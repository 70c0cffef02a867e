"""An instrument's own check, in words: what to do, and what it found."""

from typing import Final

from ...core.measure.side import side_of
from ...core.measure.units import Units, about
from ...core.set.tool_check import ToolCheck, ToolZero, Way
from ..shared.counts import counted

HOW: Final[dict[str, str]] = {
    "rod_beside": (
        "Lay the rod to the line and mark its far end. Roll it half over about its length, near end on the same "
        "spot: "
        "how far right of the first mark does the far end lie now?"
    ),
    "square_reference": (
        "Set the reference to the line and mark the far end of its edge. Turn it over, corner on the same spot: how "
        "far right of the first mark does the far end lie now?"
    ),
    "ball_box": (
        "Lay the box's long edge to the line and mark its far corner. Turn the box upside down, near corner on "
        "the same "
        "spot, the same edge to the line: how far right of the first mark does the far corner lie now?"
    ),
    "bridge_gate": (
        "Mark on the floor where both pillars stand, and how far that is from the ball. Turn the bridge round, "
        "its feet "
        "on the same spots: how far right of the first marks does the opening lie now?"
    ),
    "bridge_row": (
        "Mark on the floor where the middle opening's pillars stand, and how far that is from the ball. Turn the "
        "bridge "
        "round, its feet on the same spots: how far right of the first marks does the middle opening lie now? So all "
        "its parts are centred together."
    ),
    "rail_square": (
        "Lay the rail along a drawn line and mark the right end of its square. Turn the rail over on the same "
        "line, its "
        "near end on the same spot: how much nearer the hole is the right end now?"
    ),
    "t_mark": (
        "Tape from a point at least 1 m down the stem to each end of the bar: by how much is it longer to the right "
        "end? Minus where the left one is longer."
    ),
    "ground_laser": (
        "Mark where its line falls far out. Turn the laser over, or stand it at the other side of its base, near "
        "point "
        "on the same spot: how far right of the first mark does the line fall now?"
    ),
    "ground_string": (
        "Sight along the string from behind with one eye, over both marks: how far right of the far mark does it pass?"
    ),
    "elevated_string": (
        "Drop a plumb from the string at both ends; lay its near end on the line: how far right of the line does the "
        "far plumb hang?"
    ),
    "face_mirror": (
        "Press the putter with its mirror against an edge known to be square to the line, laser on: read the spot, "
        "take the putter off, and again."
    ),
    "putter_laser": (
        "Press the putter with its laser against an edge known to be square to the line: read the spot, take the "
        "putter off, and again."
    ),
    "strip_bar": (
        "Drop a plumb from both edges of the bar: how far beyond the light does it fall on the golfer's side, and "
        "how "
        "far on the other? Minus where the light shows. Set it down anew, and again."
    ),
    "strip_slot": (
        "Drop a plumb from both edges of the slot: how far inside the light does it fall on the golfer's side, "
        "and how "
        "far on the other? Minus where it falls on the dark. Set it down anew, and again."
    ),
    "ground_mirror": (
        "Stand still over the mirror and mark one eye, the other closed. Turn the mirror end for end on its spot and "
        "mark the same eye again."
    ),
}
"""What to do, by the kind of instrument."""
ASKS: Final[dict[Way, str]] = {
    "turned": "Turned over",
    "sighted": "Sighted",
    "flipped": "Turned over on its line",
    "halves": "Both halves taped",
    "square": "Against the square edge",
    "end_for_end": "Turned end for end",
    "centred": "Plumbed at both edges",
}
SIZES: Final[dict[Way, tuple[str, ...]]] = {
    "turned": ("checked_over", "moved_m"),
    "sighted": ("checked_over", "moved_m"),
    "flipped": ("checked_to_end", "moved_nearer"),
    "halves": ("checked_bar", "right_longer"),
    "square": (),
    "end_for_end": ("marked_inside", "marked_behind", "marked_inside_turned", "marked_behind_turned"),
    "centred": ("gap_near", "gap_far"),
}
"""What each way asks, by the names of the vocabulary's sizes."""
NOT_CHECKED: Final = "Not checked in this lesson: its own error counts as none."


def tool_words(check: ToolCheck, zero: ToolZero, units: Units) -> str:
    """What a check found."""
    times = counted(zero.checks, "time")
    if check.way == "end_for_end":
        return _mirror(zero, times, units)
    if check.way == "centred":
        return _strip(zero, times, units)
    size = f"{abs(zero.right_deg):.2f}° (± {zero.doubt_deg:.2f}°)"
    if abs(zero.right_deg) <= 2 * zero.doubt_deg:
        return f"Checked {times}: true as far as that tells (± {zero.doubt_deg:.2f}°)."
    side = side_of(zero.right_deg)
    return f"Checked {times}: by itself it points {size} {side}; that is put right in all it reads here."


def _mirror(zero: ToolZero, times: str, units: Units) -> str:
    if max(abs(zero.inside_m), abs(zero.behind_m)) <= 2 * zero.doubt_m:
        return f"Checked {times}: true as far as that tells (± {about(zero.doubt_m, 0.0, units)})."
    inside = f"{about(abs(zero.inside_m), 0.0, units)} {'inside' if zero.inside_m > 0 else 'outside'}"
    behind = f"{about(abs(zero.behind_m), 0.0, units)} {'behind' if zero.behind_m > 0 else 'ahead'}"
    return f"Checked {times}: by itself it shows an eye {inside} and {behind}; that is put right in every mark here."


def _strip(zero: ToolZero, times: str, units: Units) -> str:
    if abs(zero.inside_m) <= 2 * zero.doubt_m:
        return f"Checked {times}: centred as far as that tells (± {about(zero.doubt_m, 0.0, units)} at the eye)."
    inside = f"{about(abs(zero.inside_m), zero.doubt_m, units)} {'inside' if zero.inside_m > 0 else 'outside'}"
    return f"Checked {times}: by itself it shows an eye {inside}; that is put right in every look through it here."
