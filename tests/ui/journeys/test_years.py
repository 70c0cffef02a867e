"""Over the years: what was noted is found again, lessons stand beside each other, everything goes out and in."""

import re

from playwright.sync_api import Page, expect

from ..conftest import newest_of_demo, shot


def test_the_logbook_finds_a_lesson_and_sets_two_of_its_golfer_beside_each_other(page: Page):
    page.goto("/")
    page.get_by_role("link", name="Logbook", exact=True).tap()
    page.get_by_role("searchbox", name="Words, or how they begin").fill("greta")
    page.locator("[data-entry=golfer]").first.get_by_role("button", name="Time line").tap()
    page.get_by_role("searchbox", name="Words, or how they begin").fill("")
    page.get_by_role("group", name="Kinds").get_by_role("button", name="Lesson", exact=True).tap()
    lessons = page.locator("[data-entry=lesson]")
    expect(lessons).to_have_count(4)
    expect(page.locator("[data-entry]")).to_have_count(4)
    # Each says what its own page says.
    first = lessons.first.get_by_role("link").first.get_attribute("href")
    assert first is not None
    told = page.request.get(f"/api{first.removesuffix('/judge')}/findings").json()["headline"]
    expect(lessons.first).to_contain_text(told)
    beside = page.get_by_role("button", name=re.compile("the lesson of"))
    beside.first.tap()
    beside.last.tap()
    expect(page.locator("[data-beside] [data-headline]")).to_be_visible()
    expect(page.locator("[data-beside]")).to_contain_text("From ")
    shot(page, "logbook-tablet")


def test_everything_of_a_golfer_goes_out_as_one_file_and_comes_in_again(page: Page, tmp_path):
    golfer, _ = newest_of_demo(page, "Pell")
    page.goto(f"/archive?golfer={golfer}")
    page.get_by_role("button", name="Everything of Pell").tap()
    saving = page.locator("[data-made]").get_by_role("link")
    with page.expect_download() as saved:
        saving.tap()
    assert saved.value.suggested_filename == "libella-pell-marchetti-oduya-invented-demo.zip"
    whole, damaged = tmp_path / "whole.zip", tmp_path / "damaged.zip"
    saved.value.save_as(whole)
    damaged.write_bytes(whole.read_bytes()[:-300])
    page.locator("input[type=file]").set_input_files(damaged)
    expect(page.locator("[data-refused]")).to_contain_text("no ZIP file, or its end is missing")
    page.locator("input[type=file]").set_input_files(whole)
    given = page.locator("[data-given]")
    expect(given).to_contain_text("nobody in it is real")
    page.get_by_role("button", name="Take it in").tap()
    expect(given).to_contain_text("Nothing in it is new here.")
    shot(page, "archive-tablet")


def test_what_is_due_stands_on_today_and_help_opens_at_its_place(page: Page):
    due = [
        {
            "kind": "retest", "since": "2026-01-05T10:00:00Z", "golfer_id": newest_of_demo(page, "Wim")[0],
            "golfer": "Wim Adeyari", "lesson_id": newest_of_demo(page, "Wim")[1], "words": "Retest “Aim over a spot”.",
        }
    ]  # fmt: skip
    page.route("**/api/due", lambda route: route.fulfill(json=due))
    page.goto("/")
    listed = page.locator("[data-due-list]")
    expect(listed).to_contain_text("Retest “Aim over a spot”.")
    listed.get_by_role("link").tap()
    expect(page.get_by_role("heading", name="Wim Adeyari")).to_be_visible()
    page.get_by_role("link", name="Help with this screen").tap()
    expect(page).to_have_url(re.compile("/guide#golfer$"))
    expect(page.locator("#golfer")).to_be_in_viewport()
