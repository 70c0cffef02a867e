"""Two balls for a group, the next golfer in two taps; how it rolls for two ball positions; a station of rods."""

import re

from playwright.sync_api import Page, expect

from ..conftest import choose_rig, hold_first_answer, laid_out, own_lesson, shot, stands, under, until
from ..start.test_main_flow import zone
from .test_pegs_and_string import fill, lay_beside
from .test_plan_carried import step

ASKED = "document.querySelector('[data-note-step]')?.dataset.noteStep"


def test_each_golfer_of_a_group_rolls_eight_through_two_balls(page: Page):
    own_lesson(page, "Second of Group")
    own_lesson(page, "First of Group")
    choose_rig(page, "Gate of two balls")
    page.locator("[data-under]").click()
    fill(page, "Putts to the verdict", 8)
    page.get_by_role("button", name="Start block").click()
    for _ in range(8):
        zone(page, "touched the left post").tap()
    expect(page.locator("[data-counts]")).to_contain_text("0 of 8 right, 8 left")
    # Two taps: whose turn it is, and who it is.
    page.get_by_role("button", name="Next golfer").tap()
    page.get_by_role("dialog").get_by_role("button", name="Second of Group").tap()
    expect(page.get_by_role("navigation", name="Where I am")).to_contain_text("Second of Group")
    expect(page.locator("[data-count]")).to_contain_text("Putt 1 of 8")
    zone(page, "clean").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2 of 8")
    shot(page, "next-golfer")
    for n in range(1, 8):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1} of 8")
        zone(page, "clean").tap()
    # Somebody nobody noted yet: the name, and two taps.
    page.get_by_role("button", name="Next golfer").tap()
    page.get_by_role("textbox", name="Another golfer").fill("Third of Group")
    page.get_by_role("button", name="Left-handed, and putts next").tap()
    expect(page.get_by_role("navigation", name="Where I am")).to_contain_text("Third of Group")
    expect(page.locator("[data-count]")).to_contain_text("Putt 1 of 8")
    assert page.request.get("/api/golfers", params={"q": "Third of"}).json()["items"][0]["golfer"]["hand"] == "left"


def test_what_is_laid_is_offered_to_be_noted_and_what_was_noted_never_crosses_to_another_golfer(page: Page):
    own_lesson(page, "Noted Once")
    also = page.locator("summary", has_text="Also note")
    expect(also).to_contain_text("nothing else")
    lay_beside(page, "Putter gate of pegs", "Where it is struck")
    expect(also).to_contain_text("Putter gate of pegs")
    also.click()
    page.get_by_role("button", name="Stillness", exact=True).click()
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_be_visible()
    own_lesson(page, "Noted Otherwise")
    expect(also).to_contain_text("nothing else")


def test_the_next_block_is_putted_as_the_one_before_and_its_sheet_closes(page: Page):
    """Begun from the step itself, whatever its address says of a block; one tap makes one block."""
    own_lesson(page, "Other Block Golfer")
    choose_rig(page, "Gate of pegs")
    page.get_by_text("Hole and path").tap()
    page.get_by_role("radio", name="No hole, to an aim point").tap()
    page.get_by_role("button", name="Start block").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    page.goto(page.url.split("?")[0])
    page.get_by_role("button", name="Other").tap()
    sheet = page.get_by_role("dialog")
    expect(sheet.get_by_text("Hole and path")).to_contain_text("no hole")
    sheet.get_by_role("button", name="Start block").dblclick()
    expect(sheet).to_be_hidden()
    zone(page, "clean").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    lesson = page.request.get(f"/api/lessons/{page.url.split('/lessons/')[1].split('/')[0]}").json()
    assert [(it["hole"], it["putts"]) for it in lesson["blocks"]] == [(False, 0), (False, 1)]


def test_how_it_rolls_is_asked_of_two_ball_positions_with_no_rig(page: Page):
    own_lesson(page, "Rolling Golfer")
    choose_rig(page, "No start rig")
    page.get_by_role("button", name="Compare…").click()
    sheet = page.get_by_role("dialog")
    # What varies is asked first; a name alone decides nothing.
    sheet.get_by_role("radio", name="Set-up", exact=True).click()
    under(sheet, "Condition 2", "ball ahead")
    sheet.get_by_label("Putts each", exact=True).fill("6")
    page.keyboard.press("Enter")
    sheet.get_by_role("radio", name="Do more roll clean?").click()
    sheet.get_by_role("button", name="Start the comparison").click()
    note = page.locator("[data-note-step=roll]")
    finish = page.locator("[data-note-step=finish]")
    for _ in range(12):
        expect(note).to_be_visible()
        ahead = "ball ahead" in page.get_by_text(re.compile("^Now: ")).inner_text()
        note.get_by_role("button", name=re.compile("^clean" if ahead else "^skid")).click()
        finish.get_by_role("button", name=re.compile("^holed")).click()
        expect(finish).to_be_hidden()
        stands(page)
    step(page, "Judge")
    page.get_by_role("link", name="One block").click()
    found = page.locator("[data-compared]").first
    expect(found).to_contain_text(re.compile("“ball ahead” against “as usual”: .*clean 6 of 6 against 0 of 6, clear"))
    expect(found.locator("[data-share]")).to_have_count(2)
    shot(page, "roll-by-position")


def test_compare_tapped_before_the_plan_is_drawn_notes_what_is_usual_there(page: Page):
    own_lesson(page, "Hasty Golfer")
    expect(page.get_by_role("button", name="Compare…")).to_be_enabled()
    let_go = hold_first_answer(page, "**/api/stations/preview*")
    choose_rig(page, "No start rig")
    page.get_by_role("button", name="Compare…").click()
    laid_out(page)
    let_go()
    sheet = page.get_by_role("dialog")
    under(sheet, "Condition 2", "wide base")
    sheet.get_by_role("radio", name="Do more roll clean?").click()
    sheet.get_by_role("button", name="Start the comparison").click()
    expect(page.locator("[data-note-step=roll]")).to_be_visible()
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    blocks = page.request.get(f"/api/lessons/{lesson}").json()["blocks"]
    # With no rig where it finished is noted, too, however soon it was tapped.
    assert len(blocks) == 2 and all(set(it["asks"]) == {"roll", "finish"} for it in blocks)


def test_what_is_noted_too_before_the_plan_is_drawn_comes_beside_what_is_usual_there(page: Page):
    own_lesson(page, "Eager Golfer")
    let_go = hold_first_answer(page, "**/api/stations/preview*")
    choose_rig(page, "No start rig")
    page.get_by_text("Also note").click()
    page.get_by_role("button", name="Short or past by").click()
    let_go()
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-note-step=finish]")).to_be_visible()
    page.keyboard.press("7")
    expect(page.locator("[data-note-step=ran_past_m]")).to_be_visible()


def test_a_station_of_rods_and_a_putter_gate_are_all_a_block_watches(page: Page):
    own_lesson(page, "Rods Golfer")
    choose_rig(page, "No start rig")
    lay_beside(page, "Station of rods", "Body lines")
    lay_beside(page, "Putter gate of pegs", "Where it is struck")
    page.get_by_role("button", name="Start block").click()
    for _ in range(6):
        steps = page.locator("[data-note-step]")
        expect(steps).to_be_visible()
        while steps.count():
            name = steps.get_attribute("data-note-step")
            if name == "aid:putter_gate":
                steps.get_by_role("button", name="clean").click()
            else:
                page.keyboard.press("Enter")
            until(page, lambda was=name: page.evaluate(ASKED) != was)
            if name == "aid:putter_gate":
                break
    expect(page.locator("[data-headline]")).to_contain_text("The start was not watched.")
    step(page, "Judge")
    page.get_by_role("link", name="One block").click()
    for quantity in ("aid:rod_station", "aid:putter_gate", "strike"):
        expect(page.locator(f"[data-quantity='{quantity}']")).to_contain_text("6")
    # The run sheet denies nothing of what was read.
    expect(page.get_by_role("navigation", name="Run sheet")).not_to_contain_text("Nothing to judge yet")


def test_a_left_handed_golfer_among_rails_rings_and_a_rod_on_the_grip(page: Page):
    own_lesson(page, "Aids Golfer")
    choose_rig(page, "No start rig")
    lay_beside(page, "Curved guide rail", "The head’s path")
    lay_beside(page, "Rings round the hole", "Pace")
    lay_beside(page, "Rod on the grip", "How the handle leans")
    page.get_by_text("Hole and path").click()
    page.get_by_role("radio", name="An arc").click()
    page.locator("[data-under]").click()
    fill(page, "Putts to the verdict", 4)
    page.get_by_role("button", name="Start block").click()
    taps = {
        "aid:curved_rail": "touched outside, going through",
        "aid:rings": "short",
        "aid:grip_rod": "left the chest going through",
    }
    for n in range(4):
        for _ in taps:
            now = page.locator("[data-note-step]")
            expect(now).to_be_visible()
            name = now.get_attribute("data-note-step") or ""
            now.get_by_role("button", name=re.compile(f"^{taps[name]}")).first.tap()
            expect(page.locator(f"[data-note-step='{name}']")).to_be_hidden()
        if n < 3:
            expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 2} of 4")
    step(page, "Judge")
    page.get_by_role("link", name="One block").click()
    expect(page.locator("[data-pace]")).to_contain_text("4 of 4 short")
    for name in ("Curved guide rail", "Rod on the grip"):
        expect(page.locator("[data-quantity]", has_text=re.compile(f"^{name}"))).to_be_visible()
    # Outside going through, away from the golfer: from in to out of the arc, for either hand.
    expect(page.locator("[data-quantity=path]")).to_contain_text(re.compile("[Ii]n to out"))
    shot(page, "aids-corner")
