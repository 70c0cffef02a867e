"""What of a lesson would be said otherwise, were something that is an opinion held otherwise."""

from collections.abc import Mapping

from pydantic import BaseModel, Field

from .findings import LessonFindings


class OtherOut(BaseModel):
    """What would be said otherwise."""

    name: str
    before: str
    after: str


class WeighedOut(BaseModel):
    claims: int = Field(description="how many claims and findings were held against each other")
    others: list[OtherOut] = Field(description="those that would be said otherwise, the lesson's one sentence first")


def weighed_out(before: LessonFindings, after: LessonFindings) -> WeighedOut:
    """The same lesson judged twice, held against each other sentence by sentence."""
    was, would = _claims(before), _claims(after)
    others = [
        OtherOut(name=name, before=was.get(name, "Not said."), after=would.get(name, "Not said."))
        for name in dict.fromkeys((*was, *would))
        if was.get(name) != would.get(name)
    ]
    return WeighedOut(claims=len(was), others=others)


def _claims(it: LessonFindings) -> Mapping[str, str]:
    """Everything a lesson says that has a word, by its name."""
    first = {"What the lesson comes to": it.headline}
    order = {"What to look at first": ", ".join(one.name for one in it.first)}
    read = {one.name: one.words for one in it.read}
    bands = {f"{one.label}, for the level": one.band for one in it.links if one.band}
    found = {f"Finding: {one.name}": one.words for one in (*it.first, *it.more)}
    then = {"What to mind": " ".join(it.guards), "Check next": it.following}
    return first | order | read | bands | found | {name: words for name, words in then.items() if words}
