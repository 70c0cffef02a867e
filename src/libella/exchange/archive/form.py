"""What an archive looks like: its files, the shape of every row, its schema and its data dictionary.

All of it follows from the tables (`store.whole.kinds.kinds`): there is no second list that could fall behind.
"""

import re
from collections.abc import Callable, Mapping
from datetime import datetime
from functools import cache
from typing import Annotated, Any, Final, Literal, get_args, get_origin

from pydantic import AfterValidator, AwareDatetime, BaseModel, ConfigDict, FailFast, Field, TypeAdapter, create_model

from ...lessons.desk.names import is_markup
from ...store.whole.kinds import FILES, LEFT_OUT, Column, Kind, kinds
from .dictionary import says_of

FORMAT: Final = "libella-archive"
VERSION: Final = 1
MANIFEST: Final = "manifest.json"
README: Final = "README.txt"
SCHEMA: Final = "schema.json"
DICTIONARY: Final = "tables/dictionary.csv"
LONGEST: Final = 20_000
MOST_ROWS: Final = 20_000
"""Rows of a table in one file."""
_DEEPEST: Final = 16
_ID: Final = r"[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}"
_TABLES: Final = "|".join(it.name for it in kinds())
KEPT: Final = re.compile(
    rf"{MANIFEST}|{README}|{SCHEMA}|{DICTIONARY}|data/(?:{_TABLES})-\d{{4}}\.json|tables/(?:{_TABLES})\.csv|"
    + "|".join(rf"{folder}/{_ID}\.{ending}" for folder, ending in FILES.values())
    + rf"|sheets/[a-z-]+-{_ID}\.pdf|drawings/[a-z-]+-{_ID}\.svg"
)
"""Names of files that an archive may hold, whole: no other path is looked at."""
_CONTROL: Final = re.compile(r"[\x00-\x08\x0b\x0c\x0e-\x1f\x7f-\x9f\ud800-\udfff]")


Progress = Callable[[int, int], None]
"""Told how much of how much is done; may raise."""


def data_file(kind: Kind, number: int) -> str:
    """The name of a table's rows, from 1."""
    return f"data/{kind.name}-{number:04}.json"


def _said(told: str) -> str:
    if _CONTROL.search(told):
        raise ValueError("control characters can't be kept")
    return told


def _named(told: str) -> str:
    if is_markup(told):
        raise ValueError("markup is no name")
    return told


_Words = Annotated[str, Field(max_length=LONGEST), AfterValidator(_said)]
_Name = Annotated[_Words, AfterValidator(_named)]


def _kept(told: str) -> str:
    if not KEPT.fullmatch(told):
        raise ValueError("no file of an archive is called so")
    return told


class FileTold(BaseModel):
    """A file of the archive, as its manifest tells it."""

    model_config = ConfigDict(extra="forbid")
    name: Annotated[str, Field(max_length=200), AfterValidator(_kept)]
    bytes: int = Field(ge=0)
    sha256: str = Field(pattern=r"^[0-9a-f]{64}$")


class TableTold(BaseModel):
    """A table of the archive: its columns, how many rows, in how many files."""

    model_config = ConfigDict(extra="forbid")
    name: Annotated[_Words, Field(max_length=60)]
    columns: list[Annotated[_Words, Field(max_length=60)]] = Field(max_length=200)
    rows: int = Field(ge=0)
    files: int = Field(ge=0, le=9999)


class Manifest(BaseModel):
    """What an archive says of itself."""

    model_config = ConfigDict(extra="forbid")
    format: Literal["libella-archive"]
    version: int = Field(ge=1)
    program: Annotated[_Words, Field(max_length=40)]
    """The version of the program that made it."""
    scope: Literal["golfer", "studio"]
    of: _Name
    invented: bool
    """True where it holds the invented demo."""
    made_at: AwareDatetime
    tables: list[TableTold] = Field(max_length=200)
    files: list[FileTold] = Field(max_length=100_000)


def _shallow(told: Any, deep: int = 0) -> Any:
    if deep > _DEEPEST:
        raise ValueError("nested too deep")
    if isinstance(told, str) and (len(told) > LONGEST or _CONTROL.search(told)):
        raise ValueError("too long, or holds control characters")
    inner = [*told, *told.values()] if isinstance(told, Mapping) else told if isinstance(told, list) else ()
    for it in inner:
        _shallow(it, deep + 1)
    return told


def _in_time(at: datetime) -> datetime:
    if not 1900 < at.year < 2200:
        raise ValueError("out of time")
    return at


_Time = Annotated[AwareDatetime, AfterValidator(_in_time)]


@cache
def row_of(kind: Kind) -> type[BaseModel]:
    """The shape of a table's row."""
    fields: dict[str, Any] = {it.name: _field(kind, it) for it in kind.columns}
    shape = {"extra": "forbid", "strict": True, "allow_inf_nan": False, "protected_namespaces": ()}
    return create_model(f"row_of_{kind.name}", __config__=ConfigDict(**shape), __doc__=kind.says, **fields)


def _field(kind: Kind, it: Column) -> tuple[Any, Any]:
    shape = _shape(kind, it)
    words = says_of(kind, it)
    return (shape | None if it.optional else shape), Field(default=None if it.defaults else ..., description=words)


def _shape(kind: Kind, it: Column) -> Any:
    if file := FILES.get((kind.name, it.name)):
        return Annotated[str, Field(pattern=rf"^{file[0]}/{_ID}\.{file[1]}$")]
    if it.kind is str:
        return _Name if it.name == "name" else _Words
    if it.kind is datetime:
        return _Time
    if get_origin(it.kind) in (dict, list):
        inner = tuple(Any if one is Any else _Words for one in get_args(it.kind))
        whole = dict[str, Any] if get_origin(it.kind) is dict else list[inner[0]]  # type: ignore[valid-type]
        return Annotated[whole, AfterValidator(_shallow)]
    return it.kind


@cache
def rows_of(kind: Kind) -> TypeAdapter[list[BaseModel]]:
    """Rows of a table, as they are read; the first that does not fit ends it."""
    return TypeAdapter(Annotated[list[row_of(kind)], FailFast(), Field(max_length=MOST_ROWS)])  # type: ignore[misc]


@cache
def schema() -> dict[str, Any]:
    """The JSON Schema of an archive: of its manifest, and of the rows of each table under the table's name."""
    tables = {it.name: _listed(row_of(it).model_json_schema()) for it in kinds()}
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "title": f"{FORMAT}, version {VERSION}",
        "description": "manifest.json is `manifest`; a file data/<table>-<number>.json is that table in `$defs`.",
        "$defs": {"manifest": Manifest.model_json_schema(ref_template="#/$defs/manifest/$defs/{model}"), **tables},
        "$ref": "#/$defs/manifest",
    }


def _listed(row: dict[str, Any]) -> dict[str, Any]:
    return {"type": "array", "items": row}


def dictionary() -> list[tuple[str, str, str, str, str]]:
    """The data dictionary: table, column, unit, whether it may be empty, what it says."""
    rows = [
        (kind.name, it.name, unit_of(it), "yes" if it.optional else "", says_of(kind, it))
        for kind in kinds()
        for it in kind.columns
    ]
    return rows + [(name, "", "", "", f"not in the archive: {why}") for name, why in LEFT_OUT.items()]


_UNITS: Final = {
    "m": "m",
    "mm": "mm",
    "deg": "deg",
    "percent": "%",
    "ft": "ft",
    "at": "ISO 8601, UTC",
    "until": "ISO 8601, UTC",
}


def unit_of(it: Column) -> str:
    """The unit a column's name ends in; empty for none."""
    return _UNITS.get(it.name.rpartition("_")[2], "")
