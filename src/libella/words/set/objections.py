"""What speaks against a station, in words: a warning, and its reason."""

from dataclasses import dataclass

from ...core.measure.units import Units, tape
from ...core.set.objections import Objection as Fact


@dataclass(frozen=True, slots=True)
class Objection:
    """A warning, and its reason."""

    words: str
    why: str


def objection_words(it: Fact, units: Units) -> Objection:
    """An objection as it is read."""
    name, said = it.about.name, it.other.said if it.other else ""
    at, reach = tape(it.at_m, units), tape(it.reach_m, units)
    match it.kind:
        case "laser_over_mirror":
            return Objection(
                f"{name} together with {said}: never a head over the mirror while the laser is on.",
                "A mirror throws the beam up, into the eyes of whoever looks down. Read the mirror first, then switch "
                "on.",
            )
        case "same_place":
            return Objection(
                f"{name} and {said} are in the same place.",
                f"The {it.part} and the {it.other_part} would stand in each other; move one of them.",
            )
        case "string_low":
            return Objection(
                f"{name}: the {it.part} is in the putter's way.",
                f"It hangs {at} up, and the head rises to about {reach} going back and through. Hang it higher.",
            )
        case "backstroke":
            return Objection(
                f"{name}: no room behind the ball for the backstroke.",
                f"The {it.part} stands {at} behind the ball; this putt takes the head about {reach} back.",
            )
        case "follow_through":
            return Objection(
                f"{name}: in the way of the follow-through.",
                f"The {it.part} stands {at} beyond the ball; the head goes about {reach} through. "
                "Move it further out: it is read as the ball passes."
                if it.about.measures == "start"
                else f"The {it.part} stands {at} beyond the ball; the head goes about {reach} through. "
                "Move it further out, or lift it before the putt.",
            )
        case "beside":
            return Objection(
                f"{name}: in the head's way.",
                f"The {it.part} lies beside the ball where the head passes; the head reaches {reach} either side of "
                "the line.",
            )
        case "feet":
            return Objection(
                f"{name}: across the golfer's feet.",
                "It reaches to where the golfer stands: the feet move it, or it trips. Shorten it, or turn it round.",
            )
        case "short":
            return Objection(
                f"{name}: too short for this putt.", f"It shows the line for {at}, and the hole is {reach} away."
            )
