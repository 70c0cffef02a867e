"""A golfer signs in himself, on a phone: what the coach released is there, and nothing else."""

from playwright.sync_api import expect

from ..conftest import no_serious_finding, shot
from .test_people import choose


def test_a_golfer_sees_what_was_released_on_a_phone_and_no_more_once_it_is_taken_back(floor, browsers):
    owner = browsers()
    owner.goto(floor.first_link())
    choose(owner)
    owner.set_viewport_size({"width": 1280, "height": 800})
    owner.goto("/people")
    owner.get_by_role("radio", name="Golfer").click()
    owner.get_by_label("Which golfer").fill("Junia")
    owner.get_by_role("list", name="Golfers").get_by_role("button", name="Junia Thale").click()
    expect(owner.get_by_label("Name to sign in with")).to_have_value("Junia Thale")
    shot(owner, "people-golfer")
    owner.get_by_role("button", name="Add", exact=True).click()
    row = owner.locator("[data-account='Junia Thale']")
    expect(row).to_contain_text("Junia Thale: Sees what was released")
    row.get_by_role("button", name="Show a link…").click()
    link = owner.get_by_role("dialog").get_by_label("The same in letters").input_value()

    golfer = browsers()
    golfer.set_viewport_size({"width": 390, "height": 844})
    golfer.goto(link)
    choose(golfer)
    expect(golfer.locator("[data-nothing]")).to_contain_text("Nothing yet")
    no_serious_finding(golfer)
    # Every other page leads to his own.
    golfer.goto("/logbook")
    expect(golfer).to_have_url(f"{floor.address}/mine")
    expect(golfer.get_by_role("link", name="saved")).to_have_count(0)

    golfers = owner.request.get("/api/golfers?q=Junia").json()["items"]
    lessons = owner.request.get(f"/api/golfers/{golfers[0]['golfer']['id']}/lessons").json()["items"]
    lesson = lessons[0]["lesson"]["id"]
    owner.goto(f"/lessons/{lesson}/keep")
    owner.get_by_role("button", name="Release it to Junia Thale").click()
    expect(owner.locator("[data-released]")).to_contain_text("sees this sheet since")
    shot(owner, "keep-released")
    no_serious_finding(owner)
    found = owner.request.get(f"/api/lessons/{lesson}/summary").json()["found"]

    golfer.reload()
    sheets = golfer.get_by_role("list", name="Lessons, newest first").get_by_role("listitem")
    expect(sheets).to_have_count(1)
    shot(golfer, "mine")
    no_serious_finding(golfer)
    sheets.get_by_role("link").tap()
    expect(golfer.locator("[data-own-sheet]")).to_contain_text(found[0][:40])
    shot(golfer, "mine-sheet")
    no_serious_finding(golfer)
    assert golfer.evaluate("document.documentElement.scrollWidth") <= 390

    owner.get_by_role("button", name="Take it back").click()
    expect(owner.get_by_role("button", name="Release it to Junia Thale")).to_be_visible()
    golfer.reload()
    expect(golfer.get_by_text("no such lesson")).to_be_visible()
    golfer.goto("/")
    expect(golfer.locator("[data-nothing]")).to_be_visible()
