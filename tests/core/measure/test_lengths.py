"""A length is said back as it was typed, in the system it was typed in; the front end says every one the same."""

import json
from pathlib import Path

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.instruments import instruments, lay, usual_sizes
from libella.core.measure.constants import FOOT_M, INCH_M
from libella.core.measure.limits import Bounds
from libella.core.measure.units import roughly, tape
from libella.words.shared.refusals import range_words

SAID = json.loads((Path(__file__).with_name("lengths.json")).read_text())
"""Lengths in metres, and how either system says them; the front end's own test reads the same file."""


METRIC = [n * 1e-4 for n in range(10, 1000)] + [n * 1e-3 for n in range(100, 30_001)]
"""Metres of every figure that is typed: to the millimetre, under 10 cm to a tenth of one."""
FEET = [
    *(n * INCH_M / 32 for n in range(1, 60 * 12 * 32)),
    *(feet * FOOT_M + n / 100 * INCH_M for feet in (0, 1, 8, 15, 49) for n in range(10, 1200)),
    *(n / 100 * FOOT_M for n in range(100, 6000)),
]
"""In parts of an inch, in hundredths of one, and in feet with decimals."""


ONE_OF = {"mm": 1e-3, "cm": 1e-2, "m": 1.0, "in": INCH_M, "ft": FOOT_M}


def metres(said: str) -> float:
    """What a sentence says: "8 ft 2 3/8 in"."""
    total, figure = 0.0, 0.0
    for word in said.split():
        if word in ONE_OF:
            total, figure = total + figure * ONE_OF[word], 0.0
        else:
            over, _, under = word.partition("/")
            figure += float(over) / float(under or 1)
    return total


@pytest.mark.parametrize(("units", "typed"), [("metric", METRIC), ("feet", FEET)])
def test_a_length_is_said_as_it_was_typed(units, typed):
    off = [it for it in typed if abs(metres(tape(it, units)) - it) > 1e-9]
    # What a double is off never shows: it may have been added up, or been through a file.
    off += [it for it in typed if not tape(it + 3e-9, units) == tape(it, units) == tape(round(it, 8), units)]
    assert off == [] and len(typed) > 30_000


@given(st.floats(0.001, 30))
def test_what_was_computed_is_said_as_people_say_it(length_m):
    off = metres(tape(length_m, "feet")) - length_m
    assert abs(off) <= INCH_M / (4 if length_m >= FOOT_M else 16) + 1e-6
    assert abs(metres(roughly(length_m, "metric")) - length_m) <= 0.005 + 1e-9
    assert abs(metres(roughly(length_m, "feet")) - length_m) <= INCH_M / 4 + 1e-9


@pytest.mark.parametrize(("length_m", "metric", "feet"), SAID)
def test_it_is_said_as_the_front_end_says_it(length_m, metric, feet):
    assert (tape(length_m, "metric"), tape(length_m, "feet")) == (metric, feet)


@given(st.floats(0.0, 2.0), st.floats(2.1, 40.0), st.sampled_from(["metric", "feet"]))
def test_what_is_said_to_be_within_the_limits_is(low, high, units):
    said = range_words(Bounds(low, high, "m"), units)
    if units == "feet":
        first, last = (metres(it) for it in said.split(" to "))
        assert low - 1e-9 <= first and last <= high + 1e-9


@pytest.mark.parametrize("kind", list(instruments()))
def test_what_is_usual_of_an_instrument_is_round_in_feet_and_can_be_laid(kind):
    laid = lay(kind, usual_sizes(kind, {}, "feet"))
    for it in laid.dimensions("feet"):
        if it.unit == "m" and it.default > INCH_M / 8:
            parts = 8 if it.default < 6 * INCH_M else 1
            off = it.default / INCH_M * parts
            assert off == pytest.approx(round(off), abs=1e-6), it.label
