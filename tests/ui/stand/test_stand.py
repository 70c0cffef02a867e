"""Stand, the map, the card and the daily check, done as a coach does them."""

import re

from playwright.sync_api import Page, expect

from ..conftest import hold_first_answer, own_lesson
from ..see.test_see import answers, to_see, true_angle
from ..test_views import open_lesson


def fill(page: Page, name: str, value: object) -> None:
    page.get_by_label(name, exact=True).fill(str(value))
    page.keyboard.press("Enter")


def test_a_set_up_is_noted_drawn_and_taken_again(page: Page):
    own_lesson(page, "Standing Golfer")
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="Stand").click()
    expect(page.get_by_role("heading", name="How the golfer stands")).to_be_visible()
    fill(page, "Ball to the toes", 240)
    tapes = page.locator("[data-above] text")
    expect(tapes.filter(has_text="24 cm")).to_be_visible()
    page.get_by_role("button", name="Shoulders: left").click()
    expect(page.locator("[data-above] text").filter(has_text="shoulders")).to_be_visible()
    expect(page.get_by_role("link", name=re.compile("Stand 2 things noted"))).to_be_visible()

    # What is asked for is the coach's choice; what can't be is refused and the rest stays.
    page.get_by_role("button", name="What to note").click()
    page.get_by_role("button", name="Putter's sole").click()
    page.get_by_role("button", name="Done").click()
    page.get_by_role("button", name="Putter's sole: heel up").tap()
    fill(page, "Stance width", 9999)
    expect(page.get_by_text("Stance width is 9.999 m; it must be 50 mm to 900 mm.")).to_be_visible()
    fill(page, "Stance width", 300)
    expect(tapes.filter(has_text="30 cm")).to_be_visible()

    for n, toes in enumerate((290, 205, 270), start=2):
        page.get_by_role("button", name="Step away and back").click()
        expect(page.get_by_role("heading", name=f"Stepped away and back: time {n}")).to_be_visible()
        fill(page, "Ball to the toes", toes)
        expect(page.get_by_role("list", name="Times").get_by_role("listitem")).to_have_count(n)
    expect(page.locator("[data-wander]")).to_contain_text("Ball to the toes wanders by")
    page.reload()
    expect(page.get_by_label("Ball to the toes", exact=True)).to_have_value("240")
    page.get_by_role("button", name="New set-up").click()
    fill(page, "Ball to the toes", 260)
    expect(page.locator("[data-change]").filter(has_text="20 mm further off")).to_be_visible()


def test_what_was_found_with_the_head_moved_comes_on_the_map_and_a_change_is_kept(page: Page):
    to_see(page, "Mapped Golfer")
    # Which angles are asked is drawn anew each time: far enough apart, the same is found whichever are.
    for straight, moved in ((2.5, False), (0.25, True), (0.25, True)):
        if moved:
            page.get_by_role("radio", name="What moves it").click()
            expect(page.locator("[data-next]")).to_contain_text("25 mm further in")
            page.get_by_role("button", name="Ask there").click()
            expect(page.get_by_label("Eyes in or out: further in", exact=True)).to_have_value("25")
        page.get_by_role("button", name="Begin asking").click()
        expect(page.locator("[data-asked]")).to_have_text("Answer 1")
        answers(page, straight, 10)
        if moved:
            felt = page.locator("[data-felt]")
            felt.get_by_role("group", name="Comfort").get_by_role("button", name="4").tap()
            expect(felt.get_by_role("group", name="Comfort").get_by_role("button", name="4")).to_have_attribute(
                "aria-pressed", "true"
            )
        page.get_by_role("button", name="Show what they say").click()
        expect(page.locator("[data-headline]").first).to_be_visible()
    page.get_by_role("radio", name="What moves it").click()
    expect(page.locator("[data-map-headline]")).to_contain_text(
        re.compile(r"Smallest playable change: \d+ mm further in")
    )
    expect(page.locator("[data-map] .ring")).to_have_count(1)
    expect(page.get_by_role("list", name="Places asked at")).to_contain_text("comfort 4 of 5")
    page.locator('[data-effects] [data-why="inside"]').click()
    why = page.get_by_role("dialog")
    expect(why.locator("[data-sums]")).to_contain_text("further in, the line swings right")
    expect(why.locator("[data-rests] a")).to_have_count(3)
    page.keyboard.press("Escape")
    page.get_by_role("button", name="What coaches believe").click()
    expect(page.locator("[data-effects]")).to_contain_text("further in, the line swings left")
    page.get_by_label("A note on it").fill("bow from the hips")
    page.get_by_role("button", name="Keep the change").click()
    card = page.locator("[data-card]")
    expect(card).to_contain_text(re.compile(r"mm further in.*bow from the hips", re.DOTALL))
    with page.expect_download() as saved:
        card.get_by_role("button", name="Print card").click()
    assert saved.value.suggested_filename == "set-up-card-a4.pdf"
    card.get_by_role("button", name="Put away").click()
    expect(card).to_have_count(0)
    page.get_by_role("button", name="Bring it back").click()
    expect(card).to_have_count(1)


def test_a_quick_check_takes_three_steps_and_says_what_drifted(page: Page):
    page.goto(f"/lessons/{open_lesson(page)}/see")
    page.get_by_role("radio", name="Quick check").click()
    page.get_by_role("button", name="Begin the check").click()
    ball = page.locator("[data-mirror] ellipse.ghost").first.bounding_box()
    x, y = ball["x"] + ball["width"] / 2, ball["y"] + ball["height"] / 2
    scale = ball["width"] / 42.67
    expect(page.locator("[data-step]")).to_have_text("Step 1 of 3")
    for along in (30, -35):
        page.mouse.click(x + along * scale, y + 40 * scale)
    expect(page.locator("[data-step]")).to_have_text("Step 2 of 3")
    page.get_by_role("button", name="No gap: square").tap()
    expect(page.locator("[data-lay]")).to_contain_text("1 of 5")
    for n in range(1, 6):
        lay = page.locator("[data-lay]")
        expect(lay).to_contain_text(f"{n} of 5")
        off = true_angle(page)
        page.keyboard.press("2" if abs(off) < 0.4 else "1" if off < 0 else "3")
        if n == 2:
            expect(lay).to_contain_text("3 of 5")
            page.keyboard.press("u")
            expect(lay).to_contain_text("2 of 5")
            page.keyboard.press("3" if true_angle(page) > 0 else "1")
    check = page.locator("[data-check]").first
    expect(check.locator("[data-alert]")).to_contain_text("Drift: eyes")
    expect(check).to_contain_text("Set down square")
    page.reload()
    page.get_by_role("radio", name="Quick check").click()
    expect(page.locator("[data-check]").first.locator("[data-alert]")).to_contain_text("Drift: eyes")


def test_a_list_asked_before_the_check_does_not_undo_it(page: Page):
    """A list of checks that answers late neither hides the check begun meanwhile nor asks a rod that is not its own."""
    lesson = open_lesson(page)
    let_go = hold_first_answer(page, "**/api/lessons/*/quick-checks*")
    page.goto(f"/lessons/{lesson}/see")
    page.get_by_role("radio", name="Quick check").click()
    page.get_by_role("button", name="Begin the check").click()
    mirror = page.locator("[data-mirror]").bounding_box()
    for along in (0.55, 0.45):
        page.mouse.click(mirror["x"] + mirror["width"] * along, mirror["y"] + mirror["height"] / 2)
    with page.expect_response(lambda it: it.request.method == "PUT" and it.request.post_data_json["square_m"] == 0):
        page.get_by_role("button", name="No gap: square").tap()
    lay = page.locator("[data-lay]")
    expect(lay).to_contain_text("1 of 5")
    laid = lay.inner_text()
    with page.expect_response("**/api/lessons/*/quick-checks*"):
        let_go()
    expect(lay).to_have_text(laid)
    page.keyboard.press("2")
    expect(lay).to_contain_text("2 of 5")


def test_without_a_card_a_quick_check_says_what_to_do(page: Page):
    to_see(page, "Cardless Golfer")
    page.get_by_role("radio", name="Quick check").click()
    expect(page.get_by_text("Keep one under “What moves it”")).to_be_visible()
    page.get_by_role("radio", name="What moves it").click()
    page.get_by_role("button", name="Keep this set-up as it is").click()
    expect(page.get_by_text("There is nothing to keep yet.")).to_be_visible()


def test_eyes_are_told_by_a_string_and_a_look_is_read_again(page: Page):
    to_see(page, "String Golfer")
    page.get_by_role("radio", name="Where the eyes are").click()
    page.get_by_role("radio", name="By a string").click()
    page.get_by_role("button", name="far edge").tap()
    expect(page.locator("[data-eye-words]")).to_contain_text("inside the line")
    expect(page.get_by_role("list", name="Looks, newest first")).to_contain_text("string:")
    page.get_by_role("radio", name="By a strip").click()
    # The two strips read oppositely: which one lies there is asked first.
    expect(page.get_by_role("button", name="Dark at the far edge")).to_have_count(0)
    page.get_by_role("button", name="Through a slot").tap()
    page.get_by_role("button", name="Dark at the far edge").tap()
    expect(page.get_by_role("list", name="Looks, newest first")).to_contain_text("beyond 15 mm inside")
    page.get_by_role("radio", name="In the mirror").click()
    for reading in (30, 34):
        for name, value in (("Lead eye inside", reading), ("Lead eye behind", -32), ("Trail eye inside", reading)):
            fill(page, name, value)
        fill(page, "Trail eye behind", 32)
        if reading == 34:
            page.get_by_role("checkbox", name="This reads the last look").check()
        page.get_by_role("button", name="Keep this look").click()
        expect(page.get_by_role("list", name="Looks, newest first")).to_contain_text(f"{reading} mm inside")
    expect(page.get_by_role("list", name="Looks, newest first")).to_contain_text("read again")
    expect(page.locator("[data-eye-words]")).to_contain_text("by the looks read twice")


def test_the_golfers_own_screen_follows_and_tells_nothing_else(page: Page):
    to_see(page, "Screened Golfer")
    page.get_by_role("button", name="Begin asking").click()
    with page.context.expect_page() as opened:
        page.get_by_role("link", name="Golfer’s own screen").click()
    screen = opened.value
    question = screen.locator("[data-question]")
    expect(question).to_contain_text("Where does the rod point?")
    answers(page, 0.5, 6)
    assert "°" not in screen.inner_text("body") and "Answer" not in screen.inner_text("body")
    page.get_by_role("button", name="Show what they say").click()
    expect(question).to_contain_text("Nothing is asked just now.")
