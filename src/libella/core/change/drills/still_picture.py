"""A true rod, looked at again and again until it looks straight."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="still_picture",
    name="Still picture",
    purpose="A true line is to look straight, and to go on looking so.",
    serves=("perception",),
    event="look",
    layout=Layout(("ground_string",)),
    steps=(
        "Lay the rod true, and prove it.",
        "Put the eyes where they are marked.",
        "Say how it looks: left, straight or right. Step away. Again.",
    ),
    dose=Dose(10, 3.0, 4),
    scored=Scored("Straight?"),
    goal=ShareGoal(0.8),
    easier="The head supported against a rod.",
    harder="From the other side of the hole.",
    risk="A stiff neck.",
    stop="Stop when the neck is stiff.",
    school="Train the eye",
    unfit=("neck",),
)
