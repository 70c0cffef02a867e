"""Too tight a guide: good with it, bad without it."""

from dataclasses import replace

import numpy as np

from ....certainty.estimate import estimated
from ....certainty.matter import MATTERS
from ....estimate.cost import cost
from ....estimate.posterior import Floats
from ....estimate.verdict import weighed
from ..case import Case, pooled
from ..currency import Putts, drawn
from ..evidence import Place
from ..finding import Fact, Finding, needs, unread

WITH, WITHOUT = 6, 6


def find(case: Case) -> Finding:
    """What the guide brings while it lies there: the putts lost when it is lifted."""
    told = [it for it in case.evidence.blocks if it.starts and it.as_usual]
    guided, blind = [it for it in told if it.guided], [it for it in told if not it.guided]
    counts = sum(len(it.starts) for it in guided), sum(len(it.starts) for it in blind)
    missing = needs(("guided", counts[0], WITH), ("blind", counts[1], WITHOUT))
    if missing:
        return unread("guide", missing)
    posts = [pooled(it) for it in (guided, blind)]
    rng = np.random.default_rng(17)
    shares: list[Floats] = []
    for post in posts:
        bias, spread = drawn(post)
        order = rng.permutation(bias.size)
        shares.append(Putts(bias[order], spread[order], case.evidence.mix).share())
    gain: Floats = shares[0] - shares[1]
    found = case.by_gain("guide", gain, estimated(posts[1].bias_quantile), missing)
    facts = tuple(
        Fact(
            what,
            "for" if found.is_named else "against",
            estimated(post.bias_quantile),
            number=count,
            at=Place("start", blocks[0].id),
        )
        for what, post, count, blocks in zip(
            ("with_guide", "without_guide"), posts, counts, (guided, blind), strict=True
        )
    )
    return replace(found, facts=facts)


def guided_well(case: Case) -> bool:
    """Whether nothing is said of the guided putts' bias: what the blind ones show is then not in the stroke itself."""
    guided = [it for it in case.evidence.blocks if it.starts and it.as_usual and it.guided]
    if not guided:
        return False
    return not weighed(cost(pooled(guided), case.evidence.mix, MATTERS["start"])).names_direction
