"""The verdict on a block: by what its bias costs (handbook 5)."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from ..certainty.matter import MATTERS
from ..certainty.verdict import CLEAR, LIKELY, NONE, Verdict, Word, weigh
from ..measure.interval import Interval
from ..measure.window import Window
from .continuation import further_putts
from .cost import Cost, Mix
from .posterior import Floats, Posterior
from .summary import Summary


def verdict(summary: Summary, *, proved: bool = True) -> Verdict:
    """Clear or likely where it costs enough to matter, nothing to mend where it costs too little, else open.

    On a line that is not proved nothing is clear: the line itself may be what is off.
    """
    return weighed(summary.cost, proved=proved)


def weighed(cost: Cost, *, proved: bool = True) -> Verdict:
    """The word for a cost, wherever it is weighed."""
    return weigh(cost.right, cost.left, cost.small, can_be_clear=proved, cost=cost.mean)


def putts_to_settle(
    post: Posterior, zones: Sequence[Interval], window: Window | Mix, word: Word, *, doubt: float = 0.0
) -> int | None:
    """Further putts that should settle a block: from "can't tell yet" to any other word, from "likely" to clear
    or none.

    None for more than 40. A block already settled needs 0. `doubt`: of the rig's own aim, degrees.
    """
    if word in ("clear", "none"):
        return 0
    direction = CLEAR() if word == "likely" else LIKELY()

    def settled(right: Floats, left: Floats, small: Floats) -> NDArray[np.bool_]:
        return (np.maximum(right, left) >= direction) | (small >= NONE())

    return further_putts(post, zones, window, settled, matter=MATTERS()["start"], doubt=doubt)
