"""Whatever is told of a golfer over the lessons, opened."""

from dataclasses import replace
from datetime import UTC, datetime
from itertools import product

from ...core.certainty.estimate import normal
from ...core.certainty.verdict import Grounds, Verdict
from ...core.change.retest import Tested
from ...core.course.chance import Green, known_starter
from ...core.course.explained import outlook_explained
from ...core.course.outlook import DRAWN, outlook, starter_of
from ...core.course.roller import known_roller, roller
from ...core.estimate import START
from ...core.judge.explained.line import LineExplained, Without
from ...core.judge.golfers_line import Change, Stepped
from ...core.start.turns import Outcome
from ..change import explained as words
from ..change.change import gain_said
from ..judge.explained.opened import signed
from ..judge.golfers_line import rest_said
from .change import tested_of
from .line import pooled_lines, rest_of, share_lines, too_wide
from .reading import Reading

_SINCE = datetime(2026, 3, 2, tzinfo=UTC)
_ASKS: tuple[Outcome, ...] = ("line", "spread", "roll")


def opened_over_aloud(it: Reading) -> None:
    """Every kind."""
    step = Stepped(
        Change(3.0, "new putter"), normal(0.6, 0.2), Verdict("clear", "right", 0.97, None, Grounds(0.97, 0.0, 0.01))
    )
    for line in pooled_lines():
        moves = (Without(0.0, 0.3), Without(7.0, -0.2))
        steps = (step, replace(step, call=replace(step.call, grounds=None)))
        rests = (rest_of(line), too_wide())
        opened = LineExplained(replace(line, steps=steps), line.quantity.prior or START(), rests, moves)
        for rest in rests:
            it.say("judge", rest_said, rest, line.quantity, it.hand, it.units)
        it.say("judge", words.line_opened, opened, ["Start, as usual"], _SINCE, it.hand, it.units)
    for share in share_lines():
        it.say("judge", words.share_opened, share, ["Holed, as usual"], _SINCE)
        if share.moved is not None:
            weighed = replace(share, moved=replace(share.moved, grounds=Grounds(0.9, 0.02, 0.05)))
            it.say("judge", words.share_opened, weighed, [], _SINCE)
    starter, rolls, green = known_starter(0.6, 0.9), known_roller(0.35, 0.1, 0.15), Green(10.0)
    line = starter_of(normal(0.6, 0.2), normal(0.9, 0.1))
    found = outlook(line, None, roller([], DRAWN), green, ())
    for finishes, reads in product((0, 14), (0, 4)):
        opened = outlook_explained(replace(found, finishes=finishes, reads=reads), starter, rolls, green)
        it.say("change", words.outlook_opened, opened, 30, it.units)
        it.say("change", signed, words.outlook_opened(opened, 30, it.units))
    for asks in _ASKS:
        for tested in tested_of(asks):
            where = [("it", _SINCE, "lesson")]
            it.say("change", words.change_opened, "Stand closer", tested, asks, [], where)
            for retest in tested.retests:
                it.say("change", gain_said, retest, asks)
            weighed = [replace(one, call=replace(one.call, grounds=Grounds(0.9, 0.02, 0.05))) for one in tested.retests]
            it.say(
                "change", words.change_opened, "Stand closer", replace(tested, retests=tuple(weighed)), asks, [], where
            )
            half = Tested("untested", tuple(replace(one, final=False) for one in weighed), None)
            it.say("change", words.change_opened, "Stand closer", half, asks, [], where)
