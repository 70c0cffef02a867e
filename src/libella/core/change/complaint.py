"""What a golfer comes with: the miss, the lengths at which it shows, what it is felt to be, what is wanted
(practice 1)."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..judge.findings.finding import Cause
from ..measure.limits import Bounds, OutOfLimits
from ..measure.side import Side

Miss = Literal["left", "right", "both", "short", "past"]
MISSES: Final[tuple[Miss, ...]] = get_args(Miss)
Felt = Literal["sight", "mark", "aim", "stroke", "strike", "stillness", "read", "pace"]
FELT: Final[Mapping[Felt, tuple[Cause, ...]]] = {
    "sight": ("perception",),
    "mark": ("ball_mark",),
    "aim": ("face_aim",),
    "stroke": ("face_at_impact", "path", "compensation"),
    "strike": ("strike",),
    "stillness": ("movement",),
    "read": ("read_and_pace",),
    "pace": ("read_and_pace", "distance"),
}
"""What a golfer may feel it to be, each with the causes that would bear it out."""
FELT_IN: Final[Mapping[Felt, tuple[str, ...]]] = {
    "sight": ("looks_straight", "first_look"),
    "mark": ("mark", "to_mark"),
    "aim": ("face", "address", "to_mark"),
    "stroke": ("path", "impact", "turned", "path_back"),
    "strike": ("strike", "strike_high"),
    "stillness": ("still",),
    "read": ("read",),
    "pace": ("roll_past", "stopped"),
}
"""The quantities in which what is felt is read."""
_MISSED_IN: Final[Mapping[Miss, tuple[str, ...]]] = {
    "left": ("start",), "right": ("start",), "both": ("start",), "short": ("roll_past", "stopped"),
    "past": ("roll_past", "stopped"),
}  # fmt: skip
About = Literal["roll", "contact", "nerves", "aid_true", "which_better", "nothing_wrong"]
ABOUT_IN: Final[Mapping[About, tuple[str, ...]]] = {
    "roll": ("roll",),
    "contact": ("strike", "strike_high"),
    "nerves": ("still", "touch"),
    "aid_true": (),
    "which_better": (),
    "nothing_wrong": (),
}
"""What else a golfer comes with, no side and no length to it, each with the quantities in which it is read."""
Want = Literal["fewer_misses", "see_straight", "stop_steering", "better_pace", "to_know"]
WANTS: Final[tuple[Want, ...]] = get_args(Want)
LENGTH: Final = Bounds(0.3, 30.0, "m")
TRUST: Final = (1, 2, 3, 4, 5)
_MOST_SAID: Final = 300


@dataclass(frozen=True, slots=True)
class Complaint:
    """What was said when the lesson began; anything of it may be left out.

    Attributes
    ----------
    misses : where the putts go; "both" is left and right alike, and stands without either
    about : what is asked that no miss tells
    from_m, to_m : the lengths at which it shows; None where it has no end to that side
    felt : what the golfer feels it to be; None: cannot say
    trust : over the ball, from 1, none, to 5
    said : the golfer's own sentence
    """

    misses: tuple[Miss, ...] = ()
    from_m: float | None = None
    to_m: float | None = None
    felt: Felt | None = None
    trust: int | None = None
    wants: Want | None = None
    said: str = ""
    about: tuple[About, ...] = ()

    def __post_init__(self) -> None:
        checked_misses("misses", self.misses)
        _known("about", self.about, tuple(ABOUT_IN))
        _known("felt", (self.felt,) if self.felt else (), tuple(FELT))
        _known("wants", (self.wants,) if self.wants else (), WANTS)
        for name, length in (("from_m", self.from_m), ("to_m", self.to_m)):
            if length is not None:
                LENGTH.check(name, "complaint_length", length)
        if self.from_m is not None and self.to_m is not None and self.to_m < self.from_m:
            raise OutOfLimits("to_m", "complaint_ends_first", "m", from_m=self.from_m)
        if self.trust is not None and self.trust not in TRUST:
            raise OutOfLimits("trust", "trust_range", told=self.trust)
        if len(self.said) > _MOST_SAID:
            raise OutOfLimits("said", "said_too_long", most=_MOST_SAID)

    @property
    def is_empty(self) -> bool:
        """Nothing of it was told."""
        return self == Complaint()

    @property
    def asks(self) -> tuple[str, ...]:
        """The quantities it asks about: of the misses first, then of what else is asked, then of what is felt."""
        missed = [name for it in self.misses for name in _MISSED_IN[it]]
        about = [name for it in self.about for name in ABOUT_IN[it]]
        felt = FELT_IN[self.felt] if self.felt else ()
        return tuple(dict.fromkeys((*missed, *about, *felt)))

    @property
    def side(self) -> Side:
        """The side it is about; neither where it is about both, or none."""
        sides: set[Side] = {it for it in self.misses if it == "left" or it == "right"}
        return sides.pop() if len(sides) == 1 else "neither"


def checked_misses(field: str, told: tuple[Miss, ...]) -> tuple[Miss, ...]:
    """Misses, each once, and both sides in place of left and right; `OutOfLimits` else."""
    _known(field, told, MISSES)
    if len(set(told)) < len(told) or ("both" in told and {"left", "right"} & {*told}):
        raise OutOfLimits(field, "miss_twice")
    return told


def _known(field: str, told: tuple[str, ...], known: tuple[str, ...]) -> None:
    for it in told:
        if it not in known:
            raise OutOfLimits(field, "no_such_choice", named=it, known=known)
