"""The floor as ./serve serves it: the owner begins it, invites, locks out; each in a browser of his own."""

import re

from playwright.sync_api import Page, expect
from sqlalchemy import text

from libella.store.server.database import connect

from ..conftest import no_serious_finding, shot

PASSPHRASE = "kettle harbour willow-9 plinth"


def choose(page: Page, passphrase: str = PASSPHRASE) -> list[str]:
    """Choose a passphrase where a link was opened, and go in; the codes that were shown."""
    page.get_by_label("A passphrase").fill(passphrase)
    page.get_by_role("button", name="Come in").tap()
    expect(page.get_by_role("heading", name="Write these down")).to_be_visible()
    codes = page.locator("[data-codes] li").all_inner_texts()
    page.get_by_role("button", name="I have written them down").tap()
    expect(page.get_by_role("heading", name="Write these down")).to_have_count(0)
    return codes


def sign_in(page: Page, name: str, passphrase: str = PASSPHRASE) -> None:
    page.get_by_label("Name", exact=True).fill(name)
    page.get_by_label("Passphrase").fill(passphrase)
    page.get_by_role("button", name="Sign in", exact=True).tap()


def test_the_owner_begins_invites_an_assistant_and_locks_him_out(floor, browsers):
    owner = browsers()
    owner.goto("/")
    expect(owner.get_by_role("heading", name="The Ropewalk")).to_be_visible()
    shot(owner, "sign-in")
    no_serious_finding(owner)
    # A device is made ready before anybody is known on it; the print shown is the one the terminal said.
    owner.get_by_role("link", name="Make this device ready").tap()
    expect(owner.get_by_role("list", name="Addresses")).to_contain_text(floor.address)
    said = next(it for it in floor.said if "authority" in it).split()[-1]
    assert ":".join(owner.locator("[data-print] span").all_inner_texts()) == said
    expect(owner.locator("[data-steps]")).to_contain_text("let it be taken as a profile")
    owner.get_by_role("radio", name="Computer").tap()
    expect(owner.locator("[data-steps]")).to_contain_text("among the root authorities")
    with owner.expect_download() as taken:
        owner.get_by_role("link", name="Take the certificate").tap()
    assert "BEGIN CERTIFICATE" in taken.value.path().read_text()
    no_serious_finding(owner)
    owner.goto(floor.first_link())
    expect(owner.locator("[data-welcome]")).to_be_visible()
    # The studio is named, and its owner: as they stand, where nothing else is said.
    expect(owner.get_by_label("Your name")).to_have_value("Owner")
    owner.get_by_label("Name of the studio").fill("The Quay")
    shot(owner, "welcome")
    no_serious_finding(owner)
    owner.get_by_label("A passphrase").fill("password")
    expect(owner.locator("[data-length]")).to_have_text("8 of 12 characters.")
    owner.get_by_label("A passphrase").fill("password1234")
    expect(owner.locator("[data-length]")).to_contain_text("Long enough")
    shot(owner, "welcome-long-enough")
    owner.get_by_role("button", name="Come in").tap()
    expect(owner.locator("[data-welcome]")).to_contain_text("soon guessed")
    codes = choose(owner)
    assert len(codes) == 8
    expect(owner.get_by_role("link", name="Junia Thale").first).to_be_visible()
    owner.set_viewport_size({"width": 1280, "height": 800})
    owner.get_by_role("button", name="m: change the units").click()
    owner.locator("[data-who]").click()
    expect(owner.get_by_role("list", name="Where you are signed in")).to_contain_text("this one")
    shot(owner, "me")
    no_serious_finding(owner)
    owner.get_by_role("link", name="People…").click()
    owner.get_by_label("Name to sign in with").fill("Hand")
    owner.get_by_role("radio", name="Assistant").click()
    owner.get_by_role("button", name="Add", exact=True).click()
    studio = owner.locator("[data-studio]")
    expect(studio.get_by_label("Name", exact=True)).to_have_value("The Quay")
    studio.get_by_label("Name", exact=True).fill("The Ropewalk")
    studio.get_by_role("button", name="Name it so").click()
    expect(studio.get_by_role("button", name="Name it so")).to_be_disabled()
    row = owner.locator("[data-account=Hand]")
    expect(row).to_contain_text("not begun")
    row.get_by_role("button", name="Show a link…").click()
    link = owner.get_by_role("dialog").get_by_label("The same in letters").input_value()
    expect(owner.locator("[data-link-picture]")).to_be_visible()
    shot(owner, "people-link")
    owner.keyboard.press("Escape")
    expect(owner.get_by_role("dialog")).to_have_count(0)

    hand = browsers(390, 844)
    hand.goto(link)
    expect(hand.get_by_role("main")).to_contain_text("Hand, as assistant")
    shot(hand, "welcome-phone")
    choose(hand)
    # He records: opens the lesson that stands open, and a putt of his is the owner's to see.
    hand.get_by_role("link", name="Go on recording").first.tap()
    counted = hand.locator("[data-count]")
    expect(counted).to_contain_text("Putt")
    hand.keyboard.press("0")
    expect(hand.locator("[data-link='saved']")).to_be_attached()
    hand.goto("/")
    expect(hand.locator("[data-me-link]")).to_have_text("Hand")
    hand.goto("/people")
    expect(hand.locator("[data-people]")).to_contain_text("not among what your role may do")
    owner.reload()
    expect(owner.get_by_role("list", name="Who did what, newest first")).to_contain_text("Hand kept a putt")
    expect(row).to_contain_text("can come in")
    shot(owner, "people")
    no_serious_finding(owner)

    # Another who signs in here would lose what he has not sent: it is asked first, and his passphrase has it sent.
    hand.route("**/api/readings/*", lambda it: it.abort())
    hand.goto("/")
    hand.get_by_role("link", name="Go on recording").first.tap()
    before = int(re.findall(r"Putt (\d+)", counted.inner_text())[0])
    hand.keyboard.press("0")
    expect(hand.locator("[data-link='1 waiting']")).to_be_attached()
    hand.context.clear_cookies()
    hand.goto("/")
    sign_in(hand, "Owner")
    expect(hand.locator("[data-losing]")).to_contain_text("1 entry of Hand made on this device did not reach Libella")
    shot(hand, "losing-phone")
    no_serious_finding(hand)
    hand.unroute("**/api/readings/*")
    sign_in(hand, "Hand")
    expect(hand.locator("[data-link='saved']")).to_be_attached()
    hand.get_by_role("link", name="Go on recording").first.tap()
    expect(counted).to_contain_text(f"Putt {before + 1}")

    # A tablet left lying locks nobody out: after ten minutes the passphrase is asked again, and then it is done.
    engine = connect(floor.environment["LIBELLA_DATABASE_URL"])
    with engine.begin() as connection:
        connection.execute(text("update sign_in set proved_at = proved_at - interval '11 minutes'"))
    engine.dispose()
    row.get_by_role("button", name="Lock out").click()
    asked = owner.locator("[data-prove]")
    asked.get_by_label("Passphrase").fill("not the one at all, no")
    asked.get_by_role("button", name="It is me").click()
    expect(asked.get_by_role("alert")).to_contain_text("not the passphrase in use")
    shot(owner, "prove")
    no_serious_finding(owner)
    expect(row).not_to_contain_text("locked")
    asked.get_by_label("Passphrase").fill(PASSPHRASE)
    asked.get_by_role("button", name="It is me").click()
    expect(asked).to_have_count(0)
    expect(row).to_contain_text("locked")
    hand.goto("/")
    expect(hand.locator("[data-sign-in]")).to_be_visible()
    expect(hand.locator("[data-locked-out]")).to_contain_text("locked out by the owner of the studio")
    sign_in(hand, "Hand")
    expect(hand.locator("[data-sign-in]")).to_contain_text("is not right")

    # A code on paper lets the owner in on another device, once, and signs this one out.
    other = browsers()
    other.goto("/")
    other.get_by_role("button", name="I forgot it: use a code").tap()
    other.get_by_label("Name", exact=True).fill("owner")
    other.get_by_label("One of the codes you wrote down").fill(codes[2])
    other.get_by_label("A new passphrase").fill("lantern quarry-7 sable moth")
    other.get_by_role("button", name="Sign in", exact=True).tap()
    expect(other.get_by_role("heading", name="Write these down")).to_be_visible()
    other.get_by_role("button", name="I have written them down").tap()
    expect(other.get_by_role("link", name="Junia Thale").first).to_be_visible()
    # Units are the person's: what was chosen on one device stands on the other.
    expect(other.get_by_role("button", name="ft: change the units")).to_be_visible()
    owner.reload()
    expect(owner.locator("[data-sign-in]")).to_be_visible()
    # One of his own devices is lost: what it keeps goes, and it says so.
    sign_in(owner, "owner", "lantern quarry-7 sable moth")
    expect(owner.locator("[data-sign-in]")).to_have_count(0)
    other.goto("/me")
    other.get_by_role("button", name="It is lost…").tap()
    shot(other, "me-lost")
    no_serious_finding(other)
    other.get_by_role("button", name="Lock it out").tap()
    expect(other.get_by_role("button", name="It is lost…")).to_have_count(0)
    owner.goto("/")
    expect(owner.locator("[data-locked-out]")).to_contain_text("as lost by whoever was signed in on it")
    other.goto("/")
    sign_in(owner, "owner", "lantern quarry-7 sable moth")
    expect(owner.locator("[data-sign-in]")).to_have_count(0)
    # Signing out takes along what was shown: whoever opens this browser next sees the door alone.
    owner.goto("/me")
    owner.get_by_role("button", name="Sign out everywhere").click()
    expect(owner.locator("[data-sign-in]")).to_be_visible()
    other.get_by_role("link", name="Junia Thale").first.click()
    expect(other.locator("[data-sign-in]")).to_be_visible()


def test_what_was_tapped_while_nobody_was_known_waits_for_the_sign_in(floor, browsers):
    owner = browsers()
    owner.goto(floor.first_link())
    choose(owner)
    owner.get_by_role("link", name="Go on recording").first.click()
    expect(owner.locator("[data-count]")).to_contain_text("Putt")
    before = owner.locator("[data-count]").inner_text()
    owner.context.clear_cookies()
    owner.keyboard.press("0")
    expect(owner.locator("[data-link]")).to_have_attribute("data-link", re.compile("waiting for a sign-in"))
    expect(owner.locator("[data-sign-in]")).to_be_visible()
    sign_in(owner, "owner")
    expect(owner.locator("[data-link='saved']")).to_be_attached()
    expect(owner.locator("[data-count]")).not_to_have_text(before)
