"""Answers that take a while to make, kept with the data and the rules they were made from, and made anew when either
changes. Each is made through one desk that does everything together: of one state, and a row is fetched once.

The data's mark is raised by every write (store/migrations 0013, 0050): an answer about a golfer has the golfer's, one
that leans on nothing after its lesson has that lesson's; the rules' mark is what the program is made of.
"""

import hashlib
from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass
from functools import cache
from pathlib import Path
from typing import Final
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Session

from ...core.opinions.held import holding
from ...store.marks import EVERY_MARK, MARKS_ASKED
from ...store.tables import BlockRow, GolferRow, KeptAnswerRow, LessonRow
from .desk import Desk
from .opinions import held_for, whose
from .problem import NotFound

Make = Callable[[Desk, int], str]
"""Makes an answer through the desk it is given, told the mark of what it is about: of a lesson that lesson's."""
MakeOf = Callable[[Desk, UUID, int], str]
"""The same of one of many lessons."""


@dataclass(frozen=True, slots=True)
class _About:
    """What an answer is about, whose that is, and by which mark it holds."""

    id: UUID
    golfer_id: UUID
    holds_by: UUID
    told: UUID
    """Whose mark its maker is told."""


def of_lesson(desk: Desk, id: UUID, what: str, make: Make) -> str:
    """The answer about a lesson that leans on everything known of its golfer; `what` names it, its units included."""
    with desk.together() as whole:
        golfer_id = _golfer_of(whole, [id]).get(id)
        if golfer_id is None:
            raise NotFound("lesson")
        return _kept(whole, [_About(id, golfer_id, golfer_id, id)], what, lambda desk, _, mark: make(desk, mark))[id]


def up_to_lesson(desk: Desk, id: UUID, what: str, make: Make) -> str:
    """The answer about a lesson that leans on nothing written in later ones."""
    found = up_to_lessons(desk, [id], what, lambda desk, _, mark: make(desk, mark))
    if id not in found:
        raise NotFound("lesson")
    return found[id]


def up_to_lessons(desk: Desk, ids: Sequence[UUID], what: str, make: MakeOf) -> dict[UUID, str]:
    """The same of many lessons, asked for together; those that are not there are left out."""
    with desk.together() as whole:
        golfers = _golfer_of(whole, ids)
        about = [_About(id, golfers[id], id, id) for id in ids if id in golfers]
        return _kept(whole, about, what, make)


def revision_of_lesson(desk: Desk, id: UUID) -> int:
    """The mark of what is known up to a lesson; 0 where there is no such lesson."""
    with desk.together() as whole:
        return marks_of_lessons(whole, [id]).get(id, _NO_MARK)[1]


Mark = tuple[int, int]
"""Of which state what is worked out through a desk is: the mark as that desk saw it first, and as it is now. Where
others wrote in between it is of no one state, and the two differ."""


def mark_of_lesson(desk: Desk, id: UUID) -> Mark | None:
    """The mark of what is known up to a lesson; None as in `mark_of_golfer`."""
    return marks_of_lessons(desk, [id]).get(id)


def marks_of_lessons(desk: Desk, ids: Sequence[UUID]) -> dict[UUID, Mark]:
    """The marks of lessons of one golfer or more, by their ids, among others."""
    with desk.together() as whole:
        return _marks(whole, set(_golfer_of(whole, ids).values()), ids)


def mark_of_golfer(desk: Desk, id: UUID) -> Mark | None:
    """The mark of what is known of a golfer; None where the desk holds rows that are older than any mark it could give,
    and where nothing is known."""
    with desk.together() as whole:
        return _marks(whole, {id}).get(id)


_SEEN: Final = "marks seen"
_NO_MARK: Final[Mark] = (0, 0)


def of_block(desk: Desk, id: UUID, what: str, make: Make) -> str:
    """The answer about a block, which leans on nothing after its lesson."""
    query = (
        select(LessonRow.golfer_id, LessonRow.id)
        .join(BlockRow, (BlockRow.studio_id == LessonRow.studio_id) & (BlockRow.lesson_id == LessonRow.id))
        .where(BlockRow.studio_id == desk.studio_id, BlockRow.id == id)
    )
    with desk.together() as whole:
        with whole.transaction() as session:
            row = session.execute(query).one_or_none()
            if row is None:
                whole.get(session, BlockRow, id, "block")
                return make(whole, 0)
        golfer_id, lesson_id = row
        about = _About(id, golfer_id, lesson_id, lesson_id)
        return _kept(whole, [about], what, lambda desk, _, mark: make(desk, mark))[id]


def under_other_rules(desk: Desk, id: UUID, what: str, revision: int) -> str | None:
    """The answer about a lesson that older rules gave of the same data; None where there is none."""
    with desk.transaction() as session:
        kept = session.get(KeptAnswerRow, (desk.studio_id, id, what))
        return kept.answer if kept is not None and kept.revision == revision and kept.rules != rules() else None


def of_golfer(desk: Desk, id: UUID, what: str, make: Make) -> str:
    """The answer about a golfer."""
    with desk.together() as whole:
        _marks(whole, {id})
        with whole.transaction() as session:
            whole.get(session, GolferRow, id, "golfer")
        return _kept(whole, [_About(id, id, id, id)], what, lambda desk, _, mark: make(desk, mark))[id]


def _kept(desk: Desk, about: Sequence[_About], what: str, make: MakeOf) -> dict[UUID, str]:
    # Before anything is made: what is written meanwhile makes it old, never too new.
    marks = _marks(desk, {it.golfer_id for it in about}, [it.holds_by for it in about])
    kept = _kept_rows(desk, [it.id for it in about], what)
    found: dict[UUID, str] = {}
    for it in about:
        mark, (revision, answer) = marks.get(it.holds_by), kept.get(it.id, (-1, ""))
        if mark is None or revision != mark[1]:
            told = marks.get(it.told, _NO_MARK)[1]
            # Of one record of opinions, whoever asks: lists ask of many golfers.
            with holding(held_for(desk, whose(desk, it.golfer_id))):
                answer = make(desk, it.id, told)
            if mark is not None:
                _keep(desk, it, what, mark[0], answer)
        found[it.id] = answer
    return found


def _kept_rows(desk: Desk, ids: Sequence[UUID], what: str) -> dict[UUID, tuple[int, str]]:
    """What these rules made, with the mark it was made of."""
    query = select(KeptAnswerRow.about_id, KeptAnswerRow.revision, KeptAnswerRow.answer).where(
        KeptAnswerRow.studio_id == desk.studio_id,
        KeptAnswerRow.about_id.in_(ids),
        KeptAnswerRow.what == what,
        KeptAnswerRow.rules == rules(),
    )
    with desk.transaction() as session:
        return {id: (revision, answer) for id, revision, answer in session.execute(query)}


def _keep(desk: Desk, it: _About, what: str, revision: int, answer: str) -> None:
    key = {"studio_id": desk.studio_id, "about_id": it.id, "what": what}
    values = {"golfer_id": it.golfer_id, "revision": revision, "rules": rules(), "answer": answer}
    keeping = (
        insert(KeptAnswerRow)
        .values(**key, **values)
        .on_conflict_do_update(index_elements=list(key), set_=values, where=KeptAnswerRow.revision <= revision)
    )
    desk.afterwards(lambda session: session.execute(keeping))


def _golfer_of(desk: Desk, ids: Sequence[UUID]) -> dict[UUID, UUID]:
    """The golfers of lessons, asked for by themselves: no row of them is held before the marks are known."""
    query = select(LessonRow.id, LessonRow.golfer_id).where(
        LessonRow.studio_id == desk.studio_id, LessonRow.id.in_(ids)
    )
    with desk.transaction() as session:
        return {row.id: row.golfer_id for row in session.execute(query)}


def _marks(desk: Desk, golfers: set[UUID], of: Iterable[UUID] = ()) -> dict[UUID, Mark]:
    """The marks of golfers, and of their lessons: of one golfer of all, of several of those asked for. Left out is
    whoever has none, and of whom the desk may hold rows that are older."""
    with desk.transaction() as session:
        first: dict[UUID, int] = session.info.setdefault(_SEEN, {})
        clean = not session.identity_map.values()
        now = _now(session, desk, golfers, None if len(golfers) == 1 else of)
        if clean:
            for id, mark in now.items():
                first.setdefault(id, mark)
        return {id: (first[id], mark) for id, mark in now.items() if id in first}


def _now(session: Session, desk: Desk, golfers: Iterable[UUID], lessons: Iterable[UUID] | None) -> dict[UUID, int]:
    """The marks as they are now, of all lessons of the golfers or of some."""
    asked: dict[str, object] = {"studio": desk.studio_id, "golfers": list(golfers)}
    rows = (
        session.execute(EVERY_MARK, asked)
        if lessons is None
        else session.execute(MARKS_ASKED, asked | {"lessons": list(lessons)})
    )
    found: dict[UUID, int] = {}
    for golfer_id, revision, lesson_id, mark in rows:
        found[golfer_id] = revision
        if lesson_id is not None:
            found[lesson_id] = mark
    return found


@cache
def rules() -> str:
    """The mark of the rules: of every file of the program, so that none can be forgotten."""
    package = Path(__file__).parents[2]
    digest = hashlib.sha256()
    for file in sorted(package.rglob("*.py")):
        digest.update(file.read_bytes())
    return digest.hexdigest()[:32]
