"""Every instrument the product knows, found by looking through this package."""

import importlib
import pkgutil
from collections.abc import Mapping
from functools import cache

from ..measure.limits import OutOfLimits
from ..measure.units import Units
from .aid import Aid


@cache
def instruments() -> dict[str, type[Aid]]:
    """Instrument classes by kind, in the order of their names."""
    package = importlib.import_module(__package__ or "")
    for module in pkgutil.iter_modules(package.__path__):
        importlib.import_module(f"{package.__name__}.{module.name}")
    known = {it.about.kind: it for it in _leaves(Aid)}
    return dict(sorted(known.items(), key=lambda item: item[1].about.name))


def _leaves(cls: type[Aid]) -> list[type[Aid]]:
    children = cls.__subclasses__()
    return [leaf for child in children for leaf in _leaves(child)] if children else [cls]


def instrument(kind: str) -> type[Aid]:
    """The instrument of that kind, or `OutOfLimits`."""
    known = instruments()
    if kind not in known:
        raise OutOfLimits("kind", "no_instrument", named=str(kind), known=tuple(known))
    return known[kind]


def usual_sizes(kind: str, told: Mapping[str, float], units: Units) -> dict[str, float]:
    """The sizes told of an instrument, and those that are usual otherwise for a coach in these units than in metres."""
    known = instruments().get(kind)
    # What is no instrument is refused where it is laid.
    usual = known.dimensions(units) if known else ()
    metric = known.dimensions() if known else ()
    return {it.name: it.default for it in usual if it not in metric} | dict(told)


_USUAL_FIRST = ("peg_gate", "ball_gate", "board", "ground_laser", "ground_string", "raised_string")


def usual_place(kind: str) -> int:
    """Where an instrument stands among its like, the usual ones first: an opinion. No rig at all stands last."""
    if kind == "no_rig":
        return len(_USUAL_FIRST) + 1
    return _USUAL_FIRST.index(kind) if kind in _USUAL_FIRST else len(_USUAL_FIRST)


def lay(kind: str, sizes: Mapping[str, float]) -> Aid:
    """Lay out an instrument with the given dimensions (m)."""
    return instrument(kind).laid(sizes)
