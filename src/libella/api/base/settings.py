"""What the environment says."""

from pathlib import Path
from typing import Literal

from pydantic import Field
from pydantic_settings import BaseSettings, SettingsConfigDict

from ..watch.log import Form


class Settings(BaseSettings):
    """Each by its name in capitals after LIBELLA_: LIBELLA_DATABASE_URL, LIBELLA_PORT, …"""

    model_config = SettingsConfigDict(env_prefix="LIBELLA_")

    database_url: str = Field(default="", description="A PostgreSQL server to use instead of the project's own.")
    pool_url: str = Field(
        default="", description="A pool before that server which lends a connection for one transaction."
    )
    port: int = Field(default=8090, ge=1024, le=65535, description="Port on loopback.")
    workers: int = Field(default=1, ge=1, le=16, description="Processes that serve it together.")
    kept_in: Path | None = Field(
        default=None,
        description="The folder on whose disk it is kept, where the server is not the project's.",
    )
    metrics_port: int = Field(default=0, ge=0, le=65535, description="Port on loopback for metrics; 0: none.")
    log: Form = Field(default="words", description="How the log is written.")
    signed: bool = Field(default=False, description="Everybody has to sign in; ./serve sets it.")
    names: str = Field(
        default="", description="By which names and addresses it is opened, with commas between; ./serve finds its own."
    )
    https_port: int = Field(default=8443, ge=1, le=65535, description="Where ./serve is opened, by TLS.")
    folder: Path | None = Field(default=None, description="Where ./serve keeps everything.")
    certificate: Literal["own", "public"] = Field(
        default="own", description="From an authority of its own on a local network, or a public one for real names."
    )
    forwarders: str = Field(
        default="",
        description="Addresses or ranges of another proxy before ./serve, with commas between: believed when it says "
        "for whom it asks.",
    )
    requests_a_minute: int = Field(
        default=0, ge=0, le=100_000, description="From one address, and ten times as many in all; 0: as many as come."
    )

    backup_days: int = Field(
        default=90,
        ge=0,
        le=3650,
        description="Backups beside the database go after so many days; 0: never.",
    )

    @property
    def hosts(self) -> tuple[str, ...]:
        """The names, each by itself."""
        return _each(self.names)

    @property
    def forwarding(self) -> tuple[str, ...]:
        """The forwarders, each by itself."""
        return _each(self.forwarders)


def _each(told: str) -> tuple[str, ...]:
    return tuple(it for one in told.split(",") if (it := one.strip()))
