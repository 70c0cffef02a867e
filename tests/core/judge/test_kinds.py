"""What readings can show, and no more: the kinds of claims (account 1)."""

import math

import pytest

from libella.core.golfer.band import usual_band
from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.judge.claims.kind import SIZED, Bounded, Split, Within, kind_of
from libella.core.judge.claims.level import Weighing, level_of
from libella.core.judge.ledger.entry import Batch, Event, Putted
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window
from libella.words.judge.claims import level_said

WINDOW = Window(0.97, 0.97)
LEFT, RIGHT = Interval(-math.inf, -2.9), Interval(2.9, math.inf)
CLEAN = Interval(-0.8, 0.8)
BY = Weighing(usual_mix(Putt(2.5, 0.35, 10), USUAL()), 0.85, usual_band("skilled").spread_deg["start"])


def starts(readings):
    events = tuple(Event(str(n), {"start": it}) for n, it in enumerate(readings))
    return level_of([Batch("b", "start", 0.0, events, putted=Putted(2.5, WINDOW))], "start", (), BY)


@pytest.mark.parametrize(
    ("readings", "kind"),
    [
        ([LEFT] * 4 + [RIGHT] * 4, Split),
        ([LEFT] * 3 + [RIGHT] * 3 + [CLEAN] * 5, Split),
        ([LEFT] * 2 + [RIGHT] * 6, Bounded),
        ([CLEAN] * 3 + [RIGHT] * 7, Bounded),
        ([CLEAN] * 8 + [RIGHT] * 2, Within),
        ([CLEAN] * 10, Within),
        ([Interval(0.1, 0.4)] * 10, type(SIZED)),
        ([CLEAN] * 7 + [LEFT] * 2 + [RIGHT], type(SIZED)),
    ],
)
def test_the_kind_is_what_most_readings_can_show(readings, kind):
    assert isinstance(kind_of(readings, WINDOW), kind)


def test_readings_open_to_both_sides_are_never_nothing_to_mend_and_have_no_middle():
    level = starts([LEFT] * 4 + [RIGHT] * 4)
    assert level.call is not None and level.call.word == "open"
    said = level_said(level, "right", "metric")
    assert said == "4 left, 4 right, each by at least 2.9°: how far, these readings can't say."


@pytest.mark.parametrize("touched", [6, 7, 8, 9, 10])
def test_what_is_open_to_one_side_is_never_nothing_to_mend(touched):
    near = Interval(0.05, math.inf)
    level = starts([near] * touched + [CLEAN] * (10 - touched))
    assert isinstance(level.kind, Bounded) and level.call is not None and level.call.word != "none"


def test_one_wide_zone_is_nothing_to_mend_only_inside_the_window():
    assert starts([CLEAN] * 12).kind == Within(0.8, inside=True)
    wide = starts([Interval(-1.4, 1.4)] * 12)
    assert wide.kind == Within(1.4, inside=False) and wide.call is not None and wide.call.word != "none"
