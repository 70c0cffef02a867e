"""A finding: one cause, what it weighs in putts of a hundred, how sure, what speaks for and against it."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from ...certainty.estimate import Estimate
from ...certainty.verdict import LIKELY, Grounds, Verdict, weigh
from ...measure.side import Side
from ..ledger.place import Place

Cause = str
"""A cause by its name in `ranked.RULES`."""
Unit = Literal["deg", "deg_per_m", "mm", "m", "putts"]


FactCode = Literal[
    "read", "second_proof", "body_turned", "body_stays", "path_in_to_out", "path_out_to_in", "struck_heel",
    "struck_toe", "holed", "missed_by_ground", "on_the_read", "off_the_read", "read_off", "links_share",
    "links_differ", "looks_straight", "aim_with_picture", "aim_against_picture", "mark_off", "putter_on_mark",
    "putter_off_mark", "aim_off", "aim_side", "start_is", "aim_sensed", "picture_explains", "picture_the_other_way",
    "mark_explains", "aim_adds", "stroke_adds", "makes_up", "may_make_up", "impact_side", "impact_off",
    "square_at_address", "off_at_address", "start_off", "path_off", "strike_off", "start_goes_with_strike", "moved",
    "spread", "with_guide", "without_guide", "at_length", "inside_and_missed", "missed_by_pace", "missed_by_unpaced",
    "missed_by_read",
]  # fmt: skip
"""What may speak for a cause, or against it; `words.judge.findings.FACTS` says each."""

Need = Literal[
    "second_proof", "answers", "set_downs", "aims_deg", "answers_that_agree", "marks", "starts", "impacts",
    "impacts_deg", "paths", "paths_deg", "paths_used", "inside", "strikes", "strikes_a_side", "stillness", "moved",
    "still", "guided", "blind", "lengths", "finishes",
]  # fmt: skip
"""What a cause may need; `words.judge.findings.NEEDS` says each."""


@dataclass(frozen=True, slots=True)
class Fact:
    """Something read that speaks for a cause, or against it.

    `number`: of a count beside the size, `of` so many.
    """

    what: FactCode
    speaks: Literal["for", "against"]
    size: Estimate | None = None
    unit: Unit = "deg"
    number: int = 0
    of: int = 0
    at: Place | None = None
    length_m: float = 0.0
    name: str = ""
    """Of a body line: which."""
    side: Side = "neither"


@dataclass(frozen=True, slots=True)
class Missing:
    """What a cause still needs before it can be more than a question: what, how many there are, how many it takes."""

    what: Need
    have: int
    need: int


@dataclass(frozen=True, slots=True)
class Finding:
    """A cause judged.

    Attributes
    ----------
    weight : putts of a hundred that taking it away brings; negative where that costs
    call : the word and the side it is about
    size : of the cause itself, in `unit`; None where nothing of it was read
    missing : what it needs to be more than a question
    kind : which sort of it, where it has several: of read and pace, of body lines; of the face's aim, all of it or what
        is left beside picture and mark
    explained_by : a cause named above that this one is seen through
    """

    cause: Cause
    weight: Estimate
    call: Verdict
    size: Estimate | None = None
    unit: Unit = "deg"
    facts: tuple[Fact, ...] = ()
    missing: tuple[Missing, ...] = ()
    kind: str = ""
    explained_by: Cause | None = None
    halves: tuple[Estimate, ...] = ()
    """Of a compensation: what taking away the aim alone, and the stroke alone, brings."""
    adds: Estimate | None = None
    """What it adds to the start, degrees; None of what is told by its cost alone."""
    inside: tuple[float, float] | None = None
    """Putts of a hundred that start inside as it is, and with it taken away; None where it was not counted so."""

    @property
    def is_named(self) -> bool:
        return self.call.names_direction

    @property
    def hinted(self) -> bool:
        """A question that something read speaks for."""
        return self.call.word == "open" and any(it.speaks == "for" for it in self.facts)

    @property
    def importance(self) -> float:
        """By what it is ranked: what it moves, to either side."""
        return max(abs(self.weight.value), *(abs(it.value) for it in self.halves), 0.0)


def called(
    right: float, left: float, small: float, missing: tuple[Missing, ...], *, can_be_clear: bool = True, cost: float
) -> Verdict:
    """The word of a cause; with something missing it stays a question."""
    if missing:
        # However it looks, it was not read well enough to be named, nor to be ruled out.
        strongest = max(right, left)
        by = Grounds(right, left, small, can_be_clear)
        return Verdict("open", "right" if right >= left else "left", min(strongest, LIKELY()), cost, by)
    return weigh(right, left, small, can_be_clear=can_be_clear, cost=cost)


def unread(cause: Cause, missing: tuple[Missing, ...], facts: Sequence[Fact] = ()) -> Finding:
    """A cause of which too little was read to weigh it: a question."""
    return Finding(
        cause, Estimate(0.0, 0.0, 0.0), called(0.0, 0.0, 0.0, missing, cost=0.0), None, "deg", tuple(facts), missing
    )


def needs(*wanted: tuple[Need, int, int]) -> tuple[Missing, ...]:
    """Those of (what, have, need) of which there are too few."""
    return tuple(Missing(what, have, need) for what, have, need in wanted if have < need)
