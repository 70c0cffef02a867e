"""What every instrument is: dimensions with limits, the readings it can give, and what each reading says.

An instrument is a frozen dataclass derived from `Aid`; one laid out on the green is an instance, its fields are the
dimensions. It lives in a file of its own in this package and is found by the registry. One that can be judged against
what the hole allows derives from `rig.Rig`.
"""

import math
from abc import ABC, abstractmethod
from collections.abc import Mapping
from dataclasses import Field, dataclass, field, fields, replace
from functools import cache
from typing import Any, ClassVar, Literal, Self

from ..drawing.scene import Scene, Shape, box
from ..green.putt import Putt
from ..measure.constants import INCH_M
from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits
from ..measure.units import Units, about, fine_degrees, round_in_feet, tape

Raw = Mapping[str, float | str]
"""A reading as it was tapped: one key, one value."""


DimensionUnit = Literal["m", "deg", "%"]


@dataclass(frozen=True, slots=True)
class Dimension:
    """One dimension of an instrument, to be taped (m), leaned (deg) or levelled (%)."""

    name: str
    label: str
    low: float
    high: float
    default: float
    step: float
    hint: str
    unit: DimensionUnit = "m"


def size_said(unit: DimensionUnit, value: float, units: Units) -> str:
    """A dimension's value with its unit."""
    return tape(value, units) if unit == "m" else f"{value:g}{'°' if unit == 'deg' else ' %'}"


def dimension(
    label: str, *, low: float, high: float, default: float, step: float, hint: str, unit: DimensionUnit = "m"
) -> Any:
    """Declare a dimension as a dataclass field of an instrument; its name ends in its unit."""
    told = {"default": default, "label": label, "low": low, "high": high, "step": step, "hint": hint, "unit": unit}
    return field(default=default, metadata=told)


Measures = Literal["start", "face", "eyes", "body", "handle", "path", "strike", "pace"]


@dataclass(frozen=True, slots=True)
class Quantity:
    """What an instrument's intervals are of.

    `low_side` and `high_side` are the words for minus and plus. `sided` quantities are in the golfer's own frame
    (handbook 2): they read the same for both hands; the others are right of the line positive.
    """

    name: str
    unit: Literal["deg", "mm", "m"]
    low_side: str
    high_side: str
    sided: bool = False


QUANTITIES: dict[Measures, Quantity] = {
    "start": Quantity("Ball start line", "deg", "left", "right"),
    "face": Quantity("Face aim", "deg", "left", "right"),
    "eyes": Quantity("Eye position", "mm", "outside", "inside", sided=True),
    "body": Quantity("Body lines", "deg", "left", "right"),
    "handle": Quantity("Lean of the handle", "deg", "back", "ahead"),
    "path": Quantity("Path of the head", "mm", "outside", "inside", sided=True),
    "strike": Quantity("Strike on the face", "mm", "to the toe", "to the heel", sided=True),
    "pace": Quantity("Pace past the hole", "m", "short", "past"),
}


@dataclass(frozen=True, slots=True)
class About:
    """What the coach is told of an instrument, before any dimension is known.

    `measures` is the quantity its intervals are of: start error, or face aim at address.
    `entry` is how a reading is taken on the picture: "tap" one of a few zones, or "slide" along many narrow ones.
    `guides` tells whether it stands in the golfer's view and so measures a guided golfer.
    """

    kind: str
    name: str
    said: str
    """Its name inside a sentence."""
    measures: Measures
    entry: Literal["tap", "slide"]
    guides: bool
    tells: str
    cannot: str
    read: str
    mistakes: tuple[str, ...]
    cautions: tuple[str, ...]
    slides: str = ""
    """What is found by sliding along its marks, said to whoever can't see them; of one that slides only."""
    slid_in: bool = False
    """It may be slid in once the golfer has set up: the natural aim is then read first."""
    strict: bool = False
    """It lets a band of angles through, which can be set (`Rig.tuned`)."""
    noted: bool = True
    """Whether it is read at every putt; one that is read before the putt, or sends what it reads, is not asked of."""
    laser: bool = False
    """A laser is on while it is used: its cautions are to be read once a lesson."""
    mirror: bool = False
    """It throws a laser's beam up."""
    at: Literal["ball", "hole"] = "ball"
    """Where its drawing and what stands of it are measured from."""
    parts: tuple[tuple[str, int], ...] = ()
    """What it takes out of the bag: names of `kit.PARTS`, and how many."""

    @property
    def quantity(self) -> Quantity:
        return QUANTITIES[self.measures]


@dataclass(frozen=True, slots=True)
class Zone:
    """One reading the instrument can give: where it is tapped, what is stored, what it says.

    `span_mm` is its extent across the entry picture, left to right; `key` records it from the keyboard. `where` tells
    of which part of the stroke it speaks ("back", "through"), empty where it speaks of all there is.
    """

    name: str
    raw: Raw
    interval: Interval
    key: str | None
    span_mm: tuple[float, float]
    where: str = ""


@dataclass(frozen=True, slots=True)
class Solid:
    """Something that stands on the ground, as an upright block, m: along and across the line and in height.

    Right of the line positive, for a right-handed golfer where the aid belongs to one side. `of` names the dimension
    that puts it where it is. `place`: what the putter's head would meet; a thing hung over its way, or one that the
    ball starts on, is no obstacle of the same kind.
    """

    name: str
    x1: float
    x2: float
    y1: float
    y2: float
    top: float
    low: float = 0.0
    of: str = ""
    place: Literal["standing", "hung", "under_the_ball"] = "standing"

    def mirrored(self) -> "Solid":
        """The same for a left-handed golfer."""
        return replace(self, y1=-self.y2, y2=-self.y1)

    def meets(self, other: "Solid") -> bool:
        """True where the two would stand in the same place."""
        return (
            min(self.x2, other.x2) > max(self.x1, other.x1)
            and min(self.y2, other.y2) > max(self.y1, other.y1)
            and min(self.top, other.top) > max(self.low, other.low)
        )


@cache
def _dimensions_of(cls: "type[Aid]", units: Units) -> tuple[Dimension, ...]:
    def of(it: Field[Any]) -> Dimension:
        known = Dimension(name=it.name, **it.metadata)
        return _round_usual(known) if units == "feet" else known

    return tuple(of(it) for it in fields(cls) if it.metadata)


def _round_usual(it: Dimension) -> Dimension:
    """The same for a coach in feet and inches: what is usual is round to him, a height to the inch."""
    if it.unit != "m":
        return it
    usual = round_in_feet(it.default, INCH_M if "height" in it.name else 0.0)
    return replace(it, default=usual if it.low <= usual <= it.high else it.default)


@dataclass(frozen=True)
class Aid(ABC):
    """An instrument laid out with its dimensions."""

    about: ClassVar[About]
    touched: ClassVar[Mapping[str, str]] = {}
    """What a stroke may do to it, codes with their names, where that is what is noted of it at a putt; "clear" where
    it did nothing."""
    asked: ClassVar[str] = "What touched it?"
    """The question that these answer."""
    over_head: ClassVar[bool] = False
    """It lies over the head's way, which meets it where it is tilted or lifted."""

    def __post_init__(self) -> None:
        for it in self.dimensions():
            Bounds(it.low, it.high, it.unit).check(it.name, it.label, getattr(self, it.name))
        self.check()

    def check(self) -> None:
        """Raise `OutOfLimits` where dimensions that are fine alone do not fit together."""
        return

    @classmethod
    def dimensions(cls, units: Units = "metric") -> tuple[Dimension, ...]:
        """The dimensions to lay out, in laying order, with what is usual for a coach in these units."""
        return _dimensions_of(cls, units)

    @classmethod
    def laid(cls, sizes: Mapping[str, float]) -> Self:
        """Lay out the instrument; a missing dimension takes its default, an unknown one is an error."""
        known = {it.name for it in cls.dimensions()}
        for name in sizes:
            if name not in known:
                raise OutOfLimits(name, "no_dimension", name=cls.about.name, named=name, known=tuple(sorted(known)))
        return cls(**dict(sizes))

    def sizes(self) -> dict[str, float]:
        """The dimensions as they stand, each in its unit."""
        return {it.name: getattr(self, it.name) for it in self.dimensions()}

    def sizes_said(self, units: Units) -> str:
        """The dimensions in words: "Ball to gate 50 cm, Inside width 60 mm"."""
        sizes = self.sizes()
        return ", ".join(f"{it.label} {size_said(it.unit, sizes[it.name], units)}" for it in self.dimensions())

    @abstractmethod
    def interval(self, raw: Raw) -> Interval:
        """What a raw reading stands for, in the unit of `about.quantity`; `OutOfLimits` for one it cannot give."""

    def kept(self, raw: Raw) -> Interval:
        """The same of a reading as it is first kept: one that a tap records, or that says of itself it was typed."""
        return self.interval(raw)

    @abstractmethod
    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        """Every reading a tap can record, left to right. Their intervals cover all values without a gap."""

    @abstractmethod
    def words(self, raw: Raw, units: Units = "metric") -> str:
        """A reading as the coach would say it."""

    @abstractmethod
    def picture(self, units: Units = "metric") -> Scene:
        """The instrument as the coach faces it, for taking readings: page x is right of the line, mm."""

    @abstractmethod
    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        """The instrument on the ground with its dimensions, mm from the ball's start centre; right-handed golfer."""

    def solids(self) -> tuple[Solid, ...]:
        """What of it stands on the ground; empty where nothing does."""
        return ()

    def from_side(self, units: Units = "metric") -> tuple[Shape, ...]:
        """The instrument from the side, page x along the line, page y minus the height, mm."""
        return tuple(box(it.x1 * 1000, -it.top * 1000, it.x2 * 1000, -it.low * 1000, "post") for it in self.solids())

    @property
    def has_heights(self) -> bool:
        """True where its height above the ground matters and is worth a side view."""
        return False

    @property
    def line_end_m(self) -> float | None:
        """How far along the line it shows the line, for aids that show one to the golfer; None for others."""
        return None

    def for_putt(self, putt: Putt, spread_deg: float) -> Self:
        """The same instrument with the dimensions that suit a putt and the spread expected of the golfer (degrees)."""
        return self


def choice(raw: Raw, key: str, options: tuple[str, ...]) -> str:
    """The one option a raw reading names under `key`."""
    value = raw.get(key)
    if set(raw) != {key} or value not in options:
        raise OutOfLimits(f"raw.{key}", "no_such_reading", named=key, options=options)
    return str(value)


def between(it: Interval, told: Quantity, units: Units) -> str:
    """What an interval of a quantity says: "0.30° to 0.90° right", "more than 8 mm outside"."""

    def size(value: float) -> str:
        if told.unit == "deg":
            return fine_degrees(value)
        return about(value / (1000 if told.unit == "mm" else 1), 0.0, units)

    def sided(value: float) -> str:
        return f"{size(value)} {told.high_side if value > 0 else told.low_side}"

    if it.low_or_none is None:
        return f"more than {sided(it.high)}" if it.high < 0 else f"at most {sided(it.high)}"
    if it.high_or_none is None:
        return f"more than {sided(it.low)}" if it.low > 0 else f"at most {sided(it.low)}"
    if math.isclose(-it.low, it.high, rel_tol=1e-9, abs_tol=1e-12):
        return f"within {size(it.high)} either way"
    if it.low >= 0:
        return f"{size(it.low)} to {sided(it.high)}" if it.low else f"up to {sided(it.high)}"
    if it.high <= 0:
        return f"{size(it.high)} to {sided(it.low)}" if it.high else f"up to {sided(it.low)}"
    return f"{sided(it.low)} to {sided(it.high)}"
