"""What is entered waits on the device, whatever it is: through the real interface, with the network as it comes."""

import json
import re
from urllib.parse import urlsplit

from playwright.sync_api import Page, expect

from .conftest import own_lesson, stands, until
from .stand.test_stand import fill


def to_stand(page: Page, golfer: str) -> None:
    own_lesson(page, golfer)
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="Stand").click()
    expect(page.get_by_role("heading", name="How the golfer stands")).to_be_visible()


def test_a_set_up_noted_without_a_network_is_there_when_the_page_is_opened_again(page: Page):
    to_stand(page, "Offline Stander")
    page.context.route("**/api/set-ups/**", lambda it: it.abort())
    fill(page, "Ball to the toes", 240)
    fill(page, "Stance width", 310)
    # The newer takes the place of what was not sent yet: it says all of the set-up.
    expect(page.locator("[data-link='1 waiting']")).to_be_visible()
    expect(page.get_by_label("Ball to the toes", exact=True)).to_have_value("240")
    address = page.url
    page.close()
    page.context.unroute("**/api/set-ups/**")
    again = page.context.new_page()
    again.goto(address)
    expect(again.get_by_label("Stance width", exact=True)).to_have_value("310")
    expect(again.get_by_label("Ball to the toes", exact=True)).to_have_value("240")
    expect(again.locator("[data-link='saved']")).to_be_visible()


def test_a_set_down_counts_at_once_and_its_turn_is_kept(page: Page):
    own_lesson(page, "Offline Aimer")
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="Aim").click()
    page.get_by_role("radio", name="Ball mark").click()
    page.get_by_role("button", name="Begin the set-downs").click()
    counted = page.locator("[data-set-count]")
    expect(counted).to_contain_text("Set-down 1 of 7")
    page.context.route("**/api/set-downs/**", lambda it: it.abort())
    for angle in (0.5, 1.0):
        fill(page, "Angle", angle)
        page.get_by_role("button", name="Record it").click()
    expect(counted).to_contain_text("Set-down 3 of 7")
    expect(page.locator("[data-link='2 waiting']")).to_be_visible()
    page.context.unroute("**/api/set-downs/**")
    expect(page.locator("[data-link='saved']")).to_be_visible(timeout=12_000)
    expect(counted).to_contain_text("Set-down 3 of 7")


def test_what_nobody_signed_in_for_waits(page: Page):
    to_stand(page, "Unknown Stander")
    problem = {"type": "urn:libella:problem:sign-in", "title": "Sign in", "status": 401, "detail": "Who is it?"}
    page.context.route(
        "**/api/set-ups/**",
        lambda it: it.fulfill(status=401, content_type="application/problem+json", body=json.dumps(problem)),
    )
    fill(page, "Ball to the toes", 240)
    expect(page.locator("[data-link='1 waiting for a sign-in']")).to_be_visible()
    page.context.unroute("**/api/set-ups/**")
    expect(page.locator("[data-link='saved']")).to_be_visible(timeout=12_000)
    page.reload()
    expect(page.get_by_label("Ball to the toes", exact=True)).to_have_value("240")


def test_a_refusal_is_kept_in_view_where_the_view_that_made_it_has_gone(page: Page):
    to_stand(page, "Refused Stander")
    held: list = []
    page.context.route("**/api/set-ups/**", lambda it: held.append(it))
    fill(page, "Stance width", 300)
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="Aim").click()
    expect(page.get_by_role("heading", name="Where does the face aim?")).to_be_visible()
    problem = {
        "type": "urn:x",
        "title": "No",
        "status": 409,
        "detail": "It belongs elsewhere.",
        "remedy": "Note a new one.",
    }
    until(page, lambda: held)
    held[0].fulfill(status=409, content_type="application/problem+json", body=json.dumps(problem))
    alert = page.get_by_role("alert")
    expect(alert).to_contain_text(re.compile("Not kept: The set-up.*It belongs elsewhere.*Note a new one.", re.S))
    page.reload()
    alert.get_by_role("button", name="I have seen it").click()
    expect(page.locator("[data-link='saved']")).to_be_visible()


def test_two_who_edit_one_golfer_keep_what_each_changed_and_are_told_of_a_clash(page: Page):
    own_lesson(page, "Shared Golfer")
    page.get_by_role("link", name="Shared Golfer").click()
    expect(page).to_have_url(re.compile("/golfers/"))
    golfer = urlsplit(page.url).path.rsplit("/", 1)[1]

    def elsewhere(**changed: str) -> None:
        stands = page.request.get(f"/api/golfers/{golfer}").json()
        noted = {it: stands[it] for it in ("name", "hand", "level", "notes", "step_m")}
        assert page.request.put(f"/api/golfers/{golfer}", data=noted | changed).ok

    sheet = page.get_by_role("dialog")
    page.get_by_role("button", name="Change", exact=True).click()
    elsewhere(name="Renamed Elsewhere")
    sheet.get_by_label("Notes").fill("left eye leads")
    sheet.get_by_role("button", name="Keep changes").click()
    expect(page.get_by_role("heading", name="Renamed Elsewhere")).to_be_visible()
    assert page.request.get(f"/api/golfers/{golfer}").json()["notes"] == "left eye leads"
    # Both change the name: the later is told what it says now, and what was typed stays to be said again.
    page.get_by_role("button", name="Change", exact=True).click()
    elsewhere(name="Once More Elsewhere")
    sheet.get_by_label("Name").fill("Mine")
    sheet.get_by_role("button", name="Keep changes").click()
    expect(sheet.get_by_role("alert")).to_contain_text("it says “Once More Elsewhere” by now")
    expect(sheet.get_by_label("Name")).to_have_value("Mine")
    stands(page)
    sheet.get_by_role("button", name="Keep changes").click()
    expect(page.get_by_role("heading", name="Mine")).to_be_visible()
