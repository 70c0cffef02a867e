"""The golfer's line: one link's blocks pooled over lessons, as a vial and as a path over time (handbook 5)."""

import math
from collections.abc import Hashable, Sequence
from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..certainty.estimate import Estimate, normal
from ..certainty.matter import MATTERS
from ..certainty.verdict import Verdict, weigh
from ..certainty.vial import Bubble, Vial, vial
from ..drawing.scene import Area, Circle, Curve, Line, Scene, Shape
from ..estimate import PATH, START, Posterior, Prior
from ..estimate.level import Level, Pooled, bias_likelihood, level, spread_likelihood
from ..measure.window import Window
from ..see.eyes import INSIDE

Link = Literal["eyes", "looks_straight", "ball_mark", "to_mark", "face", "face_impact", "path", "start", "felt"]
LINKS: Final[tuple[Link, ...]] = get_args(Link)
_PRIORS: Final[dict[Link, Prior]] = {"eyes": INSIDE, "path": PATH}
_DEGREE_MM: Final = INSIDE.bias_sd / START.bias_sd
"""What stands for a degree where eyes are pooled, mm: as their priors are to each other. An opinion."""
_POINTS: Final = 40
_NO_FILM: Final = Estimate(0.0, 0.0, 0.0)
_WIDE, _TALL = 320.0, 80.0


@dataclass(frozen=True, slots=True, order=True)
class LineKey:
    """What is pooled together: a link under one condition, with a guide in view or without."""

    link: Link
    guided: bool
    name: str

    @property
    def text(self) -> str:
        """In one word, for addresses and the store."""
        return f"{self.link}|{'guided' if self.guided else 'blind'}|{self.name}"

    @classmethod
    def read(cls, text: str) -> "LineKey | None":
        """From its one word; None where it is none."""
        link, _, rest = text.partition("|")
        seen, _, name = rest.partition("|")
        known: dict[str, Link] = {it: it for it in LINKS}
        return cls(known[link], seen == "guided", name) if link in known and seen in ("guided", "blind") else None


@dataclass(frozen=True, slots=True)
class LineBlock:
    """What one block tells of a link: when, in days; its mean's likelihood and its spread's (on its logarithm), None
    where it says next to nothing; what it shares with others of one laying, or of one device at one setting."""

    day: float
    bias: tuple[float, float] | None
    spread: tuple[float, float] | None
    laying: Hashable
    laying_sd: float
    lesson: Hashable
    device: Hashable = None
    device_sd: float = 0.0

    @classmethod
    def read(
        cls, day: float, post: Posterior, prior: Prior, laying: tuple[Hashable, float], lesson: Hashable
    ) -> "LineBlock":
        """Of readings; `laying` with its standard uncertainty, which is not in `post`."""
        return cls(day, bias_likelihood(post, prior), spread_likelihood(post, prior), *laying, lesson)


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
    """A link pooled.

    Attributes
    ----------
    keys : what is pooled in it: one, or several that the coach joined; `link`, the same of all
    now, spread : the level at the newest block and the spread about it, degrees, of eyes mm inside; None where none
        was read
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

    @property
    def link(self) -> Link:
        return self.keys[0].link

    @property
    def guided(self) -> bool:
        """Whether any of it was with a guide in view."""
        return any(it.guided for it in self.keys)


def golfers_line(
    keys: Sequence[LineKey], told: Sequence[LineBlock], changes: Sequence[Change], window: Window
) -> GolfersLine | None:
    """Pool a link's blocks; None where none of them tells anything.

    Parameters
    ----------
    keys : what they are read under, at least one
    told : its blocks, oldest first
    changes : what was noted of the golfer; those between the first block and the newest can be told
    window : where the vial's marks stand
    """
    pooled: list[Pooled] = []
    spreads: list[Pooled] = []
    lessons: set[Hashable] = set()
    for it in told:
        if it.bias is None:
            continue
        lessons.add(it.lesson)
        pooled.append(Pooled(it.day, *it.bias, it.laying, it.laying_sd, it.device, it.device_sd))
        if it.spread is not None:
            spreads.append(Pooled(it.day, *it.spread))
    if not pooled:
        return None
    first, last = pooled[0].day, pooled[-1].day
    within = [it for it in changes if first < it.day <= last]
    days = [first + (last - first) * n / (_POINTS - 1) for n in range(_POINTS)] if last > first else [last]
    link = keys[0].link
    prior = _PRIORS.get(link, START)
    before = prior.bias_mean, prior.bias_sd
    if link == "eyes":
        matter = MATTERS["eyes_outside_zone"]
        matters = matter.matters_from, matter.nothing_under
        found = level(pooled, days, [it.day for it in within], prior=before, matters=matters, scale=_DEGREE_MM)
    else:
        found = level(pooled, days, [it.day for it in within], prior=before)
    now = found.at[-1]
    scatter = _spread(spreads, last, prior) if spreads else None
    return GolfersLine(
        keys=tuple(sorted(keys)),
        lessons=len(lessons),
        now=now,
        spread=scatter,
        path=tuple(zip(days, found.at, strict=True)),
        blocks=tuple((it.day, normal(it.mean, it.sd)) for it in pooled),
        steps=_steps(within, found),
        between=found.between,
        vial=vial((), Bubble(now, scatter or _NO_FILM), window, settled=True, unit=prior.unit),
    )


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
        0.5 * (_DEGREE_MM if it.link == "eyes" else 1.0),
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
