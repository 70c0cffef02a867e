"""How much is enough to matter: one table for everything that is judged (handbook 5)."""

from dataclasses import dataclass
from typing import Final, Literal

from ..opinions.held import Opinion


@dataclass(frozen=True, slots=True)
class Matter:
    """From what size on something matters, and under what size there is nothing to mend; both in `unit`."""

    matters_from: float
    nothing_under: float
    unit: Literal["putts_in_100", "deg", "mm", "m"]

    @property
    def by_cost(self) -> bool:
        """It is weighed by the putts it costs."""
        return self.unit == "putts_in_100"


_PUTTS: Final = Matter(2.0, 5.0, "putts_in_100")
MATTERS: Final = Opinion[dict[str, Matter]](
    "matters",
    {
        "start": _PUTTS,
        "face_aim": _PUTTS,
        "ball_mark": _PUTTS,
        "to_mark": _PUTTS,
        "delivery": _PUTTS,
        "path": _PUTTS,
        "gain": _PUTTS,
        "growth": _PUTTS,
        "difference": _PUTTS,
        "share": Matter(10.0, 10.0, "putts_in_100"),
        "looks_straight": Matter(0.5, 0.5, "deg"),
        "body_line": Matter(1.0, 1.0, "deg"),
        "eyes_outside_zone": Matter(5.0, 5.0, "mm"),
        "strike": Matter(3.0, 3.0, "mm"),
        "roll_past": Matter(0.15, 0.15, "m"),
    },
    "",
)
"""Every quantity that is judged. Eyes without a school's zone are never judged: place and interval only."""
