"""What is left of a gain on another day (practice 4): kept, lost, or open with the putts it would take."""

import math
from dataclasses import dataclass
from typing import Final, Literal

from scipy.special import ndtr, ndtri

from ..certainty.estimate import Estimate, normal
from ..certainty.verdict import LIKELY, is_likely

Left = Literal["kept", "lost", "open"]
_KEPT, _LOST = 2 / 3, 1 / 3
"""Of the gain: more than this is left, less than that."""
_MOST_MORE: Final = 200


@dataclass(frozen=True, slots=True)
class Known:
    """A bias, degrees: its mean and standard deviation."""

    mean: float
    sd: float


@dataclass(frozen=True, slots=True)
class Retained:
    """What is left of a gain.

    gain : what the change took off the bias, degrees; left : of it, degrees
    more_putts : so many more would tell, were all of what was seen true; None where the later putts alone can't
    """

    word: Left
    gain: Estimate
    left: Estimate
    more_putts: int | None = None


def retained(before: Known, after: Known, later: Known, putts: int, spread_deg: float) -> Retained | None:
    """What is left of the gain from `before` to `after`; None where a gain is not even likely.

    `putts` tell `later`, each scattering by `spread_deg`. Everything is linear in the three, on the side of the bias
    before: kept where later lies nearer to after than two thirds of the way, lost where under a third.
    """
    side = math.copysign(1.0, before.mean)
    gain, gain_sd = side * (before.mean - after.mean), math.hypot(before.sd, after.sd)
    if not is_likely(_over(gain, gain_sd)) or abs(after.mean) >= abs(before.mean):
        return None
    left = normal(side * (before.mean - later.mean), math.hypot(before.sd, later.sd))
    told = normal(gain, gain_sd)
    kept, kept_sd = _beyond(_KEPT, before, after, later, side)
    lost, lost_sd = _beyond(_LOST, before, after, later, side)
    if is_likely(_over(kept, kept_sd)):
        return Retained("kept", told, left)
    if is_likely(_over(-lost, lost_sd)):
        return Retained("lost", told, left)
    more = [
        it
        for it in (
            _more(kept, math.hypot((1 - _KEPT) * before.sd, _KEPT * after.sd), putts, spread_deg),
            _more(-lost, math.hypot((1 - _LOST) * before.sd, _LOST * after.sd), putts, spread_deg),
        )
        if it is not None
    ]
    return Retained("open", told, left, min(more) if more else None)


def _beyond(share: float, before: Known, after: Known, later: Known, side: float) -> tuple[float, float]:
    """How much more than this share of the gain is left, degrees, and its deviation."""
    by = side * ((1 - share) * before.mean + share * after.mean - later.mean)
    return by, math.sqrt(((1 - share) * before.sd) ** 2 + (share * after.sd) ** 2 + later.sd**2)


def _over(by: float, sd: float) -> float:
    return float(ndtr(by / max(sd, 1e-9)))


def _more(by: float, sd: float, putts: int, spread_deg: float) -> int | None:
    """Putts beside those there are until `by` would be likely over 0."""
    if by <= 0:
        return None
    # So many deviations from 0 make a thing likely.
    room = (by / float(ndtri(LIKELY()))) ** 2 - sd**2
    if room <= 0:
        return None
    more = math.ceil(spread_deg**2 / room) - putts
    return max(1, more) if more <= _MOST_MORE else None
