"""Accounts: made by the owner, begun by whoever it is for, locked, never deleted."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any, Final
from uuid import UUID

import uuid6
from sqlalchemy import delete, func, select, update
from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ...core.people.passphrase import checked_passphrase
from ...core.people.role import Role
from ...store.tables import (
    AccountRow,
    DeedRow,
    GolferRow,
    OneTimeLinkRow,
    PasskeyRow,
    RecoveryCodeRow,
    SignInRow,
    StudioRow,
)
from ..desk.desk import Desk
from ..desk.names import is_markup
from ..desk.problem import Conflict, NotFound
from ..values import KeptAccount, KeptDeed, value_of, values_of
from .secrets import code_hash, hash_of, new_code, new_token, passphrase_hash

LINK_LASTS: Final = timedelta(days=3)
_CODES: Final = 8
_LARGEST_PREFERENCES: Final = 20
PAGE: Final = 50


def accounts(desk: Desk) -> Sequence[KeptAccount]:
    """Everybody who may come in, or might once: the oldest first."""
    with desk.transaction() as session:
        rows = session.scalars(
            select(AccountRow).where(AccountRow.studio_id == desk.studio_id).order_by(AccountRow.made_at, AccountRow.id)
        )
        return values_of(KeptAccount, rows)


def keep_account(desk: Desk, id: UUID, name: str, role: Role, golfer_id: UUID | None) -> KeptAccount:
    """Make an account, or change its name and role; it is begun with a link. A golfer's is of a golfer."""
    if is_markup(name):
        raise OutOfLimits("name", "markup")
    if (role == "golfer") != (golfer_id is not None):
        raise OutOfLimits("golfer_id", "golfer_of_account")
    with desk.transaction() as session:
        if golfer_id is not None:
            desk.get(session, GolferRow, golfer_id, "golfer")
        _free(desk, session, name, id)
        told: Mapping[str, Any] = {"name": name, "known_as": name.casefold(), "role": role, "golfer_id": golfer_id}
        row, new = desk.add(session, AccountRow, id, **told, passphrase="")
        if not new:
            if row.role == "owner" and role != "owner":
                _keep_an_owner(desk, session, id)
            if row.role != role or row.golfer_id != golfer_id:
                # Whoever may do less from now on does so at once, wherever he is signed in.
                end_all(desk, session, id)
            row.name, row.known_as, row.role, row.golfer_id = name, name.casefold(), role, golfer_id
        return value_of(KeptAccount, row)


def lock_account(desk: Desk, id: UUID, locked: bool, at: datetime) -> KeptAccount:
    """Let nobody in by it any more, or again; what he did stands."""
    with desk.transaction() as session:
        row = desk.get(session, AccountRow, id, "account", lock=True)
        if locked and row.role == "owner":
            _keep_an_owner(desk, session, id)
        row.locked = locked
        if locked:
            end_all(desk, session, id, at)
        return value_of(KeptAccount, row)


def keep_preferences(desk: Desk, id: UUID, told: Mapping[str, str]) -> KeptAccount:
    """How somebody likes to see things, wherever he signs in."""
    if len(told) > _LARGEST_PREFERENCES:
        raise OutOfLimits("preferences", "too_many_preferences", most=_LARGEST_PREFERENCES)
    with desk.transaction() as session:
        row = desk.get(session, AccountRow, id, "account", lock=True)
        row.preferences = dict(told)
        return value_of(KeptAccount, row)


def new_link(desk: Desk, account_id: UUID, at: datetime, lasts: timedelta = LINK_LASTS) -> tuple[str, datetime]:
    """A way in for an account that has no passphrase yet, or none any more: good once, until the time told with it.
    Links made before it are good no more."""
    token = new_token()
    with desk.transaction() as session:
        row = desk.get(session, AccountRow, account_id, "account", lock=True)
        if row.locked:
            raise Conflict("account_locked", name=row.name)
        _spend_links(desk, session, account_id, at)
        values = {"account_id": account_id, "token_hash": hash_of(token), "until": at + lasts, "used_at": None}
        desk.add(session, OneTimeLinkRow, uuid6.uuid7(), **values)
    return token, at + lasts


def account_behind(desk: Desk, token: str, at: datetime) -> KeptAccount:
    """Whom a link is for; `NotFound` for one that was used, ran out, or never was."""
    with desk.transaction() as session:
        return value_of(KeptAccount, _behind(desk, session, token, at)[1])


@dataclass(frozen=True, slots=True)
class Named:
    """How whoever begins a studio calls it, and himself."""

    studio: str
    name: str


def is_begun(desk: Desk) -> bool:
    """Whether anybody chose a passphrase here yet: the one who does so first begins the studio."""
    with desk.transaction() as session:
        return _is_begun(desk, session)


def begin_account(
    desk: Desk, token: str, passphrase: str, at: datetime, named: Named | None = None
) -> tuple[KeptAccount, Sequence[str]]:
    """Take a link: choose a passphrase; the second item are the recovery codes, told once. Whoever is signed in by this
    account is signed out, and its passkeys open nothing any more. Who begins the studio names it, and himself."""
    with desk.transaction() as session:
        link, row = _behind(desk, session, token, at)
        _drop_passkeys(desk, session, row.id)
        if named is not None:
            if _is_begun(desk, session):
                raise Conflict("studio_begun")
            _free(desk, session, named.name, row.id)
            row.name, row.known_as = named.name, named.name.casefold()
            session.get_one(StudioRow, desk.studio_id).name = named.studio
        told = _with_passphrase(desk, session, row, passphrase, at)
        link.used_at = at
        return value_of(KeptAccount, row), told


def change_passphrase(desk: Desk, id: UUID, passphrase: str, at: datetime) -> tuple[KeptAccount, Sequence[str]]:
    """Another passphrase and other recovery codes; everybody who is signed in by this account is signed out."""
    with desk.transaction() as session:
        row = desk.get(session, AccountRow, id, "account", lock=True)
        return value_of(KeptAccount, row), _with_passphrase(desk, session, row, passphrase, at)


def spend_code(desk: Desk, name: str, code: str, at: datetime) -> KeptAccount | None:
    """The account of that name, where the code is one of its own that was not used; it is used then, and the account's
    passkeys open nothing any more."""
    with desk.transaction() as session:
        row = by_name(desk, session, name)
        found = None
        if row is not None and not row.locked:
            found = session.scalar(
                update(RecoveryCodeRow)
                .where(
                    RecoveryCodeRow.studio_id == desk.studio_id,
                    RecoveryCodeRow.account_id == row.id,
                    RecoveryCodeRow.code_hash == code_hash(code),
                    RecoveryCodeRow.used_at.is_(None),
                )
                .values(used_at=at)
                .returning(RecoveryCodeRow.id)
            )
        if row is None or not found:
            return None
        _drop_passkeys(desk, session, row.id)
        return value_of(KeptAccount, row)


def first_owner(desk: Desk, at: datetime, lasts: timedelta) -> str | None:
    """The link that begins a studio of which nobody has an account yet; None where somebody has begun his."""
    with desk.together() as whole, whole.transaction() as session:
        desk.locked_studio(session)
        if _is_begun(whole, session):
            return None
        owner = session.scalar(
            select(AccountRow).where(AccountRow.studio_id == desk.studio_id, AccountRow.role == "owner").limit(1)
        )
        id = owner.id if owner else uuid6.uuid7()
        if owner is None:
            whole.add(
                session, AccountRow, id, name="Owner", known_as="owner", role="owner", golfer_id=None, passphrase=""
            )
        return new_link(whole, id, at, lasts)[0]


def deeds(desk: Desk, before: tuple[datetime, UUID] | None, account_id: UUID | None) -> Sequence[KeptDeed]:
    """Who did what, the newest first, a page of it: those before the last one seen, of one account where asked."""
    with desk.transaction() as session:
        asked = select(DeedRow).where(DeedRow.studio_id == desk.studio_id)
        if account_id is not None:
            asked = asked.where(DeedRow.account_id == account_id)
        if before is not None:
            at, id = before
            asked = asked.where((DeedRow.at < at) | ((DeedRow.at == at) & (DeedRow.id < id)))
        return values_of(KeptDeed, session.scalars(asked.order_by(DeedRow.at.desc(), DeedRow.id.desc()).limit(PAGE)))


def by_name(desk: Desk, session: Session, name: str) -> AccountRow | None:
    """The account somebody signs in with; capitals are no part of a name."""
    return session.scalar(
        select(AccountRow).where(AccountRow.studio_id == desk.studio_id, AccountRow.known_as == name.casefold())
    )


def end_all(desk: Desk, session: Session, account_id: UUID, at: datetime | None = None) -> None:
    """Sign it out everywhere."""
    session.execute(
        update(SignInRow)
        .where(SignInRow.studio_id == desk.studio_id, SignInRow.account_id == account_id, SignInRow.ended_at.is_(None))
        .values(ended_at=at or func.now())
    )


def _with_passphrase(desk: Desk, session: Session, row: AccountRow, told: str, at: datetime) -> Sequence[str]:
    studio = session.get_one(StudioRow, desk.studio_id)
    row.passphrase = passphrase_hash(checked_passphrase(told, [row.name, studio.name, studio.coach, "libella"]))
    end_all(desk, session, row.id, at)
    _spend_links(desk, session, row.id, at)
    session.execute(
        update(RecoveryCodeRow)
        .where(
            RecoveryCodeRow.studio_id == desk.studio_id,
            RecoveryCodeRow.account_id == row.id,
            RecoveryCodeRow.used_at.is_(None),
        )
        .values(used_at=at)
    )
    codes = [new_code() for _ in range(_CODES)]
    for code in codes:
        values = {"account_id": row.id, "code_hash": code_hash(code), "used_at": None}
        desk.add(session, RecoveryCodeRow, uuid6.uuid7(), **values)
    return codes


def _behind(desk: Desk, session: Session, token: str, at: datetime) -> tuple[OneTimeLinkRow, AccountRow]:
    link = session.scalar(
        select(OneTimeLinkRow)
        .where(
            OneTimeLinkRow.studio_id == desk.studio_id,
            OneTimeLinkRow.token_hash == hash_of(token),
            OneTimeLinkRow.used_at.is_(None),
            OneTimeLinkRow.until > at,
        )
        .with_for_update()
    )
    if link is None:
        raise NotFound("link")
    row = desk.get(session, AccountRow, link.account_id, "account", lock=True)
    if row.locked:
        raise NotFound("link")
    return link, row


def _is_begun(desk: Desk, session: Session) -> bool:
    begun = select(AccountRow.id).where(AccountRow.studio_id == desk.studio_id, AccountRow.passphrase != "")
    return session.scalar(begun.limit(1)) is not None


def _drop_passkeys(desk: Desk, session: Session, account_id: UUID) -> None:
    """Whoever had to come in another way begins anew: in whose hands the other ways are nobody knows."""
    session.execute(
        delete(PasskeyRow).where(PasskeyRow.studio_id == desk.studio_id, PasskeyRow.account_id == account_id)
    )


def _spend_links(desk: Desk, session: Session, account_id: UUID, at: datetime) -> None:
    session.execute(
        update(OneTimeLinkRow)
        .where(
            OneTimeLinkRow.studio_id == desk.studio_id,
            OneTimeLinkRow.account_id == account_id,
            OneTimeLinkRow.used_at.is_(None),
        )
        .values(used_at=at)
    )


def _free(desk: Desk, session: Session, name: str, id: UUID) -> None:
    # One after another: two of one name at once must not both be made.
    desk.locked_studio(session)
    known = by_name(desk, session, name)
    if known is not None and known.id != id:
        raise Conflict("account_name", name=name)


def _keep_an_owner(desk: Desk, session: Session, id: UUID) -> None:
    others = session.scalar(
        select(AccountRow.id)
        .where(
            AccountRow.studio_id == desk.studio_id,
            AccountRow.id != id,
            AccountRow.role == "owner",
            AccountRow.locked.is_(False),
            AccountRow.passphrase != "",
        )
        .limit(1)
    )
    if others is None:
        raise Conflict("last_owner")
