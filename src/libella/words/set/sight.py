"""What a rig can see, and what would make it see better, in words."""

from dataclasses import dataclass
from typing import Final

from ...core.instruments.rig import Change, Event, Fit, Remedy, Sight, Way
from ...core.measure.units import Units, fine_degrees, percent, tape


@dataclass(frozen=True, slots=True)
class RemedyWords:
    """A change of one size that would mend something, and how it is offered."""

    name: str
    value: float
    words: str


_CHANGES: Final[dict[Change, str]] = {
    "gate_wide": "Gate {size} wide",
    "gate_at": "Gate at {size}",
    "rail_long": "Rail {size} long",
    "rail_wide": "Rail {size} wide",
    "watch_at": "Watch at {size}",
    "ruler_wide": "Ruler {size} each side",
    "read_to": "Read to {size}",
    "board_at": "Board at {size}",
}
_READS: Final[dict[tuple[Way, Event], str]] = {
    ("passes", "putt"): (
        "Lets ± {narrowest} through clean; the window is ± {window}. A golfer of this level, with no bias, passes "
        "about {clean} clean."
    ),
    ("marks", "putt"): "Reads each putt to ± {narrowest}, out to {reach} either side. The window is ± {window}.",
    (
        "marks",
        "set_down",
    ): "Reads each set-down to ± {narrowest}, out to {reach} either side. The window is ± {window}.",
    ("line", "putt"): "Tells ± {narrowest} in the middle, out to {reach} either side. The window is ± {window}.",
    ("nothing", "putt"): "Nothing watches the start: what lies beside the putt is read, or what became of it.",
    ("device", "putt"): "Reads each putt to ± {narrowest} (one standard uncertainty). The window is ± {window}.",
}
_FITS: Final[dict[tuple[Way, Fit, Event], str]] = {
    ("passes", "good", "putt"): "That tells most per putt.",
    ("passes", "loose", "putt"): "Too coarse: nearly every putt passes and a bias stays hidden.",
    ("passes", "strict", "putt"): "Too strict: nearly every putt touches, and the size of the error stays hidden.",
    ("marks", "good", "putt"): "That will do.",
    ("marks", "coarse", "putt"): "Too coarse: the marks should be under a third of the window.",
    ("marks", "short", "putt"): "Too short: about one putt in twenty would pass the end unread.",
    ("marks", "good", "set_down"): "That will do.",
    ("marks", "coarse", "set_down"): "Too coarse: the marks should be under a third of the window.",
    ("marks", "short", "set_down"): "Too short: about one set-down in twenty would pass the end unread.",
    ("line", "good", "putt"): "That will do.",
    ("line", "coarse", "putt"): "Too coarse: watch it further out.",
    ("line", "short", "putt"): (
        "Too far out: a third of the putts would miss the ball's width; only their side is told."
    ),
    ("device", "good", "putt"): "That will do.",
    ("nothing", "good", "putt"): "",
    ("device", "cannot", "putt"): (
        "Not with this rig here: it should be under a third of the window. Take a finer one, or a shorter putt."
    ),
    ("line", "cannot", "putt"): (
        "Not with this rig here: far enough out to tell the window, too many putts would miss the ball's width. Take a "
        "ruler board or a gate, or a shorter putt."
    ),
}


def sight_words(it: Sight) -> str:
    """What a rig can see against the window, and whether that will do: two sentences."""
    reads = _READS[it.way, it.event].format(
        narrowest=fine_degrees(it.narrowest_deg),
        window=fine_degrees(it.window_deg),
        reach=fine_degrees(it.reach_deg),
        clean=percent(it.clean),
    )
    if it.fit == "unsure":
        aim = fine_degrees(it.shared_deg)
        better = "prove it by tape over more of its length, or lay it further out" if it.proved else "prove the line"
        return f"{reads} But its own aim is known only to ± {aim}: {better}."
    return f"{reads} {_FITS[it.way, it.fit, it.event]}"


def remedy_words(it: Remedy, units: Units) -> RemedyWords:
    """A change of the rig as it is offered."""
    return RemedyWords(it.name, it.value, _CHANGES[it.change].format(size=tape(it.value, units)))
