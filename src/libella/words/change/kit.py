"""What a golfer has in hand, in words."""

from collections.abc import Sequence
from typing import Final

from ...core.golfer.kit import BallMark, Kit
from ...core.measure.units import Units, tape
from ..shared.counts import listed

FIELDS: Final[dict[str, str]] = {
    "putter": "putter",
    "marks": "marks on it",
    "length_m": "length",
    "lie_deg": "lie",
    "loft_deg": "loft",
    "head_g": "head",
    "setting": "weights",
    "ball": "ball",
    "ball_mark": "mark on the ball",
}
MARK_NAMES: Final[dict[BallMark, str]] = {
    "": "not noted",
    "none": "no mark",
    "line": "a line",
    "two_tone": "two colours",
}
NOTHING: Final = "What is in hand was not noted yet."


def value_said(it: Kit, field: str, units: Units) -> str:
    """One thing of a kit; empty where nobody noted it."""
    value = getattr(it, field)
    if value in (None, ""):
        return ""
    match field:
        case "length_m":
            return tape(value, units)
        case "lie_deg" | "loft_deg":
            return f"{value:g}°"
        case "head_g":
            return f"{value:g} g"
        case "ball_mark":
            return MARK_NAMES[it.ball_mark]
        case _:
            return str(value)


def kit_said(it: Kit, units: Units) -> str:
    """All of it in one line."""
    told = [f"{name} {value}" for field, name in FIELDS.items() if (value := value_said(it, field, units))]
    return f"{', '.join(told)[0].upper()}{', '.join(told)[1:]}." if told else NOTHING


def changed_said(before: Kit, after: Kit, fields: Sequence[str], units: Units) -> str:
    """In what it differs from the one before: "putter length 86 cm, was 84 cm"."""
    told = [_one(before, after, it, units) for it in fields]
    said = listed(told)
    return f"{said[0].upper()}{said[1:]}"


def _one(before: Kit, after: Kit, field: str, units: Units) -> str:
    now, was = value_said(after, field, units), value_said(before, field, units)
    return f"{FIELDS[field]} {now or 'not noted'}{f', was {was}' if was else ''}"
