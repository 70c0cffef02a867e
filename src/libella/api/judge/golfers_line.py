"""The golfer's line: each link pooled over lessons; and the changes noted on the way."""

from collections.abc import Sequence
from datetime import datetime, timedelta

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.golfer.level import SPREAD
from ...core.judge.golfers_line import GolfersLine, Link, path_drawn
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.golfer import changes
from ...lessons.judge.golfers_line import golfers_lines
from ...words.judge.golfers_line import line_name, line_short, line_words, step_words
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Kept, Moment, ShortWords, as_kept

router = APIRouter(tags=["golfer's line"])
_PATH_FROM = 2
"""Blocks from which a line has a path."""


class ChangeIn(Entry):
    golfer_id: UUID
    words: ShortWords
    made_at: Moment


class ChangeOut(Kept):
    """A day on which something of a golfer was changed."""

    id: UUID
    golfer_id: UUID
    words: str
    made_at: datetime
    voided: bool


class LineOut(BaseModel):
    """One link pooled: where it lies now as a vial, its path over time, what noted changes came to."""

    link: Link
    guided: bool
    name: str
    short: str = Field(description="where it lies now, in a few words")
    words: str
    vial: Vial
    path: Scene | None
    since: datetime
    until: datetime
    steps: tuple[str, ...]


class GolfersLinesOut(BaseModel):
    lines: list[LineOut]
    spread_deg: float | None = Field(
        default=None, description="what to plan the next lesson for: the start's spread with nothing in view, pooled"
    )
    changes: list[ChangeOut]


@router.put("/changes/{id}")
def keep(desk: AtDesk, id: UUID7, entry: ChangeIn) -> ChangeOut:
    """Note a change: a putter, a set-up, a stroke. The golfer's line may step on that day."""
    return ChangeOut.model_validate(changes.keep_change(desk, id, entry.golfer_id, entry.words, entry.made_at))


@router.put("/changes/{id}/void")
def void(desk: AtDesk, id: UUID) -> ChangeOut:
    """Take a noted change back."""
    return ChangeOut.model_validate(changes.void_change(desk, id, voided=True))


@router.get("/golfers/{id}/line")
def line(desk: AtDesk, id: UUID) -> GolfersLinesOut:
    """The golfer's line of every link, the main one of each first."""
    return as_kept(kept.of_golfer(desk, id, "line", lambda _: _lines(desk, id).model_dump_json()))


def _lines(desk: Desk, id: UUID) -> GolfersLinesOut:
    found = golfers_lines(desk, id)
    since = found.since
    return GolfersLinesOut(
        lines=[] if since is None else [_out(it, since) for it in found.lines],
        spread_deg=_expected(found.lines),
        changes=[ChangeOut.model_validate(it) for it in found.changes],
    )


def _expected(lines: Sequence[GolfersLine]) -> float | None:
    """Of the line that most blocks tell; a prior of planning, never of a verdict."""
    own = next((it for it in lines if it.link == "start" and not it.guided and len(it.blocks) >= _PATH_FROM), None)
    if own is None or own.spread is None:
        return None
    return round(min(max(own.spread.value, SPREAD.low), SPREAD.high), 2)


def _out(it: GolfersLine, since: datetime) -> LineOut:
    first, last = it.blocks[0][0], it.blocks[-1][0]
    words = line_words(it)
    return LineOut(
        link=it.link,
        guided=it.guided,
        name=line_name(it),
        short=line_short(it),
        words=words,
        vial=it.vial,
        path=path_drawn(it, words) if len(it.blocks) >= _PATH_FROM else None,
        since=since + timedelta(days=first),
        until=since + timedelta(days=last),
        steps=tuple(step_words(one) for one in it.steps),
    )
