"""Bands by level as the coach holds them: every version is kept, the newest holds."""

from collections.abc import Generator, Mapping
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.golfer.band import Band, checked_band, usual_band
from ...core.golfer.level import LEVELS, Level
from ...core.schools.held import Schools
from ...store.tables import BandVersionRow
from ..desk.desk import Desk
from ..desk.stored import Stored
from ..set.bag import spreads

ONE_LINE: Final[Level] = "elite"
"""Whose bands hold for everybody where one line is held for all."""
_BAND: Final[Stored[Band]] = Stored(Band)


@dataclass(frozen=True, slots=True)
class Bands:
    """The bands that hold; `number` 0 and no time for the usual ones, until the coach says otherwise."""

    number: int
    kept_at: datetime | None
    of: Mapping[Level, Band]


_TRIED: Final[ContextVar[Mapping[Level, Band] | None]] = ContextVar("bands_tried", default=None)


@contextmanager
def trying(told: Mapping[Level, Band]) -> Generator[None]:
    """Everything judged inside is judged by these bands, and nothing of it is kept; each band is checked."""
    token = _TRIED.set({level: checked_band(level, it) for level, it in told.items()})
    try:
        yield
    finally:
        _TRIED.reset(token)


def bands_are_tried() -> bool:
    """Whether other bands than the kept ones are tried here: what is judged meanwhile is no state of the data."""
    return _TRIED.get() is not None


def bands_now(desk: Desk) -> Bands:
    """The newest version; the start's spread is what the coach expects of a level when planning, too. While others are
    tried, those, with the start's spread that they say."""
    stands, tried = _bands_kept(desk), _TRIED.get()
    return stands if tried is None else replace(stands, of={**stands.of, **tried})


def _bands_kept(desk: Desk) -> Bands:
    with desk.transaction() as session:
        row = _newest(desk, session)
        told = {} if row is None else {level: _BAND.read(it) for level, it in row.bands.items()}
        number, kept_at = (0, None) if row is None else (row.number, row.kept_at)
    expected = spreads(desk)
    return Bands(
        number,
        kept_at,
        {level: told.get(level, usual_band(level)).with_start_spread(expected[level]) for level in LEVELS},
    )


def band_for(desk: Desk, level: Level, schools: Schools) -> Band:
    """What a golfer of that level is held to: what is fine there, or one line for all by the school held."""
    return bands_now(desk).of[ONE_LINE if schools.settings.one_level else level]


def keep_bands(desk: Desk, id: UUID, told: Mapping[Level, Band]) -> Bands:
    """Keep a new version. Said twice it is one; said otherwise, a conflict."""
    values = {level: _BAND.keep(checked_band(level, it)) for level, it in told.items()}
    with desk.transaction() as session:
        # One at a time: two versions never have one number.
        desk.locked_studio(session)
        newest = _newest(desk, session)
        number = 1 if newest is None else newest.number + 1
        desk.keep(session, BandVersionRow, id, "band_version", {"bands": values}, number=number)
    return bands_now(desk)


def _newest(desk: Desk, session: Session) -> BandVersionRow | None:
    return session.scalar(
        select(BandVersionRow)
        .where(BandVersionRow.studio_id == desk.studio_id)
        .order_by(BandVersionRow.number.desc())
        .limit(1)
    )
