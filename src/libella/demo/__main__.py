"""`./demo`: start the database, bring it up to date, load the demo if it is empty, serve on loopback."""

import argparse
import contextlib
import signal
import socket
import sys
from datetime import UTC, datetime

from pydantic import ValidationError
from sqlalchemy import Engine
from sqlalchemy.exc import OperationalError

from ..api.base.settings import Settings
from ..api.watch.log import set_up_log
from ..lessons.desk.desk import open_desk
from ..lessons.lesson.lessons import own_lessons
from ..store.server.cluster import Cluster, ClusterError
from ..store.server.database import DataNewer, clear, connect, migrate
from ..store.server.fence import NoRole
from .folder import DATA, STANDINS
from .launcher import ProgramLauncher
from .scenario import is_empty, is_half_loaded, load
from .serving import serve
from .terminal import refuse, say


def main() -> int:
    words = argparse.ArgumentParser(prog="./demo", description="Start Libella on this machine.")
    words.add_argument("--fresh", action="store_true", help="start the demo data over (asks first)")
    words.add_argument("--yes", action="store_true", help="with --fresh: do not ask")
    words.add_argument("--fill", action="store_true", help="make and fill the database, and serve nothing yet")
    options = words.parse_args()
    try:
        settings = Settings()
    except ValidationError as problem:
        fault = problem.errors()[0]
        return refuse(f"LIBELLA_{str(fault['loc'][0]).upper()}: {fault['msg']}.")
    for name in (signal.SIGTERM, signal.SIGHUP):
        signal.signal(name, lambda *_: sys.exit(0))
    if not options.fill and not _is_free(settings.port):
        return refuse(
            f"Port {settings.port} is taken. Stop what uses it, or choose another: "
            f"LIBELLA_PORT={settings.port + 1} ./demo"
        )
    set_up_log(settings.log)
    try:
        with contextlib.ExitStack() as stack:
            url = settings.database_url
            if not url:
                cluster = Cluster(DATA, watched=True)
                say(f"PostgreSQL: starting, data in {cluster.folder}")
                url = stack.enter_context(cluster.running())
            engine = connect(url)
            stack.callback(engine.dispose)
            if options.fresh and not _start_over(engine, sure=options.yes):
                return 1
            migrate(engine)
            desk = open_desk(engine)
            if is_half_loaded(desk):
                say("Demo: its loading was interrupted; starting it over")
                clear(engine)
                migrate(engine)
                desk = open_desk(engine)
            if is_empty(desk):
                say("Demo: an invented floor, invented golfers")
                load(desk, datetime.now(UTC), lambda who: say(f"Demo: {who}"))
            if options.fill:
                return 0
            launcher = ProgramLauncher(settings.port, STANDINS)
            stack.callback(launcher.stop_all)
            serve(engine, url, settings, launcher)
    except (KeyboardInterrupt, SystemExit):
        pass
    except (ClusterError, DataNewer, NoRole) as problem:
        return refuse(str(problem))
    except OperationalError as problem:
        return refuse(f"The database does not answer: {str(problem.orig).strip()}\nCheck LIBELLA_DATABASE_URL.")
    say("Stopped.")
    return 0


def _start_over(engine: Engine, *, sure: bool) -> bool:
    migrate(engine)
    own = own_lessons(open_desk(engine))
    if own and not sure:
        said = f"{own} lesson{'s' if own > 1 else ''} of your own would be lost"
        if not sys.stdin.isatty():
            refuse(f"{said}. Say ./demo --fresh --yes to start over all the same.")
            return False
        if input(f"libella: {said}. Type yes to start over: ").strip().lower() != "yes":
            say("Nothing was changed.")
            return False
    clear(engine)
    engine.dispose()
    return True


def _is_free(port: int) -> bool:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except OSError:
            return False
        return True


if __name__ == "__main__":
    sys.exit(main())
