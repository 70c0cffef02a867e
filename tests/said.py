"""Facts together with what is said of them, as a person meets both: what the API puts side by side."""

from typing import Any

from libella.core.aim import links, picture
from libella.core.green.usual import USUAL, usual_mix
from libella.core.judge import judgement
from libella.core.keep import quick_check
from libella.core.measure.limits import OutOfLimits
from libella.core.set.proposal import propose as proposed
from libella.core.stand import set_up
from libella.core.start import ladder
from libella.words.aim.links import aid_words, aim_words, sum_words
from libella.words.aim.picture import picture_words
from libella.words.judge.judgement import further_words, judgement_words
from libella.words.keep.quick_check import alert_words, drift_word, drift_words
from libella.words.refusals import RefusalWords, refusal_words
from libella.words.set.objections import objection_words
from libella.words.set.station import change_words, proposal_words
from libella.words.stand.set_up import noted_words, wander_words
from libella.words.start.ladder import rung_words


def refusal(refused: OutOfLimits, units="metric") -> RefusalWords:
    """What a person reads of an entry out of limits."""
    return refusal_words(refused, units)


class Said:
    """Facts and words; where both have a name, the word for it."""

    def __init__(self, facts: object, *words: object, **more: object) -> None:
        self.facts, self._told = facts, (*words, facts)
        self.__dict__.update(more)

    def __getattr__(self, name: str) -> Any:
        for it in self._told:
            if hasattr(it, name):
                return getattr(it, name)
        raise AttributeError(name)


def judge(readings, station, occasion, *, planned, units="metric"):
    it = judgement.judge(readings, station, occasion, planned=planned)
    said = judgement_words(it, station, occasion, units)
    return Said(it, said, gains=it.gains, gain_words=said.gains)


def further(readings, station, occasion, *, planned):
    return further_words(judgement.further(readings, station, occasion, planned=planned))


def aim_found(readings, link, putt, hand, units, **more):
    more.setdefault("mix", usual_mix(putt, USUAL()))
    it = links.aim_found(tuple(readings), link, putt, hand, **more)
    return Said(it, aim_words(it, units))


def aim_sum(*args):
    it = links.aim_sum(*args)
    return Said(it, words=sum_words(it))


def natural_and_aided(*args):
    return aid_words(links.natural_and_aided(*args))


def aim_question(*args):
    it = picture.aim_question(*args)
    return Said(it, picture_words(it))


def drifts(kept, eyes, square, trials, units):
    found = quick_check.drifts(kept, eyes, square, trials)
    return tuple(Said(it, word=drift_word(it), words=drift_words(it, units)) for it in found)


def alert(found):
    return alert_words([it.facts for it in found])


def beside(now, before, units):
    return tuple(noted_words(it, units) for it in set_up.beside(now, before))


def wander(times, units):
    return tuple(wander_words(it, units) for it in set_up.wander(times))


def rung(raws, station, units):
    it = ladder.rung(raws, station)
    return Said(it, words=rung_words(it, station, units))


def objections(station, hand, units):
    return tuple(objection_words(it, units) for it in station.objections(hand))


def remedies(station, units):
    return tuple(change_words(it, units) for it in station.remedies)


def propose(wanted, bag, units):
    return tuple(Said(it, words=proposal_words(it, units)) for it in proposed(wanted, bag, units))
