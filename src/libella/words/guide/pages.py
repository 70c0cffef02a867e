"""The guide as pages of Markdown, one file a chapter."""

from collections.abc import Sequence

from ..glossary import GLOSSARY
from .chapters import ADDING, LESSON, SCREENS, Section
from .numbers import NUMBERS


def pages() -> dict[str, str]:
    """Each file of `docs/guide` by its name."""
    return {
        "README.md": _page("Guide", _CONTENTS),
        "lesson.md": _page("One whole lesson", _sections(LESSON)),
        "screens.md": _page("Each screen", _sections(list(SCREENS.values()))),
        "words.md": _page("Words", [f"- **{it.name}**: {it.says}" for it in GLOSSARY.values()]),
        "numbers.md": _page("How each number is worked out", _numbers()),
        "adding.md": _page("What can be added", _sections(ADDING)),
    }


_CONTENTS = (
    "The program shows the same under “?”. These pages are written by `python -m libella.words.guide`.",
    "",
    "- [One whole lesson](lesson.md), from what brings the golfer to the sheet taken home",
    "- [Each screen](screens.md)",
    "- [Words](words.md)",
    "- [How each number is worked out](numbers.md), with examples that a test runs",
    "- [What can be added](adding.md): an instrument, a finding, a drill, a caution",
)


def _page(title: str, lines: Sequence[str]) -> str:
    return "\n".join([f"# {title}", *lines, ""])


def _sections(sections: Sequence[Section]) -> list[str]:
    lines: list[str] = []
    for it in sections:
        lines += ["", f"## {it.title}", it.says]
        if it.steps:
            lines += ["", *(f"{n}. {step}" for n, step in enumerate(it.steps, 1))]
    return lines


def _numbers() -> list[str]:
    lines: list[str] = []
    for it in NUMBERS:
        lines += ["", f"## {it.name}", it.says, "", f"- Formula: {it.formula}", f"- Where: `{it.source}`"]
        lines += [f"- Example: {it.example}"]
    return lines
