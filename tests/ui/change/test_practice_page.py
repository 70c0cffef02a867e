"""The page of a session: it stands whichever of its answers comes last."""

from playwright.sync_api import Page, expect

from ..conftest import hold_first_answer, laid_out, own_lesson


def test_a_session_shows_when_its_plan_is_the_last_to_come(page: Page):
    own_lesson(page, "Waiting Golfer")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    golfer = page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"]
    let_go = hold_first_answer(page, "**/practice-plan")
    with page.expect_response("**/api/drills*"):
        page.goto(f"/golfers/{golfer}/practice")
    # What came first is drawn.
    laid_out(page)
    expect(page.get_by_text("The session is coming…")).to_be_visible()
    let_go()
    expect(page.get_by_role("heading", name="Nothing to practise here")).to_be_visible()
