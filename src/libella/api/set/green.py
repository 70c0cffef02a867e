"""The green: the slope that level readings tell, and which starts of a putt drop."""

from typing import Literal

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.green.capture import Capture
from ...core.green.putt import Putt, Target
from ...core.green.read import GolferSays, Place, Read, Side
from ...core.green.slope import LevelReading, Slope, TrialRoll, fall_line, rolled_slope
from ...core.measure.limits import OutOfLimits
from ...words.set.green import slope_words
from ..base.router import Router
from ..base.shapes import Entry, InUnits

router = Router(prefix="/green", tags=["green"])


class LevelReadingIn(Entry):
    azimuth_deg: float = Field(description="where the level points, clockwise from the line", examples=[90])
    falls_percent: float = Field(description="how much it falls that way, percent", examples=[0.8])


class LevelsIn(Entry):
    readings: list[LevelReadingIn] = Field(max_length=40)


class SlopeOut(BaseModel):
    slope: Slope
    words: str


class RollIn(Entry):
    way: Literal["out", "back"] = Field(description="towards the hole, or from it")
    length_m: float = Field(description="how far it rolled along the line", examples=[3.2])
    drift_m: float = Field(description="where it stopped, to the right as rolled positive", examples=[0.08])


class RollsIn(Entry):
    """Test rolls along the line, all sent off alike."""

    rolls: list[RollIn] = Field(max_length=40)
    green_speed_ft: float = Field(ge=4, le=16)


class ReadIn(Entry):
    """A coach's read: where beside the hole the putt is to be started at."""

    place: Place = "centre"
    side: Side = "left"
    outside_m: float = Field(default=0, description="how far outside the edge, m", examples=[0.05])

    def read(self) -> Read:
        try:
            return Read(**self.model_dump())
        except OutOfLimits as fault:
            raise fault.at(f"read.{fault.field}") from None


class GolferSaysIn(Entry):
    """What the golfer makes of the green: a read, and the slope as felt by foot."""

    read: ReadIn | None = None
    falls_forward_percent: float | None = Field(default=None, description="downhill to the hole positive")
    falls_right_percent: float | None = Field(default=None, description="falling to the right positive")

    def says(self) -> GolferSays:
        try:
            read = self.read.read() if self.read else None
            return GolferSays(read, self.falls_forward_percent, self.falls_right_percent)
        except OutOfLimits as fault:
            raise fault.at(f"golfer_says.{fault.field}") from None


class PuttIn(Entry):
    """A putt. Lengths in m."""

    distance_m: float = Field(description="ball to the hole's centre, 0.3 to 15 m", examples=[2.5])
    past_m: float = Field(description="how far past the hole it would run, m", examples=[0.3])
    green_speed_ft: float = Field(description="green speed, ft, 4 to 16", examples=[10.0])
    capture: Capture = "rim_assisted"
    falls_forward_percent: float = Field(default=0, description="slope along the line, downhill to the hole positive")
    falls_right_percent: float = Field(default=0, description="slope across the line, falling to the right positive")
    falls_doubt_percent: float = Field(default=0, description="standard error of the slope; 0 where not found out")
    read: ReadIn | None = Field(default=None, description="the coach's own read")
    target: Target = Field(default="computed", description="what the putt is started at, and errors counted from")

    def putt(self) -> Putt:
        """The putt in terms of core."""
        return Putt(
            distance_m=self.distance_m,
            past_m=self.past_m,
            green_speed_ft=self.green_speed_ft,
            capture=self.capture,
            falls_forward_percent=self.falls_forward_percent,
            falls_right_percent=self.falls_right_percent,
            falls_doubt_percent=self.falls_doubt_percent,
            read=self.read.read() if self.read else None,
            target=self.target,
        )


@router.post("/slope")
def slope(entry: LevelsIn) -> SlopeOut:
    """The slope that level readings tell."""
    found = fall_line([LevelReading(it.azimuth_deg, it.falls_percent) for it in entry.readings])
    return SlopeOut(slope=found, words=slope_words(found))


@router.post("/rolls")
def rolls(entry: RollsIn) -> SlopeOut:
    """The slope that test rolls both ways tell."""
    found = rolled_slope([TrialRoll(it.way, it.length_m, it.drift_m) for it in entry.rolls], entry.green_speed_ft)
    return SlopeOut(slope=found, words=slope_words(found))


@router.post("/drops")
def drops(entry: PuttIn, units: InUnits = "metric") -> Scene:
    """A map of start angle by pace: which starts drop."""
    return entry.putt().drops(units)
