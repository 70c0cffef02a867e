"""A marked ball over one metre."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="clean_roll",
    name="Clean roll",
    purpose="The ball is to roll without a wobble.",
    serves=("roll", "strike"),
    event="putt",
    layout=Layout(("no_rig",), (), (1.0,)),
    steps=("The mark along the line.", "Putt {one metre|3 ft}; say how it rolled."),
    dose=Dose(10, 3.0, 3),
    scored=Scored("Clean?", "roll", ("clean",)),
    goal=ShareGoal(0.8),
    easier="{Half a metre|A foot and a half}.",
    harder="{Two metres|6 ft}.",
)
