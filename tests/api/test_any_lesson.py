"""No page ends in an error by what was recorded, whatever that was."""

import pytest

from .any_lesson import AnyLesson, how_many


@pytest.mark.parametrize("seed", range(how_many(40)))
def test_no_page_ends_in_an_error_by_what_was_recorded(client, seed):
    lesson = AnyLesson(client, seed)
    lesson.record()
    assert len(list(lesson.pages())) >= 35
