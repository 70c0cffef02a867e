"""The golfer's set-up as noted: only what the coach wants, set beside the one before, and how far it wanders."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..certainty.estimate import Estimate, estimated
from ..certainty.verdict import LIKELY, sure_of
from ..estimate.posterior import Prior, posterior
from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits
from ..measure.units import Units, percent, tape

Unit = Literal["m", "deg", "%", "words"]
Group = Literal["Ball and feet", "Body lines", "Arms and putter", "Head and eyes"]
Value = float | str
SetUp = Mapping[str, Value]
"""What was noted, by entry; lengths in metres, angles in degrees. What is not there was not noted."""


@dataclass(frozen=True, slots=True)
class Entry:
    """Something of a set-up that can be noted.

    Attributes
    ----------
    low, high, step : of a number, in its unit; a step is as fine as it is read
    more, less : what a larger and a smaller number mean, said of a change
    options : words that can be noted, in place of a number or instead of one
    """

    label: str
    group: Group
    unit: Unit
    hint: str = ""
    low: float = 0.0
    high: float = 0.0
    step: float = 0.0
    more: str = "more"
    less: str = "less"
    options: tuple[str, ...] = ()


def _length(label: str, group: Group, low: float, high: float, hint: str, more: str, less: str) -> Entry:
    return Entry(label, group, "m", hint, low, high, 0.005, more, less)


def _line(label: str) -> Entry:
    hint = "Against the line: degrees, right +; or only the side."
    options = ("left", "parallel", "right")
    return Entry(label, "Body lines", "deg", hint, -45, 45, 1, "further right", "further left", options)


ENTRIES: Final[dict[str, Entry]] = {
    "ball_breast_m": _length(
        "Ball from the breastbone", "Ball and feet", -0.25, 0.25, "Towards the hole +.", "further forward",
        "further back",
    ),
    "ball_middle_m": _length(
        "Ball from the middle of the stance", "Ball and feet", -0.3, 0.3, "Towards the hole +.", "further forward",
        "further back",
    ),
    "ball_toes_m": _length("Ball to the toes", "Ball and feet", 0.05, 0.8, "Across the line.", "further off", "closer"),
    "stance_m": _length("Stance width", "Ball and feet", 0.05, 0.9, "Between the heels.", "wider", "narrower"),
    "weight_percent": Entry(
        "Weight on the lead foot", "Ball and feet", "%", "Half and half is 50.", 0, 100, 5, "more", "less"
    ),
    "feet_deg": _line("Feet"),
    "knees_deg": _line("Knees"),
    "hips_deg": _line("Hips"),
    "forearms_deg": _line("Forearms"),
    "shoulders_deg": _line("Shoulders"),
    "chest_deg": _line("Chest"),
    "forearm_level": Entry(
        "Forearms, seen along the line", "Arms and putter", "words", options=("level", "lead higher", "trail higher")
    ),
    "elbow": Entry("Elbows", "Arms and putter", "words", options=("in", "soft", "out", "straight")),
    "hands_m": _length(
        "Hands against the ball", "Arms and putter", -0.2, 0.2, "Ahead of the ball +.", "further ahead",
        "further behind",
    ),
    "grip_down_m": _length("Grip down", "Arms and putter", 0.0, 0.3, "From the handle's end.", "further down", "less"),
    "handle_m": _length("Handle height", "Arms and putter", 0.3, 1.2, "Its end over the ground.", "higher", "lower"),
    "sole": Entry("Putter's sole", "Arms and putter", "words", options=("flat", "heel up", "toe up")),
    "eye_height_m": _length("Eye height", "Head and eyes", 0.8, 2.0, "Over the ground.", "higher", "lower"),
    "tilt_deg": Entry(
        "Head tilt, face on", "Head and eyes", "deg", "To the trail side +; a judgement.", -40, 40, 2,
        "more to the trail side", "more to the lead side",
    ),
    "gaze_deg": Entry(
        "Gaze", "Head and eyes", "deg", "From straight down; outwards +.", -45, 60, 2, "further out", "further in"
    ),
}  # fmt: skip
_SPREADS: Final[dict[Unit, tuple[float, float]]] = {"m": (0.008, 0.01), "deg": (1.5, 2.0), "%": (4.0, 5.0)}
"""Spread expected from one set-up to the next, and what is called wandering: opinions."""


def checked(values: SetUp) -> SetUp:
    """The entries as given, or `OutOfLimits` for one that can't be."""
    for name, value in values.items():
        entry = ENTRIES.get(name)
        if entry is None:
            raise OutOfLimits(f"values.{name}", f"There is no entry {name!r}.", limit=", ".join(ENTRIES), unit="")
        if isinstance(value, str):
            if value not in entry.options:
                limit = f"one of {', '.join(entry.options)}" if entry.options else "a number"
                raise OutOfLimits(f"values.{name}", f"{entry.label} can't be {value!r}.", limit=limit, unit=entry.unit)
        elif entry.unit == "words":
            limit = f"one of {', '.join(entry.options)}"
            raise OutOfLimits(f"values.{name}", f"{entry.label} is told in words.", limit=limit, unit="")
        else:
            # Bounds say metres and degrees; percent too.
            Bounds(entry.low, entry.high, entry.unit).check(f"values.{name}", entry.label, value)
    return values


def value_words(name: str, value: Value, units: Units) -> str:
    """>>> value_words("hands_m", -0.02, "metric"), value_words("feet_deg", "parallel", "metric")
    ('−20 mm', 'parallel')
    """
    if isinstance(value, str):
        return value
    unit = ENTRIES[name].unit
    size = tape(abs(value), units) if unit == "m" else f"{abs(value):g}" + ("°" if unit == "deg" else " %")
    if unit == "deg" and ENTRIES[name].group == "Body lines":
        return "parallel" if value == 0 else f"{size} {'right' if value > 0 else 'left'}"
    return f"{'−' if value < 0 else ''}{size}"


@dataclass(frozen=True, slots=True)
class Noted:
    """One entry of a set-up beside the one before; `change` is empty where nothing changed or nothing stood before."""

    name: str
    label: str
    group: Group
    said: str
    before: str
    change: str


def beside(now: SetUp, before: SetUp | None, units: Units) -> tuple[Noted, ...]:
    """Every entry noted now, in order, beside what stood before."""
    rows: list[Noted] = []
    for name, entry in ENTRIES.items():
        if name in now:
            old = before.get(name) if before else None
            was = "" if old is None else value_words(name, old, units)
            change = "" if old is None else _change(name, now[name], old, units)
            rows.append(Noted(name, entry.label, entry.group, value_words(name, now[name], units), was, change))
    return tuple(rows)


def _change(name: str, now: Value, before: Value, units: Units) -> str:
    entry = ENTRIES[name]
    if isinstance(now, str) or isinstance(before, str):
        return "" if now == before else f"was {value_words(name, before, units)}"
    moved = now - before
    # Less than half a step was not seen.
    if abs(moved) < entry.step / 2:
        return ""
    size = tape(round(abs(moved), 4), units) if entry.unit == "m" else f"{abs(moved):g}" + (
        "°" if entry.unit == "deg" else " %"
    )  # fmt: skip
    return f"{size} {entry.more if moved > 0 else entry.less}"


@dataclass(frozen=True, slots=True)
class Wander:
    """How far an entry goes from one set-up to the next: its spread in its unit; the chance that it wanders."""

    name: str
    label: str
    spread: Estimate
    wandering: float
    words: str


def wander(times: Sequence[SetUp], units: Units) -> tuple[Wander, ...]:
    """The spread of every number noted at least three times, those that wander most first."""
    found: list[Wander] = []
    for name, entry in ENTRIES.items():
        values = [value for it in times if isinstance(value := it.get(name), float | int)]
        if len(values) < 3:
            continue
        expected, limit = _SPREADS[entry.unit]
        middle = sum(values) / len(values)
        prior = Prior(middle, 10 * expected, expected, 0.6, entry.unit)
        reads = [Interval(it - entry.step / 2, it + entry.step / 2) for it in values]
        post = posterior(reads, prior, lapse=0.0)
        spread = estimated(post.spread_quantile)
        chance = post.spread_above(limit)
        word = sure_of(chance)
        said, most = (_size(it, entry.unit, units) for it in (spread.value, limit))
        if chance <= 1 - LIKELY:
            words = f"{entry.label} comes back to within {said}."
        else:
            words = f"{entry.label} wanders by {said}, over {most}: {word} ({percent(chance)})."
        found.append(Wander(name, entry.label, spread, chance, words))
    return tuple(sorted(found, key=lambda it: -it.wandering))


def _size(value: float, unit: Unit, units: Units) -> str:
    if unit == "m":
        return tape(round(value, 3), units)
    return f"{value:.1f}" + ("°" if unit == "deg" else " %")
