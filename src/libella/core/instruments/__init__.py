"""Instruments: one file each, found by the registry."""

from .registry import instrument, instruments, lay
from .rig import MEASURES_WORDS, About, Dimension, Measures, Raw, Remedy, Rig, Sight, Zone

__all__ = [
    "MEASURES_WORDS",
    "About",
    "Dimension",
    "Measures",
    "Raw",
    "Remedy",
    "Rig",
    "Sight",
    "Zone",
    "instrument",
    "instruments",
    "lay",
]
