"""What a golfer, or a guardian, agreed to; for how long golfers are kept; who was deleted, and why;
and when a passphrase was last given.

Revision ID: 0041
Revises: 0040
"""

import sqlalchemy as sa
from alembic import op

revision = "0041"
down_revision = "0040"


def _key() -> tuple[sa.Column, ...]:
    return sa.Column("studio_id", sa.Uuid(), nullable=False), sa.Column("id", sa.Uuid(), nullable=False)


def _time(name: str) -> sa.Column:
    return sa.Column(name, sa.DateTime(timezone=True), nullable=False)


def upgrade() -> None:
    op.create_table(
        "consent",
        *_key(),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("asks", sa.String(), nullable=False),
        sa.Column("given", sa.Boolean(), nullable=False),
        sa.Column("by", sa.String(), nullable=False),
        _time("said_at"),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], name="fk_consent_studio_id_golfer_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_consent"),
    )
    op.create_index("ix_consent_studio_id_golfer_id_said_at", "consent", ["studio_id", "golfer_id", "said_at"])
    op.execute("""
        create trigger told_as_deed after insert or update or delete on consent
        for each row when (coalesce(current_setting('libella.account', true), '') <> '')
        execute function told_as_deed()
    """)
    op.create_table(
        "removal",
        *_key(),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("why", sa.String(), nullable=False),
        sa.Column("rows", sa.Integer(), nullable=False),
        _time("at"),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_removal_studio_id"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_removal"),
    )
    op.create_index("ix_removal_studio_id_golfer_id", "removal", ["studio_id", "golfer_id"])
    op.create_table(
        "retention_run",
        *_key(),
        sa.Column("years", sa.Integer(), nullable=False),
        sa.Column("looked_at", sa.Integer(), nullable=False),
        sa.Column("removed", sa.Integer(), nullable=False),
        _time("at"),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_retention_run_studio_id"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_retention_run"),
    )
    op.create_index("ix_retention_run_studio_id_at", "retention_run", ["studio_id", "at"])
    op.add_column(
        "sign_in",
        sa.Column("proved_at", sa.DateTime(timezone=True), server_default=sa.func.now(), nullable=False),
    )
    op.add_column("studio", sa.Column("kept_years", sa.Integer(), nullable=True))
    op.add_column("studio", sa.Column("kept_years_since", sa.DateTime(timezone=True), nullable=True))


def downgrade() -> None:
    op.drop_column("sign_in", "proved_at")
    op.drop_column("studio", "kept_years_since")
    op.drop_column("studio", "kept_years")
    for table in ("retention_run", "removal", "consent"):
        op.drop_table(table)
