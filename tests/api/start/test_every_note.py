"""Everything that can be noted of a putt, each from the registry: told by the API, taken out as a file and in again."""

import pytest

from libella.core.start.notes import NOTES

from ..keep.test_imports import give, read, take

STRING = [{"kind": "elevated_string", "sizes": {}}]


def _told(name: str) -> str | float:
    """The last option there is, or one step to the side of its higher end."""
    note = NOTES[name]
    return list(note.options)[-1] if note.options else note.step * (3 if note.bounds.low < 0 else 4)


@pytest.mark.parametrize("form", ["csv", "json"])
def test_every_note_is_told_by_the_api_and_comes_back_from_a_file(coach, form):
    golfer = coach.golfer(hand="left")
    lesson = coach.lesson(golfer["id"])
    station = coach.station(lesson["id"], aids=STRING)
    asks = [name for name, it in NOTES.items() if not it.after_touch]
    notes = {name: _told(name) for name in NOTES}
    block = coach.block(lesson=lesson, asks=asks, station_id=station["id"])
    coach.putt(block["id"], {"offset_m": 0.01}, notes=notes)
    [kept] = coach.judged(block["id"])["block"]["readings"]
    assert kept["notes"] == notes
    twin = coach.golfer(hand="left")
    given = give(coach, twin, coach.client.get(f"/api/exports/golfer/{golfer['id']}?form={form}").text)
    found = read(coach, given)
    assert found["bad"] == 0, found["bad_rows"]
    assert take(coach, given["id"])["phase"] == "done"
    [line] = coach.get(f"/golfers/{twin['id']}/lessons")["items"]
    [again] = coach.judged(line["blocks"][0]["id"])["block"]["readings"]
    assert again["notes"] == {it: pytest.approx(value) for it, value in notes.items()}
