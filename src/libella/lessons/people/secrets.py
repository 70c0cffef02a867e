"""What lets somebody in: made here, told once, kept as a hash."""

import hashlib
import secrets
from typing import Final

from argon2 import PasswordHasher
from argon2.exceptions import InvalidHashError, VerifyMismatchError

_HASHER: Final = PasswordHasher()
"""As argon2-cffi recommends for everybody (RFC 9106, its second choice: 64 MiB, 3 passes)."""
_NOBODY: Final = _HASHER.hash(secrets.token_urlsafe(16))
_LETTERS: Final = "abcdefghjkmnpqrstuvwxyz23456789"
"""None that is taken for another when it is read aloud or written down."""
_CODE_LETTERS: Final = 12


def new_token() -> str:
    """256 bits, as they stand in a cookie or a link."""
    return secrets.token_urlsafe(32)


def new_code() -> str:
    """Sixty bits in three groups, to be written down by hand."""
    told = "".join(secrets.choice(_LETTERS) for _ in range(_CODE_LETTERS))
    return "-".join(told[n : n + 4] for n in range(0, _CODE_LETTERS, 4))


def hash_of(secret: str) -> str:
    """Of what nobody could guess: tokens and codes. Capitals and hyphens of a code are no part of it."""
    return hashlib.sha256(secret.encode()).hexdigest()


def code_hash(code: str) -> str:
    """Of a code as somebody typed it."""
    return hash_of("".join(it for it in code.lower() if it in _LETTERS))


def passphrase_hash(passphrase: str) -> str:
    """Of what somebody might guess."""
    return _HASHER.hash(passphrase)


def is_passphrase(kept: str, told: str) -> bool:
    """Whether it is the one; takes as long where there is none to compare with."""
    try:
        return _HASHER.verify(kept or _NOBODY, told) and bool(kept)
    except (VerifyMismatchError, InvalidHashError):
        return False


def is_out_of_date(kept: str) -> bool:
    """Hashed at another cost than today's."""
    return _HASHER.check_needs_rehash(kept)
