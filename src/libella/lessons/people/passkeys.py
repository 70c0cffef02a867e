"""Passkeys: a device signs what it was asked, in place of a passphrase. Its owner showed it face, finger or code first.

Source: W3C Web Authentication, level 2; what is signed is read and checked by `webauthn`.
"""

import json
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any, Final, TypeVar
from uuid import UUID

import uuid6
from sqlalchemy import delete, select
from sqlalchemy.orm import Session
from webauthn import (
    generate_authentication_options,
    generate_registration_options,
    options_to_json,
    verify_authentication_response,
    verify_registration_response,
)
from webauthn.helpers import base64url_to_bytes, bytes_to_base64url
from webauthn.helpers.exceptions import WebAuthnException
from webauthn.helpers.structs import (
    AuthenticatorSelectionCriteria,
    PublicKeyCredentialDescriptor,
    ResidentKeyRequirement,
    UserVerificationRequirement,
)

from ...store.tables import AccountRow, PasskeyQuestionRow, PasskeyRow, SignInRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, NotFound
from ..values import KeptAccount, KeptPasskey, value_of, values_of
from .sign_ins import SignedIn

ANSWERED_WITHIN: Final = timedelta(minutes=5)
_MOST: Final = 10
_VERIFIED: Final = UserVerificationRequirement.REQUIRED
"""It stands in place of a passphrase: that somebody held the device is not enough."""
Told = Mapping[str, Any]
"""As browsers tell it (WebAuthn: the JSON of a public key credential)."""
Options = dict[str, Any]
"""As browsers take it (WebAuthn: the JSON of its options)."""
_Found = TypeVar("_Found")


@dataclass(frozen=True, slots=True)
class Opened:
    """By which name Libella is opened in that browser, and the whole origin of its pages."""

    host: str
    origin: str


@dataclass(frozen=True, slots=True)
class Made:
    """What a browser told of a passkey it made, and for whom."""

    account_id: UUID
    told: Told
    device: str
    """What the browser says of itself."""


def ask_to_make(desk: Desk, account: KeptAccount, opened: Opened, at: datetime) -> Options:
    """What a browser is told to make a passkey of this account; one it has already is not made twice."""
    known = passkeys_of(desk, account.id)
    if len(known) >= _MOST:
        raise Conflict("passkeys", most=_MOST)
    options = generate_registration_options(
        rp_id=opened.host,
        rp_name="Libella",
        user_id=str(account.id).encode(),
        user_name=account.name,
        authenticator_selection=AuthenticatorSelectionCriteria(
            resident_key=ResidentKeyRequirement.REQUIRED, user_verification=_VERIFIED
        ),
        exclude_credentials=[
            PublicKeyCredentialDescriptor(base64url_to_bytes(it.credential)) for it in known if it.host == opened.host
        ],
    )
    _ask(desk, options.challenge, account.id, at)
    return json.loads(options_to_json(options))


def ask_to_sign(desk: Desk, opened: Opened, at: datetime) -> Options:
    """What a browser is told to sign with whichever passkey there is; of whom there are any it says nothing."""
    options = generate_authentication_options(rp_id=opened.host, user_verification=_VERIFIED)
    _ask(desk, options.challenge, None, at)
    return json.loads(options_to_json(options))


def keep_passkey(desk: Desk, id: UUID, made: Made, opened: Opened, at: datetime) -> KeptPasskey:
    """Take a passkey that a browser made; `Conflict` where it is none that was asked for, or its id is another's."""
    challenge = _asked(desk, made.told, made.account_id, at)
    found = challenge and _read(
        lambda: verify_registration_response(
            credential=dict(made.told),
            expected_challenge=challenge,
            expected_rp_id=opened.host,
            expected_origin=opened.origin,
            require_user_verification=True,
        )
    )
    if not found:
        raise Conflict("passkey_not_made")
    credential = bytes_to_base64url(found.credential_id)
    told = {"public_key": found.credential_public_key, "signed": found.sign_count, "host": opened.host}
    with desk.transaction() as session:
        if _row(desk, session, credential) is not None:
            raise Conflict("passkey_not_made")
        values = told | {"account_id": made.account_id, "credential": credential, "device": made.device[:120]}
        row, new = desk.add(session, PasskeyRow, id, **values, made_at=at, used_at=None)
        if not new:
            raise Conflict("passkey_not_made")
        return value_of(KeptPasskey, row)


def passkeys_of(desk: Desk, account_id: UUID) -> Sequence[KeptPasskey]:
    """The passkeys of an account, the newest first."""
    with desk.transaction() as session:
        rows = session.scalars(
            select(PasskeyRow)
            .where(PasskeyRow.studio_id == desk.studio_id, PasskeyRow.account_id == account_id)
            .order_by(PasskeyRow.made_at.desc(), PasskeyRow.id)
        )
        return values_of(KeptPasskey, rows)


def drop_passkey(desk: Desk, id: UUID, of: UUID) -> None:
    """Take one away: it opens nothing from now on; `NotFound` for another's."""
    with desk.transaction() as session:
        row = desk.get(session, PasskeyRow, id, "passkey", lock=True)
        if row.account_id != of:
            raise NotFound("passkey")
        session.delete(row)


def sign_in(desk: Desk, told: Told, opened: Opened, at: datetime) -> KeptAccount | None:
    """The account whose passkey signed what was asked lately; None alike for one that is nobody's, a signature that is
    not right, and an account that is locked."""
    challenge = _asked(desk, told, None, at)
    with desk.transaction() as session:
        row = _signed_by(desk, session, told, challenge, opened, at)
        account = session.get_one(AccountRow, (desk.studio_id, row.account_id)) if row is not None else None
        return value_of(KeptAccount, account) if account is not None and not account.locked else None


def prove(desk: Desk, known: SignedIn, told: Told, opened: Opened, at: datetime) -> bool:
    """Whether whoever is signed in there has a passkey of the same account at hand."""
    challenge = _asked(desk, told, None, at)
    with desk.transaction() as session:
        row = _signed_by(desk, session, told, challenge, opened, at)
        if row is None or row.account_id != known.account.id:
            return False
        desk.get(session, SignInRow, known.id, "sign_in", lock=True).proved_at = at
        return True


def _signed_by(
    desk: Desk, session: Session, told: Told, challenge: bytes | None, opened: Opened, at: datetime
) -> PasskeyRow | None:
    row = _row(desk, session, str(told.get("id", "")), lock=True)
    if not challenge or row is None or row.host != opened.host:
        return None
    signed, public_key = row.signed, row.public_key
    found = _read(
        lambda: verify_authentication_response(
            credential=dict(told),
            expected_challenge=challenge,
            expected_rp_id=opened.host,
            expected_origin=opened.origin,
            credential_public_key=public_key,
            credential_current_sign_count=signed,
            require_user_verification=True,
        )
    )
    if found is None:
        return None
    row.signed, row.used_at = found.new_sign_count, at
    return row


def _read(look: Callable[[], _Found]) -> _Found | None:
    """What was signed, checked; None for anything that is not right, or can't be read."""
    try:
        return look()
    except (WebAuthnException, ValueError, TypeError, KeyError, AttributeError):
        return None


def _ask(desk: Desk, challenge: bytes, account_id: UUID | None, at: datetime) -> None:
    with desk.transaction() as session:
        session.execute(
            delete(PasskeyQuestionRow).where(
                PasskeyQuestionRow.studio_id == desk.studio_id, PasskeyQuestionRow.until <= at
            )
        )
        values = {"challenge": bytes_to_base64url(challenge), "account_id": account_id, "until": at + ANSWERED_WITHIN}
        desk.add(session, PasskeyQuestionRow, uuid6.uuid7(), **values)


def _asked(desk: Desk, told: Told, account_id: UUID | None, at: datetime) -> bytes | None:
    """What was asked lately, and of whom; it is not asked again, whatever the answer is worth."""
    said = _read(lambda: json.loads(base64url_to_bytes(told["response"]["clientDataJSON"]))["challenge"])
    if not isinstance(said, str):
        return None
    with desk.transaction() as session:
        found = session.scalar(
            delete(PasskeyQuestionRow)
            .where(
                PasskeyQuestionRow.studio_id == desk.studio_id,
                PasskeyQuestionRow.challenge == said,
                PasskeyQuestionRow.account_id.is_not_distinct_from(account_id),
                PasskeyQuestionRow.until > at,
            )
            .returning(PasskeyQuestionRow.challenge)
        )
    return base64url_to_bytes(found) if found else None


def _row(desk: Desk, session: Session, credential: str, *, lock: bool = False) -> PasskeyRow | None:
    asked = select(PasskeyRow).where(PasskeyRow.studio_id == desk.studio_id, PasskeyRow.credential == credential)
    return session.scalar(asked.with_for_update() if lock else asked)
