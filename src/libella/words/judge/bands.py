"""Bands by level in words: whether a link is fine for this golfer's level."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.golfer.band import Band, BandedLink
from ...core.golfer.level import LEVELS, Level

BANDED_NAMES: Final[dict[BandedLink, str]] = {
    "start": "Start",
    "face_aim": "Face at address",
    "delivery": "What the stroke turns",
    "path": "Path",
}


def band_said(link: BandedLink, bias: Estimate, spread: Estimate | None, band: Band, level: Level) -> str:
    """Whether bias and spread lie within the band; only what is sure enough is said to lie beyond it."""
    beyond: list[str] = []
    if min(abs(bias.low), abs(bias.high)) > band.bias_deg[link] and bias.is_one_side:
        beyond.append(f"bias beyond {band.bias_deg[link]:.1f}°")
    if spread is not None and spread.low > band.spread_deg[link]:
        beyond.append(f"spread beyond {band.spread_deg[link]:.1f}°")
    name = LEVELS[level].name.lower()
    if beyond:
        return f"{' and '.join(beyond).capitalize()}, the band for “{name}”."
    inside = abs(bias.value) + bias.doubt <= band.bias_deg[link]
    if inside and (spread is None or spread.high <= band.spread_deg[link]):
        return f"Fine for “{name}”."
    return ""
