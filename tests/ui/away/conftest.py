"""A tablet that can be killed and started again."""

import signal
import subprocess
from collections.abc import Callable, Generator
from contextlib import contextmanager, suppress

import pytest
from playwright.sync_api import BrowserContext, Error

from ..conftest import CHROMIUM

Tablet = Callable[[str], "contextmanager[BrowserContext]"]


@pytest.fixture
def tablet(browser, tmp_path) -> Tablet:
    """A browser whose memory is on a disk: it can be killed and started again. `*flags`: more of its switches."""

    @contextmanager
    def started(address: str, *flags: str) -> Generator[BrowserContext]:
        context = browser.browser_type.launch_persistent_context(
            str(tmp_path / "tablet"),
            executable_path="/usr/bin/chromium-headless-shell",
            args=[*CHROMIUM, *flags],
            base_url=address,
            viewport={"width": 820, "height": 1180},
            has_touch=True,
            ignore_https_errors=True,
        )
        errors: list[str] = []
        context.on("weberror", lambda it: errors.append(str(it.error)))
        try:
            yield context
        finally:
            # As if its plug were pulled.
            killed = subprocess.run(["pkill", f"-{signal.SIGKILL}", "-f", str(tmp_path / "tablet")], check=False)
            assert killed.returncode == 0
            with suppress(Error):
                context.close()
        assert errors == []

    return started
