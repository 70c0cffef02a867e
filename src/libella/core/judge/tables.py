"""What the notes of a block say beside its start lines: feel against real, holed against window, start by strike."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median, stdev
from typing import Final

import numpy as np

from ..certainty.estimate import Estimate, estimated
from ..certainty.matter import MATTERS
from ..certainty.verdict import CLEAR, LIKELY, NINETY, WORDS
from ..certainty.vial import Vial
from ..estimate import START, Posterior, posterior
from ..estimate.comparison import compare
from ..estimate.cost import Mix, costs_from
from ..estimate.posterior import Floats
from ..measure.constants import FOOT_M
from ..measure.interval import Interval
from ..measure.side import side_of
from ..measure.units import Units, count, degrees, sided, tape
from ..measure.window import Window
from ..see.fit import perceive
from ..see.trial import TRUE, Looks, Trial
from ..start.notes import NOTES, Note, Notes
from .holed import PLACES, Place, holed, place_of

_FEWEST: Final = 3
_FEWEST_FELT: Final = 6
_FEWEST_HALVED: Final = 10
_DRAWN: Final = 20_000
_STRAIGHT_DEG: Final = 0.5
"""A start within this either side is what a golfer may well call straight: an opinion."""
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
    """The side a start surely had: straight within half a degree; a reading that leaves it open can't tell."""
    if start.low >= -_STRAIGHT_DEG and start.high <= _STRAIGHT_DEG:
        return "straight"
    if start.low >= 0 or start.high <= 0:
        return side_of(start.anchor)
    return "can't tell"


def _felt(putts: Sequence[Noted], window: Window) -> list[Table]:
    """Feel against real: rows as they started, columns as they felt; and what start feels straight."""
    told = _has(putts, "felt")
    if not told:
        return []
    sides = ("left", "straight", "right")
    times = Counter((_real(start), felt) for start, felt in told)
    untold = sum(n for (real, _), n in times.items() if real == "can't tell")
    reals = [*((it, f"started {it}") for it in sides), *([("can't tell", "the rig can't tell")] if untold else [])]
    rows = tuple(Row(name, tuple(str(times[real, felt]) for felt in sides)) for real, name in reals)
    right = sum(n for (real, felt), n in times.items() if real == felt)
    said = f"{right} of {count(len(told) - untold, 'call')} right."
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
    """Holed or not, by whether the start surely lay in the window: separates line from read and pace."""
    found = holed(putts, window)
    if found is None:
        return []
    names: dict[Place, str] = {
        "inside": "started in the window",
        "outside": "started outside",
        "untold": "the rig can't tell",
    }
    shown: list[Place] = [it for it in PLACES if it != "untold" or found.fell[it] + found.missed[it]]
    rows = tuple(Row(names[it], (str(found.fell[it]), str(found.missed[it]))) for it in shown)
    started, outside, untold = (found.fell[it] + found.missed[it] for it in PLACES)
    said: list[str] = []
    if started:
        said.append(f"{found.missed['inside']} of {started} that surely started in the window missed.")
    if outside:
        said.append(f"{found.missed['outside']} of {outside} that started outside it missed.")
    if untold:
        said.append(f"Of {count(untold, 'putt')} this rig can't tell whether they started in the window.")
    if started < _FEWEST:
        said.append("Too few in the window to tell line from read and pace.")
    return [Table("Holed, by the start", ("holed", "missed"), rows, " ".join(said))]


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
            places = [place_of(start, window) for start, value in told if value == option]
            if places:
                cells = str(len(places)), str(places.count("inside")), str(places.count("outside"))
                rows.append(Row(option, cells))
        usual = max(rows, key=lambda it: int(it.cells[0]))
        words = f"Mostly {usual.name}: {usual.cells[0]} of {count(len(told), 'putt')}."
        columns = "putts", "surely in the window", "surely outside"
        found.append(Table(NOTES[note].label, columns, tuple(rows), words))
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
                (
                    str(len(read)),
                    _size(median(read), note),
                    "too few" if spread is None else f"± {_size(spread, note, True)}",
                ),
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
    found = compare(first, second, (window, window))
    rows = tuple(
        Row(name, (sided(post.bias_quantile(0.5)), f"{post.spread_quantile(0.5):.1f}°"))
        for name, post in (("first half", first), ("second half", second))
    )
    moved = found.shift
    if max(found.line.less, found.line.more) >= CLEAR:
        words = (
            f"The start moved {abs(moved.value):.1f}° {side_of(moved.value)} within the block (± {moved.doubt:.1f}°)."
        )
    elif max(found.spread.less, found.spread.more) >= CLEAR:
        words = f"The spread changed within the block: {found.spread_ratio.value:.1f} times the first half's."
    else:
        words = "No sign of warming up or tiring within the block."
    return [Table("First half, second half", ("bias", "spread"), rows, words)]


@dataclass(frozen=True, slots=True)
class AtDistance:
    """A block for the side by distance: its length (m), its posterior with what its rig leaves unknown, its putts, and
    what the hole allowed."""

    distance_m: float
    post: Posterior
    putts: int
    window: Window


def by_distance(blocks: Sequence[AtDistance], units: Units) -> Table | None:
    """The side by distance, μ(d) = a + b·d (handbook 5); None for one distance."""
    told = [it for it in blocks if it.putts >= _FEWEST]
    distances = sorted({round(it.distance_m, 2) for it in told})
    if len(distances) < 2:
        return None
    rows: list[Row] = []
    for d in distances:
        here = [it for it in told if round(it.distance_m, 2) == d]
        biases = ", ".join(sided(it.post.bias_quantile(0.5)) for it in here)
        rows.append(Row(tape(d, units), (str(sum(it.putts for it in here)), biases)))
    return Table("Side by distance", ("putts", "bias"), tuple(rows), _growth_words(told, units))


def _growth_words(told: Sequence[AtDistance], units: Units) -> str:
    far = max(told, key=lambda it: it.distance_m)
    near_m = min(it.distance_m for it in told)
    line = trend([(it.distance_m, estimated(it.post.bias_quantile)) for it in told])
    spread = float(np.median([it.post.spread_quantile(0.5) for it in told]))
    cost_from = costs_from(np.array([MATTERS["growth"].matters_from]), np.array([spread]), Mix.one(far.window))
    found = grown(line, near_m, far.distance_m, float(cost_from[0, 0]))
    slope = line.slope
    metre, unit = (1.0, "metre") if units == "metric" else (FOOT_M, "foot")
    size = f"{abs(slope.value) * metre:.2f}° (± {slope.doubt * metre:.2f}°) {side_of(slope.value)} with every {unit}"
    if found.grows >= LIKELY:
        said = WORDS["clear" if found.grows >= CLEAR else "likely"]
        return f"It grows {size}, {said}: a stroke cause, or a slope not read."
    if found.turns >= LIKELY:
        said = WORDS["clear" if found.turns >= CLEAR else "likely"]
        return f"It goes {size}, {said}; but it does not get larger with the distance."
    return f"It does not grow with the distance, as far as this tells (± {slope.doubt * metre:.2f}° a {unit})."


@dataclass(frozen=True, slots=True)
class Trend:
    """μ(d) = a + b·d: normal, `mean` (2,) and `cov` (2, 2), degrees and degrees a metre."""

    mean: Floats
    cov: Floats

    @property
    def slope(self) -> Estimate:
        middle, doubt = float(self.mean[1]), NINETY * float(np.sqrt(self.cov[1, 1]))
        return Estimate(middle, middle - doubt, middle + doubt)


def trend(biases: Sequence[tuple[float, Estimate]]) -> Trend:
    """How the bias goes with distance, from biases at distances (m); each taken for normal.

    Priors a ~ N(0, 2°), b ~ N(0, 0.5°/m).
    """
    d = np.array([it for it, _ in biases])
    y = np.array([it.value for _, it in biases])
    weight = 1 / np.array([max(it.sd, 0.02) for _, it in biases]) ** 2
    design = np.column_stack((np.ones_like(d), d))
    precision: Floats = design.T @ (design * weight[:, None]) + np.diag([1 / 2.0**2, 1 / 0.5**2])
    covariance: Floats = np.linalg.inv(precision).astype(np.float64)
    return Trend(covariance @ (design.T @ (weight * y)), covariance)


@dataclass(frozen=True, slots=True)
class Grown:
    """Chances that over the range putted the bias changes by enough to matter and its size grows; that it changes."""

    grows: float
    turns: float


def grown(line: Trend, near_m: float, far_m: float, matters_deg: float) -> Grown:
    """Whether an error grows with distance: the change over the range must matter, and the size must grow.

    A bias that shrinks to nothing, or goes through the line, does not grow; the side is the likelier one.
    """
    draws = np.random.default_rng(0).multivariate_normal(line.mean, line.cov, _DRAWN)
    near, far = draws[:, 0] + draws[:, 1] * near_m, draws[:, 0] + draws[:, 1] * far_m
    way = 1.0 if line.mean[1] > 0 else -1.0
    turns = (far - near) * way >= matters_deg
    return Grown(float((turns & (np.abs(far) > np.abs(near))).mean()), float(turns.mean()))
