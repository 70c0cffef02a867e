"""Answers that take a while to make, kept with the data and the rules they were made from, and made anew when either
changes. Each is made through one desk that does everything together: of one state, and a row is fetched once.

The data's mark is its golfer's revision, which every write raises (store/migrations 0013); the rules' mark is what the
program is made of.
"""

import hashlib
from collections.abc import Callable
from functools import cache
from pathlib import Path
from typing import Final
from uuid import UUID

from sqlalchemy import func, select
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Session

from ...core.opinions.held import holding
from ...store.tables import BlockRow, GolferRevisionRow, GolferRow, KeptAnswerRow, LessonRow
from .desk import Desk
from .opinions import held_for, whose
from .problem import NotFound

Make = Callable[[Desk, int], str]
"""Makes an answer through the desk it is given, told the data's mark."""


def of_lesson(desk: Desk, id: UUID, what: str, make: Make) -> str:
    """The answer about a lesson; `what` names it, its units included."""
    with desk.together() as whole:
        with whole.transaction() as session:
            golfer_id = _whose_lesson(desk, session, id)
            if golfer_id is None:
                raise NotFound("lesson")
        return _kept(whole, golfer_id, id, what, make)


def revision_of_lesson(desk: Desk, id: UUID) -> int:
    """The mark of what is known of a lesson's golfer; 0 where there is no such lesson."""
    with desk.transaction() as session:
        golfer_id = _whose_lesson(desk, session, id)
        return _revision(desk, session, golfer_id) if golfer_id else 0


Mark = tuple[int, int]
"""Of which state what is worked out through a desk is: the golfer's revision as that desk saw it first, and as it is
now. Where others wrote in between it is of no one state, and the two differ."""


def mark_of_lesson(desk: Desk, id: UUID) -> Mark | None:
    """The mark of a lesson's golfer; None as in `mark_of_golfer`."""
    with desk.transaction() as session:
        golfer_id = _whose_lesson(desk, session, id)
    return mark_of_golfer(desk, golfer_id) if golfer_id else None


def mark_of_golfer(desk: Desk, id: UUID) -> Mark | None:
    """The mark of what is known of a golfer; None where the desk holds rows that are older than any mark it could give,
    and where nothing is known."""
    with desk.transaction() as session:
        if (_SEEN, id) not in session.info and session.identity_map.values():
            return None
        now = _revision(desk, session, id)
        first = session.info[_SEEN, id]
        return (first, now) if first else None


_SEEN: Final = "revision seen"


def of_block(desk: Desk, id: UUID, what: str, make: Make) -> str:
    """The answer about a block."""
    query = (
        select(LessonRow.golfer_id)
        .join(BlockRow, (BlockRow.studio_id == LessonRow.studio_id) & (BlockRow.lesson_id == LessonRow.id))
        .where(BlockRow.studio_id == desk.studio_id, BlockRow.id == id)
    )
    with desk.together() as whole:
        with whole.transaction() as session:
            golfer_id = session.scalar(query)
            if golfer_id is None:
                whole.get(session, BlockRow, id, "block")
                return make(whole, 0)
        return _kept(whole, golfer_id, id, what, make)


def under_other_rules(desk: Desk, id: UUID, what: str, revision: int) -> str | None:
    """The answer about a lesson that older rules gave of the same data; None where there is none."""
    with desk.transaction() as session:
        kept = session.get(KeptAnswerRow, (desk.studio_id, id, what))
        return kept.answer if kept is not None and kept.revision == revision and kept.rules != rules() else None


def of_golfer(desk: Desk, id: UUID, what: str, make: Make) -> str:
    """The answer about a golfer."""
    with desk.together() as whole:
        with whole.transaction() as session:
            _revision(whole, session, id)
            whole.get(session, GolferRow, id, "golfer")
        return _kept(whole, id, id, what, make)


def _kept(desk: Desk, golfer_id: UUID, about_id: UUID, what: str, make: Make) -> str:
    key = {"studio_id": desk.studio_id, "about_id": about_id, "what": what}
    with desk.transaction() as session:
        # Before it is made: what is written meanwhile makes it old, never too new.
        revision = _revision(desk, session, golfer_id)
        kept = session.get(KeptAnswerRow, (desk.studio_id, about_id, what))
        if kept is not None and (kept.revision, kept.rules) == (revision, rules()):
            return kept.answer
    # Of one record of opinions, whoever asks: lists ask of many golfers.
    with holding(held_for(desk, whose(desk, golfer_id))):
        answer = make(desk, revision)
    values = {"golfer_id": golfer_id, "revision": revision, "rules": rules(), "answer": answer}
    keeping = (
        insert(KeptAnswerRow)
        .values(**key, **values)
        .on_conflict_do_update(index_elements=list(key), set_=values, where=KeptAnswerRow.revision <= revision)
    )
    desk.afterwards(lambda session: session.execute(keeping))
    return answer


def _whose_lesson(desk: Desk, session: Session, id: UUID) -> UUID | None:
    """The golfer of a lesson, asked for by itself: no row of it is held before the golfer's mark is known."""
    query = select(LessonRow.golfer_id).where(LessonRow.studio_id == desk.studio_id, LessonRow.id == id)
    return session.scalar(query)


def _revision(desk: Desk, session: Session, golfer_id: UUID) -> int:
    query = select(func.max(GolferRevisionRow.revision)).where(
        GolferRevisionRow.studio_id == desk.studio_id, GolferRevisionRow.golfer_id == golfer_id
    )
    now = session.scalar(query) or 0
    session.info.setdefault((_SEEN, golfer_id), now)
    return now


@cache
def rules() -> str:
    """The mark of the rules: of every file of the program, so that none can be forgotten."""
    package = Path(__file__).parents[2]
    digest = hashlib.sha256()
    for file in sorted(package.rglob("*.py")):
        digest.update(file.read_bytes())
    return digest.hexdigest()[:32]
