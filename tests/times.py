"""Where the time of a run goes: wall and processor of every test and of every fixture.

`./test` prints how long it took and its ten slowest tests. Every run leaves `.data/times.json`; with
`LIBELLA_TIMES=1` the fixtures and the folders are printed too.
"""

import json
import os
import random
import time
from collections import defaultdict
from collections.abc import Generator, Iterator
from contextlib import contextmanager
from pathlib import Path

import pytest

SHOWN = 10
KEPT_IN = Path(__file__).parents[1] / ".data" / "times.json"
# What a test report carries to the process that prints.
SPENT, FIXTURES = "spent", "fixtures"


def _processor() -> float:
    """Seconds of processor of this process, of the children it has waited for, and of whatever they began that has
    been seen running."""
    _look(os.getpid())
    spent = os.times()
    own = spent.user + spent.system + spent.children_user + spent.children_system
    return own + sum(_SEEN.values())


_TICKS = os.sysconf("SC_CLK_TCK")
_SEEN: dict[tuple[int, str], float] = {}
"""What a process had spent when it was last seen: of one that has ended nobody may tell any more."""


def _look(at: int) -> None:
    try:
        threads = [it / "children" for it in Path(f"/proc/{at}/task").iterdir()]
        children = [int(it) for one in threads for it in one.read_text().split()]
    except OSError:  # It has just ended.
        return
    for child in children:
        try:
            told = Path(f"/proc/{child}/stat").read_text().rsplit(")", 1)[1].split()
        except OSError:
            continue
        _SEEN[child, told[19]] = (int(told[11]) + int(told[12])) / _TICKS
        _look(child)


@contextmanager
def _timed(into: dict[str, tuple[float, float]], name: str) -> Iterator[None]:
    wall, processor = time.perf_counter(), _processor()
    try:
        yield
    finally:
        before = into.get(name, (0.0, 0.0))
        into[name] = (before[0] + time.perf_counter() - wall, before[1] + _processor() - processor)


class Watch:
    """Times what runs in this process."""

    def __init__(self) -> None:
        self.fixtures: dict[str, tuple[float, float]] = {}
        self.tests: dict[str, tuple[float, float]] = {}

    @pytest.hookimpl(wrapper=True)
    def pytest_fixture_setup(self, fixturedef: pytest.FixtureDef) -> Generator[None, object, object]:
        # A fixture that asks for another is charged for itself alone: the other was set up before it.
        with _timed(self.fixtures, fixturedef.argname):
            return (yield)

    @pytest.hookimpl(wrapper=True)
    def pytest_runtest_protocol(self, item: pytest.Item) -> Generator[None, object, object]:
        self.fixtures.clear()
        self.tests.clear()
        return (yield)

    @pytest.hookimpl(wrapper=True)
    def pytest_runtest_setup(self, item: pytest.Item) -> Generator[None, object, object]:
        with _timed(self.tests, "setup"):
            return (yield)

    @pytest.hookimpl(wrapper=True)
    def pytest_runtest_call(self, item: pytest.Item) -> Generator[None, object, object]:
        with _timed(self.tests, "call"):
            return (yield)

    @pytest.hookimpl(wrapper=True)
    def pytest_runtest_teardown(self, item: pytest.Item) -> Generator[None, object, object]:
        with _timed(self.tests, "teardown"):
            return (yield)

    @pytest.hookimpl(wrapper=True)
    def pytest_runtest_makereport(self, item: pytest.Item, call: pytest.CallInfo) -> Generator[None, object, object]:
        report = yield
        assert isinstance(report, pytest.TestReport)
        if report.when == "teardown":
            report.user_properties = [(SPENT, dict(self.tests)), (FIXTURES, dict(self.fixtures))]
        return report


class Account:
    """Adds up what the processes of the run report, and prints it."""

    def __init__(self) -> None:
        self.began = time.perf_counter()
        self.tests: dict[str, tuple[float, float]] = {}
        self.failed: set[str] = set()
        self.fixtures: dict[str, list[float]] = defaultdict(lambda: [0.0, 0.0, 0.0])

    def pytest_runtest_logreport(self, report: pytest.TestReport) -> None:
        if report.failed:
            self.failed.add(report.nodeid)
        told = dict(report.user_properties)
        if SPENT not in told:
            return
        parts = told[SPENT].values()
        self.tests[report.nodeid] = (sum(it[0] for it in parts), sum(it[1] for it in parts))
        for name, (wall, processor) in told[FIXTURES].items():
            of = self.fixtures[name]
            of[0], of[1], of[2] = of[0] + wall, of[1] + processor, of[2] + 1

    def pytest_terminal_summary(self, terminalreporter: pytest.TerminalReporter) -> None:
        out = terminalreporter
        took = time.perf_counter() - self.began
        KEPT_IN.parent.mkdir(exist_ok=True)
        kept = {"took": took, "failed": sorted(self.failed), "tests": self.tests, "fixtures": self.fixtures}
        KEPT_IN.write_text(json.dumps(kept, indent=0))
        out.section("time")
        out.line(f"{len(self.tests)} tests in {took:.0f} s; wall and processor seconds of the slowest:")
        for name, (wall, processor) in _slowest(self.tests)[:SHOWN]:
            out.line(f"{wall:7.1f} {processor:7.1f}  {name}")
        if os.environ.get("LIBELLA_TIMES"):
            out.section("fixtures: wall, processor, times")
            for name, (wall, processor, times) in _slowest(self.fixtures)[:40]:
                out.line(f"{wall:7.1f} {processor:7.1f} {times:6.0f}  {name}")
            folders: dict[str, list[float]] = defaultdict(lambda: [0.0, 0.0, 0.0])
            for name, (wall, processor) in self.tests.items():
                of = folders[name.split("::")[0]]
                of[0], of[1], of[2] = of[0] + wall, of[1] + processor, of[2] + 1
            out.section("files: wall, processor, tests")
            for name, (wall, processor, tests) in _slowest(folders)[:60]:
                out.line(f"{wall:7.1f} {processor:7.1f} {tests:6.0f}  {name}")


def _slowest(of: dict) -> list[tuple[str, tuple]]:
    return sorted(((name, tuple(it)) for name, it in of.items()), key=lambda it: -it[1][0])


def shuffle(items: list[pytest.Item]) -> None:
    """In another order for every number in `LIBELLA_SHUFFLED`, the same in every process of a run."""
    if told := os.environ.get("LIBELLA_SHUFFLED"):
        random.Random(int(told)).shuffle(items)


def watch(config: pytest.Config) -> None:
    """Time what this process runs; whoever began the run adds it up."""
    config.pluginmanager.register(Watch(), "libella-watch")
    if not hasattr(config, "workerinput"):
        config.pluginmanager.register(Account(), "libella-times")
