"""A simulated golfer whose truth is known: for the demo, the stand-ins and the tests."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace

import numpy as np

from .green.capture import Window
from .perception.position import Lever, Position
from .perception.trial import Looks


@dataclass(frozen=True, slots=True)
class SimulatedGolfer:
    """Starts putts at Normal(bias + growth · distance, spread) degrees, with a share of mishits.

    Parameters
    ----------
    bias_deg : start bias at no distance, right positive
    spread_deg : standard deviation of the start error
    growth_deg_per_m : how the bias grows with the length of the putt
    mishit_share : putts that go anywhere within ± 10°
    feels_straight_deg, feel_noise_deg : the start that feels straight, and how far single calls scatter
    holed_share : of the putts that start inside the window, those that go in: read and pace take the rest
    still_share : putts in which nothing moves that should not
    """

    bias_deg: float
    spread_deg: float
    growth_deg_per_m: float = 0.0
    mishit_share: float = 0.0
    feels_straight_deg: float = 0.0
    feel_noise_deg: float = 0.7
    holed_share: float = 0.9
    still_share: float = 0.8

    def notes(self, rng: np.random.Generator, start_deg: float, window: Window) -> dict[str, str]:
        """What would be noted of a putt that starts there: the felt call, what moved, where it ended."""
        felt = start_deg - self.feels_straight_deg + float(rng.normal(0, self.feel_noise_deg))
        inside = window.low_deg <= start_deg <= window.high_deg
        missed = str(rng.choice(["short", "past"])) if inside else ("left" if start_deg < 0 else "right")
        return {
            "felt": "straight" if abs(felt) < 0.4 else "left" if felt < 0 else "right",
            "still": "nothing" if rng.random() < self.still_share else str(rng.choice(["head", "knees", "hips"])),
            "finish": "holed" if inside and rng.random() < self.holed_share else missed,
        }

    def true_bias(self, distance_m: float) -> float:
        """The bias a long block at this distance would show, degrees."""
        return self.bias_deg + self.growth_deg_per_m * distance_m

    def start(self, rng: np.random.Generator, distance_m: float) -> float:
        """Start error of one putt, degrees."""
        if rng.random() < self.mishit_share:
            return float(rng.uniform(-10, 10))
        return float(rng.normal(self.true_bias(distance_m), self.spread_deg))


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
