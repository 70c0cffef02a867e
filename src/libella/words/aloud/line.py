"""What is said of the golfer's line."""

from itertools import product
from typing import get_args

from ...core.certainty.estimate import normal
from ...core.certainty.verdict import weigh
from ...core.estimate import START, posterior
from ...core.judge.golfers_line import Change, LineBlock, Link, Stepped, golfers_line
from ...core.measure.interval import Interval
from ...core.measure.window import Window
from ..judge.golfers_line import line_name, line_short, line_words, step_words
from .reading import Reading


def line_aloud(it: Reading) -> None:
    window = Window(1.2, 1.2)
    for link, guided, middle, n in product(get_args(Link), (True, False), (-1.2, 0.0, 0.8), (1, 4)):
        post = posterior([Interval(middle - 0.1, middle + 0.1)] * 8, START)
        blocks = [LineBlock.read(day * 7.0, post, START, (day, 0.1), day) for day in range(n)]
        found = golfers_line(link, "as usual", blocks, (), window, guided=guided)
        assert found is not None
        it.say("judge", line_name, found)
        it.say("judge", line_words, found)
        it.say("judge", line_short, found)
    change = Change(7.0, "new putter")
    for chances in ((0.97, 0.01, 0.02), (0.02, 0.85, 0.2), (0.1, 0.05, 0.9), (0.5, 0.2, 0.4)):
        it.say("judge", step_words, Stepped(change, normal(0.7, 0.2), weigh(*chances)))
