"""Findings of a whole lesson: the true cause named, an innocent golfer let go, one error never told twice."""

import math
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.certainty.estimate import normal
from libella.core.estimate.cost import Mix, share_within
from libella.core.green.putt import Putt
from libella.core.judge.claims.level import Level
from libella.core.judge.claims.reads import reads
from libella.core.judge.findings.case import Case
from libella.core.judge.findings.chain_picture import fan
from libella.core.judge.findings.guards import guards
from libella.core.judge.findings.joint import LINKS
from libella.core.judge.findings.judged import judge_lesson
from libella.core.judge.findings.misses import misses
from libella.core.judge.findings.next_check import WAYS, Check, checks
from libella.core.judge.findings.ranked import findings, judged
from libella.core.judge.ledger.entry import Batch, Event
from libella.core.measure.interval import Interval
from libella.core.schools.held import Schools
from libella.core.set.kit import PARTS
from libella.words.judge.chosen import for_golfer, headline_said, meaning_said
from libella.words.judge.findings import cause_said, fact_said, weight_said
from libella.words.judge.lesson import guard_said
from tests.golfers.lesson import Size, Truth, lesson, ordinary

from .samples import PUTTED, batch, ledger, near

LESSONS = 6


def said_of(it):
    case = Case(it)
    levels = [one for one in reads(it, case.weighing) if isinstance(one, Level)]
    return guards(case, judged(case), levels)


def first_said(it, hand="right"):
    return headline_said(judge_lesson(it).chosen, hand, "metric")


def changed(it, change):
    """The ledger with every batch changed; those that come to nothing left out."""
    found = (change(one) for one in it.batches)
    return replace(it, batches=tuple(one for one in found if one is not None))


def without(it, *names):
    def putt(one):
        return replace(one, values={name: value for name, value in one.values.items() if name not in names})

    return changed(it, lambda one: replace(one, events=tuple(putt(each) for each in one.events)))


def lessons(truth: Truth, size: Size | None = None):
    return [lesson(truth, size or ordinary(truth), np.random.default_rng([n, 77])) for n in range(LESSONS)]


@pytest.mark.parametrize(
    "truth",
    [
        Truth(("rig",), rig=1.3),
        Truth(("perception",), beta=2.4, follow=0.7),
        Truth(("perception",), beta=-2.2, follow=0.0, mark_follows=0.8),
        Truth(("ball_mark",), mark=-1.3, hand="left"),
        Truth(("face_aim",), aim=1.5),
        Truth(("compensation",), aim=-1.8, delivery=1.6),
        Truth(("face_at_impact",), delivery=1.7, hand="left"),
        Truth(("path",), path=-9.0),
        Truth(("strike",), toe_mm=17, gear=0.08),
        Truth(("movement",), moving=0.45, loose=3.2),
        Truth(("guide",), alone_spread=2.6, spread=0.7),
        Truth(("distance",), growth=0.55),
        Truth(("read_and_pace",), lost=0.6),
    ],
    ids=lambda it: it.causes[0] + it.hand,
)
def test_the_true_cause_comes_first(truth):
    first = [findings(it).ranked[0].cause for it in lessons(truth)]
    assert sum(it in truth.causes for it in first) >= LESSONS - 1, first


def test_an_innocent_golfer_is_let_go():
    found = [findings(it) for it in lessons(Truth(()), Size(putts=30))]
    assert not any(it.named for it in found)
    assert sum(it.nothing for it in found) >= LESSONS - 2


def test_every_check_can_be_carried():
    assert all(part in PARTS for way in WAYS.values() for part in way.parts)


def test_one_error_seen_at_three_links_is_told_once():
    """What looks straight, the aim and the start all lie right: the picture is named, the aim is not a second error."""
    [it, *_] = lessons(Truth((), beta=2.4, follow=0.7))
    found = judged(Case(it))
    assert [one.cause for one in found.named] == ["perception"]


def test_mending_one_half_of_a_compensation_costs_putts_and_its_halves_are_no_findings():
    named = 0
    for it in lessons(Truth((), aim=1.8, delivery=-1.7)):
        found = findings(it)
        pair = next(one for one in found.ranked if one.cause == "compensation")
        assert max(half.value for half in pair.halves) < 0 and "fewer" in weight_said(pair)
        named += [one.cause for one in found.named] == ["compensation"]
    assert named >= LESSONS - 1


def test_nothing_is_named_of_what_was_read_too_seldom():
    truth = Truth((), mark=1.6, aim=0.0, delivery=0.0)
    for it in lessons(truth, Size(marks=4)):
        mark = next(one for one in findings(it).ranked if one.cause == "ball_mark")
        assert not mark.is_named and [(one.what, one.have, one.need) for one in mark.missing] == [("marks", 4, 5)]


def test_on_a_line_that_nobody_proved_nothing_is_clear():
    for it in lessons(Truth((), aim=2.0), Size(proved=False)):
        assert all(one.call.word != "clear" for one in findings(it).ranked)
        assert "unproved" in {one.name for one in said_of(it)}


def test_a_line_found_off_is_the_finding_and_its_links_are_put_right():
    [it, *_] = lessons(Truth((), rig=1.5), Size(second_proof=True))
    found = findings(it)
    assert [one.cause for one in found.named] == ["rig"]


def test_set_downs_alone_are_judged_as_if_the_stroke_added_nothing():
    truth = Truth((), mark=1.6)
    [it, *_] = lessons(truth)
    alone = changed(it, lambda one: None if one.putted else one)
    found = judge_lesson(alone)
    # Whether it is the mark by itself or what looks straight that the mark was laid by is another matter.
    assert found.findings.starts is None and found.findings.named[0].cause in ("ball_mark", "face_aim")
    assert "if the stroke adds nothing" in meaning_said(found.chosen[0], "right")


def _struck(starts, strikes, hand="right"):
    events = tuple(
        Event(f"p{n}", {"start": Interval(at - 0.1, at + 0.1), "strike": Interval(toe - 0.5, toe + 0.5)})
        for n, (at, toe) in enumerate(zip(starts, strikes, strict=True))
    )
    return ledger(replace(batch("start", ()), events=events), hand=hand)


@pytest.mark.parametrize(("hand", "toe"), [("right", "right"), ("left", "left")])
def test_a_wide_spread_that_goes_with_the_strike_says_so(hand, toe):
    """Heel left and toe right, as often: no mean strike costs anything, and yet the strike is why the putts scatter."""
    right = 1 if toe == "right" else -1
    strikes = [-14, 12, 1, -10, 15, -2, 11, -13, 0, 14, -12, 2]
    starts = [right * (0.16 * it + off) for it, off in zip(strikes, [0.2, -0.3, 0.1, -0.2, 0.3, 0.0] * 2, strict=True)]
    told = judge_lesson(_struck(starts, strikes, hand)).chosen
    said = next(
        headline_said([it], hand, "metric") for it in told if "spread is wide" in headline_said([it], hand, "metric")
    )
    heel = "left" if toe == "right" else "right"
    assert said.endswith(f"starts go with the strike, off the heel {heel}, off the toe {toe}.")
    assert "why can't be told" in headline_said(
        judge_lesson(_struck(starts, strikes[::-1][3:] + strikes[:3], hand)).chosen, hand, "metric"
    )


@pytest.mark.parametrize("hand", ["right", "left"])
def test_open_and_closed_are_the_golfers(hand):
    [it, *_] = lessons(Truth((), hand=hand, aim=1.6))
    said = first_said(it, hand)
    assert "right" in said and ("(open)" if hand == "right" else "(closed)") in said


def test_the_mirrored_lesson_says_the_mirrored_thing():
    """Left for right, and the other hand: the same causes, the other sides."""
    [it, *_] = lessons(Truth((), aim=1.5, toe_mm=4), Size(strike=True))

    def flip(one):
        return Interval(-one.high, -one.low) if isinstance(one, Interval) else one

    def batch(one):
        events = tuple(
            replace(each, values={name: flip(it) if name not in ALIKE else it for name, it in each.values.items()})
            for each in one.events
        )
        fitted = {name: replace(it, bias=normal(-it.bias.value, it.bias.sd)) for name, it in one.fitted.items()}
        return replace(one, events=events, fitted=fitted)

    # Towards the toe is the other side for the other hand already.
    ALIKE = ("strike", "strike_high")
    other = replace(changed(it, batch), hand="left")
    here, there = findings(it), findings(other)
    assert [one.cause for one in here.named] == [one.cause for one in there.named] == ["face_aim"]
    assert here.named[0].call.side == "right" and there.named[0].call.side == "left"


@settings(max_examples=12, deadline=None)
@given(st.floats(-2, 2), st.floats(-2, 2), st.floats(-2, 2), st.integers(5, 25), st.booleans(), st.integers(0, 1000))
def test_no_sentence_claims_more_than_its_probability(aim, delivery, beta, putts, sensor, seed):
    truth = Truth((), aim=aim, delivery=delivery, beta=beta)
    it = lesson(
        truth, Size(putts=putts, sensor=sensor, strike=True, finish=True, still=True), np.random.default_rng(seed)
    )
    found = findings(it)
    for one in found.ranked:
        said = cause_said(one, "right", "metric")
        assert said.endswith(": clear.") == (one.call.word == "clear")
        if one.call.word == "clear":
            assert one.call.probability >= 0.95 and not one.missing
        if one.call.word == "likely":
            assert one.call.probability >= 0.8 and not one.missing
        if one.is_named and not one.halves and one.cause not in ("rig", "read_and_pace"):
            # What is named brings something: its interval does not reach over nothing.
            assert one.weight.high > 2 and one.weight.value > 0
    # The headline is the surest thing said; the golfer's own screen says no other, and no surer.
    whole = judge_lesson(it).chosen
    headline, first = headline_said(whole, "right", "metric"), whole[0]
    plain = for_golfer(whole, "right", "plain", "metric")
    assert "for sure" not in plain or first.word == "clear"
    assert for_golfer(whole, "right", "dense", "metric") == headline
    if found.starts is not None and found.starts.call.word in ("clear", "likely"):
        assert "Nothing to mend" not in headline


def test_what_was_noted_often_and_hardly_ever_happened_is_nothing_to_mend():
    """A golfer who keeps still is told so; one of whom ten were not noted is not."""
    for putts, word in ((24, "none"), (7, "open")):
        it = lesson(Truth(()), Size(putts=putts, still=True), np.random.default_rng(3))
        [found] = [one for one in findings(it).ranked if one.cause == "movement"]
        assert found.call.word == word, putts
        assert bool(found.missing) == (word == "open")


def test_the_same_data_gives_the_same_answer():
    [it, *_] = lessons(Truth((), aim=1.2))
    assert findings(it).ranked == findings(it).ranked


def test_the_next_check_is_one_not_done_and_what_the_bag_lacks_comes_last():
    [it, *_] = lessons(Truth((), delivery=1.4), Size(sensor=False, answers=0, marks=0))
    case = Case(it)
    names = [one.name for one in checks(case, judged(case).ranked)]
    assert "set_downs" not in names and "sensor" in names[:3]
    poor = Case(replace(it, tools=frozenset({"tape_measure"})))
    proposed = checks(poor, judged(poor).ranked)
    lacking = [bool(one.lacking) for one in proposed]
    assert lacking == sorted(lacking) and any(lacking)


def test_where_no_start_was_read_it_is_read_first_and_more_of_the_same_is_not_advised():
    [it, *_] = lessons(Truth((), aim=0.7), Size(putts=6, still=True, finish=True, set_downs=0, answers=0, marks=0))
    for evidence, wanted, other in (
        (it, "more_putts", "start_read"),
        (without(it, "start"), "start_read", "more_putts"),
    ):
        case = Case(evidence)
        names = [one.name for one in checks(case, judged(case).ranked)]
        assert wanted in names and other not in names


def test_a_miss_has_the_reason_that_was_recorded():
    truth = Truth((), delivery=2.2, lost=1.0, lost_by="short", spread=0.6)
    [it, *_] = lessons(truth, Size(finish=True))
    told = misses(Case(it))
    assert {one.reason for one in told if one.start is not None and one.start.anchor < 0.5} <= {"pace"}
    far = [one.reason for one in told if one.start is not None and one.start.anchor > 1.6]
    # Of every second putt the sensor told the face: those are the stroke's; of the others nothing more is known.
    assert set(far) == {"face", "start"}
    # Of putts nobody watched why they missed is not known, whatever else was; but one that stopped short needs no more.
    unseen = misses(Case(without(it, "start", "address", "impact", "path")))
    assert len(unseen) == len(told)
    assert all((one.reason == "short") == (one.length == "short") for one in unseen)
    assert {one.reason for one in unseen} == {"short", "unread"}


@pytest.mark.parametrize(
    ("start", "roll", "reason"),
    [
        (None, (-0.45, -0.35), "short"),
        ((-0.6, 0.6), (-0.45, -0.35), "pace"),
        # A gate that was touched, and a putt that stopped far short: that did not get there.
        ((1.1, math.inf), (-1.75, -1.65), "short"),
        # Far to the side and a little short: it went where it started.
        ((1.1, math.inf), (-0.15, -0.05), "start"),
        ((0.5, 1.5), (-0.45, -0.35), "short"),
    ],
)
def test_a_putt_that_stopped_short_missed_by_that_unless_it_surely_went_elsewhere(start, roll, reason):
    values = {"roll_past": Interval(*roll), "holed": "missed", "stopped": "short", "missed_side": "right"}
    values |= {} if start is None else {"start": Interval(*start)}
    events = tuple(Event(f"p{n}", values) for n in range(6))
    told = misses(Case(ledger(replace(batch("start", ()), events=events))))
    assert {it.reason for it in told} == {reason}
    assert {it.open_side for it in told} == {"right" if start and math.isinf(start[1]) else "neither"}


@pytest.mark.parametrize(("path", "reason"), [(-10.0, "path"), (10.0, "start")])
def test_a_miss_is_the_paths_where_that_led_to_its_side(path, reason):
    told = {"start": (-1.6, -1.4), "path": (path - 0.1, path + 0.1)}
    values = {name: Interval(*at) for name, at in told.items()} | {"holed": "missed", "missed_side": "left"}
    events = tuple(Event(f"p{n}", values) for n in range(6))
    assert {it.reason for it in misses(Case(ledger(replace(batch("start", ()), events=events))))} == {reason}


def _aimed(says, start):
    """A face told by words, seven times, and twelve starts."""
    starts = batch("start", [near(start + 0.4 * (n % 3 - 1)) for n in range(12)])
    return ledger(batch("face", [says] * 7, id="a", step="aim"), starts)


def test_a_face_open_by_words_and_starts_on_line_are_first_a_question_of_compensation():
    """Said to be nothing to mend, with certainty, from words that tell no size."""
    it = judge_lesson(_aimed(Interval(0.5, math.inf), 0.0))
    first = it.findings.ranked[0]
    assert first.cause == "compensation" and first.call.word == "open"
    assert fact_said(first.facts[0], "metric").startswith("At address the face points right 7 of 7")
    assert it.next[0].name == "set_downs"
    # Where the ball starts to that side, too, nothing is brought back.
    there = judge_lesson(_aimed(Interval(0.5, math.inf), 1.6)).findings.ranked
    assert there[0].cause != "compensation"


def test_a_face_read_in_words_denies_no_face_that_a_sensor_told_in_degrees():
    it = _aimed(Interval(0.5, math.inf), 0.0)
    sensed = [
        replace(one, values={**one.values, "address": near(1.6), "impact": near(0.0)}) for one in it.batches[1].events
    ]
    told = findings(replace(it, batches=(it.batches[0], replace(it.batches[1], events=tuple(sensed)))))
    found = next(one for one in told.ranked if one.cause == "compensation")
    assert "aims_deg" not in {one.what for one in found.missing}


def test_of_two_checks_that_tell_as_much_the_shorter_is_worth_more():
    quick, slow = (Check("marks", minutes, (), (), 0.3) for minutes in (3, 6))
    assert quick.worth == 2 * slow.worth


def test_an_error_that_grows_is_weighed_without_taking_what_grows_for_scatter():
    """Levelled, a golfer who scatters by half a degree holes nearly all of what the growth costs; with the lengths
    pooled the spread looked three times as wide, and half of the gain was denied."""
    held = 0
    for n in range(12):
        rng = np.random.default_rng([n, 3])
        truth = Truth((), growth=0.5 * (-1) ** n, aim=-0.9 * (-1) ** n, spread=0.5)
        case = Case(lesson(truth, Size(lengths=(1.5, 3.0, 5.0), putts=30), rng))
        found = next(it for it in judged(case).ranked if it.cause == "distance")
        slope, mix = float(np.median(case.growth.line[:, 1])), case.ledger.mix
        gain = []
        for about in (float(np.dot([it for _, it in mix.halves], case.ledger.lengths_m)), 1.5):
            total = 0.0
            for length, window, (_, part) in zip(case.ledger.lengths_m, mix.windows, mix.halves, strict=True):
                bias = 0.85 * truth.aim + truth.growth * length
                inside = [
                    float(share_within(Mix.one(window), np.array([at]), np.array([0.53]))[0])
                    for at in (bias - slope * (length - about), bias)
                ]
                total += 100 * part * (inside[0] - inside[1])
            gain.append(total)
        held += found.weight.low - 0.5 <= max(gain) <= found.weight.high + 0.5
    assert held >= 10


@pytest.mark.parametrize(("toe_mm", "off"), [(-14.0, "heel"), (14.0, "toe"), (2.0, "")])
def test_a_miss_knows_off_which_end_it_was_struck(toe_mm, off):
    near = Interval(toe_mm - 1, toe_mm + 1)
    values = {"start": Interval(-1.6, -1.4), "strike": near, "holed": "missed", "missed_side": "left"}
    events = tuple(Event(f"p{n}", values) for n in range(6))
    assert {it.off for it in misses(Case(ledger(replace(batch("start", ()), events=events))))} == {off}


@pytest.mark.parametrize("side", [-1, 1])
def test_the_side_of_a_line_that_may_be_off_is_that_of_all_that_was_read_against_it(side):
    [it, *_] = lessons(Truth((), rig=1.2 * side), Size(proved=False, sensor=False))
    # What is read against a line that lies to the right lies to the left of it.
    first = judge_lesson(it).chosen[0]
    assert first.side == ("left" if side > 0 else "right") and {one.bias.value < 0 for one in first.levels} == {
        side > 0
    }


@pytest.mark.parametrize(("hand", "slope"), [("right", 0.03), ("left", -0.03)])
def test_before_the_putts_tell_it_a_strike_towards_the_toe_goes_to_the_far_side(hand, slope):
    assert Case(_struck([0.1, 0.0, -0.1], [5, 0, -5], hand)).struck.slope.value == pytest.approx(slope)


@pytest.mark.parametrize("line", [0.1, None])
def test_a_line_laid_by_eye_is_first_where_all_lies_to_one_side_of_it(line):
    """Blaming the golfer for what every reading shares was the gravest thing said."""
    [it, *_] = lessons(Truth((), rig=1.2), Size(proved=line is not None, sensor=False))
    found = judge_lesson(it)
    if line is None:
        assert found.findings.ranked[0].cause == "rig" and not found.findings.named
        assert "the line may be what is off" in first_said(it)
        assert found.next[0].name == "second_proof"
    else:
        assert "the line may be" not in first_said(it)


def test_guards_say_what_may_overturn_it():
    [it, *_] = lessons(Truth((), aim=1.0), Size(putts=8))

    def batch(one):
        if one.putted is None:
            return one
        return replace(one, voided=3, putted=replace(one.putted, coarse=True, disturbances=("wind",)))

    told = {one.name: guard_said(one) for one in said_of(changed(it, batch))}
    assert {"coarse", "few", "voids", "disturbed"} <= set(told)
    assert "3 of 11 putts" in told["voids"] and "wind" in told["disturbed"]


def test_a_sensor_that_disagrees_with_the_hand_is_said():
    [it, *_] = lessons(Truth(()))

    def far(one):
        moved = tuple(
            Event(each.id, {"face": each.values["face"].shifted(3.5)}) for each in one.events if one.id == "face"
        )
        return replace(one, events=moved) if moved else one

    assert "sensor_and_hand" in {one.name for one in said_of(changed(it, far))}


def test_body_lines_to_the_paths_side_speak_for_it():
    [it, *_] = lessons(Truth((), path=-9.0))
    stood = {
        "shoulders_deg": Interval(-5.5, -4.5),
        "feet_deg": Interval(3.5, 4.5),
        "hips_deg": Interval(-0.1, 0.4),
        "forearms_deg": Interval(-math.inf, -1.0),
        "knees_deg": Interval(-1.0, 1.0),
    }
    turned = replace(it, batches=(*it.batches, Batch("stood", "stand", 0.0, (Event("a", stood),))))
    path = next(one for one in findings(turned).ranked if one.cause == "path")
    speaks = {one.name: one.speaks for one in path.facts if one.name}
    # Noted only as a side it speaks as that; what lies along the line, or under a degree off it, says nothing.
    assert speaks == {"shoulders": "for", "feet": "against", "forearms": "for"}
    assert "Forearms turned left, noted by eye." in [fact_said(one, "metric") for one in path.facts]
    assert any(fact_said(one, "metric").startswith("Shoulders turned 5°") for one in path.facts)


def test_an_offset_that_repeats_may_stay_where_the_school_says_so_and_the_starts_are_fine():
    fine = 0
    for it in lessons(Truth((), aim=1.6, delivery=-1.6)):
        school = replace(it, schools=Schools({"face_at_address": "may_stay"}))
        named, left = findings(it), findings(school)
        if not any(one.cause in ("face_aim", "compensation") for one in named.named):
            continue
        aimed = Case(it).level("face").spread
        if named.starts.call.word != "none" or aimed.value > it.band.spread_deg["face_aim"]:
            # Starts that are off, or an aim that wanders, are no offset that may stay.
            assert [one.cause for one in left.named] == [one.cause for one in named.named]
            continue
        fine += 1
        assert left.nothing or left.starts.wide
        stays = [one for one in left.ranked if one.kind == "stays"]
        assert "compensation" not in {one.cause for one in stays} or all(
            one.explained_by == "compensation" for one in left.ranked if one.is_named
        )
        assert stays and all("It may stay" in cause_said(one, "right", "metric") for one in stays)
    assert fine


def test_what_started_inside_and_missed_to_one_side_is_the_reads_and_a_dear_bias_is_said():
    [it, *_] = lessons(Truth((), lost=0.6, lost_by="left"), Size(finish=True, putts=30))
    # On a slope, or with a read entered, that is the read's; on the level it is neither's.
    sloped = changed(
        it, lambda one: one if one.putted is None else replace(one, putted=replace(one.putted, breaks=True))
    )
    said = {one.name: one for one in said_of(sloped)}
    assert said["read_off"].told == ("left",) and "the read, not the start" in guard_said(said["read_off"])
    assert "costly" not in said and "read_off" not in {one.name for one in said_of(it)}
    [dear, *_] = lessons(Truth((), aim=2.5))
    assert "costly" in {one.name for one in said_of(dear)}


def test_the_chain_adds_up_and_names_its_largest_link():
    [it, *_] = lessons(Truth((), delivery=1.8))
    case = Case(it)
    found = judge_lesson(it).chain
    assert [one.name for one in found.links] == [
        "looks_straight",
        "ball_mark",
        "face_aim",
        "delivery",
        "face_impact",
        "path",
        "start",
    ]
    assert found.bias is not None and found.bias.name == "delivery"
    added = sum(case.joint.medians[link] for link in LINKS if link != "rig")
    start = next(one for one in found.links if one.name == "start")
    assert added == pytest.approx(start.bias.value, abs=2 * start.bias.doubt)
    scene, times = fan(found, Putt(2.5, 0.35, 10), {one.name: one.name for one in found.links}, "the chain")
    assert times > 1 and math.isfinite(scene.bottom)


def test_of_noise_no_link_is_the_largest():
    for it in lessons(Truth(())):
        assert judge_lesson(it).chain.bias is None


@pytest.mark.parametrize("middle", [1.9, -1.9])
def test_a_cause_is_as_large_as_the_link_it_was_read_from(middle):
    """The headline once told 1.8° beside a line that told 1.9° of the same set-downs."""
    downs = [middle + it for it in (0.6, -0.5, 0.1, 0.4, -0.3, 0.2, -0.5, 0.0, 0.3, -0.2)]
    case = Case(ledger(batch("face", downs, step="aim", putted=None)))
    named = judged(case).named[0]
    assert named.cause == "face_aim" and named.size == case.level("face").bias
    marks = Case(ledger(batch("mark", downs, step="aim", putted=None)))
    told = next(it for it in judged(marks).ranked if it.cause == "ball_mark")
    assert told.size == marks.level("mark").bias


def test_a_cause_that_is_open_denies_no_link_that_is_clear():
    # Eight putts off the heel are a clear strike; whether the start goes with it is asked of ten.
    put = [Event(f"{n}", {"strike": Interval(-25.0, -10.0), "start": Interval(-2.0, -1.0)}) for n in range(8)]
    found = judge_lesson(ledger(Batch("it", "start", 0.0, tuple(put), putted=PUTTED)))
    level = next(it for it in found.reads if isinstance(it, Level) and it.quantity.name == "strike")
    [strike] = [it for it in found.findings.ranked if it.cause == "strike"]
    assert level.call is not None and level.call.word == "clear" and strike.call.word == "open"
    said = cause_said(strike, "right", "metric")
    assert said == "Strike: whether the ball starts to a side with where it is struck, can't tell yet."
