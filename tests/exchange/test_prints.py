"""Prints are true to size: measured on the SVG and on the PDF, on both papers, on one sheet and over several."""

import io
import re
import xml.etree.ElementTree as ET
from itertools import pairwise

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pdfminer.high_level import extract_pages
from pdfminer.layout import LTCurve, LTLine, LTTextContainer

from libella.core.certainty.estimate import Estimate
from libella.core.drawing.scene import Circle, Scene, Tape
from libella.core.green.putt import Putt
from libella.core.green.read import Read
from libella.core.instruments import lay
from libella.core.keep.card import Card, mirror_overlay
from libella.core.keep.caution import laid
from libella.core.keep.quick_check import Kept
from libella.core.keep.templates import TEMPLATES, template
from libella.core.measure.constants import BALL_M
from libella.core.measure.limits import OutOfLimits
from libella.core.set.proof import Proof
from libella.core.set.station import Station
from libella.exchange.card_sheet import Said, card_sheet
from libella.exchange.paper import FOOT, MARGIN, OVERLAP, paper_size, pdf, tiled
from libella.exchange.station_sheet import station_sheet
from libella.words.keep.caution import cautions_said

from ..said import refusal

MM = 72 / 25.4
GATE = lay("peg_gate", {"distance_m": 0.5, "inside_width_m": 0.062, "post_m": 0.005})
PLAIN = Station(Putt(2.5, 0.3, 10), GATE, Proof("tape", doubt_m=0.0015))
LADEN = Station(
    Putt(3, 0.3, 10, "rim_assisted", -1, 1.2, 0.1, Read("outside", "left", 0.05)),
    GATE,
    aids=(lay("elevated_string", {"length_m": 4.0}), *(lay(it, {}) for it in ("foot_rods", "rings", "ground_mirror"))),
)
PAPERS = ["a4", "letter"]


def elements(svg: str, name: str):
    """Elements of a class, with the numbers of their attributes."""
    root = ET.fromstring(svg)
    return [
        {key: float(value) for key, value in it.attrib.items() if re.fullmatch(r"-?\d+(\.\d+)?", value)}
        for it in root.iter()
        if it.get("class") == name
    ]


@pytest.mark.parametrize("paper", PAPERS)
@pytest.mark.parametrize("name", TEMPLATES)
def test_every_sheet_is_as_large_as_its_paper_in_millimetres(name, paper):
    for sheet in tiled(template(name).draw(PLAIN, "right", "metric"), name, paper):
        root = ET.fromstring(sheet.svg)
        assert {root.get("width"), root.get("height")} == {f"{it:g}mm" for it in paper_size(paper)}
        # One unit of the drawing is one millimetre of paper.
        assert root.get("viewBox") == f"0 0 {sheet.width:g} {sheet.height:g}"
        [bar] = [it for it in elements(sheet.svg, "check") if it["y1"] == it["y2"]]
        assert bar["x2"] - bar["x1"] == pytest.approx(100.0)


def test_witness_lines_of_a_template_are_as_far_apart_as_their_tape_says():
    [sheet] = tiled(template("square-reference").draw(PLAIN, "right", "metric"), "", "a4")
    one, other = sorted(it["x1"] for it in elements(sheet.svg, "witness"))
    assert other - one == pytest.approx(150.0) and "15 cm" in sheet.svg


@pytest.mark.parametrize("units", ["metric", "feet"])
def test_the_gate_is_cut_for_the_plan(units):
    """Posts as far apart and as far from the ball as planned, over the sheets laid cross on cross."""
    scene = template("gate").draw(PLAIN, "right", units)
    posts = [it for it in scene.shapes if isinstance(it, Circle) and it.role == "post"]
    ball = next(it for it in scene.shapes if isinstance(it, Circle) and it.role == "ball")
    inside = abs(posts[1].x - posts[0].x) - 2 * posts[0].r
    assert inside == pytest.approx(62.0) and ball.y - posts[0].y == pytest.approx(500.0)
    assert ball.r * 2 == pytest.approx(BALL_M * 1000)

    sheets = tiled(scene, "Gate", "a4")
    assert len(sheets) == 3
    room = paper_size("a4")[1] - 2 * MARGIN - FOOT
    # The same tape's witness lines on the first and on the last sheet: what lies between is printed once.
    post, ball = elements(sheets[0].svg, "post")[0], elements(sheets[-1].svg, "ball")[0]
    apart = ball["cy"] + 2 * (room - OVERLAP) - post["cy"]
    assert apart == pytest.approx(500.0)


def test_sheets_overlap_by_crosses_that_come_to_lie_on_each_other():
    sheets = tiled(template("gate").draw(PLAIN, "right", "metric"), "Gate", "letter")
    room = paper_size("letter")[1] - 2 * MARGIN - FOOT
    for above, below in pairwise(sheets):
        lower = {
            (it["x1"], it["y1"]) for it in elements(above.svg, "cross") if it["y1"] == it["y2"] and it["y1"] > room / 2
        }
        upper = {
            (it["x1"], it["y1"]) for it in elements(below.svg, "cross") if it["y1"] == it["y2"] and it["y1"] < room / 2
        }
        assert lower and {(x, round(y - (room - OVERLAP), 3)) for x, y in lower} == upper


def test_the_ruler_board_is_in_degrees_for_its_distance():
    station = Station(Putt(2.5, 0.3, 10), lay("board", {"distance_m": 1.0, "half_width_m": 0.1}))
    scene = template("ruler-board").draw(station, "right", "metric")
    labels = {it.text: it.x for it in scene.shapes if it.shape == "label"}
    assert labels["5°"] == pytest.approx(87.489, abs=0.01)
    assert "1.00 m" in scene.words


def test_the_mirror_overlay_has_its_zone_on_the_golfers_side():
    def zone(hand):
        scene = template("eye-mirror").draw(PLAIN, hand, "metric")
        area = next(it for it in scene.shapes if it.shape == "area" and it.role == "window")
        return sorted({x for x, _ in area.points})

    assert zone("right") == [-40, -5] and zone("left") == [5, 40]


def lines_of(page):
    found = [it for it in page if isinstance(it, LTLine | LTCurve)]
    return [(abs(it.x1 - it.x0) / MM, abs(it.y1 - it.y0) / MM) for it in found]


@pytest.mark.parametrize("paper", PAPERS)
@pytest.mark.parametrize("name", ["square-reference", "gate", "ruler-board", "station"])
def test_the_bar_measures_100_mm_on_every_page_of_the_pdf(name, paper):
    if name == "station":
        sheets = station_sheet(LADEN, "Laden", "right", "metric", paper)
    else:
        sheets = tiled(template(name).draw(PLAIN, "right", "metric"), name, paper)
    pages = list(extract_pages(io.BytesIO(pdf(sheets, name))))
    assert len(pages) == len(sheets)
    for page, sheet in zip(pages, sheets, strict=True):
        assert (page.width / MM, page.height / MM) == pytest.approx((sheet.width, sheet.height), abs=0.1)
        assert any(wide == pytest.approx(100.0, abs=0.1) and tall < 0.1 for wide, tall in lines_of(page))
        assert "This bar must measure 100 mm" in text_of(page)


def text_of(page) -> str:
    return " ".join(it.get_text() for it in page if isinstance(it, LTTextContainer))


def test_a_pdfs_tape_is_as_long_as_it_says():
    """The gate's width on paper: its tape between the witness lines measures 62 mm."""
    sheets = tiled(template("gate").draw(PLAIN, "right", "metric"), "gate", "a4")
    first = next(iter(extract_pages(io.BytesIO(pdf(sheets, "gate")))))
    assert any(wide == pytest.approx(62.0, abs=0.1) and tall < 0.1 for wide, tall in lines_of(first))


def test_the_station_sheet_says_what_to_lay_in_order_and_what_to_mind():
    sheets = station_sheet(LADEN, "Straight three <for> Ø", "right", "metric", "a4")
    pages = list(extract_pages(io.BytesIO(pdf(sheets, "Straight three <for> Ø"))))
    said = re.sub(r"\s+", " ", " ".join(text_of(it) for it in pages))
    order = ["Mark the ball's spot", "Line: from the spot", "Gate of pegs: Ball to gate 50 cm", "String over the line"]
    places = [said.index(it) for it in order]
    assert places == sorted(places)
    for it in (*cautions_said(laid(LADEN)), "Straight three <for> Ø", "Kit check", "Your read"):
        assert it[:60] in said
    # The drawing keeps its scale in both directions, and every line stays on the paper.
    for sheet in sheets:
        for it in elements(sheet.svg, "tape"):
            assert min(it["x1"], it["x2"]) >= -1 and max(it["x1"], it["x2"]) <= sheet.width + 1


@pytest.mark.parametrize("hand", ["right", "left"])
def test_the_sheets_drawing_is_to_the_scale_it_names(hand):
    [sheet, *_] = station_sheet(PLAIN, "Plain", hand, "metric", "a4")
    said = float(re.search(r"drawn 1 : ([\d.]+)", sheet.svg).group(1))
    widths = [abs(it["x2"] - it["x1"]) * said for it in elements(sheet.svg, "tape") if it["y1"] == it["y2"]]
    assert any(it == pytest.approx(2500, rel=0.01) for it in widths)
    assert any(it == pytest.approx(500, rel=0.01) for it in widths)


def test_a_drawing_larger_than_any_wall_is_still_whole():
    scene = Scene(0, 0, 1000, 700, "Large", (Tape(0, 100, 1000, 100, "1.00 m", 1),))
    sheets = tiled(scene, "Large", "a4")
    assert len(sheets) > 6 and all("row" in it.body for it in sheets)


def test_an_unknown_template_is_refused():
    with pytest.raises(OutOfLimits) as refused:
        template("poster")
    assert "gate" in refusal(refused.value).limit


@pytest.mark.parametrize("paper", PAPERS)
def test_the_mirrors_overlay_fits_one_sheet_with_its_marks_in_true_size(paper):
    [sheet] = tiled(mirror_overlay("right", (10.0, 50.0), ((12.0, -30.0), (14.0, 34.0))), "Overlay", paper)
    lead, trail = [it for it in elements(sheet.svg, "ring") if it["r"] == 12]
    assert trail["cy"] - lead["cy"] == pytest.approx(64) and lead["cx"] - trail["cx"] == pytest.approx(2)


def test_a_set_up_card_says_every_size_and_draws_to_the_scale_it_names():
    kept = Kept(Estimate(5, 2, 8), Estimate(30, 27, 33), 3.0, Estimate(0.1, -0.4, 0.6))
    card = Card({"inside": 35.0}, {"ball_toes_m": 0.24, "stance_m": 0.3}, kept, None, (10, 50))
    [sheet] = card_sheet(card, Said("A golfer: set-up card", "a word", ["Mind this."]), "right", "metric", "a4")
    for said in (
        "35 mm further in",
        "Ball to the toes: 24 cm",
        "Eyes: 5 mm inside the line",
        "a word",
        "Mind this.",
        "1 : ",
    ):
        assert said in sheet.svg
    scale = 1 / float(re.search(r"1 : (\d+)", sheet.svg)[1])
    lengths = [abs(it["y2"] - it["y1"]) for it in elements(sheet.svg, "tape") if it["x1"] == it["x2"]]
    assert any(it == pytest.approx(240 * scale, rel=0.06) for it in lengths)


@pytest.mark.parametrize(("hand", "side"), [("right", -1), ("left", 1)])
def test_the_printed_path_is_as_wide_as_its_lane_and_bends_towards_the_golfer(hand, side):
    lane = lay("path_template", {"head_m": 0.11, "gap_m": 0.01, "back_m": 0.3, "through_m": 0.3, "radius_m": 1.5})
    drawn = template("path").draw(Station(Putt(2.5, 0.35, 10), lay("board", {}), aids=(lane,)), hand, "metric")
    curves = [it.points for it in drawn.shapes if it.shape == "curve"]
    at_ball = sorted(min(points, key=lambda it: abs(it[1]))[0] for points in curves)
    assert at_ball[1] - at_ball[0] == pytest.approx(130.0)
    for points in curves:
        ends, middle = (points[0][0] + points[-1][0]) / 2, min(points, key=lambda it: abs(it[1]))[0]
        assert (ends - middle) * side == pytest.approx(0.3**2 / 3 * 1000, rel=0.02)


@given(st.floats(20, 2000))
def test_the_sheets_reach_to_the_end_of_what_they_show_and_no_further(wide):
    """Sheets that overlap cover less than they are wide: what is lost at each joint takes one more in time."""
    sheets = tiled(Scene(0, 0, wide, 50, "", ()), "A strip", "a4")
    room, n = sheets[0].width - 2 * MARGIN, len(sheets)
    assert n * room - (n - 1) * OVERLAP >= wide - 1e-6
    assert n == 1 or (n - 1) * room - (n - 2) * OVERLAP < wide + 1e-6
