"""A served Libella with the demo data, and a real Chromium to drive it."""

import os
import re
from collections.abc import Callable, Generator
from datetime import UTC, datetime
from pathlib import Path
from uuid import UUID

import pytest
import uuid6
from playwright.sync_api import APIResponse, Browser, Page, Route, expect, sync_playwright

from ..conftest import ROOT, demo_database, now, open_folder
from ..served import Served
from ..served_floor import Floor

CHROMIUM = [
    "--no-sandbox", "--disable-gpu", "--disable-background-networking", "--disable-component-update", "--disable-sync",
    "--no-first-run",
]  # fmt: skip
AXE = (ROOT / "ui" / "node_modules" / "axe-core" / "axe.min.js").read_text
HANGS_MS = 120_000
"""A busy machine is no mistake of the code: only what hangs for good is ended."""
expect.set_options(timeout=HANGS_MS)


COUNTS = """
(() => {
  // How many answers a page waits for, and when that changed last.
  const own = window.fetch
  window.awaited = { answers: 0, since: performance.now() }
  const changed = (by) => { window.awaited = { answers: window.awaited.answers + by, since: performance.now() } }
  window.fetch = (...asked) => {
    changed(1)
    const answer = own.apply(window, asked)
    const whole = (it) => /event-stream/.test(it.headers.get('content-type') ?? '') || it.clone().arrayBuffer()
    answer.then(whole).catch(() => {}).finally(() => changed(-1))
    return answer
  }
})()
"""
"""Put into every page before its own code."""
_STANDS = """
() => !document.querySelector('[aria-busy=true]') && window.awaited.answers === 0
  && performance.now() - window.awaited.since > 60
"""


@pytest.fixture(scope="session")
def one_server(cluster) -> Generator[Served]:
    served = Served(demo_database(cluster))
    yield served
    served.kill()


@pytest.fixture
def served(one_server: Served) -> Served:
    """The one server of this run, started where it does not run: a test may have killed it."""
    if not one_server.runs:
        one_server.start()
    return one_server


@pytest.fixture
def floor(cluster) -> Generator[Floor]:
    """A floor as ./serve serves it, with everybody signed in."""
    with open_folder() as folder:
        floor = Floor(demo_database(cluster), folder)
        floor.start()
        yield floor
        floor.stop()


@pytest.fixture(scope="session")
def browser() -> Generator[Browser]:
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium-headless-shell", args=CHROMIUM)
        yield browser
        browser.close()


@pytest.fixture
def page(browser: Browser, served: Served) -> Generator[Page]:
    """A new visitor's page at 1280×800; an error on it fails the test."""
    # What a browser keeps of the program is looked at in tests/ui/away: elsewhere nobody waits for it to be fetched.
    context = browser.new_context(
        base_url=served.address,
        viewport={"width": 1280, "height": 800},
        has_touch=True,
        service_workers="block",
    )
    context.set_default_timeout(HANGS_MS)
    context.add_init_script(COUNTS)
    page = context.new_page()
    errors: list[str] = []
    page.on("pageerror", lambda error: errors.append(str(error)))
    yield page
    context.close()
    assert errors == []


def stands(page: Page) -> None:
    """Wait until a page has all that it asked for, and has asked for no more."""
    page.wait_for_function(_STANDS, timeout=HANGS_MS)
    laid_out(page)


def laid_out(page: Page) -> None:
    """Wait until what has changed is drawn: what is measured and drawn anew comes in the frame after."""
    page.evaluate("new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done))))")


def go(page: Page, to: str) -> None:
    """Go on to another page as a tap on a link does; what was fetched stays."""
    page.evaluate(
        """to => {
          const it = Object.assign(document.createElement('a'), { href: to })
          document.body.append(it)
          it.click()
          it.remove()
        }""",
        to,
    )
    page.wait_for_url(lambda url: url.endswith(to))


def no_serious_finding(page: Page, *, only: str = "") -> None:
    """Run axe; anything serious or critical fails with what it is and where. `only`: rules of that category."""
    bad = _found(page, f", runOnly: ['cat.{only}']" if only else "", ("serious", "critical"))
    assert bad == [], "\n".join(bad)


def findings(page: Page, *, only: str = "") -> list[str]:
    """Everything that axe finds, targets of WCAG 2.2 AA among its rules. `only`: rules of that category."""
    asked = f", runOnly: ['cat.{only}']" if only else ", rules: { 'target-size': { enabled: true } }"
    return _found(page, asked, ("minor", "moderate", "serious", "critical"))


def _found(page: Page, options: str, impacts: tuple[str, ...]) -> list[str]:
    page.evaluate(AXE() if not page.evaluate("'axe' in window") else "0")
    found = page.evaluate(f"axe.run(document, {{ resultTypes: ['violations']{options} }})")["violations"]
    return [
        f"{it['id']}: {it['nodes'][0]['html'][:160]} {it['nodes'][0]['failureSummary'][:300]}"
        for it in found
        if it["impact"] in impacts
    ]


def shot(page: Page, name: str) -> None:
    """Keep a picture when LIBELLA_SHOTS names a folder; for looking at, not for comparing."""
    if folder := os.environ.get("LIBELLA_SHOTS"):
        page.wait_for_timeout(300)
        page.screenshot(path=Path(folder) / f"{name}.png")


def until(page: Page, so: Callable[[], object]) -> None:
    """Wait until something is so that no page shows: what a route holds, what the server has heard."""
    for _ in range(900):
        if so():
            return
        page.wait_for_timeout(50)
    raise AssertionError("it never came to be so")


def hold_first_answer(page: Page, url: str) -> Callable[[], None]:
    """Hold the first answer of `url` as the server gave it; what this returns lets it go."""
    held: list[Route] = []
    answers: list[APIResponse] = []

    def hold(route: Route) -> None:
        if held:
            route.continue_()
        else:
            held.append(route)
            # A connection kept open may just have been closed by the server for being idle: a browser
            # asks again of itself, the fetch of a route only when told to.
            answers.append(route.fetch(max_retries=3))

    def let_go() -> None:
        until(page, lambda: answers)
        held[0].fulfill(response=answers[0])

    page.route(url, hold)
    return let_go


def kept(page: Page, path: str, **body) -> str:
    """Something kept straight through the API under an id of its own, which this gives."""
    id = str(uuid6.uuid7())
    answer = page.request.put(f"/api/{path}/{id}", data=body)
    assert answer.ok, (body, answer.text())
    return id


def own_lesson(page: Page, name: str, *, hand: str = "left", level: str = "club") -> None:
    """A new golfer with a lesson, at its Set step; straight through the API, for what is looked at comes after."""
    golfer, lesson = uuid6.uuid7(), uuid6.uuid7()
    begun = {"golfer_id": str(golfer), "place": "The Ropewalk", "green_speed_ft": 10, "started_at": now()}
    for path, body in (
        (f"/api/golfers/{golfer}", {"name": name, "hand": hand, "level": level}),
        (f"/api/lessons/{lesson}", begun),
    ):
        answer = page.request.put(path, data=body)
        assert answer.ok, answer.text()
    page.goto(f"/lessons/{lesson}/set")
    expect(page.locator("[data-fit]")).to_be_visible()


def newest_of_demo(page: Page, name: str) -> tuple[str, str]:
    """A golfer of the demo and the newest lesson it was loaded with, whatever other tests began since."""
    [golfer] = page.request.get(f"/api/golfers?q={name}").json()["items"]
    id = golfer["golfer"]["id"]
    loaded = datetime.fromtimestamp((UUID(id).int >> 80) / 1000, UTC)
    lessons = [it["lesson"] for it in page.request.get(f"/api/golfers/{id}/lessons").json()["items"]]
    return id, next(it["id"] for it in lessons if datetime.fromisoformat(it["started_at"]) < loaded)


def plan(page: Page, tab: str) -> None:
    """Turn to a part of the plan on Set."""
    page.get_by_role("tab", name=re.compile(f"^{tab}")).click()


def choose_rig(page: Page, name: str) -> None:
    plan(page, "Rig")
    page.get_by_role("radio", name=name, exact=True).click()


def under(sheet, label: str, name: str) -> None:
    """Choose under what is putted: an offered one with a tap, another by typing it once."""
    group = sheet.get_by_role("group", name=re.compile(f"^{label}")).or_(
        sheet.get_by_role("radiogroup", name=re.compile(f"^{label}"))
    )
    offered = group.get_by_role("radio", name=name, exact=True)
    if offered.count():
        offered.click()
        return
    group.get_by_role("radio", name="Something else…").click()
    sheet.get_by_role("textbox", name="Something else").fill(name)
    sheet.page.keyboard.press("Enter")
