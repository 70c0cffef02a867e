"""Where in a lesson something was read."""

from dataclasses import dataclass
from typing import Literal

Step = Literal["set", "stand", "see", "aim", "start"]


@dataclass(frozen=True, slots=True)
class Place:
    """Where readings were taken: the step, and the block, series or test they stand in."""

    step: Step
    id: str = ""
