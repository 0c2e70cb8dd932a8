"""Writes recordings.json: recordings with known faults, and what is true of them. Needs numpy and scipy."""

import json
import pathlib

import numpy as np
from scipy.optimize import linprog

rng = np.random.default_rng(20261125)


def mv(values):
    """Whole millivolts, None where nothing was recorded."""
    return [None if np.isnan(v) else int(round(1000 * v)) for v in values]


def minimax_deviation(x, y):
    """Half the width of the narrowest strip round all points, by linear programming."""
    n = len(x)
    upper = np.column_stack([x, np.ones(n), -np.ones(n)])
    lower = np.column_stack([-x, -np.ones(n), -np.ones(n)])
    found = linprog([0, 0, 1], A_ub=np.vstack([upper, lower]), b_ub=np.concatenate([y, -y]),
                    bounds=[(None, None)] * 3)
    return found.fun


def figures_case(name, bend, hysteresis, offset, spread, noise):
    """A pressure sensor swept up and down three times: 0.5 to 4.5 V over 0 to 100 kPa."""
    cycles, per_stroke = 3, 400
    output = []
    up = np.linspace(0, 100, per_stroke)
    x = np.linspace(2, 98, 961)
    mean_true = 0.5 + 0.04 * x + offset + bend * 4 * (x / 100) * (1 - x / 100)
    shape = hysteresis * 4 * (x / 100) * (1 - x / 100)
    worst = 0
    for cycle in range(cycles):
        shift = spread * (cycle - 1) / 2
        for direction in (1, -1):
            p = up if direction == 1 else up[::-1]
            s = p / 100
            volts = 0.5 + 0.04 * p + offset + bend * 4 * s * (1 - s) - direction * hysteresis / 2 * 4 * s * (1 - s) + shift
            output.extend(volts + rng.normal(0, noise, per_stroke))
            curve = mean_true - direction * shape / 2 + shift
            worst = max(worst, np.max(np.abs(curve - (0.5 + 0.04 * x))))
    span = 0.04 * 96
    line = mean_true[0] + (mean_true[-1] - mean_true[0]) * (x - x[0]) / (x[-1] - x[0])
    return {
        "name": name,
        "strokeSamples": per_stroke,
        "strokes": 2 * cycles,
        "outputMillivolts": mv(np.array(output)),
        "truth": {
            "inaccuracyPercent": 100 * worst / span,
            "hysteresisPercent": 100 * np.max(shape) / span,
            "terminalNonLinearityPercent": 100 * np.max(np.abs(mean_true - line)) / span,
            "independentNonLinearityPercent": 100 * minimax_deviation(x, mean_true) / span,
            "repeatabilityPercent": 100 * spread / span,
        },
        "tolerancePercent": 100 * 4 * noise / span + 0.02,
    }


def travel(seconds, rate):
    """A slow full pedal travel, down and up again, with rests."""
    t = np.arange(0, seconds, 1 / rate)
    s = np.interp(t / seconds, [0, 0.08, 0.45, 0.55, 0.92, 1], [0, 0, 1, 1, 0, 0])
    return t, s


def dropout_case(name, rate, faults, noise):
    """Track 1 from 0.9 to 3.9 V; faults as (moment, milliseconds, volts that the wire goes to)."""
    t, s = travel(6, rate)
    volts = 0.9 + 3 * s + rng.normal(0, noise, len(t))
    truth = []
    for moment, ms, level in faults:
        first = int(round(moment * rate))
        count = max(1, int(round(ms / 1000 * rate)))
        truth.append({"fromSeconds": float(t[first]), "samples": count,
                      "positionPercent": float(100 * s[first])})
        volts[first:first + count] = level + rng.normal(0, noise, count)
    return {"name": name, "rate": rate, "millivolts": mv(volts), "truth": truth}


def pair_case():
    """A half-ratio pair whose second track breaks away round one angle."""
    rate = 200
    t, s = travel(10, rate)
    first = 1 + 3.4 * s + rng.normal(0, 0.002, len(t))
    second = (1 + 3.4 * s) / 2 + rng.normal(0, 0.002, len(t))
    centre, width, depth = 0.62, 0.03, 0.5
    second -= depth * np.exp(-(((s - centre) / (width / 2)) ** 2))
    return {"rate": rate, "firstMillivolts": mv(first), "secondMillivolts": mv(second),
            "truth": {"positionPercent": 100 * centre, "worstPercentOfReference": -100 * depth / 5}}


def step_case(tau):
    rate = 500
    t = np.arange(0, 3, 1 / rate)
    volts = np.where(t < 1, 1.0, 1.0 + 2.5 * (1 - np.exp(-(t - 1) / tau)))
    return {"rate": rate, "millivolts": mv(volts + rng.normal(0, 0.002, len(t))),
            "truth": {"fromSeconds": 1.0, "secondsTo63": tau, "secondsTo90": float(tau * np.log(10))}}


def lag_case(delay):
    rate = 100
    t = np.arange(0, 20, 1 / rate)

    def course(at):
        return 2.5 + 0.8 * np.sin(0.9 * at) + 0.4 * np.sin(2.3 * at + 1) + 0.5 * np.tanh(3 * (at - 9))

    return {"rate": rate, "firstMillivolts": mv(course(t) + rng.normal(0, 0.01, len(t))),
            "secondMillivolts": mv(course(t - delay) + rng.normal(0, 0.01, len(t))), "truth": {"seconds": delay}}


cases = {
    "figures": [
        figures_case("sound", 0, 0, 0, 0, 0.001),
        figures_case("bent", 0.06, 0, 0, 0, 0.001),
        figures_case("hysteresis and offset", 0.02, 0.05, 0.03, 0, 0.002),
        figures_case("wandering", 0.01, 0.02, -0.02, 0.04, 0.001),
    ],
    "dropouts": [
        dropout_case("sound", 200, [], 0.004),
        dropout_case("one sample", 1000, [(1.65, 1, 0.02)], 0.004),
        dropout_case("several", 200, [(1.25, 5, 4.98), (2.05, 60, 0.01), (4.3, 250, 4.98)], 0.003),
        dropout_case("shallow, at rest", 500, [(0.2, 10, 0.55), (2.95, 20, 3.4)], 0.003),
    ],
    "pair": pair_case(),
    "steps": [step_case(0.03), step_case(0.12), step_case(0.35)],
    "lags": [lag_case(0.0), lag_case(0.35), lag_case(-0.2)],
}
target = pathlib.Path(__file__).with_name("recordings.json")
target.write_text(json.dumps(cases, separators=(",", ":")) + "\n")
print(target, target.stat().st_size)
