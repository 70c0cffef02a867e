"""Where a quantity lies, and how far single readings scatter: the claim about one group of readings."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import lru_cache
from typing import Final

import numpy as np
from scipy.special import ndtr

from ...certainty.estimate import Estimate, estimated, normal
from ...certainty.matter import MATTERS
from ...certainty.verdict import NOT_WEIGHED, Verdict, weigh
from ...certainty.vial import Bubble, Vial, vial
from ...estimate import START, Posterior, Prior, posterior
from ...estimate.beyond import Beyond
from ...estimate.cost import Mix, cost, limits_at
from ...estimate.kind import SIZED, Bounded, Kind, Sided, Sized, allowed, beyond_in, has_middle, kind_of
from ...measure.interval import Interval
from ...measure.window import Window
from ...see.fit import perceive
from ...see.trial import TRUE, Looks, Trial, open_to
from ...set.proof import golfers_own
from ..ledger.entry import Batch, Fitted, Source
from ..ledger.factors import Levels
from ..ledger.lengths import lengths_of
from ..ledger.place import Place
from ..ledger.quantity import REACHES, Quantity, quantity

FEWEST: Final = 3
"""Readings below which a level is not told as one."""
FEW: Final = 5
"""Readings below which nothing is clear, likely or nothing to mend, of whatever kind; sizes stay (account 1). A look at
the eyes is a measurement by itself."""
FEWEST_FELT: Final = 6
"""Calls below which nothing is said of what feels straight."""
_SEEN_DEG: Final = 0.05
"""No sensor reads finer: readings that are one are weighed once."""


@dataclass(frozen=True, slots=True)
class Weighing:
    """What sizes are weighed by: the windows a start is weighed in, the face's share of the start, the spread expected
    of the golfer where none was read."""

    mix: Mix
    k: float
    spread_deg: float


@dataclass(frozen=True, slots=True)
class Counted:
    """Sides and range as read, before any model."""

    right: int
    left: int
    neither: int
    lowest: Interval
    highest: Interval


@dataclass(frozen=True)
class Level:
    """What a group's readings of a quantity come to.

    Attributes
    ----------
    bias, spread : medians with 90 % intervals, in the quantity's unit, with all that is not known of them; no spread
        where it was not worked out
    against : what the bias is weighed from: the path declared, the pace planned
    call : whether it lies off by enough to matter; None where nobody judges that quantity
    side : how sure its side is, whatever its size
    proved : the line it was read against was measured a second way, or none counts
    shared : what all its readings share, one standard deviation
    implied : what follows from events of which it was not read: weighed with its readings, and counted apart
    """

    quantity: Quantity
    levels: Levels
    count: int
    bias: Estimate
    spread: Estimate | None
    call: Verdict | None
    side: Verdict
    counted: Counted | None
    proved: bool
    against: float
    at: Place
    batches: tuple[str, ...]
    vial: Vial
    kind: Kind = SIZED
    """What its readings can show: what has no middle is never told with one."""
    shared: float = 0.0
    lengths_m: tuple[float, ...] = ()
    raw: Posterior | None = field(default=None, compare=False, repr=False)
    """What the readings say, without what they share; None where the step worked it out."""
    post: Posterior | None = field(default=None, compare=False, repr=False)
    readings: tuple[Interval, ...] = field(default=(), repr=False)
    implied: tuple[Interval, ...] = field(default=(), repr=False)

    @property
    def beyond(self) -> Beyond | None:
        """Where the readings tell one side."""
        return beyond_in(self.kind)

    @property
    def is_sized(self) -> bool:
        """Its readings say how far: it has a middle and a spread."""
        return isinstance(self.kind, Sized)

    @property
    def tells_side(self) -> bool:
        """It says a side and no size, and is sure enough of the side."""
        return self.enough and self.beyond is not None and self.side.names_direction

    @property
    def enough(self) -> bool:
        return self.count >= FEWEST

    @property
    def sure(self) -> Verdict:
        """How sure it says what it says: that it lies off, or of readings without a size to which side."""
        if self.call is None or (not self.is_sized and self.side.names_direction and not self.call.names_direction):
            return self.side
        return self.call

    @property
    def as_weighed(self) -> bool:
        """It lies where it is weighed from, as finely as a pace is told: to 5 cm."""
        return abs(self.bias.value - self.against) < 0.05

    @property
    def is_named(self) -> bool:
        return self.enough and self.call is not None and self.call.names_direction


@lru_cache(maxsize=4096)
def _post(readings: tuple[Interval, ...], prior: Prior, noise: float, lapse: float) -> Posterior:
    return posterior(readings, prior, lapse=lapse, noise=noise)


def post_of(readings: Sequence[Interval], prior: Prior | None = None, noise: float = 0.0) -> Posterior:
    """The posterior of some readings; the order they came in is no matter, and the same ones are weighed once."""
    seen = sorted((_rounded(it) for it in readings), key=lambda it: (it.low, it.high))
    before = START() if prior is None else prior
    # Eyes wander by little and are never mishit.
    lapse = 0.0 if before.unit == "mm" else 0.02
    return _post(tuple(seen), before, round(noise, 4), lapse)


def _rounded(it: Interval) -> Interval:
    if it.low != it.high:
        return it
    at = round(it.low / _SEEN_DEG) * _SEEN_DEG
    return Interval(at, at)


def noise_of(batches: Sequence[Batch], name: str) -> float:
    """The reading noise of batches together: by how many readings each brought."""
    told = [(it.counts[name], it.noise.get(name, 0.0)) for it in batches]
    return math.sqrt(sum(n * sd * sd for n, sd in told) / max(sum(n for n, _ in told), 1))


def shares_of(batches: Sequence[Batch], name: str) -> dict[tuple[str, str], tuple[Source, float]]:
    """Every source that the readings of batches have in common, with the part of them that shares it."""
    whole = sum(it.counts[name] for it in batches)
    found: dict[tuple[str, str], tuple[Source, float]] = {}
    for it in batches:
        for source in it.sources.get(name, ()):
            key = source.what, source.id
            before = found[key][1] if key in found else 0.0
            found[key] = source, before + it.counts[name] / whole
    return found


def shared_of(batches: Sequence[Batch], name: str, *, but: Sequence[str] = ()) -> float:
    """What batches do not know of their common mean, one standard deviation: sources they share are never averaged
    away, those of each alone are. `but`: kinds of sources left out."""
    parts = (part * it.sd for it, part in shares_of(batches, name).values() if it.what not in but)
    return math.hypot(*parts)


def level_of(batches: Sequence[Batch], name: str, levels: Levels, by: Weighing) -> Level | None:
    """The level of a group's readings of a quantity; None where nothing of it was read."""
    told = [it for it in batches if it.counts.get(name)]
    if not told:
        return None
    about = quantity(name)
    if name == "feels_straight":
        return _felt(told, about, levels, by)
    fitted = next((it.fitted[name] for it in reversed(told) if name in it.fitted), None)
    if fitted is not None:
        return _fitted(told[-1], about, fitted, levels, by)
    readings = [one for it in told for one in it.read(name)]
    implied = tuple(one for it in told for one in it.implied(name))
    shared = shared_of(told, name)
    raw = post_of([*readings, *implied], _believed(about, readings), noise_of(told, name))
    post = raw.blurred(shared)
    bias, spread = estimated(post.bias_quantile), estimated(post.spread_quantile)
    against = _against(told, about)
    window = _window(told, about, by)
    kind = kind_of(readings, window, against if about.sides == "path" else 0.0)
    past = isinstance(kind, Bounded) and kind.beyond.side == "right"
    proved = not about.on_line or all(it.proved for it in told)
    right, left = post.bias_above(against), 1 - post.bias_above(against)
    side = weigh(right, left, 0.0, can_be_clear=proved)
    call = _call(post, about, against, by, proved=proved)
    if isinstance(kind, Sided):
        side = sides_call(kind, proved=proved)
        call = None if call is None else side
    elif call is not None:
        call = allowed(call, kind)
    if len(readings) < FEW and about.event != "look":
        side = replace(NOT_WEIGHED, side=side.side)
        call = None if call is None else replace(NOT_WEIGHED, side=call.side)
    return Level(
        quantity=about,
        levels=levels,
        count=len(readings),
        bias=bias,
        spread=spread,
        # A putt that misses at good pace runs past, too: past without a size says nothing of the pace.
        call=None if about.name == "roll_past" and past else call,
        side=side,
        counted=_counted(readings, against),
        proved=proved,
        against=against,
        at=told[0].place,
        batches=tuple(it.id for it in told),
        vial=vial(readings, Bubble(bias, spread) if has_middle(kind) else None, window, settled=True, unit=about.unit),
        kind=kind,
        shared=shared,
        lengths_m=lengths_of(told),
        raw=raw,
        post=post,
        readings=tuple(readings),
        implied=implied,
    )


def _believed(about: Quantity, readings: Sequence[Interval]) -> Prior:
    """The prior of a quantity. A size has no prior mean: the median of its readings stands for it."""
    prior = about.prior
    assert prior is not None, about.name
    if about.sides == "more" or (about.sides == "" and about.unit in ("m", "%", "s", "deg")):
        middle = float(np.median([it.anchor for it in readings]))
        return Prior(middle, prior.bias_sd, prior.spread_median, prior.spread_log_sd, prior.unit)
    return prior


def sides_call(kind: Sided, *, proved: bool) -> Verdict:
    """How sure it is that more than half lie to a side: none where too few were told; of a line that is not proved, as
    much of it as is the golfer's."""
    if kind.right + kind.left + kind.neither < FEW:
        return replace(NOT_WEIGHED, side=kind.side)
    return kind.call(1.0 if proved else golfers_own(kind.edge, 0.0), can_be_clear=proved)


def _fitted(batch: Batch, about: Quantity, it: Fitted, levels: Levels, by: Weighing) -> Level:
    """The level that a step worked out itself, judged by its size."""
    window = _window([batch], about, by)
    none = Estimate(0.0, 0.0, 0.0)
    call = None
    if about.matter:
        matter = MATTERS()[about.matter]
        right, left = (_normal_above(it.bias, matter.matters_from), 1 - _normal_above(it.bias, -matter.matters_from))
        own = golfers_own(it.bias.value, 0.0) if about.on_line and not it.proved else 1.0
        small = _normal_above(it.bias, -matter.matters_from) - _normal_above(it.bias, matter.matters_from)
        call = weigh(own * right, own * left, small, can_be_clear=it.proved) if it.tells else NOT_WEIGHED
    right = _normal_above(it.bias, 0.0)
    return Level(
        quantity=about,
        levels=levels,
        count=it.count,
        bias=it.bias,
        spread=it.spread,
        call=call,
        side=weigh(right, 1 - right, 0.0),
        counted=None,
        kind=SIZED if it.open_side == "neither" else Bounded(Beyond(it.open_side, 0.0, it.count)),
        proved=not about.on_line or it.proved,
        against=0.0,
        at=batch.place,
        batches=(batch.id,),
        vial=vial((), Bubble(it.bias, it.spread or none) if it.tells else None, window, settled=True, unit=about.unit),
    )


def _felt(told: Sequence[Batch], about: Quantity, levels: Levels, by: Weighing) -> Level:
    """What start feels straight: the same model as for what looks straight, over the calls of all these putts."""
    looks: Mapping[str, Looks] = {"left": "left", "straight": "straight", "right": "right"}
    trials = [
        Trial(max(TRUE.low, min(TRUE.high, start.anchor)), looks[felt])
        for batch in told
        for it in batch.events
        if isinstance(start := it.values.get("start"), Interval)
        and isinstance(felt := it.values.get("feels_straight"), str)
    ]
    found = perceive(trials)
    shared = shared_of(told, "start")
    angle = normal(found.looks_straight.value, math.hypot(found.looks_straight.sd, shared))
    tells = len(trials) >= FEWEST_FELT and not found.too_noisy and found.open_side is None
    fitted = Fitted(angle, None, len(trials), tells, open_to(found.open_side))
    proved = all(it.proved for it in told)
    return replace(_fitted(told[0], about, fitted, levels, by), batches=tuple(it.id for it in told), proved=proved)


def _normal_above(it: Estimate, value: float) -> float:
    return float(ndtr((it.value - value) / max(it.sd, 1e-6)))


def _against(told: Sequence[Batch], about: Quantity) -> float:
    """What a quantity is weighed from: nothing, but the path declared and the pace planned."""
    putted = [it.putted for it in told if it.putted]
    if about.name == "roll_past" and putted:
        return float(np.mean([it.past_m for it in putted]))
    if about.sides == "path" and putted:
        return float(np.mean([it.path_deg for it in putted]))
    if about.prior is not None and about.sides == "more":
        return about.prior.bias_mean
    return 0.0


def _window(told: Sequence[Batch], about: Quantity, by: Weighing) -> Window:
    """Where the marks of its vial stand."""
    putted = [it.putted.window for it in told if it.putted]
    if about.sides == "line":
        halves = [it.half_deg for it in putted] or [half for half, _ in by.mix.halves]
        one = putted[0] if putted and len({round(it.half_deg, 3) for it in putted}) == 1 else None
        return one or Window(float(np.mean(halves)), float(np.mean(halves)))
    at = REACHES.get(about.unit, 2.0)
    return Window(at, at)


@dataclass(frozen=True, slots=True)
class Chances:
    """What a level's word hangs on.

    Attributes
    ----------
    right, left, small : that it lies there by enough to matter, and that there is nothing to mend
    own : as much of right and left as is the golfer's where the line is not proved
    far, near : from where it matters, and under where there is nothing to mend; in putts of a hundred where `cost` says
        what it costs, else in the quantity's unit
    """

    right: float
    left: float
    small: float
    own: float
    far: float
    near: float
    cost: float | None = None

    def call(self, *, can_be_clear: bool) -> Verdict:
        """The word they come to."""
        right, left = self.own * self.right, self.own * self.left
        return weigh(right, left, self.small, can_be_clear=can_be_clear, cost=self.cost)


def chances_of(post: Posterior, about: Quantity, against: float, by: Weighing, *, proved: bool) -> Chances | None:
    """What the word of a level hangs on; None of what nobody judges."""
    if not about.matter:
        return None
    matter = MATTERS()[about.matter]
    own = 1.0 if proved else golfers_own(post.bias_quantile(0.5) - against, 0.0)
    if matter.by_cost and about.sides == "line":
        found = cost(post, by.mix, matter)
        return Chances(found.right, found.left, found.small, own, matter.matters_from, matter.nothing_under, found.mean)
    far, near = matter.matters_from, matter.nothing_under
    if matter.by_cost:
        far, near = path_limits(by)
    small = post.bias_above(against - near) - post.bias_above(against + near)
    right, left = post.bias_above(against + far), 1 - post.bias_above(against - far)
    return Chances(right, left, small, own, far, near)


def _call(post: Posterior, about: Quantity, against: float, by: Weighing, *, proved: bool) -> Verdict | None:
    found = chances_of(post, about, against, by, proved=proved)
    return None if found is None else found.call(can_be_clear=proved)


def path_limits(by: Weighing) -> tuple[float, float]:
    """From which path on it matters, and under which it does not, degrees: by the share of it that the start takes."""
    far, near = limits_at(MATTERS()["path"], by.spread_deg, by.mix)
    return far / (1 - by.k), near / (1 - by.k)


def _counted(readings: Sequence[Interval], against: float) -> Counted:
    right = sum(it.low >= against for it in readings)
    left = sum(it.high <= against for it in readings)
    low = min(readings, key=lambda it: it.anchor)
    high = max(readings, key=lambda it: it.anchor)
    return Counted(right, left, len(readings) - right - left, low, high)
