"""The planner: proposals, what speaks against a station, the bag, and where a rig stands on a break."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.drawing.scene import Tape
from libella.core.green.putt import Putt
from libella.core.green.read import Read
from libella.core.instruments import Rig, instruments, lay
from libella.core.instruments.aid import QUANTITIES
from libella.core.measure.angle import angle_deg
from libella.core.measure.limits import OutOfLimits
from libella.core.set.kit import PARTS, in_bag, kit_check, needed
from libella.core.set.layout import from_above, from_side
from libella.core.set.objections import usual_backstroke_m
from libella.core.set.proposal import Wanted
from libella.core.set.station import MOST_AIDS, Station
from libella.words.set.briefing import breaks, tape_list
from libella.words.set.sight import sight_words
from tests.said import objections, propose

from ...said import refusal

PUTT = Putt(2.5, 0.3, 9.5)
BREAKING = Putt(3.0, 0.3, 10, falls_forward_percent=-1.0, falls_right_percent=1.5)
GATE = lay("peg_gate", {"distance_m": 0.5})


def said(station: Station, hand="right") -> str:
    return " ".join(f"{it.words} {it.why}" for it in objections(station, hand, "metric"))


@settings(max_examples=60, deadline=None)
@given(st.sampled_from(list(QUANTITIES)), st.floats(0.4, 10), st.floats(0.4, 3.0))
def test_whatever_is_wanted_something_is_proposed_that_fits_the_putt(measures, distance, spread):
    putt = Putt(distance, 0.2, 10)
    found = propose(Wanted(measures, putt, spread), None, "metric")
    assert found and all(it.aid.about.measures == measures for it in found)
    for it in found:
        assert not it.missing and it.words
        if isinstance(it.aid, Rig) and measures == "start":
            # Once it is laid, Set says the same of it.
            assert Station(putt, it.aid).sight(spread) == it.sight
    if measures == "start":
        # The first proposal is one that will do, once proved, wherever any does.
        will_do = ("good", "unsure")
        assert found[0].sight.fit in will_do or all(it.sight.fit not in will_do for it in found)


def test_a_strict_rig_is_proposed_as_strict_as_wanted():
    for it in propose(Wanted("start", PUTT, 0.8), None, "metric"):
        if it.aid.about.kind in ("peg_gate", "ball_gate", "bridge_gate"):
            assert it.aid.limit_deg == pytest.approx(0.8, abs=0.01)
            assert it.sight.fit == "good" or sight_words(it.sight).endswith("prove the line.")


def test_what_is_not_in_the_bag_comes_last_and_says_what_is_missing():
    found = propose(Wanted("start", PUTT, 1.4), {"peg": 2, "ball": 1, "tape_measure": 1}, "metric")
    assert found[0].aid.about.kind == "peg_gate" and not found[0].missing
    balls = next(it for it in found if it.aid.about.kind == "ball_gate")
    # Two for the gate and one to putt.
    assert [(it.part, it.count, it.owned) for it in balls.missing] == [("ball", 3, 1)]


def test_a_bag_counts_over_all_that_is_laid_but_for_the_tape():
    abouts = [instruments()[kind].about for kind in ("peg_gate", "putter_gate", "foot_rods", "plumb")]
    count = {it.part: it.count for it in needed(abouts, None)}
    assert count == {"ball": 1, "peg": 4, "rod": 2, "tape_measure": 1, "plumb_line": 1}
    assert not in_bag(abouts, {"peg": 3, "ball": 1, "rod": 2, "tape_measure": 1, "plumb_line": 1})
    assert in_bag(abouts, None)


def test_the_kit_check_asks_for_batteries_and_tips_where_they_matter():
    laser = " ".join(it.words for it in kit_check([instruments()["ground_laser"].about]))
    assert "batteries" in laser and "remote" in laser and "Tips" not in laser.title().split("Peg")[0]
    pegs = [it.words for it in kit_check([instruments()["peg_gate"].about])]
    assert any("tips guarded" in it for it in pegs) and not any("batteries" in it for it in pegs)
    assert any("clear" in it for it in pegs) and any("switched off" in it for it in pegs)
    assert len(set(pegs)) == len(pegs)
    assert all(part.checks is not None for part in PARTS.values())


def test_a_plain_gate_has_nothing_against_it():
    assert Station(PUTT, GATE).objections("right") == ()


def test_a_laser_with_a_mirror_is_warned_of_with_its_reason():
    both = Station(PUTT, lay("ground_laser", {}), aids=(lay("ground_mirror", {}),))
    assert "never a head over the mirror while the laser is on" in said(both)
    assert "throws the beam up" in said(both)
    assert "mirror" not in said(Station(PUTT, GATE, aids=(lay("ground_mirror", {}),)))


def test_two_things_in_the_same_place_are_named():
    both = Station(PUTT, lay("board", {"distance_m": 0.5}), aids=(lay("square_reference", {}), lay("rail_square", {})))
    assert "Square reference and rail with a square at its end are in the same place" in said(both)
    apart = Station(PUTT, GATE, aids=(lay("ball_box", {}),))
    assert "same place" not in said(apart)


def test_a_stake_in_the_backstroke_leaves_no_room():
    near = lay("elevated_string", {"behind_m": 0.15, "length_m": 3.5})
    assert "no room behind the ball" in said(Station(PUTT, GATE, aids=(near,)))
    assert "no room behind" not in said(Station(PUTT, GATE, aids=(near,), backstroke_m=0.1))


def test_a_low_string_is_in_the_putters_way():
    low = lay("elevated_string", {"string_height_m": 0.07, "length_m": 3.5})
    high = lay("elevated_string", {"string_height_m": 0.25, "length_m": 3.5})
    assert "in the putter's way" in said(Station(PUTT, GATE, aids=(low,)))
    assert said(Station(PUTT, GATE, aids=(high,))) == ""


def test_a_gate_the_head_runs_into_is_named():
    assert "in the way of the follow-through" in said(Station(PUTT, lay("peg_gate", {"distance_m": 0.15})))


def test_a_wide_board_lies_across_the_feet_and_on_which_side_depends_on_the_hand():
    wide = lay("board", {"distance_m": 0.12, "half_width_m": 0.3, "mark_m": 0.005})
    assert "across the golfer's feet" in said(Station(PUTT, wide))
    curved = lay("curved_rail", {"radius_m": 0.5, "back_m": 0.8, "through_m": 0.8, "head_m": 0.18, "gap_m": 0.03})
    for hand in ("right", "left"):
        assert "feet" in said(Station(PUTT, GATE, aids=(curved,)), hand)
    assert "feet" not in said(Station(PUTT, GATE, aids=(lay("foot_rods", {}),)))


def test_a_string_that_ends_before_the_hole_is_too_short():
    short = lay("elevated_string", {"length_m": 2.0})
    assert "too short for this putt" in said(Station(PUTT, GATE, aids=(short,)))
    assert "too short" in said(Station(PUTT, lay("chalk_line", {"line_m": 1.0, "distance_m": 0.5})))


def test_what_is_proposed_for_a_putt_has_nothing_against_it_by_itself():
    for measures in ("eyes", "body", "path", "pace"):
        for it in propose(Wanted(measures, PUTT, 1.4), None, "metric"):
            assert said(Station(PUTT, GATE, aids=(it.aid,))) == "", it.aid.about.kind


def test_a_stake_in_the_hole_is_refused_with_its_dimension():
    with pytest.raises(OutOfLimits) as refused:
        Station(PUTT, GATE, aids=(lay("plumb", {}), lay("elevated_string", {"behind_m": 0.7, "length_m": 3.2})))
    assert (refused.value.field, refused.value.unit) == ("aids.1.length_m", "m")
    assert "54 mm" in refusal(refused.value).limit


def test_too_many_aids_and_a_rig_far_aside_are_refused():
    with pytest.raises(OutOfLimits) as refused:
        Station(PUTT, GATE, aids=(lay("plumb", {}),) * (MOST_AIDS + 1))
    assert refused.value.field == "aids"
    for more, field in (({"across_m": 0.5}, "across_m"), ({"backstroke_m": 3.0}, "backstroke_m")):
        with pytest.raises(OutOfLimits) as refused:
            Station(PUTT, GATE, **more)
        assert refused.value.field == field


@given(st.floats(0.3, 15))
def test_a_longer_putt_takes_no_shorter_backstroke(distance):
    assert usual_backstroke_m(distance) <= usual_backstroke_m(distance + 0.5) <= 0.7


def test_a_shifted_gate_reads_the_same_start_line():
    """A true putt passes the middle of a gate shifted to its path, and is read as no error either way."""
    plain, shifted = Station(BREAKING, GATE), Station(BREAKING, GATE, across_m=BREAKING.drift_m(0.5))
    assert plain.drift_m > 0.001
    assert shifted.shift_deg == pytest.approx(0.0, abs=1e-9)
    assert plain.shift_deg == pytest.approx(-angle_deg(plain.drift_m, 0.5))
    assert shifted.interval({"crossing": "clean"}).anchor == pytest.approx(0.0, abs=1e-9)


def test_on_a_break_the_rig_is_offered_a_nearer_place_or_the_shift():
    found = {it.name: it.value for it in Station(BREAKING, GATE).remedies}
    assert found["across_m"] == pytest.approx(BREAKING.drift_m(0.5), abs=0.0005)
    nearer = Station(BREAKING, lay("peg_gate", {"distance_m": found["distance_m"]}))
    assert abs(nearer.drift_m) <= 0.001
    for name, value in found.items():
        mended = Station(BREAKING, GATE, across_m=value) if name == "across_m" else nearer
        assert not mended.remedies
    assert Station(PUTT, GATE).remedies == ()
    rail = Station(BREAKING, lay("narrow_rail", {"length_m": 0.6})).remedies
    assert [it.name for it in rail] == ["length_m"]
    assert Station(BREAKING, lay("board", {"distance_m": 1.0})).remedies == ()
    back = Station(PUTT, GATE, across_m=0.01).remedies
    assert [(it.name, it.value) for it in back] == [("across_m", 0.0)]


def test_the_view_from_the_side_lies_under_the_one_from_above():
    string = Station(PUTT, GATE, aids=(lay("elevated_string", {"length_m": 3.5, "string_height_m": 0.2}),))
    above, side = from_above(string, "right", "metric"), from_side(string, "metric")
    assert (side.left, side.right) == (above.left, above.right)
    [height] = [it for it in side.shapes if isinstance(it, Tape)]
    assert abs(height.y2 - height.y1) == 200 and height.text == "20 cm" and height.whose == 1
    assert from_side(Station(PUTT, GATE), "metric") is None


def test_what_belongs_to_the_golfers_side_is_mirrored_for_a_left_handed_one():
    station = Station(PUTT, GATE, aids=(lay("foot_rods", {}),))

    def rod(hand):
        [tape] = [it for it in from_above(station, hand, "metric").shapes if isinstance(it, Tape) and it.whose == 1]
        return tape

    assert rod("right").y2 == -150 and rod("left").y2 == 150
    assert rod("right").x1 == rod("left").x1


def test_the_tape_list_goes_from_the_spot_to_the_line_to_the_rig():
    station = Station(BREAKING, GATE, aids=(lay("foot_rods", {}),), across_m=0.004)
    rows = tape_list(station, "left", "metric")
    assert rows[0] == "Mark the ball's spot."
    assert "left of the hole's centre" in rows[1] and "3.00 m away" in rows[1]
    assert rows[3].startswith("Gate of pegs: Ball to gate 50 cm") and "4 mm right of the line" in rows[3]
    assert rows[4].startswith("Rod along the toes")
    assert "stands on the right" in rows[-1]


def test_the_coachs_read_stands_beside_the_computed_aim():
    read = Putt(3.0, 0.3, 10, falls_forward_percent=-1.0, falls_right_percent=1.5, read=Read("edge", "left"))
    told = " ".join(breaks(Station(read, GATE), "metric"))
    assert "Computed: start it" in told and "Your read, the left edge, is" in told
    assert "right of what is computed" in told and "misses" in told
    assert "counted against the computed aim point" in told
