"""What a posterior says to a coach: bias, spread, the chance inside the window, and what a change would gain."""

from dataclasses import dataclass

import numpy as np

from ..certainty.estimate import INTERVAL, Estimate, estimated
from ..certainty.matter import MATTERS
from ..certainty.vial import Bubble
from ..measure.window import Window
from .cost import Cost, Mix, cost
from .posterior import Floats, Posterior


@dataclass(frozen=True, slots=True)
class Summary:
    """Result of a block of start errors.

    Angles in degrees, right positive; chances are shares of putts, 0 to 1.

    Attributes
    ----------
    bias, spread : median with 90 % interval
    prob_right : P(μ > 0)
    cost : what the bias costs against a window of the true one's span, laid about the start target
    inside : chance that a putt starts inside the window
    gain_unbiased : chance gained when every μ is shifted by the posterior median, which keeps our ignorance
    gain_steadier : chance gained by a quarter less spread
    prob_steadier_matters : chance that a quarter less spread gains enough to matter
    """

    bias: Estimate
    spread: Estimate
    prob_right: float
    cost: Cost
    inside: Estimate
    gain_unbiased: Estimate
    gain_steadier: Estimate
    prob_steadier_matters: float

    @property
    def bubble(self) -> Bubble:
        """What a vial shows of it."""
        return Bubble(self.bias, self.spread)

    @property
    def prob_side(self) -> float:
        """How sure the side of the bias is, whatever its size."""
        return max(self.prob_right, 1 - self.prob_right)


def summarise(post: Posterior, allowed: Window | Mix, quantity: str = "start") -> Summary:
    """Read a posterior of start errors against a window, or the mean of several (handbook 5, report and gain).

    `quantity` names the row of `certainty.MATTERS` that says what size of bias matters.
    """
    mix = allowed if isinstance(allowed, Mix) else Mix.one(allowed)
    bias = estimated(post.bias_quantile)

    def inside(*, shift: float = 0.0, spread_factor: float = 1.0) -> Floats:
        # What holes the putt may lie to one side of the start target: the chance counts from there, the size does not.
        parts = [post.inside(-it.low_deg, it.high_deg, shift=shift, spread_factor=spread_factor) for it in mix.windows]
        return sum((share * part for (_, share), part in zip(mix.halves, parts, strict=True)), start=np.zeros(1))

    chance = inside()
    steadier = inside(spread_factor=0.75) - chance

    def share(values: Floats) -> Estimate:
        low, high = post.quantiles(values, INTERVAL)
        # Of what hardly ever happens the mean lies beyond nine tenths of it.
        middle = post.mean(values)
        return Estimate(middle, min(low, middle), max(high, middle))

    return Summary(
        bias=bias,
        spread=estimated(post.spread_quantile),
        prob_right=post.bias_above(0.0),
        cost=cost(post, mix, MATTERS()[quantity]),
        inside=share(chance),
        gain_unbiased=share(inside(shift=-bias.value) - chance),
        gain_steadier=share(steadier),
        prob_steadier_matters=float(post.weight[steadier >= MATTERS()["gain"].matters_from / 100].sum()),
    )
