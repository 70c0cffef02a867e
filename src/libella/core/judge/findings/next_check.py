"""The next check: the one whose likely answers tell most of which finding comes first, for the fewest minutes
(handbook 6). What was just done is never asked again, nor what can't tell; where nothing more would change what comes
first, there is no check: go on to a drill."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal, get_args

import numpy as np

from ...estimate.kind import Split, allowed
from ...estimate.posterior import Floats
from ...opinions.held import Opinion
from ..claims.level import chances_of, shared_of
from ..claims.unusable import not_used
from ..ledger.entry import FEWEST_STARTS
from ..ledger.lengths import lengths_of
from .case import Case
from .finding import Cause, Finding
from .joint import BETA, DELIVERY, FACE, MARK, PATH, RIG, STRIKE, Row, Solved, added, rows_of
from .misses import misses

CheckName = Literal[
    "second_proof",
    "what_looks_straight",
    "marks",
    "set_downs",
    "sensor",
    "strike",
    "stillness",
    "without_guide",
    "three_lengths",
    "finish",
    "start_read",
    "finer_start",
    "ground",
    "lean_string",
    "more_putts",
    "perception_map",
]
CHECKS: Final[tuple[CheckName, ...]] = get_args(CheckName)
_DRAWN: Final = 60
_LINE: Final = (RIG, -1.0)
_FINE: Final = 2
"""Places to which what a minute gains is known: it is drawn."""
_LEAST: Final = Opinion("check_worth", 0.02, "share")
"""A check that makes the right finding likelier by less is not worth its minutes: an opinion."""


@dataclass(frozen=True, slots=True)
class Way:
    """A check: how long it takes, what of the bag, which causes it tells, what it reads of the links (what it sums, how
    well it reads that, degrees), and what is noted of every putt for it."""

    minutes: int
    parts: tuple[str, ...]
    tells: tuple[Cause, ...]
    reads: tuple[tuple[tuple[tuple[int, float], ...], float], ...] = ()
    notes: tuple[str, ...] = ()


WAYS: Final[Mapping[CheckName, Way]] = {
    "second_proof": Way(2, ("tape_measure",), ("rig",), ((((RIG, 1.0),), 0.1),)),
    "start_read": Way(5, (), ("strike", "path", "face_aim", "compensation")),
    "set_downs": Way(3, ("square",), ("face_aim", "compensation", "perception"), (((*FACE, _LINE), 0.25),)),
    "marks": Way(3, ("pointing_laser",), ("ball_mark", "face_aim"), ((((MARK, 1.0), _LINE), 0.15),)),
    "what_looks_straight": Way(
        4, ("rod",), ("perception", "face_aim", "compensation"), ((((BETA, 1.0), _LINE), 0.35),)
    ),
    "sensor": Way(
        6,
        ("stroke_sensor",),
        ("face_at_impact", "path", "compensation"),
        (((*FACE, (DELIVERY, 1.0), _LINE), 0.3), (((PATH, 1.0),), 0.6)),
    ),
    "strike": Way(4, (), ("strike",), ((((STRIKE, 1.0),), 0.15),), ("strike",)),
    "stillness": Way(4, (), ("movement",), notes=("still",)),
    "without_guide": Way(4, (), ("guide",)),
    "three_lengths": Way(8, ("tape_measure",), ("distance",)),
    "finish": Way(4, (), ("read_and_pace",), notes=("finish",)),
    "finer_start": Way(5, (), ()),
    "ground": Way(3, (), ("read_and_pace",)),
    "lean_string": Way(3, (), ("path",)),
    "more_putts": Way(5, (), ()),
    "perception_map": Way(10, ("rod",), ("perception",)),
}
"""What is worth the same is asked in this
order: where it starts, then from the face back to the eyes."""
MINUTES: Final = Opinion("check_minutes", {str(name): way.minutes for name, way in WAYS.items()}, "min")
"""How long each takes: opinions."""
_UNNOTED: Final = Opinion("cause_unnoted", 0.08, "share")
"""Chance that a cause nobody looked at, of those that are told by notes alone, turns out to be first: an opinion."""
_ALONE: Final[tuple[Cause, ...]] = ("distance", "guide", "movement", "read_and_pace")
"""Causes that reading a link tells nothing of."""


@dataclass(frozen=True, slots=True)
class Check:
    """A check proposed.

    Attributes
    ----------
    gains : how much likelier its answer makes it that the right finding comes first
    lacking : parts it takes that the bag does not hold
    """

    name: CheckName
    minutes: int
    parts: tuple[str, ...]
    lacking: tuple[str, ...]
    gains: float
    first: bool = False

    @property
    def worth(self) -> float:
        """What a minute of it gains."""
        return self.gains / self.minutes


def checks(case: Case, ranked: Sequence[Finding]) -> tuple[Check, ...]:
    """What could be checked next in this lesson, the worthiest first; what can't be done with the bag comes last."""
    pressing = _pressing(case, ranked)
    done = _done(case)
    named = next((it for it in ranked if it.is_named and it.explained_by is None), None)
    settled = named is not None and named.call.word == "clear" and case.proved and case.starts
    reads = _Supposed(case)
    found: list[Check] = []
    for name, way in WAYS.items():
        if name in done and name not in pressing:
            continue
        if named is not None and settled and named.cause in _ALONE and name not in pressing:
            continue
        gains = 0.5 if name in pressing else reads.gained_by(way) if way.reads else _unnoted(name, case, ranked)
        if settled and way.reads == () and name not in pressing:
            gains *= 0.3
        if gains < _LEAST():
            continue
        tools = case.ledger.tools
        lacking = () if tools is None else tuple(it for it in way.parts if it not in tools)
        found.append(Check(name, MINUTES()[name], way.parts, lacking, gains, name in pressing))
    return tuple(sorted(found, key=lambda it: (not it.first, bool(it.lacking), -round(it.worth, _FINE))))


def _pressing(case: Case, ranked: Sequence[Finding]) -> set[CheckName]:
    """What comes before anything else can be told."""
    ledger = case.ledger
    if case.line_first:
        return {"second_proof"}
    if any(_settled_by_proof(case, name) for name in _ON_LINE):
        return {"second_proof"}
    if any(not ledger.count(it.quantity.name) for it in not_used(ledger.batches)):
        # What was read against it says nothing yet, and three minutes make it say something.
        return {"lean_string"}
    level = case.level("start")
    if level is not None and not level.is_sized and (level.is_named or isinstance(level.kind, Split)):
        # The rig can't say how far: more of the same tell nothing more.
        return {"finer_start"}
    if sum(it.reason == "ground" for it in misses(case)) >= 3:
        return {"ground"}
    told = any(ledger.count(name) for name in ("face", "address", "impact", "strike", "holed", "path", "mark"))
    if told and not ledger.count("start"):
        return {"start_read"}
    path = case.level("path")
    if path is not None and path.tells_side:
        return {"sensor"}
    face = case.level("face")
    if face is not None and face.tells_side and case.starts:
        # Beside the starts a size would tell whether the stroke brings it back.
        return {"set_downs"}
    seen = ledger.groups("first_look")
    if seen and not ledger.count("looks_straight"):
        return {"what_looks_straight"}
    return set()


_ON_LINE: Final = ("start", "face", "mark", "looks_straight", "address", "impact")


def _settled_by_proof(case: Case, name: str) -> bool:
    """It is likely already, or would be likely or nothing to mend were its line proved: two minutes settle it."""
    it = case.level(name)
    if it is None or it.proved or not it.enough or it.raw is None:
        return False
    post = it.raw.blurred(shared_of(case.ledger.main(name), name, but=("line",)))
    chances = chances_of(post, it.quantity, it.against, case.weighing, proved=True)
    return it.is_named or (chances is not None and allowed(chances.call(can_be_clear=True), it.kind).word != "open")


def check_for(it: Finding, among: Sequence[Check]) -> Check | None:
    """The check that best tells a cause from its rivals: of those that bear on it the worthiest."""
    bearing = [one for one in among if it.cause in WAYS[one.name].tells]
    return bearing[0] if bearing else None


def _done(case: Case) -> set[CheckName]:
    """What was read well enough already, however it was taken; and what can't tell anything here."""
    it = case.ledger
    beta = case.level("looks_straight")
    starts = it.count("start")
    level = case.level("start")
    told: dict[CheckName, bool] = {
        "second_proof": it.proof is not None or it.line_deg is not None,
        "what_looks_straight": it.count("looks_straight") >= 8,
        "perception_map": beta is None or not beta.bias.is_one_side,
        "marks": it.count("mark") >= 5,
        "set_downs": it.count("face") >= 5,
        "sensor": it.count("impact") >= 7,
        "strike": it.count("strike") >= 10,
        "stillness": it.count("still") >= 10,
        "without_guide": not any(one.guided for one in it.of("start")) or any(not one.guided for one in it.of("start")),
        "three_lengths": len(lengths_of((*it.of("start"), *it.earlier))) > 2,
        "start_read": bool(starts),
        "finer_start": True,
        "ground": True,
        "lean_string": True,
        # A level that is settled, or that a coarse rig can't settle, is not settled by more of the same.
        "more_putts": level is None or level.call is None or level.call.word != "open" or not level.is_sized,
        "finish": it.count("holed") >= 10,
    }
    return {name for name, is_done in told.items() if is_done}


def _unnoted(name: CheckName, case: Case, ranked: Sequence[Finding]) -> float:
    """Of what is told by notes alone: how likely it comes first, by what hints at it."""
    clear = any(it.call.word == "clear" for it in ranked[:1])
    chance = _UNNOTED() * (0.3 if clear else 1.0)
    if name == "stillness":
        wide = any(fact.what == "spread" and fact.speaks == "for" for it in ranked for fact in it.facts)
        return chance * (5.0 if wide else 1.0)
    if name == "without_guide":
        return 3 * chance
    if name == "perception_map":
        return 0.4 if ranked and ranked[0].cause == "perception" and ranked[0].is_named else 0.0
    if name in ("start_read", "more_putts"):
        open_start = case.start is None or not ranked[0].is_named
        return 2 * chance if open_start and case.ledger.count("start") < 30 else 0.0
    return chance if case.ledger.count("start") >= FEWEST_STARTS else 0.0


class _Supposed:
    """Answers of checks supposed, and what they would tell: by the links that could be off, read or not."""

    def __init__(self, case: Case) -> None:
        self._told, self._k = case.told, case.told.k.value
        self._rows = rows_of(case.told)
        self._far, _ = case.matters_deg
        solved = Solved.of(self._told, self._rows, self._k, open_to=True)
        log, mean = solved.given(solved.seen[None, :])
        weight = np.exp(log[:, 0] - log.max())
        rng = np.random.default_rng(29)
        which = rng.choice(weight.size, size=_DRAWN, p=weight / weight.sum())
        root = np.linalg.cholesky(solved.cov[which] + 1e-9 * np.eye(solved.cov.shape[-1]))
        normal = rng.normal(size=(_DRAWN, solved.cov.shape[-1], 1))
        self._states = mean[which, 0] + (root @ normal)[:, :, 0]
        self._rng = rng
        self._now = float(self._right(log, mean)[0])

    def _right(self, log: Floats, mean: Floats) -> Floats:
        """(D,) chance that the link likeliest to come first is the one that does."""
        weight: Floats = np.exp(log - log.max(axis=0))
        weight /= weight.sum(axis=0)
        size: Floats = np.abs(added(mean, self._k))
        # None is off by enough to matter: that is an answer, too.
        first: Floats = np.argmax(size, axis=2).astype(np.float64)
        first[np.max(size, axis=2) < self._far] = -1
        shares: list[Floats] = [np.sum(weight * (first == it), axis=0) for it in range(-1, size.shape[2])]
        return np.max(np.stack(shares), axis=0)

    def gained_by(self, way: Way) -> float:
        """How much likelier the first finding is right once the check was read."""
        rows = [Row(of, 0.0, sd) for of, sd in way.reads]
        solved = Solved.of(self._told, [*self._rows, *rows], self._k, open_to=True)
        places = slice(len(self._rows), len(self._rows) + len(rows))
        told = np.repeat(solved.seen[None, :], _DRAWN, axis=0)
        noise = self._rng.normal(size=(_DRAWN, len(rows))) * np.array([sd for _, sd in way.reads])
        told[:, places] = self._states @ solved.design[places].T + noise
        return max(0.0, float(self._right(*solved.given(told)).mean()) - self._now)
