"""What lay beside the putts, judged by how often it was touched or left to which side; and the path against the one
that was declared, without a sensor."""

from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..certainty.verdict import Verdict, weigh
from ..estimate.shares import more_often
from ..golfer.hand import Hand
from ..instruments import lay
from ..instruments.aid import Aid, Measures
from ..instruments.scale import Scale
from ..start.notes import Notes
from ..start.path import PathModel, PathName
from ..start.watched import PREFIX, kind_of, note_of, watched_interval
from .noted import Noted
from .table import Count, RowFacts, TableFacts

_STRAIGHT_DEG: Final = 0.5
"""A path within this either side of the one declared is as declared: an opinion."""


PathSide = Literal["as_declared", "out_to_in", "in_to_out"]


@dataclass(frozen=True, slots=True)
class WatchedFound:
    """Which side an aid told oftener, of how many putts; `call`: whether that is more than chance.

    Its sides are those of what it measures; `touched`: it only tells how often it was touched at all, of `putts`.
    """

    kind: str
    measures: Measures
    putts: int
    low: int
    high: int
    touched: int
    call: Verdict


@dataclass(frozen=True, slots=True)
class PathFound:
    """The path as it was noted, against the one declared: so many as declared, out to in of it, in to out of it."""

    declared: PathName
    putts: int
    as_declared: int
    out_to_in: int
    in_to_out: int
    call: Verdict


def watched_tables(putts: Sequence[Noted], asked: Sequence[str]) -> list[TableFacts]:
    """A table for each aid that was read at the putts."""
    found: list[TableFacts] = []
    for name in asked:
        kind = kind_of(name)
        told = [notes[name] for _, notes in putts if name in notes]
        if kind is not None and told:
            found.append(_table(name, kind, told))
    return found


def _table(name: str, kind: str, told: Sequence[str | float]) -> TableFacts:
    aid, options = lay(kind, {}), note_of(name).options
    times = Counter(told)
    rows = tuple(RowFacts(it, (Count(times[it]),), said=said) for it, said in options.items() if times[it])
    sides = [_side(aid, it) for it in told]
    low, high = sides.count("low"), sides.count("high")
    if isinstance(aid, Scale) and not aid.touched:
        rows = tuple(
            RowFacts(side, (Count(sides.count(side)),), said=said)
            for side, said in (
                ("low", aid.about.quantity.low_side),
                ("middle", "as laid"),
                ("high", aid.about.quantity.high_side),
            )
            if sides.count(side)
        )
    more_high, more_low = more_often(high, low)
    touched = sum(it != "clear" for it in told) if aid.touched else 0
    call = weigh(more_high, more_low, 0.0)
    return TableFacts(
        name, ("putts",), rows, WatchedFound(kind, aid.about.measures, len(told), low, high, touched, call)
    )


def _side(aid: Aid, value: str | float) -> Literal["low", "middle", "high"]:
    if isinstance(aid, Scale) and not aid.touched:
        half = aid.mark_m / 2
        return "low" if float(value) < -half else "high" if float(value) > half else "middle"
    interval = watched_interval(aid, value)
    if interval is None or (interval.low < 0 < interval.high):
        return "middle"
    return "high" if interval.low >= 0 else "low"


def path_tables(putts: Sequence[Noted], declared: PathModel, hand: Hand) -> list[TableFacts]:
    """The path noted by word or in degrees, against the one declared; none where none was declared, or noted."""
    if not declared.name:
        return []
    sides = [it for it in (_path_side(notes, declared, hand) for _, notes in putts) if it is not None]
    if not sides:
        return []
    out_to_in, in_to_out = sides.count("out_to_in"), sides.count("in_to_out")
    more_in, more_out = more_often(in_to_out, out_to_in)
    rows = tuple(
        RowFacts(it, (Count(sides.count(it)),)) for it in ("as_declared", "out_to_in", "in_to_out") if it in sides
    )
    found = PathFound(
        declared.name,
        len(sides),
        sides.count("as_declared"),
        out_to_in,
        in_to_out,
        weigh(more_in, more_out, 0.0),
    )
    return [TableFacts("path_declared", ("putts",), rows, found)]


def _path_side(notes: Notes, declared: PathModel, hand: Hand) -> PathSide | None:
    """By the degrees where they were noted, else by the word, which is against the line, else by rails laid for it."""
    if isinstance(degrees := notes.get("path_deg"), float | int):
        off = float(degrees) - declared.expected_deg(hand)
        outwards = off if hand == "right" else -off
        return "as_declared" if abs(off) <= _STRAIGHT_DEG else "in_to_out" if outwards > 0 else "out_to_in"
    if "path" not in notes:
        return _rail_side(notes, declared)
    by_word: dict[str, PathSide] = {"out_to_in": "out_to_in", "neutral": "as_declared", "in_to_out": "in_to_out"}
    return by_word.get(str(notes.get("path", "")))


_RAILS: Final[Mapping[PathName, tuple[str, ...]]] = {
    "straight": ("twin_rails",),
    "arc": ("curved_rail", "path_template"),
}
"""Which rails have the shape of which path: others teach another one, and say nothing of it."""


def _rail_side(notes: Notes, declared: PathModel) -> PathSide | None:
    """A head inside its way going back, or outside it going through, travels from in to out of it."""
    for kind in _RAILS.get(declared.name, ()):
        value = notes.get(PREFIX + kind)
        if value is None:
            continue
        rail = lay(kind, {})
        zone = next((it for it in rail.zones() if str(value) in it.raw.values()), None)
        if zone is None or not zone.where:
            return "as_declared" if zone else None
        inside = zone.interval.low > 0
        return "in_to_out" if inside == (zone.where == "back") else "out_to_in"
    return None
