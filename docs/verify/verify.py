#!/usr/bin/env python3
"""Checks a Jugalis job file: every line of its log, every signature, and where it ends. Needs Python 3, and p256.py beside it.

    verify.py FILE [--head HASH]

HASH: the head of the log as it stands on a paper, whole or its first 8 letters or more. The log must have been there.
Ends with 0 where all holds, 1 where something does not, 2 where it is no job file.
"""
import argparse
import hashlib
import json
import re
import sys

from p256 import decoded, key_id, stands

FORMAT = "jugalis-job-1"
FIRST = "0" * 64


class NotAJob(Exception):
    """What was given is no job file at all."""


class Broken(Exception):
    """The file does not hold."""


def read(path):
    """The file as an object with the fields that the check needs."""
    try:
        with open(path, encoding="utf-8") as file:
            job = json.load(file)
    except (OSError, ValueError, RecursionError) as error:
        raise NotAJob(f"cannot be read: {error}") from error
    if not isinstance(job, dict) or job.get("format") != FORMAT:
        raise NotAJob(f"is not of the format {FORMAT}")
    if not isinstance(job.get("lines"), list) or not isinstance(job.get("head"), dict):
        raise NotAJob("has no lines or no head")
    return job


def without(body, names):
    """The text of an object in canonical form without some of its members."""
    read, at, kept = json.JSONDecoder().raw_decode, 1, []
    while body[at] != "}":
        start = at + (body[at] == ",")
        name, colon = read(body, start)
        _, at = read(body, colon + 1)
        if name not in names:
            kept.append(body[start:at])
    return "{" + ",".join(kept) + "}"


def check_signed(job_id, keys, line, entry):
    """Holds the signatures under a line against their keys. Says whether a device signed it, and which server did."""
    for name, of in (("signed", "device"), ("countersigned", "server")):
        said = line.get(name)
        if said is None:
            continue
        key = keys.get((of, said["key"]))
        if key is None:
            raise Broken(f"line {line['seq']}: the key of its {of} is not in the file")
        if of == "device" and key["personId"] != entry["actorId"]:
            raise Broken(f"line {line['seq']}: it was signed with the key of somebody else")
        own = without(line["body"], ("clockErrorS", "occurredAtS"))
        head = "\n".join(("jugalis-head-1", job_id, str(line["seq"]), line["hash"]))
        text = head if of == "server" else "jugalis-entry-1\n" + own
        if not stands(decoded(key["spki"]), decoded(said["signature"]), text):
            raise Broken(f"line {line['seq']}: it is not what its {of} signed")
    return line.get("signed") is not None, (line.get("countersigned") or {}).get("key")


def check_line(job_id, seq, prev, line):
    """Checks one line over the one before it; gives its entry."""
    if not isinstance(line, dict) or line.get("seq") != seq:
        raise Broken(f"line {seq} is missing")
    parts = [line.get(name) for name in ("recordedAt", "body", "prevHash", "hash")]
    if not all(isinstance(part, str) for part in parts):
        raise Broken(f"line {seq} is not whole")
    recorded_at, body, prev_hash, own = parts
    if prev_hash != prev:
        raise Broken(f"line {seq} does not link to the line before it")
    text = "\n".join((prev, job_id, str(seq), recorded_at, body))
    if hashlib.sha256(text.encode("utf-8")).hexdigest() != own:
        raise Broken(f"line {seq}: its hash does not fit its content")
    try:
        entry = json.loads(body)
    except (ValueError, RecursionError) as error:
        raise Broken(f"line {seq}: its entry cannot be read") from error
    if not isinstance(entry, dict) or entry.get("jobId") != job_id:
        raise Broken(f"line {seq} is an entry of another job")
    return entry


def check(job, head):
    """Walks the whole log. Gives what is worth saying of it."""
    prev, known, says, signed, server = FIRST, False, [], 0, None
    keys = {(key["of"], key["id"]): key for key in job.get("keys", []) if key["id"] == key_id(key["spki"])}
    for seq, line in enumerate(job["lines"], start=1):
        entry = check_line(job.get("jobId"), seq, prev, line)
        prev = line["hash"]
        known = known or (head is not None and prev.startswith(head))
        by_device, by_server = check_signed(job["jobId"], keys, line, entry)
        signed += by_device
        server = (seq, by_server) if by_server else server
        if entry.get("kind") == "log-brought":
            entries = entry.get("data", {}).get("entries")
            says.append(f"entries 1 to {entries} came in as a file: the server did not see them written")
    end = {"seq": len(job["lines"]), "hash": prev}
    if {name: job["head"].get(name) for name in end} != end:
        raise Broken("the log does not end where the file says it does")
    if head is not None and not known:
        raise Broken("the log was never at the head that was given")
    says.append(f"{signed} lines are signed by devices")
    says.append("no server signed it" if server is None else f"line {server[0]} is signed by the server with key {server[1]}")
    return end, says


def main():
    parser = argparse.ArgumentParser(description=__doc__.splitlines()[0])
    parser.add_argument("file")
    parser.add_argument("--head", type=str.lower)
    asked = parser.parse_args()
    if asked.head is not None and not re.fullmatch(r"[0-9a-f]{8,64}", asked.head):
        parser.error("a head has 8 to 64 letters 0-9 a-f")
    try:
        end, says = check(read(asked.file), asked.head)
    except NotAJob as error:
        print(f"{asked.file} {error}")
        return 2
    except (KeyError, TypeError, ValueError, AttributeError) as error:
        print(f"DOES NOT HOLD: a signature or a key is not whole ({error})")
        return 1
    except Broken as error:
        print(f"DOES NOT HOLD: {error}")
        return 1
    print(f"holds: {end['seq']} lines, head {end['hash']}")
    for line in says:
        print(line)
    return 0


if __name__ == "__main__":
    sys.exit(main())
