"""A wide base, the head low until the ball is heard."""

from ..drill import CountGoal, Dose, Drill, Layout, Scored

DRILL = Drill(
    code="wide_and_low",
    name="Wide and low",
    purpose="Nothing is to move but the shoulders.",
    serves=("movement",),
    event="putt",
    layout=Layout(("no_rig",), (), (2.0,)),
    steps=("Feet wide, head low.", "Putt; the head stays until the ball is heard.", "Say what moved."),
    dose=Dose(15, 5.0, 4),
    scored=Scored("Still?", "still", ("nothing",)),
    goal=CountGoal(14, 15),
    easier="Shorter putts.",
    harder="Longer putts.",
    risk="Bent over: straighten up every eight minutes.",
    stop="Stop at pain in the back.",
    school="Wide and low",
    unfit=("back",),
)
