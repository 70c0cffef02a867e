"""What a coach said of a finding: accepted, rejected, or said otherwise; the tool's own view beside it.

Revision ID: 0022
Revises: 0021
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0022"
down_revision = "0021"


def upgrade() -> None:
    op.create_table(
        "finding_answer",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("cause", sa.String(), nullable=False),
        sa.Column("answer", sa.String(), nullable=False),
        sa.Column("words", sa.String(), nullable=False),
        sa.Column("told", JSONB(), nullable=False),
        sa.Column("answered_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], name="fk_finding_answer_studio_id_lesson_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_finding_answer"),
    )
    op.create_index("ix_finding_answer_studio_id_lesson_id", "finding_answer", ["studio_id", "lesson_id"])
    op.execute("""
        create function touched_finding_answer() returns trigger language plpgsql as $$
        begin
            insert into golfer_revision (studio_id, golfer_id, revision)
                select it.studio_id, it.golfer_id, nextval('revision')
                from (
                    select distinct lesson.studio_id, lesson.golfer_id
                    from changed join lesson on lesson.studio_id = changed.studio_id and lesson.id = changed.lesson_id
                    order by 1, 2
                ) it
                on conflict (studio_id, golfer_id) do update set revision = excluded.revision;
            return null;
        end $$
    """)
    for event in ("insert", "update"):
        op.execute(f"""
            create trigger touched_by_{event} after {event} on finding_answer
            referencing new table as changed for each statement execute function touched_finding_answer()
        """)


def downgrade() -> None:
    op.drop_table("finding_answer")
    op.execute("drop function touched_finding_answer()")
