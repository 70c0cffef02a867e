"""The numbers of an opinion in words."""

from collections.abc import Mapping
from typing import Final

from ...core.golfer.level import LEVELS
from ...core.measure.units import Units, tape
from ...core.opinions.every import every_opinion
from ...core.opinions.numbers import Number, Unit, steps_to

_FIELDS: Final[Mapping[str, str]] = {
    "bias_mean": "the middle", "bias_sd": "its standard deviation", "spread_median": "scatter",
    "spread_log_sd": "what scatter may differ by, in logarithms", "matters_from": "matters from",
    "nothing_under": "nothing to mend under", "distance_m": "length", "weight": "weighs",
    "inside": "eyes in or out", "behind": "eyes behind or ahead", "tilt": "head tilt",
    "distance": "distance from the ball", "ball": "ball position",
    "m": "lengths", "deg": "angles", "mm": "places", "%": "shares", "none": "not proved",
}  # fmt: skip
_ORDER: Final = ("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth")
_SIDE_BY_SIDE: Final[Mapping[str, tuple[str, str]]] = {
    "set_up_spread": ("spread expected", "wandering from"),
    "first_putts": ("length", "how many"),
    "roll_spread": ("at the hole", "of the length putted"),
    "roll_spread_differs": ("of the first", "of the second"),
    "clock_lags": ("lag", "how likely"),
}
"""What two numbers side by side are."""


def part_name(opinion: str, at: str) -> str:
    """One number of an opinion, by where in it it stands; "" where it is the only one."""
    told: list[str] = []
    names = steps_to(at)
    for n, it in enumerate(names):
        if it.isdigit() and n == len(names) - 1 and opinion in _SIDE_BY_SIDE:
            told.append(_SIDE_BY_SIDE[opinion][int(it)])
        else:
            told.append(f"the {_ORDER[int(it)]}" if it.isdigit() else _field(it))
    return ", ".join(told)


def numbers_said(numbers: Mapping[str, Number], units: Units) -> str:
    """Every number of an opinion, in a line; rows that say the same are said together."""
    rows: dict[str, list[str]] = {}
    for at, it in numbers.items():
        *above, last = steps_to(at) or ("",)
        name = f"{_field(last)} " if last and not last.isdigit() and not (above == [] and it.unit == last) else ""
        rows.setdefault(" ".join(above), []).append(f"{name}{number_said(it.value, it.unit, units)}")
    together: dict[str, list[str]] = {}
    for row, told in rows.items():
        named = "" if row.isdigit() else _field(row)
        together.setdefault(", ".join(told), []).append(named)
    return "; ".join(f"{', '.join(it for it in names if it)}{': ' if any(names) else ''}{said}"
                     for said, names in together.items())  # fmt: skip


def number_said(value: float, unit: Unit, units: Units) -> str:
    """One number with its unit."""
    match unit:
        case "deg":
            return f"{value:g}°"
        case "share":
            return f"{100 * value:g} of a hundred"
        case "m" | "mm":
            return _length_said(value if unit == "m" else value / 1000, units)
        case "times":
            return f"× {value:g}"
        case "%":
            return f"{value:g} %"
        case "putts_in_100":
            return f"{value:g} putts of a hundred"
        case "s" | "min" | "days":
            return f"{value:g} {unit}"
        case _:
            return f"{value:g}"


def _length_said(metres: float, units: Units) -> str:
    sign, size = "−" if metres < 0 else "", abs(metres)
    if units == "metric" and size < 0.01:
        return f"{sign}{1000 * size:g} mm"
    return sign + (f"{size / 0.0254:.2g} in" if units == "feet" and size < 0.01 else tape(size, units))


def whose_said(level: str, golfer: str) -> str:
    """Of whom it is held."""
    if golfer:
        return f"Of {golfer}"
    return f"Of every golfer of this level: {LEVELS[level].name}" if level in LEVELS else "Of everybody"


def version_said(opinion: str, numbers: Mapping[str, float], units: Units) -> str:
    """An opinion as it was held once."""
    known: Mapping[str, Number] = every_opinion()[opinion].numbers if opinion in every_opinion() else {}
    told = [
        (part_name(opinion, at), number_said(value, known[at].unit, units))
        for at, value in numbers.items()
        if at in known
    ]
    return "; ".join(f"{name}: {said}" if name else said for name, said in told) or "as it stands"


def _field(name: str) -> str:
    return _FIELDS.get(name, name.replace("_", " "))
