"""Compensation: address and stroke lie on opposite sides, so that mending one half alone costs putts."""

import math

import numpy as np

from ....certainty.estimate import told_by
from ....measure.interval import Interval
from ...claims.level import Level
from ...compensation import FEWEST_PAIRS, Reader, putt_by_putt
from ...ledger.entry import FEWEST_STARTS
from ..case import Case
from ..currency import weight_of
from ..finding import Fact, Finding, called, needs
from ..pictures.drawn import turning
from ..rule import Rule

SET_DOWNS = 5


def find(case: Case) -> Finding:
    """Weighed by what taking away the aim alone brings: less than nothing where the stroke makes up for it.

    Of two opposite halves taking away the smaller one always costs.
    """
    aims = max(case.ledger.count(name) for name in ("face", "to_mark", "address"))
    missing = needs(("set_downs", aims, SET_DOWNS), ("starts", case.ledger.count("start"), FEWEST_STARTS))
    told = [it for name in ("face", "address", "to_mark") if (it := case.level(name)) is not None]
    sized = next((it for it in told if it.is_sized), None)
    by_side = next((it for it in told if it.beyond is not None), None) if sized is None else None
    if told and sized is None:
        # A side and no size neither names the two halves nor rules them out.
        missing = (*missing, *needs(("aims_deg", 0, SET_DOWNS)))
    aim, stroke = case.aimed, case.stroked
    middle, back = float(np.median(aim)), float(np.median(stroke))
    far, near = case.matters_deg
    side = math.copysign(1.0, middle)
    opposite = (aim * side >= far) & (-stroke * side >= far)
    chance = float(opposite.mean()) if not case.line_first else min(float(opposite.mean()), 0.79)
    small = float((np.minimum(np.abs(aim), np.abs(stroke)) < near).mean())
    halves = weight_of(case.linked.gain(-middle)), weight_of(case.linked.gain(-back))
    right, left = (chance, 0.0) if middle > 0 else (0.0, chance)
    call = called(
        right, left, small, missing, can_be_clear=case.can_be_clear("face", "address", "start"), cost=halves[0].value
    )
    facts: list[Fact] = []
    if by_side is not None:
        facts += _by_side(case, by_side)
    elif sized is not None:
        apart = "for" if call.names_direction else "against"
        facts.append(Fact("aim_adds", apart, told_by(aim), at=sized.at))
        if case.starts:
            facts.append(Fact("stroke_adds", apart, told_by(stroke), at=case.putted_at))
    facts += _putt_by_putt(case)
    return Finding(
        "compensation", halves[0], call, None, "deg", tuple(facts), missing, halves=halves if case.starts else ()
    )


def _by_side(case: Case, face: Level) -> list[Fact]:
    """The face points to a side, surely enough, and the ball does not start there: the stroke may bring it back."""
    assert face.beyond is not None
    start = case.level("start")
    sure = face.side.names_direction and start is not None and start.count >= FEWEST_STARTS
    there = start is not None and start.is_named and start.call is not None and start.call.side == face.beyond.side
    speaks = "for" if sure and not there else "against"
    side, times = face.beyond.side, face.beyond.times
    found = [Fact("aim_side", speaks, number=times, of=face.count, at=face.at, side=side)]
    if start is not None and case.starts:
        found.append(Fact("start_is", speaks, start.bias, number=start.count, at=start.at))
    return found


def _putt_by_putt(case: Case) -> list[Fact]:
    """Whether single strokes go against that putt's aim: a golfer may be square in the mean and steer every putt."""
    told = [
        (aim.anchor, impact.anchor)
        for it in case.events("address", "impact")
        if isinstance(aim := it.values["address"], Interval) and isinstance(impact := it.values["impact"], Interval)
    ]
    read = next((it.putted for it in case.putted if it.putted and it.counts.get("impact")), None)
    if read is None or len(told) < FEWEST_PAIRS:
        return []
    reader = Reader(read.sensor_deg, read.checks, read.zero_deg, read.one_device)
    found = putt_by_putt([aim for aim, _ in told], [impact for _, impact in told], reader)
    if not found.call.names_direction:
        return []
    what = "may_make_up" if found.question else "makes_up"
    return [Fact(what, "for", found.takes_back, number=len(told), at=case.putted_at)]


RULE = Rule(
    "compensation",
    "Compensation",
    "Mend what comes first, not what answers it: both go together, never one half alone.",
    find,
    turning,
    "compensation",
)
