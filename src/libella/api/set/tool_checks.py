"""Instruments checked by themselves: turned over, sighted along, or held where the answer is known."""

from datetime import UTC, datetime

from pydantic import BaseModel, Field

from ...core.instruments import instruments, usual_sizes
from ...core.set.tool_check import FEWEST, MOST, WAYS, EndForEnd, Gaps, ToolCheck, ToolZero, Turned, Way
from ...lessons.set import tool_checks
from ...lessons.set.tool_zeros import CheckedTool, checked_tools
from ...words.set.tool_check import ASKS, HOW, NOT_CHECKED, SIZES, tool_words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment, VoidIn, Words20, Words40

router = Router(tags=["tool checks"])


class TurnIn(Entry):
    """One turn, or one sight."""

    moved_m: float = Field(description="how far right of the first mark, or of true, the far end lies")
    over_m: float = Field(description="near end to far mark")


class EndForEndIn(Entry):
    """One eye marked on a mirror both ways round."""

    inside_m: float
    behind_m: float
    inside_turned_m: float
    behind_turned_m: float


class GapsIn(Entry):
    """How far a bar reaches beyond a strip's light, or a slot falls short of it."""

    near_m: float = Field(description="on the golfer's side")
    far_m: float


class ToolCheckIn(Entry):
    """What was read of a tool; of the lists the one its way asks for."""

    lesson_id: UUID
    kind: Words40
    sizes: dict[Words40, float] = Field(default_factory=dict, max_length=20, description="as the tool was laid")
    turns: list[TurnIn] = Field(default_factory=list[TurnIn], max_length=MOST)
    raws: list[dict[Words20, float | Words20]] = Field(default_factory=list, max_length=MOST)
    marks: list[EndForEndIn] = Field(default_factory=list[EndForEndIn], max_length=MOST)
    gaps: list[GapsIn] = Field(default_factory=list[GapsIn], max_length=MOST)
    taken_at: Moment

    def check(self) -> ToolCheck:
        return ToolCheck(
            self.kind,
            tuple(Turned(it.moved_m, it.over_m) for it in self.turns),
            tuple(self.raws),
            tuple(EndForEnd(**it.model_dump()) for it in self.marks),
            tuple(Gaps(it.near_m, it.far_m) for it in self.gaps),
        )


class ToolOut(BaseModel):
    """An instrument that can be checked by itself, as it was checked last in this lesson."""

    kind: str
    name: str
    way: Way
    way_words: str
    how: str = Field(description="what to do, and what is asked")
    sizes: tuple[str, ...] = Field(description="what is asked, by the names of the vocabulary's sizes")
    fewest: int = Field(description="readings it takes at least")
    check_id: UUID | None = Field(description="the check that counts; null where it was not checked")
    zero: ToolZero | None
    words: str


@router.get("/lessons/{id}/tools")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> list[ToolOut]:
    """Every instrument with a zero of its own, and what is known of that here."""
    known = {it.kept.kind: it for it in checked_tools(desk, id)}
    return [_out(kind, known.get(kind), units) for kind in WAYS]


@router.put("/tool-checks/{id}")
def keep(desk: AtDesk, id: UUID7, entry: ToolCheckIn, units: InUnits = "metric") -> list[ToolOut]:
    """Keep a check: what is read with that tool in this lesson is judged by it, before and after."""
    sizes = usual_sizes(entry.kind, entry.sizes, units)
    tool_checks.keep_tool_check(desk, id, entry.lesson_id, entry.check(), sizes, entry.taken_at)
    return of_lesson(desk, entry.lesson_id, units)


@router.put("/tool-checks/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> list[ToolOut]:
    """Void a check, or restore it."""
    row = tool_checks.void_tool_check(desk, id, entry.voided, datetime.now(UTC))
    return of_lesson(desk, row.lesson_id, units)


def _out(kind: str, it: CheckedTool | None, units: InUnits) -> ToolOut:
    way = WAYS[kind]
    return ToolOut(
        kind=kind,
        name=instruments()[kind].about.name,
        way=way,
        way_words=ASKS[way],
        how=HOW[kind],
        sizes=SIZES[way],
        fewest=FEWEST,
        check_id=it.kept.id if it else None,
        zero=it.zero if it else None,
        words=tool_words(it.check, it.zero, units) if it else NOT_CHECKED,
    )
