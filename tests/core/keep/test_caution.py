"""A caution is said where its cause is, and nowhere else: each of the list, with a case that lacks the cause."""

from dataclasses import replace

import pytest

from libella.core.change.drills import drills
from libella.core.green.putt import Putt
from libella.core.instruments import instruments, lay
from libella.core.instruments.rig import Rig
from libella.core.keep.caution import CAUTIONS, Case, cautions, laid, of_kinds
from libella.core.set.station import Station
from libella.words.keep.caution import CAUTIONS as WORDS
from libella.words.keep.caution import cautions_said

PUTT = Putt(2.5, 0.35, 10.0)
LAID, LESSON, SHEET = Case("laid"), Case("lesson"), Case("sheet")
LASER = replace(LAID, aids=of_kinds("ground_laser"))
BOTH = replace(LAID, aids=of_kinds("ground_laser", "ground_mirror"))
GREEN = replace(LESSON, surface="green")
GATE = replace(GREEN, aids=of_kinds("peg_gate"))
NECK = replace(SHEET, limits=("neck",))

# Each caution: where it applies, and where the same lacks the one thing it hangs on.
TABLE = {
    "laser_class": (LASER, replace(LASER, aids=of_kinds("ground_mirror"))),
    "laser_switch": (LASER, LAID),
    "laser_around": (LASER, LAID),
    "beam_thrown": (replace(LASER, aids=of_kinds("ground_laser", "foot_rods")), LASER),
    "coachs_word": (BOTH, replace(BOTH, aids=of_kinds("ground_mirror"))),
    "lights_up": (replace(LASER, surface="indoor_mat"), replace(LASER, surface="green")),
    "no_laser_at_home": (replace(SHEET, aids=of_kinds("ground_laser")), SHEET),
    "beyond_the_hole": (GATE, replace(GATE, hole=False)),
    "holes_mended": (GATE, replace(GATE, surface="carpet")),
    "cups_edge": (GREEN, replace(GREEN, hole=False)),
    "weather": (GREEN, replace(GREEN, surface="carpet")),
    "wet_green": (replace(GREEN, conditions="Rain before"), GREEN),
    "wet_mat": (replace(LESSON, surface="indoor_mat", conditions="Rain before"), replace(LESSON, surface="indoor_mat")),
    "towel": (replace(GREEN, minutes=12.0), replace(GREEN, minutes=11.9)),
    "shared_kit": (replace(LESSON, aids=of_kinds("grip_rod"), shared=True), replace(LESSON, aids=of_kinds("grip_rod"))),
    "filming": (replace(LAID, aids=of_kinds("camera")), LAID),
    "minors": (Case("golfer", minor=True), Case("golfer")),
    "straighten_up": (replace(SHEET, drill=drills()["lids"]), SHEET),
    "pain": (replace(LESSON, limits=("back",)), LESSON),
    "sparing_tilt": (NECK, replace(NECK, limits=("knee",))),
    "one_foot": (Case("drill", drill=drills()["lead_foot"]), Case("drill", drill=drills()["lids"])),
    "not_on_one_foot": (replace(SHEET, limits=("knee",)), NECK),
    "tremor": (replace(LESSON, limits=("tremor",)), replace(LESSON, limits=("knee",))),
    "eye_professional": (
        replace(SHEET, causes=frozenset(["perception"])),
        replace(SHEET, causes=frozenset(["strike"])),
    ),
    "rules_of_play": (Case("round"), LESSON),
    "opinion": (SHEET, LESSON),
}


def station(*kinds):
    told = [lay(it, {}) for it in kinds]
    rig = next((it for it in told if isinstance(it, Rig) and it.about.measures == "start"), None) or lay("no_rig", {})
    return laid(Station(PUTT, rig, aids=tuple(it for it in told if it is not rig)))


def test_every_caution_of_the_list_is_here():
    assert set(TABLE) == set(CAUTIONS) == set(WORDS)


@pytest.mark.parametrize("code", TABLE)
def test_a_caution_applies_where_its_cause_is_and_not_beside_it(code):
    there, beside = TABLE[code]
    assert code in cautions(there) and WORDS[code] in cautions_said(there)
    assert code not in cautions(beside) and WORDS[code] not in cautions_said(beside)


def test_where_nothing_is_laid_planned_or_noted_nothing_is_said():
    for it in (LAID, LESSON, Case("judged")):
        assert cautions_said(it) == []


@pytest.mark.parametrize("kind", instruments())
def test_an_instrument_by_itself_says_its_own_cautions_and_none_of_what_is_not_there(kind):
    about = instruments()[kind].about
    told = cautions_said(station(kind))
    assert about.cautions and set(about.cautions) <= set(told)
    lasers = {WORDS[it] for it in ("laser_class", "laser_switch", "laser_around")}
    assert lasers <= set(told) if about.laser else not lasers & set(told)
    assert len(told) == len(set(told))
