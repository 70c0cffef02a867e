"""Sizes put right after something was read with them, in words."""

from collections.abc import Sequence
from datetime import date
from typing import Final

from ...core.instruments.aid import Aid, size_said
from ...core.measure.units import Units
from ...core.set.station import Station
from ..shared.counts import counted
from ..shared.days import day_in_figures
from ..shared.inside import inside

NOTHING_READ: Final = "Nothing was read with it: only the plan changes."
"""What is told where no block of the plan has a putt."""


def put_right_words(before: Station, after: Station, units: Units) -> tuple[str, ...]:
    """What stands there and what stood there, a size each: "Gate of pegs: inside width 66 mm, not 60 mm." """
    laid = zip((before.rig, *before.aids), (after.rig, *after.aids), strict=True)
    return tuple(line for one, other in laid for line in sizes_words(one, other, units))


def sizes_words(before: Aid, after: Aid, units: Units) -> Sequence[str]:
    """Of one instrument."""
    stood, stands = before.sizes(), after.sizes()
    return [
        f"{after.about.name}: {inside(it.label)} {size_said(it.unit, stands[it.name], units)}, "
        f"not {size_said(it.unit, stood[it.name], units)}."
        for it in after.dimensions()
        if stood[it.name] != stands[it.name]
    ]


def again_words(condition: str, putts: int, before: str, after: str) -> str:
    """A block, what was said of it, and what is said with the sizes put right."""
    where = f"{condition[0].upper()}{condition[1:]}, {counted(putts, 'putt')}"
    return f"{where}: as before. {after}" if before == after else f"{where}: {after} It said: {before}"


def superseded_words(made: date, sizes: Sequence[str]) -> str:
    """What a sheet says above everything else where sizes were put right: an older print says otherwise."""
    return f"Put right on {day_in_figures(made)}: {' '.join(sizes)} A sheet printed before that no longer holds."
