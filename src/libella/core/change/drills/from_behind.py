"""The mark on the ball laid from behind it, and read."""

from ..drill import Dose, Drill, Layout, LevelGoal, Scored

DRILL = Drill(
    code="from_behind",
    name="From behind",
    purpose="The mark on the ball is to lie on the line.",
    serves=("ball_mark",),
    event="set_down",
    layout=Layout(("ground_string",)),
    steps=(
        "Lay the mark from behind the ball.",
        "Read it against the line, by laser or string.",
        "Take the ball up. Again.",
    ),
    dose=Dose(10, 5.0, 3),
    scored=Scored("On the line?"),
    goal=LevelGoal(0.5),
    easier="From nearer behind.",
    harder="On a slope.",
    unfit=("back", "knee"),
)
