"""First view after the server says ready, and tap to screen, in real Chromium on the demo data."""

import time

import numpy as np
from playwright.sync_api import Page, expect, sync_playwright

from libella.store.cluster import Cluster

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
                browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=CHROMIUM)
                page = browser.new_page(base_url=served.address, viewport={"width": 1280, "height": 800})
                first_view(page)
                taps(page)
                browser.close()
        finally:
            served.kill()


def first_view(page: Page) -> None:
    began = time.perf_counter()
    page.goto("/")
    expect(page.get_by_role("link", name="Go on recording")).to_be_visible()
    expect(page.locator("main svg").nth(4)).to_be_visible()
    print(f"first view, empty cache: {time.perf_counter() - began:.2f} s (asked: 1.5)")


def taps(page: Page) -> None:
    page.get_by_role("link", name="Go on recording").click()
    page.get_by_role("link", name="Set").click()
    page.get_by_role("radio", name="Gate of pegs").click()
    page.get_by_label("Putts to the verdict", exact=True).fill(str(TAPS))
    page.get_by_role("button", name="Start block").click()
    expect(page.locator("[data-readout]")).to_be_attached()
    page.evaluate(WATCH)
    for n in range(TAPS):
        page.keyboard.press("12345"[n % 5])
        page.wait_for_timeout(250)
    took = page.evaluate("took")
    print(f"tap to screen, {len(took)} taps: median {np.median(took):.0f} ms, worst {max(took):.0f} ms (asked: 100)")


if __name__ == "__main__":
    main()
