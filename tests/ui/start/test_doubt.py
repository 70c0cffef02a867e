"""What is said of one putt or answer, and words of the job: by tap and by key, kept and told."""

import re

from playwright.sync_api import Page, expect

from ..conftest import own_lesson
from .test_main_flow import start_block


def test_a_putt_is_doubted_and_counts_less_and_that_is_said_where_it_is_judged(page: Page):
    own_lesson(page, "Doubting Golfer")
    start_block(page, putts=4)
    for n in range(4):
        page.locator("[data-zone='clean']").tap()
        expect(page.locator("[data-count]") if n < 3 else page.get_by_text("Planned end")).to_be_visible()
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.keyboard.press("v")
    sheet = page.get_by_role("dialog")
    sheet.get_by_role("button", name="talked through: counts a half").tap()
    expect(sheet).to_be_hidden()
    putts = page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")
    expect(putts.first.locator("[data-flagged]")).to_contain_text("talked through")
    # Said of another putt that it counts not at all: that one is struck through, the doubted one is not.
    page.get_by_role("button", name="Putt 3, clean: doubt it").tap()
    sheet.get_by_role("button", name="restarted").tap()
    expect(putts.nth(1).get_by_role("button", name="Restore")).to_be_visible()
    page.keyboard.press("j")
    expect(page.get_by_text("One is flagged and counts as 0.5 of a reading, an opinion.")).to_be_visible()


def test_a_block_is_called_otherwise_and_its_cue_said_while_it_runs(page: Page):
    own_lesson(page, "Calling Golfer")
    start_block(page)
    page.get_by_role("button", name="More of this block").tap()
    sheet = page.get_by_role("dialog")
    sheet.get_by_role("textbox", name="This block is called").fill("two looks, blank ball")
    page.keyboard.press("Tab")
    sheet.get_by_role("radio", name="two looks").tap()
    expect(sheet.get_by_role("radio", name="two looks")).to_be_checked()
    page.keyboard.press("Escape")
    expect(page.get_by_role("link", name=re.compile("two looks, blank ball")).last).to_be_visible()
    lesson = page.request.get(f"/api/lessons/{page.url.split('/lessons/')[1].split('/')[0]}").json()
    assert [(it["condition"], it["factors"]) for it in lesson["blocks"]] == [
        ("two looks, blank ball", {"routine": "two looks"})
    ]


def test_a_word_of_the_job_opens_by_a_tap_and_gives_the_focus_back(page: Page):
    own_lesson(page, "Wondering Golfer")
    start_block(page, "Ruler board", putts=3)
    for n in range(3):
        page.keyboard.press("0")
        expect(page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")).to_have_count(n + 1)
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.keyboard.press("j")
    word = page.locator("main").get_by_role("button", name=re.compile("^windows?$")).first
    word.focus()
    page.keyboard.press("Enter")
    sheet = page.get_by_role("dialog")
    expect(sheet).to_contain_text("The starts that still hole the putt")
    expect(sheet.locator("[data-term=window] svg")).to_be_visible()
    page.keyboard.press("Escape")
    expect(sheet).to_have_count(0)
    expect(word).to_be_focused()
    # All of them stand behind the question mark.
    page.keyboard.press("?")
    sheet.get_by_role("button", name="Compensation", exact=True).tap()
    expect(page.locator("[data-term=compensation]")).to_be_visible()


def test_the_head_is_moved_by_keys_and_an_eye_shut_by_one(page: Page):
    own_lesson(page, "Keyed Head", hand="left")
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^See")).click()
    page.get_by_role("radio", name="What looks straight").click()
    place = page.locator("[data-place]")
    expect(place).to_have_text("As usual")
    page.locator("[data-part=head]").focus()
    # A left-hander stands below the line here: down the page is further in.
    page.keyboard.press("ArrowDown")
    page.keyboard.press("ArrowDown")
    expect(place).to_have_text("10 mm further in")
    page.keyboard.press("ArrowRight")
    expect(place).to_have_text("10 mm further in, 5 mm further ahead")
    page.get_by_role("button", name="Left eye, open").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Left eye, shut")).to_be_visible()
    page.get_by_role("button", name="Begin asking").click()
    expect(page.get_by_text(re.compile("10 mm further in.*right eye alone"))).to_be_visible()
