"""What the notes of a block say beside its start lines: feel against real, holed against window, start by strike."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median, stdev
from typing import Final

from ..certainty.estimate import Estimate, around, estimated
from ..certainty.verdict import Verdict, weigh
from ..estimate import START, posterior
from ..estimate.comparison import Weighed, compare
from ..measure.interval import Interval
from ..measure.side import side_of
from ..measure.window import Window
from ..see.fit import Perception, perceive
from ..see.trial import TRUE, Looks, Trial
from ..start.notes import NOTES, Notes
from .holed import PLACES, Holed, Place, holed, place_of
from .table import TOO_FEW, Angles, Bias, Count, RowFacts, Size, SizeUnit, Spread, TableFacts

FEWEST: Final = 3
"""Putts of a kind below which nothing is said of it."""
FEWEST_FELT: Final = 6
_FEWEST_HALVED: Final = 10
_STRAIGHT_DEG: Final = 0.5
"""A start within this either side is what a golfer may well call straight: an opinion."""
Noted = tuple[Interval, Notes]
"""A putt: its start error, degrees, and what was noted of it."""
_SIDES: Final[tuple[Looks, ...]] = ("left", "straight", "right")
_PARTS: Final = ("heel", "middle", "toe")


def tables(putts: Sequence[Noted], window: Window) -> tuple[TableFacts, ...]:
    """Every table the notes allow, none for what was not noted."""
    found: list[TableFacts] = []
    for make in (_felt, _four_cells, _strike, _counts, _sizes, _halves):
        found += make(putts, window)
    return tuple(found)


def _has(putts: Sequence[Noted], note: str) -> list[tuple[Interval, str]]:
    return [(start, str(notes[note])) for start, notes in putts if note in notes]


@dataclass(frozen=True, slots=True)
class FeltFound:
    """Calls that were right, of those that could be told; what start feels straight, None from too few calls."""

    right: int
    told: int
    calls: int
    straight: Perception | None


def _felt(putts: Sequence[Noted], window: Window) -> list[TableFacts]:
    """Feel against real: rows as they started, columns as they felt; and what start feels straight."""
    told = _has(putts, "felt")
    if not told:
        return []
    times = Counter((_real(start), felt) for start, felt in told)
    untold = sum(n for (real, _), n in times.items() if real == "untold")
    reals = [*_SIDES, *(["untold"] if untold else [])]
    rows = tuple(RowFacts(real, tuple(Count(times[real, felt]) for felt in _SIDES)) for real in reals)
    right = sum(n for (real, felt), n in times.items() if real == felt)
    found = FeltFound(right, len(told) - untold, len(told), feels_straight(putts))
    return [TableFacts("felt", tuple(f"felt_{it}" for it in _SIDES), rows, found)]


def _real(start: Interval) -> str:
    """The side a start surely had: straight within half a degree; a reading that leaves it open can't tell."""
    if start.low >= -_STRAIGHT_DEG and start.high <= _STRAIGHT_DEG:
        return "straight"
    if start.low >= 0 or start.high <= 0:
        return side_of(start.anchor)
    return "untold"


def feels_straight(putts: Sequence[Noted]) -> Perception | None:
    """The same model as for what looks straight: which start feels straight (handbook 5); None from too few calls."""
    told = _has(putts, "felt")
    if len(told) < FEWEST_FELT:
        return None
    looks: dict[str, Looks] = {it: it for it in _SIDES}
    return perceive([Trial(max(TRUE.low, min(TRUE.high, start.anchor)), looks[felt]) for start, felt in told])


def _four_cells(putts: Sequence[Noted], window: Window) -> list[TableFacts]:
    """Holed or not, by whether the start surely lay in the window: separates line from read and pace."""
    found: Holed | None = holed(putts, window)
    if found is None:
        return []
    shown: list[Place] = [it for it in PLACES if it != "untold" or found.fell[it] + found.missed[it]]
    rows = tuple(RowFacts(it, (Count(found.fell[it]), Count(found.missed[it]))) for it in shown)
    return [TableFacts("holed", ("holed", "missed"), rows, found)]


@dataclass(frozen=True, slots=True)
class StrikeFound:
    """How much further right a putt starts off the heel than off the toe, degrees; None from too few of either."""

    heel_from_toe: Estimate | None


def _strike(putts: Sequence[Noted], window: Window) -> list[TableFacts]:
    """Start error by where on the face it was struck: heel, middle, toe."""
    told = _has(putts, "strike")
    if not told:
        return []
    parts = {part: [start for start, at in told if _part(at) == part] for part in _PARTS}
    biases = {part: estimated(posterior(starts, START).bias_quantile) for part, starts in parts.items() if starts}
    rows = tuple(
        RowFacts(part, (Count(len(parts[part])), Bias(it) if len(parts[part]) >= FEWEST else TOO_FEW))
        for part, it in biases.items()
    )
    apart: Estimate | None = None
    if min(len(parts["heel"]), len(parts["toe"])) >= FEWEST:
        heel, toe = biases["heel"], biases["toe"]
        apart = around(heel.value - toe.value, (heel.doubt**2 + toe.doubt**2) ** 0.5)
    return [TableFacts("strike", ("putts", "start"), rows, StrikeFound(apart))]


def _part(strike: str) -> str:
    return next((it for it in ("heel", "toe") if strike.startswith(it)), "middle")


@dataclass(frozen=True, slots=True)
class CountsFound:
    """What a note said most often, and of how many putts."""

    note: str
    usual: str
    times: int
    of: int


def _counts(putts: Sequence[Noted], window: Window) -> list[TableFacts]:
    """Notes that are counted: how often each, and how often the start lay in the window then."""
    found: list[TableFacts] = []
    for note, about in NOTES.items():
        told = _has(putts, note) if about.table == "counts" else []
        if not told:
            continue
        rows: list[RowFacts] = []
        most: tuple[int, str] = (0, "")
        for option in about.options:
            places = [place_of(start, window) for start, value in told if value == option]
            if places:
                cells = Count(len(places)), Count(places.count("inside")), Count(places.count("outside"))
                rows.append(RowFacts(option, cells))
                most = max(most, (len(places), option), key=lambda it: it[0])
        columns = "putts", "surely_inside", "surely_outside"
        found.append(TableFacts(note, columns, tuple(rows), CountsFound(note, most[1], most[0], len(told))))
    return found


@dataclass(frozen=True, slots=True)
class SizesFound:
    """Nothing beyond the figures; `makers`: a figure of a sensor's own making is among them."""

    makers: bool = False


def _sizes(putts: Sequence[Noted], window: Window) -> list[TableFacts]:
    """Sizes read off: their middle, and how far single putts lie from it."""
    rows: list[RowFacts] = []
    makers = False
    for name, note in NOTES.items():
        if note.table != "sizes" or note.bounds is None:
            continue
        read = [float(notes[name]) for _, notes in putts if name in notes]
        if not read:
            continue
        units: dict[str, SizeUnit] = {"m": "m", "deg": "deg", "%": "%"}
        unit = units[note.bounds.unit]
        scatter = Size(stdev(read), unit, scatter=True) if len(read) >= FEWEST else TOO_FEW
        rows.append(RowFacts(name, (Count(len(read)), Size(median(read), unit), scatter)))
        makers = makers or name == "sensor_consistency"
    return [TableFacts("sizes", ("putts", "middle", "scatter"), tuple(rows), SizesFound(makers))] if rows else []


@dataclass(frozen=True, slots=True)
class HalvesFound:
    """The second half against the first: how far the start moved, how the spread changed, and how sure each is."""

    moved: Estimate
    move: Verdict
    spread_ratio: Estimate
    change: Verdict


def _halves(putts: Sequence[Noted], window: Window) -> list[TableFacts]:
    """First half against second half: warm-up and tiring, which are no effect of a condition."""
    if len(putts) < _FEWEST_HALVED:
        return []
    starts = [start for start, _ in putts]
    middle = len(starts) // 2
    first, second = (posterior(it, START) for it in (starts[:middle], starts[middle:]))
    found = compare(first, second, (window, window))
    rows = tuple(
        RowFacts(name, (Angles([post.bias_quantile(0.5)]), Spread(post.spread_quantile(0.5))))
        for name, post in (("first_half", first), ("second_half", second))
    )
    halves = HalvesFound(found.shift, _word(found.line), found.spread_ratio, _word(found.spread))
    return [TableFacts("halves", ("bias", "spread"), rows, halves)]


def _word(it: Weighed) -> Verdict:
    return weigh(it.more, it.less, it.small)
