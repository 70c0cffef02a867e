"""From what brings the golfer here to one change, a drill and a plan; and a month later to whether it worked."""

import re

from playwright.sync_api import Page, expect

from ..conftest import choose_rig, newest_of_demo, own_lesson, shot
from .test_plan_carried import step


def _choose(page: Page, *names: str) -> None:
    for it in names:
        page.get_by_role("dialog").get_by_role("radio", name=it, exact=True).tap()


def test_from_the_complaint_to_a_change_a_plan_and_the_printed_sheet_on_the_demo(page: Page):
    golfer, lesson = newest_of_demo(page, "Idris")
    page.goto(f"/lessons/{lesson}/judge")
    expect(page.locator("[data-headline]")).to_be_visible()
    step(page, "Change")
    # In four taps, and one to open it and one to keep it.
    page.get_by_role("button", name="What brings them here…").tap()
    page.get_by_role("dialog").get_by_role("button", name="Short", exact=True).tap()
    _choose(page, "from 2 m on", "The pace", "Better pace")
    page.get_by_role("button", name="Keep it").tap()
    expect(page.locator("[data-came-with]")).to_have_text(
        "You leave putts short from 2.00 m on, feel it is the pace and want better pace."
    )
    answer = page.locator("[data-answer]")
    headline = page.request.get(f"/api/lessons/{lesson}/findings").json()["headline"]
    expect(answer).to_contain_text(headline)
    # The change, one tap where the coach agrees; both schools say so themselves.
    offer = page.locator("[data-offer=read_and_pace]")
    expect(offer).to_contain_text("Let it die at the hole.")
    offer.locator("[data-proposal=to_the_zone]").tap()
    expect(page.locator("[data-held]")).to_contain_text("Putt to a zone past the hole")
    expect(page.locator("[data-standing]")).to_have_text("Not retested yet.")
    # The plan, one tap with the days as they stand.
    page.get_by_role("button", name="Plan four weeks").tap()
    following = page.locator("[data-next-session]")
    expect(following).to_contain_text("10 putts without any aid, before any other putt.")
    shot(page, "change-tablet")
    # The sheet, two taps from the plan to paper; with the drill's station behind it where that is wanted.
    page.get_by_role("link", name="The sheet to take home…").tap()
    said = page.locator("[data-summary]")
    for it in ("You leave putts short", "Putt to a zone past the hole", "The first week", "First thing next time"):
        expect(said).to_contain_text(it)
    sizes = []
    for name in ("Print it", "With station and card"):
        with page.expect_download() as saved:
            page.get_by_role("button", name=name).tap()
        content = saved.value.path().read_bytes()
        assert content.startswith(b"%PDF-")
        sizes.append(len(content))
    assert sizes[1] > sizes[0]
    step(page, "Change")
    # Somebody who says what is due says the retest now.
    found = page.request.get(f"/api/golfers/{golfer}/found").json()
    assert found["next"].startswith("Retest “Putt to a zone past the hole")
    # Today's session is one tap away, from the golfer too; a run is told after the stroke by a tap or a key.
    following.get_by_role("button", name="Start this session").tap()
    while page.locator("[data-item=drill]").count() == 0:
        # What is left on another day and the quick check are told as any run is; a retest is putted in a lesson.
        before = page.locator("[data-item]").inner_text()
        page.get_by_role("button", name=re.compile("^(Done|Leave it out today)$")).first.tap()
        expect(page.locator("[data-item]")).not_to_have_text(before)
    told = page.locator("[data-told]")
    expect(told).to_contain_text("0 of")
    times = int(told.inner_text().split(" of ")[1])
    for n in range(times):
        page.keyboard.press("PageDown" if n % 3 else "0")
        if n + 1 < times:
            expect(told).to_have_text(f"{n + 1} of {times}")
        if n == 1:
            # Undo is one key; a reload loses nothing.
            page.keyboard.press("u")
            expect(told).to_have_text(f"1 of {times}")
            page.reload()
            expect(told).to_have_text(f"1 of {times}")
            page.keyboard.press("PageDown")
            expect(told).to_have_text(f"2 of {times}")
    # What comes next stands there once the run is kept.
    expect(page.locator("[data-told]", has_text=f"{times} of {times}")).to_have_count(0)
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.goto(f"/golfers/{golfer}")
    expect(page.locator("[data-practice]")).to_contain_text("1 of 3 done")


def test_a_change_is_retested_in_turns_at_the_station_that_stands(page: Page):
    own_lesson(page, "Retested Golfer")
    choose_rig(page, "Gate of pegs")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    step(page, "Change")
    expect(page.locator("[data-none-named]")).to_be_visible()
    page.get_by_role("button", name="One of your own…").tap()
    page.get_by_role("textbox", name="What is changed").fill("Grip down")
    page.get_by_role("button", name="Choose it").tap()
    expect(page.locator("[data-held]")).to_contain_text("Grip down")
    page.get_by_role("button", name="Retest it now").tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1 of 15")
    expect(page.locator("body")).to_contain_text("Grip down")
    # Another change asks first, and says why; the one that is held can be dropped, whatever was putted.
    step(page, "Change")
    expect(page.get_by_role("link", name="Go on with the retest")).to_be_visible()
    page.get_by_role("button", name="Another change…").tap()
    expect(page.locator("[data-ask-first]")).to_contain_text("of both together and of neither alone")
    page.get_by_role("button", name="Leave it at one").tap()
    page.get_by_role("button", name="Drop it").tap()
    expect(page.locator("summary", has_text="Dropped: 1")).to_be_visible()


def test_a_drill_is_made_ones_own_run_by_itself_and_retired(page: Page):
    own_lesson(page, "Drilling Golfer")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    golfer = page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"]
    page.goto(f"/drills?golfer={golfer}")
    page.get_by_role("searchbox", name="Find a drill").fill("Clean roll")
    page.get_by_role("button", name="Make it yours…").tap()
    sheet = page.get_by_role("dialog")
    sheet.get_by_label("Name", exact=True).fill("Marble")
    sheet.get_by_label("In a run").fill("70")
    sheet.get_by_role("button", name="Keep it").tap()
    expect(sheet).to_contain_text(re.compile("3 to 60"))
    sheet.get_by_label("In a run").fill("3")
    sheet.get_by_role("radio", name="A count of one run").tap()
    sheet.get_by_label("Of 3").fill("3")
    sheet.get_by_role("button", name="Keep it").tap()
    expect(sheet).to_have_count(0)
    page.get_by_role("searchbox", name="Find a drill").fill("Marble")
    own = page.get_by_role("listitem").filter(has=page.get_by_role("heading", name="Marble"))
    expect(own).to_contain_text("In one run 3 of 3.")
    # Its station is laid in the lesson as it is drawn here.
    page.goto(f"/drills?golfer={golfer}&lesson={lesson}")
    page.get_by_role("searchbox", name="Find a drill").fill("Marble")
    own.get_by_role("button", name="Putt it in this lesson").tap()
    page.wait_for_url("**/start?block=*")
    expect(page.locator("[data-drill-line]")).to_contain_text("Marble. Goal: In one run 3 of 3.")
    step(page, "Set")
    expect(page.get_by_label("Ball to hole", exact=True)).to_have_value("1")
    page.goto(f"/drills?golfer={golfer}&lesson={lesson}")
    page.get_by_role("searchbox", name="Find a drill").fill("Marble")
    own.get_by_role("link", name="Run it").tap()
    for n in range(3):
        expect(page.locator("[data-told]")).to_have_text(f"{n} of 3")
        page.get_by_role("button", name="Yes").tap()
    expect(page.locator("[data-session-done]")).to_be_visible()
    expect(page.locator("main")).to_contain_text("Marble: The last run: 3 of 3. Passed")
    page.goto("/drills")
    page.get_by_role("searchbox", name="Find a drill").fill("Marble")
    page.get_by_role("button", name="Retire it").tap()
    expect(page.get_by_role("button", name="Bring it back")).to_be_visible()
