"""What can't be said of a finding, in words."""

from typing import Final

from ..shared.refusals import KNOWN, Template

REFUSALS: Final[dict[str, Template]] = {
    "no_cause": ("There is no cause “{named}”.", KNOWN),
    "band_lacks_link": ("A band says something of every link; {link} is missing.", "bias and spread"),
    "golfer_or_level": ("An opinion is held of a golfer or of a level, not of both.", "one of them"),
    "reason_wanted": ("A rejected finding needs a reason.", "a few words"),
    "own_words_wanted": ("What is it instead? In your own words.", "a few words"),
}
LABELS: Final[dict[str, str]] = {
    "cause": "Cause",
    "opinion": "What is held",
    "band_bias": "Bias of the band",
    "band_spread": "Spread of the band",
    "band_cost": "What a bias may cost",
    "band_lost": "What is lost inside the window",
}
CONFLICTS: Final[dict[str, Template]] = {
    "band_version": ("A version with this id is kept already and says something else.", "Keep it again."),
    "sides_of_others": ("These are lessons of two golfers.", "Compare two of one golfer."),
    "sides_the_same": ("That is the same on both sides.", "Choose another lesson or block."),
    "opinion_version": ("An opinion with this id is kept already and says something else.", "Keep it again."),
    "lines_not_of_one_link": ("Two lines are set beside each other link by link.", "Choose two lines of one link."),
    "line_join": ("A join with this id is kept already and says something else.", "Join them again."),
    "finding_answer": ("An answer with this id is kept already and says something else.", "Answer again."),
}
