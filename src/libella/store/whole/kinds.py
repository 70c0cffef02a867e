"""Everything that is kept, as tables: which of them are in an archive, and what stands in each.

It follows from the tables themselves: a new one is in every archive from its first day, or is named here with the
reason why not.
"""

import ast
import inspect
import types
from collections.abc import Mapping
from dataclasses import dataclass
from functools import cache
from typing import Annotated, Any, Final, Union, get_args, get_origin, get_type_hints

from sqlalchemy import Table
from sqlalchemy.orm import Mapper

from ..tables import Stored

LEFT_OUT: Final[Mapping[str, str]] = {
    "golfer_revision": "a mark of what changed, raised anew where it is read in",
    "lesson_revision": "the same of a lesson",
    "kept_answer": "an answer that is worked out anew from the rows",
    "file_work": "how far the work on a file of putts is",
    "archive_work": "how far the work on an archive is",
    "archive_part": "pieces of archives on their way",
    "account": "who may come in here; at another place people are invited anew",
    "sign_in": "a browser that is signed in here",
    "one_time_link": "a way in that is good once, here",
    "recovery_code": "a way in that is good once, here",
    "passkey": "a way in here, and by this name alone",
    "passkey_question": "what devices are asked to sign here",
    "sign_in_try": "wrong passphrases, of nobody who is coached here",
    "deed": "who did what here, by accounts that are in no archive",
    "screen": "a screen that is let in here; at another place it is let in anew",
    "removal": "who was deleted here: nothing but the id is left",
    "retention_run": "what the rule for deleting came to here",
    "pairing_try": "codes that strange devices tried, of nobody who is coached here",
}
"""Tables that are in no archive, each with the reason."""
SECRETS: Final[frozenset[tuple[str, str]]] = frozenset([("sensor", "code"), ("sensor", "token_hash")])
"""What lets a device in at this installation; at another it is paired anew."""
FILES: Final[Mapping[tuple[str, str], tuple[str, str]]] = {
    ("set_up_photo", "picture"): ("photographs", "jpg"),
    ("file_import", "content"): ("given", "gz"),
}
"""Columns that are files of their own: the folder they lie in, and how their names end."""
WITH_A_GOLFER: Final = frozenset(["drill"])
"""Of the studio, and needed to read a golfer's rows: plans and runs name drills by their ids."""
IN_COMMON: Final = "studio"


@dataclass(frozen=True, slots=True)
class Column:
    """A column of a table: its name, its Python type, whether it may be empty, what it says."""

    name: str
    kind: Any
    optional: bool
    defaults: bool
    says: str


@dataclass(frozen=True)
class Kind:
    """A table as it stands in an archive, in the order in which tables refer to each other."""

    name: str
    table: Table
    key: tuple[str, ...]
    columns: tuple[Column, ...]
    says: str

    @property
    def names(self) -> tuple[str, ...]:
        return tuple(it.name for it in self.columns)

    @property
    def refers(self) -> tuple[tuple[str, str], ...]:
        """Columns that refer to rows of other tables, and to which."""
        return tuple(
            (it.name, next(iter(it.foreign_keys)).target_fullname.partition(".")[0])
            for it in sorted(self.table.columns, key=lambda one: one.name)
            if it.name != "studio_id" and it.foreign_keys
        )


@cache
def kinds() -> tuple[Kind, ...]:
    """Every table that is in an archive, those that others refer to first."""
    mapped = {str(it.class_.__tablename__): it for it in Stored.registry.mappers if hasattr(it.class_, "__tablename__")}
    tables = [it for it in Stored.metadata.sorted_tables if it.name not in LEFT_OUT]
    return tuple(_kind(it, mapped[it.name]) for it in tables)


def _kind(table: Table, mapper: Mapper[Any]) -> Kind:
    row = mapper.class_
    hints, said = get_type_hints(row, include_extras=True), _docstrings(row)
    own = [it for it in table.columns if it.name != "studio_id" and (table.name, it.name) not in SECRETS]
    columns = tuple(
        Column(
            name=it.name,
            kind=_plain(get_args(hints[mapper.get_property_by_column(it).key])[0]),
            optional=bool(it.nullable),
            defaults=bool(it.nullable or it.server_default is not None),
            says=said.get(mapper.get_property_by_column(it).key, ""),
        )
        for it in own
    )
    key = tuple(it.name for it in table.primary_key if it.name != "studio_id")
    return Kind(table.name, table, key, columns, inspect.getdoc(row) or "")


def _plain(kind: Any) -> Any:
    """The type without None."""
    if get_origin(kind) in (Union, types.UnionType):
        inner = [it for it in get_args(kind) if it is not type(None)]
        return inner[0] if len(inner) == 1 else Union[tuple(inner)]  # noqa: UP007
    return get_args(kind)[0] if get_origin(kind) is Annotated else kind


def _docstrings(row: type) -> dict[str, str]:
    """What stands under each column in the code, its own or a base's."""
    said: dict[str, str] = {}
    for it in row.__mro__:
        if it.__module__.startswith(Stored.__module__.rpartition(".")[0]):
            body = ast.parse(inspect.cleandoc("\n" + inspect.getsource(it))).body[0]
            assert isinstance(body, ast.ClassDef)
            for one, below in zip(body.body, body.body[1:], strict=False):
                match one, below:
                    case ast.AnnAssign(target=ast.Name(name)), ast.Expr(value=ast.Constant(str(words))):
                        said.setdefault(name, " ".join(words.split()))
                    case _:
                        pass
    return said
