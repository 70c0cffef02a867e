"""Rolls, aims and the drop map, beside `scipy.integrate.solve_ivp` on the same putts."""

import math
from collections.abc import Callable

import numpy as np
from scipy.integrate import solve_ivp

from libella.core.green.roll import Ground, roll, roll_many
from libella.core.green.target import aim, drop_map

from .estimate import timed

GROUND, DISTANCE = Ground(10.0, -1.0, 1.0), 4.0


def in_time(start_deg: float, speed: float) -> float:
    """Offset beside the hole by an integrator in time, m."""
    (gx, gy), a = GROUND.pull, GROUND.friction

    def change(_: float, state: np.ndarray) -> list[float]:
        vx, vy = state[2:]
        v = math.hypot(vx, vy)
        return [vx, vy, gx - a * vx / v, gy - a * vy / v]

    def beside(_: float, state: np.ndarray) -> float:
        return state[0] - DISTANCE

    beside.terminal = True  # type: ignore[attr-defined]
    turn = math.radians(start_deg)
    start = [0.0, 0.0, speed * math.cos(turn), speed * math.sin(turn)]
    return float(solve_ivp(change, (0, 30), start, events=beside, rtol=1e-8, atol=1e-9).y_events[0][0][1])


def fresh_aim() -> object:
    aim.cache_clear()
    return aim(GROUND, DISTANCE, 0.3, "rim_assisted")


def main() -> None:
    found = aim(GROUND, DISTANCE, 0.3, "rim_assisted")
    speed = found.speed_m_s
    starts = np.linspace(-6, 0, 10_000)
    cases: list[tuple[str, Callable[[], object], str]] = [
        ("one roll", lambda: roll(GROUND, DISTANCE, found.start_deg, speed), "0.2 ms"),
        ("10,000 rolls", lambda: roll_many(GROUND, DISTANCE, starts, np.full(starts.size, speed)), "1000 ms"),
        ("aim solved", fresh_aim, "20 ms"),
        ("drop map", lambda: drop_map(GROUND, DISTANCE, "rim_assisted", about=found), "300 ms"),
    ]
    for name, what, asked in cases:
        middle, best = timed(what, 30)
        print(f"{name:13} {middle:8.2f} ms (best {best:.2f}; asked: {asked})")
    ours, _ = timed(lambda: roll(GROUND, DISTANCE, found.start_deg, speed), 50)
    theirs, _ = timed(lambda: in_time(found.start_deg, speed), 20)
    print(f"solve_ivp, the same roll: {theirs:.2f} ms; ratio {ours / theirs:.3f}")
    apart = [
        abs(roll(GROUND, DISTANCE, turn, speed).y[-1] - in_time(turn, speed)) * 1000
        for turn in np.linspace(found.start_deg - 1.5, found.start_deg + 1.5, 15)
    ]
    print(f"farthest apart beside the hole: {max(apart):.4f} mm (asked: 1)")


if __name__ == "__main__":
    main()
