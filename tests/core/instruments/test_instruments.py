"""Every instrument: what a reading says, what it can see, what it refuses."""

import dataclasses
import math
from itertools import pairwise

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from libella.core.drawing.scene import Tape
from libella.core.green.putt import Putt
from libella.core.instruments import Aid, Rig, instrument, instruments, lay, usual_sizes
from libella.core.instruments.ball_gate import BallGate
from libella.core.instruments.board import Board
from libella.core.instruments.bridge_row import BridgeRow
from libella.core.instruments.gate import clearance_limit_deg, opening_remedies
from libella.core.instruments.peg_gate import PegGate
from libella.core.measure.constants import BALL_M
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.set.layout import from_above
from libella.core.set.station import Station
from libella.words.set.station import station_words

from ...said import refusal

PUTT = Putt(2.5, 0.3, 9.5)


@st.composite
def aids(draw, of=Aid) -> Aid:
    """Any instrument that can be laid."""
    cls = draw(st.sampled_from([it for it in instruments().values() if issubclass(it, of)]))
    sizes = {it.name: draw(st.floats(it.low, it.high)) for it in cls.dimensions()}
    try:
        return cls.laid(sizes)
    except OutOfLimits:
        return cls.laid({})


def rulers(zones):
    """The zones that speak of one part of the stroke, in the order of their values: one list for each part."""
    parts = {it.where for it in zones} - {""} or {""}
    return [sorted((it for it in zones if it.where in ("", part)), key=lambda it: it.interval.low) for part in parts]


@given(aids())
def test_zones_cover_every_value_once(aid):
    for zones in rulers(aid.zones()):
        assert zones[0].interval.low == -math.inf
        assert zones[-1].interval.high == math.inf
        for before, after in pairwise(zones):
            # What was read is kept to a nanometre: over the shortest lever (2 cm) that is up to 3e-6°.
            assert before.interval.high == pytest.approx(after.interval.low, abs=1e-5)


@given(aids())
def test_zones_lie_side_by_side_on_the_picture_and_rise_to_the_right(aid):
    zones = aid.zones()
    for before, after in pairwise(zones):
        assert before.span_mm[1] == pytest.approx(after.span_mm[0])
    if not any(it.where for it in zones):
        assert rulers(zones) == [list(zones)]


@given(aids())
def test_a_zone_says_what_its_raw_reading_says(aid):
    for zone in aid.zones():
        assert aid.interval(zone.raw) == zone.interval
        assert aid.words(zone.raw) == zone.name


@given(aids(of=Rig), st.floats(-30, 30))
def test_what_is_observed_holds_the_truth(rig, start_deg):
    zone = rig.observe(start_deg)
    assert zone.interval.low - 1e-6 <= start_deg <= zone.interval.high + 1e-6


@given(aids())
def test_both_sides_mirror_each_other(aid):
    """Laid without an offset of its own, an instrument sees as much on the one side as on the other."""
    own = {it: 0.0 for it in ("mount_offset_m", "lean_deg", "falls_in_percent") if it in aid.sizes()}
    if isinstance(aid, BridgeRow):
        # Its openings may be of any width; here the right ones are as wide as the left.
        own |= {"right_1_m": aid.left_1_m, "right_2_m": aid.left_2_m}
    for zones in rulers(dataclasses.replace(aid, **own).zones()):
        for zone, other in zip(zones, reversed(zones), strict=True):
            assert zone.interval.low == pytest.approx(-other.interval.high)


@given(aids())
def test_every_zone_has_its_own_key_and_name(aid):
    zones = aid.zones()
    keyed = [it.key for it in zones if it.key]
    assert len(set(keyed)) == len(keyed)
    assert len({it.name for it in zones}) == len(zones)


@given(aids())
def test_an_aid_laid_again_from_its_sizes_is_the_same(aid):
    assert lay(aid.about.kind, aid.sizes()) == aid


@given(aids(), st.sampled_from(["metric", "feet"]))
def test_drawings_stay_inside_their_frame(aid, units):
    picture = aid.picture(units)
    assert picture.left < picture.right and picture.top < picture.bottom
    assert all(
        picture.left - 1e-6 <= it.span_mm[0] and it.span_mm[1] <= picture.right + 1e-6 for it in aid.zones(units)
    )


PULLED = [
    (kind, tape.of)
    for kind, cls in instruments().items()
    for tape in (*cls.laid({}).from_above(), *cls.laid({}).from_side())
    if isinstance(tape, Tape) and tape.of
]


def test_most_instruments_can_be_pulled_to_size_on_the_stage():
    assert len({kind for kind, _ in PULLED}) >= 20


@pytest.mark.parametrize(("kind", "name"), PULLED)
def test_a_tape_follows_the_finger_that_pulls_its_far_end(kind, name):
    """Pulled by a millimetre, the dimension changes so that the end of its tape is where the finger is."""

    def end(aid):
        tapes = (it for it in (*aid.from_above(), *aid.from_side()) if isinstance(it, Tape))
        return next(it for it in tapes if it.of == name)

    aid = lay(kind, {})
    before = end(aid)
    after = end(dataclasses.replace(aid, **{name: aid.sizes()[name] + 0.001 * before.per}))
    assert math.hypot(after.x2 - before.x2, after.y2 - before.y2) == pytest.approx(1.0)


def test_a_touch_counts_by_the_first_post_and_a_ball_gate_uses_a_ball():
    peg = PegGate(distance_m=0.5, inside_width_m=0.06, post_m=0.005)
    ball = BallGate(distance_m=0.5, inside_width_m=0.06)
    assert peg.interval({"crossing": "clean"}) == ball.interval({"crossing": "clean"})
    widest = math.degrees(math.atan(((0.06 - BALL_M) / 2 + 2 * BALL_M) / 0.5))
    assert ball.interval({"crossing": "touched_right"}).high == pytest.approx(widest)
    assert peg.interval({"crossing": "touched_right"}).high < widest


@pytest.mark.parametrize(
    ("kind", "sizes", "field"),
    [
        ("peg_gate", {"inside_width_m": 0.04}, "inside_width_m"),
        ("peg_gate", {"distance_m": -0.5}, "distance_m"),
        ("peg_gate", {"distance_m": math.nan}, "distance_m"),
        ("peg_gate", {"post_m": math.inf}, "post_m"),
        ("peg_gate", {"colour": 1.0}, "colour"),
        ("board", {"half_width_m": 0.02, "mark_m": 0.03}, "half_width_m"),
        ("board", {"half_width_m": 0.6, "mark_m": 0.001}, "half_width_m"),
        ("sundial", {}, "kind"),
    ],
)
def test_what_cannot_be_laid_names_field_and_limit(kind, sizes, field):
    with pytest.raises(OutOfLimits) as refused:
        lay(kind, sizes)
    assert refused.value.field == field
    assert refusal(refused.value).limit


@pytest.mark.parametrize(
    ("rig", "raw"),
    [
        (Board(), {"offset_m": 0.2}),
        (Board(), {"offset_m": math.nan}),
        (Board(), {"offset_m": "0.01"}),
        (Board(), {"beyond": "over there"}),
        (Board(), {"offset_m": 0.01, "beyond": "left"}),
        (Board(), {}),
        (PegGate(), {"crossing": "through"}),
        (PegGate(), {"crossing": "clean", "more": 1}),
        (PegGate(), {"offset_m": 0.0}),
    ],
)
def test_a_reading_the_rig_cannot_give_is_refused(rig, raw):
    with pytest.raises(OutOfLimits) as refused:
        rig.interval(raw)
    assert refused.value.field.startswith("raw.")


@pytest.mark.parametrize("kind", instruments())
def test_what_a_tap_records_is_kept_as_it_is_read_again(kind):
    """A rule for what is kept that is stricter than the taps would refuse a coach's own reading."""
    for units in ("metric", "feet"):
        aid = lay(kind, usual_sizes(kind, {}, units))
        for zone in aid.zones(units):
            assert aid.kept(zone.raw) == aid.interval(zone.raw) == zone.interval, zone.name


def test_a_board_coarser_than_a_third_of_the_window_objects_and_says_what_would_do():
    coarse = Board(distance_m=0.5, half_width_m=0.2, mark_m=0.02)
    sight = coarse.sight(PUTT, spread_deg=1.0)
    assert sight.fit == "coarse" and sight.share > 1 / 3
    assert sight.remedies
    for remedy in sight.remedies:
        mended = lay("board", coarse.sizes() | {remedy.name: remedy.value})
        assert mended.sight(PUTT, spread_deg=1.0).fit != "coarse", remedy.change


def test_a_short_board_is_widened_until_it_reaches():
    short = Board(distance_m=1.0, half_width_m=0.02, mark_m=0.005)
    sight = short.sight(PUTT, spread_deg=1.4)
    assert sight.fit == "short"
    [remedy] = sight.remedies
    assert lay("board", short.sizes() | {remedy.name: remedy.value}).sight(PUTT, spread_deg=1.4).fit == "good"


@pytest.mark.parametrize(("width", "fit"), [(0.045, "strict"), (0.06, "good"), (0.15, "loose")])
def test_a_gate_is_fit_when_its_limit_is_near_the_spread(width, fit):
    gate = PegGate(distance_m=0.5, inside_width_m=width)
    sight = gate.sight(PUTT, spread_deg=1.0)
    assert sight.fit == fit
    for remedy in sight.remedies:
        assert lay("peg_gate", gate.sizes() | {remedy.name: remedy.value}).sight(PUTT, 1.0).fit == "good", remedy.change


def test_every_instrument_tells_what_it_cannot_see():
    for kind, cls in instruments().items():
        about = cls.about
        assert instrument(kind) is cls
        assert about.tells and about.cannot and about.read and about.mistakes and about.cautions, kind


def test_an_interval_is_low_to_high():
    assert Interval.of(None, 1.0).anchor == 1.0
    assert Interval.of(None, None).anchor == 0.0
    for low, high in ((1.0, 0.0), (math.nan, 1.0)):
        with pytest.raises(ValueError, match="not an interval"):
            Interval(low, high)


def test_a_class_of_its_own_is_all_an_instrument_takes(hoop):
    """A new instrument is found by the registry, laid, drawn and read with no other change."""
    station = Station(PUTT, lay(hoop, {"wire_m": 0.004}))
    assert hoop in station_words(station, "metric")
    assert [it.key for it in station.zones()] == ["1", "2", "3", "4", "5"]
    assert any(isinstance(it, Tape) for it in from_above(station, "right", "metric").shapes)


def test_a_face_instrument_does_not_watch_the_ball():
    with pytest.raises(OutOfLimits, match="watches_no_start"):
        Station(PUTT, lay("face_mirror", {}))


def test_a_gap_at_the_right_end_points_the_face_right():
    rig = lay("square_reference", {"face_length_m": 0.1})
    assert rig.interval({"offset_m": 0.002}).low > 0
    assert rig.words({"offset_m": 0.002}) == "2 mm gap at the right end"
    assert rig.words({"offset_m": 0.0}) == "touches at both ends"


@given(
    st.sampled_from(["peg_gate", "ball_gate", "bridge_gate", "narrow_rail"]), st.floats(0.3, 1.8), st.floats(0.4, 1.2)
)
def test_width_and_degrees_follow_each_other(kind, limit, away):
    """Wanted strictness gives a width, and that width the strictness again, to what a tenth of a millimetre can do."""
    name = "length_m" if kind == "narrow_rail" else "distance_m"
    rig = lay(kind, {name: away})
    assume(BALL_M + 2 * away * math.tan(math.radians(limit)) >= 0.0437)
    assume(kind != "narrow_rail" or 0.004 <= 2 * away * math.tan(math.radians(limit)) <= 0.04)
    tuned = rig.tuned(limit)
    passed = next(it.interval for it in tuned.zones() if 0 in it.interval)
    assert passed.high == pytest.approx(limit, abs=0.01)
    assert {key for key, size in tuned.sizes().items() if size != rig.sizes()[key]} <= {"inside_width_m", "width_m"}


def test_a_ruler_has_no_strictness_and_a_gate_can_be_too_narrow():
    with pytest.raises(OutOfLimits, match="no_strictness"):
        Board().tuned(1.0)
    with pytest.raises(OutOfLimits, match="inside_width_m"):
        PegGate(distance_m=0.3).tuned(0.05)


def test_a_ruler_laid_by_a_coach_in_feet_is_marked_in_parts_of_an_inch():
    assert usual_sizes("board", {}, "metric") == {}
    assert usual_sizes("board", {}, "feet")["mark_m"] == pytest.approx(0.0254 / 4)
    # What was said stands; and a gap read finer than an eighth is read as finely in inches.
    assert usual_sizes("board", {"mark_m": 0.003}, "feet")["mark_m"] == 0.003
    assert usual_sizes("square", {}, "feet") == {}
    assert usual_sizes("sundial", {"a": 1}, "feet") == {"a": 1}
    zones = lay("board", usual_sizes("board", {}, "feet")).zones("feet")
    assert {round(it.raw["offset_m"] / 0.0254 * 4, 6) % 1 for it in zones if "offset_m" in it.raw} == {0.0}


@pytest.mark.parametrize("distance", [0.1, 0.15, 0.29])
@pytest.mark.parametrize("kind", ["peg_gate", "ball_gate"])
def test_a_near_gate_is_told_by_the_exact_contact(kind, distance):
    gate = lay(kind, {"distance_m": distance, "inside_width_m": 0.06})
    turned = math.radians(gate.limit_deg)
    post = distance, 0.03 + gate.post_width_m / 2
    # At the limit the ball's centre passes the post's at both radii together.
    passing = post[1] * math.cos(turned) - post[0] * math.sin(turned)
    assert passing == pytest.approx(BALL_M / 2 + gate.post_width_m / 2, abs=1e-9)
    assert 0 < clearance_limit_deg(0.06, distance) - gate.limit_deg < 0.2


@pytest.mark.parametrize("distance_m", [0.6, 0.8, 2.5])
def test_a_gate_is_never_offered_a_place_at_the_hole_or_behind_it(distance_m):
    for width_m, spread_deg in ((0.06, 1.0), (0.06, 2.0), (0.09, 1.4), (0.12, 3.0)):
        for it in opening_remedies("inside_width_m", width_m, 0.4, spread_deg, Putt(distance_m, 0.3, 10)):
            if it.name == "distance_m":
                assert it.value <= distance_m - 0.1
                assert clearance_limit_deg(width_m, it.value) == pytest.approx(spread_deg, abs=0.1)
