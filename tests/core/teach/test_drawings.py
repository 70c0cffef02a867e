"""Teaching drawings: every one begins with the golfer's numbers, can stand on each of its places, and is not wrong."""

import math
from dataclasses import replace

import pytest

from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.see.side_look import StringLook
from libella.core.teach.registry import DRAWINGS
from libella.core.teach.taught import Known, frames
from libella.core.teach.windows import window_deg
from libella.words.teach import drawings as words

PUTT = Putt(2.5, 0.35, 10)
KNOWN = Known("right", PUTT, usual_mix(PUTT, USUAL()), 1.1, 0.9, face_deg=1.3, path_deg=-2.0, eyes_mm=24.0)
ALL = {(code, lever.code): (it, lever) for code, it in DRAWINGS.items() for lever in it.levers}


def say(code: str, value: float) -> str:
    return words.label_said(code, value, "metric")


def told(code: str, known: Known = KNOWN, **values: float) -> dict[str, dict[str, float]]:
    it = DRAWINGS[code]
    return {one.code: dict(one.numbers) for one in it.draw(it.starts(known) | values, known, say).told}


@pytest.mark.parametrize("at", ALL, ids=":".join)
def test_a_finger_finds_a_picture_on_every_place_and_what_it_does_is_seen(at):
    it, lever = ALL[at]
    for known in (KNOWN, replace(KNOWN, hand="left")):
        drawn = frames(it, lever, {}, known, say)
        assert [one.value for one in drawn] == list(lever.places) and len(drawn) <= 81
        for one in drawn:
            scene = one.shown.scene
            ends = [x for shape in scene.shapes for corner in shape.corners for x in corner]
            assert all(map(math.isfinite, ends)), (at, one.value)
            assert words.told_said(one.shown, "feet") and words.value_said(lever, one.value, "feet")
        assert drawn[0].shown.told != drawn[-1].shown.told, "nothing is told otherwise"


@pytest.mark.parametrize("code", DRAWINGS)
def test_it_begins_with_what_was_read_of_the_golfer(code):
    it = DRAWINGS[code]
    for lever in it.levers:
        start = it.starts(KNOWN)[lever.code]
        if lever.knows:
            assert abs(start - getattr(KNOWN, lever.knows)) <= lever.step / 2 + 1e-9
    own = replace(KNOWN, own=frozenset(one.knows for one in it.levers if one.knows))
    if own.own & {"bias_deg", "face_deg", "eyes_mm", "distance_m"}:
        assert words.own_said(it, own) != words.NOTHING_OWN
    assert words.own_said(it, KNOWN) == words.NOTHING_OWN


def test_the_window_is_the_planners_own():
    for far in (1.0, 2.5, 5.0):
        putt = Putt(far, 0.35, 10)
        assert window_deg(far, 0.35, 10, "rim_assisted") == pytest.approx(putt.window.half_deg, rel=0.02)


def test_a_mirror_that_falls_to_the_golfer_shows_the_eyes_further_out_by_height_times_slope():
    at = told("mirror", falls=2.0, height=1.5, eyes=10.0)
    assert at["mirror_out"]["shift_mm"] == pytest.approx(30.0)
    assert at["mirror_truly"]["shown_inside"] == pytest.approx(-20.0)
    assert "mirror_in" in told("mirror", falls=-1.0)


@pytest.mark.parametrize("lean", [0.0, 4.0, -3.0])
@pytest.mark.parametrize("covers", ["quarter", "edge"])
def test_a_string_covers_what_a_look_at_it_is_read_as(lean, covers):
    look = StringLook(covers, "outside", 0.3, 1.45, lean_deg=lean)
    middle = (look.inside_mm.low + look.inside_mm.high) / 2
    found = told("string", eyes=middle, string=0.3, lean=lean)
    assert f"string_{covers}" in found


def test_face_and_path_make_the_start_by_the_faces_share():
    found = told("face_path", face=2.0, path=-4.0, k=0.75)["face_path"]
    assert found["start_deg"] == pytest.approx(0.5)
    straight = told("face_path", face=2.0, path=-4.0, k=0.75)["path_made_good"]["face_deg"]
    assert 0.75 * straight + 0.25 * -4.0 == pytest.approx(0.0)


def test_what_a_bias_costs_is_what_lies_between_the_two_shares():
    found = told("cost", bias=1.0, spread=0.8, distance=2.5)["cost"]
    assert found["without_of_100"] - found["with_of_100"] == pytest.approx(found["cost_of_100"])
    assert told("cost", bias=0.0)["cost"]["cost_of_100"] == 0.0


def test_where_a_bias_costs_most_is_told_only_where_that_is_more_than_here():
    """“It costs 100. It costs most at 3.20 m: 100” would send the coach to another length for nothing."""
    assert "cost_most_here" in told("cost", bias=2.0, spread=0.2, distance=4.0)
    elsewhere = told("cost", bias=1.0, spread=0.8, distance=1.0)
    assert round(elsewhere["cost_most"]["worst_of_100"]) > round(elsewhere["cost"]["cost_of_100"])
    assert "cost_nothing" in told("cost", bias=0.0)


def test_more_putts_of_one_draw_go_on_from_the_fewer_and_tell_better():
    wrongly = {putts: told("ten", putts=putts, bias=0.3, spread=1.2, draw=60.0)["ten_draws"] for putts in (3.0, 30.0)}
    assert wrongly[30.0]["wrongly_n"] <= wrongly[3.0]["wrongly_n"]
    few, many = (
        next(one for code, one in told("ten", putts=putts).items() if "middle_deg" in one) for putts in (3.0, 30.0)
    )
    assert many["high_deg"] - many["low_deg"] < few["high_deg"] - few["low_deg"]


def test_noise_alone_draws_a_compensation_and_taking_it_out_leaves_none():
    seen, left = [], []
    for draw in range(1, 41):
        found = told("noise", noise=0.6, scatter=0.6, putts=80.0, draw=float(draw))
        seen.append(found["noise_seen"]["seen_of_100"])
        left.append(found["noise_left"]["left_of_100"])
        assert found["noise_alone"]["alone_of_100"] == pytest.approx(50.0)
    assert sum(seen) / 40 == pytest.approx(50.0, abs=6.0)
    assert sum(left) / 40 == pytest.approx(0.0, abs=12.0)


def test_at_a_pace_that_no_hole_takes_nothing_is_promised():
    assert told("capture", past=2.0, green=14.0).keys() >= {"capture_putts"}
    fast = replace(KNOWN, putt=Putt(2.5, 0.35, 10, capture="rim_assisted"))
    found = told("capture", fast, past=0.0)
    assert found["capture"]["left_of_100"] == pytest.approx(100.0)
