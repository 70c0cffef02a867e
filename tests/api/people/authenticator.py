"""A device that makes passkeys and signs with them, as WebAuthn writes what browsers tell."""

import hashlib
import json
from dataclasses import dataclass, field

import cbor2
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.hazmat.primitives.hashes import SHA256
from webauthn.helpers import bytes_to_base64url

_PRESENT, _VERIFIED, _WITH_KEY = 0x01, 0x04, 0x40


@dataclass
class Authenticator:
    """One device with one passkey; `verifies`: it asks for face, finger or code before it signs."""

    host: str = "localhost"
    origin: str = "https://localhost"
    verifies: bool = True
    counts: int = 0
    credential: bytes = b"a passkey of this device"
    key: ec.EllipticCurvePrivateKey = field(default_factory=lambda: ec.generate_private_key(ec.SECP256R1()))

    @property
    def name(self) -> str:
        return bytes_to_base64url(self.credential)

    def makes(self, options: dict) -> dict:
        at = self.key.public_key().public_numbers()
        cose = {1: 2, 3: -7, -1: 1, -2: at.x.to_bytes(32, "big"), -3: at.y.to_bytes(32, "big")}
        size = len(self.credential).to_bytes(2, "big")
        data = self._data(_WITH_KEY) + bytes(16) + size + self.credential + cbor2.dumps(cose)
        whole = cbor2.dumps({"fmt": "none", "attStmt": {}, "authData": data})
        return self._told(
            clientDataJSON=self._asked("webauthn.create", options), attestationObject=bytes_to_base64url(whole)
        )

    def signs(self, options: dict) -> dict:
        self.counts += 1
        asked, data = self._asked("webauthn.get", options), self._data(0)
        # What is signed says what was asked by its digest alone.
        digest = hashlib.sha256(self._client(("webauthn.get", options["challenge"]))).digest()
        signature = self.key.sign(data + digest, ec.ECDSA(SHA256()))
        return self._told(
            clientDataJSON=asked,
            authenticatorData=bytes_to_base64url(data),
            signature=bytes_to_base64url(signature),
        )

    def _data(self, flags: int) -> bytes:
        said = _PRESENT | (_VERIFIED if self.verifies else 0) | flags
        return hashlib.sha256(self.host.encode()).digest() + bytes([said]) + self.counts.to_bytes(4, "big")

    def _client(self, asked: tuple[str, str]) -> bytes:
        return json.dumps({"type": asked[0], "challenge": asked[1], "origin": self.origin}).encode()

    def _asked(self, kind: str, options: dict) -> str:
        return bytes_to_base64url(self._client((kind, options["challenge"])))

    def _told(self, **response: str) -> dict:
        return {"id": self.name, "rawId": self.name, "type": "public-key", "response": response}
