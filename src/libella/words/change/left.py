"""What is left of a change on another day, and how far an eye has come, in words."""

from typing import Final

from ...core.change.retention import Left, Retained
from ...core.change.training import WITHIN_DEG, Trained
from ...core.measure.units import sided
from ..shared.counts import counted

_LEFT: Final[dict[Left, str]] = {
    "kept": "On another day it is still there",
    "lost": "On another day most of it is gone",
    "open": "Whether it is there on another day can’t be told yet",
}


def left_said(it: Retained) -> str:
    """What is left of a gain, and of how many putts more would tell."""
    gain, left = max(0.0, it.gain.value), it.left.value
    still = f"{max(0.0, left):.1f}° of the {gain:.1f}° it took off" if left < gain else f"all of the {gain:.1f}°"
    more = ""
    if it.word == "open":
        more = (
            f" About {counted(it.more_putts, 'more_putt')} before any other, with nothing to help, would tell."
            if it.more_putts is not None
            else " More putts of the retest would be needed, too."
        )
    return f"{_LEFT[it.word]}: {still}.{more}"


def trained_said(it: Trained) -> str:
    """How far an eye that is trained has come, and whether it ends."""
    if it.first is None or it.last is None:
        return "Not begun: ask what looks straight in See."
    last = sided(it.last.value)
    if it.asked == 1:
        return f"A line looks straight at {last} before it begins; ask again later."
    whole = f"At first a line looked straight at {sided(it.first.value)}, now at {last}"
    match it.course:
        case "reached":
            return f"{whole}: likely within {WITHIN_DEG:g}° twice. It has done its work."
        case "given_up":
            return f"{whole}: four weeks brought nothing likely better. Leave it, and take another way."
        case _:
            better = "likely nearer to true" if it.better else "not likely nearer so far"
            return f"{whole}: {better}. Go on."
