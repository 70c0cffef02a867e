"""Findings speak the coach's units to the last detail."""

import re

from libella.core.certainty.estimate import Estimate
from libella.core.judge.findings.finding import Fact
from libella.words.judge.findings import FACTS, fact_said


def test_where_it_is_struck_and_what_that_does_are_told_in_inches_in_feet():
    size = Estimate(6.35, 3.0, 9.0)
    off = fact_said(Fact("strike_off", "for", size, unit="mm", number=7), "feet")
    assert off.startswith("The strike lies 1/4 in towards the toe (± 1/8 in)")
    goes = fact_said(Fact("start_goes_with_strike", "for", Estimate(0.1, 0.05, 0.15)), "feet")
    assert goes == "Starts go with the strike: +0.32° for every ⅛ in towards the toe."
    assert fact_said(Fact("strike_off", "for", size, unit="mm", number=7), "metric").startswith("The strike lies 6 mm")


def test_no_fact_says_a_metric_length_in_feet():
    for what in FACTS:
        for unit in ("deg", "mm"):
            said = fact_said(
                Fact(what, "for", Estimate(4.0, 2.0, 6.0), unit=unit, number=3, of=7, length_m=2.5), "feet"
            )
            assert not re.search(r"\b(mm|cm|m|millimetre)\b", said), said
