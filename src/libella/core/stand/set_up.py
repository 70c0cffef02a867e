"""The golfer's set-up as noted: only what the coach wants, set beside the one before, and how far it wanders."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from typing import Final, Literal

from ..certainty.estimate import Estimate, estimated
from ..estimate.posterior import Prior, posterior
from ..measure.interval import Interval
from ..measure.limits import Bounds, Fact, OutOfLimits
from ..opinions.held import Opinion

Unit = Literal["m", "deg", "%", "words"]
Group = Literal["ball_and_feet", "body_lines", "arms_and_putter", "head_and_eyes", "how_it_feels"]
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
    options : what can be noted in place of a number or instead of one: codes, each with its name
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
    options: Mapping[str, str] = field(default_factory=dict[str, str])


def _length(label: str, group: Group, low: float, high: float, hint: str, more: str, less: str) -> Entry:
    return Entry(label, group, "m", hint, low, high, 0.005, more, less)


def _line(label: str) -> Entry:
    hint = "Against the line: degrees, right +; or only the side."
    options = {"left": "left", "parallel": "parallel", "right": "right"}
    return Entry(label, "body_lines", "deg", hint, -45, 45, 1, "further right", "further left", options)


def _score(label: str, hint: str) -> Entry:
    return Entry(label, "how_it_feels", "words", hint, options={f"{it}": f"{it} of 5" for it in range(1, 6)})


ENTRIES: Final[dict[str, Entry]] = {
    "ball_breast_m": _length(
        "Ball from the breastbone",
        "ball_and_feet",
        -0.25,
        0.25,
        "Towards the hole +.",
        "further forward",
        "further back",
    ),
    "ball_middle_m": _length(
        "Ball from the middle of the stance",
        "ball_and_feet",
        -0.3,
        0.3,
        "Towards the hole +.",
        "further forward",
        "further back",
    ),
    "ball_toes_m": _length("Ball to the toes", "ball_and_feet", 0.05, 0.8, "Across the line.", "further off", "closer"),
    "stance_m": _length("Stance width", "ball_and_feet", 0.05, 0.9, "Between the heels.", "wider", "narrower"),
    "weight_percent": Entry(
        "Weight on the lead foot", "ball_and_feet", "%", "Half and half is 50.", 0, 100, 5, "more", "less"
    ),
    "feet_deg": _line("Feet"),
    "knees_deg": _line("Knees"),
    "hips_deg": _line("Hips"),
    "forearms_deg": _line("Forearms"),
    "shoulders_deg": _line("Shoulders"),
    "chest_deg": _line("Chest"),
    "forearm_level": Entry(
        "Forearms, seen along the line",
        "arms_and_putter",
        "words",
        options={"level": "level", "lead_higher": "lead higher", "trail_higher": "trail higher"},
    ),
    "elbow": Entry("Elbows", "arms_and_putter", "words", options={it: it for it in ("in", "soft", "out", "straight")}),
    "hands_m": _length(
        "Hands against the ball",
        "arms_and_putter",
        -0.2,
        0.2,
        "Ahead of the ball +.",
        "further ahead",
        "further behind",
    ),
    "grip_down_m": _length("Grip down", "arms_and_putter", 0.0, 0.3, "From the handle's end.", "further down", "less"),
    "handle_m": _length("Handle height", "arms_and_putter", 0.3, 1.2, "Its end over the ground.", "higher", "lower"),
    "sole": Entry(
        "Putter's sole", "arms_and_putter", "words", options={"flat": "flat", "heel_up": "heel up", "toe_up": "toe up"}
    ),
    "eye_height_m": _length("Eye height", "head_and_eyes", 0.8, 2.0, "Over the ground.", "higher", "lower"),
    "tilt_deg": Entry(
        "Head tilt, face on",
        "head_and_eyes",
        "deg",
        "To the trail side +; a judgement.",
        -40,
        40,
        2,
        "more to the trail side",
        "more to the lead side",
    ),
    "gaze_deg": Entry(
        "Gaze", "head_and_eyes", "deg", "From straight down; outwards +.", -45, 60, 2, "further out", "further in"
    ),
    "comfort": _score("Comfort", "1 hurts or strains, 5 could stand there all day."),
    "trust": _score("Trust", "1 not believed at all, 5 without a doubt."),
}
_SPREADS: Final = Opinion[dict[Unit, tuple[float, float]]](
    "set_up_spread", {"m": (0.008, 0.01), "deg": (1.5, 2.0), "%": (4.0, 5.0)}, "key"
)
"""Spread expected from one set-up to the next, and what is called wandering: opinions."""


def checked(values: SetUp) -> SetUp:
    """The entries as given, or `OutOfLimits` for one that can't be."""
    for name, value in values.items():
        entry = ENTRIES.get(name)
        if entry is None:
            raise OutOfLimits(f"values.{name}", "no_entry", named=name, known=tuple(ENTRIES))
        if isinstance(value, str):
            if value not in entry.options:
                what = "entry_no_option" if entry.options else "entry_is_size"
                facts: dict[str, Fact] = {"label": entry.label, "told": value, "options": tuple(entry.options)}
                raise OutOfLimits(f"values.{name}", what, entry.unit, **facts)
        elif entry.unit == "words":
            raise OutOfLimits(f"values.{name}", "entry_in_words", label=entry.label, options=tuple(entry.options))
        else:
            # Bounds say metres and degrees; percent too.
            Bounds(entry.low, entry.high, entry.unit).check(f"values.{name}", entry.label, value)
    return values


@dataclass(frozen=True, slots=True)
class Noted:
    """One entry of a set-up beside the one before; `before` is None where nothing stood there."""

    name: str
    now: Value
    before: Value | None

    @property
    def moved(self) -> float | None:
        """How far a number moved, in its unit; None where it did not, by as much as is seen, or is none."""
        if isinstance(self.now, str) or isinstance(self.before, str) or self.before is None:
            return None
        by = self.now - self.before
        # Less than half a step was not seen.
        return None if abs(by) < ENTRIES[self.name].step / 2 else by

    @property
    def is_changed(self) -> bool:
        """True where it says something else than before."""
        if self.before is None:
            return False
        told = isinstance(self.now, str) or isinstance(self.before, str)
        return self.now != self.before if told else self.moved is not None


def beside(now: SetUp, before: SetUp | None) -> tuple[Noted, ...]:
    """Every entry noted now, in order, beside what stood before."""
    return tuple(Noted(name, now[name], before.get(name) if before else None) for name in ENTRIES if name in now)


@dataclass(frozen=True, slots=True)
class Wander:
    """How far an entry goes from one set-up to the next: its spread and what is called wandering, in its unit; the
    chance that it wanders."""

    name: str
    spread: Estimate
    limit: float
    wandering: float


def wander(times: Sequence[SetUp]) -> tuple[Wander, ...]:
    """The spread of every number noted at least three times, those that wander most first."""
    found: list[Wander] = []
    for name, entry in ENTRIES.items():
        values = [value for it in times if isinstance(value := it.get(name), float | int)]
        if len(values) < 3:
            continue
        expected, limit = _SPREADS()[entry.unit]
        middle = sum(values) / len(values)
        prior = Prior(middle, 10 * expected, expected, 0.6, entry.unit)
        reads = [Interval(it - entry.step / 2, it + entry.step / 2) for it in values]
        post = posterior(reads, prior, lapse=0.0)
        found.append(Wander(name, estimated(post.spread_quantile), limit, post.spread_above(limit)))
    return tuple(sorted(found, key=lambda it: -it.wandering))
