"""What is said of the golfer's line."""

from dataclasses import replace
from datetime import UTC, datetime
from functools import cache
from itertools import product

from ...core.certainty.estimate import Estimate, normal
from ...core.certainty.verdict import Verdict, weigh
from ...core.estimate import START
from ...core.estimate.beyond import Beyond
from ...core.estimate.kind import Sided
from ...core.estimate.shares import Share
from ...core.judge.explained.beside import BesideExplained
from ...core.judge.explained.line import LineExplained, LineRest
from ...core.judge.golfers_line import Change, GolfersLine, LineKey, Stepped, golfers_line
from ...core.judge.ledger.factors import GUIDED, Levels
from ...core.judge.ledger.place import Place
from ...core.judge.ledger.quantity import quantity
from ...core.judge.line_block import LineBlock
from ...core.judge.lines_beside import LinesBeside, lines_beside
from ...core.judge.share_line import LessonShare, ShareLine
from ...core.measure.window import Window
from ..judge import golfers_line as words
from ..judge.explained.beside import beside_opened
from .claims import BY, SIDES
from .reading import Reading

_SINCE = datetime(2026, 3, 2, tzinfo=UTC)
_LINES = ("start", "face", "path", "strike", "roll_past", "eyes_inside", "eyes_behind", "looks_straight")
_KEYS: tuple[Levels, ...] = ((), (("guide", GUIDED),), (("set_up", "wide base"),), (("length", "2.50"),))


@cache
def pooled_lines() -> tuple[GolfersLine, ...]:
    """Lines of every kind."""
    found: list[GolfersLine | None] = []
    window = Window(1.2, 1.2)
    for name, levels, n, middle in product(_LINES, _KEYS, (1, 4), (-1.2, 0.0, 0.8)):
        prior = quantity(name).prior
        assert prior is not None
        size = prior.spread_median
        blocks = [LineBlock(7.0 * day, (size * middle, 0.2 * size), (0.2, 0.3), day) for day in range(n)]
        keys = [LineKey(name, levels), LineKey(name, ())][: 1 if n == 1 else 2]
        found.append(golfers_line(keys, blocks, (), window, BY.mix))
    for side, size in product(SIDES, (1.1, 0.0)):
        sign = 1 if side == "right" else -1
        blocks = [LineBlock(0.0, (1.5 * sign, 5.0), None, 0, beyond=Beyond(side, sign * size, 9))]
        found.append(golfers_line([LineKey("start", ())], blocks, (), window, BY.mix))
    for right, left, neither in ((9, 1, 2), (3, 3, 4), (0, 2, 10)):
        kind = Sided(right, left, neither, 0.5, (0.9, 0.1))
        for name in ("face", "path", "strike", "start"):
            blocks = [LineBlock(7.0 * day, (0.5, 0.4), None, day, sided=kind, count=12) for day in range(2)]
            found.append(golfers_line([LineKey(name, ())], blocks, (), window, BY.mix))
    told = [it for it in found if it is not None]
    moved = Stepped(Change(7.0, ""), normal(-1.2, 0.2), Verdict("clear", "left", 0.97))
    zoned = (replace(it, zone=1.2, readings=12) for it in told[:6])
    return (*told, *(replace(it, moved=moved) for it in told if it.has_middle), *zoned)


@cache
def _beside() -> tuple[LinesBeside, ...]:
    starts = [it for it in pooled_lines() if it.quantity.name in ("start", "eyes_inside")]
    pairs = ((one, other) for one, other in product(starts[:8], starts) if one.quantity == other.quantity)
    told = [lines_beside(one, other, BY.mix) for one, other in pairs]
    return (*told, *(replace(told[0], more_blocks=more) for more in (None, 3)))


def too_wide() -> LineRest:
    """A block whose readings lie to both sides of a gate that is too wide."""
    return LineRest(LineBlock(0.0, None, None, 1, count=12, sized=False), Place("start", "b"), None)


def rest_of(it: GolfersLine) -> LineRest:
    """A block of such a line."""
    block = LineBlock(0.0, None, None, 1, count=12, beyond=it.beyond, zone=it.zone, sided=it.sided, sized=it.has_middle)
    return LineRest(block, Place("start", "b"), it.now if it.has_middle else None)


def _opened(it: LinesBeside) -> BesideExplained:
    first, second = (
        LineExplained(one, one.quantity.prior or START(), (rest_of(one),), ()) for one in (it.first, it.second)
    )
    return BesideExplained(it, (first, second))


@cache
def share_lines() -> tuple[ShareLine, ...]:
    some = (("holed", "holed"), ("roll", "clean"), ("still", "nothing"), ("missed_side", "left"))
    words = ("open", "none", "likely", "clear")
    lessons = tuple(
        LessonShare(day, f"{n}", Place("start", f"{n}"), share)
        for n, (day, share) in enumerate(((3.0, Share(3, 10)), (10.0, Share(7, 9))))
    )
    moved = (None, *(Verdict(word, side, 0.9) for word in words for side in SIDES))
    return tuple(
        ShareLine(quantity(name), levels, told, lessons, Estimate(52.0, 31.0, 71.0), one)
        for (name, told), levels, one in product(some, _KEYS[:3], moved)
    )


def line_aloud(it: Reading) -> None:
    for pooled in pooled_lines():
        it.say("judge", words.line_name, pooled, it.units)
        it.say("judge", words.other_hand_words, 2, it.hand)
        it.say("judge", words.line_words, pooled, it.hand, it.units)
        it.say("judge", words.line_short, pooled, it.units)
        for key in pooled.keys:
            it.say("judge", words.key_name, key, it.units)
    for beside in _beside():
        it.say("judge", words.lines_said, beside, it.hand, it.units)
        it.say("judge", words.more_blocks_said, beside)
        it.say("judge", beside_opened, _opened(beside), _SINCE, it.hand, it.units)
    for share in share_lines():
        it.say("judge", words.share_line_name, share)
        it.say("judge", words.share_line_words, share)
    for name in ("start", "eyes_inside", "eyes_behind", "roll_past", "strike", "backswing_s"):
        it.say("judge", words.up_said, quantity(name), it.hand)
    change = Change(7.0, "new putter")
    for name, chances in product(_LINES, ((0.97, 0.01, 0.02), (0.02, 0.85, 0.2), (0.1, 0.05, 0.9), (0.5, 0.2, 0.4))):
        stepped = Stepped(change, normal(0.7, 0.2), weigh(*chances))
        it.say("judge", words.step_words, stepped, quantity(name), it.hand, it.units)
