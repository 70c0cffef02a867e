"""A plan carried from step to step: typed, proved, left and come back to; a comparison begun straight from it."""

import re

from playwright.sync_api import Page, Route, expect

from ..conftest import choose_rig, own_lesson, plan, stands, until
from ..start.test_main_flow import prove_by_tape


def step(page: Page, name: str) -> None:
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile(f"^{name}")).click()


def stations(page: Page) -> list[dict]:
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    return page.request.get(f"/api/lessons/{lesson}").json()["stations"]


def test_a_plan_and_its_proof_are_there_after_another_step_and_in_it(page: Page):
    own_lesson(page, "Carried Golfer")
    page.get_by_label("Ball to hole", exact=True).fill("2.4 m")
    page.keyboard.press("Enter")
    choose_rig(page, "Gate of pegs")
    # Gone at once: what was planned is the lesson's all the same.
    step(page, "Stand")
    expect(page.get_by_role("link", name=re.compile(r"^Set\s+2\.40 m"))).to_be_visible()
    step(page, "Set")
    expect(page.get_by_label("Ball to hole", exact=True)).to_have_value("2.4")
    plan(page, "Proof")
    prove_by_tape(page)
    expect(page.locator("[data-proof=proved]")).to_be_visible()
    step(page, "Aim")
    page.reload()
    step(page, "Set")
    plan(page, "Proof")
    expect(page.locator("[data-proof=proved]")).to_be_visible()
    plan(page, "Putt")
    page.get_by_label("Ball to hole", exact=True).fill("3 m")
    page.keyboard.press("Enter")
    # The hole is further on, on the same line: that is as true as it was.
    expect(page.get_by_role("link", name=re.compile(r"^Set\s+3\.00 m"))).to_be_visible()
    expect(page.locator("[data-trust]")).to_contain_text("Proved by tape")
    assert [it["rig_kind"] for it in stations(page)] == ["peg_gate"]


def test_a_plan_that_is_on_its_way_is_there_when_it_is_come_back_to(page: Page):
    """Before the server answered, the page showed the plan before it, and a proof of that fell at once."""
    own_lesson(page, "Hasty Golfer")
    page.get_by_label("Ball to hole", exact=True).fill("2.4 m")
    page.keyboard.press("Enter")
    expect(page.get_by_role("link", name=re.compile(r"^Set\s+2\.40 m"))).to_be_visible()
    held: list[Route] = []
    page.route("**/api/stations/*", lambda it: held.append(it))
    choose_rig(page, "Gate of pegs")
    step(page, "Stand")
    expect(page.locator("[data-behind]").first).to_be_visible()
    step(page, "Set")
    plan(page, "Rig")
    expect(page.get_by_role("radio", name="Gate of pegs", exact=True)).to_be_checked()
    for it in held:
        it.continue_()
    page.unroute("**/api/stations/*")
    plan(page, "Proof")
    prove_by_tape(page)
    expect(page.locator("[data-proof=proved]")).to_be_visible()
    assert [it["rig_kind"] for it in stations(page)] == ["peg_gate"]


def test_a_comparison_begins_from_the_plan_and_what_is_changed_later_is_another_plan(page: Page):
    own_lesson(page, "Straight Golfer")
    choose_rig(page, "Gate of pegs")
    page.get_by_role("button", name="Compare…").click()
    sheet = page.get_by_role("dialog")
    # Ready to type: the first field has the focus, not the cross.
    assert page.evaluate("document.activeElement.getAttribute('aria-label')") != "Close"
    sheet.get_by_label("Putts each", exact=True).fill("3")
    sheet.get_by_label("Putts in a run", exact=True).fill("1")
    sheet.get_by_role("button", name="Start the comparison").click()
    expect(page.locator("[data-turn]")).to_contain_text("Now: as usual")
    page.keyboard.press("3")
    expect(page.locator("[data-turn]")).to_contain_text("Now: wide base")
    # The turn went on; what was tapped last is undone all the same.
    page.keyboard.press("u")
    expect(page.locator("[data-turn]")).to_contain_text("Now: as usual")
    assert len(stations(page)) == 1, "nobody changed the plan"
    step(page, "Set")
    plan(page, "Putt")
    page.get_by_label("Ball to hole", exact=True).fill("3.5 m")
    page.keyboard.press("Enter")
    page.get_by_role("button", name="Plans 2…").click()
    rows = page.get_by_role("list", name="Plans of this lesson")
    expect(rows.locator("[data-plan=now]")).to_contain_text("3.50 m long; it was 2.50 m.")
    rows.get_by_role("button", name=re.compile("Go on with 2.50 m")).click()
    expect(page.get_by_label("Ball to hole", exact=True)).to_have_value("2.5")
    step(page, "Judge")
    expect(page.locator("[data-unproved]")).to_be_visible()
    prove_by_tape(page)
    expect(page.locator("[data-unproved]")).to_have_count(0)


def test_the_sheet_that_proves_stays_open_while_the_lesson_is_judged_anew(page: Page):
    """The putt is confirmed once Start is left: Judge held it for its own news, and heard of no other either."""
    own_lesson(page, "Kept Open Golfer")
    choose_rig(page, "Gate of pegs")
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    held: list[Route] = []
    page.route("**/api/readings/*", lambda it: held.append(it))
    page.keyboard.press("3")
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    step(page, "Judge")
    # It was tapped: it is on its way, and nobody is told that there is nothing.
    expect(page.get_by_text("What was read is coming…", exact=True)).to_be_visible()
    expect(page.get_by_text("Nothing to judge yet")).to_have_count(0)
    until(page, lambda: held)
    held[0].continue_()
    page.unroute("**/api/readings/*")
    expect(page.locator("[data-quantity=start]")).to_contain_text("1 putt read")
    page.get_by_role("button", name="Prove the line…").click()
    sheet = page.get_by_role("dialog")
    expect(sheet).to_be_visible()
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    [putt] = page.request.get(f"/api/lessons/{lesson}").json()["blocks"][0]["readings"]
    page.request.put(f"/api/readings/{putt['id']}/voided", data={"reason": "undone"})
    expect(page.get_by_text("Nothing to judge yet").first).to_be_attached()
    expect(page.locator("[data-quantity=start]")).to_have_count(0)
    expect(sheet.get_by_role("radio", name="Tape to both edges")).to_be_visible()


def test_the_next_block_is_longer_on_the_same_line_and_as_proved(page: Page):
    own_lesson(page, "Longer Golfer")
    choose_rig(page, "Gate of pegs")
    plan(page, "Proof")
    prove_by_tape(page)
    page.get_by_role("button", name="Start block").click()
    page.locator("[data-zone]").first.click()
    stands(page)
    page.get_by_role("button", name="Other", exact=False).first.click()
    sheet = page.get_by_role("dialog")
    sheet.get_by_label("Ball to hole", exact=True).fill("4 m")
    page.keyboard.press("Enter")
    sheet.get_by_role("button", name="Start block").click()
    expect(sheet).to_be_hidden()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    stands(page)
    lesson = page.request.get(f"/api/lessons/{page.url.split('/lessons/')[1].split('/')[0]}").json()
    told = {it["id"]: it for it in lesson["stations"]}
    first, second = (told[it["station_id"]] for it in lesson["blocks"])
    assert (first["distance_m"], second["distance_m"]) == (2.5, 4)
    assert first["proved"] and second["proved"], "the line is where it was"
