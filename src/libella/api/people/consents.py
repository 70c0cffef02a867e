"""What golfers, or guardians, agreed to."""

from pydantic import BaseModel, Field

from ...core.people.consent import ASKED, Asked, By
from ...lessons.people import consents
from ...lessons.values import KeptConsent
from ...words.people.consents import NOT_ASKED, QUESTIONS, consent_said
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Moment

router = Router(tags=["consents"])


class ConsentIn(Entry):
    golfer_id: UUID
    asks: Asked
    given: bool = Field(description="false: refused, or withdrawn")
    by: By
    said_at: Moment


class AskedOut(BaseModel):
    """One question, and what stands of it."""

    asks: Asked
    name: str
    question: str = Field(description="as it is asked, in plain words")
    given: bool | None = Field(description="null: nobody asked yet")
    says: str


class ConsentsOut(BaseModel):
    minor: bool = Field(description="a guardian answers")
    asked: list[AskedOut]


@router.get("/golfers/{id}/consents")
def of_golfer(desk: AtDesk, id: UUID) -> ConsentsOut:
    """What was asked of a golfer, and what stands of it."""
    stands = consents.consent_of(desk, id)
    return ConsentsOut(minor=stands.minor, asked=[_asked(it, stands.answers.get(it)) for it in ASKED])


def _asked(asks: Asked, said: KeptConsent | None) -> AskedOut:
    name, question = QUESTIONS[asks]
    if said is None:
        return AskedOut(asks=asks, name=name, question=question, given=None, says=NOT_ASKED)
    says = consent_said(said.given, said.by, said.said_at)
    return AskedOut(asks=asks, name=name, question=question, given=said.given, says=says)


@router.put("/consents/{id}")
def keep(desk: AtDesk, id: UUID7, entry: ConsentIn) -> ConsentsOut:
    """Keep an answer; an earlier one to the same question stays in the record."""
    consents.keep_consent(desk, id, consents.ConsentEntry(**entry.model_dump()))
    return of_golfer(desk, entry.golfer_id)
