"""Who may come in, as the owner sees it: accounts, links for them, and who did what."""

from datetime import UTC, datetime
from typing import Annotated, Self

from fastapi import Query
from pydantic import BaseModel, Field

from ...core.people.role import Role
from ...lessons.desk.desk import Desk
from ...lessons.golfer.golfers import golfer
from ...lessons.people import accounts
from ...lessons.values import KeptAccount
from ...words.people.accounts import ROLES, deed_said
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Page, ShortWords, Words200, cursor, opened
from .front import picture_of
from .session import AccountOut, account_out

router = Router(tags=["accounts"])


class AccountIn(Entry):
    name: ShortWords
    role: Role
    golfer_id: UUID | None = Field(default=None, description="whose data a golfer's account shows")


class LockedIn(Entry):
    locked: bool


class LinkForIn(Entry):
    address: Annotated[str, Field(max_length=300, pattern=r"^https?://[^\s<>\"]+$")] = Field(
        description="where the page that takes links is opened; the link itself is added after a #"
    )


class AccountRowOut(BaseModel):
    """An account as the owner sees it."""

    account: AccountOut
    role_says: str
    golfer: str = Field(description="whose data a golfer's account shows; empty for every other")
    begun: bool = Field(description="a passphrase was chosen")
    locked: bool


class RoleOut(BaseModel):
    role: Role
    name: str
    says: str


class AccountsOut(BaseModel):
    accounts: list[AccountRowOut]
    roles: list[RoleOut] = Field(description="what can be chosen")


class LinkForOut(BaseModel):
    """A one-time link, and the same as a picture to be held before a camera (SVG)."""

    link: str
    picture: str
    until: datetime

    @classmethod
    def to(cls, address: str, token: str, until: datetime) -> Self:
        """What lets in stands after the #: in no log."""
        link = f"{address}#{token}"
        return cls(link=link, picture=picture_of(link), until=until)


class DeedOut(BaseModel):
    id: UUID
    account_id: UUID
    who: str
    words: str
    row_id: UUID
    at: datetime


@router.get("/accounts")
def everybody(desk: AtDesk) -> AccountsOut:
    """Everybody who may come in."""
    return AccountsOut(
        accounts=[_row(desk, it) for it in accounts.accounts(desk)],
        roles=[RoleOut(role=role, name=name, says=says) for role, (name, says) in ROLES.items()],
    )


@router.put("/accounts/{id}")
def keep(desk: AtDesk, id: UUID7, entry: AccountIn) -> AccountRowOut:
    """Make an account, or change its name and role."""
    return _row(desk, accounts.keep_account(desk, id, entry.name, entry.role, entry.golfer_id))


@router.put("/accounts/{id}/locked")
def lock(desk: AtDesk, id: UUID, entry: LockedIn) -> AccountRowOut:
    """Let nobody in by it any more, and sign it out everywhere; or let it in again."""
    return _row(desk, accounts.lock_account(desk, id, entry.locked, datetime.now(UTC)))


@router.put("/accounts/{id}/link")
def link(desk: AtDesk, id: UUID, entry: LinkForIn) -> LinkForOut:
    """A link by which its owner chooses a passphrase; those before it are good no more."""
    token, until = accounts.new_link(desk, id, datetime.now(UTC))
    return LinkForOut.to(entry.address, token, until)


class DeedsOut(Page):
    items: list[DeedOut]


@router.get("/deeds")
def deeds(desk: AtDesk, after: Words200 = "", account: UUID | None = Query(default=None)) -> DeedsOut:
    """Who did what, the newest first, page by page."""
    names = {it.id: it.name for it in accounts.accounts(desk)}
    before = opened(after, datetime.fromisoformat, UUID)
    found = accounts.deeds(desk, before, account)
    return DeedsOut(
        items=[
            DeedOut(
                id=it.id,
                account_id=it.account_id,
                who=names[it.account_id],
                words=deed_said(it.what, it.of_table),
                row_id=it.row_id,
                at=it.at,
            )
            for it in found
        ],
        next=cursor(found[-1].at.isoformat(), found[-1].id) if len(found) == accounts.PAGE else None,
    )


def _row(desk: Desk, it: KeptAccount) -> AccountRowOut:
    return AccountRowOut(
        account=account_out(it),
        role_says=ROLES[it.role][1],
        golfer=golfer(desk, it.golfer_id).name if it.golfer_id else "",
        begun=bool(it.passphrase),
        locked=it.locked,
    )
