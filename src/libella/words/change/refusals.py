"""What can't be said when a golfer comes, or of a change, in words."""

from typing import Final

from ..shared.refusals import KNOWN, Template

REFUSALS: Final[dict[str, Template]] = {
    "miss_twice": ("Each miss is said once, and both sides stand for left and right.", "left, right, or both sides"),
    "complaint_code": ("There is no “{named}” to choose here.", KNOWN),
    "complaint_ends_first": ("It ends at a shorter length than it begins.", "from {from_m} on"),
    "trust_range": ("Trust is told from 1 to 5, not {told}.", "1 to 5"),
    "said_too_long": ("The golfer's sentence is too long to keep.", "up to {most} characters"),
    "change_wanted": ("Say what is changed.", "a few words"),
}
LABELS: Final[dict[str, str]] = {"complaint_length": "Length at which it shows"}
CONFLICTS: Final[dict[str, Template]] = {
    "change": ("A change with this id is kept already and says something else.", "Choose it again."),
    "change_of_another": ("That change was chosen for another golfer.", "Choose one of this golfer's."),
}
