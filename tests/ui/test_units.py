"""Every view in feet says nothing in metres, and every view in metres nothing in feet: sentences, tables, labels,
limits, rulers, and what is read aloud."""

import re

import pytest
from playwright.sync_api import Page

from .test_views import VIEWS, visit

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


@pytest.mark.parametrize("view", [it for it in VIEWS if it not in ("files", "states")])
def test_a_view_speaks_one_system_of_units(page: Page, view: str):
    for units, other in (("feet", METRIC), ("metric", FEET)):
        page.goto("/")
        page.evaluate(f"localStorage.setItem('libella.units', '{units}')")
        visit(page, view)
        page.wait_for_load_state("networkidle")
        said = NO_LENGTH.sub("", page.evaluate(SAID))
        found = [said[max(0, it.start() - 40) : it.end() + 20].replace("\n", " ⏎ ") for it in other.finditer(said)]
        assert found == [], f"{units}: {found}"
