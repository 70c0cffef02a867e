"""Teaching drawings pulled by a finger: frames a second, and from a move to its frame, in real Chromium."""

import numpy as np
from playwright.sync_api import Browser, Page, expect, sync_playwright

from libella.store.server.cluster import Cluster

from ..conftest import new_database, open_folder
from ..ui.conftest import CHROMIUM, Served

MOVES = 150
SIZES = ({"width": 1280, "height": 800}, {"width": 820, "height": 1180})
LIGHTS = ("daylight", "dim")
WATCH = """
window.gaps = []; window.took = []; window.going = true
let before = performance.now()
const frame = () => {
  const now = performance.now()
  gaps.push(now - before)
  before = now
  if (going) requestAnimationFrame(frame)
}
requestAnimationFrame(frame)
addEventListener('pointermove', () => { window.moved ??= performance.now() }, true)
new MutationObserver(() => {
  if (!window.moved) return
  const began = window.moved
  window.moved = undefined
  requestAnimationFrame(() => took.push(performance.now() - began))
}).observe(document.querySelector('[data-taught]'), { attributes: true, attributeFilter: ['data-shown'] })
"""


def main() -> None:
    with open_folder() as folder, Cluster(folder / "data").running():
        served = Served(new_database(Cluster(folder / "data")))
        served.start()
        try:
            with sync_playwright() as playwright:
                browser = playwright.chromium.launch(executable_path="/usr/bin/chromium-headless-shell", args=CHROMIUM)
                for size in SIZES:
                    for light in LIGHTS:
                        every_drawing(browser, served.address, size, light)
                browser.close()
        finally:
            served.kill()


def every_drawing(browser: Browser, address: str, size: dict, light: str) -> None:
    page = browser.new_page(base_url=address, viewport=size)
    page.add_init_script(f"localStorage.setItem('libella.light', '{light}')")
    [junia] = page.request.get("/api/golfers", params={"q": "Junia"}).json()["items"]
    golfer = junia["golfer"]["id"]
    lesson = page.request.get(f"/api/golfers/{golfer}/lessons").json()["items"][0]["lesson"]["id"]
    print(f"{size['width']}×{size['height']}, {light}:")
    for it in page.request.get("/api/teaching").json():
        pulled(page, lesson, it["code"])
    page.close()


def pulled(page: Page, lesson: str, code: str) -> None:
    page.goto(f"/lessons/{lesson}/teaching?show={code}")
    picture = page.locator("[data-taught-picture]")
    expect(picture.locator("svg").first).to_be_visible()
    page.wait_for_load_state("networkidle")
    box = picture.bounding_box()
    assert box
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    page.mouse.move(x, y)
    page.mouse.down()
    page.evaluate(WATCH)
    for n in range(MOVES):
        away = n % 60 if n % 60 < 30 else 60 - n % 60
        page.mouse.move(x + (away - 15) * box["width"] / 50, y)
        page.wait_for_timeout(14)
    gaps, took = page.evaluate("(() => { going = false; return [gaps, took] })()")
    page.mouse.up()
    late = sum(it > 25 for it in gaps)
    print(
        f"  {code}: {1000 * len(gaps) / sum(gaps):.0f} frames a second (asked: 60), {late} of {len(gaps)} late; "
        f"{len(took)} redraws, move to frame median {np.median(took):.0f} ms, 95 % {np.quantile(took, 0.95):.0f}"
    )


if __name__ == "__main__":
    main()
