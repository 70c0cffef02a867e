"""The set-up card by the mirror, three times."""

from ..drill import CountGoal, Dose, Drill, Layout, Scored

DRILL = Drill(
    code="mirror_minute",
    name="Mirror minute",
    purpose="The eyes are to be where the set-up card has them, without looking for it.",
    serves=("eyes", "perception", "face_aim"),
    event="look",
    layout=Layout(("ground_string",), ("ground_mirror",)),
    steps=("Stand as always, eyes shut.", "Open them: are they inside the marks of the card?", "Step away. Again."),
    dose=Dose(3, 1.5, 6),
    scored=Scored("Inside the marks?"),
    goal=CountGoal(3, 3),
    easier="The marks a finger wider.",
    harder="After twenty putts.",
    risk="No laser is on while a head is over the mirror; turn the mirror out of the sun.",
    stop="Stop when the sun flashes in it.",
    card=True,
)
