"""What can't be kept or taken in: files, their columns, cards and checks, in words."""

from typing import Final

from ..shared.refusals import KNOWN, OPTIONS, Template
from . import archive

REFUSALS: Final[dict[str, Template]] = archive.REFUSALS | {
    "convert_widest": ("That is no start line: it points further aside than {most_deg}.", "up to {most_deg} to a side"),
    "too_many_blocks": (
        "The file falls apart into more than {most} blocks: look at what is read as condition, block and distance.",
        "at most {most} blocks",
    ),
    "file_no_text": ("This is no text, no JSON and no spreadsheet.", "text (CSV) or a spreadsheet, one putt a line"),
    "file_no_book": (
        "This spreadsheet can't be opened: it is damaged or locked.",
        "XLSX, XLS, ODS",
    ),
    "file_bursts": (
        "This spreadsheet unpacks to far more than a table holds.",
        "up to {most_mb} MB unpacked: save the sheet as CSV",
    ),
    "file_far_cell": (
        "The sheet “{named}” reaches to row {row}, column {column}.",
        "delete the cells far from the table, or save the sheet as CSV",
    ),
    "file_heavy": (
        "Reading this file takes too much memory. A single cell far from the table can do that.",
        "up to {most_mb} MB: delete what is far from the table, or cut the file in parts",
    ),
    "file_slow": ("Reading this file takes too long.", "up to {most_s} s: cut the file in parts"),
    "file_no_records": (
        "This JSON holds no list of putts, or is cut off.",
        "a list of records, or an object with such a list: one record a putt",
    ),
    "file_no_putt": (
        "The file holds no putt: a line of headings and at least one line below it are needed.",
        "2 lines",
    ),
    "file_cell_long": (
        "The file can't be cut into cells: a cell is longer than any cell should be.",
        "CSV as in RFC 4180",
    ),
    "file_quote_broken": (
        "The file can't be cut into cells: a quote or a line end is broken.",
        "CSV as in RFC 4180",
    ),
    "file_wide": ("The file has {told} columns.", "at most {most} columns"),
    "file_long": ("The file has {told} rows.", "at most {most} rows: cut it in parts"),
    "station_no_format": ("The file must say its format and its version.", "format, version"),
    "station_other_format": ("This is not a station of Libella's: its format is “{told}”.", "{format}"),
    "station_version": (
        "This file is of version {told}; versions 1 to {newest} can be read.",
        "1 to {newest}",
    ),
    "station_name": ("The station's name can't be used.", "1 to {longest} printable characters"),
    "aids_no_list": ("The aids must be a list.", "a list"),
    "kind_no_name": ("An instrument is named by its kind.", "a kind"),
    "sizes_no_numbers": ("The sizes must be named numbers.", "names and numbers"),
    "file_no_option": ("{name} can't be “{told}”.", OPTIONS),
    "file_keys": ("The {name} must hold {known}, and nothing else.", "{known}"),
    "file_no_number": ("{name} must be a number.", "a number"),
    "no_column": ("There is no such column.", "0 to {last}"),
    "no_target": ("There is nothing called “{named}”.", "{known}"),
    "column_unit": ("{label} is not given in “{told}”.", OPTIONS),
    "column_no_unit": ("{label}: nothing in the file says its unit.", OPTIONS),
    "date_order_untold": (
        "The dates of this file can be read with the day first or with the month first.",
        "say how they begin",
    ),
    "side_alone": ("A side is told, and no start that lies there.", "a column that tells the start, or its offset"),
    "clock_alone": ("A time of day is told, and no date.", "a column that tells the date"),
    "column_side": ("{label}: say which side is plus.", OPTIONS),
    "column_twice": ("{label}: two columns tell it.", "one column"),
    "no_putt_column": (
        "No column tells anything of a putt.",
        "where it started, what was noted of it, or what a sensor measured",
    ),
    "no_form": ("Putts don't go out as “{named}”.", KNOWN),
    "no_number": ("That is no number.", "a number"),
}
CONFLICTS: Final[dict[str, Template]] = archive.CONFLICTS | {
    "file": ("Another file was given under this id.", "Give it anew."),
    "file_taken": ("This file was taken in already.", "Undo it first, or give it anew."),
    "file_not_taken": ("This file was not taken in.", "Take it in first."),
    "file_not_mapped": ("It was not said how this file is read.", "Say what its columns tell."),
    "file_not_read": ("The file was not read through yet.", "Look at its rows first."),
    "file_worked_on": ("This file is being worked on.", "Wait for it, or stop it."),
    "rows_unread": (
        "{bad} rows can't be read. Nothing is taken in until you agree to leave them out.",
        "Look at the list, then take in the rest.",
    ),
    "nothing_to_keep": (
        "There is nothing to keep yet.",
        "Note the set-up, mark the eyes or ask what looks straight.",
    ),
    "card": ("A card with this id is kept already and says something else.", "Keep a new card."),
    "card_of_another": ("That card is another golfer's.", "Choose one of this golfer's cards."),
    "check": ("A check with this id is kept already, elsewhere.", "Begin a new check."),
}
