"""Whatever is proposed can be drawn where it would lie."""

from typing import get_args

import pytest

from libella.core.green.putt import Putt
from libella.core.instruments.aid import Measures
from libella.core.set.layout import from_above
from libella.core.set.proposal import Wanted, laid_by_itself, propose


@pytest.mark.parametrize("measures", get_args(Measures))
@pytest.mark.parametrize("hand", ["right", "left"])
def test_every_proposal_is_drawn_on_its_putt(measures, hand):
    putt = Putt(3.0, 0.35, 10.0)
    for it in propose(Wanted(measures, putt, 1.2), None, "feet"):
        station = laid_by_itself(it.aid, putt)
        scene = from_above(station, hand, "feet")
        assert it.aid in (station.rig, *station.aids) and scene.shapes and scene.right >= 3000
