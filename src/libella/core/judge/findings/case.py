"""One lesson's case, worked out once for all rules: what was read of each link, the links drawn together, and the putts
they are counted at."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from typing import Final

import numpy as np

from ...certainty.estimate import Estimate, estimated, normal, told_by
from ...certainty.matter import MATTERS
from ...certainty.verdict import Verdict
from ...estimate import Posterior
from ...estimate.cost import limits_at
from ...estimate.posterior import Floats
from ...measure.interval import Interval
from ...opinions.held import Opinion
from ...set.proof import BY_EYE_DEG
from ..claims.growth import Growth, growth
from ..claims.level import FEWEST, Level, Weighing, level_of, shared_of
from ..claims.pace import Pace, pace_of
from ..ledger.entry import FEWEST_STARTS, Batch, Event, Ledger, grouped, main_of
from ..ledger.factors import Levels, moving
from ..ledger.place import Place
from ..ledger.quantity import quantity
from .currency import DRAWN, Putts, drawn, unseen_spread, weight_of
from .finding import Cause, Fact, Finding, Missing, called
from .joint import Joint, Link, LinksTold, Mixture, joint_of, mixture

SLOPE: Final = (0.03, 0.03)
"""What a strike off the middle adds before data (handbook 6), degrees a millimetre towards the toe: mean and spread."""
_WIDE: Final = Opinion("spread_wide", 1.25, "times", (1.05, 3.0))
"""So many times the spread of the level is wide: an opinion."""
_ALIKE: Final = Opinion("links_alike", 0.3, "deg")
"""Links off by so much more or less are still off alike, degrees: an opinion."""
_AGAINST_LINE: Final = ("mark", "face", "looks_straight", "start", "address")
_LEANS: Final[dict[Link, tuple[str, ...]]] = {
    "rig": _AGAINST_LINE, "mark": ("mark",), "picture": ("looks_straight",), "aim": ("face", "address", "to_mark"),
    "delivery": ("impact", "face", "address", "start"), "path": ("path",), "strike": ("strike",),
}  # fmt: skip
"""Which quantities tell a link."""
_UNDER: Final = {"likely": 0.94, "open": 0.79}
"""A chance that is told beside such a word is no more than that word stands for."""


@dataclass(frozen=True, slots=True)
class Struck:
    """Where putts were struck: what a millimetre adds, what the mean adds (degrees); how many lie to each side of their
    mean."""

    mean: Estimate
    slope: Estimate
    adds: Estimate
    putts: int
    sides: tuple[int, int]


class Case:
    """The ledger with what follows from it for every rule."""

    def __init__(self, ledger: Ledger) -> None:
        self.ledger = ledger
        self._worked_out: dict[tuple[str, Levels, tuple[str, ...]], Level | None] = {}
        self.own = ledger.main("start")
        self.starts = [one for it in self.own for one in it.read("start")]

    @cached_property
    def weighing(self) -> Weighing:
        """What everything is weighed by: the golfer's usual putts, the one currency."""
        return Weighing(self.ledger.mix, self.ledger.k.value, self.ledger.band.spread_deg["start"])

    def level(self, name: str) -> Level | None:
        """Where a quantity lies, of the golfer as usual."""
        return self._levels.get(name)

    @cached_property
    def _levels(self) -> dict[str, Level]:
        found: dict[str, Level] = {}
        for name in self.ledger.quantities:
            main = self.ledger.main(name)
            if quantity(name).kind == "share" or not main:
                continue
            level = self.level_of(main, name, levels_in(main, name), self.weighing)
            if level is not None:
                found[name] = level
        return found

    def as_read(self, *names: str) -> Estimate | None:
        """Where a link lies, by the first of these that was read well enough to say a size: as every page says it."""
        told = (self.level(name) for name in names)
        return next((it.bias for it in told if it is not None and it.count >= FEWEST and it.is_sized), None)

    def level_of(self, batches: Sequence[Batch], name: str, levels: Levels, by: Weighing) -> Level | None:
        """The level of some batches, worked out once however often it is asked for."""
        key = name, levels, tuple(it.id for it in batches)
        if key not in self._worked_out:
            self._worked_out[key] = level_of(batches, name, levels, by)
        return self._worked_out[key]

    def events(self, *names: str) -> list[Event]:
        """The putts of the golfer as usual of which all of these were read."""
        return [it for batch in self.putted for it in batch.events if all(name in it.values for name in names)]

    @cached_property
    def putted(self) -> list[Batch]:
        """Every block putted as usual, its start watched or not."""
        blocks = [it for it in self.ledger.batches if it.putted]
        if self.own:
            usual = {moving(it.levels, quantity("start").movers) for it in self.own}
            return [it for it in blocks if moving(it.levels, quantity("start").movers) in usual]
        groups = grouped(blocks, "start")
        return list(groups[()]) if () in groups else blocks if len(groups) == 1 else []

    @property
    def putted_at(self) -> Place:
        """Where the golfer putted as usual first."""
        return Place("start", self.own[0].id if self.own else "")

    @cached_property
    def start(self) -> Posterior | None:
        """Of the starts as usual, with all they share; None from too few to say anything of them."""
        level = self.level("start")
        return level.post if level is not None and level.count >= FEWEST_STARTS else None

    @property
    def wide_deg(self) -> float:
        """The spread from which it counts as wide for this golfer's level."""
        return _WIDE() * self.ledger.band.spread_deg["start"]

    @property
    def proved(self) -> bool:
        """The line was measured a second way wherever it was read against."""
        return self.ledger.proved

    def can_be_clear(self, *names: str) -> bool:
        """Whether what leans on these quantities may be clear: each that was read against a line was read on one that
        had been measured a second way. Another line, laid before or after, is nothing to it."""
        read = [it for name in names if (it := self.level(name)) is not None]
        return all(it.proved for it in read) if read else self.proved

    def no_surer(self, call: Verdict, *names: str) -> Verdict:
        """The word of what is made of these quantities: no surer than the surest of them that was read (account 1)."""
        read = [it for name in names if (it := self.level(name)) is not None and it.call is not None]
        if not read or not call.names_direction:
            return call
        words = {it.sure.word for it in read}
        if "clear" in words or (call.word == "likely" and "likely" in words):
            return call
        word = "likely" if "likely" in words else "open"
        return replace(call, word=word, probability=min(call.probability, _UNDER[word]))

    @cached_property
    def _on_proved(self) -> frozenset[str]:
        """What was read on a proved line of its own, where another line was not."""
        if self.proved:
            return frozenset()
        told = ((name, self.level(name)) for name in (*_AGAINST_LINE, "impact", "path"))
        return frozenset(name for name, it in told if it is not None and it.quantity.on_line and it.proved)

    def off_line(self, name: str) -> Estimate | None:
        """A link's mean without what the line's own direction leaves unknown: in the joint that is a link."""
        level = self.level(name)
        if level is None or level.count < FEWEST:
            return None
        if name in self._on_proved:
            # That line is not the one in doubt: what is left unknown of it stays with its own readings.
            return level.bias if level.raw is not None or self._tells(name) else None
        if level.raw is None:
            it = level.bias
            line = BY_EYE_DEG() if self.ledger.line_deg is None else self.ledger.line_deg
            return (
                normal(it.value, math.sqrt(max(it.sd**2 - line**2, (0.3 * it.sd) ** 2))) if self._tells(name) else None
            )
        own = shared_of(self.ledger.main(name), name, but=("line",))
        return estimated(level.raw.blurred(own).bias_quantile)

    def _tells(self, name: str) -> bool:
        return all(it.fitted[name].tells for it in self.ledger.main(name) if name in it.fitted)

    @cached_property
    def told(self) -> LinksTold:
        """What was read of every link."""
        sensors = [it.putted for it in self.ledger.main("impact") or self.ledger.main("address") if it.putted]
        return LinksTold(
            k=self.ledger.k,
            mark=self.off_line("mark"),
            to_mark=self.off_line("to_mark"),
            face=self.off_line("face"),
            face_guided=any(it.guided for it in self.ledger.main("face")),
            beta=self.off_line("looks_straight"),
            address=self.off_line("address"),
            impact=self.off_line("impact"),
            zero_deg=max((it.zero_deg for it in sensors), default=0.4),
            one_device=all(it.one_device for it in sensors),
            # Words say a side and at least how far: that it may be much is the joint's to know.
            path=self.off_line("path"),
            strike=self.struck.adds if self.struck else None,
            start=self.off_line("start") if self.start else None,
            start_guided=any(it.guided for it in self.own),
            line_deg=self.ledger.line_deg,
            on_proved=self._on_proved,
        )

    @cached_property
    def struck(self) -> Struck | None:
        return struck(self)

    @cached_property
    def growth(self) -> Growth | None:
        """The side by distance: of this lesson's starts as usual, and of the lessons before."""
        earlier = main_of(grouped(self.ledger.earlier, "start"), "start") if self.ledger.earlier else []
        same = [it for it in earlier if it.guided == any(one.guided for one in self.own)]
        return growth([*same, *self.own], self.weighing) if self.own else None

    @cached_property
    def pace(self) -> Pace | None:
        return pace_of(self.putted, self.weighing)

    @cached_property
    def line_first(self) -> bool:
        """Nobody measured the line a second way, and all that was read against it may lie off it by the same: then the
        line may be what is off, and its check comes first."""
        if self.proved:
            return False
        doubted = (name for name in _AGAINST_LINE if name not in self._on_proved)
        told = [it for name in doubted if (it := self.off_line(name)) is not None]
        aside = [it.value for it in told if it.is_one_side]
        if len(aside) < 2 or len({it.value > 0 for it in told}) > 1:
            return False
        middle = float(np.median(aside))
        return all(it.low - _ALIKE() <= middle <= it.high + _ALIKE() for it in told)

    @cached_property
    def mixture(self) -> Mixture:
        return mixture(self.told)

    @cached_property
    def joint(self) -> Joint:
        return joint_of(self.mixture)

    @cached_property
    def putts(self) -> Putts:
        """The currency: from the starts read, else from the links."""
        bias = self.joint.start if self._drawn is None else self._drawn[0]
        return Putts(bias, self.spread, self.ledger.mix)

    @cached_property
    def spread(self) -> Floats:
        """(N,) the start's spread: as read, else as expected of the level."""
        return unseen_spread(self.ledger.band.spread_deg["start"], DRAWN) if self._drawn is None else self._drawn[1]

    @cached_property
    def _drawn(self) -> tuple[Floats, Floats] | None:
        return None if self.start is None else drawn(self.start)

    @cached_property
    def linked(self) -> Putts:
        """The same golfers, their bias drawn together with their links: for how sure a cause is."""
        return Putts(self.joint.start, np.random.default_rng(3).permutation(self.spread), self.ledger.mix)

    @cached_property
    def matters_deg(self) -> tuple[float, float]:
        """The start bias that costs enough to matter, and the one under which there is nothing to mend, degrees."""
        return limits_at(MATTERS()["gain"], float(np.median(self.spread)), self.ledger.mix)

    def by_link(
        self,
        cause: Cause,
        link: Link,
        size: Estimate | None,
        facts: Sequence[Fact],
        missing: tuple[Missing, ...],
    ) -> Finding:
        """A cause that is one link: named where the link itself, and what taking it away brings, are sure enough."""
        return self.by_sum(cause, self.joint.at_start[link], size, facts, missing, leans=_LEANS[link])

    def by_sum(
        self,
        cause: Cause,
        adds: Floats,
        size: Estimate | None,
        facts: Sequence[Fact],
        missing: tuple[Missing, ...],
        *,
        leans: Sequence[str],
    ) -> Finding:
        """The same of any part of the start, (N,) degrees; `leans`: the quantities that tell it."""
        middle = float(np.median(adds))
        far, near = self.matters_deg
        gain = self.linked.gain(-middle)
        real = (adds * math.copysign(1.0, middle) >= far) & (gain >= MATTERS()["gain"].matters_from)
        chance = float(real.mean())
        small = float((np.abs(adds) < near).mean())
        weight = weight_of(gain)
        right, left = (chance, 0.0) if middle > 0 else (0.0, chance)
        call = called(right, left, small, missing, can_be_clear=self.can_be_clear(*leans), cost=weight.value)
        call = self.no_surer(call, *leans)
        if self.line_first and call.names_direction:
            # What every link shares is the line's until a second proof says otherwise.
            call = replace(call, word="open", probability=min(call.probability, _UNDER["open"]))
        as_is = float(self.linked.as_it_is.mean())
        inside = as_is, as_is + weight.value
        return Finding(cause, weight, call, size, "deg", tuple(facts), missing, adds=told_by(adds), inside=inside)

    def by_gain(
        self, cause: Cause, gain: Floats, size: Estimate | None, missing: tuple[Missing, ...], *, kind: str = ""
    ) -> Finding:
        """A cause told by what it costs alone, (N,) putts of a hundred: it has no side."""
        matter, weight = MATTERS()["gain"], weight_of(gain)
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


def levels_in(batches: Sequence[Batch], name: str) -> Levels:
    """The levels a group of batches was taken at, of the factors that may move the quantity."""
    return moving(batches[0].levels, quantity(name).movers)


def struck(case: Case) -> Struck | None:
    """Where the putts were struck and what that does to their start; None where nobody noted it.

    What a millimetre adds starts from its prior and takes in what the putts themselves show: against the start as such,
    and sharper against what face and path leave of it.
    """
    level = case.level("strike")
    if level is None:
        return None
    toe, k = case.ledger.toe_sign, case.ledger.k.value
    slope, slope_sd = _slope(case.events("strike", "start"), toe, k)
    middle, middle_sd = level.bias.value, level.bias.sd
    adds_sd = math.hypot(middle * slope_sd, slope * middle_sd, slope_sd * middle_sd)
    at = [_at(it, "strike") for it in case.events("strike")]
    # To either side of the mean strike: a golfer who strikes one end can be told, too.
    mean = float(np.mean(at)) if at else 0.0
    sides = sum(it < mean - 1.0 for it in at), sum(it > mean + 1.0 for it in at)
    return Struck(level.bias, normal(slope, slope_sd), normal(slope * middle, adds_sd), level.count, sides)


def _ends(it: Event, name: str) -> tuple[float, ...]:
    """Both ends of what was read of a putt; open where nothing was, or a side alone."""
    value = it.values.get(name)
    return (value.low, value.high) if isinstance(value, Interval) else (math.inf,)


_ZONE_MM: Final = Opinion("strike_zone", 12.0, "mm")
"""Where a strike noted heel or toe is taken to lie when it is set beside the start: an opinion."""


def _at(it: Event, name: str) -> float:
    value = it.values[name]
    assert isinstance(value, Interval)
    if name == "strike" and (math.isinf(value.low) or math.isinf(value.high)):
        return math.copysign(max(_ZONE_MM(), abs(value.anchor)), value.anchor)
    return value.anchor


def strike_at(it: Event) -> float | None:
    """Where a putt was struck, mm towards the toe: as measured, else as noted."""
    return _at(it, "strike") if "strike" in it.values else None


def _slope(putts: Sequence[Event], toe_sign: int, k: float) -> tuple[float, float]:
    with_face: list[tuple[float, float]] = []
    plain: list[tuple[float, float]] = []
    for it in putts:
        at, start = _at(it, "strike"), _at(it, "start")
        if all(math.isfinite(end) for end in _ends(it, "impact")) and "path" in it.values:
            with_face.append((at, start - k * _at(it, "impact") - (1 - k) * _at(it, "path")))
        else:
            plain.append((at, start))
    precision, moment = 1 / SLOPE[1] ** 2, toe_sign * SLOPE[0] / SLOPE[1] ** 2
    for told in (with_face, plain):
        if len(told) < 4:
            continue
        x, y = (np.array(column) for column in zip(*told, strict=True))
        x, y = x - x.mean(), y - y.mean()
        if float((x * x).sum()) < 1.0:
            continue
        fitted = float((x * y).sum() / (x * x).sum())
        # The noise of a fit to few putts is hardly known: it is taken no smaller than usual.
        noise = math.sqrt((2 * 0.6**2 + float(((y - fitted * x) ** 2).sum())) / (2 + x.size - 2))
        precision += float((x * x).sum()) / noise**2
        moment += float((x * y).sum()) / noise**2
    return moment / precision, 1 / math.sqrt(precision)
