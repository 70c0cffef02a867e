"""The check for every day: eyes, one square check, five directions, set against what the kept set-up card says."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np
from scipy.special import ndtr

from ..certainty.estimate import Estimate, normal
from ..certainty.verdict import Verdict, is_likely, weigh_event
from ..measure.interval import Interval
from ..opinions.held import Opinion
from ..see.eyes import EyeTake
from ..see.fit import perceive
from ..see.trial import STEP_DEG, TRUE, Trial

DIRECTIONS: Final = 5
_ABOUT: Final = (-1.5, -0.75, 0.0, 0.75, 1.5)
_MOVED_MM: Final = Opinion("eyes_drifted", 10.0, "mm")
"""Eyes further than this from the kept place have drifted: an opinion."""
_SEEN_MOVED_DEG: Final = 1.0
"""Five answers can't see less."""
_SET_DOWN_DEG: Final = 1.0
"""One set-down scatters about as much as a start does (handbook 5, prior of face aim)."""


@dataclass(frozen=True, slots=True)
class Kept:
    """What the card says: the eyes' place, mm, how far they wander, and the looks-straight angle, degrees."""

    inside: Estimate | None
    behind: Estimate | None
    wander_mm: float
    angle: Estimate | None


@dataclass(frozen=True, slots=True)
class Shift:
    """How far something lies from where the card has it, mm or degrees, as far as one look tells."""

    by: Estimate
    of: Literal["inside", "behind", "angle"]


@dataclass(frozen=True, slots=True)
class Drift:
    """One link of the check against the card.

    Attributes
    ----------
    what : the link
    call : clear or likely that it drifted, none where it is steady, open where one look can't tell; None where it was
        not looked at
    card_has_it : False where the card holds nothing to check against
    shifts : by how much
    read_deg, asked : of the square check, what was read; of the directions, how many were asked
    """

    what: Literal["eyes", "square", "sight"]
    call: Verdict | None
    card_has_it: bool = True
    shifts: tuple[Shift, ...] = ()
    read_deg: float = 0.0
    asked: int = 0

    @property
    def drifted(self) -> bool:
        return self.call is not None and self.call.names_direction


def asked_angles(kept: Kept, seed: int) -> tuple[float, ...]:
    """The five true angles to ask, shuffled about the kept looks-straight angle, degrees."""
    middle = kept.angle.value if kept.angle else 0.0
    rng = np.random.default_rng(seed)
    angles = [round((middle + it) / STEP_DEG) * STEP_DEG for it in rng.permutation(_ABOUT)]
    return tuple(min(TRUE.high, max(TRUE.low, it)) for it in angles)


def drifts(kept: Kept, eyes: EyeTake | None, square: Interval | None, trials: Sequence[Trial]) -> tuple[Drift, ...]:
    """The check link by link: a single look is one look, and says so."""
    return (_eyes(kept, eyes), _square(square), _sight(kept, trials))


def _eyes(kept: Kept, eyes: EyeTake | None) -> Drift:
    if eyes is None or kept.inside is None:
        return Drift("eyes", None, card_has_it=eyes is None or kept.inside is not None)
    shifts: list[Shift] = []
    gone = 0.0
    for of, now, was in (("inside", eyes.inside_m, kept.inside), ("behind", eyes.behind_m, kept.behind)):
        if was is None:
            continue
        doubt = math.sqrt(
            was.sd**2 + kept.wander_mm**2 + (eyes.seen_m * 1000) ** 2 / 12 + (eyes.level_doubt_m * 1000) ** 2
        )
        moved = now * 1000 - was.value
        gone = max(gone, _beyond(moved, doubt, _MOVED_MM()))
        shifts.append(Shift(normal(moved, doubt), "inside" if of == "inside" else "behind"))
    return Drift("eyes", weigh_event(gone), shifts=tuple(shifts))


def _square(square: Interval | None) -> Drift:
    """One set-down scatters about as much as it can drift: it is never clear, and not drifting is steady."""
    if square is None:
        return Drift("square", None)
    gone = _beyond(square.anchor, _SET_DOWN_DEG, _SET_DOWN_DEG)
    call = Verdict("likely", "right", gone) if is_likely(gone) else Verdict("none", "neither", 1 - gone)
    return Drift("square", call, read_deg=square.anchor)


def _sight(kept: Kept, trials: Sequence[Trial]) -> Drift:
    if len(trials) < DIRECTIONS or kept.angle is None:
        return Drift("sight", None, card_has_it=kept.angle is not None, asked=len(trials))
    now = perceive(trials).looks_straight
    doubt = math.hypot(now.sd, kept.angle.sd)
    moved = now.value - kept.angle.value
    shift = Shift(normal(moved, doubt), "angle")
    return Drift("sight", weigh_event(_beyond(moved, doubt, _SEEN_MOVED_DEG)), shifts=(shift,), asked=len(trials))


def _beyond(moved: float, doubt: float, limit: float) -> float:
    """Chance that the true move is over the limit, either way."""
    sd = max(doubt, 1e-6)
    return float(1 - ndtr((limit - moved) / sd) + ndtr((-limit - moved) / sd))
