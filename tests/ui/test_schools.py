"""Schools by taps: declared, decided by, the rival in one tap; two readers; what to expect on the course."""

import re

from playwright.sync_api import Page, expect

from .conftest import own_lesson, shot


def held(page: Page, disagreement: str, school: str, *, coach: bool = False) -> None:
    """Hold a school, from the page of the golfer whose lesson it is."""
    page.locator(f"[data-asks={disagreement}]").click()
    sheet = page.get_by_role("dialog")
    whose = sheet.get_by_role("group", name="The coach") if coach else sheet.get_by_role("group").first
    whose.get_by_role("radio", name=school).click()
    expect(sheet.locator("[data-held]")).to_contain_text(school)
    sheet.get_by_role("button", name="Close").click()
    expect(sheet).to_have_count(0)
    expect(page.locator("[data-link='saved']")).to_be_visible()


def test_a_school_held_for_a_golfer_is_in_the_new_plan_and_opens_its_rival_in_one_tap(page: Page):
    own_lesson(page, "School Golfer")
    lesson = page.url
    expect(page.get_by_label("Pace past the hole", exact=True)).to_have_value("0.35")
    page.get_by_role("banner").get_by_role("link", name="School Golfer").click()
    page.get_by_role("link", name="Schools", exact=True).click()
    expect(page.get_by_role("heading", level=1)).to_contain_text("School Golfer")
    held(page, "pace", "Die at the hole")
    held(page, "capture", "It has to fall")
    expect(page.locator("[data-asks=pace]")).to_contain_text("Die at the hole · Held for this golfer")
    shot(page, "schools")
    page.goto(lesson)
    expect(page.get_by_label("Pace past the hole", exact=True)).to_have_value("0.1")
    expect(page.get_by_role("radio", name="Free fall only")).to_be_checked()
    strip = page.locator("[data-schools=set]")
    strip.locator("[data-school-mark=pace]").click()
    sheet = page.get_by_role("dialog")
    expect(sheet).to_contain_text("A little past")
    expect(sheet.locator("[data-told]")).to_contain_text("Nothing read of this golfer tells yet.")
    # None again: the product takes nothing for granted.
    sheet.get_by_role("radio", name="As the coach").click()
    expect(sheet.locator("[data-held]")).to_have_count(0)
    sheet.get_by_role("button", name="Close").click()
    expect(strip.locator("[data-school-mark=pace]")).to_have_count(0)


def test_the_coach_lets_an_offset_stay_for_every_golfer_and_drops_it_again(page: Page):
    page.goto("/schools")
    held(page, "face_at_address", "An offset that repeats may stay", coach=True)
    page.reload()
    expect(page.locator("[data-asks=face_at_address]")).to_contain_text("An offset that repeats may stay")
    page.locator("[data-asks=face_at_address]").click()
    # Dropped, so that no other test's golfer is judged by it.
    page.get_by_role("dialog").get_by_role("radio", name="None").click()
    expect(page.get_by_role("dialog").locator("[data-held]")).to_have_count(0)


def test_the_schools_are_found_by_a_word_and_the_step_one_came_from(page: Page):
    page.goto("/schools")
    find = page.get_by_role("searchbox", name="Find")
    find.fill("backstroke")
    expect(page.locator("[data-asks]")).to_have_count(1)
    find.fill("clouds")
    expect(page.get_by_text("Nothing with these words")).to_be_visible()
    page.goto("/")
    page.goto("/schools#keep")
    expect(page.locator("[data-step=keep]")).to_be_in_viewport()


def test_two_readers_read_blind_and_the_error_is_told(page: Page):
    page.goto("/aids")
    page.get_by_role("link", name="Two readers…").click()
    page.get_by_role("radio", name="A gate").click()
    page.get_by_label("The first reader").fill("Reader Ada")
    for name in ("Left post", "Clean", "Clean", "Right post", "Clean"):
        page.get_by_role("button", name=re.compile(name)).click()
    page.get_by_role("button", name="Hand it to the second reader").click()
    expect(page.locator("[data-second]")).to_contain_text("Nothing of Reader Ada is shown")
    page.get_by_label("The second reader").fill("Reader Bo")
    for name in ("Left post", "Clean", "Right post", "Right post", "Clean"):
        page.get_by_role("button", name=re.compile(name)).click()
    expect(page.locator("[data-read]")).to_contain_text("5 of 5 read")
    page.get_by_role("button", name="Both have read").click()
    read = page.locator("[data-by-two=gate]").filter(has_text="Reader Ada and Reader Bo")
    expect(read).to_contain_text("Alike 4 of 5 times.")
    expect(read).to_contain_text("Gates laid from now on are judged with it.")
    shot(page, "readers")
    # Taken back, so that no other test's gate is judged with it.
    read.get_by_role("button", name="Take it back").click()
    expect(read.get_by_role("button", name="Bring it back")).to_be_visible()


def test_what_to_expect_stands_on_the_golfers_page_with_its_picture(page: Page):
    [idris] = page.request.get("/api/golfers", params={"q": "Idris"}).json()["items"]
    page.goto(f"/golfers/{idris['golfer']['id']}")
    expected = page.locator("[data-expected]")
    expect(expected.locator("[data-round]")).to_contain_text("putts a round")
    expect(expected.locator("[data-parts]").first).to_contain_text("fewer than")
    expect(expected.locator("svg").first).to_be_visible()
    expect(expected.locator("[data-basis]")).to_contain_text("an opinion")
