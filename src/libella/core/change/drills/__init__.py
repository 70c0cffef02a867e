"""The drills the product knows: one file each, found by looking through this package."""

import importlib
import pkgutil
from functools import cache

from ...measure.limits import OutOfLimits
from ..drill import Drill, Serves


@cache
def drills() -> dict[str, Drill]:
    """Drills by code, in the order of their names."""
    found = [importlib.import_module(f"{__package__}.{it.name}").DRILL for it in pkgutil.iter_modules(__path__)]
    return {it.code: it for it in sorted(found, key=lambda it: it.name)}


def drill(code: str) -> Drill:
    """The drill of that code, or `OutOfLimits`."""
    if code not in drills():
        raise OutOfLimits("drill", "no_such_choice", named=code, known=tuple(drills()))
    return drills()[code]


def serving(serves: Serves) -> tuple[Drill, ...]:
    """What serves a finding, those that serve it first of all before the others."""
    found = [it for it in drills().values() if serves in it.serves]
    return tuple(sorted(found, key=lambda it: it.serves.index(serves)))
