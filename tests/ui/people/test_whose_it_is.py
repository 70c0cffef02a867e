"""A lesson recorded under the wrong golfer, and a golfer entered twice: put right by taps, shown before it is done."""

import re

import pytest
from playwright.sync_api import Page, expect

from ..conftest import findings, own_lesson, stands
from ..start.test_main_flow import start_block


def someone(page: Page, name: str) -> str:
    page.goto("/")
    page.get_by_role("button", name="Add golfer").click()
    page.get_by_role("textbox", name="Name", exact=True).fill(name)
    page.get_by_role("dialog").get_by_role("button", name="Add golfer").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    [found] = page.request.get("/api/golfers", params={"q": name}).json()["items"]
    return found["golfer"]["id"]


@pytest.mark.parametrize(("wide", "tall"), [(1280, 800), (820, 1180), (390, 844)])
def test_a_lesson_goes_to_the_golfer_whose_it_is_and_two_entries_become_one(page: Page, wide: int, tall: int):
    right = someone(page, f"Right Golfer {wide}")
    own_lesson(page, f"Wrong Golfer {wide}")
    start_block(page)
    for n in range(2):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        page.locator("[data-zone='clean']").click()
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.set_viewport_size({"width": wide, "height": tall})
    page.get_by_role("button", name="Lesson", exact=True).click()
    sheet = page.get_by_role("dialog")
    sheet.get_by_role("button", name="Another golfer’s…").click()
    sheet.get_by_label("Golfer", exact=True).fill("Nobody of that name")
    expect(sheet).to_contain_text("Nobody else of that name.")
    sheet.get_by_label("Golfer", exact=True).fill(f"Right Golfer {wide}")
    sheet.get_by_role("button", name=f"Right Golfer {wide}").click()
    shown = sheet.locator("[data-would]")
    expect(shown).to_contain_text(f"from “Wrong Golfer {wide}” to “Right Golfer {wide}”, with 2 putts")
    stands(page)
    assert findings(page) == []
    sheet.get_by_role("button", name="Put it there").click()
    expect(sheet).to_have_count(0)
    expect(page.get_by_role("banner").get_by_role("link", name=f"Right Golfer {wide}")).to_be_visible()
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    assert page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"] == right
    # The entry that was left over is the same golfer: both become one.
    [left] = page.request.get("/api/golfers", params={"q": f"Wrong Golfer {wide}"}).json()["items"]
    page.goto(f"/golfers/{left['golfer']['id']}")
    page.get_by_role("button", name="Entered twice…").click()
    sheet.get_by_label("Golfer", exact=True).fill(f"Right Golfer {wide}")
    sheet.get_by_role("button", name=f"Right Golfer {wide}").click()
    expect(shown).to_contain_text("become one")
    sheet.get_by_role("button", name="Make them one").click()
    expect(page).to_have_url(re.compile(right))
    expect(page.get_by_role("heading", name=f"Right Golfer {wide}")).to_be_visible()
    # An old address of the entry that is no more leads there.
    page.goto(f"/golfers/{left['golfer']['id']}")
    expect(page).to_have_url(re.compile(right))
    assert page.request.get("/api/golfers", params={"q": f"Wrong Golfer {wide}"}).json()["items"] == []
    page.goto(f"/lessons/{lesson}/keep")
    expect(page.locator("[data-superseded]")).to_contain_text("kept under another name")
