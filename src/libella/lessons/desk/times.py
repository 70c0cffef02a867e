"""When something may have happened: as long ago as it was, never in the future."""

from datetime import UTC, datetime, timedelta
from typing import Final

from ...core.measure.limits import OutOfLimits

EARLIEST: Final = datetime(1950, 1, 1, tzinfo=UTC)
GRACE: Final = timedelta(seconds=10)
"""How far a clock may run ahead of ours."""


def checked_time(field: str, at: datetime, now: datetime | None = None) -> datetime:
    """The time in UTC; `OutOfLimits` for one before 1950 or ahead of now."""
    limit = f"{EARLIEST.year} to now, with {GRACE.total_seconds():g} s of grace"
    try:
        told = at.astimezone(UTC)
    except OverflowError:
        raise OutOfLimits(field, "That time lies at the end of all time.", limit=limit, unit="") from None
    if told < EARLIEST:
        raise OutOfLimits(field, f"{told:%Y-%m-%d} lies too far back.", limit=limit, unit="")
    if told > (now or datetime.now(UTC)) + GRACE:
        raise OutOfLimits(field, f"{told:%Y-%m-%d %H:%M} UTC lies in the future.", limit=limit, unit="")
    return told
