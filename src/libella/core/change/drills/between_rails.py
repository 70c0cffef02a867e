"""Two rails with air between, never one to lean on."""

from ..drill import CountGoal, Dose, Drill, Layout, Scored

DRILL = Drill(
    code="between_rails",
    name="Between rails",
    purpose="The head is to travel on its own line.",
    serves=("path", "face_at_impact"),
    event="putt",
    layout=Layout(("board", "peg_gate"), ("twin_rails",), (2.0,)),
    steps=("Two rails, air at both sides.", "Putt; say what was touched.", "The start is read as well."),
    dose=Dose(15, 5.0, 3),
    scored=Scored("Untouched?", "aid:twin_rails", ("clean",)),
    goal=CountGoal(14, 15),
    easier="A finger wider.",
    harder="A finger narrower.",
    risk="The face may learn the rails: look at the start as well.",
    stop="Stop when one rail is leant on.",
    guided=True,
)
