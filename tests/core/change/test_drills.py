"""Every drill of the registry: whole, laid to scale, with a goal that a run can show."""

import re

import pytest

from libella.core.change.drill import Dose, Drill, Scored
from libella.core.change.drill_station import Form, lacking, station_of
from libella.core.change.drills import drill, drills, serving
from libella.core.change.goal import CountGoal, LevelGoal, ShareGoal
from libella.core.change.topic import TOPICS
from libella.core.golfer.limits import LIMITS
from libella.core.measure.limits import OutOfLimits
from libella.core.start.notes import NOTES
from libella.core.start.watched import watched

EVERY = list(drills().values())


def test_every_finding_but_a_line_laid_wrong_has_a_drill():
    assert [topic for topic, it in TOPICS.items() if not serving(topic)] == ["rig", "string"]
    assert [topic for topic, it in TOPICS.items() if not it.drilled] == ["rig", "string"]
    assert serving("transfer") and serving("balance")


@pytest.mark.parametrize("it", EVERY, ids=lambda it: it.code)
@pytest.mark.parametrize("units", ["metric", "feet"])
def test_every_drill_is_laid_to_scale_from_whatever_is_in_the_bag(it: Drill, units):
    for bag in (None, {}, {"peg": 4, "ruler_board": 1, "string": 1}):
        for length in it.layout.lengths_m or (None,):
            station = station_of(it, 10.0, 0.9, bag, units, Form(length))
            assert len(station.aids) == len(it.layout.aids)
    assert not lacking(it, None)


@pytest.mark.parametrize("it", EVERY, ids=lambda it: it.code)
def test_every_drill_is_whole(it: Drill):
    assert it.steps and it.name and it.purpose and (it.easier or it.event == "round")
    assert set(it.serves) <= {*TOPICS, "transfer", "balance", "retention", "check"} and set(it.unfit) <= set(LIMITS)
    if isinstance(it.goal, CountGoal) and it.event != "round":
        assert it.goal.of == it.dose.times
    if it.scored.note:
        note = (NOTES | watched(*laid_of(it)))[it.scored.note]
        assert set(it.scored.options) <= set(note.options)
    if it.scored.start is not None:
        assert all(kind != "no_rig" for kind in it.layout.rigs)


@pytest.mark.parametrize("it", EVERY, ids=lambda it: it.code)
def test_a_drill_speaks_one_system_of_units(it: Drill):
    other = {"metric": r"\d\s?(in|ft)\b|\bfoot and", "feet": r"\d\s?(mm|cm|m)\b|metre"}
    for units, never in other.items():
        told = it.told_in(units)
        said = [told.purpose, told.easier, told.harder, told.risk, told.stop, told.indoors, told.outdoors, *told.steps]
        assert not [one for one in (*said, told.scored.asks) if re.search(never, one) or "|" in one or "{" in one]


def laid_of(it: Drill):
    station = station_of(it, 10.0, 0.9, None, "metric")
    return station.rig, station.aids


@pytest.mark.parametrize(
    "more",
    [{"name": " "}, {"event": "dance"}, {"goal": CountGoal(14, 15)}, {"steps": ("x" * 301,)}],
)
def test_a_drill_of_a_coach_is_held_to_the_same(more):
    of = {
        "code": "own", "name": "Own", "purpose": "To see.", "serves": ("strike",), "event": "putt",
        "layout": drill("clean_roll").layout, "steps": ("Putt.",), "dose": Dose(10, 3.0), "scored": Scored("Clean?"),
        "goal": ShareGoal(0.8),
    }  # fmt: skip
    assert Drill(**of).putts == 10
    with pytest.raises(OutOfLimits):
        Drill(**of | more)


def test_what_no_drill_is_called_is_refused_and_no_dose_is_endless():
    with pytest.raises(OutOfLimits):
        drill("none")
    for dose in ((2, 3.0), (10, 13.0)):
        with pytest.raises(OutOfLimits):
            Dose(*dose)
    assert isinstance(drill("lids").goal, LevelGoal)


NARROWING = [it for it in EVERY if it.layout.narrows]


@pytest.mark.parametrize("it", NARROWING, ids=lambda it: it.code)
def test_a_step_harder_is_laid_narrower_as_far_as_it_can_be_laid(it: Drill):
    of = it.layout.narrows
    assert of is not None

    def size(step: int) -> float:
        station = station_of(it, 10.0, 0.9, None, "metric", Form(step=step))
        return next(one.sizes()[of.dimension] for one in (*station.aids, station.rig) if one.about.kind == of.kind)

    assert size(1) == pytest.approx(size(0) - of.by_m) and size(-1) == pytest.approx(size(0) + of.by_m)
    assert size(40) == size(39) < size(1)


def test_rails_and_putter_gates_narrow():
    assert {it.layout.narrows.kind for it in NARROWING if it.layout.narrows} == {"twin_rails", "putter_gate"}
