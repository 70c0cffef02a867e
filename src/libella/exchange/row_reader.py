"""One row of a sheet read as a putt, in Libella's units and signs; or why it can't be."""

import math
import re
import unicodedata
from collections.abc import Mapping
from datetime import datetime, timedelta
from functools import lru_cache
from typing import Final

from ..core.golfer.hand import Hand
from ..core.instruments.degree_reader import READ
from ..core.instruments.no_rig import NOT_WATCHED
from ..core.measure.angle import angle_deg
from ..core.measure.flag import FLAGS, checked_flags
from ..core.measure.limits import Bounds, OutOfLimits
from ..core.start.notes import NOTES, joined, parts_of
from ..core.start.stroke import MEASURES
from ..lessons.desk.times import EARLIEST, GRACE
from ..lessons.keep.imports import PuttRow
from ..words.refusals import refusal_words
from .cells import SIDES, Order, clock, is_either, is_number, moment, number, plain
from .columns import PAIRS, STARTS, TARGETS, ColumnMapping, ColumnUse, option_code, reader_station, unwatched_station
from .headings import units_of
from .sheet import Sheet
from .spreadsheet import from_spreadsheet

_LONGEST_CELL: Final = 4000
_AHEAD: Final = timedelta(hours=14)
_BY_HAND: Final = {
    "closed": "left", "open": "right", "in_to_out": "right", "out_to_in": "left", "push": "right", "pull": "left",
}  # fmt: skip
"""Where these lie for a right-handed golfer."""
_TEXTS: Final = ("golfer", "condition", "lesson_id", "block_id", "void_reason", "flags")
_TOTALS: Final = re.compile(
    r"(grand |sub ?)?(totals?|sum|averages?|avg|mean|median|min(imum)?|max(imum)?|st\.? ?dev\.?|std\.?( ?dev\.?)?|sd|"
    r"standard deviation|count|n)\b.{0,30}"
)


def _under_90(value: float) -> float:
    if not -90 <= value <= 90:
        raise Bad("Start", f"{value:g}° is beyond 90°")
    return value


class Bad(Exception):
    """Why a row can't be read: in which column, `at` which place, for what `cell`; `start`: what it says of a start."""

    def __init__(self, column: str, reason: str, at: int = -1, cell: str = "") -> None:
        super().__init__(reason)
        self.column, self.reason, self.at, self.cell, self.start = column, reason, at, cell, ""


def _noted(name: str) -> tuple[str, Mapping[str, str], Bounds | None, float]:
    """What is noted or measured of a putt: its name, its options or its bounds, and how many of its units a metre is:
    lengths are metres here, strikes are told in mm."""
    note, scale = NOTES.get(name), 1000.0 if name.endswith("_mm") else 1.0
    if note and note.options:
        return name, note.options, None, scale
    return name, {}, MEASURES[name].bounds if name in MEASURES else note and note.bounds, scale


_SIZES: Final = ("distance_m", "past_m", "green_speed_ft", "falls_forward_percent", "falls_right_percent", "rig_at_m")


@lru_cache(maxsize=2048)
def _said(sizes: tuple[float, ...]) -> tuple[str, ...]:
    return tuple(f"{it:g}" for it in sizes)


class RowReader:
    """Reads the cells of one file."""

    def __init__(self, sheet: Sheet, mapping: ColumnMapping, golfer: str, hand: Hand, given_at: datetime) -> None:
        self._width, self._mapping = len(sheet.headings), mapping
        self.hand: Hand = hand
        self._headings = [it.casefold() for it in sheet.headings]
        self._golfer = golfer.casefold()
        self._at = {it.target: it for it in mapping.columns if it.target}
        self._units = {it: tuple(units_of(TARGETS[it].kind).items()) for it in TARGETS}
        self._texts = {self._at[it].column for it in _TEXTS if it in self._at}
        self._mended: dict[int, dict[int, str]] = {}
        for it in mapping.mended:
            self._mended.setdefault(it.line, {})[it.column] = it.text
        first = mapping.day_first
        self._order: Order | None = None if first is None else "day" if first else "month"
        self._n = 0
        self._given_at = given_at
        self._limits = "start_low_deg" in self._at or "start_high_deg" in self._at
        self._seen: dict[tuple[str, ...], int] = {}
        self._numbers: dict[tuple[str, str], float | None] = {}
        self.tells_sides = (
            "start_side" in self._at or self._limits or any(it in self._at for pair in PAIRS for it in pair)
        )
        self.either_dates = False
        self._noted = [_noted(it) for it in self._at if it in NOTES or (it in MEASURES and it != "start_deg")]
        # Where no column tells a size, every putt has the same.
        self._sizes = None if set(_SIZES) & set(self._at) else self._sizes_told()

    def tells(self, target: str) -> bool:
        return target in self._at

    def _sizes_told(self) -> tuple[float, ...]:
        """Distance, pace, speed, both slopes and where it was read, of the row at hand."""
        told = [(name, self._maybe(name) if name in self._at else None) for name in _SIZES]
        return tuple(getattr(self._mapping, name, 0.0) if value is None else value for name, value in told)

    def row(self, line: int, cells: list[str]) -> PuttRow:
        """The row as a putt; raises `Bad` with what of it can't be read."""
        self._n += 1
        for column, text in self._mended.get(line, {}).items():
            cells = [*cells, *[""] * (column + 1 - len(cells))]
            # Typed here, a number may have either decimal sign, whichever the file has.
            said = text.strip()
            cells[column] = re.sub(r"[.,]", self._mapping.decimal, said) if is_number(said) else said
        self._cells = cells
        try:
            self._is_putt(line)
            return self._putt()
        except Bad as fault:
            fault.start = next((said for it in STARTS if (said := self._cell(it))), "")
            raise

    def _is_putt(self, line: int) -> None:
        """Raises `Bad` for a row that is none: headings again, totals, more cells than headings, one twice."""
        cells = self._cells
        if any(cells[self._width :]):
            raise Bad("Row", f"{len(cells)} cells under {self._width} headings: a decimal comma cuts a number in two "
                       "unless it is quoted, or the file is cut at semicolons")  # fmt: skip
        if [it.casefold() for it in cells[: self._width]] == self._headings[: len(cells)]:
            raise Bad("Row", "the headings again, no putt")
        first = next(((n, it) for n, it in enumerate(cells) if it), None)
        if first and first[0] not in self._texts and _TOTALS.fullmatch(first[1].casefold()):
            raise Bad("Row", f"“{first[1][:30]}” is what rows come to together, no putt")
        if self._has_clock():
            before = self._seen.setdefault(tuple(cells), line)
            if before != line:
                raise Bad("Row", f"the same as line {before}, to the moment: it is one putt")

    def _has_clock(self) -> bool:
        """Whether the row says at which minute it was: two putts are never alike in all then."""
        return bool(self._cell("clock")) or bool(re.search(r"\d[:.]\d\d|\d{5}\.\d", self._cell("taken_at")))

    def _putt(self) -> PuttRow:
        if (who := self._text("golfer")) and who.casefold() != self._golfer:
            raise Bad("Golfer", f"belongs to {who[:40]}")
        mapping = self._mapping
        sizes = self._sizes or self._sizes_told()
        u_deg = 0.02 if self._limits else mapping.u_deg
        entry = reader_station(*sizes, u_deg)
        if fault := _fault(*sizes, u_deg):
            raise Bad(*fault)
        taken_at = self._when()
        condition = self._text("condition") or mapping.condition
        guided, voided = self._flag("guided"), self._flag("voided")
        raw, notes = self._start(sizes[-1]), self._notes()
        if raw is None and not notes:
            where = "Start" if self._at.keys() & set(STARTS) else "Row"
            raise Bad(where, "tells nothing of a putt: neither its start, nor what was noted of it or measured")
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
            flags=self._flags(),
        )

    def _flags(self) -> tuple[str, ...]:
        """What was said of the putt that lowers its weight, as Libella writes it."""
        told = [it for it in self._text("flags").split("+") if it]
        if strange := [it for it in told if it not in FLAGS]:
            raise Bad("What lowers its weight", f"“{strange[0][:40]}” is none of {', '.join(FLAGS)}")
        return checked_flags(told, "putt")

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
                raise Bad("Start", "the lower limit lies above the upper one")
            return dict(found)
        if (start := self._sided("start_deg")) is not None:
            return {"read_deg": self._within("start_deg", start)}
        if (offset := self._sided("start_offset")) is not None:
            return {"read_deg": self._within("start_offset", angle_deg(offset, rig_at_m))}
        if (start := self._of_two(*PAIRS[0])) is not None:
            return {"read_deg": self._within("start_right_deg", start)}
        if (offset := self._of_two(*PAIRS[1])) is not None:
            return {"read_deg": self._within("offset_right", angle_deg(offset, rig_at_m))}
        return None

    def _sided(self, name: str) -> float | None:
        """A start whose side may stand in a column of its own."""
        value = self._maybe(name)
        if value is None or "start_side" not in self._at:
            return value
        said = self._said("start_side").casefold()
        side = self._plain(SIDES.get(said, ""))
        if side in ("left", "right"):
            if value < 0:
                raise self._bad(name, "has a minus, and a side in its own column: which of them says where")
            return value if side == "right" else -value
        if value == 0:
            return value
        raise self._bad("start_side", f"{said[:20]!r} is neither left nor right" if said else "no side is told")

    def _of_two(self, left: str, right: str) -> float | None:
        """A start told in one of two columns, each for its side."""
        told = {name: abs(value) for name in (left, right) if (value := self._maybe(name)) is not None}
        if not told:
            return None
        if all(told.get(name) for name in (left, right)):
            raise self._bad(right, "is told to the left and to the right")
        return told.get(right, 0.0) or -told.get(left, 0.0)

    def _within(self, name: str, start: float) -> float:
        if not READ.low <= start <= READ.high:
            raise self._bad(name, f"{start:.1f}° is beyond {READ.high:g}°")
        return start

    def _notes(self) -> dict[str, str | float]:
        found: dict[str, str | float] = {}
        for name, options, bounds, scale in self._noted:
            if options:
                said = self._said(name)
                if not said:
                    continue
                codes = [option_code(it) for it in parts_of(said)]
                if any(it not in options for it in codes) or (len(codes) > 1 and not NOTES[name].alone):
                    raise self._bad(name, f"{said[:30]!r} is none of {', '.join(options.values())}")
                found[name] = joined(codes, NOTES[name])
            elif (value := self._maybe(name)) is not None:
                value *= scale
                if bounds and not bounds.low <= value <= bounds.high:
                    limit = f"{bounds.low:g} to {bounds.high:g} {bounds.unit}"
                    raise self._bad(name, f"{value:g} is out of {limit}")
                # What a double is off goes; what was typed in parts of an inch stays whole.
                found[name] = round(value, 9)
        return found

    def _bad(self, name: str, reason: str) -> Bad:
        use = self._at.get(name)
        cell = "" if use is None or use.column >= len(self._cells) else self._cells[use.column]
        return Bad(TARGETS[name].label, reason, -1 if use is None else use.column, cell)

    def _cell(self, name: str) -> str:
        use = self._at.get(name)
        if use is None or use.column >= len(self._cells):
            return ""
        cell = self._cells[use.column].strip()
        if len(cell) > _LONGEST_CELL:
            raise self._bad(name, f"longer than {_LONGEST_CELL} characters")
        if not cell.isprintable() and any(unicodedata.category(it) in ("Cc", "Cs") for it in cell):
            raise self._bad(name, "holds a control character, which can't be kept")
        return cell

    def _text(self, name: str) -> str:
        """A cell's words as they stand; none where no column tells it."""
        return from_spreadsheet(self._cell(name)) if name in self._at else ""

    def _said(self, name: str) -> str:
        """What a cell says, in signs of a keyboard."""
        return plain(self._text(name))

    def _flag(self, name: str) -> bool:
        if name not in self._at:
            return False
        said = self._said(name).casefold()
        if said not in _FLAGS:
            raise self._bad(name, f"{said[:20]!r} is neither yes nor no")
        return _FLAGS[said]

    def _maybe(self, name: str) -> float | None:
        """The number in a cell, in Libella's unit and sign; None where it is empty. Most cells of a column say what
        another of it said."""
        use = self._at.get(name)
        if use is None or use.column >= len(self._cells):
            return None
        key = name, self._cells[use.column]
        if key not in self._numbers:
            self._numbers[key] = self._number(name, use)
        return self._numbers[key]

    def _number(self, name: str, use: ColumnUse) -> float | None:
        if not (cell := self._said(name)):
            return None
        try:
            value, side = number(cell, self._units[name], use.unit, self._mapping.decimal)
        except ValueError as fault:
            raise self._bad(name, str(fault)) from None
        sides = TARGETS[name].sides
        if not sides:
            if side:
                raise self._bad(name, f"{cell[:30]!r} says a side, and this has none")
            return value
        if side:
            plus = self._plain(side)
            if plus not in sides[:2]:
                raise self._bad(name, f"{cell[:30]!r} says a side that this does not have")
            self.tells_sides = self.tells_sides or name in STARTS
            return value if plus == sides[0] else -value
        return value * (1 if self._plain(use.positive) == sides[0] else -1)

    def _plain(self, side: str) -> str:
        """A side in Libella's own words: open is right for a right-handed golfer and left for a left-handed one."""
        if side not in _BY_HAND:
            return side
        right = (_BY_HAND[side] == "right") == (self.hand == "right")
        return "right" if right else "left"

    def _when(self) -> datetime:
        said = self._said("taken_at")
        if not said:
            # Without a time of its own a putt keeps its place in the file. Steps as small as are kept: a long file
            # given in the evening must not run on into the next day, and another lesson.
            return self._given_at + timedelta(microseconds=self._n)
        hour = self._said("clock")
        found = moment(said, self._order)
        if found is None:
            either = moment(said, "day") or moment(said, "month")
            why = "is no date and time" if either is None else "does not fit: say how its dates begin"
            if either is not None and self._order is not None:
                why = f"is no date that begins with the {self._order}, as the others here do"
            raise self._bad("taken_at", f"{said[:30]!r} {why}")
        found, zoned = found
        if hour:
            at = clock(hour)
            if at is None:
                raise self._bad("clock", f"{hour[:20]!r} is no time of day")
            found = found.replace(hour=at.hour, minute=at.minute, second=at.second, microsecond=at.microsecond)
        self.either_dates = self.either_dates or is_either(said)
        if found < EARLIEST:
            raise self._bad("taken_at", f"{said[:30]!r} lies before {EARLIEST.year}")
        # A time without a zone may be that of a place where it is later already.
        if found > self._given_at + (GRACE if zoned else _AHEAD):
            raise self._bad("taken_at", f"{said[:30]!r} lies in the future")
        return min(found, self._given_at)


_FLAGS: Final = {"": False, "0": False, "no": False, "false": False, "n": False, "1": True, "yes": True, "true": True,
                 "y": True}  # fmt: skip


@lru_cache(maxsize=4096)
def _fault(*sizes: float) -> tuple[str, str] | None:
    """Why a putt of those sizes can't be; by the sizes, not by the entry, whose place may be another's tomorrow."""
    try:
        reader_station(*sizes).station()
    except OutOfLimits as fault:
        label = TARGETS[fault.field].label if fault.field in TARGETS else "Putt"
        return label, refusal_words(fault, "metric").message
    return None
