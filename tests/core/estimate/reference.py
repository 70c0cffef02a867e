"""The reference numbers: cases with what must come out, worked out by two independent derivations."""

import json
from functools import cache
from pathlib import Path
from typing import Any

from libella.core.estimate import Prior
from libella.core.measure.interval import Interval


@cache
def _all() -> dict[str, list[dict[str, Any]]]:
    return json.loads((Path(__file__).parent / "reference.json").read_text())


def cases(group: str) -> list[dict[str, Any]]:
    """The cases of one group; a group that is not there is an error, not an empty test."""
    return _all()[group]


HANDBOOK = Prior(bias_mean=0.0, bias_sd=2.0, spread_median=1.0, spread_log_sd=0.6, unit="deg")
"""The prior the reference numbers were worked out with; the product leaves the spread wider open (decision 0017)."""


def intervals(pairs: list[list[float | None]]) -> list[Interval]:
    return [Interval.of(*pair) for pair in pairs]
