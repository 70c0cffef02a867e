"""Saved stations: kept under a name, used again, shared as a file."""

from datetime import UTC, datetime
from typing import Any

from fastapi import Query
from fastapi.responses import JSONResponse
from pydantic import Field

from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.set.layout import from_above
from ...exchange.station_file import from_document, to_document
from ...lessons.set import stations
from ...lessons.set.stations import entry_of
from ...lessons.values import KeptSavedStation
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Page, Search, ShortWords, cursor, opened
from .stations import LaidIn, LaidOut

router = Router(prefix="/saved-stations", tags=["saved"])


class SaveIn(LaidIn):
    name: ShortWords = Field(examples=["Straight three, narrow gate"])


class SavedOut(LaidOut):
    id: UUID
    name: str
    stage: Scene = Field(description="from above and to scale, for a golfer of the hand asked for")


class SavedPage(Page):
    items: list[SavedOut]


class FileIn(Entry):
    """The content of a station file."""

    document: dict[str, Any]


class ReadOut(LaidOut):
    """What a station file holds; nothing is kept yet."""

    name: str


@router.get("")
def find(
    desk: AtDesk,
    q: Search = "",
    after: str | None = Query(None, description="page mark"),
    hand: Hand = "right",
    units: InUnits = "metric",
) -> SavedPage:
    """Saved stations by name, a page at a time; drawn for a golfer of that hand."""
    rows = stations.find_saved(desk, q, opened(after, str, UUID))
    more = cursor(rows[-1].name, rows[-1].id) if len(rows) == stations.PAGE else None
    return SavedPage(items=[_out(it, units, hand) for it in rows], next=more)


@router.post("/read")
def read(entry: FileIn, units: InUnits = "metric") -> ReadOut:
    """Check a station file and say what it holds; keeps nothing."""
    name, found = from_document(entry.document)
    return ReadOut(name=name, **LaidOut.of(found, units))


@router.put("/{id}")
def save(desk: AtDesk, id: UUID7, entry: SaveIn, units: InUnits = "metric") -> SavedOut:
    """Keep a station under a name, or take over the changed one."""
    return _out(stations.save_station(desk, id, entry.name, entry.entry()), units)


@router.get("/{id}/file")
def file(desk: AtDesk, id: UUID) -> JSONResponse:
    """The station as a file; its format is described in docs/formats/station.md."""
    row = stations.saved_station(desk, id)
    named = {"Content-Disposition": 'attachment; filename="station.json"'}
    return JSONResponse(to_document(row.name, entry_of(row)), headers=named)


@router.delete("/{id}")
def put_away(desk: AtDesk, id: UUID, units: InUnits = "metric") -> SavedOut:
    """Take it out of the list; it can be brought back."""
    return _out(stations.put_away(desk, id, datetime.now(UTC)), units)


@router.put("/{id}/back")
def bring_back(desk: AtDesk, id: UUID, units: InUnits = "metric") -> SavedOut:
    """Bring it back into the list."""
    return _out(stations.put_away(desk, id, None), units)


def station_body(row: KeptSavedStation) -> dict[str, Any]:
    """A kept station as it is told where it is to be laid."""
    return LaidOut(**LaidOut.of(entry_of(row), "metric")).model_dump(mode="json", include=set(LaidIn.model_fields))


def _out(row: KeptSavedStation, units: InUnits, hand: Hand = "right") -> SavedOut:
    entry = entry_of(row)
    stage = from_above(entry.station(), hand, units)
    return SavedOut(id=row.id, name=row.name, stage=stage, **LaidOut.of(entry, units))
