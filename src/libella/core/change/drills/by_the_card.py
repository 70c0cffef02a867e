"""The quick check without a putt: the set-up found again by its card."""

from ..drill import CountGoal, Dose, Drill, Layout, Scored

DRILL = Drill(
    code="by_the_card",
    name="By the card",
    purpose="The set-up is to be the one that was kept.",
    serves=("check",),
    event="look",
    layout=Layout(("no_rig",), ("ground_mirror",), ()),
    steps=(
        "Stand as always, then take the card.",
        "The ball’s place: as the card has it?",
        "The eyes over the mirror’s mark: inside it?",
        "The face at its edge: square?",
    ),
    dose=Dose(3, 1.5, 7),
    scored=Scored("As on the card?"),
    goal=CountGoal(3, 3),
    easier="One look at a time.",
    harder="With the card in the bag, then beside it.",
    risk="No laser on while anybody looks into a mirror.",
    card=True,
)
