"""Passkeys: what a device signs in place of a passphrase, and what it was asked to sign.

Revision ID: 0044
Revises: 0043
"""

import sqlalchemy as sa
from alembic import op

revision = "0044"
down_revision = "0043"


def upgrade() -> None:
    op.create_table(
        "passkey",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("account_id", sa.Uuid(), nullable=False),
        sa.Column("credential", sa.String(), nullable=False),
        sa.Column("public_key", sa.LargeBinary(), nullable=False),
        sa.Column("signed", sa.BigInteger(), nullable=False),
        sa.Column("host", sa.String(), nullable=False),
        sa.Column("device", sa.String(), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("used_at", sa.DateTime(timezone=True), nullable=True),
        sa.ForeignKeyConstraint(
            ["studio_id", "account_id"], ["account.studio_id", "account.id"], name="fk_passkey_studio_id_account_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_passkey"),
        sa.UniqueConstraint("studio_id", "credential", name="uq_passkey_studio_id_credential"),
    )
    op.create_index("ix_passkey_studio_id_account_id", "passkey", ["studio_id", "account_id"])
    # Each use counts something of it: who made one and who took one away is what an owner wants to read.
    op.execute("""
        create trigger told_as_deed after insert or delete on passkey
        for each row when (coalesce(current_setting('libella.account', true), '') <> '')
        execute function told_as_deed()
    """)
    op.create_table(
        "passkey_question",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("challenge", sa.String(), nullable=False),
        sa.Column("account_id", sa.Uuid(), nullable=True),
        sa.Column("until", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "account_id"],
            ["account.studio_id", "account.id"],
            name="fk_passkey_question_studio_id_account_id",
        ),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_passkey_question_studio_id"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_passkey_question"),
        sa.UniqueConstraint("studio_id", "challenge", name="uq_passkey_question_studio_id_challenge"),
    )
    op.create_index("ix_passkey_question_studio_id_account_id", "passkey_question", ["studio_id", "account_id"])


def downgrade() -> None:
    op.drop_table("passkey_question")
    op.drop_table("passkey")
