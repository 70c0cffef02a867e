"""The golfer's line: a quantity's blocks pooled over lessons, as a vial and as a path over time (handbook 5)."""

import math
from collections.abc import Hashable, Sequence
from dataclasses import dataclass, replace
from itertools import groupby
from typing import Final

from ..certainty.estimate import Estimate, normal
from ..certainty.verdict import NOT_WEIGHED, Verdict, weigh
from ..certainty.vial import Bubble, Vial, vial
from ..drawing.scene import Area, Circle, Curve, Line, Scene, Shape
from ..estimate import START, Prior
from ..estimate.beyond import Beyond
from ..estimate.common_spread import Common, common_spread
from ..estimate.cost import Mix, weigh_by
from ..estimate.kind import Sided, pooled_sides
from ..estimate.level import USUAL_TAU, Level, Member, level, level_over
from ..estimate.pooled import Pooled
from ..measure.window import Window
from ..see.eyes import INSIDE
from .chain import K_USUAL
from .claims.difference import limits_of
from .claims.level import Weighing, sides_call
from .ledger.factors import FACTORS, Levels, is_guided
from .ledger.quantity import Quantity, names, quantity
from .line_block import LineBlock

LINES: Final[tuple[str, ...]] = tuple(
    it for it in names() if quantity(it).kind == "level" and quantity(it).event != "set_up"
)
"""The quantities that have a line: every level but those of a set-up, which Stand sets side by side itself."""
_POINTS: Final = 40
_NO_FILM: Final = Estimate(0.0, 0.0, 0.0)
_LEAST_SD: Final = 0.01
_OF_A_STEP: Final = 0.45
"""A step of this part of what costs on the course is a step: where a coach noted a change, whether it did anything is
asked first. Of steps of 0.7° after four lessons 65 % are likely, of none 15 %; by all of it 46 and 5 (0067)."""
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
    proved: bool = True
    """What all of it was read against was measured a second way, or none counts."""
    sided: Sided | None = None
    """Every block was told as sides: so many to each, over all of them."""

    @property
    def quantity(self) -> Quantity:
        return quantity(self.keys[0].name)

    @property
    def sides_call(self) -> Verdict:
        """How sure a side is of which all blocks tell sides."""
        return NOT_WEIGHED if self.sided is None else sides_call(self.sided, proved=self.proved)

    @property
    def has_middle(self) -> bool:
        """Its readings say how far: it has a path over time."""
        return self.beyond is None and self.sided is None and self.zone is None

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
        Pooled(it.day, *it.bias, it.laying, it.laying_sd, it.device, it.device_sd, joint=it.joint)
        for it in read
        if it.bias is not None
    ]
    first, last = read[0].day, read[-1].day
    within = _told_apart([it for it in changes if first < it.day <= last], [it.day for it in read])
    days = [first + (last - first) * n / (_POINTS - 1) for n in range(_POINTS)] if last > first else [last]
    scale, changed = _scale(about, prior), [it.day for it in within]
    shared = _by_spread(read, pooled, changed, prior, scale)
    matters = limits_of(about, shared.spread.value if shared.spread else prior.spread_median, at_usual(mix))
    steps = _OF_A_STEP * matters[0], matters[1]
    before = prior.bias_mean, prior.bias_sd
    found = level_over(shared.members, days, changed, prior=before, matters=steps, scale=scale)
    now = found.at[-1]
    open_ = [it.beyond for it in read if it.beyond is not None]
    one_side = len(open_) == len(read) and len({it.side for it in open_}) == 1
    beyond = min(open_, key=lambda it: abs(it.edge)) if one_side else None
    sides = [it.sided for it in read if it.sided is not None]
    sided = pooled_sides(sides) if len(sides) == len(read) else None
    zone = _zone(read)
    has_middle = not (beyond or sided or zone)
    scatter = shared.spread if has_middle else None
    film = Bubble(now, scatter or _NO_FILM) if has_middle else None
    return GolfersLine(
        keys=tuple(sorted(keys)),
        lessons=len({it.lesson for it in read}),
        now=now,
        spread=scatter,
        path=tuple(zip(days, found.at, strict=True)),
        blocks=tuple((it.day, normal(it.mean, it.sd)) for it in pooled),
        steps=_steps(within, found, has_middle=has_middle),
        between=found.between,
        vial=vial((), film, window, settled=True, unit=prior.unit),
        beyond=beyond,
        readings=sum(it.count for it in read),
        zone=zone,
        proved=all(it.proved for it in read),
        sided=sided,
        moved=None if within or not all(it.sized for it in read) else _moved(read, pooled, matters, scale),
    )


def _by_spread(
    read: Sequence[LineBlock], pooled: Sequence[Pooled], steps: Sequence[float], prior: Prior, scale: float
) -> Common:
    """The spread about the level, and the blocks to pool the level of: under each spread there may be, where some block
    tells the one only by the other."""
    if any(it.joint is not None and not it.sized for it in read):
        return common_spread(pooled, steps, prior, scale)
    spreads = [Pooled(it.day, *it.spread) for it in read if it.spread is not None]
    alone = Member(0.0, pooled)
    return Common(_spread(spreads, read[-1].day, prior) if spreads else None, (alone,))


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


def _steps(changes: Sequence[Change], found: Level, *, has_middle: bool) -> tuple[Stepped, ...]:
    return tuple(
        Stepped(change, it.size, weigh(it.larger, it.smaller, it.nothing) if has_middle else NOT_WEIGHED)
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
