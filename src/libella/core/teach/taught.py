"""What a teaching drawing is: levers that a finger moves, and what is drawn and told with them where they stand."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Final, Literal

from ..drawing.scene import Scene
from ..estimate.cost import Mix
from ..golfer.hand import Hand
from ..green.putt import Putt
from ..measure.limits import Bounds
from ..see.map import PerceptionMap

LeverUnit = Literal["deg", "mm", "m", "%", "ft", "", "putts", "draw"]
Values = Mapping[str, float]
Say = Callable[[str, float], str]
"""A label's words by its code and its number."""
MOST_STEPS: Final = 80
"""A lever stands on so many places at most: each is drawn before a finger comes to it."""


@dataclass(frozen=True, slots=True)
class Known:
    """What is known of the golfer a drawing is shown to; what was not read is as usual at the level.

    Attributes
    ----------
    bias_deg, spread_deg : of the starts
    face_deg, path_deg : at impact, right positive; k : the face's share of the start
    eyes_mm : inside the line; eye_height_m : of the eyes over the ground
    own : which of these were read of this golfer
    picture : what looks straight from where, of the tests made; `asked`: any of them tells
    """

    hand: Hand
    putt: Putt
    mix: Mix
    bias_deg: float
    spread_deg: float
    face_deg: float = 0.0
    path_deg: float = 0.0
    k: float = 0.85
    eyes_mm: float = 0.0
    eye_height_m: float = 1.45
    own: frozenset[str] = frozenset()
    picture: PerceptionMap | None = None
    asked: bool = False

    @property
    def distance_m(self) -> float:
        return self.putt.distance_m

    @property
    def past_m(self) -> float:
        return self.putt.past_m

    @property
    def green_speed_ft(self) -> float:
        return self.putt.green_speed_ft


@dataclass(frozen=True, slots=True)
class Lever:
    """What a finger moves.

    `knows`: the field of `Known` it starts from, within its ends; else it starts at `start`.
    """

    code: str
    unit: LeverUnit
    low: float
    high: float
    step: float
    start: float = 0.0
    knows: str = ""

    def __post_init__(self) -> None:
        assert (self.high - self.low) / self.step <= MOST_STEPS, self.code

    def at(self, known: Known) -> float:
        """Where it stands at first."""
        return self.nearest(float(getattr(known, self.knows)) if self.knows else self.start)

    def nearest(self, value: float) -> float:
        """The place it can stand on next to a value."""
        steps = round((min(max(value, self.low), self.high) - self.low) / self.step)
        return round(self.low + steps * self.step, 6)

    @property
    def places(self) -> tuple[float, ...]:
        """Every place it can stand on."""
        return tuple(round(self.low + n * self.step, 6) for n in range(round((self.high - self.low) / self.step) + 1))

    @property
    def bounds(self) -> Bounds:
        return Bounds(self.low, self.high, self.unit)


@dataclass(frozen=True, slots=True)
class Told:
    """A sentence by its code, with its numbers by name; a name ends with its unit: _deg, _mm, _m, _of_100, _n, _x."""

    code: str
    numbers: Mapping[str, float] = field(default_factory=dict[str, float])


@dataclass(frozen=True, slots=True)
class Shown:
    """A drawing with its levers where they stand. `enlarged`: across the line so many times; `shrunk`: heights;
    `chart`: no place is drawn, but numbers."""

    scene: Scene
    told: tuple[Told, ...]
    enlarged: float = 1.0
    shrunk: float = 1.0
    chart: bool = False


@dataclass(frozen=True, slots=True)
class Teaching:
    """One teaching drawing: the one entry that adding another takes, beside its words."""

    code: str
    levers: tuple[Lever, ...]
    draw: Callable[[Values, Known, Say], Shown]

    def lever(self, code: str) -> Lever | None:
        """None where it has no such lever."""
        return next((it for it in self.levers if it.code == code), None)

    def starts(self, known: Known) -> dict[str, float]:
        """Every lever as it stands at first, from what is known of the golfer."""
        return {it.code: it.at(known) for it in self.levers}


@dataclass(frozen=True, slots=True)
class Frame:
    """A drawing with one lever on one of its places."""

    value: float
    shown: Shown


def frames(it: Teaching, lever: Lever, values: Values, known: Known, say: Say) -> Sequence[Frame]:
    """The drawing for every place of a lever, the others standing where they are: a finger moves through them."""
    stand = {**it.starts(known), **values}
    return [Frame(value, it.draw({**stand, lever.code: value}, known, say)) for value in lever.places]
