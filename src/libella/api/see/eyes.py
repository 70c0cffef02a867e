"""Where the eyes are: looks in a mirror or by plumb, and where they are wanted."""

from collections.abc import Callable, Mapping
from datetime import datetime
from typing import Annotated, Final, Literal

from pydantic import BaseModel, Field

from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.instruments.light_strip import USUAL_TURNS_M, Device, Strip
from ...core.see.eyes import AnyLook, EyeMark, EyePlace, EyeTake
from ...core.see.one_way import OneWayLook, Told, Way
from ...core.see.side_look import Against, Covers, SideWay, StringLook, StripLook
from ...lessons.lesson.set_up_name import AS_USUAL
from ...lessons.see import eyes
from ...lessons.see.eyes import LookSizes, SightingEye, Taken, look_of
from ...lessons.values import KeptEyeTake
from ...words.see.eyes import eye_words, moved_words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment, VoidIn, Words80

router = Router(tags=["eyes"])


class EyeMarkIn(Entry):
    """Where one eye shows itself, or stands, m."""

    inside_m: float = Field(description="inside the line, towards the golfer positive", examples=[0.03])
    behind_m: float = Field(description="behind the ball, away from the hole positive", examples=[-0.03])

    def mark(self) -> EyeMark:
        return EyeMark(self.inside_m, self.behind_m)


class LookIn(Entry):
    """Whose look it is, and when it was taken."""

    lesson_id: UUID
    set_up: Words80 = Field(default=AS_USUAL, description="how the golfer stands, by its name in this lesson")
    station_id: UUID | None = Field(default=None, description="the plan it is taken on; null: the plan now")
    taken_at: Moment


class ShownIn(LookIn):
    """What a look by mirror or plumb is read with."""

    way: Way = "mirror"
    eye_height_m: float = Field(default=1.45, description="over the mirror; 0.8 to 2 m")
    falls_in_percent: float = Field(default=0, description="the mirror's level, falling to the golfer positive")
    falls_back_percent: float = Field(default=0, description="falling away from the hole positive")
    level_doubt_percent: float = Field(default=0.1, description="how finely the level was read, standard deviation")
    seen_m: float = Field(default=0.005, description="the spacing really read to")


class EyeTakeIn(ShownIn):
    """One look: both eyes, each marked with the other closed."""

    lead: EyeMarkIn = Field(description="the eye nearer the hole")
    trail: EyeMarkIn
    nose: EyeMarkIn | None = Field(default=None, description="where the nose shows itself; null: not marked")
    shoulders_deg: float | None = Field(default=None, description="the shoulders' line in the mirror, right positive")
    reread_of: UUID | None = Field(default=None, description="the look this one reads again, nothing having moved")

    def look(self) -> EyeTake:
        plain = self.model_dump(exclude={"reread_of", "lead", "trail", "nose", *LookIn.model_fields})
        return EyeTake(self.lead.mark(), self.trail.mark(), nose=self.nose.mark() if self.nose else None, **plain)


class OneWayIn(ShownIn):
    """A look by mirror or plumb at one way alone: the middle of both eyes, by a size or only on which side."""

    told: Told = Field(description="inside or outside the line or over it; or behind, ahead of or level with the ball")
    size_m: float | None = Field(default=None, description="how far, 0 to 0.3 m; null: the side alone was told")


class StringLookIn(LookIn):
    """What the sighting eye sees an upright string over the line cover."""

    way: Literal["string"] = "string"
    against: Against = Field(default="ball", description="what it is seen against: a line is split, or off to a side")
    covers: Covers = Field(description="where it seems to lie there")
    side: Literal["outside", "inside"] = "outside"
    string_height_m: float = Field(default=0.3, description="over the ground; 0.05 to 0.6 m")
    lean_deg: float = Field(default=0, description="its posts' lean to the golfer, planted on the line")
    eye_height_m: float = 1.45


class StripLookIn(LookIn):
    """What a strip on the line shows: light from over it, dark from either side."""

    way: Literal["strip"] = "strip"
    device: Device = Field(description="a bar over it, or a slot: the two read oppositely")
    seen: Strip
    turns_m: float = Field(
        default_factory=USUAL_TURNS_M, description="how far beside the line it turns dark; 1 to 100 mm"
    )


class EyeTakeOut(BaseModel):
    """A look as kept; a look at the side only is an interval, with None for an open end; `along` says of what."""

    id: UUID
    taken_at: datetime
    voided: bool
    reread_of: UUID | None
    set_up: str
    way: Way | SideWay
    inside_m: float | None = Field(description="mid-point of both eyes, corrected for the level")
    behind_m: float | None
    along: Literal["inside", "behind"]
    low_mm: float | None
    high_mm: float | None


class SetUpEyesOut(BaseModel):
    """What the looks of one set-up say."""

    name: str
    takes: int
    words: tuple[str, ...]
    vial: Vial
    moved: str = Field(description="how far from the set-up before, in words; empty for the first")


class EyesSheetOut(BaseModel):
    """The looks of a lesson and what they say: by set-up, and of the one looked at last."""

    takes: list[EyeTakeOut]
    set_ups: list[SetUpEyesOut]
    set_up: str = Field(description="the one looked at last")
    sizes: LookSizes = Field(description="what a look is read with, before anything is changed")
    found: EyePlace | None
    words: tuple[str, ...]
    vial: Vial
    mirror: Scene
    school: str = Field(description="the school held of where the eyes are; empty: none")
    zone_mm: tuple[float, float] | None
    sighting_eye: SightingEye = Field(description="empty while it is not known")


class WantedEyesIn(Entry):
    zone_mm: tuple[float, float] | None = Field(default=None, description="own edges, mm inside; null: the school's")
    sighting_eye: SightingEye | None = Field(default=None, description="null leaves what is noted")


@router.get("/lessons/{id}/eyes")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> EyesSheetOut:
    """The looks of a lesson."""
    sheet = eyes.eye_sheet(desk, id)
    return EyesSheetOut(
        takes=[_take_out(it) for it in sheet.takes],
        set_ups=[
            SetUpEyesOut(
                name=it.name,
                takes=it.takes,
                words=eye_words(it.found, units),
                vial=it.vial,
                moved=moved_words(it.moved, before.name, units) if before and it.moved else "",
            )
            for before, it in zip((None, *sheet.set_ups), sheet.set_ups, strict=False)
        ],
        set_up=sheet.now.name,
        sizes=sheet.sizes,
        found=sheet.found,
        words=eye_words(sheet.found, units),
        vial=sheet.vial,
        mirror=sheet.mirror,
        school=sheet.school,
        zone_mm=sheet.zone_mm,
        sighting_eye=sheet.sighting_eye,
    )


@router.put("/eye-takes/{id}")
def keep(desk: AtDesk, id: UUID7, entry: EyeTakeIn, units: InUnits = "metric") -> EyesSheetOut:
    """Keep one look."""
    eyes.keep_take(desk, id, entry.lesson_id, entry.look(), _taken(entry, entry.reread_of))
    return of_lesson(desk, entry.lesson_id, units)


@router.put("/eye-looks/{id}")
def keep_side(
    desk: AtDesk, id: UUID7, entry: Annotated[OneWayIn | StringLookIn | StripLookIn, Field(discriminator="way")],
    units: InUnits = "metric",
) -> EyesSheetOut:  # fmt: skip
    """Keep a look that tells the side only, or one way alone."""
    values = entry.model_dump(exclude={*LookIn.model_fields})
    eyes.keep_take(desk, id, entry.lesson_id, _LOOKS[type(entry)](**values), _taken(entry))
    return of_lesson(desk, entry.lesson_id, units)


@router.put("/eye-takes/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> EyesSheetOut:
    """Void a look, or restore it."""
    return of_lesson(desk, eyes.void_take(desk, id, entry.voided).lesson_id, units)


@router.put("/golfers/{id}/eyes")
def want(desk: AtDesk, id: UUID, entry: WantedEyesIn) -> WantedEyesIn:
    """Say where this golfer's eyes are wanted."""
    row = eyes.want_eyes(desk, id, entry.zone_mm, entry.sighting_eye)
    values = {"zone_mm": row.eye_zone_mm, "sighting_eye": row.sighting_eye}
    return WantedEyesIn.model_validate(values)


_LOOKS: Final[Mapping[type[LookIn], Callable[..., AnyLook]]] = {
    OneWayIn: OneWayLook,
    StringLookIn: StringLook,
    StripLookIn: StripLook,
}


def _taken(entry: LookIn, reread_of: UUID | None = None) -> Taken:
    return Taken(entry.taken_at, entry.set_up, entry.station_id, reread_of)


def _take_out(row: KeptEyeTake) -> EyeTakeOut:
    look = look_of(row)
    both = isinstance(look, EyeTake)
    behind = look.behind_mm if isinstance(look, OneWayLook) else None
    told = behind if behind is not None else look.inside_mm
    assert told is not None
    return EyeTakeOut(
        id=row.id,
        taken_at=row.taken_at,
        voided=row.voided,
        reread_of=row.reread_of,
        set_up=row.set_up,
        way=look.way,
        inside_m=look.inside_m if both else None,
        behind_m=look.behind_m if both else None,
        along="inside" if behind is None else "behind",
        low_mm=told.low_or_none,
        high_mm=told.high_or_none,
    )
