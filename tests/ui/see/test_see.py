"""What looks straight, asked as a coach asks it: by key, by touch, hidden until shown."""

import re

import pytest
from playwright.sync_api import Page, expect

from ..conftest import hold_first_answer, own_lesson


def to_see(page: Page, name: str) -> None:
    own_lesson(page, name)
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="See").click()
    page.get_by_role("radio", name="What looks straight").click()
    expect(page.get_by_role("heading", name="What looks straight to this golfer?")).to_be_visible()


def true_angle(page: Page) -> float:
    said = re.search(r"rod ([\d.]+)° (left|right)", page.locator("[data-lay]").inner_text())
    return 0.0 if said is None else float(said[1]) * (1 if said[2] == "right" else -1)


def answers(page: Page, straight: float, n: int) -> None:
    """n answers by key of a golfer to whom a rod at `straight` looks straight."""
    for _ in range(n):
        before = page.locator("[data-asked]").inner_text()
        off = true_angle(page) - straight
        page.keyboard.press("2" if abs(off) < 0.4 else "ArrowLeft" if off < 0 else "ArrowRight")
        expect(page.locator("[data-asked]")).not_to_have_text(before)


def test_a_golfer_is_asked_by_keys_and_nothing_shows_until_it_is_shown(page: Page):
    to_see(page, "Seeing Golfer")
    page.get_by_role("button", name="Begin asking").click()
    expect(page.locator("[data-asked]")).to_have_text("Answer 1")
    expect(page.get_by_role("button", name="6 more before it is shown")).to_be_disabled()
    answers(page, 1.25, 14)
    expect(page.locator("[data-vial]")).to_have_count(0)
    expect(page.get_by_text("of true")).to_have_count(0)
    # What is undone is the last answer that was kept.
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.keyboard.press("u")
    expect(page.locator("[data-asked]")).to_have_text("Answer 14")
    answers(page, 1.25, 1)
    page.get_by_role("button", name="Show what they say").click()
    headline = page.locator("[data-headline]")
    expect(headline).to_contain_text(re.compile(r"Straight is 1\.\d° right of true, can.t tell yet"))
    expect(page.get_by_text("one on the true line looks left")).to_be_visible()
    expect(page.get_by_role("link", name=re.compile("See Straight is"))).to_be_visible()
    page.reload()
    expect(headline).to_contain_text("right of true")
    page.get_by_role("button", name="Ask on").click()
    expect(page.locator("[data-asked]")).to_have_text("Answer 15")


def test_an_undo_told_while_an_answer_is_on_its_way_takes_that_answer_back(page: Page):
    to_see(page, "Quick Golfer")
    page.get_by_role("button", name="Begin asking").click()
    answers(page, 0, 2)
    let_go = hold_first_answer(page, "**/api/sight-trials/*")
    with page.expect_request("**/api/sight-trials/*"):
        page.keyboard.press("2")
    page.keyboard.press("u")
    with page.expect_request("**/api/sight-trials/*/voided*"):
        let_go()
    expect(page.locator("[data-asked]")).to_have_text("Answer 3")


def test_the_tablet_turned_to_the_golfer_shows_only_the_question(page: Page):
    to_see(page, "Turned Golfer")
    page.get_by_role("button", name="Begin asking").click()
    page.get_by_role("button", name="Turn to the golfer").click()
    view = page.locator("[data-golfer]")
    expect(view).to_contain_text("Where does the rod point?")
    box = view.bounding_box()
    assert (box["width"], box["height"]) == (1280, 800)
    assert "°" not in view.inner_text() and "Answer" not in view.inner_text()
    view.get_by_role("button", name="Left").tap()
    view.get_by_role("button", name="Back to the coach").click()
    expect(page.locator("[data-asked]")).to_have_text("Answer 2")


def test_a_rod_is_turned_and_a_place_is_pointed_to(page: Page):
    to_see(page, "Turning Golfer")
    page.get_by_role("radio", name="Turn it").click()
    page.get_by_text("Under which conditions").click()
    page.get_by_label("Rod’s far end", exact=True).fill("40 m")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Begin asking").click()
    expect(page.get_by_text("Rod’s far end is 40 m; it must be 500 mm to 15 m.").first).to_be_visible()
    page.get_by_label("Rod’s far end", exact=True).fill("2 m")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Begin asking").click()
    for n, mm in enumerate((-40, -30, -35, -45, -40, -35), start=1):
        page.get_by_label("Beside the line", exact=True).fill(str(mm))
        page.keyboard.press("Enter")
        page.get_by_role("button", name="Record it").click()
        expect(page.locator("[data-asked]")).to_have_text(f"Answer {n + 1}")
    page.get_by_role("button", name="Show what they say").click()
    expect(page.locator("[data-headline]")).to_contain_text("left of true, can't tell yet")


def test_eyes_are_marked_by_tap_and_by_number_and_judged_against_the_zone(page: Page):
    to_see(page, "Eyed Golfer")
    page.get_by_role("radio", name="Where the eyes are").click()
    expect(page.locator("[data-wanted]")).to_contain_text("Lead eye")
    mirror = page.locator("[data-mirror]")
    box = mirror.bounding_box()
    ghost = page.locator("[data-mirror] ellipse.ghost").first
    ball = ghost.bounding_box()
    x, y = ball["x"] + ball["width"] / 2, ball["y"] + ball["height"] / 2
    scale = 2 * float(ghost.get_attribute("rx")) / 42.67
    # A left-handed golfer stands below the line here: inside is down the page.
    page.mouse.move(x + 30 * scale, y + 30 * scale)
    page.mouse.down()
    expect(page.locator("[data-readout]")).to_contain_text("30 mm inside, 30 mm ahead")
    page.mouse.up()
    expect(page.locator("[data-wanted]")).to_contain_text("Trail eye")
    page.mouse.click(x - 32 * scale, y + 30 * scale)
    expect(page.get_by_label("Trail eye behind", exact=True)).to_have_value("32")
    page.get_by_role("button", name="Keep this look").click()
    looks = page.get_by_role("list", name="Looks, newest first").get_by_role("listitem")
    expect(looks).to_have_count(1)
    assert box["height"] > 250

    # The same by number; the mirror falls to the golfer.
    page.get_by_label("Mirror falls to the golfer", exact=True).fill("1")
    page.keyboard.press("Enter")
    for name, value in (
        ("Lead eye inside", 12),
        ("Lead eye behind", -33),
        ("Trail eye inside", 12),
        ("Trail eye behind", 31),
    ):
        page.get_by_label(name, exact=True).fill(str(value))
        page.keyboard.press("Enter")
    page.get_by_role("button", name="Keep this look").click()
    expect(looks.first).to_contain_text("26.5 mm inside")
    words = page.locator("[data-eye-words]")
    expect(words).to_contain_text(re.compile(r"Eyes \d+ mm inside the line"))
    looks.first.get_by_role("button", name="Void").click()
    expect(looks.first.get_by_role("button", name="Restore")).to_be_visible()
    page.locator("[data-school-mark=eyes]").first.click()
    sheet = page.get_by_role("dialog")
    sheet.get_by_role("group").first.get_by_role("radio", name="Over the line").click()
    expect(sheet.locator("[data-held]")).to_contain_text("Over the line")
    sheet.get_by_role("button", name="Close").click()
    expect(words).to_contain_text("(a school's opinion): too far in, likely.")
    page.get_by_label("To, inside", exact=True).fill("-20")
    page.keyboard.press("Enter")
    expect(page.get_by_text("The zone's inner edge must lie further inside.")).to_be_visible()
    page.get_by_label("Mirror falls to the golfer", exact=True).fill("30")
    page.keyboard.press("Enter")
    for name, value in (("Lead eye behind", -33), ("Trail eye behind", 31)):
        page.get_by_label(name, exact=True).fill(str(value))
        page.keyboard.press("Enter")
    page.get_by_role("button", name="Keep this look").click()
    expect(page.get_by_text(re.compile("it must be -10 % to 10 %")).first).to_be_visible()

    # Another set-up is looked at by its name, and kept as the golfer's card by it.
    page.get_by_role("radio", name="Another set-up…").click()
    page.get_by_role("textbox", name="Another set-up").fill("chin tucked")
    page.keyboard.press("Enter")
    page.get_by_label("Mirror falls to the golfer", exact=True).fill("0")
    page.keyboard.press("Enter")
    for name, value in (("Lead eye inside", 12), ("Lead eye behind", 0), ("Trail eye inside", 14)):
        page.get_by_label(name, exact=True).fill(str(value))
        page.keyboard.press("Enter")
    page.get_by_label("Trail eye behind", exact=True).fill("65")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Keep this look").click()
    tucked = page.locator("[data-set-up='chin tucked']")
    tucked.get_by_role("button", name="Keep “chin tucked” as a card").tap()
    expect(tucked.locator("[data-kept]")).to_be_visible()
    page.get_by_role("radio", name="What moves it").click()
    expect(page.get_by_role("listitem").filter(has_text="chin tucked")).to_be_visible()


@pytest.mark.parametrize("width", [820, 390])
def test_eyes_are_told_one_way_alone_with_one_tap_a_look(page: Page, width: int):
    page.set_viewport_size({"width": width, "height": 1180 if width == 820 else 844})
    to_see(page, "One Way Golfer")
    page.get_by_role("radio", name="Where the eyes are").click()
    page.get_by_role("button", name="One way alone…").click()
    looks = page.get_by_role("list", name="Looks, newest first").get_by_role("listitem")
    sides = page.get_by_role("group", name="Where the middle of the eyes is")
    for n in range(3):
        sides.get_by_role("button", name="Inside", exact=True).click()
        expect(looks).to_have_count(n + 1)
    words = page.locator("[data-eye-words]")
    expect(words).to_contain_text("Eyes inside the line in 3 of 3 looks; how far was not read.")
    # A look that is refused stays in its field.
    page.get_by_label("How far", exact=True).fill("500")
    page.keyboard.press("Tab")
    sides.get_by_role("button", name="Behind the ball").click()
    expect(page.get_by_text("it must be 0 mm to 300 mm").first).to_be_visible()
    expect(page.get_by_label("How far", exact=True)).to_have_value("500")
    page.get_by_label("How far", exact=True).fill("30")
    page.keyboard.press("Tab")
    sides.get_by_role("button", name="Behind the ball").click()
    expect(looks.first).to_contain_text("30 mm behind")
    expect(words).to_contain_text("30 mm behind the ball")
