"""Signing in and out: a browser shows its token; guessing is slowed by account and by address."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Final
from uuid import UUID

import uuid6
from sqlalchemy import ColumnElement, and_, delete, func, or_, select, update

from ...store.tables import AccountRow, SignInRow, SignInTryRow
from ..desk.desk import Desk
from ..desk.problem import NotFound
from ..values import KeptAccount, KeptSignIn, value_of, values_of
from .accounts import by_name, end_all
from .secrets import hash_of, is_out_of_date, is_passphrase, new_token, passphrase_hash

IDLE: Final = timedelta(hours=12)
LONGEST: Final = timedelta(days=7)
"""Signed in no longer than that without being asked again, however often it is used."""
MOST_TRIES, MOST_TRIES_OF_HOST = 6, 30
TRIES_WITHIN: Final = timedelta(minutes=15)
PROVED_FOR: Final = timedelta(minutes=10)
"""Who gave the passphrase so lately is taken for himself where it matters most."""
_SEEN_EVERY: Final = timedelta(minutes=1)


class TooMany(Exception):
    """So many were wrong within a quarter of an hour that no more are looked at."""


@dataclass(frozen=True, slots=True)
class SignedIn:
    """Whoever asks: his account, and the sign-in by which he is known."""

    account: KeptAccount
    id: UUID
    proved_at: datetime
    """When the passphrase was last given there."""

    def is_proved(self, at: datetime) -> bool:
        return at - self.proved_at <= PROVED_FOR


def sign_in(desk: Desk, name: str, passphrase: str, host: str, at: datetime) -> KeptAccount | None:
    """The account, where that is its name and passphrase; None alike for a wrong one, for a name that is nobody's and
    for an account that is locked or not begun. `TooMany` before anything is looked at."""
    count_try(desk, name, host, at)
    with desk.transaction() as session:
        row = by_name(desk, session, name)
        kept = row.passphrase if row is not None and not row.locked else ""
    # Between two transactions: nobody waits for a hash that is meant to take long.
    if not is_passphrase(kept, passphrase) or row is None:
        return None
    forget_tries(desk, name, host)
    if is_out_of_date(kept):
        with desk.transaction() as session:
            session.get_one(AccountRow, (desk.studio_id, row.id)).passphrase = passphrase_hash(passphrase)
    return value_of(KeptAccount, row)


def begin(desk: Desk, account_id: UUID, device: str, at: datetime) -> str:
    """Sign a browser in; its token, told once."""
    token = new_token()
    with desk.transaction() as session:
        values = {"account_id": account_id, "token_hash": hash_of(token), "device": device[:120], "ended_at": None}
        desk.add(session, SignInRow, uuid6.uuid7(), **values, begun_at=at, seen_at=at, proved_at=at)
    return token


def signed_in(desk: Desk, token: str, at: datetime) -> SignedIn | None:
    """Whoever shows this token; None where it was ended, ran out, or never was."""
    with desk.transaction() as session:
        found = session.execute(
            select(SignInRow, AccountRow)
            .join(
                AccountRow,
                and_(AccountRow.studio_id == SignInRow.studio_id, AccountRow.id == SignInRow.account_id),
            )
            .where(SignInRow.studio_id == desk.studio_id, SignInRow.token_hash == hash_of(token), _stands(at))
        ).first()
        if found is None:
            return None
        row, account = found
        if account.locked:
            return None
        if at - row.seen_at > _SEEN_EVERY:
            session.execute(
                update(SignInRow)
                .where(SignInRow.studio_id == desk.studio_id, SignInRow.id == row.id)
                .values(seen_at=at)
            )
        return SignedIn(value_of(KeptAccount, account), row.id, row.proved_at)


def prove(desk: Desk, known: SignedIn, passphrase: str, host: str, at: datetime) -> bool:
    """Whether whoever is signed in there knows the passphrase in use; `TooMany` before anything is looked at."""
    count_try(desk, known.account.name, host, at)
    if not is_passphrase(known.account.passphrase, passphrase):
        return False
    forget_tries(desk, known.account.name, host)
    with desk.transaction() as session:
        desk.get(session, SignInRow, known.id, "sign_in", lock=True).proved_at = at
    return True


def is_locked_out(desk: Desk, token: str) -> bool:
    """Whether this token was that of an account which is locked now, or of a device that was lost: one in the wrong
    hands is told so."""
    with desk.transaction() as session:
        return bool(
            session.scalar(
                select(or_(AccountRow.locked, SignInRow.lost))
                .join(
                    SignInRow,
                    and_(AccountRow.studio_id == SignInRow.studio_id, AccountRow.id == SignInRow.account_id),
                )
                .where(SignInRow.studio_id == desk.studio_id, SignInRow.token_hash == hash_of(token))
            )
        )


def _stands(at: datetime) -> ColumnElement[bool]:
    return and_(SignInRow.ended_at.is_(None), SignInRow.seen_at > at - IDLE, SignInRow.begun_at > at - LONGEST)


def sign_ins_of(desk: Desk, account_id: UUID, at: datetime) -> Sequence[KeptSignIn]:
    """Where an account is signed in, the one seen last first."""
    with desk.transaction() as session:
        rows = session.scalars(
            select(SignInRow)
            .where(SignInRow.studio_id == desk.studio_id, SignInRow.account_id == account_id, _stands(at))
            .order_by(SignInRow.seen_at.desc())
        )
        return values_of(KeptSignIn, rows)


def end(desk: Desk, id: UUID, of: UUID, at: datetime, *, lost: bool = False) -> None:
    """Sign one browser of an account out, for good with all it keeps where it is lost; `NotFound` for another's."""
    with desk.transaction() as session:
        row = desk.get(session, SignInRow, id, "sign_in", lock=True)
        if row.account_id != of:
            raise NotFound("sign_in")
        row.ended_at = row.ended_at or at
        row.lost = row.lost or lost


def end_everywhere(desk: Desk, account_id: UUID, at: datetime) -> None:
    """Sign every browser of an account out."""
    with desk.transaction() as session:
        desk.get(session, AccountRow, account_id, "account")
        end_all(desk, session, account_id, at)


def count_try(desk: Desk, name: str, host: str, at: datetime) -> None:
    """Count it before it is looked at; `TooMany` where it is one too many for this name or this address."""
    hashed = hash_of(name.casefold())
    with desk.transaction() as session:
        # One after another: tries made at once must count each other.
        session.execute(select(func.pg_advisory_xact_lock(func.hashtextextended(f"signing in {desk.studio_id}", 0))))
        ours = SignInTryRow.studio_id == desk.studio_id
        session.execute(delete(SignInTryRow).where(ours, SignInTryRow.at <= at - TRIES_WITHIN))
        told = session.execute(
            select(SignInTryRow.name_hash, SignInTryRow.host).where(
                ours, or_(SignInTryRow.name_hash == hashed, SignInTryRow.host == host)
            )
        ).all()
        if sum(it.name_hash == hashed for it in told) >= MOST_TRIES:
            raise TooMany
        if sum(it.host == host for it in told) >= MOST_TRIES_OF_HOST:
            raise TooMany
        desk.add(session, SignInTryRow, uuid6.uuid7(), name_hash=hashed, host=host, at=at)


def forget_tries(desk: Desk, name: str, host: str) -> None:
    """It was right: what this address got wrong before counts no more."""
    with desk.transaction() as session:
        session.execute(
            delete(SignInTryRow).where(
                SignInTryRow.studio_id == desk.studio_id,
                SignInTryRow.name_hash == hash_of(name.casefold()),
                SignInTryRow.host == host,
            )
        )
