"""`./standin face_and_path 402913`: a stand-in for a device, paired with the code that the coach's screen shows."""

import argparse
import sys
import time

from .device import FAULTS, Habit, run
from .link import Link, NotPaired, pair


def main() -> int:
    words = argparse.ArgumentParser(
        prog="./standin", description="A stand-in for a device, driven by a simulated golfer."
    )
    words.add_argument("kind", choices=["face_and_path", "start_board", "level"])
    words.add_argument("code", help="six digits, as the coach's screen shows them")
    words.add_argument("--url", default="http://127.0.0.1:8090")
    words.add_argument("--every", type=float, default=12.0, metavar="S", help="seconds between strokes")
    words.add_argument("--strokes", type=int, default=0, help="strokes until it stops; 0 goes on")
    words.add_argument("--seed", type=int, default=1, help="two devices with one seed see the same strokes")
    words.add_argument("--distance", type=float, default=2.5, metavar="M", help="length of the putts, m")
    words.add_argument("--fault", action="append", default=[], choices=FAULTS, help="what goes wrong; may be repeated")
    options = words.parse_args()
    device = f"standin-{options.kind}"
    link: Link | None = None
    try:
        link = Link(options.url, pair(options.url, options.code, device), device)
        print(f"{device}: paired", flush=True)
        habit = Habit(options.every, options.strokes, frozenset(options.fault), options.seed, options.distance)
        while True:
            try:
                run(link, options.kind, habit)
                break
            except OSError:
                time.sleep(1)
    except NotPaired as refused:
        print(f"{device}: {refused}", file=sys.stderr)
        return 1
    except OSError as fault:
        print(f"{device}: {options.url} does not answer ({fault})", file=sys.stderr)
        return 1
    except KeyboardInterrupt:
        pass
    print(f"{device}: stopped, {len(link.unanswered) if link else 0} strokes unanswered", flush=True)
    return 0


if __name__ == "__main__":
    sys.exit(main())
