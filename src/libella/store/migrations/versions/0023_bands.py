"""Bands by level, in versions: none is ever changed, a newer one takes its place.

Revision ID: 0023
Revises: 0022
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0023"
down_revision = "0022"


def upgrade() -> None:
    op.create_table(
        "band_version",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("bands", JSONB(), nullable=False),
        sa.Column("kept_at", sa.DateTime(timezone=True), server_default=sa.func.now(), nullable=False),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_band_version_studio_id"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_band_version"),
        sa.UniqueConstraint("studio_id", "number", name="uq_band_version_studio_id_number"),
    )
    # What is told of every golfer hangs on the bands.
    op.execute("""
        create function touched_band_version() returns trigger language plpgsql as $$
        begin
            insert into golfer_revision (studio_id, golfer_id, revision)
                select golfer.studio_id, golfer.id, nextval('revision')
                from golfer where golfer.studio_id in (select distinct studio_id from changed) order by 1, 2
                on conflict (studio_id, golfer_id) do update set revision = excluded.revision;
            return null;
        end $$
    """)
    op.execute("""
        create trigger touched_by_insert after insert on band_version
        referencing new table as changed for each statement execute function touched_band_version()
    """)


def downgrade() -> None:
    op.drop_table("band_version")
    op.execute("drop function touched_band_version()")
