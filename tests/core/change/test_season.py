"""A season: twelve weeks of plans, each made from what was done, by golfers who get better, who do not, and who miss
sessions."""

import multiprocessing
from dataclasses import dataclass, field, replace

import numpy as np
import pytest

from libella.core.change.drills import drills
from libella.core.change.goal import LevelGoal
from libella.core.change.plan import plan
from libella.core.change.run import Told, progress
from libella.core.change.session import Before, Given, Session
from libella.core.change.week import minutes_of

_WEEKS = 12
_GIVEN = Given((("face_at_impact", 9.0), ("read_and_pace", 6.0), ("strike", 4.0)), (15.0, 20.0, 30.0), change=True)


@dataclass
class Season:
    """A golfer over a season: how well they do each drill now, and how much better a run makes them."""

    learns: float
    misses: float
    seed: int
    runs: dict[str, list[Told]] = field(default_factory=dict)
    minutes: dict = field(default_factory=dict)
    planned: list[list[Session]] = field(default_factory=list)
    left: list[set[str]] = field(default_factory=list)

    def __post_init__(self) -> None:
        self.rng = np.random.default_rng(self.seed)

    def met(self) -> set[str]:
        stands = {code: progress(drills()[code], told) for code, told in self.runs.items()}
        return {code for code, it in stands.items() if it.standing == "passed" and it.step >= 1}

    def steps(self) -> int:
        return sum(
            it.step + (it.standing == "passed")
            for it in (progress(drills()[code], told) for code, told in self.runs.items())
        )

    def putt(self) -> None:
        for week in range(_WEEKS):
            given = replace(_GIVEN, weeks=1, without=tuple(self.met()))
            self.left.append(self.met())
            before = Before(self.minutes, frozenset(self.runs), (), 0, len(given.minutes) * week)
            made = plan(given, before)
            self.planned.append(list(made.sessions))
            for one in made.sessions:
                if self.rng.random() >= self.misses:
                    self.done(one)

    def done(self, it: Session) -> None:
        for item in it.items:
            of = drills().get(item.drill)
            if of is None:
                continue
            told = self.runs.setdefault(item.drill, [])
            skill = min(0.97, 0.55 + self.learns * len(told))
            events = (self.rng.random(of.dose.times) < skill).astype(int)
            if isinstance(of.goal, LevelGoal):
                about = (1.5 * (1 - skill)) + self.rng.normal(0, 0.3, of.dose.times)
                told.append(tuple((float(one) - 0.25, float(one) + 0.25) for one in about))
            else:
                told.append(tuple(int(one) for one in events))
            if item.kind == "drill":
                self.minutes[item.serves] = self.minutes.get(item.serves, 0.0) + minutes_of(of, _GIVEN.putt_s)


def season(**more) -> Season:
    it = Season(**{"learns": 0.03, "misses": 0.0, "seed": 3} | more)
    it.putt()
    return it


@pytest.mark.parametrize("misses", [0.0, 0.4])
def test_a_season_keeps_to_its_days_and_drops_what_is_met(misses):
    it = season(misses=misses)
    for week, met in zip(it.planned, it.left, strict=True):
        assert [one.minutes for one in week] == list(_GIVEN.minutes)
        for one in week:
            assert sum(item.minutes for item in one.items) + one.rests <= one.minutes
            assert not {item.drill for item in one.items if item.kind == "drill"} & met
        kinds = [item.kind for one in week for item in one.items]
        assert kinds.count("retention") == 1
    assert it.left[-1], "something was met in twelve weeks"


def test_who_gets_better_climbs_and_who_does_not_is_not_told_so():
    better = [season(seed=seed).steps() for seed in range(4)]
    same = [season(seed=seed, learns=0.0).steps() for seed in range(4)]
    assert min(better) > max(same) and max(same) <= 3


def test_a_session_that_is_missed_makes_no_other_longer():
    whole, missed = season(), season(misses=0.5)
    longest = max(sum(item.minutes for item in one.items) for week in whole.planned for one in week)
    for week in missed.planned:
        assert all(sum(item.minutes for item in one.items) <= longest + 2 for one in week)


def busy(until) -> None:
    while not until.is_set():
        sum(range(10_000))


def test_a_plan_is_the_same_however_busy_the_machine_is():
    alone = [plan(_GIVEN, Before({}, frozenset(), (), 0, n)) for n in range(3)]
    ways = multiprocessing.get_context("spawn")
    until = ways.Event()
    others = [ways.Process(target=busy, args=(until,)) for _ in range(2 * multiprocessing.cpu_count())]
    for it in others:
        it.start()
    try:
        beside = [plan(_GIVEN, Before({}, frozenset(), (), 0, n)) for n in range(3)]
    finally:
        until.set()
        for it in others:
            it.join()
    assert beside == alone
