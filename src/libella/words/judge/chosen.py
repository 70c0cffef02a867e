"""What a lesson says, first to last, in words: the headline of every page, what stands behind it, what else is said;
and the same for the golfer's own screen."""

from collections.abc import Sequence
from dataclasses import replace
from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.certainty.verdict import Word
from ...core.golfer.hand import Hand, push_or_pull
from ...core.golfer.wording import Wording
from ...core.judge.claims.level import Level
from ...core.judge.claims.tail import Tail
from ...core.judge.findings.finding import Finding
from ...core.judge.findings.ranked import RULES, Starts
from ...core.judge.findings.said import (
    Cause_,
    Chosen,
    Differs,
    FarOff,
    GroundOff,
    Grows,
    Joined,
    LineFirst,
    Misled,
    MissedSide,
    Nothing,
    Off,
    Open,
    PaceOff,
    PutRight,
    Wide,
)
from ...core.measure.side import Side, side_of
from ...core.measure.units import Units, degrees
from ..shared.brief import MARKS, NOTHING, angle_brief
from ..shared.certainty import WORDS
from ..shared.counts import counted, listed
from ..shared.inside import inside
from ..shared.plain import SURE, plainly, width_said
from .claims import beyond_said, call_said, headed, level_said, levels_said, quantity_name
from .comparison import group_name
from .differences import difference_said, shift_said
from .findings import cause_said, weight_said
from .putts import growth_said, pace_said
from .so_far import so_far_said
from .together import together_said
from .unusable import misled_said

_MORE: Final = 3


def headline_said(some: Sequence[Chosen], hand: Hand, units: Units) -> str:
    """The lesson in one sentence."""
    return chosen_said(some[0], hand, units)


def also_said(some: Sequence[Chosen], hand: Hand, units: Units) -> list[str]:
    """What is said next, the surest first."""
    return [chosen_said(it, hand, units) for it in some[1 : 1 + _MORE]]


def chosen_said(it: Chosen, hand: Hand, units: Units) -> str:
    """One thing a lesson says."""
    match it:
        case LineFirst():
            names = listed([quantity_name(one.quantity.name).lower() for one in it.levels])
            return f"Everything read lies about {it.about:.1f}° {it.side} ({names}): the line may be what is off."
        case Cause_():
            if it.finding.cause == "distance" and it.growth is not None:
                return growth_said(it.growth, hand, units)
            if it.finding.cause == "read_and_pace" and it.finding.kind == "pace" and it.pace is not None:
                return f"{pace_said(it.pace, units)} That is what to work on: {WORDS[it.finding.call.word]}."
            return cause_said(it.finding, hand, units)
        case PutRight():
            return f"{_line_off(it.finding)}, and what was read is put right by it: nothing to mend."
        case Differs():
            said = difference_said(it.difference, hand, units)
            dose = f"; {shift_said(it.dose, hand, units)}" if it.dose is not None else ""
            # A place nobody can putt from is no way to putt, whatever a line looks like there.
            played = "; not playable" if it.group.unplayable else ""
            return f"“{group_name(it.group)}” against “{group_name(it.compared.first)}”: {said}{dose}{played}."
        case Off():
            return _off(it, hand, units)
        case Grows():
            return growth_said(it.growth, hand, units)
        case Joined():
            return together_said(it.together, hand)
        case PaceOff():
            return pace_said(it.pace, units)
        case GroundOff():
            return (
                f"{it.times} of {it.of} missed though they started inside the window, at good pace, on the level: "
                "the line or the ground is not as thought."
            )
        case MissedSide():
            why = f", why can't be told: the start was not read of {it.unread}" if it.unread else ""
            return f"{it.times} of {counted(it.of, 'miss')} went {it.side}{why}."
        case FarOff():
            return _far_off(it.tail, it.level, units)
        case Misled():
            return misled_said(it, units)
        case Wide():
            why = f"starts go with the strike, {_ends(it.toe)}" if it.toe != "neither" else "why can't be told yet"
            return f"The spread is wide, {it.starts.spread.value:.1f}°; {why}."
        case Nothing():
            return f"Nothing to mend: {_nothing(it.starts)}, and a spread as this level has."
        case Open():
            if it.starts is not None and it.starts.level.is_sized:
                return f"Can't tell yet: starts {_where(it.starts)}."
            if it.starts is not None:
                said = level_said(replace(it.starts.level, call=None), hand, units)
                return f"Can't tell yet: starts {inside(said)}"
            return f"Can't tell yet. {so_far_said(it, hand, units)}".rstrip() if it.read else "Nothing to judge yet."


def chosen_brief(some: Sequence[Chosen]) -> str:
    """What a lesson says first, in a narrow run sheet."""
    match some[0]:
        case Cause_() | PutRight() as it:
            return RULES[it.finding.cause].brief
        case LineFirst():
            return "the line?"
        case Differs():
            return "a difference"
        case Off() as it:
            return (
                angle_brief(it.level.bias, it.level.call)
                if it.level.is_sized and it.level.quantity.unit == "deg"
                else "one side"
            )
        case Grows():
            return "by length"
        case Joined():
            return "go together"
        case PaceOff():
            return "pace"
        case GroundOff():
            return "the ground?"
        case MissedSide() as it:
            return f"misses {MARKS[it.side]}"
        case FarOff() as it:
            return f"some far {MARKS[it.tail.side]}"
        case Misled():
            return "the string"
        case Wide():
            return "wide spread"
        case Nothing():
            return "fine"
        case Open() as it:
            return "unsure" if it.read else NOTHING


def _far_off(it: Tail, level: Level, units: Units) -> str:
    """Single starts far off, and whether they are the misses."""
    edge = level.vial.mark_right if it.side == "right" else -level.vial.mark_left
    said = f"{it.times} of {it.of} started far {it.side}, beyond {degrees(edge, 0.01)}"
    if it.are_the_misses:
        return f"{said}; they are the misses to the {it.side}."
    return f"{said}; {it.missed} of them missed {it.side}." if it.missed else f"{said}."


def _ends(toe: Side) -> str:
    """Where the starts go by the end of the face that struck."""
    return f"off the heel {'left' if toe == 'right' else 'right'}, off the toe {toe}"


def _line_off(it: Finding) -> str:
    size = "" if it.size is None else f"{degrees(it.size.value, it.size.doubt)} {side_of(it.size.value)}"
    return f"The line lay {size} of the true one"


def _nothing(it: Starts) -> str:
    if not it.level.is_sized or abs(it.bias.value) < 0.05 or not it.bias.is_one_side:
        return "no bias that costs putts"
    return f"starts {_where(it)}, too small to matter on the usual lengths"


def _where(it: Starts) -> str:
    bias = it.bias
    side = side_of(bias.value, 0.05)
    if side == "neither":
        return f"on the line (± {bias.doubt:.1f}°)"
    return f"{abs(bias.value):.1f}° {side} (± {bias.doubt:.1f}°)"


def _off(it: Off, hand: Hand, units: Units) -> str:
    level = it.level
    name = quantity_name(level.quantity.name)
    under = f", {levels_said(level.levels)}" if level.levels else ""
    comma = "," if under else ""
    if level.beyond is not None:
        said = beyond_said(level, level.beyond, hand, units)
        if level.quantity.name == "strike":
            end = "toe" if level.beyond.side == "right" else "heel"
            sure = level.call if level.call is not None and level.call.names_direction else level.side
            return f"Struck towards the {end}, {level.beyond.times} of {level.count}{under}: {WORDS[sure.word]}."
        if level.quantity.name == "start":
            return f"Starts{under}: {inside(said)}.{_why(it)}"
        return f"{name}{under}: {inside(said)}."
    if level.quantity.name == "start":
        push = ""
        if level.call is not None and level.call.side != "neither" and not level.levels:
            push = f", a {push_or_pull(level.call.side, hand)}"
        return f"Starts{under}{comma} {headed(level, hand, units)}{push}{call_said(level)}.{_why(it)}"
    return f"{name}{under}{comma} {headed(level, hand, units)}{call_said(level)}."


def _why(it: Off) -> str:
    """Where a start that lies off may come from, by no more than was read."""
    if it.level.levels or not it.level.is_sized:
        return ""
    if it.at_address:
        return " The face points there at address already."
    if it.by_stroke:
        return " The face aims true at address: what lies between is the stroke's."
    if it.path_may:
        return " The path lies to that side, too, and may be part of it: read it in degrees."
    if it.read_aim:
        return " What was read of the aim does not say why."
    return " Why can't be told: where the face aims was not read."


def meaning_said(it: Chosen, hand: Hand) -> str:
    """What stands behind the headline: its weight, or what it rests on."""
    match it:
        case Cause_():
            weight = weight_said(it.finding)
            alone = it.findings.starts is None and not it.findings.grows
            if weight and alone and it.finding.cause not in ("guide", "read_and_pace", "distance"):
                return f"{weight} With fewer than five starts read that is what it comes to if the stroke adds nothing."
            return weight
        case LineFirst():
            return "Measure it a second way before anything is made of it: two minutes with a tape or a string."
        case PutRight():
            starts = it.findings.starts
            return "" if starts is None else f"From {counted(starts.putts, 'putt')}: starts {_where(starts)}."
        case Differs():
            if not it.compared.id:
                return "Looked at one after the other, not in turns."
            return "Compared in turns." if it.compared.final else "The comparison goes on."
        case Off():
            call = it.level.call
            if call is None or call.cost is None or not it.level.is_sized:
                return ""
            return f"It costs about {counted(round(call.cost), 'putt')} in a hundred at the usual lengths."
        case Grows() | Joined() | PaceOff() | MissedSide() | GroundOff() | FarOff() | Misled():
            return ""
        case Wide() | Nothing():
            return (
                f"From {counted(it.starts.putts, 'putt')}: {_where(it.starts)}, spread {it.starts.spread.value:.1f}°."
            )
        case Open():
            if it.starts is not None and it.starts.level.is_sized:
                read = f"From {counted(it.starts.putts, 'putt')}, spread {it.starts.spread.value:.1f}°."
                return f"{read} No cause is sure enough to name."
            return "What was read stands below." if it.read else ""


def for_golfer(some: Sequence[Chosen], hand: Hand, wording: Wording, units: Units) -> str:
    """One sentence for the golfer's own screen, as things are put to this golfer: of the same side, size and strength
    either way."""
    return headline_said(some, hand, units) if wording == "dense" else plainly(_plain(some[0], hand, units), units)


_SIZED: Final = frozenset(("rig", "perception", "ball_mark", "face_aim", "face_at_impact", "path"))


def _angle_of(it: Cause_) -> Estimate | None:
    """The angle a cause is told with; None where the dense words tell none either."""
    size = it.finding.size
    told = it.finding.cause in _SIZED or it.finding.kind == "read_off"
    return size if size is not None and it.finding.unit == "deg" and told else None


def _how(size: Estimate | None, word: Word, units: Units) -> str:
    """How far at three metres, where that is an angle, and how often against luck."""
    sure = SURE[word] if word in ("clear", "likely") else ""
    wide = f"about {width_said(size.value, units)}" if size is not None else ""
    told = ", ".join(it for it in (wide, sure) if it)
    return f": {told}" if told else ""


def _plain(it: Chosen, hand: Hand, units: Units) -> str:
    match it:
        case Cause_():
            return f"{_plain_cause(it, units)}{_how(_angle_of(it), it.word, units)}."
        case LineFirst():
            return f"Everything points {it.side}: maybe it is the line we laid. We measure it first."
        case PutRight():
            return "The line we laid was off: that was not you. Nothing to mend."
        case Differs():
            return headline_said([it], hand, units)
        case Off():
            return f"{_plain_off(it, hand, units)}."
        case Grows():
            return f"The longer the putt, the further {it.growth.call.side} it starts{_how(None, it.word, units)}."
        case Joined():
            return together_said(it.together, hand)
        case PaceOff():
            return pace_said(it.pace, units)
        case GroundOff():
            return "You start it well, and at good pace. We look at the ground and at our line."
        case MissedSide():
            return f"Your misses go {it.side}. Why, we can't tell yet."
        case FarOff():
            return f"{it.tail.times} of {counted(it.tail.of, 'putt')} started far {it.tail.side}."
        case Misled():
            return "The string shows you another line than the one we laid. We lean its posts, and look again."
        case Wide():
            if it.toe != "neither":
                by = f"by about {width_said(it.starts.spread.value, units)}"
                return f"Your putts scatter, {by}, with where you hit them: {_ends(it.toe)}."
            return f"Your putts scatter, by about {width_said(it.starts.spread.value, units)}. Why, we can't tell yet."
        case Nothing():
            return "Nothing to mend. Keep it as it is."
        case Open():
            return f"We can't tell yet. {so_far_said(it, hand, units)}".rstrip()


def _plain_off(it: Off, hand: Hand, units: Units) -> str:
    level = it.level
    name = level.quantity.name
    right = level.bias.value > 0 if level.beyond is None else level.beyond.side == "right"
    side = "right" if right else "left"
    sized_by = level.bias if level.is_sized and level.quantity.unit == "deg" else None
    how = _how(sized_by, it.word, units)
    if name == "start":
        why = "" if it.by_stroke or it.path_may else ". Why, we can't tell yet"
        return f"Your putts start to the {side}{how}{why}"
    if name == "strike":
        return f"You hit the ball off the {'toe' if right else 'heel'} of the putter{how}"
    if name in ("face", "address"):
        return f"Your putter points {side} before you start{how}"
    if name == "impact":
        return f"Your putter points {side} when it meets the ball{how}"
    if name == "path_back":
        return f"Going back, your putter goes to the {side}{how}"
    if name == "path":
        return f"Your putter travels to the {side}{how}"
    if name in ("mark", "to_mark"):
        return (
            f"The line on your ball points {side}{how}"
            if name == "mark"
            else f"Your putter points {side} of the line on your ball{how}"
        )
    if name == "looks_straight":
        return f"What looks straight to you points {side}{how}"
    return headline_said([it], hand, units).removesuffix(".")


def _plain_cause(whole: Cause_, units: Units) -> str:
    it = whole.finding
    side = it.call.side
    match it.cause:
        case "rig":
            return f"The line we laid pointed {side}: that was not you"
        case "perception":
            return f"What looks straight to you points {side}, and your putter goes with it"
        case "ball_mark":
            return f"The line on your ball points {side}"
        case "face_aim":
            return f"Your putter points {side} before you start"
        case "compensation":
            return f"Your putter points {side}, and your stroke brings it back"
        case "face_at_impact":
            return f"Your putter turns {side} on its way to the ball"
        case "path":
            return f"Your putter travels to the {side}"
        case "strike":
            end = "toe" if it.size is not None and it.size.value > 0 else "heel"
            return f"You hit the ball off the {end} of the putter, and it starts {side}"
        case "movement":
            return "When something moves, your putts scatter"
        case "guide":
            return "You putt well with the guide, and less well without it"
        case "distance":
            return f"The longer the putt, the further {side} it starts"
        case "read_and_pace":
            if it.kind == "read_off":
                return f"You start it where you read it; the read lies too far {side}"
            if it.kind == "pace" and whole.pace is not None:
                return f"You start it well; {pace_said(whole.pace, units).removesuffix('.')}"
            if it.kind == "ground":
                return "You start it well, and at good pace. We look at the ground and at our line"
            return f"You start it well; it is the {'read' if it.kind == 'read' else 'read or the pace'} that misses"
        case _:
            return RULES[it.cause].name
