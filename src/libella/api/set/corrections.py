"""Sizes that were entered wrong: what putting them right changes, shown first, and done."""

from collections.abc import Sequence
from datetime import UTC, datetime

from pydantic import BaseModel, Field

from ...core.schools.held import Schools
from ...lessons.desk.desk import Desk
from ...lessons.golfer.schools import schools_of
from ...lessons.judge.blocks import judge_sheet, occasion_of
from ...lessons.lesson.lessons import BlockSheet
from ...lessons.set import corrections, plans
from ...lessons.set.corrections import Sizes
from ...lessons.start.blocks import block_and_golfer, station_of
from ...lessons.values import KeptGolfer
from ...words.judge.judgement import judgement_words
from ...words.set import correction as words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Words40, Words80
from .plans import StationOut, plan_out

router = Router(prefix="/corrections", tags=["plans"])


class SizesIn(Entry):
    """Sizes of a plan as they are in truth, each in its unit; what is not named stays."""

    station_id: UUID
    rig_sizes_m: dict[Words40, float] = Field(default_factory=dict, examples=[{"inside_width_m": 0.066}])
    aid_sizes: list[dict[Words40, float]] = Field(
        default_factory=list[dict[Words40, float]], max_length=12, description="of each aid, in the order of the plan"
    )

    def sizes(self) -> Sizes:
        return Sizes(self.rig_sizes_m, self.aid_sizes)


class CorrectionIn(SizesIn):
    why: Words80 = Field("", examples=["read off the wrong edge"])


class WouldOut(BaseModel):
    """What putting sizes right changes."""

    sizes: tuple[str, ...] = Field(description="what stands there, and what stood there; empty where it is the same")
    blocks: list[str] = Field(description="every block read with them: what it says then, and what it says now")


@router.post("")
def would(desk: AtDesk, entry: SizesIn, units: InUnits = "metric") -> WouldOut:
    """What putting these sizes right would change; keeps nothing."""
    before, after, blocks = corrections.would(desk, entry.station_id, entry.sizes())
    return WouldOut(
        sizes=words.put_right_words(before, after, units),
        blocks=_again(desk, blocks, units) or [words.NOTHING_READ],
    )


@router.put("/{id}")
def put_right(desk: AtDesk, id: UUID7, entry: CorrectionIn, units: InUnits = "metric") -> StationOut:
    """Put sizes right: what was read with them is judged again, and what stood there stays in the record."""
    corrections.put_right(desk, id, entry.station_id, entry.sizes(), entry.why, datetime.now(UTC))
    return plan_out(plans.plan(desk, entry.station_id), units)


def superseded(desk: Desk, lesson_id: UUID, units: InUnits) -> list[str]:
    """What was put right in a lesson, for its sheet."""
    found = corrections.corrections_in(desk, lesson_id)
    laid = {it.station.id: it.station for it in plans.plans_in(desk, lesson_id)} if found else {}
    return [
        words.superseded_words(
            it.made_at.date(),
            words.put_right_words(
                corrections.laid_as(laid[it.station_id], it.before),
                corrections.laid_as(laid[it.station_id], it.after),
                units,
            ),
        )
        for it in found
    ]


def _again(desk: Desk, blocks: Sequence[corrections.Again], units: InUnits) -> list[str]:
    """Of one lesson, each block then and now."""
    if not blocks:
        return []
    _, golfer = block_and_golfer(desk, blocks[0].before.block.id)
    schools = schools_of(desk, golfer)

    def says(sheet: BlockSheet) -> str:
        return _says(sheet, golfer, schools, units)

    return [
        words.again_words(
            it.before.block.condition,
            sum(not one.voided for one in it.before.readings),
            says(it.before),
            says(it.after),
        )
        for it in blocks
    ]


def _says(sheet: BlockSheet, golfer: KeptGolfer, schools: Schools, units: InUnits) -> str:
    it = judgement_words(
        judge_sheet(sheet, golfer, schools), station_of(sheet.block), occasion_of(sheet, golfer, schools), units
    )
    return " ".join(one for one in (it.headline, it.size) if one)
