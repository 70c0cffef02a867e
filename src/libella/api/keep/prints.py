"""Prints in true size: templates and the station sheet, as PDF or SVG."""

from collections.abc import Sequence
from dataclasses import replace
from typing import Literal

from fastapi import Query
from fastapi.responses import Response
from pydantic import BaseModel, Field

from ...core.keep.templates import TEMPLATES, template
from ...core.measure.limits import OutOfLimits
from ...core.set.station import Station
from ...exchange.paper import PaperName, Sheet, pdf, tiled
from ...exchange.station_sheet import station_sheet
from ...lessons.desk.desk import studio
from ...lessons.set.plans import proof_of
from ...words.shared.label import labelled
from ..base.router import Router
from ..base.shapes import AtDesk, InUnits, Words80
from ..set.stations import PlannedIn

router = Router(prefix="/prints", tags=["prints"])
STATION = "station"


class PrintOut(BaseModel):
    """Something that can be printed."""

    name: str
    title: str
    words: str


class PrintIn(PlannedIn):
    """The station it is printed for."""

    title: Words80 = Field(default="", description="written on the sheet", examples=["Straight three"])


@router.get("")
def all_prints() -> list[PrintOut]:
    """The station sheet and every template."""
    sheet = PrintOut(
        name=STATION, title="Station sheet", words="Drawing, tape list in laying order, cautions and kit check."
    )
    return [sheet, *(PrintOut(name=name, title=it.name, words=it.words) for name, it in TEMPLATES.items())]


@router.post(
    "/{name}",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}, "image/svg+xml": {}}, "description": "The print."}},
)
def one(
    desk: AtDesk,
    name: str,
    plan: PrintIn,
    form: Literal["pdf", "svg"] = Query("pdf", description="a PDF of all sheets, or one sheet as SVG"),
    paper: PaperName = Query("a4"),
    sheet: int = Query(1, ge=1, description="which sheet, for SVG"),
    units: InUnits = "metric",
) -> Response:
    """A print in true size. The header `x-sheets` says how many sheets it takes."""
    station = replace(plan.entry(), proof=proof_of(desk, plan.proof_of)).station()
    sheets, title = _sheets(name, station, plan, paper, units, invented=studio(desk).invented)
    return printed(sheets, title, name, form, paper, sheet)


def printed(
    sheets: Sequence[Sheet], title: str, name: str, form: Literal["pdf", "svg"], paper: PaperName, sheet: int
) -> Response:
    """All sheets as a PDF, or one as SVG; `x-sheets` says how many there are."""
    if sheet > len(sheets):
        raise OutOfLimits("sheet", "no_sheet", "sheets", most=len(sheets))
    file = f"{name}-{paper}" + ("" if form == "pdf" or len(sheets) == 1 else f"-{sheet}")
    headers = {"x-sheets": str(len(sheets)), "Content-Disposition": f'attachment; filename="{file}.{form}"'}
    if form == "pdf":
        return Response(pdf(sheets, title), media_type="application/pdf", headers=headers)
    return Response(sheets[sheet - 1].svg, media_type="image/svg+xml", headers=headers)


def _sheets(
    name: str, station: Station, plan: PrintIn, paper: PaperName, units: InUnits, *, invented: bool
) -> tuple[tuple[Sheet, ...], str]:
    if name == STATION:
        title = labelled(plan.title or "Station sheet", invented)
        return station_sheet(station, title, plan.hand, units, paper), title
    print_ = template(name)
    title = labelled(print_.name, invented)
    return tiled(print_.draw(station, plan.hand, units), title, paper), title
