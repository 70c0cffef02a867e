"""Instruments: what each is, its dimensions with units and limits, its cautions."""

from collections.abc import Sequence

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.instruments import (
    About,
    Aid,
    Dimension,
    Quantity,
    Zone,
    between,
    instruments,
    lay,
    usual_place,
    usual_sizes,
)
from ...core.instruments.likeness import likeness
from ...core.instruments.string_sight import StringSight, eyes_from_cover
from ...core.keep.caution import Case
from ...core.measure.side import Side
from ...core.measure.units import Units, about
from ...words.keep.caution import cautions_said
from ...words.set.string import string_words
from ..base.router import Router
from ..base.shapes import Entry, InUnits, Words40

router = Router(prefix="/instruments", tags=["instruments"])


class InstrumentOut(BaseModel):
    """An instrument of the registry."""

    about: About
    quantity: Quantity = Field(description="what it measures")
    dimensions: list[Dimension]
    picture: Scene = Field(description="as it stands there, to be known by its shape")
    cautions: list[str] = Field(description="what to mind with it, laid by itself")
    has_heights: bool = Field(description="its height above the ground is worth a view from the side")
    usual: int = Field(description="its place among its like, the usual ones first: an opinion")


class ZoneOut(BaseModel):
    """One reading a tap can record, with what it stands for (None where open), in the picture's unit."""

    name: str
    raw: dict[str, float | str]
    key: str | None
    low: float | None
    high: float | None
    at: float
    side: Side
    meaning: str
    left_mm: float
    right_mm: float


class EntryPicture(BaseModel):
    """The picture readings are taken on, and its zones from left to right."""

    kind: str
    entry: str
    slides: str = Field(description="what is found by sliding along its marks; empty where it is tapped")
    unit: str
    picture: Scene
    zones: list[ZoneOut]


@router.get("")
def all_instruments(units: InUnits = "metric") -> list[InstrumentOut]:
    """Every instrument, by name."""
    return [
        InstrumentOut(
            about=it.about,
            quantity=it.about.quantity,
            dimensions=list(it.dimensions(units)),
            picture=likeness(laid, units),
            cautions=cautions_said(Case("laid", (it.about,))),
            has_heights=laid.has_heights,
            usual=usual_place(it.about.kind),
        )
        for it in instruments().values()
        for laid in (it.laid(usual_sizes(it.about.kind, {}, units)),)
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
        words=string_words(sight, units),
        shift_inside_m=sight.shift_inside_m,
        lean_about_ball_deg=sight.lean_about_ball_deg,
        lean_planted_deg=sight.lean_planted_deg,
        scene=sight.from_behind(entry.hand, units),
    )


class CoverIn(Entry):
    """What an upright string was seen covering. Lengths in m."""

    covers_outside_m: float = Field(ge=-0.3, le=0.3, description="beside the line, away from the golfer positive")
    height_m: float = Field(description="at which height: 0 on the ground", examples=[0.0])
    eye_height_m: float = Field(examples=[1.5])
    string_height_m: float = Field(examples=[0.2])
    seen_to_m: float = Field(default=0.002, ge=0, le=0.05, description="how finely it was seen")


class EyesOut(BaseModel):
    words: str
    eyes_inside_m: float
    doubt_m: float


@router.post("/string/eyes")
def eyes(entry: CoverIn, units: InUnits = "metric") -> EyesOut:
    """The reverse: where the sighting eye is, by what the string covers."""
    heights = entry.height_m, entry.eye_height_m, entry.string_height_m
    found = eyes_from_cover(entry.covers_outside_m, *heights)
    doubt = eyes_from_cover(entry.seen_to_m, *heights)
    known = f"known to ± {about(doubt, 0.0, units)} when the cover is seen to {about(entry.seen_to_m, 0.0, units)}"
    if abs(found) <= doubt:
        said = f"The eye is over the line, as far as this tells: {known}."
    else:
        side = "inside" if found > 0 else "outside"
        said = (
            f"The eye is about {about(found, doubt, units)} {side} the line, {known}. The side is sure, the size less."
        )
    return EyesOut(words=said, eyes_inside_m=found, doubt_m=doubt)


class LayIn(Entry):
    """An instrument by itself."""

    kind: Words40
    sizes: dict[Words40, float] = Field(default_factory=dict, max_length=20)


@router.post("/entry")
def entry(laid: LayIn, units: InUnits = "metric") -> EntryPicture:
    """How an instrument is read, by itself: its picture, its zones and what each stands for; keeps nothing."""
    aid = lay(laid.kind, usual_sizes(laid.kind, laid.sizes, units))
    return entry_picture(aid, aid.zones(units), aid.picture(units), units)


def entry_picture(aid: Aid, zones: Sequence[Zone], picture: Scene, units: Units) -> EntryPicture:
    """The entry picture of an instrument, with what each of these zones says."""
    return EntryPicture(
        kind=aid.about.kind,
        entry=aid.about.entry,
        slides=aid.about.slides,
        unit=aid.about.quantity.unit,
        picture=picture,
        zones=[_zone(it, between(it.interval, aid.about.quantity, units)) for it in zones],
    )


def _zone(zone: Zone, meaning: str) -> ZoneOut:
    it = zone.interval
    left, right = zone.span_mm
    return ZoneOut(
        name=zone.name,
        raw=dict(zone.raw),
        key=zone.key,
        low=it.low_or_none,
        high=it.high_or_none,
        at=it.anchor,
        side=it.side,
        meaning=meaning,
        left_mm=left,
        right_mm=right,
    )
