"""Every prior, threshold, default and band that is an opinion: its name, its numbers in words, what goes before it.

Values are read from the opinions themselves (`core.opinions`), so that the page can't drift from what is reckoned with.
"""

from dataclasses import dataclass
from typing import Final, Literal

from ...core.measure.units import Units
from ...core.opinions.every import every_opinion
from ...core.opinions.held import Held
from ...core.opinions.numbers import numbers_of
from .number import numbers_said

Step = Literal["set", "stand", "see", "aim", "start", "judge", "change", "keep", "course"]
BESIDES: Final[dict[str, tuple[str, str]]] = {
    "": ("", ""),
    "schools": ("/schools", "A school that is held goes before it."),
    "bands": ("/aids/bag", "The bands by level, in the bag, go with it."),
    "golfer": ("/", "What a golfer usually putts, noted at his page, goes before it."),
    "lesson": ("", "Whatever is said where it is laid or noted goes before it."),
}
"""What goes before it, where anything does: its page, and a sentence."""


@dataclass(frozen=True, slots=True)
class Said:
    """An opinion in words.

    Attributes
    ----------
    opinion : its code in `core.opinions`
    besides : what goes before it, a key of `BESIDES`
    """

    step: Step
    opinion: str
    name: str
    besides: str = ""

    def value_said(self, held: Held, units: Units) -> str:
        """Its value as it counts of whom that is held."""
        it = every_opinion()[self.opinion]
        return numbers_said(numbers_of(held.values.get(self.opinion, it.value), it.unit), units)


OPINIONS: Final[tuple[Said, ...]] = (
    Said("set", "usual_past", "Pace past the hole where nobody said another", "schools"),
    Said("set", "usual_putts", "The usual putts by which everything is weighed", "golfer"),
    Said("set", "proof_doubt", "How well each proof of a line places its zero", "lesson"),
    Said("set", "line_by_eye", "How far a line laid by eye may lie off"),
    Said("set", "link_off", "Chance that a link is off at all, before any reading"),
    Said("set", "string_seen", "A string so far off the ball’s centre is seen to be off"),
    Said("set", "mark_set", "How well a mark is set and taped"),
    Said("set", "edge_seen", "How well one reading against a square edge is known at least"),
    Said("set", "gate_of_balls", "From here on a gate is of balls, no longer of pegs"),
    Said("set", "strip_turns", "Where a strip nobody measured turns dark", "lesson"),
    Said("set", "zone_too_wide", "A zone wider than so much of the window tells no size"),
    Said("stand", "set_up_spread", "Spread from one set-up to the next, and what is called wandering"),
    Said("see", "lever_matters", "Chance that moving a thing does anything to what looks straight, before it is tried"),
    Said("see", "lever_slope_mm", "What a mm of each turns what looks straight, one standard deviation"),
    Said("see", "lever_slope_deg", "What a degree of each turns what looks straight, one standard deviation"),
    Said("see", "lever_bend", "How much that bends with the square of the mm, one standard deviation"),
    Said("see", "lever_reach_mm", "How far the head or ball can be moved and still be played from"),
    Said("see", "lever_reach_deg", "How far the head can be turned and still be played from"),
    Said("see", "lever_ease_mm", "Moved so far, each costs as much comfort as another"),
    Said("see", "lever_ease_deg", "Turned so far, each costs as much comfort as another"),
    Said("see", "head_put_back", "How far a head put back where it was sees otherwise, one standard deviation"),
    Said("see", "truer_noticed", "So much nearer to true is noticed"),
    Said("see", "worth_asking", "A place is worth asking again from this chance that straight is seen truer there"),
    Said("see", "readers_starts", "How far starts scatter that two read"),
    Said("see", "readers_eyes", "How far eyes lie about the line that two read"),
    Said("see", "looks_prior", "Where it looks straight before any answer"),
    Said("see", "eyes_prior", "Where eyes are beside the line before any look"),
    Said("see", "eyes_behind_prior", "Where eyes are behind the ball before any look"),
    Said("see", "body_prior", "Where the line of the eyes lies before any look"),
    Said("see", "putter_line_height", "How high the line on a putter is seen"),
    Said("see", "string_splits", "A string so near to a line on ball or putter splits it"),
    Said("see", "body_turned", "From where a body line counts as turned"),
    Said("see", "body_repeated", "So many set-ups alike repeat"),
    Said("start", "start_prior", "Where starts lie before any was read"),
    Said("start", "strike_prior", "Where a golfer strikes before any was read"),
    Said("start", "roll_past_prior", "Where putts stop before any was read"),
    Said("start", "path_prior", "Where the head’s path lies before any was read"),
    Said("start", "path_as_declared", "A path so near the one declared is as declared, in words"),
    Said("start", "strike_middle", "A strike so near the middle is in the middle, in words"),
    Said("start", "strike_zone", "Where a strike noted heel or toe lies beside its start"),
    Said("start", "sensor_unzeroed", "What may be off in a sensor’s zero nobody checked"),
    Said("start", "arc_radius", "Radius of the head’s path in an arc"),
    Said("start", "clock_lags", "How far lags of a clock part, in seconds"),
    Said("start", "clock_right", "Chance that a clock is right"),
    Said("start", "clock_right_sd", "How right such a clock is"),
    Said("judge", "matters", "From what size something matters, and under what nothing is mended"),
    Said("judge", "clear", "From here on: clear"),
    Said("judge", "likely", "From here on: likely", "schools"),
    Said("judge", "nothing_to_mend", "From here on: nothing to mend"),
    Said("judge", "settles", "More putts are advised where so many continuations settle it"),
    Said("judge", "goal_zone", "The goal zone reaches so many times the pace wanted"),
    Said("judge", "spread_wide", "A spread so many times the level’s is wide", "bands"),
    Said("judge", "links_alike", "Links off by so much more or less are off alike"),
    Said("judge", "miss_reason", "A link is a miss’s reason from this share of its start"),
    Said("judge", "check_worth", "A check must make the right finding likelier by so much"),
    Said("judge", "cause_unnoted", "Chance that a cause nobody looked at comes first"),
    Said("judge", "check_minutes", "How long each check takes"),
    Said("judge", "leans_on_guide", "How many golfers lean on a guide"),
    Said("judge", "takes_back", "So much of the aim taken back is a compensation"),
    Said("judge", "days_differ", "How far days differ in a share, beyond its chance"),
    Said("change", "share_matters", "So much of a share makes a difference"),
    Said("change", "pace_fits", "A table is fitted where a roll lies so near"),
    Said("change", "leave_sure", "From here on the next putt is no longer sure"),
    Said("change", "called_straight", "A start so near the line was straight to who called it"),
    Said("change", "putt_takes", "A putt with what belongs to it"),
    Said("change", "laying_takes", "To lay a station"),
    Said("change", "mixed_putting", "Mixed putting weighs so much of the weightiest finding"),
    Said("keep", "eyes_drifted", "Eyes so far from the kept place have drifted"),
    Said("course", "read_off", "How far a read lies off on every putt"),
    Said("course", "first_putts", "The first putts of a round"),
    Said("course", "roll_spread", "Scatter of the roll past: at the hole, and with the length"),
    Said("course", "roll_differs", "How far a golfer’s roll may differ from that"),
    Said("course", "roll_spread_differs", "How far a golfer’s scatter of it may differ, in logarithms"),
)
"""Every number that is an opinion, in the order of a lesson."""


def held_said(held: Held, units: Units) -> tuple[str, ...]:
    """What is held otherwise than it stands, a sentence each."""
    known = every_opinion()
    return tuple(
        f"Held here: {it.name[:1].lower()}{it.name[1:]}: {it.value_said(held, units)}. "
        f"As it stands: {numbers_said(known[it.opinion].numbers, units)}."
        for it in OPINIONS
        if it.opinion in held.values
    )
