"""What a device takes along for a day without a network, and how things stand that are begun in it."""

from collections.abc import Mapping
from datetime import UTC, datetime
from typing import Any, Final
from uuid import UUID

import uuid6
from fastapi import Request
from pydantic import BaseModel, Field

from ...core.golfer.hand import HANDS, Hand
from ...core.instruments.no_rig import NO_RIG
from ...lessons.set import plans
from ...lessons.set.day import day
from ...lessons.set.stations import find_saved
from ...lessons.values.set import KeptStation
from ..aim.aims import choices as aim_choices
from ..base.router import Router
from ..base.shapes import AtDesk, Entry, InUnits
from ..set.saved import station_body
from ..set.stations import LaidIn
from .addresses import (
    AFTER_BLOCK,
    AFTER_PLAN,
    AFTER_SERIES,
    OF_BLOCK,
    OF_GOLFER,
    OF_LESSON,
    OF_OPEN_BLOCK,
    OF_STUDIO,
    WHERE_LISTED,
    addresses,
)
from .rehearsal import AnswerOut, Stage, rehearsal

router = Router(prefix="/away", tags=["away"])
_PLANNED: Final = 10
_EACH: Final = 9
_NOTED: Final = "finish"


class AskOut(BaseModel):
    """A question to be asked now and kept: with a body it is sent by POST."""

    address: str
    body: Any = None


class DayOut(BaseModel):
    """All that is asked before a day without a network, the most needed first."""

    asks: list[AskOut]


class BlankOut(BaseModel):
    """How it would stand were something begun, with marks in place of what is not known yet."""

    marks: dict[str, str] = Field(description="what stands in for what: the golfer's id, the lesson's, …")
    answer: Any = Field(description="what the write itself would be answered")
    answers: list[AnswerOut]


class LaidFor(Entry):
    """A station that may be laid in a lesson that is begun without a network."""

    hand: Hand
    plan: LaidIn


@router.get("")
def whole_day(desk: AtDesk, units: InUnits = "metric") -> DayOut:
    """What to ask for before a day without a network."""
    taken = day(desk)
    asks = [AskOut(address=it) for it in addresses(OF_STUDIO, units)]
    for hand in HANDS:
        asks += [AskOut(address=f"/api/away/{it}?hand={hand}&units={units}") for it in ("golfer", "lesson")]
    asks += [AskOut(address=it) for id in taken.lessons for it in addresses(OF_LESSON, units, id)]
    asks += [AskOut(address=it) for id in taken.blocks for it in addresses(OF_BLOCK, units, id)]
    asks += [AskOut(address=it) for id in taken.open_blocks for it in addresses(OF_OPEN_BLOCK, units, id)]
    asks += [AskOut(address=f"/api/away/block?station={id}&units={units}") for id in taken.stations]
    asks += [AskOut(address=f"/api/away/comparison?station={id}&units={units}") for id in taken.stations]
    asks += [AskOut(address=f"/api/away/series?lesson={id}&units={units}") for id in taken.open_lessons]
    asks += [
        AskOut(address=f"/api/instruments/entry?units={units}", body={"kind": kind, "sizes": {}})
        for kind in aim_choices().kinds
    ]
    asks += [AskOut(address=it) for who in taken.golfers for it in addresses(OF_GOLFER, units, who.id, who.hand)]
    for body in map(station_body, find_saved(desk)):
        for hand in HANDS:
            asks.append(AskOut(address=f"/api/away/plan?units={units}", body={"hand": hand, "plan": body}))
            asks.append(AskOut(address=f"/api/stations/preview?units={units}", body={**body, "hand": hand}))
    return DayOut(asks=asks)


@router.get("/golfer")
async def new_golfer(request: Request, desk: AtDesk, hand: Hand = "right", units: InUnits = "metric") -> BlankOut:
    """Somebody new."""
    async with rehearsal(request, desk) as stage:
        marks = _marks("golfer", "name")
        answer = await _golfer(stage, marks, hand)
        told = await stage.answers(addresses((*OF_GOLFER, *WHERE_LISTED), units, marks["golfer"], hand))
    return BlankOut(marks=marks, answer=answer, answers=told)


@router.get("/lesson")
async def new_lesson(request: Request, desk: AtDesk, hand: Hand = "right", units: InUnits = "metric") -> BlankOut:
    """A lesson of somebody."""
    async with rehearsal(request, desk) as stage:
        marks = _marks("golfer", "name", "lesson", "place")
        await _golfer(stage, marks, hand)
        answer = await _lesson(stage, marks)
        told = await stage.answers(
            [
                *addresses((*OF_LESSON, *WHERE_LISTED), units, marks["lesson"]),
                f"/api/away/series?lesson={marks['lesson']}&units={units}",
                *addresses(("/api/golfers/{id}/lessons", "/api/golfers/{id}/lessons?{u}"), units, marks["golfer"]),
            ]
        )
    return BlankOut(marks=marks, answer=answer, answers=told)


@router.post("/plan")
async def new_plan(request: Request, desk: AtDesk, laid: LaidFor, units: InUnits = "metric") -> BlankOut:
    """A station laid in a lesson, and a block begun on it."""
    async with rehearsal(request, desk) as stage:
        marks = _marks("golfer", "name", "lesson", "place", "station")
        await _golfer(stage, marks, laid.hand)
        await _lesson(stage, marks)
        body = laid.plan.model_dump(mode="json") | {"lesson_id": marks["lesson"], "laid_at": _now()}
        answer = await stage.put(f"/api/stations/{marks['station']}?units={units}", body)
        told = await stage.answers(
            [
                *addresses(AFTER_PLAN, units, marks["lesson"]),
                f"/api/away/block?station={marks['station']}&units={units}",
                f"/api/away/comparison?station={marks['station']}&units={units}",
            ]
        )
    return BlankOut(marks=marks, answer=answer, answers=told)


@router.get("/block")
async def new_block(request: Request, desk: AtDesk, station: UUID, units: InUnits = "metric") -> BlankOut:
    """A block on a plan of a lesson."""
    laid = plans.plan(desk, station)
    async with rehearsal(request, desk) as stage:
        marks = _marks("block")
        asks = _asked(laid.station)
        body = {
            "station_id": str(station), "guided": False, "planned": _PLANNED, "asks": asks, "started_at": _now()
        }  # fmt: skip
        answer = await stage.put(f"/api/blocks/{marks['block']}", body)
        told = await stage.answers(
            [
                *addresses(AFTER_BLOCK, units, laid.station.lesson_id),
                *addresses((*OF_BLOCK, *OF_OPEN_BLOCK), units, marks["block"]),
            ]
        )
    return BlankOut(marks=marks, answer=answer, answers=told)


@router.get("/comparison")
async def new_comparison(request: Request, desk: AtDesk, station: UUID, units: InUnits = "metric") -> BlankOut:
    """Two ways to be putted in turns on a plan of a lesson: as many putts each, and in the turns, that are usual."""
    laid = plans.plan(desk, station)
    async with rehearsal(request, desk) as stage:
        marks = _marks("comparison", "first", "second", "first name", "second name")
        ways = [
            {"name": marks[f"{it} name"], "station_id": str(station), "block_id": marks[it]}
            for it in ("first", "second")
        ]
        lesson, asks = str(laid.station.lesson_id), _asked(laid.station)
        body = {"lesson_id": lesson, "conditions": ways, "each": _EACH, "asks": asks, "started_at": _now()}
        answer = await stage.put(f"/api/comparisons/{marks['comparison']}?units={units}", body)
        told = await stage.answers(
            [
                *addresses(AFTER_BLOCK, units, laid.station.lesson_id),
                *(it for way in ("first", "second") for it in addresses(OF_BLOCK, units, marks[way])),
            ]
        )
    return BlankOut(marks=marks, answer=answer, answers=told)


@router.get("/series")
async def new_series(request: Request, desk: AtDesk, lesson: UUID, units: InUnits = "metric") -> BlankOut:
    """Set-downs begun in a lesson."""
    async with rehearsal(request, desk) as stage:
        marks = _marks("series")
        body = {"lesson_id": str(lesson), "started_at": _now()}
        answer = await stage.put(f"/api/aim-series/{marks['series']}?units={units}", body)
        told = await stage.answers(addresses(AFTER_SERIES, units, lesson))
    return BlankOut(marks=marks, answer=answer, answers=told)


def _asked(station: KeptStation) -> list[str]:
    """What is noted as a page would begin it: where no rig tells anything, where the putt finished."""
    return [_NOTED] if station.rig_kind == NO_RIG else []


async def _golfer(stage: Stage, marks: Mapping[str, str], hand: Hand) -> Any:
    body = {"name": marks["name"], "hand": hand, "level": "club"}
    return await stage.put(f"/api/golfers/{marks['golfer']}", body)


async def _lesson(stage: Stage, marks: Mapping[str, str]) -> Any:
    body = {
        "golfer_id": marks["golfer"],
        "place": marks["place"],
        "surface": "indoor_mat",
        "green_speed_ft": 10,
        "started_at": _now(),
    }
    return await stage.put(f"/api/lessons/{marks['lesson']}", body)


def _marks(*names: str) -> dict[str, str]:
    """Something that nobody else is called, for each."""
    return {it: str(uuid6.uuid7()) for it in names}


def _now() -> str:
    return datetime.now(UTC).isoformat()
