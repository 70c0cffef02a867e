"""What there is to say comes on paper whole: in order, over as many sheets as it takes, no heading left behind."""

import re
import xml.etree.ElementTree as ET
from itertools import pairwise

from hypothesis import given
from hypothesis import strategies as st

from libella.exchange.paper import FOOT, MARGIN, Sheet, paper_size
from libella.exchange.prose import written

WIDTH, HEIGHT = paper_size("a4")
END = HEIGHT - MARGIN - FOOT


def said(sheet: Sheet) -> list[tuple[float, str, str]]:
    """Lines of text above the foot: height, words, weight."""
    root = ET.fromstring(sheet.svg)
    found = [
        (float(it.get("y")), it.text or "", it.get("font-weight")) for it in root.iter() if it.tag.endswith("text")
    ]
    return [it for it in found if it[0] <= END]


sentences = st.lists(st.text("abcdefg ", min_size=1, max_size=300).map(str.strip).filter(bool), max_size=25)
parts = st.lists(
    st.tuples(st.sampled_from(["Lay", "Mind", "Note"]), sentences, st.sampled_from(["", "!", "□"])), max_size=6
)


@given(parts, st.floats(MARGIN, END - 5))
def test_every_word_is_written_once_and_in_order(told, start):
    sheets = written(Sheet(WIDTH, HEIGHT, ""), start, told, "A title")
    words = " ".join(text for sheet in sheets for _, text, _ in said(sheet))
    wanted = ""
    for heading, lines, mark in told:
        if lines:
            wanted += " ".join([heading, *(f"{mark} {it}" for it in lines)])
    assert re.sub(r"\s+", "", words) == re.sub(r"\s+", "", wanted)
    assert all("A title" in it.svg and "100 mm" in it.svg for it in sheets)


@given(parts, st.floats(MARGIN, END - 5))
def test_lines_stay_on_the_sheet_do_not_overlap_and_no_heading_stands_alone_at_its_foot(told, start):
    for sheet in written(Sheet(WIDTH, HEIGHT, ""), start, told, ""):
        lines = said(sheet)
        heights = [y for y, _, _ in lines]
        assert heights == sorted(heights) and all(b - a > 4 for a, b in pairwise(heights))
        assert all(MARGIN <= y <= END for y in heights)
        if lines:
            assert lines[-1][2] != "700"
