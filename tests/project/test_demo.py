"""The demo's golfers are simulated, so their truth is known: what the product finds of each must hold it."""

from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from fastapi.testclient import TestClient

from libella.api.app import create_app
from libella.core.judge.claims.share import share_of
from libella.demo.people import PEOPLE
from libella.demo.seeing import stand_and_see
from libella.lessons.aim.aims import aim_table, natural_aim
from libella.lessons.aim.picture import aim_question_of
from libella.lessons.desk.desk import Desk, open_desk
from libella.lessons.golfer.golfers import GolferEntry, find_golfers, keep_golfer
from libella.lessons.judge.blocks import judge_block
from libella.lessons.judge.comparisons import comparisons_of
from libella.lessons.judge.findings import judge_whole
from libella.lessons.keep.cards import cards_of
from libella.lessons.keep.quick_checks import checks_of
from libella.lessons.lesson.lessons import LessonEntry, every_lesson_of, keep_lesson
from libella.lessons.see.maps import map_sheet
from libella.lessons.see.sights import sights_of
from libella.lessons.stand.set_ups import stand_sheet
from libella.store.server.database import connect
from libella.words.judge.chosen import headline_said

from ..conftest import demo_database, migrated_database

TRUTH = {it.name: it for it in PEOPLE}


@pytest.fixture(scope="module")
def demo(cluster):
    engine = connect(demo_database(cluster))
    yield open_desk(engine)
    engine.dispose()


def taught(demo: Desk, name: str):
    """A golfer's lessons, newest first, beside the days before today they were given on."""
    [golfer] = find_golfers(demo, name)
    return golfer, list(zip(sorted(TRUTH[name].lessons), reversed(every_lesson_of(demo, golfer.id)), strict=True))


def test_verdicts_hold_the_truth_about_nine_times_in_ten(demo):
    held = told = 0
    for name, person in TRUTH.items():
        for days, (_, blocks) in taught(demo, name)[1]:
            for run, sheet in zip(person.runs(days), blocks, strict=True):
                summary = judge_block(demo, sheet.block.id, "metric").judgement.summary
                truth = run.truth.true_bias(run.distance_m)
                told += 1
                held += summary.bias.low <= truth <= summary.bias.high
    assert told == sum(len(it.runs(days)) for it in TRUTH.values() for days in it.lessons)
    assert 0.8 * told <= held


@pytest.mark.parametrize("name", [name for name, it in TRUTH.items() if it.seeing])
def test_what_looks_straight_holds_the_truth_of_every_golfer_who_was_asked(demo, name):
    held = told = 0
    for days, (lesson, _) in taught(demo, name)[1]:
        seeing = TRUTH[name].seeing.get(days)
        if seeing is None:
            continue
        for sheet in sights_of(demo, lesson.id):
            truth = seeing.eyes.at(sheet.tried.position).straight_deg
            told += 1
            # Wider than the interval by a little: each golfer was asked a handful of times only.
            it = sheet.found.angle
            held += it.low - 0.3 <= truth <= it.high + 0.3
    assert told >= 1 and held >= told - 1


def test_junia_sees_straight_truer_further_in_and_her_face_follows_the_picture(demo):
    golfer, lessons = taught(demo, "Junia Thale")
    today, before = lessons[0][1][0], lessons[1][1][0]
    found = map_sheet(demo, today.id)
    [inside] = [it for it in found.map.effects if it.lever == "inside"]
    assert inside.tried and inside.slope.low <= -0.03 <= inside.slope.high and inside.right < 0.5
    # Today it was asked once there; the lesson before asked again, and a change stands.
    assert found.map.change is None and found.map.ask_again.position == {"inside": 25.0}
    assert map_sheet(demo, before.id).map.change.position == {"inside": 25.0}
    aim = natural_aim(demo, golfer.id)
    assert aim.low - 0.2 <= 1.1 <= aim.high + 0.2
    table = aim_table(demo, today.id)
    assert table.sum.added is not None and aim_question_of(demo, today.id, found.as_usual).does in ("follows", "open")
    sheet = stand_sheet(demo, today.id, "metric")
    assert {it.name for it in sheet.noted if it.is_changed} >= {"ball_toes_m", "shoulders_deg"} and sheet.times == 3
    [card] = cards_of(demo, golfer.id)
    assert card.card.position == {"inside": 25.0} and card.card.marks
    assert len(checks_of(demo, before.id)) == 1


def whole(demo: Desk, lesson):
    return judge_whole(demo, lesson.id)


def said_of(it, name: str = "skilled") -> str:
    return headline_said(it.judged.chosen, it.ledger.hand, "metric")


def test_idris_misses_by_read_and_pace_and_greta_moves(demo):
    _, lessons = taught(demo, "Idris Vantongeren")
    it = whole(demo, lessons[0][1][0])
    assert it.judged.findings.ranked[0].cause == "read_and_pace"
    inside = [fact for fact in it.judged.findings.ranked[0].facts if fact.what == "inside_and_missed"]
    assert inside and inside[0].number >= 10
    _, lessons = taught(demo, "Greta Solvang")
    loose = share_of(whole(demo, lessons[0][1][0]).ledger.of("still"), "still", ())
    assert loose.of - loose.times("nothing") >= 4


def test_pell_makes_up_for_his_aim_and_the_chain_finds_each_link_of_him(demo):
    _, lessons = taught(demo, "Pell Marchetti-Oduya")
    it = whole(demo, lessons[0][1][0])
    truth = TRUTH["Pell Marchetti-Oduya"].runs(9)[0].truth
    assert "compensation" in [one.cause for one in it.judged.findings.ranked[:3]]
    truths = {"face_aim": truth.true_aim(), "delivery": truth.true_delivery(2.5), "path": truth.path_deg}
    links = {one.name: one for one in it.judged.chain.links}
    assert set(truths) <= set(links)
    for name, value in truths.items():
        assert links[name].bias.low - 0.4 <= value <= links[name].bias.high + 0.4, name


def test_greta_is_steadier_on_a_wide_base_and_wim_grows_with_distance(demo):
    _, lessons = taught(demo, "Greta Solvang")
    [sheet] = comparisons_of(demo, lessons[0][1][0].id)
    assert sheet.turn.condition is None
    [(_, told)] = sheet.compared.others
    [start] = [one for one in told if one.quantity.name == "start"]
    assert start.ratio.value < 1
    _, lessons = taught(demo, "Wim Adeyari")
    it = whole(demo, lessons[0][1][0])
    assert it.judged.growth.slope.low > 0 and "right with every metre" not in said_of(it)
    assert "it grows" in said_of(it) and "to the right" in said_of(it)


def test_everything_in_it_is_marked_as_invented(demo):
    golfers = find_golfers(demo)
    assert {it.name for it in golfers} == set(TRUTH) and all(it.invented for it in golfers)
    assert all(lesson.invented for it in golfers for lesson, _ in every_lesson_of(demo, it.id))


def test_what_a_demo_golfer_is_asked_is_the_same_in_every_demo(cluster):
    """What is asked next hangs on the id of its test; with ids of the moment a demo told now and then nothing."""
    person, told = TRUTH["Junia Thale"], []
    for days in (0, 40):
        engine = connect(migrated_database(cluster))
        desk, at = open_desk(engine), datetime(2026, 11, 1, tzinfo=UTC) - timedelta(days=days)
        golfer, lesson = uuid6.uuid7(), uuid6.uuid7()
        keep_golfer(desk, golfer, GolferEntry(person.name, person.hand, person.level, "", invented=True))
        keep_lesson(desk, lesson, LessonEntry(golfer, "Studio", "indoor_mat", 9.5, at, "", invented=True))
        stand_and_see(desk, lesson, person.seeing[16], at, "a lesson")
        answers = [[it.raw for it in sheet.trials] for sheet in sights_of(desk, lesson)]
        told.append((answers, [it.angles for it in checks_of(desk, lesson)]))
        engine.dispose()
    assert len(told[0][0]) == 4 and told[0][1]
    assert told[0] == told[1]


def test_what_is_shown_or_handed_out_of_it_says_so(cluster, client, coach):
    """On walls and the golfer's own screen, on paper, in files; of what a coach enters nothing does."""
    lesson = coach.lesson()
    assert [coach.get(f"/lessons/{lesson['id']}/{page}")["invented"] for page in ("wall", "question")] == [False] * 2
    plan = {"distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "peg_gate"}
    sheet = client.post("/api/prints/station?form=svg", json=plan)
    assert sheet.status_code == 200 and "invented" not in sheet.text

    engine = connect(demo_database(cluster))
    with TestClient(create_app(engine), base_url="http://127.0.0.1") as shown:
        golfers = [it["golfer"] for it in shown.get("/api/golfers").json()["items"]]
        with_card = {it["id"]: shown.get(f"/api/golfers/{it['id']}/set-up-cards").json() for it in golfers}
        golfer = next(id for id, cards in with_card.items() if cards)
        lessons = shown.get(f"/api/golfers/{golfer}/lessons").json()["items"]
        for page in ("wall", "question"):
            assert shown.get(f"/api/lessons/{lessons[0]['lesson']['id']}/{page}").json()["invented"] is True
        putts = shown.get(f"/api/exports/golfer/{golfer}?form=json").json()["putts"]
        assert putts and all(it["invented"] is True for it in putts)
        assert "invented demo" in shown.post("/api/prints/station?form=svg", json=plan).text
        for what in ("card", "mirror"):
            print_ = shown.get(f"/api/set-up-cards/{with_card[golfer][0]['id']}/print?form=svg&what={what}")
            assert "invented demo" in print_.text
    engine.dispose()
