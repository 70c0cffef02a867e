"""Two rails with air between, never one to lean on."""

from ..drill import CountGoal, Dose, Drill, Layout, Narrowing, Scored

DRILL = Drill(
    code="between_rails",
    name="Between rails",
    purpose="The head is to travel on its own line.",
    serves=("path", "face_at_impact"),
    event="putt",
    layout=Layout(("board", "peg_gate"), ("twin_rails",), (2.0,), narrows=Narrowing("twin_rails", "gap_m", 0.002)),
    steps=("Two rails, air at both sides.", "Putt; say what was touched.", "The start is read as well."),
    dose=Dose(15, 5.0, 3),
    scored=Scored("Untouched?", "aid:twin_rails", ("clean",)),
    goal=CountGoal(14, 15),
    easier="The rails {2 mm|1/16 in} further off at either side.",
    harder="The rails {2 mm|1/16 in} nearer at either side.",
    risk="The face may learn the rails: look at the start as well.",
    stop="Stop when one rail is leant on.",
    guided=True,
)
