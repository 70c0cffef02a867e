"""Two sides of a golfer's putting set beside each other: whole lessons, or single blocks of them."""

from dataclasses import dataclass, replace
from datetime import datetime
from uuid import UUID

from ...core.green.putt import Putt
from ...core.judge.findings.evidence import Evidence
from ...core.judge.findings.two import Changed, TwoSides, two_sides
from ...core.stand.set_up import beside
from ..desk.desk import Desk
from ..desk.problem import Conflict
from ..golfer.changes import changes_of
from ..lesson.lessons import LessonSheet, lesson_sheet
from ..stand.set_ups import newest_values
from ..values import KeptBlock
from .evidence import evidence_of


@dataclass(frozen=True, slots=True)
class Side:
    """What is set on one side: a lesson, or one block of it."""

    lesson_id: UUID
    block_id: UUID | None = None


@dataclass(frozen=True, slots=True)
class ComparedSides:
    """Both sides compared; when each was; what else changed between them, and what was noted to have been."""

    found: TwoSides
    putt: Putt
    at: tuple[datetime, datetime]
    names: tuple[str, str]
    changed: tuple[Changed, ...]
    noted: tuple[str, ...]


def compare_sides(desk: Desk, first: Side, second: Side) -> ComparedSides:
    """Set two sides of one golfer beside each other.

    Raises
    ------
    Conflict
        where they are not one golfer's, or are the same.
    """
    sheets = lesson_sheet(desk, first.lesson_id), lesson_sheet(desk, second.lesson_id)
    if sheets[0].golfer.id != sheets[1].golfer.id:
        raise Conflict("sides_of_others")
    if first == second:
        raise Conflict("sides_the_same")
    # Two blocks of one lesson are read from it once.
    told = {it.lesson.id: evidence_of(desk, it) for it in {it.lesson.id: it for it in sheets}.values()}
    one, other = (_of(told[it.lesson_id][0], it) for it in (first, second))
    putt = told[second.lesson_id][1]
    blocks = _block(sheets[0], first), _block(sheets[1], second)
    before, after = (
        block.started_at if block else sheet.lesson.started_at for block, sheet in zip(blocks, sheets, strict=True)
    )
    at = (before, after)
    between = sorted(at)
    noted = tuple(it.words for it in changes_of(desk, sheets[0].golfer.id) if between[0] < it.made_at <= between[1])
    return ComparedSides(
        found=two_sides(one, other, putt.window),
        putt=putt,
        at=at,
        names=(blocks[0].condition if blocks[0] else "", blocks[1].condition if blocks[1] else ""),
        changed=_changed(desk, one, other, sheets),
        noted=noted,
    )


def _of(it: Evidence, side: Side) -> Evidence:
    """A block's own readings; what was read at set-downs is the lesson's, not the block's."""
    if side.block_id is None:
        return it
    blocks = tuple(one for one in it.blocks if one.id == str(side.block_id))
    return replace(it, blocks=blocks, mark=None, to_mark=None, face=None, picture=None, body=())


def _block(sheet: LessonSheet, side: Side) -> KeptBlock | None:
    return next((it.block for it in sheet.blocks if it.block.id == side.block_id), None)


def _changed(
    desk: Desk, one: Evidence, other: Evidence, sheets: tuple[LessonSheet, LessonSheet]
) -> tuple[Changed, ...]:
    """What else is not the same on both sides."""
    found: list[Changed] = []
    lengths = [{round(it.distance_m, 1) for it in side.own()} for side in (one, other)]
    if lengths[0] and lengths[1] and lengths[0] != lengths[1]:
        found.append("length")
    lessons = [it.lesson for it in sheets]
    if lessons[0].green_speed_ft != lessons[1].green_speed_ft:
        found.append("green")
    if (lessons[0].place, lessons[0].surface) != (lessons[1].place, lessons[1].surface):
        found.append("place")
    guides = [{it.guided for it in side.own()} for side in (one, other)]
    if guides[0] and guides[1] and guides[0] != guides[1]:
        found.append("guide")
    if (one.line_deg is None) != (other.line_deg is None):
        found.append("proof")
    told = [{name for it in side.own() for name in it.disturbances} for side in (one, other)]
    if told[0] != told[1]:
        found.append("disturbances")
    set_ups = [newest_values(desk, it.id) for it in lessons]
    if set_ups[0] and set_ups[1] and any(it.is_changed for it in beside(set_ups[1], set_ups[0])):
        found.append("set_up")
    return tuple(found)
