"""What the notes of a block say beside its start lines: feel against real, holed against window, start by strike."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median, stdev
from typing import Final

import numpy as np
from scipy.special import ndtr

from ..drawing.vial import Vial
from ..estimate import START, Estimate, Posterior, estimated, posterior
from ..estimate.comparison import compare
from ..estimate.summary import NINETY
from ..green.capture import Window
from ..interval import Interval
from ..notes import NOTES, Note, Notes
from ..perception.fit import perceive
from ..perception.trial import TRUE, Looks, Trial
from ..wording import count, degrees, percent, side_of, sided
from .verdict import CLEAR, LIKELY, WORDS

_FEWEST: Final = 3
_FEWEST_FELT: Final = 6
_FEWEST_HALVED: Final = 10
Noted = tuple[Interval, Notes]
"""A putt: its start error, degrees, and what was noted of it."""


@dataclass(frozen=True, slots=True)
class Row:
    """A line of a table: a name, figures by column, and the vial where it is an angle."""

    name: str
    cells: tuple[str, ...]
    vial: Vial | None = None


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
    for make in (_felt, _four_cells, _strike, _counts, _sizes, _halves):
        found += make(putts, window)
    return tuple(found)


def _has(putts: Sequence[Noted], note: str) -> list[tuple[Interval, str]]:
    return [(start, str(notes[note])) for start, notes in putts if note in notes]


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
        biases[zone] = estimated(post.bias_quantile)
        it = biases[zone]
        enough = len(starts) >= _FEWEST
        rows.append(Row(zone, (str(len(starts)), f"{sided(it.value)} (± {it.doubt:.1f}°)" if enough else "too few")))
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
    for note in ("roll", "path", "touch", "still", "fell", "read"):
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


def _sizes(putts: Sequence[Noted], window: Window) -> list[Table]:
    """Sizes read off: their middle, and how far single putts lie from it."""
    rows: list[Row] = []
    for name, note in NOTES.items():
        if note.bounds is None:
            continue
        read = [float(notes[name]) for _, notes in putts if name in notes]
        if not read:
            continue
        spread = stdev(read) if len(read) >= _FEWEST else None
        rows.append(
            Row(
                note.label,
                (str(len(read)), _size(median(read), note), f"± {_size(spread, note, True)}" if spread else "too few"),
            )
        )
    if not rows:
        return []
    words = "One standard deviation from putt to putt: the smaller, the more alike the strokes."
    return [Table("Sizes of the stroke", ("putts", "middle", "from putt to putt"), tuple(rows), words)]


def _size(value: float, note: Note, plain: bool = False) -> str:
    if note.bounds is None or note.bounds.unit != "deg":
        return f"{value * 100:.0f} cm"
    return f"{abs(value):.1f}°" if plain else sided(value)


def _halves(putts: Sequence[Noted], window: Window) -> list[Table]:
    """First half against second half: warm-up and tiring, which are no effect of a condition."""
    if len(putts) < _FEWEST_HALVED:
        return []
    starts = [start for start, _ in putts]
    middle = len(starts) // 2
    first, second = (posterior(it, START) for it in (starts[:middle], starts[middle:]))
    found = compare(first, second, (window, window), margin_deg=window.narrow_deg / 8)
    rows = tuple(
        Row(name, (sided(post.bias_quantile(0.5)), f"{post.spread_quantile(0.5):.1f}°"))
        for name, post in (("first half", first), ("second half", second))
    )
    moved, sure = found.shift, max(found.prob_left, found.prob_right)
    if sure >= CLEAR:
        words = (
            f"The start moved {abs(moved.value):.1f}° {side_of(moved.value)} within the block (± {moved.doubt:.1f}°)."
        )
    elif max(found.prob_steadier, found.prob_looser) >= CLEAR:
        words = f"The spread changed within the block: {found.spread_ratio.value:.1f} times the first half's."
    else:
        words = "No sign of warming up or tiring within the block."
    return [Table("First half, second half", ("bias", "spread"), rows, words)]


def by_distance(blocks: Sequence[tuple[float, Posterior, int]]) -> Table | None:
    """The side by distance: μ(d) = a + b·d, priors a ~ N(0, 2°), b ~ N(0, 0.5°/m) (handbook 5); None for one distance.

    Parameters
    ----------
    blocks : of each block its distance (m), its posterior with what its rig leaves unknown, its putts
    """
    told = [it for it in blocks if it[2] >= _FEWEST]
    distances = sorted({round(d, 2) for d, _, _ in told})
    if len(distances) < 2:
        return None
    slope = growth([(d, estimated(post.bias_quantile)) for d, post, _ in told])
    rows: list[Row] = []
    for d in distances:
        here = [(post, n) for far, post, n in told if round(far, 2) == d]
        rows.append(
            Row(
                f"{d:g} m",
                (str(sum(n for _, n in here)), ", ".join(sided(post.bias_quantile(0.5)) for post, _ in here)),
            )
        )
    sure = normal_share(slope)
    if sure >= LIKELY:
        way = side_of(slope.value)
        size = f"{abs(slope.value):.2f}° (± {slope.doubt:.2f}°) {way} with every metre"
        words = (
            f"It grows {size}, {WORDS['clear' if sure >= CLEAR else 'likely']}: a stroke cause, or a slope not read."
        )
    else:
        words = f"It does not grow with the distance, as far as this tells (± {slope.doubt:.2f}° a metre)."
    return Table("Side by distance", ("putts", "bias"), tuple(rows), words)


def growth(biases: Sequence[tuple[float, Estimate]]) -> Estimate:
    """How the bias grows with distance, degrees a metre, from biases at distances (m); each taken for normal."""
    d = np.array([it for it, _ in biases])
    y = np.array([it.value for _, it in biases])
    weight = 1 / np.array([max(it.sd, 0.02) for _, it in biases]) ** 2
    design = np.column_stack((np.ones_like(d), d))
    covariance = np.linalg.inv(design.T @ (design * weight[:, None]) + np.diag([1 / 2.0**2, 1 / 0.5**2]))
    b = float((covariance @ (design.T @ (weight * y)))[1])
    doubt = NINETY * float(np.sqrt(covariance[1, 1]))
    return Estimate(b, b - doubt, b + doubt)


def normal_share(it: Estimate) -> float:
    """How sure it is that a quantity lies on the side of its middle."""
    return float(ndtr(abs(it.value) / it.sd)) if it.sd else 1.0
