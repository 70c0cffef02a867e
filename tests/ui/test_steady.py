"""Nothing jumps while a view comes, and no screen of a lesson asks to choose among more than a hand can tell apart."""

import time

import pytest
from playwright.sync_api import Page, Route, expect

from .conftest import plan, stands
from .test_states import STEPS, VIEWS, address
from .test_views import PLANS, SEE, open_lesson

MOST_SHIFT = 0.05
SLOW_S = 0.15
MOST_CONTROLS = 9
_SHIFTS = """
  window.shifts = []
  new PerformanceObserver((list) => {
    for (const it of list.getEntries())
      if (!it.hadRecentInput)
        window.shifts.push([it.value, it.sources.map(({ node }) => (node?.outerHTML ?? '').slice(0, 120))])
  }).observe({ type: 'layout-shift', buffered: true })
"""
# What is chosen from or tapped as one counts as one: a row of tiles, a list. Stage, entry and run sheet are none.
CONTROLS = """
(() => {
  const apart = '[data-stage], [data-entry], [data-see-picture], [data-mirror], nav, [data-slide], .term'
  const shown = (it) => it.checkVisibility({ visibilityProperty: true })
  const group = (it) => it.closest('[role=group], [role=radiogroup], [role=tablist], ol, ul, [data-size], table')
  const found = new Map()
  for (const it of document.querySelectorAll('main button, main a[href], main input, main select, main summary')) {
    const box = it.getBoundingClientRect()
    if (!shown(it) || it.closest(apart) || !box.height || box.bottom <= 0 || box.top >= innerHeight) continue
    const of = group(it) ?? it
    const said = it.getAttribute('aria-label') || it.textContent || it.tagName
    if (!found.has(of)) found.set(of, said.trim().slice(0, 40))
  }
  return [...found.values()]
})()
"""


def _slowly(route: Route) -> None:
    """Answers that come one after another, as over a weak network: what waits for the second shows in the first."""
    time.sleep(SLOW_S)
    route.continue_()


@pytest.mark.parametrize("view", VIEWS)
def test_nothing_jumps_while_a_view_comes(page: Page, view: str):
    to = address(page, view, open_lesson(page))
    page.add_init_script(_SHIFTS)
    page.context.route("**/api/**", _slowly)
    for size in ({"width": 1280, "height": 800}, {"width": 820, "height": 1180}):
        page.set_viewport_size(size)
        page.goto(to)
        expect(page.locator("main")).to_be_visible()
        stands(page)
        shifts = page.evaluate("window.shifts")
        assert sum(it[0] for it in shifts) <= MOST_SHIFT, (size, shifts)


def _count(page: Page) -> list[str]:
    stands(page)
    return page.evaluate(CONTROLS)


def test_no_screen_of_a_lesson_shows_more_than_nine_controls_at_once(page: Page):
    page.set_viewport_size({"width": 820, "height": 1180})
    lesson = open_lesson(page)
    found: dict[str, list[str]] = {}
    for step in STEPS:
        page.goto(f"/lessons/{lesson}/{step}")
        expect(page.locator("main")).to_be_visible()
        found[step] = _count(page)
    page.goto(f"/lessons/{lesson}/set")
    for part in PLANS.values():
        plan(page, part)
        found[f"set, {part}"] = _count(page)
    page.goto(f"/lessons/{lesson}/see")
    for part in ("First look", *SEE.values()):
        page.get_by_role("radio", name=part).click()
        found[f"see, {part}"] = _count(page)
    crowded = {view: it for view, it in found.items() if len(it) > MOST_CONTROLS}
    assert not crowded, "\n".join(f"{view}: {len(it)}: {it}" for view, it in crowded.items())
