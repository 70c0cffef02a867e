"""Pegs for the putter and pegs for the ball, by touch; a string above the line in feet, then a putt that breaks."""

import re

from playwright.sync_api import Page, expect

from ..conftest import choose_rig, own_lesson, shot
from ..start.test_main_flow import zone
from .test_plan_carried import step


def fill(page: Page, name: str, value: object) -> None:
    page.get_by_label(name, exact=True).first.fill(str(value))
    page.keyboard.press("Enter")


def lay_beside(page: Page, name: str, know: str) -> None:
    page.get_by_role("tab", name=re.compile("Beside it")).click()
    page.get_by_role("button", name="Lay something with it…").click()
    sheet = page.get_by_role("dialog")
    # The sheet has come to its size: nothing moves away under the tap.
    expect(sheet.locator("[data-proposal]").first).to_be_visible()
    sheet.get_by_role("radio", name=know).click()
    sheet.get_by_role("button", name=re.compile(rf"^(Use it|Lay it too): {name}")).click()
    expect(sheet).to_be_hidden()


def test_a_putter_gate_and_a_ball_gate_are_both_in_one_putts_entry_by_touch(page: Page):
    own_lesson(page, "Two Gates Golfer")
    fill(page, "Ball to hole", "3.1 m")
    choose_rig(page, "Gate of pegs")
    lay_beside(page, "Putter gate of pegs", "Where it is struck")
    # What lies there is noted without being asked for.
    expect(page.locator("summary", has_text="Also note")).to_contain_text("Putter gate of pegs")
    page.get_by_role("button", name="Start block").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    for n in range(6):
        # Two taps a putt: the ball's gate, then the putter's.
        zone(page, "touched the left post").tap()
        page.locator("[data-note-step='aid:putter_gate']").get_by_role("button", name="touched the far peg").tap()
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 2}")
    shot(page, "two-gates-tablet")
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Judge")).tap()
    # Where it started and where it was struck are told together; a miss is only what was noted as one.
    said = page.locator("[data-read]")
    expect(said.locator("[data-quantity=start]")).to_contain_text(re.compile("[Aa]t least .* left"))
    expect(said.locator("[data-quantity=strike]")).to_contain_text("6")
    expect(page.locator("[data-misses]")).to_have_count(0)
    page.get_by_role("link", name="One block").tap()
    expect(page.locator("[data-quantity='aid:putter_gate']")).to_contain_text("6 touched the far peg of 6 putts")
    # The peg touched is where it was struck.
    expect(page.locator("[data-quantity=strike]")).to_contain_text(re.compile("owards the heel.*clear"))


def test_with_no_rig_where_it_finished_is_the_putt(page: Page):
    own_lesson(page, "Short Golfer")
    choose_rig(page, "No start rig")
    page.get_by_text("Also note").click()
    page.get_by_role("button", name="Short or past by").click()
    page.locator("[data-under]").click()
    # What is chosen under it leaves it open: the next entry stands where the hand is.
    page.get_by_role("radio", name="Something else…").tap()
    page.get_by_role("textbox", name="Something else").fill("grip down")
    page.keyboard.press("Enter")
    expect(page.locator("[data-under]")).to_contain_text("grip down")
    page.get_by_label("Putts to the verdict", exact=True).fill("4")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Start block").click()
    for key, steps in (("7", 3), ("8", 3), ("8", 3), ("8", 3)):
        expect(page.locator("[data-note-step=finish]")).to_be_visible()
        page.keyboard.press(key)
        expect(page.locator("[data-note-step=ran_past_m]")).to_be_visible()
        if key == "8":
            # As a drag leaves it: the scale has the focus, and Enter takes the size all the same.
            page.locator("[data-note-step=ran_past_m]").get_by_role("slider").focus()
        for _ in range(steps):
            page.keyboard.press("ArrowLeft")
        # What fell short is told as short, and no further than the putt is long.
        scale = page.locator("[data-note-step=ran_past_m]").get_by_role("slider")
        assert (scale.get_attribute("min"), scale.get_attribute("max")) == ("-2.5", "-0.1")
        # It begins as near to the hole as is left to tell.
        expect(page.get_by_role("button", name="40 cm short")).to_be_visible()
        page.keyboard.press("Enter")
    expect(page.locator("[data-pace]")).to_contain_text("4 of 4 short, by 40 cm, 1 of them left.")
    wall = page.context.new_page()
    wall.goto(page.url.replace("lessons", "wall").split("/start")[0])
    expect(wall.locator("[data-wall]")).to_contain_text("short by 40 cm")
    expect(wall.locator("[data-vial]")).to_have_count(0)
    wall.close()
    page.keyboard.press("j")
    expect(page.locator("[data-pace]")).to_contain_text("4 of 4 short")
    expect(page.locator("[data-headline]")).to_contain_text("The start was not watched.")
    shot(page, "no-rig-judged")


def test_a_string_above_the_line_in_feet_and_then_a_putt_that_breaks(page: Page):
    own_lesson(page, "String Golfer")
    page.get_by_role("button", name=re.compile("change the units")).click()
    fill(page, "Ball to hole", "10' 4\"")
    choose_rig(page, "String over ball and hole")
    fill(page, "String height", "8 in")
    page.get_by_role("tab", name="Proof").click()
    page.get_by_role("button", name="Prove the line…").click()
    sheet = page.get_by_role("dialog")
    for way in ("out", "back"):
        row = sheet.locator(f"[data-roll={way}]")
        row.get_by_label("Rolled", exact=True).fill("11 ft")
        page.keyboard.press("Enter")
        row.get_by_role("button", name="On the line").click()
    sheet.get_by_role("button", name="Use this slope: the ground is proved").click()
    expect(sheet).to_be_hidden()
    expect(page.locator("[data-proof=ground]")).to_contain_text("rolling both ways")
    # Over the ball: the string as laid tells on which side the eyes are.
    step(page, "See")
    page.get_by_role("radio", name="Where the eyes are").click()
    page.get_by_role("radio", name="By a string").click()
    expect(page.get_by_label("String’s height", exact=True)).to_have_value("8")
    page.get_by_role("button", name="far quarter").click()
    expect(page.locator("[data-eye-words]")).to_contain_text("inside")
    step(page, "Set")
    page.get_by_text("Also note").click()
    notes = page.get_by_role("group", name="Also note of every putt")
    expect(notes.get_by_role("button", name="String over ball and hole")).to_have_attribute("aria-pressed", "true")
    notes.get_by_role("button", name="Roll", exact=True).click()
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    for key in ("4", "4", "5", "4"):
        page.keyboard.press(key)
        page.locator("[data-note-step=roll]").get_by_role("button", name="clean").click()
        page.locator("[data-note-step='aid:raised_string']").get_by_role("button", name="touched it going back").click()
        # Tilted or lifted: asked because it touched.
        page.locator("[data-note-step=contact]").get_by_role("button", name="heel half: tilted").click()
    expect(page.locator("[data-counts]")).to_contain_text("of 4")
    # A putt that breaks a hand: another plan, re-aimed at the start target; the first stands.
    step(page, "Set")
    fill(page, "Falls to the right", "-1.5")
    expect(page.locator("[data-unproved]")).to_contain_text("The proof fell")
    expect(page.get_by_role("button", name="Plans 2…")).to_be_visible()
    shot(page, "string-breaks")
