"""What is said under See."""

from collections.abc import Iterator
from dataclasses import replace
from functools import cache
from itertools import product
from typing import Any, get_args

import numpy as np

from ...core.certainty.estimate import Estimate
from ...core.keep.quick_check import Kept, drifts
from ...core.measure.interval import Interval
from ...core.see.eyes import EyeMark, EyeTake, eye_place
from ...core.see.first_look import PLACES, FirstLook, first_seen
from ...core.see.map import PerceptionMap, Tried, perception_map
from ...core.see.map_explained import MapExplained, map_explained
from ...core.see.method import Eyes, Glasses, LooksStraight, Toward, Trace, by_directions
from ...core.see.one_way import SIZED, OneWayLook, Told
from ...core.see.position import LEVERS, Position
from ...core.see.side_look import StringLook
from ...core.see.trial import Looks, Trial
from ...core.simulated.golfer import SimulatedEyes
from ..judge.explained.perception import map_opened
from ..keep.quick_check import alert_words, drift_word, drift_words
from ..see.eyes import eye_brief, eye_words, moved_words
from ..see.first_look import first_brief, first_words, place_words
from ..see.map import map_words
from ..see.position import position_words
from ..see.straight import AskedUnder, condition_words, line_words, rod_words, sight_brief, sight_words, truer_words
from .reading import Reading
from .samples import PUTTS, about


def _seen(angle: float, doubt: float, **more: Any) -> LooksStraight:
    return LooksStraight(20, about(angle, doubt), Estimate(0.6, 0.4, 0.9), None, 0.0, 0.0, **more)


@cache
def _tests() -> tuple[LooksStraight, ...]:
    return tuple(_asked())


def _asked() -> Iterator[LooksStraight]:
    rng = np.random.default_rng(7)
    for angle, noise in ((1.2, 0.3), (-1.2, 0.3), (0.0, 0.3), (0.3, 0.8), (0.5, 6.0), (9.0, 0.3), (-9.0, 0.3)):
        eyes = SimulatedEyes(angle, noise)
        for n in (0, 3, 8, 24):
            yield by_directions([Trial(at, eyes.looks(rng, at)) for at in map(float, np.linspace(-4, 4, n))], 0.3)


def _conditions(position: Position) -> Iterator[AskedUnder]:
    for toward, trace in product(get_args(Toward), get_args(Trace)):
        for eyes, glasses in product(get_args(Eyes), get_args(Glasses)):
            yield AskedUnder("as usual", toward, trace, eyes, glasses, position)


@cache
def _maps() -> tuple[PerceptionMap, ...]:
    everywhere = [Tried({lever: size}, _seen(1.0, 0.05)) for lever in LEVERS for size in (-25.0, 25.0, -50.0, 50.0)]
    told = [[Tried({}, _seen(1.0, 0.05)), *everywhere * 6]]
    told.append([Tried({}, _seen(1.0, 0.6)), Tried({"inside": 25.0}, _seen(1.6, 0.9))])
    for lever in LEVERS:
        for usual, moved in ((1.2, 0.2), (1.2, -1.5), (0.0, 0.0), (1.2, 1.2)):
            asked = [Tried({}, _seen(usual, 0.2)), *[Tried({lever: 25.0}, _seen(moved, 0.2), True, 4, 4)] * 3]
            told += [asked[:1], asked[:2], asked]
    return tuple(perception_map(it, 0.3) for it in [[], *told])


def _few() -> LooksStraight:
    return by_directions([Trial(1.0, "left"), Trial(-1.0, "right")], 0.3)


@cache
def _opened_maps() -> tuple[MapExplained, ...]:
    usual, contrary = Tried({}, _seen(1.2, 0.2)), Tried({}, _few())
    asked: list[list[Tried]] = [[contrary], [Tried({}, _seen(0.02, 0.05)), contrary]]
    for lever in LEVERS:
        moved = Tried({lever: 25.0}, _seen(-0.1, 0.2))
        asked += [[moved], [usual, moved], [usual, moved, moved, contrary]]
    return tuple(map_explained(it, 0.3, lever) for it in asked for lever in (None, *LEVERS))


def see_aloud(it: Reading) -> None:
    tests = _tests()
    for found in tests:
        it.say("see", sight_words, found)
        it.say("see", sight_brief, found)
    for one, other in product(tests[::3], repeat=2):
        it.say("see", truer_words, one, other, ("as usual", "chin tucked"))
    for angle in (-1.5, 0.0, 2.0):
        it.say("see", rod_words, angle, angle / 29, 2.0, it.units)
    positions: list[Position] = [{}, *({lever: size} for lever in LEVERS for size in (-20.0, 20.0))]
    for position in positions:
        it.say("see", position_words, position, it.units)
        for under in _conditions(position):
            it.say("see", condition_words, under, it.units)
    for toward, putt in product(("hole", "start"), PUTTS):
        it.say("see", line_words, toward, putt, it.units)
    for found in (_seen(0.05, 0.1), _seen(0.02, 0.05)):
        it.say("see", sight_words, found)
        it.say("see", sight_brief, found)
    for found in _maps():
        it.say("see", map_words, found, it.units)
    for opened in _opened_maps():
        told = [f"{n}" for n in range(len(opened.map.tried))]
        it.say("see", map_opened, opened, told, 0, it.units)
        it.say("see", map_opened, opened, told, 2, it.units)
    _eyes_aloud(it)


def _first_aloud(it: Reading) -> None:
    for place in (*PLACES, *(replace(it, other_side=True) for it in PLACES)):
        it.say("see", place_words, place)
        it.say("see", first_words, first_seen([]))
        for looks, playable in product(get_args(Looks), (None, True, False)):
            look = FirstLook(place, looks, playable)
            seen = first_seen([look, FirstLook(place, "left"), look])
            it.say("see", first_words, seen)
            it.say("see", first_brief, seen)
            it.say("see", first_words, first_seen([look]))
            apart = first_seen([look, FirstLook(place, "left" if looks == "right" else "right")])
            it.say("see", first_words, apart)
            it.say("see", first_brief, apart)


def _eyes_aloud(it: Reading) -> None:
    for zone, inside, spread in product((None, (-10.0, 10.0), (5.0, 40.0)), (-0.03, 0.0, 0.02, 0.12), (0.001, 0.02)):
        takes = [EyeTake(EyeMark(inside + off, -0.032), EyeMark(inside + off, 0.032)) for off in (0.0, spread, -spread)]
        for some in (takes[:0], takes[:1], takes):
            for error in (None, 0.004):
                place = eye_place(some, it.hand, zone, reading_m=error)
                it.say("see", eye_words, place, it.units)
                if place is not None:
                    it.say("see", eye_brief, place, it.units)
    one_way = [OneWayLook(told) for told in get_args(Told)] + [OneWayLook(told, 0.03) for told in SIZED]
    for sides in ([StringLook("splits")], [StringLook("off", "inside")], *([look] for look in one_way)):
        place = eye_place([], it.hand, (5, 40), sides=sides)
        it.say("see", eye_words, place, it.units)
        if place is not None:
            it.say("see", eye_brief, place, it.units)
    for turned, behind in ((0.01, 0.05), (-0.01, -0.05)):
        took = EyeTake(EyeMark(0.02 + turned, behind - 0.032), EyeMark(0.02, behind + 0.032))
        it.say("see", eye_words, eye_place([took] * 2, it.hand, (5, 40)), it.units)
    for nose, turned in product((-0.02, 0.02), (0.0, 4.0)):
        marked = EyeTake(EyeMark(0.02, -0.032), EyeMark(0.02, 0.032), nose=EyeMark(nose, nose), shoulders_deg=turned)
        it.say("see", eye_words, eye_place([marked], it.hand, (5, 40)), it.units)
        other = EyeTake(EyeMark(0.02, -0.032), EyeMark(0.02, 0.032), nose=EyeMark(nose, -nose))
        it.say("see", eye_words, eye_place([other], it.hand, (5, 40)), it.units)
    for moved in (about(12, 8), about(-12, 8), about(4, 9)):
        it.say("see", moved_words, moved, "as usual", it.units)
    _first_aloud(it)
    _check_aloud(it)


def _check_aloud(it: Reading) -> None:
    card = Kept(about(20.0, 5.0), about(0.0, 10.0), 4.0, about(0.5, 0.3))
    for inside, square, looks in product((0.02, 0.09), (0.0, 1.5), ("left", "straight", "right")):
        looked = EyeTake(EyeMark(inside, -0.032), EyeMark(inside, 0.032))
        trials = [Trial(at, looks) for at in (-1, 0, 0.5, 1, 2)]
        found = drifts(card, looked, Interval(square - 0.3, square + 0.3), trials)
        it.say("keep", alert_words, found)
        for drift in found:
            it.say("keep", drift_words, drift, it.units)
            it.say("keep", drift_word, drift)
    level = Interval(-0.3, 0.3)
    here = EyeTake(EyeMark(0.02, -0.032), EyeMark(0.02, 0.032))
    empty = Kept(None, None, 4.0, None)
    for kept, looked, square, trials in (
        (card, None, None, ()),
        (empty, here, level, [Trial(0.0, "straight")]),
        (card, here, level.shifted(4.0), [Trial(0.0, "straight")]),
        (card, here, level, [Trial(at, "right" if at > 0.5 else "left") for at in (-1, 0, 0.4, 0.6, 2)]),
        (
            Kept(about(20.0, 5.0), about(0.0, 10.0), 4.0, about(0.0, 0.1)),
            here,
            level,
            [Trial(at, "straight") for at in (-0.2, 0, 0.1)] * 2,
        ),
    ):
        found = drifts(kept, looked, square, trials)
        it.say("keep", alert_words, found)
        for drift in found:
            it.say("keep", drift_words, drift, it.units)
    it.say("keep", alert_words, ())
