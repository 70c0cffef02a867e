"""Sizes that were entered wrong: what putting them right changes, shown first, and done."""

from collections.abc import Iterator
from datetime import UTC, datetime

from pydantic import BaseModel, Field

from ...core.aim.links import AimFound
from ...core.instruments.aid import Dimension
from ...core.schools.held import Schools
from ...core.set.part import PartOf
from ...lessons.desk.desk import Desk
from ...lessons.golfer.schools import schools_of
from ...lessons.judge.blocks import judge_sheet, occasion_of
from ...lessons.lesson.lessons import BlockSheet
from ...lessons.start import corrections
from ...lessons.start.blocks import block_and_golfer, station_of
from ...lessons.start.corrections import Of, Stands, Wrong
from ...lessons.values import KeptGolfer
from ...words.aim.links import LINKS, aim_words
from ...words.judge.judgement import judgement_words
from ...words.see.eyes import eye_words
from ...words.set import correction as words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Words40, Words80

router = Router(prefix="/corrections", tags=["plans"])


class WrongIn(Entry):
    """What was entered wrong, and how it is in truth, each size in its unit; what is not named stays."""

    of: Of = Field(description="a plan, a series of set-downs, or the looks taken as one was")
    about_id: UUID = Field(description="of the plan, of the series, or of the look")
    sizes: list[dict[Words40, float]] = Field(
        max_length=14,
        description="of each part, in the order in which they are told",
        examples=[[{}, {"inside_width_m": 0.066}]],
    )

    def wrong(self) -> Wrong:
        return Wrong(self.of, self.about_id, self.sizes)


class CorrectionIn(WrongIn):
    why: Words80 = Field("", examples=["read off the wrong edge"])


class PartOut(BaseModel):
    """One thing whose sizes were written down: the putt, an instrument, what looks were taken with."""

    of: PartOf
    kind: str = Field(description="which instrument, or which way of looking; empty of the putt")
    name: str
    dimensions: tuple[Dimension, ...] = Field(description="its sizes; `default` is what was written down")


class PutRightOut(BaseModel):
    """What was put right."""

    sizes: tuple[str, ...] = Field(description="what stands there, and what stood there; empty where it is the same")


class WouldOut(PutRightOut):
    """What putting sizes right changes."""

    read: list[str] = Field(description="everything read with them: what it says then, and what it says now")


@router.get("/{of}/{id}")
def written_down(desk: AtDesk, of: Of, id: UUID) -> list[PartOut]:
    """What sizes were written down of a plan, a series or a look, in the order in which they are put right."""
    return [
        PartOut(of=it.of, kind=it.kind, name=words.part_name(it), dimensions=words.part_dimensions(it))
        for it in corrections.parts_of(desk, of, id)
    ]


@router.post("")
def would(desk: AtDesk, entry: WrongIn, units: InUnits = "metric") -> WouldOut:
    """What putting these sizes right would change; keeps nothing."""
    before, after = corrections.would(desk, entry.wrong())
    return WouldOut(
        sizes=words.put_right_words(before.parts, after.parts, units),
        read=[*_again(desk, before, after, units)] or [words.NOTHING_READ],
    )


@router.put("/{id}")
def put_right(desk: AtDesk, id: UUID7, entry: CorrectionIn, units: InUnits = "metric") -> PutRightOut:
    """Put sizes right: what was read with them is judged again, and what stood there stays in the record."""
    kept = corrections.put_right(desk, id, entry.wrong(), entry.why, datetime.now(UTC))
    return PutRightOut(sizes=words.put_right_words(*corrections.stood_and_stand(kept), units))


def superseded(desk: Desk, lesson_id: UUID, units: InUnits) -> list[str]:
    """What was put right in a lesson, for its sheet."""
    return [
        words.superseded_words(it.made_at.date(), words.put_right_words(*corrections.stood_and_stand(it), units))
        for it in corrections.corrections_in(desk, lesson_id)
    ]


def _again(desk: Desk, before: Stands, after: Stands, units: InUnits) -> Iterator[str]:
    """What was read with them, what was said of it, and what is said now."""
    read = [it for it in zip(before.blocks, after.blocks, strict=True) if it[0].readings]
    if read:
        # All of one plan, so of one golfer.
        _, golfer = block_and_golfer(desk, read[0][0].block.id)
        schools = schools_of(desk, golfer)
        for one, other in read:
            putts = sum(not it.voided for it in one.readings)
            was, says = (_judged(it, golfer, schools, units) for it in (one, other))
            yield words.block_again(one.block.condition, putts, was, says)
    for one, other in zip(before.series, after.series, strict=True):
        if one.set_downs:
            was, says = (_aimed(it.found, units) for it in (one, other))
            yield words.series_again(LINKS[one.series.link].name, one.found.set_downs, was, says)
    for one, other in zip(before.eyes, after.eyes, strict=True):
        was, says = (" ".join(eye_words(it.found, units)) for it in (one, other))
        yield words.eyes_again(one.name, one.takes, was, says)


def _judged(sheet: BlockSheet, golfer: KeptGolfer, schools: Schools, units: InUnits) -> str:
    it = judgement_words(
        judge_sheet(sheet, golfer, schools), station_of(sheet.block), occasion_of(sheet, golfer, schools), units
    )
    return " ".join(one for one in (it.headline, it.size) if one)


def _aimed(found: AimFound, units: InUnits) -> str:
    it = aim_words(found, units)
    return f"{it.headline} {it.meaning}"
