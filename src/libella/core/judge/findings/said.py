"""What may be said of a lesson: one class for each sentence that may come first."""

from dataclasses import dataclass

from ...certainty.estimate import Estimate
from ...certainty.verdict import Word
from ...measure.side import Side
from ..claims.difference import Difference, Group
from ..claims.growth import Growth
from ..claims.level import Level
from ..claims.pace import Pace
from ..claims.reads import Compared, asked_of
from ..claims.share import ShareOf
from ..claims.tail import Tail
from ..claims.together import GoesWith
from ..claims.unusable import NotUsed
from .finding import Finding
from .ranked import Findings, Starts


@dataclass(frozen=True, slots=True)
class LineFirst:
    """All that was read against an unproved line lies on one side: so many quantities, about so far to that side."""

    finding: Finding
    levels: tuple[Level, ...]
    side: Side
    about: float
    word: Word = "open"


@dataclass(frozen=True, slots=True)
class Cause_:
    """A cause that is named."""

    finding: Finding
    findings: Findings
    pace: Pace | None = None
    growth: Growth | None = None

    @property
    def word(self) -> Word:
        return self.finding.call.word


@dataclass(frozen=True, slots=True)
class PutRight:
    """The line was found off, what was read was put right by it, and nothing else is to be mended."""

    finding: Finding
    findings: Findings
    word: Word = "none"


@dataclass(frozen=True, slots=True)
class Differs:
    """A comparison's condition differs from its first; or what was looked at one way from what was as usual, which
    nobody planned."""

    compared: Compared
    group: Group
    difference: Difference
    dose: Difference | None = None
    """How far what was moved was moved for it: it is told with what it brought, and not by itself."""

    @property
    def is_asked(self) -> bool:
        """It answers what its comparison was begun for: that quantity, and of it what was asked."""
        it, question = self.difference, self.compared.question
        if not self.compared.id or it.quantity.name != asked_of(question, self.compared.of):
            return False
        call = {"spread": it.steadier, "window": it.inside[1] if it.inside else None}.get(question, it.call)
        return call is not None and call.names_direction

    @property
    def word(self) -> Word:
        calls = [it for it in (self.difference.call, self.difference.steadier) if it is not None and it.names_direction]
        return "clear" if any(it.word == "clear" for it in calls) else "likely"


@dataclass(frozen=True, slots=True)
class Off:
    """A level that lies off, and no cause of it is named. `by_stroke`: the face was read to aim true; `at_address`: it
    was read to point to that side already."""

    level: Level
    by_stroke: bool = False
    read_aim: bool = False
    path_may: bool = False
    at_address: bool = False

    @property
    def word(self) -> Word:
        if self.level.call is not None and self.level.call.names_direction:
            return self.level.call.word
        return self.level.side.word


@dataclass(frozen=True, slots=True)
class PaceOff:
    """The putts stop short of the pace planned, or run past it; no cause is named for it."""

    pace: Pace

    @property
    def word(self) -> Word:
        level = self.pace.level
        return "open" if level is None or level.call is None else level.call.word


@dataclass(frozen=True, slots=True)
class GroundOff:
    """So many missed though they started inside the window, at good pace, on level ground."""

    times: int
    of: int
    word: Word = "open"


@dataclass(frozen=True, slots=True)
class MissedSide:
    """Misses lie to one side; `unread`: of these the start was not read."""

    side: Side
    times: int
    of: int
    unread: int
    word: Word = "open"


@dataclass(frozen=True, slots=True)
class Grows:
    """The starts go with the length, and no cause of it is named."""

    growth: Growth

    @property
    def word(self) -> Word:
        return self.growth.call.word


@dataclass(frozen=True, slots=True)
class Joined:
    """Two things go together, putt by putt."""

    together: GoesWith

    @property
    def word(self) -> Word:
        return self.together.word


@dataclass(frozen=True, slots=True)
class Wide:
    """The spread of the starts is wide for the level, and no cause of it is named.

    toe : to which side the starts go the further towards the toe the ball is struck; "neither" where that is not sure
    """

    starts: Starts
    toe: Side = "neither"
    word: Word = "open"


@dataclass(frozen=True, slots=True)
class FarOff:
    """Some starts lie far off to one side while their middle does not."""

    tail: Tail
    level: Level
    word: Word = "open"


@dataclass(frozen=True, slots=True)
class Misled:
    """A string hangs where it misleads the golfer's eyes, and something was read against it."""

    unused: tuple[NotUsed, ...]
    word: Word = "open"

    @property
    def off(self) -> Estimate:
        """How far outside the line it lies to them, mm."""
        return self.unused[0].why.off


@dataclass(frozen=True, slots=True)
class Nothing:
    """The starts are nothing to mend."""

    starts: Starts
    word: Word = "none"


@dataclass(frozen=True, slots=True)
class Open:
    """Nothing is sure enough to say first; `starts`, where they were read; `read`: something was; `pace`, `noted`: what
    there is: where the putts finished, what lies to a side as it was read as usual, counts of what is not as wanted."""

    starts: Starts | None
    read: bool
    noted: tuple[Level | ShareOf, ...] = ()
    pace: Pace | None = None
    word: Word = "open"


Chosen = (
    LineFirst
    | Cause_
    | PutRight
    | Differs
    | Grows
    | Off
    | Joined
    | PaceOff
    | GroundOff
    | MissedSide
    | FarOff
    | Misled
    | Wide
    | Nothing
    | Open
)
