"""Five with the guide, five without, the bare ones growing."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="bare_and_guided",
    name="Bare and guided",
    purpose="What the guide gives is to stay when it is gone.",
    serves=("guide", "path"),
    event="putt",
    layout=Layout(("board", "peg_gate"), ("twin_rails",), (2.5,)),
    steps=("Five with the guide, five without, twice.", "Each time a little less with it."),
    dose=Dose(20, 7.0, 3),
    scored=Scored("On the line?", start=1.0),
    goal=ShareGoal(0.7),
    easier="Two with for one without.",
    harder="One with for three without.",
    risk="Leaning on a rail.",
    stop="Stop when the head leans on the rail.",
    guided=True,
)
