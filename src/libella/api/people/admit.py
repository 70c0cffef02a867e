"""Who asks: known by his cookie, let through by his role, before anything is looked at."""

from datetime import UTC, datetime, timedelta
from typing import Final

from fastapi import FastAPI, Request, Response
from fastapi.requests import HTTPConnection
from fastapi.responses import JSONResponse
from starlette.concurrency import run_in_threadpool
from starlette.exceptions import WebSocketException

from ...lessons.desk.desk import done_by
from ...lessons.people.screens import screen_of
from ...lessons.people.sign_ins import SignedIn, TooMany, signed_in
from ..base.problems import not_let_in
from ..watch.observed import route_of
from .roles import FOR_SCREENS, PROVED, is_open, may

COOKIE: Final = "__Host-libella"
"""Sent to this host alone, over TLS or to this machine itself; no script reads it."""
SCREEN: Final = "__Host-libella-screen"
"""The key of a screen, in the same way."""
_CLOSED: Final = 4401


class NotSignedIn(Exception):
    """Nobody that is known asks."""


class NotAllowed(Exception):
    """Somebody asks who may not: whatever he asks of, whether it is there or not."""


class NotProved(Exception):
    """Somebody asks what matters most, who did not give the passphrase lately."""


def give_key(response: Response, name: str, key: str, lasts: timedelta) -> None:
    """Have a browser show this key from now on: to this host alone, over TLS, and to no script."""
    lasts_s = int(lasts.total_seconds())
    response.set_cookie(name, key, max_age=lasts_s, secure=True, httponly=True, samesite="lax")


async def admit(asked: HTTPConnection) -> None:
    """Let through whoever may ask this; everybody, where nobody has to sign in.

    The same answer comes before anything is looked up, so that it tells nothing of what is there.
    """
    if not asked.app.state.signed:
        return
    method = asked.scope.get("method", "WS") if isinstance(asked, Request) else "WS"
    request = f"{method} {route_of(asked.scope)}"
    who = await run_in_threadpool(_known, asked)
    if who is not None:
        done_by(who.account.id)
    asked.state.who = who
    if is_open(request):
        return
    if who is None:
        if request in FOR_SCREENS and await run_in_threadpool(_sent_there, asked):
            return
        _refuse(method, NotSignedIn())
    elif not may(who.account.role, request):
        _refuse(method, NotAllowed())
    elif request in PROVED and not who.is_proved(datetime.now(UTC)):
        _refuse(method, NotProved())


def install(app: FastAPI) -> None:
    """Answer who may not ask as every other refusal is answered."""

    @app.exception_handler(NotSignedIn)
    def _stranger(_: Request, __: NotSignedIn) -> JSONResponse:
        return not_let_in(401, "not_signed_in")

    @app.exception_handler(NotAllowed)
    def _other_role(_: Request, __: NotAllowed) -> JSONResponse:
        return not_let_in(403, "not_allowed")

    @app.exception_handler(NotProved)
    def _not_proved(_: Request, __: NotProved) -> JSONResponse:
        return not_let_in(403, "prove")

    @app.exception_handler(TooMany)
    def _guesses(_: Request, __: TooMany) -> JSONResponse:
        return not_let_in(429, "too_many")


def _refuse(method: str, why: Exception) -> None:
    if method == "WS":
        raise WebSocketException(_CLOSED)
    raise why


def _known(asked: HTTPConnection) -> SignedIn | None:
    token = asked.cookies.get(COOKIE, "")
    return signed_in(asked.app.state.desk(), token, datetime.now(UTC)) if token else None


def _sent_there(asked: HTTPConnection) -> bool:
    """Whether a screen asks, and of the lesson that was sent to it."""
    key = asked.cookies.get(SCREEN, "")
    screen = screen_of(asked.app.state.desk(), key, datetime.now(UTC)) if key else None
    return screen is not None and str(screen.lesson_id) == str(asked.path_params.get("id", "")).lower()


def who_asks(request: Request) -> SignedIn:
    """Whoever asks, where somebody must be signed in to ask it."""
    who: SignedIn | None = getattr(request.state, "who", None)
    if who is None:
        raise NotSignedIn
    return who
