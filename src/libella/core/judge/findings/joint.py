"""What every link adds to the start, together: all links' means given everything read of any (handbook 5, chain).

The start is k·(mark + picture + own aim + delivery) + (1 − k)·path + strike, seen from a line that may itself lie off
by r, so that every link read against the line shares −r. Each cause is either next to nothing or of a size that
matters; what is known is the average over all such choices, weighted by how well each explains the readings. That keeps
one error seen at three links from counting as three causes.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property
from itertools import product
from typing import Final, Literal

import numpy as np

from ...certainty.estimate import Estimate
from ...estimate.posterior import Floats
from .currency import DRAWN

Link = Literal["rig", "mark", "picture", "aim", "delivery", "path", "strike"]
LINKS: Final[tuple[Link, ...]] = ("rig", "mark", "picture", "aim", "delivery", "path", "strike")
RIG, MARK, PICTURE, AIM, DELIVERY, PATH, STRIKE, _REST, _ZERO, _ZERO2, _ZERO_PATH, _IN_MARK = range(12)
_SIZE: Final = 12
_AT: Final = {it: n for n, it in enumerate(LINKS)}

FOLLOWS: Final = (0.5, 0.5)
"""How much of a wrong picture a golfer's aim follows, before data: mean and standard deviation (handbook 6)."""
PRESENT: Final = 0.35
"""Chance that a link is off by more than next to nothing, before any reading: an opinion."""
_RIG_OFF: Final = 0.1
_SMALL: Final[dict[Link, float]] = {"mark": 0.12, "aim": 0.12, "delivery": 0.15, "path": 0.8}
_LARGE: Final[dict[Link, float]] = {
    "rig": 1.0,
    "mark": 1.3,
    "picture": 0.9,
    "aim": 1.3,
    "delivery": 1.3,
    "path": 4.0,
    "strike": 0.5,
}
_REST_SD: Final = 0.1
_PATH_ZERO: Final = 0.5
_UNTOLD_LINE: Final = 0.15
"""Standard deviation of a carefully laid line that nobody checked, degrees, where nothing is off."""


FACE: Final = ((MARK, 1.0), (PICTURE, 1.0), (_IN_MARK, 1.0), (AIM, 1.0))
"""What the face at address sums: the picture comes in over the ball, or with the mark where that was laid by eye."""


@dataclass(frozen=True, slots=True)
class Row:
    """A reading's mean: which links it sums (weights by place), what it came to, how far that may be off."""

    of: tuple[tuple[int, float], ...]
    value: float
    sd: float


@dataclass(frozen=True)
class LinksTold:
    """What was read of the links, degrees, right positive; None where it was not.

    Attributes
    ----------
    mark, to_mark, face : at set-downs
    beta : what looks straight
    address, impact : the face as a sensor read it, its zero not counted in their doubt
    zero_deg, one_device : of that sensor
    path : as read
    strike : what the mean strike adds to the start, and how sure
    start : the mean start, with what its rig shares but for the line's direction
    line_deg : what is left unknown of the line's direction; None where nobody checked it
    """

    k: Estimate
    mark: Estimate | None = None
    to_mark: Estimate | None = None
    face: Estimate | None = None
    beta: Estimate | None = None
    address: Estimate | None = None
    impact: Estimate | None = None
    zero_deg: float = 0.4
    one_device: bool = True
    path: Estimate | None = None
    strike: Estimate | None = None
    start: Estimate | None = None
    line_deg: float | None = None

    @cached_property
    def unread(self) -> frozenset[Link]:
        """Links nothing was read of that could tell them from the others."""
        names: list[Link] = []
        if self.mark is None:
            names.append("mark")
        if self.beta is None:
            names.append("picture")
        if self.strike is None:
            names.append("strike")
        if self.start is None and self.impact is None:
            # Nothing was putted: the stroke is taken to add nothing.
            names.append("delivery")
        if self.start is None and self.path is None:
            names.append("path")
        return frozenset(names)


@dataclass(frozen=True)
class Joint:
    """The links drawn together.

    Attributes
    ----------
    at_start : link → (N,) degrees each adds to the start; of the rig: how far the line lies off
    aim : (N,) the face at address, degrees
    start : (N,) the true start
    """

    at_start: dict[Link, Floats]
    aim: Floats
    start: Floats

    @cached_property
    def medians(self) -> dict[Link, float]:
        return {link: float(np.median(it)) for link, it in self.at_start.items()}


@dataclass(frozen=True)
class Mixture:
    """The links' posterior, a sum of normals: (C,) weights, (C, S) means, (C, S, S) covariances, the k of each."""

    weight: Floats
    mean: Floats
    cov: Floats
    k: Floats

    def drawn(self, n: int = DRAWN, seed: int = 7) -> Floats:
        """(N, S + 1): states drawn, with their k last."""
        rng = np.random.default_rng(seed)
        which = np.sort(rng.choice(self.weight.size, size=n, p=self.weight))
        root = np.linalg.cholesky(self.cov + 1e-10 * np.eye(_SIZE))
        states = self.mean[which] + np.einsum("nij,nj->ni", root[which], rng.normal(size=(n, _SIZE)))
        return np.column_stack((states, self.k[which]))


def rows_of(it: LinksTold) -> list[Row]:
    """The readings as sums of links, but for k, which each start has its own of.

    What looks straight was asked on the same line: the picture is that of `beta` + r, so its state is told without r.
    """
    line = (RIG, _on_line(it) - 1.0)
    share = (RIG, _on_line(it))
    rows: list[Row] = []

    def told(found: Estimate | None, *of: tuple[int, float]) -> None:
        if found is not None:
            rows.append(Row(of, found.value, max(found.sd, 0.01)))

    told(it.mark, (MARK, 1.0), (_IN_MARK, 1.0), (RIG, -1.0))
    told(it.to_mark, (PICTURE, 1.0), (AIM, 1.0), share)
    told(it.face, *FACE, line)
    told(it.address, *FACE, (_ZERO, 1.0), line)
    told(it.impact, *FACE, (DELIVERY, 1.0), (_ZERO if it.one_device else _ZERO2, 1.0), line)
    told(it.path, (PATH, 1.0), (_ZERO_PATH, 1.0), line)
    return rows


def _on_line(it: LinksTold) -> float:
    """How much of the line's error the picture takes with it."""
    return 0.0 if it.beta is None else FOLLOWS[0]


def mixture(it: LinksTold) -> Mixture:
    """The links given what was read."""
    rows = rows_of(it)
    log_weight: list[Floats] = []
    mean: list[Floats] = []
    cov: list[Floats] = []
    ks: list[Floats] = []
    for k, share in _shares(it.k):
        solved = Solved.of(it, rows, k)
        weight, middle = solved.given(solved.seen[None, :])
        log_weight.append(weight[:, 0] + np.log(share))
        mean.append(middle[:, 0])
        cov.append(solved.cov)
        ks.append(np.full(len(solved.on), k))
    log = np.concatenate(log_weight)
    weight = np.exp(log - log.max())
    keep = weight > 1e-6 * weight.max()
    parts = (np.concatenate(one)[keep] for one in (mean, cov, ks))
    return Mixture(weight[keep] / weight[keep].sum(), *parts)


def _shares(k: Estimate) -> tuple[tuple[float, float], ...]:
    """Few shares of the face with their weights: all of its range is carried through."""
    return ((k.low, 0.2), (k.value, 0.6), (k.high, 0.2))


@dataclass(frozen=True)
class Solved:
    """Every choice of links that are off, ready for any values of the same readings.

    Attributes
    ----------
    on : (C, 8) the choices: each link off or not; the picture with the mark or not
    design : (R, S) the readings as sums of links
    seen : (R,) what they came to
    """

    on: Floats
    design: Floats
    seen: Floats
    cov: Floats
    _log: Floats
    _mean: Floats
    _back: Floats
    _inverse: Floats

    @classmethod
    def of(cls, it: LinksTold, rows: Sequence[Row], k: float, *, open_to: bool = False) -> "Solved":
        """`open_to`: links nothing was read of may be off too."""
        on, log_prior = _choices(it, open_to)
        mean, var = _priors(it, on)
        lines = list(rows)
        if it.start is not None:
            of = (
                *((n, k) for n in (MARK, PICTURE, _IN_MARK, AIM, DELIVERY)),
                (PATH, 1 - k),
                (STRIKE, 1.0),
                (_REST, 1.0),
            )
            line = (RIG, k * _on_line(it) - 1.0)
            lines.append(Row((*of, line), it.start.value, max(it.start.sd, 0.01)))
        design = np.zeros((len(lines), _SIZE))
        for n, row in enumerate(lines):
            for place, weight in row.of:
                design[n, place] += weight
        across: Floats = var[:, :, None] * design.T[None]
        noise = np.diag([row.sd**2 for row in lines])
        spread: Floats = design[None] @ across + noise
        inverse = np.linalg.inv(spread).astype(np.float64)
        back: Floats = across @ inverse
        cov: Floats = var[:, :, None] * np.eye(_SIZE) - back @ across.transpose(0, 2, 1)
        log: Floats = log_prior - 0.5 * np.linalg.slogdet(spread)[1].astype(np.float64)
        seen = np.array([row.value for row in lines], dtype=np.float64)
        return cls(on, design, seen, (cov + cov.transpose(0, 2, 1)) / 2, log, mean, back, inverse)

    def given(self, seen: Floats) -> tuple[Floats, Floats]:
        """(C, D) log weights and (C, D, S) means for (D, R) values of the readings."""
        left: Floats = seen[None] - (self._mean @ self.design.T)[:, None, :]
        log: Floats = self._log[:, None] - 0.5 * ((left @ self._inverse) * left).sum(axis=2)
        mean: Floats = self._mean[:, None, :] + left @ self._back.transpose(0, 2, 1)
        return log, mean


def _choices(it: LinksTold, open_to: bool) -> tuple[Floats, Floats]:
    """(C, 8) every choice of links that are off, and the logarithm of its weight before any reading."""
    may: list[tuple[float, ...]] = []
    for link in LINKS:
        unread = link in it.unread
        told = link in ("picture", "strike") and not unread
        checked = link == "rig" and it.line_deg is not None
        may.append((0.0,) if told or checked or (unread and not open_to) else (0.0, 1.0))
    # Last: whether the picture comes in with the mark.
    may.append((0.0, 1.0) if it.beta is not None and it.mark is not None else (0.0,))
    on = np.array(list(product(*may)), dtype=np.float64)
    chance = np.array([*(_RIG_OFF if link == "rig" else PRESENT for link in LINKS), 0.5])
    free = np.array([len(one) > 1 for one in may])
    log: Floats = (on * np.log(chance) + (1 - on) * np.log(1 - chance)) * free
    return on, log.sum(axis=1)


def _priors(it: LinksTold, on: Floats) -> tuple[Floats, Floats]:
    """(C, S) means and variances before any reading."""
    mean = np.zeros((len(on), _SIZE))
    var = np.full((len(on), _SIZE), 1e-6)
    for link, large in _LARGE.items():
        at = _AT[link]
        small = 0.0 if link in it.unread else _SMALL.get(link, 0.0)
        var[:, at] = np.where(on[:, at] > 0, large, max(small, 1e-3)) ** 2
    line = _UNTOLD_LINE if it.line_deg is None else it.line_deg
    var[:, RIG] = np.where(on[:, RIG] > 0, _LARGE["rig"], line) ** 2
    if it.beta is not None:
        # f·β, f and β normal: the mean and the variance of their product.
        middle, scatter = FOLLOWS
        taken = middle**2 * it.beta.sd**2 + scatter**2 * it.beta.value**2 + scatter**2 * it.beta.sd**2
        in_mark = on[:, -1] == 1
        for place, here in ((PICTURE, ~in_mark), (_IN_MARK, in_mark)):
            mean[here, place] = middle * it.beta.value
            var[here, place] = taken + 1e-6
        var[in_mark, PICTURE] = 1e-6
    if it.strike is not None:
        mean[:, STRIKE] = it.strike.value
        var[:, STRIKE] = max(it.strike.sd, 0.02) ** 2
    var[:, _REST] = _REST_SD**2
    var[:, _ZERO] = var[:, _ZERO2] = max(it.zero_deg, 0.01) ** 2
    var[:, _ZERO_PATH] = _PATH_ZERO**2
    return mean, var


def added(states: Floats, k: float, told: LinksTold) -> Floats:
    """(…, 7) what each link adds to the start, of states (…, S), in the order of `LINKS`."""
    share = np.array([1.0, k, k, k, k, 1 - k, 1.0])
    found: Floats = states[..., : len(LINKS)] * share
    found[..., PICTURE] += k * states[..., _IN_MARK]
    found[..., PICTURE] += k * _on_line(told) * states[..., RIG]
    return found


def joint_of(it: Mixture, told: LinksTold) -> Joint:
    """The links drawn from their posterior, as what each adds to the start."""
    states = it.drawn()
    states[:, PICTURE] += _on_line(told) * states[:, RIG] + states[:, _IN_MARK]
    k = states[:, -1]
    at: dict[Link, Floats] = {
        "rig": states[:, RIG],
        "mark": k * states[:, MARK],
        "picture": k * states[:, PICTURE],
        "aim": k * states[:, AIM],
        "delivery": k * states[:, DELIVERY],
        "path": (1 - k) * states[:, PATH],
        "strike": states[:, STRIKE],
    }
    aim = states[:, MARK] + states[:, PICTURE] + states[:, AIM]
    parts = (at[link] for link in LINKS if link != "rig")
    start: Floats = np.sum(np.array(list(parts)), axis=0) + states[:, _REST]
    return Joint(at, aim, start)
