"""The logbook in words: what an entry is, what falls due."""

from typing import Final, Literal

from ...core.keep.due import DueKind
from ...core.measure.units import Units, tape
from ..shared.counts import counted

Sort = Literal["golfer", "lesson", "station", "change", "kit", "drill", "plan", "round", "card", "note", "photograph"]
SORT_NAMES: Final[dict[Sort, str]] = {
    "golfer": "Golfer",
    "lesson": "Lesson",
    "station": "Station",
    "change": "Change",
    "kit": "In hand",
    "drill": "Drill",
    "plan": "Plan",
    "round": "Round",
    "card": "Set-up card",
    "note": "Note",
    "photograph": "Photograph",
}
_SEEN_FROM: Final = {
    "behind": "from behind",
    "front": "facing",
    "above": "from above",
    "far_side": "from beyond the hole",
}


def entry_said(sort: Sort, words: str, code: str, name: str, size: float | None, units: Units) -> str:
    """An entry in one line. `name`: what its code is called; `size`: its length, m, or how many of it."""
    match sort:
        case "station":
            laid = f"{name}, {tape(size or 0.0, units)}"
            return f"{words}: {laid}" if words else laid
        case "drill":
            return f"{name}, {counted(round(size or 0), 'time')}" if size else name
        case "round":
            return counted(round(size or 0), "hole")
        case "plan":
            return "A plan for the weeks"
        case "card":
            return words or "A set-up kept"
        case "photograph":
            return _SEEN_FROM.get(code, "")
        case _:
            return words


def due_said(kind: DueKind, of: str) -> str:
    """What falls due, in one line."""
    match kind:
        case "retest":
            return f"Retest “{of}”: as usual against changed, in turns."
        case "left":
            return f"What is left of “{of}”: putt first with nothing to help."
        case "card":
            return f"Look at the set-up again, by the card{f' “{of}”' if of else ''}."
        case "lesson":
            return "A lesson was never ended."


def nothing_found(words: str) -> str:
    """Where nothing is found."""
    return f"Nothing here begins a word with “{words}”." if words else "Nothing is kept of that yet."
