"""Signatures as Jugalis makes them: ECDSA on the curve P-256 with SHA-256 (FIPS 186-5). Only checks; not for secrets."""
import base64
import hashlib

# The curve, and how its keys begin as SubjectPublicKeyInfo.
P = 2**256 - 2**224 + 2**192 + 2**96 - 1
N = 0xFFFFFFFF00000000FFFFFFFFFFFFFFFFBCE6FAADA7179E84F3B9CAC2FC632551
G = (
    0x6B17D1F2E12C4247F8BCE6E563A440F277037D812DEB33A0F4A13945D898C296,
    0x4FE342E2FE1A7F9B8EE7EB4A7C0F9E162BCE33576B315ECECBB6406837BF51F5,
)
SPKI = bytes.fromhex("3059301306072a8648ce3d020106082a8648ce3d03010703420004")


def added(one, other):
    """Sum of two points of the curve; None is the point at infinity."""
    if one is None or other is None:
        return one or other
    if one[0] == other[0] and (one[1] + other[1]) % P == 0:
        return None
    over, under = (3 * one[0] ** 2 - 3, 2 * one[1]) if one == other else (other[1] - one[1], other[0] - one[0])
    slope = over * pow(under, -1, P)
    x = (slope**2 - one[0] - other[0]) % P
    return x, (slope * (one[0] - x) - one[1]) % P


def times(factor, point):
    """A point so many times."""
    total = None
    while factor:
        if factor & 1:
            total = added(total, point)
        point, factor = added(point, point), factor >> 1
    return total


def decoded(text):
    """Bytes of a base64url text."""
    return base64.urlsafe_b64decode(text + "=" * (-len(text) % 4))


def stands(spki, signature, text):
    """ECDSA: does the signature stand under the text by this key?"""
    if not spki.startswith(SPKI) or len(signature) != 64:
        return False
    point = int.from_bytes(spki[-64:-32], "big"), int.from_bytes(spki[-32:], "big")
    r, s = int.from_bytes(signature[:32], "big"), int.from_bytes(signature[32:], "big")
    if not (0 < r < N and 0 < s < N):
        return False
    e, w = int.from_bytes(hashlib.sha256(text.encode("utf-8")).digest(), "big"), pow(s, -1, N)
    found = added(times(e * w % N, G), times(r * w % N, point))
    return found is not None and found[0] % N == r


def key_id(spki):
    """What a key is called: the beginning of its own hash."""
    return hashlib.sha256(decoded(spki)).hexdigest()[:32]
