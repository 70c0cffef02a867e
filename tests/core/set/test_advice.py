"""Following the advice on a rig ends: in one that will do, in at most three steps, or in "not with this rig here"."""

from dataclasses import replace

import pytest

from libella.core.golfer.level import LEVELS
from libella.core.green.putt import Putt
from libella.core.instruments import instruments, lay
from libella.core.instruments.rig import Rig
from libella.core.measure.constants import BALL_M
from libella.core.measure.limits import OutOfLimits
from libella.core.set.station import Station
from libella.words.set.briefing import breaks

RIGS = [kind for kind, it in instruments().items() if issubclass(it, Rig) and it.about.measures == "start"]
LENGTHS = (1.0, 1.5, 1.8, 2.4, 3.0, 4.0, 6.0, 9.0)
STEPS = 3


def walks(rig, putt, spread, steps=STEPS):
    """Every way of following the advice, one remedy after another: the fits it goes through."""
    seen = rig.sight(putt, spread)
    if not seen.remedies or not steps:
        yield [(rig, seen)]
        return
    for it in seen.remedies:
        changed = replace(rig, **{it.name: it.value})
        for rest in walks(changed, putt, spread, steps - 1):
            yield [(rig, seen), *rest]


@pytest.mark.parametrize("kind", RIGS)
@pytest.mark.parametrize("length", LENGTHS)
def test_following_the_advice_ends_in_a_rig_that_will_do_or_says_that_it_cannot(kind, length):
    for level in LEVELS.values():
        putt = Putt(length, 0.35, 10)
        for begun in beginnings(kind, length):
            for walk in walks(begun, putt, level.spread_deg):
                _, last = walk[-1]
                said = [(dict(rig.sizes()), seen.fit) for rig, seen in walk]
                assert not last.remedies, said
                assert last.fit in ("good", "cannot"), said


def beginnings(kind, length):
    """The rig as it comes, as far out as it may stand, and as near."""
    usual = lay(kind, {})
    place = next((it for it in usual.dimensions() if it.name in ("distance_m", "length_m")), None)
    for at in (None, place.low, min(place.high, length - 0.2)) if place else (None,):
        try:
            rig = replace(usual, **({place.name: at} if at is not None else {}))
        except OutOfLimits:
            continue
        if isinstance(rig, Rig) and rig.station_m <= length - 0.1:
            yield rig


def test_a_line_is_watched_before_the_break_and_what_lies_under_it_further_out_is_said():
    putt = Putt(3.0, 0.35, 10, falls_right_percent=-1.0)
    rig = lay("ground_laser", {"distance_m": 1.0, "line_m": 3.0})
    station = Station(putt, rig)
    # A true putt is off by half a radius there: the middle is no true putt, and the ring says so.
    assert abs(station.drift_m) > 0.45 * BALL_M / 2
    assert station.interval({"line_on": "centre"}).low > 0
    [ring] = [it for it in station.picture().shapes if getattr(it, "role", "") == "ring"]
    assert ring.x == pytest.approx(station.drift_m * 1000)
    assert any("no true putt here" in it for it in breaks(station, "metric"))
    near = Station(putt, lay("ground_laser", {"distance_m": 0.3, "line_m": 3.0}))
    assert not any("no true putt here" in it for it in breaks(near, "metric"))


@pytest.mark.parametrize("falls", [-3.0, -1.0, 0.5, 2.0])
def test_advice_on_breaking_ground_ends_as_well(falls):
    for length in LENGTHS:
        putt = Putt(length, 0.35, 10, falls_right_percent=falls)
        for level in LEVELS.values():
            for begun in beginnings("ground_laser", length):
                for walk in walks(begun, putt, level.spread_deg):
                    assert not walk[-1][1].remedies and walk[-1][1].fit in ("good", "cannot")
