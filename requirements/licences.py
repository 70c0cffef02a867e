"""What ships and under which licence: `.venv/bin/python requirements/licences.py > docs/licences.md`.

Of Python what `app.txt` locks and this machine has; of the front end what `ui/src` imports, with all that needs.
"""

import json
import re
from collections.abc import Iterator, Mapping
from importlib.metadata import PackageNotFoundError, metadata
from pathlib import Path
from typing import Any

ROOT = Path(__file__).parents[1]
_IMPORTED = re.compile(r"""(?:from|import)\s+['"]((?:@[\w.-]+/)?[\w][\w.-]*)[^'"]*['"]""")
_LOCKED = re.compile(r"^([\w.-]+)(?:\[[^\]]*\])?==([^\s;\\]+)", re.M)
_BUILT_IN = ("svelte", "@sveltejs/kit", "tailwindcss")
"""Of these something is in every page, whether it is imported by name or not."""


def python_packages() -> Iterator[tuple[str, str, str]]:
    """Name, version, licence."""
    for name, version in sorted(set(_LOCKED.findall((ROOT / "requirements" / "app.txt").read_text()))):
        try:
            told = metadata(name)
        except PackageNotFoundError:
            # For another system or version of Python.
            continue
        yield name, version, _licence(told)


def _licence(told: Any) -> str:
    if expression := told.get("License-Expression"):
        return str(expression)
    classified = [it.rsplit(" :: ", 1)[1] for it in told.get_all("Classifier") or () if it.startswith("License ::")]
    said = str(told.get("License") or "").strip().splitlines()
    return ", ".join(classified) or (said[0][:60] if said else "not told")


def front_end_packages() -> Iterator[tuple[str, str, str]]:
    """Name, version, licence."""
    lock: Mapping[str, Any] = json.loads((ROOT / "ui" / "package-lock.json").read_text())["packages"]
    wanted = {*_BUILT_IN}
    for path in (ROOT / "ui" / "src").rglob("*"):
        if path.suffix in (".ts", ".svelte", ".css") and not path.name.endswith((".test.ts", ".d.ts")):
            wanted |= {it for it in _IMPORTED.findall(path.read_text()) if f"node_modules/{it}" in lock}
    found: set[str] = set()
    while wanted:
        name = wanted.pop()
        found.add(name)
        needs = lock[f"node_modules/{name}"].get("dependencies", {})
        wanted |= {it for it in needs if f"node_modules/{it}" in lock} - found
    for name in sorted(found):
        told = lock[f"node_modules/{name}"]
        yield name, told["version"], told.get("license") or _in_file(ROOT / "ui" / "node_modules" / name)


def _in_file(folder: Path) -> str:
    """As its own file begins, where it says it nowhere else."""
    files = sorted(folder.glob("LICEN[CS]E*"))
    return files[0].read_text().strip().splitlines()[0] if files else "not told"


def main() -> None:
    print("# Licences of what ships\n\nMade by `requirements/licences.py`; Libella’s own is in [LICENSE](../LICENSE).")
    for title, packages in (("Python", python_packages()), ("The front end", front_end_packages())):
        print(f"\n## {title}\n| package | version | licence |\n| --- | --- | --- |")
        for name, version, licence in packages:
            print(f"| {name} | {version} | {licence} |")
    print(
        "\n## From Debian, started beside it\nPostgreSQL (PostgreSQL), caddy (Apache-2.0), pgbouncer (ISC), where it "
        "is used, Pango (LGPL-2.0-or-later), Chromium (BSD-3-Clause and others) for the tests alone."
    )


if __name__ == "__main__":
    main()
