"""A station: a putt with its rig, and the proof of its line."""

import math
from dataclasses import dataclass, replace

from .angle import angle_deg, offset_m
from .constants import BALL_M, HOLE_M
from .drawing.scene import Area, Circle, Curve, Line, Ray, Scene, Shape, Tape
from .golfer import Hand
from .green.capture import CAPTURE_WORDS
from .green.putt import STRAIGHT_M, Putt
from .instruments.rig import Raw, Rig, Zone
from .interval import Interval
from .limits import OutOfLimits
from .proof import NOT_PROVED, WAYS, Proof, budget
from .wording import Units, about, count, fine_degrees, side_of, tape

# Half a shoe's outline from heel to toe: (half width, along), mm.
_HALF_SHOE_MM = (
    (0, -145), (22, -140), (34, -122), (38, -90), (36, -40), (42, 15),
    (49, 62), (48, 95), (38, 122), (22, 139), (0, 145),
)  # fmt: skip
_OPEN_END_DEG = 12.0
_LEAVES_M = (0.001, 0.002, 0.005)


@dataclass(frozen=True, slots=True)
class Station:
    """A putt with the rig that watches it, laid on its start line. Raises `OutOfLimits` where they do not fit."""

    putt: Putt
    rig: Rig
    proof: Proof = NOT_PROVED

    def __post_init__(self) -> None:
        if not self.putt.is_level:
            _ = self.putt.aim  # a putt that can't be made is refused here, not at its first reading
        if self.rig.about.measures != "start":
            raise OutOfLimits(
                "rig_kind",
                f"{self.rig.about.name} shows the face at address; it can't watch where a ball starts.",
                limit="an instrument that measures the ball's start",
                unit="",
            )
        room = self.putt.distance_m - HOLE_M / 2
        if self.rig.station_m > room:
            raise OutOfLimits(
                "distance_m",
                f"{self.rig.about.name} at {tape(self.rig.station_m, 'metric')} stands at or beyond the hole of a "
                f"{tape(self.putt.distance_m, 'metric')} putt; put it nearer the ball.",
                limit=f"at most {room:.2f} m",
                unit="m",
            )

    @property
    def drift_m(self) -> float:
        """How far a true putt has left the start line at the rig, right positive."""
        return 0.0 if self.putt.is_level else self.putt.aim.drift_m(self.rig.station_m)

    @property
    def shift_deg(self) -> float:
        """What is added to every reading: the drift at the rig is taken off, and what the proof of the line found."""
        rig_m = self.rig.station_m
        return self.proof.correction_deg(rig_m) - angle_deg(self.drift_m, rig_m)

    @property
    def shared_deg(self) -> float:
        """Standard uncertainty of the rig's own aim, shared by all readings."""
        return self.proof.shared_deg(self.rig.station_m)

    def interval(self, raw: Raw) -> Interval:
        """The start error, degrees, against the start target, that a raw reading stands for."""
        return self.rig.interval(raw).shifted(self.shift_deg)

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        """Every reading a tap can record here, left to right."""
        shift = self.shift_deg
        return tuple(replace(it, interval=it.interval.shifted(shift)) for it in self.rig.zones(units))

    def observe(self, start_deg: float) -> Zone:
        """The reading that a ball starting at that error would give here."""
        return next(it for it in self.zones() if start_deg <= it.interval.high)

    def words(self, units: Units) -> str:
        """The station in one line: "2.50 m · ruler board at 1.00 m"."""
        rig = self.rig
        return f"{tape(self.putt.distance_m, units)} · {rig.about.name.lower()} at {tape(rig.station_m, units)}"

    def allows(self, units: Units) -> str:
        """What the hole allows, in words."""
        putt = self.putt
        window = putt.window
        either = f"{fine_degrees(window.narrow_deg)} either side"
        if not putt.is_level:
            either = (
                f"{fine_degrees(window.left_deg)} left and {fine_degrees(window.right_deg)} right of the start line"
            )
        return (
            f"The hole allows {either} ({about(putt.capture_m, 0.0, units)} off centre), "
            f"rolling {tape(putt.past_m, units)} past on a {putt.stimp_ft:g} ft green "
            f"({CAPTURE_WORDS[putt.capture]} limit)."
        )

    def breaks(self, units: Units) -> tuple[str, ...]:
        """How the putt is started on its slope, a sentence each; empty on the level."""
        putt = self.putt
        if putt.is_level:
            return ()
        aim = putt.aim
        said: list[str] = []
        beside = about(aim.aim_m, 0.0, units)
        if putt.is_straight:
            said.append(f"Straight: it leaves its line by under {about(STRAIGHT_M, 0.0, units)} at the hole.")
        else:
            side = side_of(aim.start_deg)
            said.append(
                f"Start it {fine_degrees(aim.start_deg)} {side} of the hole's centre: aim {beside} {side} of it. "
                f"The rig stands on that line."
            )
        said.append(f"Plays like {tape(max(aim.plays_like_m, 0.0), units)} on the level.")
        drift = self.drift_m
        if abs(drift) >= 0.0005:
            said.append(
                f"A true putt is {about(drift, 0.0, units)} {side_of(drift)} of its start line at the rig: "
                f"{fine_degrees(angle_deg(drift, self.rig.station_m))}, taken off every reading."
            )
        places = [(off, aim.leaves_at_m(off)) for off in _LEAVES_M]
        told = ", ".join(f"{about(off, 0.0, units)} at {tape(at, units)}" for off, at in places if at is not None)
        if told:
            said.append(f"It leaves its line by {told}. Nearer the ball, a gate punishes no good putt.")
        return tuple(said)

    def trust(self, units: Units) -> tuple[str, ...]:
        """What the proof of the line is worth here, a sentence each."""
        proof, rig_m = self.proof, self.rig.station_m
        said = [
            f"Proved: {WAYS[proof.way].name.lower()}."
            if proof.is_proved
            else "The line is not proved: no verdict on it can be clear."
        ]
        said.append(
            f"The rig's own aim is known to ± {fine_degrees(self.shared_deg)} (one standard deviation). "
            "More putts don't average that away."
        )
        if proof.offset_m or proof.zero_deg:
            shift = proof.correction_deg(rig_m)
            said.append(f"{fine_degrees(shift)} {side_of(shift)} is added to every reading.")
        if proof.noise_deg:
            said.append(f"Reading noise {fine_degrees(proof.noise_deg)}, from {count(proof.checks, 'check')}.")
        hidden = budget(proof, rig_m)
        largest = hidden.contributors[0]
        said.append(
            f"This station can hide {fine_degrees(hidden.total_deg)} of false bias; most of it: {largest.name.lower()} "
            f"({tape(largest.length_m, units)}, {fine_degrees(largest.bias_deg)})."
        )
        return tuple(said)

    def from_above(self, hand: Hand, units: Units) -> Scene:
        """The station to scale, with its taped dimensions."""
        length = self.putt.distance_m * 1000
        tapes: list[Shape] = [*self.rig.from_above(units), Tape(0, 0, length, 0, tape(self.putt.distance_m, units), 2)]
        if hand == "left":
            # The feet are to the right of the line then: tapes along it run on the free side.
            tapes = [replace(it, lane=-it.lane) if isinstance(it, Tape) and it.y1 == it.y2 else it for it in tapes]
        shapes: list[Shape] = [*_shoes(hand), *self._ground(), *tapes]
        words = (
            f"From above: ball at left, hole {tape(self.putt.distance_m, units)} away at right, "
            f"{self.rig.about.name.lower()} at {tape(self.rig.station_m, units)}."
        )
        return Scene(-260, -430, length + 160, 430, words, tuple(shapes))

    def rays(self, readings: tuple[Interval, ...], units: Units) -> Scene:
        """The putts as rays from the ball to the hole, oldest first in `readings`; the newest has age 0."""
        length = self.putt.distance_m * 1000
        shapes: list[Shape] = [*self._ground(), *(it for it in self.rig.from_above(units) if not isinstance(it, Tape))]
        for n, it in enumerate(readings):
            at = it.anchor
            shapes.append(
                Ray(
                    0,
                    0,
                    length,
                    _page_y(at, length),
                    None if it.low_or_none is None else _page_y(it.low, length),
                    None if it.high_or_none is None else _page_y(it.high, length),
                    "neither" if it.low <= 0 <= it.high else side_of(at),
                    len(readings) - 1 - n,
                )
            )
        words = f"{len(readings)} putts as rays from the ball towards the hole."
        return Scene(-120, -300, length + 160, 300, words, tuple(shapes))

    def _ground(self) -> list[Shape]:
        putt = self.putt
        length = putt.distance_m * 1000
        window = putt.window
        left, right = _page_y(-window.left_deg, length), _page_y(window.right_deg, length)
        window_area = Area(((0.0, 0.0), (length, left), (length, right)), "window")
        ball, line = Circle(0, 0, BALL_M * 500, "ball"), Line(0, 0, length, 0, "line")
        if putt.is_level:
            hole = Circle(length, 0, HOLE_M * 500, "hole")
            return [
                Area(((0.0, 0.0), (length, left), (length, right)), "window"),
                hole,
                Line(0, 0, length, 0, "line"),
                ball,
            ]
        # The page lies along the start line, so the hole lies off it and the path curves to it.
        turn = math.radians(putt.aim.start_deg)
        along, across = math.cos(turn), math.sin(turn)
        path = putt.aim.path
        points = tuple(
            ((x * along + y * across) * 1000, (y * along - x * across) * 1000)
            for x, y in zip(path.x, path.y, strict=True)
        )
        return [
            window_area,
            Circle(length * along, -length * across, HOLE_M * 500, "hole"),
            line,
            Curve(points, "path"),
            ball,
        ]


def _page_y(angle_deg: float, length_mm: float) -> float:
    return offset_m(max(-_OPEN_END_DEG, min(_OPEN_END_DEG, angle_deg)), length_mm)


def _shoes(hand: Hand) -> list[Shape]:
    """Where the golfer stands: a right-handed golfer on the left of the line (up the page), toes to the line."""
    towards = 1 if hand == "right" else -1
    outline = [*_HALF_SHOE_MM, *((-wide, along) for wide, along in reversed(_HALF_SHOE_MM[1:-1]))]
    return [Area(tuple((x + dx, towards * (dy - 260)) for dx, dy in outline), "stance") for x in (-190.0, 130.0)]
