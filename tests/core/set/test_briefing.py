"""What a station says: whole sentences, every number with its unit, in both systems of units."""

import re

import pytest

from libella.core.green.putt import Putt
from libella.core.green.read import Read
from libella.core.instruments import Rig, instruments
from libella.core.set.proof import Proof
from libella.core.set.station import Station
from libella.words.set.briefing import allows, breaks, tape_list, trust
from tests.said import objections

SLOPE = {"falls_forward_percent": -1.2, "falls_right_percent": 1.1, "falls_doubt_percent": 0.15}
PUTTS = [
    Putt(2.5, 0.3, 10),
    Putt(3.0, 0.2, 9, **SLOPE),
    Putt(3.0, 0.2, 9, **SLOPE, read=Read("outside", "left", 0.06), target="read"),
    Putt(2.0, 0.3, 10, read=Read("inside_edge", "right")),
]
KINDS = sorted(kind for kind, it in instruments().items() if issubclass(it, Rig) and it.about.measures == "start")
UNITS = {"metric": ("mm", "cm", " m "), "feet": (" in", " ft")}


def everything(station, units):
    against = objections(station, "right", units)
    said = [
        *breaks(station, units),
        allows(station, units),
        *trust(station, units),
        *tape_list(station, "right", units),
    ]
    return [*said, *(it.words for it in against), *(it.why for it in against)]


@pytest.mark.parametrize("putt", PUTTS)
@pytest.mark.parametrize("kind", KINDS)
def test_every_sentence_ends_and_keeps_to_one_system_of_units(kind, putt):
    rig = instruments()[kind].laid({}).for_putt(putt, 1.2)
    aids = tuple(it.laid({}) for name, it in instruments().items() if name in ("foot_rods", "plumb", "roll_past"))
    station = Station(putt, rig, Proof("tape", offset_m=0.003, doubt_m=0.0015, noise_deg=0.1, checks=5), aids)
    for units, other in (("metric", "feet"), ("feet", "metric")):
        for it in everything(station, units):
            assert it[0].isupper() or it[0].isdigit(), it
            assert it.endswith("."), it
            # The green's speed is in feet on the ramp for everybody.
            rest = re.sub(r"[\d.]+ ft green", "green", it)
            for unit in UNITS[other]:
                assert not re.search(rf"\d{unit}\b" if unit != " m " else r"\d m\b", rest), (units, it)


def test_a_level_putt_at_the_hole_has_nothing_to_say_of_its_break():
    assert breaks(Station(PUTTS[0], instruments()["board"].laid({})), "metric") == ()


@pytest.mark.parametrize(("putt", "straight"), [(PUTTS[1], False), (Putt(2, 0.3, 10, falls_forward_percent=2.0), True)])
def test_straight_is_said_with_its_millimetres(putt, straight):
    first = breaks(Station(putt, instruments()["board"].laid({"distance_m": 0.5})), "metric")[0]
    assert first.startswith("Straight: it ends" if straight else "Not straight: it ends")
    assert "mm" in first


def test_a_straight_putt_on_a_slope_not_known_well_is_not_called_sure():
    putt = Putt(3, 0.3, 10, falls_forward_percent=1.5, falls_doubt_percent=0.4)
    first = breaks(Station(putt, instruments()["board"].laid({})), "metric")[0]
    assert "not known well enough to say" in first


def test_the_doubt_of_the_slope_is_named_where_it_is_the_largest():
    putt = Putt(5, 0.3, 10, falls_right_percent=1.0, falls_doubt_percent=2.0)
    said = " ".join(
        trust(Station(putt, instruments()["board"].laid({"distance_m": 4.0}), Proof("tape", doubt_m=0.001)), "metric")
    )
    assert "most of it: the slope's own doubt" in said
