"""An instrument's own zero, found without the line: turned over, sighted along, or held where the answer is known.

Turning a tool over turns its own error with it, so that half of what moved is the error (handbook 3, rig check).
"""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from statistics import mean, stdev
from typing import Final, Literal

from ..instruments import lay
from ..instruments.aid import Raw
from ..instruments.light_strip import LightStrip
from ..measure.angle import angle_deg
from ..measure.limits import Bounds, OutOfLimits
from ..opinions.held import Opinion

Way = Literal["turned", "sighted", "flipped", "halves", "square", "end_for_end", "centred"]
WAYS: Final[dict[str, Way]] = {
    "rod_beside": "turned",
    "square_reference": "turned",
    "ball_box": "turned",
    "bridge_gate": "turned",
    "bridge_row": "turned",
    "ground_laser": "turned",
    "ground_string": "sighted",
    "elevated_string": "sighted",
    "rail_square": "flipped",
    "t_mark": "halves",
    "face_mirror": "square",
    "putter_laser": "square",
    "ground_mirror": "end_for_end",
    "strip_bar": "centred",
    "strip_slot": "centred",
}
"""How each instrument is checked by itself, by kind; others have no zero of their own."""
FEWEST: Final = 2
MOST: Final = 20
MARKED_M: Final = Opinion("mark_set", 0.0005, "m")
"""How well a mark is set and taped, one standard deviation: an opinion."""
_SEEN_DEG: Final = Opinion("edge_seen", 0.05, "deg")
"""How well a single reading against a square edge is known at least, one standard deviation: an opinion."""
MOVED = Bounds(-0.1, 0.1, "m")
OVER = Bounds(0.05, 15.0, "m")
GAP = Bounds(-0.05, 0.1, "m")
MARK = Bounds(-0.3, 0.3, "m")


@dataclass(frozen=True, slots=True)
class Turned:
    """One turn, or one sight, m: how far right the far end's mark lies then, and how far it is from the near end.

    Of a square flipped: how much nearer the hole its right end comes, and how far that is from its rail. Of a T: by how
    much further its right end is from far down the stem, and how long its bar is.
    """

    moved_m: float
    over_m: float

    def __post_init__(self) -> None:
        MOVED.check("moved_m", "moved_m", self.moved_m)
        OVER.check("over_m", "checked_over", self.over_m)


@dataclass(frozen=True, slots=True)
class EndForEnd:
    """One eye marked on a mirror, and again with the mirror turned end for end, m: inside the line, behind the ball."""

    inside_m: float
    behind_m: float
    inside_turned_m: float
    behind_turned_m: float

    def __post_init__(self) -> None:
        for name in ("inside_m", "behind_m", "inside_turned_m", "behind_turned_m"):
            MARK.check(name, f"marked_{name.removesuffix('_m')}", getattr(self, name))


@dataclass(frozen=True, slots=True)
class Gaps:
    """How far a bar reaches beyond a strip's light, or a slot falls short of it, plumbed down, m: on the golfer's side
    and on the far one."""

    near_m: float
    far_m: float

    def __post_init__(self) -> None:
        GAP.check("near_m", "gap_near", self.near_m)
        GAP.check("far_m", "gap_far", self.far_m)


@dataclass(frozen=True, slots=True)
class ToolCheck:
    """What was read of a tool to check it, by its kind: only what its way asks for is given."""

    kind: str
    turns: tuple[Turned, ...] = ()
    raws: tuple[Raw, ...] = ()
    marks: tuple[EndForEnd, ...] = ()
    gaps: tuple[Gaps, ...] = ()

    def __post_init__(self) -> None:
        if self.kind not in WAYS:
            raise OutOfLimits("kind", "no_zero_of_its_own", name=lay(self.kind, {}).about.name, known=tuple(WAYS))

    @property
    def way(self) -> Way:
        return WAYS[self.kind]


@dataclass(frozen=True, slots=True)
class ToolZero:
    """A tool's own error.

    Attributes
    ----------
    right_deg : how far right of true it says that straight is; added to every reading
    inside_m, behind_m : how far inside and behind it shows an eye; taken off every mark. Of a ground mirror, or a strip
    doubt_deg, doubt_m : what is not known of these, one standard deviation, shared by all that is read with it
    checks : readings it rests on; 0 where it was not checked
    """

    right_deg: float = 0.0
    doubt_deg: float = 0.0
    inside_m: float = 0.0
    behind_m: float = 0.0
    doubt_m: float = 0.0
    checks: int = 0


UNCHECKED: Final = ToolZero()


def tool_zero(check: ToolCheck, sizes: dict[str, float] | None = None) -> ToolZero:
    """The own error that a check tells.

    Parameters
    ----------
    check : what was read
    sizes : the tool's dimensions while it was checked, where it was read on its own scale

    Raises
    ------
    OutOfLimits
        with fewer than `FEWEST` readings.
    """
    read: dict[Way, Callable[[], ToolZero]] = {
        "turned": lambda: _angle([-it.moved_m / 2 for it in check.turns], check.turns, MARKED_M() / 2),
        "sighted": lambda: _angle([it.moved_m for it in check.turns], check.turns, MARKED_M()),
        # The square's right end comes nearer the hole: it stood behind, and a face against it looked right.
        "flipped": lambda: _angle([it.moved_m / 2 for it in check.turns], check.turns, MARKED_M() / 2),
        # A point far down the stem is further from the end that lies back: the bar looks right.
        "halves": lambda: _angle([it.moved_m for it in check.turns], check.turns, MARKED_M()),
        "square": lambda: _against_square(check, sizes or {}),
        "end_for_end": lambda: _mirror(check.marks),
        "centred": lambda: _strip(check, sizes or {}),
    }
    given = {"square": check.raws, "end_for_end": check.marks, "centred": check.gaps}.get(check.way, check.turns)
    if len(given) < FEWEST:
        raise OutOfLimits("readings", "too_few_tool_checks", fewest=FEWEST)
    return read[check.way]()


def _angle(off_m: Sequence[float], turns: Sequence[Turned], marked_m: float) -> ToolZero:
    found = [angle_deg(off, it.over_m) for off, it in zip(off_m, turns, strict=True)]
    least = angle_deg(marked_m, mean(it.over_m for it in turns))
    return ToolZero(right_deg=mean(found), doubt_deg=_doubt(found, least), checks=len(found))


def _against_square(check: ToolCheck, sizes: dict[str, float]) -> ToolZero:
    tool = lay(check.kind, sizes)
    found = [-tool.interval(raw).anchor for raw in check.raws]
    return ToolZero(right_deg=mean(found), doubt_deg=_doubt(found, _SEEN_DEG()), checks=len(found))


def _mirror(marks: Sequence[EndForEnd]) -> ToolZero:
    inside = [(it.inside_m - it.inside_turned_m) / 2 for it in marks]
    behind = [(it.behind_m - it.behind_turned_m) / 2 for it in marks]
    doubt = max(_doubt(inside, MARKED_M()), _doubt(behind, MARKED_M()))
    return ToolZero(inside_m=mean(inside), behind_m=mean(behind), doubt_m=doubt, checks=len(marks))


def _strip(check: ToolCheck, sizes: dict[str, float]) -> ToolZero:
    """A bar or slot beside its light by c, at height h, is seen centred by an eye c·H/h further to that side."""
    tool = lay(check.kind, sizes)
    assert isinstance(tool, LightStrip)
    reach = tool.eye_height_m / tool.over_m
    # A bar reaches further where it lies; a slot falls short there by less.
    towards = 0.5 if tool.device == "bar" else -0.5
    inside = [towards * (it.near_m - it.far_m) * reach for it in check.gaps]
    return ToolZero(
        inside_m=-mean(inside), doubt_m=_doubt(inside, MARKED_M() * reach / math.sqrt(2)), checks=len(inside)
    )


def _doubt(found: Sequence[float], least: float) -> float:
    """Of a mean: by its scatter, never less than what one reading is good for, averaged."""
    return max(stdev(found), least) / math.sqrt(len(found))
