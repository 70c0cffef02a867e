"""A short run of requests of every kind; tests/bench/requests.py goes on for ten minutes."""

from libella.api.app import create_app

from .any_request import Asked


def test_no_request_makes_the_server_stumble_or_answer_what_it_does_not_describe(coach, engine):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson)
    putt = coach.putt(block["id"], {"offset_m": 0.0})
    known = {"lessons": lesson["id"], "golfers": lesson["golfer_id"], "blocks": block["id"]}
    known |= {"readings": putt["id"], "stations": block["station_id"]}
    asked = Asked(create_app(engine), known)
    asked.ask(2)
    assert asked.faults == []
    assert len(asked.sent) > 100
