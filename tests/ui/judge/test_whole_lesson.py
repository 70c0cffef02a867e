"""The whole lesson judged on its page: one sentence and one picture first; answered, shown to the golfer, compared."""

import re

import uuid6
from playwright.sync_api import Page, expect

from ..conftest import hold_first_answer, laid_out, newest_of_demo, no_serious_finding, own_lesson, shot, stands
from ..journeys.test_plan_carried import step
from ..start.test_main_flow import start_block


def open_golfer(page: Page, name: str) -> str:
    """The golfer's newest lesson of the demo, whatever other tests began since."""
    id, newest = newest_of_demo(page, name)
    page.goto(f"/golfers/{id}")
    listed = page.get_by_role("list", name="Lessons, newest first")
    listed.locator(f"a[href^='/lessons/{newest}/']").first.click()
    expect(page.locator("[data-headline]").first).to_be_visible()
    return page.url.split("/lessons/")[1].split("/")[0]


def test_each_golfer_of_the_demo_is_told_what_is_wrong(page: Page):
    cases = {
        "Pell": "and the stroke brings it back: clear.",
        "Greta": "start steadier",
        "Idris": "start inside the window and miss all the same, by read or pace",
        "Wim": "grows",
        "Junia": "to look straight, and the face aims with it",
    }
    for name, said in cases.items():
        open_golfer(page, name)
        expect(page.locator("h1[data-headline]")).to_contain_text(said)
        # One voice: the run sheet says it too, and it is the first of the findings; what was asked comes before them.
        expect(
            page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Judge"))
        ).to_contain_text(said)
        found = "Putts in which something moves scatter more" if name == "Greta" else said
        expect(page.locator("[data-finding]").first).to_contain_text(found)


def test_a_finding_opens_to_its_readings_and_takes_the_coachs_own_words(page: Page):
    open_golfer(page, "Pell")
    first = page.locator("[data-finding]").first
    first.locator("summary").click()
    expect(first.get_by_text("Speaks for it")).to_be_visible()
    first.get_by_role("link", name=re.compile("The aim adds")).click()
    expect(page).to_have_url(re.compile("/aim$"))
    page.go_back()
    first.locator("summary").click()
    first.get_by_role("button", name="Reject…").click()
    sheet = page.get_by_role("dialog")
    keep = sheet.get_by_role("button", name="Keep it")
    expect(keep).to_be_disabled()
    sheet.get_by_label("The reason").fill("the sensor was loose")
    keep.click()
    said = first.locator("[data-said]")
    expect(said).to_contain_text("Rejected: the sensor was loose")
    expect(said).to_contain_text("The tool said then: clear")
    # What the tool says stays first for all that.
    expect(page.locator("h1[data-headline]")).to_contain_text("brings it back: clear.")
    no_serious_finding(page)
    if not first.get_by_role("button", name="Take back what you said").is_visible():
        first.locator("summary").click()
    first.get_by_role("button", name="Take back what you said").click()
    expect(said).to_have_count(0)


def test_the_golfer_is_shown_one_picture_and_one_sentence(page: Page):
    open_golfer(page, "Pell")
    page.get_by_role("link", name="Show it to the golfer").click()
    wall = page.locator("[data-wall]")
    # In a club golfer's words; for who plays at a low handicap it says what the coach's page says.
    expect(wall.locator("h1")).to_have_text(
        re.compile(r"^Your putter points right, and your stroke brings it back: (for sure|more often than luck)\.$")
    )
    expect(wall.get_by_role("img")).to_be_visible()
    assert "°" not in wall.locator("h1").inner_text()
    # What is enlarged says so, and what is invented.
    expect(wall).to_contain_text(re.compile(r"From above, (across the line × \d+|true angles)\."))
    expect(wall.locator("[data-demo]")).to_be_visible()
    shot(page, "wall-finding")
    page.get_by_role("link", name="Back to the lesson").click()
    expect(page.locator("[data-finding]").first).to_be_visible()


def test_before_and_after_are_set_beside_each_other(page: Page):
    open_golfer(page, "Greta")
    page.get_by_role("link", name="Before and after").click()
    two = page.locator("[data-two-sides]")
    expect(two.locator("h1")).to_be_visible()
    expect(two.locator("[data-link-beside='start']")).to_be_visible()
    shot(page, "judge-beside")
    # Within the lesson: as usual, and with the wide base.
    two.get_by_label("Before: which lesson").select_option(page.url.split("/lessons/")[1].split("/")[0])
    expect(two.locator("h1")).to_contain_text(re.compile("steadier|Steadier"))
    no_serious_finding(page)


def test_the_bands_by_level_are_the_coachs_to_change(page: Page):
    page.goto("/aids/bag")
    bands = page.locator("[data-link-bands]")
    before = page.request.get("/api/link-bands").json()["number"]
    expect(bands).to_contain_text(f"Version {before}," if before else "nothing changed yet")
    cost = bands.get_by_label("A bias may cost up to", exact=True)
    cost.fill("9")
    cost.press("Enter")
    # What it would change stands there before it is kept, and till then nothing is.
    bands.get_by_role("button", name="See what it changes").click()
    expect(bands.locator("[data-changes]")).to_contain_text(re.compile(r"[0-9]+ claims in [0-9]+ last lessons?"))
    assert page.request.get("/api/link-bands").json()["number"] == before
    bands.get_by_role("button", name="Keep it so for “Club golfer”").click()
    expect(bands).to_contain_text(f"Version {before + 1},")
    page.reload()
    expect(bands.get_by_label("A bias may cost up to", exact=True)).to_have_value("9")
    no_serious_finding(page)


def test_what_is_read_in_a_step_is_judged_on_the_run_sheet(page: Page):
    """Set-downs alone, of a left-handed golfer: Judge says what they come to, beside what Aim says of them."""
    own_lesson(page, "Judged Golfer")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    judge = page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Judge"))
    expect(judge).to_contain_text("Nothing to judge yet.")
    now = page.evaluate("new Date().toISOString()")
    series = str(uuid6.uuid7())
    body = {"lesson_id": lesson, "link": "face", "cue": "line", "aided": False, "planned": 7, "started_at": now}
    assert page.request.put(f"/api/aim-series/{series}", data=body).ok
    for _ in range(7):
        down = {"series_id": series, "raw": {"angle_deg": 2.0, "seen_deg": 0.5}, "taken_at": now}
        assert page.request.put(f"/api/set-downs/{uuid6.uuid7()}", data=down).ok
    page.goto(f"/lessons/{lesson}/aim")
    expect(judge).to_contain_text("2.0° right (closed)")
    judge.click()
    expect(page.locator("h1[data-headline]")).to_contain_text("2.0° right (closed)")
    expect(page.locator("[data-meaning]")).to_contain_text("It costs about")
    # The line is not proved: likely at the most, and the way out stands first.
    expect(page.locator("h1[data-headline]")).to_have_attribute("data-word", "likely")
    expect(page.locator("[data-guards], [data-unproved]").first).to_be_visible()


def test_a_page_opened_after_the_last_reading_waits_for_it_and_shows_no_older_answer(page: Page):
    own_lesson(page, "Fresh Golfer")
    start_block(page)
    for n in range(2, 6):
        page.keyboard.press("3")
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n}")
    stands(page)
    step(page, "Judge")
    expect(page.locator("[data-quantity=start]")).to_contain_text("All 4 within")
    step(page, "Start")
    stands(page)
    page.keyboard.press("3")
    expect(page.locator("[data-count]")).to_contain_text("Putt 6")
    stands(page)
    # However long this machine takes to look, it is waited for; what waits for a quiet moment has it at once.
    page.evaluate("(own => { window.setTimeout = (it, ms) => ms >= 4000 ? 0 : own(it, 0) })(window.setTimeout)")
    asked: list[str] = []
    page.on("request", lambda it: asked.append(it.url) if "/findings" in it.url else None)
    let_go = hold_first_answer(page, "**/findings*")
    step(page, "Judge")
    expect(page.get_by_text("The judgement is coming…", exact=True)).to_be_visible()
    laid_out(page)
    laid_out(page)
    assert len(asked) == 1, "the run sheet beside it asked over again"
    expect(page.get_by_text("The judgement is coming…", exact=True)).to_be_visible()
    expect(page.locator("[data-quantity=start]")).to_have_count(0)
    let_go()
    expect(page.locator("[data-quantity=start]")).to_contain_text("All 5 within")


def test_the_run_sheet_denies_nothing_while_putts_are_recorded(page: Page):
    # Opened straight on Start, what was judged stands beside it.
    lesson = open_golfer(page, "Junia")
    headline = page.locator("h1[data-headline]").inner_text()
    page.goto(f"/lessons/{lesson}/start")
    judge = page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile("^Judge"))
    expect(judge).to_contain_text(headline)
    # Of a new lesson nothing is judged; after a putt it is no longer said that there is nothing.
    own_lesson(page, "Undenied Golfer")
    start_block(page)
    expect(judge).to_contain_text("Nothing to judge yet.")
    page.locator("[data-zone='clean']").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    expect(judge).to_contain_text("Judged anew when it is opened.")
    expect(judge).not_to_contain_text("Nothing to judge yet.")
