"""A day without a network: the program opens, a lesson is recorded, the browser is killed, and all of it arrives."""

import re

import pytest
import uuid6
from playwright.sync_api import Page, expect

from ..conftest import no_serious_finding, shot
from ..people.test_people import PASSPHRASE, choose

STATION = {
    "distance_m": 2.5, "past_m": 0.35, "green_speed_ft": 10, "rig_kind": "board",
    "rig_sizes_m": {"distance_m": 1.0, "half_width_m": 0.1, "mark_m": 0.005},
}  # fmt: skip
CONTROLLED = """new Promise((now) => navigator.serviceWorker.controller ? now(1)
    : navigator.serviceWorker.addEventListener('controllerchange', () => now(1)))"""
KEPT = """(name) => new Promise((told) => { const book = indexedDB.open(name)
    book.onsuccess = () => { const all = [...book.result.objectStoreNames]
        const asked = book.result.transaction(all).objectStore(all[0]).getAll()
        asked.onsuccess = () => told(asked.result) } })"""
"""All that a device keeps in one book."""


def taken_along(page: Page) -> None:
    """The day is taken along by itself."""
    page.evaluate(CONTROLLED)
    page.locator("[data-link]").click()
    try:
        expect(page.locator("[data-taken]")).to_contain_text("Taken along", timeout=400_000)
    except AssertionError as late:
        raise AssertionError(f"not taken along: {not_answered(page)}") from late


def not_answered(page: Page) -> list[tuple[int, str, str]]:
    """What of the day the server does not give, as far as it can be asked again."""
    day = page.request.get("/api/away?units=metric")
    if not day.ok:
        return [(day.status, "/api/away", day.text()[:300])]
    answers = [
        (
            page.request.get(it["address"])
            if it["body"] is None
            else page.request.post(it["address"], data=it["body"]),
            it,
        )
        for it in day.json()["asks"]
    ]
    return [(told.status, it["address"], told.text()[:300]) for told, it in answers if not told.ok]


def record(page: Page, putts: int, first: int = 1) -> None:
    for n in range(first, first + putts):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n} of 10")
        page.get_by_role("button", name="Record on the line").tap()


def bubble(page: Page) -> list[float]:
    """Where the bubble is drawn, in marks: its left end, the line in it, its right end."""
    return page.evaluate(
        """() => { const vial = document.querySelector('[data-vial=side]')
            const at = (it, name) => Number(vial.querySelector(it).getAttribute(name))
            const [left, right] = [...vial.querySelectorAll('.mark')].map((it) => Number(it.getAttribute('x1')))
            const [x, width] = [at('.bubble', 'x'), at('.bubble', 'width')]
            return [x, at('.at', 'x1'), x + width].map((it) => (it - (left + right) / 2) / ((right - left) / 2)) }"""
    )


def keep_station(page: Page, name: str) -> None:
    kept = page.request.put(f"/api/saved-stations/{uuid6.uuid7()}", data=STATION | {"name": name})
    assert kept.ok, kept.text()


def begin(page: Page, golfer: str, station: str) -> str:
    """Somebody new, straight to the first putt at a kept station; the lesson's id."""
    page.goto("/")
    page.get_by_role("button", name="Add golfer").tap()
    page.get_by_role("textbox", name="Name", exact=True).fill(golfer)
    page.get_by_role("button", name="Add, and start a lesson").tap()
    page.get_by_role("button", name=re.compile(station)).tap()
    expect(page.locator("[data-count]")).to_contain_text("Putt 1 of 10")
    return page.url.split("/lessons/")[1].split("/")[0]


def test_a_whole_lesson_without_a_network_is_there_on_another_device(tablet, served, page: Page):
    keep_station(page, "The far board")
    with tablet(served.address) as context:
        coach = context.new_page()
        coach.goto("/")
        taken_along(coach)
        shot(coach, "away-taken")
        no_serious_finding(coach)
        context.set_offline(True)
        lesson = begin(coach, "Far Green", "The far board")
        record(coach, 5)
        # The last was a slip of the thumb.
        coach.get_by_role("button", name="Undo last").tap()
        expect(coach.locator("[data-count]")).to_contain_text("Putt 5 of 10")
        expect(coach.locator("[data-headline]")).to_have_text("4 putts so far.")
        expect(coach.locator("[data-counts]")).to_have_text("Left 0, right 0, neither 4.")
        expect(coach.locator("[data-unsent]")).to_contain_text("No network. 10 entries wait on this device")
        shot(coach, "away-start")
        coach.get_by_role("link", name=re.compile("^Judge")).tap()
        expect(coach.locator("[data-unsaid]")).to_contain_text("comes with the network")
        shot(coach, "away-judge")
        coach.goto("/")
        expect(coach.get_by_role("link", name="Far Green").first).to_be_visible()
        shot(coach, "away-today")
        no_serious_finding(coach)
    with tablet(served.address) as context:
        context.set_offline(True)
        coach = context.new_page()
        coach.goto(f"/lessons/{lesson}/start")
        record(coach, 4, first=5)
        for n in (9, 10):
            expect(coach.locator("[data-count]")).to_contain_text(f"Putt {n} of 10")
            coach.get_by_role("button", name="One mark to the right").tap()
            coach.get_by_role("button", name=re.compile("^Record")).tap()
        expect(coach.get_by_text("Planned end: 10 putts.")).to_be_visible()
        # What they say stands in the vial, as the server will draw it; its verdict does not.
        expect(coach.locator("[data-headline]")).to_have_text("10 putts so far.")
        expect(coach.locator("[data-vial=side] .bubble")).to_be_visible()
        shot(coach, "away-bubble")
        drawn = bubble(coach)
        # A look counts at once; what is asked by its answers can't be begun, and says why.
        coach.get_by_role("link", name=re.compile("^See")).tap()
        coach.get_by_role("button", name="Straight").tap()
        expect(coach.get_by_role("list", name="First looks, newest first")).to_contain_text("as usual: Straight")
        coach.get_by_role("radio", name="What looks straight").tap()
        expect(coach.locator("[data-needs-network]")).to_contain_text("Until then take a first look")
        shot(coach, "away-see")
        # The face, read with a mirror: each set-down counts at once.
        coach.get_by_role("link", name=re.compile("^Aim")).tap()
        coach.get_by_role("checkbox", name=re.compile("cautions above are read")).tap()
        coach.get_by_role("button", name="Begin the set-downs").tap()
        expect(coach.locator("[data-set-count]")).to_contain_text("Set-down 1 of 7")
        coach.get_by_role("button", name="Record on the zero mark").tap()
        expect(coach.locator("[data-set-count]")).to_contain_text("Set-down 2 of 7")
        coach.get_by_role("link", name=re.compile("^Start")).tap()
        # A second block under another condition, and the end of the lesson.
        coach.get_by_role("button", name="Next block").tap()
        coach.get_by_role("button", name="Start block").tap()
        expect(coach.locator("[data-count]")).to_contain_text("Putt 1 of 10")
        record(coach, 3)
        # Two ways in turns: their list was asked for before; the turn changes by itself.
        coach.get_by_role("button", name="Compare").tap()
        expect(coach.locator("[data-needs-network]")).to_contain_text("9 putts each, 3 in a run")
        shot(coach, "away-compare")
        no_serious_finding(coach)
        # What the server would refuse later is not begun: putts of it would be refused with it.
        start, other = coach.get_by_role("button", name="Start the comparison"), coach.get_by_role("dialog")
        other.get_by_role("radio", name="as usual").last.tap()
        expect(start).to_be_disabled()
        other.get_by_role("radio", name="wide base").last.tap()
        start.tap()
        for n in range(4):
            expect(coach.locator("[data-turn]")).to_contain_text(f"Now: {'as usual' if n < 3 else 'wide base'}")
            expect(coach.locator("[data-count]")).to_contain_text(f"Putt {n % 3 + 1} of 9")
            coach.get_by_role("button", name="Record on the line").tap()
        expect(coach.locator("[data-count]")).to_contain_text("Putt 2 of 9")
        shot(coach, "away-turns")
        coach.get_by_role("button", name="Lesson", exact=True).tap()
        coach.get_by_role("button", name="End lesson").tap()
        expect(coach.get_by_text("This lesson has ended. Open it again")).to_be_visible()
        coach.keyboard.press("Escape")
        coach.goto("/away")
        expect(coach.get_by_role("list", name="Waiting to be sent").get_by_role("listitem")).to_have_count(30)
        shot(coach, "away-waits")
        no_serious_finding(coach)
        context.set_offline(False)
        expect(coach.locator("[data-link='saved']")).to_be_visible(timeout=60_000)
        expect(coach.get_by_role("list", name="Refused")).to_contain_text("Nothing was refused")
    page.goto(f"/lessons/{lesson}/judge")
    expect(page.get_by_role("navigation", name="Where I am")).to_contain_text("Far Green")
    kept = page.request.get(f"/api/lessons/{lesson}").json()
    assert [it["putts"] for it in kept["blocks"]] == [10, 3, 3, 1] and kept["lesson"]["ended_at"]
    [compared] = page.request.get(f"/api/lessons/{lesson}/comparisons").json()
    assert compared["done"] == [3, 1] and [it["condition"] for it in compared["blocks"]] == ["as usual", "wide base"]
    assert compared["blocks"][1]["factors"] == {"set_up": "wide base"}
    vial = page.request.get(f"/api/blocks/{kept['blocks'][0]['id']}/judgement").json()["judgement"]["vial"]
    told = [vial[it] for it in ("bubble_low", "bubble_at", "bubble_high")]
    assert [it * vial["mark_right"] for it in drawn] == pytest.approx(told, abs=0.01)
    assert vial["mark_right"] == pytest.approx(-vial["mark_left"])
    looks = page.request.get(f"/api/lessons/{lesson}/first-looks").json()["taken"]
    assert [it["looks"] for it in looks] == ["straight"]
    aim = page.request.get(f"/api/lessons/{lesson}/aim").json()
    assert [len(it["set_downs"]) for it in aim["sheets"]] == [1]
    assert [it["voided"] for it in kept["blocks"][0]["readings"]].count(True) == 1
    expect(page.locator("[data-unsent]")).to_have_count(0)


def test_a_lost_device_is_locked_out_and_keeps_nothing(tablet, floor, browser):
    """What it had not sent is refused, and it says so."""
    owner = browser.new_context(base_url=floor.address, ignore_https_errors=True, has_touch=True).new_page()
    owner.goto(floor.first_link())
    choose(owner)
    keep_station(owner, "The far board")
    account = str(uuid6.uuid7())
    made = owner.request.put(f"/api/accounts/{account}", data={"name": "Hand", "role": "assistant"})
    assert made.ok, made.text()
    link = owner.request.put(f"/api/accounts/{account}/link", data={"address": f"{floor.address}/welcome"}).json()
    with tablet(floor.address, "--ignore-certificate-errors") as context:
        hand = context.new_page()
        hand.goto(link["link"])
        choose(hand)
        expect(hand.get_by_role("link", name="Junia Thale").first).to_be_visible()
        taken_along(hand)
        context.set_offline(True)
        lesson = begin(hand, "Never Sent", "The far board")
        record(hand, 2)
        locked = owner.request.put(f"/api/accounts/{account}/locked", data={"locked": True})
        assert locked.ok, locked.text()
        context.set_offline(False)
        said = hand.locator("[data-locked-out]")
        expect(said).to_contain_text("locked out by the owner of the studio", timeout=60_000)
        expect(said).to_contain_text("6 entries made on it did not reach Libella and are refused")
        shot(hand, "locked-out")
        assert hand.evaluate(KEPT, "libella doors") == hand.evaluate(KEPT, "libella") == []
        assert all(isinstance(it["told"], str) for it in hand.evaluate(KEPT, "libella kept"))
    assert owner.request.get(f"/api/lessons/{lesson}").status == 404
    owner.context.close()


def test_what_a_device_keeps_is_opened_by_the_passphrase_alone(tablet, floor):
    """As if its certificate were trusted: then the browser keeps the program."""
    trusted = "--ignore-certificate-errors"
    with tablet(floor.address, trusted) as context:
        owner = context.new_page()
        owner.goto(floor.first_link())
        choose(owner)
        expect(owner.get_by_role("link", name="Junia Thale").first).to_be_visible()
        keep_station(owner, "The far board")
        taken_along(owner)
        # While the browser runs the page can be loaded again, also without a network.
        context.set_offline(True)
        lesson = begin(owner, "Closed Green", "The far board")
        record(owner, 2)
        # It says “keeping” until the last tap is on the device, and the browser would ask before it leaves.
        expect(owner.locator("[data-link='6 waiting']")).to_be_attached()
        owner.reload()
        expect(owner.locator("[data-count]")).to_contain_text("Putt 3 of 10")
    with tablet(floor.address, trusted) as context:
        context.set_offline(True)
        owner = context.new_page()
        owner.goto(f"/lessons/{lesson}/start")
        door = owner.locator("[data-open-device]")
        expect(door).to_contain_text("6 entries made here did not reach Libella yet")
        expect(owner.get_by_text("Closed Green")).to_have_count(0)
        shot(owner, "open-device")
        no_serious_finding(owner)
        owner.get_by_label("Passphrase").fill("not the one at all, no")
        owner.get_by_role("button", name="Open", exact=True).tap()
        expect(door).to_contain_text("not the passphrase this device was closed by")
        owner.get_by_label("Passphrase").fill(PASSPHRASE)
        owner.get_by_role("button", name="Open", exact=True).tap()
        expect(owner.locator("[data-count]")).to_contain_text("Putt 3 of 10")
        record(owner, 1, first=3)
        # Signing out would lose what waits: it asks first, and then nothing is left.
        owner.goto("/me")
        owner.get_by_role("button", name="Sign out here").tap()
        expect(owner.get_by_role("alert").first).to_contain_text("7 entries of this device did not reach Libella")
        context.set_offline(False)
        expect(owner.locator("[data-link='saved']")).to_be_attached(timeout=60_000)
        shown = owner.request.get(f"/api/lessons/{lesson}").json()
        assert [it["putts"] for it in shown["blocks"]] == [3]
        owner.get_by_role("button", name="Sign out here").tap()
        expect(owner.locator("[data-sign-in]")).to_be_visible()
        assert owner.evaluate(KEPT, "libella doors") == owner.evaluate(KEPT, "libella") == []
        # The program's own words are nobody's.
        assert all(isinstance(it["told"], str) for it in owner.evaluate(KEPT, "libella kept"))
