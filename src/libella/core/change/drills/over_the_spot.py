"""The ball rolled over a spot a stride ahead: the start, with nothing but a mark on the floor."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="over_the_spot",
    name="Over the spot",
    purpose="Start the ball over a spot on your line.",
    serves=(
        "start", "face_aim", "compensation", "face_at_impact", "spread", "perception", "ball_mark", "guide", "distance",
    ),
    event="putt",
    layout=Layout(("no_rig",), (), (2.5,)),
    steps=(
        "Stand behind the ball. Pick a spot on your line, {30 cm|a foot} ahead.",
        "Set the face to the spot.",
        "Putt over it. Say whether the ball ran over it.",
    ),
    dose=Dose(10, 4.0, 4),
    scored=Scored("Over it?"),
    goal=ShareGoal(0.7),
    easier="A spot {15 cm|6 in} ahead.",
    harder="A spot {60 cm|2 ft} ahead.",
    indoors="A thread in the carpet will do.",
)  # fmt: skip
