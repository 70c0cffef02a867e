"""Instruments: one file each, found by the registry."""

from .registry import instrument, instruments, lay
from .rig import About, Dimension, Raw, Remedy, Rig, Sight, Zone

__all__ = ["About", "Dimension", "Raw", "Remedy", "Rig", "Sight", "Zone", "instrument", "instruments", "lay"]
