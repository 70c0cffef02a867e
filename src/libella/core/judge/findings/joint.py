"""What every link adds to the start, together: all links' means given everything read of any (handbook 5 and 6).

The start is k·(mark + picture + own aim + delivery) + (1 − k)·path + strike, seen from a line that may itself lie off
by r ~ N(0, u²), so that every link read against the line shares −r; readings with the line in view may follow it and
carry none. The picture is f·β: β ~ N(0, 2°) is drawn, what was answered is β − r, and f, how much of it this golfer
follows, is ~ N(0.5, 0.5²). Mark, own aim, delivery and path are each next to nothing or of a size that matters; what is
known is the average over all such choices, weighted by how well each explains the readings. That keeps one error seen
at three links from counting as three causes.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property
from itertools import product
from typing import Final, Literal

import numpy as np

from ...certainty.estimate import Estimate
from ...estimate.posterior import Floats
from ...set.proof import BY_EYE_DEG, PRESENT
from .currency import DRAWN

Link = Literal["rig", "mark", "picture", "aim", "delivery", "path", "strike"]
LINKS: Final[tuple[Link, ...]] = ("rig", "mark", "picture", "aim", "delivery", "path", "strike")
RIG, MARK, PICTURE, AIM, DELIVERY, PATH, STRIKE, _REST, _ZERO, _ZERO2, _ZERO_PATH, _IN_MARK, BETA = range(13)
_SIZE: Final = 13
_AT: Final = {it: n for n, it in enumerate(LINKS)}

_FOLLOWS: Final = ((-0.93, 0.011), (-0.18, 0.222), (0.5, 0.534), (1.18, 0.222), (1.93, 0.011))
"""How much of a wrong picture a golfer's aim follows, before data: the nodes of N(0.5, 0.5²) (handbook 6)."""
BETA_SD: Final = 2.0
_SMALL: Final[dict[Link, float]] = {"mark": 0.12, "aim": 0.12, "delivery": 0.15, "path": 0.8}
_LARGE: Final[dict[Link, float]] = {"mark": 1.3, "aim": 1.3, "delivery": 1.3, "path": 4.0}
_STRIKE_OFF: Final = 0.5
_SWITCHED: Final[tuple[Link, ...]] = ("mark", "aim", "delivery", "path", "strike")
_REST_SD: Final = 0.1
_PATH_ZERO: Final = 0.5


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
    """What was read of the links, degrees, right positive; None where it was not. The line's own direction is in no
    estimate's doubt: it is a link.

    Attributes
    ----------
    mark, to_mark, face : at set-downs; `face_guided`: with the line or an aid in view
    beta : what looks straight
    address, impact : the face as a sensor read it, its zero not counted in their doubt
    zero_deg, one_device : of that sensor
    path : as read
    strike : what the mean strike adds to the start, and how sure
    start : the mean start; `start_guided`: with the rig in view
    line_deg : what is left unknown of the line's direction; None where nobody measured it
    on_proved : what was read on another line, whose doubt is in its own estimate
    """

    k: Estimate
    mark: Estimate | None = None
    to_mark: Estimate | None = None
    face: Estimate | None = None
    face_guided: bool = False
    beta: Estimate | None = None
    address: Estimate | None = None
    impact: Estimate | None = None
    zero_deg: float = 0.4
    one_device: bool = True
    path: Estimate | None = None
    strike: Estimate | None = None
    start: Estimate | None = None
    start_guided: bool = False
    line_deg: float | None = None
    on_proved: frozenset[str] = frozenset()

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
    turned : (N,) what the stroke turns it, degrees
    start : (N,) the true start
    """

    at_start: dict[Link, Floats]
    aim: Floats
    turned: Floats
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
        used, place = np.unique(which, return_inverse=True)
        root = np.linalg.cholesky(self.cov[used] + 1e-9 * np.eye(_SIZE))
        states = self.mean[which] + np.einsum("nij,nj->ni", root[place], rng.normal(size=(n, _SIZE)))
        return np.column_stack((states, self.k[which]))


def rows_of(it: LinksTold) -> list[Row]:
    """The readings as sums of links, but for the start, which each k has its own of."""
    rows: list[Row] = []

    def line(name: str) -> tuple[tuple[int, float], ...]:
        return () if name in it.on_proved else ((RIG, -1.0),)

    def told(found: Estimate | None, *of: tuple[int, float]) -> None:
        if found is not None:
            rows.append(Row(of, found.value, max(found.sd, 0.01)))

    told(it.mark, (MARK, 1.0), (_IN_MARK, 1.0), *line("mark"))
    told(it.to_mark, (PICTURE, 1.0), (AIM, 1.0))
    told(it.face, *FACE, *(() if it.face_guided else line("face")))
    told(it.beta, (BETA, 1.0), *line("looks_straight"))
    told(it.address, *FACE, (_ZERO, 1.0), *line("address"))
    told(it.impact, *FACE, (DELIVERY, 1.0), (_ZERO if it.one_device else _ZERO2, 1.0), *line("impact"))
    told(it.path, (PATH, 1.0), (_ZERO_PATH, 1.0), *line("path"))
    return rows


def mixture(it: LinksTold) -> Mixture:
    """The links given what was read."""
    rows = rows_of(it)
    log_weight: list[Floats] = []
    mean: list[Floats] = []
    cov: list[Floats] = []
    ks: list[Floats] = []
    for k, share in ((it.k.low, 0.2), (it.k.value, 0.6), (it.k.high, 0.2)):
        # All of its range is carried through.
        solved = Solved.of(it, rows, k)
        weight, middle = solved.given(solved.seen[None, :])
        log_weight.append(weight[:, 0] + np.log(share))
        mean.append(middle[:, 0])
        cov.append(solved.cov)
        ks.append(np.full(len(middle), k))
    log = np.concatenate(log_weight)
    weight = np.exp(log - log.max())
    keep = weight > 1e-5 * weight.max()
    parts = (np.concatenate(one)[keep] for one in (mean, cov, ks))
    return Mixture(weight[keep] / weight[keep].sum(), *parts)


@dataclass(frozen=True)
class Solved:
    """Every choice of links that are off, ready for any values of the same readings.

    Attributes
    ----------
    design : (R, S) the readings as sums of links
    seen : (R,) what they came to
    cov : (C, S, S) of the links, whatever the readings come to
    """

    design: Floats
    seen: Floats
    cov: Floats
    _log: Floats
    _back: Floats
    _inverse: Floats
    _mean: Floats

    @classmethod
    def of(cls, it: LinksTold, rows: Sequence[Row], k: float, *, open_to: bool = False) -> "Solved":
        """`open_to`: links nothing was read of may be off too."""
        log_prior, mean, prior = _choices(it, open_to)
        lines = list(rows)
        if it.start is not None:
            of = (
                *((n, k) for n in (MARK, PICTURE, _IN_MARK, AIM, DELIVERY)),
                (PATH, 1 - k),
                (STRIKE, 1.0),
                (_REST, 1.0),
            )
            line = () if it.start_guided or "start" in it.on_proved else ((RIG, -1.0),)
            lines.append(Row((*of, *line), it.start.value, max(it.start.sd, 0.01)))
        design = np.zeros((len(lines), _SIZE))
        for n, row in enumerate(lines):
            for place, weight in row.of:
                design[n, place] += weight
        across: Floats = prior @ design.T
        noise = np.diag([row.sd**2 for row in lines])
        spread: Floats = design[None] @ across + noise
        inverse = np.linalg.inv(spread).astype(np.float64)
        back: Floats = across @ inverse
        cov: Floats = prior - back @ across.transpose(0, 2, 1)
        log: Floats = log_prior - 0.5 * np.linalg.slogdet(spread)[1].astype(np.float64)
        seen = np.array([row.value for row in lines], dtype=np.float64)
        return cls(design, seen, (cov + cov.transpose(0, 2, 1)) / 2, log, back, inverse, mean)

    def given(self, seen: Floats) -> tuple[Floats, Floats]:
        """(C, D) log weights and (C, D, S) means for (D, R) values of the readings."""
        left: Floats = seen[None] - (self._mean @ self.design.T)[:, None, :]
        log: Floats = self._log[:, None] - 0.5 * ((left @ self._inverse) * left).sum(axis=2)
        mean: Floats = self._mean[:, None, :] + left @ self._back.transpose(0, 2, 1)
        return log, mean


def _choices(it: LinksTold, open_to: bool) -> tuple[Floats, Floats, Floats]:
    """Every choice of links that are off, how much of the picture is followed and where it comes in: (C,) logarithms of
    their weights before any reading, (C, S) means, (C, S, S) covariances."""
    switches: list[tuple[tuple[float, float], ...]] = []
    for link in _SWITCHED:
        unread = link in it.unread
        if (link == "strike" and not unread) or (unread and not open_to):
            switches.append(((0.0, 1.0),))
        else:
            switches.append(((0.0, 1 - PRESENT()), (1.0, PRESENT())))
    follows: tuple[tuple[float, float], ...] = ((0.0, 1.0),)
    if it.beta is not None:
        follows = _FOLLOWS
    elif open_to:
        follows = ((0.0, 1 - PRESENT()), *((f, PRESENT() * weight) for f, weight in _FOLLOWS))
    marked = ((0.0, 0.5), (1.0, 0.5)) if it.beta is not None and it.mark is not None else ((0.0, 1.0),)
    every = list(product(*switches, follows, marked))
    value = np.array([[at for at, _ in one] for one in every])
    log: Floats = np.array([[weight for _, weight in one] for one in every])
    log = np.log(log).sum(axis=1)
    n = len(every)
    mean, cov = np.zeros((n, _SIZE)), np.zeros((n, _SIZE, _SIZE))
    for at in range(_SIZE):
        cov[:, at, at] = 1e-6
    for place, link in enumerate(_SWITCHED[:-1]):
        small = 1e-3 if link in it.unread else _SMALL[link]
        cov[:, _AT[link], _AT[link]] = np.where(value[:, place] > 0, _LARGE[link], small) ** 2
    if it.strike is not None:
        mean[:, STRIKE] = it.strike.value
        cov[:, STRIKE, STRIKE] = max(it.strike.sd, 0.02) ** 2
    else:
        cov[:, STRIKE, STRIKE] = np.where(value[:, 4] > 0, _STRIKE_OFF, 1e-3) ** 2
    cov[:, RIG, RIG] = (BY_EYE_DEG() if it.line_deg is None else max(it.line_deg, 0.01)) ** 2
    follow, in_mark = value[:, 5], value[:, 6]
    beta = BETA_SD**2
    cov[:, BETA, BETA] = beta
    for place, part in ((PICTURE, follow * (1 - in_mark)), (_IN_MARK, follow * in_mark)):
        cov[:, place, BETA] = cov[:, BETA, place] = part * beta
        cov[:, place, place] = part**2 * beta + 1e-6
    cov[:, _REST, _REST] = _REST_SD**2
    cov[:, _ZERO, _ZERO] = cov[:, _ZERO2, _ZERO2] = max(it.zero_deg, 0.01) ** 2
    cov[:, _ZERO_PATH, _ZERO_PATH] = _PATH_ZERO**2
    return log, mean, cov


def added(states: Floats, k: float) -> Floats:
    """(…, 7) what each link adds to the start, of states (…, S), in the order of `LINKS`."""
    share = np.array([1.0, k, k, k, k, 1 - k, 1.0])
    found: Floats = states[..., : len(LINKS)] * share
    found[..., PICTURE] += k * states[..., _IN_MARK]
    return found


def joint_of(it: Mixture) -> Joint:
    """The links drawn from their posterior, as what each adds to the start."""
    states = it.drawn()
    k = states[:, -1]
    picture = states[:, PICTURE] + states[:, _IN_MARK]
    at: dict[Link, Floats] = {
        "rig": states[:, RIG],
        "mark": k * states[:, MARK],
        "picture": k * picture,
        "aim": k * states[:, AIM],
        "delivery": k * states[:, DELIVERY],
        "path": (1 - k) * states[:, PATH],
        "strike": states[:, STRIKE],
    }
    aim = states[:, MARK] + picture + states[:, AIM]
    parts = (at[link] for link in LINKS if link != "rig")
    start: Floats = np.sum(np.array(list(parts)), axis=0) + states[:, _REST]
    return Joint(at, aim, states[:, DELIVERY], start)
