"""What is said of schools."""

from typing import Final

from ...core.certainty.estimate import normal
from ...core.change.school_told import SchoolTold
from ...core.schools.held import DISAGREEMENTS, HeldSchool
from ..schools import told
from .reading import Reading

_SIZED: Final = (
    "picture_true",
    "picture_off",
    "aim_with_picture",
    "aim_against_picture",
    "swings_left",
    "swings_right",
    "off_and_fine",
    "off_and_costs",
    "stroke_turns",
    "feels_otherwise",
)


def schools_aloud(it: Reading) -> None:
    for of in DISAGREEMENTS.values():
        for school in of.schools.values():
            held = HeldSchool(of, school, "coach")
            it.say("judge", told.held_said, held)
            it.say("judge", told.changes_said, school, it.units)
    first, other = list(DISAGREEMENTS["eyes"].schools.values())[:2]
    held = HeldSchool(DISAGREEMENTS["eyes"], first, "golfer")
    it.say("judge", told.by_said, None)
    it.say("judge", told.by_said, "golfer")
    it.say("judge", told.stands_said, None, held)
    for school in ("", first.code, other.code):
        it.say("judge", told.stands_said, SchoolTold("picture_true", school, "likely", normal(0.1, 0.1)), held)
    for what in _SIZED:
        for size in (normal(0.8, 0.2), normal(-1.2, 0.3)):
            it.say("judge", told.told_said, SchoolTold(what, "", "likely", size), it.hand)
    for one in (
        SchoolTold("share_of_face", "face", "clear", normal(0.91, 0.02)),
        SchoolTold("cause_named", "face", "likely", normal(6.0, 2.0), change="face_aim"),
        SchoolTold("leans_on_guide", "none", "likely", normal(6.0, 2.0)),
        SchoolTold("grows", "mixed", "likely", normal(6.0, 2.0)),
        SchoolTold("mostly_short", "past", "clear", number=7, of=10),
        SchoolTold("holed_from_outside", "no_proof", "clear", number=1, of=1),
        SchoolTold("holed_from_outside", "no_proof", "clear", number=2, of=9),
        SchoolTold("retest_better", "move", "clear", change="move_the_head"),
        SchoolTold("retest_worse", "", "likely", change="wide_base"),
    ):
        it.say("judge", told.told_said, one, it.hand)
