"""Whoever answers weighs by the opinions that are held of the golfer who is asked about."""

import json
from collections.abc import Iterator, Mapping
from typing import Any, Final
from uuid import UUID

from fastapi import Request
from starlette.concurrency import run_in_threadpool

from ...core.opinions.held import Held, hold
from ...lessons.desk.desk import Desk
from ...lessons.desk.opinions import EVERYBODY, any_held, golfer_behind, held_for

_TABLES: Final[Mapping[str, str]] = {
    "rungs": "block", "turns": "block", "rounds": "golf_round", "kits": "noted_change", "changes": "noted_change",
    "chosen-changes": "chosen_change", "aim-turns": "aim_series", "eye-looks": "eye_take", "photos": "set_up_photo",
    "mine": "lesson", "imports": "file_import", "finding-answers": "finding_answer",
}  # fmt: skip
"""What stands at an address of another name than its table."""
_SIDES: Final[Mapping[str, str]] = {
    "first": "lesson", "second": "lesson", "first_block": "block", "second_block": "block",
}  # fmt: skip
"""What two sides are asked by."""
_LARGEST: Final = 100_000


async def hold_opinions(request: Request) -> None:
    """Hold what is held of the golfer behind the address, what is asked for, or what is told; else of everybody."""
    told = await _told(request)
    hold(await run_in_threadpool(_held, request.app.state.desk(), list(_named(request, told))))


def _held(desk: Desk, named: list[tuple[str, UUID]]) -> Held:
    # Asked before every answer: in one go.
    with desk.together() as whole:
        if not any_held(whole):
            return Held({})
        return held_for(whole, golfer_behind(whole, named) or EVERYBODY)


async def _told(request: Request) -> Mapping[str, Any]:
    length = request.headers.get("content-length", "0")
    if "json" not in request.headers.get("content-type", "") or not length.isdigit() or int(length) > _LARGEST:
        return {}
    try:
        told = json.loads(await request.body())
    except ValueError:
        # Whoever takes the body says what is wrong with it.
        return {}
    return told if isinstance(told, dict) else {}


def _named(request: Request, told: Mapping[str, Any]) -> Iterator[tuple[str, UUID]]:
    """Rows that are named, by table: in the address first, then in what is asked for, then in what is told."""
    path = request.path_params
    segment = request.url.path.removeprefix("/api/").partition("/")[0]
    table = path.get("scope") or _TABLES.get(segment, segment.removesuffix("s").replace("-", "_"))
    for name, it in (("id", path.get("id")), *request.query_params.items(), *told.items()):
        try:
            id = UUID(str(it))
        except ValueError:
            continue
        yield (table if name == "id" else _SIDES.get(name, name.removesuffix("_id"))), id
