"""Two blocks against each other: which starts further right, nearer the line, steadier, oftener in the window."""

import math
from dataclasses import dataclass

import numpy as np

from ..green.capture import Window
from .posterior import Floats, Posterior, cumulative
from .summary import Estimate, estimated

_BINS = 200


@dataclass(frozen=True, slots=True)
class Comparison:
    """Block b against block a.

    Attributes
    ----------
    shift : bias of b less bias of a, degrees, right positive
    prob_right, prob_left : chance that the shift is more than the margin asked for, to that side
    prob_small : chance that it is smaller than twice the margin, either side
    less_bias, less_spread, higher_chance : chance that **a** has the smaller |bias|, the smaller spread, the higher
        chance inside its window
    spread_ratio : spread of b over that of a
    chance_gain : chance inside the window of b less that of a
    prob_steadier, prob_looser : chance that b's spread is smaller, larger, by more than a tenth
    prob_more, prob_fewer : chance that b starts more, fewer, putts inside the window, by more than one in twenty
    """

    shift: Estimate
    prob_right: float
    prob_left: float
    prob_small: float
    less_bias: float
    less_spread: float
    higher_chance: float
    spread_ratio: Estimate
    chance_gain: Estimate
    prob_steadier: float
    prob_looser: float
    prob_more: float
    prob_fewer: float


def compare(
    a: Posterior,
    b: Posterior,
    windows: tuple[Window, Window],
    *,
    margin_deg: float,
    doubts: tuple[float, float] = (0.0, 0.0),
    same_rig: bool = True,
) -> Comparison:
    """Compare two posteriors of start errors (handbook 5, comparing).

    Parameters
    ----------
    a, b : posteriors without what their rigs' own aim leaves unknown
    windows : what the hole allowed each
    margin_deg : shift that matters
    doubts : standard uncertainty of each rig's own aim, degrees: it counts against how near the line each lies
    same_rig : both were read on one rig, whose own error they share: it does not blur their difference

    Notes
    -----
    Differences are taken on fine marginals; for the chance, on the weighted grid points themselves.
    """
    from_line = a.blurred(doubts[0]), b.blurred(doubts[1])
    first, second = (a, b) if same_rig else from_line
    shift_at, shift_mass = _difference(second, first)
    ratio_at, ratio_mass = _log_ratio(b, a)
    chances = [
        (post.inside(-it.low_deg, it.high_deg).ravel(), post.weight.ravel())
        for post, it in zip(from_line, windows, strict=True)
    ]
    gain_at, gain_mass = _chance_difference(chances[1], chances[0])
    return Comparison(
        shift=_estimate(shift_at, shift_mass),
        prob_right=_above(shift_at, shift_mass, margin_deg),
        prob_left=1 - _above(shift_at, shift_mass, -margin_deg),
        prob_small=_above(shift_at, shift_mass, -2 * margin_deg) - _above(shift_at, shift_mass, 2 * margin_deg),
        less_bias=_smaller_size(*from_line),
        less_spread=_above(ratio_at, ratio_mass, 0.0),
        higher_chance=1 - _above(gain_at, gain_mass, 0.0),
        spread_ratio=estimated(lambda share: math.exp(_quantile(ratio_at, ratio_mass, share))),
        chance_gain=_estimate(gain_at, gain_mass),
        prob_steadier=1 - _above(ratio_at, ratio_mass, float(np.log(0.9))),
        prob_looser=_above(ratio_at, ratio_mass, float(-np.log(0.9))),
        prob_more=_above(gain_at, gain_mass, 0.05),
        prob_fewer=1 - _above(gain_at, gain_mass, -0.05),
    )


def _marginal(at: Floats, mass: Floats) -> tuple[Floats, Floats]:
    """Mid-points and probabilities of _BINS equal bins of a density known on an even grid."""
    fine, below = cumulative(at, mass)
    edges = np.linspace(float(fine[0]), float(fine[-1]), _BINS + 1)
    share = np.diff(np.interp(edges, fine, below))
    return (edges[1:] + edges[:-1]) / 2, share


def _minus(b: tuple[Floats, Floats], a: tuple[Floats, Floats]) -> tuple[Floats, Floats]:
    """Sorted values of b − a with their cumulative probability, one mid-point at a time."""
    values = (b[0][:, None] - a[0][None, :]).ravel()
    weight = (b[1][:, None] * a[1][None, :]).ravel()
    edges = np.linspace(float(values.min()), float(values.max()), 4 * _BINS + 1)
    mass, _ = np.histogram(values, edges, weights=weight)
    return edges, np.concatenate(([0.0], np.cumsum(mass)))


def _difference(b: Posterior, a: Posterior) -> tuple[Floats, Floats]:
    return _minus(_marginal(b.bias, b.weight.sum(axis=1)), _marginal(a.bias, a.weight.sum(axis=1)))


def _log_ratio(b: Posterior, a: Posterior) -> tuple[Floats, Floats]:
    return _minus(_marginal(b.log_spread, b.weight.sum(axis=0)), _marginal(a.log_spread, a.weight.sum(axis=0)))


def _chance_difference(b: tuple[Floats, Floats], a: tuple[Floats, Floats]) -> tuple[Floats, Floats]:
    edges = np.linspace(0.0, 1.0, _BINS + 1)
    middle = (edges[1:] + edges[:-1]) / 2
    binned = [(middle, np.histogram(values, edges, weights=weight)[0]) for values, weight in (b, a)]
    return _minus(binned[0], binned[1])


def _smaller_size(a: Posterior, b: Posterior) -> float:
    """P(|μ_a| < |μ_b|)."""
    at, share = _marginal(a.bias, a.weight.sum(axis=1))
    fine, below = cumulative(b.bias, b.weight.sum(axis=1))
    size = np.abs(at)
    inside = np.interp(size, fine, below) - np.interp(-size, fine, below)
    return float((share * (1 - inside)).sum())


def _above(at: Floats, below: Floats, value: float) -> float:
    return float(1 - np.interp(value, at, below))


def _quantile(at: Floats, below: Floats, share: float) -> float:
    return float(np.interp(share, below, at))


def _estimate(at: Floats, below: Floats) -> Estimate:
    return estimated(lambda share: _quantile(at, below, share))
