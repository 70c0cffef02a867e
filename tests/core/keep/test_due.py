"""What falls due, and when: a retest after a week and three weeks on, what is left a week after it was kept."""

import pytest

from libella.core.keep.due import ChangeStands, change_due


def stands(standing, retested=None, *, of_line=True, looked_at=False):
    return ChangeStands(standing, 100.0, retested, of_line, looked_at)


@pytest.mark.parametrize(
    ("it", "due"),
    [
        (stands("untested"), ("retest", 107.0)),
        (stands("better_so_far", 110.0), ("retest", 131.0)),
        (stands("open", 110.0), ("retest", 131.0)),
        (stands("kept", 131.0), ("left", 138.0)),
        (stands("kept", 131.0, looked_at=True), None),
        (stands("kept", 131.0, of_line=False), None),
        (stands("worse", 110.0), None),
        (stands("dropped", 110.0), None),
    ],
)
def test_a_change_falls_due_by_where_it_stands(it, due):
    assert change_due(it) == due
