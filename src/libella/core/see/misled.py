"""Where a raised string seems to lie to the eyes of who looks: what is read against it by eye is off by as much."""

import math
from typing import Final, Literal, Protocol

from scipy.special import ndtr

from ..certainty.estimate import Estimate, normal
from ..certainty.verdict import NINETY, is_likely
from ..instruments.string_sight import EYES, StringSight
from ..measure.constants import BALL_M

SEEN_MM: Final = 5.0
"""From how far beside the string on a side is seen as one."""
EYE_OFF_MM: Final = 32.0
"""Half of what lies between the eyes: so far from their middle, nine times in ten, the eye that sights may be."""

Looker = Literal["", "golfer", "coach"]
"""Who told on which side of a string something was: the golfer over the ball, or the coach behind the line, who sees it
where it hangs. Empty while nobody said: it may have been the golfer."""


class Strung(Protocol):
    """A string as it was laid; how far inside the line it hangs, and from how high it is seen."""

    @property
    def string_height_m(self) -> float: ...
    @property
    def hangs_inside_m(self) -> float: ...
    @property
    def eye_height_m(self) -> float: ...


def sight_of(string: Strung, inside_mm: float) -> StringSight:
    """The string as it is seen from so far inside, as far as a sight can be worked out."""
    inside = max(EYES.low, min(EYES.high, inside_mm / 1000))
    return StringSight(inside, string.eye_height_m, string.string_height_m)


def string_off(string: Strung, eyes: Estimate) -> Estimate:
    """How far outside the line the string lies at the putter, to eyes so many mm inside; mm, with its doubt."""

    def off(inside_mm: float) -> float:
        return sight_of(string, inside_mm).lies_outside_m(BALL_M / 2, string.hangs_inside_m) * 1000

    # It goes straight with where the eyes are.
    slope = abs(off(1.0) - off(0.0))
    return normal(off(eyes.value), slope * eyes.sd)


def misleads(off: Estimate) -> bool:
    """Whether it is at least likely that sides seen against the string are another's: off by more than a side takes to
    be seen."""
    sd = max(off.sd, 1e-6)
    return is_likely(float(ndtr((-SEEN_MM - off.value) / sd) + ndtr((off.value - SEEN_MM) / sd)))


def sighting(eyes: Estimate, *, known: bool) -> Estimate:
    """Where the eye that sights is, of what was read; `known`: that eye was read, else the middle of both."""
    return eyes if known else normal(eyes.value, math.hypot(eyes.sd, EYE_OFF_MM / NINETY))
