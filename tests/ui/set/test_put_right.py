"""A size that was entered wrong, put right from the block by taps: what changes is seen before anything is kept."""

import re

import pytest
from playwright.sync_api import Page, expect

from ..conftest import findings, own_lesson, stands
from ..start.test_main_flow import start_block


@pytest.mark.parametrize(("wide", "tall"), [(1280, 800), (820, 1180), (390, 844)])
def test_a_gates_width_is_put_right_after_its_putts(page: Page, wide: int, tall: int):
    own_lesson(page, f"Righting {wide}")
    start_block(page)
    for n in range(6):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        page.locator("[data-zone='touched the right post']").click()
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.set_viewport_size({"width": wide, "height": tall})
    page.get_by_role("button", name="More of this block").click()
    page.get_by_role("button", name="A size was entered wrong…").click()
    sheet = page.get_by_role("dialog")
    done = sheet.get_by_role("button", name="Put it right")
    expect(done).to_be_disabled()
    stands(page)
    assert findings(page) == []
    # It came from another sheet, which is gone: the focus goes back to the page, and not nowhere.
    page.keyboard.press("Escape")
    expect(sheet).to_have_count(0)
    assert page.evaluate("document.querySelector('main').contains(document.activeElement)")
    page.get_by_role("button", name="More of this block").click()
    page.get_by_role("button", name="A size was entered wrong…").click()
    width = sheet.get_by_label("Inside width", exact=True)
    width.fill("20")
    page.keyboard.press("Enter")
    # What can't be is refused in its field, and stays there to be mended.
    expect(sheet.get_by_text("Inside width is 20 mm").first).to_be_visible()
    expect(done).to_be_disabled()
    width.fill("75")
    page.keyboard.press("Enter")
    shown = sheet.locator("[data-would]")
    expect(shown).to_contain_text(re.compile(r"inside width 75 mm, not \d+ mm"))
    expect(shown).to_contain_text("6 putts")
    stands(page)
    sheet.get_by_label("What was wrong, in a few words").fill("read off the wrong edge")
    done.click()
    expect(sheet).to_have_count(0)
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Set")).click()
    page.get_by_role("button", name=re.compile("^Plans 1")).click()
    expect(page.get_by_role("dialog")).to_be_visible()
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    page.goto(f"/lessons/{lesson}/keep")
    expect(page.locator("[data-superseded]")).to_contain_text("no longer holds")
