import type { Evidence } from '../../record/evidence/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import { COMMON_METER, COMMON_VACUUM_GAUGE } from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { USUAL_WEIGHTS } from '../priors/index.ts';

/** For tests: 5 · (0.0078·P + 0.02) volts, so 4.00 V at 100 kPa and 1.66 V at 40 kPa; a pulled-down input. */
export const EXAMPLE_PROFILE: SensorProfile = {
  measures: 'absolute-pressure',
  transfer: { form: 'ratiometric', sharePerUnit: 0.0078, shareAtZero: 0.02 },
  nominalReferenceVolts: 5,
  lowest: 15,
  highest: 115,
  circuitLowVolts: 0.3,
  circuitHighVolts: 4.75,
  tolerance: { form: 'plus-minus', plusMinus: 1.8 },
  differenceThatMatters: 6.8,
  bias: 'pull-down',
};

/** For tests: a throttle, 0.9 V closed and 3.9 V wide open (common practice). */
export const THROTTLE_PROFILE: SensorProfile = {
  ...EXAMPLE_PROFILE,
  measures: 'position',
  transfer: { form: 'linear', low: { volts: 0.9, value: 0 }, high: { volts: 3.9, value: 100 } },
  lowest: 0,
  highest: 100,
  tolerance: { form: 'plus-minus', plusMinus: 2 },
  differenceThatMatters: 5,
};

/** For tests: refrigerant above ambient, 0.5 V without pressure, 4.5 V at 3,000 kPa. */
export const REFRIGERANT_PROFILE: SensorProfile = {
  ...EXAMPLE_PROFILE,
  measures: 'gauge-pressure',
  transfer: { form: 'linear', low: { volts: 0.5, value: 0 }, high: { volts: 4.5, value: 3000 } },
  lowest: 0,
  highest: 3000,
  tolerance: { form: 'plus-minus', plusMinus: 60 },
  differenceThatMatters: 150,
};

/** For tests: a hot element, V² = 0.9 + 0.95·ṁ^0.52. */
export const FLOW_PROFILE: SensorProfile = {
  ...EXAMPLE_PROFILE,
  measures: 'air-flow',
  transfer: { form: 'hot-element', a: 0.9, b: 0.95, n: 0.52 },
  lowest: 0,
  highest: 300,
  tolerance: { form: 'of-value', percent: 4, atLeast: 0.2 },
  differenceThatMatters: 1.5,
};

/** For tests: a job on that sensor at an ambient of 100 kPa by barometer. */
export const exampleCase = (readings: Evidence[], over: Partial<CaseFile> = {}): CaseFile => ({
  family: 'manifold-pressure',
  profile: EXAMPLE_PROFILE,
  ambient: { pressureKpaAbs: 100, expandedUncertaintyKpa: 0.3, source: 'barometer' },
  readings,
  isolation: [],
  observations: [],
  codes: [],
  starting: USUAL_WEIGHTS,
  sweeps: [],
  meter: COMMON_METER,
  gauge: COMMON_VACUUM_GAUGE,
  ...over,
});
