"""Where the eyes are: looks kept with a lesson, and where this golfer's eyes are wanted."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Any, Final
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.certainty.estimate import Estimate, normal
from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.instruments import lay
from ...core.instruments.light_strip import USUAL_TURNS_M, Device, LightStrip
from ...core.measure.limits import Bounds, OutOfLimits
from ...core.schools.held import Schools
from ...core.see.eyes import (
    AnyLook,
    EyeMark,
    EyePlace,
    EyeTake,
    SightingEye,
    eye_place,
    eye_vial,
    mirror_scene,
    reading_error_m,
)
from ...core.see.one_way import OneWayLook, Shown
from ...core.see.side_look import StringLook, StripLook
from ...core.set.tool_check import UNCHECKED, ToolZero
from ...store.tables import EyeTakeRow, GolferRow, LessonRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, KeptOtherwise
from ..desk.stored import Stored
from ..golfer.schools import schools_of
from ..lesson.lessons import golfer_in, open_lesson
from ..lesson.set_up_name import AS_USUAL
from ..set.plans import laid_id_now, plan_now
from ..set.second_readings import ReadingErrors, reading_errors
from ..set.stations import entry_of
from ..set.tool_zeros import checked_here
from ..values import KeptEyeTake, KeptGolfer, value_of, values_of

EDGE = Bounds(-150.0, 150.0, "mm")
MIRROR: Final = "ground_mirror"


def _which_strip(kept: dict[str, Any]) -> dict[str, Any]:
    """A strip was once always read as through a slot, its dark named by the eyes' side."""
    if kept.get("way") != "strip":
        return kept
    edge = {"dark_inside": "dark_far", "dark_outside": "dark_near"}
    return kept | {"device": "slot", "seen": edge.get(kept["seen"], kept["seen"])}


LOOK: Final[Stored[AnyLook]] = Stored(AnyLook, [_which_strip])


@dataclass(frozen=True, slots=True)
class LookSizes:
    """What a look is read with here, before anything is changed: as it was laid, and as it was looked last."""

    eye_height_m: float
    falls_in_percent: float
    falls_back_percent: float
    level_doubt_percent: float
    seen_m: float
    string_height_m: float
    lean_deg: float
    strip: Device | None
    """Which strip is laid; None where none is."""
    turns_m: float


@dataclass(frozen=True, slots=True)
class SetUpEyes:
    """The looks of one set-up with what they say; looks of another are never counted with them.

    `looks` are those that count and mark both eyes, first readings only. `moved` is how far the eyes are from where
    they were in the set-up before, mm inside; None for the first.
    """

    name: str
    takes: int
    looks: Sequence[EyeTake]
    found: EyePlace | None
    vial: Vial
    moved: Estimate | None


@dataclass(frozen=True, slots=True)
class EyeSheet:
    """The looks of a lesson, newest last; what they say by set-up, the one looked at last being now."""

    takes: Sequence[KeptEyeTake]
    set_ups: Sequence[SetUpEyes]
    now: SetUpEyes
    mirror: Scene
    hand: Hand
    school: str
    zone_mm: tuple[float, float] | None
    sighting_eye: SightingEye
    sizes: LookSizes

    @property
    def found(self) -> EyePlace | None:
        return self.now.found

    @property
    def looks(self) -> Sequence[EyeTake]:
        return self.now.looks

    @property
    def vial(self) -> Vial:
        return self.now.vial


@dataclass(frozen=True, slots=True)
class Taken:
    """When a look was taken, in which set-up and on which plan (None: the plan now).

    `reread_of`: the look this one reads again, nothing having moved. It counts for the reading error only.
    """

    at: datetime
    set_up: str = AS_USUAL
    station_id: UUID | None = None
    reread_of: UUID | None = None


def keep_take(desk: Desk, id: UUID, lesson_id: UUID, look: AnyLook, taken: Taken) -> KeptEyeTake:
    """Keep one look; the same one said again changes nothing."""
    raw, reread_of, set_up = LOOK.keep(look), taken.reread_of, taken.set_up
    with desk.transaction() as session:
        open_lesson(desk, session, lesson_id, taken.at)
        if reread_of is not None:
            first = desk.get(session, EyeTakeRow, reread_of, "look")
            if (
                first.lesson_id != lesson_id
                or first.set_up != set_up
                or not isinstance(look, EyeTake)
                or not isinstance(LOOK.read(first.raw), EyeTake)
            ):
                raise Conflict("reread_other")
        told = {"lesson_id": lesson_id, "taken_at": taken.at, "reread_of": reread_of, "set_up": set_up}
        plan = laid_id_now(desk, session, lesson_id, taken.station_id)
        row, _ = desk.add(session, EyeTakeRow, id, **told, raw=raw, station_id=plan)
        if LOOK.read(row.raw) != look or any(getattr(row, name) != said for name, said in told.items()):
            raise KeptOtherwise("look")
        return value_of(KeptEyeTake, row)


def void_take(desk: Desk, id: UUID, voided: bool) -> KeptEyeTake:
    """Void a look, or restore it."""
    return desk.void(KeptEyeTake, EyeTakeRow, id, "look", voided)


def want_eyes(
    desk: Desk, golfer_id: UUID, zone_mm: tuple[float, float] | None, sighting_eye: SightingEye | None = None
) -> KeptGolfer:
    """The edges of where this golfer's eyes are wanted: own ones, or the school's that is held (None).

    `sighting_eye` None leaves what is noted.
    """
    if zone_mm is not None:
        for name, edge in zip(("zone_mm.0", "zone_mm.1"), zone_mm, strict=True):
            EDGE.check(name, "zone_edge", edge)
        if zone_mm[0] >= zone_mm[1]:
            raise OutOfLimits("zone_mm.1", "zone_edges", "mm", edge_m=abs(zone_mm[0]) / 1000)
    with desk.transaction() as session:
        row = desk.get(session, GolferRow, golfer_id, "golfer", lock=True)
        row.eye_zone_mm = None if zone_mm is None else list(zone_mm)
        if sighting_eye is not None:
            row.sighting_eye = sighting_eye
        return value_of(KeptGolfer, row)


def eye_sheet(desk: Desk, lesson_id: UUID) -> EyeSheet:
    """The looks of a lesson."""
    with desk.transaction() as session:
        golfer, takes, set_ups, now = _looked(desk, session, lesson_id)
        schools = schools_of(desk, golfer)
        sizes = _sizes(desk, session, lesson_id, golfer.id, takes)
    zone, held = zone_of(golfer, schools), schools.of("eyes")
    return EyeSheet(
        takes=takes,
        set_ups=set_ups,
        now=now,
        mirror=mirror_scene(now.looks, golfer.hand, zone),
        hand=golfer.hand,
        school=held.code if held else "",
        zone_mm=zone,
        sighting_eye=golfer.sighting_eye,
        sizes=sizes,
    )


def eyes_now(desk: Desk, lesson_id: UUID) -> EyePlace | None:
    """Where the eyes are in the set-up looked at last; None where nobody looked."""
    with desk.transaction() as session:
        return _looked(desk, session, lesson_id)[-1].found


def _looked(
    desk: Desk, session: Session, lesson_id: UUID
) -> tuple[KeptGolfer, Sequence[KeptEyeTake], Sequence[SetUpEyes], SetUpEyes]:
    """Whose looks, all of them, by set-up, and the set-up looked at last."""
    golfer = golfer_in(desk, session, desk.get(session, LessonRow, lesson_id, "lesson"))
    query = select(EyeTakeRow).where(EyeTakeRow.studio_id == desk.studio_id, EyeTakeRow.lesson_id == lesson_id)
    takes = values_of(KeptEyeTake, session.scalars(query.order_by(EyeTakeRow.taken_at, EyeTakeRow.id)))
    zeros = {it.kept.kind: it.zero for it in checked_here(desk, session, lesson_id)}
    zone = zone_of(golfer, schools_of(desk, golfer))
    names = list(dict.fromkeys(it.set_up for it in takes if not it.voided)) or [AS_USUAL]
    errors = reading_errors(desk, takes[0].taken_at) if takes else ReadingErrors()
    set_ups: list[SetUpEyes] = []
    for name in names:
        own = [it for it in takes if it.set_up == name and not it.voided]
        looks = {it.id: _by_tool(look_of(it), zeros) for it in own}
        here = _in_set_up(name, own, looks, golfer.hand, zone, errors)
        set_ups.append(replace(here, moved=_moved(here, set_ups[-1])) if set_ups else here)
    last = next((it.set_up for it in reversed(takes) if not it.voided), names[-1])
    return golfer, takes, set_ups, next(it for it in set_ups if it.name == last)


def _by_tool(look: AnyLook, zeros: Mapping[str, ToolZero]) -> AnyLook:
    """A look, with what is known of the mirror or strip it was taken with."""
    if isinstance(look, StripLook):
        zero = zeros.get(f"strip_{look.device}", UNCHECKED)
        return replace(look, zero_m=zero.inside_m, doubt_m=zero.doubt_m)
    zero = zeros.get(MIRROR, UNCHECKED)
    if not isinstance(look, EyeTake | OneWayLook) or look.way != "mirror":
        return look
    return replace(look, mirror_zero_m=(zero.inside_m, zero.behind_m), mirror_doubt_m=zero.doubt_m)


def _in_set_up(
    name: str,
    takes: Sequence[KeptEyeTake],
    by_id: Mapping[UUID, AnyLook],
    hand: Hand,
    zone: tuple[float, float] | None,
    errors: ReadingErrors,
) -> SetUpEyes:
    first = [by_id[it.id] for it in takes if it.reread_of is None]
    looks = [it for it in first if isinstance(it, EyeTake)]
    sides = [it for it in first if not isinstance(it, EyeTake)]
    pairs: list[tuple[EyeTake, EyeTake]] = []
    for it in takes:
        if it.reread_of is not None and it.reread_of in by_id:
            one, other = by_id[it.reread_of], by_id[it.id]
            if isinstance(one, EyeTake) and isinstance(other, EyeTake):
                pairs.append((one, other))
    # Read again here it is known here; else as two readers found it, once.
    error = reading_error_m(pairs, looks[-1].seen_m) if pairs and looks else _by_two(errors, looks)
    found = eye_place(looks, hand, zone, sides=sides, reading_m=error)
    return SetUpEyes(name, len(first), looks, found, eye_vial(first, found, zone), None)


def _moved(here: SetUpEyes, before: SetUpEyes) -> Estimate | None:
    now, was = (it.found.inside if it.found else None for it in (here, before))
    if now is None or was is None:
        return None
    return normal(now.value - was.value, math.hypot(now.sd, was.sd))


def _by_two(errors: ReadingErrors, looks: Sequence[EyeTake]) -> float | None:
    mm = errors.mm("mirror" if looks else "string")
    return mm / 1000 if mm else None


def _sizes(desk: Desk, session: Session, lesson_id: UUID, golfer_id: UUID, takes: Sequence[KeptEyeTake]) -> LookSizes:
    """The eye's height as this golfer was looked at last, ever; mirror and string as in this lesson."""
    plan = plan_now(desk, session, lesson_id)
    laid = {it.kind: it.sizes for it in entry_of(plan).aids} if plan else {}
    if plan and plan.rig_kind == "raised_string":
        # The string that is watched is the one that is looked along.
        height = {"string_height_m": plan.rig_sizes_m["string_height_m"]}
        laid = {"elevated_string": height} | laid
    string = lay("elevated_string", laid.get("elevated_string", {})).sizes()
    mirror = lay("ground_mirror", laid.get("ground_mirror", {})).sizes()
    strip = _strip(laid)
    usual = EyeTake(EyeMark(0.0, -0.03), EyeMark(0.0, 0.03))
    before = (
        select(EyeTakeRow)
        .join(LessonRow, (LessonRow.studio_id == EyeTakeRow.studio_id) & (LessonRow.id == EyeTakeRow.lesson_id))
        .where(EyeTakeRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id, EyeTakeRow.voided.is_(False))
        .order_by(EyeTakeRow.taken_at.desc())
        .limit(10)
    )
    ever = [look_of(value_of(KeptEyeTake, it)) for it in session.scalars(before)]
    heights = [it.eye_height_m for it in ever if isinstance(it, Shown | StringLook)]
    height = next(iter(heights), None)
    if height is None:
        height = mirror["eye_height_m"] if "ground_mirror" in laid else usual.eye_height_m
        height = string["eye_height_m"] if "elevated_string" in laid else height
    here = [look_of(it) for it in takes if not it.voided]
    read = next((it for it in reversed(here) if isinstance(it, Shown) and it.way == "mirror"), None)
    return LookSizes(
        eye_height_m=height,
        falls_in_percent=read.falls_in_percent if read else mirror["falls_in_percent"],
        falls_back_percent=read.falls_back_percent if read else 0.0,
        level_doubt_percent=read.level_doubt_percent if read else usual.level_doubt_percent,
        seen_m=read.seen_m if read else usual.seen_m,
        string_height_m=string["string_height_m"],
        lean_deg=string["lean_deg"],
        strip=strip.device if strip else None,
        turns_m=round(strip.turns_m, 4) if strip else USUAL_TURNS_M(),
    )


def _strip(laid: Mapping[str, Mapping[str, float]]) -> LightStrip | None:
    """The strip that is laid: from where it turns dark follows from its sizes."""
    strips = (lay(kind, sizes) for kind, sizes in laid.items() if kind.startswith("strip_"))
    return next((it for it in strips if isinstance(it, LightStrip)), None)


def zone_of(golfer: KeptGolfer, schools: Schools) -> tuple[float, float] | None:
    """Where this golfer's eyes are wanted, mm inside; None where no school says, or wherever straight is seen."""
    zone = schools.settings.eyes_mm
    if zone is None or golfer.eye_zone_mm is None:
        return zone
    return float(golfer.eye_zone_mm[0]), float(golfer.eye_zone_mm[1])


def look_of(take: KeptEyeTake) -> AnyLook:
    """A kept look in terms of core."""
    return LOOK.read(take.raw)
