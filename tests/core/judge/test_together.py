"""What goes with what, putt by putt: said where it is, seldom where it is not."""

import math

import numpy as np
import pytest

from libella.core.estimate.shares import Share, goes_with
from libella.core.judge.claims.together import TRAITS, goes_together
from libella.core.judge.ledger.entry import Batch, Event, Putted
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window
from libella.words.judge.together import WHAT, WHICH, together_said

HEEL, MIDDLE, TOE = Interval(-math.inf, -6.0), Interval(-6.0, 6.0), Interval(6.0, math.inf)
OUT, AS_DECLARED = Interval(0.5, math.inf), Interval(-0.5, 0.5)


def block(putts, window=0.97):
    events = tuple(Event(str(n), it) for n, it in enumerate(putts))
    return Batch("b", "start", 0.0, events, putted=Putted(2.5, Window(window, window)))


def test_the_chances_are_those_of_the_reference():
    assert goes_with(Share(4, 5), Share(0, 5), 0.3, oftener=True) == pytest.approx(0.92, abs=0.005)
    # The other way round it is no reason at all; without one it is asked either way.
    assert goes_with(Share(0, 5), Share(4, 5), 0.3, oftener=True) < 0.1
    assert goes_with(Share(0, 5), Share(4, 5), 0.3, oftener=False) == pytest.approx(0.846, abs=0.01)


def test_four_of_five_off_the_heel_wobble_and_none_from_the_middle():
    rolls = ["wobble_left"] * 4 + ["clean"] * 6
    putts = [{"strike": HEEL if n < 5 else MIDDLE, "roll": roll} for n, roll in enumerate(rolls)]
    [found] = goes_together([block(putts)], 1)
    assert (found.given, found.then, found.word) == ("heel", "unclean", "likely")
    said = together_said(found, "right")
    assert said == "4 of 5 off the heel did not roll clean, none of 5 from the middle: likely."


@pytest.mark.parametrize(("toe", "side"), [(1, "left"), (-1, "right")])
def test_a_strike_off_the_heel_starts_it_to_its_own_side_for_either_hand(toe, side):
    at = {"left": Interval(-1.6, -1.2), "right": Interval(1.2, 1.6)}
    other = Interval(-0.2, 0.2)
    putts = [{"strike": HEEL, "start": at[side]}] * 5 + [{"strike": MIDDLE, "start": other}] * 5
    [found, *_] = goes_together([block(putts)], toe)
    assert found.given == "heel" and found.then == f"started_{side}" and found.reasoned
    mirrored = [{"strike": HEEL, "start": at[side]}] * 5 + [{"strike": MIDDLE, "start": other}] * 5
    told = goes_together([block(mirrored)], -toe)
    assert not any(it.reasoned and it.then == f"started_{side}" for it in told)


def test_too_few_of_either_are_not_asked():
    putts = [{"strike": HEEL, "roll": "wobble_left"}] * 2 + [{"strike": MIDDLE, "roll": "clean"}] * 8
    assert goes_together([block(putts)], 1) == ()


def _random(rng, n, unclean):
    """A putt after another with everything noted; `unclean`: how likely by strike."""
    found = []
    for _ in range(n):
        at = rng.choice(["heel", "middle"])
        start = round(rng.normal(0.2, 0.9) / 0.28) * 0.28
        found.append({
            "strike": HEEL if at == "heel" else MIDDLE,
            "start": Interval(start - 0.14, start + 0.14),
            "roll": "skid" if rng.random() < unclean[at] else "clean",
            "still": "head" if rng.random() < 0.3 else "nothing",
            "touch": "going_back" if rng.random() < 0.3 else "nothing",
            "path": OUT if rng.random() < 0.4 else AS_DECLARED,
            "felt": str(rng.choice(["left", "straight", "right"])),
        })  # fmt: skip
    return found


def test_innocents_with_everything_noted_seldom_name_a_pair_and_a_pair_that_is_there_often():
    rng = np.random.default_rng(11)
    alike = {"heel": 0.35, "middle": 0.35}
    innocent = sum(bool(goes_together([block(_random(rng, 20, alike))], 1)) for _ in range(200))
    assert innocent <= 0.08 * 200
    apart = {"heel": 0.7, "middle": 0.2}
    told = sum(
        any((it.given, it.then) == ("heel", "unclean") for it in goes_together([block(_random(rng, 20, apart))], 1))
        for _ in range(200)
    )
    assert told >= 0.5 * 200


def test_every_trait_has_its_words():
    assert set(WHICH) == set(WHAT) == set(TRAITS)
