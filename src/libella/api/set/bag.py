"""The coach's bag, the opinions that size a rig, and the kit check."""

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.golfer.level import LEVELS, Level
from ...core.instruments.rig import LOOSE, STRICT
from ...core.set.kit import PARTS
from ...core.set.kit_drawn import most_taken, part_picture
from ...lessons.set import bag
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, Entry, Words40, Words80
from ..lesson.lessons import LessonOut

router = Router(tags=["bag"])


class BagOut(BaseModel):
    """What is in the bag; `told` is false until the coach has said, and then everything counts as there."""

    told: bool
    parts: dict[str, int] = Field(description="how many of every part there is")
    names: dict[str, str] = Field(description="what every part is called")
    pictures: dict[str, Scene] = Field(description="every part, drawn small")
    most: dict[str, int] = Field(description="how many of it an instrument takes at most: of one there is no count")


class BagIn(Entry):
    parts: dict[Words40, int] = Field(max_length=60, examples=[{"peg": 4, "ball": 12}])


class BandOut(BaseModel):
    """What strictness suits a level: an opinion, which the coach may change."""

    level: Level
    name: str
    spread_deg: float = Field(description="start-line spread expected")
    usual_deg: float
    strict_deg: float = Field(description="a gate this strict still tells something")
    loose_deg: float = Field(description="and one as loose as this")


class BandsIn(Entry):
    spreads_deg: dict[Level, float] = Field(description="own opinions; a level left out goes back to the usual")


class TicksIn(Entry):
    ticked: list[Words80] = Field(max_length=200)


@router.get("/bag")
def own(desk: AtDesk) -> BagOut:
    """What is in the bag."""
    return _bag(bag.bag(desk))


@router.put("/bag")
def keep(desk: AtDesk, entry: BagIn) -> BagOut:
    """Say what is in the bag."""
    return _bag(bag.keep_bag(desk, entry.parts))


@router.delete("/bag")
def forget(desk: AtDesk) -> BagOut:
    """Forget it: everything counts as there again."""
    return _bag(bag.keep_bag(desk, None))


@router.get("/bands")
def bands(desk: AtDesk) -> list[BandOut]:
    """Strictness by golfer's level."""
    return _bands(bag.spreads(desk))


@router.put("/bands")
def keep_bands(desk: AtDesk, entry: BandsIn) -> list[BandOut]:
    """Say what strictness suits which level."""
    return _bands(bag.keep_spreads(desk, entry.spreads_deg))


@router.put("/lessons/{id}/kit")
def tick(desk: AtDesk, id: UUID, entry: TicksIn) -> LessonOut:
    """Keep which items of the kit check are ticked."""
    return LessonOut.model_validate(bag.tick_kit(desk, id, entry.ticked))


def _bag(told: dict[str, int] | None) -> BagOut:
    return BagOut(
        told=told is not None,
        parts={part: (told or {}).get(part, 0) for part in PARTS},
        names={part: it.name for part, it in PARTS.items()},
        pictures={part: part_picture(part) for part in PARTS},
        most={part: most_taken(part) for part in PARTS},
    )


def _bands(spreads: dict[Level, float]) -> list[BandOut]:
    return [
        BandOut(
            level=level,
            name=it.name,
            spread_deg=spreads[level],
            usual_deg=it.spread_deg,
            strict_deg=STRICT * spreads[level],
            loose_deg=LOOSE * spreads[level],
        )
        for level, it in LEVELS.items()
    ]
