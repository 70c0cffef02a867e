"""What can't be read of the aim, in words."""

from typing import Final

from ..shared.refusals import Template

REFUSALS: Final[dict[str, Template]] = {
    "reads_no_face": ("This instrument does not read that.", "an instrument that reads the face aim"),
    "link_takes_angle": ("This link takes an angle.", "the angle, and how finely it was read"),
}
CONFLICTS: Final[dict[str, Template]] = {
    "laser_unread_aim": (
        "A laser is on while this is read, and its cautions were not read in this lesson yet.",
        "Read them, tick them, then begin the series.",
    ),
    "series": ("A series with this id was begun otherwise.", "Begin a new one."),
    "series_full": ("A series holds {most} set-downs.", "Begin a new one."),
    "set_down": ("A set-down with this id is kept already and says something else.", "Read it again."),
}
