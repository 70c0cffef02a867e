"""A simulated golfer whose truth is known, link by link: for the demo, the stand-ins and the tests."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, field, replace

import numpy as np

from ..aim.links import Cue
from ..measure.window import Window
from ..see.position import Lever, Position
from ..see.trial import Looks


@dataclass(frozen=True, slots=True)
class SimulatedStroke:
    """One putt as it truly was, degrees, right positive; strike in mm towards the toe and above the middle."""

    face_address_deg: float
    face_impact_deg: float
    path_deg: float
    start_deg: float
    strike_toe_mm: float
    strike_up_mm: float
    backswing_s: float
    downswing_s: float
    back_m: float
    through_m: float


@dataclass(frozen=True, slots=True)
class SimulatedGolfer:
    """A golfer drawn link by link (handbook 5, chain): the start is k·face + (1 − k)·path + what the strike adds.

    Face at address: `looks_straight_deg` + the cue's effect ± `aim_noise_deg`. Face at impact: that + what the stroke
    adds, `bias_deg` + growth · distance − `makes_up` of the aim ± `delivery_noise_deg`. Ball: as above, and from a
    mishit share of putts anywhere. All draws come from the generator given, so a seed tells the golfer whole.

    Parameters
    ----------
    bias_deg : start bias at no distance that is not the aim's, right positive
    spread_deg : standard deviation of the start error, all links together
    growth_deg_per_m : how the bias grows with the length of the putt
    mishit_share : putts that go anywhere within ± 10°
    feels_straight_deg, feel_noise_deg : the start that feels straight, and how far single calls scatter
    holed_share : of the putts that start inside the window, those that go in: read and pace take the rest
    still_share : putts in which nothing moves that should not
    looks_straight_deg : where the face truly points when it looks square to this golfer
    aim_noise_deg : how far the aim scatters from set-down to set-down; delivery, path and strike have the rest of the
        spread
    makes_up : share of the aim's error that the stroke takes back: 1 is a whole compensation
    cue_deg : what each cue on the ball adds to the aim, degrees
    path_deg, path_noise_deg : direction of the head at the ball
    k : share of the face in the start
    strike_toe_mm, strike_noise_mm : where on the face, and how far strikes scatter
    gear_deg_per_mm : what a strike off the middle adds to the start; a toe strike goes right for a right-handed golfer
        when it is positive
    touch_shares : chance that the stroke touches a rail going back, at the ball, going through
    warms_up_deg, warm_after : bias on the first putt that is gone after so many
    tires_per_putt : how the spread grows from putt to putt
    pace_error : standard deviation of the pace, as a share of the putt's length
    read_error_deg : what the golfer's own read is off, degrees, right positive
    tempo : backswing over downswing
    """

    bias_deg: float
    spread_deg: float
    growth_deg_per_m: float = 0.0
    mishit_share: float = 0.0
    feels_straight_deg: float = 0.0
    feel_noise_deg: float = 0.7
    holed_share: float = 0.9
    still_share: float = 0.8
    looks_straight_deg: float = 0.0
    aim_noise_deg: float = 0.5
    makes_up: float = 0.0
    cue_deg: Mapping[Cue, float] = field(default_factory=dict[Cue, float])
    path_deg: float = 0.0
    path_noise_deg: float = 0.8
    k: float = 0.85
    strike_toe_mm: float = 0.0
    strike_noise_mm: float = 4.0
    gear_deg_per_mm: float = 0.0
    touch_shares: tuple[float, float, float] = (0.1, 0.05, 0.1)
    warms_up_deg: float = 0.0
    warm_after: int = 6
    tires_per_putt: float = 0.0
    pace_error: float = 0.12
    read_error_deg: float = 0.0
    tempo: float = 2.1

    def true_bias(self, distance_m: float, cue: Cue | None = None) -> float:
        """The bias a long block at this distance would show, degrees, once warm and struck where usual."""
        return self._face(distance_m, cue) * self.k + (1 - self.k) * self.path_deg + self._gear(self.strike_toe_mm)

    def true_aim(self, cue: Cue | None = None) -> float:
        """Where the face points at address, on average, degrees."""
        return self.looks_straight_deg + (self.cue_deg.get(cue, 0.0) if cue else 0.0)

    def true_delivery(self, distance_m: float, cue: Cue | None = None) -> float:
        """What the stroke adds to the face, on average, degrees."""
        return self._face(distance_m, cue) - self.true_aim(cue)

    def _face(self, distance_m: float, cue: Cue | None) -> float:
        # The bias is of the start: face and path share it as k says, and the strike's part is the golfer's own.
        wanted = self.bias_deg + self.growth_deg_per_m * distance_m - (1 - self.k) * self.path_deg
        return wanted / self.k + (1 - self.makes_up) * self.true_aim(cue)

    def _gear(self, toe_mm: float) -> float:
        return self.gear_deg_per_mm * toe_mm

    def stroke(
        self, rng: np.random.Generator, distance_m: float, *, cue: Cue | None = None, putt: int = 99
    ) -> SimulatedStroke:
        """One putt, `putt` counted from 0 in its lesson: it tells how warm, and how tired."""
        spread = self.spread_deg * (1 + self.tires_per_putt * putt)
        # What path and strike scatter is part of the spread; aim and delivery have the rest.
        path_part = (1 - self.k) * self.path_noise_deg
        strike_part = self.gear_deg_per_mm * self.strike_noise_mm
        face_sd = math.sqrt(max(spread**2 - path_part**2 - strike_part**2, (0.2 * spread) ** 2)) / self.k
        # The aim comes through only as far as the stroke does not take it back.
        through = 1 - self.makes_up
        aim_sd = min(self.aim_noise_deg, 0.9 * face_sd / through) if through > 0 else self.aim_noise_deg
        delivery_sd = math.sqrt(face_sd**2 - (through * aim_sd) ** 2)
        aim_off = float(rng.normal(0, aim_sd))
        cold = self.warms_up_deg * max(0.0, 1 - putt / self.warm_after)
        face = self._face(distance_m, cue) + through * aim_off + float(rng.normal(0, delivery_sd)) + cold
        path = float(rng.normal(self.path_deg, self.path_noise_deg))
        toe = float(rng.normal(self.strike_toe_mm, self.strike_noise_mm))
        start = self.k * face + (1 - self.k) * path + self._gear(toe)
        if rng.random() < self.mishit_share:
            start = float(rng.uniform(-10, 10))
            face = (start - (1 - self.k) * path - self._gear(toe)) / self.k
        down = float(rng.normal(0.33, 0.015))
        back = 0.12 + 0.06 * distance_m * float(1 + rng.normal(0, self.pace_error))
        return SimulatedStroke(
            face_address_deg=self.true_aim(cue) + aim_off,
            face_impact_deg=face,
            path_deg=path,
            start_deg=start,
            strike_toe_mm=toe,
            strike_up_mm=float(rng.normal(0, self.strike_noise_mm / 2)),
            backswing_s=self.tempo * down,
            downswing_s=down,
            back_m=back,
            through_m=back * 1.3,
        )

    def start(self, rng: np.random.Generator, distance_m: float, *, cue: Cue | None = None, putt: int = 99) -> float:
        """Start error of one putt, degrees."""
        return self.stroke(rng, distance_m, cue=cue, putt=putt).start_deg

    def notes(
        self, rng: np.random.Generator, stroke: SimulatedStroke, window: Window, hand_in: float = 1.0
    ) -> dict[str, str | float]:
        """What would be noted of that putt. `hand_in`: 1 for a right-handed golfer, −1 for a left-handed one."""
        start = stroke.start_deg
        felt = start - self.feels_straight_deg + float(rng.normal(0, self.feel_noise_deg))
        inside = window.low_deg <= start + self.read_error_deg <= window.high_deg
        paced = abs(float(rng.normal(0, self.pace_error))) < 2 * self.pace_error
        missed = str(rng.choice(["short", "past"])) if inside else ("left" if start < 0 else "right")
        holed = inside and paced and rng.random() < self.holed_share
        still = rng.random() < self.still_share
        touched = float(rng.random())
        back, at, through = np.cumsum(self.touch_shares)
        across = "middle" if abs(stroke.strike_toe_mm) < 6 else "toe" if stroke.strike_toe_mm > 0 else "heel"
        high = "" if abs(stroke.strike_up_mm) < 4 else "high" if stroke.strike_up_mm > 0 else "low"
        inwards = stroke.path_deg * hand_in
        return {
            "felt": "straight" if abs(felt) < 0.4 else "left" if felt < 0 else "right",
            "strike": across if not high else high if across == "middle" else f"{across}_{high}",
            "roll": "clean" if rng.random() < 0.75 else str(rng.choice(["wobble_left", "wobble_right", "skid"])),
            "path": "neutral" if abs(inwards) < 1 else "in_to_out" if inwards > 0 else "out_to_in",
            "path_deg": round(stroke.path_deg * 2) / 2,
            "touch": "going_back"
            if touched < back
            else "at_the_ball"
            if touched < at
            else "going_through"
            if touched < through
            else "nothing",
            "still": "nothing" if still else str(rng.choice(["head", "knees", "hips"])),
            "back_m": round(stroke.back_m * 20) / 20,
            "through_m": round(stroke.through_m * 20) / 20,
            "finish": "holed" if holed else missed,
            "fell": "none" if not holed else "left" if start < -0.3 else "right" if start > 0.3 else "front",
        }


def sensed(
    stroke: SimulatedStroke, rng: np.random.Generator, *, u_deg: float, zero_deg: float = 0.8, start: bool = False
) -> dict[str, float]:
    """What a sensor with that standard uncertainty, and that zero offset of its face, would tell of the stroke."""

    def read(value: float, noise: float) -> float:
        return round(value + float(rng.normal(0, noise)), 3)

    if start:
        return {"start_deg": read(stroke.start_deg, u_deg), "u_deg": u_deg}
    return {
        "face_address_deg": read(stroke.face_address_deg + zero_deg, u_deg),
        "face_impact_deg": read(stroke.face_impact_deg + zero_deg, u_deg),
        "path_deg": read(stroke.path_deg, u_deg),
        "strike_toe_mm": read(stroke.strike_toe_mm, 1.0),
        "strike_up_mm": read(stroke.strike_up_mm, 1.0),
        "backswing_s": read(stroke.backswing_s, 0.004),
        "downswing_s": read(stroke.downswing_s, 0.004),
        "u_deg": u_deg,
    }


@dataclass(frozen=True, slots=True)
class SimulatedEyes:
    """What a golfer sees of a rod at a true angle (handbook 5, perception).

    Parameters
    ----------
    straight_deg : where a rod must truly point to look straight, right positive
    noise_deg : how far single looks scatter
    zone_deg : half-width of what is called straight
    slopes : how the looks-straight angle goes with each lever moved from usual, degrees per unit
    """

    straight_deg: float
    noise_deg: float = 0.7
    zone_deg: float = 0.4
    slopes: Mapping[Lever, float] = field(default_factory=dict[Lever, float])

    def at(self, position: Position) -> "SimulatedEyes":
        """The same eyes with the head there."""
        moved = self.straight_deg + sum(self.slopes.get(lever, 0.0) * far for lever, far in position.items())
        return replace(self, straight_deg=moved)

    def looks(self, rng: np.random.Generator, true_deg: float) -> Looks:
        """One answer."""
        seen = true_deg - self.straight_deg + float(rng.normal(0, self.noise_deg))
        if abs(seen) <= self.zone_deg:
            return "straight"
        return "left" if seen < 0 else "right"
