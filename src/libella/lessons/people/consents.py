"""What golfers, or guardians, agreed to: asked, dated, withdrawn."""

from collections.abc import Sequence
from datetime import datetime
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ...core.people.consent import ASKED, Asked, By, Consent, Said, may_answer, standing
from ...store.tables import ConsentRow, GolferRow
from ..desk.desk import Desk
from ..desk.problem import NotYet
from ..values import KeptConsent, value_of, values_of


def consents_of(desk: Desk, golfer_id: UUID) -> Sequence[KeptConsent]:
    """Every answer of a golfer, newest first."""
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        return values_of(KeptConsent, _rows(desk, session, golfer_id))


def consent_of(said: Sequence[KeptConsent]) -> Consent:
    """What stands of them, told newest first."""
    return standing([Said(it.asks, it.given, it.by) for it in reversed(said)])


def keep_consent(
    desk: Desk, id: UUID, golfer_id: UUID, asks: Asked, given: bool, by: By, said_at: datetime
) -> KeptConsent:
    """Keep an answer. Said twice it is one; a later one takes its place and leaves it in the record.

    Raises
    ------
    NotYet
        where a minor agrees to something: the guardian has to.
    """
    if asks not in ASKED:
        raise OutOfLimits("asks", "no_such_choice", named=asks, known=ASKED)
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")

        def checked() -> None:
            stands = consent_of(values_of(KeptConsent, _rows(desk, session, golfer_id)))
            if not may_answer(stands, asks, by, given):
                raise NotYet("guardian_answers")

        told = {"golfer_id": golfer_id, "asks": asks, "given": given, "by": by}
        row = desk.keep(session, ConsentRow, id, "consent", told, checked=checked, said_at=said_at)
        return value_of(KeptConsent, row)


def check_not_refused(desk: Desk, session: Session, golfer_id: UUID, asks: Asked) -> None:
    """Raise `NotYet` where this was refused, or withdrawn."""
    if consent_of(values_of(KeptConsent, _rows(desk, session, golfer_id))).refused(asks):
        raise NotYet(f"refused_{asks}")


def _rows(desk: Desk, session: Session, golfer_id: UUID) -> Sequence[ConsentRow]:
    query = select(ConsentRow).where(ConsentRow.studio_id == desk.studio_id, ConsentRow.golfer_id == golfer_id)
    return session.scalars(query.order_by(ConsentRow.said_at.desc(), ConsentRow.id.desc())).all()
