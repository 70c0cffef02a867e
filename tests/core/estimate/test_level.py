"""The level a golfer's blocks lie about: holds the truth, tells a step from none; no block counts its prior twice."""

import numpy as np
import pytest

from libella.core.estimate import START, posterior
from libella.core.estimate.level import level
from libella.core.estimate.pooled import Pooled, bias_likelihood, spread_likelihood
from libella.core.measure.interval import Interval

PLACED = 0.12


def golfer(rng, *, wander=0.0, step=0.0, before=4, after=2, putts=20, gap=7.0):
    """Blocks of one golfer, the level at the last, and the day of the change."""
    tau, now, spread = abs(rng.normal(0, 0.4)), rng.normal(0, 1.5), np.exp(rng.normal(0, 0.4))
    blocks, day = [], 0.0
    for n in range(before + after):
        if n:
            day += gap
            now += rng.normal(0, wander * np.sqrt(gap))
        if n == before:
            now += step
        sd = spread / np.sqrt(putts)
        mean = now + rng.normal(0, tau) + rng.normal(0, PLACED) + rng.normal(0, sd)
        blocks.append(Pooled(day, mean, sd, laying=n, laying_sd=PLACED))
    return blocks, now, before * gap


@pytest.mark.parametrize("kind", ["stay", "wander", "step"])
def test_nine_in_ten_intervals_hold_the_level(kind):
    rng = np.random.default_rng(11)
    held = 0
    for _ in range(150):
        blocks, now, changed = golfer(
            rng, wander=abs(rng.normal(0, 0.05)) if kind == "wander" else 0.0, step=0.7 if kind == "step" else 0.0
        )
        [found] = level(blocks, [blocks[-1].day], [changed]).at
        held += found.low <= now <= found.high
    assert 0.84 <= held / 150 <= 0.96


def test_a_step_is_told_and_none_is_not():
    rng = np.random.default_rng(12)
    words = {}
    for size in (0.0, 0.7):
        found = []
        for _ in range(120):
            blocks, _, changed = golfer(rng, step=size)
            [it] = level(blocks, [], [changed]).steps
            found.append(max(it.larger, it.smaller))
        words[size] = np.mean(np.array(found) >= 0.8), np.mean(np.array(found) >= 0.95)
    assert words[0.7][0] >= 0.65
    assert words[0.0][0] <= 0.25 and words[0.0][1] <= 0.06


def test_what_blocks_share_is_not_averaged_away():
    alone = [Pooled(0.0, 0.5, 0.1, laying=n, laying_sd=0.3) for n in range(12)]
    together = [Pooled(0.0, 0.5, 0.1, laying="one", laying_sd=0.3) for _ in range(12)]
    [one], [other] = level(alone, [0.0]).at, level(together, [0.0]).at
    assert other.doubt > 1.5 * one.doubt
    device = [Pooled(0.0, 0.5, 0.1, laying=n, device="reader", device_sd=0.3) for n in range(12)]
    assert level(device, [0.0]).at[0].doubt == pytest.approx(other.doubt, rel=0.05)


def test_the_prior_counts_once():
    """A block's mean is drawn to its own prior; its likelihood is not."""
    rng = np.random.default_rng(3)
    reads = [Interval(it - 0.05, it + 0.05) for it in rng.normal(3.0, 1.5, 6)]
    post = posterior(reads, START())
    mean, sd = bias_likelihood(post, START())
    assert mean > post.bias_quantile(0.5)
    assert 0.3 < sd < 1.2
    log_spread, _ = spread_likelihood(post, START())
    assert 0.6 < np.exp(log_spread) < 3.0
    # Readings that say nothing add nothing.
    assert bias_likelihood(posterior([], START()), START()) is None


def test_what_is_no_angle_is_pooled_alike_in_its_own_unit():
    blocks, _, changed = golfer(np.random.default_rng(4), step=0.7)
    in_mm = [Pooled(it.day, 20 * it.mean, 20 * it.sd, it.laying, 20 * it.laying_sd) for it in blocks]
    one = level(blocks, [blocks[-1].day], [changed])
    other = level(in_mm, [blocks[-1].day], [changed], prior=(0.0, 40.0), matters=(2.4, 10.0), scale=20.0)
    assert other.at[0].low == pytest.approx(20 * one.at[0].low) and other.between == pytest.approx(20 * one.between)
    assert other.steps[0].larger == pytest.approx(one.steps[0].larger)


def test_days_before_any_block_are_as_unsure_as_the_prior_lets_them():
    found = level([Pooled(10.0, 1.0, 0.2)], [0.0, 10.0, 400.0])
    assert found.at[2].doubt > found.at[1].doubt
    assert found.at[0].value == pytest.approx(1.0, abs=0.2)
