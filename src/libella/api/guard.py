"""What never reaches a router: bodies too large, and pages of other sites."""

from starlette.types import ASGIApp, Message, Receive, Scope, Send

from .problems import too_large

LARGEST_BODY = 64 * 1024


class BodyLimit:
    """Refuses bodies over a limit, by their stated length or while they arrive."""

    def __init__(self, app: ASGIApp, limit: int = LARGEST_BODY) -> None:
        self._app = app
        self._limit = limit

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            return await self._app(scope, receive, send)
        stated = dict(scope["headers"]).get(b"content-length", b"0")
        if not stated.isdigit() or int(stated) > self._limit:
            return await too_large(self._limit)(scope, receive, send)
        body = b""
        more = True
        while more:
            message = await receive()
            if message["type"] != "http.request":
                return None
            body += message.get("body", b"")
            more = message.get("more_body", False)
            if len(body) > self._limit:
                return await too_large(self._limit)(scope, receive, send)
        done = False

        async def replay() -> Message:
            nonlocal done
            if done:
                return await receive()
            done = True
            return {"type": "http.request", "body": body, "more_body": False}

        return await self._app(scope, replay, send)
