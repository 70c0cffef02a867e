"""Journeys are walked by finger on a tablet, and every tap is counted: one more than it took is a fault."""

from collections.abc import Callable, Generator
from dataclasses import dataclass

import pytest
from playwright.sync_api import Locator, Page

from ...bench.taps import KEPT, taps_in
from ..conftest import until

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
    known = taps_in(KEPT.read_text())
    assert name in known, f"{name} takes {hand.taps} taps: write that into {KEPT.name}"
    assert hand.taps <= known[name], f"{name} takes {hand.taps} taps; it took {known[name]}"
