"""Instruments: what each is, its dimensions with units and limits, its cautions."""

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ..core.drawing.scene import Scene
from ..core.golfer import Hand
from ..core.instruments import MEASURES_WORDS, About, Dimension, Zone, instruments
from ..core.station import Station
from ..core.string_sight import StringSight
from ..core.wording import Units
from .shapes import Entry, InUnits

router = APIRouter(prefix="/instruments", tags=["instruments"])


class InstrumentOut(BaseModel):
    """An instrument of the registry."""

    about: About
    measures: str = Field(description="what it measures, in words")
    dimensions: list[Dimension]
    picture: Scene = Field(description="as usually laid out")


class ZoneOut(BaseModel):
    """One reading a tap can record, with the start error it stands for (degrees, None where open)."""

    name: str
    raw: dict[str, float | str]
    key: str | None
    low_deg: float | None
    high_deg: float | None
    at_deg: float
    left_mm: float
    right_mm: float


class EntryPicture(BaseModel):
    """The picture readings are taken on, and its zones from left to right."""

    kind: str
    entry: str
    picture: Scene
    zones: list[ZoneOut]


@router.get("")
def all_instruments(units: InUnits = "metric") -> list[InstrumentOut]:
    """Every instrument, by name."""
    return [
        InstrumentOut(
            about=it.about,
            measures=MEASURES_WORDS[it.about.measures],
            dimensions=list(it.dimensions()),
            picture=it.laid({}).picture(units),
        )
        for it in instruments().values()
    ]


class StringIn(Entry):
    """A string over the line, and the sighting eye. Lengths in m."""

    eyes_inside_m: float = Field(description="towards the golfer positive", examples=[0.03])
    eye_height_m: float = Field(examples=[1.5])
    string_height_m: float = Field(examples=[0.2])
    hand: Hand = "right"


class StringOut(BaseModel):
    words: tuple[str, ...]
    shift_inside_m: float
    lean_about_ball_deg: float
    lean_planted_deg: float
    scene: Scene


@router.post("/string")
def string(entry: StringIn, units: InUnits = "metric") -> StringOut:
    """What an upright string covers for these eyes, and what makes it true."""
    sight = StringSight(entry.eyes_inside_m, entry.eye_height_m, entry.string_height_m)
    return StringOut(
        words=sight.words(units),
        shift_inside_m=sight.shift_inside_m,
        lean_about_ball_deg=sight.lean_about_ball_deg,
        lean_planted_deg=sight.lean_planted_deg,
        scene=sight.from_behind(entry.hand, units),
    )


def entry_picture(station: Station, units: Units) -> EntryPicture:
    """The entry picture of a station's rig, with what each zone says there."""
    rig = station.rig
    return EntryPicture(
        kind=rig.about.kind,
        entry=rig.about.entry,
        picture=rig.picture(units),
        zones=[_zone(it) for it in station.zones(units)],
    )


def _zone(zone: Zone) -> ZoneOut:
    it = zone.interval
    left, right = zone.span_mm
    return ZoneOut(
        name=zone.name,
        raw=dict(zone.raw),
        key=zone.key,
        low_deg=it.low_or_none,
        high_deg=it.high_or_none,
        at_deg=it.anchor,
        left_mm=left,
        right_mm=right,
    )
