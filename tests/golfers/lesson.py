"""A lesson of a golfer whose causes are known: what a coach would have read of it, of an ordinary size (handbook 6)."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, replace
from itertools import pairwise
from typing import Final

import numpy as np

from libella.core.certainty.estimate import Estimate, normal
from libella.core.golfer.band import usual_band
from libella.core.golfer.hand import Hand
from libella.core.golfer.level import Level
from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.instruments.in_words import InWords
from libella.core.judge.findings.finding import Cause
from libella.core.judge.ledger.entry import Batch, Event, Fitted, Ledger, Putted, SecondProof, Source
from libella.core.judge.ledger.factors import GUIDED, Levels
from libella.core.judge.ledger.place import Place
from libella.core.judge.ledger.putt import Reader, putt_values
from libella.core.measure.interval import Interval
from libella.core.see.fit import perceive
from libella.core.see.trial import Trial
from libella.core.set.proof import BY_EYE_DEG
from libella.core.simulated.golfer import SimulatedEyes
from libella.core.start.path import PathModel

K: Final = Estimate(0.85, 0.78, 0.92)
_MARK_M, _BOARD_M = 0.005, 1.0
_LINE_DEG = 0.09
_TOUCHES_DEG = 8.0


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
    words: bool = False
    """As coaches record it: no sensor, face and path in words, the rig in view for half of the putts."""
    gate_deg: float = 0.0
    """So far to either side a gate lets the ball through, and nothing finer is read; 0: a ruler on a board."""


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


def by_hand(truth: Truth, putts: int = 20) -> Size:
    """The same as coaches record it."""
    return replace(ordinary(truth, putts), words=True, sensor=False, strike=True, still=True, finish=True)


def on_a_gate(truth: Truth, putts: int = 20) -> Size:
    """The same through a gate that asks no more than the hole does."""
    return replace(by_hand(truth, putts), gate_deg=0.9)


def lesson(truth: Truth, size: Size, rng: np.random.Generator) -> Ledger:
    """What was read of it; readings against the line are put right where a second check found the line off."""
    off = truth.rig + float(rng.normal(0, _LINE_DEG if size.proved else 0.15))
    found = normal(off + float(rng.normal(0, 0.1)), 0.1) if size.second_proof else None
    line = found.value if found else 0.0
    known = size.proved or found is not None
    laid = Source("line", "laid", _LINE_DEG if known else BY_EYE_DEG())
    sets: list[Batch] = []
    if size.answers:
        sets.append(_picture(truth, size, rng, off - line, laid, proved=known))
    for name, mean, scatter, times, half in (
        ("mark", _mark(truth), 0.3, size.marks, 0.15),
        ("face", _aim(truth), 0.6, size.set_downs, 0.25),
    ):
        if times:
            read = _set_down(rng, mean - off + line, scatter, times, half)
            if size.words and name == "face":
                read = [_in_words(it.anchor) for it in read]
            events = tuple(Event(f"{name}{n}", {name: it}) for n, it in enumerate(read))
            sets.append(Batch(name, "aim", 0.0, events, sources={name: (laid,)}, proved=known, lesson="now"))
    return Ledger(
        hand=truth.hand,
        mix=usual_mix(_putt(2.5), USUAL()),
        lengths_m=tuple(it.distance_m for it in USUAL()),
        k=K,
        level=truth.level,
        band=usual_band(truth.level),
        batches=(*sets, *_blocks(truth, size, rng, off - line, laid, proved=known)),
        proof=SecondProof(found, Place("set")) if found else None,
        line_deg=_LINE_DEG if known else None,
    )


def _putt(distance_m: float) -> Putt:
    return Putt(distance_m, 0.35, 10.0)


def _aim(truth: Truth) -> float:
    return _mark(truth) + truth.follow * truth.beta + truth.aim


def _mark(truth: Truth) -> float:
    return truth.mark + truth.mark_follows * truth.beta


def _set_down(rng: np.random.Generator, mean: float, scatter: float, times: int, half: float) -> list[Interval]:
    step = 2 * half
    seen = [round(float(it) / step) * step for it in rng.normal(mean, scatter, times)]
    return [Interval(it - half, it + half) for it in seen]


def _in_words(at: float) -> Interval:
    by_eye = InWords()
    return by_eye.interval({"face": "square" if abs(at) <= by_eye.edge_deg else "right" if at > 0 else "left"})


def _picture(truth: Truth, size: Size, rng: np.random.Generator, off: float, line: Source, *, proved: bool) -> Batch:
    eyes, told = SimulatedEyes(truth.beta - off), []
    for _ in range(size.answers):
        angle = perceive(told).next_angle(float(rng.random()))
        told.append(Trial(angle, eyes.looks(rng, angle)))
    found = perceive(told)
    it = found.looks_straight
    fitted = Fitted(normal(it.value, math.hypot(it.sd, line.sd)), None, size.answers, proved=proved)
    return Batch("picture", "see", 0.0, (), fitted={"looks_straight": fitted}, proved=proved, lesson="now")


def _blocks(
    truth: Truth, size: Size, rng: np.random.Generator, off: float, line: Source, *, proved: bool
) -> list[Batch]:
    zero, guided = float(rng.normal(0, 0.4)), []
    each = max(6, size.putts // len(size.lengths)) if len(size.lengths) > 1 else size.putts

    def one(n: int, at: float, *, guided: bool) -> Batch:
        return _block(truth, size, rng, off, zero, n, at, line, guided=guided, proved=proved)

    blind = [one(each, at, guided=False) for at in size.lengths]
    if size.guide:
        guided = [one(size.guide, size.lengths[0], guided=True)]
    return [*blind, *guided]


def _start_read(at_deg: float, gate_deg: float) -> Interval:
    """A start as the gate or the ruler shows it."""
    if gate_deg:
        ends = (-math.inf, -gate_deg - _TOUCHES_DEG, -gate_deg, gate_deg, gate_deg + _TOUCHES_DEG, math.inf)
        return next(it for it in (Interval(*pair) for pair in pairwise(ends)) if at_deg in it)
    seen = round(math.tan(math.radians(at_deg)) * _BOARD_M / _MARK_M) * _MARK_M
    low, high = (math.degrees(math.atan2(seen + side * _MARK_M / 2, _BOARD_M)) for side in (-1, 1))
    return Interval(low, high)


def _block(
    truth: Truth,
    size: Size,
    rng: np.random.Generator,
    off: float,
    zero: float,
    n: int,
    at: float,
    line: Source,
    *,
    guided: bool,
    proved: bool,
) -> Batch:
    events, laid = [], float(rng.normal(0, 0.1))
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
        if size.words:
            right = (path > 0) == (truth.hand == "right")
            notes["path"] = "neutral" if abs(path) < 0.5 else "in_to_out" if right else "out_to_in"
        if size.finish:
            inside = window.low_deg <= start <= window.high_deg
            missed = truth.lost_by if inside else "left" if start < 0 else "right"
            notes["finish"] = "holed" if inside and rng.random() >= truth.lost else missed
        measures: Mapping[str, float] = {}
        if sensed:
            measures = {
                "face_address_deg": aim - off + zero + float(rng.normal(0, 0.3)),
                "face_impact_deg": impact - off + zero + float(rng.normal(0, 0.3)),
                "path_deg": path - off + float(rng.normal(0, 0.5)),
            }
            if size.strike:
                measures = {**measures, "strike_toe_mm": toe + float(rng.normal(0, 1.0))}
        read = _start_read(start - off - laid, size.gate_deg)
        values = putt_values(Reader(truth.hand, PathModel("straight")), read, notes, measures)
        events.append(Event(f"{at}{guided}{nth}", values))
    levels: Levels = (("guide", GUIDED),) if guided else ()
    device = Source("device", "sensor", 0.4)
    return Batch(
        id=f"{at}{guided}",
        step="start",
        day=0.1,
        events=tuple(events),
        levels=levels,
        lesson="now",
        noise={"address": 0.3, "impact": 0.3, "path": 0.5, "turned": 0.42},
        sources={
            "start": (line, Source("laying", f"{at}{guided}", 0.1)),
            "address": (line, device),
            "impact": (line, device),
            "path": (line,),
            "feels_straight": (line,),
        },
        putted=Putted(at, window, declared=True, sensor_deg=0.3, zero_deg=0.4),
        proved=proved,
    )
