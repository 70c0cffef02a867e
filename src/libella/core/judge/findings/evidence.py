"""What a lesson tells of a golfer, from every step: the one thing the rules of findings read."""

from dataclasses import dataclass, field
from typing import Final, Literal

from ...certainty.estimate import Estimate
from ...estimate.cost import Mix
from ...golfer.band import Band
from ...golfer.hand import Hand
from ...golfer.level import Level
from ...measure.interval import Interval
from ...measure.side import Side
from ...measure.window import Window
from ...start.notes import Notes
from ..compensation import UNZEROED_DEG

Step = Literal["set", "stand", "see", "aim", "start"]


@dataclass(frozen=True, slots=True)
class Place:
    """Where readings were taken: the step, and the block, series or test they stand in."""

    step: Step
    id: str = ""


@dataclass(frozen=True, slots=True)
class Told:
    """A link's mean as its readings tell it.

    Attributes
    ----------
    bias : degrees, right positive, with everything that is not known of it but the line's own direction
    count : readings it rests on
    at : where they are
    spread : about that mean, degrees; None where it was not worked out
    """

    bias: Estimate
    count: int
    at: Place
    spread: Estimate | None = None


@dataclass(frozen=True, slots=True)
class PuttSeen:
    """One putt as far as it was recorded, degrees, right positive; strike in mm towards the toe.

    `start` is None where nothing watched it.
    """

    start: Interval | None = None
    notes: Notes = field(default_factory=dict[str, str | float])
    aim_deg: float | None = None
    impact_deg: float | None = None
    path_deg: float | None = None
    toe_mm: float | None = None
    id: str = ""


@dataclass(frozen=True, slots=True)
class BlockSeen:
    """A block of putts.

    Attributes
    ----------
    putts : valid ones, oldest first
    window : what its hole allows
    noise_deg, shared_deg : of its rig: from one reading to the next, and shared by all
    guided : a rig or an aid was in view
    as_usual : the golfer stood and putted as usual, with nothing changed for trial
    proved : its line
    coarse : its rig's zones are too coarse for the window
    sensor_deg, zero_deg, one_device : of the sensor: its reading error, its zero's doubt, whether one device read all
    """

    id: str
    putts: tuple[PuttSeen, ...]
    distance_m: float
    window: Window
    noise_deg: float = 0.0
    shared_deg: float = 0.0
    guided: bool = False
    as_usual: bool = True
    proved: bool = True
    coarse: bool = False
    voided: int = 0
    disturbances: tuple[str, ...] = ()
    sensor_deg: float = 0.0
    zero_deg: float = UNZEROED_DEG
    one_device: bool = True

    @property
    def starts(self) -> tuple[Interval, ...]:
        return tuple(it.start for it in self.putts if it.start is not None)


@dataclass(frozen=True, slots=True)
class Picture:
    """What looks straight: β with its answers."""

    beta: Estimate
    answers: int
    at: Place


@dataclass(frozen=True, slots=True)
class SecondProof:
    """What a second check of the line found: how far the laid line lay right of the true one, degrees."""

    off: Estimate
    at: Place


@dataclass(frozen=True, slots=True)
class BodyLine:
    """A body line of the set-up as usual, degrees, right positive; noted only as a side, no angle."""

    name: str
    angle_deg: float | None
    times: int
    at: Place
    side: Side = "neither"


@dataclass(frozen=True, slots=True)
class Evidence:
    """All of it.

    Attributes
    ----------
    mix : the golfer's usual putts: windows with their weights, and their lengths beside them
    k : the face's share of the start
    line_deg : standard uncertainty of the laid line's own direction; None where it was never checked a second way
    level, band : of the golfer, and what counts as fine there
    tools : what the coach's bag holds, by kind of part; None where nothing was said of the bag
    """

    hand: Hand
    mix: Mix
    lengths_m: tuple[float, ...]
    k: Estimate
    level: Level
    band: Band
    blocks: tuple[BlockSeen, ...] = ()
    mark: Told | None = None
    to_mark: Told | None = None
    face: Told | None = None
    picture: Picture | None = None
    proof: SecondProof | None = None
    line_deg: float | None = None
    body: tuple[BodyLine, ...] = ()
    tools: frozenset[str] | None = None

    @property
    def toe_sign(self) -> int:
        """Which way a strike towards the toe sends the ball: right for a right-handed golfer."""
        return 1 if self.hand == "right" else -1

    def own(self) -> tuple[BlockSeen, ...]:
        """The blocks that tell the golfer as usual: with nothing in view where there are enough of those, and with
        nothing changed for trial."""
        usual = [it for it in self.blocks if it.as_usual] or list(self.blocks)
        blind = [it for it in usual if not it.guided]
        enough = sum(len(it.starts) for it in blind) >= FEWEST_STARTS
        return tuple(blind if enough else usual)


FEWEST_STARTS: Final = 5
"""Putts below which nothing is advised (handbook 5)."""
