"""An angle said in every way, in words."""

from typing import Final

from ...core.keep.convert import Converted, Way
from ...core.measure.side import side_of

WAY_NAMES: Final[dict[Way, str]] = {
    "deg": "degrees",
    "minutes": "minutes of the clock",
    "mm": "millimetres across",
    "in": "inches across",
    "edges": "hole edges from its centre",
    "cups": "hole widths",
    "steps": "steps across",
}
_FINE: Final[dict[Way, int]] = {"deg": 2, "minutes": 2, "mm": 0, "in": 1, "edges": 1, "cups": 2, "steps": 2}


def amount_said(it: Converted, way: Way) -> str:
    """One way of it, as finely as it is ever laid, with its side: "Degrees: 0.96 right"."""
    size = round(abs(it.amounts[way]), _FINE[way])
    side = "" if size == 0 else f" {side_of(it.amounts[way])}"
    name = WAY_NAMES[way]
    return f"{name[0].upper()}{name[1:]}: {size:g}{side}"
