"""The chain of one block: every link with bias and spread, each link's change to the next, start from face and path.

Handbook 5, chain: face at impact = face aim + delivery; start = k·face + (1 − k)·path + rest.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np

from ..certainty.estimate import Estimate, estimated
from ..certainty.verdict import NINETY, WORDS
from ..certainty.vial import vial
from ..estimate import PATH, START, Posterior, Prior, posterior, summarise
from ..estimate.posterior import Floats
from ..golfer.hand import Hand
from ..measure.interval import Interval
from ..measure.limits import Bounds
from ..measure.side import side_of
from ..measure.units import percent, sided
from ..measure.window import Window
from ..start.path import NO_PATH, PATHS, PathModel
from .compensation import FEWEST, FEWEST_PAIRS, UNZEROED_DEG, Reader, in_the_means, putt_by_putt
from .tables import Row, Table

K: Final = Bounds(0.5, 1.0, "")
K_USUAL: Final = Estimate(0.85, 0.78, 0.92)
"""How far the start follows the face rather than the path (handbook 5)."""
_FEWEST: Final = 3
_FEWEST_FIT: Final = 8
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


def chain(
    putts: Sequence[Delivered],
    aimed: Aimed,
    window: Window,
    hand: Hand,
    *,
    k: float | None = None,
    model: PathModel = NO_PATH,
    noise_deg: float = 0.0,
    shared_deg: float = 0.0,
) -> tuple[Table, ...]:
    """The tables of the chain; none where no link but the start is known.

    Parameters
    ----------
    putts : valid putts of the block, oldest first
    k : the share of the face as the coach sets it; None fits it where the putts can tell, else takes what is usual
    model : the path as declared
    noise_deg, shared_deg : of the rig that read the starts
    """
    found = _links(putts, aimed, window, noise_deg, shared_deg)
    if len(found) < 2:
        return ()
    tables = [
        Table("Every link", ("putts", "bias", "spread", "to the next"), tuple(found), _compensation(putts, window))
    ]
    both = [it for it in putts if it.face_impact_deg is not None and it.path_deg is not None]
    if both:
        tables.append(_face_and_path(both, k, hand, model))
    return tuple(tables)


def _links(putts: Sequence[Delivered], aimed: Aimed, window: Window, noise_deg: float, shared_deg: float) -> list[Row]:
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
    rows: list[Row] = []
    if aimed.mark:
        rows.append(_told("Ball mark", aimed.mark, aimed.to_mark))
    if aimed.to_mark:
        rows.append(_told("Putter to the mark", aimed.to_mark, None))
    if aimed.face and not aim:
        rows.append(_told("Face at address", aimed.face, None))
    if aim:
        rows.append(_row("Face at address", aim, _of(aim, START, u), window, _signed(_bias(delivery))))
    if stroke:
        rows.append(_row("The stroke adds", stroke, delivery, window, ""))
    if impact:
        turned = _of(impact, START, u)
        to_start = _less(_bias(_starts(starts, noise_deg, shared_deg)), _bias(turned))
        rows.append(_row("Face at impact", impact, turned, window, _signed(to_start)))
    if path:
        rows.append(_row("Path", path, _of(path, PATH, u), window, ""))
    if starts and rows:
        rows.append(_row("Start", starts, _starts(starts, noise_deg, shared_deg), window, ""))
    return rows


def _of(values: Sequence[float], prior: Prior, noise: float) -> Posterior | None:
    return posterior([Interval(it, it) for it in values], prior, noise=noise) if values else None


def _starts(starts: Sequence[Interval], noise_deg: float, shared_deg: float) -> Posterior:
    return posterior(starts, START, noise=noise_deg).blurred(shared_deg)


def _bias(post: Posterior | None) -> Estimate | None:
    return estimated(post.bias_quantile) if post else None


def _less(a: Estimate | None, b: Estimate | None) -> Estimate | None:
    if a is None or b is None:
        return None
    middle, doubt = a.value - b.value, math.hypot(a.doubt, b.doubt)
    return Estimate(middle, middle - doubt, middle + doubt)


def _told(name: str, it: Estimate, then: Estimate | None) -> Row:
    return Row(name, ("at set-down", _signed(it), "", _signed(then)))


def _row(name: str, values: Sequence[float | Interval], post: Posterior | None, window: Window, change: str) -> Row:
    if post is None or len(values) < _FEWEST:
        return Row(name, (str(len(values)), "too few", "", ""))
    found = summarise(post, window)
    spread = f"{found.spread.value:.1f}° (± {found.spread.doubt:.1f}°)"
    ticks = [it if isinstance(it, Interval) else Interval(it, it) for it in values]
    shown = vial(ticks, found.bubble, window, settled=True)
    return Row(name, (str(len(values)), _signed(found.bias), spread, change), shown)


def _signed(it: Estimate | None) -> str:
    return f"{sided(it.value)} (± {it.doubt:.1f}°)" if it else ""


def reader_of(putts: Sequence[Delivered]) -> Reader:
    """How well the face of these putts was read: as badly as the worst of them."""
    return Reader(
        noise_deg=max(it.u_deg for it in putts),
        checks=min(it.checks for it in putts),
        zero_deg=max(it.zero_deg for it in putts),
        one_device=all(it.one_device for it in putts),
    )


def _compensation(putts: Sequence[Delivered], window: Window) -> str:
    """Aim and stroke on opposite sides: in the means, and putt by putt without the error they share."""
    both = [it for it in putts if it.face_aim_deg is not None and it.face_impact_deg is not None]
    if len(both) < FEWEST:
        return "Face at address and at impact of three putts tell whether the stroke makes up for the aim."
    aim = [it.face_aim_deg for it in both if it.face_aim_deg is not None]
    impact = [it.face_impact_deg for it in both if it.face_impact_deg is not None]
    reader = reader_of(both)
    means = in_the_means(aim, impact, reader, window)
    if means.names_direction:
        stroke = [b - a for a, b in zip(aim, impact, strict=True)]
        left, right = (_signed(_bias(_of(it, START, reader.noise_deg))) for it in (aim, stroke))
        return (
            f"The aim is {left} and the stroke adds {right}: a compensation, {WORDS[means.word]} "
            f"({percent(means.probability)}). Mend the first cause, and look again before touching the other."
        )
    if len(both) < FEWEST_PAIRS:
        return f"No sign of it in the means; {FEWEST_PAIRS} putts with both tell whether it is so putt by putt."
    found = putt_by_putt(aim, impact, reader)
    if found.question:
        return (
            "Does the stroke make up for the aim, putt by putt? It may only be the sensor's own noise: hold the putter "
            "still against the reference for five readings, then it can be told."
        )
    if found.call.names_direction:
        it = found.takes_back
        low, middle, high = (round(min(1.0, max(0.0, value)) * 100) for value in (it.low, it.value, it.high))
        return (
            f"Putt by putt the stroke makes up for about {middle} % ({low} to {high} %) of what the aim is off: "
            f"{WORDS[found.call.word]}."
        )
    if found.call.word == "none":
        return "No sign that the stroke makes up for the aim."
    return "Whether the stroke makes up for the aim can't be told yet from these putts."


def _face_and_path(putts: Sequence[Delivered], k: float | None, hand: Hand, model: PathModel) -> Table:
    """Start = k·face + (1 − k)·path + rest: k as set, as fitted, or as is usual; what is left over is the rest."""
    fitted = fit_k(putts) if k is None else None
    share = Estimate(k, k, k) if k is not None else fitted or K_USUAL
    how = "as set" if k is not None else "fitted from these putts" if fitted else "as is usual: these putts can't tell"
    rest = [
        it.start.anchor - share.value * it.face_impact_deg - (1 - share.value) * it.path_deg
        for it in putts
        if it.face_impact_deg is not None and it.path_deg is not None
    ]
    left = _left_over(rest, putts, share) if len(rest) >= _FEWEST else None
    path = float(np.mean([it.path_deg for it in putts if it.path_deg is not None]))
    expected = model.expected_deg(hand)
    off = path - expected
    in_to_out = (off > 0) == (hand == "right")
    side = "as declared" if abs(off) < 0.25 else f"{abs(off):.1f}° {'in to out' if in_to_out else 'out to in'} of it"
    rows = (
        Row("Share of the face (k)", (f"{share.value:.2f} ({share.low:.2f} to {share.high:.2f})",)),
        Row("Left over", (_signed(left) if left else "too few putts",)),
        Row(f"Path, {PATHS[model.name]}", (f"{side}" if model.name else f"{abs(path):.1f}° {side_of(path, 0.05)}",)),
    )
    said = f"Start = {share.value:.2f} × face + {1 - share.value:.2f} × path, {how}."
    if left and abs(left.value) > left.doubt:
        said += f" {_signed(left)} is left over: strike, the ball's place or the rig's zero."
    return Table("Start from face and path", ("",), rows, said)


def _left_over(rest: Sequence[float], putts: Sequence[Delivered], share: Estimate) -> Estimate | None:
    """What face and path leave of the start, known no better than the sensor's zero and the whole range of k allow."""
    both = [it for it in putts if it.face_impact_deg is not None and it.path_deg is not None]
    reader = reader_of(both)
    found = _bias(_of(rest, START, reader.noise_deg))
    if found is None:
        return None
    apart = float(np.mean([(it.face_impact_deg or 0.0) - (it.path_deg or 0.0) for it in both]))
    zero = math.hypot(share.value * reader.zero_deg, (1 - share.value) * UNZEROED_DEG)
    doubt = math.hypot(found.doubt, NINETY * zero) + abs(apart) * share.doubt
    return Estimate(found.value, found.value - doubt, found.value + doubt)


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
    doubt = NINETY * math.sqrt(float(covariance[0, 0]))
    return Estimate(float(mean[0]), float(mean[0]) - doubt, float(mean[0]) + doubt)
