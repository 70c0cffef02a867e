"""Two shares compared: against drawn ones, and the same either way round."""

import numpy as np
import pytest

from libella.core.estimate.shares import Share, apart


@pytest.mark.parametrize(("one", "other"), [((2, 8), (8, 8)), ((5, 10), (5, 10)), ((0, 3), (20, 60))])
def test_it_says_what_drawn_shares_say(one, other):
    rng = np.random.default_rng(1)
    a, b = (rng.beta(times + 1, of - times + 1, 200_000) for times, of in (one, other))
    found, by = apart(Share(*one), Share(*other), 10, 10), 100 * (b - a)
    assert found.more == pytest.approx((by > 10).mean(), abs=0.02)
    assert found.less == pytest.approx((by < -10).mean(), abs=0.02)
    assert found.gain.value == pytest.approx(np.median(by), abs=1.0)
    assert (found.gain.low, found.gain.high) == pytest.approx(tuple(np.quantile(by, (0.05, 0.95))), abs=1.5)
    back = apart(Share(*other), Share(*one), 10, 10)
    assert back.more == pytest.approx(found.less) and back.gain.value == pytest.approx(-found.gain.value, abs=0.6)
