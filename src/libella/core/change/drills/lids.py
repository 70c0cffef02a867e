"""Set down with the lids shut, then open them and judge."""

from ..drill import Dose, Drill, Layout, LevelGoal, Scored

DRILL = Drill(
    code="lids",
    name="Lids",
    purpose="The face is to be set square by feel, and the eye is to agree.",
    serves=("face_aim",),
    event="set_down",
    layout=Layout(("ground_string",), ("square_reference",)),
    steps=(
        "Set the putter down with the lids shut.",
        "Open them: left, square or right?",
        "Read it. Step away. Again.",
    ),
    dose=Dose(10, 4.0, 3),
    scored=Scored("Square?"),
    goal=LevelGoal(0.5),
    easier="With the edge in view.",
    harder="A step away between two.",
)
