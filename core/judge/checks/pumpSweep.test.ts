import { expect, test } from 'vitest';
import { ambientFrom, toKpa } from '../../measure/quantity/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import { COMMON_VACUUM_GAUGE } from '../../measure/uncertainty/index.ts';
import { EXAMPLE_PROFILE, exampleCase } from './exampleCase.ts';
import { pumpPoint, pumpSettings, pumpState, pumpSteps } from './index.ts';

/** Common practice: 3.0 V at 0 inHg of vacuum at sea level, and 0.1 V less for every inHg. */
const tenthPerInHg: SensorProfile = {
  ...EXAMPLE_PROFILE,
  transfer: {
    form: 'linear',
    low: { volts: 0.5, value: 101.325 - toKpa(25, 'inHg') },
    high: { volts: 3, value: 101.325 },
  },
  lowest: 13,
  highest: 119,
  circuitLowVolts: 0.3,
  circuitHighVolts: 4.4,
  tolerance: { form: 'plus-minus', plusMinus: 2.5 },
};

const caseAt = (altitudeM: number, volts: (inHg: number) => number | undefined) => {
  const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: altitudeM === 0 ? 101.325 : 84.56 });
  if (!ambient.ok) throw new Error(ambient.problem.code);
  const steps = pumpSteps(
    exampleCase([], { profile: tenthPerInHg }),
    ambient.value.pressureKpaAbs,
    'inHg',
    10,
  );
  const readings = steps.flatMap((kpa, i) => {
    const v = volts(-kpa / toKpa(1, 'inHg'));
    return v === undefined
      ? []
      : [
          {
            kind: 'wire' as const,
            id: `p${i}`,
            lane: 'signal' as const,
            place: 'plug' as const,
            volts: v,
            state: pumpState(kpa),
          },
        ];
  });
  const caseFile = exampleCase(readings, { profile: tenthPerInHg, ambient: ambient.value });
  return { steps, points: steps.map((kpa) => pumpPoint(caseFile, kpa, COMMON_VACUUM_GAUGE)) };
};

test('at sea level the table is 3.0 V less 0.1 V per inHg: 5 → 2.5, 10 → 2.0, 20 → 1.0 (common practice)', () => {
  const { steps, points } = caseAt(0, () => undefined);
  expect(steps.map((kpa) => Math.round((-kpa / toKpa(1, 'inHg')) * 10) / 10)).toEqual([
    0, 2.5, 5, 7.5, 10, 12.5, 15, 17.5, 20, 22.5,
  ]);
  points.forEach(({ expected }, i) => {
    const middle = ((expected?.lowest ?? NaN) + (expected?.highest ?? NaN)) / 2;
    expect(middle).toBeCloseTo(3 - 0.25 * i, 6);
  });
});

// US Standard Atmosphere 1976: 84.56 kPa at 1,500 m, 4.951 inHg below sea level, so 0.4951 V lower at every step.
test('at 1,500 m every setting is 0.495 V lower, since the sensor counts from nothing', () => {
  const { points } = caseAt(1500, () => undefined);
  const middles = points.map(({ expected }) => ((expected?.lowest ?? NaN) + (expected?.highest ?? NaN)) / 2);
  expect(middles[0]).toBeCloseTo(2.505, 3);
  expect(middles[4]).toBeCloseTo(1.505, 3); // 10 inHg: 3.0 − 0.495 − 1.0
  expect(points).toHaveLength(9); // at 22.5 inHg there would be less pressure than the sensor is made for
});

test('a ten-point sweep is judged point by point: the two points past the bend disagree, and it matters', () => {
  // Sound up to 17.5 inHg; from there the signal hangs at 1.25 V.
  const { points } = caseAt(0, (inHg) => Math.max(1.25, 3 - 0.1 * inHg) + 0.01);
  const judged = points.map(({ judged: j }) => (j?.ok ? [j.value.outcome, j.value.matters] : undefined));
  expect(judged).toHaveLength(10);
  expect(judged.slice(0, 8).every((one) => one?.[0] === 'agree')).toBe(true);
  expect(judged[9]).toEqual(['disagree', true]);
});

test('steps of a gauge sensor run upwards, in round numbers of the unit', () => {
  const gauge: SensorProfile = { ...tenthPerInHg, measures: 'gauge-pressure', lowest: 0, highest: 200 };
  const pumped = exampleCase([], { profile: gauge });
  expect(pumpSteps(pumped, 101, 'kPa', 10)).toEqual([0, 25, 50, 75, 100, 125, 150, 175, 200]);
  const psi = pumpSteps(pumped, 101, 'psi', 6).map((kpa) => Math.round(kpa / toKpa(1, 'psi')));
  expect(psi).toEqual([0, 5, 10, 15, 20, 25]);
});

test('boost is pumped up from ambient, although its sensor counts from nothing, and no farther than a hand pump goes', () => {
  const absolute: SensorProfile = { ...tenthPerInHg, lowest: 50, highest: 300 };
  const up = (profile: SensorProfile) => exampleCase([], { profile, family: 'boost-pressure' });
  expect(pumpSteps(up(absolute), 101, 'kPa', 6)).toEqual([0, 25, 50, 75, 100, 125]);
  const steps = pumpSteps(up({ ...absolute, highest: 600 }), 101, 'kPa', 5);
  expect(steps).toEqual([0, 50, 100, 150, 200]);
  const points = steps.map((kpa) => pumpPoint(up(absolute), kpa, COMMON_VACUUM_GAUGE));
  expect(points.every(({ expected }) => expected === undefined || expected.lowest >= 0)).toBe(true);
});

test('settings on record stay in the table when the steps change, each once', () => {
  const at = (kpa: number, i: number) =>
    ({
      kind: 'wire',
      id: `s${i}`,
      lane: 'signal',
      place: 'plug',
      volts: 2,
      state: pumpState(kpa),
    }) as const;
  const readings = [at(-16.931945, 1), at(-20, 2), at(-20, 3)];
  expect(pumpSettings({ readings, isolation: [] }, [0, -20, -40])).toEqual([0, -16.931945, -20, -40]);
  expect(pumpSettings({ readings: [], isolation: [] }, [0, -20])).toEqual([0, -20]);
});

test('of a sensor that sends telegrams no step is judged by the average that a meter shows', () => {
  const profile: SensorProfile = {
    ...tenthPerInHg,
    transfer: { form: 'telegrams', low: { step: 193, value: 13 }, high: { step: 3896, value: 119 } },
  };
  const read = (volts: number) => {
    const reading = {
      kind: 'wire',
      id: 'r',
      lane: 'signal',
      place: 'plug',
      volts,
      state: pumpState(-30),
    } as const;
    return pumpPoint(exampleCase([reading], { profile }), -30, COMMON_VACUUM_GAUGE);
  };
  expect(read(2.8).reading).toBeDefined();
  expect(read(2.8).judged).toBeUndefined();
  // Where the line stands at an end nothing can be sent.
  expect(read(0.02).judged).toMatchObject({ ok: false, problem: { code: 'circuit-low' } });
});
