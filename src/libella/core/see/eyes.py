"""Where the eyes are, in the golfer's own frame: inside the line +, behind the ball + (handbook 3).

By mirror or plumb both eyes are marked. An eye sees itself along the mirror's normal, so each is marked with the other
closed; a mirror that falls p % shows an eye H above it H·p/100 too far uphill. A string seen against the ball, or a
strip that turns from light to dark, tells the side only: an interval on the same scale.
"""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..certainty.estimate import Estimate, estimated
from ..certainty.matter import MATTERS
from ..certainty.verdict import NINETY, Verdict, sure_of, weigh
from ..certainty.vial import Bubble, Vial, vial
from ..drawing.scene import Circle, Label, Line, Scene, Shape, box, mirrored
from ..estimate.posterior import Posterior, Prior, posterior
from ..golfer.hand import Hand
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits, Size
from ..measure.window import Window
from ..opinions.held import Opinion
from .side_look import SideLook

Way = Literal["mirror", "plumb"]
SightingEye = Literal["left", "right", ""]
"""The eye a golfer sights with; empty while it is not known."""
PLACE: Final = Bounds(-0.3, 0.3, "m")
HEIGHT: Final = Bounds(0.8, 2.0, "m")
FALLS: Final = Bounds(-10.0, 10.0, "%")
LEVEL_DOUBT: Final = Bounds(0.0, 2.0, "%")
SEEN: Final = Bounds(0.001, 0.02, "m")
TURNED: Final = Bounds(-30.0, 30.0, "deg")
WIDEST_M: Final = 0.1
"""Eyes further apart than this are in no head."""
INSIDE: Final = Opinion(
    "eyes_prior", Prior(bias_mean=0.0, bias_sd=40.0, spread_median=8.0, spread_log_sd=0.6, unit="mm"), ""
)
BEHIND: Final = Opinion(
    "eyes_behind_prior", Prior(bias_mean=40.0, bias_sd=60.0, spread_median=8.0, spread_log_sd=0.6, unit="mm"), ""
)
_REACH_MM: Final = 120.0


@dataclass(frozen=True, slots=True)
class EyeMark:
    """Where one eye shows itself, or stands, m: inside the line, behind the ball."""

    inside_m: float
    behind_m: float


@dataclass(frozen=True, slots=True)
class EyeTake:
    """One look: both eyes marked, each with the other closed.

    Parameters
    ----------
    lead, trail : the eye nearer the hole, and the other
    way : by a mirror on the ground, which needs its level; or by plumb, which is direct
    eye_height_m : of the eyes over the mirror, straight down
    falls_in_percent, falls_back_percent : the mirror's level, falling to the golfer and away from the hole positive
    level_doubt_percent : how finely the level was read, one standard deviation
    seen_m : the spacing that is really read to
    nose : where the nose shows itself, where that was marked too
    shoulders_deg : the shoulders' line in the mirror against its lines, right positive; None where nobody looked
    mirror_zero_m, mirror_doubt_m : how far inside and behind the mirror by itself shows an eye, as a check of it found,
        and what is not known of that
    """

    lead: EyeMark
    trail: EyeMark
    way: Way = "mirror"
    eye_height_m: float = 1.45
    falls_in_percent: float = 0.0
    falls_back_percent: float = 0.0
    level_doubt_percent: float = 0.1
    seen_m: float = 0.005
    nose: EyeMark | None = None
    shoulders_deg: float | None = None
    mirror_zero_m: tuple[float, float] = (0.0, 0.0)
    mirror_doubt_m: float = 0.0

    def __post_init__(self) -> None:
        for name, mark in (("lead", self.lead), ("trail", self.trail)):
            PLACE.check(f"{name}.inside_m", f"{name}_eye_inside", mark.inside_m)
            PLACE.check(f"{name}.behind_m", f"{name}_eye_behind", mark.behind_m)
        HEIGHT.check("eye_height_m", "eye_height_m", self.eye_height_m)
        if self.nose is not None:
            PLACE.check("nose.inside_m", "nose_inside", self.nose.inside_m)
            PLACE.check("nose.behind_m", "nose_behind", self.nose.behind_m)
        if self.shoulders_deg is not None:
            TURNED.check("shoulders_deg", "shoulders_deg", self.shoulders_deg)
        FALLS.check("falls_in_percent", "mirror_falls_in", self.falls_in_percent)
        FALLS.check("falls_back_percent", "mirror_falls_back", self.falls_back_percent)
        LEVEL_DOUBT.check("level_doubt_percent", "mirror_level_doubt", self.level_doubt_percent)
        SEEN.check("seen_m", "eye_seen_m", self.seen_m)
        apart = math.hypot(self.lead.inside_m - self.trail.inside_m, self.lead.behind_m - self.trail.behind_m)
        if apart > WIDEST_M:
            raise OutOfLimits("trail", "eyes_too_far_apart", "m", apart=Size(apart), widest_m=WIDEST_M)
        if self.lead.behind_m >= self.trail.behind_m:
            raise OutOfLimits("lead.behind_m", "eyes_other_way_round", "m")

    @property
    def _level_shift(self) -> tuple[float, float]:
        if self.way == "plumb":
            return 0.0, 0.0
        own_in, own_back = self.mirror_zero_m
        return (
            self.eye_height_m * self.falls_in_percent / 100 - own_in,
            self.eye_height_m * self.falls_back_percent / 100 - own_back,
        )

    @property
    def inside_m(self) -> float:
        """The mid-point of both eyes, corrected for the mirror's level."""
        return (self.lead.inside_m + self.trail.inside_m) / 2 + self._level_shift[0]

    @property
    def behind_m(self) -> float:
        """As `inside_m`, behind the ball."""
        return (self.lead.behind_m + self.trail.behind_m) / 2 + self._level_shift[1]

    @property
    def nose_mm(self) -> tuple[float, float] | None:
        """The nose inside and behind, corrected for the mirror's level; it hangs about as high as the eyes."""
        if self.nose is None:
            return None
        shift_in, shift_back = self._level_shift
        return (self.nose.inside_m + shift_in) * 1000, (self.nose.behind_m + shift_back) * 1000

    @property
    def inside_mm(self) -> Interval:
        """The reading of the mid-point: two marks averaged, each read to half a spacing."""
        return Interval((self.inside_m - self.seen_m / 2) * 1000, (self.inside_m + self.seen_m / 2) * 1000)

    @property
    def behind_mm(self) -> Interval:
        """As `inside_mm`, behind the ball."""
        return Interval((self.behind_m - self.seen_m / 2) * 1000, (self.behind_m + self.seen_m / 2) * 1000)

    @property
    def level_doubt_m(self) -> float:
        """What the level leaves unknown, shared by all takes on the same mirror."""
        if self.way == "plumb":
            return 0.0
        return math.hypot(self.eye_height_m * self.level_doubt_percent / 100, self.mirror_doubt_m)

    def eye_line_deg(self, hand: Hand) -> float:
        """The line through both eyes against the line, degrees, right positive."""
        outward = self.trail.inside_m - self.lead.inside_m
        right = outward if hand == "right" else -outward
        return math.degrees(math.atan2(right, self.trail.behind_m - self.lead.behind_m))


def reading_error_m(pairs: Sequence[tuple[EyeTake, EyeTake]], seen_m: float) -> float:
    """Standard deviation of one reading of the mirror, m, from the same look read twice (by one reader or two).

    Half the mean square of the differences, held by two readings' worth of the mark's own rounding, so that two
    readings that happen to agree do not make a perfect reader.
    """
    rounding = seen_m / math.sqrt(12)
    differences = [d for a, b in pairs for d in (a.inside_m - b.inside_m, a.behind_m - b.behind_m)]
    return math.sqrt((2 * rounding**2 + sum(d * d / 2 for d in differences)) / (2 + len(differences)))


@dataclass(frozen=True, slots=True)
class EyePlace:
    """What the looks say: places in mm with 90 % intervals, the level's doubt in them; angle in degrees.

    `behind` and `eye_line_deg` need both eyes marked, `wander` two such looks: a side alone is no place. `reading_mm`
    is the reading error used, one standard deviation, None where nothing was read twice. `zone` is the target, mm
    inside; `in_zone` whether the eyes are in it, or too far in (right) or out (left) by enough to matter; None where
    the school sets none.
    """

    takes: int
    inside: Estimate
    behind: Estimate | None
    wander: Estimate | None
    eye_line_deg: float | None
    reading_mm: float | None
    prob_inside: float
    zone: tuple[float, float] | None
    in_zone: Verdict | None
    nose_mm: tuple[float, float] | None = None
    """As marked last, inside and behind."""
    shoulders_deg: float | None = None
    """In the mirror, the mean of the looks that have them."""

    @property
    def side(self) -> Literal["inside", "outside", "over"]:
        """On which side of the line the eyes surely are; over it where that is not sure."""
        if sure_of(max(self.prob_inside, 1 - self.prob_inside)) != "clear":
            return "over"
        return "inside" if self.inside.value > 0 else "outside"

    @property
    def reading_doubt_mm(self) -> float | None:
        """Half a 90 % interval of one reading, mm."""
        return None if self.reading_mm is None else NINETY * self.reading_mm


def eye_place(
    takes: Sequence[EyeTake],
    hand: Hand,
    zone: tuple[float, float] | None,
    *,
    sides: Sequence[SideLook] = (),
    reading_m: float | None = None,
) -> EyePlace | None:
    """Bias and spread of where the eyes are; None without a look.

    Parameters
    ----------
    takes : looks with both eyes marked
    sides : looks that tell the side only
    reading_m : standard deviation of one reading, where it was found out (`reading_error_m`)
    """
    if not takes and not sides:
        return None
    shared = max((it.level_doubt_m for it in takes), default=0.0) * 1000
    noise = 0.0 if reading_m is None else reading_m * 1000

    def found(reads: list[Interval], prior: Prior) -> Posterior:
        return posterior(reads, prior, lapse=0.0, noise=noise).blurred(shared)

    inside = found([it.inside_mm for it in (*takes, *sides)], INSIDE())
    behind = found([it.behind_mm for it in takes], BEHIND()) if takes else None

    turned = [it.shoulders_deg for it in takes if it.shoulders_deg is not None]

    def estimate(quantile: Callable[[float], float]) -> Estimate:
        return estimated(quantile)

    return EyePlace(
        takes=len(takes) + len(sides),
        inside=estimate(inside.bias_quantile),
        behind=estimate(behind.bias_quantile) if behind else None,
        wander=estimate(inside.spread_quantile) if len(takes) > 1 else None,
        eye_line_deg=sum(it.eye_line_deg(hand) for it in takes) / len(takes) if takes else None,
        reading_mm=noise or None,
        prob_inside=inside.bias_above(0.0),
        zone=zone,
        in_zone=None if zone is None else _in_zone(inside, zone),
        nose_mm=next((it.nose_mm for it in reversed(takes) if it.nose_mm), None),
        shoulders_deg=sum(turned) / len(turned) if turned else None,
    )


def _in_zone(inside: Posterior, zone: tuple[float, float]) -> Verdict:
    """Too far in (right), too far out (left), by enough beyond the zone's edge to matter; none: inside the zone."""
    beyond = MATTERS()["eyes_outside_zone"].matters_from
    within = inside.bias_above(zone[0]) - inside.bias_above(zone[1])
    return weigh(inside.bias_above(zone[1] + beyond), 1 - inside.bias_above(zone[0] - beyond), within)


def eye_vial(takes: Sequence[EyeTake | SideLook], found: EyePlace | None, zone: tuple[float, float] | None) -> Vial:
    """The vial of eyes inside (right of its middle) or outside (left), mm; its marks are the zone's edges."""
    bubble = Bubble(found.inside, found.wander or Estimate(0.0, 0.0, 0.0)) if found else None
    return vial([it.inside_mm for it in takes], bubble, zone_marks(zone), settled=True, unit="mm")


def zone_marks(zone: tuple[float, float] | None) -> Window:
    """Where the marks of the eyes' vials stand, mm: at the zone's edges; 10 mm either side without a school."""
    low, high = zone or (-10.0, 10.0)
    return Window(-low, high)


def mirror_scene(takes: Sequence[EyeTake], hand: Hand, zone: tuple[float, float] | None) -> Scene:
    """The mirror from above, hole at the right: line, ball, zone, each take's eyes, what is not known of the last."""
    reach = _REACH_MM
    shapes: list[Shape] = [box(-reach * 1.6, -reach, reach, reach, "board")]
    if zone is not None:
        shapes.append(box(-reach * 1.6, -zone[1], reach, -zone[0], "window"))
    shapes += [Line(-reach * 1.6, 0, reach, 0, "line"), Line(0, -reach, 0, reach, "mark")]
    shapes.append(Circle(0, 0, BALL_M * 500, "ghost"))
    for n, take in enumerate(takes):
        shift_in, shift_back = take.inside_m, take.behind_m
        if n == len(takes) - 1:
            patch = math.hypot(take.seen_m, NINETY * take.level_doubt_m) * 1000
            shapes.append(Circle(-shift_back * 1000, -shift_in * 1000, max(patch, 2.0), "window"))
        if take.nose_mm:
            shapes.append(Circle(-take.nose_mm[1], -take.nose_mm[0], 3.0, "ring"))
        for eye in (take.lead, take.trail):
            x = -(eye.behind_m + take.behind_m - (take.lead.behind_m + take.trail.behind_m) / 2) * 1000
            y = -(eye.inside_m + take.inside_m - (take.lead.inside_m + take.trail.inside_m) / 2) * 1000
            shapes.append(Circle(x, y, 4.0 if n == len(takes) - 1 else 2.5, "post" if n == len(takes) - 1 else "ghost"))
    shapes.append(Label(-reach * 1.5, -reach + 12, "inside", "start"))
    shapes.append(Label(-reach * 1.5, reach - 4, "outside", "start"))
    shapes.append(Label(reach * 0.95, -6, "to the hole", "end"))
    if hand == "left":
        shapes = [mirrored(it) for it in shapes]
    words = "The mirror from above, the hole at the right: where the eyes are, corrected for its level."
    return Scene(-reach * 1.6 - 4, -reach - 4, reach + 4, reach + 4, words, tuple(shapes))
