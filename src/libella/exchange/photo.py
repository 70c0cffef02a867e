"""Photographs on their way in: made smaller, turned upright, and nothing kept but the picture."""

import io
from typing import Final

from PIL import Image, ImageOps, UnidentifiedImageError

from ..core.measure.limits import OutOfLimits

MOST_BYTES: Final = 25_000_000
MOST_PIXELS: Final = 60_000_000
_EDGE: Final = 1600
_QUALITY: Final = 82
_FORMS: Final = ("JPEG", "PNG", "WEBP")


def small_photo(content: bytes) -> bytes:
    """A JPEG no edge of which is longer than 1600 pixels, without place, device or time in it.

    Raises
    ------
    OutOfLimits
        for what is no photograph, too large a file, or a picture of too many pixels.
    """
    if len(content) > MOST_BYTES:
        raise OutOfLimits("picture", "photo_too_large", most_mb=MOST_BYTES // 1_000_000)
    try:
        # Only the forms a camera gives: the others bring decoders that nothing here needs.
        told = Image.open(io.BytesIO(content), formats=_FORMS)
    except (UnidentifiedImageError, OSError, SyntaxError, ValueError, Image.DecompressionBombError) as why:
        raise OutOfLimits("picture", "no_photo", known=_FORMS) from why
    if told.width * told.height > MOST_PIXELS:
        raise OutOfLimits("picture", "photo_too_many_pixels", most=MOST_PIXELS // 1_000_000)
    try:
        # The one thing a camera's own data is needed for: which way is up.
        upright = ImageOps.exif_transpose(told).convert("RGB")
    except (OSError, SyntaxError, ValueError) as why:
        raise OutOfLimits("picture", "no_photo", known=_FORMS) from why
    upright.thumbnail((_EDGE, _EDGE))
    # A new picture of the same pixels: whatever else was in the file stays behind.
    bare = Image.new("RGB", upright.size)
    bare.paste(upright)
    out = io.BytesIO()
    bare.save(out, "JPEG", quality=_QUALITY)
    return out.getvalue()
