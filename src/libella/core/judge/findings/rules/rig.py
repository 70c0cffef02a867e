"""The rig is off: every link shares one bias, and a second check of the line finds it."""

import math

import numpy as np

from ....certainty.estimate import told_by
from ....estimate.cost import share_within
from ..case import Case
from ..currency import weight_of
from ..finding import Fact, Finding, called, needs
from ..pictures.drawn import laid
from ..rule import Rule


def find(case: Case) -> Finding:
    """Named only where a second check found the line off; what was read is put right by it already.

    Its weight is what starting along that line costs a golfer who starts along it.
    """
    proof = case.ledger.proof
    missing = needs(("second_proof", 1 if proof or case.proved else 0, 1))
    if proof is None:
        off = case.joint.at_start["rig"]
    else:
        off = np.random.default_rng(11).normal(proof.off.value, max(proof.off.sd, 1e-3), case.putts.bias.size)
    middle = float(np.median(off))
    far, near = case.matters_deg
    mix, spread = case.ledger.mix, case.spread
    straight, along = 100 * share_within(mix, np.zeros(1), spread), 100 * share_within(mix, off, spread)
    lost = straight - along
    chance = float((off * math.copysign(1.0, middle) >= far).mean())
    right, left = (chance, 0.0) if middle > 0 else (0.0, chance)
    weight = weight_of(lost)
    call = called(right, left, float((np.abs(off) < near).mean()), missing, cost=weight.value)
    facts = [] if case.proved else _shared(case)
    if proof is not None:
        facts = [Fact("second_proof", "for" if call.names_direction else "against", proof.off, at=proof.at)]
    size = proof.off if proof else told_by(off) if case.line_first else None
    inside = float(np.mean(along)), float(np.mean(straight))
    kind = "first" if case.line_first else ""
    return Finding("rig", weight, call, size, "deg", tuple(facts), missing, kind=kind, adds=told_by(off), inside=inside)


def _shared(case: Case) -> list[Fact]:
    """Whether all that was read against the line lies on one side of it."""
    told = [
        it for name in ("mark", "face", "looks_straight", "start", "address") if (it := case.level(name)) is not None
    ]
    aside = [it.bias.value > 0 for it in told if it.bias.is_one_side]
    if len(told) < 2 or not aside:
        return []
    same = case.line_first
    return [
        Fact("links_share" if same else "links_differ", "for" if same else "against", number=len(told), at=told[0].at)
    ]


RULE = Rule(
    "rig",
    "The laid line",
    "Lay the line again, and check it a second way before the next putt.",
    find,
    laid,
    "line off",
)
