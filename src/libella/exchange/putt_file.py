"""Putts as CSV or JSON, one row a putt, voided ones too; `DICTIONARY` and docs/formats/putts.md tell the columns."""

import csv
import io
import json
from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass
from typing import Any, Final

from ..core.measure.flag import FLAGS, weight_of
from ..core.start.notes import NOTES, Note
from ..core.start.stroke import MEASURES, Measure
from ..core.start.watched import kind_of
from ..lessons.lesson.lessons import BlockSheet
from ..lessons.start.blocks import station_of
from ..lessons.start.strokes import StrokeSheet, measures_of, strokes_by_putt
from ..lessons.values import KeptGolfer, KeptLesson
from .spreadsheet import for_spreadsheet

FORMAT: Final = "libella-putts"
VERSION: Final = 4
Value = str | float | int | bool | None
_PUTT: Final = ("distance_m", "past_m", "green_speed_ft", "falls_forward_percent", "falls_right_percent")


@dataclass(frozen=True, slots=True)
class Column:
    """A column: its name, its unit ("" for none), what it says."""

    name: str
    unit: str
    meaning: str


def _options(it: Note) -> str:
    return f": {', '.join(it.options)}" if it.options else f", {it.high_word} positive" if it.low_word else ""


def _plus(it: Measure) -> str:
    """Which side is plus, of what has one; a strike's own name says it."""
    return ", right positive" if it.bounds.low < 0 and it.bounds.unit == "deg" else ""


DICTIONARY: Final[tuple[Column, ...]] = (
    Column("golfer", "", "name as noted"),
    Column("hand", "", "right or left: the side the golfer putts from"),
    Column("lesson_id", "", "of the lesson"),
    Column("lesson_started_at", "", "ISO 8601, UTC"),
    Column("place", "", "where the lesson was given"),
    Column("surface", "", "indoor_mat, carpet or green"),
    Column("invented", "", "true: of the demo, of no real golfer"),
    Column("block_id", "", "of the block"),
    Column("condition", "", "what stayed the same through the block"),
    Column("guided", "", "true: the rig stood in the golfer's view"),
    Column("distance_m", "m", "ball to the hole's centre"),
    Column("past_m", "m", "pace: how far past the hole a miss would run"),
    Column("green_speed_ft", "ft", "green speed on the ramp"),
    Column("falls_forward_percent", "%", "slope along the line, downhill to the hole positive"),
    Column("falls_right_percent", "%", "slope across the line, falling to the right positive"),
    Column("rig", "", "the instrument that watched the start"),
    Column("rig_at_m", "m", "how far from the ball it stood"),
    Column("line_proved", "", "true: the line was verified a second way"),
    Column("window_left_deg", "deg", "what the hole allows to the left of the start target, positive"),
    Column("window_right_deg", "deg", "what the hole allows to the right of it"),
    Column("putt_id", "", "of the putt"),
    Column("taken_at", "", "ISO 8601, UTC"),
    Column("start_low_deg", "deg", "lower limit of the error against the start target, right positive; empty: open"),
    Column("start_high_deg", "deg", "upper limit of it; empty: open"),
    Column("raw", "", "the reading as it was tapped, JSON"),
    *(
        Column(name, it.bounds.unit if it.bounds else "", f"{it.label.lower()}{_options(it)}; empty: not noted")
        for name, it in NOTES.items()
    ),
    *(
        Column(name, it.bounds.unit, f"{it.label.lower()}{_plus(it)}; empty: not told")
        for name, it in MEASURES.items()
        if name not in NOTES and name != "start_deg"
    ),
    Column("watched", "", "what was noted of each aid that lay beside it, JSON; empty: nothing"),
    Column("weight", "", "as much of a whole putt it counts: 1, or less for what was said of it"),
    Column("flags", "", f"what lowers its weight: {', '.join(FLAGS)}; several with a +; empty: nothing"),
    Column("voided", "", "true: does not count"),
    Column("void_reason", "", "why"),
)


def rows(
    golfer: KeptGolfer, lesson: KeptLesson, sheets: Iterable[BlockSheet], strokes: Sequence[StrokeSheet] = ()
) -> list[dict[str, Value]]:
    """One row a putt, oldest first, keyed by column; `strokes` are what sensors told in the lesson."""
    told = strokes_by_putt(strokes)
    found: list[dict[str, Value]] = []
    for sheet in sheets:
        block, station = sheet.block, station_of(sheet.block)
        same: dict[str, Value] = {
            "golfer": golfer.name,
            "hand": lesson.hand,
            "lesson_id": str(lesson.id),
            "lesson_started_at": lesson.started_at.isoformat(),
            "place": lesson.place,
            "surface": lesson.surface,
            "invented": lesson.invented,
            "block_id": str(block.id),
            "condition": block.condition,
            "guided": block.guided,
            **{it: getattr(block, it) for it in _PUTT},
            "rig": block.rig_kind,
            "rig_at_m": station.rig.station_m,
            "line_proved": station.proof.proves_line,
            "window_left_deg": station.putt.window.left_deg,
            "window_right_deg": station.putt.window.right_deg,
        }
        for it in sheet.readings:
            watched = {name: value for name, value in it.notes.items() if kind_of(name)}
            own: dict[str, Value] = {
                "putt_id": str(it.id),
                "taken_at": it.taken_at.isoformat(),
                "start_low_deg": it.low_deg,
                "start_high_deg": it.high_deg,
                "raw": json.dumps(it.raw, sort_keys=True),
                **{name: it.notes.get(name) for name in NOTES},
                **measures_of(it, told.get(it.id, ())),
                "watched": json.dumps(watched, sort_keys=True) if watched else None,
                "weight": weight_of(it.flags),
                "flags": "+".join(it.flags) or None,
                "voided": it.voided,
                "void_reason": it.void_reason,
            }
            whole = same | own
            found.append({column.name: whole.get(column.name) for column in DICTIONARY})
    return found


def as_csv(putts: Sequence[dict[str, Value]]) -> str:
    """RFC 4180, UTF-8, with a header; booleans as true and false, what is not there is empty.

    Words that a spreadsheet would take for a formula get an apostrophe before them.
    """
    out = io.StringIO()
    writer = csv.DictWriter(out, [it.name for it in DICTIONARY], lineterminator="\r\n")
    writer.writeheader()
    writer.writerows({name: _cell(value) for name, value in row.items()} for row in putts)
    return out.getvalue()


def as_json(putts: Sequence[dict[str, Value]]) -> str:
    """One object: what it is, the dictionary, the rows."""
    document: dict[str, Any] = {
        "format": FORMAT,
        "version": VERSION,
        "dictionary": [{"name": it.name, "unit": it.unit, "meaning": it.meaning} for it in DICTIONARY],
        "putts": list(putts),
    }
    return json.dumps(document, ensure_ascii=False)


def _cell(value: Value) -> Value:
    if isinstance(value, bool):
        return "true" if value else "false"
    return for_spreadsheet(value) if isinstance(value, str) else value


@dataclass(frozen=True, slots=True)
class Form:
    """A form in which putts go out: what it is called on the wire, and how it is written."""

    media_type: str
    written: Callable[[Sequence[dict[str, Value]]], str]


FORMS: Final[dict[str, Form]] = {
    "csv": Form("text/csv; charset=utf-8", as_csv),
    "json": Form("application/json", as_json),
}
