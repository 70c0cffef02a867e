"""What is said of the golfer's line."""

from itertools import product

from ...core.certainty.estimate import normal
from ...core.certainty.verdict import weigh
from ...core.estimate import START, posterior
from ...core.green.putt import Putt
from ...core.green.usual import USUAL
from ...core.judge.golfers_line import LINKS, Change, GolfersLine, LineBlock, LineKey, Stepped, golfers_line
from ...core.judge.judgement import usual_mix
from ...core.judge.lines_beside import lines_beside
from ...core.measure.interval import Interval
from ...core.measure.window import Window
from ..judge.golfers_line import key_name, line_name, line_short, line_words, lines_said, more_blocks_said, step_words
from .reading import Reading


def line_aloud(it: Reading) -> None:
    # Said alike of either hand.
    if it.hand == "left":
        return
    window = Window(1.2, 1.2)
    mix = usual_mix(Putt(2.0, 0.3, 10), USUAL)
    for link, guided in product(LINKS, (True, False)):
        keys = LineKey(link, guided, "as usual"), LineKey(link, False, "wide base")
        size = 25.0 if link == "eyes" else 1.0
        pooled: list[GolfersLine] = []
        scatters = (0.1, 1.5) if link in ("start", "eyes") else (0.1,)
        for n, middle, scatter in product((1, 4), (-1.2, 0.0, 0.8), scatters):
            seen = [size * (middle + x * scatter) for x in (-1, 0, 1)]
            reads = [Interval(at - 0.1, at + 0.1) for at in seen]
            post = posterior(reads * 4, START)
            blocks = [LineBlock.read(day * 7.0, post, START, (day, 0.1), day) for day in range(n)]
            if link == "eyes":
                blocks = [LineBlock(one.day, (size * middle, 10.0 * scatter), None, 0, 0.0, one.day) for one in blocks]
            found = golfers_line(keys[:1] if n == 1 else keys, blocks, (), window)
            assert found is not None
            pooled.append(found)
            it.say("judge", line_name, found)
            it.say("judge", line_words, found, it.units)
            it.say("judge", line_short, found)
        for one, other in product(pooled[:2], pooled):
            beside = lines_beside(one, other, mix)
            it.say("judge", lines_said, beside, it.units)
            it.say("judge", more_blocks_said, beside)
        for key in keys:
            it.say("judge", key_name, key)
        change = Change(7.0, "new putter")
        for chances in ((0.97, 0.01, 0.02), (0.02, 0.85, 0.2), (0.1, 0.05, 0.9), (0.5, 0.2, 0.4)):
            size = normal(20.0, 6.0) if link == "eyes" else normal(0.7, 0.2)
            it.say("judge", step_words, Stepped(change, size, weigh(*chances)), link, it.units)
