"""Signing in and out, and what somebody sees and changes of his own account."""

from datetime import UTC, datetime
from typing import Annotated, Any

from fastapi import Query, Request, Response
from pydantic import BaseModel, Field, StringConstraints

from ...core.measure.limits import OutOfLimits
from ...core.people.role import Role
from ...lessons.desk.desk import Desk, studio
from ...lessons.people import accounts, sign_ins
from ...lessons.people.secrets import is_passphrase
from ...lessons.values import KeptAccount
from ...words.people.accounts import ROLES, device_said
from ..base.problems import Problem, not_let_in
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, Entry, ShortWords, Words40
from .admit import COOKIE, give_key, who_asks

router = Router(tags=["session"], responses={401: {"model": Problem}, 403: {"model": Problem}})
_REFUSED: dict[int | str, dict[str, Any]] = {429: {"model": Problem}}
Secret = Annotated[str, StringConstraints(min_length=1, max_length=200)]
"""As it was typed: nothing is taken off its ends."""


class AccountOut(BaseModel):
    id: UUID
    name: str
    role: Role
    role_name: str
    golfer_id: UUID | None
    preferences: dict[str, str]


class WhoOut(BaseModel):
    """Who asks. `must` is false where nobody has to sign in: on this machine alone, in the demo."""

    must: bool
    studio: str
    account: AccountOut | None
    locked_out: bool = Field(description="this device was lost, or its account was locked: what it keeps goes")


class AgainIn(Entry):
    passphrase: Secret


class SignInIn(Entry):
    name: ShortWords
    passphrase: Secret


class RecoverIn(Entry):
    name: ShortWords
    code: Secret = Field(description="one of the codes that were written down")
    passphrase: Secret = Field(description="the new one")


class LinkIn(Entry):
    token: Secret


class NamedIn(Entry):
    studio: ShortWords = Field(description="how the studio is called", examples=["The Ropewalk"])
    name: ShortWords = Field(description="what its owner signs in with")


class TakeLinkIn(Entry):
    token: Secret
    passphrase: Secret
    named: NamedIn | None = Field(default=None, description="told by whoever begins the studio, and by nobody else")


class BegunOut(BaseModel):
    """Signed in, with the codes for the day the passphrase is forgotten: told this once."""

    account: AccountOut
    codes: list[str]


class OneTimeLinkOut(BaseModel):
    """Whom a link is for."""

    studio: str
    name: str
    role_name: str
    begun: bool = Field(description="there is a passphrase already; the link replaces it")
    first: bool = Field(description="nobody has a passphrase yet: whoever takes it begins the studio")


class PassphraseIn(Entry):
    now: Secret
    passphrase: Secret


class PreferencesIn(Entry):
    preferences: dict[Words40, Words40]


class SignInOut(BaseModel):
    id: UUID
    device: str
    begun_at: datetime
    seen_at: datetime
    here: bool


@router.get("/session")
def who(desk: AtDesk, request: Request) -> WhoOut:
    """Who asks, if anybody that is known."""
    known = getattr(request.state, "who", None)
    account = account_out(known.account) if known else None
    token = request.cookies.get(COOKIE, "")
    locked_out = bool(request.app.state.signed and token and not known and sign_ins.is_locked_out(desk, token))
    return WhoOut(must=request.app.state.signed, studio=studio(desk).name, account=account, locked_out=locked_out)


@router.put("/session", responses=_REFUSED)
def sign_in(desk: AtDesk, request: Request, response: Response, entry: SignInIn) -> WhoOut:
    """Come in by name and passphrase."""
    at = datetime.now(UTC)
    found = sign_ins.sign_in(desk, entry.name, entry.passphrase, _host(request), at)
    if found is None:
        return not_let_in(401, "wrong")  # type: ignore[return-value]
    return come_in(desk, request, response, found, at)


@router.delete("/session")
def sign_out(desk: AtDesk, request: Request, response: Response) -> None:
    """Leave: this browser is known no more."""
    known = getattr(request.state, "who", None)
    if known is not None:
        sign_ins.end(desk, known.id, known.account.id, datetime.now(UTC))
    _forget(response)


@router.delete("/session/everywhere")
def sign_out_everywhere(desk: AtDesk, request: Request, response: Response) -> None:
    """Leave, here and on every other device."""
    sign_ins.end_everywhere(desk, who_asks(request).account.id, datetime.now(UTC))
    _forget(response)


@router.post("/session/recover", responses=_REFUSED)
def recover(desk: AtDesk, request: Request, response: Response, entry: RecoverIn) -> BegunOut:
    """Come in by a recovery code, and choose another passphrase."""
    at = datetime.now(UTC)
    sign_ins.count_try(desk, entry.name, _host(request), at)
    with desk.together() as whole:
        # A passphrase that can't be leaves the code unused.
        found = accounts.spend_code(whole, entry.name, entry.code, at)
        if found is None:
            return not_let_in(401, "wrong")  # type: ignore[return-value]
        account, codes = accounts.change_passphrase(whole, found.id, entry.passphrase, at)
    sign_ins.forget_tries(desk, entry.name, _host(request))
    _let_in(desk, request, response, account, at)
    return BegunOut(account=account_out(account), codes=list(codes))


@router.post("/links/look")
def look(desk: AtDesk, entry: LinkIn) -> OneTimeLinkOut:
    """Whom a one-time link is for. It comes as a body: an address would stand in logs."""
    found = accounts.account_behind(desk, entry.token, datetime.now(UTC))
    return OneTimeLinkOut(
        studio=studio(desk).name,
        name=found.name,
        role_name=ROLES[found.role][0],
        begun=bool(found.passphrase),
        first=not accounts.is_begun(desk),
    )


@router.post("/links/take")
def take(desk: AtDesk, request: Request, response: Response, entry: TakeLinkIn) -> BegunOut:
    """Take a one-time link: choose a passphrase, and come in."""
    at = datetime.now(UTC)
    named = accounts.Named(entry.named.studio, entry.named.name) if entry.named else None
    account, codes = accounts.begin_account(desk, entry.token, entry.passphrase, at, named)
    _let_in(desk, request, response, account, at)
    return BegunOut(account=account_out(account), codes=list(codes))


@router.put("/session/passphrase", responses=_REFUSED)
def change(desk: AtDesk, request: Request, response: Response, entry: PassphraseIn) -> BegunOut:
    """Choose another passphrase; every other device is signed out."""
    at, mine = datetime.now(UTC), who_asks(request).account
    sign_ins.count_try(desk, mine.name, _host(request), at)
    if not is_passphrase(mine.passphrase, entry.now):
        raise OutOfLimits("now", "passphrase_now")
    account, codes = accounts.change_passphrase(desk, mine.id, entry.passphrase, at)
    sign_ins.forget_tries(desk, mine.name, _host(request))
    _let_in(desk, request, response, account, at)
    return BegunOut(account=account_out(account), codes=list(codes))


@router.put("/session/proof", responses=_REFUSED)
def prove(desk: AtDesk, request: Request, entry: AgainIn) -> None:
    """Give the passphrase once more; what matters most is done for some minutes then."""
    if not sign_ins.prove(desk, who_asks(request), entry.passphrase, _host(request), datetime.now(UTC)):
        return not_let_in(422, "not_proved")  # type: ignore[return-value]


@router.put("/session/preferences")
def prefer(desk: AtDesk, request: Request, entry: PreferencesIn) -> AccountOut:
    """How somebody likes to see things, wherever he signs in."""
    return account_out(accounts.keep_preferences(desk, who_asks(request).account.id, entry.preferences))


@router.get("/sign-ins")
def mine(desk: AtDesk, request: Request) -> list[SignInOut]:
    """Where whoever asks is signed in."""
    known = who_asks(request)
    return [
        SignInOut(
            id=it.id, device=device_said(it.device), begun_at=it.begun_at, seen_at=it.seen_at, here=it.id == known.id
        )
        for it in sign_ins.sign_ins_of(desk, known.account.id, datetime.now(UTC))
    ]


@router.delete("/sign-ins/{id}")
def end(
    desk: AtDesk,
    request: Request,
    id: UUID,
    lost: bool = Query(False, description="in other hands: what it keeps goes"),
) -> None:
    """Sign one of one's own devices out."""
    sign_ins.end(desk, id, who_asks(request).account.id, datetime.now(UTC), lost=lost)


def account_out(it: KeptAccount) -> AccountOut:
    return AccountOut(
        id=it.id,
        name=it.name,
        role=it.role,
        role_name=ROLES[it.role][0],
        golfer_id=it.golfer_id,
        preferences={name: str(told) for name, told in it.preferences.items()},
    )


def come_in(desk: Desk, request: Request, response: Response, account: KeptAccount, at: datetime) -> WhoOut:
    """Let somebody in, and say as whom."""
    _let_in(desk, request, response, account, at)
    return WhoOut(
        must=request.app.state.signed, studio=studio(desk).name, account=account_out(account), locked_out=False
    )


def _let_in(desk: Desk, request: Request, response: Response, account: KeptAccount, at: datetime) -> None:
    """Have whoever asks known by this account from now on; by whom this browser was known before it is no more."""
    known = getattr(request.state, "who", None)
    if known is not None:
        sign_ins.end(desk, known.id, known.account.id, at)
    token = sign_ins.begin(desk, account.id, request.headers.get("user-agent", ""), at)
    give_key(response, COOKIE, token, sign_ins.LONGEST)


def _forget(response: Response) -> None:
    response.delete_cookie(COOKIE, secure=True, httponly=True, samesite="lax")
    # Whatever this browser kept of what was shown goes, too.
    response.headers["Clear-Site-Data"] = '"cache"'


def _host(request: Request) -> str:
    return request.client.host if request.client else ""
