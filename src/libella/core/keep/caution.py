"""Cautions: each one rule, derived from what is laid, read or planned (handbook 8). None is told without its cause.

What an instrument asks for by itself stands with the instrument (`About.cautions`); what hangs on several things
together, on the place or on the golfer stands here. Their words: `words.keep.caution`.
"""

import re
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from typing import Final, Literal

from ..change.drill import Drill
from ..golfer.limits import Limit
from ..instruments import instruments
from ..instruments.aid import About
from ..judge.findings.finding import Cause
from ..set.floor import Surface
from ..set.station import Station
from ..start.pauses import Pauses

At = Literal["laid", "lesson", "judged", "drill", "sheet", "card", "round", "kit", "golfer", "photo"]
"""Where it would be told: of what is laid, in a lesson, of what it found, with a drill, on the sheet taken home, on a
set-up card, with a round on the course, what is in hand, a golfer's record, a photograph."""
_WET: Final = re.compile(r"\b(?:wet|rain\w*|dew\w*|damp|drizzl\w*|soaked)\b", re.I)
_PEGGED: Final = frozenset(["peg", "stake", "rod"])
"""Parts of the bag that are stuck into a green."""
_METAL: Final = frozenset(["rod"])
"""Parts that throw a beam on as a mirror does."""
_HELD: Final = frozenset(["grip_rod", "shoulder_rod", "ground_mirror", "plumb"])
"""Instruments that a golfer's hands or face come near: one after the other."""
_UPRIGHT: Final = frozenset(["hip", "knee", "balance"])


@dataclass(frozen=True, slots=True)
class Case:
    """What is laid, read or planned where cautions are told.

    Attributes
    ----------
    aids : what is laid: the rig and what lies beside it
    surface, conditions : of the lesson, as noted; None and empty where nobody is there
    hole : a hole is putted to
    minutes : how long one place is stood on
    shared : another golfer used the same things before, on the same day
    limits : of the golfer
    sight : the golfer feels that it is the sight, or wears varifocals
    causes : findings that were named at least likely
    drill : the drill that is told
    minor : the golfer is a minor
    """

    at: At
    aids: tuple[About, ...] = ()
    surface: Surface | None = None
    conditions: str = ""
    hole: bool = True
    minutes: float = 0.0
    shared: bool = False
    limits: tuple[Limit, ...] = ()
    sight: bool = False
    causes: frozenset[Cause] = field(default_factory=frozenset[Cause])
    drill: Drill | None = None
    minor: bool = False

    @property
    def bends(self) -> bool:
        """The golfer bends over the ball for long: in a drill that is putted, set down or looked at over and over."""
        return self.at == "card" or (self.at == "drill" and self.drill is None) or self._drilled

    @property
    def _drilled(self) -> bool:
        return self.drill is not None and self.drill.event != "round"

    @property
    def laser(self) -> bool:
        return any(it.laser for it in self.aids)

    @property
    def mirror(self) -> bool:
        return any(it.mirror for it in self.aids)

    @property
    def guided(self) -> bool:
        """Something laid leads the eye along the line to the hole."""
        return any(it.guides and it.at != "hole" for it in self.aids)

    @property
    def outside(self) -> bool:
        return self.surface == "green"

    @property
    def parts(self) -> frozenset[str]:
        return frozenset(name for it in self.aids for name, _ in it.parts)

    @property
    def one_foot(self) -> bool:
        """The drill takes one foot's hold away."""
        return self.drill is not None and {"hip", "knee"} <= set(self.drill.unfit)

    @property
    def takes_home(self) -> bool:
        return self.at in ("sheet", "card")


def laid(station: Station, **more: object) -> Case:
    """The case of a station as it is laid; `more`: what else is known of it."""
    told: dict[str, object] = {"at": "laid", "aids": tuple(it.about for it in (station.rig, *station.aids))}
    return Case(**(told | more))  # type: ignore[arg-type]


CAUTIONS: Final[Mapping[str, Callable[[Case], bool]]] = {
    "laser_class": lambda it: it.laser,
    "laser_switch": lambda it: it.laser,
    "laser_around": lambda it: it.laser,
    "beam_thrown": lambda it: it.laser and (it.mirror or bool(it.parts & _METAL)),
    "coachs_word": lambda it: it.laser and it.mirror,
    "lights_up": lambda it: it.laser and it.surface in ("indoor_mat", "carpet"),
    "no_laser_at_home": lambda it: it.at == "sheet" and it.laser,
    "beyond_the_hole": lambda it: it.guided and it.hole,
    "holes_mended": lambda it: it.outside and bool(it.parts & _PEGGED),
    "cups_edge": lambda it: it.outside and it.hole,
    "weather": lambda it: it.outside,
    "wet_green": lambda it: it.outside and bool(_WET.search(it.conditions)),
    "wet_mat": lambda it: it.surface in ("indoor_mat", "carpet") and bool(_WET.search(it.conditions)),
    "towel": lambda it: it.outside and it.minutes >= Pauses().feet_min,
    "shared_kit": lambda it: it.shared and any(one.kind in _HELD for one in it.aids),
    "filming": lambda it: it.at == "photo" or any(one.kind == "camera" for one in it.aids),
    "minors": lambda it: it.minor and it.at in ("golfer", "photo", "sheet"),
    "straighten_up": lambda it: it.bends,
    "pain": lambda it: it.bends or (bool(it.limits) and it.at in ("lesson", "judged", "sheet", "card")),
    "sparing_tilt": lambda it: bool({"neck", "back"} & set(it.limits)) and (it.mirror or it.takes_home),
    "one_foot": lambda it: it.one_foot,
    "not_on_one_foot": lambda it: it.takes_home and bool(_UPRIGHT & set(it.limits)),
    "tremor": lambda it: "tremor" in it.limits and it.at in ("lesson", "judged", "drill", "sheet"),
    "eye_professional": lambda it: it.at in ("judged", "sheet") and ("perception" in it.causes or it.sight),
    "rules_of_play": lambda it: it.at in ("round", "kit"),
    "opinion": lambda it: it.takes_home or it.at == "kit",
}
"""Every caution by its code, in the order in which they are told: where it applies."""


def cautions(it: Case) -> tuple[str, ...]:
    """The codes of all cautions that apply."""
    return tuple(code for code, applies in CAUTIONS.items() if applies(it))


def of_kinds(*kinds: str) -> tuple[About, ...]:
    """What is told of instruments by their kinds."""
    return tuple(instruments()[it].about for it in kinds)
