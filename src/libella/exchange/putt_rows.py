"""The rows of a sheet read as putts, in Libella's units and signs; and why a row can't be."""

import math
import re
import unicodedata
from collections.abc import Iterator
from dataclasses import dataclass, field
from datetime import UTC, datetime, timedelta
from functools import lru_cache
from typing import Final

from ..core.golfer.hand import Hand
from ..core.instruments.degree_reader import READ
from ..core.instruments.no_rig import NOT_WATCHED
from ..core.measure.angle import angle_deg
from ..core.measure.limits import OutOfLimits
from ..core.start.notes import NOTES
from ..core.start.stroke import MEASURES
from ..lessons.desk.times import EARLIEST, GRACE
from ..lessons.keep.file_work import BadRow, Found
from ..lessons.keep.imports import MOST_BLOCKS, PuttRow, too_many_blocks
from ..words.refusals import refusal_words
from .columns import STARTS, TARGETS, UNITS, ColumnMapping, Kind, option_code, reader_station, unwatched_station
from .sheet import Sheet
from .spreadsheet import from_spreadsheet

_LONGEST_CELL: Final = 4000
_AHEAD: Final = timedelta(hours=14)
_SAID: Final = {"°": "deg", "degrees": "deg", "degree": "deg", '"': "in", "'": "ft", "inch": "in", "inches": "in",
                "feet": "ft", "metres": "m", "percent": "%", "sec": "s"}  # fmt: skip
_MINUS_BY_HAND = {"closed": "left", "open": "right", "in_to_out": "right", "out_to_in": "left"}


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

    def found(self, refused: str = "") -> Found:
        """The same, to be kept."""
        return Found(
            self.good, self.bad, tuple(self.listed), len(self.blocks), len(self.lessons), self.first_at, self.last_at,
            refused,
        )  # fmt: skip


LISTED: Final = 200


def putts(
    sheet: Sheet, mapping: ColumnMapping, golfer: str, hand: Hand, given_at: datetime, check: Check | None = None
) -> Iterator[PuttRow]:
    """The good rows as putts, in the file's order; bad ones are passed over, and listed in `check`."""
    reader = _Reader(sheet, mapping, golfer, hand, given_at)
    for line, cells, swallowed in sheet.lines():
        try:
            if swallowed:
                raise _Bad("Row", f"a quote runs on over {swallowed} lines: close it, or take it out")
            row = reader.row(cells)
        except _Bad as fault:
            if check is not None:
                check.bad += max(swallowed, 1)
                if len(check.listed) < LISTED:
                    check.listed.append(BadRow(line, fault.column, fault.reason))
            continue
        if check is not None:
            check.good += 1
            check.lessons.add(row.lesson)
            check.blocks.add((row.lesson, *row.block))
            if len(check.blocks) > MOST_BLOCKS:
                raise too_many_blocks()
            check.first_at = min(check.first_at or row.taken_at, row.taken_at)
            check.last_at = max(check.last_at or row.taken_at, row.taken_at)
        yield row


def _under_90(value: float) -> float:
    if not -90 <= value <= 90:
        raise _Bad("Start", f"{value:g}° is beyond 90°")
    return value


class _Bad(Exception):
    def __init__(self, column: str, reason: str) -> None:
        super().__init__(reason)
        self.column, self.reason = column, reason


_SIZES: Final = ("distance_m", "past_m", "green_speed_ft", "falls_forward_percent", "falls_right_percent", "rig_at_m")


@lru_cache(maxsize=2048)
def _said(sizes: tuple[float, ...]) -> tuple[str, ...]:
    return tuple(f"{it:g}" for it in sizes)


class _Reader:
    """Reads the cells of one file."""

    def __init__(self, sheet: Sheet, mapping: ColumnMapping, golfer: str, hand: Hand, given_at: datetime) -> None:
        self._sheet, self._mapping, self._hand = sheet, mapping, hand
        self._golfer = golfer.casefold()
        self._at = {it.target: it for it in mapping.columns if it.target}
        self._n = 0
        self._given_at = given_at
        self._limits = "start_low_deg" in self._at or "start_high_deg" in self._at
        # Where no column tells a size, every putt has the same.
        self._sizes = None if set(_SIZES) & set(self._at) else self._sizes_told()

    def _sizes_told(self) -> tuple[float, ...]:
        """Distance, pace, speed, both slopes and where it was read, of the row at hand."""
        return tuple(self._number(name, getattr(self._mapping, name, 0.0)) for name in _SIZES)

    def row(self, cells: list[str]) -> PuttRow:
        self._n += 1
        self._cells = cells
        if (who := self._text("golfer")) and who.casefold() != self._golfer:
            raise _Bad("Golfer", f"belongs to {who[:40]}")
        mapping = self._mapping
        sizes = self._sizes or self._sizes_told()
        u_deg = 0.02 if self._limits else mapping.u_deg
        entry = reader_station(*sizes, u_deg)
        if fault := _fault(*sizes, u_deg):
            raise _Bad(*fault)
        taken_at = self._when()
        condition = self._text("condition") or mapping.condition
        guided, voided = self._flag("guided"), self._flag("voided")
        raw, notes = self._start(sizes[-1]), self._notes()
        if raw is None and not notes:
            where = "Start" if self._at.keys() & set(STARTS) else "Row"
            raise _Bad(where, "tells nothing of a putt: neither its start, nor what was noted of it or measured")
        return PuttRow(
            lesson=self._text("lesson_id") or f"{taken_at if self._text('taken_at') else self._given_at:%Y-%m-%d}",
            block=(self._text("block_id") or condition, str(guided), str(raw is None), *_said(sizes)),
            taken_at=taken_at,
            condition=condition[:80],
            guided=guided,
            station=unwatched_station(*sizes) if raw is None else entry,
            raw=dict(NOT_WATCHED) if raw is None else raw,
            notes=notes,
            voided=voided,
            void_reason=(self._text("void_reason")[:80] or "as in the file") if voided else None,
        )

    def _start(self, rig_at_m: float) -> dict[str, float | str] | None:
        """The reading of the start; None where the row tells none."""
        if self._limits:
            found = {
                key: _under_90(value)
                for key, name in (("low_deg", "start_low_deg"), ("high_deg", "start_high_deg"))
                if (value := self._maybe(name)) is not None
            }
            low = self._at.get("start_low_deg") or self._at["start_high_deg"]
            if low.positive == "left":
                found = {("high_deg" if key == "low_deg" else "low_deg"): value for key, value in found.items()}
            if not found:
                return None
            if found.get("low_deg", -math.inf) > found.get("high_deg", math.inf):
                raise _Bad("Start", "the lower limit lies above the upper one")
            return dict(found)
        if (start := self._maybe("start_deg")) is not None:
            return {"read_deg": self._within("start_deg", start)}
        if (offset := self._maybe("start_offset")) is not None:
            return {"read_deg": self._within("start_offset", angle_deg(offset, rig_at_m))}
        return None

    def _within(self, name: str, start: float) -> float:
        if not READ.low <= start <= READ.high:
            raise _Bad(TARGETS[name].label, f"{start:.1f}° is beyond {READ.high:g}°")
        return start

    def _notes(self) -> dict[str, str | float]:
        found: dict[str, str | float] = {}
        for name in self._at:
            if name in NOTES and NOTES[name].options:
                said = self._text(name)
                if not said:
                    continue
                code = option_code(said)
                if code not in NOTES[name].options:
                    options = ", ".join(NOTES[name].options.values())
                    raise _Bad(NOTES[name].label, f"{said[:30]!r} is none of {options}")
                found[name] = code
            elif name in MEASURES or name in NOTES:
                if name == "start_deg" or (value := self._maybe(name)) is None:
                    continue
                # Lengths are metres here; strikes are told in mm.
                value = value * 1000 if name.endswith("_mm") else value
                bounds = MEASURES[name].bounds if name in MEASURES else NOTES[name].bounds
                if bounds and not bounds.low <= value <= bounds.high:
                    limit = f"{bounds.low:g} to {bounds.high:g} {bounds.unit}"
                    raise _Bad(TARGETS[name].label, f"{value:g} is out of {limit}")
                found[name] = round(value, 6)
        return found

    def _cell(self, name: str) -> str:
        use = self._at.get(name)
        if use is None or use.column >= len(self._cells):
            return ""
        cell = self._cells[use.column].strip()
        if len(cell) > _LONGEST_CELL:
            raise _Bad(TARGETS[name].label, f"longer than {_LONGEST_CELL} characters")
        if not cell.isprintable() and any(unicodedata.category(it) in ("Cc", "Cs") for it in cell):
            raise _Bad(TARGETS[name].label, "holds a control character, which can't be kept")
        return cell

    def _text(self, name: str) -> str:
        return from_spreadsheet(self._cell(name))

    def _flag(self, name: str) -> bool:
        said = self._text(name).casefold()
        if said not in _FLAGS:
            raise _Bad(TARGETS[name].label, f"{said[:20]!r} is neither yes nor no")
        return _FLAGS[said]

    def _number(self, name: str, otherwise: float) -> float:
        value = self._maybe(name)
        return otherwise if value is None else value

    def _maybe(self, name: str) -> float | None:
        """The number in a cell, in Libella's unit and sign; None where it is empty."""
        use = self._at.get(name)
        cell = self._text(name) if use else ""
        if use is None or not cell:
            return None
        try:
            value, side = _read(cell, TARGETS[name].kind, use.unit, self._mapping.decimal)
        except ValueError as fault:
            raise _Bad(TARGETS[name].label, str(fault)) from None
        sides = TARGETS[name].sides
        if not sides:
            return value
        plus = self._plain(side or use.positive)
        return abs(value) * (1 if plus == sides[0] else -1) if side else value * (1 if plus == sides[0] else -1)

    def _plain(self, side: str) -> str:
        """A side in Libella's own words: open is right for a right-handed golfer and left for a left-handed one."""
        if side not in _MINUS_BY_HAND:
            return side
        right = (_MINUS_BY_HAND[side] == "right") == (self._hand == "right")
        return "right" if right else "left"

    def _when(self) -> datetime:
        said = self._text("taken_at")
        if not said:
            # Without a time of its own a putt keeps its place in the file. Steps as small as are kept: a long file
            # given in the evening must not run on into the next day, and another lesson.
            return self._given_at + timedelta(microseconds=self._n)
        found = _moment(said, self._mapping.day_first)
        if found is None:
            raise _Bad("When", f"{said[:30]!r} is no date and time")
        found, zoned = found
        if found < EARLIEST:
            raise _Bad("When", f"{said[:30]!r} lies before {EARLIEST.year}")
        # A time without a zone may be that of a place where it is later already.
        if found > self._given_at + (GRACE if zoned else _AHEAD):
            raise _Bad("When", f"{said[:30]!r} lies in the future")
        return min(found, self._given_at)


_FLAGS: Final = {"": False, "0": False, "no": False, "false": False, "n": False, "1": True, "yes": True, "true": True,
                 "y": True}  # fmt: skip
_SIDES: Final = {
    "l": "left",
    "r": "right",
    "left": "left",
    "right": "right",
    "open": "open",
    "closed": "closed",
    "toe": "toe",
    "heel": "heel",
    "high": "high",
    "low": "low",
    "in to out": "in_to_out",
    "in_to_out": "in_to_out",
    "out to in": "out_to_in",
    "out_to_in": "out_to_in",
    "down": "down",
    "up": "up",
}
_NUMBER = re.compile(r"([+\-−]?\d*[.,]?\d+(?:[eE][+-]?\d+)?)\s*(.*)")


@lru_cache(maxsize=65536)
def _read(cell: str, kind: Kind, unit: str, decimal: str) -> tuple[float, str]:
    """Number and side of a cell: "1.2", "-1,2", "12 mm", "0.5° L"; a unit in the cell goes before the column's."""
    if cell[0] in "=@" or (cell[0] in "+-" and not re.match(r"[+-]\s*[\d.,]", cell)):
        raise ValueError("a formula, not a value")
    found = _NUMBER.fullmatch(cell)
    if not found:
        raise ValueError(f"{cell[:30]!r} is no number")
    digits, rest = found[1].replace("−", "-"), found[2].strip().casefold()
    other = "," if decimal == "." else "."
    if other in digits:
        raise ValueError(f"{cell[:30]!r} has a decimal {'comma' if other == ',' else 'point'}; this file has the other")
    value = float(digits.replace(",", "."))
    side = next((it for it in sorted(_SIDES, key=len, reverse=True) if rest == it or rest.endswith(f" {it}")), "")
    rest = rest.removesuffix(side).strip()
    units = UNITS.get(kind, {"": 1.0})
    rest = _SAID.get(rest, rest)
    if rest and rest not in units:
        raise ValueError(f"{rest[:20]!r} is no unit of it: {', '.join(it for it in units if it)}")
    return value * units[rest or unit], _SIDES.get(side, "")


@lru_cache(maxsize=4096)
def _moment(said: str, day_first: bool) -> tuple[datetime, bool] | None:
    """A date and time, and whether it names its zone; without one it is taken for UTC."""
    try:
        found = datetime.fromisoformat(said)
    except ValueError:
        found = None
        order = ("%d/%m/%Y", "%d.%m.%Y", "%m/%d/%Y") if day_first else ("%m/%d/%Y", "%d/%m/%Y", "%d.%m.%Y")
        for day in order:
            for clock in (" %H:%M:%S", " %H:%M", ""):
                try:
                    found = datetime.strptime(said, day + clock)
                    break
                except ValueError:
                    continue
            if found:
                break
    if found is None:
        return None
    if found.tzinfo is None:
        return found.replace(tzinfo=UTC), False
    try:
        return found.astimezone(UTC), True
    except OverflowError:
        return None


@lru_cache(maxsize=4096)
def _fault(*sizes: float) -> tuple[str, str] | None:
    """Why a putt of those sizes can't be; by the sizes, not by the entry, whose place may be another's tomorrow."""
    try:
        reader_station(*sizes).station()
    except OutOfLimits as fault:
        label = TARGETS[fault.field].label if fault.field in TARGETS else "Putt"
        return label, refusal_words(fault, "metric").message
    return None
