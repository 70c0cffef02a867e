"""The chance of holing by length: start line and pace together, over all that is not known of either (practice 5)."""

from dataclasses import dataclass, field
from typing import Final

import numpy as np
from scipy.special import ndtr, ndtri

from ..estimate.posterior import Floats
from ..green.capture import Capture, capture_offset, deceleration
from ..opinions.held import Opinion
from .roller import Roller

READ_DEG: Final = Opinion("read_off", 0.5, "deg")
"""How far a read lies off, one standard deviation, degrees, on every putt: an opinion, unless read blocks tell."""
LENGTHS_M: Final = tuple(float(it) for it in np.round(np.geomspace(0.5, 10.0, 25), 3))
_STEPS: Final = 48


@dataclass(frozen=True, slots=True)
class Green:
    """How fast it is, ft on the ramp, and how its hole takes a ball."""

    speed_ft: float
    capture: Capture = "rim_assisted"


@dataclass(frozen=True)
class Starter:
    """Draws of where the starts lie and how far they scatter, (N,) degrees each, right positive; `read_deg`: how far
    the read lies off on every putt, one standard deviation."""

    bias_deg: Floats
    spread_deg: Floats
    read_deg: float = field(default_factory=READ_DEG)

    @property
    def scatter(self) -> Floats:
        """(N,) start and read together, radians."""
        return np.radians(np.hypot(self.spread_deg, self.read_deg))

    def only(self, n: int) -> "Starter":
        """The first of the draws."""
        return Starter(self.bias_deg[:n], self.spread_deg[:n], self.read_deg)


def known_starter(bias_deg: float, spread_deg: float, read_deg: float | None = None) -> Starter:
    """One of whom all of it is known."""
    return Starter(np.array([bias_deg]), np.array([spread_deg]), READ_DEG() if read_deg is None else read_deg)


def admitted_m(past_m: Floats, green: Green) -> Floats:
    """How far beside the hole's centre a ball may pass that would run so far past, m; 0 where it falls short, or is
    too fast."""
    slow = deceleration(green.speed_ft)
    speeds = np.sqrt(2 * slow * np.maximum(past_m, 0.0))
    admitted = np.array([capture_offset(float(it), green.capture) for it in speeds])
    return np.where(past_m >= 0, admitted, 0.0)


def chances(lengths_m: Floats, starter: Starter, roller: Roller, green: Green) -> Floats:
    """(N, L) the chance of holing from each length, for each draw.

    Notes
    -----
    ∫ P(|θ| within asin(δ(s)/d)) p(s) ds over s ≥ 0; θ ~ N(μ, σ² + read²), s ~ N(s₀, (a + c·d)²), δ(s) what the hole
    admits at the speed that would run s past. The roll past is summed at equal steps of its own probability mass above
    0, so that a hole that shuts at a speed is met from both sides.
    """
    mean, sd = roller.past_m[:, None], roller.spread_at(lengths_m)
    from_zero = ndtr(-mean / sd)
    # (S,) middles of equal shares of what reaches the hole.
    share = (np.arange(_STEPS) + 0.5) / _STEPS
    at = from_zero[..., None] + (1 - from_zero[..., None]) * share
    past = mean[..., None] + sd[..., None] * ndtri(np.minimum(at, 1 - 1e-12))
    table_m = np.linspace(0.0, float(past.max()) + 0.01, 2048)
    admitted = np.interp(past, table_m, admitted_m(table_m, green))
    limit = np.arcsin(np.minimum(admitted / lengths_m[None, :, None], 1.0))
    bias, scatter = np.radians(starter.bias_deg)[:, None, None], starter.scatter[:, None, None]
    inside = ndtr((limit - bias) / scatter) - ndtr((-limit - bias) / scatter)
    inside = np.where(admitted > 0, inside, 0.0)
    return (1 - from_zero) * inside.mean(axis=-1)
