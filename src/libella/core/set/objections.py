"""What speaks against a station as planned: rigs in each other's way, in the putter's, or under the golfer's feet."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from itertools import combinations
from typing import Final, Literal

from ..golfer.hand import Hand
from ..instruments.aid import About, Aid, Solid
from ..measure.limits import Bounds

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


Kind = Literal[
    "laser_over_mirror", "same_place", "string_low", "backstroke", "follow_through", "beside", "feet", "short"
]


@dataclass(frozen=True, slots=True)
class Objection:
    """Something that speaks against what is laid.

    Attributes
    ----------
    kind : what is wrong
    about, other : the instrument, and the one it is with
    part, other_part : what of them
    at_m : how far that is: from the ball, up, or as long as it shows the line
    reach_m : how far the head goes, or the line should be shown
    """

    kind: Kind
    about: About
    other: About | None = None
    part: str = ""
    other_part: str = ""
    at_m: float = 0.0
    reach_m: float = 0.0


def objections(placed: Sequence[Placed], hand: Hand, distance_m: float, backstroke_m: float) -> tuple[Objection, ...]:
    """Everything that speaks against these instruments together; empty where nothing does."""
    return (
        *_laser_and_mirror(placed),
        *_same_place(placed),
        *(it for each in placed for it in _in_the_stroke(each, backstroke_m)),
        *_across_the_feet(placed, hand),
        *(it for each in placed for it in _too_short(each, distance_m)),
    )


def _laser_and_mirror(placed: Iterable[Placed]) -> list[Objection]:
    lasers = [it for it in placed if it.aid.about.laser]
    mirrors = [it for it in placed if it.aid.about.mirror]
    return [
        Objection("laser_over_mirror", laser.aid.about, mirror.aid.about)
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
            found.append(Objection("same_place", one.aid.about, other.aid.about, a.name, b.name))
    return found


def _in_the_stroke(each: Placed, backstroke_m: float) -> list[Objection]:
    """What the head would meet, going back or through. What guides the stroke stands beside the head on purpose."""
    about = each.aid.about
    if about.measures in ("path", "strike"):
        return []
    way = Solid("stroke", -backstroke_m, backstroke_m, -_HALF_HEAD_M, _HALF_HEAD_M, _RISES_M, _FLAT_M)
    found: list[Objection] = []
    for it in each.solids:
        if it.place == "under_the_ball" or not it.meets(way):
            continue
        if it.place == "hung":
            up = round((it.low + it.top) / 2, 3)
            found.append(Objection("string_low", about, part=it.name, at_m=up, reach_m=_RISES_M))
        elif it.x2 < 0:
            back = round(-(it.x1 + it.x2) / 2, 3)
            found.append(Objection("backstroke", about, part=it.name, at_m=back, reach_m=backstroke_m))
        elif it.x1 > 0:
            found.append(Objection("follow_through", about, part=it.name, at_m=it.x1, reach_m=backstroke_m))
        else:
            found.append(Objection("beside", about, part=it.name, reach_m=_HALF_HEAD_M))
    # Two posts of one gate say the same.
    return list({it.kind: it for it in reversed(found)}.values())[::-1]


def _across_the_feet(placed: Iterable[Placed], hand: Hand) -> list[Objection]:
    feet = _FEET if hand == "right" else tuple(it.mirrored() for it in _FEET)
    return [
        Objection("feet", each.aid.about)
        for each in placed
        if each.aid.about.measures != "body" and any(it.meets(foot) for it in each.solids for foot in feet)
    ]


def _too_short(each: Placed, distance_m: float) -> list[Objection]:
    end = each.aid.line_end_m
    if end is None or end >= distance_m - 0.005:
        return []
    return [Objection("short", each.aid.about, at_m=end, reach_m=distance_m)]
