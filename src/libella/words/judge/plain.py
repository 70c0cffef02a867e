"""What a lesson comes to, for the golfer: plain for who is starting out or plays at a club, dense for others."""

from typing import Final

from ...core.golfer.hand import Hand
from ...core.golfer.level import Level
from ...core.judge.findings.finding import Finding
from ...core.judge.findings.ranked import Findings
from .findings import headline_said

_PLAIN: Final[tuple[Level, ...]] = ("starting", "club")


def for_golfer(found: Findings, hand: Hand, level: Level) -> str:
    """One sentence for the golfer's own screen."""
    if level not in _PLAIN:
        return headline_said(found, hand)
    if found.named:
        it = found.named[0]
        said = _plain(it)
        return f"{said}." if it.call.word == "clear" else f"Likely: {said[0].lower()}{said[1:]}."
    if found.nothing:
        return "Nothing to mend. Keep it as it is."
    if found.unexplained and found.starts is not None:
        likely = "" if found.starts.call.word == "clear" else ", likely"
        return f"Your putts start to the {found.starts.call.side}{likely}. Why, we can't tell yet."
    return "We can't tell yet."


def _plain(it: Finding) -> str:
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
            return f"You hit the ball off the {end} of the putter"
        case "movement":
            return "When something moves, your putts scatter"
        case "guide":
            return "You putt well with the guide, and less well without it"
        case "distance":
            return f"The longer the putt, the further {side} it starts"
        case "read_and_pace":
            return f"You start it well; it is the {it.kind or 'read or the pace'} that misses"
