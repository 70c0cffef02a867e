"""Bands by level: what counts as fine for whom; opinions, in versions."""

from datetime import datetime

from pydantic import BaseModel, Field

from ...core.golfer.band import Band, BandedLink
from ...core.golfer.level import LEVELS, Level
from ...lessons.judge import bands
from ...words.judge.bands import BANDED_NAMES
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits
from .findings import findings_anew
from .weighed import WeighedOut, weighed_out

router = Router(tags=["bands"])


class LinkBandIn(Entry):
    """No more than this, degrees."""

    bias_deg: float
    spread_deg: float


class LevelBandIn(Entry):
    links: dict[BandedLink, LinkBandIn]
    cost: float = Field(description="putts of a hundred a bias may cost")
    lost_inside: float = Field(description="putts of a hundred that start inside the window and miss, as is usual")


class LinkBandsIn(Entry):
    levels: dict[Level, LevelBandIn]

    def told(self) -> dict[Level, Band]:
        return {
            level: Band(
                {link: one.bias_deg for link, one in it.links.items()},
                {link: one.spread_deg for link, one in it.links.items()},
                it.cost,
                it.lost_inside,
            )
            for level, it in self.levels.items()
        }


class LevelBandOut(BaseModel):
    level: Level
    name: str
    links: dict[BandedLink, LinkBandIn]
    cost: float
    lost_inside: float


class LinkBandsOut(BaseModel):
    """The bands that hold; number 0 for the usual ones."""

    number: int
    kept_at: datetime | None
    names: dict[BandedLink, str]
    levels: list[LevelBandOut]


@router.get("/link-bands")
def now(desk: AtDesk) -> LinkBandsOut:
    """What counts as fine for whom."""
    return _out(bands.bands_now(desk))


@router.put("/link-bands/{id}")
def keep(desk: AtDesk, id: UUID7, entry: LinkBandsIn) -> LinkBandsOut:
    """Keep a new version: the one before stays kept, and what was judged by it is judged anew."""
    return _out(bands.keep_bands(desk, id, entry.told()))


@router.post("/lessons/{id}/weighed-bands")
def weighed(desk: AtDesk, id: UUID, entry: LinkBandsIn, units: InUnits = "metric") -> WeighedOut:
    """What of a lesson would be said otherwise, were these the bands; nothing of it is kept."""
    with desk.together() as whole:
        before = findings_anew(whole, id, units)
        with bands.trying(entry.told()):
            after = findings_anew(whole, id, units)
    return weighed_out(before, after)


def _out(it: bands.Bands) -> LinkBandsOut:
    return LinkBandsOut(
        number=it.number,
        kept_at=it.kept_at,
        names=BANDED_NAMES,
        levels=[
            LevelBandOut(
                level=level,
                name=LEVELS[level].name,
                links={
                    link: LinkBandIn(bias_deg=band.bias_deg[link], spread_deg=band.spread_deg[link])
                    for link in BANDED_NAMES
                },
                cost=band.cost,
                lost_inside=band.lost_inside,
            )
            for level, band in it.of.items()
        ],
    )
