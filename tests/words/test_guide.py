"""The guide: every example comes out as it is written, every screen has its help, the pages stand as published."""

from pathlib import Path

import pytest

from libella.words.guide.chapters import ADDING, LESSON, SCREENS
from libella.words.guide.numbers import NUMBERS
from libella.words.guide.pages import pages

ROOT = Path(__file__).parents[2]
# Screens of the front end by their address, each with the chapter its help opens.
STEPS = ("set", "stand", "see", "aim", "start", "judge", "change", "keep")
ROUTES = {
    "+page.svelte": "today",
    "golfers/[id]/+page.svelte": "golfer",
    "golfers/[id]/files/+page.svelte": "files",
    "golfers/[id]/practice/+page.svelte": "drills",
    "golfers/[id]/schools/+page.svelte": "schools",
    "schools/+page.svelte": "schools",
    "opinions/+page.svelte": "opinions",
    "people/+page.svelte": "people",
    "me/+page.svelte": "people",
    "mine/+page.svelte": "people",
    "mine/[id]/+page.svelte": "people",
    "welcome/+page.svelte": "people",
    "trust/+page.svelte": "people",
    "screen/+page.svelte": "people",
    "away/+page.svelte": "away",
    "drills/+page.svelte": "drills",
    "aids/+page.svelte": "aids",
    "aids/bag/+page.svelte": "aids",
    "aids/string/+page.svelte": "aids",
    "aids/readers/+page.svelte": "aids",
    "logbook/+page.svelte": "logbook",
    "archive/+page.svelte": "archive",
    "wall/[id]/+page.svelte": "wall",
    "question/[id]/+page.svelte": "question",
    **{
        f"lessons/[id]/{it}/+page.svelte": it
        for it in ("set", "stand", "see", "aim", "start", "judge", "change", "keep")
    },
    "lessons/[id]/sensors/+page.svelte": "sensors",
    "lessons/[id]/teaching/+page.svelte": "teaching",
    "wall/[id]/finding/+page.svelte": "wall",
}
NO_HELP = {"guide/+page.svelte", "states/+page.svelte"}


@pytest.mark.parametrize("it", NUMBERS, ids=lambda it: it.name)
def test_every_example_comes_out_as_it_is_written(it):
    assert it.works_out() in it.example and it.formula and it.says
    for source in it.source.split(", "):
        assert (ROOT / "src" / "libella" / source).is_file(), source


def test_the_pages_are_published_as_they_stand():
    folder = ROOT / "docs" / "guide"
    told = {it.name: it.read_text() for it in folder.iterdir()}
    assert told == pages(), "PYTHONPATH=src python -m libella.words.guide docs/guide"


def test_every_screen_has_its_help():
    routes = ROOT / "ui" / "src" / "routes"
    there = {str(it.relative_to(routes)) for it in routes.rglob("+page.svelte")}
    assert there - NO_HELP == set(ROUTES), "a screen without help, or help without a screen"
    assert set(ROUTES.values()) == set(SCREENS)


def test_what_the_guide_says_is_said_in_whole_sentences():
    for it in (*LESSON, *SCREENS.values(), *ADDING):
        assert it.says.endswith(".") and it.title, it.code
    assert len({it.code for it in LESSON}) == len(LESSON)
