"""The perception map: how this golfer's looks-straight angle goes with where the head is, and what to change.

β = a₀ + a·x over the levers x, a₀ ~ N(0, 2°), a ~ N(0, 0.05°/mm) or N(0, 0.2°/°) (handbook 5). Each test enters
as its own posterior with its prior taken out again, so that nothing counts twice. The smallest playable change is the
least comfort spent, Σ (xᵢ/easeᵢ)², that brings β to 0 inside the bounds.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property
from typing import Final

import numpy as np
from scipy.optimize import brentq
from scipy.special import ndtr

from ..estimate.posterior import Floats
from ..estimate.summary import NINETY, Estimate
from ..judge.verdict import Sure, sure_of
from .fit import BIAS_SD
from .method import LooksStraight
from .position import LEVERS, Lever, Position, rounded, same_place

_NAMES: Final[tuple[Lever, ...]] = tuple(LEVERS)
_PLACED_DEG: Final = 0.15
"""How far a head put back where it was sees otherwise, one standard deviation: a map is no finer."""
_FEWEST: Final = 6


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
        it = self.found
        return it.trials >= _FEWEST and not it.too_noisy and it.open_side is None


@dataclass(frozen=True, slots=True)
class Effect:
    """What one lever does: degrees of looks-straight angle per unit moved up; `right` is P(it is positive)."""

    lever: Lever
    slope: Estimate
    right: float
    tried: bool

    @property
    def sure(self) -> Sure:
        return sure_of(max(self.right, 1 - self.right))


@dataclass(frozen=True, slots=True)
class Change:
    """A change of set-up.

    Attributes
    ----------
    position : levers to move from usual, in steps that can be set; empty where nothing is to be moved
    before, after : looks-straight angle now and with it, degrees
    nearer : chance that straight is seen truer with it than now
    enough : chance that what is left is under the limit that matters
    reaches : False where even the furthest playable move leaves more than the limit
    """

    position: Position
    before: Estimate
    after: Estimate
    nearer: float
    enough: float
    reaches: bool


@dataclass(frozen=True)
class PerceptionMap:
    """Normal posterior of (a₀, a): `mean` (7,), `cov` (7, 7), in the order of `LEVERS` behind a₀."""

    mean: Floats
    cov: Floats
    tried: tuple[Tried, ...]
    limit_deg: float

    def at(self, position: Position) -> Estimate:
        """Looks-straight angle there, degrees, with its 90 % interval."""
        row = _row(position)
        middle, sd = float(row @ self.mean), math.sqrt(float(row @ self.cov @ row))
        return Estimate(middle, middle - NINETY * sd, middle + NINETY * sd)

    @cached_property
    def effects(self) -> tuple[Effect, ...]:
        """What each lever does."""
        found: list[Effect] = []
        for n, lever in enumerate(_NAMES, start=1):
            middle, sd = float(self.mean[n]), math.sqrt(float(self.cov[n, n]))
            slope = Estimate(middle, middle - NINETY * sd, middle + NINETY * sd)
            tried = any(it.tells and it.position.get(lever) for it in self.tried)
            found.append(Effect(lever, slope, float(ndtr(middle / sd)), tried))
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

    @cached_property
    def change(self) -> Change | None:
        """The smallest playable change to where straight looks straight; None until a lever's direction is likely."""
        if not any(it.tells for it in self.tried):
            return None
        before = self.at({})
        if max(before.value, -before.value) <= self.limit_deg / 2:
            return Change({}, before, before, nearer=0.5, enough=self._within({}), reaches=True)
        known: list[Lever] = [it.lever for it in self.effects if it.tried and it.sure != "can't tell yet"]
        if not known:
            return None
        position = self._smallest(known)
        after = self.at(position)
        return Change(
            position,
            before,
            after,
            nearer=self._nearer(position),
            enough=self._within(position),
            reaches=abs(after.value) <= self.limit_deg,
        )

    @cached_property
    def next(self) -> Position | None:
        """Where to ask next: usual first, then the change itself, then where a test tells most; None when all is tried.

        What a test tells is how much it narrows the angle over all places worth trying.
        """
        told = [it.position for it in self.tried]

        def new(position: Position) -> bool:
            return not any(same_place(position, it) for it in told)

        if new({}):
            return {}
        change = self.change
        if change and change.position and change.reaches and new(change.position):
            return change.position
        places = [it for it in self._places() if new(it)]
        if not places:
            return None
        rows = np.array([_row(it) for it in places])
        spread = rows @ self.cov @ rows.T
        seen = [_told(it)[1] for it in self.tried if it.tells]
        noise = float(np.median(seen)) if seen else 0.25
        gain = (spread**2).sum(axis=0) / (np.diag(spread) + noise)
        # Of places that tell as much, the one that should look straighter; then as the levers are listed.
        best = [it for it, told_ in zip(places, gain, strict=True) if told_ >= 0.98 * gain.max()]
        return min(best, key=lambda it: (round(abs(self.at(it).value), 2), _NAMES.index(next(iter(it)))))

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
        index = [_NAMES.index(it) + 1 for it in levers]
        slope = self.mean[index]
        ease = np.array([self._ease(it) for it in levers])
        low, high = (np.array(it) for it in zip(*(self.bounds(lever) for lever in levers), strict=True))
        start = float(self.mean[0])

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

    def _ease(self, lever: Lever) -> float:
        """How easily this golfer moves it: what was uncomfortable costs more."""
        told = [it.comfort for it in self.tried if it.comfort and set(it.position) == {lever}]
        return LEVERS[lever].ease * (min(told) / 4 if told else 1.0)

    def _within(self, position: Position) -> float:
        it = self.at(position)
        sd = max(it.sd, 1e-9)
        return float(ndtr((self.limit_deg - it.value) / sd) - ndtr((-self.limit_deg - it.value) / sd))

    def _nearer(self, position: Position) -> float:
        # |b| < |a| exactly where (b − a) and (b + a) differ in sign; both are normal, so draws of the pair tell it.
        rows = np.array([_row({}), _row(position)])
        draws = np.random.default_rng(0).multivariate_normal(rows @ self.mean, rows @ self.cov @ rows.T, 20_000)
        return float((np.abs(draws[:, 1]) < np.abs(draws[:, 0])).mean())


def perception_map(tried: Sequence[Tried], limit_deg: float) -> PerceptionMap:
    """Fit the map to tests at several positions; `limit_deg` is what would matter."""
    prior = np.diag([BIAS_SD**-2, *(it.slope_sd**-2 for it in LEVERS.values())])
    weight, pull = prior, np.zeros(len(_NAMES) + 1)
    for it in tried:
        if it.tells:
            middle, variance = _told(it)
            row = _row(it.position)
            weight = weight + np.outer(row, row) / variance
            pull = pull + row * middle / variance
    cov: Floats = np.linalg.inv(weight).astype(np.float64)
    return PerceptionMap(cov @ pull, cov, tuple(tried), limit_deg)


def _row(position: Position) -> Floats:
    return np.array([1.0, *(position.get(it, 0.0) for it in _NAMES)])


def _told(it: Tried) -> tuple[float, float]:
    """What a test alone says of the angle there: middle and variance, its prior N(0, 2°) taken out."""
    sd = it.found.angle.sd
    own = max(sd**-2 - BIAS_SD**-2, 1e-3)
    return it.found.angle.value * sd**-2 / own, 1 / own + _PLACED_DEG**2
