"""Quiet body, wide base: the way that did better is kept by one tap, practised and taken home."""

import numpy as np
import uuid6
from playwright.sync_api import Page, expect

from ..conftest import own_lesson
from .test_plan_carried import step

STILL = {"still": "head"}, {"still": "nothing"}
ROLLED = {"roll": "wobble_left"}, {"roll": "clean"}


def _compared(page: Page, question: str = "spread", notes: tuple[dict, dict] = STILL) -> str:
    """A lesson in which a wide base did better than the usual way, as its coach recorded it; its id. `notes`: of every
    putt as usual, and of every other."""
    own_lesson(page, "Steady Golfer")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    now = page.evaluate("new Date().toISOString()")
    station, comparison = str(uuid6.uuid7()), str(uuid6.uuid7())

    def put(path: str, **body: object) -> dict:
        answer = page.request.put(f"/api/{path}", data=body)
        assert answer.ok, answer.text()
        return answer.json()

    sizes = {"distance_m": 1.0, "half_width_m": 0.2, "mark_m": 0.005}
    laid = {"lesson_id": lesson, "laid_at": now, "distance_m": 2.0, "past_m": 0.35, "green_speed_ft": 10}
    put(f"stations/{station}", **laid, rig_kind="board", rig_sizes_m=sizes)
    put(f"stations/{station}/proof", way="string", measured=[{"at_m": 1.0, "beside_m": 0.0}] * 2)
    ways = [
        {"name": "as usual", "station_id": station, "factors": {}},
        {"name": "wide base", "station_id": station, "factors": {"set_up": "wide base"}},
    ]
    plan = {"each": 12, "order": "alternating", "run": 3, "question": question, "asks": [*notes[0]], "hole": True}
    made = put(f"comparisons/{comparison}", lesson_id=lesson, conditions=ways, started_at=now, **plan)
    rng, ids = np.random.default_rng(3), [it["id"] for it in made["blocks"]]
    for it in made["plan"]:
        usual = it["block_id"] == ids[0]
        raw = {"offset_m": round(float(rng.normal(0, 32 if usual else 8)) / 5) * 5 / 1000}
        told = notes[0] if usual else notes[1]
        put(f"readings/{uuid6.uuid7()}", block_id=it["block_id"], raw=raw, taken_at=now, notes=told)
    return lesson


def test_the_better_way_is_kept_planned_and_taken_home(page: Page):
    lesson = _compared(page)
    page.goto(f"/lessons/{lesson}/judge")
    step(page, "Change")
    first = page.locator("[data-offer]").first
    expect(first).to_contain_text("“wide base” against “as usual”")
    # Why, and what doesn't fit this golfer, is one tap away.
    reasons = page.locator("[data-reasons]").first
    reasons.locator("summary").tap()
    expect(reasons).to_contain_text("For:")
    first.locator("[data-proposal=keep]").tap()
    expect(page.locator("[data-held]")).to_contain_text("Keep “wide base”")
    page.get_by_role("radio", name="No green at home").tap()
    page.get_by_role("button", name="Plan four weeks").tap()
    expect(page.locator("[data-next-session]")).to_contain_text("Your better way: 10 putts.")
    page.get_by_role("link", name="The sheet to take home…").tap()
    said = page.locator("[data-summary]")
    for it in ("Keep “wide base”", "The drill: Your better way", "The first week"):
        expect(said).to_contain_text(it)
    # Its retest goes on with the same way.
    step(page, "Change")
    page.get_by_role("button", name="Retest it now").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1 of 15")


def test_a_way_that_rolls_better_stands_beside_what_else_helps_the_roll(page: Page):
    lesson = _compared(page, "roll", ROLLED)
    page.goto(f"/lessons/{lesson}/change")
    offers = page.locator("[data-offer=roll]")
    expect(offers).to_have_count(2)
    expect(offers.first.locator("[data-proposal=keep]")).to_be_visible()
    expect(offers.last.locator("[data-proposal=ball_forward]")).to_be_visible()
