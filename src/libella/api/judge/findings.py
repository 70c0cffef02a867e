"""A lesson judged whole: findings, the chain, cautions, misses; and what its coach says of them."""

import json
from collections.abc import Callable, Mapping
from datetime import datetime
from functools import partial
from typing import Final

from pydantic import BaseModel, Field

from ...core.certainty.estimate import Estimate
from ...core.certainty.verdict import Word
from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.golfer.band import BANDED, BandedLink
from ...core.golfer.hand import Hand
from ...core.judge.claims.reads import Claim, Compared
from ...core.judge.explained.every import cause_key, chosen_key, claim_key
from ...core.judge.findings.answer import Answer
from ...core.judge.findings.chain_picture import READ_AS, LinkName, LinkShown, fan
from ...core.judge.findings.finding import Cause, Fact, Finding
from ...core.judge.findings.first_picture import about_link, first_picture
from ...core.judge.findings.judged import LessonJudged
from ...core.judge.findings.next_check import WAYS, Check, CheckName
from ...core.judge.findings.ranked import FIRST, RULES
from ...core.measure.side import Side
from ...core.schools.school import First
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.judge import findings
from ...lessons.values import KeptFindingAnswer
from ...words.judge import chosen as chosen_words
from ...words.judge import findings as words
from ...words.judge import lesson as lesson_words
from ...words.judge import putts
from ...words.judge.bands import band_said
from ...words.judge.comparison import felt_said
from ...words.judge.pictures import times_said, written
from ..base.compared import ComparedOut
from ..base.read import ClaimOut
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Kept, Moment, VoidIn, Words200, as_kept

router = Router(tags=["findings"])


class FindingAnswerIn(Entry):
    lesson_id: UUID
    cause: Cause
    answer: Answer
    words: Words200 = ""
    answered_at: Moment


class FindingAnswerOut(Kept):
    """What a coach said of a finding; `then`: what the tool said of it at the time."""

    id: UUID
    lesson_id: UUID
    cause: Cause
    answer: Answer
    words: str
    answered_at: datetime
    voided: bool
    said: str
    then: str


class FactOut(BaseModel):
    """One piece of evidence, and the step and the block, series or test whose readings it comes from."""

    words: str
    step: str
    at: str


class CheckOut(BaseModel):
    """A check, and the step it is done in."""

    name: CheckName
    words: str
    minutes: int
    step: str
    gains: float = Field(description="how much likelier its answer makes it that the right finding comes first")
    notes: list[str] = Field(description="what is noted of every putt for it")


class FindingOut(BaseModel):
    """A cause judged."""

    cause: Cause
    name: str
    word: Word
    side: Side
    words: str
    weight: Estimate
    weight_words: str
    against: list[FactOut]
    speaks_for: list[FactOut]
    missing: str
    check: CheckOut | None
    change: str = Field(description="what is usually changed; empty where nothing is named")
    picture: Scene | None = Field(description="its own picture; none where nothing of it was read")
    picture_words: str
    through: str = Field(description="which finding above it is seen through")
    answer: FindingAnswerOut | None
    decided_by: list[str] = Field(description="the disagreements whose school decided something of it; empty: none")


class ChainLinkOut(BaseModel):
    """A link of the chain."""

    name: LinkName
    label: str
    words: str
    vial: Vial
    readings: int
    step: str
    at: str
    band: str = Field(description="whether it is fine for this golfer's level, where that is sure enough")
    why: str = Field(description="what opens it; empty: it was not read by itself")


class MissOut(BaseModel):
    block_id: str
    putt_id: str
    words: str


class ComparedLesson(BaseModel):
    """A comparison of the lesson: what was asked first."""

    id: str
    of: str
    compared: ComparedOut
    felt: str = Field(description="comfort and trust of each way; empty while nobody said")


class LessonFindings(BaseModel):
    """What a lesson comes to: one sentence and one picture first, then what else is said, findings, what was read."""

    revision: int = Field(0, description="the mark of the data it was made from")
    headline: str
    brief: str = Field(description="the same in at most twelve characters")
    meaning: str
    also: list[str] = Field(description="what is said next, the surest first")
    why: list[str] = Field(description="what opens the headline, then each of `also`; empty: nothing was read")
    for_golfer: str = Field(description="the same for the golfer's own screen: plain, or dense, by level")
    word: Word
    rules_changed: str = Field(default="", description="what was said of the same data under older rules, if otherwise")
    pace: str = Field(description="where the putts finished, before any word on line; empty where it is said already")
    growth: str = Field(description="the side by distance; empty where one length was putted, or it is said already")
    compared: list[ComparedLesson]
    read: list[ClaimOut] = Field(description="every quantity and every way in which it was read")
    line_counts: bool = Field(description="something was read against the laid line: whether that is proved counts")
    unsorted: list[str] = Field(description="names typed before: what they meant is asked once")
    picture: Scene | None = Field(description="of what is said first; none where nothing of it can be drawn")
    picture_words: str
    fan: Scene | None = Field(description="where the links pointed, from above; none where that is the picture already")
    fan_words: str
    about: str = Field(default="", description="the link that the first sentence is about, among `links`")
    chain_words: str
    links: list[ChainLinkOut]
    first: list[FindingOut] = Field(description="what to look at first, five at most")
    more: list[FindingOut] = Field(description="what is left: not looked at, or ruled out")
    next: list[CheckOut] = Field(description="empty: nothing more to check, go on to a drill")
    next_words: str = Field(description="what is said where there is nothing to check")
    guards: list[str]
    misses_words: str
    misses: list[MissOut]

    @property
    def named(self) -> frozenset[Cause]:
        """What was found at least likely."""
        return frozenset(it.cause for it in self.first if it.word in ("likely", "clear"))

    @property
    def following(self) -> str:
        """What is to be looked at next, or that there is nothing."""
        return self.next[0].words if self.next else self.next_words


@router.get("/lessons/{id}/findings")
def lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> LessonFindings:
    """The lesson judged whole."""
    return as_kept(_kept(desk, id, units))


def _kept(desk: Desk, id: UUID, units: InUnits) -> str:
    what = f"findings, {units}"

    def make(whole: Desk, revision: int) -> str:
        before = kept.under_other_rules(whole, id, what, revision)
        found = _lesson(whole, id, units)
        found.revision = revision
        if before is not None and (old := json.loads(before).get("headline")) not in (None, found.headline):
            found.rules_changed = words.rules_changed_said(old)
        return found.model_dump_json()

    return kept.up_to_lesson(desk, id, what, make)


@router.put("/finding-answers/{id}")
def answer(desk: AtDesk, id: UUID7, entry: FindingAnswerIn) -> FindingAnswerOut:
    """Accept a finding, reject it for a reason, or say it otherwise: the tool's own view stays beside it."""
    told = findings.AnswerEntry(entry.lesson_id, entry.cause, entry.answer, entry.words, entry.answered_at)
    return _answer(findings.keep_answer(desk, id, told))


@router.put("/finding-answers/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn) -> FindingAnswerOut:
    """Take an answer back, or bring it back."""
    return _answer(findings.void_answer(desk, id, entry.voided))


def _lesson(desk: Desk, id: UUID, units: InUnits) -> LessonFindings:
    whole = findings.judge_whole(desk, id)
    it, hand = whole.judged, whole.ledger.hand
    answers = {one.cause: one for one in whole.answers}
    # That the starts go with the length is told as the claim it is: its cost is no second sentence about it.
    ranked = [one for one in it.findings.ranked if one.kind != "grows"]
    out = [_finding(it, one, hand, answers.get(one.cause), units) for one in ranked]
    told = zip(out, ranked, strict=True)
    first = [one for one, of in told if of.is_named or one.answer or (of.hinted and not of.explained_by)]
    labels = {one.name: lesson_words.ray_said(one) for one in it.chain.links}
    headline = chosen_words.headline_said(it.chosen, hand, units)
    drawn = fan(it.chain, whole.putt, labels, headline) if it.chain.links else None
    own = first_picture(it, partial(written, units=units), headline)
    also = chosen_words.also_said(it.chosen, hand, units)
    said = " ".join([headline, *also]).lower()
    # What stands in the first sentences is not said again under them.
    pace = " ".join(one for one in putts.pace_sentences(it.pace, units) if one.rstrip(".").lower() not in said)
    growth = putts.growth_said(it.growth, hand, units) if it.growth else ""
    return LessonFindings(
        revision=0,
        headline=headline,
        brief=chosen_words.chosen_brief(it.chosen),
        meaning=chosen_words.meaning_said(it.chosen[0], hand),
        also=also,
        why=[chosen_key(one) for one in it.chosen[: 1 + len(also)]],
        for_golfer=chosen_words.for_golfer(it.chosen, hand, whole.ledger.wording, units),
        word=it.chosen[0].word,
        pace=pace,
        growth="" if growth.lower() in said else growth,
        compared=[_compared(one, whole, units) for one in it.compared],
        read=ClaimOut.every(_in_order(whole), whole.account.unused, hand, units),
        line_counts=any(one.quantity.on_line for one in it.reads),
        unsorted=[name for one in it.guards if one.name == "unsorted" for name in one.told],
        picture=own.scene if own else drawn[0] if drawn else None,
        picture_words=times_said(own.times) if own else lesson_words.fan_said(drawn[1]) if drawn else "",
        fan=drawn[0] if drawn and own else None,
        fan_words=lesson_words.fan_said(drawn[1]) if drawn and own else "",
        about=about.name if (about := about_link(it)) else "",
        chain_words=lesson_words.chain_said(it.chain),
        links=_links(whole),
        first=first[:FIRST],
        more=[one for one in out if one not in first[:FIRST]],
        next=[_check(one) for one in it.next],
        next_words="" if it.next else lesson_words.NOTHING_MORE,
        guards=[lesson_words.guard_said(one) for one in it.guards],
        misses_words=lesson_words.misses_said(it.misses),
        misses=[
            MissOut(block_id=one.block_id, putt_id=one.putt_id, words=lesson_words.miss_said(one)) for one in it.misses
        ],
    )


def _compared(it: Compared, whole: findings.WholeLesson, units: InUnits) -> ComparedLesson:
    told = ComparedOut.of(it, it.of, [], whole.ledger.hand, units)
    return ComparedLesson(id=it.id, of=it.of, compared=told, felt=felt_said([way.felt for way in whole.ways(it.id)]))


def findings_in(desk: Desk, id: UUID, units: InUnits) -> LessonFindings:
    """What a lesson comes to, as its own page tells it."""
    return LessonFindings.model_validate_json(_kept(desk, id, units))


def findings_anew(desk: Desk, id: UUID, units: InUnits) -> LessonFindings:
    """The same worked out by what is held here, and not kept."""
    return _lesson(desk, id, units)


def _links(whole: findings.WholeLesson) -> list[ChainLinkOut]:
    """The chain, link by link."""
    return [
        ChainLinkOut(
            name=one.name,
            label=lesson_words.LINK_NAMES[one.name],
            words=lesson_words.link_said(one),
            vial=one.vial,
            readings=one.readings,
            step=one.at.step,
            at=one.at.id,
            band=_band(one, whole),
            why=_why_link(one, whole.judged),
        )
        for one in whole.judged.chain.links
    ]


def _why_link(it: LinkShown, judged: LessonJudged) -> str:
    """A link's vial opens as what was read of it as usual; the strike's is what striking there adds."""
    if it.name == "strike":
        return cause_key("strike")
    levels = (judged.case.level(name) for name in dict(READ_AS)[it.name])
    level = next((one for one in levels if one is not None and one.enough), None)
    return "" if level is None else claim_key(level)


def _band(it: LinkShown, whole: findings.WholeLesson) -> str:
    link: BandedLink | None = next((one for one in BANDED if one == it.name), None)
    told = whole.ledger
    return "" if link is None else band_said(link, it.bias, it.spread, told.band, told.level)


def _finding(
    judged: LessonJudged, it: Finding, hand: Hand, told: KeptFindingAnswer | None, units: InUnits
) -> FindingOut:
    said, check = words.cause_said(it, hand, units), judged.check_of.get(it.cause)
    drawn = RULES[it.cause].draw(judged.case, it, partial(written, units=units), said)
    return FindingOut(
        cause=it.cause,
        name=RULES[it.cause].name,
        word=it.call.word,
        side=it.call.side,
        words=said,
        weight=it.weight,
        weight_words=words.weight_said(it),
        speaks_for=[_fact(one, units) for one in it.facts if one.speaks == "for"],
        against=[_fact(one, units) for one in it.facts if one.speaks == "against"],
        missing=words.missing_said(it.missing),
        check=_check(check) if check else None,
        change=words.change_said(it),
        picture=drawn.scene if drawn else None,
        picture_words=times_said(drawn.times) if drawn else "",
        through=words.through_said(it),
        answer=_answer(told) if told else None,
        decided_by=_decided_by(it),
    )


def _in_order(whole: findings.WholeLesson) -> list[Claim]:
    """What was read, with what this golfer wants to see first before the rest."""
    first = whole.ledger.schools.settings.first
    return sorted(whole.judged.reads, key=lambda it: _LATER[first](it) if first in _LATER else False)


_LATER: Final[Mapping[First | None, Callable[[Claim], bool]]] = {
    "feel": lambda it: it.quantity.name != "feels_straight",
    "touch": lambda it: it.quantity.kind != "share",
}


def _decided_by(it: Finding) -> list[str]:
    """The disagreements whose school decided something of a finding: one of its facts, or that it may stay."""
    body = ["body"] if any(one.what == "body_stays" for one in it.facts) else []
    return [*(["face_at_address"] if it.kind == "stays" else []), *body]


def _fact(it: Fact, units: InUnits) -> FactOut:
    return FactOut(words=words.fact_said(it, units), step=it.at.step if it.at else "", at=it.at.id if it.at else "")


def _check(it: Check) -> CheckOut:
    return CheckOut(
        name=it.name,
        words=lesson_words.check_said(it),
        minutes=it.minutes,
        step=lesson_words.CHECK_STEPS.get(it.name, "start"),
        gains=it.gains,
        notes=list(WAYS[it.name].notes),
    )


def _answer(it: KeptFindingAnswer) -> FindingAnswerOut:
    then = findings.told_then(it)
    return FindingAnswerOut(
        id=it.id,
        lesson_id=it.lesson_id,
        cause=it.cause,
        answer=it.answer,
        words=it.words,
        answered_at=it.answered_at,
        voided=it.voided,
        said=lesson_words.answer_said(it.answer, it.words),
        then=words.then_said(then),
    )
