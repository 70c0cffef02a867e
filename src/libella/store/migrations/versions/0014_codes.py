"""What is stored are codes, never English; a green's speed has its unit for a name.

Every spelling of before has one code, so that going back gives the same data again.

Revision ID: 0014
Revises: 0013
"""

from alembic import op

revision = "0014"
down_revision = "0013"

_SPEEDS = ("lesson", "station", "saved_station", "block")
RENAMED = {(table, "green_speed_ft"): "stimp_ft" for table in _SPEEDS}
"""What columns are called now and were called before."""
_COLUMNS = {
    ("lesson", "surface"): {"indoor mat": "indoor_mat"},
    ("block", "path_model"): {"arc then straight": "arc_then_straight"},
    ("comparison", "order"): {"in order": "in_order"},
    ("aim_set", "cue"): {"near spot": "near_spot"},
    ("sight_test", "trace"): {
        "as usual": "as_usual",
        "ball to hole": "ball_to_hole",
        "hole to ball": "hole_to_ball",
    },
    ("station", "rig_kind"): {"bridge": "bridge_gate"},
    ("saved_station", "rig_kind"): {"bridge": "bridge_gate"},
    ("block", "rig_kind"): {"bridge": "bridge_gate"},
}
_WITHIN = {
    ("reading", "notes", "strike"): {
        "heel high": "heel_high",
        "toe high": "toe_high",
        "heel low": "heel_low",
        "toe low": "toe_low",
    },
    ("reading", "notes", "roll"): {"wobble left": "wobble_left", "wobble right": "wobble_right"},
    ("reading", "notes", "path"): {"out to in": "out_to_in", "in to out": "in_to_out"},
    ("reading", "notes", "touch"): {
        "going back": "going_back",
        "at the ball": "at_the_ball",
        "going through": "going_through",
    },
    ("reading", "notes", "still"): {"follow-through": "follow_through"},
    ("reading", "notes", "read"): {"coach's": "coach", "golfer's": "golfer"},
    ("eye_take", "raw", "covers"): {"splits it": "splits", "off it": "off"},
    ("eye_take", "raw", "seen"): {"dark inside": "dark_inside", "dark outside": "dark_outside"},
    ("set_up", "values", "forearm_level"): {"lead higher": "lead_higher", "trail higher": "trail_higher"},
    ("set_up", "values", "sole"): {"heel up": "heel_up", "toe up": "toe_up"},
    ("comparison", "entry", "order"): {"in order": "in_order"},
}
_CARDS = {
    "forearm_level": {"lead higher": "lead_higher", "trail higher": "trail_higher"},
    "sole": {"heel up": "heel_up", "toe up": "toe_up"},
}
_PARTS = (
    "ball box", "chalk line", "cloth tape", "curved rail", "face mirror", "feeler card", "ground mirror", "guide rail",
    "line laser", "narrow rail", "plumb line", "pointing laser", "putter laser", "ruler board", "start reader",
    "tape measure",
)  # fmt: skip
_LASER = {
    "batteries": "batteries fresh",
    "switch": "switch or remote works, and stays in the coach's hand",
    "label": "label can be read",
}
_TIPS = {"tips": "tips guarded, or flat on the ground"}
_CHECKS = {
    "ball": {"clean": "clean, and of one kind"},
    "bridge": {"square": "stands square, and does not rock"},
    "face mirror": {"clean": "clean, and flat on the face"},
    "ground mirror": {"flat": "clean, and lies without rocking"},
    "level": {"turned": "reads the same turned end for end"},
    "line laser": _LASER,
    "narrow rail": {"straight": "straight, and level across"},
    "peg": _TIPS,
    "pointing laser": _LASER,
    "putter laser": {**_LASER, "tight": "switched on, and tight on the putter"},
    "rod": _TIPS,
    "stake": _TIPS,
    "start reader": {"charged": "charged, paired, and its zero proved"},
    "string": {"tight": "tight, and flagged where people walk"},
}
_KIT = {
    "The line is clear: no stones, leaves or old peg holes": "line_clear",
    "Nobody walks through the station": "nobody_walks",
    "Everything switched off and picked up": "picked_up",
    "Holes mended, chalk and tape off, floor clean": "mended",
    **{
        f"{part.capitalize()}: {words}": f"{part.replace(' ', '_')}.{code}"
        for part, checks in _CHECKS.items()
        for code, words in checks.items()
    },
}


def upgrade() -> None:
    op.execute("set local libella.quiet = 'on'")
    for table in _SPEEDS:
        op.alter_column(table, "stimp_ft", new_column_name="green_speed_ft")
    _carry(back=False)


def downgrade() -> None:
    op.execute("set local libella.quiet = 'on'")
    _carry(back=True)
    for table in _SPEEDS:
        op.alter_column(table, "green_speed_ft", new_column_name="stimp_ft")


def _carry(*, back: bool) -> None:
    def pairs(told: dict[str, str]) -> list[tuple[str, str]]:
        return [(new, old) if back else (old, new) for old, new in told.items()]

    for (table, column), told in _COLUMNS.items():
        for old, new in pairs(told):
            _run(f'update {table} set "{column}" = :new where "{column}" = :old', old, new)
    for (table, column, name), told in _WITHIN.items():
        for old, new in pairs(told):
            _run(
                f'update {table} set "{column}" = jsonb_set("{column}", \'{{{name}}}\', to_jsonb(cast(:new as text))) '
                f"where \"{column}\"->>'{name}' = :old",
                old,
                new,
            )
    for name, told in _CARDS.items():
        for old, new in pairs(told):
            _run(
                f"update set_up_card set raw = jsonb_set(raw, '{{values,{name}}}', to_jsonb(cast(:new as text))) "
                f"where raw->'values'->>'{name}' = :old",
                old,
                new,
            )
    for table in ("station", "saved_station", "block"):
        for old, new in pairs({"bridge": "bridge_gate"}):
            _run(
                f"update {table} set aids = (select jsonb_agg(case when it->>'kind' = :old then "
                "jsonb_set(it, '{kind}', to_jsonb(cast(:new as text))) else it end order by n) "
                "from jsonb_array_elements(aids) with ordinality as laid(it, n)) "
                "where aids @> jsonb_build_array(jsonb_build_object('kind', cast(:old as text)))",
                old,
                new,
            )
    for old, new in pairs({it: it.replace(" ", "_") for it in _PARTS}):
        _run("update studio set bag = (bag - cast(:old as text)) || "
             "jsonb_build_object(cast(:new as text), bag->cast(:old as text)) where bag ? cast(:old as text)", old, new)  # fmt: skip
    for old, new in pairs(_KIT):
        _run(
            "update lesson set kit_checked = (select jsonb_agg(case when it = to_jsonb(cast(:old as text)) then "
            "to_jsonb(cast(:new as text)) else it end order by n) "
            "from jsonb_array_elements(kit_checked) with ordinality as ticked(it, n)) "
            "where kit_checked ? cast(:old as text)",
            old,
            new,
        )


def _run(statement: str, old: str, new: str) -> None:
    op.get_bind().exec_driver_sql(
        statement.replace(":old", "%(old)s").replace(":new", "%(new)s"), {"old": old, "new": new}
    )
