"""The green: the slope that level readings tell, and which starts of a putt drop."""

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ..core.drawing.scene import Scene
from ..core.green.capture import Capture
from ..core.green.putt import Putt
from ..core.green.slope import LevelReading, Slope, fall_line
from .shapes import Entry, InUnits

router = APIRouter(prefix="/green", tags=["green"])


class LevelReadingIn(Entry):
    azimuth_deg: float = Field(description="where the level points, clockwise from the line", examples=[90])
    falls_percent: float = Field(description="how much it falls that way, percent", examples=[0.8])


class LevelsIn(Entry):
    readings: list[LevelReadingIn] = Field(max_length=40)


class SlopeOut(BaseModel):
    slope: Slope
    words: str


class PuttIn(Entry):
    """A putt. Lengths in m."""

    distance_m: float = Field(description="ball to the hole's centre, 0.3 to 15 m", examples=[2.5])
    past_m: float = Field(description="how far past the hole it would run, m", examples=[0.3])
    stimp_ft: float = Field(description="green speed, ft, 4 to 16", examples=[10.0])
    capture: Capture = "rim_assisted"
    falls_forward_percent: float = Field(default=0, description="slope along the line, downhill to the hole positive")
    falls_right_percent: float = Field(default=0, description="slope across the line, falling to the right positive")


@router.post("/slope")
def slope(entry: LevelsIn) -> SlopeOut:
    """The slope that level readings tell."""
    found = fall_line([LevelReading(it.azimuth_deg, it.falls_percent) for it in entry.readings])
    return SlopeOut(slope=found, words=found.words)


@router.post("/drops")
def drops(entry: PuttIn, units: InUnits = "metric") -> Scene:
    """A map of start angle by pace: which starts drop."""
    return Putt(**entry.model_dump()).drops(units)
