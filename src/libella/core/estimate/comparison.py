"""Two blocks against each other: which starts further right, nearer the line, steadier, oftener in the window."""

import math
from dataclasses import dataclass

import numpy as np

from ..certainty.estimate import Estimate, estimated
from ..certainty.matter import MATTERS, Matter
from ..measure.window import Window
from .cost import Mix, costs_from, share_within
from .posterior import Floats, Posterior, cumulative

_BINS = 200
_SHARES = (0.1, 0.3, 0.5, 0.7, 0.9)


@dataclass(frozen=True, slots=True)
class Weighed:
    """Chances that b has less, has more, by enough to matter; and that the difference is too small to mend."""

    less: float
    more: float
    small: float


@dataclass(frozen=True, slots=True)
class Comparison:
    """Block b against block a. What matters is told in putts of a hundred (`certainty.MATTERS`).

    Attributes
    ----------
    shift : bias of b less bias of a, degrees, right positive
    line : less is left, more is right: by what the shift would cost a golfer who starts straight otherwise
    spread : less is steadier: by what the spread alone gains or costs in the narrower window
    window : less is fewer putts inside the window
    less_bias, less_spread, higher_chance : chance that **a** has the smaller |bias|, the smaller spread, the higher
        chance inside its window
    spread_ratio : spread of b over that of a
    chance_gain : chance inside the window of b less that of a
    """

    shift: Estimate
    line: Weighed
    spread: Weighed
    window: Weighed
    less_bias: float
    less_spread: float
    higher_chance: float
    spread_ratio: Estimate
    chance_gain: Estimate


def compare(
    a: Posterior,
    b: Posterior,
    windows: tuple[Window, Window],
    *,
    doubts: tuple[float, float] = (0.0, 0.0),
    same_rig: bool = True,
) -> Comparison:
    """Compare two posteriors of start errors (handbook 5, comparing).

    Parameters
    ----------
    a, b : posteriors without what their rigs' own aim leaves unknown
    windows : what the hole allowed each
    doubts : standard uncertainty of each rig's own aim, degrees: it counts against how near the line each lies
    same_rig : both were read on one rig, whose own error they share: it does not blur their difference

    Notes
    -----
    Differences are taken on fine marginals; for the chance, on the weighted grid points themselves.
    """
    matter = MATTERS["difference"]
    narrow = Mix.one(min(windows, key=lambda it: it.half_deg))
    from_line = a.blurred(doubts[0]), b.blurred(doubts[1])
    first, second = (a, b) if same_rig else from_line
    shift_at, shift_mass = _difference(second, first)
    ratio_at, ratio_mass = _log_ratio(b, a)
    far, near = _costing(matter, a, b, narrow)
    line = Weighed(
        less=1 - _above(shift_at, shift_mass, -far),
        more=_above(shift_at, shift_mass, far),
        small=_above(shift_at, shift_mass, -near) - _above(shift_at, shift_mass, near),
    )
    centred = [_centred_share(it, narrow) for it in (a, b)]
    steadier = _gained(*_minus(centred[1], centred[0]), matter)
    chances = [
        (post.inside(-it.low_deg, it.high_deg).ravel(), post.weight.ravel())
        for post, it in zip(from_line, windows, strict=True)
    ]
    gain_at, gain_mass = _chance_difference(chances[1], chances[0])
    return Comparison(
        shift=_estimate(shift_at, shift_mass),
        line=line,
        spread=Weighed(steadier.more, steadier.less, steadier.small),
        window=_gained(gain_at, gain_mass, matter),
        less_bias=_smaller_size(*from_line),
        less_spread=_above(ratio_at, ratio_mass, np.zeros(1)),
        higher_chance=1 - _above(gain_at, gain_mass, np.zeros(1)),
        spread_ratio=estimated(lambda share: math.exp(_quantile(ratio_at, ratio_mass, share))),
        chance_gain=_estimate(gain_at, gain_mass),
    )


def _costing(matter: Matter, a: Posterior, b: Posterior, mix: Mix) -> Floats:
    """The shifts from which it matters, and under which it does not, over the spreads both may have, equally likely."""
    spreads = [np.log([it.spread_quantile(share) for share in _SHARES]) for it in (a, b)]
    both = np.exp((spreads[0][:, None] + spreads[1][None, :]).ravel() / 2)
    return costs_from(np.array([matter.matters_from, matter.nothing_under]), both, mix)


def _centred_share(post: Posterior, mix: Mix) -> tuple[Floats, Floats]:
    """Shares inside the window that the spread alone would give, with their probabilities."""
    at, mass = _marginal(post.log_spread, post.weight.sum(axis=0))
    return share_within(mix, np.zeros(1), np.exp(at)), mass


def _gained(at: Floats, below: Floats, matter: Matter) -> Weighed:
    far, near = (np.array([it / 100]) for it in (matter.matters_from, matter.nothing_under))
    more, less = _above(at, below, far), 1 - _above(at, below, -far)
    return Weighed(less, more, _above(at, below, -near) - _above(at, below, near))


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


def _above(at: Floats, below: Floats, values: Floats) -> float:
    """Chance to lie above a value, over values equally likely."""
    return float(1 - np.interp(values, at, below).mean())


def _quantile(at: Floats, below: Floats, share: float) -> float:
    return float(np.interp(share, below, at))


def _estimate(at: Floats, below: Floats) -> Estimate:
    return estimated(lambda share: _quantile(at, below, share))
