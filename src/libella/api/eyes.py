"""Where the eyes are: looks in a mirror or by plumb, and where they are wanted."""

from datetime import datetime

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ..core.drawing.scene import Scene
from ..core.drawing.vial import Vial
from ..core.eyes import ZONES, EyeMark, EyePlace, EyeTake, School, Way
from ..lessons import eyes
from ..lessons.eyes import look_of
from .shapes import UUID, UUID7, AtDesk, AwareDatetime, Entry, InUnits

router = APIRouter(tags=["eyes"])


class EyeMarkIn(Entry):
    """Where one eye shows itself, or stands, m."""

    inside_m: float = Field(description="inside the line, towards the golfer positive", examples=[0.03])
    behind_m: float = Field(description="behind the ball, away from the hole positive", examples=[-0.03])


class EyeTakeIn(Entry):
    """One look: both eyes, each marked with the other closed."""

    lesson_id: UUID
    lead: EyeMarkIn = Field(description="the eye nearer the hole")
    trail: EyeMarkIn
    way: Way = "mirror"
    eye_height_m: float = Field(default=1.45, description="over the mirror; 0.8 to 2 m")
    falls_in_percent: float = Field(default=0, description="the mirror's level, falling to the golfer positive")
    falls_back_percent: float = Field(default=0, description="falling away from the hole positive")
    level_doubt_percent: float = Field(default=0.1, description="how finely the level was read, standard deviation")
    seen_m: float = Field(default=0.005, description="the spacing really read to")
    taken_at: AwareDatetime

    def look(self) -> EyeTake:
        plain = self.model_dump(exclude={"lesson_id", "taken_at", "lead", "trail"})
        marks = {name: EyeMark(**getattr(self, name).model_dump()) for name in ("lead", "trail")}
        return EyeTake(**plain, **marks)


class EyeTakeOut(BaseModel):
    id: UUID
    taken_at: datetime
    voided: bool
    way: Way
    inside_m: float = Field(description="mid-point of both eyes, corrected for the level")
    behind_m: float


class EyesSheetOut(BaseModel):
    """The looks of a lesson and what they say."""

    takes: list[EyeTakeOut]
    found: EyePlace | None
    words: tuple[str, ...]
    vial: Vial
    mirror: Scene
    school: School
    zone_mm: tuple[float, float] | None
    schools: dict[School, tuple[float, float] | None] = Field(description="each school's own zone: opinions")


class WantedEyesIn(Entry):
    school: School
    zone_mm: tuple[float, float] | None = Field(default=None, description="own edges, mm inside; null: the school's")


class VoidTakeIn(Entry):
    voided: bool = True


@router.get("/lessons/{id}/eyes")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> EyesSheetOut:
    """The looks of a lesson."""
    sheet = eyes.eye_sheet(desk, id, units)
    return EyesSheetOut(
        takes=[
            EyeTakeOut(
                id=it.id,
                taken_at=it.taken_at,
                voided=it.voided,
                way=look_of(it).way,
                inside_m=look_of(it).inside_m,
                behind_m=look_of(it).behind_m,
            )
            for it in sheet.takes
        ],
        found=sheet.found,
        words=sheet.words,
        vial=sheet.vial,
        mirror=sheet.mirror,
        school=sheet.school,
        zone_mm=sheet.zone_mm,
        schools=ZONES,
    )


@router.put("/eye-takes/{id}")
def keep(desk: AtDesk, id: UUID7, entry: EyeTakeIn, units: InUnits = "metric") -> EyesSheetOut:
    """Keep one look."""
    eyes.keep_take(desk, id, entry.lesson_id, entry.look(), entry.taken_at)
    return of_lesson(desk, entry.lesson_id, units)


@router.put("/eye-takes/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidTakeIn, units: InUnits = "metric") -> EyesSheetOut:
    """Void a look, or restore it."""
    return of_lesson(desk, eyes.void_take(desk, id, entry.voided).lesson_id, units)


@router.put("/golfers/{id}/eyes")
def want(desk: AtDesk, id: UUID, entry: WantedEyesIn) -> WantedEyesIn:
    """Say where this golfer's eyes are wanted."""
    row = eyes.want_eyes(desk, id, entry.school, entry.zone_mm)
    return WantedEyesIn.model_validate({"school": row.eye_school, "zone_mm": row.eye_zone_mm})
