"""Captures of SENT lines (SAE J2716) made by its rules as remembered, apart from the program: falling edges and the frames in them.

Checksums are worked out bit by bit from the polynomials, not from a table. Writes telegrams.json beside itself:

    python3 telegrams.py
"""

import json
import random
from pathlib import Path

CALIBRATION, ZERO = 56, 12


def divided(bits, polynomial, width, seed):
    """The remainder of seed and bits over a polynomial, a bit at a time."""
    register = seed
    for bit in bits:
        register = (register << 1) | bit
        if register >> width & 1:
            register ^= polynomial
    return register


def bits_of(value, count):
    return [value >> i & 1 for i in reversed(range(count))]


def crc4(nibbles, recommended):
    """x^4 + x^3 + x^2 + 1, seed 0101; the recommended form has four zeros behind the data."""
    bits = [bit for nibble in nibbles for bit in bits_of(nibble, 4)]
    return divided(bits + ([0] * 4 if recommended else []), 0b11101, 4, 0b0101)


def crc6(bits):
    """x^6 + x^4 + x^3 + 1, seed 010101, six zeros behind the message."""
    return divided(bits + [0] * 6, 0b1011001, 6, 0b010101)


def short_message(identity, value, recommended):
    nibbles = [identity, value >> 4, value & 15]
    bits = [bit for nibble in nibbles + [crc4(nibbles, recommended)] for bit in bits_of(nibble, 4)]
    return [(8 if i == 0 else 0) | (4 * bit) for i, bit in enumerate(bits)]


def enhanced_message(identity, value, wide):
    """`wide`: 16 bits of data and 4 of identity; else 12 and 8."""
    data = bits_of(value & 0xFFF, 12)
    if wide:
        start = [1, *bits_of(identity, 4), 0, *bits_of(value >> 12, 4), 0]
    else:
        start = [0, *bits_of(identity >> 4, 4), 0, *bits_of(identity & 15, 4), 0]
    start = [0] + start
    spoken = [bit for pair in zip(data, start) for bit in pair]
    checksum = bits_of(crc6(spoken), 6)
    return [8 * s + 4 * d for s, d in zip([1] * 6 + start, checksum + data)]


class Sender:
    def __init__(self, tick, nibbles, pause, recommended, noise, drift, chance):
        self.tick, self.nibbles, self.pause, self.recommended = tick, nibbles, pause, recommended
        self.noise, self.drift, self.chance = noise, drift, chance
        self.pulses, self.frames = [], []

    def now(self):
        """The tick drifts slowly over the capture."""
        return self.tick * (1 + self.drift * len(self.frames) / 60)

    def frame(self, status, data, spoil=None):
        checksum = crc4(data, self.recommended)
        if spoil == "checksum":
            checksum ^= 1 + self.chance.randrange(15)
        ticks = [CALIBRATION, *(ZERO + v for v in [status, *data, checksum])]
        if self.pause == "constant":
            ticks.append(max(ZERO, 282 - sum(ticks)))
        elif self.pause == "varied":
            ticks.append(self.chance.randrange(ZERO, 769))
        lengths = [t * self.now() for t in ticks]
        if spoil == "missing":
            # Two pulses run together where an edge is lost.
            at = 1 + self.chance.randrange(len(data))
            lengths[at : at + 2] = [lengths[at] + lengths[at + 1]]
        if spoil == "glitch":
            at = 1 + self.chance.randrange(len(data))
            lengths[at : at + 1] = [0.3 * lengths[at], 0.7 * lengths[at]]
        if spoil == "between":
            at = 1 + self.chance.randrange(len(data))
            lengths[at] += 0.5 * self.now()
        self.pulses += lengths
        self.frames.append(None if spoil else [status, *data])

    def capture(self):
        at, edges = 1e-4, []
        for length in [*self.pulses, CALIBRATION * self.now()]:
            edges.append(at)
            at += length
        edges.append(at)
        return [round((e + self.chance.gauss(0, self.noise * self.tick)) * 1e10) for e in edges]


def case(name, *, tick, nibbles=6, pause="none", recommended=True, noise=0.0, drift=0.0, spoils=(), seed=1, messages=()):
    chance = random.Random(seed)
    sender = Sender(tick, nibbles, pause, recommended, noise, drift, chance)
    statuses = [s for message in messages for s in message]
    spoiled = dict(spoils)
    for i in range(max(40, len(statuses))):
        status = statuses[i] if i < len(statuses) else chance.choice([0, 0, 4, 1])
        sender.frame(status, [chance.randrange(16) for _ in range(nibbles)], spoiled.get(i))
    return {
        "name": name,
        "tickMicroseconds": tick * 1e6,
        "nibbles": nibbles,
        "pause": pause != "none",
        "recommended": recommended,
        "lost": len(spoils),
        "frames": [f for f in sender.frames if f],
        "edges": sender.capture(),
    }


cases = []
for micro in (3, 3 * 0.8, 10, 30, 90, 90 * 1.2):
    for nibbles in (6, 3, 4, 1):
        cases.append(case(f"{micro:g} us, {nibbles} nibbles", tick=micro * 1e-6, nibbles=nibbles, seed=nibbles))
for pause in ("constant", "varied"):
    for recommended in (True, False):
        cases.append(case(f"pause {pause}, {'recommended' if recommended else 'legacy'}", tick=3e-6, pause=pause, recommended=recommended, seed=7))
cases.append(case("legacy checksum", tick=3e-6, recommended=False, seed=8))
cases.append(case("jitter of a twentieth of a tick", tick=3e-6, noise=0.05, seed=9))
cases.append(case("clock drifts by 20 % up", tick=3e-6, drift=0.3, seed=10))
cases.append(case("clock drifts by 20 % down", tick=3e-6, drift=-0.3, seed=11))
for spoil in ("checksum", "missing", "glitch", "between"):
    for pause in ("none", "varied"):
        spoils = [(5, spoil), (6, spoil), (17, spoil), (30, spoil)]
        cases.append(case(f"{spoil}, pause {pause}", tick=3e-6, pause=pause, spoils=spoils, seed=12))

serial = case(
    "serial messages",
    tick=3e-6,
    seed=13,
    messages=[
        short_message(3, 0xA5, True),
        short_message(15, 0x01, True),
        enhanced_message(0x29, 0xABC, False),
        enhanced_message(0x7, 0x9ABC, True),
        [0],
    ],
)
serial["serial"] = [["short", 3, 0xA5], ["short", 15, 1], ["enhanced", 0x29, 0xABC], ["enhanced", 0x7, 0x9ABC]]
cases.append(serial)
checksums = [{"nibbles": n, "recommended": crc4(n, True), "legacy": crc4(n, False)} for n in ([0] * 6, [15] * 6, [5, 3, 14, 5, 3, 14], [7, 8, 1, 2, 3, 4], [1])]
Path(__file__).with_suffix(".json").write_text(json.dumps({"edgesPerSecond": 1e10, "checksums": checksums, "cases": cases}, separators=(",", ":")))
