"""Lengths compared on a proved line: what is laid for them keeps the proof of what did not move."""

from playwright.sync_api import Page, expect

from ..conftest import own_lesson
from .test_main_flow import start_block


def test_a_longer_putt_of_a_comparison_is_as_proved_as_the_one_that_stands(page: Page):
    own_lesson(page, "Comparing Lengths")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    start_block(page, putts=3)
    [station] = page.request.get(f"/api/lessons/{lesson}").json()["stations"]
    proof = {"way": "string", "measured": [{"at_m": 2.5, "beside_m": 0.0}] * 2}
    assert page.request.put(f"/api/stations/{station['id']}/proof", data=proof).ok
    page.reload()
    page.get_by_role("button", name="Compare").first.click()
    sheet = page.get_by_role("dialog")
    sheet.get_by_role("radio", name="Several distances", exact=True).click()
    sheet.get_by_role("button", name="Start the comparison").click()
    expect(sheet).to_have_count(0)
    stations = page.request.get(f"/api/lessons/{lesson}").json()["stations"]
    assert [(it["distance_m"], it["proved"]) for it in stations] == [(2.5, True), (1.5, True), (4.0, True)]
