"""Two or four putts a place, everything as on the course."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="two_or_four",
    name="Two or four",
    purpose="What was practised is to hold where it counts.",
    serves=("transfer", "hold"),
    event="putt",
    layout=Layout(("no_rig",), (), (1.5, 2.5, 3.5, 5.0), falls_percent=1.5),
    steps=("Shuffled lengths and sides.", "The whole routine, no aid.", "Two putts a place, or four."),
    dose=Dose(12, 6.0, 4),
    scored=Scored("Holed?", "finish", ("holed",)),
    goal=ShareGoal(0.5),
    easier="Shorter lengths.",
    harder="Longer lengths.",
    indoors="On the level, to a tape mark.",
    breaks=True,
    sides=True,
)
