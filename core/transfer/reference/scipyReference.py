"""Reference values for the monotone cubic and the straight-line fit, from scipy; kept beside the test that reads them.

    python3 core/transfer/reference/scipyReference.py > core/transfer/reference/scipy.json
"""

import json

import numpy as np
import scipy
from scipy.interpolate import PchipInterpolator

tables = [
    ([0.5, 1.0, 2.0, 3.5, 4.5], [20.0, 34.0, 71.0, 140.0, 200.0]),
    ([0.2, 0.9, 1.4, 1.9, 4.8], [101.0, 88.0, 87.0, 40.0, 12.0]),
    ([0.0, 1.0, 5.0], [0.0, 10.0, 12.0]),
    ([1.0, 4.0], [50.0, 80.0]),
]
pchips = []
for volts, kpa in tables:
    at = np.linspace(volts[0], volts[-1], 41)
    curve = PchipInterpolator(volts, kpa)
    pchips.append(
        {"volts": volts, "kpaAbs": kpa, "at": at.tolist(), "value": curve(at).tolist(), "slope": curve(at, 1).tolist()}
    )

rng = np.random.default_rng(20)
kpa = np.linspace(20, 100, 12)
volts = 0.1 + 0.04 * kpa + rng.normal(0, 0.012, kpa.size)
(slope, intercept), covariance = np.polyfit(kpa, volts, 1, cov=True)
at = np.array([0.0, 20.0, 60.0, 110.0])
uncertainty = np.sqrt(covariance[1, 1] + 2 * at * covariance[0, 1] + at**2 * covariance[0, 0])
fit = {
    "kpaAbs": kpa.tolist(),
    "volts": volts.tolist(),
    "slope": slope,
    "intercept": intercept,
    "at": at.tolist(),
    "uncertainty": uncertainty.tolist(),
}
print(json.dumps({"scipy": scipy.__version__, "pchips": pchips, "fit": fit}, indent=1))
