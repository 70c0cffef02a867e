"""From readings to bias and spread, with what is not known kept in view (handbook 5)."""

from .posterior import LAPSE_SHARE, START, Posterior, Prior, posterior
from .summary import Estimate, Summary, summarise

__all__ = ["LAPSE_SHARE", "START", "Estimate", "Posterior", "Prior", "Summary", "posterior", "summarise"]
