"""Two people with one thing open: what each of them changed is kept, and nothing is written over unseen."""

from collections.abc import Mapping

from .problem import Changed


def merged(stands: Mapping[str, object], told: Mapping[str, object], *seen: Mapping[str, object]) -> dict[str, object]:
    """What to keep of what somebody says, where it says `stands` by now.

    `seen`: what they saw when they began, and what they said themselves since that nobody answered yet. A field they
    left as they saw it stays as it stands; one they changed is taken over, and so is one they never saw.

    Raises
    ------
    Changed
        where they changed a field that says something else by now, and not the same: nothing is kept.
    """
    kept: dict[str, object] = {}
    lost: dict[str, tuple[str, str]] = {}
    for name, said in told.items():
        before = [it[name] for it in seen if name in it]
        if not before:
            kept[name] = said
        elif all(it == said for it in before):
            kept[name] = stands[name]
        elif stands[name] in (*before, said):
            kept[name] = said
        else:
            lost[name] = _shown(stands[name]), _shown(before[0])
    if lost:
        raise Changed(lost)
    return kept


def _shown(value: object) -> str:
    return "" if value is None else str(value)[:80]
