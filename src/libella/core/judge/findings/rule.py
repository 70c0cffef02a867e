"""A rule: one cause of the handbook's table, as the one entry that adding a finding takes."""

from collections.abc import Callable
from dataclasses import dataclass

from .case import Case
from .finding import Cause, Finding
from .pictures.picture import Draw


@dataclass(frozen=True, slots=True)
class Rule:
    """A cause that names itself, says what usually helps, an opinion, is judged from a lesson's case and drawn."""

    cause: Cause
    name: str
    change: str
    find: Callable[[Case], Finding]
    draw: Draw
    brief: str
    """Its name in a narrow run sheet: twelve characters at most."""
