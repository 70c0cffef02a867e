"""A gate at the width that three putts in four pass; the next width from all putts."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="predictive_gate",
    name="Predictive gate",
    purpose="The ball is to start on the line, a little finer each time.",
    serves=("start", "face_at_impact", "compensation", "path", "face_aim", "spread"),
    event="putt",
    layout=Layout(("peg_gate", "ball_gate"), (), (2.5,)),
    steps=("The gate as wide as three putts in four pass.", "Putt; say what it touched.", "The next width is said."),
    dose=Dose(10, 4.0, 4),
    scored=Scored("Clean?", start=0.0),
    goal=ShareGoal(0.7),
    easier="The wider width that is named.",
    harder="The narrower width that is named, three times; never narrower than the window.",
    risk="Pegs trip people: flag them.",
    stop="Stop at the window’s width.",
    guided=True,
)
