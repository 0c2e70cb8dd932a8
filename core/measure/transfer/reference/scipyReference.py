"""Reference values for the monotone cubic and the fits (line, polynomial, hot element), from scipy; kept beside the test that reads them.

    python3 core/measure/transfer/reference/scipyReference.py > core/measure/transfer/reference/scipy.json
"""

import json

import numpy as np
import scipy
from scipy.interpolate import PchipInterpolator
from scipy.optimize import curve_fit

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

volts = np.linspace(0.4, 4.6, 20)
value = 3 + 8 * volts + 2.5 * volts**2 + 0.4 * volts**3 + rng.normal(0, 0.15, volts.size)
coefficients, covariance = np.polyfit(volts, value, 3, cov=True)
at = np.array([0.5, 1.5, 3.0, 4.5])
powers = np.vander(at, 4)
polynomial = {
    "volts": volts.tolist(),
    "value": value.tolist(),
    "coefficients": coefficients[::-1].tolist(),
    "at": at.tolist(),
    "uncertainty": np.sqrt(np.einsum("ij,jk,ik->i", powers, covariance, powers)).tolist(),
}


def king(flow, a, b, n):
    return np.sqrt(a + b * flow**n)


flow = np.array([0.5, 1, 2, 3.5, 5, 8, 12, 20, 35, 60, 90, 120, 180, 240])
volts = king(flow, 0.9, 0.95, 0.52) + rng.normal(0, 0.012, flow.size)
parameters, covariance = curve_fit(king, flow, volts, p0=(1, 1, 0.5), xtol=1e-15, ftol=1e-15, gtol=1e-15)
at = np.array([1.0, 10.0, 100.0])
root = king(at, *parameters)
gradient = np.stack(
    [1 / (2 * root), at ** parameters[2] / (2 * root), parameters[1] * at ** parameters[2] * np.log(at) / (2 * root)], 1
)
hotElement = {
    "flow": flow.tolist(),
    "volts": volts.tolist(),
    "parameters": parameters.tolist(),
    "at": at.tolist(),
    "uncertainty": np.sqrt(np.einsum("ij,jk,ik->i", gradient, covariance, gradient)).tolist(),
}
print(
    json.dumps(
        {"scipy": scipy.__version__, "pchips": pchips, "fit": fit, "polynomial": polynomial, "hotElement": hotElement},
        indent=1,
    )
)
