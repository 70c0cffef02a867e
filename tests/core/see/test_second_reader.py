"""Two readers of the same: the error found is the one they read with; what cannot be is refused."""

import numpy as np
import pytest

from libella.core.measure.limits import OutOfLimits
from libella.core.see.second_reader import READ, THINGS, agreement, checked_readings

ZONED = [it for it in THINGS if READ[it].edges]


def read_with(thing, error, rng, n=30):
    """What somebody reads who is off by so much, of things as they usually lie."""
    it = READ[thing]
    truth = rng.normal(0, it.scatter or 15, n)
    reads = [truth + rng.normal(0, error, n) for _ in range(2)]
    if it.bounds:
        return [[float(round(one)) for one in read] for read in reads]
    return [[it.zones[int(np.searchsorted(it.edges, one))] for one in read] for read in reads]


@pytest.mark.parametrize(("thing", "error"), [("mirror", 4.0), ("strike", 2.5), ("body_lines", 2.0)])
def test_of_numbers_the_error_is_found_and_its_interval_holds(thing, error):
    rng = np.random.default_rng(1)
    found = [agreement(thing, *read_with(thing, error, rng)).error for _ in range(200)]
    assert np.median([it.value for it in found]) == pytest.approx(error, rel=0.15)
    assert 0.84 <= np.mean([it.low <= error <= it.high for it in found]) <= 0.96


@pytest.mark.parametrize("thing", ZONED)
def test_of_zones_the_error_is_found_from_how_often_two_differ(thing):
    rng = np.random.default_rng(2)
    error = 0.25 * READ[thing].scatter
    found = [agreement(thing, *read_with(thing, error, rng, 40)).error for _ in range(60)]
    assert np.median([it.value for it in found]) == pytest.approx(error, rel=0.4)
    assert np.mean([it.low <= error <= it.high for it in found]) >= 0.8


def test_readers_who_always_agree_are_no_finer_than_they_can_be_and_one_who_reads_more_is_told():
    same = [float(n) for n in range(10)]
    exact = agreement("strike", same, same)
    assert exact.same == 10 and exact.error.value == 0.3 and not exact.apart.is_one_side
    more = agreement("strike", same, [it + 4 for it in same])
    assert more.apart.is_one_side and more.apart.value == pytest.approx(4)


def test_of_right_or_wrong_the_share_that_is_wrong_is_told():
    still, moved = ["still"] * 9 + ["moved"], ["still"] * 8 + ["moved"] * 2
    found = agreement("golfer", still, moved)
    assert found.same == 9 and 0.02 < found.error.value < 0.15
    assert agreement("golfer", still, still).error.value < found.error.value


def test_what_cannot_be_read_is_refused():
    for thing, values in (
        ("clouds", [1.0] * 5), ("mirror", [1.0] * 4), ("mirror", ["left"] * 5), ("mirror", [900.0] * 5),
        ("gate", ["middle"] * 5), ("gate", [1.0] * 5),
    ):  # fmt: skip
        with pytest.raises(OutOfLimits):
            checked_readings(thing, values)
    with pytest.raises(OutOfLimits):
        agreement("gate", ["clean"] * 5, ["clean"] * 6)
