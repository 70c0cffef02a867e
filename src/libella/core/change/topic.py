"""What a lesson works on: a cause, or what a claim is about while its cause is not known yet."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, Literal

from ..judge.findings.finding import Cause
from ..judge.findings.next_check import CheckName
from ..judge.findings.ranked import RULES

Claimed = Literal["start", "spread", "pace", "read", "roll", "eyes", "string", "hold"]
"""Topics that belong to a claim, or to one half of a cause: read and pace are practised differently."""
Topic = Cause | Claimed
"""A name in `TOPICS`."""
Way = Literal["", "left", "right", "short", "past", "heel", "toe", "open", "closed"]
"""To which side a topic is off: what is changed may differ from side to side."""


TOPIC_OF: Final[Mapping[str, Topic]] = {
    "start": "start", "face": "face_aim", "address": "face_aim", "to_mark": "face_aim", "mark": "ball_mark",
    "looks_straight": "perception", "first_look": "perception", "impact": "face_at_impact", "path": "path",
    "touch": "path", "strike": "strike", "still": "movement", "roll": "roll", "stopped": "pace", "roll_past": "pace",
    "eyes_inside": "eyes",
}  # fmt: skip
"""Which topic a quantity belongs to that is off, or that a way did better in."""


@dataclass(frozen=True, slots=True)
class About:
    """A topic: its name, the check that tells more about it, whether a golfer can practise it."""

    name: str
    check: CheckName
    drilled: bool = True


TOPICS: Final[Mapping[Topic, About]] = {
    "rig": About(RULES["rig"].name, "second_proof", drilled=False),
    "perception": About(RULES["perception"].name, "what_looks_straight"),
    "ball_mark": About(RULES["ball_mark"].name, "marks"),
    "face_aim": About(RULES["face_aim"].name, "set_downs"),
    "compensation": About(RULES["compensation"].name, "set_downs"),
    "face_at_impact": About(RULES["face_at_impact"].name, "sensor"),
    "path": About(RULES["path"].name, "sensor"),
    "strike": About(RULES["strike"].name, "strike"),
    "movement": About(RULES["movement"].name, "stillness"),
    "guide": About(RULES["guide"].name, "without_guide"),
    "distance": About(RULES["distance"].name, "three_lengths"),
    "read_and_pace": About(RULES["read_and_pace"].name, "finish"),
    "start": About("Where the ball starts", "set_downs"),
    "spread": About("The spread of the starts", "stillness"),
    "pace": About("Pace", "finish"),
    "read": About("The read", "finish"),
    "roll": About("The roll", "strike"),
    "eyes": About("Where the eyes are", "what_looks_straight"),
    "string": About("The string", "lean_string", drilled=False),
    "hold": About("What is good already", "more_putts"),
}
