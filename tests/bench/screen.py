"""First view after the server says ready, tap to screen, and a tape pulled on the stage, in real Chromium."""

import time

import numpy as np
from playwright.sync_api import Page, expect, sync_playwright

from libella.store.server.cluster import Cluster

from ..conftest import new_database, open_folder
from ..ui.conftest import CHROMIUM, Served

TAPS = 40
# From the key going down to the frame after the putt stands in the list.
WATCH = """
window.took = []
addEventListener('keydown', () => {
  const began = performance.now()
  const list = document.querySelector('ol[aria-label^=Putts]')
  const before = list.textContent
  const look = () => list.textContent === before ? requestAnimationFrame(look)
    : requestAnimationFrame(() => took.push(performance.now() - began))
  requestAnimationFrame(look)
}, true)
"""


def main() -> None:
    with open_folder() as folder, Cluster(folder / "data").running():
        url = new_database(Cluster(folder / "data"))
        served = Served(url)
        served.start()
        served.kill()
        began = time.perf_counter()
        served.start()
        print(f"second start to an answer: {time.perf_counter() - began:.1f} s (asked of ./demo: 8)")
        try:
            with sync_playwright() as playwright:
                browser = playwright.chromium.launch(executable_path="/usr/bin/chromium-headless-shell", args=CHROMIUM)
                page = browser.new_page(base_url=served.address, viewport={"width": 1280, "height": 800})
                first_view(page)
                pulls(page, slope=False)
                pulls(page, slope=True)
                steps(page)
                taps(page)
                views(page)
                head(page)
                browser.close()
        finally:
            served.kill()


STEPS = {"Set": "[data-stage] svg", "Judge": "[data-headline]", "Start": "[data-count]", "Stand": "[data-behind] svg"}


def steps(page: Page) -> None:
    """From the click on a step of the run sheet to the first frame with its content."""
    page.goto("/")
    page.get_by_role("link", name="Go on recording").first.click()
    expect(page.locator("[data-count]")).to_be_visible()
    page.wait_for_timeout(1500)
    for name, shown in STEPS.items():
        took = []
        for _ in range(5):
            other = "Aim" if name != "Aim" else "Set"
            page.locator("nav[aria-label='Run sheet'] a").filter(has_text=other).first.click()
            page.wait_for_timeout(700)
            took.append(
                page.evaluate(
                    """([name, shown]) => new Promise(done => {
                      const link = [...document.querySelectorAll("nav[aria-label='Run sheet'] a")]
                        .find(it => it.firstElementChild.textContent === name)
                      const began = performance.now()
                      const look = () => document.querySelector(shown) ? done(performance.now() - began)
                        : requestAnimationFrame(look)
                      link.click(); requestAnimationFrame(look)
                    })""",
                    [name, shown],
                )
            )
        print(
            f"click on {name} to its first content: median {np.median(took):.0f} ms, most {max(took):.0f} (asked: 400)"
        )


def first_view(page: Page) -> None:
    began = time.perf_counter()
    page.goto("/")
    expect(page.get_by_role("link", name="Go on recording")).to_be_visible()
    expect(page.locator("main svg").nth(4)).to_be_visible()
    print(f"first view, empty cache: {time.perf_counter() - began:.2f} s (asked: 1.5)")


# From a move of the finger to the frame in which the drawing has moved; and how often a frame came late.
PULLED = """
window.pulled = []; window.late = 0; window.frames = 0; window.empty = 0
const drawing = () => document.querySelector('[data-stage] svg')
let before = performance.now()
const frame = () => {
  const now = performance.now()
  frames += 1; late += now - before > 25
  empty += !drawing()
  before = now
  requestAnimationFrame(frame)
}
requestAnimationFrame(frame)
addEventListener('pointermove', () => { window.moved ??= performance.now() }, true)
new MutationObserver(() => {
  if (!window.moved) return
  const began = window.moved
  window.moved = undefined
  requestAnimationFrame(() => pulled.push(performance.now() - began))
}).observe(drawing(), { attributes: true, attributeFilter: ['aria-label'] })
"""


def pulls(page: Page, *, slope: bool) -> None:
    page.goto("/")
    page.get_by_role("link", name="Go on recording").click()
    page.get_by_role("link", name="Set").click()
    if slope:
        page.get_by_label("Falls to the right", exact=True).fill("1.2")
        page.keyboard.press("Enter")
    page.get_by_role("tab", name="Rig").click()
    page.get_by_role("radio", name="Gate of pegs").click()
    grip = page.locator("[data-stage] [data-grip=distance_m]")
    expect(page.get_by_role("button", name="Start block")).to_be_enabled()
    page.wait_for_timeout(400)
    box = grip.bounding_box()
    assert box
    x, y = box["x"] + 22, box["y"] + 22
    page.mouse.move(x, y)
    page.mouse.down()
    page.evaluate(PULLED)
    for n in range(120):
        page.mouse.move(x + (n if n < 60 else 120 - n) * 3, y)
        page.wait_for_timeout(12)
    page.wait_for_timeout(300)
    page.mouse.up()
    took, late, frames, empty = page.evaluate("[pulled, late, frames, empty]")
    putt = f"{'breaking' if slope else 'level'} putt, {len(took)} redraws"
    middle, most = np.quantile(took, [0.5, 0.95])
    print(
        f"tape pulled, {putt}: median {middle:.0f} ms, 95 % {most:.0f} ms, worst {max(took):.0f} ms (asked: 50); "
        f"late frames {late} of {frames}, without a drawing {empty}"
    )


def taps(page: Page) -> None:
    page.goto("/")
    page.get_by_role("link", name="Go on recording").click()
    page.get_by_role("link", name="Set").click()
    page.get_by_role("tab", name="Rig").click()
    page.get_by_role("radio", name="Gate of pegs").click()
    page.locator("[data-under]").click()
    page.get_by_label("Putts to the verdict", exact=True).fill(str(TAPS))
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-readout]")).to_be_attached()
    page.evaluate(WATCH)
    for n in range(TAPS):
        page.keyboard.press("12345"[n % 5])
        page.wait_for_timeout(250)
    took = page.evaluate("took")
    print(f"tap to screen, {len(took)} taps: median {np.median(took):.0f} ms, worst {max(took):.0f} ms (asked: 100)")


STEPS_OF_A_LESSON = ("set", "stand", "see", "aim", "start", "judge", "sensors")


def views(page: Page) -> None:
    """From asking for a view, its files in the cache, to its first content."""
    [junia] = page.request.get("/api/golfers", params={"q": "Junia"}).json()["items"]
    golfer = junia["golfer"]["id"]
    lesson = page.request.get(f"/api/golfers/{golfer}/lessons").json()["items"][0]["lesson"]["id"]
    every = {it: f"/lessons/{lesson}/{it}" for it in STEPS_OF_A_LESSON}
    elsewhere = {"golfer": f"/golfers/{golfer}", "aids": "/aids", "bag": "/aids/bag", "wall": f"/wall/{lesson}/finding"}
    for view, address in {"today": "/", **every, **elsewhere}.items():
        took = []
        for _ in range(4):
            page.goto(address)
            page.wait_for_load_state("networkidle")
            took.append(page.evaluate("performance.getEntriesByName('first-contentful-paint')[0].startTime"))
        print(f"first content of {view}: median {np.median(took):.0f} ms, most {max(took):.0f} (asked: 400)")


def head(page: Page) -> None:
    """A head pulled in See: how often a frame came late, of sixty a second."""
    page.goto("/")
    page.get_by_role("link", name="Go on recording").first.click()
    page.get_by_role("navigation", name="Run sheet").get_by_role("link", name="See").click()
    page.get_by_role("radio", name="What looks straight").click()
    part = page.locator("[data-part=head]")
    expect(part).to_be_visible()
    box = part.bounding_box()
    assert box
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] * 0.85
    page.mouse.move(x, y)
    page.mouse.down()
    page.evaluate(
        """() => {
          window.gaps = []; let before = performance.now()
          const frame = () => {
            const now = performance.now()
            gaps.push(now - before); before = now; requestAnimationFrame(frame)
          }
          requestAnimationFrame(frame)
        }"""
    )
    for n in range(120):
        page.mouse.move(x + (n if n < 60 else 120 - n) * 2, y - (n if n < 60 else 120 - n))
        page.wait_for_timeout(8)
    page.mouse.up()
    gaps = page.evaluate("gaps")
    late = sum(it > 25 for it in gaps)
    print(f"head pulled, {len(gaps)} frames: median {np.median(gaps):.1f} ms apart, late {late} (asked: 60 a second)")


if __name__ == "__main__":
    main()
