"""What the notes of a block say beside its start lines: feel against real, holed against window, start by strike."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ..estimate import START, Estimate, posterior
from ..green.capture import Window
from ..interval import Interval
from ..notes import NOTES, Notes
from ..perception.fit import perceive
from ..perception.trial import TRUE, Looks, Trial
from ..wording import count, degrees, percent, side_of

_FEWEST: Final = 3
_FEWEST_FELT: Final = 6
Noted = tuple[Interval, Notes]
"""A putt: its start error, degrees, and what was noted of it."""


@dataclass(frozen=True, slots=True)
class Row:
    """A line of a table: a name, figures by column, and what it says in words."""

    name: str
    cells: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Table:
    """A small table behind the judgement; `words` says what it comes to."""

    title: str
    columns: tuple[str, ...]
    rows: tuple[Row, ...]
    words: str


def tables(putts: Sequence[Noted], window: Window) -> tuple[Table, ...]:
    """Every table the notes allow, none for what was not noted."""
    found: list[Table] = []
    for make in (_felt, _four_cells, _strike, _counts):
        found += make(putts, window)
    return tuple(found)


def _has(putts: Sequence[Noted], note: str) -> list[tuple[Interval, str]]:
    return [(start, notes[note]) for start, notes in putts if note in notes]


def _real(start: Interval) -> str:
    return "straight" if 0 in start else side_of(start.anchor)


def _felt(putts: Sequence[Noted], window: Window) -> list[Table]:
    """Feel against real: rows as they started, columns as they felt; and what start feels straight."""
    told = _has(putts, "felt")
    if not told:
        return []
    sides = ("left", "straight", "right")
    times = Counter((_real(start), felt) for start, felt in told)
    rows = tuple(Row(f"started {real}", tuple(str(times[real, felt]) for felt in sides)) for real in sides)
    right = sum(n for (real, felt), n in times.items() if real == felt)
    said = f"{right} of {count(len(told), 'call')} right."
    return [Table("Felt against real", tuple(f"felt {it}" for it in sides), rows, f"{said} {_feels_straight(told)}")]


def _feels_straight(told: Sequence[tuple[Interval, str]]) -> str:
    """The same model as for what looks straight: which start feels straight (handbook 5)."""
    looks: dict[str, Looks] = {"left": "left", "straight": "straight", "right": "right"}
    trials = [Trial(max(TRUE.low, min(TRUE.high, start.anchor)), looks[felt]) for start, felt in told]
    found = perceive(trials)
    if len(trials) < _FEWEST_FELT:
        return f"What feels straight shows from {_FEWEST_FELT} calls on."
    if found.too_noisy:
        return "The calls have nothing to do with the starts: the feel does not tell this golfer."
    if found.open_side is not None:
        return "All calls alike: what feels straight is open."
    it = found.looks_straight
    side = side_of(it.value, 0.05)
    said = "a straight start" if side == "neither" else f"a start {degrees(it.value, it.doubt)} {side}"
    return f"What feels straight is {said} (± {max(0.1, it.doubt):.1f}°)."


def _four_cells(putts: Sequence[Noted], window: Window) -> list[Table]:
    """Holed or not, by whether the start lay in the window: separates line from read and pace."""
    told = _has(putts, "finish")
    if not told:
        return []
    times = Counter((window.low_deg <= start.anchor <= window.high_deg, end == "holed") for start, end in told)
    rows = tuple(
        Row(name, tuple(str(times[inside, holed]) for holed in (True, False)))
        for name, inside in (("started in the window", True), ("started outside", False))
    )
    started, missed = times[True, True] + times[True, False], times[True, False]
    out = times[False, True] + times[False, False]
    if started < _FEWEST:
        words = f"{count(started, 'putt')} started in the window: too few to tell line from read and pace."
    elif missed > times[False, False] and missed / started >= 0.5:
        words = f"{missed} of {started} that started in the window missed: look at read and pace."
    elif times[False, False] > missed:
        words = f"{times[False, False]} of {count(out, 'start')} outside the window missed: the line comes first."
    else:
        words = "Most that started in the window went in."
    return [Table("Holed, by the start", ("holed", "missed"), rows, words)]


def _strike(putts: Sequence[Noted], window: Window) -> list[Table]:
    """Start error by where on the face it was struck: heel, middle, toe."""
    told = _has(putts, "strike")
    if not told:
        return []
    zones = {zone: [start for start, at in told if _zone(at) == zone] for zone in ("heel", "middle", "toe")}
    rows: list[Row] = []
    biases: dict[str, Estimate] = {}
    for zone, starts in zones.items():
        if not starts:
            continue
        post = posterior(starts, START)
        biases[zone] = Estimate(*(post.bias_quantile(it) for it in (0.5, 0.05, 0.95)))
        it = biases[zone]
        side = side_of(it.value, 0.05)
        said = "0.0°" if side == "neither" else f"{abs(it.value):.1f}° {side}"
        enough = len(starts) >= _FEWEST
        rows.append(Row(zone, (str(len(starts)), f"{said} (± {it.doubt:.1f}°)" if enough else "too few")))
    return [Table("Start by strike", ("putts", "start"), tuple(rows), _strike_words(zones, biases))]


def _strike_words(zones: dict[str, list[Interval]], biases: dict[str, Estimate]) -> str:
    both = [it for it in ("heel", "toe") if len(zones[it]) >= _FEWEST]
    if len(both) < 2:
        return "Three putts off the heel and three off the toe tell whether the strike turns the start."
    heel, toe = biases["heel"], biases["toe"]
    apart, doubt = heel.value - toe.value, (heel.doubt**2 + toe.doubt**2) ** 0.5
    if abs(apart) <= doubt:
        return f"Heel and toe start alike, as far as this tells (± {doubt:.1f}°)."
    return f"Off the heel it starts {abs(apart):.1f}° further {side_of(apart)} than off the toe (± {doubt:.1f}°)."


def _zone(strike: str) -> str:
    return next((it for it in ("heel", "toe") if strike.startswith(it)), "middle")


def _counts(putts: Sequence[Noted], window: Window) -> list[Table]:
    """The other notes: how often each, and how often the start lay in the window then."""
    found: list[Table] = []
    for note in ("roll", "path", "touch", "still", "read"):
        told = _has(putts, note)
        if not told:
            continue
        rows: list[Row] = []
        for option in NOTES[note].options:
            starts = [start for start, value in told if value == option]
            inside = sum(window.low_deg <= it.anchor <= window.high_deg for it in starts)
            if starts:
                rows.append(Row(option, (str(len(starts)), percent(inside / len(starts)))))
        usual = max(rows, key=lambda it: int(it.cells[0]))
        words = f"Mostly {usual.name}: {usual.cells[0]} of {count(len(told), 'putt')}."
        found.append(Table(NOTES[note].label, ("putts", "in the window"), tuple(rows), words))
    return found
