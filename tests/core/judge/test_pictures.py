"""A finding's picture is of its own readings: to scale against the window, on the golfer's own side, all in frame."""

import math
from dataclasses import replace
from functools import partial

import numpy as np
import pytest

from libella.core.drawing.scene import Area, Circle, Curve, Label, Line, Ray, reach
from libella.core.judge.findings.first_picture import first_picture
from libella.core.judge.findings.judged import judge_lesson
from libella.core.judge.findings.ranked import RULES
from libella.words.judge.pictures import times_said, written
from tests.golfers.lesson import Truth, lesson, ordinary

from .samples import batch, ledger

TRUTHS = {
    "rig": Truth(("rig",), rig=1.3),
    "perception": Truth(("perception",), beta=2.4, follow=0.7),
    "ball_mark": Truth(("ball_mark",), mark=-1.3, hand="left"),
    "face_aim": Truth(("face_aim",), aim=1.5),
    "compensation": Truth(("compensation",), aim=-1.8, delivery=1.6),
    "face_at_impact": Truth(("face_at_impact",), delivery=1.7, hand="left"),
    "path": Truth(("path",), path=-9.0),
    "strike": Truth(("strike",), toe_mm=17, gear=0.08),
    "movement": Truth(("movement",), moving=0.45, loose=3.2),
    "guide": Truth(("guide",), alone_spread=2.6, spread=0.7),
    "distance": Truth(("distance",), growth=0.55),
    "read_and_pace": Truth(("read_and_pace",), lost=0.6),
}


def told(truth, seed=3):
    return judge_lesson(lesson(truth, ordinary(truth), np.random.default_rng([seed, 77])))


def drawn(judged, cause, units="metric"):
    finding = next(it for it in judged.findings.ranked if it.cause == cause)
    return RULES[cause].draw(judged.case, finding, partial(written, units=units), "the words"), finding


def of(scene, kind, role=None):
    return [it for it in scene.shapes if isinstance(it, kind) and (role is None or it.role == role)]


def test_every_cause_has_a_golfer_here():
    assert set(TRUTHS) == set(RULES)


@pytest.mark.parametrize("cause", TRUTHS)
def test_a_cause_is_drawn_inside_its_frame_and_nothing_is_written_over_anything(cause):
    judged = told(TRUTHS[cause])
    for units in ("metric", "feet"):
        picture, _ = drawn(judged, cause, units)
        assert picture is not None and picture.scene.words == "the words"
        scene = picture.scene
        left, top, right, bottom = reach(scene.shapes)
        assert scene.left <= left and scene.top <= top and right <= scene.right and bottom <= scene.bottom
        assert bool(picture.times) == bool(times_said(picture.times))
        labels = of(scene, Label)
        apart = [(abs(a.y - b.y), abs(a.x - b.x)) for n, a in enumerate(labels) for b in labels[:n]]
        assert labels and all(dy > 30 or dx > 100 for dy, dx in apart), labels


def test_an_error_that_grows_is_drawn_at_each_length_as_long_as_its_putt():
    judged = told(TRUTHS["distance"])
    picture, _ = drawn(judged, "distance")
    lengths = [it.distance_m for it in judged.case.growth.lengths]
    holes = of(picture.scene, Circle, "hole")
    assert [round(it.x / holes[-1].x, 3) for it in holes] == [round(it / lengths[-1], 3) for it in lengths]
    first = first_picture(judged, partial(written, units="metric"), "words")
    assert first is not None and first.scene.shapes == picture.scene.shapes
    # Each mean ends as far beside its own hole as its angle says.
    rays = [it for it in of(picture.scene, Curve) if it.points[0][0] == 0]
    for ray, hole, it in zip(rays, holes, judged.case.growth.lengths, strict=True):
        (_, y0), (x, y) = ray.points
        assert x == hole.x and math.isclose(
            math.degrees(math.atan((y - y0) / x / picture.times)), it.bias.value, abs_tol=1e-6
        )


def test_the_stroke_turns_from_where_the_face_points_to_where_the_ball_starts():
    judged = told(TRUTHS["compensation"])
    picture, _ = drawn(judged, "compensation")
    face, start = judged.case.as_read("face", "address"), judged.case.level("start").bias
    arrow = next(it for it in of(picture.scene, Curve, "path") if it.points[0][0] == it.points[1][0])
    assert math.copysign(1, arrow.points[1][1] - arrow.points[0][1]) == math.copysign(1, start.value - face.value)
    assert any("stroke" in it.text for it in of(picture.scene, Label))


@pytest.mark.parametrize("hand", ["right", "left"])
def test_a_strike_lies_on_the_face_as_it_is_seen_from_behind_the_ball(hand):
    judged = told(Truth(("strike",), toe_mm=17, gear=0.08, hand=hand))
    picture, finding = drawn(judged, "strike")
    sign = 1 if hand == "right" else -1
    toe = next(it for it in of(picture.scene, Label) if it.text == "toe")
    assert toe.x * sign > 0
    spots = of(picture.scene, Circle)
    assert len(spots) == judged.case.ledger.count("strike")
    assert np.mean([it.x for it in spots]) * sign > 0
    assert of(picture.scene, Line, "limit")[0].x1 * sign == pytest.approx(finding.size.value)


def test_the_rod_looks_to_the_other_side_than_one_that_looks_straight_points():
    judged = told(TRUTHS["perception"])
    picture, finding = drawn(judged, "perception")
    assert finding.size.value > 0
    (seen,) = of(picture.scene, Curve)
    assert seen.points[1][1] < 0 and seen.role == "left"


@pytest.mark.parametrize(("cause", "codes"), [("movement", ("Nothing", "Something")), ("guide", ("With ", "Without"))])
def test_two_kinds_of_putts_are_two_fans_with_every_putt_in_one(cause, codes):
    judged = told(TRUTHS[cause])
    picture, _ = drawn(judged, cause)
    assert len(of(picture.scene, Area, "window")) == 2
    assert [it.text.startswith(code) for it, code in zip(of(picture.scene, Label), codes, strict=True)] == [True, True]
    assert len(of(picture.scene, Ray)) == judged.case.ledger.count("start")


def test_where_balls_stopped_is_true_to_scale_round_the_hole():
    """One of which nobody said how far stands with a broken outline."""
    ended = [("short", -0.6, "left"), ("past", None, ""), ("past", 0.9, "right"), ("holed", None, "")]
    one = batch("start", [0.0] * 12)
    events = []
    for event, (kind, roll, side) in zip(one.events, ended * 3, strict=True):
        values = dict(event.values) | {"holed": "holed" if kind == "holed" else "missed", "stopped": kind}
        values |= {"missed_side": side} if side else {}
        values |= {} if roll is None else {"roll_past": batch("x", [roll]).events[0].values["x"]}
        events.append(type(event)(event.id, values))
    judged = judge_lesson(ledger(replace(one, events=tuple(events))))
    picture, _ = drawn(judged, "read_and_pace")
    balls = of(picture.scene, Circle, "ball")
    assert sorted({round(it.x) for it in balls}) == [-600, 900] and len(balls) == 6
    assert len(of(picture.scene, Circle, "ghost")) == 3
    assert all(it.y < 0 for it in balls if round(it.x) == -600) and all(it.y > 0 for it in balls if it.x > 0)
    assert [it.text for it in of(picture.scene, Label)] == [
        "Holed: 3 putts",
        "Broken: how far, nobody said",
    ]


def test_where_nothing_is_to_be_mended_the_putts_are_shown_in_the_window():
    judged = told(Truth(()), seed=1)
    picture = first_picture(judged, partial(written, units="metric"), "words")
    assert picture is not None and len(of(picture.scene, Area, "window")) == 1
    assert len(of(picture.scene, Ray)) == judged.case.ledger.count("start")


def test_what_is_left_of_the_face_beside_its_picture_is_never_drawn_as_the_face():
    """Read 1.5° right, all of it with what looks straight: “Face 0.0°” would deny the reading."""
    judged = told(TRUTHS["perception"])
    assert judged.case.as_read("face", "address") is not None
    picture, finding = drawn(judged, "face_aim")
    said = [it.text for it in of(picture.scene, Label)]
    assert finding.kind == "own" and any(it.startswith("Face, of its own") for it in said), said
