"""What a column's heading tells: its quantity, its unit, which side is plus; and what only sounds like a putt's."""

import re
from typing import Final, Literal

from ..core.measure.written_units import WRITTEN, sizes_of, unit_written

Kind = Literal["angle", "length", "time", "slope", "number", "when", "clock", "flag", "text", "choice", "side"]
_BARE: Final = {"": 1.0, "ft": 1.0}
"""A number needs no unit; green speed is one, told in feet."""
_WORD_TOO: Final = ("in", "m", "s", "'", '"')
"""Units that are words or marks as well: they count behind a bracket, an underscore or "in", or at the end."""
_TAIL: Final = re.compile(r"[(\[,/_:]\s*([^\s()\[\],/_:]+)\s*[)\]]?\s*$|\bin\s+([a-z°%]+)\s*[)\]]?\s*$")


def unit_word(said: str) -> str:
    """A unit as it is kept, from how people write it; empty for what is none."""
    return unit_written(said.strip().strip("()[].").strip().casefold())


def units_of(kind: Kind) -> dict[str, float]:
    """Units a column of this kind may have, each with how much it is of Libella's own; none where it has no unit."""
    return dict(_BARE) if kind == "number" else sizes_of(kind)


def is_unit(said: str) -> bool:
    """Whether a cell says a unit and nothing else; a dash says there is none."""
    return said.strip() in ("-", "–", "—") or bool(unit_word(said))


def kind_of_unit(unit: str) -> Kind:
    return WRITTEN[unit].of


def unit_in(heading: str) -> str:
    """The unit that a heading says; empty where it says none."""
    plain = heading.casefold().strip()
    tail = _TAIL.search(plain)
    if tail and (found := unit_word(tail[1] or tail[2])):
        return found
    for word in re.findall(r"[a-z]+|[°%]", plain):
        if word not in _WORD_TOO and (found := unit_word(word)):
            return found
    return ""


_NOT: Final = (
    r"\blaunch angle\b", r"\bvertical\b", r"\bloft\b", r"\blie\b", r"\battack\b", r"\brise\b",
    r"\bface to path\b", r"\bclub path to face\b", r"\bface rel", r"\bto path\b",
    r"\b(ball|club|head|putter|impact|launch|initial) speed\b", r"\bvelocity\b", r"\bsmash\b",
    r"\b(skid|roll|carry|total|slide) (distance|length)\b", r"\broll (out|ratio)\b", r"\bleave\b", r"\bremaining\b",
    r"\btempo\b", r"\brhythm\b", r"\bspin\b", r"\bscore\b", r"\bpoints\b", r"\bscreen\b",
)  # fmt: skip
"""What reads like something of a putt, and means another thing."""
_MEANS: Final[tuple[tuple[str, dict[Kind, str]], ...]] = (
    (r"\brotation\b", {"angle": "rotation_deg"}),
    (r"\bconsistency\b", {"number": "sensor_consistency"}),
    (r"\bface\b.*\b(address|aim|set ?up)\b|\b(address|aim)\b.*\bface\b|\baim\b", {"angle": "face_address_deg"}),
    (r"\bface\b", {"angle": "face_impact_deg"}),
    (r"\bpath\b", {"angle": "path_deg"}),
    (r"\b(past|ran past|short or past)\b", {"length": "ran_past_m"}),
    (r"\b(toe|heel)\b|\bstrike\b.*\bhorizontal\b", {"length": "strike_toe_mm"}),
    (r"\bstrike\b.*\b(high|low)\b", {"length": "strike_up_mm"}),
    (r"\b(back ?swing|back ?stroke)\b", {"time": "backswing_s", "length": "back_m"}),
    (r"\b(down ?swing|forward ?swing)\b", {"time": "downswing_s"}),
    (r"\bfollow through\b", {"length": "through_m"}),
    (r"\bgreen speed\b", {"number": "green_speed_ft", "length": "green_speed_ft"}),
    (r"\b(start|launch|direction|azimuth)\b", {"angle": "start_deg", "length": "start_offset"}),
    (r"\b(offset|deviation)\b", {"length": "start_offset", "angle": "start_deg"}),
    (r"\b(length|distance|to (the )?hole)\b", {"length": "distance_m"}),
    (r"\b(condition|drill|set ?up)\b", {"text": "condition"}),
    (r"\b(golfer|player|name|pupil|student)\b", {"text": "golfer"}),
)
_WHEN: Final = r"\b(date|time|when|timestamp|day)\b"
_SIDES: Final = ("right", "left", "open", "closed", "toe", "heel", "high", "low", "past", "short", "in to out",
                 "out to in")  # fmt: skip


def bare(heading: str) -> str:
    """A heading's words alone."""
    return " ".join(re.findall(r"[a-z]+", heading.casefold().replace("&", " and ")))


def means(heading: str, unit: str) -> str:
    """What a heading with this unit says the column tells; empty where it says nothing that Libella keeps.

    A unit decides between quantities of one name (a backswing in s, in cm); where there is none the first is meant, and
    its unit is asked for.
    """
    words = bare(heading)
    if any(re.search(it, words) for it in _NOT):
        return ""
    for pattern, by_kind in _MEANS:
        if re.search(pattern, words):
            kind = kind_of_unit(unit) if unit else next(iter(by_kind))
            # A share is a number like any other.
            return by_kind.get("number" if kind == "slope" else kind, "")
    return "taken_at" if re.search(_WHEN, words) and not unit else ""


def means_another(heading: str) -> bool:
    """Whether a heading sounds like a putt's and is known to mean something else."""
    return any(re.search(it, bare(heading)) for it in _NOT)


def plus_in(heading: str) -> str:
    """The side that a heading calls plus ("+ = left", "right positive", "R+"); empty where it says none."""
    said = heading.casefold().replace("−", "-").replace("_", " ")
    said = re.sub(r"\br\b(?=\s*(\+|is|=|pos))", "right", re.sub(r"\bl\b(?=\s*(\+|is|=|pos))", "left", said))
    said = re.sub(r"(\+\s*(?:=|is)?\s*)r\b", r"\1right", re.sub(r"(\+\s*(?:=|is)?\s*)l\b", r"\1left", said))
    for side in _SIDES:
        plus = rf"({side}|{side}wards?)\s*(is|=|:)?\s*(\+|positive|plus|pos\b)"
        after = rf"(\+|positive|plus|pos)\s*(is|=|:|for)?\s*{side}"
        if re.search(plus, said) or re.search(after, said):
            return side.replace(" ", "_")
        minus = rf"{side}\s*(is|=|:)?\s*(-|negative|minus|neg\b)|(-|negative|minus|neg)\s*(is|=|:|for)?\s*{side}"
        if re.search(rf"(?<![a-z]){minus}", said):
            at = _SIDES.index(side)
            return _SIDES[at ^ 1].replace(" ", "_")
    return ""
