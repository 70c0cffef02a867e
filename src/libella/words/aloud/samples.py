"""Sample putts, rigs, stations and readings to say something of."""

from collections.abc import Iterator
from itertools import product
from typing import Final

import numpy as np

from ...core.certainty.estimate import Estimate
from ...core.green.putt import Putt
from ...core.green.read import Read
from ...core.instruments import Rig, instruments, lay, usual_sizes
from ...core.measure.interval import Interval
from ...core.measure.limits import OutOfLimits
from ...core.measure.units import Units
from ...core.set.proof import NOT_PROVED, Proof
from ...core.set.station import Station

PUTTS: Final = (
    Putt(2.5, 0.3, 10),
    Putt(1.2, 0.05, 9, "free_fall"),
    Putt(3.0, 0.3, 10, falls_forward_percent=-1.0, falls_right_percent=1.5, read=Read("edge", "left")),
    Putt(3.0, 0.3, 10, falls_right_percent=-2.0, falls_doubt_percent=0.4, read=Read("outside", "right", 0.08)),
    Putt(2.5, 0.3, 10, falls_right_percent=0.05, falls_doubt_percent=0.4, read=Read("centre")),
    Putt(2.5, 0.3, 10, falls_right_percent=0.02, falls_doubt_percent=0.02),
    Putt(2.5, 0.3, 10, read=Read("centre")),
    Putt(4.0, 0.05, 8, falls_forward_percent=-4.0, falls_right_percent=3.0, read=Read("outside", "left", 0.9)),
    Putt(4.0, 0.5, 11, falls_forward_percent=3.0, falls_right_percent=2.0, read=Read("centre"), target="read"),
)
PROVED: Final = Proof("tape", offset_m=0.004, doubt_m=0.0015, zero_deg=0.1, noise_deg=0.2, checks=5)


def rigs(units: Units) -> Iterator[Rig]:
    for kind, known in instruments().items():
        coarse = {it.name: it.high for it in known.dimensions() if it.name == "mark_m"}
        for sizes in ({}, coarse):
            aid = lay(kind, usual_sizes(kind, sizes, units)) if known.about.measures == "start" else None
            if isinstance(aid, Rig):
                yield aid


def stations(units: Units) -> Iterator[Station]:
    for putt, rig in product(PUTTS, rigs(units)):
        for proof in (NOT_PROVED, PROVED):
            try:
                yield Station(putt, rig, proof, across_m=0.0 if proof is NOT_PROVED else 0.02)
            except OutOfLimits:
                # A rig beyond the hole: said among the refusals.
                continue


def gate(units: Units) -> Rig:
    gate = lay("peg_gate", usual_sizes("peg_gate", {}, units))
    assert isinstance(gate, Rig)
    return gate


def about(value: float, doubt: float) -> Estimate:
    return Estimate(value, value - doubt, value + doubt)


def intervals(middle: float, spread: float, n: int) -> tuple[Interval, ...]:
    rng = np.random.default_rng(int(middle * 10) % 97 + n)
    return tuple(Interval(at - 0.15, at + 0.15) for at in rng.normal(middle, spread, n))
