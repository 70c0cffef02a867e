"""Every answer is counted, told in the log and given a name of its own; who asks too much is told to wait."""

import secrets
from time import perf_counter
from typing import Final

from limits import RateLimitItemPerMinute
from limits.storage import MemoryStorage
from limits.strategies import MovingWindowRateLimiter
from starlette.datastructures import MutableHeaders
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ..base.problems import too_often
from . import log
from .metrics import Metrics

_NOWHERE: Final = "none"
_PAGES: Final = "page"
FRONT: Final = "/{path:path}"
"""Whatever is no address of the API: a file of the front end, or its page."""


class Observed:
    """Counts and tells; adds `X-Request-Id`, by which a line of the log is found again."""

    def __init__(self, app: ASGIApp, metrics: Metrics) -> None:
        self._app = app
        self._metrics = metrics

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            return await self._app(scope, receive, send)
        began, name, status = perf_counter(), secrets.token_hex(8), 500

        async def named(message: Message) -> None:
            nonlocal status
            if message["type"] == "http.response.start":
                status = message["status"]
                MutableHeaders(scope=message)["X-Request-Id"] = name
            await send(message)

        try:
            await self._app(scope, receive, named)
        finally:
            took, route = perf_counter() - began, route_of(scope)
            self._metrics.answered(scope["method"], route, status, took)
            log.answered(scope["method"], route, status, took, name)


def route_of(scope: Scope) -> str:
    """The template of what was asked for; pages and what is not there are one each, however they were called."""
    found = getattr(scope.get("route"), "path", "")
    if not found:
        return _NOWHERE
    if found == FRONT:
        return _PAGES
    # A router knows its routes by what comes after what it was included under.
    return found if found.startswith("/api/") else f"/api{found}"


class RateLimit:
    """So many requests a minute from one address, ten times as many of the whole studio; the rest are told when to come
    again. Each process counts by itself: of several as many times as much is let through."""

    def __init__(self, app: ASGIApp, a_minute: int) -> None:
        self._app = app
        self._limiter = MovingWindowRateLimiter(MemoryStorage())
        self._of_one, self._of_all = RateLimitItemPerMinute(a_minute), RateLimitItemPerMinute(10 * a_minute)

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http" or not scope["path"].startswith("/api/") or scope["path"].startswith("/api/health"):
            return await self._app(scope, receive, send)
        address = (scope.get("client") or ("", 0))[0]
        if self._limiter.hit(self._of_one, address) and self._limiter.hit(self._of_all, "studio"):
            return await self._app(scope, receive, send)
        return await too_often()(scope, receive, send)
