"""Teaching drawings over the wire: with a lesson's own numbers, and refused in words where a lever can't stand."""

from ..judge.test_findings import putted


def test_every_drawing_comes_with_the_lessons_own_numbers_and_a_picture_for_each_place(coach):
    lesson = coach.lesson()
    putted(coach, lesson, [0.03 + 0.005 * (n % 3 - 1) for n in range(12)])
    bias = coach.get(f"/lessons/{lesson['id']}/findings")["links"][-1]["vial"]["bubble_at"]
    for one in coach.get("/teaching"):
        found = coach.get(f"/lessons/{lesson['id']}/teaching/{one['code']}")
        assert found["name"] == one["name"]
        for lever, moved in zip(found["levers"], found["moved"], strict=True):
            assert lever["code"] == moved["lever"]
            values = [frame["value"] for frame in moved["frames"]]
            assert values[0] == lever["low"] and values[-1] == lever["high"] and lever["value"] in values
            if lever["code"] == "bias":
                assert abs(lever["value"] - bias) <= lever["step"]
                assert "where the starts lie" in found["own"]


def test_moved_levers_stand_where_they_were_let_go_and_others_are_drawn_with_them(coach):
    lesson = coach.lesson()
    found = coach.get(f"/lessons/{lesson['id']}/teaching/cost", stand=["bias:2.0", "distance:1.0"])
    at = {it["code"]: it["value"] for it in found["levers"]}
    assert (at["bias"], at["distance"]) == (2.0, 1.0)
    spread = next(it for it in found["moved"] if it["lever"] == "spread")
    assert all(frame["told"][0].startswith("At 1.00 m") for frame in spread["frames"])


def test_a_lever_that_is_none_or_stands_too_far_is_refused_in_words(coach):
    id = coach.lesson()["id"]
    coach.get(f"/lessons/{id}/teaching/clouds", 404)
    far = coach.get(f"/lessons/{id}/teaching/cost", 422, stand=["bias:9"])
    assert "-3" in far["detail"] + far["remedy"] or "−3" in far["detail"] + far["remedy"]
    assert "clouds" in coach.get(f"/lessons/{id}/teaching/cost", 422, stand=["clouds:1"])["detail"]
    coach.get(f"/lessons/{id}/teaching/cost", 404, stand=["bias"])
