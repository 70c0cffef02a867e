"""`./backup` and `./restore`: everything kept into one file, and back."""

import argparse
import contextlib
import sys
from datetime import datetime
from pathlib import Path

from psycopg import OperationalError
from psycopg.errors import DiskFull
from sqlalchemy.exc import ArgumentError

from ..api.base.settings import Settings
from ..store.server.backup import BackupError, restore, save
from ..store.server.cluster import Cluster, ClusterError
from ..store.server.database import DataNewer
from ..store.server.fence import NoRole
from .folder import DATA
from .terminal import refuse, say


def main() -> int:
    words = argparse.ArgumentParser(description="Back up or restore everything Libella keeps.")
    which = words.add_subparsers(dest="what", required=True)
    out = which.add_parser("backup", prog="./backup", help="write a backup, and check it by restoring it")
    out.add_argument("file", nargs="?", type=Path, help="where to; a name with the date if none is given")
    back = which.add_parser("restore", prog="./restore", help="restore a backup into an empty place")
    back.add_argument("file", type=Path)
    back.add_argument("--over", action="store_true", help="also where something is kept; it is put aside, not deleted")
    options = words.parse_args()
    try:
        with contextlib.ExitStack() as stack:
            settings = Settings()
            url = settings.database_url or stack.enter_context(Cluster(settings.folder or DATA).running())
            if options.what == "backup":
                file = options.file or _place(settings.folder) / f"libella-{datetime.now():%Y-%m-%d-%H%M}.backup"
                rows = save(url, file)
                told = ", ".join(f"{rows.get(it, 0)} {it}s" for it in ("golfer", "lesson", "reading"))
                say(f"{file}: {told}; restored into an empty place and found the same.")
            else:
                before = restore(url, options.file, over=options.over)
                aside = f" What stood there is kept as the database {before}." if before else ""
                say(f"Restored {options.file}.{aside}")
    except (BackupError, ClusterError, DataNewer, NoRole, ArgumentError) as problem:
        return refuse(str(problem))
    except DiskFull:
        return refuse("The database's disk is full; nothing was changed.")
    except OperationalError as problem:
        return refuse(f"The database does not answer: {str(problem).strip()}")
    return 0


def _place(folder: Path | None) -> Path:
    """Where a backup goes of which nobody said where: of a served floor beside what is served, else here."""
    if folder is None:
        return Path()
    (folder / "backups").mkdir(parents=True, exist_ok=True)
    return folder / "backups"


if __name__ == "__main__":
    sys.exit(main())
