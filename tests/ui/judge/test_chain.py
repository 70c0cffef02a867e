"""The whole chain as a coach goes through it: turns, ladder, sizes, sensors as their own processes, files in."""

import os
import re
import subprocess
import sys

import pytest
from playwright.sync_api import Page, expect

from ...conftest import ROOT
from ..conftest import choose_rig, own_lesson, under, until
from ..start.test_notes import begin


def start_block(page: Page) -> None:
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")


def blocks(page: Page) -> list[dict]:
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    return page.request.get(f"/api/lessons/{lesson}").json()["blocks"]


def test_a_comparison_is_planned_and_putted_in_its_turns_by_keyboard_alone(page: Page):
    own_lesson(page, "Comparing Golfer")
    start_block(page)
    page.keyboard.press("c")
    sheet = page.get_by_role("dialog")
    expect(sheet).to_be_visible()
    # What varies is asked first; what is typed is of that.
    sheet.get_by_role("radio", name="A try of your own").click()
    under(sheet, "Condition 2", "line on the ball")
    sheet.get_by_label("Putts each", exact=True).fill("3")
    sheet.get_by_label("Putts in a run", exact=True).fill("2")
    sheet.get_by_role("button", name="Start the comparison").focus()
    page.keyboard.press("Enter")
    turn = page.locator("[data-turn]")
    # There and back: two, two, one, one. The right key follows the condition; the block follows by itself.
    for name, key in (("as usual", "0"), ("as usual", "0"), *[("line on the ball", "]")] * 3, ("as usual", "0")):
        expect(turn).to_contain_text(f"Now: {name}")
        expect(page.get_by_role("slider")).not_to_have_attribute("aria-disabled", "true")
        page.keyboard.press(key)
        expect(page.locator("[data-link='saved']")).to_be_visible()
    expect(turn).to_contain_text("All 6 putts")
    assert [it["putts"] for it in blocks(page)] == [0, 3, 3]
    page.keyboard.press("j")
    expect(page.locator("[data-compared]")).to_contain_text("“line on the ball” against “as usual”: start")
    expect(page.locator("[data-compared] [data-vial]")).to_have_count(2)


def test_the_ladder_tightens_after_ten_clean_in_one_tap(page: Page):
    own_lesson(page, "Climbing Golfer")
    choose_rig(page, "Gate of pegs")
    page.get_by_label("Inside width", exact=True).fill("90")
    page.keyboard.press("Enter")
    start_block(page)
    ladder = page.locator("[data-ladder]")
    for n in range(10):
        expect(page.get_by_text(re.compile(f"Putt {n + 1} of"))).to_be_visible()
        page.keyboard.press("3")
    expect(ladder).to_have_attribute("data-ladder", "tighten")
    ladder.get_by_role("button", name="Lay it and go on").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    expect(page.get_by_role("link", name=re.compile("0 . 10$")).last).to_be_visible()


def test_a_size_is_stepped_with_two_keys_and_the_feet_are_reminded(page: Page):
    begin(page, "Stepping Golfer", "Backstroke")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    page.request.put("/api/pauses", data={"spot_putts": 3, "feet_min": 10, "rest_min": 10})
    page.keyboard.press("0")
    step = page.locator("[data-note-step=back_m]")
    expect(step).to_contain_text("30 cm")
    page.keyboard.press("ArrowLeft")
    page.keyboard.press("Enter")
    putts = page.get_by_role("list", name="Putts, newest first")
    expect(putts.get_by_role("listitem").first).to_contain_text("25 cm")
    for _ in range(2):
        page.keyboard.press("0")
        # What was taken last is where the next one begins.
        expect(step).to_contain_text("25 cm")
        page.keyboard.press("Enter")
        expect(page.locator("[data-link='saved']")).to_be_visible()
    nudge = page.locator("[data-nudge=spot]")
    expect(nudge).to_contain_text("3 putts from this spot")
    nudge.get_by_role("button", name="Moved").click()
    expect(nudge).to_have_count(0)
    page.request.put("/api/pauses", data={"spot_putts": 10, "feet_min": 10, "rest_min": 10})
    assert page.request.get(f"/api/lessons/{lesson}/pauses").json()["spot"] == 0


def standin(served, kind: str, code: str, *more: str) -> subprocess.Popen[bytes]:
    """A stand-in as a process of its own, as ./standin starts it."""
    words = [sys.executable, "-m", "libella.standins", kind, code, "--url", served.address, *more]
    return subprocess.Popen(words, env=os.environ | {"PYTHONPATH": str(ROOT / "src")}, stdout=subprocess.PIPE)


def pair(page: Page, kind: str) -> str:
    page.get_by_role("link", name="Sensors", exact=True).click()
    page.get_by_role("button", name=re.compile(f"^Pair a {kind}")).click()
    return page.locator("[data-code]").inner_text()


def test_strokes_of_a_stand_in_are_on_both_screens_though_it_drops_and_repeats(page: Page, served):
    own_lesson(page, "Sensed Golfer")
    choose_rig(page, "Start reader")
    start_block(page)
    code = pair(page, "start-line")
    with page.context.expect_page() as opened:
        page.get_by_role("button", name="Lesson", exact=True).click()
        page.get_by_role("link", name="Last putt, for the wall").click()
    wall = opened.value.locator("[data-wall]")
    expect(wall).to_contain_text("No putts yet.")
    wrong = ("--fault", "drop", "--fault", "twice", "--fault", "nonsense")
    process = standin(served, "start_board", code, "--every", "1", "--strokes", "5", *wrong)
    expect(page.locator("[data-sensor=start_board]")).to_have_attribute("data-state", "paired")
    assert process.wait(30) == 0 and b"0 strokes unanswered" in process.stdout.read()
    expect(wall).to_contain_text("Putt 5 of")
    expect(wall).to_contain_text("°")
    page.keyboard.press("Escape")
    expect(page.locator("[data-strokes] tbody tr")).to_have_count(5)
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Start")).click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 6")


def test_a_reading_waits_for_the_felt_call_on_every_screen(page: Page, served):
    own_lesson(page, "Feeling Golfer")
    choose_rig(page, "Start reader")
    page.get_by_text("Also note").click()
    page.get_by_role("button", name="Felt start", exact=True).click()
    start_block(page)
    start = page.url
    process = standin(served, "start_board", pair(page, "start-line"), "--every", "2", "--strokes", "1")
    page.goto(start)
    assert process.wait(30) == 0
    heard = page.locator("[data-heard]")
    expect(heard).to_contain_text("shows when the felt call is in")
    page.keyboard.press("1")
    expect(heard).to_contain_text("Start")
    expect(page.get_by_role("list", name="Putts, newest first").get_by_role("listitem").first).to_contain_text(
        "felt left"
    )
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")


def test_a_sensor_is_zeroed_against_the_square_and_its_menu_starts_and_stops_it(page: Page):
    own_lesson(page, "Zeroing Golfer")
    start_block(page)
    pair(page, "face-and-path")
    sensor = page.locator("[data-sensor=face_and_path]").last
    sensor.get_by_role("button", name="Its face is two degrees off square").click()
    sensor.get_by_role("button", name="Start the stand-in").click()
    expect(sensor).to_have_attribute("data-state", "paired")
    expect(sensor).to_contain_text("right now")
    told = f"/api/lessons/{page.url.split('/lessons/')[1].split('/')[0]}/sensors"
    until(page, lambda: page.request.get(told).json()["sensors"][-1]["still"] >= 8)
    sensor.get_by_role("button", name="Zero it").click()
    expect(sensor).to_contain_text(re.compile(r"Read (1\.9|2\.0|2\.1)° right against the reference"))
    running = page.request.get("/api/standins").json()["running"]
    assert "face_and_path" in running.values()
    count = page.locator("[data-sensor]").count()
    sensor.get_by_role("button", name="Unpair").click()
    expect(page.locator("[data-sensor]")).to_have_count(count - 1)
    assert page.request.get("/api/standins").json()["running"] == {}


FILE = "when;mine;felt\n2026-03-01 10:00;1,5;left\n2026-03-01 10:01;0,5 L;right\n2026-03-01 10:02;=1;left\n"


def test_a_file_is_looked_at_mapped_taken_in_and_undone(page: Page):
    own_lesson(page, "Filed Golfer")
    page.get_by_role("link", name="Filed Golfer").click()
    page.get_by_role("link", name="From a file…").click()
    file = {"name": "mine.csv", "mimeType": "text/csv", "buffer": FILE.encode()}
    page.locator("input[type=file]").set_input_files(file)
    page.get_by_label("What mine tells").select_option("start_deg")
    page.get_by_label("Plus of mine").select_option("left")
    # Nothing in the file says a unit: it is asked for, not guessed.
    page.get_by_role("button", name="Read it so").click()
    expect(page.get_by_role("table")).to_contain_text("nothing in the file says its unit")
    page.get_by_label("Unit of mine").select_option("deg")
    page.get_by_role("button", name="Read it so").click()
    check = page.locator("[data-check]")
    expect(check).to_contain_text("2 putts in 1 block of 1 lesson")
    expect(page.get_by_role("list", name="The first rows, read out").get_by_role("listitem").first).to_contain_text(
        re.compile("Line 2: .*starts .*° (left|right)")
    )
    bad = page.get_by_role("list", name="Rows that can’t be read")
    expect(bad).to_contain_text("Line 4, Start: a formula")
    # Mended where it stands, it is a putt like the others.
    bad.get_by_label("Start of line 4, mended").fill("0.7")
    page.keyboard.press("Tab")
    page.get_by_role("button", name="Read it again").click()
    page.get_by_role("button", name="Take in 3 putts").click()
    expect(page.locator("[data-file]")).to_contain_text("3 putts taken in.")
    expect(page.get_by_role("link", name=re.compile("mine.csv taken in, 3 putts"))).to_be_visible()
    page.get_by_role("button", name="Undo the import").click()
    expect(page.locator("[data-file]")).to_contain_text("taken out again")
    page.get_by_role("button", name="Bring it back").click()
    page.get_by_role("link", name="Filed Golfer").click()
    expect(page.get_by_role("list", name="Lessons, newest first")).to_contain_text("From mine.csv")
    # Another file with these headings is read the same way; one too large is refused before it is sent.
    page.get_by_role("link", name="From a file…").click()
    page.locator("input[type=file]").set_input_files(file | {"name": "again.csv"})
    expect(page.locator("[data-file]")).to_contain_text("Read as the last file with these headings was.")
    expect(page.locator("[data-file]")).to_contain_text("would count twice")


@pytest.mark.parametrize("view", ["chain", "comparison"])
def test_the_demo_shows_the_chain_and_a_comparison_under_judge(page: Page, view: str):
    name, word = ("Pell", "Face at address") if view == "chain" else ("Greta", "times as much")
    [found] = page.request.get("/api/golfers", params={"q": name}).json()["items"]
    lesson = page.request.get(f"/api/golfers/{found['golfer']['id']}/lessons").json()["items"][0]
    page.goto(f"/lessons/{lesson['lesson']['id']}/judge?block={lesson['blocks'][0]['id']}")
    table = page.locator("[data-read]" if view == "chain" else "[data-compared]").first
    expect(table).to_contain_text(word)
    if view == "chain":
        for quantity in ("start", "address", "impact", "turned", "path"):
            expect(table.locator(f"[data-quantity={quantity}]")).to_be_visible()
        share = page.get_by_label("Share of the face (k)", exact=True)
        page.get_by_role("button", name="Share of the face (k): less").click()
        expect(share).to_have_value("0.84")
        page.get_by_role("button", name="Let the putts tell it").click()
        expect(share).to_have_value("told by the putts")


def test_a_paired_levels_tilt_is_taken_as_the_slope_of_the_putt(page: Page, served):
    own_lesson(page, "Levelled Golfer")
    set_page = page.url
    process = standin(served, "level", pair(page, "wireless"), "--every", "1", "--strokes", "60")
    try:
        expect(page.locator("[data-tilt]")).to_contain_text("down to the hole")
        page.goto(set_page)
        page.get_by_role("button", name="Read with a level…").click()
        dialog = page.get_by_role("dialog")
        heard = dialog.locator("[data-level]")
        # The stand-in lies on 0.8 % down and 0.3 % to the left, and reads each to a tenth or so.
        expect(heard).to_contain_text(re.compile(r"0\.\d % down to the hole · 0\.\d % to the left"))
        heard.get_by_role("button", name="Take this reading").click()
        # Two readings are no more exact than the level.
        expect(dialog.locator("[data-slope]")).to_contain_text(re.compile(r"± [1-9]\d*°"))
        heard.get_by_role("button", name="Take this reading").click()
        expect(dialog.get_by_label("Across, to the right, reading 2", exact=True)).to_have_value(re.compile(r"^-0\.\d"))
        expect(dialog.locator("[data-slope]")).to_contain_text(re.compile(r"Falls 0\.\d %.* left of the line \(±"))
        process.kill()
        expect(heard.get_by_role("button", name="Take this reading")).to_be_disabled()
        expect(heard).to_contain_text("It tells nothing now.")
        dialog.get_by_role("button", name="Use this slope").click()
        expect(page.get_by_label("Falls to the hole", exact=True)).to_have_value(re.compile(r"^0\.[6-9]"))
        expect(page.get_by_label("Falls to the right", exact=True)).to_have_value(re.compile(r"^-0\.[2-4]"))
    finally:
        process.kill()


def test_a_pedals_enter_records_also_after_a_button_was_tapped(page: Page):
    own_lesson(page, "Pedal Golfer")
    start_block(page)
    count = page.locator("[data-count]")
    page.keyboard.press("Enter")
    expect(count).to_contain_text("Putt 2")
    page.get_by_role("button", name="Undo last").click()
    expect(count).to_contain_text("Putt 1")
    page.keyboard.press("Enter")
    expect(count).to_contain_text("Putt 2")
    # Chosen by keys the button keeps its Enter.
    page.keyboard.press("Tab")
    page.get_by_role("button", name="Undo last").focus()
    page.keyboard.press("Enter")
    expect(count).to_contain_text("Putt 1")
