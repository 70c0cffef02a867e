"""What the picture does to the aim: followed, worked against, or neither; a question until data tell."""

import math
from dataclasses import dataclass
from typing import Literal

from scipy.special import ndtr

from ..certainty.estimate import Estimate
from ..certainty.verdict import CLEAR, LIKELY, NONE
from ..measure.side import side_of
from ..measure.units import degrees, percent

Does = Literal["follows", "against", "neither", "open"]


@dataclass(frozen=True, slots=True)
class AimQuestion:
    """The answer so far and its sentences; `does` is "open" while it is a question."""

    does: Does
    headline: str
    why: str


def aim_question(sight: Estimate | None, aim: Estimate | None, limit_deg: float) -> AimQuestion:
    """Set the looks-straight angle beside the face aim at address, both degrees, right positive.

    A rod must point to the looks-straight angle to look straight; a golfer who follows the picture sets the face there.
    One who works against it sets it to the other side. `limit_deg` is what would matter.
    """
    if sight is None:
        return AimQuestion("open", "Does the picture turn the aim?", "First ask what looks straight.")
    seen = f"Straight is seen {_said(sight)}"
    if aim is None:
        return AimQuestion(
            "open",
            "Does the picture turn the aim?",
            f"{seen}. Measure the face at address, no aid in view: then it can be told.",
        )
    pair = f"{seen}; the face is set {_said(aim)}."
    side = side_of(sight.value)
    if abs(sight.value) <= limit_deg:
        return AimQuestion("open", "There is no wrong picture to follow.", pair)
    sign = 1 if side == "right" else -1
    sd = max(aim.sd, 1e-6)
    follows = float(1 - ndtr((limit_deg - sign * aim.value) / sd))
    against = float(ndtr((-limit_deg - sign * aim.value) / sd))
    # The picture itself must be on that side for either to be said.
    seen_sd = max(sight.sd, 1e-6)
    there = float(ndtr(abs(sight.value) / seen_sd))
    choices: tuple[tuple[Does, float, str], ...] = (
        ("follows", follows, "follows the picture"),
        ("against", against, "works against the picture"),
        ("neither", 1 - follows - against, "neither follows the picture nor works against it"),
    )
    for does, chance, words in choices:
        sure = chance * there
        if sure >= (NONE if does == "neither" else LIKELY):
            word = "clear" if sure >= CLEAR and does != "neither" else "likely"
            return AimQuestion(does, f"This golfer {words}: {word} ({percent(sure)}).", pair)
    return AimQuestion(
        "open", "Does the picture turn the aim? Can't tell yet.", f"{pair} More set-downs, no aid in view."
    )


def _said(it: Estimate) -> str:
    side = side_of(it.value, 0.05)
    doubt = f"(± {math.ceil(it.doubt * 10) / 10:.1f}°)"
    return f"true {doubt}" if side == "neither" else f"{degrees(it.value, it.doubt)} {side} {doubt}"
