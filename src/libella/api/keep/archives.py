"""Everything of a golfer, or of the studio, out and in again as one file. Long work tells how far it is."""

import re
from collections.abc import Iterable
from typing import Final
from urllib.parse import quote
from uuid import UUID as AnyUUID

from fastapi import Query, Request
from fastapi.responses import StreamingResponse
from pydantic import BaseModel, Field
from starlette.concurrency import run_in_threadpool

from ...core.measure.limits import OutOfLimits
from ...exchange.archive import work
from ...exchange.paper import pdf, usual_paper
from ...exchange.svg import scene_svg
from ...lessons.desk.desk import Desk, studio
from ...lessons.desk.problem import NotYet
from ...lessons.golfer import golfers
from ...lessons.keep import archive_work
from ...lessons.keep.archive_work import MOST_PARTS, ArchivePhase, ArchiveWork
from ...lessons.lesson.lessons import newest_lessons
from ...lessons.values import KeptGolfer
from ...words.keep import archive as words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry
from . import summaries

router = Router(prefix="/archives", tags=["archives"])
_NEWEST_OF_GOLFER: Final = 3
_NEWEST_OF_STUDIO: Final = 1
"""Lessons of which paper and drawings go along, of each golfer: any other can be printed at any time."""


class OutIn(Entry):
    golfer_id: UUID | None = Field(None, description="whose; empty: the whole studio's")


class ArchiveOut(BaseModel):
    """An archive on its way, and what was found or came of it."""

    id: UUID
    name: str
    phase: ArchivePhase
    total: int = Field(description="rows; on the way out paper counts as so many")
    done: int = Field(description="rows")
    says: list[str] = Field(description="what it is of, and what it holds or brought")
    damages: list[str] = Field(description="file by file, what is wrong with it")
    refused: str = Field(description="why it can't be taken in; empty where it can")
    invented: bool


@router.put("/{id}/out")
def begin(desk: AtDesk, request: Request, id: UUID7, entry: OutIn) -> ArchiveOut:
    """Have an archive made, of a golfer or of the whole studio."""
    of = studio(desk) if entry.golfer_id is None else golfers.golfer(desk, entry.golfer_id)
    archive_work.begin_out(desk, id, entry.golfer_id, words.file_name(of.name, of.invented))
    request.app.state.jobs.begin("make_archive", id)
    return one(desk, id)


@router.put("/{id}/parts/{number}")
async def give(
    desk: AtDesk,
    request: Request,
    id: UUID7,
    number: int,
    name: str = Query("", max_length=120),
) -> ArchiveOut:
    """Give a piece of an archive's file as the body of the request, at most 8 MiB; the first is number 0."""
    content = await request.body()
    if not 0 <= number < MOST_PARTS:
        raise OutOfLimits("number", "archive_part", most=MOST_PARTS - 1)

    def keep() -> ArchiveOut:
        archive_work.give_part(desk, id, _PLAIN.sub("", name), number, content)
        return one(desk, id)

    return await run_in_threadpool(keep)


_PLAIN: Final = re.compile(r"[\x00-\x1f\x7f-\x9f\ud800-\udfff]")


@router.put("/{id}/look")
def look(desk: AtDesk, request: Request, id: UUID) -> ArchiveOut:
    """Look at a given archive: every file of it, and nothing is taken in yet."""
    archive_work.begin_in(desk, id, "checking")
    request.app.state.jobs.begin("check_archive", id)
    return one(desk, id)


@router.put("/{id}/rows")
def take(desk: AtDesk, request: Request, id: UUID) -> ArchiveOut:
    """Take it in, all of it or nothing. What is here already stays as it is."""
    archive_work.begin_in(desk, id, "taking")
    request.app.state.jobs.begin("take_archive", id)
    return one(desk, id)


@router.delete("/{id}/work")
def stop(desk: AtDesk, id: UUID) -> ArchiveOut:
    """Stop the work going on; nothing of it is kept."""
    archive_work.ask_stop(desk, id)
    return one(desk, id)


@router.get("/{id}")
def one(desk: AtDesk, id: UUID) -> ArchiveOut:
    """How far it is."""
    return _out(archive_work.work_on(desk, id))


@router.get(
    "/{id}/file",
    response_class=StreamingResponse,
    responses={200: {"content": {"application/zip": {}}, "description": "The archive."}},
)
def file(desk: AtDesk, id: UUID) -> StreamingResponse:
    """The archive that was made."""
    it = archive_work.work_on(desk, id)
    if it.phase != "made":
        raise NotYet("archive_not_made")
    headers = {
        # In every script there is: a plain name first, for those that read no other.
        "Content-Disposition": f"attachment; filename=\"libella.zip\"; filename*=UTF-8''{quote(it.name)}",
        # Packed already.
        "Content-Encoding": "identity",
        "Content-Length": str(archive_work.size_of(desk, id)),
    }
    return StreamingResponse(archive_work.pieces(desk, id), media_type="application/zip", headers=headers)


def make_archive(desk: Desk, id: AnyUUID) -> None:
    """The work on an archive's way out, with what its lessons came to on paper."""
    newest = _NEWEST_OF_STUDIO if archive_work.work_on(desk, id).golfer_id is None else _NEWEST_OF_GOLFER
    work.make_archive(desk, id, lambda golfer: _papers(desk, golfer, newest))


def _papers(desk: Desk, golfer: KeptGolfer, newest: int) -> Iterable[tuple[str, bytes]]:
    for lesson in newest_lessons(desk, golfer.id, newest):
        it = summaries.of_lesson(desk, lesson.id)
        sheets, title = summaries.sheets_of(it, usual_paper(it.units))
        yield f"sheets/golfers-sheet-{lesson.id}.pdf", pdf(sheets, title)
        if it.picture is not None:
            yield f"drawings/finding-{lesson.id}.svg", scene_svg(it.picture).encode()
        if it.drill is not None:
            yield f"drawings/station-{lesson.id}.svg", scene_svg(it.drill.stage).encode()


def _out(it: ArchiveWork) -> ArchiveOut:
    return ArchiveOut(
        id=it.id,
        name=it.name,
        phase=it.phase,
        total=it.total,
        done=it.done,
        says=words.taken_said(it.found) if it.phase == "taken" else words.found_said(it.found),
        damages=[words.damage_said(one) for one in it.found.damages],
        refused=words.refused_said(it.found.refused, dict(it.found.facts)),
        invented=it.found.invented,
    )
