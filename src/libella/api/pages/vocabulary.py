"""The vocabulary: what can be chosen and entered, in words, asked for once."""

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.golfer.hand import HANDS, Hand
from ...core.keep.terms_drawn import term_pictures
from ...core.measure.written_units import lengths_written
from ...core.see.choices_drawn import choice_pictures
from ...exchange.forms_in import endings
from ...words.glossary import GLOSSARY
from ...words.vocabulary import ENTRIES, EntryWords, choices
from ..base.router import Router

router = Router(tags=["vocabulary"])


class TermOut(BaseModel):
    """A word of the job, opened by a tap on it."""

    term: str
    name: str
    forms: tuple[str, ...] = Field(description="how it stands in sentences, in lower case")
    says: str
    picture: Scene


class Vocabulary(BaseModel):
    """Names of codes by kind of choice, and sizes with their limits."""

    choices: dict[str, dict[str, str]] = Field(description="codes, each with its name, by kind of choice")
    entries: dict[str, EntryWords] = Field(description="sizes to enter: label, hint, unit, limits, step")
    lengths: dict[str, float] = Field(description="metres (m) of every way to write a unit of length")
    pictures: dict[Hand, dict[str, dict[str, Scene]]] = Field(
        description="drawings of what is chosen, by the golfer's hand, kind of choice and code"
    )
    glossary: list[TermOut]
    file_endings: list[str] = Field(description="how the names of files of putts end that can be read")


@router.get("/vocabulary")
def vocabulary() -> Vocabulary:
    """What can be chosen and entered."""
    drawn = term_pictures()
    return Vocabulary(
        choices=choices(),
        entries=ENTRIES,
        lengths=lengths_written(),
        pictures={hand: choice_pictures(hand) for hand in HANDS},
        glossary=[
            TermOut(term=code, name=it.name, forms=it.forms, says=it.says, picture=drawn[code])
            for code, it in GLOSSARY.items()
        ],
        file_endings=endings(),
    )
