"""No page ends in an error by what was recorded, whatever that was, and all of them tell one account of it."""

import pytest

from .any_lesson import AnyLesson, how_many
from .one_account import faults_in


@pytest.mark.parametrize("seed", range(how_many(40)))
def test_no_page_ends_in_an_error_by_what_was_recorded_and_no_two_tell_it_differently(client, seed):
    lesson = AnyLesson(client, seed)
    lesson.record()
    pages = list(lesson.pages())
    assert len(pages) >= 35
    faults = faults_in(pages)
    assert faults == [], "\n".join([*faults, "after", *lesson.kept[-40:]])
