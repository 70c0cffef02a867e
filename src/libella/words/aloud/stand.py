"""What is said under Stand."""

from itertools import product

from ...core.stand.set_up import ENTRIES as SET_UP
from ...core.stand.set_up import beside, wander
from ..stand.set_up import noted_words, stand_brief, stand_line, value_words, wander_words
from .reading import Reading


def stand_aloud(it: Reading) -> None:
    for name, entry in SET_UP.items():
        values = list(entry.options) or [entry.low, (entry.low + entry.high) / 2, entry.high]
        for one, other in product(values[:3], repeat=2):
            it.say("stand", value_words, name, one, it.units)
            for noted in (*beside({name: one}, {name: other}), *beside({name: one}, None), *beside({}, {name: other})):
                it.say("stand", noted_words, noted, it.units)
        times = [{name: one} for one in values * 2]
        for loose in (*wander(times), *wander([{name: values[0]}] * 4), *wander(times[:1])):
            it.say("stand", wander_words, loose, it.units)
        for again in (True, False):
            noted = beside({name: values[0]}, {name: values[-1]})
            it.say("stand", stand_line, noted, wander(times), again=again, units=it.units)
            it.say("stand", stand_brief, noted, wander(times))
            it.say("stand", stand_line, (*noted, *noted), (), again=again, units=it.units)
            same = beside({name: values[0]}, {name: values[0]})
            it.say("stand", stand_line, same, (), again=again, units=it.units)
            it.say("stand", stand_line, noted, (), again=again, units=it.units)
            it.say("stand", stand_line, (), (), again=again, units=it.units)
            it.say("stand", stand_brief, (), ())
            it.say("stand", stand_brief, noted, ())
