"""The simulated golfer: each part of its truth is what a long run of strokes shows, and a seed tells it whole."""

import numpy as np
import pytest

from libella.core.green.putt import Putt
from libella.core.simulated.golfer import SimulatedGolfer, sensed
from libella.core.start.notes import NOTES, checked_notes

WINDOW = Putt(2.5, 0.3, 10).window
MANY = 4000
GOLFERS = {
    "plain": SimulatedGolfer(0.3, 1.0),
    "follows the picture": SimulatedGolfer(-0.2, 0.9, looks_straight_deg=1.1),
    "makes up": SimulatedGolfer(0.1, 1.2, looks_straight_deg=1.6, makes_up=0.95, path_deg=-2.5),
    "grows": SimulatedGolfer(-0.35, 0.8, growth_deg_per_m=0.42),
    "off the toe": SimulatedGolfer(0.0, 1.0, strike_toe_mm=5.0, gear_deg_per_mm=0.06),
    "path decides": SimulatedGolfer(0.0, 1.5, k=0.7, path_deg=3.0, path_noise_deg=2.0),
}


def run(golfer: SimulatedGolfer, many: int = MANY, seed: int = 1, **more):
    rng = np.random.default_rng(seed)
    return [golfer.stroke(rng, 2.5, **more) for _ in range(many)]


@pytest.mark.parametrize("name", GOLFERS)
def test_a_long_run_shows_the_truth_of_every_link(name):
    golfer, strokes = GOLFERS[name], run(GOLFERS[name])
    starts = np.array([it.start_deg for it in strokes])
    aims = np.array([it.face_address_deg for it in strokes])
    impacts = np.array([it.face_impact_deg for it in strokes])
    assert starts.mean() == pytest.approx(golfer.true_bias(2.5), abs=0.08)
    assert starts.std() == pytest.approx(golfer.spread_deg, rel=0.06)
    assert aims.mean() == pytest.approx(golfer.true_aim(), abs=0.05)
    assert (impacts - aims).mean() == pytest.approx(golfer.true_delivery(2.5), abs=0.08)
    # The chain adds up for every single stroke.
    for it in strokes[:50]:
        gear = golfer.gear_deg_per_mm * it.strike_toe_mm
        assert it.start_deg == pytest.approx(golfer.k * it.face_impact_deg + (1 - golfer.k) * it.path_deg + gear)


def test_a_stroke_that_makes_up_moves_against_the_aim_putt_by_putt():
    strokes = run(SimulatedGolfer(0.0, 0.6, aim_noise_deg=1.5, makes_up=0.9, path_noise_deg=0.2))
    aims = np.array([it.face_address_deg for it in strokes])
    added = np.array([it.face_impact_deg for it in strokes]) - aims
    assert np.polyfit(aims, added, 1)[0] == pytest.approx(-0.9, abs=0.05)


def test_a_cue_moves_the_aim_and_warming_up_and_tiring_show_in_their_place():
    golfer = SimulatedGolfer(0.0, 0.5, cue_deg={"blank": -0.6}, warms_up_deg=2.0, warm_after=5, tires_per_putt=0.05)
    blank = np.mean([it.face_address_deg for it in run(golfer, cue="blank")])
    assert blank == pytest.approx(-0.6, abs=0.05)
    cold, warm = (np.array([it.start_deg for it in run(golfer, putt=n)]) for n in (0, 5))
    assert cold.mean() - warm.mean() == pytest.approx(2.0 * golfer.k, abs=0.08)
    late = np.array([it.start_deg for it in run(golfer, putt=20)])
    assert late.std() / cold.std() == pytest.approx(2.0, rel=0.08)


def test_the_same_seed_is_the_same_golfer_and_a_mishit_goes_anywhere():
    golfer = SimulatedGolfer(0.0, 0.3, mishit_share=0.2)
    assert run(golfer, 20, 5) == run(golfer, 20, 5) != run(golfer, 20, 6)
    wild = [it.start_deg for it in run(golfer) if abs(it.start_deg) > 2]
    assert len(wild) / MANY == pytest.approx(0.16, abs=0.03)


@pytest.mark.parametrize("hand", [1.0, -1.0])
def test_what_is_noted_is_something_a_block_may_ask_for(hand):
    rng = np.random.default_rng(2)
    golfer = SimulatedGolfer(0.0, 1.0, path_deg=2.0, path_noise_deg=0.3)
    for stroke in run(golfer, 300):
        notes = golfer.notes(rng, stroke, WINDOW, hand)
        checked_notes(notes, tuple(NOTES))
        # To the right is in to out for a right-handed golfer, out to in for a left-handed one.
        assert notes["path"] in ("neutral", "in_to_out" if hand > 0 else "out_to_in")


def test_a_wrong_read_holes_fewer_of_the_putts_that_start_on_line():
    def holed(**truth):
        rng, golfer = np.random.default_rng(3), SimulatedGolfer(0.0, 0.5, holed_share=1.0, **truth)
        return np.mean([golfer.notes(rng, it, WINDOW)["finish"] == "holed" for it in run(golfer, 800)])

    assert holed() > 0.85 > holed(read_error_deg=0.9) > holed(read_error_deg=1.8)


def test_a_sensor_tells_the_stroke_with_its_zero_and_its_noise():
    rng, strokes = np.random.default_rng(4), run(GOLFERS["plain"], 1500)
    told = [sensed(it, rng, u_deg=0.3, zero_deg=0.8) for it in strokes]
    off = np.array([t["face_impact_deg"] - s.face_impact_deg for t, s in zip(told, strokes, strict=True)])
    path = np.array([t["path_deg"] - s.path_deg for t, s in zip(told, strokes, strict=True)])
    assert off.mean() == pytest.approx(0.8, abs=0.03) and off.std() == pytest.approx(0.3, rel=0.08)
    assert path.mean() == pytest.approx(0.0, abs=0.03)
    assert set(sensed(strokes[0], rng, u_deg=0.2, start=True)) == {"start_deg", "u_deg"}
