"""Names as coaches give them, and what is none."""

import re
from typing import Final

_MARKUP: Final = re.compile(
    r"<\s*/?\s*(?:script|iframe|img|svg|object|embed|link|style|html|body|meta|base|form|input)\b|javascript\s*:", re.I
)


def is_markup(name: str) -> bool:
    """True for what some program would run or draw instead of showing it: nobody is called so.

    >>> is_markup("<script>alert(1)</script>"), is_markup("gate < 60 mm")
    (True, False)
    """
    return bool(_MARKUP.search(name))
