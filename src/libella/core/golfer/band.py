"""Bands by level: what bias and spread of each link, and what cost, count as fine for whom. Opinions all of them."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Final, Literal, get_args

from ..measure.limits import Bounds, OutOfLimits
from .level import LEVELS, SPREAD, Level

BandedLink = Literal["start", "face_aim", "delivery", "path"]
BANDED: Final[tuple[BandedLink, ...]] = get_args(BandedLink)
BIAS: Final = Bounds(0.1, 6.0, "deg")
COST: Final = Bounds(1.0, 40.0, "%")
_SPREAD_SHARE: Final[Mapping[BandedLink, float]] = {"start": 1.0, "face_aim": 0.5, "delivery": 0.8, "path": 0.8}
_BIAS_SHARE: Final[Mapping[BandedLink, float]] = {"start": 0.5, "face_aim": 0.5, "delivery": 0.5, "path": 2.0}
_COST: Final[Mapping[Level, float]] = {"starting": 10.0, "club": 7.0, "skilled": 5.0, "elite": 3.0}
_LOST: Final[Mapping[Level, float]] = {"starting": 15.0, "club": 12.0, "skilled": 8.0, "elite": 5.0}


@dataclass(frozen=True, slots=True)
class Band:
    """What is fine for one level.

    Attributes
    ----------
    bias_deg, spread_deg : of each link, degrees: no more than this
    cost : putts of a hundred that a bias may cost
    lost_inside : putts of a hundred that start inside the window and miss, as is usual
    """

    bias_deg: Mapping[BandedLink, float]
    spread_deg: Mapping[BandedLink, float]
    cost: float
    lost_inside: float

    def with_start_spread(self, deg: float) -> "Band":
        """The same with the start's spread as the coach expects it of the level."""
        return replace(self, spread_deg=dict(self.spread_deg) | {"start": deg})


def usual_band(level: Level) -> Band:
    """Of a level, until the coach says otherwise: from the spread expected of its starts."""
    spread = LEVELS[level].spread_deg
    return Band(
        bias_deg={link: round(share * spread, 2) for link, share in _BIAS_SHARE.items()},
        spread_deg={link: round(share * spread, 2) for link, share in _SPREAD_SHARE.items()},
        cost=_COST[level],
        lost_inside=_LOST[level],
    )


def checked_band(level: Level, it: Band) -> Band:
    """The band as given, or `OutOfLimits` naming level and link."""
    for link in BANDED:
        if link not in it.bias_deg or link not in it.spread_deg:
            raise OutOfLimits(f"{level}.{link}", "band_lacks_link", link=link)
        BIAS.check(f"{level}.bias_deg.{link}", "band_bias", it.bias_deg[link])
        SPREAD.check(f"{level}.spread_deg.{link}", "band_spread", it.spread_deg[link])
    COST.check(f"{level}.cost", "band_cost", it.cost)
    COST.check(f"{level}.lost_inside", "band_lost", it.lost_inside)
    return it
