"""What was begun in a lesson goes on: a drill putted there, a round beside practice, what is in hand as of a day, and a
session that feels different."""

import io
import re
from datetime import UTC, datetime, timedelta

import uuid6
from PIL import Image
from playwright.sync_api import Page, expect

from ..conftest import own_lesson
from .test_plan_carried import step


def _own(page: Page, name: str) -> tuple[str, str]:
    own_lesson(page, name)
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    return page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"], lesson


def test_a_drill_is_putted_in_the_lesson_and_what_was_read_scores_it(page: Page):
    _own(page, "Gated Golfer")
    step(page, "Change")
    page.get_by_role("link", name="All drills…").tap()
    page.get_by_role("searchbox", name="Find a drill").fill("Predictive")
    page.get_by_role("button", name="Putt it in this lesson").tap()
    line = page.locator("[data-drill-line]")
    expect(line).to_contain_text("Predictive gate. Goal: At least 7 putts of 10")
    for n in range(10):
        page.locator("[data-zone='clean']").tap()
        expect(page.locator("[data-count]") if n < 9 else page.get_by_text("Planned end")).to_be_visible()
        if n < 9:
            expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 2} ")
    expect(line).to_contain_text("The last run: 10 of 10. Passed")
    expect(line).to_contain_text("Harder: ")


def test_a_round_is_told_in_under_a_minute_and_stands_beside_practice(page: Page):
    golfer, _ = _own(page, "Round Golfer")
    page.goto(f"/golfers/{golfer}")
    page.get_by_role("button", name="Tell a round…").tap()
    sheet = page.get_by_role("dialog")
    for n in range(9):
        sheet.get_by_role("button", name=("2 m", "6 m", "9 m")[n % 3], exact=True).tap()
        sheet.get_by_role("button", name="1" if n % 3 == 0 else "2", exact=True).tap()
        if n % 3 == 1:
            sheet.get_by_role("button", name="Short").tap()
        if n == 4:
            # What was told is there again after a reload.
            page.reload()
            page.get_by_role("button", name="Tell a round…").tap()
        expect(sheet.locator("[data-hole]")).to_have_text(f"Hole {n + 2}")
    sheet.get_by_role("button", name="Keep the round: 9 holes, 15 putts").tap()
    expect(page.locator("[data-played]")).to_have_text("1 round, 9 holes: 15 putts. First putts missed: 3 short.")
    body = {
        "golfer_id": golfer,
        "drill": "ten_without_help",
        "done": [1, 0] * 5,
        "done_at": datetime.now(UTC).isoformat(),
    }
    assert page.request.put(f"/api/drill-runs/{uuid6.uuid7()}", data=body).ok
    page.reload()
    expect(page.locator("[data-made]")).to_contain_text("About 2 m: in practice 5 of 10")
    expect(page.locator("[data-carried]")).to_contain_text("3 putts there, 10 in practice")


def test_what_is_in_hand_has_its_day_and_a_photograph_its_side(page: Page):
    golfer, _ = _own(page, "Kit Golfer")
    step(page, "Stand")
    photo = io.BytesIO()
    Image.new("RGB", (400, 300), (90, 140, 90)).save(photo, "JPEG")
    file = {"name": "stance.jpg", "mimeType": "image/jpeg", "buffer": photo.getvalue()}
    page.get_by_label("A photograph", exact=True).set_input_files(file)
    expect(page.get_by_role("img", name=re.compile("^From behind the ball"))).to_be_visible()
    page.get_by_label("A photograph", exact=True).set_input_files(file | {"buffer": b"none"})
    expect(page.get_by_role("alert")).to_contain_text("no photograph that can be read")
    page.goto(f"/golfers/{golfer}")
    page.get_by_role("button", name="Note what is in hand…").tap()
    sheet = page.get_by_role("dialog")
    sheet.get_by_label("Putter", exact=True).fill("Blade")
    sheet.get_by_label("Length in hand", exact=True).fill("84 cm")
    sheet.get_by_role("radio", name="Two colours").tap()
    sheet.get_by_role("button", name="In hand from now on").tap()
    expect(page.locator("[data-kit]")).to_have_text("Putter Blade, length 84 cm, mark on the ball two colours.")
    page.get_by_text("Since when what").tap()
    page.get_by_role("button", name="Take back").tap()
    expect(page.locator("[data-kit]")).to_contain_text("not noted yet")


def _days_old(page: Page, name: str) -> tuple[str, str]:
    """A golfer with a lesson of some days ago: what is left is told from the first night on."""
    at = (datetime.now(UTC) - timedelta(days=3)).isoformat()
    golfer, lesson = str(uuid6.uuid7()), str(uuid6.uuid7())
    bodies = {
        f"golfers/{golfer}": {"name": name, "hand": "right", "level": "club"},
        f"lessons/{lesson}": {"golfer_id": golfer, "place": "Floor", "green_speed_ft": 10, "started_at": at},
    }
    for path, body in bodies.items():
        answer = page.request.put(f"/api/{path}", data=body)
        assert answer.ok, answer.text()
    page.goto(f"/lessons/{lesson}/set")
    return golfer, lesson


def test_it_feels_different_today_brings_the_check_first_and_then_the_true_line(page: Page):
    golfer, lesson = _days_old(page, "Different Golfer")
    now = datetime.now(UTC).isoformat()
    plan = {"lesson_id": lesson, "minutes": [15, 15], "weeks": 4, "starts_at": now, "made_at": now}
    answer = page.request.put(f"/api/practice-plans/{uuid6.uuid7()}", data=plan)
    assert answer.ok, answer.text()
    page.goto(f"/golfers/{golfer}/practice")
    first = page.locator("[data-item]")
    expect(first).to_have_text("10 putts without any aid, before any other putt.")
    page.get_by_role("button", name="It feels different today…").tap()
    expect(first).to_have_text("Quick check by the card, without a putt.")
    told = page.locator("[data-told]")
    for n, answer in enumerate(("Yes", "No", "Yes")):
        expect(told).to_have_text(f"{n} of 3")
        page.get_by_role("button", name=re.compile(f"^{answer}")).tap()
    # It was off: what a true line looks like, before anything else.
    expect(first).to_have_text("What does a true line look like from there?")
    page.get_by_role("button", name="Leave it out today").tap()
    expect(first).to_have_text("10 putts without any aid, before any other putt.")


def test_from_the_plan_to_the_printed_sheet_is_two_taps(page: Page):
    _, lesson = _days_old(page, "Sheeted Golfer")
    now = datetime.now(UTC).isoformat()
    chosen = {"lesson_id": lesson, "what": "Grip down", "feel": "Short and quiet.", "kind": "stroke", "made_at": now}
    plan = {"lesson_id": lesson, "minutes": [15], "weeks": 4, "starts_at": now, "made_at": now}
    for path, body in (("chosen-changes", chosen), ("practice-plans", plan)):
        answer = page.request.put(f"/api/{path}/{uuid6.uuid7()}", data=body)
        assert answer.ok, answer.text()
    step(page, "Change")
    page.get_by_role("link", name="The sheet to take home…").tap()
    sheet = page.locator("[data-summary]")
    expect(sheet).to_contain_text("Grip down")
    expect(sheet).to_contain_text("Short and quiet.")
    expect(sheet).to_contain_text("10 putts without any aid, before any other putt.")
    page.get_by_label("In your own words").fill("Well done.")
    page.keyboard.press("Tab")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    with page.expect_download() as printed:
        page.get_by_role("button", name="Print it").tap()
    assert printed.value.suggested_filename == "golfers-sheet-a4.pdf"
    page.reload()
    expect(page.get_by_label("In your own words")).to_have_value("Well done.")
