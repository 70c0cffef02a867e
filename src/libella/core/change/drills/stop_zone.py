"""Three lengths in shuffled order, to a zone past the hole."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="stop_zone",
    name="Stop zone",
    purpose="The ball is to stop between the hole and twice the pace wanted.",
    serves=("pace", "read_and_pace", "distance"),
    event="putt",
    layout=Layout(("no_rig",), ("rings",), (3.0, 5.0, 7.0)),
    steps=(
        "A tape past the hole: the end of the zone.",
        "One putt from each length, in shuffled order.",
        "Holed counts.",
    ),
    dose=Dose(12, 6.0, 4),
    scored=Scored("In the zone?", "ran_past_m", sizes=(0.0, 0.6)),
    goal=ShareGoal(0.7),
    easier="The zone half as deep again.",
    harder="The zone a third less deep.",
    school="A little past",
    indoors="A tape mark for the hole.",
    outdoors="No mark in the green; the greenkeeper’s rules come first.",
)
