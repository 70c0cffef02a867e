"""The ladder: eight of the last ten through tighten the rig, five widen it, six and seven let it stand."""

import pytest

from libella.core.estimate import START, posterior
from libella.core.green.putt import Putt
from libella.core.instruments.peg_gate import PegGate
from libella.core.set.station import Station
from libella.core.start.ladder import WANTED, rung, three_in_four_deg

STATION = Station(Putt(2.5, 0.3, 10), PegGate(0.5, 0.09, 0.006))
THROUGH, LEFT, RIGHT = ({"crossing": it} for it in ("clean", "touched_left", "touched_right"))


def last_ten(through):
    """Alternately to either side where they are not through."""
    return [*[THROUGH] * through, *([LEFT, RIGHT] * 5)[: 10 - through]]


@pytest.mark.parametrize(
    ("through", "step"), [(10, "tighten"), (8, "tighten"), (7, "stay"), (6, "stay"), (5, "widen"), (3, "widen")]
)
def test_how_many_of_ten_go_through_says_which_way(through, step):
    found = rung(last_ten(through), STATION)
    assert found.passed == through
    assert found.step == step and (step != "stay" or found.why == "last")
    if found.step == "tighten":
        assert found.value_m < STATION.rig.inside_width_m
    if found.step == "widen":
        assert found.value_m > STATION.rig.inside_width_m


def test_eight_of_ten_through_a_wide_gate_tighten_it():
    wide = Station(Putt(2.5, 0.3, 10), PegGate(0.5, 0.13, 0.006))
    found = rung(last_ten(8), wide)
    assert found.step == "tighten" and rung(last_ten(7), wide).step == "stay"
    # As wide as three in four of these starts go through.
    laid = wide.rig.tuned(found.limit_deg)
    assert laid.inside_width_m == pytest.approx(found.value_m, abs=0.001)


def test_it_waits_for_ten():
    assert rung([THROUGH] * 9, STATION).step == "wait"
    assert rung([*[LEFT] * 20, *[THROUGH] * 10], STATION).passed == 10


def test_three_in_four_go_through_what_is_wanted():
    post = posterior([STATION.interval(it) for it in last_ten(5)], START())
    wanted = three_in_four_deg(post)
    assert post.mean(post.inside(wanted, wanted)) == pytest.approx(WANTED, abs=1e-3)
    assert pytest.approx(0.75) == WANTED
