"""The chain of one block: every link with bias and spread, each link's change to the next, start from face and path.

Handbook 5, chain: face at impact = face aim + delivery; start = k·face + (1 − k)·path + rest.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np
from scipy.special import ndtr

from ..certainty.estimate import Estimate, around, estimated, normal
from ..certainty.verdict import Verdict
from ..certainty.vial import vial
from ..estimate import PATH, START, Posterior, Prior, posterior, summarise
from ..estimate.posterior import Floats
from ..golfer.hand import Hand
from ..measure.interval import Interval
from ..measure.limits import Bounds
from ..measure.window import Window
from ..start.path import NO_PATH, PathModel
from .compensation import FEWEST, FEWEST_PAIRS, UNZEROED_DEG, PuttByPutt, Reader, in_the_means, putt_by_putt
from .table import NOTHING, TOO_FEW, Bias, Code, Count, PathOff, RowFacts, Share, Spread, TableFacts

K: Final = Bounds(0.5, 1.0, "")
K_USUAL: Final = Estimate(0.85, 0.78, 0.92)
"""How far the start follows the face rather than the path (handbook 5)."""
_FEWEST_FIT: Final = 8
_JOINED_DEG: Final = 0.5
"""Aim and stroke that are less off than this are no compensation: an opinion, as for what looks straight."""
_TURNS: Final = 0.3
"""Least standard deviation, degrees, of face against path from which a block itself can tell k."""


@dataclass(frozen=True, slots=True)
class Delivered:
    """What is known of one putt's links, degrees, right positive; None where not read. `u_deg`: of the device.

    `checks`: readings of the repeat check that found it, 0 where it is only stated; `zero_deg`: standard uncertainty of
    the face's zero; `one_device`: address and impact are read by the same.
    """

    start: Interval
    face_aim_deg: float | None = None
    face_impact_deg: float | None = None
    path_deg: float | None = None
    u_deg: float = 0.0
    checks: int = 0
    zero_deg: float = UNZEROED_DEG
    one_device: bool = True


@dataclass(frozen=True, slots=True)
class Aimed:
    """The links read at set-downs of the lesson, for the top of the chain."""

    mark: Estimate | None = None
    to_mark: Estimate | None = None
    face: Estimate | None = None


@dataclass(frozen=True, slots=True)
class Declared:
    """What the coach says of the stroke.

    `k`: the share of the face; None fits it where the putts can tell, else takes what is usual. `model`: the path.
    """

    k: float | None = None
    model: PathModel = NO_PATH


@dataclass(frozen=True, slots=True)
class RigDoubt:
    """How far a rig's readings are off, degrees: from one to the next, and all alike."""

    noise_deg: float = 0.0
    shared_deg: float = 0.0


def chain(
    putts: Sequence[Delivered],
    aimed: Aimed,
    window: Window,
    hand: Hand,
    declared: Declared | None = None,
    doubt: RigDoubt | None = None,
) -> tuple[TableFacts, ...]:
    """The tables of the chain; none where no link but the start is known.

    Parameters
    ----------
    putts : valid putts of the block, oldest first
    declared : what the coach says of the stroke; None says nothing
    doubt : of the rig that read the starts; None is none
    """
    declared, doubt = declared or Declared(), doubt or RigDoubt()
    found = _links(putts, aimed, window, doubt.noise_deg, doubt.shared_deg)
    if len(found) < 2:
        return ()
    columns = ("putts", "bias", "spread", "to_the_next")
    joined = _joined(putts, aimed, doubt)
    tables = [TableFacts("chain", columns, tuple(found), joined or _compensation(putts, window))]
    both = [it for it in putts if it.face_impact_deg is not None and it.path_deg is not None]
    if both:
        tables.append(_face_and_path(both, declared.k, hand, declared.model))
    return tuple(tables)


def _links(
    putts: Sequence[Delivered], aimed: Aimed, window: Window, noise_deg: float, shared_deg: float
) -> list[RowFacts]:
    u = max((it.u_deg for it in putts), default=0.0)
    aim = [it.face_aim_deg for it in putts if it.face_aim_deg is not None]
    impact = [it.face_impact_deg for it in putts if it.face_impact_deg is not None]
    stroke = [
        it.face_impact_deg - it.face_aim_deg
        for it in putts
        if it.face_aim_deg is not None and it.face_impact_deg is not None
    ]
    path = [it.path_deg for it in putts if it.path_deg is not None]
    starts = [it.start for it in putts]
    delivery = _of(stroke, START, math.hypot(u, u))
    rows: list[RowFacts] = []
    if aimed.mark:
        rows.append(_told("ball_mark", aimed.mark, aimed.to_mark))
    if aimed.to_mark:
        rows.append(_told("to_mark", aimed.to_mark, None))
    if aimed.face and not aim:
        to_start = None if impact or not starts else _less(_bias(_starts(starts, noise_deg, shared_deg)), aimed.face)
        rows.append(_told("face_address", aimed.face, to_start))
    if aim:
        rows.append(_row("face_address", aim, _of(aim, START, u), window, _bias(delivery)))
    if stroke:
        rows.append(_row("delivery", stroke, delivery, window))
    if impact:
        turned = _of(impact, START, u)
        to_start = _less(_bias(_starts(starts, noise_deg, shared_deg)), _bias(turned))
        rows.append(_row("face_impact", impact, turned, window, to_start))
    if path:
        rows.append(_row("path", path, _of(path, PATH, u), window))
    if starts and rows:
        rows.append(_row("start", starts, _starts(starts, noise_deg, shared_deg), window))
    return rows


def _of(values: Sequence[float], prior: Prior, noise: float) -> Posterior | None:
    return posterior([Interval(it, it) for it in values], prior, noise=noise) if values else None


def _starts(starts: Sequence[Interval], noise_deg: float, shared_deg: float) -> Posterior:
    return posterior(starts, START, noise=noise_deg).blurred(shared_deg)


def _bias(post: Posterior | None) -> Estimate | None:
    return estimated(post.bias_quantile) if post else None


def _less(a: Estimate | None, b: Estimate | None) -> Estimate | None:
    return None if a is None or b is None else around(a.value - b.value, math.hypot(a.doubt, b.doubt))


def _told(link: str, it: Estimate, then: Estimate | None) -> RowFacts:
    return RowFacts(link, (Code("at_set_down"), Bias(it), NOTHING, Bias(then) if then else NOTHING))


def _row(
    link: str, values: Sequence[float | Interval], post: Posterior | None, window: Window, then: Estimate | None = None
) -> RowFacts:
    if post is None or len(values) < FEWEST:
        return RowFacts(link, (Count(len(values)), TOO_FEW, NOTHING, NOTHING))
    found = summarise(post, window)
    ticks = [it if isinstance(it, Interval) else Interval(it, it) for it in values]
    spread = Spread(found.spread.value, found.spread.doubt)
    cells = Count(len(values)), Bias(found.bias), spread, Bias(then) if then else NOTHING
    return RowFacts(link, cells, vial(ticks, found.bubble, window, settled=True))


def reader_of(putts: Sequence[Delivered]) -> Reader:
    """How well the face of these putts was read: as badly as the worst of them."""
    return Reader(
        noise_deg=max(it.u_deg for it in putts),
        checks=min(it.checks for it in putts),
        zero_deg=max(it.zero_deg for it in putts),
        one_device=all(it.one_device for it in putts),
    )


@dataclass(frozen=True, slots=True)
class ChainFound:
    """Whether the stroke makes up for the aim: in the means, or putt by putt.

    Attributes
    ----------
    putts : with the face read at address and at impact
    means : what the means say; None from fewer than `FEWEST`
    aim, delivery : the links the means are of, degrees
    pairs : what single putts say; None where the means name it, or from fewer than `FEWEST_PAIRS`
    """

    putts: int
    means: Verdict | None = None
    aim: Estimate | None = None
    delivery: Estimate | None = None
    pairs: PuttByPutt | None = None


@dataclass(frozen=True, slots=True)
class Joined:
    """Aim and start where no sensor read the face: joined in their means, for they were read apart.

    Attributes
    ----------
    aim, start : where the face aims at set-downs, and where the putts start, degrees
    turned : what lies between the two: stroke, path and strike together
    opposite : chance that the aim is off by enough to matter and what lies between takes as much of it back
    """

    aim: Estimate
    start: Estimate
    turned: Estimate
    opposite: float


def _joined(putts: Sequence[Delivered], aimed: Aimed, doubt: RigDoubt) -> Joined | None:
    if aimed.face is None or len(putts) < FEWEST or any(it.face_impact_deg is not None for it in putts):
        return None
    start = _bias(_starts([it.start for it in putts], doubt.noise_deg, doubt.shared_deg))
    turned = _less(start, aimed.face)
    if start is None or turned is None:
        return None

    def beyond(it: Estimate, side: int) -> float:
        return float(ndtr((side * it.value - _JOINED_DEG) / max(it.sd, 1e-9)))

    either = (min(beyond(aimed.face, side), beyond(turned, -side)) for side in (1, -1))
    return Joined(aimed.face, start, turned, max(either))


def _compensation(putts: Sequence[Delivered], window: Window) -> ChainFound:
    """Aim and stroke on opposite sides: in the means, and putt by putt without the error they share."""
    both = [it for it in putts if it.face_aim_deg is not None and it.face_impact_deg is not None]
    if len(both) < FEWEST:
        return ChainFound(len(both))
    aim = [it.face_aim_deg for it in both if it.face_aim_deg is not None]
    impact = [it.face_impact_deg for it in both if it.face_impact_deg is not None]
    reader = reader_of(both)
    means = in_the_means(aim, impact, reader, window)
    if means.names_direction:
        stroke = [b - a for a, b in zip(aim, impact, strict=True)]
        links = [_bias(_of(it, START, reader.noise_deg)) for it in (aim, stroke)]
        return ChainFound(len(both), means, links[0], links[1])
    if len(both) < FEWEST_PAIRS:
        return ChainFound(len(both), means)
    return ChainFound(len(both), means, pairs=putt_by_putt(aim, impact, reader))


@dataclass(frozen=True, slots=True)
class FaceAndPath:
    """Start = k·face + (1 − k)·path + rest: k as set, as fitted, or as is usual; what is left over is the rest."""

    k: Estimate
    how: Literal["set", "fitted", "usual"]
    left_over: Estimate | None


def _face_and_path(putts: Sequence[Delivered], k: float | None, hand: Hand, model: PathModel) -> TableFacts:
    fitted = fit_k(putts) if k is None else None
    share = Estimate(k, k, k) if k is not None else fitted or K_USUAL
    how: Literal["set", "fitted", "usual"] = "set" if k is not None else "fitted" if fitted else "usual"
    rest = [
        it.start.anchor - share.value * it.face_impact_deg - (1 - share.value) * it.path_deg
        for it in putts
        if it.face_impact_deg is not None and it.path_deg is not None
    ]
    left = _left_over(rest, putts, share) if len(rest) >= FEWEST else None
    path = float(np.mean([it.path_deg for it in putts if it.path_deg is not None]))
    off = path - model.expected_deg(hand)
    against = PathOff(off if hand == "right" else -off, True) if model.name else PathOff(path, False)
    rows = (
        RowFacts("k", (Share(share),)),
        RowFacts("left_over", (Bias(left) if left else TOO_FEW,)),
        RowFacts(f"path_{model.name}" if model.name else "path_none", (against,)),
    )
    return TableFacts("face_and_path", ("",), rows, FaceAndPath(share, how, left))


def _left_over(rest: Sequence[float], putts: Sequence[Delivered], share: Estimate) -> Estimate | None:
    """What face and path leave of the start, known no better than the sensor's zero and the whole range of k allow."""
    both = [it for it in putts if it.face_impact_deg is not None and it.path_deg is not None]
    reader = reader_of(both)
    found = _bias(_of(rest, START, reader.noise_deg))
    if found is None:
        return None
    apart = float(np.mean([(it.face_impact_deg or 0.0) - (it.path_deg or 0.0) for it in both]))
    zero = math.hypot(share.value * reader.zero_deg, (1 - share.value) * UNZEROED_DEG)
    return around(found.value, math.hypot(found.doubt, normal(0.0, zero).doubt) + abs(apart) * share.doubt)


def fit_k(putts: Sequence[Delivered]) -> Estimate | None:
    """The share of the face from a block, or None where face and path hardly part, or the putts are too few.

    Start − path = k·(face − path) + c + noise, with k ~ N(0.85, 0.043) (handbook: 0.78 to 0.92) and c ~ N(0, 0.5°);
    the noise is that of the residuals of a first fit.
    """
    known = [
        (it.start.anchor, it.face_impact_deg, it.path_deg)
        for it in putts
        if it.face_impact_deg is not None and it.path_deg is not None
    ]
    if len(known) < _FEWEST_FIT:
        return None
    told: Floats = np.array(known, dtype=np.float64)
    x: Floats = told[:, 1] - told[:, 2]
    y: Floats = told[:, 0] - told[:, 2]
    if float(x.std(ddof=1)) < _TURNS:
        return None
    design = np.column_stack((x, np.ones_like(x)))
    slope, offset = np.polyfit(x, y, 1)
    noise = max(0.05, math.sqrt(float(np.sum((y - slope * x - offset) ** 2)) / (len(known) - 2)))
    prior_sd = np.array([K_USUAL.sd, 0.5])
    precision = design.T @ design / noise**2 + np.diag(1 / prior_sd**2)
    covariance = np.linalg.inv(precision)
    mean = covariance @ (design.T @ y / noise**2 + np.array([K_USUAL.value, 0.0]) / prior_sd**2)
    return normal(float(mean[0]), math.sqrt(float(covariance[0, 0])))
