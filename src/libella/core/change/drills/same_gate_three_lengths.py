"""One gate in degrees at three lengths, in turns."""

from ..drill import Dose, Drill, Layout, Scored, ShareGoal

DRILL = Drill(
    code="same_gate_three_lengths",
    name="Same gate, three lengths",
    purpose="The start line is to be as good on long putts as on short ones.",
    serves=("distance",),
    event="putt",
    layout=Layout(("peg_gate", "ball_gate"), (), (1.5, 3.0, 5.0)),
    steps=("The gate stays as wide as it is.", "One putt from each length, in turns."),
    dose=Dose(12, 6.0, 3),
    scored=Scored("Clean?", start=0.0),
    goal=ShareGoal(0.7),
    easier="The longest {a metre|3 ft} shorter.",
    harder="The longest {a metre|3 ft} longer.",
    risk="Pegs trip people: flag them.",
    guided=True,
)
