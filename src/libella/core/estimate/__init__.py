"""From readings to bias and spread, with what is not known kept in view (handbook 5)."""

from .posterior import LAPSE_SHARE, PATH, START, Posterior, Prior, posterior
from .summary import Summary, summarise

__all__ = ["LAPSE_SHARE", "PATH", "START", "Posterior", "Prior", "Summary", "posterior", "summarise"]
