"""Two conditions compared on simulated golfers: how often a word is said with no difference, and with a true one."""

import numpy as np

from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.instruments import lay
from libella.core.judge.claims.difference import Group, difference
from libella.core.judge.claims.level import Weighing
from libella.core.judge.ledger.entry import Batch, Event, Putted
from libella.core.set.proof import Proof
from libella.core.set.station import Station
from libella.core.simulated.golfer import SimulatedGolfer

STATION = Station(Putt(2.5, 0.3, 10), lay("board", {}), Proof("tape", doubt_m=0.0015))
BY = Weighing(usual_mix(STATION.putt, USUAL()), 0.85, 0.9)
PLAYED = 300


def arm(rng: np.random.Generator, bias: float, spread: float, putts: int, turn: int) -> Batch:
    golfer = SimulatedGolfer(bias, spread, path_noise_deg=0.5)
    starts = (STATION.observe(golfer.start(rng, 2.5)).interval for _ in range(putts))
    events = tuple(Event(f"{n}", {"start": it}) for n, it in enumerate(starts))
    return Batch(f"{turn}", "start", 0.0, events, putted=Putted(2.5, STATION.putt.window))


def words(rng: np.random.Generator, apart: float, spread: float, putts: int) -> tuple[float, float]:
    """Shares of comparisons that said "clear", and at least "likely", with the second condition `apart` right."""
    clear = likely = 0
    for n in range(PLAYED):
        middle = (n % 5 - 2) * 0.25
        pair = (Group("", (arm(rng, middle + side * apart / 2, spread, putts, side),)) for side in (-1, 1))
        found = difference(*pair, "start", BY)
        assert found is not None
        right = apart == 0 or found.by.value > 0
        clear += found.call.word == "clear" and right
        likely += found.call.names_direction and right
    return clear / PLAYED, likely / PLAYED


def equal_ways(rng: np.random.Generator, played: int = PLAYED) -> np.ndarray:
    """(N, 3, 2) the same golfer twice, twelve putts each: whether line, spread and both together say anything, and
    whether that is clear."""
    said = np.zeros((played, 3, 2))
    for n in range(played):
        spread = float(np.exp(rng.normal(-0.2, 0.3)))
        pair = (Group("", (arm(rng, 0.3, spread, 12, side),)) for side in (-1, 1))
        found = difference(*pair, "start", BY)
        assert found is not None and found.steadier is not None and found.inside is not None
        for k, call in enumerate((found.call, found.steadier, found.inside[1])):
            said[n, k] = call.names_direction, call.word == "clear"
    return said


def found_apart(rng: np.random.Generator, played: int = PLAYED) -> float:
    """The share of golfers, twelve putts each way, whose ways a degree apart are told at least likely, by the line."""
    told = 0
    for n in range(played):
        spread, middle = float(np.exp(rng.normal(-0.2, 0.3))), (n % 5 - 2) * 0.25
        pair = (Group("", (arm(rng, middle + side / 2, spread, 12, side),)) for side in (-1, 1))
        it = difference(*pair, "start", BY)
        told += it is not None and it.call.names_direction and it.by.value > 0
    return told / played


def main() -> None:
    rng = np.random.default_rng(7)
    said = equal_ways(rng)
    each, clear = said.mean(axis=0).T
    print(f"equal ways, twelve each: likely {np.round(each, 3)} (0.12), clear {np.round(clear, 3)} (0.03), of", PLAYED)
    print(f"any of the three asked: {said[:, :, 0].any(axis=1).mean():.1%} (30)")
    print(f"1.0° apart, twelve each: at least likely {found_apart(rng):.1%} (85), of {PLAYED}")
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
