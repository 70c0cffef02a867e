"""The same put plainly: no degrees and no percents, how wide it is at three metres, how often against luck."""

import math
import re
from dataclasses import replace
from typing import Final

from ...core.certainty.verdict import Word
from ...core.drawing.scene import Label, Scene
from ...core.golfer.wording import Wording
from ...core.measure.angle import offset_m
from ...core.measure.units import Units

SURE: Final[dict[Word, str]] = {
    "clear": "for sure",
    "likely": "more often than luck",
    "none": "nothing to mend",
    "open": "we can't tell yet",
}
"""How sure, without a number: as strong as the word it stands for."""
_AT_M: Final = 3.0
_FINGER_M: Final = 0.018
_HAND_M: Final = 0.09
_WIDTHS: Final[dict[float, str]] = {
    0.5 * _FINGER_M: "half a finger’s width",
    0.75 * _FINGER_M: "not quite a finger’s width",
    _FINGER_M: "a finger’s width",
    1.5 * _FINGER_M: "a finger and a half’s width",
    2 * _FINGER_M: "two fingers’ width",
    3 * _FINGER_M: "three fingers’ width",
    4 * _FINGER_M: "four fingers’ width",
    _HAND_M: "a hand’s width",
    1.5 * _HAND_M: "a hand and a half’s width",
    2 * _HAND_M: "two hands’ width",
    2.5 * _HAND_M: "two and a half hands’ width",
    3 * _HAND_M: "three hands’ width",
    4 * _HAND_M: "four hands’ width",
    0.5: "half a step",
    0.75: "a step",
    1.1: "a step and a half",
    1.5: "two steps",
}
"""What a width is called: each true to a quarter, from half a finger to two steps."""
_DEGREES: Final = re.compile(r"(?P<size>\d+(?:\.\d+)?)°")
_WORDS: Final = re.compile(r"\b(?P<word>clear|likely)(?=[.;:]|$)")
_SHARE: Final = re.compile(r"\b(?P<n>\d+) (?P<how>more |fewer )?(?P<of>in|of) a hundred\b")


def width_said(size_deg: float, units: Units) -> str:
    """How wide an angle is where it is told: in fingers and hands.

    >>> width_said(1.7, "metric"), width_said(-0.3, "feet")
    ('a hand’s width at 3 m', 'a finger’s width at 10 ft')
    """
    across_m, at = abs(offset_m(size_deg, _AT_M)), "10 ft" if units == "feet" else "3 m"
    wide = min(_WIDTHS, key=lambda it: abs(math.log(max(across_m, 1e-4) / it)))
    return f"{_WIDTHS[wide]} at {at}"


def share_said(of_hundred: float) -> str:
    """A share of a hundred as one of so many.

    >>> share_said(9), share_said(33), share_said(80), share_said(0)
    ('one in eleven', 'one in three', '8 in ten', 'none')
    """
    if round(of_hundred) <= 0:
        return "none"
    if of_hundred > 50:
        return f"{round(of_hundred / 10)} in ten"
    return f"one in {_COUNTED.get(n := round(100 / of_hundred), str(n))}"


_COUNTED: Final = {
    2: "two", 3: "three", 4: "four", 5: "five", 6: "six", 7: "seven", 8: "eight", 9: "nine", 10: "ten", 11: "eleven",
    12: "twelve",
}  # fmt: skip


def plainly(said: str, units: Units) -> str:
    """A sentence without degrees and shares of a hundred; how sure it is, it says as surely.

    >>> plainly("Within 0.5° either side, clear.", "metric")
    'Within a finger’s width at 3 m either side, for sure.'
    """
    wide = _DEGREES.sub(lambda it: width_said(float(it["size"]), units), said)
    shares = _SHARE.sub(_as_one_in, wide)
    return _WORDS.sub(lambda it: SURE["clear" if it["word"] == "clear" else "likely"], shares)


def _as_one_in(it: re.Match[str]) -> str:
    return f"{share_said(float(it['n']))} {it['how'] or ''}".rstrip()


def put(said: str, wording: Wording, units: Units) -> str:
    """A sentence as it is put to this golfer."""
    return plainly(said, units) if wording == "plain" else said


def put_scene(scene: Scene, wording: Wording, units: Units) -> Scene:
    """A picture as it is put to this golfer: plainly it carries no degrees."""
    if wording != "plain":
        return scene
    kept = tuple(it for it in scene.shapes if not (isinstance(it, Label) and "°" in it.text))
    return replace(scene, shapes=kept, words=plainly(scene.words, units))
