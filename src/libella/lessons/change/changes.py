"""The one change of a lesson, and how it fares in its retests."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import Select, select

from ...core.change.proposal import Chosen
from ...core.change.retest import Tested, retest_of, standing_of
from ...store.tables import ComparisonRow, LessonRow, NotedChangeRow
from ..desk.desk import Desk
from ..desk.problem import Closed, NotFound
from ..desk.stored import Stored
from ..judge.comparisons import ComparisonSheet, comparison_sheets
from ..values import KeptChange, KeptComparison, value_of, values_of

_CHOSEN: Final[Stored[Chosen]] = Stored(Chosen)


@dataclass(frozen=True, slots=True)
class Change:
    """A change as it was chosen, where it stands, its retests as far as they were putted, and what else was changed on
    the way: then nothing is told of it alone."""

    kept: KeptChange
    chosen: Chosen
    tested: Tested
    retests: Sequence[ComparisonSheet]
    beside: Sequence[str]

    @property
    def key(self) -> str:
        """What opens it."""
        return f"change:{self.kept.id}"


def choose_change(desk: Desk, id: UUID, lesson_id: UUID, chosen: Chosen, at: datetime) -> KeptChange:
    """Choose a change in a lesson. Said twice it is one; said otherwise, a conflict."""
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson")
        if lesson.voided_at is not None:
            raise Closed("lesson_voided")
        told = {
            "golfer_id": lesson.golfer_id,
            "lesson_id": lesson_id,
            "words": chosen.what,
            "chosen": _CHOSEN.keep(chosen),
            "made_at": at,
        }
        return value_of(KeptChange, desk.keep(session, NotedChangeRow, id, "change", told))


def drop_change(desk: Desk, id: UUID, dropped_at: datetime | None) -> KeptChange:
    """Drop a change, or take it up again (None): the coach's word, whatever was putted."""
    with desk.transaction() as session:
        row = desk.get(session, NotedChangeRow, id, "change", lock=True)
        row.dropped_at = dropped_at
        return value_of(KeptChange, row)


def chosen_now(desk: Desk, golfer_id: UUID, *, lesson_id: UUID | None = None) -> list[Chosen]:
    """The changes a golfer goes with now, newest first: neither dropped nor taken back; only those of a lesson, where
    one is named."""
    query = _chosen(desk, golfer_id).where(NotedChangeRow.dropped_at.is_(None))
    if lesson_id is not None:
        query = query.where(NotedChangeRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        rows = values_of(KeptChange, session.scalars(query))
    return [_CHOSEN.read(it.chosen) for it in rows if it.chosen is not None]


def retest_due(desk: Desk, golfer_id: UUID) -> Chosen | None:
    """The newest change that is held and still to be shown, by a first retest or a second; None where none is."""
    wanted = ("untested", "open", "better_so_far")
    held = (it for it in changes_held(desk, golfer_id) if it.tested.standing in wanted)
    return next((it.chosen for it in held), None)


def change_held(desk: Desk, id: UUID) -> Change:
    """One change as it stands; `NotFound` for one that was taken back, or was only noted."""
    with desk.transaction() as session:
        golfer_id = desk.get(session, NotedChangeRow, id, "change").golfer_id
    found = changes_held(desk, golfer_id, only=id)
    if not found:
        raise NotFound("change")
    return found[0]


def changes_held(desk: Desk, golfer_id: UUID, *, only: UUID | None = None) -> list[Change]:
    """What was chosen of a golfer, newest first, each with its retests of all lessons; taken back ones left out.
    `only`: that one alone, with the others beside it."""
    with desk.transaction() as session:
        every = values_of(KeptChange, session.scalars(_chosen(desk, golfer_id)))
        rows = [it for it in every if only in (None, it.id)]
        compared = values_of(
            KeptComparison,
            session.scalars(
                select(ComparisonRow)
                .where(ComparisonRow.studio_id == desk.studio_id, ComparisonRow.change_id.in_([it.id for it in rows]))
                .order_by(ComparisonRow.started_at, ComparisonRow.id)
            ),
        )
    found: list[Change] = []
    for row in rows:
        own = [it for it in compared if it.change_id == row.id]
        sheets = [sheet for it in own for sheet in comparison_sheets(desk, it.lesson_id, [it])]
        beside = [it.words for it in every if it.id != row.id and it.dropped_at is None]
        retests = [retest_of(it.compared, it.mix) for it in sheets if it.compared is not None]
        stands = standing_of([it for it in retests if it is not None], dropped=row.dropped_at is not None)
        assert row.chosen is not None
        found.append(Change(row, _CHOSEN.read(row.chosen), stands, sheets, beside))
    return found


def _chosen(desk: Desk, golfer_id: UUID) -> Select[NotedChangeRow]:
    return (
        select(NotedChangeRow)
        .where(
            NotedChangeRow.studio_id == desk.studio_id,
            NotedChangeRow.golfer_id == golfer_id,
            NotedChangeRow.chosen.is_not(None),
            NotedChangeRow.voided.is_(False),
        )
        .order_by(NotedChangeRow.made_at.desc(), NotedChangeRow.id.desc())
    )
