"""What can't be set: putts, greens, rigs, aids and proofs, in words."""

from typing import Final

from ..shared.refusals import KNOWN, OPTIONS, Template

REFUSALS: Final[dict[str, Template]] = {
    "parts_count": ("Sizes of {most} things were written down here.", "at most {most}"),
    "nothing_put_right": ("These sizes stand there already.", "a size other than it was entered"),
    "read_missing": ("Say your read before the putt is started at it.", "a place beside the hole"),
    "pace_rim_assisted": (
        "At {past_m} past on this green the hole takes nothing (rim-assisted limit); keep the pace under {longest_m} "
        "past.",
        "under {longest_m}",
    ),
    "pace_free_fall": (
        "At {past_m} past on this green the hole takes nothing (free fall limit); keep the pace under {longest_m} "
        "past.",
        "under {longest_m}",
    ),
    "lengths_count": ("Usual lengths are 1 to {most} lengths; these are {told}.", "1 to {most} lengths"),
    "readings_count": (
        "Two readers read {fewest} to {most} of the same; these are {told}.",
        "{fewest} to {most} readings",
    ),
    "readings_unlike": (
        "The second reader reads the same, in the same order: {first} readings, not {second}.",
        "{first} readings",
    ),
    "number_wanted": ("A number is wanted here.", "a number"),
    "length_twice": ("This length is there already.", "each length once"),
    "no_putt_arrives": (
        "No putt arrives at that pace on this slope ({forward} % forward, {right} % to the right) and green speed "
        "({speed} ft).",
        "a slope on which the ball can stop",
    ),
    "not_outside": ("Only a read outside the edge is so far outside.", "0 unless outside"),
    "level_one_way": (
        "Read the level in at least two directions, well across each other: along the line and across it.",
        "at least 2 directions",
    ),
    "rolls_one_way": ("Roll at least one ball each way.", "at least 1 each way"),
    "rolls_too_steep": (
        "These balls tell a fall of {fall} %: no green falls so. Read the lengths and what they ran off by again.",
        "at most {most} %",
    ),
    "string_in_face": ("The string would be in the golfer's face; lower it.", "at least {least_m} under the eye"),
    "mark_over_string": ("The mark must lie under the string.", "up to {string_m}"),
    "beyond_line": ("The line ends {line_m} from the ball; it can't be watched beyond that.", "at most {line_m}"),
    "no_strictness": ("{name} is read on a scale: it has no strictness to set.", "a gate or a rail"),
    "limit_not_here": ("± {limit}° can't be had here. {why}", "{why_limit}"),
    "ruler_too_narrow": (
        "The ruler is narrower than one mark each side; widen it or read finer marks.",
        "at least {mark_m}",
    ),
    "too_many_marks": (
        "More than {most} marks each side cannot be read at a glance; use a narrower ruler or coarser marks.",
        "at most {widest_m}",
    ),
    "not_a_mark": ("{name} reads a mark of its ruler.", "a number"),
    "between_marks": (
        "That lies between two marks: this ruler is read to {mark_m}.",
        "{low_m} or {high_m}; or typed: 1 beside it, where somebody typed it",
    ),
    "beyond_ruler": (
        "{read_m} is beyond the ruler, which ends at {end_m}; record it as off the end.",
        "{end_m} either side",
    ),
    "no_instrument": ("There is no instrument “{named}”.", KNOWN),
    "rings_inside_out": ("The outer ring must lie round the inner one.", "more than {inner_m}"),
    "no_dimension": ("{name} has no dimension “{named}”.", KNOWN),
    "no_such_reading": ("This rig reads “{named}” as one of: {options}.", OPTIONS),
    "head_too_wide": ("A head of {head_m} does not pass between these pegs.", "more than {head_m}"),
    "no_degrees": ("{name} takes a reading of degrees.", "a direction, or its lower and upper limit"),
    "limits_other_way_round": ("{name} takes its lower limit first.", "a direction, or its lower and upper limit"),
    "reads_degrees": ("It reads degrees.", KNOWN),
    "strip_always_dark": (
        "Dark would be seen from straight over it; the light must be hidden, or shown, all the way across.",
        "another width of the light",
    ),
    "strip_never_dark": (
        "Dark would come into view only beyond any eye's place; the light is too wide, or too narrow, for this height.",
        "another width of the light",
    ),
    "opening_too_narrow": (
        "A ball does not pass through it. Give more, or 0 where there is no such opening.",
        "0, or at least {least_m}",
    ),
    "opening_without_inner": (
        "There is no {side} opening for it to lie beyond.",
        "0, or the inner {side} opening first",
    ),
    "no_zero_of_its_own": ("{name} has no zero of its own to check.", KNOWN),
    "too_few_tool_checks": (
        "Do it at least {fewest} times: once is how the mark happened to fall.",
        "at least {fewest} readings",
    ),
    "too_few_measured": (
        "Measure the line at least {fewest} times, anew each time: once is how the tape happened to lie.",
        "at least {fewest} measurements",
    ),
    "rolled_other_forward": (
        "The balls tell {told} % along the line, the plan says {planned} %. Take over the slope; then they prove it.",
        "the slope the balls tell",
    ),
    "rolled_other_right": (
        "The balls tell {told} % to the right, the plan says {planned} %. Take over the slope; then they prove it.",
        "the slope the balls tell",
    ),
    "too_few_checks": (
        "Read the rig at least {fewest} times without changing anything.",
        "at least {fewest} readings",
    ),
    "rig_beyond_hole": (
        "{name} at {rig_m} stands at or beyond the hole of a {putt_m} putt; put it nearer the ball.",
        "at most {room_m}",
    ),
    "too_many_aids": ("At most {most} aids lie beside a rig.", "at most {most}"),
    "aid_in_hole": ("{name}: the {part} would stand in the hole.", "{clear_m} clear of the hole's centre"),
    "watches_no_start": (
        "{name} shows this: {quantity}. It can't watch where a ball starts.",
        "an instrument that measures the ball's start",
    ),
    "no_part": ("There is no part “{named}”.", KNOWN),
    "no_kit_item": ("There is no kit check “{named}”.", "items of the kit check"),
    "no_template": ("There is no template “{named}”.", KNOWN),
    "no_sheet": ("This print has {most} sheets.", "1 to {most}"),
}
LABELS: Final[dict[str, str]] = {
    "falls_forward_percent": "Fall towards the hole",
    "falls_right_percent": "Fall to the right",
    "falls_doubt_percent": "Doubt of the slope",
    "level_direction": "Direction of the level",
    "level_reading": "Level reading",
    "zero_deg": "Zero offset",
    "noise_deg": "Reading noise",
    "check_deg": "Check reading",
    "eye_height_bent_m": "Eye height",
    "start_deg": "Start",
}
CONFLICTS: Final[dict[str, Template]] = {
    "second_reading": (
        "A reading by two with this id is kept already and says something else.",
        "Read it again.",
    ),
    "tool_check": ("A check with this id is kept already and says something else.", "Check it again."),
    "set_up_name_taken": (
        "This lesson has a set-up called “{name}” already: the two would be one.",
        "Call it something else.",
    ),
    "station_name_taken": (
        "“{name}” is kept already: two of one name could not be told apart.",
        "Give it another name, or put the other one away.",
    ),
    "station_used": ("Putts were read on this station, so it stays as it was laid.", "Keep it as a new station."),
}
