"""The trail foot drawn back to its toe."""

from ..drill import CountGoal, Dose, Drill, Layout, Scored

DRILL = Drill(
    code="lead_foot",
    name="Lead foot",
    purpose="The weight is to stay where it is.",
    serves=("movement",),
    event="putt",
    layout=Layout(("no_rig",), (), (2.0,)),
    steps=("The trail foot back on its toe, the weight on the other.", "Putt.", "Say what moved."),
    dose=Dose(15, 5.0, 3),
    scored=Scored("Still?", "still", ("nothing",)),
    goal=CountGoal(14, 15),
    easier="The trail foot a little nearer.",
    harder="The trail foot further back.",
    risk="A hold at hand.",
    stop="Stop at pain.",
    school="The lead side",
    unfit=("back", "hip", "knee", "balance"),
)
