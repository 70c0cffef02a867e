"""Does the stroke take back what the aim is off, putt by putt? (handbook 5, chain)

The stroke's part is a difference, face at impact less face at address, and so shares the aim's reading error: an
error of
+1° at address is one of −1° in the stroke. That noise, and what is not known of it, is part of the model; without a
repeat check of the sensor it could all be noise, and then the most that is said is a question.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import lru_cache
from typing import Final

import numpy as np

from ..certainty.estimate import Estimate, estimated
from ..certainty.verdict import Verdict, weigh
from ..estimate.posterior import Floats
from ..opinions.held import Opinion
from ..start.stroke import UNZEROED_DEG

FEWEST_PAIRS: Final = 8
_TAKES_BACK: Final = Opinion("takes_back", 0.2, "share")
"""Share of the aim's scatter that the stroke must take back to be called a compensation: an opinion."""
_SLOPE_SD: Final = 0.6
_AIM_SD: Final = (math.log(0.8), 0.7)
_REST_SD: Final = (math.log(1.0), 0.85)
_TWICE: Final = 2.0
"""What is only stated may truly be so many times as large."""
_LEAST: Final = 0.02


@dataclass(frozen=True, slots=True)
class Reader:
    """How well the face is read.

    Attributes
    ----------
    noise_deg : standard deviation of the reading error at address
    checks : readings of a repeat check that found it; 0 where the device only states it
    zero_deg : standard uncertainty of the zero
    one_device : address and impact are read by one device, which is off by the same at both
    """

    noise_deg: float = 0.0
    checks: int = 0
    zero_deg: float = field(default_factory=UNZEROED_DEG)
    one_device: bool = True

    @property
    def is_checked(self) -> bool:
        return self.checks > 1


@dataclass(frozen=True, slots=True)
class PuttByPutt:
    """The share of the aim's scatter that the stroke takes back, 0 to 1 and beyond; and what is said of it."""

    takes_back: Estimate
    call: Verdict
    question: bool


def putt_by_putt(aim_deg: Sequence[float], impact_deg: Sequence[float], reader: Reader) -> PuttByPutt:
    """Whether a putt's stroke goes against that putt's aim, once the shared reading error is taken out.

    Parameters
    ----------
    aim_deg, impact_deg : face at address and at impact of the same putts, at least `FEWEST_PAIRS`

    Notes
    -----
    True aim A, stroke m + b·A + w, address read with error e: the pair (address, impact) is normal with covariance
    [[A² + e², A²(1 + b)], [A²(1 + b), A²(1 + b)² + w²]]. Posterior of b on a grid over A, w and e, with the sample
    covariance's own distribution (Wishart); b ~ N(0, 0.6). A check of n readings leaves e² its scaled inverse
    chi-square with n − 1 degrees; what is only stated may be up to twice that.
    """
    sample = np.cov(np.array([aim_deg, impact_deg]), ddof=1)
    weight, slope = _grid_posterior(tuple(sample.ravel()), len(aim_deg), reader)
    below = np.concatenate(([0.0], np.cumsum(weight)))
    edges = np.concatenate(([slope[0]], (slope[1:] + slope[:-1]) / 2, [slope[-1]]))

    def quantile(share: float) -> float:
        return -float(np.interp(1 - share, below, edges))

    takes = float(np.interp(-_TAKES_BACK(), edges, below))
    call = weigh(takes, 0.0, 1 - takes, can_be_clear=reader.is_checked)
    return PuttByPutt(estimated(quantile), call, question=call.names_direction and not reader.is_checked)


@lru_cache(maxsize=256)
def _grid_posterior(sample: tuple[float, ...], n: int, reader: Reader) -> tuple[Floats, Floats]:
    s11, s12, _, s22 = sample
    slope: Floats = np.linspace(-2.0, 1.4, 52)
    aim_sd, rest_sd = (np.exp(middle + sd * np.linspace(-3.0, 2.6, 17)) for middle, sd in (_AIM_SD, _REST_SD))
    noise, noise_log = _noise_prior(reader)
    a2 = (aim_sd**2)[:, None, None, None]
    e2 = (noise**2)[None, None, None, :]
    b = slope[None, :, None, None]
    v11 = a2 + e2
    v12 = a2 * (1 + b)
    v22 = a2 * (1 + b) ** 2 + (rest_sd**2)[None, None, :, None]
    det = v11 * v22 - v12**2
    value = -0.5 * (n - 1) * (np.log(det) + (v22 * s11 - 2 * v12 * s12 + v11 * s22) / det)
    value += noise_log[None, None, None, :]
    for axis, (sd, (middle, log_sd)) in ((0, (aim_sd, _AIM_SD)), (2, (rest_sd, _REST_SD))):
        shape = [1, 1, 1, 1]
        shape[axis] = sd.size
        value += (-0.5 * ((np.log(sd) - middle) / log_sd) ** 2).reshape(shape)
    value -= 0.5 * (b / _SLOPE_SD) ** 2
    weight = np.exp(value - value.max()).sum(axis=(0, 2, 3))
    return weight / weight.sum(), slope


def _noise_prior(reader: Reader) -> tuple[Floats, Floats]:
    """Reading errors that may be, with their log weights; evenly spaced in their logarithm."""
    stated = max(reader.noise_deg, _LEAST)
    if not reader.is_checked:
        noise = stated * np.exp(np.linspace(math.log(0.7), math.log(_TWICE), 9))
        return noise, np.zeros(noise.size)
    spare = reader.checks - 1
    noise = stated * np.exp(np.linspace(-1.2, 1.6, 11))
    ratio = (stated / noise) ** 2
    return noise, 0.5 * spare * (np.log(ratio) - ratio)
