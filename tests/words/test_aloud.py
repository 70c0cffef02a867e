"""The page of everything Libella says: no sentence is missing from it, and none trips."""

import ast
import importlib
import inspect
import pkgutil
import re
import sys
from pathlib import Path

import pytest

import libella.words as words
from libella.words.aloud import Reading, page, read_aloud

ROOM = Path(words.__file__).parent
# Sentences that no sample golfer reaches; each is read where it is tested.
REACHED_ELSEWHERE = {
    "A tie.",
    "Every place worth trying was tried.",
    ". Which way is not sure.",
    " What feels straight is a straight start (± ",
}
NOT_SENTENCES = {"aloud", "__main__.py", "shared"}


def heard():
    """What was read, and the lines of the words that said it."""
    lines: dict[str, set[int]] = {}

    def tracer(frame, event, arg):
        name = frame.f_code.co_filename
        if not name.startswith(str(ROOM)):
            return None
        known = lines.setdefault(name, set())

        def line(frame, event, arg):
            known.add(frame.f_lineno)
            return line

        known.add(frame.f_lineno)
        return line

    say = Reading.say

    def traced(self, *args, **more):
        # Facts are made before; only what is made of them is followed.
        before = sys.gettrace()
        sys.settrace(tracer)
        try:
            say(self, *args, **more)
        finally:
            sys.settrace(before)

    with pytest.MonkeyPatch.context() as patch:
        patch.setattr(Reading, "say", traced)
        reading = read_aloud()
    return reading, lines


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


def test_every_sentence_is_read_aloud_and_none_trips():
    """Read aloud once, as it takes long, and held against all that is asked of it."""
    reading, lines = heard()
    every_sentence_is_read(lines)
    whoever_says_something_is_asked_to(reading)
    nothing_trips(reading)
    the_page_has_every_step(reading)


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


def the_page_has_every_step(reading):
    told = page(reading)
    for step in ("Set", "Stand", "See", "Aim", "Start", "Judge", "Keep", "Refusals", "Vocabulary"):
        assert f"## {step}" in told
