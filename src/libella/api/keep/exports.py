"""Putts out, as CSV or JSON: of a block, a lesson, a golfer."""

from collections.abc import Sequence
from typing import Literal

from fastapi import Query
from fastapi.responses import Response

from ...core.measure.limits import OutOfLimits
from ...exchange.putt_file import FORMS, rows
from ...lessons.desk.desk import Desk
from ...lessons.golfer import golfers
from ...lessons.lesson import lessons
from ...lessons.lesson.lessons import BlockSheet
from ...lessons.start import blocks
from ...lessons.start.strokes import strokes_of_all
from ...lessons.values import KeptGolfer, KeptLesson
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, Words40

router = Router(prefix="/exports", tags=["exports"])


@router.get(
    "/{scope}/{id}",
    response_class=Response,
    responses={200: {"content": {"text/csv": {}, "application/json": {}}, "description": "The putts."}},
)
def export(
    desk: AtDesk,
    scope: Literal["block", "lesson", "golfer"],
    id: UUID,
    form: Words40 = Query("csv", description="one of the forms putts go out in: csv, json"),
) -> Response:
    """Every putt of it, oldest first, voided ones marked; docs/formats/putts.md tells the columns."""
    known = FORMS.get(form)
    if known is None:
        raise OutOfLimits("form", "no_form", named=form, known=tuple(FORMS))
    held = _held(desk, scope, id)
    strokes = strokes_of_all(desk, [lesson.id for _, lesson, _ in held])
    found = [row for who, lesson, sheets in held for row in rows(who, lesson, sheets, strokes.get(lesson.id, ()))]
    headers = {"Content-Disposition": f'attachment; filename="putts-of-{scope}.{form}"'}
    return Response(known.written(found), media_type=known.media_type, headers=headers)


def _held(desk: Desk, scope: str, id: UUID) -> list[tuple[KeptGolfer, KeptLesson, Sequence[BlockSheet]]]:
    if scope == "golfer":
        golfer = golfers.golfer(desk, id)
        return [(golfer, lesson, sheets) for lesson, sheets in lessons.every_lesson_of(desk, id)]
    if scope == "lesson":
        sheet = lessons.lesson_sheet(desk, id)
        return [(sheet.golfer, sheet.lesson, sheet.blocks)]
    one = blocks.block_sheet(desk, id)
    sheet = lessons.lesson_sheet(desk, one.block.lesson_id)
    return [(sheet.golfer, sheet.lesson, [one])]
