"""Drills of the coach's own, plans of the weeks after a lesson, and runs of drills. Kept so far there were none.

Revision ID: 0031
Revises: 0030
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0031"
down_revision = "0030"


def _voided() -> sa.Column[bool]:
    return sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False)


def _at(name: str) -> sa.Column[object]:
    return sa.Column(name, sa.DateTime(timezone=True), nullable=False)


_OF_GOLFER = ("practice_plan", "drill_run")


def upgrade() -> None:
    op.create_table(
        "drill",
        sa.Column("studio_id", sa.Uuid(), sa.ForeignKey("studio.id"), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("told", JSONB(), nullable=False),
        sa.Column("copied_from", sa.String(), server_default=sa.text("''"), nullable=False),
        _voided(),
        sa.PrimaryKeyConstraint("studio_id", "id"),
    )
    op.create_table(
        "practice_plan",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("given", JSONB(), nullable=False),
        sa.Column("made", JSONB(), nullable=False),
        _at("starts_at"),
        _at("made_at"),
        _voided(),
        sa.PrimaryKeyConstraint("studio_id", "id"),
        sa.ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        sa.ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
    )
    op.create_index(None, "practice_plan", ["studio_id", "golfer_id", "made_at"])
    op.create_index(None, "practice_plan", ["studio_id", "lesson_id"])
    op.create_table(
        "drill_run",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("drill", sa.String(), nullable=False),
        sa.Column("plan_id", sa.Uuid(), nullable=True),
        sa.Column("number", sa.Integer(), nullable=True),
        sa.Column("bare", sa.Boolean(), nullable=False),
        sa.Column("told", JSONB(), nullable=False),
        _at("done_at"),
        _voided(),
        sa.PrimaryKeyConstraint("studio_id", "id"),
        sa.ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        sa.ForeignKeyConstraint(["studio_id", "plan_id"], ["practice_plan.studio_id", "practice_plan.id"]),
    )
    op.create_index(None, "drill_run", ["studio_id", "golfer_id", "done_at"])
    op.create_index(None, "drill_run", ["studio_id", "plan_id"])
    for table in _OF_GOLFER:
        op.execute(f"""
            create function touched_{table}() returns trigger language plpgsql as $$
            begin
                insert into golfer_revision (studio_id, golfer_id, revision)
                    select it.studio_id, it.golfer_id, nextval('revision')
                    from (select distinct studio_id, golfer_id from changed order by 1, 2) it
                    on conflict (studio_id, golfer_id) do update set revision = excluded.revision;
                return null;
            end $$
        """)
        for event in ("insert", "update"):
            op.execute(f"""
                create trigger touched_by_{event} after {event} on {table}
                referencing new table as changed for each statement execute function touched_{table}()
            """)


def downgrade() -> None:
    for table in ("drill_run", "practice_plan", "drill"):
        op.drop_table(table)
    for table in _OF_GOLFER:
        op.execute(f"drop function touched_{table}()")
