"""Batches by hand: readings of a quantity taken alike, as a test needs them."""

from libella.core.golfer.band import usual_band
from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.judge.chain import K_USUAL
from libella.core.judge.claims.level import Weighing
from libella.core.judge.ledger.entry import Batch, Event, Ledger, Putted
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

PUTTED = Putted(2.5, Window(0.97, 0.97))
BY = Weighing(usual_mix(Putt(2.0, 0.35, 10), USUAL()), 0.85, 0.9)


def near(value, half=0.1):
    return Interval(value - half, value + half)


def batch(name, values, levels=(), *, id="it", sources=(), putted=PUTTED, **more):
    """Numbers are taken as intervals about them; intervals and words as they are."""
    read = [near(it) if isinstance(it, int | float) else it for it in values]
    events = tuple(Event(f"{id}{n}", {name: it}) for n, it in enumerate(read))
    told = {name: tuple(sources)} if sources else {}
    return Batch(id, more.pop("step", "start"), 0.0, events, levels, sources=told, putted=putted, **more)


def ledger(*batches, **more):
    told = {
        "hand": "right",
        "mix": BY.mix,
        "lengths_m": tuple(it.distance_m for it in USUAL()),
        "k": K_USUAL,
        "level": "skilled",
        "band": usual_band("skilled"),
        "line_deg": 0.1,
    }
    return Ledger(**told | more, batches=tuple(batches))
