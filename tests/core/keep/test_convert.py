"""One angle in every way: each way leads back to the same angle, and the ways agree with each other."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.keep.convert import WAYS, converted
from libella.core.measure.limits import OutOfLimits


@given(angle=st.floats(-30, 30), length=st.floats(0.5, 20), step=st.floats(0.4, 1.2), way=st.sampled_from(WAYS))
def test_every_way_leads_back_to_the_same_angle(angle, length, step, way):
    it = converted(angle, "deg", length, step)
    again = converted(it.amounts[way], way, length, step)
    for one in WAYS:
        assert again.amounts[one] == pytest.approx(it.amounts[one], abs=1e-6, rel=1e-6)


def test_one_degree_at_three_metres_in_every_way():
    it = converted(1.0, "deg", 3.0, 0.75)
    assert it.amounts["mm"] == pytest.approx(52.4, abs=0.05) and it.amounts["in"] == pytest.approx(2.06, abs=0.01)
    # An edge is half a hole from its centre, 54 mm; a minute of the clock is six degrees.
    assert it.amounts["edges"] == pytest.approx(0.97, abs=0.005) and it.amounts["cups"] == pytest.approx(
        0.485, abs=0.005
    )
    assert it.amounts["minutes"] == pytest.approx(1 / 6) and it.amounts["steps"] == pytest.approx(0.0698, abs=0.0005)


@pytest.mark.parametrize("bad", [(90.0, "deg", 3.0), (1.0, "deg", 0.01), (1.0, "furlong", 3.0), (20000.0, "mm", 3.0)])
def test_what_is_no_start_line_is_refused(bad):
    with pytest.raises(OutOfLimits):
        converted(*bad)
