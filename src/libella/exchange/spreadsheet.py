"""Words on their way to a spreadsheet, which would take some of them for a formula, and back."""

import re
from typing import Final

# Wherever a spreadsheet may begin a cell: at the start, and behind anything it may cut cells at.
_BEGINS: Final = r"(^|[\t\r\n;,|])(\s*)"
_OUT: Final = re.compile(_BEGINS + r"('*[=+\-@])")
_BACK: Final = re.compile(_BEGINS + r"'('*[=+\-@])")


def for_spreadsheet(text: str) -> str:
    """The same with an apostrophe before every sign that would begin a formula.

    >>> for_spreadsheet("=1+1"), for_spreadsheet("a;=1+1"), for_spreadsheet("on-line")
    ("'=1+1", "a;'=1+1", 'on-line')
    """
    return _OUT.sub(r"\1\2'\3", text)


def from_spreadsheet(text: str) -> str:
    """What `for_spreadsheet` was given."""
    return text if "'" not in text else _BACK.sub(r"\1\2\3", text)
