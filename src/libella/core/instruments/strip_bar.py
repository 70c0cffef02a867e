"""A light and dark strip under a bar."""

from dataclasses import dataclass
from typing import ClassVar

from .aid import About
from .light_strip import Device, LightStrip, strip_about


@dataclass(frozen=True)
class StripBar(LightStrip):
    """From straight over it the bar just hides the dark edges; eyes inside uncover the near one."""

    device: ClassVar[Device] = "bar"

    about: ClassVar[About] = strip_about(
        "strip_bar",
        "Strip under a bar",
        "strip under a bar",
        "Over the ball, the sighting eye open: which dark edge comes out under the bar? The near one: eyes inside.",
    )
