"""Aim at address, read as a coach reads it: natural first, by picture and by number."""

import re

from playwright.sync_api import Page, expect

from ..conftest import own_lesson


def test_the_face_is_read_natural_first_then_with_an_aid(page: Page):
    own_lesson(page, "Aiming Golfer")
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="Aim").click()
    # A laser is on: its cautions come first.
    begin = page.get_by_role("button", name="Begin the set")
    expect(page.get_by_text("Use the lowest laser class you can see")).to_be_visible()
    expect(begin).to_be_disabled()
    page.get_by_role("checkbox").check()
    expect(begin).to_be_enabled()
    page.get_by_role("radio", name="Square reference").click()
    # It is slid in once the golfer has set up: natural first, unless it is told otherwise.
    expect(page.locator("[data-slide-in]")).to_be_visible()
    page.get_by_role("radio", name="Aid in view", exact=True).click()
    expect(page.locator("[data-natural-first]")).to_be_visible()
    page.get_by_role("radio", name="Mirror on the face").click()
    expect(page.locator("[data-natural-first]")).to_have_count(0)
    page.get_by_label("Set-downs to the verdict", exact=True).fill("4")
    page.keyboard.press("Enter")
    begin.click()
    for n in range(4):
        expect(page.locator("[data-set-count]")).to_have_text(f"Set-down {n + 1} of 4")
        expect(page.get_by_role("slider")).to_be_visible()
        for _ in range(10):
            page.keyboard.press("ArrowRight")
        page.keyboard.press("Enter")
    headline = page.locator("[data-aim-headline]")
    expect(headline).to_contain_text(re.compile(r"right, (clear|likely|can.t tell yet)"))
    page.keyboard.press("u")
    expect(headline).to_contain_text("So far")
    page.get_by_role("button", name="Leave it open").click()
    expect(page.locator("[data-aim-series]")).to_contain_text("3 of 4")
    page.reload()
    page.get_by_role("button", name="Go on reading").click()
    expect(page.locator("[data-set-count]")).to_have_text("Set-down 4 of 4")


def test_mark_and_putter_against_it_are_read_in_degrees_and_added(page: Page):
    own_lesson(page, "Marking Golfer")
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="Aim").click()
    for link, angle in (("Ball mark against the line", 1), ("Putter against the mark", -0.5)):
        page.get_by_role("radio", name=link).click()
        page.get_by_role("button", name="Begin the set").click()
        page.get_by_label("Angle", exact=True).fill(str(angle))
        page.keyboard.press("Enter")
        for n in range(3):
            expect(page.locator("[data-set-count]")).to_have_text(f"Set-down {n + 1} of 7")
            page.get_by_role("button", name="Record it").tap()
        expect(page.locator("[data-set-count]")).to_have_text("Set-down 4 of 7")
        page.get_by_role("button", name="Leave it open").click()
    expect(page.locator("[data-sum]")).to_contain_text(
        re.compile(r"Mark \d\.\d° right and putter against it \d\.\d° left make")
    )
