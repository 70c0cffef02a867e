"""What is in hand, as of a day; photographs of how a golfer stands."""

import io
from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from PIL import Image

from libella.exchange.photo import small_photo
from tests.conftest import now


def noted(coach, golfer, days_ago=0.0, status=(200, 201), **kit):
    since = (datetime.now(UTC) - timedelta(days=days_ago)).isoformat()
    return coach.put(f"/kits/{uuid6.uuid7()}", status, golfer_id=golfer, since=since, **kit)


def test_what_is_in_hand_is_dated_said_by_what_differs_and_stands_in_the_golfers_line(coach):
    golfer = coach.golfer()["id"]
    assert coach.get(f"/golfers/{golfer}/kit")["words"].startswith("What is in hand was not noted yet")
    noted(coach, golfer, 30, putter="Blade", length_m=0.86, ball_mark="line")
    now_ = noted(coach, golfer, 2, putter="Blade", length_m=0.84, ball_mark="two_tone")
    assert now_["words"] == "Putter Blade, length 84 cm, mark on the ball two colours."
    assert [it["words"] for it in now_["history"]] == [
        "Length 84 cm, was 86 cm and mark on the ball two colours, was a line",
        "Putter Blade, length 86 cm and mark on the ball a line",
    ]
    line = coach.get(f"/golfers/{golfer}/line")["changes"]
    assert [it["words"] for it in line] == [it["words"] for it in reversed(now_["history"])]
    # The same again is none; another limit is refused; one taken back leaves the one before.
    assert noted(coach, golfer, status=422, putter="Blade", length_m=0.84, ball_mark="two_tone")["errors"]
    assert noted(coach, golfer, status=422, length_m=3.0)["errors"][0]["limit"]
    back = coach.put(f"/kits/{now_['history'][0]['id']}/voided", voided=True)
    assert back["now"]["length_m"] == 0.86 and len(back["history"]) == 1


def test_every_block_knows_what_was_in_hand(coach):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson)
    assert coach.judged(block["id"])["in_hand"] == ""
    noted(coach, lesson["golfer_id"], 1, putter="Blade")
    assert coach.judged(block["id"])["in_hand"] == "Putter Blade."
    # What came into the hand later was not in it then.
    noted(coach, lesson["golfer_id"], -0.0001, putter="Mallet")
    assert coach.judged(block["id"])["in_hand"] == "Putter Blade."


def photo(size=(2400, 1200), form="JPEG", **more) -> bytes:
    out = io.BytesIO()
    exif = Image.Exif()
    exif[0x0112] = 6
    exif[0x010F] = "Some camera"
    exif.get_ifd(0x8825)[1] = "N"
    Image.new("RGB", size, (90, 140, 90)).save(out, form, **({"exif": exif} if form == "JPEG" else {}), **more)
    return out.getvalue()


def given(client, lesson, content, status=200, id=None, **more):
    query = {"lesson_id": lesson, "taken_at": now()} | more
    answer = client.put(f"/api/photos/{id or uuid6.uuid7()}", params=query, content=content)
    assert answer.status_code == status, answer.text
    return answer.json()


def test_a_photograph_is_made_smaller_upright_and_tells_nothing_but_the_picture(coach, client):
    lesson = coach.lesson()
    kept = given(client, lesson["id"], photo(), seen_from="behind")
    answer = client.get(f"/api/photos/{kept['id']}/picture")
    assert answer.headers["content-type"] == "image/jpeg"
    told = Image.open(io.BytesIO(answer.content))
    assert told.size == (800, 1600) and not told.getexif() and "exif" not in told.info
    assert b"Some camera" not in answer.content
    assert [it["id"] for it in coach.get(f"/golfers/{lesson['golfer_id']}/photos")] == [kept["id"]]
    coach.put(f"/photos/{kept['id']}/voided", voided=True)
    assert coach.get(f"/golfers/{lesson['golfer_id']}/photos") == []


@pytest.mark.parametrize("content", [b"", b"no picture", photo()[:300], b"%PDF-1.7", b"<svg xmlns='x'/>"])
def test_what_is_no_photograph_is_refused(coach, client, content):
    refused = given(client, coach.lesson()["id"], content, 422)
    assert refused["errors"][0]["field"] == "picture" and "JPEG" in refused["errors"][0]["limit"]


def test_other_forms_are_read_and_huge_ones_are_not():
    for form in ("PNG", "WEBP"):
        assert Image.open(io.BytesIO(small_photo(photo((300, 200), form)))).size == (300, 200)
    huge = io.BytesIO()
    Image.new("1", (10_000, 8_000)).save(huge, "PNG")
    with pytest.raises(ValueError, match="photo_too_many_pixels"):
        small_photo(huge.getvalue())


def test_a_photograph_is_taken_from_a_known_side_in_a_lesson_that_goes_on(coach, client):
    lesson = coach.lesson()
    given(client, lesson["id"], photo((30, 30)), 422, seen_from="below")
    coach.put(f"/lessons/{lesson['id']}/end", ended_at=now())
    given(client, lesson["id"], photo((30, 30)), 409)
    assert coach.get(f"/golfers/{lesson['golfer_id']}/photos") == []
