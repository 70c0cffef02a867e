"""Every opinion there is: whatever the core holds one is found, and none can be forgotten."""

from collections.abc import Mapping
from functools import cache
from importlib import import_module
from pkgutil import walk_packages
from typing import Any

from .. import __name__ as _core
from .. import __path__ as _rooms
from .held import Opinion, known


@cache
def every_opinion() -> Mapping[str, Opinion[Any]]:
    """Every opinion, by its code."""
    for it in walk_packages(_rooms, f"{_core}."):
        import_module(it.name)
    return dict(known())
