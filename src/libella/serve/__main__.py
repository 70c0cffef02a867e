"""`./serve`: Libella for the whole floor, by TLS, with everybody signed in; `./serve --check` says what is wrong."""

import argparse
import contextlib
import os
import signal
import sys
import threading
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Final

import segno
from pydantic import ValidationError
from sqlalchemy import Engine
from sqlalchemy.exc import OperationalError

from ..api.base.settings import Settings
from ..api.watch.front import Front
from ..api.watch.log import set_up_log
from ..demo.serving import once_answering, serve
from ..demo.terminal import refuse, say
from ..lessons.desk.desk import open_desk
from ..lessons.people.accounts import first_owner
from ..store.server.backup import BackupError, save
from ..store.server.backup_file import BESIDE
from ..store.server.cluster import Cluster, ClusterError
from ..store.server.database import DataNewer, connect, migrate, needs_migration
from ..store.server.fence import NoRole
from .check import look
from .front import FrontError, configured, once_vouched, running
from .names import is_name, is_range, own_names

FOLDER: Final = Path(__file__).parents[3] / ".served"
_FIRST_LASTS: Final = timedelta(hours=1)


def main() -> int:
    words = argparse.ArgumentParser(prog="./serve", description="Serve Libella for the whole floor, by TLS.")
    words.add_argument("--check", action="store_true", help="say what is wrong, and start nothing")
    options = words.parse_args()
    # A workers' settings are read from the environment: what this start decides stands there.
    os.environ["LIBELLA_SIGNED"] = "true"
    try:
        settings = Settings()
    except ValidationError as problem:
        fault = problem.errors()[0]
        return refuse(f"LIBELLA_{str(fault['loc'][0]).upper()}: {fault['msg']}.")
    names = settings.hosts or tuple(own_names())
    folder = (settings.folder or FOLDER).absolute()
    front = Front(names, settings.https_port, folder, settings.certificate, settings.forwarding)
    if options.check:
        return _check(front)
    if not names or not all(map(is_name, names)):
        return refuse("LIBELLA_NAMES: no name of a machine; set it, as LIBELLA_NAMES=floor.local,192.0.2.7.")
    if bad := [it for it in front.forwarders if not is_range(it)]:
        return refuse(f"LIBELLA_FORWARDERS: {', '.join(bad)} is no address, nor a range, as 192.0.2.7 or 192.0.2.0/24.")
    os.environ["LIBELLA_NAMES"], os.environ["LIBELLA_FOLDER"] = ",".join(names), str(folder)
    found = {"names": ",".join(names), "folder": folder, "kept_in": settings.kept_in or folder}
    settings = settings.model_copy(update=found)
    for name in (signal.SIGTERM, signal.SIGHUP):
        signal.signal(name, lambda *_: sys.exit(0))
    set_up_log(settings.log)
    try:
        _run(settings, front)
    except (KeyboardInterrupt, SystemExit):
        pass
    except (ClusterError, DataNewer, NoRole, FrontError, BackupError) as problem:
        return refuse(str(problem))
    except OperationalError as problem:
        return refuse(f"The database does not answer: {str(problem.orig).strip()}\nCheck LIBELLA_DATABASE_URL.")
    say("Stopped.")
    return 0


def _run(settings: Settings, front: Front) -> None:
    folder = front.folder
    folder.mkdir(parents=True, exist_ok=True)
    folder.chmod(0o755)
    with contextlib.ExitStack() as stack:
        url = settings.database_url
        if not url:
            cluster = Cluster(folder, watched=True)
            say(f"PostgreSQL: starting, data in {cluster.folder}")
            url = stack.enter_context(cluster.running())
        engine = connect(url)
        stack.callback(engine.dispose)
        _bring_up_to_date(engine, url, folder)
        stack.enter_context(running(configured(front, settings.port), folder))
        threading.Thread(target=_announce, args=(engine, settings.port, front), daemon=True).start()
        serve(engine, url, settings, None)


def _bring_up_to_date(engine: Engine, url: str, folder: Path) -> None:
    """Back up what an older version kept before this one changes it: ./restore leads back."""
    if needs_migration(engine):
        kept = folder / BESIDE / f"before-{datetime.now():%Y-%m-%d-%H%M%S}.backup"
        kept.parent.mkdir(exist_ok=True)
        say("An older version kept this: backing it up first")
        save(url, kept)
        say(f"Backed up: {kept}; ./restore brings it back to the version before")
    migrate(engine)


def _announce(engine: Engine, port: int, front: Front) -> None:
    """Say it once somebody answers: where it is opened, and, in a new studio, the link that begins it."""
    once_answering(port)
    if not once_vouched(front):
        say("No certificate is shown yet: ./serve --check says more.")
    address, *others = front.addresses
    say(f"Ready: {address}  (Ctrl-C stops it)")
    for other in others:
        say(f"       also {other}")
    if front.fingerprint:
        say(f"How other devices open it: {address}/trust")
        say(f"Its authority, to be compared there: {front.fingerprint}")
    token = first_owner(open_desk(engine), datetime.now(UTC), _FIRST_LASTS)
    if token is not None:
        link = f"{address}/welcome#{token}"
        say("Nobody has an account yet. Open this within an hour, on the device of the owner:")
        print(f"\n  {link}\n", flush=True)
        segno.make(link, error="l").terminal(compact=True)


def _check(front: Front) -> int:
    looked = look(front, datetime.now(UTC))
    for it in looked:
        print(f"{'well ' if it.well else 'WRONG'}  {it.what:12} {it.says}")
    return 0 if all(it.well for it in looked) else 1


if __name__ == "__main__":
    sys.exit(main())
