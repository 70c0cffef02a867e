"""What a golfer comes with, what the lesson answers, and the one change: chosen, retested, kept or dropped."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Final

from pydantic import BaseModel, Field

from ...core.certainty.estimate import Estimate
from ...core.change.answer import answer
from ...core.change.complaint import About, Complaint, Felt, Miss, Want
from ...core.change.fitting import Fit, Fitting
from ...core.change.follows import Follow
from ...core.change.proposal import PROPOSALS, Chosen, Kind
from ...core.change.retest import EACH, Standing
from ...core.change.school_told import Retested, proved_place
from ...core.change.topic import TOPICS, Topic
from ...core.golfer.hand import Hand
from ...core.judge.ledger.factors import levels_of
from ...core.schools.held import Schools
from ...core.start.turns import Outcome
from ...lessons.change import changes
from ...lessons.change.following import following
from ...lessons.change.left import eye_of, left_of
from ...lessons.change.schools import tried
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.golfer.schools import schools_of
from ...lessons.lesson import complaints
from ...lessons.lesson.lessons import lesson_sheet
from ...words.change import change as words
from ...words.change import follows as follow_words
from ...words.change.complaint import answer_said, complaint_said, next_said
from ...words.change.left import left_said, trained_said
from ...words.judge import chosen as chosen_words
from ...words.judge.comparison import felt_said
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Kept, LongWords, Moment, ShortWords, Words200, as_kept

router = Router(tags=["change"])
_MOST: Final = 4
"""So many things to work on are shown: more at a time only hide the first."""


class ComplaintIn(Entry):
    """What the golfer came with; anything of it may be left out."""

    misses: tuple[Miss, ...] = Field((), max_length=4, description="where the putts go")
    from_m: float | None = Field(None, description="the shortest length at which it shows; null: no shortest")
    to_m: float | None = Field(None, description="the longest length at which it shows; null: no longest")
    felt: Felt | None = Field(None, description="what the golfer feels it to be; null: cannot say")
    trust: int | None = Field(None, description="trust over the ball, 1 to 5")
    wants: Want | None = None
    said: LongWords = Field("", description="the golfer's own sentence")
    about: tuple[About, ...] = Field((), max_length=6, description="what is asked that no miss tells")


class ComplaintOut(BaseModel):
    complaint: ComplaintIn | None
    words: str


class ChosenIn(Entry):
    """The one change of a lesson, as it stands among those usual for a finding, or the coach's own."""

    lesson_id: UUID
    what: ShortWords = Field(min_length=1)
    feel: Words200 = ""
    kind: Kind
    asks: Outcome = Field("line", description="the question of its retest")
    cause: Topic = Field("", description="what it is for; empty: nothing of the lesson")
    proposal: str = Field("", description="the proposal it was taken from; empty: the coach's own")
    way: dict[ShortWords, ShortWords] = Field(
        default_factory=dict[str, str],
        max_length=6,
        description="of a way that a comparison tried: the factors in which it is not as usual",
    )
    made_at: Moment


class DroppedIn(Entry):
    dropped: bool


class UsualChangeOut(BaseModel):
    """One thing that may be changed, with the school it belongs to and that school's rival."""

    code: str
    kind: Kind
    kind_name: str
    what: str
    feel: str
    asks: Outcome
    school: str
    rival: str
    decided_by: list[str] = Field(description="the disagreements whose school brought it to its place; empty: none")
    proved: str = Field(description="what its own retests say; empty: it was not retested")
    caution: str
    steps: list[str] = Field(description="of what takes more than one time; empty: there are none")
    against: list[str] = Field(description="what was read that speaks against it, less surely than for it")
    way: dict[str, str] = Field(description="of a way that a comparison tried: where it is not as usual")


class OfferOut(BaseModel):
    """Something the lesson says at least likely, and the changes that fit it, the first first."""

    cause: Topic = Field(description="what is worked on")
    name: str
    words: str
    general: str = Field(description="said where the cause is not known; empty where it is")
    reasons: list[str] = Field(description="what else speaks for it")
    against: list[str] = Field(description="what speaks against it, less surely")
    proposals: list[UsualChangeOut]
    ruled_out: list[str] = Field(description="the usual changes that don't fit, each with why")


class RetestOut(BaseModel):
    """A retest as far as it was putted."""

    id: UUID
    lesson_id: UUID
    started_at: datetime
    final: bool
    felt: str = Field(description="comfort and trust of both ways; empty while nobody said")
    gain: Estimate | None = Field(description="how many more putts of a hundred are as wanted; null while too few")


class HeldOut(Kept):
    """A change as it was chosen, and where it stands."""

    id: UUID
    why: str = Field(description="what opens it")
    lesson_id: UUID
    made_at: datetime
    what: str
    feel: str
    kind_name: str
    asks: Outcome
    factors: dict[str, str] = Field(description="in what the changed way is not as usual")
    standing: Standing
    words: str
    retest_words: str
    each: int = Field(description="putts each way that a retest takes")
    dropped: bool
    retests: list[RetestOut]
    steps: list[str] = Field(description="of what takes more than one time; empty: there are none")
    ends: str
    trained: str = Field(description="how far an eye that is trained has come; empty for any other change")
    left: str = Field(description="what is left of it on another day; empty while nothing is said")


class ChangeOut(BaseModel):
    """What a lesson comes to for its golfer: what they came with, the answer, the one change."""

    complaint: ComplaintIn | None
    complaint_words: str
    answer: list[str] = Field(description="sentence by sentence")
    revision: int = Field(0, description="the mark of the data it was made from")
    offers: list[OfferOut] = Field(description="what follows, the first first; empty under what can't be told yet")
    check: str = Field(description="what to check first, where nothing fits yet or the cause is not known; else empty")
    held: list[HeldOut] = Field(description="changes of this golfer, newest first")
    ask_first: str = Field(description="said before a second change is chosen; empty where none is held")


@router.get("/lessons/{id}/change")
def change(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ChangeOut:
    """What a lesson comes to for its golfer."""
    return as_kept(_kept(desk, id, units))


def change_in(desk: Desk, id: UUID, units: InUnits) -> ChangeOut:
    """What a lesson comes to for its golfer, as its own page tells it."""
    return ChangeOut.model_validate_json(_kept(desk, id, units))


def _kept(desk: Desk, id: UUID, units: InUnits) -> str:
    def make(whole: Desk, revision: int) -> str:
        return _change(whole, id, units).model_copy(update={"revision": revision}).model_dump_json()

    return kept.of_lesson(desk, id, f"change, {units}", make)


@router.put("/lessons/{id}/complaint")
def keep_complaint(desk: AtDesk, id: UUID, entry: ComplaintIn, units: InUnits = "metric") -> ComplaintOut:
    """Keep what the golfer came with; said again it takes the place of what was said before."""
    told = Complaint(**entry.model_dump())
    complaints.keep_complaint(desk, id, told)
    return ComplaintOut(complaint=entry, words=complaint_said(told, units))


@router.put("/chosen-changes/{id}")
def choose(desk: AtDesk, id: UUID7, entry: ChosenIn) -> HeldOut:
    """Choose a change."""
    told = entry.model_dump(exclude={"lesson_id", "made_at", "way"})
    changes.choose_change(desk, id, entry.lesson_id, Chosen(**told, way=levels_of(entry.way)), entry.made_at)
    return _one(desk, id)


@router.put("/chosen-changes/{id}/dropped")
def drop(desk: AtDesk, id: UUID, entry: DroppedIn) -> HeldOut:
    """Drop a change, or take it up again: the coach's word, whatever was putted."""
    changes.drop_change(desk, id, datetime.now(UTC) if entry.dropped else None)
    return _one(desk, id)


def _one(desk: Desk, id: UUID) -> HeldOut:
    return _held(desk, changes.change_held(desk, id))


def _change(desk: Desk, id: UUID, units: InUnits) -> ChangeOut:
    told, sheet = following(desk, id), lesson_sheet(desk, id)
    whole = told.whole
    hand, came_with = whole.ledger.hand, complaints.complaint_of(sheet.lesson.complaint)
    headline = chosen_words.headline_said(whole.judged.chosen, hand, units)
    chosen = changes.changes_held(desk, sheet.golfer.id)
    held = [_held(desk, it) for it in chosen]
    order = _Order(schools_of(desk, sheet.golfer), tried(chosen))
    answered = answer_said(answer(came_with or Complaint(), whole.judged), headline, hand, units)
    offers = [_offer(it, order, hand, units) for it in told.fitting[:_MOST]]
    if not offers and told.check is not None:
        # Nothing is named yet that could be changed: what would tell is what follows.
        answered.append(next_said(told.check))
    first = not offers or bool(offers[0].general) or not any(it.proposals for it in offers)
    return ChangeOut(
        revision=0,
        complaint=None if came_with is None else ComplaintIn.model_validate(came_with, from_attributes=True),
        complaint_words="" if came_with is None else complaint_said(came_with, units),
        answer=answered,
        offers=offers,
        check=follow_words.first_said(told.check) if first and told.check is not None else "",
        held=held,
        ask_first=words.ONE_AT_A_TIME if any(not it.dropped for it in held) else "",
    )


@dataclass(frozen=True, slots=True)
class _Order:
    """What changes stand in their order by: this golfer's retests, then the schools."""

    schools: Schools
    told: Sequence[Retested]

    def sorted(self, some: Sequence[Fit]) -> list[Fit]:
        """The same, in order; as it usually stands where neither says anything."""
        return sorted(
            some, key=lambda it: (proved_place(self.told, it.proposal.code), self._place(it), bool(it.against))
        )

    def _place(self, it: Fit) -> int:
        return self.schools.place(it.proposal.code)


def _offer(it: Fitting, order: _Order, hand: Hand, units: InUnits) -> OfferOut:
    follow = it.follow
    proposals = [_kept_way(follow, hand, units)] if follow.better is not None else []
    proposals += [_proposal(one, follow, order, hand, units) for one in order.sorted(it.fits)]
    return OfferOut(
        cause=follow.topic,
        name=TOPICS[follow.topic].name,
        words=follow_words.follow_said(follow, hand, units),
        general=follow_words.GENERAL if follow.general else "",
        reasons=follow_words.reasons_said(follow, units),
        against=follow_words.doubts_said(follow, units),
        proposals=proposals,
        ruled_out=[follow_words.ruled_said(one, hand, units) for one in it.out],
    )


def _kept_way(follow: Follow, hand: Hand, units: InUnits) -> UsualChangeOut:
    it = follow.better
    assert it is not None
    return UsualChangeOut(
        code="",
        kind=it.kind,
        kind_name=words.KIND_NAMES[it.kind],
        what=follow_words.kept_said(it),
        feel=follow_words.kept_feel_said(follow, hand, units),
        asks=it.asks,
        school="",
        rival="",
        decided_by=[],
        proved="",
        caution="",
        steps=[],
        against=[],
        way=dict[str, str](it.levels),
    )


def _proposal(fit: Fit, follow: Follow, order: _Order, hand: Hand, units: InUnits) -> UsualChangeOut:
    it = fit.proposal
    return UsualChangeOut(
        code=it.code,
        kind=it.kind,
        kind_name=words.KIND_NAMES[it.kind],
        what=follow_words.what_said(it, follow, units),
        feel=it.feel,
        asks=it.asks,
        school=it.school,
        rival=it.rival,
        decided_by=list(order.schools.deciding(it.code)),
        proved=words.PROVED[proved_place(order.told, it.code)],
        caution=it.caution,
        steps=list(it.steps),
        against=follow_words.against_said(fit, hand, units),
        way={},
    )


def _held(desk: Desk, it: changes.Change) -> HeldOut:
    of = PROPOSALS.get(it.chosen.proposal)
    left = left_of(desk, it)
    told = {one.id: one for one in it.tested.retests}
    assert it.kept.lesson_id is not None
    return HeldOut(
        id=it.kept.id,
        why=it.key,
        lesson_id=it.kept.lesson_id,
        made_at=it.kept.made_at,
        what=it.chosen.what,
        feel=it.chosen.feel,
        kind_name=words.KIND_NAMES[it.chosen.kind],
        asks=it.chosen.asks,
        factors=it.chosen.factors,
        standing=it.tested.standing,
        words=words.standing_said(it.tested, it.chosen.asks, it.beside),
        retest_words=words.retest_said(it.chosen.asks),
        each=EACH,
        dropped=it.kept.dropped_at is not None,
        retests=[
            RetestOut(
                id=one.comparison.id,
                lesson_id=one.comparison.lesson_id,
                started_at=one.comparison.started_at,
                final=one.turn.condition is None,
                felt=felt_said([way.block.felt for way in one.sheets]),
                gain=told[str(one.comparison.id)].gain if str(one.comparison.id) in told else None,
            )
            for one in it.retests
        ],
        steps=list(of.steps) if of else [],
        ends=of.ends if of else "",
        trained=trained_said(eye_of(desk, it)) if it.chosen.kind == "train_the_eye" else "",
        left=left_said(left.told) if left else "",
    )
