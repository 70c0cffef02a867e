"""What spread a level is expected to show before anything is measured."""

from dataclasses import dataclass
from typing import Final, Literal

from ..measure.limits import Bounds

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
