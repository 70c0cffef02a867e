"""How a line is proved, and what a station can hide, in words."""

from typing import Final

from ...core.set.proof import HiddenBy, Way

WAYS: Final[dict[Way, str]] = {
    "none": "Not yet",
    "second_laser": "A second laser",
    "tape": "Tape to both edges",
    "string": "String over it",
    "rolled": "Rolled both ways",
}
PROVED: Final[dict[Way, str]] = {
    "none": "The line is not proved: no verdict on it can be clear.",
    "second_laser": "Proved: a second laser.",
    "tape": "Proved: tape to both edges.",
    "string": "Proved: string over it.",
    "rolled": "Proved: rolled both ways.",
}
CHECK: Final[dict[Way, str]] = {
    "none": "Check the line a second way: not yet said how.",
    "second_laser": "Check the line a second way: a second laser.",
    "tape": "Check the line a second way: tape to both edges.",
    "string": "Check the line a second way: string over it.",
    "rolled": "Check the line a second way: rolled both ways.",
}
HIDES: Final[dict[HiddenBy, str]] = {
    "zero": (
        "This station can hide {total} of false bias; most of it: the rig's zero against the line ({size}, {bias})."
    ),
    "end": "This station can hide {total} of false bias; most of it: one post or end placed by tape ({size}, {bias}).",
    "ball": "This station can hide {total} of false bias; most of it: the ball beside its spot ({size}, {bias}).",
    "slope": "This station can hide {total} of false bias; most of it: the slope's own doubt ({size}, {bias}).",
}
