"""Teaching drawings: every one with its levers, and its pictures for every place a finger may move one to."""

from functools import partial

from fastapi import Query
from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.teach.registry import DRAWINGS
from ...core.teach.taught import Known, Lever, Shown, Teaching, frames
from ...lessons.desk.problem import NotFound
from ...lessons.teach.known import drawing_of, known_of, standing
from ...words.teach import drawings as words
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits, Words20

router = Router(tags=["teaching"])


class TaughtLeverOut(BaseModel):
    """What a finger moves."""

    code: str
    name: str
    unit: str
    low: float
    high: float
    step: float = Field(description="in the lever's own unit")
    value: float = Field(description="where it stands, in the lever's own unit")


class FrameOut(BaseModel):
    """The picture with its lever on one place."""

    value: float = Field(description="where the lever stands, in its own unit")
    says: str = Field(description="the same with its unit")
    scene: Scene
    told: list[str]


class MovedOut(BaseModel):
    """Every place of one lever, the others standing still."""

    lever: str
    frames: list[FrameOut]


class DrawingOut(BaseModel):
    """A teaching drawing with its levers where they stand."""

    code: str
    name: str
    own: str = Field(description="what of it was read of this golfer")
    scale: str = Field(description="how it is drawn")
    levers: list[TaughtLeverOut]
    moved: list[MovedOut] = Field(description="for each lever its pictures, in the order of `levers`")


class DrawingName(BaseModel):
    code: str
    name: str


@router.get("/teaching")
def every() -> list[DrawingName]:
    """Every teaching drawing."""
    return [DrawingName(code=code, name=words.NAMES[code]) for code in DRAWINGS]


@router.get("/lessons/{id}/teaching/{code}")
def one(
    desk: AtDesk,
    id: UUID,
    code: Words20,
    units: InUnits = "metric",
    stand: list[Words20] = Query(
        default=[], max_length=8, description="levers that were moved, each as `name:value` in its own unit"
    ),
) -> DrawingOut:
    """A drawing with the golfer's own numbers at the start, or with its levers where they were moved to."""
    it = drawing_of(code)
    known = known_of(desk, id)
    at = standing(it, known, dict(map(_stands, stand)))
    say = partial(words.label_said, units=units)
    shown = it.draw(at, known, say)
    return DrawingOut(
        code=code,
        name=words.NAMES[code],
        own=words.own_said(it, known),
        scale=words.scale_said(shown),
        levers=[_lever(lever, at[lever.code]) for lever in it.levers],
        moved=[_moved(it, lever, at, known, units) for lever in it.levers],
    )


def _stands(told: str) -> tuple[str, float]:
    name, _, value = told.partition(":")
    try:
        return name, float(value)
    except ValueError:
        raise NotFound("lever") from None


def _lever(it: Lever, value: float) -> TaughtLeverOut:
    said = words.lever_said(it)
    return TaughtLeverOut(
        code=it.code, name=said.name, unit=said.unit, low=it.low, high=it.high, step=it.step, value=value
    )


def _moved(it: Teaching, lever: Lever, at: dict[str, float], known: Known, units: InUnits) -> MovedOut:
    say = partial(words.label_said, units=units)
    return MovedOut(
        lever=lever.code,
        frames=[_frame(lever, frame.value, frame.shown, units) for frame in frames(it, lever, at, known, say)],
    )


def _frame(lever: Lever, value: float, shown: Shown, units: InUnits) -> FrameOut:
    return FrameOut(
        value=value,
        says=words.value_said(lever, value, units),
        scene=shown.scene,
        told=words.told_said(shown, units),
    )
