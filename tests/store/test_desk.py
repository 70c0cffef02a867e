"""The desk: what is done together is kept whole or not at all; what is not of this studio is not there."""

from concurrent.futures import ThreadPoolExecutor

import pytest
import uuid6
from sqlalchemy import event, text

from libella.core.golfer.level import LEVELS
from libella.lessons.desk.desk import Desk, open_desk, studio
from libella.lessons.desk.problem import NotFound
from libella.lessons.golfer.golfers import GolferEntry, find_golfers, keep_golfer
from libella.store.server.database import connect
from libella.store.tables import GolferRow

from ..conftest import new_database
from ..pooled import pooled


def entry(name: str) -> GolferEntry:
    return GolferEntry(name, "right", next(iter(LEVELS)))


def test_what_is_done_together_is_kept_whole(desk):
    with desk.together() as whole:
        keep_golfer(whole, uuid6.uuid7(), entry("One"))
        keep_golfer(whole, uuid6.uuid7(), entry("Two"))
        # Inside it is there already, outside not yet.
        assert len(find_golfers(whole)) == 2
        assert find_golfers(desk) == []
    assert [it.name for it in find_golfers(desk)] == ["One", "Two"]


def test_what_fails_half_way_leaves_nothing(desk):
    with pytest.raises(ZeroDivisionError), desk.together() as whole:
        keep_golfer(whole, uuid6.uuid7(), entry("One"))
        raise ZeroDivisionError
    assert find_golfers(desk) == []
    keep_golfer(desk, uuid6.uuid7(), entry("Three"))
    assert [it.name for it in find_golfers(desk)] == ["Three"]


def test_a_row_said_twice_is_found_and_of_another_studio_it_is_not_there(desk, engine):
    id = uuid6.uuid7()
    with desk.transaction() as session:
        values = {"name": "One", "hand": "right", "level": "club", "notes": ""}
        row, new = desk.add(session, GolferRow, id, **values)
        again, newer = desk.add(session, GolferRow, id, **values | {"name": "Other"})
        assert (new, newer) == (True, False) and again.name == row.name == "One"
    other = Desk(engine, uuid6.uuid7())
    with other.transaction() as session, pytest.raises(NotFound, match="golfer"):
        other.get(session, GolferRow, id, "golfer")


def test_first_requests_at_once_make_one_studio(engine):
    with ThreadPoolExecutor(8) as pool:
        made = {it.studio_id for it in pool.map(lambda _: open_desk(engine), range(16))}
    assert len(made) == 1


def test_done_together_a_row_is_fetched_once_and_what_is_written_afterwards_waits_for_the_end(desk, engine):
    asked: list[str] = []
    event.listen(engine, "before_cursor_execute", lambda *told: asked.append(told[2]))
    written: list[str] = []
    with desk.together() as whole:
        for _ in range(3):
            assert studio(whole).id == desk.studio_id
        with whole.together() as same:
            same.afterwards(lambda session: written.append(session.scalar(text("select 'written'"))))
        assert same is whole and written == []
    assert written == ["written"] and sum("FROM studio" in it for it in asked) == 1
    with pytest.raises(ZeroDivisionError), desk.together() as whole:
        whole.afterwards(lambda _: written.append("not this"))
        raise ZeroDivisionError
    assert written == ["written"]


def test_whose_rows_a_transaction_is_about_is_known_to_the_database_and_only_while_it_lasts(desk, engine):
    """Behind a pool the same connection is lent to another studio's transaction next."""

    def said(session) -> str:
        return session.scalar(text("select current_setting('libella.studio', true)"))

    other = Desk(engine, uuid6.uuid7())
    for one in (desk, other, desk):
        with one.transaction() as session:
            assert said(session) == str(one.studio_id)
        with one.together() as whole, whole.transaction() as session:
            assert said(session) == str(one.studio_id)
    written: list[str] = []
    other.afterwards(lambda session: written.append(said(session)))
    assert written == [str(other.studio_id)]
    with engine.connect() as connection:
        assert not connection.scalar(text("select current_setting('libella.studio', true)"))


def test_behind_a_pool_what_a_session_would_hold_is_set_with_every_transaction(cluster):
    url = new_database(cluster)
    with pooled(url) as pool:
        engine = connect(pool, pooled=True)
        for _ in range(8):
            # Nothing is prepared: the next transaction may be lent another connection, which knows of none.
            with engine.begin() as connection:
                told = connection.execute(
                    text("select current_setting('timezone'), current_setting('statement_timeout')")
                ).one()
                assert tuple(told) == ("UTC", "15s")
                assert connection.scalar(text("select count(*) from pg_prepared_statements")) == 0
        engine.dispose()
