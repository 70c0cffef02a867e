"""What is said under Keep."""

from dataclasses import dataclass
from datetime import UTC, date, datetime
from typing import Any, get_args

from ...core.change.drills import drills
from ...core.golfer.limits import LIMITS
from ...core.keep.card import Card
from ...core.keep.caution import At, Case, of_kinds
from ...core.keep.convert import WAYS, converted
from ...core.keep.due import DueKind
from ...core.keep.quick_check import Kept
from ...core.see.position import LEVERS, Position
from ...core.start.notes import NOTES
from ..keep import archive, caution, converter, file_rows, logbook, summary
from ..keep import card as cards
from ..keep.file_rows import Doubt, ReadRow
from ..keep.file_work import work_words
from ..shared import plain
from .reading import Reading
from .samples import about


def keep_aloud(it: Reading) -> None:
    kept = Kept(about(20.0, 5.0), about(0.0, 10.0), 4.0, about(0.5, 0.3))
    positions: list[Position] = [{}, *({lever: size} for lever in LEVERS for size in (-20.0, 20.0))]
    for position in positions:
        for some in (kept, Kept(None, None, 0.0, None), Kept(about(-20.0, 5.0), None, 0.0, about(0.0, 0.3))):
            card = Card(position, {"ball_toes_m": 0.24, "stance_m": 0.3}, some, None, (10, 50))
            it.say("keep", cards.card_rows, card, it.units)
            it.say("keep", cards.change_words, card, it.units)
    _files_aloud(it)
    _sheet_aloud(it)
    _logbook_aloud(it)
    _archive_aloud(it)
    for at in get_args(At):
        case = Case(at, of_kinds("ground_laser", "ground_mirror"), "green", minutes=13.0, limits=LIMITS, sight=True)
        it.say("keep", caution.cautions_said, case)
    for one in drills().values():
        it.say("keep", caution.drill_cautions_said, one)
    for amount in (0.0, 0.96, -2.5):
        for way in WAYS:
            it.say("keep", converter.amount_said, converted(amount, "deg", 3.0), way)
    for phase, refused in (("stopped", ""), ("failed", ""), ("failed", "mapping"), ("done", "")):
        it.say("keep", work_words, _Ended(phase, _Found(refused)))


def _sheet_aloud(it: Reading) -> None:
    it.say(
        "keep",
        summary.session_said,
        date(2026, 4, 6),
        ["Clean roll: 10 putts.", "Lids: 10 set-downs.", "Lids: 10 set-downs."],
        "About 8 of 15 minutes.",
    )
    for degrees in (0.1, 0.6, 1.0, 1.5, 4.0):
        it.say("keep", plain.put, f"Within {degrees:g}° either side: likely.", "plain", it.units)
    it.say("keep", summary.under_said, "The Ropewalk", date(2026, 4, 3))


def _logbook_aloud(it: Reading) -> None:
    for sort in get_args(logbook.Sort):
        for words, size in (("as it was written", 9.0), ("", 0.0)):
            it.say("keep", logbook.entry_said, sort, words, "behind", "Peg gate", size, it.units)
    for kind in get_args(DueKind):
        for of in ("Aim over a spot", ""):
            it.say("keep", logbook.due_said, kind, of)
    for words in ("jun", ""):
        it.say("keep", logbook.nothing_found, words)


@dataclass(frozen=True)
class _Damaged:
    file: str
    code: str
    needed: bool
    facts: tuple[tuple[str, str], ...] = (("where", "row 3, hand"),)


@dataclass(frozen=True)
class _Archived:
    of: str = "The Ropewalk"
    scope: str = "studio"
    invented: bool = True
    made_at: str = "2026-04-03T10:05:00+00:00"
    golfers: tuple[str, ...] = ("Junia Thale", "Wim Adeyari")
    counts: tuple[tuple[str, int], ...] = (("golfer", 5), ("lesson", 1), ("band_version", 2))
    new: tuple[tuple[str, int], ...] = (("golfer", 1), ("reading", 12))
    here: int = 3
    otherwise: int = 4
    rows_otherwise: tuple[tuple[str, str], ...] = (("golf_round", "7"),) * 4


def _archive_aloud(it: Reading) -> None:
    it.say("keep", archive.file_name, "The Ropewalk", True)
    for one in (_Archived(), _Archived(scope="golfer", invented=False, counts=()), _Archived(of="")):
        it.say("keep", archive.found_said, one)
    for one in (_Archived(), _Archived(new=(), here=0, otherwise=0)):
        it.say("keep", archive.taken_said, one)
    for code in archive.DAMAGES:
        for needed in (True, False):
            it.say("keep", archive.damage_said, _Damaged("data/lesson-0001.json", code, needed))
    facts = {
        "told": "2", "newest": "1", "where": "scope", "most": "9", "named": "x", "most_mb": "9", "file": "data/x",
        "table": "lesson", "to": "golfer", "whose": "Junia Thale",
    }  # fmt: skip
    for code in ("", *archive.REFUSALS):
        it.say("keep", archive.refused_said, code, facts)


def _files_aloud(it: Reading) -> None:
    at = datetime(2026, 4, 3, 10, 5, tzinfo=UTC)
    notes: list[dict[str, str | float]] = [
        {"face_impact_deg": -1.2, "path_deg": 0.0, "strike_toe_mm": 6.0, "strike_up_mm": 0.0, "ran_past_m": -0.4},
        {"face_address_deg": 0.5, "strike_up_mm": -3.0, "ran_past_m": 0.3, "back_m": 0.25, "backswing_s": 0.61},
        {name: next(iter(note.options)) for name, note in NOTES.items() if note.options},
        {"sensor_consistency": 80.0},
    ]
    for low, high in ((1.2, 1.2), (-1.5, -0.5), (0.0, 0.0), (None, -1.0), (1.0, None), (None, None)):
        row = ReadRow(7, it.hand, at if low else None, low, high, notes[0], 2.44, "as usual", low is None)
        it.say("keep", file_rows.row_read, row, it.units)
    for told in notes:
        row = ReadRow(2, it.hand, at, 0.5, 0.5, told, 3.0, "wide base", False)
        it.say("keep", file_rows.row_read, row, it.units)
    for doubt in get_args(Doubt):
        it.say("keep", file_rows.doubt_words, doubt)
    for by, another, missing in ((("Start (mm)", "mm"), False, False), (("Face",), False, True), ((), True, False)):
        it.say("keep", file_rows.guess_words, by, another=another, unit_missing=missing)
    it.say("keep", file_rows.guess_words, (), another=False, unit_missing=False)
    for above, others in (((), ()), (("Putting log",), ()), (("Log", "Green"), (("Notes", 3), ("Old", 1)))):
        it.say("keep", file_rows.passed_over, above, "Putts" if others else "", others)


@dataclass(frozen=True)
class _Found:
    refused: str


@dataclass(frozen=True)
class _Ended:
    phase: Any
    found: _Found
