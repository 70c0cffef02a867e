"""The project's own rules: layers, types, style, fresh types, what may be committed, and the start command."""

import ast
import json
import os
import re
import signal
import socket
import statistics
import subprocess
import sys
from datetime import UTC, datetime
from pathlib import Path

import pytest
from sqlalchemy import text

from libella.core.instruments import instruments
from libella.demo.people import PEOPLE
from libella.demo.scenario import is_empty, is_half_loaded, load
from libella.lessons.desk.desk import open_desk
from libella.lessons.golfer.golfers import find_golfers

from ..conftest import ROOT, new_database

ENVIRONMENT = os.environ | {"PYTHONPATH": str(ROOT / "src")}


def run(*command: str, cwd=ROOT, **environment: str) -> subprocess.CompletedProcess[str]:
    # Nothing here is timed: only what hangs for good is ended.
    return subprocess.run(
        command, cwd=cwd, env=ENVIRONMENT | environment, capture_output=True, text=True, timeout=1800, check=False
    )


def passes(*command: str, cwd=ROOT) -> None:
    done = run(*command, cwd=cwd)
    assert done.returncode == 0, (done.stdout + done.stderr)[-3000:]


def test_imports_point_one_way():
    passes(sys.executable, "-c", "from importlinter.cli import lint_imports_command; lint_imports_command()")


def test_the_types_hold():
    passes(str(ROOT / "ui" / "node_modules" / ".bin" / "pyright"), "--pythonpath", sys.executable)


def test_style():
    passes(sys.executable, "-m", "ruff", "check", ".")
    passes(sys.executable, "-m", "ruff", "format", "--check", ".")


def test_the_front_end_is_tidy():
    passes("npm", "run", "-s", "lint", cwd=ROOT / "ui")


def test_the_front_end_is_typed():
    passes("npm", "run", "-s", "check", cwd=ROOT / "ui")


def test_the_front_ends_logic():
    passes("npm", "run", "-s", "test", cwd=ROOT / "ui")


def test_the_generated_types_are_fresh(tmp_path):
    described = run(sys.executable, "-m", "libella.api")
    (tmp_path / "openapi.json").write_text(described.stdout)
    json.loads(described.stdout)
    made = run(
        "npx",
        "openapi-typescript",
        str(tmp_path / "openapi.json"),
        "-o",
        str(tmp_path / "schema.d.ts"),
        cwd=ROOT / "ui",
    )
    assert made.returncode == 0, made.stderr
    kept = (ROOT / "ui" / "src" / "lib" / "data" / "schema.d.ts").read_text()
    assert (tmp_path / "schema.d.ts").read_text() == kept, "run what docs/developing.md says under Types"


def tracked(*patterns: str) -> list[str]:
    done = run("git", "ls-files", "-co", "--exclude-standard", "--", *patterns)
    return done.stdout.split()


def test_the_front_end_computes_nothing_of_the_job():
    """Pictures are laid out, and logarithms the server told are taken back where it is out of reach: no more."""
    maths = re.compile(r"Math\.(atan2?|asin|acos|tan|sin|cos|sqrt|log|exp)")
    guilty = [
        path
        for path in tracked("ui/src/*.ts", "ui/src/*.svelte")
        if "/lib/drawing/" not in path and "/lib/start/weighed." not in path and maths.search((ROOT / path).read_text())
    ]
    assert guilty == []


def test_what_is_said_to_hold_a_line_of_security_is_there():
    """Tests by their place under tests/, else by their place here."""
    lines = [it for it in (ROOT / "docs" / "security.md").read_text().splitlines() if it.startswith("| ")]
    named = {one for it in lines for one in re.findall(r"`([^`]+)`", it.rsplit("|", 2)[1])}
    places = (ROOT / "tests", ROOT)
    lost = [it for it in named if not any((at / f"{it}{end}").exists() for at in places for end in ("", ".py"))]
    assert len(named) > 20 and lost == []


# What takes seven parameters, and why.
MANY_PARAMETERS = {
    "problem": "the members of RFC 9457",
    "print_card": "each is a part of the address",
    "look_up": "each is a part of the address",
    "explained": "each is a part of the address",
    "one": "each is a part of a print's address, or who asks",
    "line": "two points and how they are drawn",
    "reader_station": "the sizes of a putt and its reader, told apart by name in a file",
    "_check": "a sample of the demo",
    "_ask": "a sample of the demo",
    "further_putts": "the handbook's symbols",
    "aim_found": "a set, what it is read against, and what is known of that",
    "_length": "what an entry of a set-up says of itself",
    "line_about": "what an instrument says of itself",
    "gate_about": "what an instrument says of itself",
    "dimension": "what a dimension says of itself",
}


def test_modules_and_functions_are_small():
    sizes, long, wide = [], [], []
    for path in tracked("src/libella/*.py"):
        source = (ROOT / path).read_text()
        sizes.append(source.count("\n"))
        if sizes[-1] > 400:
            long.append(path)
        for it in ast.walk(ast.parse(source)):
            if not isinstance(it, ast.FunctionDef | ast.AsyncFunctionDef):
                continue
            # A migration tells its tables from the first to the last.
            if it.end_lineno - it.lineno >= 60 and "/migrations/" not in path:
                long.append(f"{path}: {it.name}")
            taken = [one for one in (*it.args.posonlyargs, *it.args.args, *it.args.kwonlyargs) if one.arg != "self"]
            if len(taken) > 6:
                wide.append(it.name)
    assert long == []
    assert set(wide) == set(MANY_PARAMETERS)
    assert statistics.median(sizes) <= 120


def test_no_machine_path_and_no_registry_host_is_committed():
    words = re.compile("|".join(["/wo" + "rk/", "pypi" + r"\.org", r"registry\.npm" + "js", r"deb\.deb" + "ian"]))
    guilty = [
        path
        for path in tracked()
        if not path.endswith((".png", ".woff2")) and words.search((ROOT / path).read_text(errors="ignore"))
    ]
    assert guilty == []


def test_nothing_is_loaded_from_elsewhere():
    """The built front end names no other host to fetch from."""
    page = (ROOT / "ui" / "build" / "index.html").read_text()
    assert not re.search(r"""(src|href)=["'](https?:)?//""", page)
    sheets = "".join(it.read_text() for it in (ROOT / "ui" / "build").rglob("*.css"))
    assert not re.search(r"url\((['\"]?)(https?:)?//", sheets)


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return probe.getsockname()[1]


def test_a_taken_port_is_said_with_a_way_out():
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = taken.getsockname()[1]
        done = run(sys.executable, "-m", "libella.demo", LIBELLA_PORT=str(port))
    assert done.returncode == 1
    assert f"Port {port} is taken" in done.stderr and "LIBELLA_PORT" in done.stderr


@pytest.mark.parametrize("port", ["80", "many"])
def test_a_senseless_port_is_refused(port):
    done = run(sys.executable, "-m", "libella.demo", LIBELLA_PORT=port)
    assert done.returncode == 1 and "LIBELLA_PORT" in done.stderr


def test_a_database_that_does_not_answer_is_said():
    done = run(sys.executable, "-m", "libella.demo", LIBELLA_PORT=str(free_port()),
               LIBELLA_DATABASE_URL=f"postgresql://nobody@127.0.0.1:{free_port()}/none")  # fmt: skip
    assert done.returncode == 1 and "LIBELLA_DATABASE_URL" in done.stderr


def test_start_serves_on_loopback_stops_on_ctrl_c_and_keeps_the_data(cluster):
    url, port = new_database(cluster), free_port()
    environment = ENVIRONMENT | {"LIBELLA_DATABASE_URL": url, "LIBELLA_PORT": str(port)}

    def start() -> tuple[subprocess.Popen[str], list[str]]:
        process = subprocess.Popen(
            [sys.executable, "-m", "libella.demo"], env=environment, stdout=subprocess.PIPE, text=True
        )
        lines = []
        for line in process.stdout:
            lines.append(line.strip())
            if "Ready" in line:
                return process, lines
        raise AssertionError(lines)

    def stop(process: subprocess.Popen[str]) -> None:
        process.send_signal(signal.SIGINT)
        assert process.wait(10) == 0

    process, lines = start()
    assert sum("lessons" in it for it in lines) == 5
    listening = [it for it in Path("/proc/net/tcp").read_text().splitlines() if f":{port:04X}" in it.split()[1]]
    assert listening and all(it.split()[1].startswith("0100007F") for it in listening)
    stop(process)
    process, lines = start()
    assert not any("lessons" in it for it in lines), "what is kept is not loaded once more"
    stop(process)


def test_a_demo_interrupted_while_loading_is_loaded_whole_at_the_next_start(desk, monkeypatch):
    # Two golfers are enough to stop between.
    monkeypatch.setattr("libella.demo.scenario.PEOPLE", PEOPLE[2:4])

    def interrupt(words: str) -> None:
        if words.startswith("Pell"):
            raise KeyboardInterrupt

    with pytest.raises(KeyboardInterrupt):
        load(desk, datetime.now(UTC), interrupt)
    assert is_half_loaded(desk) and not is_empty(desk)
    engine = desk._sessions.kw["bind"]
    with engine.begin() as connection:
        connection.execute(text("truncate studio cascade"))
    whole = open_desk(engine)
    load(whole, datetime.now(UTC))
    assert not is_half_loaded(whole)
    assert len(find_golfers(whole)) == 2


def test_fresh_asks_before_it_drops_lessons_of_ones_own(cluster, client, coach):
    url = client.app.state.desk._engine.url.render_as_string(hide_password=False).replace("+psycopg", "")
    golfer = coach.golfer("Own Golfer")
    coach.lesson(golfer["id"])
    done = run(sys.executable, "-m", "libella.demo", "--fresh", LIBELLA_PORT=str(free_port()), LIBELLA_DATABASE_URL=url)
    assert done.returncode == 1 and "1 lesson of your own would be lost" in done.stderr
    assert coach.get(f"/golfers/{golfer['id']}")["name"] == "Own Golfer"


def test_every_instrument_has_its_row_in_the_docs():
    rows = (ROOT / "docs" / "instruments.md").read_text()
    for kind, cls in instruments().items():
        assert f"| `{kind}` | {cls.about.name} | {cls.about.quantity.name.lower()} |" in rows


def test_every_picture_is_linked_from_the_readme_and_there_are_under_twenty():
    pictures = sorted(it.name for it in (ROOT / "docs" / "screenshots").glob("*.png"))
    readme = (ROOT / "README.md").read_text()
    assert 0 < len(pictures) < 20
    assert [it for it in pictures if f"docs/screenshots/{it}" not in readme] == []


def test_no_sentence_is_compared_or_taken_apart():
    """What is said is for people: what anybody goes by is told beside it, under a name of its own."""
    taken_apart = {"startswith", "endswith", "partition", "split", "find", "index"}
    # Words of the database, which tells it in no other way.
    foreign = {"No space left"}
    found: list[str] = []
    for path in sorted((ROOT / "src" / "libella" / "words").rglob("*.py")):
        for it in ast.walk(ast.parse(path.read_text())):
            if isinstance(it, ast.Call) and isinstance(it.func, ast.Attribute) and it.func.attr in taken_apart:
                told = [one.value for one in it.args if isinstance(one, ast.Constant)]
                # Names of fields say their unit.
                if told not in (["_m"], ["_deg"]):
                    found.append(f"{path.name}:{it.lineno}: {it.func.attr}")
    for path in sorted((ROOT / "src" / "libella").rglob("*.py")):
        for it in ast.walk(ast.parse(path.read_text())):
            if isinstance(it, ast.Compare):
                told = [one.value for one in (it.left, *it.comparators) if isinstance(one, ast.Constant)]
                found += [
                    f"{path.name}:{it.lineno}: {one!r}" for one in told if _is_sentence(one) and one not in foreign
                ]
    spoken = re.compile(r"""(?:[!=]==\s*|startsWith\(|endsWith\(|includes\()['"`]([^'"`]*)['"`]""")
    for path in sorted((ROOT / "ui" / "src").rglob("*")):
        if path.suffix in (".ts", ".svelte") and ".test." not in path.name:
            found += [f"{path.name}: {it!r}" for it in spoken.findall(path.read_text()) if _is_sentence(it)]
    assert found == []


def _is_sentence(told: object) -> bool:
    return isinstance(told, str) and " " in told.strip() and any(it.isalpha() for it in told)


def test_whatever_security_is_said_to_be_held_by_is_there():
    told = (ROOT / "docs" / "security.md").read_text()
    named = set(re.findall(r"`((?:api|core|exchange|serve|store|ui)/[a-z_/]+)`", told))
    assert len(named) > 12
    for it in named:
        there = [ROOT / "tests" / it, ROOT / "tests" / f"{it}.py", *(ROOT / "src" / "libella").glob(f"{it}*")]
        # The core's and the API's own modules are named, too; of one of them what it holds after a dot.
        assert any(one.exists() for one in there), it


def test_what_ships_is_listed_with_its_licence():
    """A package more, or another version, and the list is made anew: `requirements/licences.py`."""
    done = run(sys.executable, "requirements/licences.py")
    told = {it for it in done.stdout.splitlines() if it.startswith("| ")}
    assert len(told) > 100 and "not told" not in done.stdout
    assert told <= set((ROOT / "docs" / "licences.md").read_text().splitlines())


def test_every_bench_still_finds_what_it_measures():
    benches = sorted(it.stem for it in (ROOT / "tests" / "bench").glob("*.py") if it.stem != "__init__")
    named = (ROOT / "tests" / "bench" / "README.md").read_text()
    assert [it for it in benches if f"tests.bench.{it}" not in named] == []
    passes(sys.executable, "-c", "; ".join(f"import tests.bench.{it}" for it in benches))
