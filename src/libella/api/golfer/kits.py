"""What a golfer has in hand, as of a day."""

from dataclasses import asdict
from datetime import UTC, datetime

from pydantic import BaseModel, Field

from ...core.golfer.kit import NO_KIT, BallMark, Kit, changed
from ...lessons.golfer import changes, kits
from ...words.change import kit as words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment, VoidIn, Words80

router = Router(tags=["kit"])


class KitFields(Entry):
    """What is in hand; empty or null: not noted."""

    putter: Words80 = ""
    marks: Words80 = Field("", description="the marks on the putter")
    length_m: float | None = Field(None, description="in hand, 0.5 to 1.4")
    lie_deg: float | None = Field(None, description="55 to 85")
    loft_deg: float | None = Field(None, description="−2 to 10")
    head_g: float | None = Field(None, description="the head with its weights, g, 250 to 600")
    setting: Words80 = Field("", description="how its weights are set")
    ball: Words80 = ""
    ball_mark: BallMark = Field("", description="what is on the ball; empty: not noted")


class KitIn(KitFields):
    golfer_id: UUID
    since: Moment


class KitChangedOut(BaseModel):
    id: UUID
    since: datetime
    words: str


class KitOut(BaseModel):
    """What is in hand now, and since when what."""

    now: KitFields
    words: str
    history: list[KitChangedOut] = Field(description="newest first")


@router.get("/golfers/{id}/kit")
def of_golfer(desk: AtDesk, id: UUID, units: InUnits = "metric") -> KitOut:
    """What a golfer has in hand."""
    return _kit(kits.kits_of(desk, id), units)


@router.put("/kits/{id}")
def keep(desk: AtDesk, id: UUID7, entry: KitIn, units: InUnits = "metric") -> KitOut:
    """Keep what is in hand from a moment on."""
    kit = Kit(**entry.model_dump(exclude={"golfer_id", "since"}))
    before = kits.kit_at(kits.kits_of(desk, entry.golfer_id), entry.since)
    differs = changed(before, kit)
    said = words.changed_said(before, kit, differs, units) if differs else ""
    kits.keep_kit(desk, id, entry.golfer_id, kit, said, entry.since)
    return _kit(kits.kits_of(desk, entry.golfer_id), units)


@router.put("/kits/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> KitOut:
    """Take what was noted of a kit back, or bring it back."""
    golfer_id = changes.void_change(desk, id, entry.voided).golfer_id
    return _kit(kits.kits_of(desk, golfer_id), units)


def _kit(held: list[kits.InHand], units: InUnits) -> KitOut:
    now = kits.kit_at(held, datetime.now(UTC))
    befores = [NO_KIT, *(it.kit for it in held)]
    history = [
        KitChangedOut(id=it.id, since=it.since, words=words.changed_said(before, it.kit, it.changed, units))
        for before, it in zip(befores, held, strict=False)
        if it.changed
    ]
    return KitOut(now=KitFields(**asdict(now)), words=words.kit_said(now, units), history=history[::-1])
