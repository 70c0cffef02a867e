"""Comparisons judged: what the conditions come to, planned so or not."""

from collections.abc import Sequence
from dataclasses import dataclass
from uuid import UUID

from ...core.estimate.cost import Mix
from ...core.golfer.hand import Hand
from ...core.judge.account import beside
from ...core.judge.claims.reads import Compared
from ...core.start.turns import PlannedPutt, Question, Turn
from ...store.tables import BlockRow, ComparisonRow
from ..aim.turns import AimTurns
from ..desk.desk import Desk
from ..lesson.lessons import BlockSheet
from ..start.comparisons import blocks_of_comparison, plan_of, turn_of
from ..values import KeptComparison, value_of
from .account import account_of, comparison_rows


@dataclass(frozen=True, slots=True)
class ComparisonSheet:
    """A comparison as it stands: its blocks in the order of its conditions, whose turn it is, what they come to, and
    the windows its starts are weighed by."""

    comparison: KeptComparison
    sheets: Sequence[BlockSheet]
    plan: tuple[PlannedPutt, ...]
    turn: Turn
    compared: Compared | None
    hand: Hand
    mix: Mix

    @property
    def question(self) -> Question:
        return self.comparison.question

    @property
    def names(self) -> list[str]:
        """The conditions by name."""
        return [it.block.condition for it in self.sheets]


def comparison_sheet(desk: Desk, id: UUID) -> ComparisonSheet:
    """One comparison as it stands."""
    with desk.transaction() as session:
        row = value_of(KeptComparison, desk.get(session, ComparisonRow, id, "comparison"))
    return comparison_sheets(desk, row.lesson_id, [row])[0]


def comparisons_of(desk: Desk, lesson_id: UUID) -> list[ComparisonSheet]:
    """The comparisons of a lesson, oldest first."""
    rows = comparison_rows(desk, lesson_id, "start")
    return comparison_sheets(desk, lesson_id, rows) if rows else []


def aims_compared(desk: Desk, lesson_id: UUID, it: AimTurns) -> tuple[Compared | None, Hand]:
    """What a comparison of set-downs comes to."""
    account = account_of(desk, lesson_id)
    return account.compared(str(it.comparison.id)), account.hand


def compare_blocks(desk: Desk, ids: Sequence[UUID], question: Question) -> tuple[Compared | None, Hand]:
    """Any blocks set beside the first, whether planned so or not: a block with putts to come is told as so far."""
    with desk.transaction() as session:
        lessons = [desk.get(session, BlockRow, id, "block").lesson_id for id in ids]
    told = {it: account_of(desk, it) for it in dict.fromkeys(lessons)}
    accounts = [told[it] for it in lessons]
    return beside(accounts, [str(it) for it in ids], question), accounts[0].hand


def comparison_sheets(desk: Desk, lesson_id: UUID, rows: Sequence[KeptComparison]) -> list[ComparisonSheet]:
    """Some comparisons of a lesson as they stand."""
    account = account_of(desk, lesson_id)
    found: list[ComparisonSheet] = []
    for row in rows:
        with desk.transaction() as session:
            sheets = blocks_of_comparison(desk, session, row)
        plan = plan_of(row, len(sheets))
        at = turn_of(plan, sheets)
        come_to = account.compared(str(row.id))
        found.append(ComparisonSheet(row, sheets, plan.putts(), at, come_to, account.hand, account.ledger.mix))
    return found
