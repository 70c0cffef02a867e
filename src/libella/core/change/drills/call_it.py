"""The start called before it is read."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="call_it",
    name="Call it",
    purpose="Feel and real are to come together.",
    serves=("face_at_impact", "compensation", "start"),
    event="putt",
    layout=Layout(("board", "peg_gate", "ball_gate"), (), (2.5,)),
    steps=("Putt, eyes down.", "Call it: left, straight or right.", "Then read it."),
    dose=Dose(10, 5.0, 3),
    scored=Scored("Called right?", called=True),
    goal=ShareGoal(0.8),
    easier="Only left or right.",
    harder="How far, too.",
)
