"""What is left on another day: ten putts before any other, with nothing to help."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="ten_without_help",
    name="Ten without help",
    purpose="What was learnt is to be there on another day, before anything warms it up.",
    serves=("retention",),
    event="putt",
    layout=Layout(("no_rig",), (), (2.0,)),
    steps=("Before any other putt, with no aid in view.", "Ten putts from the same place, the whole routine each."),
    dose=Dose(10, 3.0, 1),
    scored=Scored("Holed?", "finish", ("holed",)),
    goal=ShareGoal(0.5),
    easier="The same again, so that one day can be set beside another.",
    harder="The same again, so that one day can be set beside another.",
)
