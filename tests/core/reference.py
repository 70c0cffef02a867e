"""The reference numbers: cases with what must come out, worked out by two independent derivations."""

import json
from functools import cache
from pathlib import Path
from typing import Any

from libella.core.interval import Interval


@cache
def _all() -> dict[str, list[dict[str, Any]]]:
    return json.loads((Path(__file__).parent / "reference.json").read_text())


def cases(group: str) -> list[dict[str, Any]]:
    """The cases of one group; a group that is not there is an error, not an empty test."""
    return _all()[group]


def intervals(pairs: list[list[float | None]]) -> list[Interval]:
    return [Interval.of(*pair) for pair in pairs]
