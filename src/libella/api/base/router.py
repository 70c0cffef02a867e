"""A router that knows at a glance whether a request can be one of its own.

FastAPI asks every route of every router it includes, at each level anew: of some two hundred routes most of a short
answer's time went into that.
"""

import re
from typing import Final

from fastapi import APIRouter
from starlette.routing import BaseRoute, Match, compile_path
from starlette.types import Scope

PREFIX: Final = "/api"
"""Under which every router is included."""
_NAMES: Final = re.compile(r"\(\?P<\w+>")


class Router(APIRouter):
    """The same as an APIRouter that is included under `PREFIX`, and found in one look."""

    _known: tuple[int, re.Pattern[str]] | None = None

    def matches(self, scope: Scope) -> tuple[Match, Scope]:
        """Whether a request is for one of these routes, and for which."""
        if self._known is None or self._known[0] != len(self.routes):
            self._known = len(self.routes), _any_of(self.routes)
        if not self._known[1].fullmatch(scope["path"]):
            return Match.NONE, {}
        return super().matches(scope)


def _any_of(routes: list[BaseRoute]) -> re.Pattern[str]:
    """One expression for the paths of all of them."""
    paths = {_NAMES.sub("(?:", compile_path(getattr(it, "path", ""))[0].pattern).strip("^$") for it in routes}
    return re.compile(f"{PREFIX}(?:{'|'.join(sorted(paths))})")
