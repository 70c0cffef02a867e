"""Changes noted of a golfer: where the golfer's line may step.

Revision ID: 0021
Revises: 0020
"""

import sqlalchemy as sa
from alembic import op

revision = "0021"
down_revision = "0020"


def upgrade() -> None:
    op.create_table(
        "noted_change",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("words", sa.String(), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], name="fk_noted_change_studio_id_golfer_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_noted_change"),
    )
    op.create_index(
        "ix_noted_change_studio_id_golfer_id_made_at", "noted_change", ["studio_id", "golfer_id", "made_at"]
    )
    op.execute("""
        create function touched_noted_change() returns trigger language plpgsql as $$
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
            create trigger touched_by_{event} after {event} on noted_change
            referencing new table as changed for each statement execute function touched_noted_change()
        """)


def downgrade() -> None:
    op.drop_table("noted_change")
    op.execute("drop function touched_noted_change()")
