"""The golfer's line on the golfer's page: pooled links, and a change that is noted and taken back."""

import re

from playwright.sync_api import Page, expect

from ..conftest import no_serious_finding


def open_pell(page: Page) -> None:
    """However many golfers other tests have added since."""
    page.goto("/")
    page.get_by_role("searchbox", name="Find a golfer by name").fill("Pell")
    page.locator("a[href^='/golfers/']", has_text="Pell Marchetti-Oduya").last.click()


def test_the_golfers_page_opens_with_the_line_and_takes_a_change(page: Page):
    open_pell(page)
    line = page.locator("[data-golfers-line]")
    expect(line.get_by_role("listitem").first).to_contain_text("nine times in ten")
    expect(line.get_by_role("listitem").filter(has_text="Face at address, as usual")).to_have_count(1)
    line.get_by_label("Something was changed today").fill("new putter")
    line.get_by_role("button", name="Note the change").click()
    expect(line).to_contain_text("new putter")
    expect(line.get_by_label("Something was changed today")).to_have_value("")
    line.get_by_role("button", name="Take back").click()
    expect(line.get_by_role("button", name="Take back")).to_have_count(0)


def test_two_lines_are_set_beside_each_other_pooled_and_taken_apart(page: Page):
    open_pell(page)
    line = page.locator("[data-golfers-line]")
    names = line.get_by_role("list", name="The golfer’s line, link by link")
    expect(names.get_by_role("listitem").first).to_be_visible()
    line.get_by_role("button", name=re.compile("^All .* lines")).click()
    several = names.get_by_role("listitem").count()
    line.get_by_text("Two lines beside each other").click()
    line.get_by_label("Line", exact=True).select_option(label="Start, as usual")
    line.get_by_label("Beside", exact=True).select_option(label="Start, guide in view")
    said = line.locator("[data-lines-said]")
    # The rig in view was a gate: nobody knows how far its starts lie, and no difference is made up.
    expect(said).to_have_text(re.compile(r"^Start: how far one of them lies, its readings can't say"))
    # Only lines of the same link are offered beside it.
    offered = line.get_by_label("Beside", exact=True).locator("option").all_inner_texts()
    assert offered and all(it.startswith("Start, ") for it in offered)
    no_serious_finding(page)
    line.get_by_role("button", name=f"Why: {said.inner_text()}").click()
    why = page.get_by_role("dialog")
    expect(why.locator("[data-sums]")).to_contain_text("Start, guide in view:")
    expect(why.locator("[data-rests] a").first).to_have_attribute("href", re.compile(r"^/lessons/.+/judge\?block="))
    page.keyboard.press("Escape")
    expect(why).to_have_count(0)
    line.get_by_role("button", name="Pool them as one line").click()
    expect(line.locator("[data-joined]")).to_contain_text("Pooled as one: Start, as usual and Start, guide in view")
    expect(names.get_by_role("listitem")).to_have_count(several - 1)
    line.locator("[data-joined]").get_by_role("button", name="Take apart").click()
    expect(line.locator("[data-joined]")).to_have_count(0)
    expect(names.get_by_role("listitem")).to_have_count(several)


def test_today_says_of_each_golfer_what_the_last_lesson_found_as_that_lesson_says_it(page: Page):
    page.goto("/")
    search = page.get_by_role("searchbox", name="Find a golfer by name")
    for name in ("Pell Marchetti-Oduya", "Idris Vantongeren"):
        [golfer] = page.request.get("/api/golfers", params={"q": name}).json()["items"]
        [lesson, *_] = page.request.get(f"/api/golfers/{golfer['golfer']['id']}/lessons").json()["items"]
        told = page.request.get(f"/api/lessons/{lesson['lesson']['id']}/findings").json()
        search.fill(name)
        row = page.get_by_role("listitem").filter(has_text=name).locator("[data-found]")
        expect(row).to_contain_text(told["headline"])
        said = page.request.get(f"/api/golfers/{golfer['golfer']['id']}/found").json()
        expect(row.locator("[data-due]")).to_contain_text(said["next"])
        # A change that was chosen, in this test or another's, is retested before anything else is checked.
        following = told["next"][0]["words"] if told["next"] else told["next_words"]
        assert said["next"] == following or said["next"].startswith("Retest “")
        [about] = [it for it in told["links"] if it["name"] == told["about"]]
        assert said["vial"] == about["vial"]
