"""Opinions: every number that nobody measured, as it counts, as it was held, and what another would change."""

from collections.abc import Mapping
from datetime import datetime
from typing import Annotated

from fastapi import Query
from pydantic import BaseModel, Field

from ...core.golfer.level import Level
from ...core.opinions.every import every_opinion
from ...core.opinions.held import Held, holding
from ...core.opinions.numbers import Unit, numbers_of
from ...lessons.desk import opinions
from ...lessons.desk.desk import Desk
from ...lessons.golfer import golfers
from ...lessons.lesson import lessons
from ...words.opinions.held import BESIDES, OPINIONS, Said, Step
from ...words.opinions.number import number_said, part_name, version_said, whose_said
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Words80
from ..judge.findings import findings_anew
from ..judge.weighed import WeighedOut, weighed_out

router = Router(tags=["opinions"])
_MOST_LESSONS = 12
InLevel = Annotated[Level | None, Query(description="what is held of golfers of this level; null: of everybody")]
OfGolfer = Annotated[UUID | None, Query(description="what is held of this golfer; null: of everybody")]


class OpinionNumberOut(BaseModel):
    """One number of an opinion."""

    at: str = Field(description="where in the opinion it stands")
    name: str = Field(description="what it is; empty where it is the only one")
    value: float = Field(description="as it counts, in `unit`")
    usual: float = Field(description="as it stands where nobody holds another, in `unit`")
    usual_said: str
    least: float = Field(description="the least it may be held at, in `unit`")
    most: float = Field(description="the most, in `unit`")
    step: float = Field(description="one step of a thumb, in `unit`")
    unit: Unit
    own: bool = Field(description="it is held of just those who are asked about, not of more")


class HeldOnceOut(BaseModel):
    """An opinion as it was held once."""

    words: str
    whose: str
    counts: bool = Field(description="it is what is held of them by now")
    kept_at: datetime


class OpinionOut(BaseModel):
    opinion: str
    step: Step
    name: str
    value: str = Field(description="as it counts, with its unit")
    otherwise: bool = Field(description="it is held otherwise than it stands")
    besides: str = Field(description="what goes before it; empty: nothing")
    page: str = Field(description="where that is said; empty: nowhere alone")
    numbers: list[OpinionNumberOut]
    versions: list[HeldOnceOut] = Field(description="as it was held, the newest first")


class OpinionIn(Entry):
    """An opinion as it is to be held; without numbers as it stands."""

    opinion: Words80
    numbers: dict[str, float] = Field(
        max_length=64, description="by where in it they stand, each in the unit that is told with it"
    )
    level: Level | None = None
    golfer_id: UUID | None = None

    def told(self) -> opinions.Told:
        return opinions.checked(opinions.Told(self.opinion, opinions.Whose(self.level, self.golfer_id), self.numbers))


class ConcernedOut(BaseModel):
    """A lesson whose claims an opinion may change."""

    lesson_id: UUID
    golfer: str
    started_at: datetime


@router.get("/opinions")
def every(desk: AtDesk, level: InLevel = None, golfer: OfGolfer = None, units: InUnits = "metric") -> list[OpinionOut]:
    """Every prior, threshold, default and band that nobody measured, in the order of a lesson."""
    whose = opinions.whose(desk, golfer) if golfer else opinions.Whose(level)
    held, past = opinions.held_for(desk, whose), _past(desk, whose, units)
    asked = opinions.Whose(level, golfer)
    own = {it.opinion: it.numbers for it in opinions.newest(desk) if it.whose == asked}
    return [_out(it, held, own.get(it.opinion, {}), past.get(it.opinion, []), units) for it in OPINIONS]


@router.put("/opinions/{id}")
def hold(desk: AtDesk, id: UUID7, entry: OpinionIn, units: InUnits = "metric") -> list[OpinionOut]:
    """Hold an opinion from now on; what was held before stays in its versions, and everything is weighed anew."""
    opinions.hold_opinion(desk, id, entry.told())
    return every(desk, entry.level, entry.golfer_id, units)


@router.get("/opinions-concern")
def concerned(desk: AtDesk, level: InLevel = None, golfer: OfGolfer = None) -> list[ConcernedOut]:
    """The newest lesson of each golfer of whom an opinion is held, the golfers seen last first."""
    who = [golfers.golfer(desk, golfer)] if golfer else golfers.seen_last(desk, "")
    some = [it for it in who if level in (None, it.level)]
    last = lessons.latest_lessons(desk, [it.id for it in some])
    return [
        ConcernedOut(lesson_id=last[it.id].id, golfer=it.name, started_at=last[it.id].started_at)
        for it in some
        if it.id in last
    ][:_MOST_LESSONS]


@router.post("/lessons/{id}/weighed")
def weighed(desk: AtDesk, id: UUID, entry: OpinionIn, units: InUnits = "metric") -> WeighedOut:
    """What of a lesson would be said otherwise, were an opinion held so."""
    told = entry.told()
    with desk.together() as whole:
        golfer = opinions.whose(whole, lessons.lesson_sheet(whole, id).golfer.id)
        with holding(opinions.held_for(whole, golfer)):
            before = findings_anew(whole, id, units)
        with holding(opinions.held_for(whole, golfer, told)):
            after = findings_anew(whole, id, units)
    return weighed_out(before, after)


def _past(desk: Desk, whose: opinions.Whose, units: InUnits) -> Mapping[str, list[HeldOnceOut]]:
    """What was ever held that counts for them, by opinion; of everybody all of it."""
    found: dict[str, list[HeldOnceOut]] = {}
    newest: set[tuple[str, str, UUID | None]] = set()
    for it in opinions.versions(desk):
        key = it.opinion, it.level, it.golfer_id
        counts = key not in newest
        newest.add(key)
        if whose != opinions.EVERYBODY and not opinions.whose_held(it).is_of(whose):
            continue
        name = golfers.golfer(desk, it.golfer_id).name if it.golfer_id else ""
        found.setdefault(it.opinion, []).append(
            HeldOnceOut(
                words=version_said(it.opinion, it.numbers, units),
                whose=whose_said(it.level, name),
                counts=counts,
                kept_at=it.kept_at,
            )
        )
    return found


def _out(it: Said, held: Held, own: Mapping[str, float], past: list[HeldOnceOut], units: InUnits) -> OpinionOut:
    of = every_opinion()[it.opinion]
    counts = numbers_of(held.values.get(it.opinion, of.value), of.unit)
    page, besides = BESIDES[it.besides]
    return OpinionOut(
        opinion=it.opinion,
        step=it.step,
        name=it.name,
        value=it.value_said(held, units),
        otherwise=it.opinion in held.values,
        besides=besides,
        page=page,
        numbers=[
            OpinionNumberOut(
                at=at,
                name=part_name(it.opinion, at),
                value=counts[at].value,
                usual=one.value,
                usual_said=number_said(one.value, one.unit, units),
                least=one.least,
                most=one.most,
                step=one.step,
                unit=one.unit,
                own=at in own,
            )
            for at, one in of.numbers.items()
            if one.least < one.most
        ],
        versions=past,
    )
