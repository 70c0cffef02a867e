"""One account of a lesson: what its pages make of one claim is one thing (account 5)."""

import re
from collections.abc import Iterator, Sequence
from typing import Any

from libella.core.change.complaint import FELT_IN
from libella.words.change.complaint import FELT_NAMES
from libella.words.shared.inside import inside

Pages = Sequence[tuple[str, Any]]
SURE = {"none": 0, "open": 0, "likely": 1, "clear": 2}
# What a finding is made of: it is no surer than the surest of these that was read.
MADE_OF = {
    "perception": ("looks_straight",),
    "ball_mark": ("mark",),
    "face_aim": ("face", "address", "to_mark", "looks_straight", "mark"),
    "face_at_impact": ("impact", "face", "address", "start"),
    "path": ("path",),
    "strike": ("strike",),
}
# A page that says this denies that any of these was read.
DENIES = {
    r"[Ww]here the ball starts was not read|the start was not read|starts? read \(none so far\)": ("start",),
    r"Not looked at[^.]*what looks straight": ("looks_straight", "first_look"),
    r"Not looked at[^.]*the face at address": ("face", "address", "to_mark"),
    r"Not looked at[^.]*(the )?strike": ("strike",),
    r"Where the putts finish was not noted|Not looked at[^.]*where the putts finish": ("holed",),
    r"Nothing was read of this lesson": ("start", "face", "first_look"),
}

DENIES |= {f"You felt {inside(FELT_NAMES[felt])}: nobody looked": names for felt, names in FELT_IN.items()}


def faults_in(pages: Pages) -> list[str]:
    """What pages say that is not so, or otherwise on two of them."""
    told = dict(pages)
    read = told["findings"]["read"]
    return [
        *_sizes_nobody_read(pages),
        *_told_otherwise(read, [page for name, page in pages if name == "block read"]),
        *_other_first(told),
        *_denied(pages, {it["quantity"] for it in read}),
        *_surer(told["findings"], read),
        *_follows(told["change"], told["findings"], told["summary"]),
    ]


def _claims(pages: Pages) -> Iterator[tuple[str, dict]]:
    for name, page in pages:
        if isinstance(page, dict) and isinstance(page.get("read"), list):
            yield from ((name, it) for it in page["read"] if isinstance(it, dict) and "kind" in it)


def _sizes_nobody_read(pages: Pages) -> Iterator[str]:
    for name, it in _claims(pages):
        if it["kind"] in ("sized", "share"):
            continue
        if re.search(r"spread|\(.*\d.* to .*\d.*\)", it["words"]):
            yield f"{name}: a middle of readings that are {it['kind']}: {it['name']}: {it['words']}"
        if it["vial"] is not None:
            yield f"{name}: a middle is drawn of readings that are {it['kind']}: {it['name']}"
        if it["word"] == "none" and it["kind"] != "within":
            yield f"{name}: nothing to mend of readings that are {it['kind']}: {it['words']}"


def _told_otherwise(lesson: Sequence[dict], blocks: Sequence[dict]) -> Iterator[str]:
    whole = {(it["quantity"], it["at"], it["count"]): it for it in lesson}
    for block in blocks:
        for it in block["read"]:
            same = whole.get((it["quantity"], it["at"], it["count"]))
            if same is None:
                continue
            for what in ("words", "word", "kind", "side"):
                if it[what] != same[what]:
                    yield f"the block's {it['name']}: {it[what]}; the lesson's: {same[what]}"


def _other_first(told: dict[str, Any]) -> Iterator[str]:
    first = told["findings"]["headline"], told["findings"]["for_golfer"]
    for name, said in (
        ("screen", [told["finding-shown"]["headline"], told["finding-shown"]["for_golfer"]]),
        ("sheet", told["summary"]["found"][:1]),
    ):
        for one in said:
            if one not in first:
                yield f"{name} begins with {one!r}, Judge with {first}"
    # Where nothing was read the golfer's page tells the last lesson in which something was.
    for name in (
        ("change", "golfer found", "golfer lessons") if told["findings"]["read"] else ("change", "golfer lessons")
    ):
        if not {*first} & {*_sentences(told[name])}:
            yield f"{name} does not say what Judge says first: {first[0]}"


def _denied(pages: Pages, read: set[str]) -> Iterator[str]:
    for name, page in pages:
        if name.startswith(("golfer", "today", "due", "logbook", "block", "opened", "two", "lines")):
            continue
        for said in _sentences(page):
            for pattern, quantities in DENIES.items():
                if re.search(pattern, said) and read & set(quantities):
                    yield f"{name} denies what was read: {said[:200]}"


def _surer(findings: dict, read: Sequence[dict]) -> Iterator[str]:
    for it in findings["first"]:
        parts = [one for one in read if one["quantity"] in MADE_OF.get(it["cause"], ()) and one["word"] is not None]
        if SURE[it["word"]] and parts and max(SURE[one["word"]] for one in parts) < SURE[it["word"]]:
            yield f"{it['words']} is surer than {[(one['name'], one['words']) for one in parts]}"


def _follows(change: dict, findings: dict, sheet: dict) -> Iterator[str]:
    """Nothing is offered under what can't be told; where nothing is, the next check stands."""
    for it in change["offers"]:
        if it["words"].endswith("can't tell yet."):
            yield f"offered under what can't be told: {it['words']}"
        if len({one["what"] for one in it["proposals"]}) < len(it["proposals"]):
            yield f"one change twice under {it['words']}"
    if not change["offers"] and findings["next"] and not change["check"]:
        yield f"neither a change nor a check: {findings['headline']}"
    if sheet["drill"] is not None and not sheet["change"] and not sheet["week"]:
        yield f"a drill of nothing that was chosen: {sheet['drill']['name']}"


def _sentences(it: object) -> Iterator[str]:
    if isinstance(it, str):
        yield it
    elif isinstance(it, dict):
        for one in it.values():
            yield from _sentences(one)
    elif isinstance(it, list):
        for one in it:
            yield from _sentences(one)
