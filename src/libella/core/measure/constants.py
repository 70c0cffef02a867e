"""Fixed sizes and physical constants of the job (SI units)."""

from typing import Final

BALL_M: Final = 0.04267
"""Diameter of the ball, m."""
HOLE_M: Final = 0.108
"""Diameter of the hole, m."""
GRAVITY_M_S2: Final = 9.81
RAMP_SPEED_M_S: Final = 1.83
"""Speed at which the green-speed ramp releases the ball, m/s."""
FOOT_M: Final = 0.3048
INCH_M: Final = 0.0254
