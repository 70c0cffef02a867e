"""One lesson's case, worked out once for all rules: links pooled, drawn together, and the putts they are counted at."""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import cached_property
from typing import Final, Literal

import numpy as np

from ...certainty.estimate import Estimate, estimated, normal
from ...certainty.matter import MATTERS
from ...estimate import PATH, START, Posterior, Prior, posterior
from ...estimate.cost import costs_from
from ...estimate.posterior import Floats
from ...measure.interval import Interval
from .currency import DRAWN, Putts, drawn, unseen_spread, weight_of
from .evidence import FEWEST_STARTS, BlockSeen, Evidence, Place, PuttSeen
from .finding import Cause, Fact, Finding, Missing, called
from .joint import Joint, Link, LinksTold, Mixture, joint_of, mixture

SLOPE: Final = (0.03, 0.03)
"""What a strike off the middle adds to the start, degrees a millimetre towards the toe: mean and standard deviation
before data (handbook 6)."""
NOTED_MM: Final = 12.0
"""How far off the middle a strike noted heel or toe is taken to be: an opinion."""
_WIDE: Final = 1.25
"""So many times the spread of the level is wide: an opinion."""
_FEWEST: Final = 3
_SEEN_DEG: Final = 0.05
"""No sensor reads finer: readings that are one are weighed once."""
Sensed = Literal["address", "impact", "path", "stroke"]


@dataclass(frozen=True, slots=True)
class Struck:
    """Where putts were struck: the mean (mm, towards the toe), what a millimetre adds, what the mean adds (degrees);
    how many, and how many lie to each side of their mean."""

    mean: Estimate
    slope: Estimate
    adds: Estimate
    putts: int
    sides: tuple[int, int]


class Case:
    """The evidence with what follows from it for every rule."""

    def __init__(self, evidence: Evidence) -> None:
        self.evidence = evidence
        self.own = evidence.own()
        self.putted = [it for block in self.own for it in block.putts]
        self.starts = [it.start for it in self.putted if it.start is not None]

    @cached_property
    def start(self) -> Posterior | None:
        """Of the starts as usual, with what their rigs share; None from too few to say anything of them."""
        if len(self.starts) < FEWEST_STARTS:
            return None
        told = [it for it in self.own if it.starts]
        weights = np.array([len(it.starts) for it in told], dtype=np.float64)
        noise = math.sqrt(float(np.average([it.noise_deg**2 for it in told], weights=weights)))
        # Each laying is off by its own: together they are off by less.
        share = weights / weights.sum()
        shared = math.sqrt(float(((share * np.array([it.shared_deg for it in told])) ** 2).sum()))
        return posterior(self.starts, START, noise=noise).blurred(shared)

    @property
    def putted_at(self) -> Place:
        """Where the golfer putted as usual first."""
        return Place("start", self.own[0].id if self.own else "")

    @property
    def wide_deg(self) -> float:
        """The spread from which it counts as wide for this golfer's level."""
        return _WIDE * self.evidence.band.spread_deg["start"]

    @property
    def proved(self) -> bool:
        return self.evidence.line_deg is not None

    @cached_property
    def told(self) -> LinksTold:
        """What was read of every link."""
        it = self.evidence
        sensors = [block for block in self.own if any(p.impact_deg is not None for p in block.putts)]
        return LinksTold(
            k=it.k,
            mark=it.mark.bias if it.mark else None,
            to_mark=it.to_mark.bias if it.to_mark else None,
            face=it.face.bias if it.face else None,
            beta=it.picture.beta if it.picture else None,
            address=self._sensed("address"),
            impact=self._sensed("impact"),
            zero_deg=max((block.zero_deg for block in sensors), default=0.4),
            one_device=all(block.one_device for block in sensors),
            path=self._sensed("path"),
            strike=self.struck.adds if self.struck else None,
            start=estimated(self.start.bias_quantile) if self.start else None,
            line_deg=it.line_deg,
        )

    def read_of(self, value: Callable[[PuttSeen], float | None]) -> list[float]:
        """What single putts told of a link."""
        return [found for it in self.putted if (found := value(it)) is not None]

    @cached_property
    def sensed(self) -> dict[Sensed, Posterior]:
        """What a sensor told of the face and the path, putt by putt, its reading error taken off the spread."""
        noise = max((it.sensor_deg for it in self.own), default=0.0)
        told: dict[Sensed, tuple[list[float], Prior, float]] = {
            "address": (self.read_of(lambda it: it.aim_deg), START, noise),
            "impact": (self.read_of(lambda it: it.impact_deg), START, noise),
            "path": (self.read_of(lambda it: it.path_deg), PATH, noise),
            "stroke": (self.read_of(_turned), START, noise * math.sqrt(2)),
        }
        return {
            name: posterior([Interval(at, at) for at in map(_seen, values)], prior, noise=noise)
            for name, (values, prior, noise) in told.items()
            if len(values) >= _FEWEST
        }

    def _sensed(self, name: Sensed) -> Estimate | None:
        post = self.sensed.get(name)
        return estimated(post.bias_quantile) if post else None

    @cached_property
    def struck(self) -> Struck | None:
        return struck(self.putted, self.evidence.toe_sign, self.evidence.k.value)

    @cached_property
    def mixture(self) -> Mixture:
        return mixture(self.told)

    @cached_property
    def joint(self) -> Joint:
        return joint_of(self.mixture, self.told)

    @cached_property
    def putts(self) -> Putts:
        """The currency: from the starts read, else from the links."""
        bias = self.joint.start if self._drawn is None else self._drawn[0]
        return Putts(bias, self.spread, self.evidence.mix)

    @cached_property
    def spread(self) -> Floats:
        """(N,) the start's spread: as read, else as expected of the level."""
        return unseen_spread(self.evidence.band.spread_deg["start"], DRAWN) if self._drawn is None else self._drawn[1]

    @cached_property
    def _drawn(self) -> tuple[Floats, Floats] | None:
        return None if self.start is None else drawn(self.start)

    @cached_property
    def linked(self) -> Putts:
        """The same golfers, their bias drawn together with their links: for how sure a cause is."""
        return Putts(self.joint.start, np.random.default_rng(3).permutation(self.spread), self.evidence.mix)

    @cached_property
    def matters_deg(self) -> tuple[float, float]:
        """The start bias that costs enough to matter, and the one under which there is nothing to mend, degrees."""
        it = MATTERS["gain"]
        spread = np.array([float(np.median(self.spread))])
        far, near = costs_from(np.array([it.matters_from, it.nothing_under]), spread, self.evidence.mix)[:, 0]
        return float(far), float(near)

    def by_link(
        self,
        cause: Cause,
        link: Link,
        size: Estimate | None,
        facts: Sequence[Fact],
        missing: tuple[Missing, ...],
    ) -> Finding:
        """A cause that is one link: named where the link itself, and what taking it away brings, are sure enough."""
        return self.by_sum(cause, self.joint.at_start[link], size, facts, missing)

    def by_sum(
        self, cause: Cause, adds: Floats, size: Estimate | None, facts: Sequence[Fact], missing: tuple[Missing, ...]
    ) -> Finding:
        """The same of any part of the start, (N,) degrees."""
        middle = float(np.median(adds))
        far, near = self.matters_deg
        gain = self.linked.gain(-middle)
        real = (adds * math.copysign(1.0, middle) >= far) & (gain >= MATTERS["gain"].matters_from)
        chance = float(real.mean())
        small = float((np.abs(adds) < near).mean())
        weight = weight_of(gain)
        right, left = (chance, 0.0) if middle > 0 else (0.0, chance)
        call = called(right, left, small, missing, can_be_clear=self.proved, cost=weight.value)
        return Finding(cause, weight, call, size, "deg", tuple(facts), missing)

    def by_gain(
        self, cause: Cause, gain: Floats, size: Estimate | None, missing: tuple[Missing, ...], *, kind: str = ""
    ) -> Finding:
        """A cause told by what it costs alone, (N,) putts of a hundred: it has no side."""
        matter, weight = MATTERS["gain"], weight_of(gain)
        chance, small = float((gain >= matter.matters_from).mean()), float((gain < matter.nothing_under).mean())
        return Finding(
            cause, weight, called(chance, 0.0, small, missing, cost=weight.value), size, missing=missing, kind=kind
        )

    @cached_property
    def aimed(self) -> Floats:
        """(N,) what the whole aim adds to the start: mark, picture and what is the golfer's own."""
        at = self.joint.at_start
        return at["mark"] + at["picture"] + at["aim"]

    @cached_property
    def stroked(self) -> Floats:
        """(N,) what the whole stroke adds: face, path and strike."""
        at = self.joint.at_start
        return at["delivery"] + at["path"] + at["strike"]


def _turned(it: PuttSeen) -> float | None:
    return None if it.aim_deg is None or it.impact_deg is None else it.impact_deg - it.aim_deg


def _seen(deg: float) -> float:
    return round(deg / _SEEN_DEG) * _SEEN_DEG


def pooled(blocks: Sequence[BlockSeen]) -> Posterior:
    """The starts of blocks read alike, as badly as the worst of them."""
    noise, shared = max(it.noise_deg for it in blocks), max(it.shared_deg for it in blocks)
    return posterior([start for it in blocks for start in it.starts], START, noise=noise).blurred(shared)


def struck(putts: Sequence[PuttSeen], toe_sign: int, k: float) -> Struck | None:
    """What the strike adds, from the putts themselves: start against strike, with the handbook's slope before data.

    Where face and path of a putt were read, what they explain of its start is taken off first.
    """
    told = [at for it in putts if (at := toe_mm(it)) is not None]
    if not told:
        return None
    x = np.array(told)
    spread = max(float(x.std(ddof=1)) if x.size > 1 else 4.0, 1.0)
    middle = float(x.mean())
    slope, slope_sd = _slope(putts, toe_sign, k)
    adds, adds_sd = slope * middle, math.hypot(middle * slope_sd, slope * spread / math.sqrt(x.size))
    off = x - middle
    sides = int((off < -1.0).sum()), int((off > 1.0).sum())
    mean = normal(middle, spread / math.sqrt(x.size))
    return Struck(mean, normal(slope, slope_sd), normal(adds, adds_sd), x.size, sides)


def _slope(putts: Sequence[PuttSeen], toe_sign: int, k: float) -> tuple[float, float]:
    with_face: list[tuple[float, float]] = []
    plain: list[tuple[float, float]] = []
    for it in putts:
        at = toe_mm(it)
        if at is None or it.start is None:
            continue
        if it.impact_deg is not None and it.path_deg is not None:
            with_face.append((at, it.start.anchor - k * it.impact_deg - (1 - k) * it.path_deg))
        else:
            plain.append((at, it.start.anchor))
    precision, moment = 1 / SLOPE[1] ** 2, toe_sign * SLOPE[0] / SLOPE[1] ** 2
    for told in (with_face, plain):
        if len(told) < 4:
            continue
        x, y = (np.array(column) for column in zip(*told, strict=True))
        x, y = x - x.mean(), y - y.mean()
        if float((x * x).sum()) < 1.0:
            continue
        fitted = float((x * y).sum() / (x * x).sum())
        noise = max(0.1, float(np.sqrt(((y - fitted * x) ** 2).sum() / (x.size - 2))))
        precision += float((x * x).sum()) / noise**2
        moment += float((x * y).sum()) / noise**2
    return moment / precision, 1 / math.sqrt(precision)


def toe_mm(it: PuttSeen) -> float | None:
    """Where a putt was struck, mm towards the toe: as measured, else as noted."""
    if it.toe_mm is not None:
        return it.toe_mm
    noted = str(it.notes.get("strike", ""))
    if not noted:
        return None
    return -NOTED_MM if noted.startswith("heel") else NOTED_MM if noted.startswith("toe") else 0.0
