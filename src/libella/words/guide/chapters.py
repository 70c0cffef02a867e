"""The guide's chapters in words: one whole lesson, what each screen is for, what can be added."""

from dataclasses import dataclass
from typing import Final, Literal

Screen = Literal[
    "today", "set", "stand", "see", "aim", "start", "judge", "change", "keep",
    "golfer", "schools", "drills", "aids", "files", "logbook", "archive", "wall", "question", "sensors",
    "teaching", "opinions", "people", "away",
]  # fmt: skip


@dataclass(frozen=True, slots=True)
class Section:
    """A piece of a chapter: its heading, what it says, what is done step by step."""

    code: str
    title: str
    says: str
    steps: tuple[str, ...] = ()


LESSON: Final[tuple[Section, ...]] = (
    Section(
        "complaint",
        "What brings the golfer",
        "Start a lesson from Today, then say in a few taps what the golfer came with: where the putts miss, from "
        "which "
        "length on, what it feels like, what is wanted.",
        ("Today: “Start lesson” beside the golfer.", "Change: “What brings the golfer”, and “Keep it”."),
    ),
    Section(
        "lay",
        "Lay the line, and prove it",
        "Lay the putt and what watches it on Set. Nothing is sure on a line that nobody proved: a tape, a string "
        "or a "
        "rolled ball does it in a minute, and the sheet says how far off the line may be.",
        ("Set: length, pace, green speed; then what watches the start.", "“Prove the line”, one way of those offered."),
    ),
    Section(
        "look",
        "Look before the ball rolls",
        "Stand, See and Aim are read before a putt: how the golfer stands, where the eyes are, what looks "
        "straight, where "
        "the face points. Any of them may be left out; what was not looked at is named as that.",
        ("Stand: the sizes that matter today.", "See: “Eyes” or “What looks straight”.", "Aim: seven set-downs."),
    ),
    Section(
        "putt",
        "Ten putts",
        "Each putt is one tap where the ball crossed. The vial above shows where they centre and how sure that "
        "is; the "
        "board below shows each putt. A slip is undone, a putt that does not count is voided with its reason.",
        ("Start: “Start block”.", "A tap for every putt; then what was asked of it."),
    ),
    Section(
        "judge",
        "What it comes to",
        "Judge says one sentence first: the link, the side, the size, how sure. Under it stand what speaks for it "
        "and what "
        "against, what it costs in putts of a hundred, and the one check that would tell most. “Can’t tell yet” "
        "is an answer.",
        ("Judge: read the sentence aloud, show the picture.", "Agree, or say why not: your word is kept beside it."),
    ),
    Section(
        "change",
        "One change",
        "Of what is usually changed for that finding the coach picks one, or says an own. It is tested at once, "
        "or next "
        "time: as usual against changed, in turns.",
        ("Change: pick what is usually changed.", "“Choose this change”.", "“Plan the weeks”: days and minutes."),
    ),
    Section(
        "sheet",
        "The sheet to take home",
        "Complaint, picture, finding, the one change, the drill with its goal, the first week, what comes first "
        "next time, "
        "and what to mind. The words are yours to add to; the numbers are the readings’.",
        ("Keep: a few words of your own.", "“Print”, on A4 or Letter."),
    ),
    Section(
        "later",
        "A month later",
        "Today says what is due: the retest, what is left of the change, the set-up by its card. The logbook sets "
        "any two "
        "days beside each other, and the golfer’s line shows whether it moved and when.",
        ("Today: “Due”.", "Logbook: choose two lessons, “Set beside each other”."),
    ),
)

SCREENS: Final[dict[Screen, Section]] = {
    "today": Section(
        "today",
        "Today",
        "What stands open, what is due, and everybody you coach, each with what the last "
        "lesson found. A tap on a name opens the golfer; the button beside it starts a lesson.",
    ),
    "set": Section(
        "set",
        "Set",
        "The putt and what watches it, drawn to scale. Change a size and see what the hole "
        "allows; prove the line; tick the kit. What is laid here is what can be read of every putt.",
    ),
    "stand": Section(
        "stand",
        "Stand",
        "How the golfer stands, in sizes from the ball and the line. Noted again after "
        "stepping away it shows how far that wanders. A set-up can be kept as a card.",
    ),
    "see": Section(
        "see",
        "See",
        "Where the eyes are over the line, by mirror, plumb, string or strip; and what looks "
        "straight, asked blind: the angle stays hidden until all answers are in.",
    ),
    "aim": Section(
        "aim",
        "Aim",
        "Where the face points at address, set down again and again. Set-downs with an aid in "
        "view and without are told apart.",
    ),
    "start": Section(
        "start",
        "Start",
        "Putts, one tap each. The ruler is at the ball’s scale; keys and a pedal do what "
        "the finger does. A block is planned for ten and may go on.",
    ),
    "judge": Section(
        "judge",
        "Judge",
        "What was read, weighed: one sentence, its picture, what it costs, what to check "
        "next. Each finding opens to what speaks for it and against.",
    ),
    "change": Section(
        "change",
        "Change",
        "What the golfer came with, the answer, one change, its retest, a plan for the "
        "weeks. Two changes at once are asked about first.",
    ),
    "keep": Section("keep", "Keep", "The lesson on one sheet to take home. Words can be added; numbers stay as read."),
    "people": Section(
        "people",
        "People",
        "Who may come in, by role: owner, coach, assistant. A link shown to a camera lets somebody choose a "
        "passphrase; codes on paper help where it is forgotten, and a passkey (face, finger) may stand in its place. "
        "Whoever left, or lost a device, is locked out; who did "
        "what is listed. A golfer who signs in sees the sheets that were released to him, with their plan and card.",
        (
            "“Open it on another device…”: its address as a picture, and how that device is made ready.",
            "“Add a screen…”: a wall that needs nobody signed in; a lesson sends it what to show, under “Lesson”.",
            "“Release it” on Keep: the golfer sees the sheet of that lesson; “Take it back” undoes it.",
            "“Show a link…” beside a name, held before that person’s camera.",
        ),
    ),
    "away": Section(
        "away",
        "Without a network",
        "A device that was opened in the morning goes a day without a network: the lessons and golfers of the day "
        "open, new ones are begun at kept stations, putts, looks and notes are recorded. What is said of them comes "
        "with the network; until then it says how old it is. What waits, and what was refused, is listed.",
        (
            "The word at the top right: “saved”, “no network”, or how many wait.",
            "“Take the day along”, in the morning.",
        ),
    ),
    "golfer": Section(
        "golfer",
        "A golfer",
        "The line over months, with the days on which something changed; lessons, "
        "cards, photographs, what is in hand, the course.",
    ),
    "drills": Section(
        "drills",
        "Drills",
        "Every drill with its station to scale, its dose and a goal that can be "
        "checked. Copy one and change it; it is run, scored and planned like any other.",
    ),
    "aids": Section(
        "aids",
        "Aids",
        "What each instrument tells and what it can’t, its usual mistakes and cautions; the "
        "bag; a string that is true for these eyes.",
    ),
    "files": Section(
        "files",
        "Files of putts",
        "Putts from elsewhere, in any columns, units and signs. The first rows are "
        "read out before anything is taken in; it is taken in whole, and can be undone.",
    ),
    "logbook": Section(
        "logbook",
        "Logbook",
        "Everything of the years: type the beginnings of words, choose kinds, a "
        "golfer, days. Two lessons of one golfer can be set beside each other.",
    ),
    "archive": Section(
        "archive",
        "Everything out and in",
        "One file that holds all of a golfer or of the studio, to keep "
        "or to take elsewhere. Taken in again it adds what is new, and changes nothing that stands here.",
    ),
    "wall": Section(
        "wall", "The wall", "What the golfer sees from a few steps away: one sentence, the vial, the picture."
    ),
    "schools": Section(
        "schools",
        "Schools",
        "Where coaches contradict each other, by step: say what you hold, for everybody or for one golfer. Each side "
        "says what it changes; the mark ◇ beside a sentence tells that a school decided it, and opens the others. What "
        "was read of the golfer, where it is at least likely, stands above every school.",
    ),
    "question": Section(
        "question", "The question", "What is asked of the golfer alone, with nothing that gives the answer away."
    ),
    "opinions": Section(
        "opinions",
        "Opinions",
        "Every number that nobody measured, by step, with the value that counts of everybody, of a level or of a "
        "golfer. A tap holds another: see first what it changes; as it was held before stays in its versions.",
    ),
    "teaching": Section(
        "teaching",
        "Shown and moved",
        "What a coach explains, moved with a finger while the golfer watches: it begins with this golfer’s own "
        "numbers. A finger on the picture moves the lever that is marked; Full screen is for the wall.",
    ),
    "sensors": Section(
        "sensors",
        "Sensors",
        "Devices that tell a stroke: paired by a code, zeroed against the square, "
        "each stroke put to its putt by the clock.",
    ),
}
"""What each screen is for: help opens here."""

ADDING: Final[tuple[Section, ...]] = (
    Section(
        "instrument", "An instrument",
        "One file in core/instruments: a dataclass derived from Aid, or from Rig where it watches the start.",
        ("Say what it measures, tells and can’t, its usual mistakes, its cautions.",
         "Give its dimensions with limits, and the interval that each reading stands for.",
         "Its row in docs/instruments.md. Aids, planner, entry, files and judgement find it."),
    ),
    Section(
        "finding", "A finding",
        "One file in core/judge/findings/rules with its Rule, and its line in ranked.RULES.",
        ("Say from which quantities it is judged, and what it costs in putts of a hundred.",
         "Say what usually helps, and draw it in findings/pictures.",
         "Golfers of known causes in tests/core hold it to naming the true one first."),
    ),
    Section(
        "drill", "A drill",
        "A coach adds one under Drills, as a changed copy; a developer adds one file in core/change/drills.",
        ("Say what it serves, its steps, dose and goal, and whom it does not fit.",
         "Lay its station: kinds of rig and aids, lengths.",
         "Say by what it scores itself, if by anything that is read."),
    ),
    Section(
        "school", "A school",
        "One entry in core/schools, in the file of its step: its words, and what it sets, offers, leaves or lets stay.",
        ("What is read of a golfer speaks for a side by a reader in core/change/school_told.py.",
         "The table-driven tests of schools hold it to have a rival and to change something."),
    ),
    Section(
        "teaching", "A teaching drawing",
        "One entry in core/teach: its levers, and what is drawn and told with them where they stand.",
        ("Its name, levers, sentences and labels in words/teach/drawings.py.",
         "Its line in core/teach/registry.py: page, wire and tests find it."),
    ),
    Section(
        "caution", "A caution",
        "One entry of CAUTIONS in core/keep/caution.py: the rule under which it applies.",
        ("Its sentence in words/keep/caution.py.", "In the test’s table, a case where it applies and one beside it."),
    ),
)  # fmt: skip
