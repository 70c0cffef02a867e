"""What is asked by whoever has not come in: garbage is told what it is, and nothing stumbles over it."""

import json

import pytest

from libella.api.people.roles import ANYBODY, BY_OWN_KEY

GARBAGE = ["\x00", "a\x00b", "\ud800", "﷽" * 3000, "-1", "' or 1=1 --", "\u202e\u0007", "AA==\x00", "x" * 50_000]
DOORS = sorted(it for it in ANYBODY | BY_OWN_KEY if not it.startswith("WS"))


def bodies(schema: dict, told: dict, said: object) -> object:
    """A body of that shape with the same garbage in every place of it."""
    if "$ref" in schema:
        return bodies(told[schema["$ref"].split("/")[-1]], told, said)
    for some in ("anyOf", "oneOf", "allOf"):
        if some in schema:
            return bodies(schema[some][0], told, said)
    if "properties" in schema:
        return {name: bodies(it, told, said) for name, it in schema["properties"].items()}
    if schema.get("type") == "object":
        inner = {"clientDataJSON": said, "authenticatorData": said, "signature": said, "userHandle": said}
        return {"id": said, "rawId": said, "type": "public-key", "response": inner, str(said): said}
    if schema.get("type") == "array":
        return [bodies(schema.get("items", {}), told, said)]
    return schema.get("const", schema.get("enum", [said])[0])


@pytest.mark.parametrize("door", DOORS)
def test_no_garbage_makes_an_open_door_stumble(floor, door):
    floor.first()
    stranger = floor.browser()
    way, path = door.split(" ")
    described = stranger.client.app.openapi()
    operation = described["paths"][path][way.lower()]
    shape = operation.get("requestBody", {}).get("content", {}).get("application/json", {}).get("schema", {})
    answers = []
    for said in GARBAGE:
        body = bodies(shape, described["components"]["schemas"], said) if shape else None
        told = [json.dumps(body), json.dumps([body] * 3), json.dumps(said), f"{{{said!r}", "[" * 9000, "\x00"]
        for content in told if way != "GET" else [""]:
            head = {
                "content-type": "application/json",
                "authorization": f"Bearer {said.encode('ascii', 'replace')[:99]!r}",
            }
            answers.append(stranger.client.request(way, path, content=content.encode("utf-8", "replace"), headers=head))
        answers.append(stranger.client.request(way, path, params={"units": said.encode("utf-8", "replace")[:200]}))
        head = {"cookie": f"libella={said.encode('ascii', 'replace')[:99]!r}; x=\x01", "x-forwarded-for": "\x01"}
        answers.append(stranger.client.request(way, path, headers=head))
    # A body that is none of the shape is told so; whoever guesses too often, that too.
    assert [(it.status_code, it.text[:200]) for it in answers if it.status_code >= 500] == []
