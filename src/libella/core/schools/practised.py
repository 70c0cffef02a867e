"""Schools of judging, changing and practising: what counts as good, what is shown, how it is practised."""

from typing import Final

from ..green.usual import UsualLength
from .school import Disagreement, School, Settings, between

PRACTISED: Final[tuple[Disagreement, ...]] = (
    between(
        "levels",
        "Is everybody held to one line, or to what is fine at their level?",
        "judge",
        School(
            code="one",
            name="One line for all",
            words="The hole is as wide for everybody: what is off is off, whoever putts.",
            settings=Settings(one_level=True),
        ),
        School(
            code="scaled",
            name="By level",
            words="Who starts out is not asked for what a professional shows.",
        ),
    ),
    between(
        "holed",
        "Does a holed putt prove that it was a good one?",
        "judge",
        School(
            code="proof",
            name="Holed is holed",
            words="The hole is the judge: what falls was good enough.",
            offers=("two_or_four", "ten_without_help"),
        ),
        School(
            code="no_proof",
            name="It proves nothing",
            words="A putt that is holed may have started off line: look at the start, not at the cup.",
            offers=("predictive_gate",),
        ),
    ),
    between(
        "evidence",
        "What does a golfer want to see first?",
        "judge",
        School(
            code="picture",
            name="The picture",
            words="One picture first; the numbers are for the coach.",
            settings=Settings(first="picture"),
        ),
        School(
            code="numbers",
            name="The numbers",
            words="Give me the numbers: how much, how sure, of how many.",
            settings=Settings(first="numbers"),
        ),
        School(
            code="touch",
            name="What is told at once",
            words="A peg that is touched, a light that comes on: now, not afterwards.",
            settings=Settings(first="touch"),
            offers=("between_rails", "predictive_gate", "peg_and_ball"),
        ),
        School(
            code="feel",
            name="How it feels",
            words="What it felt like is what is remembered on the course; it may be wrong, so it is asked and checked.",
            settings=Settings(first="feel"),
            offers=("call_it",),
        ),
    ),
    between(
        "good_enough",
        "In what is good enough told?",
        "judge",
        School(
            code="degrees",
            name="Degrees",
            words="An angle is the same at every length: bias and spread in degrees.",
        ),
        School(
            code="at_the_hole",
            name="Millimetres at the hole",
            words="What counts is how far beside the hole it comes.",
        ),
        School(
            code="clean_gates",
            name="Clean gates",
            words="So many clean ones of so many: everybody can count that.",
            offers=("predictive_gate", "peg_and_ball", "between_rails"),
        ),
    ),
    between(
        "cure",
        "Is it cured by technique, or by equipment?",
        "change",
        School(
            code="technique",
            name="By technique",
            words="A putter mends nothing that a stroke does.",
            leaves=("heavier_grip",),
        ),
        School(
            code="equipment",
            name="By equipment",
            words="A putter that suits mends at once what would take months to learn.",
            offers=("heavier_grip",),
        ),
    ),
    between(
        "check",
        "What is the set-up checked by from day to day?",
        "keep",
        School(
            code="mirror",
            name="A mirror every day",
            words="A minute over the mirror every day, before the first putt.",
            offers=("mirror_minute",),
        ),
        School(
            code="string",
            name="A string",
            words="A string shows the eyes and the stroke as well.",
            offers=("straight_run",),
            leaves=("mirror_minute",),
        ),
    ),
    between(
        "order",
        "Straight putts first, or both breaks from the start?",
        "keep",
        School(
            code="straight",
            name="Straight first",
            words="First a straight one, until it is straight; then the rest.",
            leaves=("both_breaks",),
        ),
        School(
            code="breaks",
            name="Both breaks from the start",
            words="Hardly a putt is straight: both ways from the first day on.",
            offers=("both_breaks", "every_side"),
        ),
    ),
    between(
        "dose",
        "A few putts and move on, or long runs?",
        "keep",
        School(
            code="few",
            name="A few and move on",
            words="Two or four from a place, then another place: as on the course.",
            settings=Settings(days_a_week=3, minutes_a_day=30),
            offers=("two_or_four", "every_side"),
        ),
        School(
            code="long",
            name="Long runs",
            words="Long runs from one place, until it goes by itself.",
            settings=Settings(days_a_week=2, minutes_a_day=45),
            leaves=("two_or_four",),
        ),
        School(
            code="daily",
            name="A few minutes daily",
            words="Ten minutes a day do more than an hour on Saturday.",
            settings=Settings(days_a_week=6, minutes_a_day=10),
        ),
    ),
    between(
        "lengths",
        "Which lengths are practised?",
        "keep",
        School(
            code="short",
            name="Short ones",
            words="The short ones: there putts are made or lost.",
            settings=Settings(
                lengths=tuple(UsualLength(*it) for it in ((0.9, 3.0), (1.2, 3.0), (1.5, 3.0), (2.0, 2.0)))
            ),
        ),
        School(
            code="mixed",
            name="All lengths",
            words="Short and long, as they come in a round.",
            settings=Settings(
                lengths=tuple(UsualLength(*it) for it in ((1.0, 3.0), (2.0, 3.0), (3.0, 2.0), (4.5, 2.0), (6.0, 1.0)))
            ),
            offers=("same_gate_three_lengths", "stop_zone"),
        ),
        School(
            code="long",
            name="Long ones",
            words="Three putts come from far off: pace, from where the hole looks small.",
            settings=Settings(
                lengths=tuple(UsualLength(*it) for it in ((3.0, 2.0), (4.5, 2.0), (6.0, 2.0), (9.0, 1.0)))
            ),
            offers=("leave_rings", "stop_zone"),
        ),
    ),
    between(
        "backstroke",
        "Is the length of the backstroke measured, or felt?",
        "keep",
        School(
            code="measured",
            name="By distance",
            words="So far back for so far a roll: an own table for every green.",
            offers=("back_and_roll",),
        ),
        School(
            code="felt",
            name="By feel",
            words="Look at the hole and let it swing: nobody measures a throw.",
            leaves=("back_and_roll",),
        ),
    ),
)
