"""Whether the next check named tells more than one at random: `python -m tests.bench.next_check [lessons]`.

Whole lessons of golfers with known causes, of which all but the putts and some of the rest is hidden; the check named,
or a random one, uncovers its part.
"""

import sys
from dataclasses import replace

import numpy as np

from libella.core.judge.findings.case import Case
from libella.core.judge.findings.next_check import CheckName, checks
from libella.core.judge.findings.ranked import judged
from libella.core.judge.ledger.entry import Batch, Ledger
from tests.golfers.kept import KEPT
from tests.golfers.lesson import Size, lesson
from tests.golfers.tuned import TUNED

UNCOVERED: tuple[CheckName, ...] = (
    "what_looks_straight",
    "marks",
    "set_downs",
    "sensor",
    "strike",
    "stillness",
    "finish",
    "without_guide",
    "three_lengths",
    "second_proof",
)
_WHOLE = Size(strike=True, still=True, guide=10, lengths=(2.5, 1.5, 4.5), finish=True, second_proof=True, putts=36)


def shown(it: Ledger, seen: set[CheckName]) -> Ledger:
    """The ledger with only what those checks read, and the starts at one length."""
    hidden = {
        *(() if "stillness" in seen else ("still",)),
        *(() if "finish" in seen else ("holed", "missed_side", "stopped", "roll_past")),
        *(() if "strike" in seen else ("strike", "strike_high")),
        *(() if "sensor" in seen else ("address", "impact", "turned", "path")),
    }
    asked = {"picture": "what_looks_straight", "mark": "marks", "face": "set_downs"}
    found: list[Batch] = []
    first = next(one.id for one in it.batches if one.putted)
    for one in it.batches:
        if one.putted is None:
            if asked[one.id] in seen:
                found.append(one)
            continue
        # "Without the guide" is asked of a golfer seen with one: here those putts are what it adds.
        if one.id == first or ("three_lengths" in seen and not one.guided) or ("without_guide" in seen and one.guided):
            events = (
                replace(each, values={name: value for name, value in each.values.items() if name not in hidden})
                for each in one.events
            )
            found.append(replace(one, events=tuple(events)))
    proved = "second_proof" in seen
    return replace(
        it,
        batches=tuple(replace(one, proved=proved) for one in found),
        proof=it.proof if proved else None,
        line_deg=it.line_deg if proved else None,
    )


def right(it: Ledger, causes: tuple[str, ...]) -> bool:
    """Whether the first finding is a true cause."""
    return judged(Case(it)).ranked[0].cause in causes


def main() -> None:
    lessons = int(sys.argv[1]) if len(sys.argv) > 1 else 6
    before, named, other, of = 0, 0, 0, 0
    for nth, truth in enumerate((*TUNED, *KEPT)):
        for n in range(lessons):
            rng = np.random.default_rng([n, nth, 19])
            whole = lesson(truth, _WHOLE, rng)
            seen = {it for it in UNCOVERED if rng.random() < 0.3}
            now = shown(whole, seen)
            case = Case(now)
            found = judged(case)
            hidden = [it for it in UNCOVERED if it not in seen]
            # What was laid is put right only once it was found: unseen, every reading is off by it.
            proposed = [it.name for it in checks(case, found.ranked) if it.name in hidden]
            if not proposed or not hidden:
                continue
            of += 1
            before += found.ranked[0].cause in truth.causes
            named += right(shown(whole, seen | {proposed[0]}), truth.causes)
            other += right(shown(whole, seen | {hidden[int(rng.integers(len(hidden)))]}), truth.causes)
    print(
        f"{of} lessons: right before {before / of:.1%}, after the check named {named / of:.1%}, "
        f"a random one {other / of:.1%}"
    )


if __name__ == "__main__":
    main()
