"""Read or pace: putts that surely started inside the window and missed all the same."""

from collections import Counter
from dataclasses import replace
from typing import Final

import numpy as np

from ...holed import place_of
from ..case import Case
from ..currency import DRAWN
from ..finding import Fact, Finding, needs, unread

NOTED: Final = 10
_PACE = ("short", "past")


def find(case: Case) -> Finding:
    """Weighed by what is lost beyond what a golfer of this level loses so anyway."""
    ended = [
        (place_of(it.start, block.window), str(it.notes["finish"]))
        for block in case.own
        for it in block.putts
        if it.start is not None and "finish" in it.notes
    ]
    inside = [finish for place, finish in ended if place == "inside"]
    lost = [finish for finish in inside if finish != "holed"]
    missing = needs(("finishes", len(ended), NOTED))
    if not ended:
        return unread("read_and_pace", missing)
    share = 100 * np.random.default_rng(23).beta(len(lost) + 0.5, len(ended) - len(lost) + 0.5, DRAWN)
    ways = Counter("pace" if any(word in finish for word in _PACE) else "read" for finish in lost)
    kind = ways.most_common(1)[0][0] if ways and len(set(ways.values())) == len(ways) else ""
    at = case.putted_at
    facts = [
        Fact("inside_and_missed", "for" if lost else "against", number=len(lost), of=len(inside), at=at),
        *(Fact(f"missed_by_{way}", "for", number=count, of=len(lost), at=at) for way, count in ways.most_common()),
    ]
    found = case.by_gain("read_and_pace", share - case.evidence.band.lost_inside, None, missing, kind=kind)
    return replace(found, unit="putts", facts=tuple(facts))
