"""What was asked, and is answered at least likely, is said first (account 2)."""

import pytest

from .lessons import Told

RIGHT_MM = [25, 30, 20, 35, 25, 30, 20, 25, 30, 25]


@pytest.mark.parametrize(
    ("misses", "felt", "first"),
    [
        (["right"], None, "Starts 1.5° right"),
        (["short"], None, "10 of 10 short"),
        (["short", "right"], None, "10 of 10 short"),
        ([], "strike", "Struck towards the heel"),
        ([], None, "Starts 1.5° right"),
    ],
)
def test_what_the_golfer_came_with_is_answered_first_where_it_is_answered(coach, misses, felt, first):
    told = Told(coach)
    told.ruler(
        told.block(told.lay(), 10, ["finish", "ran_past_m", "strike"]),
        RIGHT_MM,
        [{"finish": "short", "ran_past_m": -0.4 - n / 50, "strike": "heel" if n < 9 else "middle"} for n in range(10)],
    )
    coach.put(f"/lessons/{told.id}/complaint", misses=misses, felt=felt)
    page = coach.get(f"/lessons/{told.id}/findings")
    assert first in page["headline"], [page["headline"], *page["also"]]
    assert "Starts 1.5° right" in " ".join([page["headline"], *page["also"]])
    assert coach.get(f"/lessons/{told.id}/finding-shown")["headline"] == page["headline"]


def test_what_was_asked_and_is_not_known_yet_does_not_come_before_what_is(coach):
    told = Told(coach)
    told.ruler(
        told.block(told.lay(), 10, ["strike"]), RIGHT_MM, [{"strike": ("heel", "toe")[n % 2]} for n in range(10)]
    )
    coach.put(f"/lessons/{told.id}/complaint", misses=[], felt="strike")
    assert "Starts 1.5° right" in coach.get(f"/lessons/{told.id}/findings")["headline"]
