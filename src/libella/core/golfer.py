"""Who putts: the hand, and what spread a level is expected to show before anything is measured."""

from dataclasses import dataclass
from typing import Final, Literal

from .limits import Bounds

Hand = Literal["right", "left"]
Level = Literal["starting", "club", "skilled", "elite"]


@dataclass(frozen=True, slots=True)
class LevelWords:
    """A level and the start-line spread expected of it, degrees: an opinion, used only to size a rig."""

    name: str
    spread_deg: float


LEVELS: dict[Level, LevelWords] = {
    "starting": LevelWords("Starting out", 2.0),
    "club": LevelWords("Club golfer", 1.4),
    "skilled": LevelWords("Low handicap", 1.0),
    "elite": LevelWords("Plays for a living", 0.7),
}


SPREAD: Final = Bounds(0.2, 6.0, "deg")


def push_or_pull(side: Literal["left", "right"], hand: Hand) -> str:
    """The golfer's word for a start error: right is a push for a right-handed golfer, a pull for a left-handed one."""
    return "push" if side == hand else "pull"
