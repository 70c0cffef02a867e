"""The glossary is data: every word has its sentence and picture and stands in what is said; what coaches did not follow
stands nowhere."""

import re
from pathlib import Path

import pytest

from libella.core.keep.terms_drawn import term_pictures
from libella.words.aloud import page
from libella.words.glossary import GLOSSARY, NOT_FOLLOWED
from libella.words.vocabulary import ENTRIES, choices

_CODE = re.compile(r"<script.*?</script>|<style.*?</style>|<!--.*?-->|\{[^{}]*\}|<[^<>]*>", re.S)
UI = Path(__file__).parents[2] / "ui" / "src"


@pytest.fixture(scope="module")
def said(heard) -> str:
    lines = page(heard[0]).splitlines()
    # Its headings are names of functions.
    return "\n".join(it for it in lines if not it.startswith("#")).lower()


def test_every_word_has_one_sentence_and_a_picture_of_its_own():
    drawn = term_pictures()
    assert set(drawn) == set(GLOSSARY)
    assert len({it.shapes for it in drawn.values()}) == len(drawn)
    for code, it in GLOSSARY.items():
        assert it.forms and all(form == form.lower() for form in it.forms), code
        assert it.says.endswith(".") and len(it.says) <= 170, code
    forms = [form for it in GLOSSARY.values() for form in it.forms]
    assert len(forms) == len(set(forms)), "a word opens one term"


def test_every_word_stands_in_something_that_is_said(said):
    for code, it in GLOSSARY.items():
        found = [form for form in it.forms if re.search(rf"(?<!\w){re.escape(form)}(?!\w)", said)]
        assert found, f"nothing says {code}: {it.forms}"


def _chosen() -> str:
    named = [name for told in choices().values() for name in told.values()]
    return " · ".join([*named, *(f"{it.label} {it.hint}" for it in ENTRIES.values())]).lower()


def _typed() -> str:
    """What stands in the front end's own files, without their code's names."""
    kept: list[str] = []
    for path in UI.rglob("*.svelte"):
        text = re.sub(
            r"<script.*?</script>|<style.*?</style>|<!--.*?-->|\{[^{}]*\}|<[^<>]*>", " ", path.read_text(), flags=re.S
        )
        kept.append(text)
    return " ".join(kept).lower()


@pytest.mark.parametrize("word", NOT_FOLLOWED)
def test_no_sentence_holds_a_word_that_was_not_followed(said, word):
    whole = re.compile(rf"(?<!\w){re.escape(word)}")
    for where, text in (("said", said), ("chosen", _chosen()), ("typed in the front end", _typed())):
        found = whole.search(text)
        assert not found, f"{where}: …{text[max(found.start() - 40, 0) : found.end() + 40]}…"
