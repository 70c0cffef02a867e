"""What is said under Set."""

from collections.abc import Iterator
from dataclasses import replace
from datetime import date
from itertools import product
from typing import get_args

from ...core.certainty.estimate import Estimate
from ...core.golfer.level import LEVELS
from ...core.green.read import GolferSays, Place, Read
from ...core.green.slope import LevelReading, TrialRoll, fall_line
from ...core.instruments import Aid, Measures, instruments, lay
from ...core.instruments.elevated_string import ElevatedString
from ...core.instruments.string_sight import StringSight
from ...core.measure.limits import OutOfLimits
from ...core.measure.units import Units
from ...core.see.eyes import AnyLook, EyeMark, EyeTake
from ...core.see.look_sizes import look_sizes
from ...core.see.second_reader import READ, agreement
from ...core.see.side_look import StringLook, StripLook
from ...core.set.part import Part
from ...core.set.proof import Evidence, Measured, Proof, Repeatability, Way, prove
from ...core.set.proposal import Wanted, propose
from ...core.set.station import Station
from ...core.set.string_fit import string_fit
from ...core.set.tool_check import ToolCheck, ToolZero
from ..aim.links import LINKS
from ..set.briefing import allows, breaks, tape_list, trust
from ..set.conditions import ConditionTold, conditions_said
from ..set.correction import (
    NOTHING_READ,
    block_again,
    eyes_again,
    part_dimensions,
    part_name,
    put_right_words,
    series_again,
    superseded_words,
)
from ..set.green import falls_words, read_words, slope_words
from ..set.objections import objection_words
from ..set.proof import proof_words
from ..set.second_reader import agreement_said
from ..set.sight import remedy_words, sight_words
from ..set.station import apart_words, change_words, proposal_words, replaced_words, station_words
from ..set.string import fit_words, lean_words, string_words
from ..set.tool_check import tool_words
from .reading import Reading
from .samples import PUTTS, gate, stations


def _looks() -> tuple[AnyLook, ...]:
    """A look of each way."""
    eyes = EyeMark(0.02, -0.01), EyeMark(0.02, 0.05)
    return (EyeTake(*eyes), EyeTake(*eyes, way="plumb"), StringLook("quarter"), StripLook("bar", "light"))


def _crowded(it: Reading) -> Iterator[Station]:
    """Stations with two aids too many, and with each aid as small and as large as it comes."""
    aids = [lay(kind, {}) for kind in instruments()]
    crowds = [*product(aids, aids), *((aid,) for aid in _odd())]
    for some in crowds:
        try:
            yield Station(PUTTS[0], gate(it.units), aids=some, backstroke_m=0.35)
        except OutOfLimits:
            continue


def _proofs(units: Units) -> Iterator[Proof]:
    """A proof by each way, of little and of much measured, and each that fell."""
    line = Station(PUTTS[0], gate(units)).line
    rolls = (TrialRoll("out", 3.0, 0.0), TrialRoll("back", 3.0, 0.0))
    for way, times, beside in product(get_args(Way), (2, 5), (0.0, 0.004, -0.004)):
        measured = tuple(Measured(2.5, beside) for _ in range(times))
        for check in (None, Repeatability(0.1, 0.2, 5)):
            yield prove(way, Evidence(measured, rolls), line, green_speed_ft=10, check=check)
    proof = prove("tape", Evidence((Measured(2.5, 0.0),) * 2), line, green_speed_ft=10)
    for change in (
        {"distance_m": 3.0},
        {"falls_right_percent": 1.0},
        {"start_deg": 1.0},
        {"rig_at_m": 1.0},
    ):
        yield proof.on(replace(line, **change))


def _odd() -> Iterator[Aid]:
    for kind, known in instruments().items():
        for dimension in known.dimensions():
            for size in (dimension.low, dimension.high, -dimension.default):
                try:
                    yield lay(kind, {dimension.name: size})
                except OutOfLimits:
                    continue


def corrections_aloud(it: Reading) -> None:
    """Sizes that were entered wrong, of every instrument, of the putt, and of every way of looking."""
    for aid in _odd():
        usual, other = (Part("instrument", aid.about.kind, one.sizes()) for one in (lay(aid.about.kind, {}), aid))
        for before, after in ((usual, other), (other, usual)):
            it.say("set", put_right_words, [before], [after], it.units)
            if sizes := put_right_words([before], [after], it.units):
                it.say("set", superseded_words, date(2026, 3, 9), sizes)
    parts = [Part("putt", "", {"distance_m": 2.5}), *(Part("look", it.way, look_sizes(it)) for it in _looks())]
    for part in parts:
        it.say("set", part_name, part)
        it.say("set", part_dimensions, part)
        for size in part_dimensions(part):
            other = replace(part, sizes={**part.sizes, size.name: size.high})
            it.say("set", put_right_words, [part], [other], it.units)
    for after in ("So far at least 2.6° right.", "Right, likely."):
        it.say("set", block_again, "as usual", 1, "Right, likely.", after)
        it.say("set", series_again, LINKS["face"].name, 7, "Right, likely.", after)
        for set_up in ("", "wide base"):
            it.say("set", eyes_again, set_up, 3, "Right, likely.", after)
    it.note("set", "nothing_read", [NOTHING_READ])


def set_aloud(it: Reading) -> None:
    second_readers_aloud(it)
    corrections_aloud(it)
    for station in stations(it.units):
        it.say("set", station_words, station, it.units)
        other = replace(station, putt=replace(station.putt, distance_m=station.putt.distance_m + 1))
        for guided in (True, False):
            one = ConditionTold("", station, guided)
            for two in (ConditionTold("wide base", station, guided), ConditionTold("", other, not guided)):
                it.say("set", conditions_said, (one, two), it.units)
        it.say("set", apart_words, [station, replace(station, putt=replace(station.putt, past_m=0.6))], it.units)
        it.say("set", allows, station, it.units)
        it.say("set", breaks, station, it.units)
        it.say("set", trust, station, it.units)
        it.say("set", tape_list, station, it.hand, it.units)
        sight = station.sight(1.4, it.units)
        it.say("set", sight_words, sight)
        for remedy in sight.remedies:
            it.say("set", remedy_words, remedy, it.units)
        for change in station.remedies:
            it.say("set", change_words, change, it.units)
    for proof in _proofs(it.units):
        it.say("set", proof_words, proof, it.units)
    before = Station(PUTTS[0], gate(it.units))
    for after in (*stations(it.units), *_crowded(it)):
        it.say("set", replaced_words, after, before, it.units)
        it.say("set", replaced_words, before, after, it.units)
    for way in get_args(Way):
        it.say("set", trust, Station(PUTTS[0], gate(it.units), Proof(way, doubt_m=0.0002)), it.units)
        it.say("set", tape_list, Station(PUTTS[0], gate(it.units), Proof(way)), it.hand, it.units)
    for measures, level, putt in product(get_args(Measures), LEVELS, PUTTS[:2]):
        for proposal in propose(Wanted(measures, putt, LEVELS[level].spread_deg), {}, it.units):
            it.say("set", proposal_words, proposal, it.units)
    for station in _crowded(it):
        for objection in station.objections(it.hand):
            it.say("set", objection_words, objection, it.units)
    for place, side in product(get_args(Place), ("left", "right")):
        it.say("set", read_words, Read(place, side, 0.05 if place == "outside" else 0.0), it.units)
    golfers = (GolferSays(Read("edge", "left"), 1.0, -0.5), GolferSays(Read("centre")), GolferSays(None, 0.0, None))
    golfers += (GolferSays(None, -1.2, 0.7), GolferSays(Read("outside", "right", 0.1), None, 0.0))
    for along, percent in product((True, False), (-1.0, 0.0, 2.0)):
        it.say("set", falls_words, along, percent)
    for putt, golfer in product(PUTTS, golfers):
        it.say("set", breaks, Station(putt, gate(it.units), golfer=golfer), it.units)
    for along, across in ((0.0, 0.0), (0.1, 0.25), (1.0, 1.5), (0.4, -0.3), (0.15, 0.15), (1.0, 0.0), (-1.0, 0.0)):
        falls = ((0, along), (90, across), (45, (along + across) / 2**0.5))
        it.say("set", slope_words, fall_line([LevelReading(*one) for one in falls]))
    for lean, inside in product((0.0, 2.0), (-40.0, 0.0, 40.0)):
        fit = string_fit(ElevatedString(lean_deg=lean), Estimate(inside, inside - 8, inside + 8))
        it.say("set", fit_words, fit, it.units)
        it.say("set", lean_words, fit)
    for inside in (-0.05, 0.0, 0.04):
        it.say("set", string_words, StringSight(inside, 1.5, 0.2), it.units)
    for zero in (ToolZero(0.4, 0.05, checks=3), ToolZero(-0.4, 0.05, checks=2), ToolZero(0.01, 0.05, checks=2)):
        it.say("set", tool_words, ToolCheck("rod_beside"), zero, it.units)
    for inside in (0.004, -0.004, 0.0):
        zero = ToolZero(inside_m=inside, behind_m=-inside, doubt_m=0.0005, checks=2)
        it.say("set", tool_words, ToolCheck("ground_mirror"), zero, it.units)
        it.say("set", tool_words, ToolCheck("strip_bar"), zero, it.units)


def second_readers_aloud(it: Reading) -> None:
    zones: tuple[str, ...]
    for thing, about in READ.items():
        zones = about.zones or ("",)
        for far in (0.0, 3.0):
            numbers = [float(n) for n in range(8)], [n + far for n in range(8)]
            coded = [zones[0]] * 8, [zones[min(int(far), 1) * (len(zones) - 1)]] * 8
            first, second = numbers if about.bounds else coded
            it.say("set", agreement_said, thing, agreement(thing, first, second), it.units)
        if about.bounds:
            numbers = [float(n) for n in range(8)], [n - 3.0 for n in range(8)]
            it.say("set", agreement_said, thing, agreement(thing, *numbers), it.units)
