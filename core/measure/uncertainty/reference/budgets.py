"""Five budgets worked out a second way: derivatives by finite differences instead of formulas, in
Python instead of TypeScript. Kept beside the test that reads them.

    python3 core/measure/uncertainty/reference/budgets.py > core/measure/uncertainty/reference/budgets.json
"""

import json
from math import sqrt


def meter_limit(volts, percent, counts, display):
    """Limits of error on the range that an auto-ranging meter picks."""
    full = display / 10_000
    while full < abs(volts):
        full *= 10
    return abs(volts) * percent / 100 + counts * full / display


def slope(function, at, step=1e-6):
    return (function(at + step) - function(at - step)) / (2 * step)


def budget(value_of, volts, reference, tolerance, meter):
    """value_of(signal volts, reference volts); returns the value and its expanded uncertainty, k = 2."""
    terms = [
        tolerance / sqrt(3),
        slope(lambda v: value_of(v, reference), volts) * meter_limit(volts, *meter) / sqrt(3),
        slope(lambda r: value_of(volts, r), reference) * meter_limit(reference, *meter) / sqrt(3),
    ]
    return {"value": value_of(volts, reference), "terms": [abs(t) for t in terms], "expanded": 2 * sqrt(sum(t * t for t in terms))}


def polynomial(volts, reference):
    x = volts / (reference / 5)
    return -4.2 + 14 * x + 1.6 * x**2


cases = {
    "ratiometric": ((lambda v, r: (v / r + 0.04) / 0.004), 1.2, 4.95, 3.45, (0.5, 2, 6000)),
    "linear": ((lambda v, r: 20 + (v - 0.5) * 180 / 4), 2.71, 4.99, 3.0, (0.5, 2, 6000)),
    "falling": ((lambda v, r: (4.2 - v) * 100 / 3.4), 2.9, 5.0, 2.0, (0.1, 3, 50000)),
    "polynomial": (polynomial, 2.2, 4.9, 2.5, (1.0, 5, 4000)),
    "hotElement": ((lambda v, r: ((v * v - 0.9) / 0.95) ** (1 / 0.52)), 2.4, 5.0, 0.04 * ((2.4**2 - 0.9) / 0.95) ** (1 / 0.52), (0.5, 2, 6000)),
}
print(json.dumps({name: budget(*case) for name, case in cases.items()}, indent=1))
