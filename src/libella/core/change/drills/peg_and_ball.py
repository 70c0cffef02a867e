"""The putter between two pegs, wide first, then narrow."""

from ..drill import CountGoal, Dose, Drill, Layout, Narrowing, Scored

DRILL = Drill(
    code="peg_and_ball",
    name="Peg and ball",
    purpose="The head is to come back to where it was set down.",
    serves=("strike", "roll", "path"),
    event="putt",
    layout=Layout(("no_rig",), ("putter_gate",), (2.0,), narrows=Narrowing("putter_gate", "inside_width_m", 0.004)),
    steps=("Two pegs, a finger wider than the putter at each end.", "Putt; say which peg it touched, near or far."),
    dose=Dose(15, 5.0, 3),
    scored=Scored("Clean?", "aid:putter_gate", ("clean",)),
    goal=CountGoal(14, 15),
    easier="The pegs {4 mm|1/8 in} further apart.",
    harder="The pegs {4 mm|1/8 in} nearer together.",
    risk="Pegs near the face lie, they do not stand.",
    stop="Stop when a peg was hit hard.",
    guided=True,
)
