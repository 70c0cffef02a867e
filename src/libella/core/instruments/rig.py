"""What every instrument is: dimensions with limits, the readings it can give, and what each reading says.

An instrument is a frozen dataclass derived from `Rig`; one laid out on the green is an instance, its fields are the
dimensions. It lives in a file of its own in this package and is found by the registry.
"""

import math
from abc import ABC, abstractmethod
from collections.abc import Callable, Mapping
from dataclasses import Field, dataclass, field, fields
from typing import Any, ClassVar, Literal, Self

from ..drawing.scene import Scene, Shape
from ..green.putt import Putt
from ..interval import Interval
from ..limits import Bounds, OutOfLimits
from ..wording import Units, fine_degrees, percent

_STRICT, _LOOSE = 0.5, 1.5

Raw = Mapping[str, float | str]
"""A reading as it was tapped: one key, one value."""


@dataclass(frozen=True, slots=True)
class Dimension:
    """One taped dimension of an instrument, m."""

    name: str
    label: str
    low: float
    high: float
    default: float
    step: float
    hint: str
    unit: Literal["m"] = "m"


def dimension(label: str, *, low: float, high: float, default: float, step: float, hint: str) -> Any:
    """Declare a dimension as a dataclass field of an instrument (lengths in m)."""
    return field(
        default=default,
        metadata={"default": default, "label": label, "low": low, "high": high, "step": step, "hint": hint},
    )


Measures = Literal["start", "face"]
MEASURES_WORDS: dict[Measures, str] = {"start": "Ball start line", "face": "Face aim"}


@dataclass(frozen=True, slots=True)
class About:
    """What the coach is told of an instrument, before any dimension is known.

    `measures` is the quantity its intervals are of: start error, or face aim at address.
    `entry` is how a reading is taken on the picture: "tap" one of a few zones, or "slide" along many narrow ones.
    `guides` tells whether it stands in the golfer's view and so measures a guided golfer.
    """

    kind: str
    name: str
    measures: Measures
    entry: Literal["tap", "slide"]
    guides: bool
    tells: str
    cannot: str
    read: str
    mistakes: tuple[str, ...]
    cautions: tuple[str, ...]
    strict: bool = False
    """It lets a band of angles through, which can be set (`Rig.tuned`)."""
    laser: bool = False
    """A laser is on while it is used: its cautions are to be read once a lesson."""


@dataclass(frozen=True, slots=True)
class Zone:
    """One reading the instrument can give: where it is tapped, what is stored, what it says.

    `span_mm` is its extent across the entry picture, left to right; `key` records it from the keyboard.
    """

    name: str
    raw: Raw
    interval: Interval
    key: str | None
    span_mm: tuple[float, float]


@dataclass(frozen=True, slots=True)
class Remedy:
    """A change of one dimension that would answer an objection."""

    name: str
    value: float
    words: str


@dataclass(frozen=True, slots=True)
class Sight:
    """What a rig can see against the window, and whether that will do.

    `narrowest_deg`: half-width of the reading nearest the line. `share`: that over the narrower side of the window.
    """

    narrowest_deg: float
    share: float
    fit: Literal["good", "coarse", "short", "strict", "loose"]
    words: str
    remedies: tuple[Remedy, ...] = ()


@dataclass(frozen=True)
class Rig(ABC):
    """An instrument laid out with its dimensions."""

    about: ClassVar[About]

    def __post_init__(self) -> None:
        for it in self.dimensions():
            Bounds(it.low, it.high, it.unit).check(it.name, it.label, getattr(self, it.name))
        self.check()

    def check(self) -> None:
        """Raise `OutOfLimits` where dimensions that are fine alone do not fit together."""
        return

    @classmethod
    def dimensions(cls) -> tuple[Dimension, ...]:
        """The dimensions to lay out, in laying order."""

        def of(it: Field[Any]) -> Dimension:
            return Dimension(name=it.name, **it.metadata)

        return tuple(of(it) for it in fields(cls) if it.metadata)

    @classmethod
    def laid(cls, sizes: Mapping[str, float]) -> Self:
        """Lay out the instrument; a missing dimension takes its default, an unknown one is an error."""
        known = {it.name for it in cls.dimensions()}
        for name in sizes:
            if name not in known:
                names = ", ".join(sorted(known))
                raise OutOfLimits(
                    name, f"{cls.about.name} has no dimension {name!r}.", limit=f"one of {names}", unit=""
                )
        return cls(**dict(sizes))

    def sizes(self) -> dict[str, float]:
        """The dimensions as they stand, m."""
        return {it.name: getattr(self, it.name) for it in self.dimensions()}

    @property
    @abstractmethod
    def station_m(self) -> float:
        """Distance of the rig from the ball's start centre along the line, m."""

    @abstractmethod
    def interval(self, raw: Raw) -> Interval:
        """The start error, degrees, that a raw reading stands for; `OutOfLimits` for one it cannot give."""

    @abstractmethod
    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        """Every reading a tap can record, left to right. Their intervals cover all angles without a gap."""

    @abstractmethod
    def words(self, raw: Raw, units: Units = "metric") -> str:
        """A reading as the coach would say it."""

    @abstractmethod
    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        """What this rig can see, against the putt's window and the spread expected of the golfer (degrees)."""

    def tuned(self, limit_deg: float) -> Self:
        """The same rig laid where it is, as strict as wanted: one that lets ± `limit_deg` through and no more.

        `OutOfLimits` where no width does that, or where the instrument is read on a scale and has no strictness.
        """
        raise OutOfLimits(
            "limit_deg",
            f"{self.about.name} is read on a scale: it has no strictness to set.",
            limit="a gate or a rail",
            unit="deg",
        )

    @abstractmethod
    def picture(self, units: Units = "metric") -> Scene:
        """The instrument as the coach faces it, for taking readings: page x is right of the line, mm."""

    @abstractmethod
    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        """The instrument on the ground with its taped dimensions, mm from the ball's start centre."""

    def observe(self, start_deg: float) -> Zone:
        """The reading this rig would give of a ball that starts at that angle."""
        for zone in self.zones():
            if start_deg <= zone.interval.high:
                return zone
        raise AssertionError("the zones of a rig cover every angle")


def passing_sight(limit_deg: float, spread_deg: float, putt: Putt, remedies: Callable[[], tuple[Remedy, ...]]) -> Sight:
    """What a rig sees that only tells whether a putt passed within ± `limit_deg`.

    Handbook 3: useful when the limit is 0.5 to 1.5 times the spread expected; else `remedies` are offered.
    """
    window = putt.window.narrow_deg
    clean = math.erf(limit_deg / spread_deg / math.sqrt(2))
    said = (
        f"Lets ± {fine_degrees(limit_deg)} through clean; the window is ± {fine_degrees(window)}. "
        f"A golfer of this level, with no bias, passes about {percent(clean)} clean."
    )
    ratio = limit_deg / spread_deg
    if _STRICT <= ratio <= _LOOSE:
        return Sight(limit_deg, limit_deg / window, "good", f"{said} That tells most per putt.")
    if ratio > _LOOSE:
        words = f"{said} Too coarse: nearly every putt passes and a bias stays hidden."
        return Sight(limit_deg, limit_deg / window, "loose", words, remedies())
    words = f"{said} Too strict: nearly every putt touches, and the size of the error stays hidden."
    return Sight(limit_deg, limit_deg / window, "strict", words, remedies())


def choice(raw: Raw, key: str, options: tuple[str, ...]) -> str:
    """The one option a raw reading names under `key`."""
    value = raw.get(key)
    if set(raw) != {key} or value not in options:
        raise OutOfLimits(
            f"raw.{key}",
            f"This rig reads {key!r} as one of: {', '.join(options)}.",
            limit=f"one of {', '.join(options)}",
            unit="",
        )
    return str(value)
