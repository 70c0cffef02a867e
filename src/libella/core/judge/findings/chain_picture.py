"""The chain as a picture: where mark, face at address, face at impact and start pointed, as a fan from the ball to the
hole; every link's vial with what it adds; and the link with the largest share of bias and of spread."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from ...certainty.estimate import INTERVAL, Estimate, told_by
from ...certainty.verdict import is_likely
from ...certainty.vial import Bubble, Vial, vial
from ...drawing.scene import Scene
from ...estimate.posterior import Floats
from ...green.putt import Putt
from ...measure.interval import Interval
from ...measure.window import Window
from ..ledger.place import Place
from .case import Case
from .joint import Link
from .pictures.fans import LONG, TALL, Fan, times_for

LinkName = Literal["looks_straight", "ball_mark", "face_aim", "delivery", "face_impact", "path", "strike", "start"]
_FEWEST: Final = 5
_SEEN_DEG: Final = 0.05
_ANEW: Final = 400


@dataclass(frozen=True, slots=True)
class LinkShown:
    """One link of the chain.

    Attributes
    ----------
    bias : its own mean, degrees; of the strike: what it adds
    spread : its scatter from putt to putt, the reading error taken off; None where that was not read
    adds : what it adds to the start, degrees; None of a sum (face at impact, start)
    readings : what it rests on
    """

    name: LinkName
    bias: Estimate
    spread: Estimate | None
    adds: Estimate | None
    readings: int
    vial: Vial
    at: Place


@dataclass(frozen=True, slots=True)
class Largest:
    """The link that has the largest part, and its share of all of them with its interval, 0 to 1."""

    name: LinkName
    share: Estimate


@dataclass(frozen=True, slots=True)
class Chain:
    """Every link that was read, in order; which is largest in the bias and in the spread."""

    links: tuple[LinkShown, ...]
    bias: Largest | None
    spread: Largest | None


def chain_of(case: Case, *, grows: bool = False) -> Chain:
    """The links as far as any step read them: each as its own readings tell it, with what it adds by all of them.
    `grows`: there is no one start to draw."""
    joint = case.joint
    at_start: dict[LinkName, Link] = {"looks_straight": "picture", "ball_mark": "mark", "path": "path"}
    links: list[LinkShown] = []
    for name, of in READ_AS:
        level = next((it for one in of if (it := case.level(one)) is not None and it.enough), None)
        if (
            (name == "start" and grows)
            or level is None
            or not level.is_sized
            or (level.raw is None and case.told.beta is None)
        ):
            continue
        adds: Estimate | None = None
        if name in at_start:
            adds = told_by(joint.at_start[at_start[name]])
        elif name == "face_aim":
            adds = told_by(case.aimed)
        elif name == "delivery":
            adds = told_by(joint.at_start["delivery"])
        links.append(LinkShown(name, level.bias, level.spread, adds, level.count, level.vial, level.at))
    struck = case.struck
    if struck is not None and struck.putts >= _FEWEST and abs(struck.adds.value) >= _SEEN_DEG and case.starts:
        window = Window(1.0, 1.0)
        film = Bubble(struck.adds, Estimate(0.0, 0.0, 0.0))
        shown = vial((), film, window, settled=True)
        at = sum(it.name != "start" for it in links)
        links.insert(at, LinkShown("strike", struck.adds, None, struck.adds, struck.putts, shown, case.putted_at))
    return Chain(tuple(links), _largest_bias(case), _largest_spread(case))


READ_AS: Final[tuple[tuple[LinkName, tuple[str, ...]], ...]] = (
    ("looks_straight", ("looks_straight",)),
    ("ball_mark", ("mark",)),
    ("face_aim", ("face", "address")),
    ("delivery", ("turned",)),
    ("face_impact", ("impact",)),
    ("path", ("path",)),
    ("start", ("start",)),
)
"""Which quantities tell a link, the likelier first."""
"""Each link of the picture, and the quantities that tell it."""


def _largest_bias(case: Case) -> Largest | None:
    """By size among the links that add to the start; None where nothing but the start was read, or none is likely to
    matter: of noise there is no largest part."""
    at, told = case.joint.at_start, case.told
    parts: dict[LinkName, Floats] = {}
    if told.face is not None or told.address is not None or told.to_mark is not None:
        parts["face_aim"] = case.aimed
    if told.impact is not None:
        parts["delivery"] = at["delivery"]
    if told.path is not None:
        parts["path"] = at["path"]
    if told.strike is not None and case.struck is not None and case.struck.putts >= _FEWEST:
        parts["strike"] = at["strike"]
    if len(parts) < 2:
        return None
    sizes = {name: np.abs(values) for name, values in parts.items()}
    total: Floats = np.sum(np.array(list(sizes.values())), axis=0)
    name = max(parts, key=lambda one: abs(float(np.median(parts[one]))))
    if not is_likely(float((sizes[name] >= case.matters_deg[0]).mean())):
        return None
    return Largest(name, told_by(sizes[name] / np.maximum(total, 1e-9)))


def _largest_spread(case: Case) -> Largest | None:
    """By covariance with the start, putt by putt, over putts whose face and path were read; shares drawn by taking the
    putts anew."""
    k = case.ledger.k.value
    rows: list[tuple[float, float, float]] = []
    for it in case.events("address", "impact", "path"):
        aim, impact, path = (
            value.anchor for name in ("address", "impact", "path") if isinstance(value := it.values[name], Interval)
        )
        rows.append((k * aim, k * (impact - aim), (1 - k) * path))
    if len(rows) < 8:
        return None
    noise = max((it.noise.get("address", 0.0) for it in case.putted), default=0.0) * k
    told = np.array(rows)
    rng = np.random.default_rng(31)
    some = told[rng.integers(0, len(told), (_ANEW, len(told)))]
    some -= some.mean(axis=1, keepdims=True)
    cov: Floats = some.transpose(0, 2, 1) @ some / (len(told) - 1)
    # The aim's reading error stands in the aim, and with the other sign in what the stroke added.
    cov[:, 0, 0] = np.maximum(cov[:, 0, 0] - noise**2, 0.0)
    cov[:, 1, 1] = np.maximum(cov[:, 1, 1] - 2 * noise**2, 0.0)
    cov[:, 0, 1] += noise**2
    cov[:, 1, 0] = cov[:, 0, 1]
    size: Floats = np.abs(cov.sum(axis=2))
    drawn: Floats = size / np.maximum(size.sum(axis=1, keepdims=True), 1e-9)
    middle = np.median(drawn, axis=0)
    first = int(middle.argmax())
    names: tuple[LinkName, ...] = ("face_aim", "delivery", "path")
    low, high = np.quantile(drawn[:, first], INTERVAL)
    return Largest(names[first], Estimate(float(middle[first]), float(low), float(high)))


_RAYS: Final[tuple[LinkName, ...]] = ("ball_mark", "face_aim", "face_impact", "start")


def fan(
    chain: Chain, putt: Putt, said: Mapping[str, str], words: str, *, before: Chain | None = None
) -> tuple[Scene, int]:
    """The links as a fan from the ball to the hole, from above, and how many times its angles are exaggerated.

    Across the line everything is as many times as large, the hole and the window too; ball and face are drawn larger,
    to be seen. `said`: link → its label; `before`: another chain, drawn faintly under it.
    """
    shown = sorted((it for it in chain.links if it.name in _RAYS), key=lambda it: it.bias.value)
    under = [it for it in before.links if it.name in _RAYS] if before else []
    times = times_for([putt.window.half_deg, *(it.bias.value for it in (*shown, *under))])
    drawn = Fan(putt.distance_m, putt.window, times)
    shapes = [*drawn.ground(), *(drawn.ray(it.bias.value, "ghost") for it in under)]
    shapes += [shape for it in shown for shape in drawn.estimate(it.bias)]
    beside = drawn.said(*((said[it.name], it.bias.value) for it in shown))
    face = next((it for name in ("face_impact", "face_aim") for it in shown if it.name == name), None)
    if face is not None:
        shapes.append(drawn.face(face.bias.value))
    shapes += [*beside, drawn.ball()]
    ends = [drawn.at(end) for it in shown for end in (it.bias.low, it.bias.high)]
    window = [drawn.at(putt.window.low_deg), drawn.at(putt.window.high_deg)]
    tall = max([TALL / 2, *(abs(it) + 10 for it in (*window, *ends)), *(abs(it.y) + 22 for it in beside)])
    return Scene(-90, -tall, LONG + 420, tall, words, tuple(shapes)), times
