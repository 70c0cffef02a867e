"""Compensation: address and stroke lie on opposite sides, so that mending one half alone costs putts."""

import math

import numpy as np

from ..case import Case
from ..currency import told_by, weight_of
from ..finding import Fact, Finding, called, needs

SET_DOWNS, PUTTS = 5, 5


def find(case: Case) -> Finding:
    """Weighed by what taking away the aim alone brings: less than nothing where the stroke makes up for it.

    Of two opposite halves taking away the smaller one always costs.
    """
    it = case.evidence
    face = it.face or it.to_mark
    sensed = len(case.read_of(lambda putt: putt.aim_deg))
    missing = needs(
        ("set_downs", max(face.count if face else 0, sensed), SET_DOWNS), ("starts", len(case.starts), PUTTS)
    )
    aim, stroke = case.aimed, case.stroked
    middle, back = float(np.median(aim)), float(np.median(stroke))
    far, near = case.matters_deg
    side = math.copysign(1.0, middle)
    opposite = (aim * side >= far) & (-stroke * side >= far)
    chance = float(opposite.mean())
    small = float((np.minimum(np.abs(aim), np.abs(stroke)) < near).mean())
    halves = weight_of(case.linked.gain(-middle)), weight_of(case.linked.gain(-back))
    right, left = (chance, 0.0) if middle > 0 else (0.0, chance)
    call = called(right, left, small, missing, can_be_clear=case.proved, cost=halves[0].value)
    facts: list[Fact] = []
    if face is not None or case.told.address is not None:
        at = face.at if face else case.putted_at
        apart = "for" if call.names_direction else "against"
        facts.append(Fact("aim_adds", apart, told_by(aim), at=at))
        if case.starts:
            facts.append(Fact("stroke_adds", apart, told_by(stroke), at=case.putted_at))
    return Finding(
        "compensation", halves[0], call, None, "deg", tuple(facts), missing, halves=halves if case.starts else ()
    )
