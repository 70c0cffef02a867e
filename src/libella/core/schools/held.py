"""The schools that are held: of a golfer before the coach's, and none where neither said anything."""

from collections.abc import Mapping
from dataclasses import dataclass, field, fields, replace
from functools import cached_property
from typing import Final, Literal

from ..measure.limits import OutOfLimits
from .laid import LAID
from .practised import PRACTISED
from .school import Disagreement, School, Settings, Stays
from .seen import SEEN
from .stroked import STROKED

DISAGREEMENTS: Final[dict[str, Disagreement]] = {it.code: it for it in (*LAID, *SEEN, *STROKED, *PRACTISED)}
"""Everything on which coaches contradict each other, in the order of the steps at which it is told."""
Whose = Literal["golfer", "coach"]


@dataclass(frozen=True, slots=True)
class HeldSchool:
    """A school that is held, and who holds it."""

    of: Disagreement
    school: School
    by: Whose

    @property
    def rivals(self) -> tuple[School, ...]:
        """The other sides."""
        return tuple(it for it in self.of.schools.values() if it.code != self.school.code)


@dataclass(frozen=True)
class Schools:
    """What coach and golfer declared: the code of a school by that of the disagreement."""

    coach: Mapping[str, str] = field(default_factory=dict[str, str])
    golfer: Mapping[str, str] = field(default_factory=dict[str, str])

    @cached_property
    def held(self) -> tuple[HeldSchool, ...]:
        """Every school that is held, a golfer's before the coach's."""
        found: list[HeldSchool] = []
        for code, of in DISAGREEMENTS.items():
            by: Whose = "golfer" if code in self.golfer else "coach"
            told = self.golfer.get(code) or self.coach.get(code, "")
            if told in of.schools:
                found.append(HeldSchool(of, of.schools[told], by))
        return tuple(found)

    def of(self, code: str) -> School | None:
        """The school held in a disagreement; None where none is."""
        return next((it.school for it in self.held if it.of.code == code), None)

    @cached_property
    def settings(self) -> Settings:
        """What all of them set together."""
        made = Settings()
        for it in self.held:
            own = it.school.settings
            # No two disagreements set the same: a test holds them to it.
            said = {one.name: told for one in fields(own) if (told := getattr(own, one.name)) != one.default}
            made = replace(made, **said)
        return made

    @cached_property
    def stays(self) -> frozenset[Stays]:
        """What may stay as it is where it repeats."""
        return frozenset(one for it in self.held for one in it.school.stays)

    def place(self, code: str) -> int:
        """Where a change or a drill comes: before the others (-1), after them (1), or where it stood (0)."""
        offered = any(code in it.school.offers for it in self.held)
        left = any(code in it.school.leaves for it in self.held)
        return left - offered

    def deciding(self, code: str) -> tuple[str, ...]:
        """The disagreements whose held school brought a change or a drill to its place."""
        return tuple(it.of.code for it in self.held if code in (*it.school.offers, *it.school.leaves))


NONE_HELD: Final = Schools()


def checked_held(told: Mapping[str, str]) -> None:
    """`OutOfLimits` for schools that nobody can hold."""
    for code, school in told.items():
        checked_school(code, school)


def checked_school(code: str, school: str) -> None:
    """`OutOfLimits` for what no coach disagrees on, or for no side of it; an empty school is none held."""
    if code not in DISAGREEMENTS:
        raise OutOfLimits("disagreement", "no_such_choice", named=code, known=tuple(DISAGREEMENTS))
    known = tuple(DISAGREEMENTS[code].schools)
    if school and school not in known:
        raise OutOfLimits("school", "no_such_choice", named=school, known=known)
