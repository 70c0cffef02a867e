"""A run putted in a lesson scores itself by what was read and noted; every drill that says it does, does."""

import pytest

from libella.core.change.drill import Drill
from libella.core.change.drills import drill, drills
from libella.core.change.scored import Putted, asks_of, is_read, scored
from libella.core.measure.interval import Interval
from libella.core.start.notes import NOTES
from libella.core.start.watched import watched
from tests.core.change.test_drills import laid_of

READ = [it for it in drills().values() if it.event == "putt" and is_read(it.scored)]
_START = Interval(0.6, 0.8)


def putt(it: Drill, *, wanted: bool) -> Putted:
    of = it.scored
    if of.called:
        return Putted(_START, None, {"felt": "right" if wanted else "left"})
    if of.start is not None:
        clean = wanted if of.start == 0 else None
        return Putted(Interval(-0.1, 0.1) if wanted else Interval(2.0, 2.2), clean, {})
    if of.sizes is not None:
        return Putted(None, None, {of.note: of.sizes[1] - 0.05 if wanted else of.sizes[1] + 0.3})
    other = next(iter(set((NOTES | watched(*laid_of(it)))[of.note].options) - set(of.options)))
    return Putted(None, None, {of.note: of.options[0] if wanted else other})


@pytest.mark.parametrize("it", READ, ids=lambda it: it.code)
def test_what_was_read_and_noted_tells_what_was_as_wanted(it: Drill):
    told = scored(it, [putt(it, wanted=True), putt(it, wanted=False), putt(it, wanted=True)])
    assert told == (1, 0, 1)
    # What was not read or noted is left out, neither done nor failed.
    assert scored(it, [Putted(None, None, {})]) == ()
    assert set(asks_of(it.scored)) <= set(NOTES | watched(*laid_of(it)))


def test_most_drills_that_are_putted_score_themselves():
    alone = {it.code for it in drills().values() if it.event == "putt"} - {it.code for it in READ}
    assert alone == {"back_and_roll", "both_breaks", "leave_rings", "over_the_spot", "better_way"}


def test_a_holed_putt_lies_within_any_zone_and_one_beyond_the_rig_within_none():
    zone = drill("stop_zone")
    assert scored(zone, [Putted(None, None, {"finish": "holed"}), Putted(None, None, {"ran_past_m": -0.1})]) == (1, 0)
    near = drill("bare_and_guided")
    beyond = Interval(0.5, float("inf"))
    assert scored(near, [Putted(beyond, None, {}), Putted(Interval(0.2, 0.6), None, {})]) == (0, 1)


def test_several_things_that_moved_are_not_still():
    still = drill("wide_and_low")
    assert scored(still, [Putted(None, None, {"still": "head+knees"}), Putted(None, None, {"still": "nothing"})]) == (
        0,
        1,
    )
