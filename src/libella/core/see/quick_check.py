"""The check for every day: eyes, one square check, five directions, set against what the kept set-up card says."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np
from scipy.special import ndtr

from ..certainty.estimate import Estimate
from ..certainty.verdict import CLEAR, LIKELY, NINETY
from ..measure.interval import Interval
from ..measure.side import side_of
from ..measure.units import Units, about, degrees, percent
from .eyes import EyeTake
from .fit import perceive
from .trial import STEP_DEG, TRUE, Trial

DIRECTIONS: Final = 5
_ABOUT: Final = (-1.5, -0.75, 0.0, 0.75, 1.5)
_MOVED_MM: Final = 10.0
"""Eyes further than this from the kept place have drifted: an opinion."""
_SEEN_MOVED_DEG: Final = 1.0
"""Five answers can't see less."""
_SET_DOWN_DEG: Final = 1.0
"""One set-down scatters about as much as a start does (handbook 5, prior of face aim)."""
Word = Literal["steady", "drifted", "likely drifted", "can't tell yet", "not looked at"]


@dataclass(frozen=True, slots=True)
class Kept:
    """What the card says: the eyes' place, mm, how far they wander, and the looks-straight angle, degrees."""

    inside: Estimate | None
    behind: Estimate | None
    wander_mm: float
    angle: Estimate | None


@dataclass(frozen=True, slots=True)
class Drift:
    """One link of the check against the card, in a word and a sentence."""

    what: str
    word: Word
    words: str


def asked_angles(kept: Kept, seed: int) -> tuple[float, ...]:
    """The five true angles to ask, shuffled about the kept looks-straight angle, degrees."""
    middle = kept.angle.value if kept.angle else 0.0
    rng = np.random.default_rng(seed)
    angles = [round((middle + it) / STEP_DEG) * STEP_DEG for it in rng.permutation(_ABOUT)]
    return tuple(min(TRUE.high, max(TRUE.low, it)) for it in angles)


def drifts(
    kept: Kept, eyes: EyeTake | None, square: Interval | None, trials: Sequence[Trial], units: Units
) -> tuple[Drift, ...]:
    """The check link by link: a single look is one look, and says so."""
    return (_eyes(kept, eyes, units), _square(square), _sight(kept, trials))


def alert(found: Sequence[Drift]) -> str:
    """The check in one sentence."""
    gone = [it.what.lower() for it in found if it.word in ("drifted", "likely drifted")]
    if gone:
        sure = "" if any(it.word == "drifted" for it in found) else " likely"
        return f"Drift{sure}: {' and '.join(gone)}. Look again before anything is changed."
    if all(it.word == "not looked at" for it in found):
        return "Nothing was looked at yet."
    if any(it.word == "can't tell yet" for it in found):
        return "No drift seen; not all of it can be told from one look."
    return "Steady: as it was kept."


def _eyes(kept: Kept, eyes: EyeTake | None, units: Units) -> Drift:
    what = "Eyes"
    if eyes is None or kept.inside is None:
        return Drift(what, "not looked at", "No look at the eyes." if eyes is None else "The card holds no eyes.")
    sure: list[float] = []
    said: list[str] = []
    for now, was, names in (
        (eyes.inside_m * 1000, kept.inside, ("further in", "further out")),
        (eyes.behind_m * 1000, kept.behind, ("further behind", "further ahead")),
    ):
        if was is None:
            continue
        doubt = math.sqrt(
            was.sd**2 + kept.wander_mm**2 + (eyes.seen_m * 1000) ** 2 / 12 + (eyes.level_doubt_m * 1000) ** 2
        )
        moved = now - was.value
        sure.append(_beyond(moved, doubt, _MOVED_MM))
        size, give = (about(it / 1000, doubt * NINETY / 1000, units) for it in (abs(moved), doubt * NINETY))
        said.append(f"{size} {names[0] if moved > 0 else names[1]} (± {give})")
    word = _word(max(sure), 1 - max(sure))
    return Drift(what, word, f"{' and '.join(said)} than on the card: {_chance(word, max(sure))}.")


def _square(square: Interval | None) -> Drift:
    what = "Face against the square"
    if square is None:
        return Drift(what, "not looked at", "No square check.")
    at = square.anchor
    turned = _beyond(at, _SET_DOWN_DEG, _SET_DOWN_DEG)
    side = side_of(at, 0.05)
    said = "square" if side == "neither" else f"{degrees(at, 0.5)} {side}"
    if turned >= LIKELY:
        return Drift(what, "likely drifted", f"Set down {said}; one set-down scatters by about 1°, this is more.")
    return Drift(what, "steady", f"Set down {said}; within what one set-down scatters.")


def _sight(kept: Kept, trials: Sequence[Trial]) -> Drift:
    what = "What looks straight"
    if len(trials) < DIRECTIONS or kept.angle is None:
        asked = f"{len(trials)} of {DIRECTIONS} asked."
        why = "The card holds no looks-straight angle." if kept.angle is None else asked
        return Drift(what, "not looked at", why)
    now = perceive(trials).looks_straight
    doubt = math.hypot(now.sd, kept.angle.sd)
    moved = now.value - kept.angle.value
    chance = _beyond(moved, doubt, _SEEN_MOVED_DEG)
    word = _word(chance, 1 - chance)
    side = side_of(moved, 0.05)
    where = "As on the card" if side == "neither" else f"{degrees(moved, 0.5)} {side} of the card"
    said = f"{where} (± {degrees(doubt * NINETY, 0.5)}, five answers)"
    return Drift(what, word, f"{said}: {_chance(word, chance)}.")


def _beyond(moved: float, doubt: float, limit: float) -> float:
    """Chance that the true move is over the limit, either way."""
    sd = max(doubt, 1e-6)
    return float(1 - ndtr((limit - moved) / sd) + ndtr((-limit - moved) / sd))


def _word(gone: float, steady: float) -> Word:
    if gone >= CLEAR:
        return "drifted"
    if gone >= LIKELY:
        return "likely drifted"
    return "steady" if steady >= LIKELY else "can't tell yet"


def _chance(word: Word, gone: float) -> str:
    if word == "steady":
        return f"steady ({percent(1 - gone)})"
    return f"{word} ({percent(gone)})" if word != "can't tell yet" else "one look can't tell"
