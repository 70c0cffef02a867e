"""Print the OpenAPI description: `python -m libella.api`. The front end's types are made from it."""

import json

from sqlalchemy import create_engine

from .app import create_app

# Describing needs no database: the engine connects at its first use, which never comes.
print(json.dumps(create_app(create_engine("postgresql+psycopg://")).openapi(), indent=1))
