"""A school: one side of what coaches contradict each other on, and what declaring it changes (handbook 7)."""

from collections.abc import Mapping
from dataclasses import dataclass, field, fields
from typing import Final, Literal, get_args

from ..certainty.estimate import Estimate
from ..green.capture import Capture
from ..green.usual import UsualLength
from ..start.path import PathName

Told = Literal["set", "stand", "see", "aim", "start", "judge", "change", "keep"]
"""The step at which it is told."""
STEPS: Final[tuple[Told, ...]] = get_args(Told)
Stays = Literal["face_offset", "body_lines"]
"""What may stay as it is where it repeats."""
First = Literal["picture", "numbers", "touch", "feel"]
"""What a golfer wants to see first."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Settings:
    """What a school sets where nobody said otherwise; None and empty: it leaves it as it is.

    Attributes
    ----------
    past_m, capture : the pace of a new plan past the hole, and how its hole takes a ball
    hole : whether a new block is putted to a hole
    gate_at_m : how far ahead of the ball a gate is proposed
    line_by : the kinds that are proposed first where a line is to be laid or a start read, the best first
    eyes_mm : where eyes are wanted, mm inside, from and to
    trace, cue : along which way is looked, and what is aimed by, in a new test and a new series
    path : the model of the path a new block declares
    k : the face's share of the start, where this golfer's own putts do not tell it
    lengths : the lengths usually putted, of a golfer of whom none were noted
    one_level : everybody is held to the bands of those who play for a living
    causes : what is looked at first among questions that nothing tells apart yet
    first : what stands first of what was found
    days_a_week, minutes_a_day : of a new plan for the weeks
    """

    past_m: float | None = None
    capture: Capture | None = None
    hole: bool | None = None
    gate_at_m: float | None = None
    line_by: tuple[str, ...] = ()
    eyes_mm: tuple[float, float] | None = None
    trace: str | None = None
    cue: str | None = None
    path: PathName | None = None
    k: Estimate | None = None
    lengths: tuple[UsualLength, ...] = ()
    one_level: bool = False
    causes: tuple[str, ...] = ()
    first: First | None = None
    days_a_week: int | None = None
    minutes_a_day: int | None = None


NOTHING_SET: Final = Settings()
DECIDES: Final[Mapping[str, tuple[Told, ...]]] = {
    "past_m": ("set",),
    "capture": ("set",),
    "hole": ("set",),
    "gate_at_m": ("set",),
    "line_by": ("set",),
    "eyes_mm": ("see", "judge"),
    "trace": ("see",),
    "cue": ("aim",),
    "path": ("set",),
    "k": ("judge",),
    "lengths": ("judge",),
    "one_level": ("judge",),
    "causes": ("judge",),
    "first": ("judge",),
    "days_a_week": ("keep",),
    "minutes_a_day": ("keep",),
}
"""The steps at which something is said or offered otherwise by it."""


@dataclass(frozen=True, slots=True, kw_only=True)
class School:
    """One side.

    Attributes
    ----------
    name, words : what it is called, and what it holds, as those who hold it would say it
    offers, leaves : the changes and drills it stands for, which come first; and those it does without, which come last
    stays : what may stay as it is where it repeats
    """

    code: str
    name: str
    words: str
    settings: Settings = NOTHING_SET
    offers: tuple[str, ...] = ()
    leaves: tuple[str, ...] = ()
    stays: tuple[Stays, ...] = ()

    @property
    def decides_at(self) -> tuple[Told, ...]:
        """The steps at which what it sets is met; the changes it offers say so themselves, each of them."""
        told = (DECIDES[it.name] for it in fields(self.settings) if getattr(self.settings, it.name) != it.default)
        return tuple(dict.fromkeys(step for steps in told for step in steps))


@dataclass(frozen=True, slots=True)
class Disagreement:
    """Something on which coaches contradict each other.

    Attributes
    ----------
    asks : what they disagree on, as a question
    at : the step at which it is told; what it sets is set wherever it comes up
    schools : its sides, by code, in no order of merit
    """

    code: str
    asks: str
    at: Told
    schools: Mapping[str, School] = field(default_factory=dict[str, School])


def between(code: str, asks: str, at: Told, *schools: School) -> Disagreement:
    """A disagreement between these."""
    return Disagreement(code, asks, at, {it.code: it for it in schools})
