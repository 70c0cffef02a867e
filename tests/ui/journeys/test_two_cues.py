"""Near spot or whole line: two cues compared in turns by their aim; a tool checked by itself; a faulty plan kept."""

import re

from playwright.sync_api import Page, expect

from ..conftest import own_lesson, shot
from .test_plan_carried import step


def read_angle(page: Page, degrees: float) -> None:
    page.get_by_label("Angle", exact=True).fill(str(degrees))
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Record it").click()


def test_two_cues_are_compared_in_turns_by_their_aim_and_one_list_names_the_set_ups(page: Page):
    own_lesson(page, "Two Cues Golfer")
    step(page, "Aim")
    page.get_by_role("radio", name="Putter against the mark").click()
    page.get_by_role("radio", name="Something else…").click()
    page.get_by_role("textbox", name="Something else").fill("grip down")
    page.keyboard.press("Enter")
    # What it is that differs is chosen, the name decides nothing.
    page.get_by_role("radio", name="Set-up", exact=True).click()
    page.get_by_label("Set-downs to the verdict", exact=True).fill("4")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Compare…").click()
    page.get_by_role("button", name="line and near spot, in turns").click()
    turn = page.locator("[data-turn]")
    for way, angle in (("line", 0), ("line", 0), *[("near spot", 3)] * 4, ("line", 0), ("line", 0)):
        expect(turn).to_contain_text(f"Now: {way}")
        read_angle(page, angle)
    found = page.locator("[data-aim-turns]")
    expect(found).to_contain_text("All set-downs of this comparison are in.")
    expect(found).to_contain_text(re.compile("“near spot” against “line”: .* further right"))
    # The aim was read against the mark on the ball: nobody asked for another.
    expect(found).not_to_contain_text("was not read in both")
    shot(page, "two-cues")
    # The name typed here is offered in every other step.
    step(page, "Set")
    page.locator("[data-under]").click()
    expect(page.get_by_role("radio", name="grip down")).to_be_visible()
    step(page, "See")
    page.get_by_role("radio", name="Where the eyes are").click()
    expect(page.get_by_role("radio", name="grip down")).to_be_visible()


def test_a_reference_is_checked_by_turning_it_over_and_that_is_put_right(page: Page):
    own_lesson(page, "True Golfer")
    step(page, "Aim")
    page.get_by_role("radio", name="Square reference").click()
    tool = page.locator("[data-tool=square_reference]")
    expect(tool).to_contain_text("Not checked in this lesson")
    tool.get_by_role("button", name="Is it true?…").click()
    sheet = page.get_by_role("dialog")
    for n in range(2):
        row = sheet.get_by_role("listitem").nth(n)
        row.get_by_label("Near end to the mark", exact=True).fill("0.5 m")
        page.keyboard.press("Enter")
        row.get_by_label("Lies to the right by", exact=True).fill("-10 mm")
        page.keyboard.press("Enter")
    sheet.get_by_role("button", name="Judge by this check").click()
    expect(tool).to_contain_text("by itself it points 0.57°")
    tool.get_by_role("button", name="Drop the check").click()
    expect(tool).to_contain_text("Not checked in this lesson")


def test_a_plan_that_cannot_be_laid_is_there_again_when_it_is_come_back_to(page: Page):
    own_lesson(page, "Faulty Golfer")
    page.get_by_role("tab", name="Rig").click()
    page.get_by_label("Ball to board", exact=True).fill("2.9 m")
    page.keyboard.press("Enter")
    expect(page.get_by_role("tab", name=re.compile("Rig ✕|✕"))).to_be_visible()
    step(page, "Stand")
    step(page, "Set")
    page.get_by_role("tab", name=re.compile("Rig")).click()
    expect(page.get_by_label("Ball to board", exact=True)).to_have_value("2900")
