"""Golfers."""

from pydantic import BaseModel, Field

from ...core.change.complaint import Miss
from ...core.golfer.hand import Hand
from ...core.golfer.level import LEVELS, Level
from ...core.golfer.limits import Glasses, Limit
from ...core.golfer.wording import Chosen
from ...core.green.usual import UsualLength
from ...core.schools.held import Schools
from ...lessons.golfer import golfers
from ...lessons.golfer.schools import schools_of
from ...lessons.values import KeptGolfer
from ..base.problems import Problem
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Kept, LongWords, ShortWords

router = Router(tags=["golfers"])


class UsualLengthIn(Entry):
    """A length and how often it is putted beside the others."""

    distance_m: float = Field(examples=[2.0])
    weight: float = Field(1.0, examples=[3.0])


class GolferNoted(Entry):
    """What a coach notes of a golfer."""

    name: ShortWords = Field(examples=["Greta Solvang"])
    hand: Hand = Field(description="right or left: the side the golfer putts from", examples=["right"])
    level: Level = Field(description="sizes the rig before anything is measured", examples=["club"])
    notes: LongWords = ""
    usual_lengths: list[UsualLengthIn] | None = Field(
        None, max_length=12, description="lengths usually putted; null takes what is usual for anybody"
    )
    step_m: float | None = Field(None, description="the golfer's own step, 0.3 to 1.2 m; null: not noted")
    usual_misses: tuple[Miss, ...] = Field((), max_length=4, description="where putts usually miss")
    glasses: Glasses = Field("", description="worn while putting; empty: not known")
    limits: tuple[Limit, ...] = Field((), description="what limits posture")
    wording: Chosen = Field("", description="how things are put to this golfer; empty: by the level")


class GolferIn(GolferNoted):
    """The same as it is kept; what was changed elsewhere meanwhile is not written over."""

    seen: GolferNoted | None = Field(None, description="as it was when the editing began; null for a new one")
    hand_from: golfers.HandFrom | None = Field(
        None, description="from when another hand is in use; asked for where the golfer has lessons"
    )


class GolferOut(Kept):
    id: UUID
    name: str
    hand: Hand
    level: Level
    notes: str
    usual_lengths: list[UsualLengthIn] = Field(description="as noted, or as usual for anybody")
    usual_noted: bool = Field(description="false where they are what is usual for anybody")
    step_m: float | None
    usual_misses: tuple[Miss, ...]
    glasses: Glasses
    limits: tuple[Limit, ...]
    wording: Chosen
    invented: bool


class LevelOut(BaseModel):
    level: Level
    name: str


def golfer_out(row: KeptGolfer, schools: Schools) -> GolferOut:
    """A golfer, with the usual lengths in force."""
    return GolferOut(
        id=row.id,
        name=row.name,
        hand=row.hand,
        level=row.level,
        notes=row.notes,
        usual_lengths=[
            UsualLengthIn(distance_m=it.distance_m, weight=it.weight) for it in golfers.usual_of(row, schools)
        ],
        usual_noted=row.usual_lengths is not None,
        step_m=row.step_m,
        usual_misses=tuple(row.usual_misses),
        glasses=row.glasses,
        limits=tuple(row.limits),
        wording=row.wording,
        invented=row.invented,
    )


@router.get("/levels")
def levels() -> list[LevelOut]:
    """The levels a golfer may be noted at."""
    return [LevelOut(level=key, name=it.name) for key, it in LEVELS.items()]


@router.put("/golfers/{id}", responses={412: {"model": Problem}})
def keep(desk: AtDesk, id: UUID7, entry: GolferIn) -> GolferOut:
    """Add a golfer, or take over the edited entry."""
    row = golfers.keep_golfer(desk, id, _entry(entry), entry.seen and _entry(entry.seen), entry.hand_from)
    return golfer_out(row, schools_of(desk, row))


def _entry(told: GolferNoted) -> golfers.GolferEntry:
    lengths = told.usual_lengths
    usual = None if lengths is None else tuple(UsualLength(it.distance_m, it.weight) for it in lengths)
    return golfers.GolferEntry(
        told.name,
        told.hand,
        told.level,
        told.notes,
        usual,
        told.step_m,
        usual_misses=told.usual_misses,
        glasses=told.glasses,
        limits=told.limits,
        wording=told.wording,
    )


@router.get("/golfers/{id}")
def one(desk: AtDesk, id: UUID) -> GolferOut:
    row = golfers.golfer(desk, id)
    return golfer_out(row, schools_of(desk, row))
