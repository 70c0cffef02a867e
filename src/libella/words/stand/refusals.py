"""What can't be noted of a set-up, in words."""

from typing import Final

from ..shared.refusals import KNOWN, OPTIONS, Template

REFUSALS: Final[dict[str, Template]] = {
    "no_entry": ("There is no entry “{named}”.", KNOWN),
    "entry_no_option": ("{label} can't be “{told}”.", OPTIONS),
    "entry_is_size": ("{label} can't be “{told}”.", "a number"),
    "entry_in_words": ("{label} is told in words.", OPTIONS),
}
CONFLICTS: Final[dict[str, Template]] = {
    "set_up_of_another": ("That set-up belongs to another lesson.", "Note a new one."),
    "set_up": ("A set-up with this id is kept already, elsewhere.", "Note a new one."),
}
