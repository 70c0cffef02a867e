"""The vocabulary: what can be chosen and entered, in words, asked for once."""

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ...words.vocabulary import ENTRIES, EntryWords, choices

router = APIRouter(tags=["vocabulary"])


class Vocabulary(BaseModel):
    """Names of codes by kind of choice, and sizes with their limits."""

    choices: dict[str, dict[str, str]] = Field(description="codes, each with its name, by kind of choice")
    entries: dict[str, EntryWords] = Field(description="sizes to enter: label, hint, unit, limits, step")


@router.get("/vocabulary")
def vocabulary() -> Vocabulary:
    """What can be chosen and entered."""
    return Vocabulary(choices=choices(), entries=ENTRIES)
