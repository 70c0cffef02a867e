"""Long work as jobs: their queue, and how far the work on a file is. The queue's own tables come from its library.

Revision ID: 0015
Revises: 0014
"""

import sqlalchemy as sa
from alembic import op
from procrastinate.schema import SchemaManager
from sqlalchemy.dialects.postgresql import JSONB

revision = "0015"
down_revision = "0014"


def upgrade() -> None:
    op.create_table(
        "file_work",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("import_id", sa.Uuid(), nullable=False),
        sa.Column("phase", sa.String(), nullable=False),
        sa.Column("total", sa.Integer(), nullable=False),
        sa.Column("done", sa.Integer(), server_default=sa.text("0"), nullable=False),
        sa.Column("stop_asked", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.Column("found", JSONB(none_as_null=True), nullable=True),
        sa.Column("begun_at", sa.DateTime(timezone=True), server_default=sa.func.now(), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "import_id"],
            ["file_import.studio_id", "file_import.id"],
            name="fk_file_work_studio_id_import_id",
        ),
        sa.PrimaryKeyConstraint("studio_id", "import_id", name="pk_file_work"),
    )
    # As one statement list, without parameters: its functions hold percent signs.
    raw = op.get_bind().connection.driver_connection
    assert raw is not None
    raw.execute(SchemaManager.get_schema())


def downgrade() -> None:
    op.drop_table("file_work")
    op.execute("""
        do $$
        declare it record;
        begin
            for it in select oid::regprocedure as name from pg_proc
                where pronamespace = 'public'::regnamespace and proname like 'procrastinate_%'
            loop execute 'drop function if exists ' || it.name || ' cascade'; end loop;
            for it in select relname as name from pg_class
                where relnamespace = 'public'::regnamespace and relkind = 'r' and relname like 'procrastinate_%'
            loop execute 'drop table if exists ' || it.name || ' cascade'; end loop;
            for it in select typname as name from pg_type
                where typnamespace = 'public'::regnamespace and typtype in ('c', 'e') and typname like 'procrastinate_%'
            loop execute 'drop type if exists ' || it.name || ' cascade'; end loop;
        end $$
    """)
