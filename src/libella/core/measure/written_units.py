"""Units in which people write what they measured: one entry each, for files and for what is typed."""

import math
from dataclasses import dataclass
from typing import Final, Literal

from .constants import FOOT_M, INCH_M

Measured = Literal["angle", "length", "time", "slope"]


@dataclass(frozen=True, slots=True)
class WrittenUnit:
    """What it measures, how much it is of the unit kept (deg, m, s, %), and how else people write it."""

    of: Measured
    size: float
    also: tuple[str, ...] = ()


WRITTEN: Final[dict[str, WrittenUnit]] = {
    "deg": WrittenUnit("angle", 1.0, ("°", "degs", "degree", "degrees")),
    "rad": WrittenUnit("angle", 180 / math.pi, ("radian", "radians")),
    "mrad": WrittenUnit("angle", 0.18 / math.pi),
    "m": WrittenUnit("length", 1.0, ("metre", "metres", "meter", "meters")),
    "cm": WrittenUnit("length", 0.01, ("centimetre", "centimetres", "centimeter", "centimeters")),
    "mm": WrittenUnit("length", 0.001, ("millimetre", "millimetres", "millimeter", "millimeters")),
    "in": WrittenUnit("length", INCH_M, ("inch", "inches", '"')),
    "ft": WrittenUnit("length", FOOT_M, ("foot", "feet", "'")),
    "yd": WrittenUnit("length", 3 * FOOT_M, ("yard", "yards", "yds")),
    "s": WrittenUnit("time", 1.0, ("sec", "secs", "second", "seconds")),
    "ms": WrittenUnit("time", 0.001, ("msec", "milliseconds")),
    "%": WrittenUnit("slope", 1.0, ("percent", "pct")),
}


def unit_written(word: str) -> str:
    """A unit by its own name, from how somebody wrote it in small letters; empty for what is none."""
    if word in WRITTEN:
        return word
    return next((name for name, it in WRITTEN.items() if word in it.also), "")


def sizes_of(measured: str) -> dict[str, float]:
    """Units of a quantity, each with how much it is of the one kept, by their own names."""
    return {name: it.size for name, it in WRITTEN.items() if it.of == measured}


def lengths_written() -> dict[str, float]:
    """Metres of every way to write a unit of length."""
    lengths = {name: it for name, it in WRITTEN.items() if it.of == "length"}
    return {word: it.size for name, it in lengths.items() for word in (name, *it.also)}
