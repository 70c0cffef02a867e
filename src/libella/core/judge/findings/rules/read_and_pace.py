"""Read or pace: putts that surely started inside the window and missed all the same, or started where they were read
and the read is off."""

from collections import Counter
from collections.abc import Mapping
from dataclasses import replace
from typing import Final

import numpy as np

from ....certainty.estimate import INTERVAL, Estimate
from ....certainty.matter import MATTERS
from ....estimate.cost import Mix, share_within
from ....measure.window import Window
from ...ledger.entry import FEWEST_STARTS
from ..case import Case
from ..currency import DRAWN, weight_of
from ..finding import Fact, FactCode, Finding, called, needs, unread
from ..misses import Miss, Reason, misses, place_of
from ..pictures.drawn import stopped
from ..rule import Rule

NOTED: Final = 10
_MISSED_BY: Final[Mapping[Reason, FactCode]] = {
    "pace": "missed_by_pace",
    "read": "missed_by_read",
    "ground": "missed_by_ground",
    "unpaced": "missed_by_unpaced",
}
KINDS: Final = tuple(_MISSED_BY)


def find(case: Case) -> Finding:
    """Weighed by what is lost beyond what a golfer of this level loses so anyway."""
    off = _read_off(case)
    if off is not None:
        return off
    ended = {
        it.id: place_of(start, block.putted.window)
        for block in case.putted
        if block.putted
        for it in block.events
        if not isinstance(start := it.values.get("start"), str) and start is not None and "holed" in it.values
    }
    noted = case.ledger.count("holed")
    missing = needs(("finishes", noted, NOTED), ("starts", case.ledger.count("start"), FEWEST_STARTS))
    inside = {id for id, place in ended.items() if place == "inside"}
    # A miss of a block putted otherwise is counted there: of these putts it is none.
    lost = [it for it in misses(case) if it.reason in KINDS and it.putt_id in inside]
    facts: list[Fact] = []
    if noted:
        fell = sum(batch.noted("holed").count("holed") for batch in case.putted)
        of = sum(batch.counts.get("holed", 0) for batch in case.putted)
        if of:
            facts.append(Fact("holed", "against" if fell == of else "for", number=fell, of=of, at=case.putted_at))
    if not inside:
        # Nothing surely started inside: nothing shows whether read and pace lose putts.
        found = unread("read_and_pace", missing or needs(("inside", 0, FEWEST_STARTS)), facts)
        return replace(found, kind=_off_pace(case))
    if len(inside) < FEWEST_STARTS and not missing:
        missing = needs(("inside", len(inside), FEWEST_STARTS))
    share = 100 * np.random.default_rng(23).beta(len(lost) + 0.5, len(ended) - len(lost) + 0.5, DRAWN)
    ways: Counter[Reason] = Counter(it.reason for it in lost)
    kind = ways.most_common(1)[0][0] if ways and len(set(ways.values())) == len(ways) else ""
    at = lost[0].at if lost else case.putted_at
    facts += [
        Fact("inside_and_missed", "for" if lost else "against", number=len(lost), of=len(inside), at=at),
        *(Fact(_MISSED_BY[way], "for", number=count, of=len(lost), at=at) for way, count in ways.most_common()),
    ]
    found = case.by_gain("read_and_pace", share - case.ledger.band.lost_inside, None, missing, kind=kind)
    pace = case.pace
    size = pace.level.bias if kind == "pace" and pace is not None and pace.level is not None else None
    if (
        found.call.word == "none"
        and kind == "pace"
        and pace is not None
        and pace.of_goal
        and pace.goal < pace.of_goal / 2
    ):
        # Few were lost, but most stopped outside the goal zone: that is no pace to leave alone.
        found = replace(found, call=called(0.0, 0.0, 0.0, (), cost=found.weight.value))
    return replace(found, size=size, unit="m" if size else "putts", facts=tuple(facts))


def _off_pace(case: Case) -> str:
    """Whether the pace by itself is told to be another than planned: no start need be read for that."""
    level = None if case.pace is None else case.pace.level
    if level is None or level.call is None or not level.call.names_direction:
        return ""
    return "longer" if level.call.side == "right" else "shorter"


def _read_off(case: Case) -> Finding | None:
    """The read itself: how far off the line that holes the putt it is, where the putts were started along it."""
    read = [it for it in case.own if it.putted and it.putted.read_off is not None and it.counts.get("start")]
    if not read or sum(it.counts["start"] for it in read) < FEWEST_STARTS:
        return None
    putted, level = read[-1].putted, case.level("start")
    assert putted is not None and putted.read_off is not None
    off = putted.read_off
    if level is None or level.post is None:
        return None
    span = Mix.one(Window(putted.window.half_deg, putted.window.half_deg))
    rng = np.random.default_rng(67)
    by = rng.normal(off.value, max(off.sd, 0.02), DRAWN)
    bias, spread = np.full(DRAWN, level.bias.value), case.spread
    gain = 100 * (share_within(span, bias, spread) - share_within(span, bias - by, spread))
    matter = MATTERS()["gain"]
    chance = float((gain >= matter.matters_from).mean())
    if chance < 0.8 or not off.is_one_side:
        return None
    on_read = level.call is not None and not level.call.names_direction
    right, left = (chance, 0.0) if off.value < 0 else (0.0, chance)
    facts = [
        Fact("on_the_read" if on_read else "off_the_read", "for" if on_read else "against", level.bias,
             number=level.count, at=level.at),
        Fact("read_off", "for", Estimate(-off.value, -off.high, -off.low), at=level.at),
    ]  # fmt: skip
    lost: list[Miss] = [it for it in misses(case) if it.reason == "read"]
    if lost:
        facts.append(Fact("missed_by_read", "for", number=len(lost), of=case.ledger.count("holed"), at=lost[0].at))
    weight = weight_of(gain)
    call = called(right, left, 0.0, (), can_be_clear=True, cost=weight.value)
    low, high = np.quantile(-by, INTERVAL)
    return Finding(
        "read_and_pace",
        weight,
        call,
        Estimate(-off.value, float(low), float(high)),
        "deg",
        tuple(facts),
        (),
        kind="read_off",
    )


RULE = Rule(
    "read_and_pace",
    "Read or pace",
    "Read and pace, not the start line: leave the stroke as it is.",
    find,
    stopped,
    "read or pace",
)
