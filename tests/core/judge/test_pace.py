"""A holed ball is a reading of the pace: weighed with what was noted of misses, and nowhere shown as a roll past."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.green.capture import capture_offset, longest_past, speed_past
from libella.core.judge.claims.pace import pace_of
from libella.core.judge.ledger.entry import Batch
from libella.words.judge.claims import level_said
from libella.words.judge.putts import pace_said

from ...golfers.finishes import noted, rolled
from .samples import BY, PUTTED

PUTTS = 24


def block(events):
    return Batch("b", "start", 0.0, tuple(events), putted=PUTTED)


def told(rng, past, start=(0.0, 0.7), length_m=2.5):
    return noted(rolled(rng, PUTTS, length_m, start, past))


def without_holed(events):
    return [replace(it, implied={}) for it in events]


@given(st.sampled_from(["rim_assisted", "free_fall"]), st.floats(4, 16), st.floats(0, 0.0535))
def test_the_longest_pace_beside_the_middle_is_where_the_hole_still_takes_it(capture, speed_ft, beside_m):
    longest = longest_past(speed_ft, capture, beside_m)
    assert longest <= longest_past(speed_ft, capture)
    if longest > 0.01:
        assert capture_offset(speed_past(longest * 0.999, speed_ft), capture) >= beside_m - 1e-4
        assert capture_offset(speed_past(longest * 1.01, speed_ft), capture) <= beside_m
    assert longest_past(speed_ft, capture, 0.06) == 0.0


def test_a_pace_as_planned_is_told_so_by_few_misses_and_many_that_fell():
    """Where only misses count, what is short is all there is to see."""
    rng = np.random.default_rng(9)
    said = {"with": 0, "without": 0}
    held = of = 0
    for _ in range(60):
        events = told(rng, (0.35, 0.25))
        for name, some in (("with", events), ("without", without_holed(events))):
            found = pace_of([block(some)], BY)
            level = None if found is None else found.level
            said[name] += level is not None and level.call is not None and level.call.names_direction
            if name == "with" and level is not None:
                held, of = held + (level.bias.low <= 0.35 <= level.bias.high), of + 1
    assert said["with"] <= 6 and said["with"] <= said["without"]
    assert of >= 30 and held / of >= 0.8, (held, of)


def test_a_pace_that_is_off_is_still_told():
    rng = np.random.default_rng(10)
    found = [pace_of([block(told(rng, (-0.1, 0.2)))], BY) for _ in range(20)]
    right = [it.level.call.names_direction and it.level.call.side == "left" for it in found if it and it.level]
    assert sum(right) >= 17


def test_what_fell_is_counted_apart_and_listed_nowhere():
    events = told(np.random.default_rng(11), (0.1, 0.3))
    it = block(events)
    found = pace_of([it], BY)
    missed = sum(one.values["holed"] == "missed" for one in events)
    level = found.level
    assert (level.count, len(level.implied)) == (missed, PUTTS - missed) == (it.counts["roll_past"], found.holed)
    assert len(level.readings) == missed and len(it.read("roll_past")) == missed
    said = level_said(level, "right", "metric")
    assert f"from {missed} putts and {found.holed} putts that fell" in said
    assert f"{found.holed} holed" in pace_said(found, "metric")


@pytest.mark.parametrize("holed", [0, 20])
def test_four_misses_alone_are_no_pace(holed):
    """25 cm less than planned, of four misses where twenty were holed (account 1: under five no word)."""
    events = [it for it in told(np.random.default_rng(12), (0.35, 0.2)) if it.values["holed"] == "holed"][:holed]
    misses = [replace(it, id=f"m{n}") for n, it in enumerate(told(np.random.default_rng(13), (-0.4, 0.05))[:4])]
    found = pace_of([block([*events, *misses])], BY)
    assert found.level is not None and not found.level.call.names_direction
