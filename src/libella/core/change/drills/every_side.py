"""Places all round the hole, both breaks alike."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="every_side",
    name="Every side",
    purpose="No side of the hole is to be worse than the others.",
    serves=("balance", "transfer", "hold"),
    event="putt",
    layout=Layout(("no_rig",), (), (2.0,), falls_percent=1.5),
    steps=("Eight places round the hole.", "One putt from each, twice."),
    dose=Dose(16, 7.0, 2),
    scored=Scored("Holed?", "finish", ("holed",)),
    goal=ShareGoal(0.5),
    easier="Nearer.",
    harder="Further away.",
    indoors="On the level, round a tape mark.",
    breaks=True,
    sides=True,
)
