import { expect, test } from 'vitest';
import { toKpa } from '../../measure/quantity/index.ts';
import { exampleCase } from './exampleCase.ts';
import { comparisonsIn } from './index.ts';

const idle = { engine: 'idle', plug: 'connected' } as const;
const wire = (lane: 'reference' | 'signal' | 'return', volts: number) =>
  ({ kind: 'wire', id: lane, lane, place: 'plug', volts, state: idle }) as const;
const caseFile = exampleCase([], {
  profile: {
    measures: 'absolute-pressure',
    transfer: { form: 'ratiometric', sharePerUnit: 0.008, shareAtZero: 0 },
    nominalReferenceVolts: 5,
    lowest: 10,
    highest: 115,
    circuitLowVolts: 0.2,
    circuitHighVolts: 4.8,
    tolerance: { form: 'plus-minus', plusMinus: 1.5 },
    differenceThatMatters: 6.8,
    bias: 'pull-down',
  },
});

// By hand: (1.6 − 0.4)/(5 − 0.4)/0.008 = 32.6 kPa for the sensor itself, 1.6/5/0.008 = 40.0 kPa for the unit.
test('with a raised return the sensor and what the unit sees are two pressures, and each meets its own partner', () => {
  const { sources, pairs } = comparisonsIn(
    {
      ...caseFile,
      readings: [
        wire('reference', 5),
        wire('return', 0.4),
        wire('signal', 1.6),
        {
          kind: 'gauge',
          id: 'g',
          tap: 'sensor-hose',
          pressureKpa: toKpa(20, 'inHg'),
          basis: 'vacuum',
          state: idle,
        },
        { kind: 'scan', id: 's', measures: 'absolute-pressure', value: 40, state: idle },
      ],
    },
    idle,
  );
  const kpa = Object.fromEntries(sources.map(({ name, measured }) => [name, measured.value]));
  expect(kpa['sensor']).toBeCloseTo(32.6, 1);
  expect(kpa['as-seen']).toBeCloseTo(40, 6);
  expect(pairs.map(({ a, b, comparison }) => [a, b, comparison.outcome])).toEqual([
    ['sensor', 'gauge-at-hose', 'agree'],
    ['as-seen', 'live-data', 'agree'],
  ]);
});

// The trap: 8.6 inHg absolute in live data beside 16.4 inHg of vacuum, at 250 m (98.357 kPa = 29.045 inHg by the
// standard atmosphere): the gauge is 12.6 inHg absolute, so the true difference is 4.0 inHg = 13.7 kPa.
test('8.6 inHg absolute and 16.4 inHg of vacuum at 250 m differ by 4 inHg, not by 7.8', () => {
  const ambient = { pressureKpaAbs: 98.357, expandedUncertaintyKpa: 2.5, source: 'altitude' } as const;
  const { sources } = comparisonsIn(
    {
      ...caseFile,
      ambient,
      readings: [
        { kind: 'scan', id: 's', measures: 'absolute-pressure', value: toKpa(8.6, 'inHg'), state: idle },
        {
          kind: 'gauge',
          id: 'g',
          tap: 'manifold',
          pressureKpa: toKpa(16.4, 'inHg'),
          basis: 'vacuum',
          state: idle,
        },
      ],
    },
    idle,
  );
  const [gauge, live] = sources.map(({ measured }) => measured.value / toKpa(1, 'inHg'));
  expect((gauge ?? NaN) - (live ?? NaN)).toBeCloseTo(4.05, 1);
});
