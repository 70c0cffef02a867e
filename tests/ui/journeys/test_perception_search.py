"""The whole perception search by touch on an upright tablet: first look, test, map, mirror, card, daily check."""

import re

from playwright.sync_api import Page, expect

from ..conftest import own_lesson, shot
from ..see.test_see import answers


def fill(page: Page, name: str, value: object) -> None:
    page.get_by_label(name, exact=True).fill(str(value))
    page.keyboard.press("Enter")


def part(page: Page, name: str) -> None:
    page.get_by_role("radio", name=name).tap()


def mark(page: Page, inside: int) -> None:
    """Both eyes and the nose, so many mm inside, and the look kept."""
    for what, behind in (("Lead eye", -32), ("Trail eye", 32), ("Nose", 4)):
        fill(page, f"{what} inside", inside)
        fill(page, f"{what} behind", behind)
    page.get_by_role("button", name="Keep this look").tap()


def test_a_golfer_finds_where_straight_looks_straight_and_checks_it_daily(page: Page):
    own_lesson(page, "Searching Golfer")
    page.get_by_role("link", name=re.compile("^See")).tap()
    seen = page.locator("[data-first-look]")
    looks = page.get_by_role("group", name="It looks")
    # From the usual place: one tap.
    looks.get_by_role("button", name=re.compile("Left")).tap()
    expect(seen).to_contain_text("From the usual place a true line looks left.")
    # A position: two taps, and no degrees for what has none.
    for place, look in (("further in", "Left"), ("further ahead", "Left"), ("chin tucked", "Straight")):
        page.get_by_role("group", name="Where the head is").get_by_role("button", name=re.compile(f"^{place}")).tap()
        looks.get_by_role("button", name=re.compile(look)).tap()
        expect(page.get_by_role("list", name="First looks, newest first")).to_contain_text(place)
    expect(seen).to_contain_text("With the chin tucked it looks straight.")
    page.get_by_role("group", name="Can be played from, chin tucked").get_by_role("button", name="Playable").tap()
    assert "°" not in seen.inner_text()
    shot(page, "first-look-tablet")

    # The full test is offered there, keeps its way of asking, and can be left with nothing kept.
    page.get_by_role("button", name="Full test there").tap()
    expect(page.locator("[data-place]")).to_contain_text("chin tucked")
    page.get_by_role("button", name="Begin asking").tap()
    answers(page, 0.0, 2)
    page.get_by_role("button", name="Leave it: nothing is kept of it").tap()
    expect(page.get_by_text("The test was left; nothing of it counts.")).to_be_visible()
    page.get_by_role("button", name="Back to usual").tap()
    page.get_by_role("button", name="Begin asking").tap()
    expect(page.locator("[data-asked]")).to_have_text("Answer 1")
    answers(page, 1.25, 8)
    page.get_by_role("button", name="Show what they say").tap()
    expect(page.locator("[data-headline]").first).to_contain_text("right of true")
    part(page, "What moves it")
    expect(page.locator("[data-next]")).to_be_visible()
    expect(page.locator("[data-effects]")).to_contain_text("Nothing was moved yet.")

    # Eyes and nose on the mirror, with its own slope; another set-up stands beside the usual one.
    part(page, "Where the eyes are")
    page.get_by_label("Mark the nose too").check()
    fill(page, "Mirror falls to the golfer", 0.6)
    for n, inside in enumerate((12, 14), start=1):
        mark(page, inside)
        expect(page.get_by_role("list", name="Looks, newest first").get_by_role("listitem")).to_have_count(n)
    expect(page.locator("[data-eye-words]")).to_contain_text("Nose")
    page.get_by_role("radio", name="Another set-up…").tap()
    page.get_by_label("Another set-up", exact=True).fill("taller")
    page.keyboard.press("Enter")
    mark(page, -20)
    expect(page.locator("[data-set-up=taller] [data-moved]")).to_contain_text("further out than “as usual”")
    expect(page.locator("[data-set-up='as usual']")).to_contain_text("inside the line")
    shot(page, "two-set-ups-tablet")

    # The card and the daily check: read with the mirror's slope and this golfer's eyes, as they were here.
    part(page, "What moves it")
    page.get_by_role("button", name="Keep this set-up as it is").tap()
    expect(page.get_by_role("button", name="Print mirror overlay")).to_be_visible()
    part(page, "Quick check")
    page.get_by_role("button", name="Begin the check").tap()
    expect(page.locator("[data-mirror-sizes]").get_by_label("Mirror falls to the golfer", exact=True)).to_have_value(
        "0.6"
    )
