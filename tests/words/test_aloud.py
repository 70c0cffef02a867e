"""The page of everything Libella says: no sentence is missing from it, and none trips."""

import ast
import importlib
import inspect
import pkgutil
import re
from pathlib import Path

import libella.words as words
from libella.words.aloud import page
from libella.words.shared.brief import LONGEST

from .conftest import NOT_SENTENCES, ROOM

# Sentences that no sample golfer reaches; each is read where it is tested.
REACHED_ELSEWHERE = {
    "A tie.",
    "Every place worth trying was tried.",
    ". Which way is not sure.",
    " What feels straight is a straight start (± ",
}


def modules() -> list[Path]:
    return [it for it in sorted(ROOM.rglob("*.py")) if not NOT_SENTENCES & set(it.relative_to(ROOM).parts)]


def sentences_of(path: Path):
    """Statements of functions that hold words: where they stand, and how they begin."""
    for function in ast.walk(ast.parse(path.read_text())):
        if not isinstance(function, ast.FunctionDef):
            continue
        for it in ast.walk(function):
            if isinstance(it, ast.Return | ast.Assign | ast.AugAssign):
                said = [
                    one.value for one in ast.walk(it) if isinstance(one, ast.Constant) and isinstance(one.value, str)
                ]
                if begins := next((one for one in said if isinstance(one, str) and " " in one.strip()), None):
                    yield set(range(it.lineno, it.end_lineno + 1)), begins


def test_every_sentence_is_read_aloud_and_none_trips(heard):
    reading, lines = heard
    every_sentence_is_read(lines)
    whoever_says_something_is_asked_to(reading)
    nothing_trips(reading)
    whoever_is_told_the_units_speaks_them(reading)
    the_page_has_every_step(reading)
    nothing_in_brief_is_cut(reading)


def every_sentence_is_read(lines):
    missing = {
        begins for path in modules() for where, begins in sentences_of(path) if not where & lines.get(str(path), set())
    }
    assert missing <= REACHED_ELSEWHERE, f"give words.aloud a sample that says: {missing - REACHED_ELSEWHERE}"


def whoever_says_something_is_asked_to(reading):
    public = set()
    for it in pkgutil.walk_packages(words.__path__, "libella.words."):
        if NOT_SENTENCES & set(it.name.split(".")) or it.name.endswith(("__main__", "vocabulary")):
            continue
        module = importlib.import_module(it.name)
        public |= {
            one
            for name, one in inspect.getmembers(module, inspect.isfunction)
            if one.__module__ == it.name and not name.startswith("_")
        }
    assert public - reading.functions == set()


TRIPS = {
    "a fact that is not filled in": r"[{}]|\bNone\b(?! declared)|\bnan\b",
    "a word twice": r"\b([a-z]+) \1\b",
    "a space too many": r"  | [.,;:]|\.\.",
    "one of many": r"(?<![-−.\d])1 (?:putts|answers|set-downs|looks|calls|checks|things|changes)\b",
    "metres and feet in one breath": r"\d (?:mm|cm|m)\b[^.]*\d (?:in|ft)\b(?! green| a hundred)",
}


def nothing_trips(reading):
    said = [it for told in reading.said.values() for some in told.values() for it in some]
    assert len(said) > 2000
    for what, trips in TRIPS.items():
        assert [it for it in said if re.search(trips, it)] == [], what


# A green's speed is told in feet everywhere.
OTHER_UNITS = {
    "feet": r"(?<![\w.])(?:\d+(?:[.,]\d+)?\s?(?:mm|cm|m)|(?:milli|centi)?metres?)(?![\w/])",
    "metric": r"(?<![\w.])(?:[\d/]+\s?(?:in|ft)(?! a hundred| green|[.);])|inch(?:es)?|every foot)(?![\w/])",
}


def whoever_is_told_the_units_speaks_them(reading):
    for units, other in OTHER_UNITS.items():
        said = reading.in_units[units]
        assert len(said) > 500 and [it for it in said if re.search(other, it)] == [], units


def the_page_has_every_step(reading):
    told = page(reading)
    for step in ("Set", "Stand", "See", "Aim", "Start", "Judge", "Keep", "Refusals", "Vocabulary"):
        assert f"## {step}" in told


def nothing_in_brief_is_cut(reading):
    """What stands in a narrow run sheet."""
    told = [it for step in reading.said.values() for it in step.items()]
    brief = {it for what, some in told if what.endswith("_brief") for it in some}
    assert len(brief) > 20 and [it for it in brief if len(it) > LONGEST] == []
