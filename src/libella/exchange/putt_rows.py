"""The rows of a sheet read as putts, and what reading all of them found."""

import re
from collections.abc import Iterator
from dataclasses import dataclass, field
from datetime import datetime
from typing import Final

from ..core.golfer.hand import Hand
from ..lessons.keep.file_work import BadRow, Found
from ..lessons.keep.imports import MOST_BLOCKS, PuttRow, too_many_blocks
from ..words.keep.file_rows import Doubt, ReadRow
from .columns import PAIRS, ColumnMapping
from .row_reader import Bad, RowReader
from .sheet import Sheet

_READ_OUT: Final = 3


@dataclass(slots=True)
class Check:
    """What reading a whole file found; the first bad rows are listed, all are counted."""

    good: int = 0
    bad: int = 0
    listed: list[BadRow] = field(default_factory=list[BadRow])
    blocks: set[tuple[str, ...]] = field(default_factory=set[tuple[str, ...]])
    lessons: set[str] = field(default_factory=set[str])
    first_at: datetime | None = None
    last_at: datetime | None = None
    read_out: list[ReadRow] = field(default_factory=list[ReadRow])
    doubts: tuple[Doubt, ...] = ()

    def found(self, refused: str = "") -> Found:
        """The same, to be kept."""
        return Found(
            self.good, self.bad, tuple(self.listed), len(self.blocks), len(self.lessons), self.first_at, self.last_at,
            tuple(self.read_out), self.doubts, refused,
        )  # fmt: skip


LISTED: Final = 200


def putts(
    sheet: Sheet, mapping: ColumnMapping, golfer: str, hand: Hand, given_at: datetime, check: Check | None = None
) -> Iterator[PuttRow]:
    """The good rows as putts, in the file's order; bad ones are passed over, and listed in `check`."""
    reader = RowReader(sheet, mapping, golfer, hand, given_at)
    sides = _Sides(reader)
    for line, cells, swallowed in sheet.lines():
        try:
            if swallowed:
                raise Bad("Row", f"a quote runs on over {swallowed} lines: close it, or take it out")
            row = reader.row(line, cells)
        except Bad as fault:
            if check is not None:
                check.bad += max(swallowed, 1)
                sides.left_out(fault)
                if len(check.listed) < LISTED:
                    check.listed.append(BadRow(line, fault.column, fault.reason, fault.at, fault.cell[:80]))
            continue
        if check is not None:
            sides.taken(row)
            check.good += 1
            check.lessons.add(row.lesson)
            check.blocks.add((row.lesson, *row.block))
            if len(check.read_out) < _READ_OUT:
                check.read_out.append(_read_out(line, row, reader))
            if len(check.blocks) > MOST_BLOCKS:
                raise too_many_blocks()
            check.first_at = min(check.first_at or row.taken_at, row.taken_at)
            check.last_at = max(check.last_at or row.taken_at, row.taken_at)
        yield row
    if check is not None:
        check.doubts = sides.doubts()


def _read_out(line: int, row: PuttRow, reader: "RowReader") -> ReadRow:
    told = {name: value for name in ("low_deg", "high_deg") if isinstance(value := row.raw.get(name), float)}
    read = row.raw.get("read_deg")
    low, high = (read, read) if isinstance(read, float) else (told.get("low_deg"), told.get("high_deg"))
    at = row.taken_at if reader.tells("taken_at") else None
    return ReadRow(line, reader.hand, at, low, high, row.notes, row.station.distance_m, row.condition, row.voided)


class _Sides:
    """Which sides a file's starts lie to: of those read, and of those left out."""

    def __init__(self, reader: "RowReader") -> None:
        self._reader = reader
        self._out = {"left": 0, "right": 0}
        self._in = {"left": 0, "right": 0}

    def taken(self, row: PuttRow) -> None:
        read = row.raw.get("read_deg")
        if isinstance(read, float) and read:
            self._in["right" if read > 0 else "left"] += 1

    def left_out(self, fault: "Bad") -> None:
        """By what its cell says of a side, whatever else is wrong with it."""
        said = fault.start.casefold()
        words = set(re.findall(r"[a-z]+", said))
        if said.startswith("-") or words & {"l", "left", "pull"}:
            self._out["left"] += 1
        elif said:
            self._out["right"] += 1

    def doubts(self) -> tuple[Doubt, ...]:
        found: list[Doubt] = []
        out = [side for side, times in self._out.items() if times]
        if len(out) == 1 and sum(self._in.values()):
            found.append("one_side_only")
        if self._in["right"] + self._in["left"] >= 5 and not all(self._in.values()) and not self._reader.tells_sides:
            found.append("no_side_told")
        if any(self._reader.tells(one) != self._reader.tells(other) for one, other in PAIRS):
            found.append("half_of_a_pair")
        if self._reader.either_dates:
            found.append("either_date")
        return tuple(found)
