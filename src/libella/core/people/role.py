"""Roles and what each may do, without a word on how it is asked for."""

from collections.abc import Mapping
from typing import Final, Literal

Role = Literal["owner", "coach", "assistant", "golfer"]
Act = Literal["own", "read", "record", "judge", "delete", "studio", "people"]
"""What somebody may do.

own : see what is released of himself
read : see golfers, lessons, and what they say
record : golfers, lessons, what is laid, and everything that is read in them; undo and void of a reading
judge : choose what is worked on, hold schools and numbers of one's own
delete : take away what others entered: lessons, files, kept stations
studio : what the whole studio uses: bag, bands, archives in and out
people : accounts and who did what
"""
MAY: Final[Mapping[Role, frozenset[Act]]] = {
    "owner": frozenset(("own", "read", "record", "judge", "delete", "studio", "people")),
    "coach": frozenset(("own", "read", "record", "judge", "delete")),
    "assistant": frozenset(("own", "read", "record")),
    "golfer": frozenset(("own",)),
}
"""The one table of what each role may do; which request is which act stands in `api.people.roles`."""
