"""Where the eyes are: looks kept with a lesson, and where this golfer's eyes are wanted."""

from collections.abc import Sequence
from dataclasses import asdict, dataclass
from datetime import datetime
from typing import Any, get_args
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ..core.drawing.scene import Scene
from ..core.drawing.vial import Vial
from ..core.eyes import ZONES, EyeMark, EyePlace, School, eye_place, eye_vial, eye_words, mirror_scene
from ..core.eyes import EyeTake as Look
from ..core.golfer import Hand
from ..core.limits import Bounds, OutOfLimits
from ..core.wording import Units
from ..store.tables import EyeTake, Golfer, Lesson
from .blocks import hand_of
from .desk import Desk
from .problem import Conflict

EDGE = Bounds(-150.0, 150.0, "mm")


@dataclass(frozen=True, slots=True)
class EyeSheet:
    """The looks of a lesson with what they say, newest last."""

    takes: Sequence[EyeTake]
    found: EyePlace | None
    words: tuple[str, ...]
    vial: Vial
    mirror: Scene
    school: School
    zone_mm: tuple[float, float] | None


def keep_take(desk: Desk, id: UUID, lesson_id: UUID, look: Look, taken_at: datetime) -> EyeTake:
    """Keep one look; the same one said again changes nothing."""
    raw = asdict(look)
    with desk.transaction() as session:
        _open(desk, session, lesson_id)
        row, _ = desk.add(session, EyeTake, id, lesson_id=lesson_id, raw=raw, taken_at=taken_at)
        if (row.lesson_id, row.raw, row.taken_at) != (lesson_id, raw, taken_at):
            raise Conflict("A look with this id is kept already and says something else.", "Mark the eyes again.")
        return row


def void_take(desk: Desk, id: UUID, voided: bool) -> EyeTake:
    """Void a look, or restore it."""
    with desk.transaction() as session:
        row = desk.get(session, EyeTake, id, "look", lock=True)
        row.voided = voided
        return row


def want_eyes(desk: Desk, golfer_id: UUID, school: School, zone_mm: tuple[float, float] | None) -> Golfer:
    """Where this golfer's eyes are wanted: a school, with its own edges or the school's (None)."""
    if zone_mm is not None:
        for name, edge in zip(("zone_mm.0", "zone_mm.1"), zone_mm, strict=True):
            EDGE.check(name, "Edge of the zone", edge)
        if zone_mm[0] >= zone_mm[1]:
            raise OutOfLimits(
                "zone_mm.1",
                "The zone's inner edge must lie further inside.",
                limit=f"over {zone_mm[0]:g} mm",
                unit="mm",
            )
    with desk.transaction() as session:
        row = desk.get(session, Golfer, golfer_id, "golfer", lock=True)
        row.eye_school, row.eye_zone_mm = school, None if zone_mm is None else list(zone_mm)
        return row


def eye_sheet(desk: Desk, lesson_id: UUID, units: Units) -> EyeSheet:
    """The looks of a lesson."""
    with desk.transaction() as session:
        lesson = desk.get(session, Lesson, lesson_id, "lesson")
        golfer = desk.get(session, Golfer, lesson.golfer_id, "golfer")
        query = select(EyeTake).where(EyeTake.studio_id == desk.studio_id, EyeTake.lesson_id == lesson_id)
        takes = session.scalars(query.order_by(EyeTake.taken_at, EyeTake.id)).all()
    school = _school(golfer.eye_school)
    zone = ZONES[school] if golfer.eye_zone_mm is None else (float(golfer.eye_zone_mm[0]), float(golfer.eye_zone_mm[1]))
    return _sheet(takes, hand_of(golfer), school, None if school == "own" else zone, units)


def _sheet(
    takes: Sequence[EyeTake], hand: Hand, school: School, zone: tuple[float, float] | None, units: Units
) -> EyeSheet:
    looks = [look_of(it) for it in takes if not it.voided]
    found = eye_place(looks, hand, zone)
    return EyeSheet(
        takes=takes,
        found=found,
        words=eye_words(found, units) if found else ("Nobody looked yet.",),
        vial=eye_vial(looks, found, zone),
        mirror=mirror_scene(looks, hand, zone),
        school=school,
        zone_mm=zone,
    )


def look_of(take: EyeTake) -> Look:
    """A kept look in terms of core."""
    values: dict[str, Any] = dict(take.raw)
    values |= {name: EyeMark(**take.raw[name]) for name in ("lead", "trail")}
    return Look(**values)


def _school(text: str) -> School:
    return next(it for it in get_args(School) if it == text)


def _open(desk: Desk, session: Session, id: UUID) -> None:
    lesson = desk.get(session, Lesson, id, "lesson")
    if lesson.voided_at is not None or lesson.ended_at is not None:
        raise Conflict("This lesson takes nothing more.", "Open the lesson again, then mark the eyes.")
