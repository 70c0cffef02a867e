"""Browsers of somebody who was never here before."""

import pytest
from playwright.sync_api import Browser, Page

from ..conftest import HANGS_MS


@pytest.fixture
def browsers(floor, browser: Browser):
    """New browsers, each of somebody who was never here; an error on a page of one fails the test."""
    contexts, errors = [], []

    def new(width: int = 820, height: int = 1180) -> Page:
        context = browser.new_context(
            base_url=floor.address,
            ignore_https_errors=True,
            viewport={"width": width, "height": height},
            has_touch=True,
        )
        context.set_default_timeout(HANGS_MS)
        contexts.append(context)
        page = context.new_page()
        page.on("pageerror", lambda error: errors.append(str(error)))
        return page

    yield new
    for it in contexts:
        it.close()
    assert errors == []
