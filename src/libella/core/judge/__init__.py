"""Judgement calls: tendency or chance, how big, what to work on."""

from .judgement import Judgement, judge
from .verdict import verdict

__all__ = ["Judgement", "judge", "verdict"]
