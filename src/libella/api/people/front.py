"""How other devices open it: its addresses, and the authority whose word they take for it."""

import io
from typing import Literal

import segno
from fastapi import Request
from fastapi.responses import Response
from pydantic import BaseModel, Field

from ...lessons.desk.problem import NotFound
from ..base.router import Router
from ..watch.front import Front

router = Router(prefix="/front", tags=["front"])


class FrontOut(BaseModel):
    """Where it is opened from elsewhere; no address where it is on this machine alone."""

    addresses: list[str] = Field(description="as they are typed, the one to be told first")
    picture: str | None = Field(description="the first of them, to be held before a camera (SVG)")
    vouches: Literal["nobody", "own", "public"] = Field(description="whose word a device takes for it")
    fingerprint: str | None = Field(description="of the certificate of its own authority (SHA-256), to be compared")


@router.get("")
def told(request: Request) -> FrontOut:
    """Told to whoever asks: a device has to know it before anybody is signed in there."""
    front: Front | None = request.app.state.front
    if front is None:
        return FrontOut(addresses=[], picture=None, vouches="nobody", fingerprint=None)
    address = front.addresses[0]
    return FrontOut(
        addresses=list(front.addresses),
        picture=picture_of(f"{address}/trust"),
        vouches=front.vouches,
        fingerprint=front.fingerprint,
    )


@router.get("/authority", responses={200: {"content": {"application/x-x509-ca-cert": {}}}})
def authority(request: Request) -> Response:
    """The certificate of the authority of its own: what a device is to trust. It is no secret."""
    front: Front | None = request.app.state.front
    kept = front.authority if front else None
    if kept is None:
        raise NotFound("authority")
    name = {"content-disposition": 'attachment; filename="libella-authority.crt"'}
    return Response(kept, media_type="application/x-x509-ca-cert", headers=name)


def picture_of(link: str) -> str:
    """A link to be held before a camera (SVG)."""
    picture = io.BytesIO()
    segno.make(link, error="m").save(picture, kind="svg", scale=4, border=4, xmldecl=False)
    return picture.getvalue().decode()
