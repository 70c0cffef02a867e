"""As usual and with a wide base in turns, what moved noted, several at once; a length in the golfer's own steps."""

import re

from playwright.sync_api import Page, expect

from ..conftest import choose_rig, own_lesson, shot, under
from .test_pegs_and_string import fill
from .test_plan_carried import step


def test_which_of_two_stances_is_steadier_with_several_parts_that_move(page: Page):
    own_lesson(page, "Restless Golfer", hand="right")
    choose_rig(page, "Ruler board")
    page.get_by_text("Also note").tap()
    page.get_by_role("group", name="Also note of every putt").get_by_role("button", name="Stillness").tap()
    page.get_by_role("button", name="Compare…").tap()
    sheet = page.get_by_role("dialog")
    under(sheet, "Condition 2", "wide base")
    sheet.get_by_label("Putts each", exact=True).fill("6")
    page.keyboard.press("Enter")
    sheet.get_by_role("button", name="Start the comparison").tap()
    note, turn = page.locator("[data-note-step=still]"), page.locator("[data-turn]")
    for _ in range(12):
        expect(turn).to_contain_text("Now: ")
        now = turn.inner_text()
        if "Now: wide base" in now:
            page.get_by_role("button", name="Record on the line").tap()
            note.get_by_role("button", name=re.compile("^nothing")).tap()
        else:
            page.get_by_role("button", name="Record on the line").tap()
            note.get_by_role("button", name="More than one").tap()
            note.get_by_role("button", name=re.compile("^head")).tap()
            note.get_by_role("button", name=re.compile("^knees")).tap()
            note.get_by_role("button", name="Take these").tap()
        expect(note).to_be_hidden()
        expect(turn).not_to_have_text(now)
    expect(page.get_by_role("list", name="Putts, newest first")).to_contain_text("stillness")
    step(page, "Judge")
    page.get_by_role("link", name="One block").tap()
    found = page.locator("[data-compared]").first
    expect(found).to_contain_text(re.compile("Nothing moved in 6 of 6 against 0 of 6, clear"))
    shot(page, "quiet-body")


def test_a_length_is_paced_off_by_a_step_that_is_asked_once(page: Page):
    own_lesson(page, "Pacing Golfer")
    length = page.get_by_label("Ball to hole", exact=True)
    fill(page, "Ball to hole", "5½ steps")
    asked = page.locator("[data-asks-step]")
    expect(asked).to_contain_text("How long is the golfer’s step? Asked once.")
    asked.get_by_role("button", name="The step: more").tap()
    asked.get_by_role("button", name="That is a step").tap()
    expect(asked).to_be_hidden()
    # What it comes to stands there, how many steps that is stands under it, and the drawing has it.
    expect(length).to_have_value("4.4")
    expect(page.get_by_text(re.compile(r"^5\.5 steps\."))).to_be_visible()
    expect(page.locator("[data-stage] svg")).to_have_attribute("aria-label", re.compile("hole 4.40 m away"))
    fill(page, "Ball to hole", "6 steps")
    expect(page.get_by_text(re.compile(r"^6 steps\."))).to_be_visible()
    page.reload()
    fill(page, "Ball to hole", "2 paces")
    expect(asked).to_be_hidden()
    expect(page.locator("[data-stage] svg")).to_have_attribute("aria-label", re.compile("hole 1.60 m away"))
    fill(page, "Ball to hole", "far")
    expect(page.get_by_text("“far” can’t be read. Write metres (2.5), or with another unit")).to_be_visible()
