"""Where the eyes are, in the golfer's own frame: inside the line +, behind the ball + (handbook 3).

By mirror or plumb both eyes are marked. An eye sees itself along the mirror's normal, so each is marked with the other
closed. Where one way alone was told, it tells that way alone (`one_way`). A string seen against the ball, or a strip
that turns from light to dark, tells the side only: an interval on the same scale.
"""

import math
from collections.abc import Sequence
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
from .one_way import OneWayLook, Shown
from .side_look import SideLook

SightingEye = Literal["left", "right", ""]
"""The eye a golfer sights with; empty while it is not known."""
PLACE: Final = Bounds(-0.3, 0.3, "m")
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
class EyeTake(Shown):
    """One look: both eyes marked, each with the other closed.

    Parameters
    ----------
    lead, trail : the eye nearer the hole, and the other
    nose : where the nose shows itself, where that was marked too
    shoulders_deg : the shoulders' line in the mirror against its lines, right positive; None where nobody looked
    """

    lead: EyeMark
    trail: EyeMark
    nose: EyeMark | None = None
    shoulders_deg: float | None = None

    def __post_init__(self) -> None:
        self.check()
        for name, mark in (("lead", self.lead), ("trail", self.trail)):
            PLACE.check(f"{name}.inside_m", f"{name}_eye_inside", mark.inside_m)
            PLACE.check(f"{name}.behind_m", f"{name}_eye_behind", mark.behind_m)
        if self.nose is not None:
            PLACE.check("nose.inside_m", "nose_inside", self.nose.inside_m)
            PLACE.check("nose.behind_m", "nose_behind", self.nose.behind_m)
        if self.shoulders_deg is not None:
            TURNED.check("shoulders_deg", "shoulders_deg", self.shoulders_deg)
        apart = math.hypot(self.lead.inside_m - self.trail.inside_m, self.lead.behind_m - self.trail.behind_m)
        if apart > WIDEST_M:
            raise OutOfLimits("trail", "eyes_too_far_apart", "m", apart=Size(apart), widest_m=WIDEST_M)
        if self.lead.behind_m >= self.trail.behind_m:
            raise OutOfLimits("lead.behind_m", "eyes_other_way_round", "m")

    @property
    def inside_m(self) -> float:
        """The mid-point of both eyes, corrected for the mirror's level."""
        return (self.lead.inside_m + self.trail.inside_m) / 2 + self.level_shift_m[0]

    @property
    def behind_m(self) -> float:
        """As `inside_m`, behind the ball."""
        return (self.lead.behind_m + self.trail.behind_m) / 2 + self.level_shift_m[1]

    @property
    def nose_mm(self) -> tuple[float, float] | None:
        """The nose inside and behind, corrected for the mirror's level; it hangs about as high as the eyes."""
        if self.nose is None:
            return None
        shift_in, shift_back = self.level_shift_m
        return (self.nose.inside_m + shift_in) * 1000, (self.nose.behind_m + shift_back) * 1000

    @property
    def inside_mm(self) -> Interval:
        """The reading of the mid-point: two marks averaged, each read to half a spacing."""
        return Interval((self.inside_m - self.seen_m / 2) * 1000, (self.inside_m + self.seen_m / 2) * 1000)

    @property
    def behind_mm(self) -> Interval:
        """As `inside_mm`, behind the ball."""
        return Interval((self.behind_m - self.seen_m / 2) * 1000, (self.behind_m + self.seen_m / 2) * 1000)

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


AnyLook = EyeTake | OneWayLook | SideLook


@dataclass(frozen=True, slots=True)
class Open:
    """Of `looks`, `beyond` lie on one side and say no more: inside or behind (`more`), outside or ahead (`less`)."""

    side: Literal["more", "less"]
    beyond: int
    looks: int


@dataclass(frozen=True, slots=True)
class EyePlace:
    """What the looks say: places in mm with 90 % intervals, the level's doubt in them; angle in degrees.

    Of `takes` looks, `looked` told inside or outside, `looked_behind` behind or ahead.

    `inside` and `behind` are what was told that way; `eye_line_deg` needs both eyes marked, `wander` two such looks.
    Where more than half of those looks are open to one side (`open`, `open_behind`), how far on it is not known and no
    place is told; `weighed` and `weighed_behind` are what the looks leave to think all the same. `prob_inside` is a
    half where nobody looked that way. `reading_mm` is the reading error used, one standard deviation, None where
    nothing was read twice. `zone` is the target, mm inside; `in_zone` whether the eyes are in it, or too far in (right)
    or out (left) by enough to matter; None where the school sets none.
    """

    takes: int
    looked: int
    looked_behind: int
    inside: Estimate | None
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
    open: Open | None = None
    open_behind: Open | None = None
    weighed: Estimate | None = None
    weighed_behind: Estimate | None = None

    @property
    def side(self) -> Literal["inside", "outside", "over"]:
        """On which side of the line the eyes surely are; over it where that is not sure."""
        if sure_of(max(self.prob_inside, 1 - self.prob_inside)) != "clear":
            return "over"
        return "inside" if self.prob_inside > 0.5 else "outside"

    @property
    def reading_doubt_mm(self) -> float | None:
        """Half a 90 % interval of one reading, mm."""
        return None if self.reading_mm is None else NINETY * self.reading_mm


def eye_place(
    takes: Sequence[EyeTake],
    hand: Hand,
    zone: tuple[float, float] | None,
    *,
    sides: Sequence[SideLook | OneWayLook] = (),
    reading_m: float | None = None,
) -> EyePlace | None:
    """Bias and spread of where the eyes are; None without a look.

    Parameters
    ----------
    takes : looks with both eyes marked
    sides : looks that tell a side only, or one way alone
    reading_m : standard deviation of one reading, where it was found out (`reading_error_m`)
    """
    looks = (*takes, *sides)
    if not looks:
        return None
    shared = max((it.level_doubt_m for it in looks if isinstance(it, Shown)), default=0.0) * 1000
    noise = 0.0 if reading_m is None else reading_m * 1000

    def found(reads: list[Interval], prior: Prior) -> Posterior | None:
        return posterior(reads, prior, lapse=0.0, noise=noise).blurred(shared) if reads else None

    in_reads, behind_reads = insides(looks), _behinds(looks)
    inside, behind = found(in_reads, INSIDE()), found(behind_reads, BEHIND())
    turned = [it.shoulders_deg for it in takes if it.shoulders_deg is not None]
    across = estimated(inside.bias_quantile) if inside else None
    along = estimated(behind.bias_quantile) if behind else None
    open_, open_behind = _open(in_reads), _open(behind_reads)
    return EyePlace(
        takes=len(looks),
        looked=len(in_reads),
        looked_behind=len(behind_reads),
        inside=None if open_ else across,
        behind=None if open_behind else along,
        wander=estimated(inside.spread_quantile) if inside and len(takes) > 1 else None,
        eye_line_deg=sum(it.eye_line_deg(hand) for it in takes) / len(takes) if takes else None,
        reading_mm=noise or None,
        prob_inside=inside.bias_above(0.0) if inside else 0.5,
        zone=zone,
        in_zone=_in_zone(inside, zone) if inside and zone else None,
        nose_mm=next((it.nose_mm for it in reversed(takes) if it.nose_mm), None),
        shoulders_deg=sum(turned) / len(turned) if turned else None,
        open=open_,
        open_behind=open_behind,
        weighed=across,
        weighed_behind=along,
    )


def insides(looks: Sequence[AnyLook]) -> list[Interval]:
    """What the looks say across the line, mm inside."""
    return [it.inside_mm for it in looks if it.inside_mm is not None]


def _behinds(looks: Sequence[AnyLook]) -> list[Interval]:
    told = (it.behind_mm for it in looks if isinstance(it, EyeTake | OneWayLook))
    return [it for it in told if it is not None]


def _open(reads: Sequence[Interval]) -> Open | None:
    more, less = sum(math.isinf(it.high) for it in reads), sum(math.isinf(it.low) for it in reads)
    if 2 * max(more, less) <= len(reads):
        return None
    return Open("more" if more > less else "less", max(more, less), len(reads))


def _in_zone(inside: Posterior, zone: tuple[float, float]) -> Verdict:
    """Too far in (right), too far out (left), by enough beyond the zone's edge to matter; none: inside the zone."""
    beyond = MATTERS()["eyes_outside_zone"].matters_from
    within = inside.bias_above(zone[0]) - inside.bias_above(zone[1])
    return weigh(inside.bias_above(zone[1] + beyond), 1 - inside.bias_above(zone[0] - beyond), within)


def eye_vial(takes: Sequence[AnyLook], found: EyePlace | None, zone: tuple[float, float] | None) -> Vial:
    """The vial of eyes inside (right of its middle) or outside (left), mm; its marks are the zone's edges. Where the
    looks can't say how far, no bubble stands in it."""
    bubble = None
    if found and found.inside:
        bubble = Bubble(found.inside, found.wander or Estimate(0.0, 0.0, 0.0))
    return vial(insides(takes), bubble, zone_marks(zone), settled=True, unit="mm")


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
