"""A golfer's own step: how a putt is paced off where no tape lies."""

from typing import Final

from ..measure.limits import Bounds

STEP: Final = Bounds(0.3, 1.2, "m")
