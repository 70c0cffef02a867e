"""A golfer who signs in himself: what was released to him, and nothing else."""

import uuid6

from tests.api.change.test_changes import aimed_right, chosen
from tests.api.change.test_practice import planned

from ...conftest import now


def released(coach, lesson: str, is_so: bool = True, status: int = 200):
    return coach.put(f"/lessons/{lesson}/released", status, released=is_so)


def test_a_golfer_sees_the_sheets_plan_and_cards_of_released_lessons_and_no_others(floor):
    owner = floor.first()
    told, _ = aimed_right(owner, owner.golfer("Mine")["id"])
    mine = owner.get(f"/lessons/{told.id}")["golfer"]["id"]
    chosen(owner, told.id)
    planned(owner, told.id)
    owner.put(f"/set-ups/{uuid6.uuid7()}", lesson_id=told.id, values={"stance_m": 0.3}, taken_at=now())
    owner.put(f"/set-up-cards/{uuid6.uuid7()}", lesson_id=told.id, note="tall", kept_at=now())
    later = owner.lesson(mine)["id"]
    other = owner.lesson(owner.golfer("Somebody Else")["id"])["id"]
    released(owner, other)
    golfer = floor.person("golfer", "Golfer", mine)
    nothing = golfer.get("/mine")
    assert not nothing["sheets"] and nothing["plan"] is None and not nothing["cards"]
    # What is not released is told as what is not there.
    assert golfer.get(f"/mine/sheets/{told.id}", 404) == golfer.get(f"/mine/sheets/{other}", 404)
    since = released(owner, told.id)["released_at"]
    assert released(owner, told.id)["released_at"] == since
    seen = golfer.get("/mine")
    assert [it["lesson_id"] for it in seen["sheets"]] == [told.id]
    assert seen["plan"]["lesson_id"] == told.id and [it["note"] for it in seen["cards"]] == ["tall"]
    assert golfer.get(f"/mine/sheets/{told.id}") == owner.get(f"/lessons/{told.id}/summary")
    assert golfer.client.get(f"/api/mine/sheets/{told.id}/paper").content.startswith(b"%PDF")
    for hidden in (later, other):
        golfer.get(f"/mine/sheets/{hidden}", 404)
        golfer.get(f"/mine/sheets/{hidden}/paper", 404)
    golfer.get(f"/lessons/{told.id}/summary", 403)
    released(owner, told.id, False)
    golfer.get(f"/mine/sheets/{told.id}", 404)
    assert not golfer.get("/mine")["sheets"]


def test_an_account_goes_with_its_golfer_and_is_signed_out_by_it(floor):
    owner = floor.first()
    one, other = owner.golfer("Fay Gone"), owner.golfer("Gus Stays")
    gone, stays = floor.person("golfer", "Fay", one["id"]), floor.person("golfer", "Gus", other["id"])
    gone.get("/mine")
    owner.put(f"/removals/{uuid6.uuid7()}", golfer_id=one["id"], name="Fay Gone")
    gone.get("/mine", 401)
    stays.get("/mine")
    told = {it["account"]["name"]: it["golfer"] for it in owner.get("/accounts")["accounts"]}
    assert "Fay" not in told and told["Gus"] == "Gus Stays"


def test_a_voided_lesson_is_released_to_nobody_and_only_a_golfer_has_pages_of_his_own(floor):
    owner = floor.first()
    lesson = owner.lesson()
    golfer = floor.person("golfer", "Golfer", lesson["golfer_id"])
    released(owner, lesson["id"])
    released(floor.person("assistant", "Hand"), lesson["id"], False, status=403)
    assert len(golfer.get("/mine")["sheets"]) == 1
    owner.put(f"/lessons/{lesson['id']}/voided", voided=True, reason="a trial")
    assert not golfer.get("/mine")["sheets"]
    golfer.get(f"/mine/sheets/{lesson['id']}", 404)
    released(owner, lesson["id"], status=409)
    owner.get("/mine", 404)
