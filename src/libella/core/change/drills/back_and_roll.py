"""The own table of backstroke and roll."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="back_and_roll",
    name="Back and roll",
    purpose="The backstroke is to tell the roll, on each surface.",
    serves=("pace", "read_and_pace"),
    event="putt",
    layout=Layout(("no_rig",), (), (3.0,), hole=False),
    steps=("A tape beside the ball.", "Back to one mark; roll it; measure how far.", "Three marks, four putts each."),
    dose=Dose(12, 8.0, 3),
    scored=Scored("Within a tenth of the table?"),
    goal=ShareGoal(0.7),
    easier="Two marks.",
    harder="Eyes shut.",
    school="Backstroke by distance",
)
