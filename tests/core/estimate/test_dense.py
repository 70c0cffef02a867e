"""The estimator and the table against the same model summed over a grid so dense that nothing lies between."""

import math

import numpy as np
import pytest
from scipy.special import ndtr

from libella.core.estimate import START, posterior
from libella.core.estimate.table import LikelihoodTable, table
from libella.core.instruments.registry import instruments, usual_sizes
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

LAPSE, REACH = 0.02, 10.0
WINDOW = Window(1.0, 1.0)

SHARES = (0.05, 0.5, 0.95)
DRAWN = np.random.default_rng(20).normal(0, 1, 200)


def quantiles(at, mass):
    total = np.concatenate(([0], np.cumsum((mass[1:] + mass[:-1]) / 2)))
    return np.interp(SHARES, total / total[-1], at)


def dense(readings, noise=0.0, doubt=0.0):
    """Quantiles of bias and spread: the formula of the handbook, point by point."""
    bias, log_spread = np.linspace(-13, 13, 2601), np.linspace(math.log(0.01), math.log(26), 221)
    spread = np.hypot(np.exp(log_spread), noise)[None, :]
    prior = START()
    z, y = (
        (bias - prior.bias_mean) / prior.bias_sd,
        (log_spread - math.log(prior.spread_median)) / prior.spread_log_sd,
    )
    log = -0.5 * (z[:, None] ** 2 + y[None, :] ** 2)
    for it in set(readings):
        if it.low == it.high:
            chance = np.exp(-0.5 * ((it.low - bias[:, None]) / spread) ** 2) / spread / math.sqrt(2 * math.pi)
            slip = LAPSE / (2 * REACH)
        else:
            chance = ndtr((it.high - bias[:, None]) / spread) - ndtr((it.low - bias[:, None]) / spread)
            slip = LAPSE * (min(it.high, REACH) - max(it.low, -REACH)) / (2 * REACH)
        log += readings.count(it) * np.log((1 - LAPSE) * chance + slip)
    weight = np.exp(log - log.max())
    of_bias = weight.sum(axis=1)
    if doubt:
        steps = np.arange(-math.ceil(5 * doubt / 0.01), math.ceil(5 * doubt / 0.01) + 1) * 0.01
        of_bias = np.convolve(of_bias, np.exp(-0.5 * (steps / doubt) ** 2), "same")
    return quantiles(bias, of_bias), np.exp(quantiles(log_spread, weight.sum(axis=0)))


def zones(kind):
    laid = instruments()[kind].laid(usual_sizes(kind, {}, "metric"))
    return [it.interval for it in laid.zones("metric")]


def seen(kind, bias, spread, n):
    """So many starts of that bias and spread, as the rig shows them."""
    read = zones(kind)
    return [next(it for it in read if at <= it.high) for at in bias + spread * DRAWN[:n]]


def exact(bias, spread, n):
    return [Interval(it, it) for it in bias + spread * DRAWN[:n]]


CASES = {
    "as steady as a machine, read exactly": exact(0.3, 0.05, 20),
    "the same, many more": exact(0.3, 0.05, 100),
    "exact and wide": exact(0.1, 1.0, 100),
    "all in the middle": [Interval(-0.97, 0.97)] * 40,
    "half and half about one limit": [Interval(-1.83, -0.61)] * 20 + [Interval(-0.61, 0.61)] * 20,
    "most within, some beyond": seen("ball_gate", 0.77, 0.64, 40),
    "two marks of a board": seen("board", 0.35, 0.09, 40),
    "a few on a board": seen("board", 0.5, 0.5, 5),
    "wide on a board": seen("board", -1.0, 1.5, 40),
    "about the edge of a chalk line": seen("chalk_line", -0.82, 0.32, 40),
    "across a row": seen("bridge_row", 1.38, 0.46, 100),
    "one": seen("chalk_line", 1.5, 0.1, 1),
}


@pytest.mark.parametrize("readings", CASES.values(), ids=CASES)
def test_the_estimator_finds_what_a_dense_grid_finds(readings):
    """Ridges of small spreads lie between the points of a coarse grid: where they were cut off, a golfer as steady as
    0.05° was told as 0.17°."""
    bias, spread = dense(readings)
    found = posterior(readings)
    assert [found.bias_quantile(it) for it in SHARES] == pytest.approx(bias, abs=0.01)
    assert [found.spread_quantile(it) for it in SHARES] == pytest.approx(spread, abs=0.01, rel=0.02)


@pytest.mark.parametrize("doubt", [0.02, 0.1, 0.6])
@pytest.mark.parametrize("readings", CASES.values(), ids=CASES)
def test_what_readings_share_blurs_the_bias_and_no_more(readings, doubt):
    """A doubt smaller than the step of the grid stood as lumps, up to a tenth of a degree off."""
    bias, _ = dense(readings, doubt=doubt)
    found = posterior(readings).blurred(doubt)
    assert [found.bias_quantile(it) for it in SHARES] == pytest.approx(bias, abs=0.01)


def summed(told: LikelihoodTable, readings):
    """As a device sums it: rows of the table, and what was believed before."""
    bias = told.first + told.step * np.arange(len(told.before))
    log = np.array(told.before)[:, None] + np.array(told.spreads_before)[None, :]
    for it in readings:
        row = next(one for one in told.rows if (one.low, one.high) == (it.low_or_none, it.high_or_none))
        curve = told.curves[row.curve]
        away = (bias - row.at) * row.facing if row.facing else abs(bias - row.at)
        at = np.interp(away, curve.away, np.arange(len(curve.away)))
        low = np.minimum(at.astype(int), len(curve.away) - 2)
        rows, part = np.array(curve.log) / told.to_one, (at - low)[:, None]
        log += it.weight * (rows[low] * (1 - part) + rows[low + 1] * part)
    weight = np.exp(log - log.max())
    beside = len(told.shared) // 2
    wider = told.first + told.step * np.arange(-beside, len(bias) + beside)
    return (
        quantiles(wider, np.convolve(weight.sum(axis=1), told.shared)),
        np.exp(quantiles(np.array(told.log_spreads), weight.sum(axis=0))),
    )


@pytest.mark.parametrize("kind", ["board", "ball_gate", "chalk_line", "start_reader"])
@pytest.mark.parametrize(("bias", "spread", "n"), [(0.3, 0.1, 40), (0.7, 0.6, 10), (-1.5, 1.2, 3), (0.0, 0.4, 20)])
def test_a_device_that_sums_the_table_finds_what_the_server_finds(kind, bias, spread, n):
    readings = [it.weighing(0.5 if i % 7 == 3 else 1.0) for i, it in enumerate(seen(kind, bias, spread, n))]
    for noise, doubt in ((0.0, 0.0), (0.1, 0.05), (0.2, 0.6)):
        found = posterior(readings, noise=noise).blurred(doubt)
        of_bias, of_spread = summed(table(zones(kind), WINDOW, noise=noise, doubt=doubt), readings)
        assert of_bias == pytest.approx([found.bias_quantile(it) for it in SHARES], abs=0.01)
        assert of_spread[1] == pytest.approx(found.spread_quantile(0.5), abs=0.01)


def test_a_table_is_small_enough_to_be_taken_along():
    """Readings of one width share a curve: a board of forty marks has as few as a gate."""
    for kind in ("board", "face_mirror", "start_reader", "peg_gate"):
        told = table(zones(kind), WINDOW, noise=0.1, doubt=0.1)
        assert sum(len(it.away) * len(told.log_spreads) for it in told.curves) < 40_000, kind
        assert len(told.before) < 2_000
