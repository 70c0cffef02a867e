"""Two conditions compared on simulated golfers: how often a word is said with no difference, and with a true one."""

import numpy as np

from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.judge.comparing import Arm, compared
from libella.core.set.proof import Proof
from libella.core.set.station import Station
from libella.core.simulated.golfer import SimulatedGolfer

STATION = Station(Putt(2.5, 0.3, 10), lay("board", {}), Proof("tape", doubt_m=0.0015))
PLAYED = 600


def arm(rng: np.random.Generator, bias: float, spread: float, putts: int) -> Arm:
    golfer = SimulatedGolfer(bias, spread, path_noise_deg=0.5)
    starts = (golfer.start(rng, 2.5) for _ in range(putts))
    return Arm.at(f"{bias}", tuple(STATION.observe(it).interval for it in starts), STATION)


def words(rng: np.random.Generator, apart: float, spread: float, putts: int) -> tuple[float, float]:
    """Shares of comparisons that said "clear", and at least "likely", with the second condition `apart` right."""
    clear = likely = 0
    for n in range(PLAYED):
        middle = (n % 5 - 2) * 0.25
        a, b = arm(rng, middle - apart / 2, spread, putts), arm(rng, middle + apart / 2, spread, putts)
        [pair] = compared((a, b), "line", final=True).pairs
        right = apart == 0 or pair.comparison.shift.value > 0
        clear += pair.word == "clear" and right
        likely += pair.word in ("clear", "likely") and right
    return clear / PLAYED, likely / PLAYED


def main() -> None:
    rng = np.random.default_rng(7)
    print(
        f"{PLAYED} comparisons each, ruler board with 5 mm marks at 1 m; asked: clear at most 6 % with no difference,"
    )
    print("1° with 10 putts each found (at least likely, on the right side) at least 80 % of the time")
    print("spread  putts each | no difference: clear | 0.5°: clear, found | 1.0°: clear, found | 1.5°: clear, found")
    for spread in (0.7, 1.0, 1.4):
        for putts in (6, 10, 20):
            false, _ = words(rng, 0.0, spread, putts)
            told = [words(rng, apart, spread, putts) for apart in (0.5, 1.0, 1.5)]
            cells = " | ".join(f"{clear * 100:7.0f} %, {found * 100:4.0f} %" for clear, found in told)
            print(f"{spread:4.1f}°   {putts:9d}  | {false * 100:18.1f} % | {cells}", flush=True)


if __name__ == "__main__":
    main()
