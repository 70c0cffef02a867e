"""What never reaches a router: bodies too large or too slow; and what every answer tells the browser."""

import asyncio
import base64
import hashlib
import re
from pathlib import Path

from starlette.datastructures import MutableHeaders
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ...exchange.sheet import LARGEST_FILE
from ...lessons.keep.archive_work import LARGEST_PART
from .problems import too_large, too_slow

LARGEST_BODY = 64 * 1024
LARGEST_BY_PATH = {"/api/imports/": LARGEST_FILE, "/api/archives/": LARGEST_PART, "/api/sensor-link/": 512 * 1024}


class BodyLimit:
    """Refuses bodies over a limit, by their stated length or while they arrive, and those that stop arriving."""

    def __init__(self, app: ASGIApp, limit: int = LARGEST_BODY, patience_s: float = 15.0) -> None:
        self._app = app
        self._limit = limit
        self._patience_s = patience_s

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
            try:
                message = await asyncio.wait_for(receive(), self._patience_s)
            except TimeoutError:
                return await too_slow(self._patience_s)(scope, receive, send)
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


class SafeHeaders:
    """Tells the browser with every answer: nothing but our own is loaded, nobody frames us, no address is passed on."""

    def __init__(self, app: ASGIApp, page: Path) -> None:
        self._app = app
        self._page = page
        self._policy = (0, "")

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            return await self._app(scope, receive, send)

        async def with_headers(message: Message) -> None:
            if message["type"] == "http.response.start":
                headers = MutableHeaders(scope=message)
                headers["Content-Security-Policy"] = self._content_policy()
                headers["X-Content-Type-Options"] = "nosniff"
                headers["Referrer-Policy"] = "no-referrer"
            await send(message)

        return await self._app(scope, receive, with_headers)

    def _content_policy(self) -> str:
        """Only our own files; of scripts inside the page only those that were built into it, known by their hashes."""
        # A page that was built anew while we serve it brings other scripts.
        built = self._page.stat().st_mtime_ns if self._page.is_file() else 1
        if self._policy[0] != built:
            text = self._page.read_text() if self._page.is_file() else ""
            inline = re.findall(r"<script(?![^>]*\bsrc=)[^>]*>(.*?)</script>", text, re.DOTALL)
            hashes = (base64.b64encode(hashlib.sha256(it.encode()).digest()).decode() for it in inline)
            scripts = " ".join(["'self'", *(f"'sha256-{it}'" for it in hashes)])
            policy = {
                "default-src": "'self'",
                "script-src": scripts,
                "style-src": "'self'",
                "style-src-attr": "'unsafe-inline'",
                "img-src": "'self' data: blob:",
                "object-src": "'none'",
                "base-uri": "'self'",
                "form-action": "'self'",
                "frame-ancestors": "'none'",
            }
            self._policy = built, "; ".join(f"{name} {value}" for name, value in policy.items())
        return self._policy[1]
