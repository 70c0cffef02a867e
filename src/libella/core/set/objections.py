"""What speaks against a station as planned: rigs in each other's way, in the putter's, or under the golfer's feet."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from itertools import combinations
from typing import Final

from ..golfer.hand import Hand
from ..instruments.aid import Aid, Solid
from ..measure.limits import Bounds
from ..measure.units import Units, tape

BACKSTROKE: Final = Bounds(0.02, 1.2, "m")
# The putter's head on its way: half its length, how high it rises, and what it passes over flat. Opinions.
_HALF_HEAD_M = 0.06
_RISES_M = 0.1
_FLAT_M = 0.005
# Where the feet stand, for a right-handed golfer: see the shoes in the drawing.
_FEET: Final = (
    Solid("feet", -0.235, -0.14, -0.405, -0.115, 0.1),
    Solid("feet", 0.08, 0.18, -0.405, -0.115, 0.1),
)


def usual_backstroke_m(distance_m: float) -> float:
    """How far the head usually goes back for a putt of that length, m: an opinion, 10 cm and 6 cm for each metre."""
    return round(min(0.1 + 0.06 * distance_m, 0.7), 2)


@dataclass(frozen=True, slots=True)
class Placed:
    """An instrument at a station with what of it stands there, in the station's frame."""

    aid: Aid
    solids: tuple[Solid, ...]

    @property
    def name(self) -> str:
        return self.aid.about.name


@dataclass(frozen=True, slots=True)
class Objection:
    """A warning, and its reason."""

    words: str
    why: str


def objections(
    placed: Sequence[Placed], hand: Hand, distance_m: float, backstroke_m: float, units: Units
) -> tuple[Objection, ...]:
    """Everything that speaks against these instruments together; empty where nothing does."""
    return (
        *_laser_and_mirror(placed),
        *_same_place(placed),
        *(it for each in placed for it in _in_the_stroke(each, backstroke_m, units)),
        *_across_the_feet(placed, hand),
        *(it for each in placed for it in _too_short(each, distance_m, units)),
    )


def _laser_and_mirror(placed: Iterable[Placed]) -> list[Objection]:
    lasers = [it for it in placed if it.aid.about.laser]
    mirrors = [it for it in placed if it.aid.about.mirror]
    return [
        Objection(
            f"{laser.name} together with {mirror.name.lower()}: never a head over the mirror while the laser is on.",
            "A mirror throws the beam up, into the eyes of whoever looks down. Read the mirror first, then switch on.",
        )
        for laser in lasers
        for mirror in mirrors
        if laser is not mirror
    ]


def _same_place(placed: Sequence[Placed]) -> list[Objection]:
    found: list[Objection] = []
    for one, other in combinations(placed, 2):
        meeting = next(((a, b) for a in one.solids for b in other.solids if a.meets(b)), None)
        if meeting:
            a, b = meeting
            found.append(
                Objection(
                    f"{one.name} and {other.name.lower()} are in the same place.",
                    f"The {a.name} and the {b.name} would stand in each other; move one of them.",
                )
            )
    return found


def _in_the_stroke(each: Placed, backstroke_m: float, units: Units) -> list[Objection]:
    """What the head would meet, going back or through. What guides the stroke stands beside the head on purpose."""
    if each.aid.about.measures in ("path", "strike"):
        return []
    way = Solid("stroke", -backstroke_m, backstroke_m, -_HALF_HEAD_M, _HALF_HEAD_M, _RISES_M, _FLAT_M)
    found: list[Objection] = []
    for it in each.solids:
        if it.name == "rail" or not it.meets(way):  # the ball starts on a narrow rail
            continue
        if it.name == "string":
            found.append(
                Objection(
                    f"{each.name}: the string is in the putter's way.",
                    f"It hangs {tape(round((it.low + it.top) / 2, 3), units)} up, and the head rises to about "
                    f"{tape(_RISES_M, units)} going back and through. Hang it higher.",
                )
            )
        elif it.x2 < 0:
            found.append(
                Objection(
                    f"{each.name}: no room behind the ball for the backstroke.",
                    f"The {it.name} stands {tape(round(-(it.x1 + it.x2) / 2, 3), units)} behind the ball; this putt "
                    f"takes the head about {tape(backstroke_m, units)} back.",
                )
            )
        elif it.x1 > 0:
            found.append(
                Objection(
                    f"{each.name}: in the way of the follow-through.",
                    f"The {it.name} stands {tape(it.x1, units)} beyond the ball; the head goes about "
                    f"{tape(backstroke_m, units)} through. Move it further out, or lift it before the putt.",
                )
            )
        else:
            found.append(
                Objection(
                    f"{each.name}: in the head's way.",
                    f"The {it.name} lies beside the ball where the head passes; the head reaches "
                    f"{tape(_HALF_HEAD_M, units)} either side of the line.",
                )
            )
    # Two posts of one gate say the same.
    return list({it.words: it for it in reversed(found)}.values())[::-1]


def _across_the_feet(placed: Iterable[Placed], hand: Hand) -> list[Objection]:
    feet = _FEET if hand == "right" else tuple(it.mirrored() for it in _FEET)
    return [
        Objection(
            f"{each.name}: across the golfer's feet.",
            "It reaches to where the golfer stands: the feet move it, or it trips. Shorten it, or turn it round.",
        )
        for each in placed
        if each.aid.about.measures != "body" and any(it.meets(foot) for it in each.solids for foot in feet)
    ]


def _too_short(each: Placed, distance_m: float, units: Units) -> list[Objection]:
    end = each.aid.line_end_m
    if end is None or end >= distance_m - 0.005:
        return []
    return [
        Objection(
            f"{each.name}: too short for this putt.",
            f"It shows the line for {tape(end, units)}, and the hole is {tape(distance_m, units)} away.",
        )
    ]
