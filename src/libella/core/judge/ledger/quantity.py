"""The quantities: one entry each says its unit, what is believed of it before any reading, what of it matters, and
which factors may move it. Whatever pools, judges, compares or tells over time finds it here."""

from dataclasses import dataclass
from functools import cache
from typing import Final, Literal

from ...estimate import PATH, START, Prior
from ...instruments import instruments, lay
from ...instruments.scale import Scale
from ...opinions.held import Opinion
from ...see.eyes import BEHIND, INSIDE
from ...see.method import ADJUSTED
from ...stand.set_up import ENTRIES
from ...start.notes import NOTES
from ...start.stroke import MEASURES
from ...start.watched import PREFIX, note_of
from .factors import Factor

REACHES: Final[dict[str, float]] = {"mm": 10.0, "m": 0.35, "%": 5.0, "s": 0.1}
"""Where the marks of a vial stand, by its unit, of what is held against no window."""
Event = Literal["putt", "set_down", "answer", "look", "set_up"]
Kind = Literal["level", "share"]
Sides = Literal["line", "eyes", "behind", "path", "strike", "high", "pace", "more", ""]
"""Which words stand for minus and plus: said by `words.judge.claims`."""

_STROKE: Final[frozenset[Factor]] = frozenset(
    ("set_up", "routine", "kit", "trial", "guide", "hole_side", "break", "unsorted", "cue")
)
_FACE: Final[frozenset[Factor]] = frozenset(("set_up", "cue", "routine", "kit", "trial", "guide", "unsorted"))
_MARK: Final[frozenset[Factor]] = frozenset(("cue", "kit", "routine", "trial", "unsorted"))
_EYES: Final[frozenset[Factor]] = frozenset(("set_up", "trial", "hole_side", "unsorted"))
_SEEN: Final[frozenset[Factor]] = frozenset(("set_up", "trial", "hole_side", "unsorted"))


@dataclass(frozen=True, slots=True)
class Quantity:
    """Something that is read.

    Attributes
    ----------
    kind : "level" of a number with its spread, or "share" of a category
    event : what each reading of it is
    believed : of its level and spread before any reading, for numbers: an opinion, or what its bounds allow
    matter : its row in `certainty.MATTERS`; "" where it is told and judged by nobody
    sides : which words stand for minus and plus
    movers : factors that may move it: their levels are told apart
    on_line : it is read against the laid line, and shares what that lies off
    good : of a share, the category that is wanted; "" where none is
    outcome : it is found out; else it is how a putt was gone about, which comparisons don't ask after
    """

    name: str
    kind: Kind
    event: Event
    believed: Opinion[Prior] | Prior | None = None
    matter: str = ""
    sides: Sides = ""
    movers: frozenset[Factor] = _STROKE
    on_line: bool = False
    good: str = ""
    outcome: bool = True

    @property
    def prior(self) -> Prior | None:
        """What is believed of it here."""
        return self.believed() if isinstance(self.believed, Opinion) else self.believed

    @property
    def unit(self) -> str:
        return self.prior.unit if self.prior else ""


STRIKE: Final = Opinion(
    "strike_prior", Prior(bias_mean=0.0, bias_sd=10.0, spread_median=6.0, spread_log_sd=0.6, unit="mm"), ""
)
"""Where on the face a golfer strikes: an opinion."""
ROLL_PAST: Final = Opinion(
    "roll_past_prior", Prior(bias_mean=0.2, bias_sd=0.8, spread_median=0.35, spread_log_sd=0.7, unit="m"), ""
)
"""How far past the hole a putt stops: an opinion."""
_BODY: Final = Opinion(
    "body_prior", Prior(bias_mean=0.0, bias_sd=5.0, spread_median=1.5, spread_log_sd=0.6, unit="deg"), ""
)


def _angle(name: str, event: Event, matter: str, movers: frozenset[Factor], *, on_line: bool = True) -> Quantity:
    return Quantity(name, "level", event, START, matter, "line", movers, on_line)


_KNOWN: Final[tuple[Quantity, ...]] = (
    _angle("start", "putt", "start", _STROKE),
    _angle("face", "set_down", "face_aim", _FACE),
    _angle("mark", "set_down", "ball_mark", _MARK),
    _angle("to_mark", "set_down", "to_mark", _FACE, on_line=False),
    _angle("address", "putt", "face_aim", _STROKE),
    _angle("impact", "putt", "delivery", _STROKE),
    _angle("turned", "putt", "delivery", _STROKE, on_line=False),
    Quantity("path", "level", "putt", PATH, "path", "path", _STROKE, on_line=True),
    Quantity("path_back", "level", "putt", PATH, "", "path", _STROKE),
    Quantity("strike", "level", "putt", STRIKE, "strike", "strike"),
    Quantity("strike_high", "level", "putt", STRIKE, "", "high"),
    Quantity("roll_past", "level", "putt", ROLL_PAST, "roll_past", "pace"),
    Quantity("feels_straight", "level", "putt", START, "looks_straight", "line", _STROKE, on_line=True),
    Quantity("looks_straight", "level", "answer", ADJUSTED, "looks_straight", "line", _SEEN, on_line=True),
    Quantity("eyes_inside", "level", "look", INSIDE, "", "eyes", _EYES),
    Quantity("eyes_behind", "level", "look", BEHIND, "", "behind", _EYES),
    Quantity("eye_line", "level", "look", _BODY, "", "line", _EYES),
    Quantity("first_look", "share", "look", movers=_SEEN, good="straight"),
    Quantity("holed", "share", "putt", good="holed"),
    Quantity("missed_side", "share", "putt"),
    Quantity("stopped", "share", "putt"),
)
_GOOD: Final = {"roll": "clean", "still": "nothing", "touch": "nothing", "off_string": "on"}
NOTES_OF_LINKS: Final = frozenset(
    (
        "strike",
        "path",
        "path_going_back",
        "path_deg",
        "face_impact",
        "face_address_deg",
        "face_impact_deg",
        "finish",
        "ran_past_m",
    )
)
"""Notes that are readings of a quantity of another name."""
_TOLD: Final = frozenset(
    ("face_address_deg", "face_impact_deg", "path_deg", "start_deg", "strike_toe_mm", "strike_up_mm", "u_deg")
)


@cache
def quantity(name: str) -> Quantity:
    """The quantity of that name: one of the links, or what a note, an aid, a sensor or a set-up entry tells.

    Raises
    ------
    KeyError
        where there is none.
    """
    known = {it.name: it for it in _KNOWN}
    if name in known:
        return known[name]
    if name in ENTRIES:
        entry = ENTRIES[name]
        if entry.unit == "words":
            return Quantity(name, "share", "set_up", movers=_EYES)
        spread = {"m": 0.008, "deg": 1.5, "%": 4.0}[entry.unit]
        sides: Sides = "line" if entry.group == "body_lines" else "more"
        middle = 0.0 if sides == "line" else (entry.low + entry.high) / 2
        prior = Prior(middle, 5 * spread, spread, 0.6, entry.unit)
        return Quantity(name, "level", "set_up", prior, "body_line" if sides == "line" else "", sides, _EYES)
    if name in MEASURES and name not in _TOLD:
        bounds = MEASURES[name].bounds
        return Quantity(name, "level", "putt", _wide(bounds.low, bounds.high, bounds.unit), "", "more")
    if name not in NOTES and name.removeprefix(PREFIX) not in instruments():
        raise KeyError(name)
    note = note_of(name)
    if note.bounds is not None:
        return Quantity(
            name, "level", "putt", _wide(note.bounds.low, note.bounds.high, note.bounds.unit), "", _sides_of(name)
        )
    clean = next((it for it in ("clear", "clean") if it in note.options), "")
    good = clean if name.startswith(PREFIX) else _GOOD.get(name, "")
    return Quantity(name, "share", "putt", good=good, outcome=note.outcome)


def _sides_of(name: str) -> Sides:
    note = note_of(name)
    return "more" if not note.low_word else "line" if note.low_word == "left" else ""


def _wide(low: float, high: float, unit: str) -> Prior:
    """Of a size of which nothing is believed but its bounds."""
    reach = high - low
    return Prior((low + high) / 2, reach / 2, reach / 40, 0.9, unit)


def names() -> tuple[str, ...]:
    """Every quantity there is: what a test over the registry asks each consumer for."""
    return _names(tuple(instruments()))


@cache
def _names(kinds: tuple[str, ...]) -> tuple[str, ...]:
    notes = [it for it in NOTES if it not in NOTES_OF_LINKS and it not in ("read",)]
    aids = [PREFIX + kind for kind in kinds if _is_noted(kind)]
    measures = [it for it in MEASURES if it not in _TOLD and it not in notes]
    return (*(it.name for it in _KNOWN), *notes, "read", *aids, *measures, *ENTRIES)


def _is_noted(kind: str) -> bool:
    aid = lay(kind, {})
    return bool(aid.touched) or (aid.about.noted and (isinstance(aid, Scale) or bool(aid.zones())))
