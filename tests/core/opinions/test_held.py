"""Opinions held: one record counts for whatever is weighed under it, and for nothing else."""

import json
import subprocess
import sys
from math import isfinite
from pathlib import Path

import numpy as np
import pytest

import libella
from libella.core.certainty.matter import MATTERS
from libella.core.certainty.verdict import CLEAR, LIKELY, weigh
from libella.core.estimate.posterior import START, posterior
from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.judge.findings.case import Case
from libella.core.judge.findings.judged import judge_lesson
from libella.core.judge.judgement import Occasion, judge
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.opinions.every import every_opinion
from libella.core.opinions.held import NOTHING_HELD, Held, held_now, held_of, holding
from libella.core.opinions.numbers import numbers_of, with_numbers
from libella.core.see.map import Tried, perception_map
from libella.core.set.station import Station
from tests.core.see.test_map import seen
from tests.golfers.lesson import Size, Truth, lesson

STATION, OCCASION = Station(Putt(2.5, 0.35, 10.0), lay("peg_gate", {})), Occasion("right")
EVERY = sorted(every_opinion())
AT_IMPORT = """
import json, importlib, pkgutil, traceback
import libella.core.opinions.held as held
found, value = [], held.Opinion.__call__
def called(it):
    at = traceback.extract_stack()[:-1]
    if any(one.name == "_call_with_frames_removed" for one in at):
        found.append(next(one.filename for one in reversed(at) if "/libella/" in one.filename))
    return value(it)
held.Opinion.__call__ = called
import libella
for it in pkgutil.walk_packages(libella.__path__, "libella."):
    if not it.name.endswith("__main__") and ".migrations" not in it.name:
        importlib.import_module(it.name)
print(json.dumps(sorted(set(found))))
"""


def of(**told) -> Held:
    return held_of(every_opinion(), list(told.items()))


@pytest.mark.parametrize("code", EVERY)
def test_each_number_can_be_held_alone_and_within_its_limits(code):
    it = every_opinion()[code]
    assert it.numbers and with_numbers(it.value, {}) == it.value
    for at, number in it.numbers.items():
        assert number.least <= number.value <= number.most and isfinite(number.least + number.most), (code, at)
        other = number.most if number.most > number.value else number.least
        now = numbers_of(with_numbers(it.value, {at: other}), it.unit)
        assert now.keys() == it.numbers.keys()
        # A standard deviation moves how far the middle may be held, and nothing else moves.
        assert [one for one in now if now[one].value != it.numbers[one].value] == (
            [at] if other != number.value else []
        )
    for far in (-1e9, 1e9, float("nan")):
        with pytest.raises(OutOfLimits, match="numbers"):
            it.checked({at: far})
    with pytest.raises(OutOfLimits):
        it.checked({"nowhere": 1.0})


@pytest.fixture(scope="module")
def everything():
    """A lesson with everything noted, of a golfer who aims off."""
    size = Size(putts=12, sensor=True, strike=True, finish=True, still=True)
    return lesson(Truth((), aim=1.2), size, np.random.default_rng(1))


@pytest.mark.parametrize("code", EVERY)
@pytest.mark.parametrize("end", ["least", "most"])
def test_no_opinion_that_can_be_held_breaks_a_judgement(code, end, everything):
    numbers = {at: getattr(it, end) for at, it in every_opinion()[code].numbers.items()}
    with holding(of(**{code: numbers})):
        assert every_opinion()[code]() == with_numbers(every_opinion()[code].value, numbers)
        judged = judge_lesson(everything, [])
        assert judged.findings.ranked and judged.chosen and Case(everything).starts


ON_THE_MAP = [it for it in EVERY if it.startswith("lever_") or it in ("head_put_back", "truer_noticed", "worth_asking")]


@pytest.mark.parametrize("code", ON_THE_MAP)
def test_what_is_held_of_the_eyes_moves_the_map_and_breaks_it_nowhere(code):
    def told():
        asked = [Tried({}, seen(1.2, 0.3)), Tried({"inside": 25.0, "tilt": 5.0}, seen(0.4, 0.3)), once]
        it, new = perception_map(asked, 0.3), perception_map(asked[:1], 0.3)
        reached = it.bounds("ball"), it.bounds("tilt")
        return it.at({"behind": 30.0, "chin": 4.0}), it.effects, it.worth_asking, it.next, new.next, reached

    once = Tried({"inside": 45.0, "chin": 10.0}, seen(0.9, 0.2), playable=True)
    usual, moved = told(), []
    for end in ("least", "most"):
        numbers = {at: getattr(it, end) for at, it in every_opinion()[code].numbers.items()}
        with holding(of(**{code: numbers})):
            moved.append(told())
    assert any(it != usual for it in moved) and told() == usual


def test_what_is_held_counts_where_it_is_held_and_nowhere_else():
    chances = 0.86, 0.02, 0.1
    assert (weigh(*chances).word, LIKELY()) == ("likely", 0.8)
    with holding(of(likely={"": 0.9})):
        assert (weigh(*chances).word, LIKELY(), CLEAR()) == ("open", 0.9, 0.95)
        with holding(of(clear={"": 0.91})):
            assert (LIKELY(), CLEAR()) == (0.8, 0.91)
        assert LIKELY() == 0.9
        with pytest.raises(ZeroDivisionError), holding(NOTHING_HELD):
            raise ZeroDivisionError
        assert LIKELY() == 0.9
    assert (weigh(*chances).word, held_now()) == ("likely", NOTHING_HELD)


def test_what_is_remembered_is_remembered_with_what_was_held():
    reads = [Interval(it - 0.1, it + 0.1) for it in (0.3, 0.4, 0.2, 0.35, 0.25, 0.3, 0.4)]
    usual = judge(reads, STATION, OCCASION, planned=7)
    with holding(of(start_prior={"bias_sd": 0.2})):
        narrow = judge(reads, STATION, OCCASION, planned=7)
    assert narrow.summary.bias.value < usual.summary.bias.value
    assert judge(reads, STATION, OCCASION, planned=7) == usual
    with holding(of(start_prior={"bias_sd": 0.2})):
        assert posterior(reads).bias_quantile(0.5) < posterior(reads, START.value).bias_quantile(0.5)


def test_of_a_number_told_twice_the_later_counts_and_what_fits_no_more_counts_for_nothing():
    held = of(matters={"start.matters_from": 3.0})
    assert held.values["matters"]["start"].matters_from == 3.0
    assert held.values["matters"]["face_aim"] == MATTERS.value["face_aim"]
    twice = held_of(every_opinion(), [("clear", {"": 0.91}), ("clear", {"": 0.93}), ("likely", {"": 0.7})])
    assert twice.values == {"clear": 0.93, "likely": 0.7}
    strange = [("clear", {"": 0.2}), ("clear", {"gone": 0.92}), ("forgotten", {"": 1.0}), ("likely", {"": "much"})]
    assert held_of(every_opinion(), strange).values == {}


def test_no_opinion_is_kept_in_a_default_where_it_could_not_be_held():
    where = {"PYTHONPATH": str(Path(libella.__path__[0]).parent), "PATH": ""}
    run = subprocess.run([sys.executable, "-c", AT_IMPORT], capture_output=True, text=True, check=True, env=where)
    found = {it.partition("/libella/")[2] for it in json.loads(run.stdout)}
    # A gate's usual place can't be held, a proof that is none is used by no reading, and what reads all sentences aloud
    # is of no golfer.
    assert found == {
        "core/instruments/ball_gate.py", "core/set/proof.py", "words/aloud/claims.py", "words/aloud/change.py",
    }  # fmt: skip
