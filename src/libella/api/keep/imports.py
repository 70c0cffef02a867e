"""Files of putts in: given, looked at, read as told, taken in whole, undone. Long work tells how far it is."""

from collections.abc import Mapping
from dataclasses import replace
from datetime import UTC, datetime
from typing import Any, Literal

from anyio import to_thread
from fastapi import Query, Request
from pydantic import BaseModel, Field

from ...core.green.putt import USUAL_PAST_M
from ...core.measure.units import Units
from ...exchange import columns
from ...exchange.apart import read_apart
from ...exchange.columns import MAPPING, TARGETS, Column, ColumnMapping, ColumnUse, Mended
from ...exchange.headings import Kind, units_of
from ...exchange.sheet import MOST_COLUMNS, Sheet
from ...lessons.desk.desk import Desk
from ...lessons.desk.problem import Conflict, NotYet
from ...lessons.keep import file_work, imports
from ...lessons.keep.file_work import BadRow, Work
from ...lessons.values import KeptFileImport
from ...words.keep.file_rows import doubt_words, guess_words, passed_over, row_read
from ...words.keep.file_work import work_words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Kept

router = Router(tags=["imports"])

Phase = Literal["idle", "checking", "checked", "taking", "done", "stopped", "failed"]


class ColumnUseIn(Entry):
    column: int
    target: str = Field(default="", description="what it tells; empty for nothing")
    unit: str = ""
    positive: str = Field(default="", description="which side is plus")


class MendedIn(Entry):
    line: int = Field(ge=1)
    column: int = Field(ge=0, lt=MOST_COLUMNS)
    text: str = Field(max_length=200)


class MappingIn(Entry):
    """How a file is read; what no column tells takes the value given here. Lengths in m, angles in degrees."""

    columns: tuple[ColumnUseIn, ...] = Field(max_length=256)
    decimal: Literal[".", ","] = "."
    day_first: bool | None = Field(
        default=None, description="how dates that can be read two ways begin; null: not said"
    )
    distance_m: float = 2.5
    past_m: float = Field(default_factory=USUAL_PAST_M)
    green_speed_ft: float = 10.0
    rig_at_m: float = 0.3
    u_deg: float = 0.2
    condition: str = Field(default="as usual", max_length=80)
    mended: tuple[MendedIn, ...] = Field(default=(), max_length=2000, description="cells as the coach mended them")

    def mapping(self) -> ColumnMapping:
        """The mapping in terms of the files."""
        uses = tuple(ColumnUse(it.column, it.target, it.unit, it.positive) for it in self.columns)
        return ColumnMapping(
            uses,
            self.decimal,
            self.day_first,
            self.distance_m,
            self.past_m,
            self.green_speed_ft,
            self.rig_at_m,
            self.u_deg,
            self.condition,
            tuple(Mended(it.line, it.column, it.text) for it in self.mended),
        )


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


class MadeLesson(Kept):
    id: UUID
    place: str
    started_at: datetime


class ImportLine(ImportKept):
    """A file, and the work on it."""

    phase: Phase
    done: int
    total: int
    good: int
    bad: int
    bad_rows: list[BadRow]
    read_out: list[str] = Field(description="the first rows as they were read, in words")
    doubts: list[str] = Field(description="what to look at before it is taken in")
    blocks: int
    lessons: int
    first_at: datetime | None
    last_at: datetime | None
    why: str
    made: list[MadeLesson] = Field(description="the lessons it made, newest first, the first 20")


class ColumnOut(BaseModel):
    """A column: its heading, its first values, what it seems to tell, and what led to that."""

    heading: str
    samples: tuple[str, ...]
    guess: ColumnUse
    why: str


class ImportOut(ImportLine):
    """A file looked at: its columns with their first values, and how they are read."""

    delimiter: str
    rows: int
    passed_over: tuple[str, ...] = Field(description="what of the file is not read at all")
    columns: list[ColumnOut]
    mapping: ColumnMapping
    remembered: bool
    taken_before: datetime | None
    targets: list[TargetOut]


@router.put("/imports/{id}")
async def give(
    desk: AtDesk,
    request: Request,
    id: UUID7,
    golfer_id: UUID,
    name: str = Query(min_length=1, max_length=120),
    units: InUnits = "metric",
) -> ImportOut:
    """Give a file as the body of the request, at most 64 MiB; it is kept, and nothing is read as putts yet."""
    content = await request.body()

    def keep() -> ImportOut:
        sheet = read_apart(content)
        return _whole(desk, imports.keep_file(desk, id, golfer_id, name, content, datetime.now(UTC)), sheet, units)

    # However many files come at once, putts and pages find a thread.
    return await to_thread.run_sync(keep, limiter=request.app.state.readers)


@router.get("/golfers/{id}/imports")
def of_golfer(desk: AtDesk, id: UUID, units: InUnits = "metric") -> list[ImportLine]:
    """A golfer's files, newest first."""
    works = file_work.work_on(desk, [it.id for it in imports.imports_of(desk, id)])
    rows = imports.imports_of(desk, id)
    return [_line(desk, it, works.get(it.id, Work()), units) for it in rows]


@router.get("/imports/{id}")
def one(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ImportOut:
    """One file with its columns."""
    return _whole(desk, imports.file_import(desk, id), _sheet(desk, id), units)


@router.get("/imports/{id}/progress")
def progress(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ImportLine:
    """How far the work on it is."""
    return _told(desk, id, units)


@router.put("/imports/{id}/mapping")
def mapping(desk: AtDesk, request: Request, id: UUID, entry: MappingIn, units: InUnits = "metric") -> ImportLine:
    """Say how the columns are read: the whole file is read so, and its bad rows listed. Kept for the next such file."""
    row, sheet = imports.file_import(desk, id), _sheet(desk, id)
    if row.state == "taken":
        raise Conflict("file_taken")
    told = entry.mapping()
    columns.checked_mapping(told, sheet)
    file_work.begin(desk, id, "checking", sheet.rows)
    imports.keep_mapping(desk, id, sheet.digest, MAPPING.keep(told), datetime.now(UTC))
    request.app.state.jobs.begin("check_file", id)
    return _told(desk, id, units)


@router.put("/imports/{id}/putts")
def take(desk: AtDesk, request: Request, id: UUID, entry: TakeIn, units: InUnits = "metric") -> ImportLine:
    """Take it in: all of it in one transaction. Bad rows must have been seen."""
    row = imports.file_import(desk, id)
    if row.mapping is None:
        raise NotYet("file_not_mapped")
    if row.state == "taken":
        return _told(desk, id, units)
    before = file_work.work_on(desk, [id]).get(id)
    if before is None or before.phase not in ("checked", "stopped", "failed"):
        raise NotYet("file_not_read")
    if before.found.bad and not entry.skip_bad:
        raise NotYet("rows_unread", bad=before.found.bad)
    file_work.begin(desk, id, "taking", before.found.good)
    request.app.state.jobs.begin("take_file", id)
    return _told(desk, id, units)


@router.delete("/imports/{id}/work")
def stop(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ImportLine:
    """Stop the work going on; nothing of it is kept."""
    file_work.ask_stop(desk, id)
    return _told(desk, id, units)


@router.put("/imports/{id}/undone")
def undo(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ImportLine:
    """Undo an import: the lessons it made are voided."""
    imports.undo(desk, id, True, datetime.now(UTC))
    return _told(desk, id, units)


@router.delete("/imports/{id}/undone")
def redo(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ImportLine:
    """Bring an undone import back."""
    imports.undo(desk, id, False, datetime.now(UTC))
    return _told(desk, id, units)


def _told(desk: Desk, id: UUID, units: Units) -> ImportLine:
    # The work is looked up first: what it tells to be done is then found done.
    work = file_work.work_on(desk, [id]).get(id, Work())
    return _line(desk, imports.file_import(desk, id), work, units)


def _line(desk: Desk, row: KeptFileImport, work: Work, units: Units) -> ImportLine:
    found = work.found
    return ImportLine(
        **dict(ImportKept.model_validate(row)),
        phase=work.phase or "idle",
        done=work.done,
        total=work.total,
        good=found.good,
        bad=found.bad,
        bad_rows=list(found.listed),
        read_out=[row_read(it, units) for it in found.read_out],
        doubts=[doubt_words(it) for it in found.doubts],
        blocks=found.blocks,
        lessons=found.lessons,
        first_at=found.first_at,
        last_at=found.last_at,
        why=work_words(work),
        made=[MadeLesson.model_validate(it) for it in imports.lessons_made(desk, row.id)],
    )


def _sheet(desk: Desk, id: UUID) -> Sheet:
    return read_apart(imports.content_of(desk, id))


def _whole(desk: Desk, row: KeptFileImport, sheet: Sheet, units: Units) -> ImportOut:
    found = columns.columns_of(sheet)
    kept = row.mapping or imports.remembered(desk, sheet.digest)
    # What was mended is of one file; how its numbers and dates are written, this one says itself.
    mapping = MAPPING.read(row.mapping) if row.mapping else columns.proposed(sheet, found, _kept(kept))
    return ImportOut(
        **dict(_told(desk, row.id, units)),
        delimiter=sheet.delimiter,
        rows=sheet.rows,
        passed_over=passed_over(sheet.above, sheet.sheet, sheet.others),
        columns=[_column(it) for it in found],
        mapping=mapping,
        remembered=kept is not None,
        taken_before=imports.taken_before(desk, row),
        targets=[
            TargetOut(name=name, label=it.label, kind=it.kind, units=list(units_of(it.kind)), sides=list(it.sides))
            for name, it in TARGETS.items()
        ],
    )


def _kept(told: Mapping[str, Any] | None) -> ColumnMapping | None:
    return None if told is None else replace(MAPPING.read(told), mended=())


def _column(it: Column) -> ColumnOut:
    units = (units_of(TARGETS[it.guess.target].kind) if it.guess.target else {}) or {"": 1.0}
    why = guess_words(it.by, another=it.another, unit_missing=it.guess.unit not in units)
    return ColumnOut(heading=it.heading, samples=it.samples, guess=it.guess, why=why)
