"""By which names and addresses this machine is reached."""

import re
import socket
from collections.abc import Sequence
from ipaddress import ip_network

from ..api.watch.front import is_address

_NAME = re.compile(r"(?!-)[a-z0-9-]{1,63}(?<!-)(\.(?!-)[a-z0-9-]{1,63}(?<!-))*", re.I)


def is_name(told: str) -> bool:
    """A host name or an address, and nothing that could be taken for more."""
    return is_address(told) or bool(_NAME.fullmatch(told))


def own_names() -> Sequence[str]:
    """What it calls itself on the local network, and the address it is reached at there; the name first."""
    name = socket.gethostname().lower()
    told = [name if "." in name else f"{name}.local"]
    with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe:
        try:
            # Nothing is sent: it tells which of this machine's addresses leads to others.
            probe.connect(("192.0.2.1", 9))
            told.append(probe.getsockname()[0])
        except OSError:
            pass
    return tuple(it for it in dict.fromkeys(told) if is_name(it) and not it.startswith("127."))


def is_range(told: str) -> bool:
    """An address, or a range of them as 192.0.2.0/24."""
    try:
        ip_network(told)
    except ValueError:
        return False
    return True
