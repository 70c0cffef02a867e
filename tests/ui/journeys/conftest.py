"""Journeys are walked by finger on a tablet, and every tap is counted: one more than it took is a fault."""

import re
from collections.abc import Generator
from dataclasses import dataclass
from pathlib import Path

import pytest
from playwright.sync_api import Locator, Page

_KEPT = Path(__file__).parent / "README.md"
_TABLET = {"width": 820, "height": 1180}


@dataclass
class Hand:
    """Counts its taps. What the driver tries again because the page moved under it is one tap still; a key is none."""

    taps: int = 0


def allowed() -> dict[str, int]:
    """Taps by test, as they stand in the README."""
    rows = re.findall(r"^\| `(test_\w+)` \|.*\| (\d+) \|$", _KEPT.read_text(), re.M)
    return {name: int(taps) for name, taps in rows}


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
    known = allowed()
    assert name in known, f"{name} takes {hand.taps} taps: write that into {_KEPT.name}"
    assert hand.taps <= known[name], f"{name} takes {hand.taps} taps; it took {known[name]}"
