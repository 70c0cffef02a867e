"""A scene as SVG: every shape, its ink, its text, true to the scale asked for."""

import xml.etree.ElementTree as ET
from typing import get_args

import pytest

from libella.core.drawing.scene import Area, Circle, Curve, Label, Line, Ray, Role, Scene, Tape
from libella.core.green.putt import Putt
from libella.core.instruments import Rig, instruments
from libella.core.set.layout import from_above, from_side
from libella.core.set.station import Station
from libella.exchange.svg import drawn, svg_page

PUTT = Putt(2.5, 0.3, 10)


def parsed(*shapes, scale=1.0):
    body = drawn(Scene(0, 0, 100, 100, "", shapes), 10, 20, scale)
    return list(ET.fromstring(svg_page(200, 200, body)))


@pytest.mark.parametrize("scale", [1.0, 0.25])
def test_each_shape_lands_where_it_belongs(scale):
    [line] = parsed(Line(0, 0, 40, 8, "limit"), scale=scale)
    assert (float(line.get("x1")), float(line.get("y2"))) == pytest.approx((10, 20 + 8 * scale))
    [circle] = parsed(Circle(12, 4, 6, "post"), scale=scale)
    assert (float(circle.get("cx")), float(circle.get("r"))) == pytest.approx((10 + 12 * scale, 6 * scale))
    for shape in (Area(((0, 0), (4, 0), (4, 8)), "board"), Curve(((0, 0), (4, 0), (4, 8)), "path")):
        [polygon] = parsed(shape, scale=scale)
        last = polygon.get("points").split()[-1].split(",")
        assert (float(last[0]), float(last[1])) == pytest.approx((10 + 4 * scale, 20 + 8 * scale))


def test_an_open_line_is_not_filled():
    [curve] = parsed(Curve(((0, 0), (4, 8)), "path"))
    assert curve.get("fill") == "none"


@pytest.mark.parametrize("upright", [False, True])
def test_a_tape_stands_between_witness_lines_as_far_apart_as_what_it_measures(upright):
    tape = Tape(5, 0, 5, 62, "62 mm", -1) if upright else Tape(0, 5, 62, 5, "62 mm", 1)
    found = parsed(tape)
    witnesses = [it for it in found if it.get("class") == "witness"]
    [measure] = [it for it in found if it.get("class") == "tape"]
    axis = "y" if upright else "x"
    assert abs(float(witnesses[1].get(f"{axis}1")) - float(witnesses[0].get(f"{axis}1"))) == pytest.approx(62)
    assert abs(float(measure.get(f"{axis}2")) - float(measure.get(f"{axis}1"))) == pytest.approx(62)
    assert [it.text for it in found if it.tag.endswith("text")] == ["62 mm"]


@pytest.mark.parametrize("role", get_args(Role))
def test_every_role_has_an_ink(role):
    """A curve of how often a rod looks left was drawn on the screen and broke on paper."""
    [line] = parsed(Line(0, 0, 4, 0, role))
    assert line.get("class") == role and line.get("stroke")


def test_text_is_escaped_and_putts_are_left_out():
    found = parsed(Label(0, 0, "<Ø & “straight”>"), Ray(0, 0, 9, 1, None, 2, "left", 0))
    assert [it.text for it in found if it.tag.endswith("text")] == ["<Ø & “straight”>"]
    assert len(found) == 2  # the white behind the text, and the text


@pytest.mark.parametrize("kind", sorted(instruments()))
@pytest.mark.parametrize("units", ["metric", "feet"])
def test_every_instrument_is_drawn_on_paper_beside_a_gate(kind, units):
    aid = instruments()[kind].laid({}).for_putt(PUTT, 1.2)
    gate = instruments()["peg_gate"].laid({})
    as_rig = isinstance(aid, Rig) and aid.about.measures == "start"
    station = Station(PUTT, aid) if as_rig else Station(PUTT, gate, aids=(aid,))
    scenes = [from_above(station, hand, units) for hand in ("right", "left")]
    side = from_side(station, units)
    for scene in (*scenes, *([] if side is None else [side]), aid.picture(units)):
        page = ET.fromstring(svg_page(300, 300, drawn(scene, 0, 0, 0.05)))
        assert len(list(page)) >= len(scene.shapes) and "nan" not in ET.tostring(page, "unicode")
