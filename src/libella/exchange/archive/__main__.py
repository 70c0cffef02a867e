"""The archive's JSON Schema, to be published: `python -m libella.exchange.archive`."""

import json

from .form import schema

print(json.dumps(schema(), indent=1))
