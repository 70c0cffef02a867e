"""What can't be said when a golfer comes, or of a change, in words."""

from typing import Final

from ..shared.refusals import KNOWN, Template

REFUSALS: Final[dict[str, Template]] = {
    "miss_twice": ("Each miss is said once, and both sides stand for left and right.", "left, right, or both sides"),
    "no_such_choice": ("There is no “{named}” to choose here.", KNOWN),
    "complaint_ends_first": ("It ends at a shorter length than it begins.", "from {from_m} on"),
    "trust_range": ("Trust is told from 1 to 5, not {told}.", "1 to 5"),
    "said_too_long": ("That is too long to keep.", "up to {most} characters"),
    "drill_wanted": ("A drill has a name and a purpose.", "a few words"),
    "goal_over_dose": ("The goal counts {of}, and a run has {times}.", "up to {times}"),
    "goal_share": ("A share of {share} can't be shown in a few putts: make it a count.", "over 0 and up to {most}"),
    "goal_count": ("{times} of {of} is no count.", "1 to {of}"),
    "goal_level": ("A bias as a goal is over 0° and at most {most_deg}.", "up to {most_deg}"),
    "run_of_angles": ("This drill is told in angles, one for each time.", "an angle for each"),
    "run_of_counts": ("This drill is told as done or not, one for each time.", "1 or 0 for each"),
    "run_too_long": ("A run is not so long.", "up to {most}"),
    "plan_of_nothing": ("A plan works on something.", "one finding, or putting as on the course"),
    "plan_starts": ("A plan starts on the day of its lesson, or within a year of it.", "from {first} on"),
    "no_such_zone": ("“{named}” is no time zone.", "a name such as Europe/Vienna"),
    "round_putts": ("A hole of {told} putts is not kept.", "1 to {most}"),
    "round_holed_missed": ("A first putt that was holed missed to no side.", "a side, or one putt"),
    "round_holes": ("A round of {told} holes is not kept.", "1 to {most}"),
    "kit_unchanged": ("That is what is in hand already.", "something that differs"),
    "photo_too_large": ("That photograph is too large a file.", "up to {most_mb} MB"),
    "photo_too_many_pixels": ("That photograph has too many pixels.", "up to {most} million"),
    "no_photo": ("That is no photograph that can be read here.", KNOWN),
    "change_wanted": ("Say what is changed.", "a few words"),
}
LABELS: Final[dict[str, str]] = {
    "complaint_length": "Length at which it shows",
    "dose_times": "Putts of a run",
    "dose_minutes": "Minutes of a run",
    "dose_days": "Days a week",
    "plan_days": "Days a week",
    "plan_weeks": "Weeks",
    "plan_minutes": "Minutes of a day",
}
CONFLICTS: Final[dict[str, Template]] = {
    "drill_run": ("A run with this id is kept already and says something else.", "Tell it as a new one."),
    "round": ("A round with this id is kept already and says something else.", "Tell it as a new one."),
    "kit": ("A kit with this id is kept already and says something else.", "Note it as a new one."),
    "photo": ("A photograph with this id is kept already and is another one.", "Keep it as a new one."),
    "change": ("A change with this id is kept already and says something else.", "Choose it again."),
    "plan_of_another": ("That plan was made for another golfer.", "Run it by this golfer's own."),
    "change_of_another": ("That change was chosen for another golfer.", "Choose one of this golfer's."),
}
