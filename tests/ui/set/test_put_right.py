"""A size that was entered wrong, put right from the block by taps: what changes is seen before anything is kept."""

import re

import pytest
from playwright.sync_api import Page, expect

from ...conftest import now
from ..conftest import findings, kept, own_lesson, stands
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


def lesson_of(page: Page) -> str:
    return page.url.split("/lessons/")[1].split("/")[0]


def put_it_right(page: Page, label: str, typed: str, said: re.Pattern[str], counted: str) -> None:
    """The one size told as it was, what changes seen, and done."""
    sheet = page.get_by_role("dialog")
    sheet.get_by_label(label, exact=True).fill(typed)
    page.keyboard.press("Enter")
    expect(sheet.locator("[data-would]")).to_contain_text(said)
    expect(sheet.locator("[data-would]")).to_contain_text(counted)
    stands(page)
    assert findings(page) == []
    sheet.get_by_role("button", name="Put it right").click()
    expect(sheet).to_have_count(0)


def test_what_a_face_was_read_with_is_put_right_where_it_is_read(page: Page):
    own_lesson(page, "Righting Aim")
    lesson = lesson_of(page)
    told = {"lesson_id": lesson, "link": "face", "cue": "line", "planned": 5, "kind": "square_reference"}
    series = kept(page, "aim-series", **told, started_at=now())
    for _ in range(5):
        kept(page, "set-downs", series_id=series, raw={"offset_m": 0.002}, taken_at=now())
    page.set_viewport_size({"width": 390, "height": 844})
    page.goto(f"/lessons/{lesson}/aim")
    page.get_by_role("button", name="Read on").click()
    headline = page.locator("[data-aim-headline]").inner_text()
    page.get_by_role("button", name="A size was entered wrong…").click()
    put_it_right(page, "Face length", "70", re.compile(r"face length 70 mm, not \d+ (mm|cm)"), "5 set-downs")
    expect(page.locator("[data-aim-headline]")).not_to_have_text(headline)


def test_what_looks_were_taken_with_is_put_right_beside_them(page: Page):
    own_lesson(page, "Righting Eyes")
    lesson = lesson_of(page)
    eyes = {"lead": {"inside_m": 0.02, "behind_m": -0.01}, "trail": {"inside_m": 0.02, "behind_m": 0.05}}
    for _ in range(3):
        kept(page, "eye-takes", lesson_id=lesson, taken_at=now(), **eyes)
    page.goto(f"/lessons/{lesson}/see")
    page.get_by_role("radio", name="Where the eyes are").click()
    said = page.locator("[data-eye-words]")
    expect(said).to_contain_text("20 mm inside")
    page.get_by_role("button", name="A size was entered wrong…").click()
    put_it_right(
        page, "Mirror falls to the golfer", "1", re.compile("mirror falls to the golfer 1 %, not 0 %"), "3 looks"
    )
    expect(said).to_contain_text(re.compile("3[45] mm inside"))
