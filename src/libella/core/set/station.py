"""A station: a putt with its rig, what else is laid beside it, and the proof of its line."""

import math
from dataclasses import dataclass, replace

from ..drawing.scene import Scene
from ..golfer.hand import Hand
from ..green.putt import Putt
from ..green.read import SAYS_NOTHING, GolferSays
from ..instruments.aid import Aid, Raw, Solid, Zone
from ..instruments.rig import Rig, Sight
from ..measure.angle import angle_deg
from ..measure.constants import HOLE_M
from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits
from ..measure.units import Units
from .line import LaidLine
from .objections import BACKSTROKE, Objection, Placed, objections, usual_backstroke_m
from .proof import NOT_PROVED, Proof

_SHIFT_FROM_M = 0.001
_UNSURE_SHARE = 1 / 3
"""A rig whose own aim is less known than this share of the window can't be called good: the same as for its marks."""
ACROSS = Bounds(-0.3, 0.3, "m")
MOST_AIDS = 8


@dataclass(frozen=True, slots=True)
class Change:
    """A change of one size, m; `label` is that of the rig's own dimension."""

    name: str
    value: float
    label: str = ""


@dataclass(frozen=True, slots=True)
class Station:
    """A putt with the rig that watches it, laid on its start line. Raises `OutOfLimits` where they do not fit.

    Parameters
    ----------
    putt, rig, proof : what is putted, what watches it, and how its line was proved
    aids : what else is laid on the same line
    across_m : where the rig's middle stands right of the start line on purpose: where a true putt passes it, on a break
    backstroke_m : how far the head goes back; None takes what is usual for the putt
    golfer : what the golfer makes of the green
    """

    putt: Putt
    rig: Rig
    proof: Proof = NOT_PROVED
    aids: tuple[Aid, ...] = ()
    across_m: float = 0.0
    backstroke_m: float | None = None
    golfer: GolferSays = SAYS_NOTHING

    def __post_init__(self) -> None:
        if not self.putt.is_level:
            _ = self.putt.aim  # a putt that can't be made is refused here, not at its first reading
        if self.rig.about.measures != "start":
            raise cannot_watch(self.rig)
        room = self.putt.distance_m - HOLE_M / 2
        if self.rig.station_m > room:
            raise OutOfLimits(
                "distance_m",
                "rig_beyond_hole",
                "m",
                name=self.rig.about.name,
                rig_m=self.rig.station_m,
                putt_m=self.putt.distance_m,
                room_m=room,
            )
        ACROSS.check("across_m", "across_m", self.across_m)
        if self.backstroke_m is not None:
            BACKSTROKE.check("backstroke_m", "backstroke_m", self.backstroke_m)
        if len(self.aids) > MOST_AIDS:
            raise OutOfLimits("aids", "too_many_aids", most=MOST_AIDS)
        x, y = self.hole_m
        hole = Solid("hole", x - HOLE_M / 2, x + HOLE_M / 2, y - HOLE_M / 2, y + HOLE_M / 2, 0.02)
        for n, placed in enumerate(self._placed("right")[1:]):
            inside = next((it for it in placed.solids if it.meets(hole)), None)
            if inside:
                raise OutOfLimits(
                    f"aids.{n}.{inside.of}" if inside.of else f"aids.{n}",
                    "aid_in_hole",
                    "m",
                    name=placed.aid.about.name,
                    part=inside.name,
                    clear_m=HOLE_M / 2,
                )

    @property
    def line(self) -> LaidLine:
        """The line as laid, which a proof belongs to."""
        return line_of(self.putt, self.rig, self.across_m)

    @property
    def hole_m(self) -> tuple[float, float]:
        """The hole's centre along and right of the start line, m."""
        turn = math.radians(self.putt.start_deg)
        return self.putt.distance_m * math.cos(turn), -self.putt.distance_m * math.sin(turn)

    def _placed(self, hand: Hand) -> list[Placed]:
        """The rig and what lies beside it, where each stands for a golfer of that hand; the rig first."""
        rig = tuple(replace(it, y1=it.y1 + self.across_m, y2=it.y2 + self.across_m) for it in self.rig.solids())
        found = [Placed(self.rig, rig)]
        x, y = self.hole_m
        for aid in self.aids:
            solids = aid.solids() if hand == "right" else tuple(it.mirrored() for it in aid.solids())
            if aid.about.at == "hole":
                solids = tuple(replace(it, x1=it.x1 + x, x2=it.x2 + x, y1=it.y1 + y, y2=it.y2 + y) for it in solids)
            found.append(Placed(aid, solids))
        return found

    @property
    def drift_m(self) -> float:
        """How far a true putt has left the start line at the rig, right positive."""
        return self.putt.drift_m(self.rig.station_m)

    @property
    def shift_deg(self) -> float:
        """What is added to every reading: where the rig stands beside the line is put back, the drift there is taken
        off, and what the proof of the line found."""
        rig_m = self.rig.station_m
        return self.proof.correction_deg(rig_m) + angle_deg(self.across_m, rig_m) - angle_deg(self.drift_m, rig_m)

    @property
    def shared_deg(self) -> float:
        """Standard uncertainty of the rig's own aim and of the slope under it, shared by all readings."""
        rig_m = self.rig.station_m
        return math.hypot(self.proof.shared_deg(rig_m), angle_deg(self.putt.drift_doubt_m(rig_m), rig_m))

    @property
    def noise_deg(self) -> float:
        """Standard deviation of the reading noise: what a check of the rig found, and what the rig states of itself.

        What two readers found counts where the rig was not read again and again: that holds a reading's error, too.
        """
        reader = 0.0 if self.proof.checks else angle_deg(self.proof.reader_m, self.rig.station_m)
        return math.hypot(self.proof.noise_deg, self.rig.noise_deg, reader)

    def interval(self, raw: Raw) -> Interval:
        """The start error, degrees, against the start target, that a raw reading stands for."""
        return self.rig.interval(raw).shifted(self.shift_deg)

    def kept(self, raw: Raw) -> Interval:
        """The same of a reading as it is first kept."""
        return self.rig.kept(raw).shifted(self.shift_deg)

    def sight(self, spread_deg: float, units: Units = "metric") -> Sight:
        """What the rig can see here; one whose own aim may be off by much of the window will not do."""
        seen = self.rig.sight(self.putt, spread_deg, units)
        if self.rig.reads_start and seen.fit == "good" and self.shared_deg > seen.window_deg * _UNSURE_SHARE:
            return replace(seen, fit="unsure", shared_deg=self.shared_deg, proved=self.proof.proves_line)
        return seen

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        """Every reading a tap can record here, left to right."""
        shift = self.shift_deg
        return tuple(replace(it, interval=it.interval.shifted(shift)) for it in self.rig.zones(units))

    def picture(self, units: Units = "metric") -> Scene:
        """The rig as it is read here: on a break with a true putt's ball in it."""
        scene, drift = self.rig.picture(units), self.drift_m - self.across_m
        return scene if abs(drift) < _SHIFT_FROM_M else self.rig.with_true_ball(scene, drift)

    def observe(self, start_deg: float) -> Zone:
        """The reading that a ball starting at that error would give here."""
        return next(it for it in self.zones() if start_deg <= it.interval.high)

    @property
    def remedies(self) -> tuple[Change, ...]:
        """Where a gate or a rail would punish no good putt on a break: nearer, or shifted to where a true one passes.

        A ruler punishes nothing: the drift is taken off what it reads.
        """
        drift = self.drift_m
        if self.across_m and abs(drift) < _SHIFT_FROM_M:
            return (Change("across_m", 0.0),)
        if not self.rig.about.strict or abs(drift - self.across_m) < _SHIFT_FROM_M:
            return ()
        found: list[Change] = []
        place = next(it for it in self.rig.dimensions() if it.name in ("distance_m", "length_m"))
        near = self.putt.started.leaves_at_m(_SHIFT_FROM_M)
        if near is not None and self.across_m == 0 and place.low <= near < self.rig.station_m:
            found.append(Change(place.name, math.floor(near * 100) / 100, place.label))
        if place.name == "distance_m":  # a rail begins under the ball: it can't be shifted
            found.append(Change("across_m", round(drift, 3)))
        return tuple(found)

    def objections(self, hand: Hand) -> tuple[Objection, ...]:
        """What speaks against laying all this together, each with its reason."""
        return objections(self._placed(hand), hand, self.putt.distance_m, self.backstroke_or_usual_m)

    @property
    def backstroke_or_usual_m(self) -> float:
        """How far the head goes back, m."""
        return usual_backstroke_m(self.putt.distance_m) if self.backstroke_m is None else self.backstroke_m

    @property
    def has_laser(self) -> bool:
        return any(it.about.laser for it in (self.rig, *self.aids))


def line_of(putt: Putt, rig: Rig, across_m: float) -> LaidLine:
    """The line of a putt with a rig on it."""
    return LaidLine(
        putt.distance_m,
        putt.falls_forward_percent,
        putt.falls_right_percent,
        putt.start_deg,
        rig.about.kind,
        rig.station_m,
        across_m,
    )


def cannot_watch(aid: Aid) -> OutOfLimits:
    """The error for an instrument that does not watch where a ball starts."""
    return OutOfLimits("rig_kind", "watches_no_start", name=aid.about.name, quantity=aid.about.quantity.name)
