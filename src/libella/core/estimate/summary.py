"""What a posterior says to a coach: bias, spread, the chance inside the window, and what a change would gain."""

from collections.abc import Callable
from dataclasses import dataclass

from ..green.capture import Window
from .posterior import Floats, Posterior

NINETY = 1.645
"""Half a 90 % interval of a normal, in standard deviations."""


@dataclass(frozen=True, slots=True)
class Estimate:
    """A posterior value (median for a quantity, mean for a chance) and its 90 % interval."""

    value: float
    low: float
    high: float

    @property
    def doubt(self) -> float:
        """Half the width of the 90 % interval."""
        return (self.high - self.low) / 2

    @property
    def sd(self) -> float:
        """The standard deviation a normal with that interval would have."""
        return self.doubt / NINETY


def estimated(quantile: Callable[[float], float]) -> Estimate:
    """The median and the 90 % interval of what has these quantiles."""
    return Estimate(quantile(0.5), quantile(0.05), quantile(0.95))


@dataclass(frozen=True, slots=True)
class Summary:
    """Result of a block of start errors.

    Angles in degrees, right positive; chances are shares of putts, 0 to 1.

    Attributes
    ----------
    bias, spread : median with 90 % interval
    prob_right : P(μ > 0)
    prob_right_of_quarter, prob_left_of_quarter : P(μ > w_R/4), P(μ < −w_L/4), w the window
    inside : chance that a putt starts inside the window
    gain_unbiased : chance gained when every μ is shifted by the posterior median, which keeps our ignorance
    gain_steadier : chance gained by a quarter less spread
    """

    bias: Estimate
    spread: Estimate
    prob_right: float
    prob_right_of_quarter: float
    prob_left_of_quarter: float
    inside: Estimate
    gain_unbiased: Estimate
    gain_steadier: Estimate

    @property
    def prob_small(self) -> float:
        """P(−w_L/4 ≤ μ ≤ w_R/4): too small to matter."""
        return max(0.0, 1 - self.prob_right_of_quarter - self.prob_left_of_quarter)


def summarise(post: Posterior, window: Window) -> Summary:
    """Read a posterior of start errors against a window (handbook 5, report and gain)."""
    left, right = window.left_deg, window.right_deg
    bias = estimated(post.bias_quantile)
    # What holes the putt may lie to one side of the start target: the chance counts from there, the size does not.
    low, high = -window.low_deg, window.high_deg
    chance = post.inside(low, high)

    def share(values: Floats) -> Estimate:
        return Estimate(post.mean(values), post.quantile(values, 0.05), post.quantile(values, 0.95))

    return Summary(
        bias=bias,
        spread=estimated(post.spread_quantile),
        prob_right=post.bias_above(0.0),
        prob_right_of_quarter=post.bias_above(right / 4),
        prob_left_of_quarter=1 - post.bias_above(-left / 4),
        inside=share(chance),
        gain_unbiased=share(post.inside(low, high, shift=-bias.value) - chance),
        gain_steadier=share(post.inside(low, high, spread_factor=0.75) - chance),
    )
