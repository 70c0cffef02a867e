"""A view in feet says nothing in metres, and one in metres nothing in feet: sentences, tables, labels, limits, rulers,
and what is read aloud."""

import re
import time

from playwright.sync_api import Page

from .conftest import laid_out, stands

PATIENCE_S = 45
"""As long as anything is waited for here: a machine that is busy draws late."""
# What a page says: its text, the names read aloud, what stands in its entries and drawings.
SAID = """
[document.body.innerText,
 ...[...document.querySelectorAll('[aria-label],[title],[placeholder]')].filter(it => it.checkVisibility()).map(it =>
   ['aria-label', 'title', 'placeholder'].map(name => it.getAttribute(name)).filter(Boolean).join(' · ')),
 ...[...document.querySelectorAll('svg text')].map(it => it.textContent)].join('\\n')
"""
METRIC = re.compile(r"(?<![\w.])(?:\d+(?:[.,]\d+)?\s?(?:mm|cm|m)|metres?|millimetres?)(?![\w/’'])")
FEET = re.compile(r"(?<![\w.])\d+(?:[./]\d+)?\s?(?:in|ft|inch(?:es)?|feet)(?![\w/])")
# A green's speed is told in feet everywhere, and what the demo's coach noted stays as noted.
NO_LENGTH = re.compile(
    r"[\d.]+ ft green|14 m floor|Green speed[^\n]*|\d+ ft, 4 to 16|4 ft to 16 ft|Feet on the ramp[^\n]*"
)


def speaks_one_system_of_units(page: Page) -> None:
    """As it stands, in metres, and turned to feet by its own button."""
    for other in (FEET, METRIC):
        found = _said(page, other)
        until = time.monotonic() + PATIENCE_S
        while found and time.monotonic() < until:
            # What is reckoned anew is drawn a moment later.
            laid_out(page)
            found = _said(page, other)
        assert found == [], found
        page.get_by_role("button", name="change the units").click()
        stands(page)


def _said(page: Page, other: re.Pattern[str]) -> list[str]:
    said = NO_LENGTH.sub("", page.evaluate(SAID))
    return [said[max(0, it.start() - 40) : it.end() + 20].replace("\n", " ⏎ ") for it in other.finditer(said)]
