"""A small mixed-integer programme, put together by names and solved by scipy's `milp`."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Final

import numpy as np
from scipy.optimize import Bounds, LinearConstraint, milp
from scipy.sparse import csr_array

_GAP: Final = 0.25
_NODES: Final = 20
"""The search ends by what it looked at, never by the clock: a plan is the same however busy the machine is."""
Terms = Mapping[int, float]
"""A sum: so much of each variable."""


@dataclass
class Programme:
    """Variables with their ends and what one of each costs; sums with their ends."""

    costs: list[float] = field(default_factory=list[float])
    tops: list[float] = field(default_factory=list[float])
    whole: list[bool] = field(default_factory=list[bool])
    sums: list[tuple[dict[int, float], float, float]] = field(
        default_factory=list[tuple[dict[int, float], float, float]]
    )

    def add(self, cost: float = 0.0, top: float = np.inf, *, whole: bool = False) -> int:
        """A variable from 0 to `top`; its number."""
        self.costs.append(cost)
        self.tops.append(top)
        self.whole.append(whole)
        return len(self.costs) - 1

    def hold(self, terms: Terms, low: float = -np.inf, high: float = np.inf) -> None:
        """A sum that lies between these ends."""
        self.sums.append((dict(terms), low, high))

    def solved(self) -> list[float]:
        """The cheapest values; whole ones are whole. Everything at 0 must be allowed: then there always are some."""
        entries = [(row, name, by) for row, (terms, _, _) in enumerate(self.sums) for name, by in terms.items()]
        rows, names, by = zip(*entries, strict=True)
        matrix = csr_array((by, (rows, names)), shape=(len(self.sums), len(self.costs)))
        found = milp(
            np.array(self.costs),
            integrality=np.array(self.whole, dtype=int),
            bounds=Bounds(np.zeros(len(self.costs)), np.array(self.tops)),
            constraints=LinearConstraint(matrix, [it[1] for it in self.sums], [it[2] for it in self.sums]),
            options={"mip_rel_gap": _GAP, "node_limit": _NODES},
        )
        if found.x is None:
            raise ArithmeticError(f"no plan was found: {found.message}")
        return [float(round(it)) if whole else float(it) for it, whole in zip(found.x, self.whole, strict=True)]
