"""An archive on its way in: looked at before anything of it is believed, and taken in whole or not at all."""

import contextlib
import gzip
import hashlib
import io
import json
import zlib
from collections.abc import Iterator, Mapping
from typing import IO, Any, Final
from zipfile import ZIP_DEFLATED, ZIP_STORED, BadZipFile, LargeZipFile, ZipFile, ZipInfo

from PIL import Image, UnidentifiedImageError
from pydantic import ValidationError

from ...core.measure.limits import OutOfLimits
from ...lessons.keep.archive_work import Damage, Found
from ...store.whole.kinds import FILES, Kind, kinds
from ..columns import MAPPING
from ..photo import MOST_BYTES, MOST_PIXELS
from ..sheet import LARGEST_FILE
from . import form
from .form import Manifest, Progress, TableTold

MOST_FILES: Final = 100_000
MOST_UNPACKED: Final = 8 * 1024**3
LARGEST_FILE_UNPACKED: Final = 256 * 1024**2
LARGEST_ROWS: Final = 32 * 1024**2
"""A file of rows stands in memory whole, and as JSON several times over; every other file passes by in pieces."""
LARGEST_MANIFEST: Final = 24 * 1024**2
_MOST_RATIO: Final = 200
"""Rows as they are kept pack to a tenth or a thirtieth; what packs tighter than this was made to burst."""
_SMALL: Final = 1024**2
_HELD: Final = 8 * _SMALL
"""So much of photographs and given files is put in at once."""
_MAPPED: Final = ("file_import", "column_map")
"""Tables that say how the columns of a file are read."""
_NAMES_TOLD: Final = 5
_BROKEN: Final = (
    BadZipFile,
    LargeZipFile,
    zlib.error,
    EOFError,
    OSError,
    NotImplementedError,
    RuntimeError,
    ValueError,
)


class Archive:
    """An opened archive: its list of files is sound, and its manifest can be read.

    Raises
    ------
    OutOfLimits
        for what is no archive of ours, is newer, damaged beyond reading, or made to do harm.
    """

    def __init__(self, file: IO[bytes]) -> None:
        try:
            self._zip = ZipFile(file)
        except _BROKEN as why:
            raise OutOfLimits("archive", "archive_no_zip") from why
        file.seek(0, io.SEEK_END)
        self._names = _checked(self._zip.infolist(), file.tell())
        self.manifest = self._manifest()
        self._told = {it.name: it for it in self.manifest.files}
        self._tables = {it.name: it for it in self.manifest.tables}

    def _manifest(self) -> Manifest:
        if form.MANIFEST not in self._names or self._names[form.MANIFEST].file_size > LARGEST_MANIFEST:
            raise OutOfLimits("archive", "archive_no_manifest")
        try:
            told = json.loads(self._zip.read(form.MANIFEST))
        except (*_BROKEN, RecursionError) as why:
            raise OutOfLimits("archive", "archive_no_manifest") from why
        if not isinstance(told, dict) or told.get("format") != form.FORMAT:
            raise OutOfLimits("archive", "archive_other")
        version = told.get("version")
        if isinstance(version, int) and version > form.VERSION:
            raise OutOfLimits("archive", "archive_newer", told=version, newest=form.VERSION)
        try:
            return Manifest.model_validate_json(json.dumps(told), strict=True)
        except ValidationError as why:
            raise OutOfLimits("archive", "archive_manifest", where=_where(why)) from why

    def look(self, progress: Progress) -> Found:
        """Read every file once; what is damaged is told file by file, and nothing is kept of it."""
        damages, counts = list[Damage](), dict[str, int]()
        names = [it for it in self._names if it != form.MANIFEST]
        for number, name in enumerate(names):
            progress(number, len(names))
            if name not in self._told:
                damages.append(Damage(name, "archive_file_untold", _is_needed(name)))
        golfers: tuple[str, ...] = ()
        for number, name in enumerate(self._told):
            progress(number, len(self._told))
            if damage := self._damage(name, counts):
                damages.append(damage)
            elif name.startswith("data/golfer-") and len(golfers) < _NAMES_TOLD:
                rows = json.loads(self._zip.read(name))
                golfers = (*golfers, *(one["name"] for one in rows))[:_NAMES_TOLD]
        damages += self._missing(counts)
        bad = next((it for it in damages if it.needed), None)
        it = self.manifest
        return Found(
            of=it.of,
            scope=it.scope,
            invented=it.invented,
            made_at=it.made_at.isoformat(),
            golfers=golfers,
            counts=tuple(counts.items()),
            damages=tuple(damages[:100]),
            refused="archive_damaged" if bad else "",
            facts=(("file", bad.file),) if bad else (),
        )

    def _missing(self, counts: Mapping[str, int]) -> Iterator[Damage]:
        """What the manifest tells of tables and is not there."""
        for it in self.manifest.tables:
            kind = _kind(it.name)
            if kind is None or set(it.columns) - set(kind.names):
                yield Damage(it.name, "archive_table_unknown", needed=True)
                continue
            files = [form.data_file(kind, number) for number in range(1, it.files + 1)]
            yield from (Damage(one, "archive_file_missing", needed=True) for one in files if one not in self._told)
            if not any(one not in self._told for one in files) and counts.get(it.name, 0) != it.rows:
                yield Damage(f"data/{it.name}", "archive_rows_missing", needed=True)

    def _damage(self, name: str, counts: dict[str, int]) -> Damage | None:
        """What is wrong with a file; None where nothing is. Rows are counted."""
        told, needed = self._told[name], _is_needed(name)
        info = self._names.get(name)
        if info is None:
            return Damage(name, "archive_file_missing", needed)
        try:
            size, digest = self._digest(name)
        except _BROKEN:
            return Damage(name, "archive_file_broken", needed)
        if size != told.bytes or digest != told.sha256:
            return Damage(name, "archive_file_changed", needed)
        folder = name.partition("/")[0]
        if folder == "data":
            return self._rows_damage(name, self._zip.read(name), counts)
        if folder == "photographs" and not (size <= MOST_BYTES and _is_photograph(self._zip.read(name))):
            return Damage(name, "archive_no_photograph", needed)
        if folder == "given":
            with self._zip.open(name) as packed:
                if not _is_packed(packed):
                    return Damage(name, "archive_file_broken", needed)
        return None

    def _digest(self, name: str) -> tuple[int, str]:
        """How large a file is and its SHA-256, read in pieces."""
        size, digest = 0, hashlib.sha256()
        with self._zip.open(name) as file:
            while some := file.read(_SMALL):
                size += len(some)
                digest.update(some)
        return size, digest.hexdigest()

    def _rows_damage(self, name: str, content: bytes, counts: dict[str, int]) -> Damage | None:
        kind = _kind(name.removeprefix("data/").rpartition("-")[0])
        if kind is None or kind.name not in self._tables:
            return Damage(name, "archive_table_unknown", needed=True)
        try:
            rows = form.rows_of(kind).validate_json(content)
        except ValidationError as why:
            return Damage(name, "archive_row", needed=True, facts=(("where", _where(why)),))
        except RecursionError:
            return Damage(name, "archive_row", needed=True, facts=(("where", "nested too deep"),))
        if kind.name in _MAPPED and not all(_is_mapping(it.model_dump()["mapping"]) for it in rows):
            return Damage(name, "archive_row", needed=True, facts=(("where", "mapping"),))
        counts[kind.name] = counts.get(kind.name, 0) + len(rows)
        for column in (one for table, one in FILES if table == kind.name):
            for it in rows:
                if getattr(it, column) not in self._told:
                    return Damage(getattr(it, column), "archive_file_missing", needed=True)
        return None

    def tables(self) -> Iterator[tuple[Kind, TableTold]]:
        """The tables it holds, those that others refer to first."""
        return ((it, self._tables[it.name]) for it in kinds() if it.name in self._tables)

    def rows(self, kind: Kind) -> Iterator[tuple[str, int]]:
        """A table's rows, a JSON list at a time, and how many they are; what lies in files of its own is put in."""
        for number in range(1, self._tables[kind.name].files + 1):
            content = self._zip.read(form.data_file(kind, number)).decode()
            rows = json.loads(content)
            if columns := [one for table, one in FILES if table == kind.name]:
                yield from self._with_files(rows, columns)
            else:
                yield content, len(rows)

    def _with_files(self, rows: list[dict[str, Any]], columns: list[str]) -> Iterator[tuple[str, int]]:
        """Rows with the files that belong to them, few at a time: those may be large."""
        some, held = list[dict[str, Any]](), 0
        for row in rows:
            for column in columns:
                content = self._zip.read(row[column])
                row[column] = "\\x" + content.hex()
                held += len(content)
            some.append(row)
            if held >= _HELD:
                yield json.dumps(some), len(some)
                some, held = [], 0
        if some:
            yield json.dumps(some), len(some)


def _checked(infos: list[ZipInfo], size: int) -> dict[str, ZipInfo]:
    """The files of the archive by name; refuses what is made to do harm."""
    if len(infos) > MOST_FILES:
        raise OutOfLimits("archive", "archive_many", most=MOST_FILES)
    names: dict[str, ZipInfo] = {}
    for it in infos:
        if not form.KEPT.fullmatch(it.filename) or it.filename != it.orig_filename:
            raise OutOfLimits("archive", "archive_name", named=ascii(it.orig_filename[:60])[1:-1])
        if it.filename in names:
            raise OutOfLimits("archive", "archive_file_twice", named=it.filename)
        if it.flag_bits & 1:
            raise OutOfLimits("archive", "archive_locked")
        too_tight = it.file_size > _SMALL and it.file_size > _MOST_RATIO * max(it.compress_size, 1)
        if it.compress_type not in (ZIP_STORED, ZIP_DEFLATED) or too_tight:
            raise OutOfLimits("archive", "archive_bomb", named=it.filename)
        most = LARGEST_ROWS if it.filename.startswith("data/") else LARGEST_FILE_UNPACKED
        if it.file_size > most:
            raise OutOfLimits("archive", "archive_file_large", named=it.filename, most_mb=most // _SMALL)
        names[it.filename] = it
    unpacked = sum(it.file_size for it in infos)
    # Files that share their bytes unpack to more than all of them could.
    if unpacked > MOST_UNPACKED or unpacked > max(_MOST_RATIO * size, 64 * _SMALL):
        raise OutOfLimits("archive", "archive_bomb", named="all of it")
    return names


def _kind(name: str) -> Kind | None:
    return next((it for it in kinds() if it.name == name), None)


def _is_needed(name: str) -> bool:
    """Rows, and what they point at; all else is made of them, and can be made again."""
    return name.partition("/")[0] in ("data", *(folder for folder, _ in FILES.values()))


def _is_photograph(content: bytes) -> bool:
    """A JPEG as we keep them: no place, no device, no time in it."""
    try:
        picture = Image.open(io.BytesIO(content), formats=("JPEG",))
        if picture.width * picture.height > MOST_PIXELS or picture.getexif():
            return False
        picture.load()
    except (UnidentifiedImageError, OSError, SyntaxError, ValueError, Image.DecompressionBombError):
        return False
    return True


def _is_packed(packed: IO[bytes]) -> bool:
    """A file of putts, compressed, that unpacks to no more than one may have."""
    with contextlib.suppress(OSError, EOFError, zlib.error), gzip.open(packed) as it:
        left = LARGEST_FILE
        while some := it.read(_SMALL):
            left -= len(some)
            if left < 0:
                return False
        return True
    return False


def _is_mapping(told: dict[str, Any] | None) -> bool:
    with contextlib.suppress(ValueError, TypeError, LookupError, OutOfLimits):
        return told is None or MAPPING.read(told) is not None
    return False


def _where(why: ValidationError) -> str:
    """Which row and column did not fit, and how, without what stood there."""
    first = why.errors(include_input=False, include_url=False, include_context=False)[0]
    at = [f"row {it + 1}" if isinstance(it, int) else str(it)[:40] for it in first["loc"]]
    return ", ".join([*at, first["msg"][:80]])
