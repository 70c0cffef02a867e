"""The guide, as the program shows it."""

from pydantic import BaseModel

from ...words.guide.chapters import ADDING, LESSON, SCREENS, Section
from ...words.guide.numbers import NUMBERS
from ..base.router import Router

router = Router(tags=["guide"])


class NumberOut(BaseModel):
    """How a number is worked out."""

    name: str
    says: str
    formula: str
    source: str
    example: str


class GuideOut(BaseModel):
    """The guide; the glossary stands by itself (`/glossary`)."""

    lesson: list[Section]
    screens: dict[str, Section]
    numbers: list[NumberOut]
    adding: list[Section]


@router.get("/guide")
def guide() -> GuideOut:
    """Every chapter."""
    return GuideOut(
        lesson=list(LESSON),
        screens={str(code): it for code, it in SCREENS.items()},
        numbers=[
            NumberOut(name=it.name, says=it.says, formula=it.formula, source=it.source, example=it.example)
            for it in NUMBERS
        ],
        adding=list(ADDING),
    )
