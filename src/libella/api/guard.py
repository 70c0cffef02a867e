"""What never reaches a router: bodies too large, and pages of other sites."""

from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ..exchange.sheet import LARGEST_FILE
from .problems import too_large

LARGEST_BODY = 64 * 1024
LARGEST_BY_PATH = {"/api/imports/": LARGEST_FILE, "/api/sensor-link/": 512 * 1024}


class BodyLimit:
    """Refuses bodies over a limit, by their stated length or while they arrive."""

    def __init__(self, app: ASGIApp, limit: int = LARGEST_BODY) -> None:
        self._app = app
        self._limit = limit

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            return await self._app(scope, receive, send)
        path = scope["path"]
        limit = next((most for start, most in LARGEST_BY_PATH.items() if path.startswith(start)), self._limit)
        stated = dict(scope["headers"]).get(b"content-length", b"0")
        if not stated.isdigit() or int(stated) > limit:
            return await too_large(limit)(scope, receive, send)
        body = bytearray()
        more = True
        while more:
            message = await receive()
            if message["type"] != "http.request":
                return None
            body += message.get("body", b"")
            more = message.get("more_body", False)
            if len(body) > limit:
                return await too_large(limit)(scope, receive, send)
        done = False

        async def replay() -> Message:
            nonlocal done
            if done:
                return await receive()
            done = True
            return {"type": "http.request", "body": bytes(body), "more_body": False}

        return await self._app(scope, replay, send)
