"""A raised string or a rod beside the path."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="straight_run",
    name="Straight run",
    purpose="The head is to travel by the model that was declared.",
    serves=("path",),
    event="putt",
    layout=Layout(("raised_string", "no_rig"), ("rod_beside",), (2.0,)),
    steps=("The string raised over the line, or a rod beside the path.", "Putt; say which way the head went."),
    dose=Dose(10, 4.0, 3),
    scored=Scored("As declared?", "path", ("neutral",)),
    goal=ShareGoal(0.8),
    easier="Shorter strokes.",
    harder="Without the string, every other putt.",
    risk="Flag the string.",
    guided=True,
)
