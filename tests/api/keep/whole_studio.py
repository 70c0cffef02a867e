"""A studio in which every table holds something: what an archive is to bring out and in again."""

import uuid6

from tests.api.change.test_changes import aimed_right, chosen, retested
from tests.api.change.test_course import played
from tests.api.change.test_practice import planned, run
from tests.api.golfer.test_kit import given as photographed
from tests.api.golfer.test_kit import photo
from tests.api.judge.lessons import Told
from tests.api.see.test_eyes import look
from tests.api.set.test_saved import save
from tests.api.set.test_tool_checks import check, turned
from tests.api.start.test_sensors import paired, stroke, tell
from tests.conftest import Coach, now

from .test_imports import give, read, take, use

FILE = "start\n0.5\n-0.2\n=1+1\n"


def fill(coach: Coach) -> dict:
    """Fill it; gives the ids of two golfers."""
    first, other = coach.golfer("Åse “Quote” Long-Name", notes="=1+1, <b>so</b> said"), coach.golfer("Bo Other")
    coach.put("/bag", parts={"ball": 3})
    coach.put("/schools/pace", school="die")
    coach.put(f"/golfers/{first['id']}/schools/eyes", school="over")
    read_twice = f"/second-readings/{uuid6.uuid7()}"
    coach.put(read_twice, thing="strike", by="=Ada", values=[1, 2, 3, 4, 5], at=now())
    coach.put(f"{read_twice}/second", by="Bo", values=[1, 2, 3, 5, 9], at=now())
    coach.put(f"/opinions/{uuid6.uuid7()}", opinion="likely", numbers={"": 0.82})
    own = {"opinion": "start_prior", "numbers": {"bias_sd": 1.8}, "golfer_id": first["id"]}
    coach.put(f"/opinions/{uuid6.uuid7()}", **own)
    agreed = {"golfer_id": first["id"], "asks": "keeping", "given": True, "by": "guardian", "said_at": now()}
    coach.put(f"/consents/{uuid6.uuid7()}", **agreed)
    save(coach, "Narrow gate")
    told = ("links", "cost", "lost_inside")
    levels = {it["level"]: {name: it[name] for name in told} for it in coach.get("/link-bands")["levels"]}
    coach.put(f"/link-bands/{uuid6.uuid7()}", levels=levels)
    own = {"copied_from": "clean_roll", "name": "Marble", "times": 6, "minutes": 2, "goal": "count", "goal_size": 5}
    drill = str(uuid6.uuid7())
    coach.put(f"/drills/{drill}", **own)
    sensor = _lesson(coach, first["id"], drill)
    twice = coach.golfer("Åse Long", notes="=typed in a hurry")
    coach.put(f"/handovers/{uuid6.uuid7()}", former_id=twice["id"], golfer_id=first["id"])
    _putted(coach, first["id"])
    # The sensor goes on to the other golfer.
    lesson = coach.lesson(other["id"])
    block = coach.block(lesson=lesson)
    coach.putt(block["id"], {"offset_m": 0.01})
    coach.put(f"/sensors/{sensor}/lesson", lesson_id=lesson["id"])
    given = give(coach, first, FILE)
    mapping = given["mapping"] | {"columns": [use(0, "start_deg")]}
    assert read(coach, given | {"mapping": mapping})["bad"] == 1
    take(coach, given["id"], skip_bad=True)
    return {"first": first["id"], "other": other["id"], "drill": drill}


def _lesson(coach: Coach, golfer: str, drill: str) -> str:
    told, station = aimed_right(coach, golfer)
    lesson, here = {"id": told.id}, {"lesson_id": told.id}
    coach.put(f"/lessons/{told.id}/complaint", misses=["right"], from_m=2.0, said="=cut, <script>")
    change = chosen(coach, told.id)
    retested(told, station, change, 20, 2)
    planned(coach, told.id)
    run(coach, golfer, drill, [1] * 5 + [0])
    played(coach, golfer)
    coach.put(f"/kits/{uuid6.uuid7()}", golfer_id=golfer, since=now(), putter="Long one")
    photographed(coach.client, told.id, photo((400, 300)), seen_from="behind")
    check(coach, lesson, "square_reference", **turned(-0.004))
    coach.put(f"/set-ups/{uuid6.uuid7()}", **here, values={"stance_m": 0.3}, taken_at=now())
    coach.put(f"/eye-takes/{uuid6.uuid7()}", **here, **look(), taken_at=now())
    coach.put(f"/first-looks/{uuid6.uuid7()}", **here, lever="chin", looks="left", taken_at=now())
    test = coach.put(f"/sight-tests/{uuid6.uuid7()}", **here, started_at=now())["test"]["id"]
    raw = {"true_deg": 1.0, "looks": "left"}
    coach.put(f"/sight-trials/{uuid6.uuid7()}", test_id=test, raw=raw, taken_at=now())
    card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", **here, note="as it was", kept_at=now())["id"]
    coach.put(f"/quick-checks/{uuid6.uuid7()}", **here, card_id=card, taken_at=now())
    finding = coach.get(f"/lessons/{told.id}/findings")["first"][0]["cause"]
    answer = {"cause": finding, "answer": "accepted", "answered_at": now()}
    coach.put(f"/finding-answers/{uuid6.uuid7()}", **here, **answer)
    sensor, head = paired(coach, lesson)
    tell(coach, head, *({**stroke(""), "kind": "still", "measures": {"face_deg": 0.1 + 0.01 * n}} for n in range(6)))
    coach.put(f"/sensor-zeros/{uuid6.uuid7()}", sensor_id=sensor)
    block = told.block(station, 4)
    putt = told.putt(block, {"offset_m": 0.01})
    tell(coach, head, stroke("a", now(), face_impact_deg=0.3, path_deg=-0.5))
    coach.put(f"/stroke-taps/{uuid6.uuid7()}", sensor_id=sensor, tapped_at=now())
    coach.put(f"/readings/{putt}/voided", reason="talked")
    wrong = {"of": "plan", "about_id": told.lay("peg_gate"), "sizes": [{}, {"inside_width_m": 0.075}]}
    coach.put(f"/corrections/{uuid6.uuid7()}", **wrong, why="=read off the wrong edge")
    return sensor


def _putted(coach: Coach, golfer: str) -> None:
    """Two lines of one golfer, joined."""
    for days, condition in ((9, "as usual"), (5, "wide base")):
        told = Told(coach, golfer, days_ago=days)
        factors = {} if condition == "as usual" else {"set_up": condition}
        told.ruler(told.block(told.lay(), 6, condition=condition, factors=factors), [10, 5, 15, 0, 10, 5])
    keys = [it["key"] for it in coach.get(f"/golfers/{golfer}/line")["lines"] if it["key"].startswith("start")][:2]
    coach.put(f"/line-joins/{uuid6.uuid7()}", golfer_id=golfer, first=keys[0], second=keys[1], made_at=now())
