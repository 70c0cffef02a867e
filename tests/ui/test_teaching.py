"""A teaching drawing by finger and key: what is seen follows, and says what the server makes of it."""

from playwright.sync_api import Page, expect

from .conftest import own_lesson, stands


def _drawn(page: Page, lesson: str, code: str, stand: str = "") -> dict:
    params = {"stand": stand} if stand else {}
    return page.request.get(f"/api/lessons/{lesson}/teaching/{code}", params=params).json()


def test_a_finger_on_the_picture_moves_the_lever_and_every_step_is_a_picture_of_the_servers(page: Page):
    own_lesson(page, "Taught Golfer")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    page.goto(f"/lessons/{lesson}/teaching?show=cost")
    board, picture = page.locator("[data-taught]"), page.locator("[data-taught-picture]")
    expect(picture.locator("svg")).to_be_visible()
    frames = _drawn(page, lesson, "cost")["moved"][0]["frames"]
    told = {frame["value"]: frame["told"][0] for frame in frames}
    box = picture.bounding_box()
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    seen = set()
    for n in range(1, 13):
        page.mouse.move(x + n * box["width"] / 40, y)
        at = float(board.get_attribute("data-shown"))
        assert page.locator("[data-told]").first.inner_text() == told[at]
        seen.add(at)
    assert len(seen) > 8, "it follows the finger"
    page.mouse.up()
    last = max(seen)
    # Another lever is then drawn with the first where it was let go.
    expected = _drawn(page, lesson, "cost", f"bias:{last}")
    spread = next(it for it in expected["moved"] if it["lever"] == "spread")["frames"][-1]
    lever = page.locator("[data-lever=spread] input")
    stands(page)
    lever.focus()
    page.keyboard.press("End")
    expect(page.locator("[data-told]").first).to_have_text(spread["told"][0])
    expect(page.locator("[data-lever=spread] output")).to_have_text(spread["says"])


def test_ten_are_drawn_again_and_again_by_one_tap(page: Page):
    own_lesson(page, "Drawn Golfer")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    page.goto(f"/lessons/{lesson}/judge")
    page.goto(f"/lessons/{lesson}/teaching?show=ten")
    draws = page.locator("[data-told]").last
    for n in (1, 2, 3, 4):
        expect(draws).to_contain_text(f"Draws so far: {n}.")
        page.get_by_role("button", name="Draw again").click()
