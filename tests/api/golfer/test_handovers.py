"""A lesson, or everything, kept under another golfer goes to the one whose it is: shown first, the old kept."""

import uuid6
from sqlalchemy import text

from libella.store.tables import Stored

from ...conftest import now
from ..judge.lessons import Told
from ..keep.whole_studio import fill


def hand_over(coach, former, golfer, lesson=None, status=(200, 201), id=None):
    body = {"former_id": former, "golfer_id": golfer, "lesson_id": lesson}
    return coach.put(f"/handovers/{id or uuid6.uuid7()}", status, **body)


def would(coach, former, golfer, lesson=None):
    body = {"former_id": former, "golfer_id": golfer, "lesson_id": lesson}
    answer = coach.client.post("/api/handovers", json=body)
    assert answer.status_code == 200, answer.text
    return answer.json()["says"]


def putted(coach, golfer, across=(10, 5, 15, 0, 10, 5)):
    told = Told(coach, golfer)
    told.ruler(told.block(told.lay(), len(across)), across)
    return told.id


def lessons_of(coach, golfer):
    return [it["lesson"]["id"] for it in coach.get(f"/golfers/{golfer}/lessons")["items"]]


def counts(engine, golfer):
    """Rows of each table that name a golfer."""
    own = [it.name for it in Stored.metadata.sorted_tables if "golfer_id" in it.c]
    worked_out = {"golfer_revision", "lesson_revision", "kept_answer", "handover"}
    with engine.connect() as connection:
        return {
            it: connection.execute(text(f"select count(*) from {it} where golfer_id = :id"), {"id": golfer}).scalar()
            for it in own
            if it not in worked_out
        }


def test_a_lesson_goes_to_the_golfer_whose_it_is_with_what_hangs_on_it(coach):
    wrong, right = coach.golfer("Wrong One"), coach.golfer("Right One", hand="left")
    stays, goes = putted(coach, wrong["id"]), putted(coach, wrong["id"])
    coach.put(f"/set-ups/{uuid6.uuid7()}", lesson_id=goes, values={"stance_m": 0.3}, taken_at=now())
    card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", lesson_id=goes, note="as it was", kept_at=now())["id"]
    coach.put(f"/lessons/{goes}/released", released=True)
    line, judged = coach.get(f"/golfers/{wrong['id']}/line"), coach.get(f"/lessons/{goes}/findings")
    shown = would(coach, wrong["id"], right["id"], goes)
    assert "from “Wrong One” to “Right One”, with 6 putts and 1 set-up card." in shown[0]
    assert any("left-handed" in it for it in shown) and any("released to nobody" in it for it in shown)
    # Shown, and nothing kept.
    assert lessons_of(coach, right["id"]) == [] and coach.get(f"/golfers/{wrong['id']}/line") == line
    id = uuid6.uuid7()
    assert hand_over(coach, wrong["id"], right["id"], goes, id=id)["name"] == "Right One"
    assert hand_over(coach, wrong["id"], right["id"], goes, id=id)["name"] == "Right One"
    assert (lessons_of(coach, wrong["id"]), lessons_of(coach, right["id"])) == ([stays], [goes])
    assert [it["id"] for it in coach.get(f"/golfers/{right['id']}/set-up-cards")] == [card]
    # What is said of both is said anew, and the lesson is judged as it was: it stays as it was putted.
    assert coach.get(f"/golfers/{wrong['id']}/line") != line
    assert coach.get(f"/lessons/{goes}/findings")["first"] == judged["first"]
    sheet = coach.get(f"/lessons/{goes}/summary")
    assert any("under another name" in it for it in sheet["superseded"]) and sheet["released_at"] is None
    assert not coach.get(f"/lessons/{stays}/summary")["superseded"]
    # A device that was away knows it under the former golfer still.
    known = {"golfer_id": wrong["id"], "place": "Loft", "green_speed_ft": 10, "started_at": now()}
    assert coach.put(f"/lessons/{goes}", **known)["golfer_id"] == right["id"]


def test_two_who_are_one_are_kept_as_one_with_everything(coach, engine):
    ids = fill(coach)
    one, other = ids["first"], ids["other"]
    before = [counts(engine, it) for it in (one, other)]
    lessons = lessons_of(coach, other) + lessons_of(coach, one)
    assert coach.get(f"/golfers/{other}")["notes"] == ""
    shown = would(coach, one, other)
    assert f"become one, kept as “Bo Other”, with {len(lessons_of(coach, one))} lessons" in shown[0]
    hand_over(coach, one, other)
    # Every table that names a golfer: a new one is in this by itself.
    assert counts(engine, other) == {it: before[0][it] + before[1][it] for it in before[0]}
    assert not any(counts(engine, one).values())
    assert sorted(lessons_of(coach, other)) == sorted(lessons)
    kept = coach.get(f"/golfers/{other}")
    assert kept["name"] == "Bo Other" and "<b>so</b> said" in kept["notes"]
    names = [it["golfer"]["name"] for it in coach.get("/golfers")["items"]]
    assert "Bo Other" in names and not any("Quote" in it for it in names)
    # The entry that is no more leads to the one that is.
    assert coach.get(f"/golfers/{one}")["id"] == other
    coach.get(f"/golfers/{other}/line")


def test_what_a_device_away_tells_of_an_entry_that_is_no_more_is_kept_of_the_golfer(coach):
    twice, golfer = coach.golfer("Twice Told"), coach.golfer("Told Once")
    hand_over(coach, twice["id"], golfer["id"])
    coach.put(f"/kits/{uuid6.uuid7()}", golfer_id=twice["id"], since=now(), putter="Long one")
    assert coach.get(f"/golfers/{golfer['id']}/kit")["now"]["putter"] == "Long one"
    lesson = coach.lesson(twice["id"])
    assert lesson["golfer_id"] == golfer["id"] and lessons_of(coach, golfer["id"]) == [lesson["id"]]
    # Their entry itself does not come up again.
    problem = coach.put(f"/golfers/{twice['id']}", 409, name="Twice Told", hand="left", level="club")
    assert "kept as “Told Once”" in problem["detail"]
    # Joined once more with somebody else, all of it goes on.
    last = coach.golfer("Told Last")
    hand_over(coach, golfer["id"], last["id"])
    assert coach.get(f"/golfers/{twice['id']}")["id"] == last["id"]


def test_what_can_not_be_is_refused_and_nothing_is_changed(coach, engine):
    one, other = coach.golfer("One"), coach.golfer("Other")
    invented = coach.golfer("Made Up")
    with engine.begin() as connection:
        connection.execute(text("update golfer set invented = true where id = :id"), {"id": invented["id"]})
    lesson = putted(coach, other["id"])
    assert hand_over(coach, one["id"], one["id"], status=422)["errors"][0]["field"] == "golfer_id"
    assert "invented" in hand_over(coach, invented["id"], one["id"], status=422)["detail"]
    assert "another golfer" in hand_over(coach, one["id"], coach.golfer("Third")["id"], lesson, status=409)["detail"]
    hand_over(coach, one["id"], str(uuid6.uuid7()), status=404)
    assert lessons_of(coach, other["id"]) == [lesson]
