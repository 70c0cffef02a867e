"""A device's clock: found from its strokes against the taps, and no stroke put to a putt that is not its own."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.start.clock import Told, clock_of

LONG_AFTER = 1e5


def session(
    rng: np.random.Generator,
    putts: int,
    behind_s: float,
    *,
    at_once: bool = False,
    lost: float = 0.05,
    extra: float = 0.05,
) -> tuple[list[float], list[Told], list[int | None]]:
    """Taps, strokes and whose putt each stroke is: 8 to 20 s apart, a usual lag with a second's jitter."""
    lag, now = rng.uniform(1, 7), 1000.0
    taps: list[float] = []
    strokes: list[Told] = []
    whose: list[int | None] = []
    for n in range(putts):
        now += rng.uniform(8, 20)
        made = [(now, n)] if rng.random() > 0.05 else []
        made += [(now - 4.0, None)] if rng.random() < 0.05 else []
        for at, putt in made:
            strokes.append(Told(at - behind_s, at + rng.exponential(0.5) if at_once else LONG_AFTER))
            whose.append(putt)
        taps.append(now + lag + rng.normal(0, 1))
    return taps, strokes, whose


@pytest.mark.parametrize("at_once", [True, False])
@pytest.mark.parametrize("putts", [10, 25])
def test_a_constant_delay_is_found_and_strokes_are_right_or_unmatched(putts, at_once):
    rng = np.random.default_rng(putts)
    right = wrong = none = known = 0
    errors: list[float] = []
    delays = np.linspace(-60, 60, 61)
    for behind in delays:
        taps, strokes, whose = session(rng, putts, behind, at_once=at_once)
        clock = clock_of(taps, strokes)
        if clock.known:
            known += 1
            errors.append(abs(clock.behind_s - behind))
        for m, putt in enumerate(whose):
            found = clock.putts.get(m)
            right += found == putt
            none += found is None and putt is not None
            wrong += found is not None and found != putt
    assert wrong <= 0.005 * (right + none + wrong)
    assert right >= 0.96 * (right + none + wrong)
    assert known >= 0.8 * delays.size and np.median(errors) < 3.0 and max(errors) < 8.0


times = st.lists(st.integers(0, 400), max_size=12, unique=True)


@given(times, times, st.randoms())
def test_a_stroke_goes_to_one_putt_and_the_order_of_arrival_does_not_matter(putts, strokes, chance):
    told = [Told(float(it), LONG_AFTER) for it in strokes]
    clock = clock_of([float(it) for it in putts], told)
    assert len(set(clock.putts.values())) == len(clock.putts)
    shuffled = list(range(len(told)))
    chance.shuffle(shuffled)
    again = clock_of([float(it) for it in putts], [told[m] for m in shuffled])
    assert {shuffled[m]: n for m, n in again.putts.items()} == clock.putts
    assert again.behind_s == pytest.approx(clock.behind_s) and again.known == clock.known


def test_every_putt_of_a_steady_run_gets_its_own_stroke_though_some_were_never_noted():
    strokes = [15.0 * n for n in range(10)]
    putts = [at + 6 for n, at in enumerate(strokes) if n not in (2, 7)]
    found = clock_of(putts, [Told(it, LONG_AFTER) for it in strokes]).putts
    assert [strokes[m] for m in sorted(found)] == [at for n, at in enumerate(strokes) if n not in (2, 7)]
    assert all(putts[n] - strokes[m] == 6 for m, n in found.items())


def test_the_first_stroke_is_its_putts_however_late_that_was_noted():
    for lag in (0.0, 1.0, 4.0, 12.0, 20.0):
        assert clock_of([100.0 + lag], [Told(100.0, 100.2)]).putts == {0: 0}
    assert clock_of([170.0], [Told(100.0, 100.2)]).putts == {}


def test_what_could_be_of_two_putts_is_put_to_none_till_a_tap_tells_the_clock():
    # As steady as a clock, told long after: the first stroke or the last may have none, and the rest go with that.
    taps = [10.0 * n for n in range(10)]
    strokes = [Told(10.0 * n - 18.0, LONG_AFTER) for n in range(10)]
    clock = clock_of(taps, strokes)
    assert not clock.known and set(clock.putts) <= {0, 9}
    by_tap = clock_of(taps, strokes, now_s=[14.0])
    assert by_tap.known and by_tap.out and by_tap.behind_s == pytest.approx(14, abs=1)
    assert by_tap.putts == {m: m for m in range(10)}


def test_a_clock_is_known_by_strokes_that_arrive_at_once_and_never_behind_what_arrived():
    at_once = clock_of([], [Told(15.0 * n - 30.0, 15.0 * n + 0.3) for n in range(4)])
    assert at_once.out and at_once.behind_s == pytest.approx(30, abs=1)
    ahead = clock_of([], [Told(15.0 * n + 20.0, 15.0 * n + 0.3) for n in range(2)])
    assert ahead.out and ahead.behind_s == pytest.approx(-20, abs=1)
    # Told together, afterwards: nothing of the clock is in that.
    after = clock_of([], [Told(15.0 * n, 400.0) for n in range(20)])
    assert not after.out


def test_putts_told_in_a_row_afterwards_have_their_strokes_in_the_same_order():
    taps = [1000.0 + 0.03 * n for n in range(14)]
    strokes = [Told(it + 0.01, it + 0.02) for it in taps]
    assert clock_of(taps, strokes).putts == {m: m for m in range(14)}
