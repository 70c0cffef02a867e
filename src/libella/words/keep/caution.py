"""Cautions in words: what is laid, the place, the golfer, what is taken home (handbook 8)."""

from typing import Final

from ...core.change.drill import Drill
from ...core.keep.caution import Case, cautions

CAUTIONS: Final[dict[str, str]] = {
    "laser_class": "Use the lowest laser class you can see; follow its label and local rules. Never at eye height, at "
    "people or out of the bay.",
    "laser_switch": "Switch the laser off before anybody bends over it. Children only with an adult at the switch.",
    "laser_around": "No pets, no road, no aircraft where the beam may go; lock its remote when it leaves the hand.",
    "beam_thrown": "A mirror, a polished head or a metal rod throws the beam up: no golfer's head in line while "
    "the laser is on.",
    "coachs_word": "Mirror and laser stand together: nobody bends over the mirror before the coach says “off”.",
    "lights_up": "Where the room is darkened for the laser: lights up between blocks, before anybody walks.",
    "no_laser_at_home": "Practise without a laser at home; never look along one, nor into a mirror while one is on.",
    "beyond_the_hole": "Nobody stands on the line beyond the hole to see where it ends.",
    "holes_mended": "Mend the holes that pegs and rods leave; the greenkeeper’s rules come first.",
    "cups_edge": "Nobody steps on the cup’s edge, or leans on the putter beside it.",
    "weather": "Thunder or lightning: off the green at once, and leave rods and putters lying.",
    "wet_green": "The green is wet. Wear shoes that grip, and dry your hands and the grip.",
    "wet_mat": "It is wet: dry the mat and the soles first, wet mats slide.",
    "towel": "One place stood on for long: a towel under the feet, and the stance moved before the turf wears.",
    "shared_kit": "Several golfers use it today: wipe what comes near hands and face in between.",
    "filming": "Film and photograph nobody who did not agree.",
    "minors": "Records and pictures of minors need their guardian’s consent.",
    "straighten_up": "Bending over for long strains your back. Stand up and walk every eight minutes in a drill.",
    "pain": "Stop at pain, and see a licensed professional.",
    "sparing_tilt": "Tilt the head sparingly: only as far as it goes by itself.",
    "one_foot": "Stands on one foot: a hold at hand, and not when tired.",
    "not_on_one_foot": "No drill on one foot.",
    "tremor": "Sudden jerks and tremor are no matter for a drill: suggest a clinician. Nothing here says what it is.",
    "eye_professional": "What looks straight can change with the glasses: let an eye professional look. Nothing here "
    "says what it is.",
    "rules_of_play": "Aids are for practice: the rules of play and of the course decide what may be used in a round, "
    "and which putters and balls are approved.",
    "opinion": "This is an opinion on putting, from what was read that day: neither medical advice nor a fitting.",
}


_OF_EVERY_DRILL: Final = frozenset(("straighten_up", "pain"))
"""What applies to every drill alike: said once a page, and not with each."""


def cautions_said(it: Case) -> list[str]:
    """All cautions that apply: of each instrument laid first, then of all together; each said once."""
    own = [said for about in it.aids for said in about.cautions]
    return list(dict.fromkeys([*own, *(CAUTIONS[code] for code in cautions(it))]))


def drill_cautions_said(it: Drill) -> list[str]:
    """What applies to one drill, beside what applies to every drill."""
    return [CAUTIONS[code] for code in cautions(Case("drill", drill=it)) if code not in _OF_EVERY_DRILL]
