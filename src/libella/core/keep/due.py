"""What falls due over weeks: retests, what is left of a change, a card checked again, lessons that were never ended."""

from dataclasses import dataclass
from typing import Final, Literal

from ..change.retest import Standing

DueKind = Literal["retest", "left", "card", "lesson"]
FIRST_RETEST_D: Final = 7.0
SECOND_RETEST_D: Final = 21.0
"""After a week, and three more weeks on (practice 4)."""
LEFT_D: Final = 7.0
CARD_D: Final = 28.0
UNFINISHED_D: Final = 0.5
_RETESTED: Final[tuple[Standing, ...]] = ("open", "better_so_far")


@dataclass(frozen=True, slots=True)
class ChangeStands:
    """A change as it stands: its standing, when it was made and last retested, days on one clock; whether it is of the
    line, and whether what is left of it was looked at."""

    standing: Standing
    made_d: float
    retested_d: float | None
    of_line: bool
    looked_at: bool


def change_due(it: ChangeStands) -> tuple[DueKind, float] | None:
    """What falls due of a change, and on which day; None where nothing does."""
    if it.standing == "untested":
        return "retest", it.made_d + FIRST_RETEST_D
    last = it.made_d if it.retested_d is None else it.retested_d
    if it.standing in _RETESTED:
        return "retest", last + SECOND_RETEST_D
    if it.standing == "kept" and it.of_line and not it.looked_at:
        return "left", last + LEFT_D
    return None
