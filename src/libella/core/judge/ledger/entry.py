"""The ledger: readings as they were taken, in batches that were taken alike."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from functools import cached_property
from typing import Final, Literal

from ...certainty.estimate import Estimate
from ...estimate.cost import Mix
from ...golfer.band import Band
from ...golfer.hand import Hand
from ...golfer.level import Level
from ...golfer.wording import Wording
from ...instruments.string_sight import StringSight
from ...measure.interval import Interval
from ...measure.side import Side
from ...measure.window import Window
from ...schools.held import NONE_HELD, Schools
from ...start.stroke import UNZEROED_DEG
from .factors import GUIDED, Levels, is_guided, moving
from .place import Place, Step
from .quantity import quantity

Value = Interval | str
FEWEST_STARTS: Final = 5
"""Putts below which nothing is advised (handbook 5)."""


@dataclass(frozen=True, slots=True)
class Source:
    """Something that readings have in common and that may be off for all of them alike.

    Readings with a source of the same `what` and `id` share it exactly; `sd` in the unit of the quantity.
    """

    what: Literal["line", "laying", "tool", "device", "slope", "disturbed"]
    id: str
    sd: float


@dataclass(frozen=True, slots=True)
class Event:
    """One putt, set-down, answer or look: its id, what was read of it by quantity, and as much of a whole one as it
    counts.

    `implied`: intervals that follow from its outcome and that nobody read: a holed ball ran no further than the hole
    takes. They are weighed with the readings, and never listed, counted or drawn.
    """

    id: str
    values: Mapping[str, Value]
    weight: float = 1.0
    implied: Mapping[str, Interval] = field(default_factory=dict[str, Interval])


@dataclass(frozen=True, slots=True)
class Fitted:
    """A level that its own step worked out from answers: what looks straight, where the eyes are.

    `tells` is false where the answers contradict each other, or say a side only.
    """

    bias: Estimate
    spread: Estimate | None
    count: int
    tells: bool = True
    open_side: Side = "neither"
    proved: bool = True
    """The line it was asked on was measured a second way."""


@dataclass(frozen=True, slots=True)
class Unusable:
    """Readings taken where they can't tell: how many, and why. Nothing else is said of them, and nothing is weighed
    with them.

    off : how far outside the line the string that they were read against lies to the golfer's eyes, mm; sight : how it
        is seen from there; hung_m : how far inside the line it hangs
    looked : the golfer is known to have looked; else nobody said who did
    """

    count: int
    off: Estimate
    sight: StringSight
    hung_m: float = 0.0
    looked: bool = True


@dataclass(frozen=True, slots=True)
class Putted:
    """What a block of putts was putted on.

    Attributes
    ----------
    window : what its hole allows, about the start target
    hole : there was one
    past_m : the pace planned, past the hole
    read_off : how far right of the read the true start line lies, degrees, with its doubt; None without a read
    breaks : the ground is not level there
    path_deg : the head's direction as declared, degrees right of the line; `declared` whether one was
    coarse : its rig's zones are too coarse for the window
    watched : a rig watches the start
    sensor_deg, zero_deg, checks, one_device : of the sensor: its reading error, its zero's doubt, the readings that
        found them, whether one device read address and impact
    """

    distance_m: float
    window: Window
    hole: bool = True
    past_m: float = 0.35
    read_off: Estimate | None = None
    breaks: bool = False
    path_deg: float = 0.0
    declared: bool = False
    coarse: bool = False
    watched: bool = True
    disturbances: tuple[str, ...] = ()
    sensor_deg: float = 0.0
    zero_deg: float = field(default_factory=UNZEROED_DEG)
    checks: int = 0
    one_device: bool = True


@dataclass(frozen=True)
class Batch:
    """A run of readings taken alike: a block, a series, a test, the looks of one set-up.

    Attributes
    ----------
    day : when, in days
    label : what the coach calls it; decides nothing
    levels : the factors that were not as usual
    noise : reading noise by quantity, one standard deviation; misread : the share of notes that are wrong, by quantity
    sources : what its readings share, by quantity
    fitted : levels worked out by their own step
    proved : its line was measured a second way, or it was read against none
    comparison, turn : the comparison it is one condition of
    """

    id: str
    step: Step
    day: float
    events: tuple[Event, ...]
    levels: Levels = ()
    label: str = ""
    lesson: str = ""
    noise: Mapping[str, float] = field(default_factory=dict[str, float])
    misread: Mapping[str, float] = field(default_factory=dict[str, float])
    sources: Mapping[str, tuple[Source, ...]] = field(default_factory=dict[str, tuple[Source, ...]])
    fitted: Mapping[str, Fitted] = field(default_factory=dict[str, Fitted])
    putted: Putted | None = None
    proved: bool = True
    planned: int = 0
    voided: int = 0
    comparison: str = ""
    turn: int = 0
    unusable: Mapping[str, Unusable] = field(default_factory=dict[str, Unusable])
    """What was read of it and can't be used, by quantity."""
    playable: bool | None = None
    """Of a place of the head or the ball: whether the golfer can putt from there; None where nobody said."""

    @property
    def place(self) -> Place:
        return Place(self.step, self.id)

    @property
    def guided(self) -> bool:
        return is_guided(self.levels)

    @cached_property
    def counts(self) -> Mapping[str, int]:
        """How many readings of each quantity."""
        found: dict[str, int] = {name: it.count for name, it in self.fitted.items()}
        for event in self.events:
            for name in event.values:
                if name not in self.fitted:
                    found[name] = found.get(name, 0) + 1
        return found

    def read(self, name: str) -> list[Interval]:
        """The numbers read of a quantity, oldest first."""
        return [value for it in self.events if isinstance(value := it.values.get(name), Interval)]

    def implied(self, name: str) -> list[Interval]:
        """Intervals of a quantity that follow from an event's outcome where nobody read the quantity itself."""
        return [it.implied[name] for it in self.events if name in it.implied]

    def noted(self, name: str) -> list[str]:
        """The categories noted of a quantity, oldest first."""
        return [value for value, _ in self.noted_with_weight(name)]

    def noted_with_weight(self, name: str) -> list[tuple[str, float]]:
        """The same, each with as much of a whole note it counts."""
        # Of two readers who disagree one is wrong: what may be wrong tells so much less.
        counts = 1 - 2 * min(self.misread.get(name, 0.0), 0.5)
        return [(value, it.weight * counts) for it in self.events if isinstance(value := it.values.get(name), str)]


@dataclass(frozen=True, slots=True)
class SecondProof:
    """What a second check of the line found: how far the laid line lay right of the true one, degrees."""

    off: Estimate
    at: Place


@dataclass(frozen=True)
class Ledger:
    """Everything read in a lesson, and what it is weighed with.

    Attributes
    ----------
    batches : oldest first; `earlier`: the starts of this golfer's lessons before
    mix, lengths_m : the golfer's usual putts: windows with their weights, and their lengths beside them
    k : the face's share of the start
    line_deg : standard uncertainty of the laid line's own direction; None where it was never measured a second way
    proof : what a second check found
    level, band : of the golfer, and what counts as fine there
    tools : what the coach's bag holds, by kind of part; None where nothing was said of the bag
    schools : that are held of this golfer; wording : how things are put to them
    """

    hand: Hand
    mix: Mix
    lengths_m: tuple[float, ...]
    k: Estimate
    level: Level
    band: Band
    batches: tuple[Batch, ...] = ()
    earlier: tuple[Batch, ...] = ()
    proof: SecondProof | None = None
    line_deg: float | None = None
    tools: frozenset[str] | None = None
    schools: Schools = NONE_HELD
    wording: Wording = "dense"

    @property
    def toe_sign(self) -> int:
        """Which way a strike towards the toe sends the ball: right for a right-handed golfer."""
        return 1 if self.hand == "right" else -1

    @property
    def proved(self) -> bool:
        """The line was measured a second way."""
        return self.line_deg is not None

    def is_doubted(self, name: str) -> bool:
        """Some of it was read against a line that nobody measured a second way."""
        return quantity(name).on_line and not all(it.proved for it in self.of(name))

    @cached_property
    def quantities(self) -> tuple[str, ...]:
        """What was read at all, in the order of the batches."""
        return tuple(dict.fromkeys(name for it in self.batches for name in it.counts))

    def of(self, name: str) -> list[Batch]:
        """The batches in which a quantity was read."""
        return [it for it in self.batches if it.counts.get(name)]

    def was_read(self, name: str) -> bool:
        """Somebody read it, usable or not: nobody may say that it was not looked at."""
        return any(it.counts.get(name) or name in it.unusable for it in self.batches)

    def groups(self, name: str) -> dict[Levels, list[Batch]]:
        """Those batches by the levels of the factors that may move the quantity: others pool freely."""
        return grouped(self.of(name), name)

    def count(self, name: str) -> int:
        """How many readings of it there are, however they were taken."""
        return sum(it.counts[name] for it in self.of(name))

    def main(self, name: str) -> list[Batch]:
        """The batches that tell the golfer: as usual, with nothing in view where enough were read so; else the one way
        in which it was read. Empty where it was read in several ways and none of them is as usual: then there is no one
        golfer to tell."""
        return main_of(self.groups(name), name)


def grouped(batches: Iterable[Batch], name: str) -> dict[Levels, list[Batch]]:
    """Batches by the levels that may move a quantity."""
    found: dict[Levels, list[Batch]] = {}
    movers = quantity(name).movers
    for it in batches:
        found.setdefault(moving(it.levels, movers), []).append(it)
    return found


def main_of(groups: Mapping[Levels, Sequence[Batch]], name: str) -> list[Batch]:
    """See `Ledger.main`."""
    blind = groups.get((), ())
    guided = groups.get((("guide", GUIDED),), ())
    enough = FEWEST_STARTS if guided else 1
    if sum(it.counts[name] for it in blind) >= enough:
        return list(blind)
    if guided:
        return list(guided)
    if blind:
        return list(blind)
    return list(next(iter(groups.values()))) if len(groups) == 1 else []


def grouped_by_all(batches: Iterable[Batch]) -> dict[Levels, list[Batch]]:
    """Batches by all that was not as usual."""
    found: dict[Levels, list[Batch]] = {}
    for it in batches:
        found.setdefault(it.levels, []).append(it)
    return found
