"""Opinions in one place: whatever the core calls an opinion is one, stands on the page, and says its value and unit."""

import ast
from itertools import pairwise
from pathlib import Path

import pytest

from libella.core.opinions.every import every_opinion
from libella.core.opinions.held import NOTHING_HELD, Opinion, held_of
from libella.words.opinions.held import BESIDES, OPINIONS, held_said
from libella.words.opinions.number import part_name, version_said

CORE = Path(__file__).parents[2] / "src" / "libella" / "core"


def called_opinions() -> dict[str, ast.expr | None]:
    """Constants of the core whose own words call them an opinion, as module and name, with what they are."""
    found: dict[str, ast.expr | None] = {}
    for path in CORE.rglob("*.py"):
        body = ast.parse(path.read_text()).body
        module = ".".join(path.relative_to(CORE).with_suffix("").parts)
        for it, after in pairwise(body):
            said = after.value.value if isinstance(after, ast.Expr) and isinstance(after.value, ast.Constant) else ""
            if not isinstance(it, ast.Assign | ast.AnnAssign) or "opinion" not in str(said):
                continue
            [target] = it.targets if isinstance(it, ast.Assign) else [it.target]
            names = target.elts if isinstance(target, ast.Tuple) else [target]
            found |= {f"{module}.{name.id}": it.value for name in names if isinstance(name, ast.Name)}
    return found


def test_whatever_the_core_calls_an_opinion_can_be_held():
    plain = {
        name
        for name, value in called_opinions().items()
        if not (isinstance(value, ast.Call) and ast.unparse(value.func).startswith(Opinion.__name__))
    }
    assert plain == set(), "make it an Opinion, and give it a name in words/opinions/held.py"
    assert len(called_opinions()) > 30


def test_every_opinion_stands_on_the_page_once():
    assert {it.opinion for it in OPINIONS} == set(every_opinion())
    assert len({it.name for it in OPINIONS}) == len(OPINIONS) == len(every_opinion())


@pytest.mark.parametrize("it", OPINIONS, ids=lambda it: it.opinion)
def test_its_value_and_each_of_its_numbers_are_said_with_their_unit(it):
    assert it.besides in BESIDES
    numbers = every_opinion()[it.opinion].numbers
    for units in ("metric", "feet"):
        said = it.value_said(NOTHING_HELD, units)
        assert any(letter.isdigit() for letter in said) and "(" not in said and "_" not in said
    names = [part_name(it.opinion, at) for at in numbers]
    assert len(set(names)) == len(names) and (len(names) == 1 or all(names)), names
    told = {at: one.most for at, one in numbers.items()}
    held = held_of(every_opinion(), [(it.opinion, told)])
    if held.values.get(it.opinion, every_opinion()[it.opinion].value) != every_opinion()[it.opinion].value:
        assert it.value_said(held, "metric") != it.value_said(NOTHING_HELD, "metric")
        [said] = held_said(held, "metric")
        assert it.value_said(held, "metric") in said and it.value_said(NOTHING_HELD, "metric") in said
    assert version_said(it.opinion, told, "metric") != version_said(it.opinion, {}, "metric") == "as it stands"


def test_a_value_follows_what_is_held():
    it = next(one for one in OPINIONS if one.opinion == "clear")
    assert it.value_said(NOTHING_HELD, "metric") == "95 of a hundred"
    assert it.value_said(held_of(every_opinion(), [("clear", {"": 0.92})]), "metric") == "92 of a hundred"
