"""Time of the whole estimate, beside `scipy.stats.norm.fit` on the same interval-censored readings."""

import time
from collections.abc import Callable

import numpy as np
from scipy.stats import CensoredData, norm

from libella.core.estimate import posterior, summarise
from libella.core.instruments import Rig
from libella.core.instruments.board import Board
from libella.core.instruments.peg_gate import PegGate
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

WINDOW = Window(1.0, 1.0)
RIGS: dict[str, Rig] = {"board": Board(1.0, 0.2, 0.005), "gate": PegGate(0.5, 0.065, 0.005)}


def read(rig: Rig, starts: np.ndarray) -> list[Interval]:
    zones = [it.interval for it in rig.zones()]
    return [zones[n] for n in np.searchsorted([it.high for it in zones[:-1]], starts)]


def timed(what: Callable[[], object], rounds: int) -> tuple[float, float]:
    """Median and best, ms."""
    took = []
    for _ in range(rounds):
        began = time.perf_counter()
        what()
        took.append((time.perf_counter() - began) * 1000)
    return float(np.median(took)), min(took)


def censored(block: list[Interval]) -> CensoredData:
    return CensoredData(interval=[[it.low, it.high] for it in block])


def main() -> None:
    rng = np.random.default_rng(1)
    print("Whole estimate (posterior and summary), asked: 40 readings under 5 ms")
    for name, rig in RIGS.items():
        for spread in (0.5, 1.0, 2.0):
            block = read(rig, rng.normal(0.4, spread, 40))
            ours, best = timed(lambda: summarise(posterior(block), WINDOW), 60)  # noqa: B023
            theirs, _ = timed(lambda: norm.fit(censored(block)), 8)  # noqa: B023
            print(
                f"  {name:5} spread {spread:.1f}°: {ours:5.2f} ms (best {best:.2f}); "
                f"norm.fit {theirs:7.1f} ms; ratio {ours / theirs:.3f}"
            )
    print("Agreement on 2000 readings, lapses off (bias, spread in degrees)")
    for name, rig in RIGS.items():
        block = read(rig, rng.normal(0.4, 1.1, 2000))
        it = summarise(posterior(block, lapse=0.0), WINDOW)
        mean, deviation = norm.fit(censored(block))
        print(f"  {name:5} ours {it.bias.value:.3f}, {it.spread.value:.3f}; norm.fit {mean:.3f}, {deviation:.3f}")


if __name__ == "__main__":
    main()
