"""When something may have happened: as long ago as it was, and no further ahead than clocks differ."""

from datetime import UTC, datetime, timedelta, timezone

import pytest

from libella.core.measure.limits import OutOfLimits
from libella.lessons.desk.times import EARLIEST, checked_time

NOW = datetime(2026, 11, 27, 12, tzinfo=UTC)


@pytest.mark.parametrize("ahead_s", [-1e6, 0, 9, 10])
def test_what_is_past_or_a_moment_ahead_is_taken_as_it_was(ahead_s):
    at = NOW + timedelta(seconds=ahead_s)
    assert checked_time("at", at.astimezone(timezone(timedelta(hours=5))), NOW) == at


@pytest.mark.parametrize(
    ("at", "code"),
    [
        (NOW + timedelta(seconds=11), "time_in_future"),
        (NOW + timedelta(minutes=9), "time_in_future"),
        (EARLIEST - timedelta(seconds=1), "time_too_far_back"),
        (datetime.min.replace(tzinfo=timezone(timedelta(hours=9))), "time_end_of_time"),
    ],
)
def test_what_is_ahead_or_before_anybody_measured_is_refused(at, code):
    with pytest.raises(OutOfLimits) as refused:
        checked_time("at", at, NOW)
    assert (refused.value.field, refused.value.code) == ("at", code)
