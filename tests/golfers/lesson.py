"""A lesson of a golfer whose causes are known: what a coach would have read of it, of an ordinary size (handbook 6)."""

import math
from dataclasses import dataclass, replace
from typing import Final

import numpy as np

from libella.core.certainty.estimate import Estimate, estimated, normal
from libella.core.estimate import START, posterior
from libella.core.estimate.cost import Mix
from libella.core.golfer.band import usual_band
from libella.core.golfer.hand import Hand
from libella.core.golfer.level import Level
from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, level_window
from libella.core.judge.findings.evidence import BlockSeen, Evidence, Picture, Place, PuttSeen, SecondProof, Told
from libella.core.judge.findings.finding import Cause
from libella.core.measure.interval import Interval
from libella.core.see.fit import perceive
from libella.core.see.trial import Trial
from libella.core.simulated.golfer import SimulatedEyes

K: Final = Estimate(0.85, 0.78, 0.92)
_MARK_M, _BOARD_M = 0.005, 1.0
_LINE_DEG = 0.09


@dataclass(frozen=True)
class Truth:
    """A golfer link by link, degrees, right positive; strike in mm towards the toe.

    `follow`, `mark_follows`: the shares of the picture that the aim, and a mark laid by eye, take over; `moving`: share
    of putts in which something moves, and `loose` how many times as wide those scatter; `alone_deg`, `alone_spread`:
    what is added without a guide in view; `lost`: of the putts that start inside, those that miss; `rig`: how far right
    the line lies.
    """

    causes: tuple[Cause, ...]
    hand: Hand = "right"
    level: Level = "skilled"
    mark: float = 0.0
    beta: float = 0.0
    follow: float = 0.5
    mark_follows: float = 0.0
    aim: float = 0.0
    delivery: float = 0.0
    path: float = 0.0
    toe_mm: float = 0.0
    gear: float = 0.03
    growth: float = 0.0
    moving: float = 0.0
    loose: float = 1.0
    alone_deg: float = 0.0
    alone_spread: float = 1.0
    lost: float = 0.0
    lost_by: str = "past"
    rig: float = 0.0
    spread: float = 1.0


@dataclass(frozen=True)
class Size:
    """How much is read: an ordinary lesson (issue)."""

    answers: int = 8
    set_downs: int = 7
    marks: int = 7
    putts: int = 20
    sensor: bool = True
    strike: bool = False
    still: bool = False
    guide: int = 0
    lengths: tuple[float, ...] = (2.5,)
    finish: bool = False
    second_proof: bool = False
    proved: bool = True


def ordinary(truth: Truth, putts: int = 20) -> Size:
    """An ordinary lesson with what its causes need."""
    causes = truth.causes
    size = Size(putts=putts)
    if "strike" in causes:
        size = replace(size, strike=True)
    if "movement" in causes:
        size = replace(size, still=True)
    if "guide" in causes:
        size = replace(size, guide=10)
    if "distance" in causes:
        size = replace(size, lengths=(1.5, 3.0, 5.0))
    if "read_and_pace" in causes:
        size = replace(size, finish=True)
    if "rig" in causes:
        size = replace(size, second_proof=True)
    return size


def lesson(truth: Truth, size: Size, rng: np.random.Generator) -> Evidence:
    """What was read of it; readings against the line are put right where a second check found the line off."""
    off = truth.rig + float(rng.normal(0, _LINE_DEG if size.proved else 0.15))
    found = normal(off + float(rng.normal(0, 0.1)), 0.1) if size.second_proof else None
    line = found.value if found else 0.0
    mix = Mix(tuple(level_window(_putt(2.5), it.distance_m) for it in USUAL), tuple(it.weight for it in USUAL))
    return Evidence(
        hand=truth.hand,
        mix=mix,
        lengths_m=tuple(it.distance_m for it in USUAL),
        k=K,
        level=truth.level,
        band=usual_band(truth.level),
        blocks=tuple(_blocks(truth, size, rng, off - line)),
        mark=_set_down(rng, _mark(truth) - off + line, 0.3, size.marks, 0.15) if size.marks else None,
        face=_set_down(rng, _aim(truth) - off + line, 0.6, size.set_downs, 0.25) if size.set_downs else None,
        picture=_picture(truth, size, rng, off - line) if size.answers else None,
        proof=SecondProof(found, Place("set")) if found else None,
        line_deg=_LINE_DEG if size.proved or found else None,
    )


def _putt(distance_m: float) -> Putt:
    return Putt(distance_m, 0.35, 10.0)


def _aim(truth: Truth) -> float:
    return _mark(truth) + truth.follow * truth.beta + truth.aim


def _mark(truth: Truth) -> float:
    return truth.mark + truth.mark_follows * truth.beta


def _set_down(rng: np.random.Generator, mean: float, scatter: float, times: int, half: float) -> Told:
    step = 2 * half
    seen = [round(float(it) / step) * step for it in rng.normal(mean, scatter, times)]
    post = posterior([Interval(it - half, it + half) for it in seen], START)
    return Told(estimated(post.bias_quantile), times, Place("aim"), estimated(post.spread_quantile))


def _picture(truth: Truth, size: Size, rng: np.random.Generator, off: float) -> Picture:
    eyes, told = SimulatedEyes(truth.beta - off), []
    for _ in range(size.answers):
        angle = perceive(told).next_angle(float(rng.random()))
        told.append(Trial(angle, eyes.looks(rng, angle)))
    return Picture(perceive(told).looks_straight, size.answers, Place("see"))


def _blocks(truth: Truth, size: Size, rng: np.random.Generator, off: float) -> list[BlockSeen]:
    zero, guided = float(rng.normal(0, 0.4)), []
    each = max(6, size.putts // len(size.lengths)) if len(size.lengths) > 1 else size.putts
    blind = [_block(truth, size, rng, off, zero, each, at, guided=False) for at in size.lengths]
    if size.guide:
        guided = [_block(truth, size, rng, off, zero, size.guide, size.lengths[0], guided=True)]
    return [*blind, *guided]


def _block(
    truth: Truth, size: Size, rng: np.random.Generator, off: float, zero: float, n: int, at: float, *, guided: bool
) -> BlockSeen:
    putts, laid = [], float(rng.normal(0, 0.1))
    window = _putt(at).window
    for nth in range(n):
        moves = rng.random() < truth.moving
        spread = truth.spread * (truth.loose if moves else 1.0) * (1.0 if guided else truth.alone_spread)
        alone = 0.0 if guided else truth.alone_deg
        aim = _aim(truth) + float(rng.normal(0, 0.5 * spread))
        path = truth.path + float(rng.normal(0, 0.8))
        toe = truth.toe_mm + float(rng.normal(0, 5.0))
        sign = 1 if truth.hand == "right" else -1
        delivery_sd = math.sqrt(max(spread**2 - (0.5 * spread * 0.85) ** 2 - 0.0225, 0.05)) / 0.85
        impact = aim + truth.delivery + (alone + truth.growth * at) / 0.85 + float(rng.normal(0, delivery_sd))
        start = 0.85 * impact + 0.15 * path + sign * truth.gear * toe
        sensed = size.sensor and nth % 2 == 0
        notes: dict[str, str | float] = {}
        if size.still:
            notes["still"] = "head" if moves else "nothing"
        if size.strike and not sensed:
            notes["strike"] = "middle" if abs(toe) < 6 else "toe" if toe > 0 else "heel"
        if size.finish:
            inside = window.low_deg <= start <= window.high_deg
            missed = truth.lost_by if inside else "left" if start < 0 else "right"
            notes["finish"] = "holed" if inside and rng.random() >= truth.lost else missed
        seen = round(math.tan(math.radians(start - off - laid)) * _BOARD_M / _MARK_M) * _MARK_M
        ends = (math.degrees(math.atan2(seen + side * _MARK_M / 2, _BOARD_M)) for side in (-1, 1))
        putts.append(
            PuttSeen(
                start=Interval(*ends),
                notes=notes,
                aim_deg=aim - off + zero + float(rng.normal(0, 0.3)) if sensed else None,
                impact_deg=impact - off + zero + float(rng.normal(0, 0.3)) if sensed else None,
                path_deg=path - off + float(rng.normal(0, 0.5)) if sensed else None,
                toe_mm=toe + float(rng.normal(0, 1.0)) if sensed and size.strike else None,
            )
        )
    return BlockSeen(
        id=f"{at}",
        putts=tuple(putts),
        distance_m=at,
        window=window,
        shared_deg=0.1,
        guided=guided,
        proved=size.proved,
        sensor_deg=0.3,
        zero_deg=0.4,
    )
