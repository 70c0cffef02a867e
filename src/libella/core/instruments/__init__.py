"""Instruments: one file each, found by the registry."""

from .aid import QUANTITIES, About, Aid, Dimension, Measures, Quantity, Raw, Solid, Zone, between
from .registry import instrument, instruments, lay, usual_place, usual_sizes
from .rig import Remedy, Rig, Sight

__all__ = [
    "QUANTITIES",
    "About",
    "Aid",
    "Dimension",
    "Measures",
    "Quantity",
    "Raw",
    "Remedy",
    "Rig",
    "Sight",
    "Solid",
    "Zone",
    "between",
    "instrument",
    "instruments",
    "lay",
    "usual_place",
    "usual_sizes",
]
