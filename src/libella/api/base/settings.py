"""What the environment says."""

from pydantic import Field
from pydantic_settings import BaseSettings, SettingsConfigDict


class Settings(BaseSettings):
    """LIBELLA_DATABASE_URL, LIBELLA_PORT, LIBELLA_WORKERS."""

    model_config = SettingsConfigDict(env_prefix="LIBELLA_")

    database_url: str = Field(default="", description="A PostgreSQL server to use instead of the project's own.")
    port: int = Field(default=8090, ge=1024, le=65535, description="Port on loopback.")
    workers: int = Field(default=1, ge=1, le=16, description="Processes that serve it together.")
