"""After a round: what was left, what was holed."""

from ..drill import CountGoal, Dose, Drill, Layout, Scored

DRILL = Drill(
    code="course_card",
    name="Course card",
    purpose="What happens on the course is to stand beside what was trained.",
    serves=("transfer",),
    event="round",
    layout=Layout(("no_rig",), (), ()),
    steps=("After the round: putts, the first putt’s length, side, short or past.",),
    dose=Dose(3, 1.0, 1),
    scored=Scored("Filled in?"),
    goal=CountGoal(1, 3),
)
