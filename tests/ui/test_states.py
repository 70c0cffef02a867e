"""Every view in every state: nothing cut, nothing over anything else, nothing wider than the screen, nothing too small
to tap, no finding of axe; measured at three sizes, in both lights and both systems of units."""

import re
from collections.abc import Callable, Generator
from dataclasses import dataclass

import pytest
from playwright.sync_api import Page, Route, TimeoutError, expect

from .conftest import findings, go, laid_out, own_lesson, stands
from .test_views import LONGEST, SIZES, open_lesson

STEPS = ("set", "stand", "see", "aim", "start", "judge", "change", "keep", "sensors", "teaching")
JUDGED = {"one block": "/judge", "before and after": "/judge?beside=1"}
ELSEWHERE = {
    "aids": "/aids",
    "bag": "/aids/bag",
    "string": "/aids/string",
    "drills": "/drills",
    "logbook": "/logbook",
    "archive": "/archive",
    "schools": "/schools",
    "opinions": "/opinions",
    "readers": "/aids/readers",
    "guide": "/guide",
    "people": "/people",
    "away": "/away",
    "trust": "/trust",
    "screen": "/screen",
}
VIEWS = ("today", "golfer", *STEPS)
# Fewer things of their own: looked at in the states in which something may be missing.
OTHERS = ("files", "practice", *JUDGED, "wall", "wall/finding", *ELSEWHERE)
MEASURE = """
(() => {
  const found = []
  const said = (it) => (it.getAttribute('aria-label') || it.textContent || it.outerHTML)
    .trim().replace(/\\s+/g, ' ').slice(0, 60)
  const shown = (it) => it.checkVisibility({ opacityProperty: true, visibilityProperty: true })
  const wide = document.documentElement.scrollWidth
  if (wide > innerWidth) found.push(`wider than the screen: ${wide}`)
  for (const it of document.querySelectorAll('main *, header *, nav *')) {
    if (!shown(it) || it.closest('svg, .sr-only')) continue
    const own = [...it.childNodes].some((one) => one.nodeType === 3 && one.textContent.trim())
    const { overflowX, textOverflow } = getComputedStyle(it)
    const hides = overflowX !== 'visible' && textOverflow !== 'ellipsis'
    if (own && hides && it.clientWidth && it.scrollWidth > it.clientWidth + 1) found.push(`cut: ${said(it)}`)
    if (own && it.getBoundingClientRect().right > innerWidth + 1) found.push(`off the edge: ${said(it)}`)
  }
  // What can be tapped, as far as it is on the screen: inside what scrolls only what shows there.
  const tapped = 'button, a[href], input, select, textarea, summary, [role=tab], [role=radio]'
  const drawn = '[data-stage], [data-see-picture], [data-mirror], .sr-only'
  const taps = [...document.querySelectorAll(tapped)]
    .filter((it) => shown(it) && !it.closest(drawn) && !it.matches('.term'))
    .map((it) => [it, it.getBoundingClientRect()])
    .filter(([, box]) => box.width && box.height && box.bottom > 0 && box.top < innerHeight)
    .filter(([it, box]) => {
      const at = document.elementFromPoint(box.x + box.width / 2, Math.min(box.y + box.height / 2, innerHeight - 1))
      return at && (it.contains(at) || at.contains(it))
    })
  for (const [it, box] of taps) {
    const inline = it.matches('a') && getComputedStyle(it).display === 'inline'
    const small = box.width < 23.5 || box.height < 23.5
    if (small && !inline && !it.matches('input[type=checkbox]'))
      found.push(`small, ${Math.round(box.width)} × ${Math.round(box.height)}: ${said(it)}`)
  }
  for (let n = 0; n < taps.length; n += 1)
    for (let m = n + 1; m < taps.length; m += 1) {
      const [one, a] = taps[n], [other, b] = taps[m]
      if (one.contains(other) || other.contains(one)) continue
      const across = Math.min(a.right, b.right) - Math.max(a.left, b.left)
      const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
      if (across > 2 && down > 2) found.push(`over each other: ${said(one)} / ${said(other)}`)
    }
  // Nor does what is written stand over or under what can be tapped, but for a unit in its field.
  const clipped = (of, box) => {
    let { left, right, top, bottom } = box
    for (let up = of; up; up = up.parentElement) {
      if (getComputedStyle(up).overflow === 'visible') continue
      const it = up.getBoundingClientRect()
      left = Math.max(left, it.left), right = Math.min(right, it.right)
      top = Math.max(top, it.top), bottom = Math.min(bottom, it.bottom)
    }
    return { left, right, top, bottom }
  }
  const seen = taps.map(([it, box]) => [it, clipped(it.parentElement, box)])
  const walk = document.createTreeWalker(document.querySelector('main') ?? document.body, NodeFilter.SHOW_TEXT)
  for (let text = walk.nextNode(); text; text = walk.nextNode()) {
    const of = text.parentElement
    if (!text.textContent.trim() || !shown(of) || of.closest('svg, .sr-only, [data-stage], [data-mirror]')) continue
    const range = document.createRange()
    range.selectNodeContents(text)
    for (const box of range.getClientRects()) {
      const a = clipped(of, box)
      for (const [it, b] of seen) {
        if (it.contains(of) || of.contains(it) || (it.matches('input') && it.parentElement.contains(of))) continue
        const across = Math.min(a.right, b.right) - Math.max(a.left, b.left)
        const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
        if (across > 3 && down > 3) found.push(`over each other: ${text.textContent.trim().slice(0, 40)} / ${said(it)}`)
      }
    }
  }
  return [...new Set(found)]
})()
"""


WITHOUT_THE_RUN_SHEET = """
[...document.querySelectorAll('main *')]
  .filter((it) => !it.closest('nav, .sr-only, [aria-hidden]') && it.checkVisibility({ visibilityProperty: true }))
  .flatMap((it) => [...it.childNodes].filter((one) => one.nodeType === 3)).map((it) => it.textContent).join(' ')
"""


def address(page: Page, view: str, lesson: str) -> str:
    if view == "today":
        return "/"
    if view in ELSEWHERE:
        return ELSEWHERE[view]
    if view.startswith("wall"):
        return view.replace("wall", f"/wall/{lesson}", 1)
    sheet = page.request.get(f"/api/lessons/{lesson}").json()
    if view in ("golfer", "files", "practice"):
        return f"/golfers/{sheet['golfer']['id']}" + ("" if view == "golfer" else f"/{view}")
    if view == "one block":
        return f"/lessons/{lesson}/judge" + (f"?block={sheet['blocks'][-1]['id']}" if sheet["blocks"] else "")
    return f"/lessons/{lesson}{JUDGED.get(view, f'/{view}')}"


def of_demo(page: Page) -> str:
    return open_lesson(page)


def of_nobody(page: Page) -> str:
    own_lesson(page, "Empty Golfer")
    return page.url.split("/")[-2]


def of_the_longest(page: Page) -> str:
    own_lesson(page, LONGEST)
    return page.url.split("/")[-2]


def of_a_left_hander(page: Page) -> str:
    [wim] = page.request.get("/api/golfers", params={"q": "Wim Adeyari"}).json()["items"]
    return page.request.get(f"/api/golfers/{wim['golfer']['id']}/lessons").json()["items"][0]["lesson"]["id"]


def _held(page: Page) -> None:
    page.route(_ANSWERS, lambda route: None)


def _steps_held(page: Page) -> None:
    """The lesson is there; what its steps ask for is not."""
    page.route(_STEPS, lambda route: None)


def _refused(page: Page) -> None:
    page.route(_ANSWERS, _fails)


def _fails(route: Route) -> None:
    route.fulfill(
        status=500, content_type="application/json", body='{"title": "It broke", "detail": "It broke.", "status": 500}'
    )


_STEPS = re.compile(r"/api/(?!vocabulary|studio|lessons/[0-9a-f-]+(\?|$)|golfers/[0-9a-f-]+(\?|$)).*")
_ANSWERS = re.compile(r"/api/(?!vocabulary|studio).*")


def _nothing(_: Page) -> None:
    pass


@dataclass(frozen=True)
class State:
    """A state: whose lesson it is looked at in, what is kept on the device, what happens to the answers."""

    lesson: Callable[[Page], str] = of_demo
    light: str = "daylight"
    units: str = "metric"
    answers: Callable[[Page], None] = _nothing
    whole: bool = True
    """All of the page comes, and is waited for."""
    others: bool = True
    axe: str | None = ""
    """What of axe is asked: everything; rules of one category, where only that differs from a state before; or nothing,
    where other numbers stand in the same elements."""


STATES = {
    "as it is": State(),
    "empty": State(of_nobody),
    "loading": State(answers=_held, whole=False),
    "coming": State(answers=_steps_held, whole=False, others=False),
    "error": State(answers=_refused, whole=False),
    "long name": State(of_the_longest, light="dim", units="feet"),
    "left-handed": State(of_a_left_hander, others=False, axe=None),
    "feet": State(units="feet", others=False, axe=None),
    "dim": State(light="dim", others=False, axe="color"),
}


@pytest.fixture
def quiet(page: Page) -> Generator[Page]:
    yield page
    page.unroute_all(behavior="ignoreErrors")


@pytest.mark.parametrize("state", STATES)
def test_every_view_is_whole_in_every_state(quiet: Page, state: str):
    page, it = quiet, STATES[state]
    lesson = it.lesson(page)
    addresses = {view: address(page, view, lesson) for view in (*VIEWS, *(OTHERS if it.others else ()))}
    for name, value in (("light", it.light), ("units", it.units)):
        page.add_init_script(f"localStorage.setItem('libella.{name}', '{value}')")
    it.answers(page)
    found: list[str] = []
    for n, (view, to) in enumerate(addresses.items()):
        page.set_viewport_size({"width": 1280, "height": 800})
        if it.whole and n:
            go(page, to)
        else:
            page.goto(to)
        expect(page.locator("main")).to_be_visible()
        if it.whole:
            stands(page)
        else:
            # Nothing is blank while it comes, or when it does not.
            try:
                page.wait_for_function(f"() => ({WITHOUT_THE_RUN_SHEET}).trim()", timeout=20000)
            except TimeoutError:
                found.append(f"{view}: blank")
        for size, (width, height) in SIZES.items():
            page.set_viewport_size({"width": width, "height": height})
            laid_out(page)
            found += [f"{view}, {size}: {one}" for one in page.evaluate(MEASURE)]
        page.set_viewport_size({"width": 820, "height": 1180})
        if it.axe is not None:
            found += [f"{view}: {one}" for one in findings(page, only=it.axe)]
    assert found == [], "\n".join(found)


def test_without_a_network_every_step_that_was_seen_stands_and_the_rest_says_that_it_is_coming(page: Page):
    lesson = open_lesson(page)
    page.goto(f"/lessons/{lesson}/start")
    expect(page.locator("[data-count]")).to_be_visible()
    stands(page)
    steps = page.get_by_role("navigation", name="Run sheet")
    for name in ("Judge", "Set", "Start"):
        steps.get_by_role("link", name=re.compile(f"^{name}")).click()
        expect(page.locator("main svg").first).to_be_visible()
    stands(page)
    page.context.set_offline(True)
    try:
        for name in ("Set", "Start", "Judge"):
            steps.get_by_role("link", name=re.compile(f"^{name}")).click()
            expect(steps).to_be_visible()
            expect(page.locator("main")).to_be_visible()
            page.wait_for_function(f"() => ({WITHOUT_THE_RUN_SHEET}).trim()")
            for size, (width, height) in SIZES.items():
                page.set_viewport_size({"width": width, "height": height})
                laid_out(page)
                assert page.evaluate(MEASURE) == [], (name, size)
            page.set_viewport_size({"width": 1280, "height": 800})
    finally:
        page.context.set_offline(False)
