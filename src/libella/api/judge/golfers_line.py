"""The golfer's line: each link pooled over lessons, two set beside each other or joined; and changes noted."""

from datetime import datetime, timedelta
from typing import Annotated

from pydantic import BaseModel, Field

from ...core.certainty.verdict import Word
from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.golfer.level import SPREAD
from ...core.judge.explained.line import line_key
from ...core.judge.golfers_line import GolfersLine, LineKey, path_drawn
from ...core.measure.units import Units
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.desk.problem import NotFound
from ...lessons.golfer import changes, golfers
from ...lessons.judge import line_joins
from ...lessons.judge.golfers_line import compare_lines, explain_beside, golfers_lines
from ...lessons.values import KeptLineJoin
from ...words.judge.explained.beside import beside_opened
from ...words.judge.golfers_line import (
    key_name,
    line_name,
    line_short,
    line_words,
    lines_said,
    more_blocks_said,
    other_hand_words,
    share_line_name,
    share_line_words,
    step_words,
    up_said,
)
from ...words.shared.counts import listed
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Kept, Moment, ShortWords, VoidIn, as_kept
from .explained import ExplainedOut, opened_out

router = Router(tags=["golfer's line"])
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


_Key = Annotated[str, Field(min_length=1, max_length=line_joins.LONGEST, description="a line's key")]


class LineJoinIn(Entry):
    golfer_id: UUID
    first: _Key
    second: _Key
    made_at: Moment


class LineJoinOut(BaseModel):
    """Two lines that the coach joined."""

    id: UUID
    words: str


class LineOut(BaseModel):
    """One link pooled: where it lies now as a vial, its path over time, what noted changes came to."""

    key: str
    why: str = Field(description="what opens it")
    link: str = Field(description="the quantity it is a line of")
    guided: bool
    name: str
    words: str
    vial: Vial
    path: Scene | None
    since: datetime
    until: datetime
    steps: tuple[str, ...]
    up: str = Field(description="which way up is on its path")


class ShareLineOut(BaseModel):
    """What was noted in words, over the lessons."""

    quantity: str
    name: str
    words: str
    word: Word
    why: str = Field(description="what opens it")


class GolfersLinesOut(BaseModel):
    lines: list[LineOut]
    shares: list[ShareLineOut]
    changes: list[ChangeOut]
    joins: list[LineJoinOut]
    aside: str = Field(description="which lessons are in none of it; empty where all are")


class LineNowOut(BaseModel):
    """The starts now, pooled over lessons; nothing where no line of them was read with nothing in view."""

    vial: Vial | None = None
    words: str = ""
    short: str = ""
    spread_deg: float | None = Field(default=None, description="what to plan the next lesson for: the spread, pooled")


class LinesBesideOut(BaseModel):
    """Two lines of one link: one sentence, and both vials."""

    words: str
    more: str
    word: Word
    names: tuple[str, str]
    vials: tuple[Vial, Vial]


@router.put("/changes/{id}")
def keep(desk: AtDesk, id: UUID7, entry: ChangeIn) -> ChangeOut:
    """Note a change: a putter, a set-up, a stroke. The golfer's line may step on that day."""
    return ChangeOut.model_validate(changes.keep_change(desk, id, entry.golfer_id, entry.words, entry.made_at))


@router.put("/changes/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn) -> ChangeOut:
    """Take a noted change back, or bring it back."""
    return ChangeOut.model_validate(changes.void_change(desk, id, entry.voided))


@router.put("/line-joins/{id}")
def join(desk: AtDesk, id: UUID7, entry: LineJoinIn, units: InUnits = "metric") -> LineJoinOut:
    """Pool two lines of one link as one from now on."""
    pair = _read(entry.first), _read(entry.second)
    return _join(line_joins.keep_join(desk, id, entry.golfer_id, pair, entry.made_at), units)


@router.put("/line-joins/{id}/voided")
def part(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> LineJoinOut:
    """Take them apart again, or pool them anew."""
    return _join(line_joins.void_join(desk, id, entry.voided), units)


@router.get("/golfers/{id}/line")
def line(desk: AtDesk, id: UUID, units: InUnits = "metric") -> GolfersLinesOut:
    """The golfer's line of every link, the main one of each first."""
    return as_kept(
        kept.of_golfer(desk, id, f"line, {units}", lambda whole, _: _lines(whole, id, units).model_dump_json())
    )


@router.get("/golfers/{id}/line-now")
def now(desk: AtDesk, id: UUID, units: InUnits = "metric") -> LineNowOut:
    """Where the golfer's starts lie now, with nothing in view: for a list of golfers, and to plan by."""
    return as_kept(
        kept.of_golfer(desk, id, f"line now, {units}", lambda whole, _: _now(whole, id, units).model_dump_json())
    )


@router.get("/golfers/{id}/lines-beside")
def beside(desk: AtDesk, id: UUID, first: _Key, second: _Key, units: InUnits = "metric") -> LinesBesideOut:
    """Whether the second line lies, or scatters, otherwise than the first."""
    found, hand = compare_lines(desk, id, _read(first), _read(second))
    return LinesBesideOut(
        words=lines_said(found, hand, units),
        more=more_blocks_said(found),
        word=found.call.word,
        names=(line_name(found.first, units), line_name(found.second, units)),
        vials=(found.first.vial, found.second.vial),
    )


@router.get("/golfers/{id}/lines-beside/explained")
def beside_explained(desk: AtDesk, id: UUID, first: _Key, second: _Key, units: InUnits = "metric") -> ExplainedOut:
    """Open what is said of two lines beside each other."""
    with desk.together() as whole:
        hand = golfers.golfer(whole, id).hand
        it, since = explain_beside(whole, id, _read(first), _read(second))
    return opened_out(beside_opened(it, since, hand, units), units)


def _read(key: str) -> LineKey:
    found = LineKey.read(key)
    if found is None:
        raise NotFound("line")
    return found


def _join(it: KeptLineJoin, units: Units) -> LineJoinOut:
    names = [key_name(_read(key), units) for key in (it.first, it.second)]
    return LineJoinOut(id=it.id, words=listed(names))


def _lines(desk: Desk, id: UUID, units: Units) -> GolfersLinesOut:
    found = golfers_lines(desk, id)
    since = found.since
    return GolfersLinesOut(
        lines=[] if since is None else [_out(it, since, found.hand, units) for it in found.lines],
        shares=[
            ShareLineOut(
                quantity=it.quantity.name,
                name=share_line_name(it),
                words=share_line_words(it),
                word=it.moved.word if it.moved else "open",
                why=it.key,
            )
            for it in found.shares
        ],
        changes=[ChangeOut.model_validate(it) for it in found.changes],
        joins=[_join(it, units) for it in line_joins.joins_of(desk, id)],
        aside=other_hand_words(found.other_hand, found.hand),
    )


def _now(desk: Desk, id: UUID, units: Units) -> LineNowOut:
    found = golfers_lines(desk, id, starts_only=True)
    own = next((it for it in found.lines if not it.keys[0].levels), None)
    if own is None:
        return LineNowOut()
    words = f"{line_name(own, units)}: {line_words(own, found.hand, units)}"
    return LineNowOut(vial=own.vial, words=words, short=line_short(own, units), spread_deg=_expected(own))


def _expected(own: GolfersLine) -> float | None:
    """A prior of planning, never of a verdict."""
    if own.spread is None or len(own.blocks) < _PATH_FROM:
        return None
    return round(min(max(own.spread.value, SPREAD.low), SPREAD.high), 2)


def _out(it: GolfersLine, since: datetime, hand: Hand, units: Units) -> LineOut:
    first, last = it.blocks[0][0], it.blocks[-1][0]
    words = line_words(it, hand, units)
    return LineOut(
        key=it.keys[0].text,
        why=line_key(it.keys[0].text),
        link=it.quantity.name,
        guided=it.guided,
        name=line_name(it, units),
        words=words,
        vial=it.vial,
        path=path_drawn(it, words) if len(it.blocks) >= _PATH_FROM and it.has_middle else None,
        since=since + timedelta(days=first),
        until=since + timedelta(days=last),
        steps=tuple(step_words(one, it.quantity, hand, units) for one in it.steps),
        up=up_said(it.quantity, hand),
    )
