"""The ways of asking what straight looks like, and what each brings: the looks-straight angle with its certainty."""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from statistics import NormalDist, mean
from typing import Final, Literal, get_args

from ..certainty.estimate import Estimate, estimated
from ..certainty.verdict import NINETY
from ..estimate.posterior import Prior, posterior
from ..measure.angle import angle_deg
from ..measure.flag import Lessened, lessened
from ..measure.interval import Interval
from ..measure.limits import Bounds
from ..opinions.held import Opinion
from ..set.proof import golfers_own
from .fit import BIAS_SD, perceive
from .trial import Looks, Trial

Method = Literal["directions", "turn", "point"]


Trace = Literal["as_usual", "ball_to_hole", "hole_to_ball"]
Eyes = Literal["both", "left", "right"]
Glasses = Literal["none", "on", "off"]
Toward = Literal["hole", "start"]
METHODS: Final[tuple[Method, ...]] = get_args(Method)
FEWEST: Final = 6
"""Answers before anything is said of them."""
ADJUSTED: Final = Opinion(
    "looks_prior", Prior(bias_mean=0.0, bias_sd=BIAS_SD, spread_median=0.7, spread_log_sd=0.6, unit="deg"), ""
)
AWAY: Final = Bounds(0.5, 15.0, "m")
BESIDE: Final = Bounds(-1.5, 1.5, "m")
SEEN: Final = Bounds(0.001, 0.2, "m")


@dataclass(frozen=True, slots=True)
class LooksStraight:
    """What a test found.

    Attributes
    ----------
    trials : answers it rests on
    angle : looks-straight angle, degrees, right positive: where a rod must truly point to look straight
    noise : how far single answers scatter, degrees
    zone : half-width of what is called straight, degrees; None where the way of asking can't tell
    right, left : P(β > limit), P(β < −limit), for the limit it was asked with
    too_noisy : the answers contradict each other: no angle is named
    open_side : all answers alike: only a bound is known, on that side
    """

    trials: int
    angle: Estimate
    noise: Estimate
    zone: Estimate | None
    right: float
    left: float
    too_noisy: bool = False
    open_side: Looks | None = None
    proved: bool = True
    """The line it was asked on was measured a second way; else it is only as sure as it is the golfer's own."""
    lessened: Lessened | None = None
    """Of its answers those that count less."""

    @property
    def small(self) -> float:
        """Chance that it is too little to matter: what an unproved line leaves open is none of it."""
        return 1 - self.right - self.left if self.proved else 0.0

    @property
    def tells(self) -> bool:
        """False for contradictory, one-sided or too few answers: no angle is named then."""
        return self.trials >= FEWEST and not self.too_noisy and self.open_side is None


@dataclass(frozen=True, slots=True)
class LaidRod:
    """How well the rod lay, degrees: how far right of true it pointed by itself; what is not known of that and of the
    line it was laid on, one standard deviation, the same for all answers; whether that line was measured a second
    way."""

    right_deg: float = 0.0
    shared_deg: float = 0.0
    proved: bool = True

    def own(self, it: Estimate) -> float:
        """Chance that what was found is the golfer's, and not what a line laid by eye lies off."""
        return 1.0 if self.proved else golfers_own(it.value + self.right_deg, it.sd)

    def angle(self, it: Estimate) -> Estimate:
        """An angle found with it, as it truly is."""
        more, middle = NINETY * self.shared_deg, it.value + self.right_deg
        return Estimate(
            middle, middle - math.hypot(it.value - it.low, more), middle + math.hypot(it.high - it.value, more)
        )

    def above(self, found: Callable[[float], float], value_deg: float) -> float:
        """Chance to lie above a value truly, from the chance to lie above any as found."""
        offs = [self.right_deg + self.shared_deg * it for it in (_NODES if self.shared_deg else (0.0,))]
        return mean(found(value_deg - off) for off in offs)


TRUE_ROD: Final = LaidRod()
_NODES: Final = tuple(NormalDist().inv_cdf((n + 0.5) / 9) for n in range(9))
"""Nine values of a standard normal, equally likely."""


def by_directions(trials: Sequence[Trial], limit_deg: float, rod: LaidRod = TRUE_ROD) -> LooksStraight:
    """From answers at known angles; `limit_deg` is what would matter."""
    found = perceive(trials)
    return LooksStraight(
        trials=len(trials),
        angle=rod.angle(found.looks_straight),
        noise=found.noise,
        zone=found.zone,
        right=rod.own(found.looks_straight) * rod.above(found.above, limit_deg),
        left=rod.own(found.looks_straight) * (1 - rod.above(found.above, -limit_deg)),
        proved=rod.proved,
        too_noisy=found.too_noisy,
        open_side=found.open_side,
        lessened=lessened(it.weight for it in trials),
    )


def by_adjustment(ends: Sequence[Interval], limit_deg: float, rod: LaidRod = TRUE_ROD) -> LooksStraight:
    """From where the golfer stopped the rod, or pointed to: each one reading of the looks-straight angle, degrees."""
    post = posterior(ends, ADJUSTED())
    angle = estimated(post.bias_quantile)
    return LooksStraight(
        trials=len(ends),
        angle=rod.angle(angle),
        noise=estimated(post.spread_quantile),
        zone=None,
        right=rod.own(angle) * rod.above(post.bias_above, limit_deg),
        left=rod.own(angle) * (1 - rod.above(post.bias_above, -limit_deg)),
        proved=rod.proved,
        lessened=lessened(it.weight for it in ends),
    )


def turned_to(beside_m: float, away_m: float, seen_m: float) -> Interval:
    """The rod's far end stopped `beside_m` right of the line, `away_m` from its near end, read to ± `seen_m`."""
    AWAY.check("away_m", "away_m", away_m)
    BESIDE.check("beside_m", "beside_m", beside_m)
    SEEN.check("seen_m", "beside_seen_m", seen_m)
    return Interval(angle_deg(beside_m - seen_m, away_m), angle_deg(beside_m + seen_m, away_m))


def pointed_to(beside_m: float, away_m: float, seen_m: float) -> Interval:
    """A rod on the line seems to hit `beside_m` right: it looks right, so one must point left to look straight."""
    it = turned_to(beside_m, away_m, seen_m)
    return Interval(-it.high, -it.low)


def spot_of(true_deg: float, away_m: float) -> float:
    """Where the rod's far end is to be laid beside the line for a true angle, m, right positive."""
    AWAY.check("away_m", "away_m", away_m)
    return away_m * math.tan(math.radians(true_deg))
