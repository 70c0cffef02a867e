"""An arc along the stroke, seen from above: what curved rails and printed paths share."""

from dataclasses import dataclass

from .aid import dimension
from .guide_rail import GuideRail

_STEPS = 24


@dataclass(frozen=True)
class Arc(GuideRail):
    """Curved towards the golfer to either side of the ball."""

    radius_m: float = dimension(
        "Radius of the arc",
        low=0.5,
        high=8.0,
        default=2.0,
        step=0.1,
        hint="A straighter stroke, a larger one.",
    )

    def arc_mm(self, off_m: float) -> tuple[tuple[float, float], ...]:
        """The arc that lies so far beyond the line beside the ball, m, right of it for a right-handed golfer."""
        span = self.back_m + self.through_m
        along = [-self.back_m + span * n / _STEPS for n in range(_STEPS + 1)]
        return tuple((x * 1000, (off_m - x * x / (2 * self.radius_m)) * 1000) for x in along)
