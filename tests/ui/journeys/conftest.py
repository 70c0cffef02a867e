"""Every tap of a journey is counted: what takes a tenth more of them than it did is a fault."""

import re
from collections.abc import Generator
from pathlib import Path

import pytest
from playwright.sync_api import Page

_KEPT = Path(__file__).parent / "README.md"
# By finger or mouse; a key is no tap.
_COUNT = """
addEventListener('pointerup', (it) => {
  if (it.isTrusted) sessionStorage.setItem('taps', Number(sessionStorage.getItem('taps') ?? 0) + 1)
}, true)
"""


def allowed() -> dict[str, int]:
    """Taps by test, as they stand in the README."""
    rows = re.findall(r"^\| `(test_\w+)` \|.*\| (\d+) \|$", _KEPT.read_text(), re.M)
    return {name: int(taps) for name, taps in rows}


@pytest.fixture
def page(page: Page, request: pytest.FixtureRequest) -> Generator[Page]:
    page.add_init_script(_COUNT)
    yield page
    taps = page.evaluate("Number(sessionStorage.getItem('taps') ?? 0)")
    name = request.node.name
    known = allowed()
    assert name in known, f"{name} takes {taps} taps: write that into {_KEPT.name}"
    assert taps <= 1.1 * known[name], f"{name} takes {taps} taps; it took {known[name]}"
