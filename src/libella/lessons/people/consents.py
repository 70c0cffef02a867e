"""What golfers, or guardians, agreed to: asked, dated, withdrawn."""

from dataclasses import asdict, dataclass
from datetime import datetime
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ...core.people.consent import ASKED, Asked, By, Consent, may_answer, standing
from ...store.tables import ConsentRow, GolferRow
from ..desk.desk import Desk
from ..desk.problem import NotYet
from ..values import KeptConsent, value_of, values_of


def consent_of(desk: Desk, golfer_id: UUID) -> Consent[KeptConsent]:
    """What stands of a golfer's answers."""
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        return _standing(desk, session, golfer_id)


@dataclass(frozen=True, slots=True)
class ConsentEntry:
    """An answer: what was asked, whether it was agreed to, by whom, when it was said."""

    golfer_id: UUID
    asks: Asked
    given: bool
    by: By
    said_at: datetime

    def __post_init__(self) -> None:
        if self.asks not in ASKED:
            raise OutOfLimits("asks", "no_such_choice", named=self.asks, known=ASKED)


def keep_consent(desk: Desk, id: UUID, entry: ConsentEntry) -> KeptConsent:
    """Keep an answer. Said twice it is one; a later one takes its place and leaves it in the record.

    Raises
    ------
    NotYet
        where a minor agrees to something: the guardian has to.
    """
    with desk.transaction() as session:
        desk.get(session, GolferRow, entry.golfer_id, "golfer")

        def checked() -> None:
            if not may_answer(_standing(desk, session, entry.golfer_id), entry.asks, entry.by, entry.given):
                raise NotYet("guardian_answers")

        told = asdict(entry)
        said_at = told.pop("said_at")
        row = desk.keep(session, ConsentRow, id, "consent", told, checked=checked, said_at=said_at)
        return value_of(KeptConsent, row)


def check_not_refused(desk: Desk, session: Session, golfer_id: UUID, asks: Asked) -> None:
    """Raise `NotYet` where this was refused, or withdrawn."""
    if _standing(desk, session, golfer_id).refused(asks):
        raise NotYet(f"refused_{asks}")


def _standing(desk: Desk, session: Session, golfer_id: UUID) -> Consent[KeptConsent]:
    query = select(ConsentRow).where(ConsentRow.studio_id == desk.studio_id, ConsentRow.golfer_id == golfer_id)
    return standing(values_of(KeptConsent, session.scalars(query.order_by(ConsentRow.said_at, ConsentRow.id))))
