"""Files of putts in: given, looked at, read as told, taken in whole, undone. Long work tells how far it is."""

import logging
import threading
from collections.abc import Callable, Iterator, Mapping
from dataclasses import asdict, dataclass, field, replace
from datetime import UTC, datetime
from typing import Literal

from fastapi import APIRouter, Query, Request
from pydantic import BaseModel, Field
from starlette.concurrency import run_in_threadpool

from ...core.measure.limits import OutOfLimits
from ...exchange import columns, putt_rows
from ...exchange.columns import TARGETS, UNITS, Column, ColumnMapping, Kind
from ...exchange.putt_rows import BadRow, Check
from ...exchange.sheet import Sheet, read_sheet
from ...lessons.desk.desk import Desk
from ...lessons.desk.problem import Conflict, NotYet
from ...lessons.golfer import golfers
from ...lessons.keep import imports
from ...lessons.keep.imports import PuttRow
from ...store.tables import FileImportRow
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Kept

router = APIRouter(tags=["imports"])

_log = logging.getLogger("libella")
Phase = Literal["idle", "checking", "checked", "taking", "done", "stopped", "failed"]


@dataclass
class Job:
    """Work on one file that goes on beside the requests."""

    phase: Phase
    total: int
    done: int = 0
    check: Check = field(default_factory=Check)
    rows: list[PuttRow] = field(default_factory=list[PuttRow])
    """The good rows as read, so that taking them in need not read them again; of the newest work only."""
    why: str = ""
    stop: threading.Event = field(default_factory=threading.Event)

    def at(self, done: int) -> None:
        """How far it is; raises `Cancelled` when it was told to stop."""
        self.done = done
        if self.stop.is_set():
            raise imports.Cancelled


class Jobs:
    """The work going on, by import. A restart forgets it: what was not committed was not done."""

    def __init__(self) -> None:
        self._jobs: dict[UUID, Job] = {}
        self._lock = threading.Lock()

    def of(self, id: UUID) -> Job | None:
        return self._jobs.get(id)

    def seen(self) -> dict[UUID, Job]:
        """Copies of all work as it stands now. Look before reading the files: what is told done is then in them."""
        with self._lock:
            return {id: replace(job) for id, job in self._jobs.items()}

    def begin(self, id: UUID, job: Job, work: Callable[[Job], None]) -> Job:
        """Begin work on a file; a `Conflict` while other work on it goes on."""
        with self._lock:
            now = self._jobs.get(id)
            if now is not None and now.phase in ("checking", "taking"):
                raise NotYet("This file is being worked on.", "Wait for it, or stop it.")
            for other in self._jobs.values():
                if other.phase not in ("checking", "taking"):
                    other.rows = []
            self._jobs[id] = job
        threading.Thread(target=self._run, args=(job, work), daemon=True).start()
        return job

    def _run(self, job: Job, work: Callable[[Job], None]) -> None:
        try:
            work(job)
        except imports.Cancelled:
            job.phase, job.why = "stopped", "Stopped; nothing of it was kept."
        except OutOfLimits as fault:
            job.phase, job.why = "failed", f"{fault.message} Nothing of it was kept."
        except Exception as fault:
            job.phase, job.why = "failed", "It could not be kept just now; nothing of it was. Try again."
            _log.error("import failed", exc_info=fault)


class ColumnUseIn(Entry):
    column: int
    target: str = Field(default="", description="what it tells; empty for nothing")
    unit: str = ""
    positive: str = Field(default="", description="which side is plus")


class MappingIn(Entry):
    """How a file is read; what no column tells takes the value given here. Lengths in m, angles in degrees."""

    columns: tuple[ColumnUseIn, ...] = Field(max_length=256)
    decimal: Literal[".", ","] = "."
    day_first: bool = True
    distance_m: float = 2.5
    past_m: float = 0.3
    green_speed_ft: float = 10.0
    rig_at_m: float = 0.3
    u_deg: float = 0.2
    condition: str = Field(default="as usual", max_length=80)


class TakeIn(Entry):
    skip_bad: bool = Field(description="true: the bad rows were seen, and are left out")


class TargetOut(BaseModel):
    name: str
    label: str
    kind: Kind
    units: list[str]
    sides: list[str]


class ImportKept(Kept):
    id: UUID
    golfer_id: UUID
    name: str
    state: Literal["given", "taken", "undone"]
    putts: int
    skipped: int
    given_at: datetime
    taken_at: datetime | None


class ImportLine(ImportKept):
    """A file, and the work on it."""

    phase: Phase
    done: int
    total: int
    good: int
    bad: int
    bad_rows: list[BadRow]
    blocks: int
    lessons: int
    first_at: datetime | None
    last_at: datetime | None
    why: str


class ImportOut(ImportLine):
    """A file looked at: its columns with their first values, and how they are read."""

    delimiter: str
    rows: int
    columns: list[Column]
    mapping: ColumnMapping
    remembered: bool
    taken_before: datetime | None
    targets: list[TargetOut]


@router.put("/imports/{id}")
async def give(
    desk: AtDesk, request: Request, id: UUID7, golfer_id: UUID, name: str = Query(min_length=1, max_length=120)
) -> ImportOut:
    """Give a file as the body of the request, at most 64 MiB; it is kept, and nothing is read as putts yet."""
    content = await request.body()

    def keep() -> ImportOut:
        sheet = read_sheet(content)
        seen = request.app.state.jobs.seen()
        return _whole(desk, imports.give(desk, id, golfer_id, name, content, datetime.now(UTC)), sheet, seen)

    return await run_in_threadpool(keep)


@router.get("/golfers/{id}/imports")
def of_golfer(desk: AtDesk, request: Request, id: UUID) -> list[ImportLine]:
    """A golfer's files, newest first."""
    seen = request.app.state.jobs.seen()
    return [ImportLine(**_line(it, seen)) for it in imports.imports_of(desk, id)]


@router.get("/imports/{id}")
def one(desk: AtDesk, request: Request, id: UUID) -> ImportOut:
    """One file with its columns."""
    seen = request.app.state.jobs.seen()
    return _whole(desk, imports.file_import(desk, id), _sheet(desk, id), seen)


@router.get("/imports/{id}/progress")
def progress(desk: AtDesk, request: Request, id: UUID) -> ImportLine:
    """How far the work on it is."""
    return _told(desk, request, id)


@router.put("/imports/{id}/mapping")
def mapping(desk: AtDesk, request: Request, id: UUID, entry: MappingIn) -> ImportLine:
    """Say how the columns are read: the whole file is read so, and its bad rows listed. Kept for the next such file."""
    row, sheet = imports.file_import(desk, id), _sheet(desk, id)
    if row.state == "taken":
        raise Conflict("This file was taken in already.", "Undo it first, or give it anew.")
    told = columns.mapping_of(entry.model_dump())
    columns.checked_mapping(told, sheet)
    imports.keep_mapping(desk, id, sheet.digest, asdict(told), datetime.now(UTC))
    job = Job("checking", sheet.rows)
    rows = _rows(desk, row, told, sheet, job.check)

    def work(job: Job) -> None:
        for it in rows:
            job.rows.append(it)
            if job.check.good % 1000 == 0:
                job.at(job.check.good + job.check.bad)
        job.at(sheet.rows)
        job.phase = "checked"

    request.app.state.jobs.begin(id, job, work)
    return _told(desk, request, id)


@router.put("/imports/{id}/putts")
def take(desk: AtDesk, request: Request, id: UUID, entry: TakeIn) -> ImportLine:
    """Take it in: all of it in one transaction. Bad rows must have been seen."""
    row = imports.file_import(desk, id)
    if row.mapping is None:
        raise NotYet("It was not said how this file is read.", "Say what its columns tell.")
    if row.state == "taken":
        return _told(desk, request, id)
    before = request.app.state.jobs.of(id)
    if before is None or before.phase not in ("checked", "stopped", "failed"):
        raise NotYet("The file was not read through yet.", "Look at its rows first.")
    if before.check.bad and not entry.skip_bad:
        said = f"{before.check.bad} rows can't be read. Nothing is taken in until you agree to leave them out."
        raise NotYet(said, "Look at the list, then take in the rest.")
    rows = before.rows or _rows(desk, row, columns.mapping_of(row.mapping), _sheet(desk, id), Check())

    def work(job: Job) -> None:
        imports.take(desk, id, iter(rows), before.check.bad, datetime.now(UTC), job.at)
        job.phase = "done"

    request.app.state.jobs.begin(id, Job("taking", before.check.good, check=before.check), work)
    return _told(desk, request, id)


@router.delete("/imports/{id}/work")
def stop(desk: AtDesk, request: Request, id: UUID) -> ImportLine:
    """Stop the work going on; nothing of it is kept."""
    job = request.app.state.jobs.of(id)
    if job is not None:
        job.stop.set()
    return _told(desk, request, id)


@router.put("/imports/{id}/undone")
def undo(desk: AtDesk, request: Request, id: UUID) -> ImportLine:
    """Undo an import: the lessons it made are voided."""
    seen = request.app.state.jobs.seen()
    return ImportLine(**_line(imports.undo(desk, id, True, datetime.now(UTC)), seen))


@router.delete("/imports/{id}/undone")
def redo(desk: AtDesk, request: Request, id: UUID) -> ImportLine:
    """Bring an undone import back."""
    seen = request.app.state.jobs.seen()
    return ImportLine(**_line(imports.undo(desk, id, False, datetime.now(UTC)), seen))


def _rows(desk: Desk, row: FileImportRow, told: ColumnMapping, sheet: Sheet, check: Check) -> Iterator[PuttRow]:
    """The good rows of a file, read as told; what is found on the way is noted in `check`."""
    golfer = golfers.golfer(desk, row.golfer_id)
    return putt_rows.putts(sheet, told, golfer.name, golfer.hand, row.given_at, check)


def _told(desk: Desk, request: Request, id: UUID) -> ImportLine:
    seen = request.app.state.jobs.seen()
    return ImportLine(**_line(imports.file_import(desk, id), seen))


def _line(row: FileImportRow, seen: Mapping[UUID, Job]) -> dict[str, object]:
    job = seen.get(row.id) or Job("idle", 0)
    check = job.check
    return ImportKept.model_validate(row).model_dump() | {
        "phase": job.phase,
        "done": job.done,
        "total": job.total,
        "good": check.good,
        "bad": check.bad,
        "bad_rows": list(check.listed),
        "blocks": len(check.blocks),
        "lessons": len(check.lessons),
        "first_at": check.first_at,
        "last_at": check.last_at,
        "why": job.why,
    }


def _sheet(desk: Desk, id: UUID) -> Sheet:
    return read_sheet(imports.content_of(desk, id))


def _whole(desk: Desk, row: FileImportRow, sheet: Sheet, seen: Mapping[UUID, Job]) -> ImportOut:
    found = columns.columns_of(sheet)
    kept = row.mapping or imports.remembered(desk, sheet.digest)
    guessed = ColumnMapping(tuple(it.guess for it in found), decimal=sheet.decimal or ".")
    mapping = columns.mapping_of(kept) if kept else guessed
    if not row.mapping and sheet.decimal:
        # How the columns are read is remembered; how this file writes its numbers is its own.
        mapping = replace(mapping, decimal=sheet.decimal)
    return ImportOut(
        **_line(row, seen),
        delimiter=sheet.delimiter,
        rows=sheet.rows,
        columns=found,
        mapping=mapping,
        remembered=kept is not None,
        taken_before=imports.taken_before(desk, row),
        targets=[
            TargetOut(name=name, label=it.label, kind=it.kind, units=list(UNITS.get(it.kind, {})), sides=list(it.sides))
            for name, it in TARGETS.items()
        ],
    )
