"""Sizes put right after something was read with them, in words."""

from collections.abc import Mapping, Sequence
from dataclasses import replace
from datetime import date
from typing import Final, cast

from ...core.instruments import instrument
from ...core.instruments.aid import Dimension, DimensionUnit, size_said
from ...core.measure.units import Units
from ...core.see.look_sizes import LOOKED_WITH
from ...core.see.one_way import Way
from ...core.see.side_look import LEAN, SideWay
from ...core.set.part import Part
from ..shared.counts import counted
from ..shared.days import day_in_figures
from ..shared.inside import inside
from ..vocabulary import ENTRIES, EntryWords

NOTHING_READ: Final = "Nothing was read with it: only the plan changes."
"""What is told where no block of the plan has a putt."""
_LOOKS: Final[Mapping[Way | SideWay, str]] = {
    "mirror": "Looks in the mirror",
    "plumb": "Looks by plumb",
    "string": "Looks by the string",
    "strip": "Looks by the strip",
}
_FALLS: Final = ENTRIES["mirror_falls_percent"]
_LOOK_ENTRIES: Final[Mapping[str, EntryWords]] = {
    "eye_height_m": ENTRIES["eye_height_m"],
    "falls_in_percent": EntryWords("Mirror falls to the golfer", "", _FALLS.unit, _FALLS.low, _FALLS.high, _FALLS.step),
    "falls_back_percent": EntryWords("Falls away from the hole", "", _FALLS.unit, _FALLS.low, _FALLS.high, _FALLS.step),
    "level_doubt_percent": ENTRIES["level_doubt_percent"],
    "seen_m": ENTRIES["eye_seen_m"],
    "string_height_m": ENTRIES["string_height_m"],
    "lean_deg": EntryWords("Posts lean to the golfer", "Away −.", LEAN.unit, LEAN.low, LEAN.high, 0.1),
    "turns_m": ENTRIES["turns_m"],
}


def part_name(it: Part) -> str:
    """The putt, an instrument's name, or how it was looked."""
    if it.of == "putt":
        return "The putt"
    return instrument(it.kind).about.name if it.of == "instrument" else _LOOKS[cast("Way | SideWay", it.kind)]


def part_dimensions(it: Part) -> tuple[Dimension, ...]:
    """Its sizes as they are told, each beginning with what was written down."""
    if it.of == "instrument":
        known = instrument(it.kind).dimensions()
    elif it.of == "putt":
        known = (_dimension("distance_m", ENTRIES["distance_m"]),)
    else:
        known = tuple(_dimension(name, _LOOK_ENTRIES[name]) for name in LOOKED_WITH[cast("Way | SideWay", it.kind)])
    return tuple(replace(one, default=it.sizes[one.name]) for one in known)


def put_right_words(before: Sequence[Part], after: Sequence[Part], units: Units) -> tuple[str, ...]:
    """What stands there and what stood there, a size each: "Gate of pegs: inside width 66 mm, not 60 mm." """
    return tuple(
        f"{part_name(other)}: {inside(it.label)} {size_said(it.unit, other.sizes[it.name], units)}, "
        f"not {size_said(it.unit, one.sizes[it.name], units)}."
        for one, other in zip(before, after, strict=True)
        for it in part_dimensions(other)
        if one.sizes[it.name] != other.sizes[it.name]
    )


def block_again(condition: str, putts: int, before: str, after: str) -> str:
    """A block: what was said of it, and what is said with the sizes put right."""
    return _again(f"{condition}, {counted(putts, 'putt')}", before, after)


def series_again(link: str, set_downs: int, before: str, after: str) -> str:
    """The same of a series of set-downs."""
    return _again(f"{link}, {counted(set_downs, 'set_down')}", before, after)


def eyes_again(set_up: str, looks: int, before: str, after: str) -> str:
    """The same of the looks of a set-up."""
    return _again(f"eyes, {set_up or 'as usual'}, {counted(looks, 'look')}", before, after)


def _again(read: str, before: str, after: str) -> str:
    where = f"{read[0].upper()}{read[1:]}"
    return f"{where}: as before. {after}" if before == after else f"{where}: {after} It said: {before}"


def superseded_words(made: date, sizes: Sequence[str]) -> str:
    """What a sheet says above everything else where sizes were put right: an older print says otherwise."""
    return f"Put right on {day_in_figures(made)}: {' '.join(sizes)} A sheet printed before that no longer holds."


def _dimension(name: str, it: EntryWords) -> Dimension:
    unit = cast("DimensionUnit", it.unit)
    return Dimension(name, it.label, it.low, it.high, it.low, it.step, it.hint, unit)
