"""Golfers deleted for good: nothing of them is left in any table, nothing of others goes, nothing brings them back."""

import os
from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from fastapi.testclient import TestClient
from sqlalchemy import text

from libella.api.app import Reach, create_app
from libella.api.people import removals as nights
from libella.lessons.desk.desk import open_desk
from libella.lessons.people import removals
from libella.store.server.database import connect
from libella.store.tables import Stored
from libella.store.whole.kinds import kinds
from libella.store.whole.rows import Scope, counted

from ...conftest import Coach, migrated_database, now
from ..keep.whole_studio import fill
from .test_consents import say


@pytest.fixture
def studio(cluster, tmp_path):
    engine = connect(migrated_database(cluster))
    application = create_app(engine, kept_in=tmp_path, reach=Reach(("localhost", "testserver"), backup_days=90))
    with TestClient(application) as client:
        yield Coach(client), engine, tmp_path
    engine.dispose()


def speaks_of(engine, words: str) -> set[str]:
    """Every table in which it stands anywhere."""
    with engine.connect() as connection:
        return {
            it.name
            for it in Stored.metadata.tables.values()
            if connection.scalar(
                text(f"select exists (select from {it.name} it where it::text like :it)"), {"it": f"%{words}%"}
            )
        }


def rows(engine, golfer: str | None = None) -> dict[str, int]:
    desk = open_desk(engine)
    with desk.transaction() as session:
        return counted(session, Scope(desk.studio_id, golfer and uuid6.UUID(golfer)))


def test_nothing_is_left_of_whoever_was_deleted_and_all_of_everybody_else(studio):
    coach, engine, folder = studio
    ids = fill(coach)
    others, whole = rows(engine, ids["other"]), rows(engine)
    # The fixture has something in every table: a table that this would miss shows here.
    gone_from = {
        it.name for it in kinds() if speaks_of(engine, ids["first"]) and rows(engine, ids["first"]).get(it.name)
    }
    assert {
        "golfer",
        "lesson",
        "reading",
        "consent",
        "set_up_photo",
        "stroke",
        "quick_check",
        "noted_change",
    } <= gone_from
    (folder / "backups").mkdir()
    (folder / "backups" / "a.backup").write_text("")
    refused = coach.put(f"/removals/{uuid6.uuid7()}", 409, golfer_id=ids["first"], name="Bo Other")
    assert "not the name of this golfer" in refused["detail"] and rows(engine) == whole
    id = uuid6.uuid7()
    told = coach.put(f"/removals/{id}", golfer_id=ids["first"], name=" åse “quote” long-name ")
    assert "as was asked" in told["says"] and "One backup made before hold them still; the last" in told["backups"]
    assert coach.put(f"/removals/{id}", golfer_id=ids["first"], name="Åse “Quote” Long-Name")["says"] == told["says"]
    assert speaks_of(engine, ids["first"]) == {"removal"}
    assert not speaks_of(engine, "Long-Name") - {"removal"}
    assert rows(engine, ids["other"]) == others
    assert rows(engine)["drill"] == whole["drill"] and rows(engine)["sensor"] == whole["sensor"]
    coach.get(f"/golfers/{ids['first']}", 404)
    assert "1 entry" not in told["says"]
    # A device that knew them still does not begin them anew.
    coach.put(f"/golfers/{ids['first']}", 404, name="Back", hand="right", level="club")
    assert coach.get("/removals")["removed"] == [told["says"]]


def test_a_backup_made_before_does_not_bring_them_back(studio):
    coach, engine, folder = studio
    golfer, other = coach.golfer("Dee Gone"), coach.golfer("Ed Stays")
    coach.put(f"/removals/{uuid6.uuid7()}", golfer_id=golfer["id"], name="Dee Gone")
    with engine.begin() as connection:
        connection.execute(text("delete from removal"))
    coach.put(f"/golfers/{golfer['id']}", name="Dee Gone", hand="right", level="club")
    with TestClient(create_app(engine, kept_in=folder, reach=Reach(("testserver",)))) as client:
        client.get("/api/health")
        Coach(client).get(f"/golfers/{golfer['id']}", 404)
        Coach(client).get(f"/golfers/{other['id']}")


def test_whoever_was_not_seen_for_as_long_as_the_rule_says_goes_at_night_and_that_is_said(studio):
    coach, engine, folder = studio
    desk = open_desk(engine)
    old, new = coach.golfer("Flo Long Ago"), coach.golfer("Gil Lately")
    say(coach, new, "keeping", True)
    with engine.begin() as connection:
        connection.execute(
            text("update golfer set updated_at = :at where id = :id"), {"at": "2019-01-01", "id": old["id"]}
        )
    tonight = datetime.now(UTC).replace(hour=4)
    nights.nightly(desk, folder, 90, tonight)
    assert coach.get("/removals")["runs"] == [] and coach.get(f"/golfers/{old['id']}")
    assert "1 to 30 years" in str(coach.put("/kept-years", 422, years=31))
    told = coach.put("/kept-years", years=5)
    assert [it["name"] for it in told["due"]] == ["Flo Long Ago"]
    # A rule that was just made, by a slip it may be, takes nobody for a month.
    nights.nightly(desk, folder, 90, tonight + timedelta(days=29))
    assert coach.get(f"/golfers/{old['id']}")
    nights.nightly(desk, folder, 90, tonight.replace(hour=1) + timedelta(days=31))
    assert coach.get(f"/golfers/{old['id']}"), "not before the night"
    nights.nightly(desk, folder, 90, tonight + timedelta(days=31))
    nights.nightly(desk, folder, 90, tonight + timedelta(days=31, hours=1))
    told = coach.get("/removals")
    assert "looked at 2 golfers for 5 years without a sign: 1 deleted" in told["runs"][0]
    assert "nobody was deleted" in told["runs"][1] and len(told["runs"]) == 2, "once a day"
    assert "not seen for as long as the rule says" in told["removed"][0] and told["due"] == []
    coach.get(f"/golfers/{old['id']}", 404)
    assert coach.get(f"/golfers/{new['id']}") and old["id"] in (folder / "removed").read_text()
    # Five years later the other goes; a lesson in between would have kept them.
    assert removals.due(desk, tonight + timedelta(days=1700)) == []
    coach.lesson(new["id"], started_at=now())
    assert [it.name for it in removals.due(desk, tonight + timedelta(days=5 * 366))] == ["Gil Lately"]


def test_backups_go_when_they_are_too_old_but_never_the_newest(studio):
    _, engine, folder = studio
    (folder / "backups").mkdir()
    for name, days in (("a", 200), ("b", 120), ("c", 100)):
        file = folder / "backups" / f"{name}.backup"
        file.write_text("")
        at = (datetime.now(UTC) - timedelta(days=days)).timestamp()
        os.utime(file, (at, at))
    nights.nightly(open_desk(engine), folder, 0)
    assert len(list((folder / "backups").iterdir())) == 3
    nights.nightly(open_desk(engine), folder, 110)
    assert [it.name for it in (folder / "backups").iterdir()] == ["c.backup"]
    nights.nightly(open_desk(engine), folder, 10)
    assert [it.name for it in (folder / "backups").iterdir()] == ["c.backup"]
