"""Bands by level: what counts as fine for whom."""

from dataclasses import replace

import pytest

from libella.core.golfer.band import BANDED, checked_band, usual_band
from libella.core.golfer.level import LEVELS
from libella.core.measure.limits import OutOfLimits


@pytest.mark.parametrize("level", LEVELS)
def test_a_usual_band_follows_the_spread_expected_of_the_level(level):
    band, spread = usual_band(level), LEVELS[level].spread_deg
    assert checked_band(level, band) is band
    assert band.spread_deg["start"] == pytest.approx(spread, abs=0.005)
    assert band.bias_deg["start"] == pytest.approx(spread / 2, abs=0.005)
    assert band.bias_deg["path"] == pytest.approx(2 * spread, abs=0.005)
    assert band.with_start_spread(9.0).spread_deg["start"] == 9.0
    assert band.with_start_spread(9.0).spread_deg["path"] == band.spread_deg["path"]


def test_a_band_without_a_link_or_out_of_its_limits_is_refused_by_name():
    band = usual_band("club")
    for link in BANDED:
        with pytest.raises(OutOfLimits) as refused:
            checked_band("club", replace(band, bias_deg={it: 1.0 for it in BANDED if it != link}))
        assert refused.value.field == f"club.{link}"
        with pytest.raises(OutOfLimits) as refused:
            checked_band("club", replace(band, bias_deg=dict(band.bias_deg) | {link: 6.1}))
        assert refused.value.field == f"club.bias_deg.{link}"
    for name in ("cost", "lost_inside"):
        with pytest.raises(OutOfLimits) as refused:
            checked_band("club", replace(band, **{name: 0.5}))
        assert refused.value.field == f"club.{name}"
