"""Everything Libella says, with sample facts, to be read aloud: `python -m libella.words`.

By step, in both systems of units and for both hands; what is said of a level stands with each level. Sentences that
come out the same are said once.
"""

from itertools import product
from typing import get_args

from ...core.golfer.hand import Hand
from ...core.measure.units import Units
from ..vocabulary import ENTRIES, choices
from .aim import aim_aloud
from .change import change_aloud
from .claims import claims_aloud
from .findings import findings_aloud
from .judge import judge_aloud
from .keep import keep_aloud
from .line import line_aloud
from .opened import opened_aloud
from .opened_over import opened_over_aloud
from .opinions import opinions_aloud
from .people import people_aloud
from .reading import Reading, page, sentences
from .refusals import refusals_aloud
from .schools import schools_aloud
from .see import see_aloud
from .set import set_aloud
from .stand import stand_aloud
from .start import start_aloud
from .teach import teach_aloud

__all__ = ["Reading", "page", "read_aloud"]


def read_aloud() -> Reading:
    """Everything, in both units and for both hands."""
    reading = Reading()
    for reading.units, reading.hand in product(get_args(Units), get_args(Hand)):
        for step in (
            set_aloud,
            stand_aloud,
            see_aloud,
            aim_aloud,
            start_aloud,
            claims_aloud,
            judge_aloud,
            line_aloud,
            findings_aloud,
            opened_aloud,
            opened_over_aloud,
            schools_aloud,
            teach_aloud,
            change_aloud,
            keep_aloud,
            opinions_aloud,
            people_aloud,
            refusals_aloud,
        ):
            step(reading)
    reading.note("vocabulary", "entries", sentences(ENTRIES))
    reading.note("vocabulary", "choices", sentences(choices()))
    return reading
