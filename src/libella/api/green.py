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
    distance_m: float
    past_m: float
    stimp_ft: float
    capture: Capture = "rim_assisted"
    falls_forward_percent: float = 0
    falls_right_percent: float = 0


@router.post("/slope")
def slope(entry: LevelsIn) -> SlopeOut:
    """The slope that level readings tell."""
    found = fall_line([LevelReading(it.azimuth_deg, it.falls_percent) for it in entry.readings])
    return SlopeOut(slope=found, words=found.words)


@router.post("/drops")
def drops(entry: PuttIn, units: InUnits = "metric") -> Scene:
    """A map of start angle by pace: which starts drop."""
    return Putt(**entry.model_dump()).drops(units)
