"""The second wall: whatever the code asks for, a desk's transaction reaches the rows of its own studio and no others.

The application owns its tables and works on them as another role, to which PostgreSQL shows a studio at a time. What
keeps the whole (migrations, backups, figures) goes on as the owner. Everything here is made anew with each migration,
so that no table can be forgotten, and no restored backup comes without it.
"""

from typing import Final

from sqlalchemy import Connection, text

from ..logbook import ARMS, Arm

ROLE: Final = "libella_desk"
"""Nobody signs in as it: the application's role takes it on for a transaction."""

_OWN: Final = "nullif(current_setting('libella.studio', true), '')::uuid"
"""The studio that a transaction says it is about; of one that says none, nothing is seen."""
_KEPT: Final = """
    select c.relname, c.relrowsecurity, c.relname = 'studio' from pg_class c
    where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'
        and (c.relname = 'studio' or exists (
            select from pg_attribute a where a.attrelid = c.oid and a.attname = 'studio_id' and not a.attisdropped))
    order by c.relname
"""


class NoRole(RuntimeError):
    """The role is not there, and whoever connects here may not make it."""


def fence(connection: Connection) -> None:
    """Put up the wall where it does not stand; `NoRole` where the server's administrator has to make its role first."""
    _have_role(connection)
    for table, fenced, is_studio in connection.execute(text(_KEPT)).all():
        if not fenced:
            key = "id" if is_studio else "studio_id"
            connection.execute(text(f'create policy own_studio on "{table}" using ({key} = {_OWN})'))
            connection.execute(text(f'alter table "{table}" enable row level security'))
    # An older schema, on the way to this one, may lack what is searched here.
    connection.execute(text("set local check_function_bodies = off"))
    for arm in ARMS:
        if arm.is_searched:
            connection.execute(text(_words_function(arm)))
    for what in (
        "usage on schema public",
        "select, insert, update, delete on all tables in schema public",
        "usage on all sequences in schema public",
        "execute on all functions in schema public",
    ):
        connection.execute(text(f"grant {what} to {ROLE}"))


def _words_function(arm: Arm) -> str:
    """Words are searched behind the wall: PostgreSQL would look through every row of the studio in place of the index,
    for a search might tell of rows that are not shown. So the function itself asks for the studio alone."""
    return f"""
        create or replace function {arm.function}(query text) returns setof uuid
        language sql stable security definer set search_path = public, pg_temp
        as $$ select t.id from {arm.table} t where t.studio_id = {_OWN}
            and to_tsvector('simple', {arm.words}) @@ to_tsquery('simple', query) $$
    """


def _have_role(connection: Connection) -> None:
    there, ours, may = connection.execute(
        text(
            f"select exists (select from pg_roles where rolname = '{ROLE}'),"
            f" exists (select from pg_roles where rolname = '{ROLE}' and pg_has_role(current_user, oid, 'member')),"
            " (select rolcreaterole or rolsuper from pg_roles where rolname = current_user)"
        )
    ).one()
    if ours:
        return
    if not may:
        who = connection.scalar(text("select current_user"))
        make = f"grant {ROLE} to {who};" if there else f"create role {ROLE} nologin; grant {ROLE} to {who};"
        raise NoRole(f"One studio is kept from another by a role of the database. Its administrator makes it: {make}")
    if not there:
        connection.execute(text(f"create role {ROLE} nologin"))
    connection.execute(text(f"grant {ROLE} to current_user"))
