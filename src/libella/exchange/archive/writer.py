"""An archive on its way out: one ZIP with the rows as JSON, as tables, the files that were given, and what was made of
them on paper."""

import csv
import hashlib
import io
import json
from collections.abc import Callable, Iterable, Iterator, Sequence
from datetime import UTC, datetime
from typing import IO, Final
from zipfile import ZIP_DEFLATED, ZipFile, ZipInfo

from sqlalchemy.orm import Session

from ... import __version__
from ...lessons.values import KeptGolfer
from ...store.whole.kinds import Kind, kinds
from ...store.whole.rows import Scope, counted, files_of, rows_of, subject_of, table_of
from . import form
from .form import Progress

Papers = Callable[[KeptGolfer], Iterable[tuple[str, bytes]]]
"""What is made of a golfer's lessons on paper: files, each with its name in the archive."""
_PAPERS_AS_ROWS: Final = 2000
"""A golfer's papers take about as long as so many rows: by that they count in how far it is."""
_ROWS_A_FILE: Final = 10_000
_LETTERS_A_FILE: Final = 8 * 1024**2
_LEVEL: Final = 3


class _Out:
    """The ZIP as it grows, and what its manifest will say of each file."""

    def __init__(self, to: IO[bytes], at: datetime) -> None:
        self._zip = ZipFile(to, "w", ZIP_DEFLATED, compresslevel=_LEVEL)
        self._at = at.timetuple()[:6]
        self.files: list[dict[str, object]] = []

    def add(self, name: str, pieces: Iterable[bytes]) -> None:
        digest, size = hashlib.sha256(), 0
        info = ZipInfo(name, self._at)
        info.compress_type = ZIP_DEFLATED
        with self._zip.open(info, "w", force_zip64=True) as out:
            for it in pieces:
                digest.update(it)
                size += len(it)
                out.write(it)
        self.files.append({"name": name, "bytes": size, "sha256": digest.hexdigest()})

    def close(self, manifest: bytes) -> None:
        self._zip.writestr(ZipInfo(form.MANIFEST, self._at), manifest, ZIP_DEFLATED)
        self._zip.close()


def write(
    to: IO[bytes], session: Session, scope: Scope, people: Sequence[KeptGolfer], papers: Papers, progress: Progress
) -> None:
    """Write the archive of a scope, of one state of the tables; the `papers` of these `people` come last.

    What `session` sees must not change meanwhile: it is opened so that it does not.
    """
    at = datetime.now(UTC)
    name, invented = subject_of(session, scope)
    counts = counted(session, scope)
    total, done = sum(counts.values()) + _PAPERS_AS_ROWS * len(people), 0
    out, tables = _Out(to, at), list[dict[str, object]]()

    def tick(more: int) -> None:
        nonlocal done
        done += more
        progress(done, total)

    for kind in (it for it in kinds() if it.name in counts):
        files = _rows(out, session, scope, kind, tick)
        tables.append({"name": kind.name, "columns": list(kind.names), "rows": counts[kind.name], "files": files})
        if counts[kind.name]:
            out.add(f"tables/{kind.name}.csv", table_of(session, scope, kind))
            progress(done, total)
    for file, content in (*files_of(session, scope), *_described(name, scope, invented, at)):
        out.add(file, [content])
    for it in people:
        for file, content in papers(it):
            out.add(file, [content])
        tick(_PAPERS_AS_ROWS)
    told = {
        "format": form.FORMAT,
        "version": form.VERSION,
        "program": __version__,
        "scope": "studio" if scope.golfer_id is None else "golfer",
        "of": name,
        "invented": invented,
        "made_at": at.isoformat(),
        "tables": tables,
        "files": out.files,
    }
    out.close(json.dumps(told, ensure_ascii=False, indent=1).encode())


def _rows(out: _Out, session: Session, scope: Scope, kind: Kind, tick: Callable[[int], None]) -> int:
    """Write a table's rows, so many a file: none is too large to be read whole. Gives how many files it took."""
    waiting, files, letters = list[str](), 0, 0

    def cut() -> None:
        nonlocal waiting, files, letters
        files, letters = files + 1, 0
        out.add(form.data_file(kind, files), [b"[\n", ",\n".join(waiting).encode(), b"\n]\n"])
        waiting = []

    for some in rows_of(session, scope, kind):
        for row in some:
            waiting.append(row)
            letters += len(row)
            if len(waiting) >= _ROWS_A_FILE or letters >= _LETTERS_A_FILE:
                cut()
        tick(len(some))
    if waiting:
        cut()
    return files


def _described(name: str, scope: Scope, invented: bool, at: datetime) -> Iterator[tuple[str, bytes]]:
    table = io.StringIO()
    writer = csv.writer(table)
    writer.writerow(("table", "column", "unit", "may_be_empty", "what"))
    writer.writerows(form.dictionary())
    yield form.DICTIONARY, table.getvalue().encode()
    yield form.SCHEMA, json.dumps(form.schema(), indent=1).encode()
    of = "the whole studio" if scope.golfer_id is None else "one golfer"
    label = "\nINVENTED DEMO: nobody in it is real.\n" if invented else ""
    yield (
        form.README,
        _README.format(name=name, of=of, label=label, day=f"{at:%Y-%m-%d}", version=form.VERSION).encode(),
    )


_README: Final = """{name}
Everything Libella keeps of {of}, {day}.
{label}
data/         the rows, as JSON: what is read in again. Their shape: schema.json
tables/       the same rows as CSV tables; what each column says: tables/dictionary.csv
photographs/  photographs, as JPEG
given/        files of putts as they were given, compressed (gzip)
sheets/       what the newest lessons came to, on paper (PDF)
drawings/     what was found in them, drawn (SVG)
manifest.json what is in here, with a SHA-256 of every file

Angles are degrees, right positive; lengths metres; times UTC. Format libella-archive, version {version}.
"""
