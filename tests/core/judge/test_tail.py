"""A tail is told beside a middle that lies where it should."""

import pytest

from libella.core.golfer.band import usual_band
from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.judge.claims.level import Weighing, level_of
from libella.core.judge.claims.tail import Tail, tail_of
from libella.core.judge.ledger.entry import Batch, Event, Putted
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

BY = Weighing(usual_mix(Putt(2.5, 0.35, 10), USUAL()), 0.85, usual_band("skilled").spread_deg["start"])


def told(degrees, missed=()):
    """Starts read to a tenth; `missed`: of some putts, by number, the side to which they missed."""
    ends = dict(missed)
    events = tuple(
        Event(f"{n}", {"start": Interval(at - 0.1, at + 0.1)} | ({"missed_side": ends[n]} if n in ends else {}))
        for n, at in enumerate(degrees)
    )
    batch = Batch("b", "start", 0.0, events, putted=Putted(2.5, Window(0.97, 0.97)))
    return tail_of(level_of([batch], "start", (), BY), [batch])


NEAR = [0.1, -0.2, 0.3, 0.0, 0.2, -0.1, 0.1, 0.0, 0.2]


@pytest.mark.parametrize(
    ("missed", "found"),
    [
        ({9: "left", 10: "left", 11: "left"}, Tail("left", 3, 12, 3, 3)),
        ({9: "left", 10: "left", 0: "left"}, Tail("left", 3, 12, 2, 3)),
        ({0: "right"}, Tail("left", 3, 12, 0, 0)),
    ],
)
def test_three_far_off_are_told_with_what_became_of_them(missed, found):
    assert told([*NEAR, -1.6, -1.5, -1.7], missed.items()) == found
    assert found.are_the_misses == (found.missed == found.misses == 3)


def test_two_far_off_are_none_and_neither_is_what_reaches_into_the_window():
    assert told([*NEAR, -1.6, -1.5, 0.0]) is None
    assert told([*NEAR, -1.6, -1.5, -1.0]) is None


def test_a_middle_that_lies_outside_is_no_tail():
    assert told([-1.6, -1.5, -1.7, -1.4, -1.6, -1.5]) is None
