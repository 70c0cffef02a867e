"""The same slope from both sides, the start said first."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="both_breaks",
    name="Both breaks",
    purpose="The read is to be right both ways.",
    serves=("read", "read_and_pace"),
    event="putt",
    layout=Layout(("no_rig",), (), (3.0,), falls_percent=2.0),
    steps=("Say the start.", "Roll a ball both ways, or level it, and see.", "Putt it. Then the other side."),
    dose=Dose(10, 6.0, 3),
    scored=Scored("Read within half a degree?"),
    goal=ShareGoal(0.7),
    easier="Less slope.",
    harder="More slope, and uphill.",
    indoors="A ramp.",
    breaks=True,
    sides=True,
)
