"""Planning a station as a coach does: proposed, pulled to size, laid with other things, warned of, printed."""

import re

import pytest
import uuid6
from playwright.sync_api import Page, expect

from ...conftest import now
from ..conftest import choose_rig, hold_first_answer, laid_out, own_lesson, plan, until
from ..start.test_main_flow import start_block


@pytest.fixture
def bag_untold(page: Page):
    """The bag is the studio's: leave it as it was found."""
    yield
    page.request.delete("/api/bag")


def lay_too(page: Page, check: str, aid: str) -> None:
    plan(page, "Beside it")
    page.get_by_role("button", name="Lay something with it…").click()
    dialog = page.get_by_role("dialog")
    # The sheet has come to its size: nothing moves away under the tap.
    expect(dialog.locator("[data-proposal]").first).to_be_visible()
    dialog.get_by_role("radio", name=check).click()
    dialog.get_by_role("button", name=re.compile(rf"^(Use it|Lay it too): {aid}")).click()
    expect(dialog).to_be_hidden()


def test_a_rig_is_proposed_for_what_the_coach_wants_to_know(page: Page, bag_untold):
    own_lesson(page, "Proposed Golfer")
    plan(page, "Rig")
    page.get_by_role("button", name="Propose a rig…").click()
    dialog = page.get_by_role("dialog")
    proposals = dialog.get_by_role("list", name="Proposals").get_by_role("listitem")
    expect(proposals.first).to_contain_text("will do")
    dialog.get_by_label("As strict as ±", exact=True).fill("0.7")
    page.keyboard.press("Enter")
    gate = dialog.locator("[data-proposal=peg_gate]")
    expect(gate).to_contain_text("Lets ± 0.70° through clean")
    dialog.get_by_role("button", name="Use it: Gate of pegs").click()
    expect(page.get_by_label("Lets through ±", exact=True)).to_have_value("0.70")

    page.request.put("/api/bag", data={"parts": {"ball": 3, "tape_measure": 1}})
    page.reload()
    plan(page, "Rig")
    page.get_by_role("button", name="Propose a rig…").click()
    dialog.get_by_label("Use only what’s in my bag").check()
    expect(proposals).to_have_count(1)
    expect(proposals).to_contain_text("Gate of two balls")
    dialog.get_by_role("radio", name="Where the eyes are").click()
    expect(dialog.get_by_text("Nothing in the bag tells that.")).to_be_visible()
    dialog.get_by_role("button", name="Show all").click()
    expect(dialog.locator("[data-proposal=ground_mirror]")).to_contain_text("Not in the bag: 1 ground mirror")


def test_a_dimension_is_pulled_on_the_stage_by_mouse_and_keys(page: Page):
    own_lesson(page, "Pulling Golfer")
    choose_rig(page, "Gate of pegs")
    away = page.get_by_label("Ball to gate", exact=True)
    expect(away).to_have_value("350")
    grip = page.locator("[data-stage] [data-grip=distance_m]")
    drawing = page.locator("[data-stage] svg").first
    expect(drawing).to_have_attribute("aria-label", re.compile("gate of pegs at 35 cm"))
    box = grip.bounding_box()
    page.mouse.move(box["x"] + 22, box["y"] + 22)
    page.mouse.down()
    for n in range(1, 13):
        page.mouse.move(box["x"] + 22 + 5 * n, box["y"] + 22)
    value = float(away.input_value())
    assert value > 450
    # While it is held it says its length; the drawing follows, and is never empty.
    expect(grip).to_contain_text(re.compile(r"[\d.]+ m"))
    expect(drawing).to_have_attribute("aria-label", re.compile(f"gate of pegs at {value / 10:g} cm"))
    page.mouse.up()
    grip.press("ArrowRight")
    expect(away).to_have_value(f"{value + 10:g}")
    # The post stands where the tape's end is: true to scale.
    expect(drawing).to_have_attribute("aria-label", re.compile(f"{(value + 10) / 10:g} cm"))
    end, post = grip.bounding_box(), page.locator("[data-stage] ellipse.post").first.bounding_box()
    assert abs(end["x"] + 22 - (post["x"] + post["width"] / 2)) < 2


def test_a_pull_stops_at_the_limit_and_the_hole_is_pulled_too(page: Page):
    own_lesson(page, "Limit Golfer")
    grip = page.locator("[data-stage] [data-grip=putt]")
    expect(grip).to_be_visible()
    for _ in range(3):
        grip.press("PageUp")
    expect(page.get_by_label("Ball to hole", exact=True)).to_have_value("3.25")
    for _ in range(40):
        grip.press("PageDown")
    expect(page.get_by_label("Ball to hole", exact=True)).to_have_value("0.3")
    # Too short for its rig: said, with the drawing that could be laid last.
    expect(page.get_by_role("alert")).to_contain_text("stands at or beyond the hole")
    expect(page.get_by_role("tab", name=re.compile("^Putt"))).to_contain_text("✕")
    expect(page.locator("[data-stage] ellipse.hole")).to_be_visible()
    expect(page.get_by_role("button", name="Start block")).to_be_disabled()


def test_what_lies_beside_the_rig_is_drawn_warned_of_and_kept(page: Page):
    own_lesson(page, "Beside Golfer")
    choose_rig(page, "Gate of pegs")
    lay_too(page, "Where the eyes are", "String over the line")
    side = page.locator("[data-side] svg")
    expect(side).to_have_attribute("aria-label", re.compile("From the side"))
    expect(page.locator("[data-objections]")).to_have_count(0)
    page.get_by_label("String height", exact=True).fill("70")
    page.keyboard.press("Enter")
    expect(page.locator("[data-objections]")).to_contain_text("the string is in the putter's way")
    page.get_by_label("Between the stakes", exact=True).fill("3.2 m")
    page.keyboard.press("Enter")
    expect(page.get_by_text(re.compile("far stake would stand in the hole")).first).to_be_visible()
    page.get_by_label("Between the stakes", exact=True).fill("2 m")
    page.keyboard.press("Enter")
    expect(page.locator("[data-objections]")).to_contain_text("too short for this putt")
    expect(page.locator("[data-parts]")).to_contain_text("2 × stake")
    start_block(page)
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="Set").click()
    expect(page).to_have_url(re.compile("/set"))
    page.reload()
    expect(page.get_by_role("tab", name="Beside it 1")).to_be_visible()
    plan(page, "Beside it")
    expect(page.get_by_label("String height", exact=True)).to_have_value("70")
    page.get_by_role("button", name="Take away String over the line").click()
    expect(page.get_by_text("Nothing lies beside the rig.")).to_be_visible()
    expect(page.locator("[data-side]")).to_have_count(0)


def test_a_laser_beside_a_mirror_is_warned_of_and_its_cautions_asked_for(page: Page):
    own_lesson(page, "Laser Golfer")
    lay_too(page, "Where the eyes are", "Mirror on the ground")
    expect(page.get_by_role("button", name="Start block")).to_be_enabled()
    lay_too(page, "Where the face aims", "Laser on the putter")
    expect(page.locator("[data-objections]")).to_contain_text("never a head over the mirror while the laser is on")
    expect(page.get_by_role("button", name="Start block")).to_be_disabled()
    page.get_by_label(re.compile("The laser’s cautions above are read")).check()
    expect(page.get_by_role("button", name="Start block")).to_be_enabled()


def test_the_kit_check_is_ticked_and_remembered(page: Page):
    own_lesson(page, "Kit Golfer")
    choose_rig(page, "Gate of pegs")
    page.locator("[data-kit]").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Peg: tips guarded, or flat on the ground").check()
    expect(page.locator("[data-kit]")).to_contain_text("1 of 6")
    page.keyboard.press("Escape")
    page.reload()
    choose_rig(page, "Gate of pegs")
    expect(page.locator("[data-kit]")).to_contain_text("1 of 6")


def test_the_coachs_read_is_what_errors_are_counted_against(page: Page):
    own_lesson(page, "Reading Golfer")
    page.get_by_role("button", name="Roll it both ways…").click()
    dialog = page.get_by_role("dialog")
    # Nothing is told of balls that were not rolled.
    expect(dialog.locator("[data-slope]")).to_contain_text("Out to the hole: how far did the ball run")
    for way, drift in (("out", "400"), ("back", "-400")):
        row = dialog.locator(f"[data-roll={way}]")
        row.get_by_label("Rolled", exact=True).fill("3 m")
        page.keyboard.press("Enter")
        row.get_by_label("Drifted right", exact=True).fill(drift)
        page.keyboard.press("Enter")
    expect(dialog.locator("[data-slope]")).to_contain_text(re.compile(r"Falls \d\.\d %, 90° right of the line \(±"))
    dialog.get_by_role("button", name="Use this slope").click()
    expect(dialog).to_be_hidden()
    expect(page.locator("[data-proof=ground]")).to_contain_text("The ground is proved by rolling both ways")
    plan(page, "Putt")
    breaks = page.locator("[data-breaks]")
    expect(breaks).to_contain_text("Not straight")
    expect(breaks).to_contain_text("The nearest straight putt to this hole runs")
    page.get_by_role("radio", name="Inside edge").click()
    expect(breaks).to_contain_text("Your read, just inside the left edge, is")
    # A read, once it is entered, is what the putt is started at.
    expect(breaks).to_contain_text("counted against your read")
    page.get_by_role("radio", name="The computed").click()
    expect(breaks).to_contain_text("counted against the computed aim point")
    page.get_by_role("radio", name="My read").click()
    choose_rig(page, "Gate of pegs")
    page.get_by_role("button", name=re.compile("^Use: Shift it")).click()
    expect(page.get_by_label("Right of the start line", exact=True)).not_to_have_value("0")
    expect(breaks).to_contain_text("that is put back into every reading")


def test_the_station_sheet_and_a_template_are_saved_in_true_size(page: Page, tmp_path):
    own_lesson(page, "Print Golfer")
    choose_rig(page, "Gate of pegs")
    plan(page, "Print")
    page.get_by_role("radio", name="US Letter").click()
    with page.expect_download() as download:
        page.get_by_role("button", name="Station sheet as PDF").click()
    download.value.save_as(tmp_path / "sheet.pdf")
    assert download.value.suggested_filename == "station-letter.pdf"
    assert (tmp_path / "sheet.pdf").read_bytes().startswith(b"%PDF")
    with page.expect_download() as download:
        page.get_by_role("button", name="Square reference with degrees as SVG").click()
    download.value.save_as(tmp_path / "square.svg")
    assert 'width="215.9mm"' in (tmp_path / "square.svg").read_text()
    expect(page.locator("[data-print-said]")).to_contain_text("one sheet saved")


def test_a_reading_of_any_aid_can_be_tried_by_tap_and_by_key(page: Page):
    page.goto("/aids")
    page.get_by_role("radio", name="Path of the head").click()
    expect(page.locator("[data-aid]")).to_have_count(3)
    page.get_by_role("button", name="Try a reading, Twin guide rails").click()
    said = page.locator("[data-meaning]")
    page.get_by_role("dialog").locator("[data-zone='touched inside, going through']").tap()
    expect(said).to_contain_text("Path of the head more than 8 mm inside")
    page.keyboard.press("1")
    expect(said).to_contain_text("more than 8 mm outside")
    # The dimensions change what the same reading stands for.
    page.get_by_label("Even gap", exact=True).fill("5")
    page.keyboard.press("Enter")
    expect(said).to_contain_text("more than 5 mm outside")
    page.get_by_label("Even gap", exact=True).fill("90")
    page.keyboard.press("Enter")
    expect(page.get_by_text("Even gap is 90 mm; it must be 2 mm to 40 mm.")).to_be_visible()


def test_the_eye_is_found_from_what_the_string_covers(page: Page):
    page.goto("/aids/string")
    eyes = page.locator("[data-eyes]")
    expect(eyes).to_contain_text("inside the line")
    page.get_by_label("It covers, outside the line", exact=True).fill("-12")
    page.keyboard.press("Enter")
    expect(eyes).to_contain_text("outside the line")
    expect(eyes).to_contain_text("The side is sure, the size less.")


def test_the_bag_and_the_strictness_are_told(page: Page, bag_untold):
    page.goto("/aids/bag")
    expect(page.get_by_text("Not told yet")).to_be_visible()
    hold_first_answer(page, "**/api/bag")
    peg = page.locator("[data-part=peg]")
    for _ in range(3):
        peg.get_by_role("button", name="peg: one more").click()
    expect(peg.locator("output")).to_have_text("3")
    page.get_by_label("Find a part").fill("laser")
    expect(page.locator("[data-part]")).to_have_count(3)
    # While the first tap is on its way the later two wait here: a page closed now sends them when it is opened again.
    expect(page.locator("[data-link='2 waiting']")).to_be_visible()
    again = page.context.new_page()
    page.close()
    again.goto("/aids/bag")
    expect(again.locator("[data-part=peg] output")).to_have_text("3")
    expect(again.locator("[data-link='saved']")).to_be_visible()
    page = again
    page.reload()
    expect(page.locator("[data-part=peg] output")).to_have_text("3")
    band = page.locator("[data-band=club]")
    band.get_by_label("Club golfer", exact=True).fill("1.1")
    page.keyboard.press("Enter")
    expect(band).to_contain_text("Kept now: 1.4°")
    page.locator("[data-spread-draft]").get_by_role("button", name="See what it changes").click()
    expect(page.locator("[data-spread-draft]")).to_contain_text(re.compile("[0-9]+ claims in [0-9]+ last lessons?"))
    page.get_by_role("button", name="Keep 1.1° for “Club golfer”").click()
    expect(band).to_contain_text("Gates from ± 0.6° to ± 1.7°")
    band.get_by_label("Club golfer", exact=True).fill("40")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Keep 40° for “Club golfer”").click()
    expect(band).to_contain_text("it must be 0.2 deg to 6 deg")
    # Nothing of it was kept: what stands is one tap away, and so is what is usual.
    page.get_by_role("button", name="Leave it as it stands").click()
    expect(band.get_by_label("Club golfer", exact=True)).to_have_value("1.1")
    band.get_by_role("button", name="Back to 1.4°").click()
    expect(band.get_by_label("Club golfer", exact=True)).to_have_value("1.4")


def test_a_left_handed_golfer_stands_on_the_other_side_and_so_do_the_rods(page: Page):
    own_lesson(page, "Sided Golfer")
    choose_rig(page, "Gate of pegs")
    lay_too(page, "Body lines", "Rod along the toes")
    stage = page.locator("[data-stage]")
    line = stage.locator("line.line").first.bounding_box()
    rod = stage.locator("polygon.post").last.bounding_box()
    shoes = [it.bounding_box() for it in stage.locator("polygon.stance").all()]
    # The hole is at the right: right of the line is down the page, where a left-handed golfer stands.
    assert rod["y"] > line["y"] and all(it["y"] > line["y"] for it in shoes)


def test_lengths_are_pulled_and_said_in_feet_and_inches(page: Page):
    own_lesson(page, "Feet Golfer")
    page.get_by_role("button", name="change the units").click()
    choose_rig(page, "Gate of pegs")
    drawing = page.locator("[data-stage] svg").first
    expect(drawing).to_have_attribute("aria-label", re.compile(r"hole 8 ft away"))
    grip = page.locator("[data-stage] [data-grip=inside_width_m]")
    expect(grip).to_have_attribute("aria-valuetext", re.compile(r"2 3/8 in"))
    grip.press("ArrowUp")
    expect(page.get_by_label("Inside width", exact=True)).to_have_value("2 1/2")
    lay_too(page, "Pace", "Rings round the hole")
    expect(page.locator("[data-stage] text", has_text="ft")).not_to_have_count(0)
    # The lesson was begun in metres, and so are its papers.
    plan(page, "Print")
    expect(page.get_by_role("radio", name="A4")).to_be_checked()


def test_a_gate_is_laid_with_the_width_it_had_last(page: Page):
    own_lesson(page, "Wide Gate Golfer")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    choose_rig(page, "Gate of pegs")
    width = page.get_by_label("Inside width", exact=True)
    width.fill("75")
    page.keyboard.press("Enter")
    choose_rig(page, "Ruler board")
    choose_rig(page, "Gate of pegs")
    expect(width).to_have_value("75")
    until(page, lambda: "peg_gate" in page.request.get(f"/api/lessons/{lesson}").json()["laid_last"])
    golfer = page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"]
    next_day = {"golfer_id": golfer, "place": "The Ropewalk", "green_speed_ft": 10, "started_at": now()}
    answer = page.request.put(f"/api/lessons/{(another := uuid6.uuid7())}", data=next_day)
    assert answer.ok, answer.text()
    page.goto(f"/lessons/{another}/set")
    expect(page.locator("[data-fit]")).to_be_visible()
    choose_rig(page, "Gate of pegs")
    expect(width).to_have_value("75")


def test_an_entry_that_can_not_be_laid_marks_its_tab_and_keeps_what_was_typed(page: Page):
    own_lesson(page, "Kept Entry Golfer")
    lay_too(page, "Where the eyes are", "String over the line")
    page.get_by_label("String height", exact=True).fill("900")
    page.keyboard.press("Enter")
    expect(page.get_by_role("tab", name=re.compile("^Beside it"))).to_contain_text("✕")
    expect(page.get_by_text("String height is 900 mm; it must be 50 mm to 600 mm.").first).to_be_visible()
    plan(page, "Putt")
    plan(page, "Beside it")
    expect(page.get_by_label("String height", exact=True)).to_have_value("900")
    page.get_by_label("String height", exact=True).fill("250")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_have_count(0)
    expect(page.get_by_role("button", name="Start block")).to_be_enabled()


def test_a_proof_that_fell_is_said_however_late_the_new_plan_is_kept(page: Page):
    own_lesson(page, "Fallen Proof Golfer")
    choose_rig(page, "Gate of pegs")
    plan(page, "Proof")
    page.get_by_role("button", name="Prove the line…").click()
    sheet = page.get_by_role("dialog")
    for way in ("out", "back"):
        row = sheet.locator(f"[data-roll={way}]")
        row.get_by_label("Rolled", exact=True).fill("3 m")
        page.keyboard.press("Enter")
        row.get_by_role("button", name="On the line").click()
    sheet.get_by_role("button", name="Use this slope: the ground is proved").click()
    expect(sheet).to_be_hidden()
    expect(page.locator("[data-proof=ground]")).to_contain_text("rolling both ways")
    page.get_by_role("button", name="Start block").click()
    page.locator("[data-zone]").first.click()
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Set")).click()
    # The plan was read on: what changes is a new one, and it is drawn before the server has it.
    let_go = hold_first_answer(page, "**/api/stations/0*")
    plan(page, "Putt")
    with page.expect_request("**/api/stations/0*"):
        page.get_by_label("Falls to the right", exact=True).fill("-1.5")
        page.keyboard.press("Enter")
    expect(page.locator("[data-unproved]")).to_be_visible()
    laid_out(page)
    let_go()
    expect(page.locator("[data-unproved]")).to_contain_text("The proof fell")
