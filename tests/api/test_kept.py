"""What is kept of a lesson says what would be said anew, whatever was written since, and wherever."""

import gc
from uuid import UUID

import pytest
from sqlalchemy import text

from libella.lessons.desk import kept
from libella.lessons.desk.in_hand import InHand
from libella.lessons.judge import block_batch

from ..conftest import now
from .any_lesson import AnyLesson, how_many

OF_A_LESSON = ("", "/findings", "/change", "/map", "/schools", "/comparisons", "/summary")
OF_A_GOLFER = ("/lessons", "/line", "/line-now", "/found", "/schools", "/expected")


def asked(it: AnyLesson, lessons: list[str]) -> dict[str, object]:
    paths = [f"/lessons/{id}{page}" for id in lessons for page in OF_A_LESSON]
    paths += [f"/golfers/{it.golfer}{page}" for page in OF_A_GOLFER] + ["/golfers", "/today"]
    paths += [f"/blocks/{id}/judgement" for id in it.blocks[:3]]
    return {path: it._page(path) for path in paths}


def forgotten(engine) -> None:
    """As if this process had begun just now, with nothing kept."""
    for one in gc.get_objects():
        if isinstance(one, InHand):
            one.clear()
    block_batch._MADE.clear()
    with engine.begin() as connection:
        connection.execute(text("delete from kept_answer"))


@pytest.mark.parametrize("seed", range(300, 300 + how_many(5)))
def test_what_is_kept_of_a_lesson_is_what_would_be_said_anew(client, engine, seed):
    it = AnyLesson(client, seed)
    lessons = [it.id]
    for turn in range(4):
        it.record(4)
        asked(it, lessons)
        if turn == 3:
            break
        if turn == 1:
            # A reading that waited for the network: the first lesson again, beside one begun since.
            it.id = lessons[0]
            continue
        it._next_lesson()
        lessons.append(it.id)
    found = asked(it, lessons)
    forgotten(engine)
    anew = asked(it, lessons)
    for path, told in found.items():
        assert told == anew[path], f"{path}, seed {seed}:\n" + "\n".join(it.kept[-30:])


def mark(desk, lesson: dict) -> int:
    return kept.revision_of_lesson(desk, UUID(lesson["id"]))


def two_lessons(coach) -> tuple[dict, dict]:
    first = coach.lesson()
    block = coach.block(lesson=first)
    for offset in (0.01, 0.02, 0.015, 0.01, 0.02):
        coach.putt(block["id"], {"offset_m": offset})
    return first, coach.lesson(first["golfer_id"])


def test_a_putt_leaves_what_was_said_of_earlier_lessons_as_it_is(coach, engine):
    first, then = two_lessons(coach)
    block = coach.block(lesson=then)
    pages = (f"/lessons/{first['id']}/findings", f"/golfers/{first['golfer_id']}/lessons")

    def rows() -> set[tuple[object, ...]]:
        with engine.connect() as connection:
            query = "select ctid::text, what from kept_answer where about_id = :id and what ~ 'findings|line'"
            return {tuple(row) for row in connection.execute(text(query), {"id": first["id"]})}

    for page in pages:
        coach.get(page)
    before = rows()
    assert len(before) == 2
    coach.putt(block["id"], {"offset_m": 0.01})
    newest = coach.get(f"/lessons/{then['id']}/findings")["revision"]
    for page in pages:
        coach.get(page)
    assert rows() == before
    coach.putt(coach.block(lesson=first)["id"], {"offset_m": 0.01})
    assert rows() == before
    # What was written in an earlier lesson is known in the later one.
    assert coach.get(f"/lessons/{then['id']}/findings")["revision"] > newest
    coach.get(pages[0])
    assert rows() != before


def test_a_lessons_mark_grows_with_every_write_whoever_commits_first(coach, desk, engine):
    first, then = two_lessons(coach)
    other = coach.block(lesson=then)["id"]
    with engine.connect() as connection:
        block = connection.scalar(text("select id from block where lesson_id = :id"), {"id": first["id"]})
    write = text("update block set planned = planned + 1 where id = :id")
    before = mark(desk, then)
    with engine.connect() as slow, slow.begin():
        slow.execute(text("set local lock_timeout = '5s'"))
        # It takes its number first, and is seen last.
        slow.execute(text("update lesson_revision set revision = nextval('revision') where lesson_id = :id"), first)
        slow.execute(text("select nextval('revision')"))
        with engine.begin() as quick:
            quick.execute(text("update lesson_revision set revision = nextval('revision') where lesson_id = :id"), then)
        between = mark(desk, then)
    after = mark(desk, then)
    assert before < between < after
    for id in (block, other):
        with engine.begin() as connection:
            connection.execute(write, {"id": id})
        assert after < (after := mark(desk, then))


@pytest.mark.parametrize(
    "write",
    [
        "update lesson set voided_at = now(), void_reason = 'twice' where id = :first",
        "update lesson set started_at = started_at + interval '9 days' where id = :first",
        "update lesson set hand = 'left' where id = :first",
        "update lesson set golfer_id = :other where id = :first",
        "update golfer set level = 'skilled' where id = :golfer",
        'update studio set schools = \'{"eyes": "over"}\'',
    ],
)
def test_what_moves_a_lesson_among_the_others_is_known_in_all_of_them(coach, desk, engine, write):
    first, then = two_lessons(coach)
    other = coach.golfer("Another")["id"]
    before = mark(desk, then)
    with engine.begin() as connection:
        asked = {"first": first["id"], "golfer": first["golfer_id"], "other": other}
        connection.execute(text(write), {name: it for name, it in asked.items() if f":{name}" in write})
    assert mark(desk, then) > before


def test_what_a_lesson_says_of_itself_is_no_news_to_the_ones_before(coach, desk):
    first, then = two_lessons(coach)
    before = mark(desk, first)
    told = {name: then[name] for name in ("golfer_id", "place", "surface", "green_speed_ft", "started_at")}
    coach.put(f"/lessons/{then['id']}", **told | {"conditions": "windy"})
    coach.put(f"/lessons/{then['id']}/laser-cautions")
    coach.put(f"/lessons/{then['id']}/end", ended_at=now())
    assert mark(desk, first) == before
