"""What is said under Aim."""

import math
from dataclasses import replace
from functools import cache
from itertools import product
from typing import get_args

import numpy as np

from ...core.aim.links import AimFound, Link, aim_found, aim_sum, by_degrees, natural_and_aided
from ...core.aim.picture import aim_question
from ...core.golfer.hand import Hand
from ...core.measure.interval import Interval
from ..aim.links import aid_words, aim_brief, aim_words, sum_words
from ..aim.picture import picture_words
from .claims import BY
from .reading import Reading
from .samples import PUTTS, about


@cache
def _found(hand: Hand) -> tuple[AimFound, ...]:
    told: list[AimFound] = []
    for link, middle, n, proved in product(get_args(Link), (-2.0, 0.0, 0.4, 2.0), (0, 3, 7), (True, False)):
        reads = [by_degrees(float(at), 0.3) for at in np.linspace(middle - 0.4, middle + 0.4, n)] if n else []
        told.append(aim_found(tuple(reads), link, PUTTS[0], hand, planned=7, proved=proved, mix=BY.mix))
    for link, side, n in product(get_args(Link), (-1, 1), (3, 7)):
        reads = [Interval(0.5, math.inf) if side > 0 else Interval(-math.inf, -0.5)] * n
        told.append(aim_found(tuple(reads), link, PUTTS[0], hand, planned=7, proved=True, mix=BY.mix))
    far, zone = Interval(0.5, math.inf), Interval(-0.8, 0.8)
    for reads in ([Interval(-math.inf, -0.5)] * 4 + [far] * 4, [zone] * 8, [replace(zone, said=True)] * 8):
        for some in (reads[2:6], reads):
            told.append(aim_found(tuple(some), "face", PUTTS[0], hand, planned=7, proved=True, mix=BY.mix))
    return tuple(told)


def aim_aloud(it: Reading) -> None:
    for found in _found(it.hand):
        it.say("aim", aim_words, found, it.units)
        it.say("aim", aim_brief, found)
    links = (None, about(1.5, 0.3), about(-1.5, 0.3), about(0.1, 0.2), about(0.0, 1.5))
    for mark, to_mark, face in product(links, repeat=3):
        it.say("aim", sum_words, aim_sum(mark, to_mark, face, PUTTS[0]))
    for one, other in product(links, repeat=2):
        it.say("aim", aid_words, natural_and_aided(one, other, PUTTS[0]))
        it.say("aim", picture_words, aim_question(one, other, 0.3))
