"""What else can be noted of a putt, in the order in which it happens; only what a block asks for is asked."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..measure.limits import Bounds, OutOfLimits

When = Literal["before", "after"]
Notes = Mapping[str, str | float]
"""What was noted of a putt, by note."""


@dataclass(frozen=True, slots=True)
class Note:
    """Something noted of a putt: by one tap, or where it has no options, a size read off.

    `when` says whether it is asked before the start line is read: what the golfer felt must not know the reading.
    `columns` lays its options out as a picture: the strike on the face, three by three.
    `bounds` and `step` are of a size, in the bounds' unit; `low_word` and `high_word` are its words for minus and plus.
    """

    label: str
    question: str
    options: tuple[str, ...] = ()
    when: When = "after"
    columns: int = 0
    bounds: Bounds | None = None
    step: float = 0.0
    low_word: str = ""
    high_word: str = ""


NOTES: Final[dict[str, Note]] = {
    "felt": Note("Felt start", "Where did it start, by feel?", ("left", "straight", "right"), "before"),
    "strike": Note(
        "Strike",
        "Where on the face?",
        ("heel high", "high", "toe high", "heel", "middle", "toe", "heel low", "low", "toe low"),
        columns=3,
    ),
    "roll": Note("Roll", "How did it roll?", ("clean", "wobble left", "wobble right", "skid")),
    "path": Note("Path", "Which way did the head travel?", ("out to in", "neutral", "in to out")),
    "path_deg": Note(
        "Path in degrees",
        "Which way did the head travel, in degrees?",
        bounds=Bounds(-15.0, 15.0, "deg"),
        step=0.5,
        low_word="left",
        high_word="right",
    ),
    "touch": Note("Touch", "What did the stroke touch?", ("nothing", "going back", "at the ball", "going through")),
    "still": Note(
        "Stillness",
        "What moved?",
        ("nothing", "head", "knees", "hips", "wrists", "follow-through", "backstroke"),
    ),
    "back_m": Note("Backstroke", "How far back did the head go?", bounds=Bounds(0.0, 1.5, "m"), step=0.05),
    "through_m": Note("Follow-through", "How far through did it go?", bounds=Bounds(0.0, 2.0, "m"), step=0.05),
    "finish": Note("Finish", "Where did it end?", ("holed", "short", "left", "right", "past")),
    "fell": Note("Fell in", "Over which edge did it fall, or pass?", ("front", "left", "right", "back", "none")),
    "read": Note("Read used", "By whose read?", ("computed", "coach's", "golfer's")),
}


def checked_asks(asks: Sequence[str]) -> tuple[str, ...]:
    """What a block asks for, in the order of the putt; `OutOfLimits` for what is none."""
    for it in asks:
        if it not in NOTES:
            raise OutOfLimits("asks", f"There is no note {it!r}.", limit=f"any of {', '.join(NOTES)}", unit="")
    return tuple(it for it in NOTES if it in asks)


def checked_notes(notes: Notes, asks: Sequence[str]) -> Notes:
    """What was noted of a putt, each asked for and one of its options; parts may be missing."""
    for name, value in notes.items():
        if name not in asks:
            raise OutOfLimits(
                f"notes.{name}", "This block does not ask for that.", limit=", ".join(asks) or "nothing", unit=""
            )
        note = NOTES[name]
        if note.bounds is None:
            if value not in note.options:
                limit = f"one of {', '.join(note.options)}"
                raise OutOfLimits(f"notes.{name}", f"{note.label} can't be {value!r}.", limit=limit, unit="")
        elif isinstance(value, str):
            limit = f"{note.bounds.low:g} to {note.bounds.high:g} {note.bounds.unit}"
            raise OutOfLimits(f"notes.{name}", f"{note.label} is a size.", limit=limit, unit=note.bounds.unit)
        else:
            note.bounds.check(f"notes.{name}", note.label, value)
    return notes
