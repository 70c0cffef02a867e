"""Opinions by tap: of whom, another number, what it would change, held, told where it counts, as it stands again."""

import re

from playwright.sync_api import Page, expect

from .conftest import own_lesson
from .start.test_main_flow import start_block, zone


def test_an_opinion_is_held_of_one_golfer_after_seeing_what_it_changes(page: Page):
    own_lesson(page, "Opinion Golfer")
    lesson = page.url.split("/")[-2]
    start_block(page, putts=7)
    for n, side in enumerate(
        (
            "touched the right post",
            "touched the right post",
            "clean",
            "touched the right post",
            "touched the right post",
            "clean",
            "touched the right post",
        ),
        1,
    ):
        zone(page, side).click()
        if n < 7:
            expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    golfer = page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"]
    before = page.request.get(f"/api/lessons/{lesson}/findings").json()["headline"]
    page.goto("/opinions")
    page.get_by_role("button", name="One golfer…").click()
    page.get_by_role("searchbox", name="Find a golfer").fill("Opinion Golfer")
    page.get_by_role("dialog").get_by_role("button", name="Opinion Golfer", exact=True).click()
    expect(page).to_have_url(re.compile(f"golfer={golfer}$"))
    expect(page.get_by_text("All as they stand.")).to_be_visible()
    page.get_by_role("button", name=re.compile("^Where starts lie before any was read")).click()
    sheet = page.get_by_role("dialog")
    hold = sheet.get_by_role("button", name="Hold it so of Opinion Golfer")
    expect(hold).to_be_disabled()
    less = sheet.get_by_role("button", name="Its standard deviation: less")
    for _ in range(18):
        less.click()
    expect(sheet.get_by_role("textbox", name="Its standard deviation")).to_have_value("0.2")
    sheet.get_by_role("button", name="See what it changes").click()
    expect(sheet.locator("[data-changes]")).to_contain_text("would be said otherwise", timeout=20_000)
    expect(sheet.locator("[data-changes]")).to_contain_text("Now: ")
    assert page.request.get(f"/api/lessons/{lesson}/findings").json()["headline"] == before
    hold.click()
    expect(sheet).to_contain_text("Of Opinion Golfer: its standard deviation: 0.2°")
    page.keyboard.press("Escape")
    expect(page.get_by_text("1 held otherwise than it stands.")).to_be_visible()
    # It is said where it counts, and of nobody else.
    page.goto(f"/lessons/{lesson}/judge")
    page.get_by_role("button", name=re.compile("^Why")).first.click()
    expect(page.get_by_role("dialog").locator("[data-held]")).to_contain_text("standard deviation 0.2°")
    page.goto("/opinions")
    expect(page.get_by_text("All as they stand.")).to_be_visible()
    page.goto(f"/opinions?golfer={golfer}")
    page.get_by_role("button", name=re.compile("^Where starts lie before any was read")).click()
    sheet.get_by_role("button", name="As it stands again").click()
    expect(sheet.get_by_role("button", name="As it stands again")).not_to_be_attached()
    expect(sheet).to_contain_text("Of Opinion Golfer: as it stands")
    assert page.request.get(f"/api/lessons/{lesson}/findings").json()["headline"] == before
