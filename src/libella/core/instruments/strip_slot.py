"""A light and dark strip seen through a slot."""

from dataclasses import dataclass
from typing import ClassVar

from .aid import About, dimension
from .light_strip import Device, LightStrip, strip_about


@dataclass(frozen=True)
class StripSlot(LightStrip):
    """From straight over it only light is seen; eyes inside look across the slot to the far edge."""

    wide_m: float = dimension(
        "Width of bar or slot", low=0.002, high=0.1, default=0.016, step=0.001, hint="Across the line."
    )
    light_m: float = dimension(
        "Width of the light", low=0.001, high=0.1, default=0.02, step=0.001, hint="Between the strip's dark edges."
    )

    device: ClassVar[Device] = "slot"

    about: ClassVar[About] = strip_about(
        "strip_slot",
        "Strip through a slot",
        "strip through a slot",
        "Over the ball, the sighting eye open: which dark edge is seen through the slot? The far one: eyes inside.",
    )
