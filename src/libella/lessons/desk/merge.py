"""Two people with one thing open: what each of them changed is kept, and nothing is written over unseen."""

from collections.abc import Mapping

from .problem import Changed


def merged(stands: Mapping[str, object], told: Mapping[str, object], seen: Mapping[str, object]) -> dict[str, object]:
    """What to keep of what somebody says, who saw `seen` when they began, where it says `stands` by now.

    A field they left as they saw it stays as it stands; one they changed is taken over, and so is one they never saw.

    Raises
    ------
    Changed
        where they changed a field that says something else by now, and not the same: nothing is kept.
    """
    kept: dict[str, object] = {}
    lost: dict[str, tuple[str, str]] = {}
    for name, said in told.items():
        if name not in seen:
            kept[name] = said
        elif said == seen[name]:
            kept[name] = stands[name]
        elif stands[name] in (seen[name], said):
            kept[name] = said
        else:
            lost[name] = _shown(stands[name]), _shown(seen[name])
    if lost:
        raise Changed(lost)
    return kept


def _shown(value: object) -> str:
    return "" if value is None else str(value)[:80]
