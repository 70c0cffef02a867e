"""Instruments checked by themselves; set-downs compared in turns.

Revision ID: 0018
Revises: 0017
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0018"
down_revision = "0017"


def upgrade() -> None:
    # Where eyes are wanted is a school's opinion: none is picked for a golfer who is new.
    op.alter_column("golfer", "eye_school", server_default="none")
    op.add_column("comparison", sa.Column("of", sa.String(), nullable=False, server_default="start"))
    op.add_column("aim_set", sa.Column("comparison_id", sa.Uuid(), nullable=True))
    op.add_column("aim_set", sa.Column("turn", sa.Integer(), nullable=True))
    op.create_foreign_key(
        "fk_aim_set_studio_id_comparison_id",
        "aim_set",
        "comparison",
        ["studio_id", "comparison_id"],
        ["studio_id", "id"],
    )
    op.create_index("ix_aim_set_studio_id_comparison_id", "aim_set", ["studio_id", "comparison_id"])
    op.create_table(
        "tool_check",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("sizes", JSONB(), nullable=False),
        sa.Column("raw", JSONB(), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("recorded_at", sa.DateTime(timezone=True), server_default=sa.func.now(), nullable=False),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], name="fk_tool_check_studio_id_lesson_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_tool_check"),
    )
    op.create_index(
        "ix_tool_check_studio_id_lesson_id_taken_at_id", "tool_check", ["studio_id", "lesson_id", "taken_at", "id"]
    )
    op.execute("""
        create function touched_tool_check() returns trigger language plpgsql as $$
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
            create trigger touched_by_{event} after {event} on tool_check
            referencing new table as changed for each statement execute function touched_tool_check()
        """)


def downgrade() -> None:
    op.alter_column("golfer", "eye_school", server_default="inside")
    op.execute("update golfer set eye_school = 'own' where eye_school = 'none'")
    op.drop_table("tool_check")
    op.execute("drop function touched_tool_check()")
    for column in ("comparison_id", "turn"):
        op.drop_column("aim_set", column)
    op.drop_column("comparison", "of")
