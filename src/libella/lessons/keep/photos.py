"""Photographs of how a golfer stands, lesson by lesson: beside each other, and with the cards kept there."""

from collections.abc import Sequence
from dataclasses import asdict, dataclass
from datetime import datetime
from typing import Final, Literal, get_args
from uuid import UUID

from sqlalchemy import select

from ...core.measure.limits import OutOfLimits
from ...store.tables import GolferRow, SetUpPhotoRow
from ..desk.desk import Desk
from ..lesson.lessons import open_lesson
from ..people.consents import check_not_refused
from ..values import KeptSetUpPhoto, value_of, values_of

SeenFrom = Literal["behind", "front", "above", "far_side"]
"""From behind the ball toward the hole, facing the golfer, from above, from beyond the hole."""
SEEN_FROM: Final[tuple[SeenFrom, ...]] = get_args(SeenFrom)
PAGE: Final = 24


@dataclass(frozen=True, slots=True)
class PhotoEntry:
    """A photograph of a lesson: from where it was taken, and when."""

    lesson_id: UUID
    seen_from: SeenFrom
    taken_at: datetime

    def __post_init__(self) -> None:
        if self.seen_from not in SEEN_FROM:
            raise OutOfLimits("seen_from", "no_such_choice", named=self.seen_from, known=SEEN_FROM)


def keep_photo(desk: Desk, id: UUID, entry: PhotoEntry, picture: bytes) -> KeptSetUpPhoto:
    """Keep a photograph as it comes from `exchange.photo`. Said twice it is one.

    Raises
    ------
    NotYet
        where the golfer, or the guardian, does not want to be photographed.
    """
    with desk.transaction() as session:
        lesson = open_lesson(desk, session, entry.lesson_id, entry.taken_at)
        told = asdict(entry)
        taken_at = told.pop("taken_at")
        row = desk.keep(
            session, SetUpPhotoRow, id, "photo", told,
            checked=lambda: check_not_refused(desk, session, lesson.golfer_id, "filming"),
            golfer_id=lesson.golfer_id, picture=picture, taken_at=taken_at,
        )  # fmt: skip
        return value_of(KeptSetUpPhoto, row)


def void_photo(desk: Desk, id: UUID, voided: bool) -> KeptSetUpPhoto:
    """Take a photograph away, or bring it back."""
    return desk.void(KeptSetUpPhoto, SetUpPhotoRow, id, "photo", voided)


def photos_of(desk: Desk, golfer_id: UUID) -> Sequence[KeptSetUpPhoto]:
    """A golfer's newest photographs, newest first, those taken away left out."""
    query = (
        select(SetUpPhotoRow)
        .where(
            SetUpPhotoRow.studio_id == desk.studio_id,
            SetUpPhotoRow.golfer_id == golfer_id,
            SetUpPhotoRow.voided.is_(False),
        )
        .order_by(SetUpPhotoRow.taken_at.desc(), SetUpPhotoRow.id.desc())
        .limit(PAGE)
    )
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        return values_of(KeptSetUpPhoto, session.scalars(query))


def picture_of(desk: Desk, id: UUID) -> bytes:
    """The picture itself, a JPEG."""
    with desk.transaction() as session:
        return desk.get(session, SetUpPhotoRow, id, "photo").picture
