"""How things would stand, were something begun now: done as it would be done, looked at, and taken back whole.

What a device shows of what was begun without a network is what the server itself would have shown: it does it in one
transaction that is never kept, with ids that stand in for those the device will make.
"""

import json
from collections.abc import AsyncGenerator, Iterable, Mapping
from contextlib import asynccontextmanager
from typing import Any, Final

from fastapi import FastAPI, Request
from fastapi.responses import JSONResponse
from pydantic import BaseModel, Field
from starlette.concurrency import run_in_threadpool
from starlette.types import Message, Scope

from ...lessons.desk.desk import Desk, spoken_for

_OURS: Final = ("route", "path_params", "endpoint", "router", "root_path")


class AnswerOut(BaseModel):
    """What would be answered to a question."""

    address: str = Field(description="as it is asked for, ids that stand in for others among it")
    answer: Any = Field(description="its answer, with the same ids")


class Refused(Exception):
    """What was to be rehearsed is refused; it is answered as the real thing would have been."""

    def __init__(self, status: int, answer: Any) -> None:
        super().__init__(f"{status}: {answer}")
        self.status, self.answer = status, answer


def install(app: FastAPI) -> None:
    """Pass on what a rehearsal was refused."""

    @app.exception_handler(Refused)
    def _refused(_: Request, refused: Refused) -> JSONResponse:
        return JSONResponse(refused.answer, refused.status, media_type="application/problem+json")


class Stage:
    """A rehearsal under way."""

    def __init__(self, request: Request) -> None:
        self._request = request

    async def put(self, address: str, body: Mapping[str, Any]) -> Any:
        """Write as a page would; gives the answer."""
        return await self._asked("PUT", address, json.dumps(body).encode())

    async def answers(self, addresses: Iterable[str]) -> list[AnswerOut]:
        """What these would be answered now."""
        return [AnswerOut(address=it, answer=await self._asked("GET", it, b"")) for it in addresses]

    async def _asked(self, method: str, address: str, body: bytes) -> Any:
        path, _, query = address.partition("?")
        before: Scope = self._request.scope
        kept = [(name, value) for name, value in before["headers"] if name in (b"cookie", b"host", b"libella-units")]
        scope = {name: value for name, value in before.items() if name not in _OURS} | {
            "method": method,
            "path": path,
            "raw_path": path.encode(),
            "query_string": query.encode(),
            "headers": [*kept, (b"content-type", b"application/json"), (b"content-length", str(len(body)).encode())],
            "state": {},
        }
        status, told = 0, bytearray()

        async def receive() -> Message:
            return {"type": "http.request", "body": body, "more_body": False}

        async def send(message: Message) -> None:
            nonlocal status
            if message["type"] == "http.response.start":
                status = message["status"]
            told.extend(message.get("body", b""))

        await self._request.app.router(scope, receive, send)
        answer = json.loads(told) if told else None
        if status >= 400:
            raise Refused(status, answer)
        return answer


@asynccontextmanager
async def rehearsal(request: Request, desk: Desk) -> AsyncGenerator[Stage]:
    """A stage on which whatever is written is taken back when the block ends; nobody else sees any of it."""
    whole = desk.taken_back()
    with spoken_for(await run_in_threadpool(whole.__enter__)):
        try:
            yield Stage(request)
        finally:
            await run_in_threadpool(whole.__exit__, None, None, None)
