"""What is noted in words, told over the lessons: pooled with the days, and whether the newest is otherwise."""

import pytest

from libella.core.judge.golfers_line import LINES
from libella.core.judge.ledger.quantity import names, quantity
from libella.core.judge.share_line import SHARES, share_line
from libella.words.judge.golfers_line import share_line_words

from .samples import batch


def lessons(name, *told):
    return [batch(name, list(values), id=f"{n}", lesson=f"{n}") for n, values in enumerate(told)]


def test_whatever_is_read_is_told_over_time():
    """A quantity that is in neither list would be read for years and never told again."""
    for name in names():
        assert (name in LINES) + (name in SHARES) == (quantity(name).event != "set_up"), name


def test_lessons_are_counted_together_and_a_day_counts_for_less_than_its_readings_alone():
    one = share_line(lessons("holed", ["holed"] * 6 + ["missed"] * 14), "holed", ())
    several = share_line(lessons("holed", *[["holed"] * 3 + ["missed"] * 7] * 2), "holed", ())
    assert one.times == several.times == 6 and one.of == several.of == 20
    assert one.moved is None and several.moved is not None
    # Two days say more than one, and both less than 20 tosses of a coin would: 16 to 48.
    assert several.now.high - several.now.low < one.now.high - one.now.low
    assert several.now.low < 16 and several.now.high > 48
    assert share_line_words(several).startswith("6 of 20 holed in 2 lessons; about")


@pytest.mark.parametrize(("last", "word"), [(10, "oftener than before, clear"), (0, "less often than before, clear")])
def test_the_newest_lesson_is_told_where_it_is_otherwise(last, word):
    before = ["clean"] * 5 + ["skid"] * 5
    it = share_line(lessons("roll", before, before, ["clean"] * last + ["skid"] * (10 - last)), "roll", ())
    assert share_line_words(it).endswith(f"The newest lesson {last} of 10: {word}.")


def test_putts_that_all_fell_are_neither_short_nor_past():
    assert share_line(lessons("stopped", ["holed"] * 8), "stopped", ()) is None
    assert share_line([], "holed", ()) is None


def test_a_day_is_more_than_one_reading():
    """Twenty of twenty in one lesson: surer than one of one, less sure than twenty on twenty days."""
    day, days = (share_line(lessons("holed", *told), "holed", ()) for told in ([["holed"] * 20], [["holed"]] * 20))
    assert 60 < day.now.low < days.now.low
