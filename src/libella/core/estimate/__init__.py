"""From readings to bias and spread, with what is not known kept in view (handbook 5)."""

from .posterior import LAPSE_SHARE, PATH, START, Posterior, Prior, posterior
from .summary import Estimate, Summary, estimated, summarise

__all__ = [
    "LAPSE_SHARE",
    "PATH",
    "START",
    "Estimate",
    "Posterior",
    "Prior",
    "Summary",
    "estimated",
    "posterior",
    "summarise",
]
