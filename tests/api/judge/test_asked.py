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


def test_natural_set_downs_and_aided_ones_are_two_ways_and_what_clearly_differs_is_said(coach):
    told = Told(coach)
    told.lay()
    told.angles("face", [1.6, 1.4, 1.5, 1.7, 1.3, 1.5, 1.6, 1.4])
    told.angles("face", [0.1, -0.1, 0.0, 0.2, -0.1, 0.0, 0.1, 0.0], aided=True)
    page = coach.get(f"/lessons/{told.id}/findings")
    [said] = [it for it in [page["headline"], *page["also"]] if "against" in it]
    assert "face at address 1.5° further left" in said and said.endswith("clear, now nothing to mend."), said
    # Alike both ways: nothing is said of it.
    alike = Told(coach)
    alike.lay()
    for aided in (False, True):
        alike.angles("face", [0.6, 0.4, 0.5, 0.7, 0.3, 0.5, 0.6, 0.4], aided=aided)
    page = coach.get(f"/lessons/{alike.id}/findings")
    assert not [it for it in [page["headline"], *page["also"]] if "against" in it]


@pytest.mark.parametrize(
    ("question", "notes", "first"),
    [
        ("path", ({"path": "out_to_in"}, {"path": "neutral"}), "path"),
        ("face", ({"face_impact": "right"}, {"face_impact": "square"}), "face at impact"),
    ],
)
def test_a_comparison_begun_for_face_or_path_says_that_first(coach, question, notes, first):
    """The start differs, too, and is not what was asked."""
    told = Told(coach)
    station = told.lay()
    ways = [
        {"name": name, "station_id": station, "guided": False, "factors": factors}
        for name, factors in (("as usual", {}), ("wide base", {"set_up": "wide base"}))
    ]
    blocks = told.compare(ways, 8, question, asks=[*notes[0]])
    for block, note, mm in zip(blocks, notes, (30, 0), strict=True):
        told.ruler(block, [mm + off for off in (0, 5, -5, 0, 5, -5, 0, 5)], [note] * 8)
    page = coach.get(f"/lessons/{told.id}/findings")
    assert page["headline"].startswith("“wide base” against “as usual”: " + first), page["headline"]
    compared = coach.get(f"/lessons/{told.id}/comparisons")[0]
    assert first in compared["compared"]["headline"] and compared["question"] == question
