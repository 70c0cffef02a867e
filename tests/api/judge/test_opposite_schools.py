"""The readings of five journeys, under coaches of opposite schools: other advice, the same measured numbers."""

import pytest

from ...core.see.test_perception import Seer
from ..see.test_eyes import keep
from ..see.test_sights import directions
from .lessons import Told


def string_and_eyes(told: Told) -> None:
    """J1: eyes well inside the line, marked; putts along a proved line."""
    for inside in (0.026, 0.031, 0.028):
        keep(told.coach, {"id": told.id}, inside=inside)
    block = told.block(told.lay(), 8, ["strike"])
    told.ruler(block, [0, -5, 5, 0, 5, 0, 0, 5], [{"strike": "middle"}] * 8)


def square_edge(told: Told) -> None:
    """J3: the face stands open, alike each time, and the putts start on line."""
    block = told.block(told.lay(), 14)
    told.ruler(block, [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0])
    told.angles("face", [1.2, 1.3, 1.2, 1.1, 1.2, 1.3, 1.2, 1.2, 1.1, 1.2])


def pegs_for_putter_and_ball(told: Told) -> None:
    """J9: struck towards the heel, starting left."""
    block = told.block(told.lay(), 14, ["strike"])
    told.ruler(block, [-35, -30, -35, -35, -30, -35, -30, -40, -30, -35, -35, -30, -35, -30], [{"strike": "heel"}] * 14)


def near_spot_or_line(told: Told) -> None:
    """J10: the face aims right and the ball starts there."""
    told.angles("face", [1.7, 1.7, 1.8, 1.7, 1.6, 1.7, 1.7, 1.7])
    block = told.block(told.lay(), 16)
    told.ruler(block, [25, 25, 25, 25, 25, 30, 25, 25, 25, 25, 25, 25, 30, 25, 25, 25])


def perception_search(told: Told) -> None:
    """J11: a rod must point right to look straight, and the face is set down there."""
    told.lay()
    test = directions(
        told.coach, Seer(1.5, noise=0.3, seed=3), 20, {"id": told.id}, id="01900000-0000-7000-8000-000000000003"
    )
    told.coach.put(f"/sight-tests/{test['test']['id']}/shown")
    told.angles("face", [1.5, 1.4, 1.6, 1.5, 1.5, 1.4, 1.6, 1.5])


JOURNEYS = {
    "J1": (string_and_eyes, {"eyes": ("over", "inside")}),
    "J3": (square_edge, {"face_at_address": ("square", "may_stay")}),
    "J9": (pegs_for_putter_and_ball, {"gate": ("near", "far")}),
    "J10": (near_spot_or_line, {"cue": ("line", "spot")}),
    "J11": (perception_search, {"picture_cure": ("move", "near_spot")}),
}


def measured(told: Told) -> list[tuple]:
    """Where readings lie, how they scatter, of how many: no school moves that."""
    read = told.coach.get(f"/lessons/{told.id}/findings")["read"]
    vials = [
        (it["key"], it["count"], it["vial"] and (it["vial"]["bubble_at"], it["vial"]["bubble_low"])) for it in read
    ]
    eyes = told.coach.get(f"/lessons/{told.id}/eyes")["found"]
    return [*sorted(vials), eyes and eyes["inside"]]


def advised(told: Told) -> list:
    """What is said of the eyes and of every finding, which changes are offered in which order, and which rig is."""
    get, id = told.coach.get, told.id
    wanted = {"measures": "start", "distance_m": 3.1, "past_m": 0.35, "green_speed_ft": 10, "golfer": told.golfer}
    findings = get(f"/lessons/{id}/findings")
    offers = get(f"/lessons/{id}/change")["offers"]
    return [
        get(f"/lessons/{id}/eyes")["words"],
        [(it["cause"], it["words"]) for it in findings["first"] + findings["more"]],
        [(it["cause"], [one["code"] for one in it["proposals"]]) for it in offers],
        [(it["kind"], it["sizes"]) for it in told.coach.client.post("/api/stations/propose", json=wanted).json()],
    ]


@pytest.mark.parametrize("journey", JOURNEYS)
def test_a_journey_ends_in_other_advice_and_the_same_numbers_under_opposite_schools(coach, journey):
    record, schools = JOURNEYS[journey]
    told = Told(coach)
    record(told)
    numbers, advice = [], []
    for n in (0, 1):
        for disagreement, sides in schools.items():
            coach.put(f"/schools/{disagreement}", school=sides[n])
        numbers.append(measured(told))
        advice.append(advised(told))
    assert numbers[0] == numbers[1] and numbers[0]
    assert advice[0] != advice[1], advice[0]
    # What decided it can be opened, and tells its rival.
    held = coach.get(f"/lessons/{told.id}/schools")["disagreements"]
    for disagreement, sides in schools.items():
        it = next(one for one in held if one["code"] == disagreement)
        assert it["held"] == sides[1] and {one["code"] for one in it["schools"]} > {sides[1]}
