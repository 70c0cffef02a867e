"""The same look from the other side of the hole, the rod hidden and then shown."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="two_sides",
    name="Two sides",
    purpose="What looks straight is to be the same from both sides of the hole.",
    serves=("perception",),
    event="look",
    layout=Layout(("ground_string",)),
    steps=(
        "Lay the rod true, and cover it.",
        "Aim the putter where the line seems to be; then look under the cover.",
        "The same from the other side of the hole.",
    ),
    dose=Dose(8, 4.0, 3),
    scored=Scored("On it?"),
    goal=ShareGoal(0.7),
    easier="The rod in view.",
    harder="On a slope, both ways.",
    unfit=("neck",),
)
