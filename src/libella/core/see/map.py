"""The perception map: how this golfer's looks-straight angle goes with where the head is, and what to change.

β = a₀ + Σ (aᵢ·xᵢ + qᵢ·xᵢ²) over the levers x that matter; each lever matters with a chance of one half, and what is
said is
averaged over which do (handbook 5). a₀ ~ N(0, 2°), a ~ N(0, 0.05°/mm) or N(0, 0.2°/°), q ~ N(0, 0.0005°/mm²) for
positions. Each test enters as its own posterior with its prior taken out again, so that nothing counts twice.

A place is *worth asking again* where it is more likely than not that straight is seen truer there by enough to
notice; it is
*a change* only once it was asked there again and that still stands, likely. The smallest playable change is the least
comfort spent, Σ (xᵢ/easeᵢ)², that brings β to 0 inside the bounds.
"""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import cached_property
from itertools import product
from typing import Final, Literal

import numpy as np
from scipy.optimize import brentq
from scipy.special import ndtr

from ..certainty.estimate import Estimate, estimated
from ..certainty.verdict import is_likely, sure_of
from ..estimate.posterior import Floats
from ..opinions.held import Opinion
from .fit import BIAS_SD
from .method import LooksStraight
from .position import LEVERS, Lever, Position, rounded, same_place

_NAMES: Final[tuple[Lever, ...]] = tuple(LEVERS)
_BENT: Final[tuple[Lever, ...]] = tuple(it for it, about in LEVERS.items() if about.unit == "mm")
_BEND_SD = Opinion("lever_bend", 0.0005, "deg")
"""What a lever in mm bends what looks straight, one standard deviation, degrees per mm²: an opinion."""
_MATTERS = Opinion("lever_matters", 0.5, "share")
"""Chance that a lever does anything, before it is tried: an opinion."""
_PLACED_DEG = Opinion("head_put_back", 0.15, "deg")
"""How far a head put back where it was sees otherwise, one standard deviation: a map is no finer. An opinion."""
_TRUER_DEG = Opinion("truer_noticed", 0.25, "deg")
"""So much nearer to true is noticed: an opinion."""
_WORTH = Opinion("worth_asking", 0.55, "share")
"""A place is worth asking again from this chance on that straight is seen truer there: an opinion."""
_DRAWN: Final = 20_000


@dataclass(frozen=True, slots=True)
class Tried:
    """A test at a position: what it found, whether the golfer can play from there, comfort and trust 1 to 5."""

    position: Position
    found: LooksStraight
    playable: bool = True
    comfort: int | None = None
    trust: int | None = None

    @property
    def tells(self) -> bool:
        """False for contradictory, one-sided or too few answers: they don't enter the map."""
        return self.found.tells


@dataclass(frozen=True, slots=True)
class Effect:
    """What one lever does.

    Attributes
    ----------
    slope : degrees of looks-straight angle per unit moved up from usual, if it does anything
    matters : chance that it does anything
    right, left : chance that it turns the angle right, left, as it is moved up
    """

    lever: Lever
    slope: Estimate
    matters: float
    right: float
    left: float
    tried: bool

    @property
    def sure(self) -> Literal["clear", "likely", "open"]:
        return sure_of(max(self.right, self.left))


@dataclass(frozen=True, slots=True)
class Change:
    """A change of set-up.

    Attributes
    ----------
    position : levers to move from usual, in steps that can be set
    before, after : looks-straight angle now and with it, degrees
    truer : chance that straight is seen truer with it than now, by enough to notice
    enough : chance that what is left is under the limit that matters
    stands : it was asked there again and still stands; else it is only worth asking again
    """

    position: Position
    before: Estimate
    after: Estimate
    truer: float
    enough: float
    stands: bool


@dataclass(frozen=True)
class PerceptionMap:
    """Posterior over which levers matter (S subsets) and how: normal in each.

    Attributes
    ----------
    weight : (S,) probability of each subset of levers
    means, covs : (S, P), (S, P, P): a₀, then a slope a lever in the order of `LEVERS`, then a bend for each in mm
    matter : (S, levers) whether a lever matters in a subset
    """

    weight: Floats
    means: Floats
    covs: Floats
    matter: Floats
    tried: tuple[Tried, ...]
    limit_deg: float

    def at(self, position: Position) -> Estimate:
        """Looks-straight angle there, degrees, with its 90 % interval."""
        middle, sd = self._normals(_row(position))
        return estimated(_mixture_quantile(self.weight, middle, sd))

    @cached_property
    def mean(self) -> Floats:
        """(P,) mean of every term, over all subsets."""
        return self.weight @ self.means

    def below_zero(self, rows: Floats) -> Floats:
        """(N,) chance that the angle is left, at each of (N, P) rows."""
        middle: Floats = rows @ self.means.T
        # Only the terms that any row moves, and one factor at a time: a map is drawn from thousands of rows.
        used = np.flatnonzero(rows.any(axis=0))
        some, covs = rows[:, used], self.covs[:, used[:, None], used]
        variance: Floats = (np.tensordot(some, covs, axes=(1, 1)) * some[:, None, :]).sum(axis=2)
        sd: Floats = np.sqrt(variance)
        below: Floats = ndtr(-middle / sd)
        return below @ self.weight

    def _normals(self, row: Floats) -> tuple[Floats, Floats]:
        return self.means @ row, np.sqrt(np.maximum(np.einsum("p,spq,q->s", row, self.covs, row), 1e-12))

    @cached_property
    def effects(self) -> tuple[Effect, ...]:
        """What each lever does."""
        found: list[Effect] = []
        for n, lever in enumerate(_NAMES):
            tried = [float(it.position[lever]) for it in self.tried if it.tells and it.position.get(lever)]
            # Where it was tried on one side only, what is told is the mean slope out to there.
            far = max(tried, key=abs) if tried and all(it * tried[0] > 0 for it in tried) else 0.0
            row = _row({lever: far}) / far - _row({}) / far if far else _slope_row(lever)
            middle, sd = self._normals(row)
            mass = self.weight * self.matter[:, n]
            matters = float(mass.sum())
            right = float(mass @ ndtr(middle / sd))
            slope = estimated(_mixture_quantile(mass / matters, middle, sd))
            found.append(Effect(lever, slope, matters, right, matters - right, bool(tried)))
        return tuple(found)

    def bounds(self, lever: Lever) -> tuple[float, float]:
        """How far the lever may go, short of every place this golfer could not play from."""
        about = LEVERS[lever]
        low, high = -about.reach, about.reach
        for it in self.tried:
            moved = it.position.get(lever, 0.0)
            if it.playable or set(it.position) != {lever}:
                continue
            if moved > 0:
                high = min(high, moved - about.step)
            else:
                low = max(low, moved + about.step)
        return min(low, 0.0), max(high, 0.0)

    @property
    def is_true_already(self) -> bool:
        """Straight looks straight as the golfer stands: within the limit that matters, at least likely."""
        return any(it.tells and not it.position for it in self.tried) and is_likely(self.enough({}))

    @cached_property
    def worth_asking(self) -> tuple[Change, ...]:
        """Places where straight may well be seen truer, the likeliest first; those asked again already among them."""
        if not any(it.tells and not it.position for it in self.tried):
            return ()
        found = [it for it in map(self._changed, self._tried_places()) if it.truer >= _WORTH()]
        # Where something was asked already it is asked again; elsewhere only where no such place is worth it.
        if not found and (smallest := self._smallest_known()):
            found = [it for it in (self._changed(smallest),) if it.truer >= _WORTH()]
        return tuple(sorted(found, key=lambda it: -it.truer))

    @cached_property
    def change(self) -> Change | None:
        """The change that stands: asked there again, and still likely truer; of several the one easiest to play."""
        standing = [it for it in self.worth_asking if it.stands]
        return min(standing, key=lambda it: self._effort(it.position)) if standing else None

    @cached_property
    def ask_again(self) -> Change | None:
        """Where to ask again before anything is changed; None where nothing is worth it or a change stands."""
        if self.change:
            return None
        return next((it for it in self.worth_asking if not self._asked_again(it.position)), None)

    @cached_property
    def next(self) -> Position | None:
        """Where to ask next: usual first, then what is worth asking again, then where a test tells most; None when all
        is tried.

        What a test tells is how much it narrows the angle over all places worth trying.
        """
        told = [it.position for it in self.tried]

        def new(position: Position) -> bool:
            return not any(same_place(position, it) for it in told)

        if new({}):
            return {}
        if self.ask_again:
            return self.ask_again.position
        places = [it for it in self._places() if new(it)]
        if not places:
            return None
        rows = np.array([_row(it) for it in places])
        middle = rows @ self.means.T
        spread = np.einsum("np,spq,mq,s->nm", rows, self.covs, rows, self.weight)
        away = middle - (middle @ self.weight)[:, None]
        spread = spread + np.einsum("ns,ms,s->nm", away, away, self.weight)
        seen = [_told(it)[1] for it in self.tried if it.tells]
        noise = float(np.median(seen)) if seen else 0.25
        gain = (spread**2).sum(axis=0) / (np.diag(spread) + noise)
        # Of places that tell as much, the one that should look straighter; then as the levers are listed.
        best = [it for it, told_ in zip(places, gain, strict=True) if told_ >= 0.98 * gain.max()]
        return min(best, key=lambda it: (round(abs(self.at(it).value), 2), _NAMES.index(next(iter(it)))))

    def _tried_places(self) -> list[Position]:
        """Places tried that can be played from, each once."""
        found: list[Position] = []
        for it in self.tried:
            if it.tells and it.playable and it.position and not any(same_place(it.position, other) for other in found):
                found.append(it.position)
        return found

    def _smallest_known(self) -> Position:
        """The smallest change by the levers whose direction is at least likely; empty where none is."""
        known: list[Lever] = [it.lever for it in self.effects if it.tried and it.sure != "open"]
        return self._smallest(known) if known else {}

    def _changed(self, position: Position) -> Change:
        truer = self.truer(position)
        stands = is_likely(truer) and self._asked_again(position)
        return Change(position, self.at({}), self.at(position), truer, self.enough(position), stands)

    def _asked_again(self, position: Position) -> bool:
        """True when the place was asked twice, or once after the tests before had made it worth asking."""
        here = [n for n, it in enumerate(self.tried) if it.tells and same_place(it.position, position)]
        if len(here) >= 2:
            return True
        if not here:
            return False
        before = perception_map(self.tried[: here[0]], self.limit_deg)
        return any(same_place(it.position, position) for it in before.worth_asking)

    def _places(self) -> list[Position]:
        """One lever at a time, a comfortable move either way."""
        places: list[Position] = []
        for lever, about in LEVERS.items():
            low, high = self.bounds(lever)
            for sign in (1, -1):
                move = rounded(lever, min(1.25 * about.ease, high) if sign > 0 else max(-1.25 * about.ease, low))
                if move:
                    places.append({lever: move})
        return places

    def _smallest(self, levers: Sequence[Lever]) -> Position:
        """Quadratic, with bounds and one equation: by its multiplier, each xᵢ = −λ·easeᵢ²·aᵢ held in its bounds."""
        slope = np.array([next(it.slope.value for it in self.effects if it.lever == lever) for lever in levers])
        ease = np.array([self._ease(it) for it in levers])
        low, high = (np.array(it) for it in zip(*(self.bounds(lever) for lever in levers), strict=True))
        start = self.at({}).value

        def moved(multiplier: float) -> Floats:
            return np.clip(-multiplier * ease**2 * slope, low, high)

        def left(multiplier: float) -> float:
            return start + float(slope @ moved(multiplier))

        # At this multiplier every lever has gone as far as it may.
        most = math.copysign(float((np.maximum(high, -low) / (ease**2 * np.abs(slope))).max()) * 1.01, start)
        reached = left(most) * start <= 0
        multiplier = float(brentq(left, 0.0, most)) if reached else most
        return {
            lever: value
            for lever, x in zip(levers, moved(multiplier), strict=True)
            if (value := rounded(lever, float(x)))
        }

    def _effort(self, position: Position) -> float:
        return sum((moved / self._ease(lever)) ** 2 for lever, moved in position.items())

    def _ease(self, lever: Lever) -> float:
        """How easily this golfer moves it: what was uncomfortable costs more."""
        told = [it.comfort for it in self.tried if it.comfort and set(it.position) == {lever}]
        return LEVERS[lever].ease * (min(told) / 4 if told else 1.0)

    def enough(self, position: Position) -> float:
        """Chance that straight lies within what matters there."""
        middle, sd = self._normals(_row(position))
        return float(self.weight @ (ndtr((self.limit_deg - middle) / sd) - ndtr((-self.limit_deg - middle) / sd)))

    def truer(self, position: Position) -> float:
        """P(|β| there is smaller than now by enough to notice), by draws of the pair."""
        rows = np.array([_row({}), _row(position)])
        rng = np.random.default_rng(0)
        which = rng.choice(self.weight.size, size=_DRAWN, p=self.weight)
        middle = rows @ self.means.T
        cov = np.einsum("np,spq,mq->snm", rows, self.covs, rows)
        # Both normals of each subset by hand: (now, there given now).
        now_sd = np.sqrt(cov[:, 0, 0])
        along = cov[:, 0, 1] / now_sd
        rest = np.sqrt(np.maximum(cov[:, 1, 1] - along**2, 0.0))
        z = rng.standard_normal((2, _DRAWN))
        now = middle[0, which] + now_sd[which] * z[0]
        there = middle[1, which] + along[which] * z[0] + rest[which] * z[1]
        return float((np.abs(there) <= np.abs(now) - _TRUER_DEG()).mean())


def perception_map(tried: Sequence[Tried], limit_deg: float) -> PerceptionMap:
    """Fit the map to tests at several positions, oldest first; `limit_deg` is what would matter."""
    matter: Floats = np.array(list(product((0.0, 1.0), repeat=len(_NAMES))))
    bent = matter[:, [_NAMES.index(it) for it in _BENT]]
    slope_sd = np.array([it.slope_sd for it in LEVERS.values()])
    prior = np.concatenate(
        [np.full((len(matter), 1), BIAS_SD**2), matter * slope_sd**2, bent * _BEND_SD() ** 2], axis=1
    )
    chance = np.prod(np.where(matter > 0, _MATTERS(), 1 - _MATTERS()), axis=1)
    told = [it for it in tried if it.tells]
    if not told:
        covs: Floats = prior[:, :, None] * np.eye(prior.shape[1])
        return PerceptionMap(chance, np.zeros_like(prior), covs, matter, tuple(tried), limit_deg)
    rows = np.array([_row(it.position) for it in told])
    seen, variance = (np.array(it) for it in zip(*(_told(it) for it in told), strict=True))
    spread: Floats = np.einsum("np,sp,mp->snm", rows, prior, rows) + np.diag(variance)
    inverse: Floats = np.linalg.inv(spread).astype(np.float64)
    gain: Floats = np.einsum("sp,np,snm->spm", prior, rows, inverse)
    means: Floats = gain @ seen
    covs = prior[:, :, None] * np.eye(prior.shape[1]) - np.einsum("spm,mq,sq->spq", gain, rows, prior)
    likely = -0.5 * (np.linalg.slogdet(spread)[1] + np.einsum("n,snm,m->s", seen, inverse, seen))
    weight = chance * np.exp(likely - likely.max())
    return PerceptionMap(weight / weight.sum(), means, covs, matter, tuple(tried), limit_deg)


def rows_at(inside: Floats, behind: Floats) -> Floats:
    """(N, P) rows of the map where only the eyes are moved, mm."""
    rows = np.zeros((inside.size, 1 + len(_NAMES) + len(_BENT)))
    rows[:, 0] = 1.0
    for lever, moved in (("inside", inside), ("behind", behind)):
        rows[:, 1 + _NAMES.index(lever)] = moved
        rows[:, 1 + len(_NAMES) + _BENT.index(lever)] = moved**2
    return rows


def _row(position: Position) -> Floats:
    moved = [position.get(it, 0.0) for it in _NAMES]
    return np.array([1.0, *moved, *(position.get(it, 0.0) ** 2 for it in _BENT)])


def _slope_row(lever: Lever) -> Floats:
    row = np.zeros(1 + len(_NAMES) + len(_BENT))
    row[1 + _NAMES.index(lever)] = 1.0
    return row


def _mixture_quantile(weight: Floats, middle: Floats, sd: Floats) -> Callable[[float], float]:
    low, high = float((middle - 6 * sd).min()), float((middle + 6 * sd).max())

    def quantile(share: float) -> float:
        return float(brentq(lambda x: float(weight @ ndtr((x - middle) / sd)) - share, low, high, xtol=1e-6))

    return quantile


def _told(it: Tried) -> tuple[float, float]:
    """What a test alone says of the angle there: middle and variance, its prior N(0, 2°) taken out."""
    sd = it.found.angle.sd
    own = max(sd**-2 - BIAS_SD**-2, 1e-3)
    return it.found.angle.value * sd**-2 / own, 1 / own + _PLACED_DEG() ** 2
