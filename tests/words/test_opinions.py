"""Opinions in one place: whatever the core calls an opinion stands on the page, with the value that counts."""

import ast
from itertools import pairwise
from pathlib import Path

import pytest

from libella.words.opinions.held import HELD, OPINIONS

CORE = Path(__file__).parents[2] / "src" / "libella" / "core"


def called_opinions() -> set[str]:
    """Constants of the core whose own words call them an opinion, as module and name."""
    found: set[str] = set()
    for path in CORE.rglob("*.py"):
        body = ast.parse(path.read_text()).body
        module = ".".join(path.relative_to(CORE).with_suffix("").parts)
        for it, after in pairwise(body):
            said = after.value.value if isinstance(after, ast.Expr) and isinstance(after.value, ast.Constant) else ""
            if not isinstance(it, ast.Assign | ast.AnnAssign) or "opinion" not in str(said):
                continue
            [target] = it.targets if isinstance(it, ast.Assign) else [it.target]
            names = target.elts if isinstance(target, ast.Tuple) else [target]
            found |= {f"{module}.{name.id}" for name in names}
    return found


def test_whatever_the_core_calls_an_opinion_stands_on_the_page():
    on_the_page = {it.source for it in OPINIONS}
    assert called_opinions() - on_the_page == set(), "an entry in words/opinions/held.py"
    assert len(on_the_page) == len(OPINIONS) > 50
    assert len({it.name for it in OPINIONS}) == len(OPINIONS)


@pytest.mark.parametrize("it", OPINIONS, ids=lambda it: it.source)
def test_its_value_is_the_one_that_counts_and_has_its_unit(it):
    assert it.held in HELD
    for units in ("metric", "feet"):
        said = it.value_said(units)
        assert any(letter.isdigit() for letter in said) and "Matter(" not in said and "(" not in said[:1]
    assert it.value_said("metric") != "0"


def test_a_value_follows_the_constant(monkeypatch):
    it = next(one for one in OPINIONS if one.source == "certainty.verdict.CLEAR")
    assert it.value_said("metric") == "95 of a hundred"
    monkeypatch.setattr("libella.core.certainty.verdict.CLEAR", 0.9)
    assert it.value_said("metric") == "90 of a hundred"
