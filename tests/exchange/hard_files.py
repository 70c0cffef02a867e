"""Files as people send them, made from known putts: formats × units × sides × layouts, so that the truth is known."""

import csv
import io
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, field
from datetime import UTC, datetime, timedelta

import numpy as np
import openpyxl

DEG: dict[str, Callable[[float], float]] = {"deg": lambda it: it, "mrad": lambda it: it * np.pi / 0.18}
LENGTHS = {"m": 1.0, "cm": 0.01, "mm": 0.001, "ft": 0.3048, "in": 0.0254, "yd": 0.9144}


@dataclass(frozen=True)
class Putt:
    """One putt: its start, right positive; how long it was; when."""

    start_deg: float
    distance_m: float
    at: datetime


@dataclass(frozen=True)
class Case:
    """A file, the putts it tells, and whether it is to be taken as proposed (else: refused, with what would do)."""

    name: str
    content: bytes
    putts: tuple[Putt, ...]
    proposed: bool = True
    hand: str = "right"
    own: dict = field(default_factory=dict)
    extra: int = 0
    """Rows that are no putts, and must be named as such."""


def drawn(seed: int, n: int = 12, *, from_day: int = 1) -> tuple[Putt, ...]:
    rng = np.random.default_rng(seed)
    day = datetime(2026, 3, from_day, 10, 5, tzinfo=UTC)
    return tuple(
        Putt(round(float(rng.normal(0.4, 1.2)), 2) or 0.1, 2.44, day + timedelta(days=n // 3, seconds=20 * n))
        for n in range(n)
    )


def text(rows: Sequence[Sequence[object]], delimiter: str = ",", *, quoting: int = csv.QUOTE_MINIMAL) -> str:
    out = io.StringIO()
    csv.writer(out, delimiter=delimiter, quoting=quoting, lineterminator="\r\n").writerows(rows)
    return out.getvalue()


def number(value: float, decimal: str = ".", digits: int = 3) -> str:
    return f"{value:.{digits}f}".replace(".", decimal)


def table(putts: Sequence[Putt], heading: str, start: Callable[[Putt], str], when: str = "%Y-%m-%d %H:%M:%S") -> list:
    return [["When", heading], *([f"{it.at:{when}}", start(it)] for it in putts)]


def cases() -> Iterator[Case]:
    yield from _units()
    yield from _sides()
    yield from _dates()
    yield from _layouts()
    yield from _books()
    yield from _others()


def _units() -> Iterator[Case]:
    """The unit in the heading, in brackets, behind a comma, below it, in the cells; decimals with a comma."""
    headings = ("Start direction ({})", "Start [{}]", "Launch direction, {}", "start_{}", "Start in {}")
    n = 0
    for unit, told in (("deg", DEG["deg"]), ("mrad", DEG["mrad"])):
        for heading in headings:
            for decimal, delimiter in ((".", ","), (",", ";")):
                n += 1
                putts = drawn(n)
                rows = table(putts, heading.format(unit), lambda it, t=told, d=decimal: number(t(it.start_deg), d, 5))
                yield Case(f"unit {unit} {heading} {decimal}", text(rows, delimiter).encode(), putts)
    for unit, metres in LENGTHS.items():
        putts = drawn(40 + n)
        at_m = 0.5

        def offset(it: Putt, metres: float = metres, at_m: float = at_m) -> str:
            return number(at_m * np.tan(np.radians(it.start_deg)) / metres, ".", 6)

        rows = table(putts, f"Start offset ({unit})", offset)
        yield Case(f"offset {unit}", text(rows).encode(), putts, own={"rig_at_m": at_m})
        rows = [["When", "Start (deg)", f"Putt length ({unit})"]]
        rows += [[it.at.isoformat(), number(it.start_deg), number(it.distance_m / metres, ".", 5)] for it in putts]
        yield Case(f"length {unit}", text(rows).encode(), putts)
    putts = drawn(77)
    yield Case("degree sign in the cells", text(table(putts, "Start", lambda it: f"{it.start_deg}°")).encode(), putts)
    below = [["When", "Start"], ["", "deg"], *table(putts, "", lambda it: str(it.start_deg))[1:]]
    yield Case("a row of units", text(below).encode(), putts)
    yield Case(
        "no unit anywhere", text(table(putts, "Start", lambda it: str(it.start_deg))).encode(), putts, proposed=False
    )
    rows = table(putts, "Start (deg)", lambda it: number(it.start_deg, ","))
    broken = "\r\n".join(",".join(it) for it in rows)
    yield Case("decimal commas cut in two", broken.encode(), putts, proposed=False, extra=len(putts))


def _side(it: Putt) -> str:
    return "left" if it.start_deg < 0 else "right"


def _sides() -> Iterator[Case]:
    """The side before or behind the number, in its own column, in two columns, by words, by the sign's own word."""
    putts = drawn(101)
    said: dict[str, Callable[[Putt], str]] = {
        "L 1.2": lambda it: f"{_side(it)[0].upper()} {abs(it.start_deg)}",
        "1.2 R": lambda it: f"{abs(it.start_deg)} {_side(it)[0].upper()}",
        "1.2L": lambda it: f"{abs(it.start_deg)}{_side(it)[0].upper()}",
        "1.2° left": lambda it: f"{abs(it.start_deg)}° {_side(it)}",
        "left 1.2": lambda it: f"{_side(it)} {abs(it.start_deg)}",
        "minus by a dash": lambda it: f"{it.start_deg}".replace("-", "–"),
        "minus by its own sign": lambda it: f"{it.start_deg}".replace("-", "−"),
        "brackets for minus": lambda it: f"({abs(it.start_deg)})" if it.start_deg < 0 else f"{it.start_deg}",
    }
    for name, cell in said.items():
        yield Case(f"side {name}", text(table(putts, "Start (deg)", cell)).encode(), putts)
    for heading, sign in (
        ("Start (deg, + = left)", -1), ("Start (deg), right positive", 1), ("Start, left is minus (deg)", 1),
        ("Start (deg) L+", -1), ("Start (deg), left negative", 1), ("Start direction (°), + left", -1),
    ):  # fmt: skip
        yield Case(heading, text(table(putts, heading, lambda it, s=sign: str(s * it.start_deg))).encode(), putts)
    for heading, words in (("Side", ("Left", "Right")), ("L/R", ("L", "R")), ("Direction", ("left", "right"))):
        rows = [["When", "Start (deg)", heading]]
        rows += [[it.at.isoformat(), str(abs(it.start_deg)), words[it.start_deg > 0]] for it in putts]
        yield Case(f"side column {heading}", text(rows).encode(), putts)
    for left, right, unit in (("Left (mm)", "Right (mm)", "mm"), ("Start left (deg)", "Start right (deg)", "deg")):
        rows = [["When", left, right]]
        for it in putts:
            size = abs(it.start_deg) if unit == "deg" else 500 * np.tan(np.radians(abs(it.start_deg)))
            rows.append([it.at.isoformat(), *((f"{size:.4f}", "") if it.start_deg < 0 else ("", f"{size:.4f}"))])
        yield Case(f"two columns {unit}", text(rows).encode(), putts, own={"rig_at_m": 0.5})
    words = table(putts, "Start (deg)", lambda it: f"{'pull' if it.start_deg > 0 else 'push'} {abs(it.start_deg)}")
    yield Case("push and pull of a left-hander", text(words).encode(), putts, hand="left")


def _dates() -> Iterator[Case]:
    """Days and months in either order, two-digit years, AM and PM, serial dates, the time in a column of its own."""
    forms = (
        "%d/%m/%Y %H:%M:%S", "%m/%d/%Y %H:%M:%S", "%d.%m.%Y %H:%M:%S", "%m/%d/%Y %I:%M:%S %p", "%d/%m/%y %H:%M:%S",
        "%d-%m-%Y %H:%M:%S", "%Y/%m/%d %H:%M:%S", "%d %b %Y %H:%M:%S", "%d-%b-%y %H:%M:%S", "%b %d, %Y %H:%M:%S",
        "%Y-%m-%dT%H:%M:%SZ", "%m-%d-%Y %I:%M:%S%p",
    )  # fmt: skip
    # Days past the twelfth are among them, so that all of a file tell its order.
    putts = drawn(202, from_day=11)
    for form in forms:
        yield Case(
            f"date {form}", text(table(putts, "Start (deg)", lambda it: str(it.start_deg), form)).encode(), putts
        )
    days = (datetime(1899, 12, 30, tzinfo=UTC), 86400)
    rows = [["Date", "Start (deg)"]]
    rows += [[f"{(it.at - days[0]).total_seconds() / days[1]:.6f}", str(it.start_deg)] for it in putts]
    yield Case("serial dates", text(rows).encode(), putts)
    rows = [
        ["Date", "Time", "Start (deg)"],
        *([f"{it.at:%d/%m/%Y}", f"{it.at:%I:%M:%S %p}", str(it.start_deg)] for it in putts),
    ]
    yield Case("time beside date", text(rows).encode(), putts)
    early = drawn(203, n=9)
    rows = table(early, "Start (deg)", lambda it: str(it.start_deg), "%d/%m/%Y %H:%M:%S")
    yield Case("dates that can be read two ways", text(rows).encode(), early, proposed=False, extra=len(early))
    mixed = table(putts, "Start (deg)", lambda it: str(it.start_deg), "%d/%m/%Y %H:%M:%S")
    mixed[1][0], mixed[2][0] = "03/14/2026 10:05:00", "03/14/2026 10:05:20"
    yield Case("days and months mixed by row", text(mixed).encode(), putts[2:], proposed=False, extra=len(putts))


def _layouts() -> Iterator[Case]:
    """Preambles, totals, headings again, rows twice, sep=, quotes, tabs, empty lines, encodings."""
    putts = drawn(303)
    rows = table(putts, "Start (deg)", lambda it: str(it.start_deg))
    plain = text(rows)
    yield Case("a title above", ("Putting log\r\nMade by hand, spring\r\n\r\n" + plain).encode(), putts)
    yield Case("names above", ("Coach;Someone\r\nPlace;Indoor\r\n\r\n" + text(rows, ";")).encode(), putts)
    yield Case("totals below", (plain + "Average,0.3\r\nTotal,4\r\n").encode(), putts, extra=2)
    yield Case("headings again", (plain + "When,Start (deg)\r\n").encode(), putts, extra=1)
    yield Case("rows twice", (plain + text(rows[-2:])).encode(), putts, extra=2)
    yield Case("sep=;", ("sep=;\r\n" + text(rows, ";")).encode(), putts)
    yield Case("sep=| of its own", ("sep=|\n" + text(rows, "|")).encode(), putts)
    yield Case("tabs", text(rows, "\t").encode(), putts)
    yield Case("all quoted", text(rows, quoting=csv.QUOTE_ALL).encode(), putts)
    noted = [["When", "Note", "Start (deg)"], *([r[0], "first,\nthen; more", r[1]] for r in rows[1:])]
    yield Case("quoted newlines", text(noted).encode(), putts)
    yield Case(
        "commas in headings, semicolons",
        text([["When, day", "Start, right plus (deg)"], *rows[1:]], ";").encode(),
        putts,
    )
    yield Case("empty lines", plain.replace("\r\n", "\r\n\r\n").encode(), putts)
    yield Case("old line ends", plain.replace("\r\n", "\r").encode(), putts)
    yield Case("a mark before it", b"\xef\xbb\xbf" + plain.encode(), putts)
    yield Case("two bytes a letter", plain.encode("utf-16"), putts)
    yield Case(
        "western letters",
        text([["Wann", "Start (deg)", "Größe"], *([*r, "über"] for r in rows[1:])], ";").encode("cp1252"),
        putts,
    )
    hidden = table(putts, "\u200bStart\u00a0(deg)", lambda it: f"\u00a0{it.start_deg}\u200b")
    yield Case("signs nobody sees", text(hidden).encode(), putts)


def _books() -> Iterator[Case]:
    """Workbooks: dates as dates, a second sheet, a title above, text numbers."""
    putts = drawn(404)

    def book(fill: Callable, others: int = 0) -> bytes:
        made = openpyxl.Workbook()
        fill(made.active)
        for n in range(others):
            made.create_sheet(f"Other {n}").append(["Notes", "nothing"])
        out = io.BytesIO()
        made.save(out)
        return out.getvalue()

    def dated(sheet) -> None:
        sheet.append(["Date", "Start (deg)", "Putt length (m)"])
        for it in putts:
            sheet.append([it.at.replace(tzinfo=None), it.start_deg, it.distance_m])

    def titled(sheet) -> None:
        sheet.append(["Putting log"])
        sheet.append([])
        dated(sheet)
        sheet.append(["Average", 0.2])

    def texts(sheet) -> None:
        sheet.append(["Date", "Time", "Start (deg)"])
        for it in putts:
            sheet.append([it.at.date(), it.at.time(), f"{abs(it.start_deg)} {_side(it)}"])

    yield Case("workbook", book(dated), putts)
    yield Case("workbook with other sheets", book(dated, 2), putts)
    yield Case("workbook with a title and a total", book(titled), putts, extra=1)
    yield Case("workbook with sides in words", book(texts), putts)


def _others() -> Iterator[Case]:
    """Columns that sound like a start's, or a length's, and mean something else, stand before it."""
    putts = drawn(505)
    others = (
        "Launch angle (deg)", "Face to path (deg)", "Dynamic loft (deg)", "Backswing (cm)", "Leave (m)",
        "Ball speed (m/s)", "Skid distance (m)", "Tempo", "Attack angle (deg)",
    )  # fmt: skip
    for other in others:
        rows = [["When", other, "Start direction (deg)"]]
        rows += [[it.at.isoformat(), "4.5", str(it.start_deg)] for it in putts]
        yield Case(f"beside {other}", text(rows).encode(), putts)
    for cell, name in (("=1+1", "formula"), ("many", "word"), ("45", "far out")):
        rows = table(putts, "Start (deg)", lambda it: str(it.start_deg))
        yield Case(f"one cell a {name}", text([*rows, ["2026-03-09 10:00:00", cell]]).encode(), putts, extra=1)


SIDES: dict[str, Callable[[Putt, str], str]] = {
    "sign": lambda it, size: f"{'-' if it.start_deg < 0 else ''}{size}",
    "before": lambda it, size: f"{_side(it)[0].upper()} {size}",
    "after": lambda it, size: f"{size} {_side(it)}",
    "column": lambda it, size: size,
}
DATES = ("%d/%m/%Y %H:%M:%S", "%m/%d/%Y %I:%M:%S %p", "%d.%m.%y %H:%M:%S", "%Y-%m-%d %H:%M:%S", "%d %b %Y %H:%M:%S")


def mixed(seed: int, unit: str, side: str, date: str, delimiter: str, above: bool, below: bool, encoding: str) -> Case:
    """One file in one mix of all of these; numbers have a comma where the cells are not cut at commas."""
    putts = drawn(seed, from_day=13)
    decimal = "." if delimiter == "," else ","
    rows: list[list[str]] = [["When", f"Start direction ({unit})", *(["Side"] if side == "column" else [])]]
    for it in putts:
        size = number(DEG[unit](abs(it.start_deg)), decimal, 5)
        rows.append([f"{it.at:{date}}", SIDES[side](it, size), *([_side(it)] if side == "column" else [])])
    if below:
        rows.append(["Average", number(0.3, decimal)])
    said = ("Putting log\r\n\r\n" if above else "") + text(rows, delimiter)
    return Case("mixed", said.encode(encoding), putts, extra=int(below))
