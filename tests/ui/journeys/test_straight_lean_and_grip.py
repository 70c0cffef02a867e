"""Where straight looks straight; posts leaned to these eyes; a putter gripped down: by touch on an upright tablet."""

import re

from playwright.sync_api import Page, expect

from ..conftest import choose_rig, own_lesson, plan
from ..see.test_see import answers
from .conftest import Hand
from .test_pegs_and_string import fill, lay_beside
from .test_plan_carried import step


def test_a_golfer_alone_finds_the_place_and_asks_it_from_the_other_side(page: Page, hand: Hand):
    own_lesson(page, "Alone Golfer", hand="right")
    step(page, "See")
    seen, looks = page.locator("[data-first-look]"), page.get_by_role("group", name="It looks")
    looks.get_by_role("button", name=re.compile("Left")).tap()
    expect(seen).to_contain_text("From the usual place a true line looks left.")
    head = page.get_by_role("group", name="Where the head is")
    for place, look in (("further out", "Left"), ("further in", "Straight")):
        head.get_by_role("button", name=re.compile(f"^{place}")).tap()
        looks.get_by_role("button", name=re.compile(look)).tap()
    expect(seen).to_contain_text("With the eyes further in it looks straight.")
    page.get_by_role("group", name="Can be played from, further in").get_by_role("button", name="Playable").tap()
    # Left at any time; what was seen stands.
    step(page, "Aim")
    step(page, "See")
    expect(seen).to_contain_text("With the eyes further in it looks straight.")
    # The whole test is offered there. Moved in the picture: a pull on the head, and back by one tap.
    page.get_by_role("button", name="Full test there").tap()
    place = page.locator("[data-place]")
    expect(place).to_contain_text("25 mm further in")
    head = page.locator("[data-part=head]").bounding_box()
    at = head["x"] + head["width"] / 2, head["y"] + head["height"] * 0.85
    finger = page.context.new_cdp_session(page)
    for n in range(9):
        touched = [{"x": at[0], "y": at[1] + n * 6}]
        finger.send("Input.dispatchTouchEvent", {"type": "touchMove" if n else "touchStart", "touchPoints": touched})
    finger.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})
    expect(place).not_to_contain_text("25 mm further in")

    def back() -> bool:
        # The browser takes a touch right after a quick pull for the end of that pull; no hand is so quick.
        page.get_by_role("button", name="Back to usual").tap()
        return place.inner_text() == "As usual"

    hand.once(page, back)
    # As usual, then from the other side of the hole: two tests, told apart and never one.
    for where, straight in (("", 1.5), ("other side", -1.5)):
        if where:
            page.get_by_text("Under which conditions").tap()
            page.get_by_role("radio", name="Another set-up…").tap()
            page.get_by_label("Another set-up", exact=True).fill(where)
            page.keyboard.press("Enter")
        page.get_by_role("button", name="Begin asking").tap()
        expect(page.locator("[data-asked]")).to_have_text("Answer 1")
        answers(page, straight, 8)
        page.get_by_role("button", name="Show what they say").tap()
        expect(page.locator("[data-sight]").first).to_contain_text(where or "as usual")
    tests = page.locator("[data-sight]")
    expect(tests).to_have_count(2)
    expect(tests.first).to_contain_text(re.compile(r"other side · 8 answers.*left of true", re.S))
    expect(tests.last).to_contain_text(re.compile(r"as usual · 8 answers.*right of true", re.S))


def test_posts_are_leaned_to_these_eyes_and_the_string_is_read_as_it_leans(page: Page):
    own_lesson(page, "Leaning Golfer", hand="right")
    step(page, "See")
    page.get_by_role("radio", name="Where the eyes are").tap()
    for what, behind in (("Lead eye", -32), ("Trail eye", 32)):
        fill(page, f"{what} inside", 30)
        fill(page, f"{what} behind", behind)
    page.get_by_role("button", name="Keep this look").tap()
    expect(page.locator("[data-eye-words]")).to_contain_text("30 mm inside")
    step(page, "Set")
    lay_beside(page, "String over the line", "Where the eyes are")
    # Upright it is wrong for these eyes: said before anything is putted, with the lean that is right.
    fit = page.locator("[data-string-fit]")
    expect(fit).to_be_visible()
    upright = fit.inner_text()
    fit.get_by_role("button", name=re.compile("^Use: ")).tap()
    expect(fit).to_be_hidden()
    lean = page.get_by_label("Stakes lean to the golfer", exact=True)
    expect(lean).not_to_have_value("0")
    assert "For the eyes measured here" in upright and "teaches a wrong picture" in upright
    # Read back as it leans: halving the ball, it says that the eyes are where they were measured.
    step(page, "See")
    page.get_by_role("radio", name="Where the eyes are").tap()
    page.get_by_role("radio", name="By a string").tap()
    page.get_by_role("button", name="splits it").tap()
    expect(page.locator("[data-eye-words]")).to_contain_text(re.compile(r"(2\d|3\d) mm inside"))


def test_a_grip_further_down_is_compared_with_a_rod_for_the_body_and_no_gate(page: Page):
    own_lesson(page, "Gripping Golfer", hand="right")
    choose_rig(page, "No start rig")
    lay_beside(page, "Rod along the toes", "Body lines")
    plan(page, "Putt")
    # It lies there to stand by; read at every putt it is not.
    page.get_by_text("Also note").tap()
    notes = page.get_by_role("group", name="Also note of every putt")
    notes.get_by_role("button", name="Rod along the toes").tap()
    expect(notes.get_by_role("button", name="Finish", exact=True)).to_have_attribute("aria-pressed", "true")
    page.get_by_role("button", name="Compare…").tap()
    sheet = page.get_by_role("dialog")
    group = sheet.get_by_role("radiogroup", name=re.compile("^Condition 2")).or_(
        sheet.get_by_role("group", name=re.compile("^Condition 2"))
    )
    group.get_by_role("radio", name="Something else…").tap()
    sheet.get_by_role("textbox", name="Something else").fill("grip down")
    page.keyboard.press("Enter")
    fill_in = sheet.get_by_label("Putts each", exact=True)
    fill_in.fill("5")
    page.keyboard.press("Enter")
    sheet.get_by_label("Putts in a run", exact=True).fill("5")
    page.keyboard.press("Enter")
    sheet.get_by_role("radio", name="Are more holed?").tap()
    sheet.get_by_role("button", name="Start the comparison").tap()
    finish = page.locator("[data-note-step=finish]")
    for n in range(10):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n % 5 + 1}")
        gripped = "Now: grip down" in page.locator("[data-turn]").inner_text()
        # Holed, or missed with its side: nothing watches the start.
        finish.get_by_role("button", name=re.compile("^holed" if gripped else "^◂ left")).tap()
    expect(page.locator("[data-link='saved']")).to_be_visible()
    step(page, "Judge")
    found = page.locator("[data-compared]").first
    expect(found).to_contain_text("grip down")
    expect(found).to_contain_text(re.compile("5 of 5 against 0 of 5, (clear|likely)"))
