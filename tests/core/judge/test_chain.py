"""The chain of a block: every link found, k fitted or set, a compensation told from noise."""

import numpy as np
import pytest

from libella.core.certainty.estimate import Estimate
from libella.core.green.putt import Putt
from libella.core.judge.chain import Aimed, Delivered, fit_k
from libella.core.judge.compensation import Reader, in_the_means
from libella.core.measure.interval import Interval
from libella.core.simulated.golfer import SimulatedGolfer
from libella.core.start.path import PathModel
from tests.said import chain

WINDOW = Putt(2.5, 0.3, 10).window


def putts(golfer: SimulatedGolfer, n: int, *, seed: int = 1, u: float = 0.2, checked: bool = True) -> list[Delivered]:
    rng = np.random.default_rng(seed)
    found = []
    checks = 5 if checked else 0
    for _ in range(n):
        it = golfer.stroke(rng, 2.5)
        face, impact, path = (v + rng.normal(0, u) for v in (it.face_address_deg, it.face_impact_deg, it.path_deg))
        found.append(
            Delivered(Interval(it.start_deg - 0.1, it.start_deg + 0.1), face, impact, path, u, checks, zero_deg=0.1)
        )
    return found


def rows(tables, title):
    [table] = [it for it in tables if it.title == title]
    return {it.name: it.cells for it in table.rows}, table.words


def said(cell: str) -> float:
    size = float(cell.split("°")[0])
    return -size if "left" in cell else size


def test_every_link_is_found_where_the_simulated_golfer_has_it():
    golfer = SimulatedGolfer(-0.4, 0.8, looks_straight_deg=1.2, path_deg=-2.0)
    found, _ = rows(chain(putts(golfer, 40), Aimed(), WINDOW, "right"), "Every link")
    truths = {
        "Face at address": golfer.true_aim(),
        "The stroke adds": golfer.true_delivery(2.5),
        "Face at impact": golfer.true_aim() + golfer.true_delivery(2.5),
        "Path": -2.0,
        "Start": golfer.true_bias(2.5),
    }
    assert list(found) == list(truths)
    for name, truth in truths.items():
        assert said(found[name][1]) == pytest.approx(truth, abs=0.4), name
    # The change to the next link adds up: address and stroke make impact.
    assert said(found["Face at address"][3]) == pytest.approx(said(found["The stroke adds"][1]), abs=0.11)


def test_links_of_set_downs_stand_at_the_top_until_a_sensor_reads_the_face():
    mark, to_mark, face = (Estimate(it, it - 0.3, it + 0.3) for it in (0.7, 0.3, 1.0))
    bare = [Delivered(Interval(-0.1, 0.1)) for _ in range(5)]
    found, _ = rows(chain(bare, Aimed(mark, to_mark, face), WINDOW, "right"), "Every link")
    assert list(found) == ["Ball mark", "Putter to the mark", "Face at address", "Start"]
    found, _ = rows(chain(putts(SimulatedGolfer(0, 1), 5), Aimed(mark, None, face), WINDOW, "right"), "Every link")
    assert found["Face at address"][0] == "5"
    assert chain(bare, Aimed(), WINDOW, "right") == ()


def test_a_compensation_is_told_and_noise_is_not_taken_for_one():
    pell = SimulatedGolfer(0.1, 1.0, looks_straight_deg=1.6, makes_up=0.95)
    _, words = rows(chain(putts(pell, 15), Aimed(), WINDOW, "right"), "Every link")
    assert "compensation" in words and "1." in words
    # The stroke shares the aim's reading error: a noisy sensor alone must not look like a compensation.
    steady = SimulatedGolfer(0.0, 0.6, aim_noise_deg=0.5, path_noise_deg=0.2)
    cried = 0
    for seed in range(60):
        _, words = rows(chain(putts(steady, 20, seed=seed, u=0.5), Aimed(), WINDOW, "right"), "Every link")
        cried += "compensation" in words or "makes up for about" in words
    assert cried <= 6


def test_without_a_repeat_check_a_putt_by_putt_compensation_is_only_a_question():
    taker = SimulatedGolfer(0.0, 0.5, aim_noise_deg=1.5, makes_up=0.9, path_noise_deg=0.2)
    for stated in (0.05, 0.1):
        _, words = rows(chain(putts(taker, 25, u=stated, checked=False), Aimed(), WINDOW, "right"), "Every link")
        assert words.startswith("Does the stroke make up") and "five readings" in words


def test_a_zero_off_on_address_alone_makes_no_compensation_of_the_means():
    rng = np.random.default_rng(9)
    said = 0
    for _ in range(60):
        aim = rng.normal(0, 0.7, 20)
        found = in_the_means(aim + 0.4, aim + rng.normal(0, 0.5, 20), Reader(0.2, 0, one_device=False), WINDOW)
        said += found.names_direction
    assert said <= 6


@pytest.mark.parametrize("k", [0.78, 0.92])
def test_the_ends_of_k_leave_nothing_over(k):
    cried = 0
    for seed in range(40):
        rng = np.random.default_rng(seed)
        face, path = rng.normal(0.5, 0.2, 20), rng.normal(-3.0, 0.2, 20)
        some = [
            Delivered(Interval(s, s), None, float(f), float(p), 0.05, 5, zero_deg=0.1)
            for f, p in zip(face, path, strict=True)
            for s in [float(k * f + (1 - k) * p + rng.normal(0, 0.1))]
        ]
        _, words = rows(chain(some, Aimed(), WINDOW, "right"), "Start from face and path")
        cried += "left over" in words
    assert cried <= 4


def test_putt_by_putt_a_compensation_shows_though_the_means_are_square():
    taker = SimulatedGolfer(0.0, 0.5, aim_noise_deg=1.5, makes_up=0.9, path_noise_deg=0.2)
    _, words = rows(chain(putts(taker, 25, u=0.1), Aimed(), WINDOW, "right"), "Every link")
    assert "Putt by putt the stroke makes up for about" in words


@pytest.mark.parametrize("k", [0.8, 0.9])
def test_the_share_of_the_face_is_fitted_where_face_and_path_part(k):
    golfer = SimulatedGolfer(0.0, 1.5, k=k, path_noise_deg=3.0)
    found = fit_k(putts(golfer, 60, u=0.05))
    assert found is not None and found.low <= k <= found.high and found.doubt < 0.06
    together = [Delivered(Interval(0, 0), 0.0, v, v) for v in np.linspace(-1, 1, 20)]
    assert fit_k(together) is None and fit_k(putts(golfer, 5)) is None


def test_the_share_as_set_is_taken_and_a_path_is_told_against_its_model():
    some = putts(SimulatedGolfer(0.0, 1.0, path_deg=-2.0, path_noise_deg=0.3), 12, u=0.05)
    found, words = rows(chain(some, Aimed(), WINDOW, "right", k=0.7), "Start from face and path")
    assert found["Share of the face (k)"] == ("0.70 (0.70 to 0.70)",) and "as set" in words
    arc = PathModel("arc", ball_ahead_m=0.056)
    found, _ = rows(chain(some, Aimed(), WINDOW, "right", model=arc), "Start from face and path")
    assert found["Path, an arc"] == ("as declared",)
    straight = PathModel("straight", ball_ahead_m=0.056)
    for hand, way in (("right", "out to in"), ("left", "in to out")):
        found, _ = rows(chain(some, Aimed(), WINDOW, hand, model=straight), "Start from face and path")
        assert f"{way} of it" in found["Path, straight back and through"][0]


@pytest.mark.parametrize(
    ("aim", "off", "compensates"), [(3.3, -0.9, True), (3.3, 3.2, False), (-2.0, 0.0, True), (0.2, 0.0, False)]
)
def test_aim_and_start_read_apart_are_joined_in_their_means(aim, off, compensates):
    starts = [Delivered(Interval(off - 0.1 + n / 50, off + 0.1 + n / 50)) for n in range(-5, 6)]
    cells, words = rows(chain(starts, Aimed(face=Estimate(aim, aim - 0.4, aim + 0.4)), WINDOW, "right"), "Every link")
    assert said(cells["Face at address"][-1]) == pytest.approx(off - aim, abs=0.15)
    assert ("compensation" in words) == compensates and "by stroke, path and strike together" in words
