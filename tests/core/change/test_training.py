"""Training the eye: when it has done its work, and when it is left."""

import pytest

from libella.core.certainty.estimate import normal
from libella.core.change.training import Asked, trained


def asked(*told: tuple[float, float, float]):
    return [Asked(day, normal(angle, sd)) for day, angle, sd in told]


@pytest.mark.parametrize(
    ("told", "course", "better"),
    [
        ((), "to_begin", False),
        (((0, 1.5, 0.2),), "goes_on", False),
        (((0, 1.5, 0.2), (5, 0.9, 0.2)), "goes_on", True),
        (((0, 1.5, 0.2), (5, 0.1, 0.15)), "goes_on", True),
        (((0, 1.5, 0.2), (5, 0.1, 0.15), (12, -0.1, 0.15)), "reached", True),
        # Twice, and one after the other.
        (((0, 0.1, 0.15), (5, 1.2, 0.15), (12, -0.1, 0.15)), "goes_on", False),
        (((0, 1.5, 0.2), (14, 1.5, 0.2)), "goes_on", False),
        (((0, 1.5, 0.2), (14, 1.4, 0.2), (28, 1.5, 0.2)), "given_up", False),
        (((0, 1.5, 0.2), (28, 0.8, 0.2)), "goes_on", True),
        # As far beyond true on the other side is no nearer.
        (((0, 1.5, 0.2), (28, -1.6, 0.2)), "given_up", False),
    ],
)
def test_it_goes_on_until_it_is_reached_or_four_weeks_brought_nothing(told, course, better):
    it = trained(asked(*told))
    assert (it.course, it.better, it.asked) == (course, better, len(told))
    mirrored = trained(asked(*((day, -angle, sd) for day, angle, sd in told)))
    assert (mirrored.course, mirrored.better) == (course, better)
