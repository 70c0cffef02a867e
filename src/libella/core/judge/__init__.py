"""Judgement calls: tendency or chance, how big, what to work on."""

from .judgement import Judgement, judge
from .verdict import Verdict, verdict

__all__ = ["Judgement", "Verdict", "judge", "verdict"]
