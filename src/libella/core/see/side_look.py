"""Looks that tell on which side the eyes are, and little of how far: a string over the ball, a strip that darkens."""

import math
from dataclasses import dataclass, field
from typing import Final, Literal

from ..instruments.light_strip import TURNS, USUAL_TURNS_M, Device, Strip, strip_interval
from ..instruments.string_sight import eyes_from_cover
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits
from ..opinions.held import Opinion

LEAN: Final = Bounds(-20.0, 20.0, "deg")
SideWay = Literal["string", "strip"]
Covers = Literal["splits", "quarter", "edge", "off"]
_COVERS: Final[dict[Covers, tuple[float, float]]] = {
    "splits": (0.0, 0.25), "quarter": (0.25, 0.75), "edge": (0.75, 1.0), "off": (1.0, math.inf),
}  # fmt: skip
"""Where an upright string seems to lie on the ball, in ball radii from its centre."""
Against = Literal["ball", "ball_line", "putter_line"]
PUTTER_LINE: Final = Opinion("putter_line_height", 25.0, "mm")
"""How high over the ground the line on a putter is seen."""
SPLIT: Final = Opinion("string_splits", 1.5, "mm")
"""A string this near to a line on the ball or the putter is seen to split it."""


@dataclass(frozen=True, slots=True)
class StringLook:
    """What the sighting eye sees an upright string over the line cover: of the ball, at the height of its centre; or of
    the line on the ball or on the putter, which it splits or passes on one side (`edge` and `quarter` are the ball's).

    It tells the side well, the size poorly (`string_sight.eyes_from_cover`). A string whose posts lean hangs beside the
    line; it is read as it was laid.
    """

    covers: Covers
    side: Literal["outside", "inside"] = "outside"
    string_height_m: float = 0.3
    eye_height_m: float = 1.45
    way: SideWay = "string"
    lean_deg: float = 0.0
    """Of posts planted on the line, towards the golfer positive."""
    against: Against = "ball"

    def __post_init__(self) -> None:
        if self.against != "ball" and self.covers not in ("splits", "off"):
            raise OutOfLimits("covers", "string_splits_or_off", named=self.covers)
        LEAN.check("lean_deg", "lean_deg", self.lean_deg)
        self.inside_mm  # noqa: B018  refuses heights that can't be

    @property
    def inside_mm(self) -> Interval:
        """The sighting eye inside the line: seen covering a line outside, the eye is inside."""
        near, far = _COVERS[self.covers]
        if self.against != "ball":
            split = SPLIT() / 1000 / (BALL_M / 2)
            near, far = (0.0, split) if self.covers == "splits" else (split, math.inf)
        if self.covers == "splits":
            near = -far
        elif self.side == "inside":
            near, far = -far, -near
        return Interval(self._eye_mm(near), self._eye_mm(far))

    def _eye_mm(self, radii: float) -> float:
        """The eye that sees it cover a place so many ball radii outside the ball's centre."""
        if math.isinf(radii):
            return radii
        half = BALL_M / 2
        hung = self.string_height_m * math.tan(math.radians(self.lean_deg))
        at_m = half if self.against == "ball" else BALL_M
        if self.against == "putter_line":
            at_m = PUTTER_LINE() / 1000
        seen = eyes_from_cover(radii * half + hung, at_m, self.eye_height_m, self.string_height_m)
        return (hung + seen) * 1000


@dataclass(frozen=True, slots=True)
class StripLook:
    """A strip on the line that looks light from over it, and dark from further than `turns_m` to either side.

    Two devices read oppositely: see `light_strip`. Near is the golfer's side.
    """

    device: Device
    seen: Strip
    turns_m: float = field(default_factory=USUAL_TURNS_M)
    way: SideWay = "strip"
    zero_m: float = 0.0
    """How far inside it shows an eye by itself, and what is not known of that, m; as it was checked."""
    doubt_m: float = 0.0

    def __post_init__(self) -> None:
        TURNS.check("turns_m", "turns_m", self.turns_m)

    @property
    def inside_mm(self) -> Interval:
        it = strip_interval(self.device, self.seen, self.turns_m).shifted(-self.zero_m * 1000)
        return Interval(it.low - self.doubt_m * 1000, it.high + self.doubt_m * 1000)


SideLook = StringLook | StripLook
