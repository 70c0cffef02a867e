"""A string seen from beside it: how far off it lies to the eyes, and from when that is enough to see sides wrongly."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.certainty.estimate import normal
from libella.core.instruments import instrument
from libella.core.instruments.string_sight import StringSight
from libella.core.measure.constants import BALL_M
from libella.core.see.misled import misleads, sighting, string_off

CLASS = instrument("elevated_string")
EYES = st.floats(-150.0, 150.0)
HEIGHTS = st.floats(0.1, 0.4)


def string(height_m: float, lean_deg: float = 0.0):
    return CLASS.laid({"string_height_m": height_m, "lean_deg": lean_deg, "eye_height_m": 1.5})


def test_the_string_of_the_handbook_lies_twelve_millimetres_off():
    upright = CLASS.laid({"string_height_m": 0.22, "eye_height_m": 1.55})
    assert string_off(upright, normal(80.0, 0.0)).value == pytest.approx(12.0, abs=0.1)


@given(EYES, HEIGHTS)
def test_leaned_for_these_eyes_it_lies_on_the_line_for_them(inside_mm, height_m):
    lean = StringSight(inside_mm / 1000, 1.5, height_m).lean_planted_deg
    assert math.isclose(string_off(string(height_m, lean), normal(inside_mm, 1.0)).value, 0.0, abs_tol=1e-6)


@given(EYES, HEIGHTS, st.floats(-15, 15))
def test_eyes_on_the_other_side_see_it_as_far_off_to_the_other(inside_mm, height_m, lean):
    one = string_off(string(height_m, lean), normal(inside_mm, 5.0))
    other = string_off(string(height_m, -lean), normal(-inside_mm, 5.0))
    assert one.value == pytest.approx(-other.value, abs=1e-9) and one.sd == pytest.approx(other.sd)


@given(EYES, HEIGHTS, st.floats(0.0, 0.06))
def test_what_it_hides_is_what_the_geometry_says(inside_mm, height_m, hung_m):
    """By the straight line from the eye through the string, without the formula."""
    sight, z = StringSight(inside_mm / 1000, 1.5, height_m), BALL_M / 2
    share = (1.5 - z) / (1.5 - height_m)
    inside_there = inside_mm / 1000 + (hung_m - inside_mm / 1000) * share
    assert sight.lies_outside_m(z, hung_m) == pytest.approx(-inside_there, abs=1e-12)


@pytest.mark.parametrize(
    ("off", "sd", "so"), [(12, 2, True), (-12, 2, True), (4, 1, False), (6, 3, False), (0, 20, True)]
)
def test_it_misleads_where_a_side_is_likely_seen_wrongly(off, sd, so):
    assert misleads(normal(off, sd)) is so


def test_which_eye_sights_is_a_doubt_unless_it_is_known():
    assert sighting(normal(50.0, 5.0), known=True).sd == pytest.approx(5.0)
    assert sighting(normal(50.0, 5.0), known=False).sd == pytest.approx(math.hypot(5.0, 32 / 1.645), rel=1e-3)
