import { fail, ok, type Result } from '../problem/index.ts';

/**
 * Saturation pressure of R-134a, the vapour-pressure equation of Tillner-Roth and Baehr (J. Phys. Chem. Ref. Data 23,
 * 1994, 657): ln(p/pc) = (Tc/T)(a₁θ + a₂θ^1.5 + a₃θ² + a₄θ⁴) with θ = 1 − T/Tc. Coefficients from memory.
 */
const CRITICAL_K = 374.18;
const CRITICAL_KPA = 4056.29;
const TERMS = [
  [-7.686556, 1],
  [2.311791, 1.5],
  [-2.039554, 2],
  [-3.583758, 4],
] as const;

/** The range of the tables it is checked against. */
export const SATURATION_RANGE_CELSIUS = [-20, 60] as const;

/** kPa absolute. Fails with `temperature-out-of-range` outside the checked range: nothing is extrapolated. */
export function r134aSaturationKpaAbs(temperatureKelvin: number): Result<number, 'temperature-out-of-range'> {
  const celsius = temperatureKelvin - 273.15;
  const [lowest, highest] = SATURATION_RANGE_CELSIUS;
  if (!(celsius >= lowest - 1e-9 && celsius <= highest + 1e-9)) {
    return fail(
      'temperature-out-of-range',
      `${celsius.toFixed(1)} °C is outside ${lowest} to ${highest} °C.`,
      'Use the temperature of the air around a system that has rested.',
    );
  }
  const theta = 1 - temperatureKelvin / CRITICAL_K;
  const sum = TERMS.reduce((total, [factor, exponent]) => total + factor * theta ** exponent, 0);
  return ok(CRITICAL_KPA * Math.exp((CRITICAL_K / temperatureKelvin) * sum));
}
