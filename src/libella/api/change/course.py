"""A golfer's putts by length, in practice and on the course; rounds as they are told."""

from datetime import datetime

from pydantic import BaseModel, Field

from ...core.certainty.estimate import Estimate
from ...core.change.made import MadeAt, interval
from ...core.course.drawn import chance_drawn
from ...core.drawing.scene import Scene
from ...core.estimate.shares import Share
from ...core.golfer.golf_round import Hole, Pace, Side
from ...lessons.change.explained import EXPECTED
from ...lessons.change.on_the_course import OnTheCourse, on_the_course
from ...lessons.change.outlook import Expected, expected
from ...lessons.desk import kept
from ...lessons.golfer import rounds
from ...lessons.golfer.rounds import Played
from ...words.change import chance
from ...words.change import course as words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment, VoidIn, as_kept

router = Router(tags=["course"])


class HoleIn(Entry):
    first_m: float = Field(description="the first putt, 0.2 to 40")
    putts: int = Field(description="putts of the hole, 1 to 6")
    side: Side = Field("", description="to which side the first putt missed; empty: not said, or holed")
    pace: Pace = Field("", description="whether the first putt stopped short or past; empty: not said, or holed")


class RoundIn(Entry):
    """A round, hole by hole."""

    golfer_id: UUID
    holes: tuple[HoleIn, ...] = Field(min_length=1, max_length=36)
    played_at: Moment


class RoundOut(BaseModel):
    id: UUID
    played_at: datetime
    words: str


class ShareOut(BaseModel):
    """So many of so many putts were holed, and the share that lies behind it, of a hundred."""

    times: int = Field(description="putts")
    of: int = Field(description="putts")
    share: Estimate | None = Field(description="putts of a hundred; null where there was none")


class MadeOut(BaseModel):
    """What is holed from one length."""

    length_m: float
    practice: ShareOut
    course: ShareOut
    words: str


class TableOut(BaseModel):
    """Backstroke and roll on one surface."""

    surface: str
    green_speed_ft: float
    words: str
    rows: list[str]


class CourseOut(BaseModel):
    """A golfer's putts by length; what nobody noted is empty."""

    rounds: list[RoundOut] = Field(description="newest first")
    played: str
    made: list[MadeOut]
    carried: str
    leaves: list[str]
    tables: list[TableOut]
    helpless: str


@router.get("/golfers/{id}/on-the-course")
def of_golfer(desk: AtDesk, id: UUID, units: InUnits = "metric") -> CourseOut:
    """A golfer's putts by length, in practice and on the course."""
    return as_kept(
        kept.of_golfer(
            desk,
            id,
            f"on the course, {units}",
            lambda whole, _: _course(on_the_course(whole, id), units).model_dump_json(),
        )
    )


class ExpectedOut(BaseModel):
    """What may be expected on the course; no picture and no round while too few starts were read."""

    picture: Scene | None
    words: str
    round: str
    worth: str = Field(description="what the change is worth in a round; empty: none was retested by its starts")
    change: str = Field(description="the change whose curve stands beside; empty: none")
    left: list[str]
    parts: list[str] = Field(description="where what was recorded parts from it for sure")
    basis: str
    why: str = Field(description="what opens it; empty: nothing to open")


@router.get("/golfers/{id}/expected")
def expected_of(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ExpectedOut:
    """The chance of holing by length, putts in a round, and what is left, from everything read of a golfer."""
    return as_kept(
        kept.of_golfer(
            desk, id, f"expected, {units}", lambda whole, _: _expected(expected(whole, id), units).model_dump_json()
        )
    )


def _expected(it: Expected, units: InUnits) -> ExpectedOut:
    found = it.outlook
    if found is None:
        nothing = dict.fromkeys(("round", "worth", "change", "basis", "why"), "")
        return ExpectedOut(picture=None, words=chance.TOO_FEW, left=[], parts=[], **nothing)
    change = it.change.chosen.what if it.change is not None and found.worth is not None else ""
    words = chance.chances_said(found, units)
    return ExpectedOut(
        picture=chance_drawn(found, it.made, units, f"{chance.CURVE}. {words}"),
        words=words,
        round=chance.round_said(found),
        worth=chance.worth_said(found, change),
        change=change,
        left=[chance.left_said(one, units) for one in found.left],
        parts=[chance.parts_said(one, units) for one in found.parts],
        basis=chance.basis_said(found, it.starts, it.green, units),
        why=EXPECTED,
    )


@router.put("/rounds/{id}")
def keep(desk: AtDesk, id: UUID7, entry: RoundIn) -> RoundOut:
    """Keep a round."""
    holes = [Hole(it.first_m, it.putts, it.side, it.pace) for it in entry.holes]
    return _round(rounds.keep_round(desk, id, entry.golfer_id, holes, entry.played_at))


@router.put("/rounds/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn) -> RoundOut:
    """Take a round out of what counts, or bring it back."""
    return _round(rounds.void_round(desk, id, entry.voided))


def _round(it: Played) -> RoundOut:
    putts = sum(one.putts for one in it.holes)
    return RoundOut(id=it.kept.id, played_at=it.kept.played_at, words=words.round_said(len(it.holes), putts))


def _course(it: OnTheCourse, units: InUnits) -> CourseOut:
    return CourseOut(
        rounds=[_round(one) for one in it.rounds],
        played=words.rounds_said(it.played),
        made=[_made(one, units) for one in it.made],
        carried=words.carried_said(it.carried),
        leaves=[words.leave_said(one, units) for one in it.leaves],
        tables=[
            TableOut(
                surface=one.surface,
                green_speed_ft=one.green_speed_ft,
                words=words.table_said(one.table),
                rows=[words.row_said(row, units) for row in one.table.rows],
            )
            for one in it.tables
        ],
        helpless=words.helpless_said([share for _, share in it.helpless]),
    )


def _made(it: MadeAt, units: InUnits) -> MadeOut:
    return MadeOut(
        length_m=it.length_m,
        practice=_share(it.practice),
        course=_share(it.course),
        words=words.made_said(it, units),
    )


def _share(it: Share) -> ShareOut:
    return ShareOut(times=it.times, of=it.of, share=interval(it) if it.of else None)
