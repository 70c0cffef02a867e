"""What the hole allows about a start line."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Window:
    """Largest start errors that still hole the putt, both positive, degrees left and right of the true start line.

    `off_deg`: where the true start line lies from the start target, right positive; not 0 when the coach's own read is
    the target and differs from the computed aim.
    """

    left_deg: float
    right_deg: float
    off_deg: float = 0.0

    @property
    def low_deg(self) -> float:
        """The left end, against the start target."""
        return self.off_deg - self.left_deg

    @property
    def high_deg(self) -> float:
        """The right end, against the start target."""
        return self.off_deg + self.right_deg

    @property
    def half_deg(self) -> float:
        """Half its span, by which the size of a bias is weighed about the start target."""
        return (self.left_deg + self.right_deg) / 2

    @property
    def narrow_deg(self) -> float:
        """The smaller side: what a rig has to resolve."""
        return min(self.left_deg, self.right_deg)
