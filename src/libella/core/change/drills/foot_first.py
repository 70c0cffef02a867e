"""The slope by the feet, then by the level."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="foot_first",
    name="Foot first",
    purpose="The feet are to tell the slope.",
    serves=("read", "read_and_pace"),
    event="look",
    layout=Layout(("ground_string",), (), falls_percent=2.0),
    steps=("Stand on it; say how much it falls, and where to.", "Level it."),
    dose=Dose(10, 5.0, 2),
    scored=Scored("Within half a percent?"),
    goal=ShareGoal(0.7),
    easier="Only which way.",
    harder="From where the ball lies.",
    indoors="A ramp.",
    unfit=("balance",),
)
