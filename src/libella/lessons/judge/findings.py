"""A lesson judged whole, and what its coach says of the findings."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.green.putt import Putt
from ...core.judge.account import Account
from ...core.judge.findings.answer import Answer, ToldThen, checked_answer
from ...core.judge.findings.finding import Cause
from ...core.judge.findings.judged import LessonJudged
from ...core.judge.findings.ranked import RULES
from ...core.judge.ledger.entry import Ledger
from ...core.measure.limits import OutOfLimits
from ...store.tables import FindingAnswerRow, LessonRow
from ..desk.desk import Desk
from ..desk.in_hand import InHand
from ..desk.kept import mark_of_lesson
from ..desk.problem import Closed, KeptOtherwise
from ..desk.stored import Stored
from ..lesson.lessons import lesson_sheet
from ..values import KeptBlock, KeptFindingAnswer, value_of, values_of
from .account import account_in
from .bands import bands_are_tried

_TOLD: Final[Stored[ToldThen]] = Stored(ToldThen)


@dataclass(frozen=True, slots=True)
class WholeLesson:
    """A lesson's account, what its coach said of it, and its blocks."""

    account: Account
    answers: Sequence[KeptFindingAnswer]
    blocks: Sequence[KeptBlock] = ()

    @property
    def judged(self) -> LessonJudged:
        return self.account.judged

    @property
    def ledger(self) -> Ledger:
        return self.account.ledger

    @property
    def putt(self) -> Putt:
        """The one its sizes are told at."""
        return self.account.putt

    def ways(self, comparison: str) -> list[KeptBlock]:
        """The blocks of a comparison, in the order of its conditions."""
        own = [it for it in self.blocks if str(it.comparison_id) == comparison]
        return sorted(own, key=lambda it: it.turn or 0)


_IN_HAND: Final = InHand[WholeLesson](8)


def judge_whole(desk: Desk, lesson_id: UUID) -> WholeLesson:
    """Judge everything that was read in a lesson."""
    if bands_are_tried():
        return _judge(desk, lesson_id)
    return _IN_HAND.of(desk, mark_of_lesson(desk, lesson_id), lesson_id, lambda: _judge(desk, lesson_id))


def _judge(desk: Desk, lesson_id: UUID) -> WholeLesson:
    sheet = lesson_sheet(desk, lesson_id)
    return WholeLesson(account_in(desk, sheet), answers_of(desk, lesson_id), [it.block for it in sheet.blocks])


@dataclass(frozen=True, slots=True)
class AnswerEntry:
    """What a coach says of a finding."""

    lesson_id: UUID
    cause: Cause
    answer: Answer
    words: str
    answered_at: datetime

    def __post_init__(self) -> None:
        if self.cause not in RULES:
            raise OutOfLimits("cause", "no_cause", named=self.cause, known=tuple(RULES))
        checked_answer(self.answer, self.words)


def keep_answer(desk: Desk, id: UUID, entry: AnswerEntry) -> KeptFindingAnswer:
    """Keep what a coach says, with what the tool says now. Said twice it is one; said otherwise, a conflict."""
    told = {
        "lesson_id": entry.lesson_id,
        "cause": entry.cause,
        "answer": entry.answer,
        "words": entry.words,
        "answered_at": entry.answered_at,
    }
    with desk.transaction() as session:
        kept = session.get(FindingAnswerRow, (desk.studio_id, id))
        if kept is not None and any(getattr(kept, name) != value for name, value in told.items()):
            raise KeptOtherwise("finding_answer")
        if kept is not None:
            return value_of(KeptFindingAnswer, kept)
    it = next(one for one in judge_whole(desk, entry.lesson_id).judged.findings.ranked if one.cause == entry.cause)
    then = _TOLD.keep(ToldThen(it.call.word, it.call.side, it.weight))
    with desk.transaction() as session:
        if desk.get(session, LessonRow, entry.lesson_id, "lesson").voided_at is not None:
            raise Closed("lesson_voided")
        row, _ = desk.add(session, FindingAnswerRow, id, **told, told=then)
        return value_of(KeptFindingAnswer, row)


def void_answer(desk: Desk, id: UUID, voided: bool) -> KeptFindingAnswer:
    """Take an answer back, or bring it back."""
    return desk.void(KeptFindingAnswer, FindingAnswerRow, id, "answer", voided)


def answers_of(desk: Desk, lesson_id: UUID) -> Sequence[KeptFindingAnswer]:
    """What a lesson's coach said of its findings, oldest first; the newest of a cause holds."""
    query = select(FindingAnswerRow).where(
        FindingAnswerRow.studio_id == desk.studio_id,
        FindingAnswerRow.lesson_id == lesson_id,
        FindingAnswerRow.voided.is_(False),
    )
    with desk.transaction() as session:
        return values_of(
            KeptFindingAnswer, session.scalars(query.order_by(FindingAnswerRow.answered_at, FindingAnswerRow.id))
        )


def told_then(it: KeptFindingAnswer) -> ToldThen:
    """What the tool said of the finding when the coach answered."""
    return _TOLD.read(it.told)
