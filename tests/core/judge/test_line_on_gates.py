"""The golfer's line of blocks putted through gates: what it tells is so, also of golfers unlike the prior."""

import pytest

from tests.bench.line_on_gates import LEVELS, SPREADS, measured


@pytest.mark.parametrize("level", LEVELS)
@pytest.mark.parametrize("spread", SPREADS)
def test_level_and_spread_hold_where_they_are_told(level, spread):
    """A calm golfer who starts beside the middle of a wide gate was pulled to its middle, surer with every block."""
    levels, spreads = measured(level, spread, 1.1, 20)
    assert levels.held >= 0.75 * levels.told
    assert spreads.held >= 0.7 * spreads.told
