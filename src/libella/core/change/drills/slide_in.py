"""Addressed naturally first; only then an edge is slid in."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="slide_in",
    name="Slide-in",
    purpose="The face is to stand square before anything shows it.",
    serves=("face_aim", "compensation"),
    event="set_down",
    layout=Layout(("ground_string",), ("square_reference",)),
    steps=("Address the ball as always.", "Slide the edge in: square, or a gap at toe or heel?", "Step away. Again."),
    dose=Dose(10, 4.0, 3),
    scored=Scored("Square?"),
    goal=ShareGoal(0.7),
    easier="The edge lies there from the start.",
    harder="The edge away for the last three.",
)
