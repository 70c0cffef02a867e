"""The main flow as a coach goes through it: by mouse, by keyboard alone, by touch; and what a cut or a kill leaves."""

import re

import pytest
from playwright.sync_api import Page, Route, expect

from ..conftest import Served, choose_rig, hold_first_answer, laid_out, own_lesson, plan, stands, until


def begin(page: Page, name: str) -> None:
    """A new golfer with a lesson, tap by tap from the first page to its Set step."""
    page.goto("/")
    page.get_by_role("button", name="Add golfer").click()
    page.get_by_role("textbox", name="Name").fill(name)
    page.get_by_role("radio", name="Left-handed").click()
    page.get_by_role("dialog").get_by_role("button", name="Add golfer").click()
    expect(page.get_by_role("heading", name=name)).to_be_visible()
    page.get_by_role("button", name="Start lesson").click()
    expect(page.get_by_label("Place")).to_have_value("The Ropewalk")
    page.get_by_role("dialog").get_by_role("button", name="Start lesson").click()
    expect(page).to_have_url(re.compile("/set$"))
    expect(page.locator("[data-fit]")).to_be_visible()


def start_block(page: Page, rig: str = "Gate of pegs", putts: int | None = None) -> None:
    choose_rig(page, rig)
    expect(page.locator("[data-fit]")).to_be_visible()
    if putts:
        page.locator("[data-under]").click()
        page.get_by_label("Putts to the verdict", exact=True).fill(str(putts))
    expect(page.get_by_role("button", name="Start block")).to_be_enabled()
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    expect(page.locator("[data-readout]")).to_be_attached()


def prove_by_tape(page: Page, at: str = "2 m", beside: str = "0") -> None:
    """Measured twice with the tape, found so far right of true; on Set's Proof, or wherever the line is asked for."""
    page.get_by_role("button", name="Prove the line…").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("radio", name="Tape to both edges").click()
    expect(dialog.get_by_role("button", name="Measured 0 of 2")).to_be_disabled()
    for n in range(2):
        row = dialog.get_by_role("list", name="Measurements").get_by_role("listitem").nth(n)
        row.get_by_label("Measured this far from the ball", exact=True).fill(at)
        page.keyboard.press("Enter")
        row.get_by_label("Line found to the right by", exact=True).fill(beside)
        page.keyboard.press("Enter")
    dialog.get_by_role("button", name="The line is proved by these").click()
    expect(dialog).to_be_hidden()


def zone(page: Page, name: str):
    return page.locator(f"[data-zone='{name}']")


def test_by_mouse_from_a_new_golfer_to_a_verdict(page: Page):
    begin(page, "Mouse Golfer")
    page.get_by_label("Ball to hole", exact=True).fill("3.2 m")
    page.keyboard.press("Enter")
    expect(page.locator("[data-stage] svg")).to_have_attribute("aria-label", re.compile("hole 3.20 m away"))
    start_block(page, putts=6)
    for n in range(6):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        zone(page, "touched the left post").click()
    expect(page.get_by_text("Planned end: 6 putts.")).to_be_visible()
    page.get_by_role("link", name="Judge J", exact=True).click()
    expect(page.locator("[data-headline]")).to_contain_text(re.compile("left, (clear|likely)"))
    expect(page.locator("[data-counts]")).to_contain_text("0 of 6 right, 6 left")
    # The lesson's own sentence stands beside the block's.
    expect(page.locator("[data-work]")).to_contain_text("left")
    # A left-handed golfer who starts left pushes.
    expect(page.get_by_text("that is a push")).to_be_visible()
    expect(page.get_by_text(re.compile("Settled|further putt|Prove the line first"))).to_be_visible()
    # Touched again and again the gate says at least how far: no gain is promised of a size nobody read.
    expect(page.get_by_role("row", name=re.compile("Bias mended"))).to_have_count(0)


def test_by_keyboard_alone(page: Page):
    """From the first page to a judged block without a pointer."""
    page.goto("/")
    expect(page.get_by_role("link", name="Go on recording").first).to_be_visible()
    # Other tests' golfers may fill the first page: found by name, as a coach of many finds one.
    focus_on(page, "Find a golfer by name")
    page.keyboard.type("Idris")
    expect(page.get_by_role("button", name=re.compile("^Start lesson with"))).to_have_count(1)
    focus_on(page, "Start lesson with Idris Vantongeren")
    page.keyboard.press("Enter")
    expect(page.get_by_label("Place")).to_have_value("The Ropewalk")
    focus_on(page, "Start lesson")
    page.keyboard.press("Enter")
    expect(page).to_have_url(re.compile("/set$"))
    expect(page.locator("[data-fit]")).to_be_visible()
    focus_on(page, "Putt")
    page.keyboard.press("ArrowRight")
    # Tab stops on the rig that is chosen; from there the arrow keys lead to every other.
    focus_on(page, "Ruler board")
    for _ in range(16):
        if page.evaluate("document.activeElement.textContent.trim()") == "Gate of two balls":
            break
        page.keyboard.press("ArrowRight")
    page.keyboard.press("Space")
    expect(page.locator("[data-stage] svg")).to_have_attribute("aria-label", re.compile("gate of two balls"))
    focus_on(page, "Start block")
    page.keyboard.press("Enter")
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    for n, key in enumerate("3343334333"):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1} ")
        page.keyboard.press(key)
    expect(page.get_by_text("Planned end: 10 putts.")).to_be_visible()
    page.keyboard.press("u")
    expect(page.locator("[data-count]")).to_contain_text("Putt 10 ")
    page.keyboard.press("v")
    focus_on(page, "debris on the line")
    page.keyboard.press("Enter")
    expect(page.locator("[data-count]")).to_contain_text("Putt 9 ")
    expect(page.get_by_role("dialog")).to_be_hidden()
    for _ in range(2):
        page.keyboard.press("3")
    expect(page.get_by_text("Planned end: 10 putts.")).to_be_visible()
    page.keyboard.press("?")
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_text("Undo the last putt")).to_be_visible()
    expect(dialog.get_by_text("Record: clean")).to_be_visible()
    page.keyboard.press("Escape")
    expect(dialog).to_be_hidden()
    page.keyboard.press("j")
    expect(page.locator("[data-work]")).to_be_visible()


def focus_on(page: Page, name: str) -> None:
    """Tab until the thing of that name has the focus."""
    for _ in range(80):
        page.keyboard.press("Tab")
        said = page.evaluate(
            "(a => (a.getAttribute('aria-label') || a.labels?.[0]?.textContent || a.textContent || '').trim())"
            "(document.activeElement)"
        )
        if said == name:
            return
    raise AssertionError(f"Tab does not reach {name!r}")


def test_a_ruler_is_slid_and_says_what_lifting_records(page: Page):
    own_lesson(page, "Ruler Golfer")
    start_block(page, "Ruler board")
    ruler = page.get_by_role("slider")
    expect(ruler).to_be_visible()
    laid_out(page)
    box = ruler.bounding_box()
    middle, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    page.mouse.move(middle, y)
    page.mouse.down()
    expect(page.locator("[data-readout]")).to_have_text("on the line")
    page.mouse.move(middle + 40, y, steps=4)
    said = page.locator("[data-readout]").inner_text()
    assert re.fullmatch(r"\d+ mm right", said), said
    page.mouse.up()
    expect(page.get_by_role("list", name="Putts, newest first").get_by_role("listitem").first).to_contain_text(said)
    # A finger that leaves the picture records nothing.
    page.mouse.move(middle, y)
    page.mouse.down()
    page.mouse.move(middle, y - 300)
    page.mouse.up()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2 ")
    for key in ("ArrowLeft", "ArrowLeft", "Enter", "[", "0"):
        page.keyboard.press(key)
    putts = page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")
    expect(putts).to_have_count(4)
    words = putts.all_inner_texts()
    assert ["on the line" in words[0], "off the left end" in words[1], "10 mm left" in words[2]] == [True] * 3


def test_by_touch_a_tap_is_a_putt(page: Page):
    own_lesson(page, "Touch Golfer")
    start_block(page)
    zone(page, "clean").tap()
    zone(page, "outside the right post").tap()
    putts = page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")
    expect(putts).to_have_count(2)
    expect(putts.first).to_contain_text("outside the right post")


@pytest.mark.parametrize(
    ("rig", "key", "said"),
    [
        ("Laser on the ground", "6", "line on its left edge"),
        ("Narrow rail", "2", "fell left in the second third"),
        ("Bridge opening", "4", "touched the right post"),
    ],
)
def test_other_rigs_are_read_the_same_way(page: Page, rig: str, key: str, said: str):
    own_lesson(page, f"{rig} Golfer")
    choose_rig(page, rig)
    if "Laser" in rig:
        expect(page.get_by_role("button", name="Start block")).to_be_disabled()
        page.get_by_role("checkbox", name=re.compile("cautions above are read")).check()
    start_block(page, rig)
    page.keyboard.press(key)
    zone(page, said).click()
    putts = page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")
    expect(putts).to_have_count(2)
    expect(putts.filter(has_text=said)).to_have_count(2)


def test_aids_are_found_by_what_they_tell(page: Page):
    page.goto("/aids")
    expect(page.locator("[data-aid]").first).to_be_visible()
    page.get_by_label("Find an aid").fill("address")
    expect(page.locator("[data-aid=putter_laser]")).to_be_visible()
    expect(page.locator("[data-aid=board]")).to_have_count(0)
    page.get_by_label("Find an aid").fill("sundial")
    page.get_by_role("button", name="Show all").click()
    expect(page.locator("[data-aid=board]")).to_be_visible()


def test_another_condition_on_the_same_station(page: Page):
    own_lesson(page, "Condition Golfer")
    start_block(page, putts=5)
    page.keyboard.press("3")
    page.keyboard.press("n")
    page.get_by_role("dialog").get_by_text("wide base").click()
    page.get_by_role("dialog").get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1 ")
    page.keyboard.press("4")
    expect(page.locator("[data-count]")).to_contain_text("Putt 2 ")
    blocks = page.get_by_label("So far").get_by_role("link")
    expect(blocks).to_have_count(2)
    expect(blocks.nth(0)).to_contain_text("1 / 5")
    expect(blocks.nth(1)).to_contain_text("1 / 5")
    blocks.nth(0).click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2 of 5")


def test_a_killed_server_loses_no_acknowledged_putt_and_waiting_ones_arrive(page: Page, served: Served):
    own_lesson(page, "Kill Golfer")
    start_block(page)
    for _ in range(3):
        page.keyboard.press("3")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    served.kill()
    page.keyboard.press("4")
    page.keyboard.press("5")
    expect(page.locator("[data-link='2 waiting']")).to_be_visible()
    putts = page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")
    expect(putts).to_have_count(5)
    served.start()
    expect(page.locator("[data-link='saved']")).to_be_visible(timeout=12_000)
    page.reload()
    expect(putts).to_have_count(5)
    expect(putts.first).to_contain_text("outside the right post")


def test_what_waits_survives_a_closed_page(page: Page, served: Served):
    own_lesson(page, "Closed Golfer")
    start_block(page)
    page.keyboard.press("3")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    served.kill()
    page.keyboard.press("2")
    expect(page.locator("[data-link='1 waiting']")).to_be_visible()
    address = page.url
    page.close()
    served.start()
    again = page.context.new_page()
    again.goto(address)
    expect(again.get_by_role("list", name="Putts, newest first").get_by_role("listitem")).to_have_count(2)
    expect(again.locator("[data-link='saved']")).to_be_visible()


def test_a_refused_putt_says_why_and_is_kept_until_seen(page: Page):
    own_lesson(page, "Refused Golfer")
    start_block(page)
    page.keyboard.press("3")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    stands(page)
    # Somebody voids the lesson from another device.
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    page.request.put(f"/api/lessons/{lesson}/voided", data={"reason": "wrong golfer"})
    page.keyboard.press("4")
    alert = page.get_by_role("alert")
    expect(alert).to_contain_text("Not kept: Putt touched the right post")
    expect(alert).to_contain_text("Restore the lesson")
    alert.get_by_role("button", name="I have seen it").click()
    expect(page.locator("[data-link='saved']")).to_be_visible()


def test_an_entry_out_of_limits_keeps_the_last_drawing_and_says_the_limit(page: Page):
    own_lesson(page, "Limits Golfer")
    choose_rig(page, "Gate of pegs")
    expect(page.locator("[data-stage] svg")).to_have_attribute("aria-label", re.compile("gate of pegs"))
    width = page.get_by_label("Inside width", exact=True)
    width.fill("30")
    width.press("Enter")
    expect(page.get_by_text("Inside width is 30 mm; it must be 43.7 mm to 300 mm.").first).to_be_visible()
    expect(page.get_by_role("button", name="Start block")).to_be_disabled()
    expect(page.locator("[data-stage] svg")).to_be_visible()
    width.fill("six")
    width.press("Enter")
    expect(page.get_by_text("“six” can’t be read. Write millimetres (65), or with another unit")).to_be_visible()
    width.fill("6.5 cm")
    width.press("Enter")
    expect(width).to_have_value("65")
    expect(page.get_by_role("button", name="Start block")).to_be_enabled()


def test_an_answer_does_not_change_a_number_under_the_cursor(page: Page):
    own_lesson(page, "Cursor Golfer")
    choose_rig(page, "Gate of pegs")
    strict, wide = (page.get_by_label(it, exact=True) for it in ("Lets through ±", "Inside width"))
    expect(strict).to_have_value("1.42")
    let_go = hold_first_answer(page, "**/api/stations/preview*")
    with page.expect_request("**/api/stations/preview*"):
        wide.fill("58")
        strict.select_text()
    with page.expect_response("**/api/stations/preview*"):
        let_go()
    expect(page.locator("[data-fit]")).to_contain_text("1.25°")
    page.keyboard.type("0.8")
    page.keyboard.press("Enter")
    expect(wide).to_have_value("52.4")
    # Once taken it follows again, and the buttons step from there.
    expect(strict).to_have_value("0.80")
    page.get_by_role("button", name="Inside width: more").click()
    expect(wide).to_have_value("53.4")


def test_a_block_waits_for_its_plan_however_long_that_is_on_its_way(page: Page):
    own_lesson(page, "Quick Golfer")
    held: list[Route] = []
    page.route("**/api/stations/0*", lambda route: held.append(route), times=1)
    choose_rig(page, "No start rig")
    plan(page, "Beside it")
    page.get_by_role("button", name="Lay something with it…").click()
    page.get_by_role("dialog").get_by_role("radio", name="Pace").click()
    with page.expect_response("**/api/stations/preview*"):
        page.get_by_role("button", name="Lay it too: Rings round the hole").click()
    until(page, lambda: held)
    page.get_by_role("button", name="Start block").click()
    laid_out(page)
    held[0].continue_()
    expect(page.locator("[data-note-step='aid:rings']")).to_be_visible()


def test_width_follows_the_wanted_strictness(page: Page):
    own_lesson(page, "Strict Golfer")
    choose_rig(page, "Gate of pegs")
    strict = page.get_by_label("Lets through ±", exact=True)
    strict.fill("0.8")
    strict.press("Enter")
    expect(page.get_by_label("Inside width", exact=True)).to_have_value("52.4")
    expect(strict).to_have_value("0.80")
    strict.fill("0.01")
    strict.press("Enter")
    expect(page.get_by_text("can't be had here")).to_be_visible()
    expect(page.get_by_label("Inside width", exact=True)).to_have_value("52.4")


def test_a_coarse_rig_offers_what_would_do(page: Page):
    own_lesson(page, "Coarse Golfer")
    plan(page, "Rig")
    page.get_by_label("Smallest mark", exact=True).fill("50")
    page.keyboard.press("Enter")
    expect(page.locator("[data-fit=coarse]")).to_contain_text("under a third of the window")
    page.get_by_role("button", name=re.compile("Use: Read to")).click()
    expect(page.locator("[data-fit]")).to_be_visible()


def test_units_and_light_are_remembered(page: Page):
    page.goto("/")
    page.get_by_role("button", name="change the units").click()
    page.get_by_role("button", name="change the light").click()
    expect(page.get_by_text(re.compile(r"· \d+ ft \d")).first).to_be_visible()
    page.reload()
    expect(page.locator("html[data-light=dim]")).to_be_attached()
    expect(page.get_by_text(re.compile(r"· \d+ ft \d")).first).to_be_visible()


def test_a_lesson_is_ended_opened_again_and_voided(page: Page):
    own_lesson(page, "Ending Golfer")
    start_block(page)
    page.keyboard.press("3")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.get_by_role("button", name="Lesson", exact=True).click()
    page.get_by_role("button", name="End lesson").click()
    expect(page.get_by_text("This lesson has ended. Open it again")).to_be_visible()
    page.get_by_role("button", name="Lesson", exact=True).click()
    page.get_by_role("button", name="Open it again").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2 ")
    page.get_by_role("button", name="Lesson", exact=True).click()
    page.get_by_role("button", name="Void lesson…").click()
    page.get_by_label("Why it doesn't count").fill("wrong golfer")
    page.get_by_role("button", name="Void this lesson").click()
    expect(page.get_by_text("This lesson is voided (wrong golfer)")).to_be_visible()


def test_a_tap_is_on_screen_at_once_even_when_the_server_is_slow(page: Page):
    own_lesson(page, "Slow Golfer")
    start_block(page)
    held = []
    page.route("**/api/readings/**", lambda route: held.append(route))
    with page.expect_request("**/api/readings/**"):
        page.keyboard.press("3")
    putts = page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")
    expect(putts).to_have_count(1, timeout=1000)
    expect(page.locator("[data-link='1 waiting']")).to_be_visible(timeout=1000)
    # The answer comes only now: until here nothing shown can have waited for it.
    until(page, lambda: held)
    held[0].continue_()
    expect(page.locator("[data-link='saved']")).to_be_visible()


def test_a_breaking_putt_is_set_with_a_level_and_proved(page: Page):
    own_lesson(page, "Slope Golfer")
    expect(page.locator("[data-unproved]")).to_contain_text("The line is not proved")
    page.get_by_role("button", name="Read with a level…").click()
    page.get_by_label("Along the line, to the hole", exact=True).fill("0")
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Use this slope")).to_be_disabled()
    page.get_by_label("Across, to the right", exact=True).fill("1.5")
    page.keyboard.press("Enter")
    expect(page.locator("[data-slope]")).to_contain_text("Falls 1.5 %, 90° right of the line")
    page.get_by_role("button", name="Use this slope").click()
    expect(page.locator("[data-breaks]")).to_contain_text("left of the hole's centre")
    expect(page.locator("[data-stage] polyline.path")).to_be_visible()
    plan(page, "Proof")
    prove_by_tape(page)
    expect(page.locator("[data-trust]")).to_contain_text("Proved by tape to both edges, measured 2 times")
    page.get_by_role("button", name="Read the rig again and again…").click()
    dialog = page.get_by_role("dialog")
    for _ in range(3):
        dialog.get_by_role("button", name=re.compile("^Record")).click()
    dialog.get_by_role("button", name="Use these 3 readings").click()
    expect(page.get_by_role("button", name="Drop the check of 3 readings")).to_be_visible()
    plan(page, "Putt")
    page.get_by_label("Falls to the hole", exact=True).fill("9")
    page.keyboard.press("Enter")
    expect(page.get_by_text(re.compile("No putt arrives at that pace")).first).to_be_visible()
    page.get_by_label("Falls to the hole", exact=True).fill("-1")
    page.keyboard.press("Enter")
    expect(page.locator("[data-unproved]")).to_contain_text("The proof fell: the slope was changed after it")
    start_block(page, "Ruler board")
    page.keyboard.press("0")
    putts = page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")
    expect(putts.first).to_contain_text("◂")


def test_a_station_is_kept_shared_and_used_again(page: Page, tmp_path):
    own_lesson(page, "Kept Golfer")
    choose_rig(page, "Gate of pegs")
    expect(page.locator("[data-stage] svg")).to_have_attribute("aria-label", re.compile("gate of pegs"))
    page.get_by_role("button", name="Kept stations…").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name for the station as it stands").fill("Gate for Fridays")
    dialog.get_by_role("button", name="Keep it").click()
    expect(dialog.get_by_role("button", name="Use Gate for Fridays")).to_be_visible()
    with page.expect_download() as download:
        dialog.get_by_role("link", name="File of Gate for Fridays").click()
    shared = tmp_path / "shared.json"
    download.value.save_as(shared)
    dialog.get_by_role("button", name="Put away Gate for Fridays").click()
    expect(dialog.get_by_text("was put away")).to_be_visible()
    broken = tmp_path / "broken.json"
    broken.write_text(shared.read_text().replace('"version":3', '"version":9'))
    dialog.get_by_label("Read one from a file").set_input_files(broken)
    expect(dialog.get_by_role("alert")).to_contain_text("version 9")
    dialog.get_by_label("Read one from a file").set_input_files(shared)
    expect(dialog.get_by_role("button", name="Use Gate for Fridays")).to_be_visible()
    page.keyboard.press("Escape")
    choose_rig(page, "Ruler board")
    page.get_by_role("button", name="Kept stations…").click()
    dialog.get_by_role("button", name="Use Gate for Fridays").click()
    expect(page.locator("[data-stage] svg")).to_have_attribute("aria-label", re.compile("gate of pegs"))


@pytest.mark.parametrize("search", ["Solv", "zzz"])
def test_golfers_are_found_by_name(page: Page, search: str):
    page.goto("/")
    page.get_by_label("Find a golfer by name").fill(search)
    if search == "zzz":
        expect(page.get_by_text("Nobody here is called “zzz”.")).to_be_visible()
    else:
        expect(page.get_by_role("list").get_by_role("link", name="Greta Solvang")).to_be_visible()
        expect(page.get_by_role("list").get_by_role("link", name="Idris Vantongeren")).to_be_hidden()


def test_a_write_that_nobody_signed_in_for_waits_and_is_not_refused(page: Page):
    own_lesson(page, "Signed Out Golfer")
    start_block(page)
    said = {"type": "urn:libella:problem:sign-in", "title": "Sign in", "status": 401, "detail": "Sign in."}
    page.route("**/api/readings/*", lambda it: it.fulfill(status=401, json=said))
    zone(page, "clean").click()
    expect(page.get_by_role("status").filter(has_text="1 waiting for a sign-in")).to_be_visible()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    page.unroute("**/api/readings/*")
    expect(page.locator("[data-link='saved']")).to_be_visible()


def test_a_device_whose_clock_is_wrong_loses_no_putt(page: Page):
    """Ten minutes fast: what it writes down would lie in the future."""
    page.add_init_script("const now = Date.now.bind(Date); Date.now = () => now() + 600000")
    own_lesson(page, "Fast Clock Golfer")
    start_block(page)
    zone(page, "clean").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    expect(page.locator("[data-link='saved']")).to_be_visible()


def test_on_a_phone_there_is_a_ruler_to_press_whatever_notices_stand(page: Page):
    own_lesson(page, "Phone Notices")
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    page.request.put("/api/pauses", data={"spot_putts": 3, "feet_min": 10, "rest_min": 10})
    page.reload()
    for n in range(10):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        page.keyboard.press("0")
    page.set_viewport_size({"width": 390, "height": 844})
    # The most that can stand above the ruler: the block's end with all that may come next, and the notice to move on.
    expect(page.get_by_role("button", name="Next golfer").first).to_be_visible()
    expect(page.locator("[data-nudge=spot]")).to_be_visible()
    entry = page.locator("[data-entry]").bounding_box()
    ruler = page.get_by_role("slider").bounding_box()
    assert entry and ruler and ruler["height"] >= 160, (entry, ruler)
    page.request.put("/api/pauses", data={"spot_putts": 10, "feet_min": 10, "rest_min": 10})
