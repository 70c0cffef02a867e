"""What else is noted of a putt: the felt call before the reading, the rest after it, nothing lost on the way."""

import re

from playwright.sync_api import Page, expect

from ..conftest import choose_rig, hold_first_answer, own_lesson, stands


def begin(page: Page, name: str, *notes: str) -> None:
    own_lesson(page, name)
    page.get_by_text("Also note").click()
    for it in notes:
        page.get_by_role("button", name=it, exact=True).click()
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")


def test_a_putt_is_told_step_by_step_in_the_order_in_which_it_happens(page: Page):
    begin(page, "Noting Golfer", "Finish", "Felt start", "Strike")
    step = page.locator("[data-note-step]")
    putts = page.get_by_role("list", name="Putts, newest first").get_by_role("listitem")
    expect(step).to_have_attribute("data-note-step", "felt")
    page.keyboard.press("1")
    # The reading comes after the call; nothing is kept before the last step.
    expect(page.get_by_role("slider")).to_be_visible()
    page.keyboard.press("0")
    expect(step).to_have_attribute("data-note-step", "strike")
    expect(putts).to_have_count(0)
    page.reload()
    expect(step).to_have_attribute("data-note-step", "strike")
    page.keyboard.press("u")
    expect(page.get_by_role("slider")).to_be_visible()
    page.keyboard.press("ArrowRight")
    page.keyboard.press("Enter")
    # From behind the ball a left-hander's toe is at the left.
    expect(step.get_by_role("group").get_by_role("button").first).to_contain_text("toe high")
    step.get_by_role("button", name="toe low").tap()
    expect(step).to_have_attribute("data-note-step", "finish")
    page.get_by_role("button", name="Skip").click()
    expect(putts).to_have_count(1)
    expect(putts.first).to_contain_text("felt left · strike toe low")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    expect(step).to_have_attribute("data-note-step", "felt")
    page.keyboard.press("u")
    expect(putts.first.get_by_role("button", name="Restore")).to_be_visible()


def test_the_notes_are_told_beside_the_verdict(page: Page):
    begin(page, "Telling Golfer", "Finish")
    for n in range(3):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        page.keyboard.press("0")
        page.locator("[data-note-step=finish]").get_by_role("button", name="short 8", exact=True).tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 4")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Judge")).click()
    page.get_by_role("link", name="One block").click()
    expect(page.locator("[data-quantity=holed]")).to_contain_text("3 missed of 3 putts")
    expect(page.locator("[data-pace]")).to_contain_text("3 of 3 short")


def test_the_wall_shows_the_last_putt_once_its_call_is_in(page: Page):
    begin(page, "Walled Golfer", "Felt start")
    page.get_by_role("button", name="Lesson", exact=True).click()
    with page.context.expect_page() as opened:
        page.get_by_role("link", name="Last putt, for the wall").click()
    page.keyboard.press("Escape")
    expect(page.get_by_role("dialog")).to_have_count(0)
    wall = opened.value.locator("[data-wall]")
    expect(wall).to_contain_text("No putts yet.")
    page.keyboard.press("2")
    for _ in range(3):
        page.keyboard.press("ArrowLeft")
    page.get_by_role("button", name=re.compile("^Record")).click()
    expect(wall).to_contain_text("mm left")
    expect(wall.locator("[data-vial] .tick")).to_have_count(1)
    assert "Judge" not in wall.inner_text() and "°" not in wall.inner_text().split("mm left")[0]


def test_a_wall_opened_just_before_a_putt_still_shows_it(page: Page):
    begin(page, "Early Wall")
    wall = page.context.new_page()
    let_go = hold_first_answer(wall, "**/api/lessons/*/wall*")
    with wall.expect_request("**/api/lessons/*/wall*"):
        wall.goto(page.url.replace("lessons", "wall").split("/start")[0])
    page.keyboard.press("0")
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    let_go()
    # The wall asks anyway every ten seconds: it has to know before that.
    expect(wall.locator("[data-vial] .tick")).to_have_count(1, timeout=7000)


def test_three_figures_of_a_display_are_six_taps_with_the_putt(page: Page):
    own_lesson(page, "Display Golfer")
    choose_rig(page, "Ruler board")
    page.get_by_text("Also note").tap()
    notes = page.get_by_role("group", name="Also note of every putt")
    for name in ("Face at address", "Face at impact", "Path in degrees"):
        notes.get_by_role("button", name=name, exact=True).tap()
    page.get_by_role("button", name="Start block").tap()
    page.get_by_role("button", name="Record on the line").tap()
    # 1.2° left, 0.6° left, 0.4° right: each its whole degrees with their side, and its tenth, in either order.
    taps = 0
    for note, one, other in (
        ("path_deg", "1 left", "tenth 2"), ("face_address_deg", "tenth 6", "0 left"),
        ("face_impact_deg", "0 right", "tenth 4"),
    ):  # fmt: skip
        pad = page.locator(f"[data-note-step={note}]")
        for name in (one, other):
            pad.get_by_role("button", name=name, exact=True).tap()
            taps += 1
    assert taps <= 6
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    stands(page)
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    [block] = page.request.get(f"/api/lessons/{lesson}").json()["blocks"]
    told = page.request.get(f"/api/blocks/{block['id']}/judgement").json()["block"]["readings"][0]["notes"]
    assert told == {"face_address_deg": -0.6, "face_impact_deg": 0.4, "path_deg": -1.2}
    # On the line is one tap; what is larger is typed.
    # By keys: what is too far is refused with its limit, and stays to be put right.
    page.keyboard.press("0")
    for key in ("2", "0", "0"):
        page.keyboard.press(key)
    pad = page.locator("[data-note-step=path_deg]")
    expect(pad.get_by_role("alert")).to_have_text("Path in degrees: at most 15°.")
    page.keyboard.press("Backspace")
    page.keyboard.press("ArrowRight")
    expect(page.locator("[data-note-step=face_address_deg]")).to_be_visible()


def test_a_usual_size_short_or_past_is_one_tap_in_the_units_in_use(page: Page):
    begin(page, "Short By Feet", "Finish", "Short or past by")
    page.get_by_role("button", name=re.compile("change the units")).click()
    page.get_by_role("button", name="Record on the line").click()
    page.locator("[data-note-step=finish]").get_by_role("button", name=re.compile("^short$|^short ")).first.click()
    sizes = page.locator("[data-note-step=ran_past_m]").get_by_role("group", name="Short or past by, usual sizes")
    sizes.get_by_role("button", name="1 ft short", exact=True).click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    expect(page.get_by_role("list", name="Putts, newest first")).to_contain_text("1 ft")


def test_who_looks_at_a_string_is_told_where_one_hangs(page: Page):
    own_lesson(page, "Strung Golfer")
    choose_rig(page, "Ruler board")
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    more = page.get_by_role("button", name="More of this block")
    more.click()
    expect(page.locator("[data-circumstances]")).to_be_visible()
    asked = page.get_by_role("radiogroup", name="Who sees on which side of the string?")
    asked = asked.or_(page.get_by_role("group", name="Who sees on which side of the string?"))
    expect(asked).to_have_count(0)
    page.keyboard.press("Escape")
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Set")).click()
    choose_rig(page, "String over ball and hole")
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    more.click()
    asked.get_by_role("radio", name="You, behind the line").click()
    expect(page.locator("[data-link='saved']")).to_be_visible()
    stands(page)
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    blocks = page.request.get(f"/api/lessons/{lesson}").json()["blocks"]
    assert [it["looker"] for it in blocks] == ["", "coach"]
