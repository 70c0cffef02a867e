"""Schools of what is laid: the line, guides, gate and hole, pace, and how the hole takes a ball."""

from typing import Final

from .school import Disagreement, School, Settings, between

LAID: Final[tuple[Disagreement, ...]] = (
    between(
        "line_by",
        "By what is the line laid?",
        "set",
        School(
            code="laser",
            name="A laser",
            words="A laser shows the line to any eye, on breaking putts too; it is fussy and wants a dark room.",
            settings=Settings(line_by=("ground_laser",)),
        ),
        School(
            code="string",
            name="A string",
            words="A string shows the line and the stroke at once, if its lean is right for the eyes.",
            settings=Settings(line_by=("ground_string", "raised_string")),
        ),
        School(
            code="chalk",
            name="A chalk line",
            words="A chalk line lies where the ball rolls, and nothing stands in the way.",
            settings=Settings(line_by=("chalk_line",)),
        ),
        School(
            code="rail",
            name="A narrow rail",
            words="A ball that stays on a narrow rail started on line: no eye is asked.",
            settings=Settings(line_by=("narrow_rail",)),
        ),
    ),
    between(
        "guides",
        "What may lie beside the ball while a stroke is learnt?",
        "set",
        School(
            code="none",
            name="No guide",
            words="Nothing but a printed shape: what leads the hand is leant on.",
            leaves=("between_rails", "bare_and_guided", "peg_and_ball"),
        ),
        School(
            code="one_rail",
            name="One rail",
            words="One rail shows the path at once; mind that it is not leant on.",
            offers=("bare_and_guided",),
        ),
        School(
            code="two_rails",
            name="Two rails with air",
            words="Two rails with air between them: only a stroke that is off is told.",
            offers=("between_rails",),
        ),
        School(
            code="open_gate",
            name="An open gate",
            words="A gate lets every good putt through and says nothing of how.",
            offers=("predictive_gate", "peg_and_ball"),
        ),
    ),
    between(
        "gate",
        "How far ahead of the ball does the gate stand?",
        "set",
        School(
            code="near",
            name="Near the ball",
            words="Close to the ball nothing has drifted yet, and the golfer sees it without looking up.",
            settings=Settings(gate_at_m=0.35),
        ),
        School(
            code="far",
            name="Well ahead",
            words="A stride away the same pegs say more of an angle, and the stroke is left alone.",
            settings=Settings(gate_at_m=1.1),
        ),
    ),
    between(
        "hole",
        "Is a start line trained with a hole, or without?",
        "set",
        School(
            code="with_hole",
            name="With a hole",
            words="A putt without a hole is no putt: the hole belongs to the picture.",
            settings=Settings(hole=True),
        ),
        School(
            code="without_hole",
            name="Without a hole",
            words="Take the hole away, and only the start is left to look at.",
            settings=Settings(hole=False),
        ),
    ),
    between(
        "capture",
        "How does the hole take the ball?",
        "set",
        School(
            code="rim_helps",
            name="The rim helps",
            words="A ball that meets the far rim is taken in: what a rigid ball does at usual speeds.",
            settings=Settings(capture="rim_assisted"),
        ),
        School(
            code="free_fall",
            name="It has to fall",
            words="Only a ball that drops far enough while it crosses the hole is holed: far stricter at speed.",
            settings=Settings(capture="free_fall"),
        ),
    ),
    between(
        "pace",
        "How far past the hole is a putt meant to run?",
        "set",
        School(
            code="die",
            name="Die at the hole",
            words="The last turn falls in: the hole is widest for a slow ball, and what misses is left dead.",
            settings=Settings(past_m=0.1),
            leaves=("to_the_zone", "stop_zone"),
        ),
        School(
            code="past",
            name="A little past",
            words="A little past: it holds its line to the end, and what is short never falls.",
            settings=Settings(past_m=0.35),
            offers=("to_the_zone", "stop_zone"),
        ),
        School(
            code="zones",
            name="A zone to leave it in",
            words="From far off the zone counts, not the hole: leave it where the next one is sure.",
            settings=Settings(past_m=0.3),
            offers=("leave_rings", "to_the_zone"),
        ),
    ),
)
