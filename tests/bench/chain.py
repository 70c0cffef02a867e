"""Compensations said of simulated golfers: where aim and stroke are independent in truth, and where one undoes the
other.

Asked of independent ones, with a repeat check of five readings: "clear" in at most 6 %, at least "likely" in at most
15 %;
without one never more than a question, also where the truth is twice what is stated. Of a true one (the stroke undoes
85 % of the aim's scatter of 1.0°, reading error 0.3° known by a check): at least likely in 70 % at 20 putts.
"""

import sys
from collections import Counter

import numpy as np

from libella.core.judge.compensation import Reader, putt_by_putt

CHECKS = 5


def block(rng: np.random.Generator, putts: int, error: float, undone: float):
    aim = rng.normal(0, 1.0, putts)
    impact = aim - undone * aim + rng.normal(0, 0.7, putts)
    return aim + rng.normal(0, error, putts), impact


def reader(rng: np.random.Generator, error: float, checked: bool, stated: float) -> Reader:
    if not checked:
        return Reader(stated, 0, zero_deg=0.4, one_device=False)
    noise = float(np.std(rng.normal(0, error, CHECKS), ddof=1))
    return Reader(noise, CHECKS, zero_deg=max(noise / CHECKS**0.5, 0.1))


def said(putts: int, error: float, blocks: int, *, undone: float = 0.0, checked: bool = True, stated: float = 0.0):
    rng = np.random.default_rng(21)
    words: Counter = Counter()
    for _ in range(blocks):
        found = putt_by_putt(*block(rng, putts, error, undone), reader(rng, error, checked, stated))
        words["question" if found.question else found.call.word] += 1
    return {it: words[it] / blocks for it in ("clear", "likely", "question", "none", "open")}


def main() -> None:
    blocks = int(sys.argv[1]) if len(sys.argv) > 1 else 4000
    print(f"{blocks} blocks a cell; aim scatters by 1.0°, the stroke by 0.7°")
    print("truth        putts error | checked: clear, at least likely | stated: question, more | half stated: same")
    for undone, errors in ((0.0, (0.0, 0.5, 1.0)), (0.85, (0.3,))):
        for putts in (10, 20, 40):
            for error in errors:
                one = said(putts, error, blocks, undone=undone)
                two, half = (
                    said(putts, error, blocks // 4, undone=undone, checked=False, stated=error / by) for by in (1, 2)
                )
                cells = " | ".join(f"{it['question']:6.1%}, {it['clear'] + it['likely']:5.1%}" for it in (two, half))
                likely = one["clear"] + one["likely"]
                name = f"undoes {undone:.0%}" if undone else "independent"
                print(
                    f"{name:12} {putts:4}  {error:.1f}°  | {one['clear']:6.1%}, {likely:6.1%} | {cells}",
                    flush=True,
                )


if __name__ == "__main__":
    main()
