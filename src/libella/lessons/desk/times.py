"""When something may have happened: as long ago as it was, never in the future."""

from datetime import UTC, datetime, timedelta
from typing import Final

from ...core.measure.limits import Fact, OutOfLimits

EARLIEST: Final = datetime(1950, 1, 1, tzinfo=UTC)
GRACE: Final = timedelta(seconds=10)
"""How far a clock may run ahead of ours."""


def checked_time(field: str, at: datetime, now: datetime | None = None) -> datetime:
    """The time in UTC; `OutOfLimits` for one before 1950 or ahead of now."""
    limit: dict[str, Fact] = {"since": str(EARLIEST.year), "grace": GRACE.total_seconds()}
    try:
        told = at.astimezone(UTC)
    except OverflowError:
        raise OutOfLimits(field, "time_end_of_time", "", **limit) from None
    if told < EARLIEST:
        raise OutOfLimits(field, "time_too_far_back", "", **limit, told=f"{told:%Y-%m-%d}")
    if told > (now or datetime.now(UTC)) + GRACE:
        raise OutOfLimits(field, "time_in_future", "", **limit, told=f"{told:%Y-%m-%d %H:%M}")
    return told
