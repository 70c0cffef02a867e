"""The rig is off: every link shares one bias, and a second check of the line finds it."""

import math

import numpy as np

from ..case import Case
from ..currency import weight_of
from ..evidence import Place
from ..finding import Fact, Finding, called, needs


def find(case: Case) -> Finding:
    """Named only where a second check found the line off; what was read is put right by it already.

    Its weight is what starting along that line costs.
    """
    proof = case.evidence.proof
    missing = needs(("second_proof", 1 if proof or case.proved else 0, 1))
    if proof is None:
        off = case.joint.at_start["rig"]
    else:
        off = np.random.default_rng(11).normal(proof.off.value, max(proof.off.sd, 1e-3), case.putts.bias.size)
    middle = float(np.median(off))
    far, near = case.matters_deg
    lost = case.putts.share() - case.putts.share(middle)
    chance = float((off * math.copysign(1.0, middle) >= far).mean())
    right, left = (chance, 0.0) if middle > 0 else (0.0, chance)
    weight = weight_of(lost)
    call = called(right, left, float((np.abs(off) < near).mean()), missing, cost=weight.value)
    facts = [] if case.proved else _shared(case)
    if proof is not None:
        facts = [Fact("second_proof", "for" if call.names_direction else "against", proof.off, at=proof.at)]
    return Finding("rig", weight, call, proof.off if proof else None, "deg", tuple(facts), missing)


def _shared(case: Case) -> list[Fact]:
    """Whether all that was read against the line lies on one side of it."""
    it = case.evidence
    told = [one.bias for one in (it.mark, it.face) if one]
    if case.told.start is not None:
        told.append(case.told.start)
    if len(told) < 2:
        return []
    same = len({bias.value > 0 for bias in told}) == 1
    return [Fact("links_share" if same else "links_differ", "for" if same else "against", at=Place("set"))]
