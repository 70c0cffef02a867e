"""What can't be recorded: blocks, putts and their notes, comparisons, sensors and strokes, in words."""

from typing import Final

from ..shared.refusals import OPTIONS, Template

_ANY: Final = "any of {known}"

REFUSALS: Final[dict[str, Template]] = {
    "no_note": ("There is no note “{named}”.", _ANY),
    "note_not_asked": ("This block does not ask for that.", "{asks}"),
    "note_no_option": ("{label} can't be “{told}”.", OPTIONS),
    "note_is_size": ("{label} is a size.", "{bounds}"),
    "nothing_watched": (
        "Nothing is watched here: choose what is noted of every putt, where it finished for one.",
        "at least one note",
    ),
    "note_needs_string": ("Without a string over the line this can't be noted: {label}.", "lay a string under Set"),
    "note_needs_hole": ("Without a hole this can't be noted: {label}.", "notes that need no hole"),
    "no_flag": ("That can't be said of such a reading: “{named}”.", _ANY),
    "no_disturbance": ("There is no disturbance “{named}”.", _ANY),
    "conditions_count": ("A comparison has 2 to {most} conditions.", "2 to {most}"),
    "stroke_tells_nothing": ("A stroke tells at least one thing.", "one or more of {known}"),
    "no_measure": ("There is no measure “{named}”.", _ANY),
    "still_too_few": (
        "The sensor has told {told} of {fewest} still readings; hold it a moment longer.",
        "at least {fewest} readings in the last seconds",
    ),
    "still_moved": (
        "The readings differ by {spread_deg} from one to the next: the putter moved.",
        "at most 1° from one reading to the next",
    ),
    "clock_ahead": ("The device's clock is {ahead} s ahead.", "at most {most} s ahead"),
    "stroke_without_id": ("A stroke has an id.", "1 to 80 characters"),
    "still_measures": ("A still reading tells {known}.", "{known}"),
    "level_measures": ("A level reading tells {known}.", "{known}"),
}
LABELS: Final[dict[str, str]] = {
    "feet_min": "Minutes in one place",
    "rest_min": "Minutes bent over",
    "sent_face_deg": "Face",
    "sent_along_percent": "Along",
    "sent_across_percent": "Across",
}
CONFLICTS: Final[dict[str, Template]] = {
    "laser_unread_block": (
        "A laser is on at this station, and its cautions were not read in this lesson yet.",
        "Read them, tick them, then start the block.",
    ),
    "block": ("A block with this id was started otherwise.", "Start a new block."),
    "ladder_stays": (
        "The width changes after ten putts at this one, and only where they say so.",
        "Putt on at this width.",
    ),
    "plan_cut_short": (
        "This block is planned for {planned} putts; a plan is not cut short after looking.",
        "Leave the block open, or start a new one.",
    ),
    "block_full": (
        "This block has reached its planned end of {planned} putts.",
        "Extend it, or start a new block; then record the putt again.",
    ),
    "reading": (
        "A reading with this id is kept already and says something else.",
        "Void that one and record a new reading.",
    ),
    "conditions_alike": ("Two conditions have the same name.", "Name each by what differs."),
    "comparison": ("A comparison with this id was planned otherwise.", "Plan a new one."),
    "station_of_another": ("That station was laid for another lesson.", "Lay it for this one."),
    "stroke_tap": ("A tap with this id is kept already, of another stroke.", "Tap again."),
    "sensor": ("A sensor with this id was asked for otherwise.", "Ask for a new one."),
    "putt_of_another": ("That putt was made in another lesson.", "Choose a putt of this lesson."),
}
