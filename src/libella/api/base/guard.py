"""What never reaches a router: bodies too large or too slow; and what every answer tells the browser."""

import asyncio
import base64
import hashlib
import re
from collections.abc import Mapping
from pathlib import Path
from typing import Final
from urllib.parse import urlsplit

from starlette.datastructures import Headers, MutableHeaders
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ...exchange.sheet import LARGEST_FILE
from ...lessons.keep.archive_work import LARGEST_PART
from .problems import not_from_there, too_large, too_slow

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


_TOLD: Final[Mapping[str, str]] = {
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
    "Cross-Origin-Resource-Policy": "same-origin",
    "Permissions-Policy": "camera=(), microphone=(), geolocation=(), payment=(), usb=()",
}
"""With every answer, beside the policy of what is loaded: photographs come as files, nothing of a device is asked."""


class OwnPagesOnly:
    """Refuses what a page of another site has a browser ask of us: to keep anything, or to show what is kept inside it.

    Whoever opens Libella while another page is open in the same browser lends that page his way in. Browsers tell where
    a request comes from (Fetch Metadata, else Origin); what is no browser tells neither, and is asked for its own key.
    Following a link to a page of ours stays allowed.
    """

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] == "http" and _of_another_site(scope["method"], Headers(scope=scope)):
            return await not_from_there()(scope, receive, send)
        return await self._app(scope, receive, send)


def _of_another_site(method: str, told: Headers) -> bool:
    site, origin = told.get("sec-fetch-site"), told.get("origin")
    reads = method in ("GET", "HEAD", "OPTIONS")
    if site is not None:
        # Another port of this machine is “same-site”, and no page of ours.
        return site not in ("same-origin", "none") and not (reads and told.get("sec-fetch-mode") == "navigate")
    return not reads and origin is not None and urlsplit(origin).netloc != told.get("host")


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
                headers.update(_TOLD)
                if scope["path"].startswith("/api/"):
                    # Of golfers nothing lies open on a device's disk: what it keeps is closed, and by ourselves alone.
                    headers["Cache-Control"] = "no-store"
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
