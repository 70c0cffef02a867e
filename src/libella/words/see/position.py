"""A position of the head or the ball, in words."""

from ...core.measure.units import Units, tape
from ...core.see.position import LEVERS, Position


def position_words(position: Position, units: Units) -> str:
    """>>> position_words({"inside": 20.0, "chin": -5.0}, "metric")
    '20 mm further in, 5° chin tucked'
    """
    said: list[str] = []
    for lever, value in position.items():
        about = LEVERS[lever]
        size = tape(abs(value) / 1000, units) if about.unit == "mm" else f"{abs(value):g}°"
        said.append(f"{size} {about.way(plus=value > 0)}")
    return ", ".join(said) or "as usual"
