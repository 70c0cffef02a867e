"""Passkeys: made, listed and taken away by whose they are; to come in by, and to prove who one is."""

from datetime import UTC, datetime
from typing import Annotated, Any

from fastapi import Request, Response
from pydantic import BaseModel, Field

from ...lessons.desk.problem import Conflict
from ...lessons.people import passkeys
from ...lessons.people.passkeys import Opened
from ...lessons.values import KeptPasskey
from ...words.people.accounts import device_said
from ..base.problems import Problem, not_let_in
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Whatever
from ..watch.front import is_address
from . import session
from .admit import who_asks
from .session import WhoOut

router = Router(tags=["passkeys"], responses={401: {"model": Problem}, 403: {"model": Problem}})
Credential = Annotated[
    Whatever, Field(description="what the browser told, as WebAuthn writes a public key credential in JSON")
]


class PasskeyOptionsOut(BaseModel):
    options: dict[str, Any] = Field(description="what the browser is given, as WebAuthn writes its options in JSON")


class CredentialIn(Entry):
    credential: Credential


class PasskeyOut(BaseModel):
    """A passkey as its owner sees it listed."""

    id: UUID
    credential: str = Field(description="by which the device knows it")
    device: str
    host: str = Field(description="by which name it was made; it signs for no other")
    made_at: datetime
    used_at: datetime | None


@router.get("/passkeys")
def listed(desk: AtDesk, request: Request) -> list[PasskeyOut]:
    """The passkeys of whoever asks, the newest first."""
    return [_out(it) for it in passkeys.passkeys_of(desk, who_asks(request).account.id)]


@router.post("/passkeys/making")
def make(desk: AtDesk, request: Request) -> PasskeyOptionsOut:
    """Have a passkey made of whoever asks."""
    account = who_asks(request).account
    return PasskeyOptionsOut(options=passkeys.ask_to_make(desk, account, _opened(request), datetime.now(UTC)))


@router.put("/passkeys/{id}")
def keep(desk: AtDesk, request: Request, id: UUID7, entry: CredentialIn) -> PasskeyOut:
    """Take a passkey that was made; its owner comes in by it from now on."""
    mine, device = who_asks(request).account.id, request.headers.get("user-agent", "")
    told = passkeys.Made(mine, entry.credential, device)
    return _out(passkeys.keep_passkey(desk, id, told, _opened(request), datetime.now(UTC)))


@router.delete("/passkeys/{id}")
def drop(desk: AtDesk, request: Request, id: UUID) -> None:
    """Take one's own passkey away: it opens nothing any more."""
    passkeys.drop_passkey(desk, id, who_asks(request).account.id)


@router.post("/passkeys/asking")
def ask(desk: AtDesk, request: Request) -> PasskeyOptionsOut:
    """Have whichever passkey there is sign something, to come in by it or to prove who one is."""
    return PasskeyOptionsOut(options=passkeys.ask_to_sign(desk, _opened(request), datetime.now(UTC)))


@router.put("/session/by-passkey")
def come_in(desk: AtDesk, request: Request, response: Response, entry: CredentialIn) -> WhoOut:
    """Come in by a passkey."""
    at = datetime.now(UTC)
    found = passkeys.sign_in(desk, entry.credential, _opened(request), at)
    if found is None:
        return not_let_in(401, "wrong_passkey")  # type: ignore[return-value]
    return session.come_in(desk, request, response, found, at)


@router.put("/session/proof-by-passkey")
def prove(desk: AtDesk, request: Request, entry: CredentialIn) -> None:
    """Show a passkey once more; what matters most is done for some minutes then."""
    if not passkeys.prove(desk, who_asks(request), entry.credential, _opened(request), datetime.now(UTC)):
        return not_let_in(422, "wrong_passkey")  # type: ignore[return-value]


def _opened(request: Request) -> Opened:
    """By which name the browser opened this page; `Conflict` for a number, of which there are no passkeys."""
    host = request.url.hostname or ""
    if is_address(host):
        raise Conflict("passkey_here")
    return Opened(host, f"{request.url.scheme}://{request.url.netloc}")


def _out(it: KeptPasskey) -> PasskeyOut:
    return PasskeyOut(
        id=it.id,
        credential=it.credential,
        device=device_said(it.device),
        host=it.host,
        made_at=it.made_at,
        used_at=it.used_at,
    )
