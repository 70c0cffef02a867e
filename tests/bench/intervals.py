"""How often 90 % intervals of bias and spread hold the truth, on every rig that watches starts.

Truths are drawn from the prior, or have one spread; each row is many simulated blocks. Asked: 86 to 94 % over truths
from the prior, at least 80 % at spreads of 0.4 and 2.5°.
"""

import sys

import numpy as np

from libella.core.estimate import START, posterior, summarise
from libella.core.estimate.posterior import LAPSE_SHARE
from libella.core.green.putt import Putt
from libella.core.instruments import instruments, lay
from libella.core.set.proof import Proof
from libella.core.set.station import Station

PUTT = Putt(4.0, 0.35, 10)


def held(station: Station, putts: int, rng: np.random.Generator, spread: float | None, blocks: int) -> np.ndarray:
    """Shares of blocks whose interval holds the bias, and the spread."""
    zones = [it.interval for it in station.zones()]
    edges = [it.high for it in zones[:-1]]
    found = np.zeros(2)
    for _ in range(blocks):
        bias = rng.normal(START().bias_mean, START().bias_sd)
        sd = spread or float(np.exp(rng.normal(np.log(START().spread_median), START().spread_log_sd)))
        starts = rng.normal(bias, sd, putts)
        lapsed = rng.random(putts) < LAPSE_SHARE
        starts[lapsed] = rng.uniform(-10, 10, int(lapsed.sum()))
        it = summarise(posterior([zones[n] for n in np.searchsorted(edges, starts)]), station.putt.window)
        found += it.bias.low <= bias <= it.bias.high, it.spread.low <= sd <= it.spread.high
    return found / blocks


def main() -> None:
    blocks = int(sys.argv[1]) if len(sys.argv) > 1 else 1000
    print(f"{blocks} blocks a cell: share of 90 % intervals that hold the bias / the spread")
    print(f"{'rig':26} putts | from the prior |   spread 0.4° |   spread 1.0° |   spread 2.5°")
    for kind, about in instruments().items():
        if about.about.measures != "start":
            continue
        station = Station(PUTT, lay(kind, {}), Proof("tape", doubt_m=0.0))
        if station.noise_deg:
            continue
        for putts in (7, 12, 30):
            cells = [held(station, putts, np.random.default_rng(3), it, blocks) * 100 for it in (None, 0.4, 1.0, 2.5)]
            print(f"{kind:26} {putts:5} | " + " | ".join(f"{a:5.1f} / {b:5.1f}" for a, b in cells), flush=True)


if __name__ == "__main__":
    main()
