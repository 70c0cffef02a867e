"""What else can be noted of a putt, in the order in which it happens; only what a block asks for is asked."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from .limits import OutOfLimits

When = Literal["before", "after"]
Notes = Mapping[str, str]
"""What was noted of a putt, by note."""


@dataclass(frozen=True, slots=True)
class Note:
    """Something noted by one tap.

    `when` says whether it is asked before the start line is read: what the golfer felt must not know the reading.
    `columns` lays its options out as a picture: the strike on the face, three by three.
    """

    label: str
    question: str
    options: tuple[str, ...]
    when: When = "after"
    columns: int = 0


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
    "touch": Note("Touch", "What did the stroke touch?", ("nothing", "going back", "at the ball", "going through")),
    "still": Note(
        "Stillness",
        "What moved?",
        ("nothing", "head", "knees", "hips", "wrists", "follow-through", "backstroke"),
    ),
    "finish": Note("Finish", "Where did it end?", ("holed", "short", "left", "right", "past")),
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
        options = NOTES[name].options
        if value not in options:
            limit = f"one of {', '.join(options)}"
            raise OutOfLimits(f"notes.{name}", f"{NOTES[name].label} can't be {value!r}.", limit=limit, unit="")
    return notes
