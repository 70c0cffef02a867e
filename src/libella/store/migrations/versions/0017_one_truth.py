"""One plan of a lesson that every step refers to; proofs given later; set-ups named; tests left.

Revision ID: 0017
Revises: 0016
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0017"
down_revision = "0016"

_ON_A_PLAN = ("aim_set", "sight_test", "eye_take")
_IN_A_SET_UP = ("aim_set", "eye_take")


def upgrade() -> None:
    op.add_column("station", sa.Column("replaces_id", sa.Uuid(), nullable=True))
    op.create_foreign_key(
        "fk_station_studio_id_replaces_id",
        "station",
        "station",
        ["studio_id", "replaces_id"],
        ["studio_id", "id"],
    )
    op.add_column("lesson", sa.Column("plan_id", sa.Uuid(), nullable=True))
    op.add_column("block", sa.Column("judged_again_at", sa.DateTime(timezone=True), nullable=True))
    op.add_column("sight_test", sa.Column("left_at", sa.DateTime(timezone=True), nullable=True))
    for table in _ON_A_PLAN:
        op.add_column(table, sa.Column("station_id", sa.Uuid(), nullable=True))
        op.create_foreign_key(
            f"fk_{table}_studio_id_station_id",
            table,
            "station",
            ["studio_id", "station_id"],
            ["studio_id", "id"],
        )
    op.create_table(
        "first_look",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("raw", JSONB(), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("recorded_at", sa.DateTime(timezone=True), server_default=sa.func.now(), nullable=False),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.Column("station_id", sa.Uuid(), nullable=True),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], name="fk_first_look_studio_id_lesson_id"
        ),
        sa.ForeignKeyConstraint(
            ["studio_id", "station_id"], ["station.studio_id", "station.id"], name="fk_first_look_studio_id_station_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_first_look"),
    )
    op.create_index(
        "ix_first_look_studio_id_lesson_id_taken_at_id", "first_look", ["studio_id", "lesson_id", "taken_at", "id"]
    )
    op.execute("""
        create function touched_first_look() returns trigger language plpgsql as $$
        begin
            if current_setting('libella.quiet', true) = 'on' then
                return null;
            end if;
            insert into golfer_revision (studio_id, golfer_id, revision)
                select it.studio_id, it.golfer_id, nextval('revision')
                from (select distinct l.studio_id, l.golfer_id from changed c
                      join lesson l on l.studio_id = c.studio_id and l.id = c.lesson_id order by 1, 2)
                     it (studio_id, golfer_id)
                on conflict (studio_id, golfer_id) do update set revision = excluded.revision;
            return null;
        end $$
    """)
    for event in ("insert", "update"):
        op.execute(f"""
            create trigger touched_by_{event} after {event} on first_look
            referencing new table as changed for each statement execute function touched_first_look()
        """)
    for table in _IN_A_SET_UP:
        op.add_column(table, sa.Column("set_up", sa.String(), nullable=False, server_default="as usual"))


def downgrade() -> None:
    op.drop_table("first_look")
    op.execute("drop function touched_first_look()")
    for table in _IN_A_SET_UP:
        op.drop_column(table, "set_up")
    for table in _ON_A_PLAN:
        op.drop_column(table, "station_id")
    for table, column in (("sight_test", "left_at"), ("block", "judged_again_at"), ("lesson", "plan_id")):
        op.drop_column(table, column)
    op.drop_column("station", "replaces_id")
