import { expect, test } from 'vitest';
import type { MachineState } from '../places/index.ts';
import { MPX4250A, type SensorProfile } from '../../measure/transfer/index.ts';
import { expectedValue, FAMILY_IDS, withTolerance, type FamilyId, type ValueContext } from './index.ts';

const ambient = {
  pressureKpaAbs: 100,
  expandedUncertaintyKpa: 0.3,
  source: 'barometer',
  airCelsius: 20,
} as const;
const percent: SensorProfile = { ...MPX4250A, measures: 'position', lowest: 0, highest: 100 };
const gauge: SensorProfile = { ...MPX4250A, measures: 'gauge-pressure', lowest: 0, highest: 3000 };
const difference: SensorProfile = { ...MPX4250A, measures: 'differential-pressure', lowest: 0, highest: 100 };
const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const full: MachineState = { ...koeo, stimulus: { kind: 'full-travel' } };
const open: MachineState = { engine: 'held-revs', plug: 'connected', stimulus: { kind: 'valve-open' } };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const pump = (kpaAboveAmbient: number): MachineState => ({
  ...koeo,
  stimulus: { kind: 'pump', kpaAboveAmbient },
});

const bandOf = (family: FamilyId, state: MachineState, over: Partial<ValueContext> = {}) => {
  const band = expectedValue(state, { family, profile: MPX4250A, ambient, ...over });
  return band.ok
    ? [band.value.lowest, band.value.highest].map((end) => Math.round(end * 10) / 10)
    : band.problem.code;
};

// Common practice throughout, by hand from the notes of each family.
test.each([
  ['manifold-pressure', koeo, {}, [100, 100]],
  ['manifold-pressure', pump(-50), {}, [50, 50]],
  ['barometric-pressure', idle, {}, [100, 100]],
  ['boost-pressure', koeo, { profile: gauge }, [0, 0]],
  ['boost-pressure', idle, {}, [95, 105]],
  ['filter-differential', koeo, { profile: difference }, [0, 0]],
  ['filter-differential', pump(12), { profile: difference }, [12, 12]],
  ['exhaust-flow-differential', open, { profile: difference }, [50, 100]],
  ['throttle', koeo, { profile: percent }, [0, 5]],
  ['throttle', full, { profile: percent }, [95, 100]],
  ['throttle', { ...koeo, engine: 'snap-open' }, { profile: percent }, [60, 100]],
  ['pedal', idle, { profile: percent }, [0, 5]],
  ['pedal', full, { profile: percent }, [95, 100]],
  ['flap', koeo, { profile: percent }, [0, 100]],
  ['air-flow', koeo, {}, [0, 0.3]],
  ['air-flow', idle, { displacementLitres: 6.8 }, [6.8, 10.2]],
  ['air-flow', idle, {}, 'needs-displacement'],
  // R-134a at 18 and 22 °C: 537.0 and 608.3 kPa absolute (equation of state), less 100 kPa
  ['refrigerant-pressure', koeo, { profile: gauge }, [437, 508.3]],
  ['refrigerant-pressure', koeo, { ambient: { ...ambient, airCelsius: 59.5 } }, 'makers-data'],
  ['refrigerant-pressure', idle, {}, 'makers-data'],
  ['fuel-rail-pressure', idle, {}, 'makers-data'],
  ['other', idle, {}, 'makers-data'],
] as const)('%s at %o should read %o', (family, state, over, expected) => {
  const band = bandOf(family, state, over);
  if (typeof expected === 'string') expect(band).toBe(expected);
  else expected.forEach((end, i) => expect((band as number[])[i]).toBeCloseTo(end, 0));
});

test('without a barometer, or a thermometer, the expectation asks for it', () => {
  expect(bandOf('manifold-pressure', koeo, { ambient: undefined })).toBe('needs-ambient');
  expect(bandOf('refrigerant-pressure', koeo, { ambient: undefined })).toBe('needs-temperature');
  expect(bandOf('boost-pressure', koeo, { ambient: undefined, profile: gauge })).toEqual([0, 0]);
});

test('a pump does nothing to a throttle', () => {
  expect(bandOf('throttle', pump(-20), { profile: percent })).toBe('makers-data');
});

test('tolerance and the doubt of ambient widen the band as squares add', () => {
  const band = { lowest: 100, highest: 100, reason: { code: 'families.no-air-moves' } };
  const wide = withTolerance(band, { family: 'manifold-pressure', profile: MPX4250A, ambient });
  expect(wide.highest - 100).toBeCloseTo(Math.hypot(3.45, 0.3), 9);
});

test('every family and state gives a band, from low to high, or a problem', () => {
  for (const family of FAMILY_IDS) {
    for (const engine of ['key-off', 'koeo', 'idle', 'held-revs', 'snap-open'] as const) {
      const band = expectedValue({ engine, plug: 'connected' }, { family, profile: MPX4250A, ambient });
      if (band.ok) expect(band.value.lowest).toBeLessThanOrEqual(band.value.highest);
    }
  }
});
