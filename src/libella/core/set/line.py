"""The line as laid: what a proof belongs to, and falls with."""

import math
from dataclasses import dataclass
from typing import Final, Literal

Part = Literal["length", "slope", "target", "rig"]
_SAME: Final = 1e-6


@dataclass(frozen=True, slots=True)
class LaidLine:
    """What was proved.

    Parameters
    ----------
    distance_m : ball to hole
    falls_forward_percent, falls_right_percent : the slope under it
    start_deg : where it leaves for, right of the hole's centre
    rig_kind, rig_at_m, across_m : what stands on it, how far from the ball, and how far right of it on purpose
    """

    distance_m: float
    falls_forward_percent: float
    falls_right_percent: float
    start_deg: float
    rig_kind: str
    rig_at_m: float
    across_m: float

    def changes(self, now: "LaidLine") -> tuple[Part, ...]:
        """Which parts of it are others now, the most telling first; empty where it is the same line still."""
        found: list[Part] = []
        if not _same(self.distance_m, now.distance_m):
            found.append("length")
        if not (
            _same(self.falls_forward_percent, now.falls_forward_percent)
            and _same(self.falls_right_percent, now.falls_right_percent)
        ):
            found.append("slope")
        # Another slope or length starts elsewhere by itself.
        if not found and not _same(self.start_deg, now.start_deg):
            found.append("target")
        same_rig = self.rig_kind == now.rig_kind and _same(self.rig_at_m, now.rig_at_m)
        if not (same_rig and _same(self.across_m, now.across_m)):
            found.append("rig")
        return tuple(found)

    def only_hole_moved(self, now: "LaidLine") -> bool:
        """Only the hole was moved, along it: what lies there points where it pointed."""
        return self.changes(now) == ("length",) and _same(self.start_deg, now.start_deg)


def _same(one: float, other: float) -> bool:
    return math.isclose(one, other, rel_tol=0, abs_tol=_SAME)
