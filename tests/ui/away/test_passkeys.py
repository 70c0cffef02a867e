"""A passkey in place of the passphrase: it lets in, opens what the device keeps, proves who one is, and goes."""

from playwright.sync_api import Page, expect
from sqlalchemy import text

from libella.store.server.database import connect

from ..conftest import no_serious_finding, shot
from ..people.test_people import PASSPHRASE, choose
from .test_away import taken_along


def device_of(page: Page, *, tells: bool) -> None:
    """A device that asks for face, finger or code by itself; `tells`: with a secret for what is kept on it."""
    session = page.context.new_cdp_session(page)
    session.send("WebAuthn.enable")
    options = {
        "protocol": "ctap2",
        "ctap2Version": "ctap2_1",
        "transport": "internal",
        "hasResidentKey": True,
        "hasUserVerification": True,
        "isUserVerified": True,
        "automaticPresenceSimulation": True,
        "hasPrf": tells,
    }
    session.send("WebAuthn.addVirtualAuthenticator", {"options": options})


def make(page: Page) -> None:
    page.locator("[data-who]").tap()
    page.get_by_role("button", name="Make one on this device").tap()
    expect(page.get_by_role("list", name="Your passkeys").get_by_role("listitem")).to_have_count(1)


def sign_out(page: Page) -> None:
    page.goto("/me")
    page.get_by_role("button", name="Sign out here").tap()
    expect(page.locator("[data-sign-in]")).to_be_visible()


def forgotten(page: Page) -> None:
    """As if the browser had been closed: what only its memory held is gone, and no page gives it back as it goes."""
    page.evaluate("""() => {
        const tell = ServiceWorker.prototype.postMessage
        ServiceWorker.prototype.postMessage = () => undefined
        tell.call(navigator.serviceWorker.controller, { what: 'forget' })
    }""")


def test_a_passkey_opens_the_studio_and_what_the_device_keeps(tablet, floor):
    with tablet(floor.address, "--ignore-certificate-errors") as context:
        _a_day_by_passkey(context.new_page(), floor)


def _a_day_by_passkey(owner: Page, floor) -> None:
    device_of(owner, tells=True)
    owner.goto(floor.first_link())
    choose(owner)
    make(owner)
    passkeys = owner.locator("[data-passkeys]")
    expect(passkeys).to_contain_text("not used yet; opens what this device keeps")
    passkeys.scroll_into_view_if_needed()
    shot(owner, "passkeys")
    no_serious_finding(owner)
    # A device makes one of an account, not two.
    owner.get_by_role("button", name="Make one on this device").tap()
    expect(passkeys).to_contain_text("This device has a passkey of your account.")

    # Whatever was not sent is closed when the browser starts, with or without a network: the passkey opens it.
    taken_along(owner)
    owner.goto("/")
    owner.route("**/api/readings/*", lambda it: it.abort())
    owner.get_by_role("link", name="Go on recording").first.tap()
    expect(owner.locator("[data-count]")).to_contain_text("Putt")
    owner.keyboard.press("0")
    expect(owner.locator("[data-link='1 waiting']")).to_be_attached()
    forgotten(owner)
    owner.context.set_offline(True)
    owner.goto("/")
    door = owner.locator("[data-open-device]")
    expect(door).to_contain_text("1 entry made here did not reach Libella yet")
    shot(owner, "open-by-passkey")
    no_serious_finding(owner)
    owner.get_by_role("button", name="Open by passkey").tap()
    expect(owner.locator("[data-link='1 waiting']")).to_be_attached()
    owner.unroute("**/api/readings/*")
    owner.context.set_offline(False)
    expect(owner.locator("[data-link='saved']")).to_be_attached()

    # Signed out and in again by it, nobody asks for the passphrase.
    sign_out(owner)
    shot(owner, "sign-in-by-passkey")
    no_serious_finding(owner)
    owner.get_by_role("button", name="Sign in by passkey").tap()
    expect(owner.get_by_role("link", name="Junia Thale").first).to_be_visible()
    owner.goto("/me")
    expect(passkeys).to_contain_text("opens what this device keeps")
    expect(passkeys).not_to_contain_text("not used yet")

    # Whoever lets somebody in shows it once more.
    engine = connect(floor.environment["LIBELLA_DATABASE_URL"])
    with engine.begin() as store:
        store.execute(text("update sign_in set proved_at = proved_at - interval '11 minutes'"))
    engine.dispose()
    owner.goto("/people")
    owner.get_by_label("Name to sign in with").fill("Hand")
    owner.get_by_role("radio", name="Assistant").tap()
    owner.get_by_role("button", name="Add", exact=True).tap()
    shot(owner, "prove-by-passkey")
    no_serious_finding(owner)
    owner.get_by_role("dialog").get_by_role("button", name="By passkey").tap()
    expect(owner.locator("[data-account=Hand]")).to_contain_text("not begun")

    # Taken away it opens nothing.
    owner.goto("/me")
    passkeys.get_by_role("button", name="Take it away").tap()
    passkeys.get_by_role("button", name="Nobody comes in by it any more").tap()
    expect(owner.get_by_role("list", name="Your passkeys")).to_have_count(0)
    sign_out(owner)
    owner.get_by_role("button", name="Sign in by passkey").tap()
    expect(owner.locator("[data-sign-in]")).to_contain_text("This passkey opens nothing here")
    shot(owner, "passkey-refused")


def test_where_a_passkey_tells_no_secret_the_passphrase_closes_the_device(tablet, floor):
    with tablet(floor.address, "--ignore-certificate-errors") as context:
        _in_by_a_silent_one(context.new_page(), floor)


def _in_by_a_silent_one(owner: Page, floor) -> None:
    device_of(owner, tells=False)
    owner.goto(floor.first_link())
    choose(owner)
    make(owner)
    expect(owner.locator("[data-passkeys]")).not_to_contain_text("opens what this device keeps")
    sign_out(owner)
    owner.set_viewport_size({"width": 390, "height": 844})
    shot(owner, "sign-in-phone")
    owner.get_by_role("button", name="Sign in by passkey").tap()
    expect(owner.locator("[data-open-device]")).to_contain_text("is closed by your passphrase")
    expect(owner.get_by_role("button", name="Open by passkey")).to_have_count(0)
    owner.get_by_label("Passphrase").fill(PASSPHRASE)
    owner.get_by_role("button", name="Open", exact=True).tap()
    expect(owner.get_by_role("link", name="Junia Thale").first).to_be_visible()
