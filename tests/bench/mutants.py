"""Small faults put into the code one at a time: does the nearest test find them? By hand:
`python -m tests.bench.mutants [a part of a file's name …]`.

Asked: all that were seen, and at least 92 of 100 of those kept, in `faults.txt`. Nearest are the tests of the same
room, and those that import the module; not the browser's. Each runs on a copy: what is worked on stays as it is.
"""

import shutil
import subprocess
import sys
import tempfile
import time
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

ROOT = Path(__file__).parents[2]
FLOORS = {"core": "tests/core", "lessons": "tests/api", "exchange": "tests/exchange", "store": "tests/store"}
APART = ("ui", "workers", "bench", "project", "golfers")
LONGEST_S = 600
Fault = tuple[str, str, str]


def faults(name: str) -> list[Fault]:
    """Those under a heading of `faults.txt`: file, what stands there, what stands there instead."""
    part = (Path(__file__).parent / "faults.txt").read_text().partition(f"== {name}\n")[2].partition("\n== ")[0]
    found: list[Fault] = []
    for line in part.splitlines():
        file, _, change = line.partition(": ")
        there, _, instead = change.partition("  =>")
        found.append((file, there, instead.strip()))
    return found


def nearest(file: str) -> list[str]:
    """Folders and files of tests, those of the room first; ones already within a folder are left out."""
    floor, *rooms, _ = file.split("/")
    rooms = rooms if floor in ("core", "lessons") else []
    folder = ROOT.joinpath(FLOORS.get(floor, "tests/api"), *rooms[:1])
    found = [folder] if folder.is_dir() and (rooms or floor in ("exchange", "store")) else []
    module = f"libella.{file.removesuffix('.py').replace('/', '.')}"
    package, _, name = module.rpartition(".")
    if file.startswith("api/base/"):
        # What all rooms share is tested beside them, by none.
        found = sorted((ROOT / "tests/api").glob("test_*.py"))
    for test in sorted((ROOT / "tests").rglob("test_*.py")):
        if test.relative_to(ROOT / "tests").parts[0] not in APART and not any(test.is_relative_to(it) for it in found):
            text = test.read_text()
            if f"{module} import" in text or f"from {package} import {name}" in text:
                found.append(test)
    found = found or [ROOT / "tests/api"]
    return [str(it.relative_to(ROOT)) for it in found]


def caught(fault: Fault) -> tuple[Fault, bool, float]:
    """Whether a test finds it, and after how many seconds."""
    file, there, instead = fault
    began = time.perf_counter()
    with tempfile.TemporaryDirectory(prefix="libella-fault-") as folder:
        copy = Path(folder)
        copy.chmod(0o755)
        for part in ("src", "tests"):
            shutil.copytree(ROOT / part, copy / part, ignore=shutil.ignore_patterns("__pycache__", "bench"))
        for part in ("ui", "docs", "standin", "README.md", "backup", "restore"):
            (copy / part).symlink_to(ROOT / part)
        shutil.copy(ROOT / "pyproject.toml", copy)
        path = copy / "src/libella" / file
        text = path.read_text()
        if text.count(there) != 1:
            raise SystemExit(f"{file}: {there!r} stands there {text.count(there)} times")
        path.write_text(text.replace(there, instead))
        try:
            run = subprocess.run(
                [sys.executable, "-m", "pytest", "-x", "-q", "-n", "0", "-p", "no:cacheprovider", *nearest(file)],
                cwd=copy, capture_output=True, text=True, timeout=LONGEST_S, check=False,
            )  # fmt: skip
            code = run.returncode
        except subprocess.TimeoutExpired:
            # Nothing was found in all that time: that is no catch.
            code = 0
        if code not in (0, 1):
            raise SystemExit(f"{file}: the tests could not run\n{run.stdout[-2000:]}{run.stderr[-2000:]}")
    return fault, code == 1, time.perf_counter() - began


def main(parts: list[str]) -> None:
    for name in ("seen", "kept"):
        chosen = [it for it in faults(name) if not parts or any(part in it[0] for part in parts)]
        with ThreadPoolExecutor(2) as pool:
            found = []
            for fault, is_caught, seconds in pool.map(caught, chosen):
                found.append(is_caught)
                print(
                    f"{'caught' if is_caught else 'MISSED'}  {seconds:4.0f} s  {fault[0]}: {fault[1]!r} → {fault[2]!r}",
                    flush=True,
                )
        if chosen:
            print(f"{name}: {sum(found)} of {len(found)} caught ({100 * sum(found) / len(found):.0f} %)", flush=True)


if __name__ == "__main__":
    main(sys.argv[1:])
