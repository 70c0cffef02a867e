"""Where the eyes are: looks kept with a lesson, and where this golfer's eyes are wanted."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.measure.limits import Bounds, OutOfLimits
from ...core.see.eyes import (
    ZONES,
    EyePlace,
    EyeTake,
    School,
    SightingEye,
    eye_place,
    eye_vial,
    mirror_scene,
    reading_error_m,
)
from ...core.see.side_look import SideLook
from ...store.tables import EyeTakeRow, GolferRow, LessonRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, KeptOtherwise
from ..desk.stored import Stored
from ..lesson.lessons import open_lesson
from ..values import KeptEyeTake, KeptGolfer, value_of, values_of

EDGE = Bounds(-150.0, 150.0, "mm")
AnyLook = EyeTake | SideLook


LOOK: Final[Stored[AnyLook]] = Stored(AnyLook)


@dataclass(frozen=True, slots=True)
class EyeSheet:
    """The looks of a lesson with what they say, newest last."""

    takes: Sequence[KeptEyeTake]
    looks: Sequence[EyeTake]
    """Those that count and mark both eyes, first readings only."""
    found: EyePlace | None
    vial: Vial
    mirror: Scene
    hand: Hand
    school: School
    zone_mm: tuple[float, float] | None
    sighting_eye: SightingEye


def keep_take(
    desk: Desk, id: UUID, lesson_id: UUID, look: AnyLook, taken_at: datetime, reread_of: UUID | None = None
) -> KeptEyeTake:
    """Keep one look; the same one said again changes nothing.

    `reread_of`: the look this one reads again, nothing having moved. It counts for the reading error only.
    """
    raw = LOOK.keep(look)
    with desk.transaction() as session:
        open_lesson(desk, session, lesson_id)
        if reread_of is not None:
            first = desk.get(session, EyeTakeRow, reread_of, "look")
            if (
                first.lesson_id != lesson_id
                or not isinstance(look, EyeTake)
                or not isinstance(LOOK.read(first.raw), EyeTake)
            ):
                raise Conflict("reread_other")
        row, _ = desk.add(session, EyeTakeRow, id, lesson_id=lesson_id, raw=raw, taken_at=taken_at, reread_of=reread_of)
        if (row.lesson_id, LOOK.read(row.raw), row.taken_at, row.reread_of) != (lesson_id, look, taken_at, reread_of):
            raise KeptOtherwise("look")
        return value_of(KeptEyeTake, row)


def void_take(desk: Desk, id: UUID, voided: bool) -> KeptEyeTake:
    """Void a look, or restore it."""
    with desk.transaction() as session:
        row = desk.get(session, EyeTakeRow, id, "look", lock=True)
        row.voided = voided
        return value_of(KeptEyeTake, row)


def want_eyes(
    desk: Desk,
    golfer_id: UUID,
    school: School,
    zone_mm: tuple[float, float] | None,
    sighting_eye: SightingEye | None = None,
) -> KeptGolfer:
    """Where this golfer's eyes are wanted: a school, with its own edges or the school's (None).

    `sighting_eye` None leaves what is noted.
    """
    if zone_mm is not None:
        for name, edge in zip(("zone_mm.0", "zone_mm.1"), zone_mm, strict=True):
            EDGE.check(name, "zone_edge", edge)
        if zone_mm[0] >= zone_mm[1]:
            raise OutOfLimits("zone_mm.1", "zone_edges", "mm", edge_m=abs(zone_mm[0]) / 1000)
    with desk.transaction() as session:
        row = desk.get(session, GolferRow, golfer_id, "golfer", lock=True)
        row.eye_school, row.eye_zone_mm = school, None if zone_mm is None else list(zone_mm)
        if sighting_eye is not None:
            row.sighting_eye = sighting_eye
        return value_of(KeptGolfer, row)


def eye_sheet(desk: Desk, lesson_id: UUID) -> EyeSheet:
    """The looks of a lesson."""
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson")
        golfer = value_of(KeptGolfer, desk.get(session, GolferRow, lesson.golfer_id, "golfer"))
        query = select(EyeTakeRow).where(EyeTakeRow.studio_id == desk.studio_id, EyeTakeRow.lesson_id == lesson_id)
        takes = values_of(KeptEyeTake, session.scalars(query.order_by(EyeTakeRow.taken_at, EyeTakeRow.id)))
    hand = golfer.hand
    zone = zone_of(golfer)
    valid = {it.id: it for it in takes if not it.voided}
    first = [look_of(it) for it in valid.values() if it.reread_of is None]
    looks = [it for it in first if isinstance(it, EyeTake)]
    sides = [it for it in first if not isinstance(it, EyeTake)]
    pairs: list[tuple[EyeTake, EyeTake]] = []
    for it in valid.values():
        if it.reread_of is not None and it.reread_of in valid:
            one, other = look_of(valid[it.reread_of]), look_of(it)
            if isinstance(one, EyeTake) and isinstance(other, EyeTake):
                pairs.append((one, other))
    error = reading_error_m(pairs, looks[-1].seen_m) if pairs and looks else None
    found = eye_place(looks, hand, zone, sides=sides, reading_m=error)
    return EyeSheet(
        takes=takes,
        looks=looks,
        found=found,
        vial=eye_vial(first, found, zone),
        mirror=mirror_scene(looks, hand, zone),
        hand=hand,
        school=golfer.eye_school,
        zone_mm=zone,
        sighting_eye=golfer.sighting_eye,
    )


def zone_of(golfer: KeptGolfer) -> tuple[float, float] | None:
    """Where this golfer's eyes are wanted, mm inside; None where straight looks straight."""
    if golfer.eye_school == "own" or golfer.eye_zone_mm is None:
        return ZONES[golfer.eye_school]
    return float(golfer.eye_zone_mm[0]), float(golfer.eye_zone_mm[1])


def look_of(take: KeptEyeTake) -> AnyLook:
    """A kept look in terms of core."""
    return LOOK.read(take.raw)
