"""What golfers agreed to: asked, dated, withdrawn; a minor's guardian answers, and what was refused is not done."""

import uuid6

from ...conftest import Coach, now
from ..golfer.test_kit import given, photo


def say(coach: Coach, golfer: dict, asks: str, said: bool, by: str = "golfer", status=200, **more):
    body = {"golfer_id": golfer["id"], "asks": asks, "given": said, "by": by, "said_at": now()} | more
    return coach.put(f"/consents/{more.pop('id', uuid6.uuid7())}", status, **body)


def stands(coach: Coach, golfer: dict) -> dict:
    return {it["asks"]: it["given"] for it in coach.get(f"/golfers/{golfer['id']}/consents")["asked"]}


def test_nothing_is_agreed_to_before_it_was_asked_and_the_newest_answer_counts(coach):
    golfer = coach.golfer("Ada Agrees")
    assert stands(coach, golfer) == dict.fromkeys(("keeping", "filming", "sharing", "pooling"))
    say(coach, golfer, "filming", True)
    assert stands(coach, golfer)["filming"] is True
    told = say(coach, golfer, "filming", False)
    says = next(it["says"] for it in told["asked"] if it["asks"] == "filming")
    assert says.startswith("Not agreed, or withdrawn, by the golfer")
    # One that was given earlier and arrives later, from a device without a network, takes no newer one's place.
    say(coach, golfer, "filming", True, said_at="2020-01-01T10:00:00Z")
    assert stands(coach, golfer)["filming"] is False


def test_a_minor_s_guardian_answers_until_of_age_and_anybody_may_withdraw(coach):
    golfer = coach.golfer("Bea Minor")
    say(coach, golfer, "keeping", True, "guardian")
    assert coach.get(f"/golfers/{golfer['id']}/consents")["minor"]
    refused = say(coach, golfer, "filming", True, status=409)
    assert "guardian answers" in refused["detail"]
    say(coach, golfer, "filming", True, "guardian")
    say(coach, golfer, "filming", False)
    assert stands(coach, golfer)["filming"] is False
    say(coach, golfer, "keeping", True)
    assert not coach.get(f"/golfers/{golfer['id']}/consents")["minor"]
    say(coach, golfer, "filming", True)
    assert stands(coach, golfer) == {"keeping": True, "filming": True, "sharing": None, "pooling": None}


def test_nobody_is_photographed_who_refused(coach):
    golfer = coach.golfer("Cy Unseen")
    lesson = coach.lesson(golfer["id"])
    say(coach, golfer, "filming", False)
    told = given(coach.client, lesson["id"], photo((400, 300)), 409, seen_from="behind")
    assert "not agreed to be photographed" in told["detail"]
    say(coach, golfer, "filming", True)
    given(coach.client, lesson["id"], photo((400, 300)), seen_from="behind")
