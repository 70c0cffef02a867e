"""The way of a comparison that did better, putted until it needs no thought."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="better_way",
    name="Your better way",
    purpose="Make the way that did better yours.",
    serves=(
        "spread", "movement", "roll", "strike", "start", "perception", "face_aim", "face_at_impact", "ball_mark",
        "path", "pace",
    ),
    event="putt",
    layout=Layout(("no_rig",), (), (2.0,)),
    steps=(
        "Set up the way that did better in your lesson.",
        "Putt, and stay that way to the end.",
        "Step away after every putt. Say whether you stayed that way.",
    ),
    dose=Dose(10, 4.0, 7),
    scored=Scored("Stayed that way?"),
    goal=ShareGoal(0.8),
    easier="Half the length.",
    harder="Twice the length.",
    kept=True,
)  # fmt: skip
