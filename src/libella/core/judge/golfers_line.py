"""The golfer's line: a quantity's blocks pooled over lessons, as a vial and as a path over time (handbook 5)."""

import math
from collections.abc import Hashable, Sequence
from dataclasses import dataclass, replace
from itertools import groupby
from typing import Final

import numpy as np

from ..certainty.estimate import Estimate, normal
from ..certainty.verdict import Verdict, weigh
from ..certainty.vial import Bubble, Vial, vial
from ..drawing.scene import Area, Circle, Curve, Line, Scene, Shape
from ..estimate import START, Prior
from ..estimate.beyond import Beyond
from ..estimate.cost import Mix, weigh_by
from ..estimate.kind import Sided, Within, pooled_sides
from ..estimate.level import USUAL_TAU, Level, Pooled, bias_likelihood, level, normal_likelihood, spread_likelihood
from ..measure.window import Window
from ..see.eyes import INSIDE
from .chain import K_USUAL
from .claims.difference import limits_of
from .claims.level import FEWEST, Weighing, level_of
from .claims.level import Level as LevelClaim
from .ledger.entry import Batch
from .ledger.factors import FACTORS, Levels, is_guided
from .ledger.place import Place
from .ledger.quantity import Quantity, names, quantity

LINES: Final[tuple[str, ...]] = tuple(
    it for it in names() if quantity(it).kind == "level" and quantity(it).event != "set_up"
)
"""The quantities that have a line: every level but those of a set-up, which Stand sets side by side itself."""
_POINTS: Final = 40
_NO_FILM: Final = Estimate(0.0, 0.0, 0.0)
_LEAST_SD: Final = 0.01
_WIDE, _TALL = 320.0, 80.0


@dataclass(frozen=True, slots=True, order=True)
class LineKey:
    """What is pooled together: a quantity, at the levels of the factors that may move it."""

    name: str
    levels: Levels

    @property
    def text(self) -> str:
        """In one word, for addresses and the store."""
        return f"{self.name}|{'&'.join(f'{factor}={level}' for factor, level in self.levels)}"

    @classmethod
    def read(cls, text: str) -> "LineKey | None":
        """From its one word; None where it is none."""
        name, _, rest = text.partition("|")
        told = dict(one.split("=", 1) for one in rest.split("&") if "=" in one)
        if name not in LINES or any(it not in FACTORS for it in told):
            return None
        return cls(name, tuple((it, told[it]) for it in FACTORS if it in told))

    @property
    def guided(self) -> bool:
        return is_guided(self.levels)


@dataclass(frozen=True, slots=True)
class LineBlock:
    """What one block tells of a quantity: when, in days; its level's likelihood, as a normal and where it is none on a
    grid, and its spread's on its logarithm; what it shares with others of one laying, or of one device."""

    day: float
    bias: tuple[float, float] | None
    spread: tuple[float, float] | None
    lesson: Hashable
    laying: Hashable = None
    laying_sd: float = 0.0
    device: Hashable = None
    device_sd: float = 0.0
    grid: tuple[np.ndarray, np.ndarray] | None = None
    beyond: Beyond | None = None
    """Its readings are open to one side; its edge is 0 where not all of them are: then a side is all they say."""
    count: int = 1
    zone: float | None = None
    """How far to either side the one zone reaches in which all its readings lie: they say no more."""
    place: Place | None = None
    """Where it was read."""
    sided: Sided | None = None
    """Told as sides, in words."""


def line_block(batch: Batch, name: str, by: Weighing) -> LineBlock | None:
    """A batch as a block of a line; None where it holds too little."""
    found = level_of([batch], name, (), by)
    if found is None or (found.count < FEWEST and found.raw is not None):
        return None
    shared = {it.what: it for it in batch.sources.get(name, ())}
    laying = [it for it in shared.values() if it.what in ("line", "laying", "slope", "tool", "disturbed")]
    device = shared.get("device")
    prior = found.quantity.prior
    assert prior is not None
    bias, spread, grid = _likelihood(found, prior)
    return LineBlock(
        day=batch.day,
        bias=bias,
        spread=spread,
        lesson=batch.lesson,
        laying=(laying[0].id if laying else batch.id),
        laying_sd=math.hypot(*(it.sd for it in laying)),
        device=device.id if device else None,
        device_sd=device.sd if device else 0.0,
        grid=grid,
        beyond=_open(found),
        count=found.count,
        zone=found.kind.reach if isinstance(found.kind, Within) else None,
        sided=found.kind if isinstance(found.kind, Sided) else None,
        place=batch.place,
    )


def _open(it: LevelClaim) -> Beyond | None:
    if isinstance(it.kind, Sided):
        return None
    if it.beyond is None or it.beyond.times == it.count:
        return it.beyond
    return replace(it.beyond, edge=0.0)


def _likelihood(
    it: LevelClaim, prior: Prior
) -> tuple[tuple[float, float] | None, tuple[float, float] | None, tuple[np.ndarray, np.ndarray] | None]:
    if it.raw is None:
        if it.beyond is not None or it.vial.bubble_at is None:
            return None, None, None
        sd = max(it.bias.sd, _LEAST_SD)
        return normal_likelihood(it.bias.value, sd, prior.bias_mean, prior.bias_sd), None, None
    if it.quantity.sides in ("more", ""):
        # Its prior was laid about its own readings: they stand for themselves.
        return (it.bias.value, max(it.bias.sd, _LEAST_SD)), None, None
    if it.is_sized:
        return bias_likelihood(it.raw, prior), spread_likelihood(it.raw, prior), None
    if isinstance(it.kind, Within):
        return bias_likelihood(it.raw, prior), None, None
    mass = it.raw.weight.sum(axis=1)
    log = np.log(np.maximum(mass, 1e-12)) + 0.5 * ((it.raw.bias - prior.bias_mean) / prior.bias_sd) ** 2
    # Readings that all lie in one zone say next to nothing of how far they scatter.
    return (it.bias.value, 5 * prior.bias_sd), None, (it.raw.bias, log)


@dataclass(frozen=True, slots=True)
class Change:
    """A day on which the coach noted a change, and what it was."""

    day: float
    words: str


@dataclass(frozen=True, slots=True)
class Stepped:
    """What a noted change came to: how far the level stepped, in the line's unit, and how sure that is."""

    change: Change
    size: Estimate
    call: Verdict


@dataclass(frozen=True, slots=True)
class GolfersLine:
    """A quantity pooled.

    Attributes
    ----------
    keys : what is pooled in it: one, or several that the coach joined; `quantity`, the same of all
    now, spread : the level at the newest block and the spread about it, in the quantity's unit; None where none was
        read
    path : the level over time, at even steps from the first block to the newest
    blocks : each block's own mean, its prior divided out, by day
    between : how far single blocks lie about the level, in the same unit
    """

    keys: tuple[LineKey, ...]
    lessons: int
    now: Estimate
    spread: Estimate | None
    path: tuple[tuple[float, Estimate], ...]
    blocks: tuple[tuple[float, Estimate], ...]
    steps: tuple[Stepped, ...]
    between: float
    vial: Vial
    beyond: Beyond | None = None
    """Every block is open to one side: it lies at least so far out there, and nobody can say how far."""
    readings: int = 0
    zone: float | None = None
    """Every block's readings lie in one zone about nothing: so far it reaches to either side, and they say no more."""
    moved: Stepped | None = None
    """The newest lesson clearly lies elsewhere than those before, and nobody noted a change."""
    sided: Sided | None = None
    """Every block was told as sides: so many to each, over all of them."""

    @property
    def quantity(self) -> Quantity:
        return quantity(self.keys[0].name)

    @property
    def has_middle(self) -> bool:
        """Its readings say how far: it has a path over time."""
        return self.beyond is None and self.sided is None

    @property
    def guided(self) -> bool:
        """Whether any of it was with a guide in view."""
        return any(it.guided for it in self.keys)


@dataclass(frozen=True, slots=True)
class LineTold:
    """What a line is pooled of: the arguments of `golfers_line`."""

    keys: Sequence[LineKey]
    blocks: Sequence[LineBlock]
    changes: Sequence[Change]
    window: Window
    mix: Mix

    def pooled(self) -> GolfersLine | None:
        """The line they come to."""
        return golfers_line(self.keys, self.blocks, self.changes, self.window, self.mix)

    def without(self, lesson: Hashable) -> GolfersLine | None:
        """The line without what one lesson told."""
        return replace(self, blocks=[it for it in self.blocks if it.lesson != lesson]).pooled()


def golfers_line(
    keys: Sequence[LineKey], told: Sequence[LineBlock], changes: Sequence[Change], window: Window, mix: Mix
) -> GolfersLine | None:
    """Pool a quantity's blocks; None where none of them tells anything.

    Parameters
    ----------
    keys : what they are read under, at least one
    told : its blocks, oldest first
    changes : what was noted of the golfer; those between the first block and the newest can be told
    window : where the vial's marks stand
    mix : the golfer's usual putts: a step matters by what it costs there
    """
    read = [it for it in told if it.bias is not None]
    if not read:
        return None
    about = quantity(keys[0].name)
    prior = about.prior or START()
    pooled = [
        Pooled(it.day, *it.bias, it.laying, it.laying_sd, it.device, it.device_sd, it.grid)
        for it in read
        if it.bias is not None
    ]
    spreads = [Pooled(it.day, *it.spread) for it in read if it.spread is not None]
    first, last = read[0].day, read[-1].day
    within = _told_apart([it for it in changes if first < it.day <= last], [it.day for it in read])
    days = [first + (last - first) * n / (_POINTS - 1) for n in range(_POINTS)] if last > first else [last]
    scale = _scale(about, prior)
    scatter = _spread(spreads, last, prior) if spreads else None
    matters = limits_of(about, scatter.value if scatter else prior.spread_median, at_usual(mix))
    found = level(
        pooled, days, [it.day for it in within], prior=(prior.bias_mean, prior.bias_sd), matters=matters, scale=scale
    )
    now = found.at[-1]
    open_ = [it.beyond for it in read if it.beyond is not None]
    one_side = len(open_) == len(read) and len({it.side for it in open_}) == 1
    beyond = min(open_, key=lambda it: abs(it.edge)) if one_side else None
    sides = [it.sided for it in read if it.sided is not None]
    sided = pooled_sides(sides) if len(sides) == len(read) else None
    film = None if beyond or sided else Bubble(now, scatter or _NO_FILM)
    return GolfersLine(
        keys=tuple(sorted(keys)),
        lessons=len({it.lesson for it in read}),
        now=now,
        spread=scatter,
        path=tuple(zip(days, found.at, strict=True)),
        blocks=tuple((it.day, normal(it.mean, it.sd)) for it in pooled),
        steps=_steps(within, found),
        between=found.between,
        vial=vial((), film, window, settled=True, unit=prior.unit),
        beyond=beyond,
        readings=sum(it.count for it in read),
        zone=_zone(read),
        sided=sided,
        moved=None if beyond or sided or within else _moved(read, pooled, matters, scale),
    )


def _zone(read: Sequence[LineBlock]) -> float | None:
    zones = [it.zone for it in read if it.zone is not None]
    return max(zones) if len(zones) == len(read) else None


def _moved(
    read: Sequence[LineBlock], pooled: Sequence[Pooled], matters: tuple[float, float], scale: float
) -> Stepped | None:
    """The newest lesson against all before, days apart as they usually are; None where it is not clear, or is the only
    one."""
    newest = read[-1].lesson
    sides: list[tuple[float, float]] = []
    for is_new in (False, True):
        some = [it for it, block in zip(pooled, read, strict=True) if (block.lesson == newest) == is_new]
        days = {block.lesson for block in read if (block.lesson == newest) == is_new}
        if not some or not all(math.isfinite(it.sd) for it in some):
            return None
        weight = [1 / max(it.sd, _LEAST_SD) ** 2 for it in some]
        mean = sum(w * it.mean for w, it in zip(weight, some, strict=True)) / sum(weight)
        # Blocks of one lesson share its laying; days differ by themselves.
        shared = max(math.hypot(it.laying_sd, it.device_sd) for it in some)
        sides.append((mean, math.hypot(1 / math.sqrt(sum(weight)), shared, USUAL_TAU * scale / math.sqrt(len(days)))))
    (before, sd), (now, its_sd) = sides
    by = normal(now - before, math.hypot(sd, its_sd))
    call = weigh_by(by, matters)
    return Stepped(Change(read[-1].day, ""), by, call) if call.word == "clear" else None


def at_usual(mix: Mix) -> Weighing:
    """What a line is weighed by: over all lessons nobody's spread and no one share of the face."""
    return Weighing(mix, K_USUAL.value, START().spread_median)


def _scale(about: Quantity, prior: Prior) -> float:
    """By how much a quantity wanders between blocks, as parts of what a start does: as its level is believed to, and
    where nothing is believed of the level, as single readings do."""
    if prior.unit == "deg":
        return 1.0
    if about.sides in ("more", ""):
        return prior.spread_median / START().spread_median
    return prior.bias_sd / START().bias_sd


def _told_apart(changes: Sequence[Change], days: Sequence[float]) -> list[Change]:
    """Changes between which no block lies can't be told from one another: they are one, noted together."""
    found: list[Change] = []
    for _, some in groupby(changes, key=lambda it: sum(day < it.day for day in days)):
        same = list(some)
        found.append(Change(same[0].day, ", ".join(it.words for it in same)))
    return found


def _spread(spreads: Sequence[Pooled], day: float, before: Prior) -> Estimate:
    """The spread now: pooled as the level is, on its logarithm."""
    prior = (math.log(before.spread_median), before.spread_log_sd)
    [log] = level(spreads, [day], prior=prior).at
    return Estimate(*(math.exp(it) for it in (log.value, log.low, log.high)))


def _steps(changes: Sequence[Change], found: Level) -> tuple[Stepped, ...]:
    return tuple(
        Stepped(change, it.size, weigh(it.larger, it.smaller, it.nothing))
        for change, it in zip(changes, found.steps, strict=True)
    )


def path_drawn(it: GolfersLine, words: str) -> Scene:
    """The path over time: the band of nine in ten, each block with its own, noted changes as uprights; time runs right
    and right of the line, of eyes inside, is up. Not to scale: as wide as it is long."""
    first, last = it.path[0][0], it.path[-1][0]
    most = max(
        0.5 * (INSIDE().bias_sd / START().bias_sd if it.quantity.unit == "mm" else 1.0),
        *(max(abs(e.low), abs(e.high)) for _, e in it.path),
        *(abs(e.value) for _, e in it.blocks),
    )

    def x(day: float) -> float:
        return _WIDE * ((day - first) / (last - first) if last > first else 0.5)

    def y(deg: float) -> float:
        return -deg / most * _TALL / 2

    upper = [(x(day), y(e.high)) for day, e in it.path]
    lower = [(x(day), y(e.low)) for day, e in it.path]
    shapes: list[Shape] = [
        Area((*upper, *reversed(lower)), "shade"),
        Line(0, 0, _WIDE, 0, "line"),
        Curve(tuple((x(day), y(e.value)) for day, e in it.path), "path"),
        *(Line(x(one.change.day), -_TALL / 2, x(one.change.day), _TALL / 2, "limit") for one in it.steps),
        *(Line(x(day), y(max(e.low, -most)), x(day), y(min(e.high, most)), "mark") for day, e in it.blocks),
        *(Circle(x(day), y(e.value), 2.5, "post") for day, e in it.blocks),
    ]
    return Scene(-8, -_TALL / 2 - 4, _WIDE + 8, _TALL / 2 + 4, words, tuple(shapes))
