"""Readings open to one side: half of them must be, and none finer may lie there."""

import math

import pytest

from libella.core.estimate.beyond import beyond_of
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

WINDOW = Window(1.0, 1.0)


def read(open_, clean, side=1):
    """So many past the edge at 1.5° and open, so many between the posts."""
    past = Interval(1.5, math.inf) if side > 0 else Interval(-math.inf, -1.5)
    return [*[past] * open_, *[Interval(-1.5, 1.5)] * clean]


@pytest.mark.parametrize("side", [1, -1])
@pytest.mark.parametrize(("open_", "clean", "said"), [(10, 0, True), (6, 4, True), (5, 5, True), (4, 6, False)])
def test_half_of_the_readings_must_be_open_to_that_side(side, open_, clean, said):
    found = beyond_of(read(open_, clean, side), WINDOW)
    assert (found is not None) == said
    if found is not None:
        assert (found.side, abs(found.edge), found.times) == ("right" if side > 0 else "left", 1.5, open_)


def test_where_a_finer_reading_lies_there_a_size_can_be_told():
    assert beyond_of([*read(8, 1), Interval(1.0, 1.2)], WINDOW) is None
    assert beyond_of([Interval(0.4, 0.6)] * 5, WINDOW) is None and beyond_of([], WINDOW) is None
