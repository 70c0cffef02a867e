"""Answers kept with the data they were made from; tries of pairing codes.

Every write that changes what is told of a golfer raises that golfer's revision, by triggers, so that no way of writing can
forget it. A long transaction of many statements sets libella.quiet and raises it once, at its end.

Revision ID: 0013
Revises: 0012
"""

import sqlalchemy as sa
from alembic import op

revision = "0013"
down_revision = "0012"

_VIA_LESSON = "join lesson l on l.studio_id = c.studio_id and l.id = c.lesson_id"
_THROUGH = "join {0} t on t.studio_id = c.studio_id and t.id = c.{1} join lesson l on l.studio_id = t.studio_id and l.id = t.lesson_id"
_TOUCHING = {
    "golfer": ("c.studio_id, c.id", ""),
    "lesson": ("c.studio_id, c.golfer_id", ""),
    **dict.fromkeys(
        (
            "station",
            "block",
            "comparison",
            "sight_test",
            "eye_take",
            "set_up",
            "set_up_card",
            "quick_check",
            "aim_set",
            "sensor",
            "stroke",
        ),
        ("l.studio_id, l.golfer_id", _VIA_LESSON),
    ),
    "reading": ("l.studio_id, l.golfer_id", _THROUGH.format("block", "block_id")),
    "sight_trial": ("l.studio_id, l.golfer_id", _THROUGH.format("sight_test", "test_id")),
    "set_down": ("l.studio_id, l.golfer_id", _THROUGH.format("aim_set", "aim_set_id")),
    "sensor_zero": ("l.studio_id, l.golfer_id", _THROUGH.format("sensor", "sensor_id")),
}


def upgrade() -> None:
    op.create_table(
        "golfer_revision",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("revision", sa.BigInteger(), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"],
            ["golfer.studio_id", "golfer.id"],
            name="fk_golfer_revision_studio_id_golfer_id",
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("studio_id", "golfer_id", name="pk_golfer_revision"),
    )
    op.create_table(
        "kept_answer",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("about_id", sa.Uuid(), nullable=False),
        sa.Column("what", sa.String(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("revision", sa.BigInteger(), nullable=False),
        sa.Column("rules", sa.String(), nullable=False),
        sa.Column("answer", sa.String(), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"],
            ["golfer.studio_id", "golfer.id"],
            name="fk_kept_answer_studio_id_golfer_id",
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("studio_id", "about_id", "what", name="pk_kept_answer"),
    )
    op.create_index("ix_kept_answer_studio_id_golfer_id", "kept_answer", ["studio_id", "golfer_id"])
    op.create_table(
        "pairing_try",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("device", sa.String(), nullable=False),
        sa.Column("host", sa.String(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), server_default=sa.func.now(), nullable=False),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_pairing_try_studio_id"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_pairing_try"),
    )
    op.create_index("ix_pairing_try_studio_id_host_at", "pairing_try", ["studio_id", "host", "at"])
    op.execute("create sequence revision")
    for table, (of, join) in _TOUCHING.items():
        op.execute(f"""
            create function touched_{table}() returns trigger language plpgsql as $$
            begin
                if current_setting('libella.quiet', true) = 'on' then
                    return null;
                end if;
                insert into golfer_revision (studio_id, golfer_id, revision)
                    select it.studio_id, it.golfer_id, nextval('revision')
                    from (select distinct {of} from changed c {join} order by 1, 2) it (studio_id, golfer_id)
                    on conflict (studio_id, golfer_id) do update set revision = excluded.revision;
                return null;
            end $$
        """)
        for event, rows in (("insert", "new"), ("update", "new")):
            op.execute(f"""
                create trigger touched_by_{event} after {event} on {table}
                referencing {rows} table as changed for each statement execute function touched_{table}()
            """)


def downgrade() -> None:
    for table in _TOUCHING:
        for event in ("insert", "update"):
            op.execute(f"drop trigger touched_by_{event} on {table}")
        op.execute(f"drop function touched_{table}()")
    op.execute("drop sequence revision")
    for table in ("pairing_try", "kept_answer", "golfer_revision"):
        op.drop_table(table)
