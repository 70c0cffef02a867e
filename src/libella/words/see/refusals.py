"""What can't be seen so: marks of the eyes, tests of what looks straight, in words."""

from typing import Final

from ..shared.refusals import KNOWN, Template

REFUSALS: Final[dict[str, Template]] = {
    "eyes_too_far_apart": (
        "The eyes would be {apart} apart, which is wider than a head; mark each eye with the other closed.",
        "at most {widest_m}",
    ),
    "eyes_other_way_round": (
        "The lead eye is the one nearer the hole; the marks are the other way round.",
        "less behind than the trail eye; where only inside or behind was told, “One way alone”",
    ),
    "string_splits_or_off": (
        "A line is split by the string, or passed on one side; told was “{named}”.",
        "splits, or off",
    ),
    "no_look_size": ("Such a look is not taken with “{named}”.", KNOWN),
    "nothing_moved": ("From the usual place nothing was moved, so nothing is measured.", "no size, or a place"),
    "no_size_there": ("Over the line or level with the ball has no size.", "no size, or a side"),
    "zone_edges": ("The zone's inner edge must lie further inside.", "over {edge_m}"),
    "no_lever": ("There is no lever “{named}”.", KNOWN),
    "putt_does_not_break": (
        "The putt of this lesson does not break: its start line is the line to the hole.",
        "a breaking putt under Set, or the line to the hole",
    ),
    "answers_looks": ("This test takes a true angle and how it looks.", "the rod’s angle, and how it looked"),
    "no_such_look": ("It can't look “{named}”.", "left, straight or right"),
    "answers_place": ("This test takes a place beside the line.", "how far beside, and how finely that was read"),
    "no_such_side": ("Turned from the left or the right.", "left or right"),
    "directions_count": ("A check asks {most} directions.", "{most}"),
}
LABELS: Final[dict[str, str]] = {
    "lead_eye_inside": "Lead eye inside",
    "nose_inside": "Nose inside",
    "nose_behind": "Nose behind",
    "lead_eye_behind": "Lead eye behind",
    "trail_eye_inside": "Trail eye inside",
    "trail_eye_behind": "Trail eye behind",
    "mirror_falls_in": "Mirror falls to the golfer",
    "mirror_falls_back": "Mirror falls away from the hole",
    "mirror_level_doubt": "Level read to",
    "true_deg": "True angle of the rod",
    "zone_edge": "Edge of the zone",
    "comfort": "Comfort",
    "trust": "Trust",
    "square_m": "Gap at the square reference",
}
CONFLICTS: Final[dict[str, Template]] = {
    "reread_other": ("Only a look at both eyes in this lesson can be read again.", "Keep it as a new look."),
    "look": ("A look with this id is kept already and says something else.", "Mark the eyes again."),
    "test": ("A test with this id was begun otherwise.", "Begin a new test."),
    "test_shown": ("This test is shown already; its answers stand.", "Begin a new test."),
    "test_full": ("A test holds {most} answers.", "Show what they say, or begin a new test."),
    "answer": ("An answer with this id is kept already and says something else.", "Answer again."),
}
