"""The check for every day against a set-up card."""

from datetime import datetime

from pydantic import BaseModel, Field

from ...core.keep.quick_check import DIRECTIONS
from ...core.measure.units import Units
from ...core.see.eyes import EyeTake
from ...core.see.trial import Looks
from ...lessons.keep import quick_checks
from ...lessons.keep.quick_checks import CheckEntry, CheckSheet
from ...words.keep.quick_check import LINKS, alert_words, drift_word, drift_words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment
from ..see.eyes import EyeMarkIn

router = Router(tags=["quick checks"])


class QuickCheckIn(Entry):
    """What was looked at so far; parts may still be missing."""

    lesson_id: UUID
    card_id: UUID
    lead: EyeMarkIn | None = None
    trail: EyeMarkIn | None = None
    eye_height_m: float = Field(default=1.45, description="this golfer's, over the mirror")
    falls_in_percent: float = Field(default=0, description="the mirror's level, falling to the golfer positive")
    falls_back_percent: float = Field(default=0, description="falling away from the hole positive")
    level_doubt_percent: float = Field(default=0.1, description="how finely the level was read, standard deviation")
    square_m: float | None = Field(default=None, description="gap at the square reference, right end positive; ± 10 mm")
    answers: list[Looks] = Field(default_factory=list, max_length=DIRECTIONS)
    taken_at: Moment

    def entry(self) -> CheckEntry:
        eyes = None
        if self.lead and self.trail:
            eyes = EyeTake(
                self.lead.mark(),
                self.trail.mark(),
                eye_height_m=self.eye_height_m,
                falls_in_percent=self.falls_in_percent,
                falls_back_percent=self.falls_back_percent,
                level_doubt_percent=self.level_doubt_percent,
            )
        return CheckEntry(self.card_id, eyes, self.square_m, self.answers)


class DriftOut(BaseModel):
    """One link of the check against the card, in a word and a sentence."""

    what: str
    word: str
    drifted: bool
    words: str


class QuickCheckOut(BaseModel):
    """A check against its card."""

    id: UUID
    card_id: UUID
    taken_at: datetime
    eyes: bool
    square_m: float | None
    answers: list[str]
    angles: tuple[float, ...] = Field(description="true angles to ask, in order, degrees")
    drifts: list[DriftOut]
    alert: str
    drifted: bool = Field(description="something likely drifted")


@router.put("/quick-checks/{id}")
def check(desk: AtDesk, id: UUID7, entry: QuickCheckIn, units: InUnits = "metric") -> QuickCheckOut:
    """Keep what was looked at so far, and say how it stands against the card."""
    quick_checks.keep_check(desk, id, entry.lesson_id, entry.entry(), entry.taken_at)
    return _check(quick_checks.check_sheet(desk, id), units)


@router.get("/lessons/{id}/quick-checks")
def checks(desk: AtDesk, id: UUID, units: InUnits = "metric") -> list[QuickCheckOut]:
    """The checks of a lesson, newest first."""
    return [_check(it, units) for it in quick_checks.checks_of(desk, id)]


def _check(it: CheckSheet, units: Units) -> QuickCheckOut:
    return QuickCheckOut(
        id=it.check.id,
        card_id=it.check.card_id,
        taken_at=it.check.taken_at,
        eyes=it.entry.eyes is not None,
        square_m=it.entry.square_m,
        answers=list(it.entry.answers),
        angles=it.angles,
        drifts=[
            DriftOut(what=LINKS[one.what], word=drift_word(one), drifted=one.drifted, words=drift_words(one, units))
            for one in it.drifts
        ],
        alert=alert_words(it.drifts),
        drifted=any(one.drifted for one in it.drifts),
    )
