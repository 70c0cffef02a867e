"""A wall at its own key: let in by a link, sent something from a lesson, taken away."""

import re

from playwright.sync_api import expect

from ..conftest import no_serious_finding, shot
from .test_people import choose


def test_a_wall_shows_what_a_lesson_sends_to_it_with_nobody_signed_in(floor, browsers):
    owner = browsers(1280, 800)
    owner.goto(floor.first_link())
    choose(owner)
    owner.goto("/people")
    screens = owner.locator("[data-screens]")
    screens.get_by_label("How it is called").fill("Wall at the mats")
    screens.get_by_role("button", name="Add a screen…").tap()
    sheet = owner.get_by_role("dialog")
    link = sheet.get_by_label("The same in letters").input_value()
    shot(owner, "screen-link")
    no_serious_finding(owner)
    owner.keyboard.press("Escape")
    row = screens.locator("[data-screen-row='Wall at the mats']")
    expect(row).to_contain_text("its link was not opened yet")
    shot(owner, "screens")

    wall = browsers(1280, 720)
    wall.goto("/screen")
    expect(wall.locator("[data-screen]")).to_contain_text("This is no screen yet")
    wall.goto(link)
    wall.reload()
    expect(wall.locator("[data-screen]")).to_contain_text("Wall at the mats")
    expect(wall.locator("[data-screen]")).to_contain_text("Nothing is sent here just now.")
    assert wall.url.endswith("/screen"), "what lets it in stands in no address"
    no_serious_finding(wall)

    owner.goto("/")
    owner.get_by_role("link", name="Go on recording").first.tap()
    counted = owner.locator("[data-count]")
    expect(counted).to_contain_text("Putt")
    owner.get_by_role("button", name="Lesson", exact=True).tap()
    send = owner.locator("[data-send-to-screen]")
    send.get_by_role("radio", name="The last putt").tap()
    shot(owner, "screen-sent")
    no_serious_finding(owner)
    expect(wall.locator("[data-wall]")).to_contain_text(re.compile(r"Putt \d+ of"))
    owner.keyboard.press("Escape")
    expect(owner.get_by_role("dialog")).to_have_count(0)
    before = int(re.findall(r"Putt (\d+)", counted.inner_text())[0])
    owner.keyboard.press("0")
    expect(counted).to_contain_text(f"Putt {before + 1}")
    expect(wall.locator("[data-wall]")).to_contain_text(f"Putt {before} of")
    shot(wall, "screen-putts")
    owner.get_by_role("button", name="Lesson", exact=True).tap()
    send.get_by_role("radio", name="What it comes to").tap()
    expect(wall.locator("[data-headline]")).to_be_visible()
    shot(wall, "screen-finding")
    # It opens nothing else, wherever it is sent by hand.
    wall.goto("/")
    expect(wall.locator("[data-sign-in]")).to_be_visible()
    wall.goto("/screen")
    expect(wall.locator("[data-headline]")).to_be_visible()

    owner.goto("/people")
    row.get_by_role("button", name="Take away").tap()
    expect(row).to_have_count(0)
    expect(wall.locator("[data-screen]")).to_contain_text("This is no screen yet")
