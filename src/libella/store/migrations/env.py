"""Alembic's environment: runs on the connection that `store.database.migrate` hands over."""

from alembic import context

from libella.store.tables import Stored

connection = context.config.attributes["connection"]
context.configure(connection=connection, target_metadata=Stored.metadata, compare_type=True)
with context.begin_transaction():
    context.run_migrations()
