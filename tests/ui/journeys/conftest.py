"""Journeys are walked by finger on a tablet, and every tap is counted: one more than it took is a fault. What every
page says at the end of one is kept in the folder that `LIBELLA_TOLD` names, to be read against what is true there."""

import os
import re
from collections.abc import Callable, Generator
from dataclasses import dataclass
from pathlib import Path

import pytest
from playwright.sync_api import Locator, Page

from ...bench.taps import KEPT, taps_in
from ..conftest import stands, until

_TABLET = {"width": 820, "height": 1180}


@dataclass
class Hand:
    """Counts its taps. What the driver tries again because the page moved under it is one tap still; a key is none."""

    taps: int = 0

    def once(self, page: Page, it: Callable[[], bool]) -> None:
        """What a quicker finger than any hand must try again until it is taken, counted as the one tap it is."""
        taps = self.taps
        until(page, it)
        self.taps = min(self.taps, taps + 1)


@pytest.fixture
def hand(monkeypatch: pytest.MonkeyPatch) -> Hand:
    """What is clicked is touched, also in what is shared with tests that use a mouse."""
    hand, touch = Hand(), Locator.tap

    def tap(at: Locator, **how: float) -> None:
        hand.taps += 1
        touch(at, **how)

    for way in ("tap", "click", "check"):
        monkeypatch.setattr(Locator, way, tap)
    return hand


@pytest.fixture
def page(page: Page, hand: Hand, request: pytest.FixtureRequest) -> Generator[Page]:
    page.set_viewport_size(_TABLET)
    yield page
    name = request.node.name
    if folder := os.environ.get("LIBELLA_TOLD"):
        (Path(folder) / f"{name}.txt").write_text(_told(page))
    known = taps_in(KEPT.read_text())
    assert name in known, f"{name} takes {hand.taps} taps: write that into {KEPT.name}"
    assert hand.taps <= known[name], f"{name} takes {hand.taps} taps; it took {known[name]}"


_OF_A_LESSON = ("judge", "change", "keep", "start", "see", "aim")


def _told(page: Page) -> str:
    """What every page of the lesson at hand says, what is folded away included."""
    at = re.search(r"/(lessons|golfers)/([0-9a-f-]+)", page.url)
    if at is None:
        return page.url
    golfer, lesson = (at[2], "") if at[1] == "golfers" else ("", at[2])
    if golfer:
        lesson = page.request.get(f"/api/golfers/{golfer}/lessons").json()["items"][0]["lesson"]["id"]
    else:
        golfer = page.request.get(f"/api/lessons/{lesson}").json()["lesson"]["golfer_id"]
    paths = [*(f"/lessons/{lesson}/{it}" for it in _OF_A_LESSON), f"/wall/{lesson}/finding", f"/wall/{lesson}"]
    paths += [f"/golfers/{golfer}{it}" for it in ("", "/schools", "/practice")]
    return "\n".join(_said_at(page, it) for it in paths)


def _said_at(page: Page, path: str) -> str:
    page.goto(path)
    stands(page)
    page.evaluate("document.querySelectorAll('details').forEach((it) => { it.open = true })")
    return f"==== {path}\n{page.inner_text('body')}"
