"""What the first putt, the next golfer, a set-down, a look and a comparison take, by touch on an upright tablet."""

import re

from playwright.sync_api import Page, expect

from ..conftest import choose_rig, own_lesson, plan
from ..start.test_main_flow import zone
from .conftest import Hand
from .test_plan_carried import step


def _keep_a_station(page: Page, name: str) -> None:
    """Through the API: it was kept some other day."""
    import uuid6

    body = {"name": name, "distance_m": 2.5, "past_m": 0.35, "green_speed_ft": 10, "rig_kind": "peg_gate"}
    answer = page.request.put(f"/api/saved-stations/{uuid6.uuid7()}", data=body)
    assert answer.ok, answer.text()


def test_a_known_golfer_putts_at_a_kept_station_with_the_third_tap(page: Page, hand: Hand):
    _keep_a_station(page, "0 Known gate")
    own_lesson(page, "Known Golfer")
    page.goto("/")
    page.get_by_role("searchbox", name="Find a golfer by name").fill("Known Golfer")
    page.get_by_role("button", name="Start lesson with Known Golfer").tap()
    page.get_by_role("group", name="At a kept station").get_by_role("button", name=re.compile("0 Known gate")).tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1 of 10")
    zone(page, "clean").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    assert hand.taps == 3
    # Back leads to where it was begun from, and begins nothing once more.
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.go_back()
    expect(page.get_by_role("button", name=re.compile("^Start lesson with")).first).to_be_visible()


def test_somebody_new_putts_with_five_taps_and_the_name(page: Page, hand: Hand):
    _keep_a_station(page, "0 New gate")
    page.goto("/")
    page.get_by_role("button", name="Add golfer").tap()
    page.keyboard.type("Brand New Golfer")
    page.get_by_role("button", name="Add, and start a lesson").tap()
    page.get_by_role("group", name="At a kept station").get_by_role("button", name=re.compile("0 ")).first.tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1 of 10")
    zone(page, "clean").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    assert hand.taps <= 5


def test_a_new_station_is_planned_and_proved_with_ten_taps(page: Page, hand: Hand):
    """Its rig, the ground by rolling both ways, the line by a string over ball and hole; then its block begins."""
    own_lesson(page, "Planning Golfer")
    choose_rig(page, "String over ball and hole")
    plan(page, "Proof")
    page.get_by_role("button", name="Prove the line…").tap()
    sheet = page.get_by_role("dialog")
    for row in sheet.locator("[data-roll]").all():
        row.get_by_label("Rolled", exact=True).fill("2.5 m")
        page.keyboard.press("Enter")
        row.get_by_role("button", name="On the line").tap()
    sheet.get_by_role("button", name="Use this slope: the ground is proved").tap()
    expect(sheet).to_be_hidden()
    page.get_by_role("button", name="A string over ball and hole lies on it").tap()
    expect(page.locator("[data-proof=proved]")).to_be_visible()
    page.get_by_role("button", name="Start block").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    assert hand.taps <= 10


def test_a_putt_with_start_finish_and_roll_takes_three_taps(page: Page, hand: Hand):
    """Two would need a roll or a finish that nobody looked at."""
    own_lesson(page, "Three Taps")
    choose_rig(page, "Gate of pegs")
    page.get_by_text("Also note").tap()
    notes = page.get_by_role("group", name="Also note of every putt")
    for it in ("Roll", "Finish"):
        notes.get_by_role("button", name=it, exact=True).tap()
    page.get_by_role("button", name="Start block").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1")
    before = hand.taps
    zone(page, "clean").tap()
    page.locator("[data-note-step=roll]").get_by_role("button", name=re.compile("^clean")).tap()
    page.locator("[data-note-step=finish]").get_by_role("button", name="holed").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    assert hand.taps - before == 3


def test_a_set_down_is_one_tap_and_a_place_of_the_first_look_two(page: Page, hand: Hand):
    own_lesson(page, "One Tap")
    step(page, "Aim")
    page.get_by_role("radio", name="By eye, in words").tap()
    page.get_by_role("button", name="Begin the set-downs").tap()
    expect(page.locator("[data-set-count]")).to_contain_text("Set-down 1")
    before = hand.taps
    page.locator("[data-zone]").first.tap()
    expect(page.locator("[data-set-count]")).to_contain_text("Set-down 2")
    assert hand.taps - before == 1
    page.get_by_role("button", name="Leave it open").tap()
    step(page, "See")
    before = hand.taps
    page.get_by_role("group", name="Where the head is").get_by_role("button", name=re.compile("^further in")).tap()
    page.get_by_role("group", name="It looks").get_by_role("button", name=re.compile("Straight")).tap()
    expect(page.locator("[data-first-look]")).to_contain_text("With the eyes further in it looks straight.")
    assert hand.taps - before == 2


def test_a_comparison_from_the_plan_is_three_taps(page: Page, hand: Hand):
    own_lesson(page, "Comparing Golfer")
    choose_rig(page, "Gate of pegs")
    before = hand.taps
    page.get_by_role("button", name="Compare…").tap()
    sheet = page.get_by_role("dialog")
    # What differs is looked at before it is putted: two stages, and what stays.
    expect(sheet.locator("[data-two-stages] figure")).to_have_count(2)
    expect(sheet.locator("[data-two-stages] figure").nth(1)).to_contain_text("wide base")
    expect(sheet.locator("[data-stays]")).to_contain_text("gate of pegs")
    sheet.get_by_role("button", name="Start the comparison").tap()
    expect(page.locator("[data-turn]")).to_contain_text("Now: as usual")
    zone(page, "clean").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    assert hand.taps - before == 3
