"""Plans that would read alike say what differs, wherever a lesson names them; others say no more than before."""


def gate(coach, lesson, width, **more):
    sizes = {"distance_m": 0.5, "inside_width_m": width, "post_m": 0.005}
    return coach.station(lesson, "peg_gate", rig_sizes_m=sizes, **more)


def test_two_gates_of_another_width_are_told_apart_in_every_list(coach):
    lesson = coach.lesson()["id"]
    wide, tight = gate(coach, lesson, 0.076), gate(coach, lesson, 0.054)
    block = coach.block(station_id=tight["id"])
    sheet = coach.get(f"/lessons/{lesson}", units="feet")
    said = {it["id"]: it["words"] for it in sheet["stations"]}
    assert said[wide["id"]] != said[tight["id"]] and "inside width 3 in" in said[wide["id"]]
    assert "2 1/8 in" in said[tight["id"]] and "past" not in said[tight["id"]]
    [one] = [it for it in sheet["blocks"] if it["id"] == block["id"]]
    assert one["station"] == said[tight["id"]]


def test_a_plan_alone_says_no_more_than_before(coach):
    lesson = coach.lesson()["id"]
    gate(coach, lesson, 0.076)
    [only] = coach.get(f"/lessons/{lesson}")["stations"]
    assert only["words"].endswith("at 50 cm")
