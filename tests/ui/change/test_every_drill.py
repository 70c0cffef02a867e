"""Every drill, walked on the golfer’s page: station drawn, run told by keys, goal judged, next step said."""

import uuid6
from playwright.sync_api import Page, expect

from ..conftest import own_lesson


def test_every_drill_is_walked_on_a_fresh_golfer(page: Page):
    own_lesson(page, "Walking Golfer")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    golfer = page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"]
    own = {"copied_from": "clean_roll", "name": "Pebble", "times": 6, "minutes": 2, "goal": "count", "goal_size": 5}
    assert page.request.put(f"/api/drills/{uuid6.uuid7()}", data=own).ok
    drills = page.request.get("/api/drills").json()
    assert len(drills) >= 27
    for it in drills:
        page.goto(f"/golfers/{golfer}/practice?drill={it['code']}")
        expect(page.get_by_role("heading", name=it["name"], exact=True)).to_be_visible()
        drawn = page.locator(f"[data-drill='{it['code']}']")
        expect(drawn.locator("svg").first).to_be_visible()
        expect(drawn).to_contain_text(it["goal"])
        expect(drawn).to_contain_text("Not run yet.")
        told = page.locator("[data-told]")
        for n in range(3):
            expect(told).to_have_text(f"{n} of {it['times']}")
            if it["angles"]:
                page.get_by_role("button", name="0°", exact=True).click()
            else:
                page.keyboard.press("1")
        if it["times"] > 3:
            page.get_by_role("button", name="Stop here").click()
        expect(page.locator("[data-session-done]")).to_be_visible()
        said = page.locator("main li")
        expect(said).to_have_count(1)
        answer = said.inner_text()
        assert answer.startswith(f"{it['name']}: ") and ("once more" in answer or "Passed: now" in answer), answer
