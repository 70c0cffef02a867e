"""Long putts left inside rings."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="leave_rings",
    name="Rings",
    purpose="A long putt is to be left where the next one is sure.",
    serves=("pace", "read_and_pace"),
    event="putt",
    layout=Layout(("no_rig",), ("rings",), (5.0, 7.0, 9.0)),
    steps=("Rings of {60 cm and a metre|2 ft and 3 ft} round the hole.", "One putt from each length, in turns."),
    dose=Dose(9, 5.0, 3),
    scored=Scored("Within {60 cm|2 ft} of the hole, to any side?"),
    goal=ShareGoal(0.5),
    easier="The ring at {80 cm|2½ ft}.",
    harder="The ring at {45 cm|1½ ft}.",
    indoors="A tape mark for the hole.",
)
