"""What a golfer agreed to, asked on the golfer's page; everything of a golfer deleted, once the name was written."""

import uuid6
from playwright.sync_api import Page, expect

from ..conftest import no_serious_finding, shot


def own_golfer(page: Page, name: str) -> str:
    id = str(uuid6.uuid7())
    answer = page.request.put(f"/api/golfers/{id}", data={"name": name, "hand": "right", "level": "club"})
    assert answer.ok, answer.text()
    return id


def test_a_minor_is_asked_through_the_guardian_and_what_was_refused_is_not_done(page: Page):
    golfer = own_golfer(page, "Asked Minor")
    page.goto(f"/golfers/{golfer}")
    keeping = page.locator("[data-asks-consent=keeping]")
    expect(keeping).to_contain_text("Not asked yet.")
    keeping.get_by_role("button", name="Ask…").click()
    expect(keeping).to_contain_text("May what is read in your lessons be kept here under your name")
    keeping.get_by_role("radio", name="The guardian of a minor").click()
    shot(page, "agreed-asked")
    no_serious_finding(page)
    keeping.get_by_role("button", name="Agreed", exact=True).click()
    expect(keeping).to_contain_text("Agreed, by the guardian")
    filming = page.locator("[data-asks-consent=filming]")
    filming.get_by_role("button", name="Ask…").click()
    expect(filming.get_by_role("radio", name="The guardian of a minor")).to_be_checked()
    filming.get_by_role("radio", name="Asked Minor, of age").click()
    filming.get_by_role("button", name="Agreed", exact=True).click()
    expect(filming.get_by_role("alert")).to_contain_text("A minor’s guardian answers this")
    filming.get_by_role("button", name="Not agreed").click()
    expect(filming).to_contain_text("Not agreed, or withdrawn, by the golfer")
    page.reload()
    expect(filming).to_contain_text("Not agreed, or withdrawn, by the golfer")
    expect(keeping).to_contain_text("Agreed, by the guardian")


def test_everything_of_a_golfer_is_deleted_once_the_name_was_written(page: Page):
    golfer = own_golfer(page, "Leaves For Good")
    page.goto(f"/golfers/{golfer}")
    removal = page.locator("[data-removal]")
    removal.get_by_role("button", name="Delete everything of Leaves For Good…").click()
    expect(removal.locator("[data-backups]")).to_contain_text("backup")
    removal.get_by_label("Write the name").fill("Somebody Else")
    removal.get_by_role("button", name="Delete for good").click()
    expect(removal.get_by_role("alert")).to_contain_text("not the name of this golfer")
    shot(page, "removal")
    no_serious_finding(page)
    removal.get_by_label("Write the name").fill("leaves for good")
    removal.get_by_role("button", name="Delete for good").click()
    expect(page.get_by_role("region", name="Lessons in progress")).to_be_visible()
    assert page.request.get(f"/api/golfers/{golfer}").status == 404
    expect(page.get_by_text("Leaves For Good")).to_have_count(0)
    page.goto("/people")
    kept = page.locator("[data-kept-for]")
    expect(kept.get_by_role("list", name="What came of it")).to_contain_text("a golfer deleted, as was asked")
    kept.get_by_role("radio", name="10 years").click()
    expect(kept.get_by_role("radio", name="10 years")).to_be_checked()
    shot(page, "kept-for")
    no_serious_finding(page)
    kept.get_by_role("radio", name="Until somebody deletes them").click()
    expect(kept.get_by_text("Nobody goes within two months.")).to_have_count(0)
