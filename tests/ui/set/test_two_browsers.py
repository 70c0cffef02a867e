"""Two browsers with one lesson's plan open: what each changes is kept, and nothing is written over unsaid."""

import re

from playwright.sync_api import Browser, Page, expect

from ..conftest import own_lesson

ROUNDS = 6


def other_browser(browser: Browser, page: Page) -> Page:
    context = browser.new_context(
        base_url=page.url.split("/lessons")[0], viewport={"width": 1280, "height": 800}, service_workers="block"
    )
    other = context.new_page()
    other.goto(page.url)
    expect(other.locator("[data-fit]")).to_be_visible()
    return other


def fill(page: Page, label: str, value: str) -> None:
    """As typed; waits until the page has nothing left to tell."""
    entry = page.get_by_label(label, exact=True)
    with page.expect_response(lambda it: "/api/stations/" in it.url and it.request.method == "PUT"):
        entry.fill(value)
        entry.press("Enter")


def plan_now(page: Page) -> dict:
    lesson = re.search(r"/lessons/([^/]+)", page.url)[1]
    stations = page.request.get(f"/api/lessons/{lesson}").json()["stations"]
    return next(it for it in stations if it["current"])


def test_what_two_browsers_change_of_one_plan_is_counted_and_none_is_lost(page: Page, browser: Browser):
    own_lesson(page, "Two Coaches")
    fill(page, "Ball to hole", "2.0")
    other = other_browser(browser, page)
    lengths, speeds = [], []
    for n in range(ROUNDS):
        lengths.append(2.1 + n / 10)
        fill(page, "Ball to hole", f"{lengths[-1]:.1f}")
        speeds.append(8 + n / 2)
        fill(other, "Green speed", f"{speeds[-1]}")
        stands = plan_now(page)
        assert (stands["distance_m"], stands["green_speed_ft"]) == (round(lengths[-1], 1), speeds[-1])
    # The same of both: the second is told, and sees what stands.
    fill(other, "Ball to hole", "4")
    expect(other.get_by_text("Ball to hole was changed elsewhere, too")).to_be_visible()
    expect(other.get_by_label("Ball to hole", exact=True)).to_have_value(f"{lengths[-1]:.1f}")
    assert plan_now(page)["distance_m"] == round(lengths[-1], 1)
    # Said once more it is meant.
    fill(other, "Ball to hole", "4")
    assert plan_now(page)["distance_m"] == 4.0
    expect(other.get_by_text("Ball to hole was changed elsewhere, too")).to_be_hidden()
    other.context.close()
