"""Who may come in, and who did what; what golfers agreed to, and who of them was deleted."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import BigInteger, ForeignKeyConstraint, Index, String, UniqueConstraint, func, text
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from ...core.people.consent import Asked, By, Why
from ...core.people.role import Role
from ...core.people.screen import View
from .base import Stored


class AccountRow(Stored):
    """Somebody who may sign in; without a passphrase not yet. Never deleted: what he did stands with his name."""

    __tablename__ = "account"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    """What he signs in with."""
    known_as: Mapped[str]
    """The same without capitals."""
    role: Mapped[Role] = mapped_column(String)
    golfer_id: Mapped[UUID | None]
    """Whose data a golfer's account shows."""
    passphrase: Mapped[str]
    """Its argon2 hash; empty until one was chosen."""
    preferences: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """Light, units, exaggeration, as the browser keeps them."""
    locked: Mapped[bool] = mapped_column(server_default=text("false"))
    made_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        UniqueConstraint("studio_id", "known_as"),
        Index(None, "studio_id", "golfer_id"),
    )


class SignInRow(Stored):
    """A browser that is signed in; it shows its token in a cookie."""

    __tablename__ = "sign_in"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    account_id: Mapped[UUID]
    token_hash: Mapped[str]
    device: Mapped[str]
    """What the browser says of itself, shortened."""
    begun_at: Mapped[datetime]
    seen_at: Mapped[datetime]
    """When it last asked, to a minute."""
    proved_at: Mapped[datetime] = mapped_column(server_default=func.now())
    """When the passphrase was last given on it."""
    ended_at: Mapped[datetime | None]
    lost: Mapped[bool] = mapped_column(server_default=text("false"))
    """Ended because the device is in other hands: what it keeps goes, and what it did not send is refused."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "account_id"], ["account.studio_id", "account.id"]),
        UniqueConstraint("studio_id", "token_hash"),
        Index(None, "studio_id", "account_id"),
    )


class OneTimeLinkRow(Stored):
    """A way in for somebody who has no passphrase yet, or none any more; good once."""

    __tablename__ = "one_time_link"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    account_id: Mapped[UUID]
    token_hash: Mapped[str]
    until: Mapped[datetime]
    used_at: Mapped[datetime | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "account_id"], ["account.studio_id", "account.id"]),
        UniqueConstraint("studio_id", "token_hash"),
        Index(None, "studio_id", "account_id"),
    )


class RecoveryCodeRow(Stored):
    """One of the codes written down for the day the passphrase is forgotten; good once."""

    __tablename__ = "recovery_code"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    account_id: Mapped[UUID]
    code_hash: Mapped[str]
    used_at: Mapped[datetime | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "account_id"], ["account.studio_id", "account.id"]),
        UniqueConstraint("studio_id", "code_hash"),
        Index(None, "studio_id", "account_id"),
    )


class PasskeyRow(Stored):
    """What a device signs with in place of a passphrase: the public half of it. Deleted where it is taken away."""

    __tablename__ = "passkey"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    account_id: Mapped[UUID]
    credential: Mapped[str]
    """By which the device knows it (WebAuthn: credential id, base64url)."""
    public_key: Mapped[bytes]
    """As COSE tells it."""
    signed: Mapped[int] = mapped_column(BigInteger)
    """How often it signed, where the device counts; one that counts backwards is a copy."""
    host: Mapped[str]
    """By which name it was made; it signs for no other."""
    device: Mapped[str]
    """What the browser says of itself, shortened."""
    made_at: Mapped[datetime]
    used_at: Mapped[datetime | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "account_id"], ["account.studio_id", "account.id"]),
        UniqueConstraint("studio_id", "credential"),
        Index(None, "studio_id", "account_id"),
    )


class PasskeyQuestionRow(Stored):
    """What a device is asked to sign: once, and soon."""

    __tablename__ = "passkey_question"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    challenge: Mapped[str]
    account_id: Mapped[UUID | None]
    """For whom a passkey is to be made; null: somebody wants to come in."""
    until: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        ForeignKeyConstraint(["studio_id", "account_id"], ["account.studio_id", "account.id"]),
        UniqueConstraint("studio_id", "challenge"),
        Index(None, "studio_id", "account_id"),
    )


class SignInTryRow(Stored):
    """A passphrase or code that was wrong; forgotten after a quarter of an hour."""

    __tablename__ = "sign_in_try"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    name_hash: Mapped[str]
    """Of the name that was told, which may be nobody's."""
    host: Mapped[str]
    at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        Index(None, "studio_id", "name_hash"),
        Index(None, "studio_id", "host"),
    )


class DeedRow(Stored):
    """What somebody who was signed in kept, changed or took away: written by the database itself, with every write."""

    __tablename__ = "deed"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True, server_default=text("gen_random_uuid()"))
    account_id: Mapped[UUID]
    what: Mapped[str]
    """kept, changed, deleted."""
    of_table: Mapped[str]
    row_id: Mapped[UUID]
    at: Mapped[datetime] = mapped_column(server_default=text("clock_timestamp()"))

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "account_id"], ["account.studio_id", "account.id"]),
        Index(None, "studio_id", "at", "id"),
        Index(None, "studio_id", "row_id"),
        Index(None, "studio_id", "account_id"),
    )


class ConsentRow(Stored):
    """What was asked of a golfer, or of a guardian, and what the answer was; the newest of each counts."""

    __tablename__ = "consent"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    asks: Mapped[Asked] = mapped_column(String)
    """See `core.people.consent.ASKED`."""
    given: Mapped[bool]
    """False where it was refused, or withdrawn."""
    by: Mapped[By] = mapped_column(String)
    """golfer, or guardian of a minor."""
    said_at: Mapped[datetime]
    """When it was said."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        Index(None, "studio_id", "golfer_id", "said_at"),
    )


class HandoverRow(Stored):
    """A lesson, or everything, that was kept under another golfer, and whose it is since."""

    __tablename__ = "handover"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    """Whose it is since."""
    former_id: Mapped[UUID]
    """Under whose id it was kept; whoever that is may be deleted since."""
    lesson_ids: Mapped[list[str]]
    """The lessons that came along: the sheets printed of them before name somebody else."""
    joined: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """Where both are one golfer: all that was noted of the other entry, which is no more; null where a lesson went."""
    came: Mapped[dict[str, Any]]
    """How many rows of each table came along."""
    made_at: Mapped[datetime]
    """When it was put right."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        Index(None, "studio_id", "golfer_id", "made_at"),
        Index(None, "studio_id", "former_id"),
    )


class RemovalRow(Stored):
    """A golfer of whom everything was deleted: nothing but the id is left, so that nothing brings them back."""

    __tablename__ = "removal"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    why: Mapped[Why] = mapped_column(String)
    """asked, or unseen for as long as the studio's rule says."""
    rows: Mapped[int]
    """How many were deleted."""
    at: Mapped[datetime]

    __table_args__ = (ForeignKeyConstraint(["studio_id"], ["studio.id"]), Index(None, "studio_id", "golfer_id"))


class RetentionRunRow(Stored):
    """What became of a look at who was not seen for as long as the studio's rule says."""

    __tablename__ = "retention_run"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    years: Mapped[int]
    looked_at: Mapped[int]
    """How many golfers there were."""
    removed: Mapped[int]
    at: Mapped[datetime]

    __table_args__ = (ForeignKeyConstraint(["studio_id"], ["studio.id"]), Index(None, "studio_id", "at"))


class ScreenRow(Stored):
    """A wall or a golfer's screen: let in by a key of its own, it shows what a coach sends to it and nothing else."""

    __tablename__ = "screen"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    key_hash: Mapped[str]
    """Of its link until that is taken, of its key from then on."""
    key_until: Mapped[datetime]
    taken_at: Mapped[datetime | None]
    seen_at: Mapped[datetime | None]
    """When it last asked, to a minute."""
    ended_at: Mapped[datetime | None]
    lesson_id: Mapped[UUID | None]
    """What it shows something of; null: nothing."""
    view: Mapped[View] = mapped_column(String)

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        UniqueConstraint("studio_id", "key_hash"),
        Index(None, "studio_id", "lesson_id"),
    )
