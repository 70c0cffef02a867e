"""Whatever core can say by a code has its words: a table of words that is keyed by a closed type holds all of it."""

import importlib
import pkgutil
from collections.abc import Iterator, Mapping
from typing import Literal, get_args, get_origin, get_type_hints

import pytest

import libella.words

LEFT_OUT = {
    "libella.words.judge.claims.FACTOR_NAMES": {"guide", "length", "break", "unsorted"},
    "libella.words.judge.lesson.CHECK_STEPS": None,
    "libella.words.schools.told._PATHS": {""},
    "libella.words.set.proof._MEASURED": {"none", "rolled"},
    "libella.words.teach.drawings._UNITS": {"draw"},
}
"""Tables that name a part: what no coach chooses, what is done on the green, a school without a path, what nothing was
measured of, what is drawn. None: whatever is not there has an answer of its own."""


def tables() -> Iterator[tuple[str, Mapping, frozenset[str]]]:
    """Every table of words keyed by codes of a closed type: its name, itself, the codes it must hold."""
    for module in pkgutil.walk_packages(libella.words.__path__, "libella.words."):
        if ".aloud" in module.name or module.name.endswith("__main__"):
            continue
        told = importlib.import_module(module.name)
        for name, hint in get_type_hints(told).items():
            table = vars(told).get(name)
            args = get_args(hint)
            while args and get_origin(hint) not in (dict, Mapping):
                # `Final[dict[…]]` holds the table one layer in.
                hint, args = args[0], get_args(args[0])
            if isinstance(table, Mapping) and args and get_origin(args[0]) is Literal:
                yield f"{module.name}.{name}", table, frozenset(get_args(args[0]))


@pytest.mark.parametrize(("name", "table", "codes"), [pytest.param(*it, id=it[0]) for it in tables()])
def test_a_table_of_words_holds_every_code_of_its_type(name, table, codes):
    left_out = LEFT_OUT.get(name, set())
    assert left_out is None or codes - set(table) == left_out, name


def test_what_a_finding_needs_and_rests_on_is_closed():
    held = {name for name, *_ in tables()}
    assert {"libella.words.judge.findings.NEEDS", "libella.words.judge.findings.FACTS"} <= held
