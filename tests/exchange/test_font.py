"""Lines on paper are cut by what they come out as, not by how many letters they have."""

import io

import pytest
from pdfminer.high_level import extract_pages
from pdfminer.layout import LTTextContainer

from libella.exchange.font import width_mm, wrapped
from libella.exchange.golfer_sheet import Told, golfer_sheet
from libella.exchange.paper import MARGIN, paper_size, pdf

SAID = {
    "capitals": "MMMMM WWWWW " * 30,
    "narrow": "illi till " * 60,
    "one word": "W" * 400,
    "umlauts": "Äußerste Ruhe über dem Ball, größtmögliche Geduld. " * 9,
}


@pytest.mark.parametrize("paper", ["a4", "letter"])
@pytest.mark.parametrize("what", SAID)
def test_no_line_leaves_the_sheet_whatever_is_written(what, paper):
    sheets = golfer_sheet(Told(found=["So it is."], note=SAID[what]), "Somebody", "Somewhere", paper)
    most = (paper_size(paper)[0] - MARGIN) * 72 / 25.4
    ends = [
        line.x1
        for page in extract_pages(io.BytesIO(pdf(sheets, "Somebody")))
        for box in page
        if isinstance(box, LTTextContainer)
        for line in box
    ]
    assert ends and max(ends) <= most + 1


def test_lines_hold_all_words_and_fit_the_room():
    for said in SAID.values():
        lines = wrapped(said, 3.4, 180)
        assert all(width_mm(it, 3.4) <= 180 for it in lines)
        assert "".join(lines).replace(" ", "") == said.replace(" ", "")
    assert wrapped("", 3.4, 180) == []
