"""A caution is said where its cause is laid, and nowhere else."""

import pytest

from libella.core.green.putt import Putt
from libella.core.instruments import instruments, lay
from libella.core.instruments.cautions import BEYOND_THE_HOLE, LASER, MIRROR_AND_LASER
from libella.core.instruments.rig import Rig
from libella.core.set.station import Station

PUTT = Putt(2.5, 0.35, 10.0)


def station(*kinds):
    laid = [lay(it, {}) for it in kinds]
    rig = next((it for it in laid if isinstance(it, Rig) and it.about.measures == "start"), None) or lay("no_rig", {})
    return Station(PUTT, rig, aids=tuple(it for it in laid if it is not rig))


@pytest.mark.parametrize("kind", instruments())
def test_an_instrument_by_itself_says_its_own_cautions_and_none_of_what_is_not_there(kind):
    about = instruments()[kind].about
    told = station(kind).cautions
    assert (MIRROR_AND_LASER in told) == (about.laser and MIRROR_AND_LASER in about.cautions)
    assert set(LASER) <= set(told) if about.laser else not set(LASER) & set(told)
    assert set(about.cautions) - {MIRROR_AND_LASER, BEYOND_THE_HOLE} <= set(told)


def test_a_mirror_throws_a_beam_up_only_where_there_is_one():
    assert MIRROR_AND_LASER not in station("ground_mirror").cautions
    assert MIRROR_AND_LASER in station("ground_mirror", "putter_laser").cautions


def test_nobody_is_told_not_to_stand_at_the_end_of_a_line_that_is_not_laid():
    assert BEYOND_THE_HOLE not in station("no_rig").cautions
    assert BEYOND_THE_HOLE in station("no_rig", "elevated_string").cautions
