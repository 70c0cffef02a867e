"""What the picture does to the aim, in words."""

import math
from dataclasses import dataclass

from ...core.aim.picture import AimQuestion, Does
from ...core.certainty.estimate import Estimate
from ...core.measure.side import side_of
from ...core.measure.units import degrees, percent
from ..shared.certainty import WORDS


@dataclass(frozen=True, slots=True)
class PictureWords:
    """The answer so far, and what it rests on."""

    does: Does
    headline: str
    why: str


def picture_words(it: AimQuestion) -> PictureWords:
    """The question of the aim as it is read."""
    if it.sight is None:
        return PictureWords(it.does, "Does the picture turn the aim?", "First ask what looks straight.")
    seen = _said(it.sight)
    if it.aim is None:
        why = f"Straight is seen {seen}. Measure the face at address, no aid in view: then it can be told."
        return PictureWords(it.does, "Does the picture turn the aim?", why)
    pair = f"Straight is seen {seen}; the face is set {_said(it.aim)}."
    if not it.turned or it.call is None:
        return PictureWords(it.does, "There is no wrong picture to follow.", pair)
    sure = f"{WORDS[it.call.word]} ({percent(it.call.probability)})"
    if it.does == "open":
        why = f"{pair} More set-downs, no aid in view."
        return PictureWords(it.does, "Does the picture turn the aim? Can't tell yet.", why)
    headline = {
        "follows": f"This golfer follows the picture: {sure}.",
        "against": f"This golfer works against the picture: {sure}.",
        "neither": (
            f"This golfer neither follows the picture nor works against it: likely ({percent(it.call.probability)})."
        ),
    }[it.does]
    return PictureWords(it.does, headline, pair)


def _said(it: Estimate) -> str:
    side = side_of(it.value, 0.05)
    doubt = f"(± {math.ceil(it.doubt * 10) / 10:.1f}°)"
    return f"true {doubt}" if side == "neither" else f"{degrees(it.value, it.doubt)} {side} {doubt}"
