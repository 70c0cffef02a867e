"""What is said under Aim."""

from itertools import product
from typing import get_args

import numpy as np

from ...core.aim.links import Link, aim_found, aim_sum, by_degrees, natural_and_aided
from ...core.aim.picture import aim_question
from ..aim.links import aid_words, aim_words, sum_words
from ..aim.picture import picture_words
from .reading import Reading
from .samples import PUTTS, about


def aim_aloud(it: Reading) -> None:
    for link, middle, n, proved in product(get_args(Link), (-2.0, 0.0, 0.4, 2.0), (0, 3, 7), (True, False)):
        reads = [by_degrees(float(at), 0.3) for at in np.linspace(middle - 0.4, middle + 0.4, n)] if n else []
        it.say("aim", aim_words, aim_found(reads, link, PUTTS[0], it.hand, planned=7, proved=proved), it.units)
    links = (None, about(1.5, 0.3), about(-1.5, 0.3), about(0.1, 0.2), about(0.0, 1.5))
    for mark, to_mark, face in product(links, repeat=3):
        it.say("aim", sum_words, aim_sum(mark, to_mark, face, PUTTS[0]))
    for one, other in product(links, repeat=2):
        it.say("aim", aid_words, natural_and_aided(one, other, PUTTS[0]))
        it.say("aim", picture_words, aim_question(one, other, 0.3))
