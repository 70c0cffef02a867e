"""A file can't end the server: it is read apart, within limits, and what can't be read so is told."""

import io
import os
import resource
import subprocess
import sys
import zipfile
from collections.abc import Callable

import openpyxl
import pytest

from libella.core.measure.limits import OutOfLimits
from libella.exchange.apart import _PYTHON, read_apart
from libella.exchange.sheet import read_sheet

from .hard_files import cases

HEADING = "When,Start (deg)\n"
MIB = 1024**2


def book(rows: list[list[object]]) -> bytes:
    made = openpyxl.Workbook()
    sheet = made.active
    assert sheet is not None
    for row in rows:
        sheet.append(row)
    out = io.BytesIO()
    made.save(out)
    return out.getvalue()


def with_sheet(xml: Callable[[], bytes], of: bytes) -> bytes:
    """A workbook with another sheet put in."""
    out = io.BytesIO()
    with (
        zipfile.ZipFile(io.BytesIO(of)) as told,
        zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED, compresslevel=9) as into,
    ):
        for it in told.infolist():
            is_sheet = it.filename == "xl/worksheets/sheet1.xml"
            into.writestr(it.filename, xml() if is_sheet else told.read(it.filename))
    return out.getvalue()


PLAIN = [["When", "Start (deg)"], ["2026-03-01 10:00", 0.4], ["2026-03-01 10:01", -0.2]]


def sheet_of(rows: str) -> bytes:
    space = "http://schemas.openxmlformats.org/spreadsheetml/2006/main"
    return f'<worksheet xmlns="{space}"><sheetData>{rows}</sheetData></worksheet>'.encode()


def far(row: int, column: str) -> bytes:
    """A small table, and one cell far from it."""
    heads = "".join(
        f'<c r="{at}1" t="inlineStr"><is><t>{it}</t></is></c>' for at, it in zip("AB", PLAIN[0], strict=True)
    )
    putts = '<row r="2"><c r="A2" t="inlineStr"><is><t>2026-03-01 10:00</t></is></c><c r="B2"><v>0.4</v></c></row>'
    lone = f'<row r="{row}"><c r="{column}{row}"><v>1</v></c></row>'
    return with_sheet(lambda: sheet_of(f'<row r="1">{heads}</row>{putts}{lone}'), book(PLAIN))


def bursting() -> bytes:
    row = '<row><c t="inlineStr"><is><t>' + "a" * 1000 + "</t></is></c></row>"
    return with_sheet(lambda: sheet_of(row * 40_000), book(PLAIN))


def declared() -> bytes:
    """Two gigabytes, by its own word."""
    whole = bytearray(book(PLAIN))
    at = whole.rindex(b"xl/worksheets/sheet1.xml") - 46
    whole[at + 24 : at + 28] = (2 * 1024**3 - 1).to_bytes(4, "little")
    return bytes(whole)


def entities() -> bytes:
    lines = "".join(f'<!ENTITY e{n} "{f"&e{n - 1};" * 10}">' for n in range(1, 10))
    head = f'<?xml version="1.0"?><!DOCTYPE w [<!ENTITY e0 "boom">{lines}]>'.encode()
    row = sheet_of('<row r="1"><c r="A1" t="inlineStr"><is><t>&e9;</t></is></c></row>')
    return with_sheet(lambda: head + row, book(PLAIN))


@pytest.mark.parametrize(
    ("content", "codes"),
    [
        pytest.param(lambda: far(1_048_576, "XFD"), {"file_heavy", "file_far_cell"}, id="far-cell"),
        pytest.param(lambda: far(230_000, "V"), {"file_far_cell"}, id="nearer-cell"),
        pytest.param(bursting, {"file_bursts"}, id="40-mb-from-a-tenth"),
        pytest.param(declared, {"file_bursts", "file_no_book"}, id="two-gigabytes-declared"),
        pytest.param(entities, {"file_no_book", "file_no_putt"}, id="entity-bomb"),
        pytest.param(lambda: b'[{"a": ' + b"[" * 30 * MIB, {"file_no_records", "file_heavy"}, id="brackets"),
        pytest.param(lambda: b'[{"a":1},' + b'{"a":1},' * 6 * MIB + b"{}]", {"file_heavy", "file_slow"}, id="records"),
    ],
)
def test_a_file_that_takes_too_much_is_told_and_costs_its_reader_alone(content, codes):
    told = content()
    before = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss
    with pytest.raises(OutOfLimits) as refused:
        read_apart(told)
    assert refused.value.code in codes, refused.value.code
    assert resource.getrusage(resource.RUSAGE_SELF).ru_maxrss - before < 64 * 1024


@pytest.mark.parametrize("case", list(cases())[::7], ids=lambda it: it.name)
def test_apart_it_reads_as_it_reads_here(case):
    assert read_apart(case.content) == read_sheet(case.content)


def test_a_file_as_large_as_one_may_be_is_read():
    row = "2026-03-01 10:00:00,0.25," + "note " * 46 + "\n"
    text = HEADING.replace("\n", ",Note\n") + row * (60 * MIB // len(row))
    sheet = read_apart(text.encode())
    assert sheet.rows > 200_000 and sheet.text == text


def test_a_cell_a_little_off_the_table_is_no_matter():
    assert read_apart(far(20, "F")).headings[:2] == ("When", "Start (deg)")


def test_what_refuses_a_file_names_what_was_told():
    with pytest.raises(OutOfLimits) as refused:
        read_apart((HEADING + "2026,1\n").replace(",", "," * 300).encode())
    assert refused.value.code == "file_wide" and refused.value.facts["most"] == 256


def test_the_reader_knows_no_secret_and_no_arithmetic():
    heavy = {"numpy", "scipy", "sqlalchemy", "fastapi"}
    probe = f"import sys, libella.exchange.apart; print(sorted({heavy} & set(sys.modules)))"
    told = subprocess.run([sys.executable, "-c", probe], env=_PYTHON, capture_output=True, text=True, check=True)
    assert told.stdout == "[]\n"
    assert not any("LIBELLA" in name or "SECRET" in name for name in _PYTHON) and len(_PYTHON) < len(os.environ)
