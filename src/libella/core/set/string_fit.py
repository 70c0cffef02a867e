"""Whether a string as laid is true for these eyes, and how its posts must lean to be (handbook 3)."""

import math
from dataclasses import dataclass
from typing import Final

from ..certainty.estimate import Estimate
from ..instruments.elevated_string import ElevatedString
from ..instruments.string_sight import StringSight
from ..measure.constants import BALL_M
from ..opinions.held import Opinion

_SEEN_M: Final = Opinion("string_seen", 0.002, "m")
"""A string this far off the ball's centre is seen to be off: an opinion."""


@dataclass(frozen=True, slots=True)
class StringFit:
    """A string and the eyes measured.

    Attributes
    ----------
    covers_outside_m : where these eyes see it over the ball's centre, outside the line; inside negative
    lean_deg : what the posts, planted on the line, must lean to the golfer to split the ball for them
    wrong : it teaches a wrong picture: off by what is seen, and by more than the eyes are unknown
    """

    covers_outside_m: float
    lean_deg: float
    wrong: bool


def string_fit(string: ElevatedString, eyes_inside_mm: Estimate) -> StringFit:
    """The string as these eyes see it; their height is the string's own."""

    def at(inside_m: float) -> StringSight:
        return StringSight(inside_m, string.eye_height_m, string.string_height_m)

    def covers(inside_m: float) -> float:
        # Hung beside the line it covers what an upright string would for an eye as far beside it, and its own place.
        hung = string.hangs_inside_m
        return at(inside_m - hung).covers_outside_m(BALL_M / 2) - hung

    eyes = eyes_inside_mm
    inside = max(-0.3, min(0.3, eyes.value / 1000))
    seen = covers(inside)
    doubt = abs(covers(max(-0.3, min(0.3, eyes.high / 1000))) - seen)
    lean = round(at(inside).lean_planted_deg, 1)
    return StringFit(
        seen, lean, abs(seen) >= _SEEN_M() and abs(seen) > doubt and not math.isclose(lean, string.lean_deg)
    )
