"""The perception map: what moves the looks-straight angle, and the smallest playable change."""

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.see.map import Change
from ...core.see.place_drawn import PlaceDrawn, place_drawn
from ...core.see.position import LEVERS
from ...lessons.aim.picture import aim_question_of
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.see import maps
from ...words.aim.picture import PictureWords, picture_words
from ...words.see.map import MapWords, map_words
from ...words.see.position import position_words
from ...words.see.straight import sight_words
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits, as_kept

router = Router(tags=["perception map"])


class LeverOut(BaseModel):
    """A lever that can be moved from the usual set-up."""

    lever: str
    name: str
    unit: str
    plus: str
    minus: str
    reach: float
    step: float


class PlaceOut(BaseModel):
    """A test on the map: where, what it found, how it felt."""

    id: UUID
    where: str
    position: dict[str, float]
    headline: str
    tells: bool
    playable: bool
    comfort: int | None
    trust: int | None


class MapOut(BaseModel):
    """The map of a lesson."""

    words: MapWords
    scene: Scene
    places: list[PlaceOut]
    left_out: int = Field(description="shown tests asked under other conditions")
    next: dict[str, float] | None = Field(description="levers to move for the test worth asking next")
    change: Change | None = Field(description="asked there again and still likely truer; None before")
    aim: PictureWords


@router.get("/levers")
def levers() -> list[LeverOut]:
    """What can be moved, one at a time."""
    return [
        LeverOut(lever=key, name=it.name, unit=it.unit, plus=it.plus, minus=it.minus, reach=it.reach, step=it.step)
        for key, it in LEVERS.items()
    ]


@router.get("/place-drawn")
def drawn(hand: Hand = "right") -> PlaceDrawn:
    """Where the head is for a test, as one picture whose parts can be moved."""
    return place_drawn(hand)


@router.get("/lessons/{id}/map")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> MapOut:
    """The map of a lesson, with what to try next."""
    return as_kept(kept.of_lesson(desk, id, f"map, {units}", lambda whole, _: _map(whole, id, units).model_dump_json()))


def _map(desk: Desk, id: UUID, units: InUnits) -> MapOut:
    sheet = maps.map_sheet(desk, id)
    following = sheet.map.next
    return MapOut(
        words=map_words(sheet.map, units),
        scene=sheet.scene,
        places=[
            PlaceOut(
                id=it.test.id,
                where=position_words(it.tried.position, units),
                position=dict(it.test.position),
                headline=sight_words(it.found).headline,
                tells=it.tried.tells,
                playable=it.test.playable,
                comfort=it.test.comfort,
                trust=it.test.trust,
            )
            for it in sheet.sights
        ],
        left_out=sheet.left_out,
        next=None if following is None else {str(lever): value for lever, value in following.items()},
        change=sheet.map.change,
        aim=picture_words(aim_question_of(desk, id, sheet.as_usual)),
    )
