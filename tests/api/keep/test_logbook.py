"""The logbook: everything of the years found by beginnings of words, by kind, by golfer; and what is due."""

from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from sqlalchemy import text

from libella.lessons.keep import logbook
from libella.lessons.keep.logbook import SORTS
from libella.store.logbook import ARMS
from tests.api.change.test_changes import aimed_right, chosen
from tests.conftest import now

from .whole_studio import fill


def log(coach, **query):
    return coach.get("/logbook", **query)["items"]


def sorts(found):
    return {it["sort"] for it in found}


@pytest.fixture
def full(coach):
    return fill(coach)


def test_every_kind_is_found_by_its_words_and_the_time_line_holds_them_all(coach, full):
    assert sorts(log(coach, golfer=full["first"])) | {"golfer"} == set(SORTS) == {it.sort for it in ARMS}
    assert sorts(log(coach, sorts=["golfer"])) == {"golfer"}
    times = [it["at"] for it in log(coach, golfer=full["first"])]
    assert times == sorted(times, reverse=True)
    for words, sort in (
        ("quote", "golfer"), ("cut", "lesson"), ("board", "station"), ("narrow", "station"), ("spot aim", "change"),
        ("long", "kit"), ("marb", "drill"), ("as it was", "card"), ("wide", "note"),
    ):  # fmt: skip
        found = log(coach, q=words)
        assert sort in sorts(found), words
        assert all(it["words"] and it["name"] for it in found if it["sort"] != "card")
    # All words are to be there, as beginnings; whatever else is typed is no query of its own.
    assert log(coach, q="aim nothing") == [] == log(coach, q="im") == log(coach, q="&|!():*")
    assert coach.get("/logbook", q="zzz")["nothing"] == "Nothing here begins a word with “zzz”."
    assert sorts(log(coach, q="a", sorts=["change", "kit"])) <= {"change", "kit"}


def test_days_and_golfers_narrow_it_down_and_pages_follow_each_other(coach, full, monkeypatch):
    day_ago = (datetime.now(UTC) - timedelta(days=1)).isoformat()
    every = log(coach)
    recent, older = log(coach, since=day_ago), log(coach, until=day_ago)
    assert {it["id"] for it in older} and not {it["id"] for it in recent} & {it["id"] for it in older}
    assert all(it["golfer_id"] == full["other"] for it in log(coach, golfer=full["other"]))
    monkeypatch.setattr(logbook, "PAGE", 5)
    first = coach.get("/logbook")
    assert len(first["items"]) == 5 and first["next"]
    seen = {(it["sort"], it["id"]) for it in first["items"]}
    page = first
    while page["next"]:
        page = coach.get("/logbook", after=page["next"])
        more = {(it["sort"], it["id"]) for it in page["items"]}
        assert not more & seen
        seen |= more
    assert seen == {(it["sort"], it["id"]) for it in every}


def test_a_lesson_tells_what_it_found_in_the_time_line_and_what_was_taken_back_is_gone(coach, full):
    [lesson] = [it for it in log(coach, q="cut") if it["sort"] == "lesson"]
    headline = coach.get(f"/lessons/{lesson['id']}/findings")["headline"]
    line = log(coach, golfer=full["first"])
    assert next(it for it in line if it["id"] == lesson["id"])["found"]["found"] == headline
    [change] = [it for it in log(coach, q="spot") if it["sort"] == "change"]
    coach.put(f"/changes/{change['id']}/voided", voided=True)
    assert "change" not in sorts(log(coach, q="spot"))
    coach.put(f"/lessons/{lesson['id']}/voided", reason="a test")
    assert not {it["sort"] for it in log(coach, golfer=full["first"]) if it["lesson_id"] == lesson["id"]} & {
        "lesson",
        "note",
    }


def test_what_is_due_waits_until_its_day_and_goes_when_it_is_done(coach, engine):
    told, _ = aimed_right(coach)
    change = chosen(coach, told.id)
    coach.put(f"/set-ups/{uuid6.uuid7()}", lesson_id=told.id, values={"stance_m": 0.3}, taken_at=now())
    card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", lesson_id=told.id, note="narrow", kept_at=now())["id"]
    assert coach.get("/due") == []
    back(engine, "noted_change", "made_at", 8)
    back(engine, "set_up_card", "kept_at", 32)
    back(engine, "lesson", "started_at", 30)
    found = coach.get("/due")
    assert [it["kind"] for it in found] == ["lesson", "card", "retest"]
    assert "Aim over a spot" in found[2]["words"] and found[2]["lesson_id"] == told.id
    coach.put(f"/chosen-changes/{change['id']}/dropped", dropped=True)
    coach.put(f"/quick-checks/{uuid6.uuid7()}", lesson_id=told.id, card_id=card, taken_at=now())
    coach.put(f"/lessons/{told.id}/end", ended_at=now())
    assert coach.get("/due") == []


def back(engine, table, column, days):
    with engine.begin() as connection:
        connection.execute(text(f"update {table} set {column} = {column} - interval '{days} days'"))
