"""The finish held and read: stillness for whom a wide or a low stance is nothing."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="still_finish",
    name="Still finish",
    purpose="Keep everything but the putter still.",
    serves=("movement", "spread"),
    event="putt",
    layout=Layout(("no_rig",), (), (2.0,)),
    steps=("Set up the way you putt now.", "Putt, and hold the finish. Count to two.", "Say what moved."),
    dose=Dose(10, 4.0, 4),
    scored=Scored("Still?", "still", ("nothing",)),
    goal=ShareGoal(0.8),
    easier="Half the length.",
    harder="Twice the length.",
)
