"""What was asked comes first, where it is answered."""

from collections.abc import Sequence
from typing import Final

from .finding import Cause
from .said import Cause_, Chosen, Differs, Grows, Joined, LineFirst, Off, PaceOff

_READ_IN: Final[dict[Cause, tuple[str, ...]]] = {
    "perception": ("looks_straight", "first_look"), "ball_mark": ("mark", "to_mark"),
    "face_aim": ("face", "address", "to_mark"), "face_at_impact": ("impact", "turned"), "path": ("path", "path_back"),
    "strike": ("strike", "strike_high"), "movement": ("still",), "distance": ("start",), "guide": ("start",),
}  # fmt: skip
"""In which quantities a cause is read; of read and pace its kind says."""
_PACE: Final = ("roll_past", "stopped")


def _tells(it: Chosen) -> tuple[str, ...]:
    """Which quantities a thing that is said tells."""
    match it:
        case Cause_() if it.finding.cause == "read_and_pace":
            return _PACE if it.finding.kind == "pace" else ("read",)
        case Cause_():
            return _READ_IN.get(it.finding.cause, ())
        case Differs():
            return (it.difference.quantity.name,)
        case Off():
            return (it.level.quantity.name,)
        case Grows():
            return ("start",)
        case Joined():
            return (it.together.quantity,)
        case PaceOff():
            return _PACE
        case _:
            return ()


def asked_first(said: Sequence[Chosen], asked: Sequence[str]) -> tuple[Chosen, ...]:
    """What was asked, and is answered at least likely, before what else was found (account 2): what a comparison was
    begun for, then what the golfer came with. The line's own doubt stays before all."""

    def rank(it: Chosen) -> int:
        if isinstance(it, LineFirst):
            return -1
        if it.word not in ("likely", "clear"):
            return len(asked) + 1
        if isinstance(it, Differs) and it.is_asked:
            return 0
        places = [1 + asked.index(name) for name in _tells(it) if name in asked]
        return min(places, default=len(asked) + 1)

    return tuple(sorted(said, key=rank))
